import { SOME_DAY } from "~/core/goods/fixtures/day";
import { renderToStaticMarkup } from "react-dom/server";
import { describe, expect, it } from "vitest";
import { makeCollection, makeProduct, type Goods, type Product, type Review, type Variant } from "~/core/goods";
import type { Brand } from "~/core/document";
import { envOf } from "~/render";
import { contentWith, goods as fixtures, pictures } from "~/render/fixtures/content";
import { KINDS, makeNode } from ".";
import { EnvProvider, type KindEnv, type PageSubject } from "./parts";

// What parts of product and collection pages say of goods in every state that these can be in.

const variant = (id: string, size: string, more: Partial<Variant> = {}): Variant => ({
  id,
  values: [size],
  sku: "",
  price: null,
  compareAt: null,
  stock: null,
  barcode: "",
  weight: null,
  picture: null,
  availability: null,
  ...more,
});
const kite = (more: Partial<Product> = {}) => makeProduct({ id: "k", title: "Kite", price: 6400, ...more });
const sized = (variants: readonly Variant[], more: Partial<Product> = {}) =>
  kite({
    options: [{ name: "Size", picker: "buttons", values: variants.map((v) => ({ name: v.values[0]!, colour: null })) }],
    variants,
    ...more,
  });
const shopWith = (product: Product, more: Partial<Goods> = {}): Goods => ({
  products: [product],
  asOf: SOME_DAY,
  collections: [],
  digits: 2,
  ...more,
});

type How = {
  readonly props?: object;
  readonly arrangement?: string;
  readonly goods?: Goods;
  readonly studio?: boolean;
  readonly partsOf?: KindEnv["partsOf"];
  readonly brand?: Brand;
};

/** A part as it is drawn on a page, its markup; by `words` what is to be read there. */
function draw(
  kind: string,
  shown: PageSubject | undefined,
  { props = {}, arrangement, goods = fixtures, studio, partsOf = () => [], brand = {} }: How = {},
) {
  const { draft, ...rest } = contentWith([]);
  const content = { ...rest, draft: { ...draft, look: { ...draft.look, brand } }, goods };
  const found = KINDS.get(kind)!;
  const { View } = found;
  const html = renderToStaticMarkup(
    <EnvProvider value={{ ...envOf(content, content.draft, studio ? { editing: null } : undefined, shown), partsOf }}>
      <View
        props={{ ...makeNode(kind).props, ...props }}
        arrangement={arrangement ?? found.definition.arrangements[0].id}
        first={false}
      />
    </EnvProvider>,
  );
  const words = html
    .replace(/<(script|noscript)[\s\S]*?<\/\1>/g, "")
    .replace(/<[^>]*>/g, " ")
    .replace(/\s+/g, " ")
    .trim();
  return { html, words };
}
const product = (of: Product, how: How & { readonly variant?: Variant } = {}) => ({
  shown: { page: "product", product: of, variant: how.variant } satisfies PageSubject,
  how: { goods: shopWith(of), ...how },
});
const part = (kind: string, of: Product, more: How & { readonly variant?: Variant } = {}) => {
  const { shown, how } = product(of, more);
  return draw(kind, shown, how);
};

describe("a price", () => {
  const [small, large] = [variant("s", "S"), variant("l", "L", { price: 8400, compareAt: 9900 })];
  it.each([
    ["alone", kite(), undefined, "€64.00"],
    ["with what it was, where it is reduced", kite({ compareAt: 8000 }), undefined, "Now €64.00 was €80.00"],
    ["alone where it was less before", kite({ compareAt: 5000 }), undefined, "€64.00"],
    ["of the variant that is chosen", sized([small, large]), large, "Now €84.00 was €99.00"],
    ["of the first where none is chosen", sized([small, large]), undefined, "€64.00"],
  ] as const)("stands %s", (_what, of, chosen, words) => {
    expect(part("product-price", of, chosen ? { variant: chosen } : {}).words).toBe(words);
  });

  it("is followed by a note only where there is one", () => {
    expect(part("product-price", kite(), { props: { note: "with tax" } }).words).toBe("€64.00 with tax");
    expect(part("product-price", kite()).html).not.toContain("price-note");
  });
});

