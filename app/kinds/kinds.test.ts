import { SOME_DAY } from "~/core/goods/fixtures/day";
import { describe, expect, it } from "vitest";
import { PROPERTIES } from "~/core/cascade";
import { differences, emptyDocument, freeze, walk, type PageDocument, type Draft, type Part } from "~/core/document";
import { contentWith, everySection, goods, pictures } from "~/render/fixtures/content";
import { seasonRoot } from "~/core/seasons/season";
import { sellingRoot } from "~/core/selling";
import { lettersRoot } from "~/core/shop-letters";
import { changeWords } from "./change-words";
import { fillNode, fillStart } from "./fill";
import {
  accepts,
  documentProblem,
  KINDS,
  kindOf,
  makeNode,
  nameOf,
  problemOf,
  PURPOSES,
  strangerIn,
  type Field,
} from ".";
import { firstLayouts } from "./layouts";

const all = [...KINDS.values()].map((kind) => kind.definition);

describe.each(all.map((d) => [d.name, d] as const))("kind %s", (_name, definition) => {
  it("has controls for values that it has, and only for those", () => {
    const keys = Object.keys(definition.defaults);
    for (const field of definition.fields) expect(keys, field.key).toContain(field.key);
    expect(new Set(definition.fields.map((f) => f.key)).size).toBe(definition.fields.length);
  });

  it("allows as much text as its controls do, and no more", () => {
    for (const field of definition.fields) {
      if (field.type !== "line" && field.type !== "text") continue;
      const parse = (length: number) =>
        // Some take nothing but numbers.
        ["x".repeat(length), `${"1".repeat(8)}.${"1".repeat(Math.max(1, length - 9))}`].some(
          (text) => definition.props.safeParse({ ...definition.defaults, [field.key]: text }).success,
        );
      expect([field.key, parse(field.most), parse(field.most + 1)]).toEqual([field.key, true, false]);
    }
  });

  it("begins as what it and all that is in it allow", () => {
    for (const start of definition.starts ?? [])
      for (const part of walk(fillStart(definition.kind, start.id, goods, pictures)))
        expect([start.id, part.kind, problemOf(part)]).toEqual([start.id, part.kind, undefined]);
  });

  it("gives a list item that its own list allows", () => {
    for (const field of definition.fields) {
      if (field.type !== "list") continue;
      const items = Array.from({ length: field.most }, () => field.fresh);
      const parse = (value: unknown) =>
        definition.props.safeParse({ ...definition.defaults, [field.key]: value }).success;
      expect(parse(items)).toBe(true);
      expect(parse([...items, field.fresh])).toBe(false);
    }
  });

  it("names only style properties and values that exist", () => {
    for (const name of definition.styles) expect(Object.keys(PROPERTIES)).toContain(name);
    const sheets = [definition.style, ...definition.arrangements.map((a) => a.style ?? {})];
    for (const sheet of sheets) {
      for (const values of Object.values(sheet)) {
        for (const [property, value] of Object.entries(values)) {
          expect(
            PROPERTIES[property]!.choices.map((c) => c.value),
            property,
          ).toContain(value);
        }
      }
    }
  });

  it("has arrangements of different names, a purpose, and a place", () => {
    expect(new Set(definition.arrangements.map((a) => a.id)).size).toBe(definition.arrangements.length);
    expect(PURPOSES).toContain(definition.purpose);
    expect(["main", "top", "bottom", "over", "columns", "widgets", "items", "answers"]).toContain(definition.slots[0]);
  });

  it("starts from values that it allows", () => expect(problemOf(makeNode(definition.kind))).toBeUndefined());
});

