import { describe, expect, it } from "vitest";
import { addOffer } from "~/core/commands";
import { after } from "~/core/fixtures/outcomes";
import { offersOf } from "~/core/offers";
import { FIRST_VISIT } from "~/core/situation";
import { cartCases, cartShown, inCartOf } from "./cart-target";
import { contentWith } from "./fixtures/content";
import { renderPage } from "./document";
import { NOT_FOUND, seenAt, situationOn, targetAt, type Target } from "./target";

const content = contentWith([]);
const { goods } = content;
const { documents } = content.draft;
const SCRIPTS = { every: "/every.js", goods: "/goods.js" };
const page = (target: Target, given = content) => renderPage(target, given, "http://shop.localhost", SCRIPTS).html;
const now = { now: Date.UTC(2026, 11, 1), timeZone: "Europe/London", person: FIRST_VISIT };
const at = (address: string | null) => cartShown(goods, [], address);

describe("a cart to look at", () => {
  it("has something in it, and each hard case its own address", () => {
    expect(at(null).lines.length).toBeGreaterThan(1);
    expect(at("/cart?case=nonsense")).toEqual(at(null));
    expect(at("/cart?case=constructor")).toEqual(at(null));
    for (const { address } of cartCases(goods, [])) expect(at(address)).not.toEqual(at(null));
    // A shop without goods is shown what it will be like.
    const none = { ...goods, products: [] };
    expect(cartShown(none, [], null).lines.map(({ product }) => product.id)).toEqual(["none"]);
    expect(cartCases(none, []).map(({ name }) => name)).toEqual([
      "Nothing in it",
      "Sold out meanwhile",
      "Just put in",
      "Just taken out",
    ]);
  });

  it("is what the studio shows at its address, and never what shoppers get for one", () => {
    expect(seenAt("/cart", new URLSearchParams(), documents, goods)).toEqual(at(null));
    expect(seenAt("/cart", new URLSearchParams("case=empty"), documents, goods)).toEqual(at("/cart?case=empty"));
    expect(targetAt("/cart", new URLSearchParams(), documents, goods)).toEqual(NOT_FOUND);
    expect(seenAt("/search", new URLSearchParams("q=kite"), documents, goods)).toEqual(
      targetAt("/search", new URLSearchParams("q=kite"), documents, goods),
    );
  });

  it("comes with a code where the shop has one that is on", () => {
    const coded = after(
      content.draft,
      addOffer(content.draft, "Tenth", { gives: { sort: "percent", off: 1000, on: "all" }, code: "TENTH" }),
    );
    expect(cartCases(goods, []).some(({ name }) => name === "With a code")).toBe(false);
    const found = cartCases(goods, offersOf(coded.documents)).find(({ name }) => name === "With a code");
    expect(cartShown(goods, offersOf(coded.documents), found!.address).codes).toEqual(["TENTH"]);
  });

  it("is what conditions are asked with, whatever else whoever looks has", () => {
    const target = at(null);
    const { person } = situationOn(target, documents, now);
    expect(person.cart).toEqual(inCartOf(target.lines));
    expect(person.cart.count).toBe(target.lines.reduce((sum, { count }) => sum + count, 0));
    expect(situationOn({ page: "home" }, documents, now).person).toEqual(FIRST_VISIT);
  });
});

describe("the cart's page", () => {
  const given = { ...content, situation: now };

  it("shows what is in it and the sum, or, with nothing in it, ways on", () => {
    const full = page(at(null), given);
    expect(full.match(/class="cart-line"/g)).toHaveLength(at(null).lines.length);
    expect(full).toContain("cart-total");
    expect(full).not.toContain("There is nothing in it yet");
    const empty = page(at("/cart?case=empty"), given);
    expect(empty).toContain("There is nothing in it yet");
    expect(empty).not.toMatch(/cart-total|cart-line|goes-with/);
    // Each is told what it is by one heading.
    for (const html of [full, empty]) expect(html.match(/<h1/g)).toHaveLength(1);
  });

  it("offers what goes with it, and nothing of it once more", () => {
    const [first, second] = at(null).lines;
    const pair = { id: second!.product.id, count: 3, support: 1, confidence: 1, lift: 1 };
    const together = { [first!.product.id]: [pair] };
    const target: Target = { page: "cart", lines: [first!] };
    const html = page(target, { ...given, goods: { ...goods, together } });
    const beside = html.slice(html.search(/<section class="[^"]*s-goes-with/));
    expect(beside).toContain('class="card');
    expect(beside).not.toContain(`href="/products/${first!.product.slug}"`);
  });

  it("keeps a seller’s own code and what lies over pages away from whoever is buying", () => {
    expect(page(at(null), given)).not.toMatch(/<dialog|<iframe|code\.example/);
  });
});
