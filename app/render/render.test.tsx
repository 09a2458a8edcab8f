import { describe, expect, it } from "vitest";
import fc from "fast-check";
import type { Brand } from "~/core/document";
import { NOTHING_GIVEN } from "~/core/checkout";
import { NO_QUERY } from "~/core/goods";
import { PROPERTIES, resolve } from "~/core/cascade";
import { makeNode, problemOf } from "~/kinds";
import { oneOfEachKind } from "./fixtures/as-theme";
import { contentWith, contentWithPart, everyLayoutPart, everySection, goods } from "./fixtures/content";
import { invalidIn, withoutAround } from "./fixtures/validator";
import { THEMES, themeById } from "~/themes";
import { hardCases, renderPage, seenAt, nodeCss, nodeLayers, type Target } from ".";

const SCRIPTS = { every: "/assets/shop.js", goods: "/assets/goods.js" };
const ORIGIN = "http://shop.localhost:4311";
const render = (
  target: Target,
  main = everySection.filter((s) => s.slot === "main").map((s) => s.node),
  theme = "pomelo",
) => renderPage(target, contentWith(main, theme), ORIGIN, SCRIPTS);

const BOUGHT = [{ product: goods.products[0]!, variant: undefined, count: 2 }];

describe("pages are valid HTML (html-validate)", () => {
  const inMain = everySection.filter((s) => s.slot === "main");

  it.each(inMain.map((s) => [s.name, s.node] as const))("%s", async (_name, node) => {
    expect(await invalidIn(withoutAround(render({ page: "home" }, [node]).html))).toEqual([]);
  });

  it("home with every kind in each of its arrangements at once", async () => {
    expect(await invalidIn(render({ page: "home" }).html)).toEqual([]);
  });

  it.each(THEMES.map((t) => t.id))("home with every kind as theme %s arranges it", async (theme) => {
    const sections = oneOfEachKind(inMain).map(({ node }) => node);
    expect(await invalidIn(render({ page: "home" }, sections, theme).html)).toEqual([]);
  });

  const targets: readonly (readonly [string, Target])[] = [
    ["collection", { page: "collection", collection: goods.collections[0]! }],
    ["empty collection", { page: "collection", collection: goods.collections[1]! }],
    ["everything", { page: "collection", collection: undefined }],
    ...goods.products.map((product) => [`product ${product.id}`, { page: "product", product }] as const),
    ["not found", { page: "message", title: "Gone", text: "Sorry." }],
    [
      "filtered",
      { page: "collection", collection: undefined, query: { ...NO_QUERY, wanted: { level: ["Anyone"] }, now: true } },
    ],
    ["nothing fits", { page: "collection", collection: undefined, query: { ...NO_QUERY, from: 99_999_999 } }],
    ["a search", { page: "search", sought: "kite" }],
    ["a search for nothing", { page: "search", sought: "" }],
    ["nothing found", { page: "search", sought: "qqq" }],
    [
      "a cart",
      { page: "cart", lines: [{ product: goods.products[0]!, variant: undefined, count: 2, problem: "Only one." }] },
    ],
    ["an empty cart", { page: "cart", lines: [], done: "added" }],
    ["a checkout", { page: "checkout", lines: BOUGHT }],
    [
      "a checkout in which something is wrong",
      {
        page: "checkout",
        lines: BOUGHT,
        values: { ...NOTHING_GIVEN, country: "IE", gift: "For you" },
        problems: new Map([
          ["mail", "Write it."],
          ["note", "Shorter."],
          ["number", "No."],
        ]),
        said: "Not yet.",
      },
    ],
    ...(["address", "delivery", "payment"] as const).map(
      (step) => [`a checkout at its ${step}`, { page: "checkout", lines: BOUGHT, step }] as const,
    ),
    [
      "a checkout where it is collected",
      { page: "checkout", lines: BOUGHT, values: { ...NOTHING_GIVEN, way: "collect" } },
    ],
    ["thanks", { page: "thanks", sample: null }],
    ...["sent", "many", "long", "due", "collect", "refunded", "cancelled", "test"].map(
      (of) => [`an order: ${of}`, { page: "order", sample: `/order?case=${of}` }] as const,
    ),
    ...(["sign-in", "account", "gift-card"] as const).flatMap((sort) =>
      hardCases(sort, goods, []).map(({ name, address }): [string, Target] => {
        const { pathname, searchParams } = new URL(address, ORIGIN);
        return [`${sort}: ${name}`, seenAt(pathname, searchParams, {}, goods)];
      }),
    ),
  ];
  it("of what is somebody’s own are drawn in every case that the bench shows", () => {
    const sorts = targets.map(([, { page }]) => page);
    for (const sort of ["sign-in", "account", "gift-card"] as const)
      expect([sort, sorts.filter((each) => each === sort).length]).toEqual([sort, hardCases(sort, goods, []).length]);
  });
  it.each(everyLayoutPart.flatMap((p) => p.sorts.map((sort) => [sort, p.name, p.node] as const)))(
    "on the %s layout, “%s”",
    async (sort, _name, node) => {
      for (const target of targets.map(([, t]) => t).filter((t) => t.page === sort)) {
        const { html } = renderPage(target, contentWithPart(sort, node), ORIGIN, SCRIPTS);
        expect(await invalidIn(withoutAround(html))).toEqual([]);
        expect(html.match(/<h1/g)).toHaveLength(1);
      }
    },
  );
  it.each(targets)("%s", async (_name, target) => expect(await invalidIn(render(target).html)).toEqual([]));
});