describe("a fresh section", () => {
  it("is filled with the shop's own goods and its widest picture", () => {
    expect(fillNode("hero", goods, pictures).props).toMatchObject({
      picture: "wide",
      link: { to: "collection", id: "one" },
    });
    expect(fillNode("product-grid", goods, pictures, "shelf").props).toMatchObject({
      collection: "one",
      arrangement: "shelf",
    });
    expect(fillNode("collection-tiles", goods, pictures).props.tiles).toHaveLength(2);
  });

  it("is whole in a shop that has nothing yet", () => {
    for (const { kind } of all) {
      expect(problemOf(fillNode(kind, { products: [], collections: [], asOf: SOME_DAY }, [])), kind).toBeUndefined();
    }
  });

  it("of an unknown kind is a mistake of ours; one that is stored keeps its name", () => {
    expect(() => makeNode("nothing")).toThrow();
    expect(kindOf({ kind: "nothing" })).toBeUndefined();
    expect(nameOf({ kind: "nothing" })).toBe("nothing");
    expect(problemOf({ ...everySection[0]!.node, kind: "nothing" })?.why).toBe("This version does not know “nothing”.");
  });
});

describe("changes in words", () => {
  it.each([
    ["letters", Object.keys(lettersRoot.shape)],
    ["selling", Object.keys(sellingRoot.shape)],
    ["season", Object.keys(seasonRoot.shape).filter((key) => key !== "off")],
    ["offer", ["gives", "products", "collections", "code", "fromWorth", "fromCount", "mostUses", "mostEach", "alone"]],
  ] as const)("have some for all that %s say of themselves", (kind, keys) => {
    const document = emptyDocument(2, kind, "it", "It");
    for (const key of keys) {
      const { what } = changeWords({ what: "says-of-itself", document, keys: [key] });
      expect([key, what.includes(" ")]).toEqual([key, true]);
    }
  });

  const main = everySection.filter((s) => s.slot === "main").map((s) => s.node);
  const base = contentWith(main).draft;
  const withMain = (nodes: readonly Part[]): Draft => {
    const home = base.documents.home!;
    return freeze({
      ...base,
      documents: { ...base.documents, home: { ...home, root: { ...home.root, slots: { main: nodes } } } },
    });
  };
  const words = (after: Draft) =>
    differences(base, after)
      .map(changeWords)
      .map((c) => `${c.where}: ${c.what}`);
  const [hero, ...rest] = main as [Part, ...Part[]];

  it.each([
    ["words", { ...hero, props: { ...hero.props, heading: "x", text: "y" } }, "Home › Hero: words changed"],
    ["a link", { ...hero, props: { ...hero.props, link: { to: "home" } } }, "Home › Hero: link changed"],
    ["a picture", { ...hero, props: { ...hero.props, picture: "tall" } }, "Home › Hero: picture changed"],
    ["an arrangement", { ...hero, props: { ...hero.props, arrangement: "above" } }, "Home › Hero: arrangement changed"],
    ["a style", { ...hero, style: { all: { headSize: 3 } } }, "Home › Hero: head size changed"],
    ["a device", { ...hero, style: { phone: { hidden: true } } }, "Home › Hero: where it shows changed"],
    ["hiding", { ...hero, shown: false }, "Home › Hero: no longer shown"],
  ] as const)("say %s", (_what, changed, said) => expect(words(withMain([changed as Part, ...rest]))).toEqual([said]));

  it("say added, removed and moved, and what is added but not shown yet", () => {
    expect(words(withMain([hero, ...rest, { ...hero, id: "new" }]))).toEqual(["Home › Hero: added"]);
    expect(words(withMain([hero, ...rest, { ...hero, id: "new", shown: false }]))).toEqual([
      "Home › Hero: added, not shown yet",
    ]);
    expect(words(withMain(rest))).toEqual(["Home › Hero: removed"]);
    expect(words(withMain([...rest, hero]))).toEqual(["Home › Hero: moved"]);
  });

  it("say the look, part by part, and pages", () => {
    const look = { ...base.look, theme: "yuzu", brand: { colour: "#123456", density: "airy" as const } };
    expect(words(freeze({ ...base, look }))).toEqual([
      "Brand: another theme",
      "Brand: brand colour changed",
      "Brand: density changed",
    ]);
    const about: PageDocument = { ...base.documents.home!, id: "about", title: "About" };
    expect(words(freeze({ ...base, documents: { ...base.documents, about } }))).toEqual(["About: new page"]);
  });
});

it("fields inside lists are of plain types, as Details expects", () => {
  const inner = all.flatMap((d) => d.fields).flatMap((f: Field) => (f.type === "list" ? f.fields : []));
  expect(inner.map((f) => f.type)).not.toContain("list");
});

