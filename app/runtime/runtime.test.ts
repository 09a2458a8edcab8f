// @vitest-environment jsdom
import { afterEach, beforeAll, beforeEach, describe, expect, it, vi } from "vitest";

const PAGE = `
  <details class="drop"><summary>Menu</summary><nav><a href="/x">X</a></nav></details>
  <zest-sign-up><form method="post" action="/sign-up">
    <input name="address" value="a@b.example"><button type="submit">Sign up</button><p class="message" role="status"></p>
  </form></zest-sign-up>`;

const message = () => document.querySelector<HTMLElement>(".message")!;
const button = () => document.querySelector("button")!;
const menu = () => document.querySelector("details")!;
const submit = async () => {
  const event = new SubmitEvent("submit", { cancelable: true, bubbles: true });
  document.querySelector("form")!.dispatchEvent(event);
  await vi.waitFor(() => expect(button().disabled).toBe(false));
  return event;
};

beforeAll(async () => {
  document.body.innerHTML = PAGE;
  await import(".");
});
beforeEach(() => {
  message().textContent = "";
  delete message().dataset.state;
});
afterEach(() => vi.unstubAllGlobals());

describe("signing up with a script", () => {
  it("sends what a plain form would, stays on the page, and says what the shop says", async () => {
    const fetched = vi.fn(async () => Response.json({ ok: true, text: "You are on the list." }));
    vi.stubGlobal("fetch", fetched);
    const event = await submit();
    expect(event.defaultPrevented).toBe(true);
    const [address, init] = fetched.mock.calls[0] as unknown as [string, RequestInit];
    expect(new URL(address).pathname).toBe("/sign-up");
    expect(init.method).toBe("POST");
    expect(String(init.body as URLSearchParams)).toBe("address=a%40b.example");
    expect([message().textContent, message().dataset.state]).toEqual(["You are on the list.", "done"]);
  });

  it("says what was wrong, and lets the shopper try again", async () => {
    vi.stubGlobal("fetch", async () =>
      Response.json({ ok: false, text: "That is not a mail address." }, { status: 422 }),
    );
    await submit();
    expect([message().textContent, message().dataset.state]).toEqual(["That is not a mail address.", "failed"]);
    expect(button().disabled).toBe(false);
  });

  it("says so when nothing comes back", async () => {
    vi.stubGlobal("fetch", () => Promise.reject(new TypeError("no network")));
    await submit();
    expect(message().textContent).toBe("That did not go through. Please try again in a moment.");
  });
});

describe("the phone menu", () => {
  it("closes on Escape and gives the focus back", () => {
    menu().open = true;
    document.dispatchEvent(new KeyboardEvent("keydown", { key: "Escape" }));
    expect(menu().open).toBe(false);
    expect(document.activeElement).toBe(menu().querySelector("summary"));
  });

  it("closes when something else is touched, not when it is touched itself", () => {
    menu().open = true;
    menu()
      .querySelector("a")!
      .addEventListener("click", (e) => e.preventDefault(), { once: true });
    menu().querySelector("a")!.click();
    expect(menu().open).toBe(true);
    message().click();
    expect(menu().open).toBe(false);
  });
});