describe("a page's head", () => {
  it("says who and what it is, where it stands, and what to show when it is shared", () => {
    const { html } = render({ page: "product", product: goods.products[0]! });
    expect(html).toContain("<title>Kite plain · Test &amp; Sons</title>");
    expect(html).toContain(`<link rel="canonical" href="${ORIGIN}/products/plain">`);
    expect(html).toContain('<meta name="description" content="Flies. Well.">');
    expect(html).toMatch(
      /<meta property="og:image" content="http:\/\/shop\.localhost:4311\/media\/[0-9a-f]{64}-share\.jpg">/,
    );
    const early = [...html.slice(0, html.indexOf("</head>")).matchAll(/rel="preload"[^>]* as="(\w+)"/g)].map(
      (m) => m[1],
    );
    expect(early).toEqual(["font", "font", "image"]);
  });

  it("keeps message pages out of search", () => {
    const { html } = render({ page: "message", title: "Gone", text: "Sorry." });
    expect(html).toContain('<meta name="robots" content="noindex">');
    expect(html).not.toContain("canonical");
  });
});

describe("what shoppers get", () => {
  it("has no trace of the studio, no inline style and its own script alone", () => {
    const { html } = render({ page: "home" });
    expect(html).not.toMatch(/data-(at|hint|node|dead|picture-at|not-shown)|studio-hint|contenteditable/);
    expect(html).not.toContain(' style="');
    const scripts = [...html.matchAll(/<script(?! type="application\/ld\+json") src="([^"]*)"/g)].map(([, src]) => src);
    expect(scripts).toEqual([SCRIPTS.every, SCRIPTS.goods]);
    expect(html.match(/<script(?! type="application\/ld\+json")/g)).toHaveLength(scripts.length);
  });

  it("never holds what a title says as markup", () => {
    const { html } = render({ page: "product", product: goods.products.find((p) => p.id === "odd")! });
    expect(html).not.toContain("<script>alert");
    expect(html).toContain("&lt;script&gt;alert");
  });

  it("leaves out what is not yet shown, links that lead nowhere, and rules of both", () => {
    const hero = everySection.find((s) => s.node.kind === "hero")!.node;
    const hidden = render({ page: "home" }, [{ ...hero, shown: false }]);
    expect(hidden.html).not.toContain('class="s s-hero');
    expect(hidden.html).not.toContain(String(hero.props.text));
    expect(hidden.css).not.toContain(".hero-words");
    const dead = render({ page: "home" }, [
      { ...hero, props: { ...hero.props, link: { to: "product", id: "gone for good" } } },
    ]);
    expect(dead.html).not.toContain(String(hero.props.button));
  });

  it("knows the size, the description and the crop of every picture", () => {
    const { html, css } = render({ page: "home" });
    for (const [img] of html.matchAll(/<img[^>]*>/g)) expect(img).toMatch(/ width="\d+" height="\d+"/);
    for (const [img] of html.matchAll(/<img[^>]*>/g)) expect(img).toMatch(/ alt="/);
    expect(css).toContain(".f-01010101{object-position:30% 60%}");
  });

  it("tints the picture under words in its own hue, and only there", () => {
    const rule = /\.(t-[0-9a-f]{8})\{--tint:\d+ \d+ \d+\}/;
    const inHome = (props: object) => {
      const hero = makeNode("hero", { picture: "wide", ...props });
      const { html, css } = render({ page: "home" }, [hero]);
      return { html, found: rule.exec(css)?.[1] };
    };
    const on = inHome({ arrangement: "on-picture" });
    expect(on.html).toMatch(new RegExp(`class="s s-hero [^"]*${on.found}`));
    const behind = inHome({ arrangement: "beside", picture: null, backdrop: "wide" });
    expect(behind.html).toMatch(new RegExp(`class="s s-hero [^"]*${behind.found}`));
    expect(inHome({ arrangement: "beside" }).found).toBeUndefined();
    expect(inHome({ arrangement: "on-picture", picture: "tall" }).found).toBeUndefined();
  });

  it("has exactly one first heading on each page", () => {
    for (const { node, slot } of everySection) {
      if (slot !== "main") continue;
      expect(render({ page: "home" }, [node, { ...node, id: "again" }]).html.match(/<h1/g), node.id).toHaveLength(1);
    }
  });

  it("hides on one device by a rule for that device alone", () => {
    const text = everySection.find((s) => s.node.kind === "text")!.node;
    const css = nodeCss(
      { ...text, style: { phone: { hidden: true } } },
      themeById("pomelo"),
      contentWith([]).draft.look,
    );
    expect(css).toMatch(/@media \(max-width:599\.98px\)\{\.n-[\w-]+\{[^}]*display:none/);
    expect(css.match(/display:none/g)).toHaveLength(1);
  });
});

describe("what is drawn again is what would be drawn from scratch", () => {
  const copyOf = <T,>(value: T): T => JSON.parse(JSON.stringify(value)) as T;
  const value = (property: string) => fc.constantFrom(...PROPERTIES[property]!.choices.map((c) => c.value));
  const change = fc.record({
    property: fc.constantFrom("columns", "align", "shape", "fit", "spaceTop", "hidden"),
    audience: fc.constantFrom("all", "phone", "tablet", "wide"),
    pick: fc.nat(50),
  });

  it("for any run of style changes, in any theme, with any brand", () => {
    fc.assert(
      fc.property(
        fc.array(change, { maxLength: 12 }),
        fc.constantFrom(...THEMES),
        fc.record({ goodsShape: value("shape"), "goods.fit": value("fit") }, { requiredKeys: [] }),
        fc.constantFrom("product-grid", "goods-list", "hero"),
        (changes, theme, brand, kind) => {
          const look = { ...contentWith([], theme.id).draft.look, brand: brand as Brand };
          let node = [...everySection, ...everyLayoutPart].find((s) => s.node.kind === kind)!.node;
          for (const { property, audience, pick } of changes) {
            const choices = PROPERTIES[property]!.choices;
            node = {
              ...node,
              style: {
                ...node.style,
                [audience]: { ...node.style[audience as "all"], [property]: choices[pick % choices.length]!.value },
              },
            };
            expect(nodeCss(node, theme, look)).toBe(nodeCss(copyOf(node), theme, copyOf(look)));
            expect(nodeCss(node, theme, look)).toBe(nodeCss(node, theme, look));
          }
          // The same node in another look is written anew.
          for (const changed of [{ goodsShape: "16/9" }, { "goods.fit": "contain" }] as Brand[]) {
            const other = { ...look, brand: changed };
            expect(nodeCss(node, theme, other)).toBe(nodeCss(copyOf(node), theme, other));
          }
        },
      ),
      { seed: 6, numRuns: 80 },
    );
  });
});

describe("layers", () => {
  it("put the brand over the theme and the section over both", () => {
    const grid = everySection.find((s) => s.node.kind === "product-grid")!.node;
    const { look } = contentWith([]).draft;
    const branded = { ...look, brand: { goodsShape: "1/1" } };
    const theme = themeById("pomelo");
    expect(resolve(nodeLayers(grid, theme, look), "shape", "wide")?.winner.layer).toBe("theme");
    expect(resolve(nodeLayers(grid, theme, branded), "shape", "wide")).toMatchObject({
      value: "1/1",
      winner: { layer: "brand" },
    });
    const own = { ...grid, style: { all: { shape: "3/2" } } };
    expect(resolve(nodeLayers(own, theme, branded), "shape", "wide")?.overridden.map((s) => s.layer)).toEqual([
      "brand",
      "theme",
      "kind",
    ]);
  });

  it.each(["product-grid", "goods-list", "goes-with", "recently-seen"])(
    "give the goods of “%s” the shape and fit that the theme and the brand say",
    (kind) => {
      const { node } = [...everySection, ...everyLayoutPart].find((s) => s.node.kind === kind)!;
      const { look } = contentWith([]).draft;
      const said = (theme: string, brand: Brand) => {
        const css = nodeCss(node, themeById(theme), { ...look, theme, brand });
        return [/--shape:([^;}]+)/.exec(css)?.[1], /--goods-fit:([^;}]+)/.exec(css)?.[1]];
      };
      expect(said("yuzu", {})).toEqual(["1/1", undefined]);
      expect(said("yuzu", { goodsShape: "3/4", "goods.fit": "contain" })).toEqual(["3/4", "contain"]);
    },
  );
});

it("words stand on the picture of a card, without facts and stars, but not on a thumbnail", () => {
  const cards = (arrangement: string) => {
    const content = contentWith([makeNode("product-grid", { arrangement })]);
    const { look } = content.draft;
    const draft = { ...content.draft, look: { ...look, brand: { "goods.words": "over" } } };
    return renderPage({ page: "home" }, { ...content, draft }, ORIGIN, SCRIPTS).html;
  };
  expect(cards("cards")).toContain("card card-over");
  expect(cards("cards")).not.toMatch(/card-facts|class="rating"/);
  expect(cards("rows")).not.toContain("card-over");
  expect(cards("rows")).toContain("card-facts");
});

it("every kind's defaults are what the kind itself allows", () => {
  for (const { node } of everySection) expect(problemOf(node), node.id).toBeUndefined();
});
