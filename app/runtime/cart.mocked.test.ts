// @vitest-environment jsdom
// @vitest-environment-options {"url": "http://shop.localhost/cart?in=side"}
import { afterEach, beforeAll, beforeEach, describe, expect, it, vi } from "vitest";
import { placed } from "./beside";
import { Cart } from "./cart";

/** A cart whose parts stand in two sections, as the server draws it. */
const page = (count: number, head: string, more = "") => `<main id="main"><section class="s-cart-head">${head}</section>
<section class="s-freehand"><zest-cart><form action="/cart/change"><input type="hidden" name="product" value="kite">
<button name="step" value="1" aria-label="One more of Kite">+</button><input type="number" name="count" value="${count}" max="9"></form></zest-cart>
<zest-cart><p class="cart-total">Total €${count}.00</p></zest-cart></section>${more}</main>`;
const HEAD = '<zest-cart><p class="message unseen" role="status" data-state="done"></p></zest-cart>';

let answers: ((address: string, body: string) => Response)[] = [];
const asked: string[] = [];
beforeAll(() => {
  customElements.define("zest-cart", Cart);
  HTMLFormElement.prototype.requestSubmit = function (submitter) {
    this.dispatchEvent(new SubmitEvent("submit", { bubbles: true, cancelable: true, submitter: submitter as never }));
  };
  vi.stubGlobal("fetch", async (address: string, init?: RequestInit) => {
    const { pathname, search } = new URL(address, location.origin);
    asked.push(pathname + search);
    return answers.shift()!(address, String(init?.body ?? ""));
  });
});
beforeEach(() => {
  asked.length = 0;
});
afterEach(() => {
  document.body.innerHTML = "";
});

const html = (body: string) => () => new Response(body, { headers: { "Content-Type": "text/html" } });
const json = (body: object) => () => Response.json(body);
const press = () => {
  const button = document.querySelector<HTMLButtonElement>("[name=step]")!;
  button.focus();
  button.form!.requestSubmit(button);
};
const status = () => document.querySelector<HTMLElement>("[role=status]");

describe("the parts of a cart", () => {
  it("all take over what came of a press in one of them, what tells of it stays itself, and the hand where it was", async () => {
    document.body.innerHTML = page(1, HEAD);
    const told = status()!;
    let body = "";
    answers = [
      (_address, sent) => {
        body = sent;
        return Response.json({ ok: true, text: "", count: 2, page: "/cart" });
      },
      html(page(2, HEAD)),
    ];
    press();
    expect(document.querySelectorAll("zest-cart[aria-busy]")).toHaveLength(3);
    await vi.waitFor(() => expect(document.querySelector(".cart-total")!.textContent).toBe("Total €2.00"));
    expect(new URLSearchParams(body).get("count")).toBe("2");
    expect(status()).toBe(told);
    expect(told.textContent).toBe("Total €2.00");
    expect(told.className).toBe("message unseen");
    expect(document.activeElement!.getAttribute("aria-label")).toBe("One more of Kite");
    expect(document.querySelectorAll("[aria-busy]")).toHaveLength(0);
    // At the side of another page it stays there.
    expect(asked).toEqual(["/cart/change", "/cart?in=side"]);
  });

  it("say what went wrong where the head, which has a place for that, was taken out", async () => {
    document.body.innerHTML = page(1, "");
    answers = [json({ ok: false, text: "That was a little too often" }), html(page(1, ""))];
    press();
    await vi.waitFor(() => expect(status()?.textContent).toBe("That was a little too often"));
    expect(status()!.dataset.state).toBe("failed");
    expect(status()!.classList.contains("unseen")).toBe(false);
    answers = [json({ ok: true, text: "", count: 2 }), html(page(2, ""))];
    press();
    await vi.waitFor(() => expect(status()?.textContent).toBe("Total €2.00"));
    expect(status()!.classList.contains("unseen")).toBe(true);
    expect(document.querySelectorAll("[role=status]")).toHaveLength(1);
  });
});

it("an address of the cart is seen where the cart is seen", () => {
  expect(placed("/cart")).toBe("/cart?in=side");
  expect(placed("/cart?gone=kite&count=2")).toBe("/cart?gone=kite&count=2&in=side");
});