describe("whether it can be had", () => {
  it.each([
    [{ stock: 20 }, "in-stock", "In stock"],
    [{ stock: 2 }, "low", "Only a few left"],
    [{ stock: 0 }, "sold-out", "Sold out"],
    [{ stock: 0, oversell: true }, "in-stock", "In stock"],
    [{ availability: "coming-soon", availableFrom: "2031-03-14" }, "coming-soon", "Coming 14 March 2031"],
    [{ availability: "made-to-order", stock: 0 }, "made-to-order", "Made to order"],
    [{ availability: "collect-only" }, "collect-only", "Collect only"],
    [{ availability: "discontinued" }, "discontinued", "No longer made"],
    [
      { availability: "coming-soon", availableFrom: "2031-03-14", words: { "coming-soon": "On the bench" } },
      "coming-soon",
      "On the bench, 14 March 2031",
    ],
  ] as const)("of %j is %s: “%s”", (more, state, words) => {
    const drawn = part("product-state", kite(more));
    expect(drawn.words).toBe(words);
    expect(drawn.html).toContain(`data-state="${state}"`);
  });

  it("is in the shop's own words, unless the product has its own", () => {
    const goods = shopWith(kite({ stock: 0 }), { words: { "sold-out": "All flown off" } });
    expect(part("product-state", goods.products[0]!, { goods }).words).toBe("All flown off");
    const own = kite({ stock: 0, words: { "sold-out": "Back in May" } });
    expect(part("product-state", own, { goods: shopWith(own, { words: goods.words! }) }).words).toBe("Back in May");
  });
});

describe("buying", () => {
  const open = (html: string, form: string) =>
    new RegExp(`<form[^>]*(?:id|class)="${form}"[^>]*>`).exec(html)?.[0].includes("hidden") === false;

  it.each([
    ["what there is", { stock: 5 }, true, false],
    ["what is sold out", { stock: 0 }, false, true],
    ["what is yet to come", { availability: "coming-soon", availableFrom: "2031-03-14" }, false, true],
    ["what is made to order", { availability: "made-to-order" }, true, false],
    ["what is no longer made", { availability: "discontinued" }, false, false],
  ] as const)("%s is offered, or to be told of it, as it has to be", (_what, more, buys, asks) => {
    const { html } = part("product-buy", kite(more));
    expect([open(html, "buy"), open(html, "tell")]).toEqual([buys, asks]);
  });

  it("goes up to what there is, and to 99 where that is not counted", () => {
    expect(part("product-buy", kite({ stock: 3 })).html).toContain('max="3"');
    expect(part("product-buy", kite({ stock: null })).html).toContain('max="99"');
    expect(part("product-buy", kite({ stock: 3 }), { props: { count: false } }).html).not.toContain('name="count"');
  });

  it("tells the script what the page would say of each variant, and no text of the seller's ends it early", () => {
    const of = sized([variant("s", "S"), variant("l", "</script><b>L", { price: 8400, compareAt: 9900, stock: 0 })]);
    const { html } = part("product-buy", of);
    const data = /<script[^>]*class="variants"[^>]*>([\s\S]*?)<\/script>/.exec(html)![1]!;
    expect(JSON.parse(data)).toEqual([
      {
        id: "s",
        values: ["S"],
        price: "€64.00",
        was: "",
        state: "in-stock",
        words: "In stock",
        can: true,
        most: 0,
        picture: "",
      },
      {
        id: "l",
        values: ["</script><b>L"],
        price: "€84.00",
        was: "€99.00",
        state: "sold-out",
        words: "Sold out",
        can: false,
        most: 0,
        picture: "",
      },
    ]);
  });
});

describe("what there is to know", () => {
  const of = kite({
    description: "Flies.",
    attributes: { "Span (cm)": "190", Material: "Ripstop|Glass fibre" },
    specification: [{ name: "In the bag", value: "Kite & tail" }],
  });
  const props = { description: "About it", facts: "In numbers", more: [{ head: "Care", text: "Dry it." }] };

  it("is written below each other, folded, or as tabs, each with the same parts in the same order", () => {
    for (const { id } of KINDS.get("product-details")!.definition.arrangements) {
      const { words } = part("product-details", of, { props, arrangement: id });
      expect(words, id).toBe(
        "About it Flies. In numbers Span 190 cm Material Ripstop, Glass fibre In the bag Kite &amp; tail Care Dry it.",
      );
    }
    const { html } = part("product-details", of, { props, arrangement: "folded" });
    expect(html.match(/<details/g)).toHaveLength(3);
    expect(html.match(/<details[^>]*open/g)).toHaveLength(1);
  });

  it("leaves out what is empty, and itself where all of it is", () => {
    const bare = kite();
    expect(part("product-details", bare, { props }).words).toBe("Care Dry it.");
    expect(part("product-details", bare, { props: { ...props, more: [] } }).html).toBe("");
    expect(part("product-details", of, { props: { ...props, facts: "", more: [] } }).words).toBe("About it Flies.");
    // One alone is no tab.
    expect(
      part("product-details", of, { props: { ...props, facts: "", more: [] }, arrangement: "tabs" }).html,
    ).not.toContain("zest-tabs");
  });
});

