import { SOME_DAY } from "~/core/goods/fixtures/day";
import { renderToStaticMarkup } from "react-dom/server";
import { describe, expect, it } from "vitest";
import { makeCollection, makeProduct, NO_QUERY, searchGoods, type Goods, type GoodsQuery } from "~/core/goods";
import { EnvProvider, type PageSubject } from "../parts";
import { contentWith } from "~/render/fixtures/content";
import { envOf } from "~/render";
import { definition, type GoodsListProps } from "./definition";
import { pageNumbers, View } from "./view";

const SIZES = ["S", "M", "L"];
const collection = makeCollection({ id: "c", title: "Kites" });
const goods: Goods = {
  asOf: SOME_DAY,
  collections: [collection],
  digits: 2,
  products: Array.from({ length: 30 }, (_, i) =>
    makeProduct({
      id: `p${i}`,
      title: `Kite ${i}`,
      price: 1000 + i * 100,
      stock: i % 5,
      compareAt: i % 10 ? null : 9000,
      collections: ["c"],
      attributes: { Size: SIZES[i % 3]!, "Span (cm)": String(50 + i * 10) },
    }),
  ),
};

/** The list as a shopper gets it, its words without tags, and where its links lead. */
function drawn(query: Partial<GoodsQuery>, props: Partial<GoodsListProps> = {}, sought?: string) {
  const content = { ...contentWith([]), goods };
  const asked = { ...NO_QUERY, ...query };
  const shown: PageSubject =
    sought === undefined
      ? { page: "collection", collection, query: asked, address: "/collections/c" }
      : { page: "search", sought, found: searchGoods(goods, sought), query: asked, address: "/search" };
  const html = renderToStaticMarkup(
    <EnvProvider value={envOf(content, content.draft, undefined, shown)}>
      <View props={{ ...definition.defaults, ...props }} arrangement="side" first={false} />
    </EnvProvider>,
  );
  const links = [...html.matchAll(/<a [^>]*href="([^"]*)"[^>]*>(.*?)<\/a>/g)].map(
    ([, href, words]) => [words!.replace(/<[^>]*>/g, "").trim(), href!.replaceAll("&amp;", "&")] as const,
  );
  return {
    html,
    to: (words: string) => links.find(([w]) => w === words)?.[1],
    cards: html.split("card-title").length - 1,
  };
}

describe("the numbers of pages", () => {
  it.each([
    [1, 1, [1]],
    [1, 3, [1, 2, 3]],
    [2, 5, [1, 2, 3, 4, 5]],
    [1, 9, [1, 2, 0, 9]],
    [5, 9, [1, 0, 4, 5, 6, 0, 9]],
    [4, 9, [1, 2, 3, 4, 5, 0, 9]],
    [9, 9, [1, 0, 8, 9]],
  ])("on page %i of %i are %j", (page, pages, numbers) => expect(pageNumbers(page, pages)).toEqual(numbers));

  it("hold the first, the last and the present one, in order, and leave out no single page", () => {
    for (let pages = 1; pages <= 20; pages++)
      for (let page = 1; page <= pages; page++) {
        const numbers = pageNumbers(page, pages);
        const real = numbers.filter((n) => n > 0);
        expect(real).toEqual([...new Set(real)].sort((a, b) => a - b));
        expect([real[0], real.at(-1), real.includes(page)]).toEqual([1, pages, true]);
        numbers.forEach((n, i) => n === 0 && expect(numbers[i + 1]! - numbers[i - 1]!).toBeGreaterThan(2));
      }
  });
});

describe("a list of goods", () => {
  it("says how many there are, and shows as many as are wished for", () => {
    const { html, cards, to } = drawn({}, { perPage: 8 });
    expect(html).toContain("30 products");
    expect(cards).toBe(8);
    expect([to("2"), to("4"), to("Next"), to("Back")]).toEqual([
      "/collections/c?page=2",
      "/collections/c?page=4",
      "/collections/c?page=2",
      undefined,
    ]);
  });

  it("has chips that say what is asked for and take just that back", () => {
    const { to } = drawn({ wanted: { size: ["S", "M"] }, from: 1500, to: 3000, now: true, page: 2 });
    expect(to("Size: S ×")).toBe("/collections/c?size=M&from=15&to=30&now=1");
    expect(to("Price: €15.00 to €30.00 ×")).toBe("/collections/c?size=M&size=S&now=1");
    expect(to("Can be bought now ×")).toBe("/collections/c?size=M&size=S&from=15&to=30");
    expect(to("Clear all")).toBe("/collections/c");
    expect(drawn({ from: 1500 }).to("Price: from €15.00 ×")).toBe("/collections/c");
    expect(drawn({ to: 3000, sort: "name" }).to("Price: up to €30.00 ×")).toBe("/collections/c?sort=name");
    expect(drawn({ reduced: true }).to("Reduced ×")).toBe("/collections/c");
  });

  it("offers what the seller chose to offer, and nothing else", () => {
    const bare = drawn({}, { filters: [], price: false, now: false, reduced: false, sort: false, count: false }).html;
    for (const part of ["<form", "<select", "30 products"]) expect(bare).not.toContain(part);
    const some = drawn({}, { filters: ["Size"], price: false }).html;
    expect(some).toContain("<legend>Size");
    expect(some).not.toContain("<legend>Span");
    expect(some).not.toContain('name="from"');
    // Many numbers are spans; each of the choices bears its own count.
    const all = drawn({}).html;
    expect(all).toMatch(/value="50–100"[^>]*\/?>50–100 <small>5<\/small>/);
  });

  it("leads on by “Show more” where that is wished for, until there is no more", () => {
    const more = drawn({ page: 2 }, { perPage: 12, paging: "more" });
    expect(more.html).toContain("24 of 30");
    expect(more.to("Show more")).toBe("/collections/c?page=3");
    expect(drawn({ page: 3 }, { perPage: 12, paging: "more" }).to("Show more")).toBeUndefined();
  });

  it("that nothing fits says so in the seller's words, and leads back", () => {
    const none = drawn({ from: 900_000 }, { empty: "Not a thing." });
    expect(none.html).toContain("Not a thing.");
    expect(none.to("Clear all")).toBe("/collections/c");
  });

  it("of a search keeps what was looked for in every address", () => {
    const found = drawn({ wanted: { size: ["S"] } }, { perPage: 4 }, "kite");
    expect(found.html).toContain("10 products for “kite”");
    expect(found.to("2")).toBe("/search?q=kite&size=S&page=2");
    expect(found.html).toContain('<input type="hidden" name="q" value="kite"/>');
    expect(found.html).toContain("Best fit");
    // Whoever has asked for nothing yet is shown ways on.
    const blank = drawn({}, {}, "");
    expect(blank.to("Everything")).toBe("/collections/all");
    expect(blank.cards).toBe(4);
    const some = drawn({}, {}, "kite sausage").html;
    expect(some).toContain("Nothing has all of “kite sausage”.");
    const none = drawn({}, {}, "xylophone");
    expect(none.html).toContain("Nothing fits “xylophone”.");
    expect(none.to("Kites")).toBe("/collections/c");
    expect(none.to("Everything")).toBe("/collections/all");
  });
});
