// @vitest-environment jsdom
// @vitest-environment-options {"url": "http://shop.localhost/account"}
import { beforeAll, describe, expect, it, vi } from "vitest";

const sent = vi.fn();
beforeAll(async () => {
  document.cookie = "items=3";
  document.body.innerHTML = `<span class="cart-n" hidden></span>
<form action="/account/address" method="post"><input name="name" value="Ada">
<select name="country" data-sends="country"><option>IE</option><option>DE</option></select>
<select name="other"><option>1</option><option>2</option></select></form>
<details class="drop" open><summary>Menu</summary><a href="/">Home</a></details>`;
  vi.spyOn(HTMLFormElement.prototype, "submit").mockImplementation(function (this: HTMLFormElement) {
    sent([...new FormData(this)].map(([name, value]) => `${name}=${String(value)}`));
  });
  await import("./index");
});

const choose = (name: string, value: string) => {
  const select = document.querySelector<HTMLSelectElement>(`[name=${name}]`)!;
  select.value = value;
  select.dispatchEvent(new Event("change", { bubbles: true }));
};

describe("the script that every page has", () => {
  it("sends a form whose other fields depend on a choice, and says what for", () => {
    choose("other", "2");
    expect(sent).not.toHaveBeenCalled();
    choose("country", "DE");
    expect(sent).toHaveBeenCalledExactlyOnceWith(["name=Ada", "country=DE", "other=2", "do=country"]);
  });

  it("says how much is in the cart", () => {
    const badge = document.querySelector<HTMLElement>(".cart-n")!;
    expect([badge.textContent, badge.hidden]).toEqual(["3", false]);
  });

  it("closes what is open over the page by Escape, and gives the hand back to what opened it", () => {
    const drop = document.querySelector<HTMLDetailsElement>(".drop")!;
    document.dispatchEvent(new KeyboardEvent("keydown", { key: "Escape", bubbles: true }));
    expect(drop.open).toBe(false);
    expect(document.activeElement).toBe(drop.querySelector("summary"));
    drop.open = true;
    drop.querySelector("a")!.dispatchEvent(new MouseEvent("click", { bubbles: true }));
    expect(drop.open).toBe(true);
    document.body.dispatchEvent(new MouseEvent("click", { bubbles: true }));
    expect(drop.open).toBe(false);
  });
});