describe("pictures and a film", () => {
  const ids = pictures.slice(0, 2).map((p) => p.id);
  const file = `${"a".repeat(64)}.mp4`;
  const inOrder = (html: string) =>
    [...html.matchAll(/class="shot" id="shot-[\w-]*?(\d)"[^>]*>\s*<(\w+)/g)].map((m) =>
      m[2] === "video" ? "film" : "picture",
    );

  it("stand in the seller's order, each said to those who don't see it", () => {
    for (const [after, order] of [
      [0, ["film", "picture", "picture"]],
      [1, ["picture", "film", "picture"]],
      // After more pictures than there are is last.
      [9, ["picture", "picture", "film"]],
    ] as const) {
      const { html } = part("gallery", kite({ pictures: ids, video: { file, after } }));
      expect(inOrder(html)).toEqual(order);
      expect(html).toContain('aria-label="Film of Kite"');
      expect(html.match(/<li\b/g)).toHaveLength(3);
    }
    const said = part("gallery", kite({ pictures: ids, video: { file, after: 1, alt: "It climbs off the pier" } }));
    expect(said.html).toContain('aria-label="It climbs off the pier"');
  });

  it("are one where there is one, and a place for it where there is none", () => {
    const alone = part("gallery", kite({ pictures: ids.slice(0, 1) })).html;
    expect([inOrder(alone).length, alone.includes("thumbs")]).toEqual([1, false]);
    expect(inOrder(part("gallery", kite()).html)).toHaveLength(1);
  });
});

describe("a choice of variant", () => {
  const variants = [variant("s", "S", { stock: 0 }), variant("m", "M"), variant("l", "L", { stock: 2 })];
  it("shows every value, the one that is chosen, and what can't be had", () => {
    const of = sized(variants);
    const { html, words } = part("product-options", of, { variant: variants[1]! });
    expect(words).toContain("Size: M");
    expect(html.match(/type="radio"/g)).toHaveLength(3);
    expect(html).toMatch(/value="M"[^>]*checked|checked[^>]*value="M"/);
    expect(html.match(/data-state="unavailable"/g)).toHaveLength(1);
    expect(words).toContain(", sold out");
  });

  it("is a list where the seller wishes for one, and swatches where there are colours", () => {
    const list = sized(variants, {
      options: [{ name: "Size", picker: "list", values: ["S", "M", "L"].map((name) => ({ name, colour: null })) }],
    });
    expect(part("product-options", list).html).toContain("<select");
    const colours = sized(variants, {
      options: [
        { name: "Size", picker: "swatches", values: ["S", "M", "L"].map((name) => ({ name, colour: "#aa3300" })) },
      ],
    });
    expect(part("product-options", colours).html.match(/fill="#aa3300"/g)).toHaveLength(3);
    const shown = sized(
      variants.map((v) => ({ ...v, picture: pictures[0]!.id })),
      {
        options: [
          { name: "Size", picker: "pictures", values: ["S", "M", "L"].map((name) => ({ name, colour: null })) },
        ],
      },
    );
    expect(part("product-options", shown).html.match(/<img/g)).toHaveLength(3);
  });

  it("of a product without any is nothing in the shop, and says so in the studio", () => {
    expect(part("product-options", kite()).html).toBe("");
    expect(part("product-options", kite(), { studio: true }).words).toBe(
      "This product has no variants to choose from.",
    );
  });
});

