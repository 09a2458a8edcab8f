// @vitest-environment jsdom
// @vitest-environment-options {"url": "http://shop.localhost/checkout"}
import { afterEach, beforeAll, describe, expect, it, vi } from "vitest";
import { Checkout } from "./checkout";

/** A checkout as the server draws it: a number of a card never comes back. */
const page = (total: string, way = "") => `<zest-checkout><form action="/checkout" method="post">
<select name="country" id="country" data-again><option>IE</option><option>US</option></select>
<input name="mail" id="mail" type="email"><input name="number" id="number" type="text">${way}
<button name="do" value="place">Pay ${total}</button></form></zest-checkout>
<zest-checkout><details><summary>${total}</summary></details></zest-checkout>`;

let answer: () => Promise<Response>;
const asked = vi.fn((_address: string, _init: RequestInit) => answer());
beforeAll(() => {
  customElements.define("zest-checkout", Checkout);
  vi.stubGlobal("fetch", asked);
});
afterEach(() => {
  document.body.innerHTML = "";
  asked.mockClear();
});
const field = (id: string) => document.getElementById(id) as HTMLInputElement;
const choose = () => {
  field("country").focus();
  field("country").value = "US";
  field("country").dispatchEvent(new Event("change", { bubbles: true }));
};
const form = () => document.querySelector("form")!;
const send = () => {
  const event = new SubmitEvent("submit", { bubbles: true, cancelable: true });
  form().dispatchEvent(event);
  return !event.defaultPrevented;
};
const shown = () => document.querySelector("summary")!.textContent;
const given = (body: string, status = 200) => (answer = () => Promise.resolve(new Response(body, { status })));

/** What was answered has been read, and all that follows at once from that is done. */
async function isRead(response: Response): Promise<void> {
  await vi.waitFor(() => expect(response.bodyUsed).toBe(true));
  await new Promise((done) => setTimeout(done));
}

describe("the checkout", () => {
  it("reckons anew where it stands: what was typed and opened stays, and the hand where it was", async () => {
    document.body.innerHTML = page("1.00");
    field("mail").value = "ada@quill.example";
    field("number").value = "9000";
    document.querySelector("details")!.open = true;
    given(page("9.00"));
    choose();
    await vi.waitFor(() => expect(shown()).toBe("9.00"));
    expect(String(asked.mock.calls[0]![1].body)).toContain("do=look");
    expect([field("mail").value, field("number").value]).toEqual(["ada@quill.example", "9000"]);
    expect(document.querySelector("details")!.open).toBe(true);
    expect(document.activeElement?.id).toBe("country");
    expect(form().hasAttribute("aria-busy")).toBe(false);
  });

  it("puts one more thing in where it stands, by a button that may be outside of the form, and says so", async () => {
    const more = (said: string) =>
      `<zest-checkout>${said}<button form="it" name="do" value="more:kite:red">Add</button></zest-checkout>`;
    const whole = (total: string, said = "") => page(total).replace("<form ", '<form id="it" ') + more(said);
    document.body.innerHTML = whole("1.00");
    field("mail").value = "ada@quill.example";
    given(whole("9.00", '<p role="status" tabindex="-1">Kite: It is in your order.</p>'));
    const submitter = document.querySelector<HTMLButtonElement>("[form=it]")!;
    const event = new SubmitEvent("submit", { bubbles: true, cancelable: true, submitter });
    form().dispatchEvent(event);
    expect(event.defaultPrevented).toBe(true);
    await vi.waitFor(() => expect(shown()).toBe("9.00"));
    expect(new URLSearchParams(String(asked.mock.calls[0]![1].body)).get("do")).toBe("more:kite:red");
    expect(field("mail").value).toBe("ada@quill.example");
    expect(document.activeElement?.textContent).toBe("Kite: It is in your order.");
    // And the order can still be sent.
    expect(send()).toBe(true);
  });

  it("asks by a page of its own for one more thing that could not be asked for", async () => {
    document.body.innerHTML = page("1.00");
    given("<p>A little too often</p>", 429);
    const submitted = vi.spyOn(HTMLFormElement.prototype, "submit").mockImplementation(() => undefined);
    const submitter = Object.assign(document.createElement("button"), { value: "more:kite:" });
    form().append(submitter);
    form().dispatchEvent(new SubmitEvent("submit", { bubbles: true, cancelable: true, submitter }));
    await vi.waitFor(() => expect(submitted).toHaveBeenCalledOnce());
    expect(new FormData(form()).get("do")).toBe("more:kite:");
    submitted.mockRestore();
  });

  it("gives nothing up where it can’t be asked", async () => {
    document.body.innerHTML = page("1.00");
    field("mail").value = "ada@quill.example";
    given("<p>A little too often</p>", 429);
    choose();
    await vi.waitFor(() => expect(form().hasAttribute("aria-busy")).toBe(false));
    expect([shown(), field("mail").value]).toEqual(["1.00", "ada@quill.example"]);
  });

  it("is sent though it is being reckoned, and never twice", async () => {
    document.body.innerHTML = page("1.00");
    let done: (response: Response) => void = () => undefined;
    answer = () => new Promise((resolve) => (done = resolve));
    choose();
    const first = form();
    expect([send(), send()]).toEqual([true, false]);
    const reckoned = new Response(page("9.00"));
    done(reckoned);
    await isRead(reckoned);
    // The form that is on its way is left alone.
    expect(form()).toBe(first);
    // Who comes back by the browser’s own button may send it again.
    dispatchEvent(new Event("pageshow"));
    expect(send()).toBe(true);
  });

  it("changes nothing under a finger that is down", async () => {
    document.body.innerHTML = page("1.00");
    form().dispatchEvent(new Event("pointerdown", { bubbles: true }));
    const reckoned = new Response(page("9.00"));
    answer = () => Promise.resolve(reckoned);
    const before = form().querySelector("button");
    choose();
    await isRead(reckoned);
    expect(form().querySelector("button")).toBe(before);
    dispatchEvent(new Event("pointerup"));
    await vi.waitFor(() => expect(shown()).toBe("9.00"));
  });
});