describe("where a part makes sense", () => {
  const page: PageDocument = {
    schemaVersion: 1,
    id: "home",
    kind: "page",
    title: "Home",
    root: { id: "r", kind: "root", props: {}, style: {}, conditions: [], shown: true, slots: { main: [] } },
  };
  const layouts = firstLayouts();
  const held = (kind: string): Part => {
    const column = makeNode("column", {}, { slots: { widgets: [makeNode(kind)] } });
    return makeNode("freehand", {}, { slots: { columns: [column] } });
  };

  it("is said by its kind: the product's own parts on product layouts, lists on those of collections and searches", () => {
    for (const definition of all) {
      const node = definition.level === "widget" ? held(definition.kind) : makeNode(definition.kind);
      for (const [where, document] of [["", page], ...Object.entries(layouts)] as const) {
        const { only, never } = definition as { only?: readonly string[]; never?: readonly string[] };
        const may = (!only || only.includes(where)) && !never?.includes(where);
        expect([definition.kind, where, strangerIn(document, node) === undefined]).toEqual([
          definition.kind,
          where,
          may,
        ]);
      }
    }
    expect(nameOf(strangerIn(page, held("gallery"))!)).toBe("Pictures of the product");
  });

  it("is found in the layouts that every shop begins with, all of which stand where they may", () => {
    expect(Object.keys(layouts).sort()).toEqual([
      "account",
      "cart",
      "checkout",
      "closed",
      "collection",
      "gift-card",
      "not-found",
      "order",
      "post",
      "product",
      "search",
      "sign-in",
      "thanks",
    ]);
    for (const document of Object.values(layouts)) {
      expect(documentProblem(document)).toBeUndefined();
      expect(strangerIn(document, document.root)).toBeUndefined();
      for (const node of Object.values(document.root.slots).flat()) expect(problemOf(node)).toBeUndefined();
    }
  });

  it("is a slot that takes it, of a part that has that slot", () => {
    const [column, group, hero, gallery] = ["column", "group", "hero", "gallery"].map((kind) => makeNode(kind));
    const freehand = makeNode("freehand");
    expect(accepts(page.root, "main", hero!)).toBe(true);
    expect(accepts(page.root, "main", gallery!)).toBe(false);
    expect(accepts(freehand, "columns", column!)).toBe(true);
    expect(accepts(freehand, "widgets", gallery!)).toBe(false);
    expect(accepts(column!, "widgets", gallery!)).toBe(true);
    expect(accepts(column!, "widgets", hero!)).toBe(false);
    expect(accepts(group!, "widgets", gallery!)).toBe(false);
    expect(accepts(group!, "inside", gallery!)).toBe(true);
    // A group in a group would be a level too many.
    expect(accepts(group!, "inside", group!)).toBe(false);
    expect(accepts(column!, "widgets", { kind: "unheard-of" })).toBe(false);
  });

  it("is not a page that says something of itself, nor a layout that says nonsense", () => {
    const withProps = (document: PageDocument, props: Part["props"]): PageDocument => ({
      ...document,
      root: { ...document.root, props },
    });
    expect(documentProblem(withProps(page, { of: "product" }))).toBeDefined();
    expect(documentProblem(withProps(page, { slug: "our-loft", parent: "about", hidden: true }))).toBeUndefined();
    for (const wrong of [{ slug: "Our Loft" }, { hidden: false }, { order: "first" }, { header: true }])
      expect(documentProblem(withProps(page, wrong)), JSON.stringify(wrong)).toBeDefined();
    const { product } = layouts;
    expect(documentProblem(withProps(product, { of: "nowhere", products: [], collections: [] }))).toBeDefined();
    expect(documentProblem(withProps(product, { of: "product", products: [] }))).toBeDefined();
    expect(
      documentProblem(withProps(product, { of: "product", products: [], collections: [], more: 1 })),
    ).toBeDefined();
    const many = Array.from({ length: 5001 }, (_, i) => `p${i}`);
    expect(documentProblem(withProps(product, { of: "product", products: many, collections: [] }))).toBe(
      "A layout can be for 5,000 products at most; choose collections.",
    );
  });
});