describe("stars and reviews", () => {
  const review = (id: string, stars: number, more: Partial<Review> = {}): Review => ({
    id,
    product: "k",
    stars: stars,
    title: "",
    text: `Text ${id}`,
    name: "Ann",
    state: "shown",
    answer: "",
    at: "2026-03-01T10:00:00.000Z",
    ...more,
  });
  const reviews = [review("a", 5, { title: "Up", answer: "Thanks." }), review("b", 4), review("c", 4), review("d", 1)];
  const of = kite({ rating: { average: 3.5, count: 4 } });
  const goods = shopWith(of, { reviews: { k: reviews } });

  it("are an average with how many gave one, and lead to what was written", () => {
    const { html, words } = part("product-rating", of, { goods, partsOf: (kind) => (kind === "reviews" ? ["r"] : []) });
    expect(words).toBe("3.5 of 5 from 4 reviews");
    expect(html).toContain('href="#reviews-r"');
    // On a page without reviews there is nothing to lead to.
    expect(part("product-rating", of, { goods }).html).not.toContain("href");
    expect(html.match(/is-off/g)).toHaveLength(1);
    expect(html.match(/is-half/g)).toHaveLength(1);
    expect(part("product-rating", kite()).html).toBe("");
    expect(part("product-rating", kite(), { studio: true }).words).toBe("Stars stand here once there is a review.");
  });

  it("are counted star by star, told in words, answered, and folded after as many as are wished for", () => {
    const { html, words } = part("reviews", of, { goods, props: { most: 3 } });
    const bars = [...html.matchAll(/<progress value="(\d+)" max="4" aria-label="(\d) stars"/g)].map((m) => [
      m[2],
      m[1],
    ]);
    expect(bars).toEqual([
      ["5", "1"],
      ["4", "2"],
      ["3", "0"],
      ["2", "0"],
      ["1", "1"],
    ]);
    expect(words).toContain("Up Text a Ann, 1 March 2026");
    expect(words).toContain("answers Thanks.");
    expect(words).toContain("One more");
    expect(words.indexOf("Text d")).toBeGreaterThan(words.indexOf("One more"));
    // Of very many the page has the latest alone; its bars are of all.
    const many = kite({ rating: { average: 4, count: 200, each: [10, 10, 20, 60, 100] } });
    const { html: all } = part("reviews", many, { goods: shopWith(many, { reviews: { k: reviews } }) });
    expect(all).toContain('<progress value="100" max="200" aria-label="5 stars"');
    const none = part("reviews", kite(), { props: { empty: "Be the first." } });
    expect(none.words).toContain("Be the first.");
    expect(none.html).toContain('action="/reviews"');
  });
});

describe("where one is, and what stands around it", () => {
  const collections = [
    makeCollection({ id: "a", title: "Kites", slug: "kites", description: "All of them.", picture: pictures[0]!.id }),
    makeCollection({ id: "b", title: "For gales", slug: "gales", parent: "a" }),
  ];
  const of = kite({ collections: ["b"] });
  const goods = shopWith(of, { collections });
  const on = (collection: (typeof collections)[number] | undefined): PageSubject => ({
    page: "collection",
    collection,
    query: { wanted: {}, from: null, to: null, now: false, reduced: false, sort: null, page: 1 },
    address: "/",
  });

  it("is said from the start to the page itself, with a way to all but that", () => {
    const { html, words } = part("trail", of, { goods });
    expect(words).toBe("Home Kites For gales Kite");
    expect([...html.matchAll(/href="([^"]*)"/g)].map((m) => m[1])).toEqual([
      "/",
      "/collections/kites",
      "/collections/gales",
    ]);
    expect(html).toContain('<span aria-current="page">Kite</span>');
    expect(draw("trail", on(collections[1]), { goods }).words).toBe("Home Kites For gales");
    expect(draw("trail", on(undefined), { goods }).words).toBe("Home Everything");
  });

  it("has the collection's own words and picture at its head, or those for everything", () => {
    for (const { id } of KINDS.get("collection-head")!.definition.arrangements) {
      const { html, words } = draw("collection-head", on(collections[0]), {
        goods,
        arrangement: id,
        props: { trail: false },
      });
      expect(words, id).toBe("Kites All of them.");
      expect(html.match(/<h1/g)).toHaveLength(1);
    }
    const all = draw("collection-head", on(undefined), { goods, props: { everything: "The whole shop", trail: true } });
    expect(all.words).toContain("The whole shop");
  });

  it("has the collections inside of it as ways on; none say nothing to shoppers", () => {
    const tiles = draw("collection-inside", on(collections[0]), { goods });
    expect(tiles.html).toContain('href="/collections/gales"');
    expect(draw("collection-inside", on(collections[1]), { goods }).html).toBe("");
    expect(draw("collection-inside", on(collections[1]), { goods, studio: true }).words).toContain(
      "No collection stands inside",
    );
    expect(draw("collection-inside", on(undefined), { goods }).html).toContain('href="/collections/kites"');
  });
});

