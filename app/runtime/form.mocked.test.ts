// @vitest-environment jsdom
import fc from "fast-check";
import { afterEach, beforeAll, expect, it, vi } from "vitest";
import { isAsked, nameOfField } from "~/core/form";
import { Form } from "./form";

beforeAll(() => {
  customElements.define("zest-form", Form);
  Element.prototype.scrollIntoView = () => undefined;
});
afterEach(() => vi.unstubAllGlobals());

const one = <T extends Element>(selector: string) => document.querySelector<T>(selector)!;
const ask = (id: string, when = "") =>
  `<div class="fm-ask" ${when}><input name="${nameOfField(id)}" id="${id}"><p class="fm-wrong"></p></div>`;
function show(inside: string): void {
  document.body.innerHTML = `<zest-form><form action="/forms/x">${inside}<button type="submit"></button><p class="message"></p></form></zest-form>`;
}
function type(id: string, text: string): void {
  const field = one<HTMLInputElement>(`#${id}`);
  field.value = text;
  field.dispatchEvent(new Event("input", { bubbles: true }));
}

it("asks just what the shop asks for", () => {
  fc.assert(
    fc.property(
      fc.constantFrom("is", "is-not", "filled", "empty"),
      fc.constantFrom("", "Yes", "No", " "),
      fc.constantFrom("Yes", "Maybe"),
      (how, said, value) => {
        show(
          ask("a") +
            ask("b", `data-when="${nameOfField("a")}" data-how="${how}" data-value="${value}"`) +
            ask("c", `data-when="${nameOfField("b")}" data-how="filled" data-value=""`),
        );
        one<HTMLInputElement>("#b").value = "something";
        type("a", said);
        const values = new Map([["a", said.trim() ? [said.trim()] : []]]);
        const asked = isAsked({ when: { field: "a", how, value } }, values);
        expect(one("#b").closest<HTMLElement>(".fm-ask")!.hidden).toBe(!asked);
        expect(one<HTMLInputElement>("#b").disabled).toBe(!asked);
        // What is put away says nothing to what depends on it.
        expect(one("#c").closest<HTMLElement>(".fm-ask")!.hidden).toBe(!asked);
      },
    ),
    { numRuns: 60 },
  );
});

it("says what is wrong beside the field, takes it back while it is mended, and then thanks in place", async () => {
  const answers = [
    { ok: false, text: "One thing is missing.", problems: { [nameOfField("a")]: "Please fill this in." } },
    {
      ok: true,
      title: "Thank you",
      text: "It is here.",
      code: "<b>KITE</b>",
      link: { address: "/about", label: "On" },
    },
  ];
  const sent: FormData[] = [];
  vi.stubGlobal("fetch", (_address: string, { body }: { body: FormData }) => {
    sent.push(body);
    return Promise.resolve({ json: () => Promise.resolve(answers.shift()) });
  });
  show(ask("a"));
  const submit = () => one("form").dispatchEvent(new Event("submit", { cancelable: true }));
  submit();
  await vi.waitFor(() => expect(one(".fm-wrong").textContent).toBe("Please fill this in."));
  expect([one("#a").getAttribute("aria-invalid"), document.activeElement?.id]).toEqual(["true", "a"]);
  type("a", "Ada");
  expect([one(".fm-wrong").textContent, one("#a").hasAttribute("aria-invalid")]).toEqual(["", false]);
  submit();
  await vi.waitFor(() => expect(one(".fm-thanks")).not.toBeNull());
  expect(Number(sent[1]!.get("took"))).toBeGreaterThanOrEqual(0);
  expect(one(".fm-code").textContent).toBe("<b>KITE</b>");
  expect(one(".fm-code").children).toHaveLength(0);
  expect(one<HTMLAnchorElement>(".fm-thanks a").getAttribute("href")).toBe("/about");
});