describe("goods that go with it", () => {
  const other = (id: string, more: Partial<Product> = {}) =>
    makeProduct({ id, title: `Other ${id}`, price: 100, ...more });
  it("are those that were chosen, then what is bought together; what can't be had only if it was chosen", () => {
    const of = kite({ related: ["c"] });
    const goods: Goods = {
      asOf: SOME_DAY,
      products: [of, other("a"), other("b", { availability: "sold-out" }), other("c", { stock: 0 })],
      collections: [],
      together: {
        k: ["a", "b"].map((id) => ({ id, count: 4, support: 0.1, confidence: 0.5, lift: 3 })),
      },
    };
    const { html } = part("goes-with", of, { goods, props: { heading: "Goes well" } });
    expect([...html.matchAll(/>(Other \w)</g)].map((m) => m[1])).toEqual(["Other c", "Other a"]);
  });

  it("are left out whole where there are none, and the studio says what to do", () => {
    expect(part("goes-with", kite()).html).toBe("");
    expect(part("goes-with", kite(), { studio: true }).words).toContain("Choose something under Goods.");
  });
});

describe("messages for chosen goods", () => {
  const text = "Bring a partner.";
  const goodsOf = (chosen: object) => ({
    props: { text, goods: { products: [], collections: [], tags: [], ...chosen } },
  });
  const collections = [
    makeCollection({
      id: "dear",
      title: "Dear",
      rules: { all: true, rules: [{ field: "price", op: "from", value: "50" }] },
    }),
  ];
  const of = kite({ tags: ["Two-Line"] });
  const goods = shopWith(of, { collections });

  it.each([
    ["all, where none are chosen", {}, true],
    ["a product by itself", { products: ["k"] }, true],
    ["another product", { products: ["x"] }, false],
    ["a tag, however it is written", { tags: ["two-line"] }, true],
    ["a collection that its rules put it into", { collections: ["dear"] }, true],
    ["a collection that is gone", { collections: ["gone"] }, false],
  ])("for %s stand there, or not", (_what, chosen, stands) => {
    expect(part("product-message", of, { goods, ...goodsOf(chosen) }).words.includes(text)).toBe(stands);
    const studio = part("product-message", of, { goods, ...goodsOf(chosen), studio: true }).words;
    expect(studio.includes("Not beside this product.")).toBe(!stands);
  });
});

describe("promises", () => {
  const signs = [
    { sign: "parcel", words: "Leaves us tomorrow" },
    { sign: "mend", words: "Mended here" },
    { sign: "leaf", words: "" },
  ];
  const said = (of: Product) => {
    const { shown, how } = product(of);
    return draw("assurances", shown, { ...how, props: { signs } }).words;
  };

  it("of sending stand beside what can be sent, and beside nothing else", () => {
    expect(said(kite({ stock: 5 }))).toBe("Leaves us tomorrow Mended here");
    for (const more of [
      { stock: 0 },
      { availability: "coming-soon" },
      { availability: "made-to-order" },
      { availability: "collect-only" },
      { availability: "discontinued" },
    ] as const)
      expect(said(kite(more)), JSON.stringify(more)).toBe("Mended here");
  });

  it("are none in the shop until somebody has written one", () => {
    const blank = signs.map((s) => ({ ...s, words: "" }));
    expect(draw("assurances", undefined, { props: { signs: blank } }).html).toBe("");
    expect(draw("assurances", undefined, { props: { signs: blank }, studio: true }).html).toContain("data-hint");
  });
});

describe("a section of goods", () => {
  const products = ["A", "B", "C"].map((title, i) =>
    makeProduct({
      id: title,
      title,
      price: 1000 + i,
      compareAt: 2000,
      stock: 3,
      rating: { average: 4, count: 2, each: [0, 0, 0, 2, 0] },
    }),
  );
  const goods: Goods = { products, asOf: SOME_DAY, collections: [], digits: 2 };
  const titles = (props: object) =>
    [...draw("product-grid", undefined, { goods, props }).html.matchAll(/products\/[^"]*">(\w)</g)].map((m) => m[1]);

  it("shows what was picked by hand, in that order; what has gone is left out, and without any pick all of them", () => {
    expect(titles({ products: ["C", "gone", "A"] })).toEqual(["C", "A"]);
    expect(titles({ products: ["C", "A", "B"], most: 2 })).toEqual(["C", "A"]);
    expect(titles({ products: ["gone"] }).toSorted()).toEqual(["A", "B", "C"]);
  });

  it("has cards that say what the brand lets them say", () => {
    const said = (brand: Brand) => draw("product-grid", undefined, { goods, brand }).html;
    expect(said({})).toMatch(/class="rating"[\s\S]*€20\.00/);
    expect(said({ "goods.rating": false })).not.toContain('class="rating"');
    expect(said({ "goods.compareAt": false })).not.toContain("€20.00");
    expect(said({ "goods.compareAt": false })).toContain("€10.00");
    expect(said({ "goods.price": false, "goods.rating": false })).not.toContain("card-end");
  });
});
