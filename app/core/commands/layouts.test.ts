import { describe, expect, it } from "vitest";
import { freeze, layoutFor, layoutProps, layoutsOf, walk, type PageDocument, type Draft, type Part } from "../document";
import { applyAll, invertAll } from "../operations";
import { addLayout, removeLayout, renameLayout, setLayoutFor, type Outcome } from ".";

const node = (id: string, kind: string, slots: Part["slots"] = {}, props: Part["props"] = {}): Part => ({
  id,
  kind,
  props,
  style: {},
  conditions: [],
  shown: true,
  slots,
});
const layout = (of: "product" | "collection"): PageDocument => ({
  schemaVersion: 2,
  id: of,
  kind: "layout",
  title: of === "product" ? "Product" : "Collection",
  root: node(`${of}-root`, "root", { main: [node(`${of}-a`, "text")] }, { of, products: [], collections: [] }),
});
const start: Draft = freeze({
  look: {
    theme: "pomelo",
    identity: { name: "Shop", tagline: "", logo: { form: "words" as const } },
    brand: {},
    versions: {},
  },
  documents: {
    home: { schemaVersion: 2, id: "home", kind: "page", title: "Home", root: node("home-root", "root", { main: [] }) },
    product: layout("product"),
    collection: layout("collection"),
  },
});

function perform(here: Draft, outcome: Outcome): Draft {
  if (!outcome.ok) throw new Error(outcome.why);
  const result = applyAll(here, outcome.transaction.operations);
  if (!result.ok) throw new Error(result.code);
  // Whatever a command does can be taken back.
  expect(applyAll(result.draft, invertAll(outcome.transaction.operations))).toEqual({ ok: true, draft: here });
  return result.draft;
}
const why = (outcome: Outcome) => (outcome.ok ? undefined : outcome.why);
const drawn = (here: Draft, product: string, ...collections: string[]) =>
  layoutFor(here.documents, "product", { product, collections })?.title;

const two = () => {
  const one = perform(start, addLayout(start, "product", "Kites", "kites"));
  return perform(one, addLayout(one, "product", "Sale", "sale"));
};

describe("another layout", () => {
  it("is like the one that it was made from, with parts of its own, and for nothing yet", () => {
    const after = perform(start, addLayout(start, "product", "  Kites ", "kites"));
    const made = after.documents.kites!;
    expect(made.title).toBe("Kites");
    expect(layoutProps(made)).toEqual({ of: "product", products: [], collections: [] });
    expect([...walk(made.root)].map((n) => n.kind)).toEqual(["root", "text"]);
    const old = new Set(Object.values(start.documents).flatMap((d) => [...walk(d.root)].map((n) => n.id)));
    expect([...walk(made.root)].filter((n) => old.has(n.id))).toEqual([]);
    expect(layoutsOf(after.documents, "product").map((d) => d.title)).toEqual(["Product", "Kites"]);
    expect(drawn(after, "p", "c")).toBe("Product");
  });

  it("needs a name that no other has, and something to be like", () => {
    expect(why(addLayout(start, "product", " "))).toBe("A layout needs a name.");
    expect(why(addLayout(start, "product", "x".repeat(61)))).toBe("Keep the name to 60 characters.");
    expect(why(addLayout(start, "product", "collection"))).toBe("There is a layout called “collection” already.");
    for (const none of ["gone", "home"])
      expect(why(addLayout(start, none, "New"))).toBe("The layout that was to be copied is no longer there.");
  });

  it("is renamed, but not to what another is called", () => {
    const here = two();
    expect(perform(here, renameLayout(here, "kites", "Kites, all")).documents.kites!.title).toBe("Kites, all");
    expect(why(renameLayout(here, "kites", "SALE"))).toBe("There is a layout called “SALE” already.");
    expect(why(renameLayout(here, "kites", "Kites"))).toBe("It is called that already.");
    expect(why(renameLayout(here, "home", "Start"))).toBe("This layout is no longer there.");
    // A capital letter more is another name of the same layout.
    expect(renameLayout(here, "kites", "KITES").ok).toBe(true);
  });

  it("is taken away, and its goods go back to the one for all, which stays", () => {
    const both = two();
    const here = perform(both, setLayoutFor(both, "kites", { products: ["p"], collections: [] }));
    expect(drawn(here, "p")).toBe("Kites");
    const without = perform(here, removeLayout(here, "kites"));
    expect(drawn(without, "p")).toBe("Product");
    expect(why(removeLayout(here, "product"))).toBe("This is the layout for all; it can’t be taken away.");
    expect(why(removeLayout(without, "kites"))).toBe("This layout is no longer there.");
    expect(why(removeLayout(here, "home"))).toBe("This layout is no longer there.");
  });
});

describe("which goods a layout is for", () => {
  it("is said product by product and by collection, the product's own word being the stronger", () => {
    let here = two();
    here = perform(here, setLayoutFor(here, "kites", { products: [], collections: ["c"] }));
    here = perform(here, setLayoutFor(here, "sale", { products: ["p"], collections: [] }));
    expect(drawn(here, "p", "c")).toBe("Sale");
    expect(drawn(here, "q", "c")).toBe("Kites");
    expect(drawn(here, "q", "d")).toBe("Product");
  });

  it("goes over from one to the other, and nothing is for two", () => {
    let here = two();
    here = perform(here, setLayoutFor(here, "kites", { products: ["p", "q"], collections: ["c", "d"] }));
    here = perform(here, setLayoutFor(here, "sale", { products: ["q"], collections: ["d"] }));
    expect(layoutProps(here.documents.kites!)).toMatchObject({ products: ["p"], collections: ["c"] });
    expect(layoutProps(here.documents.sale!)).toMatchObject({ products: ["q"], collections: ["d"] });
  });

  it("leaves layouts of another sort alone", () => {
    let here = perform(start, addLayout(start, "collection", "Shelves", "shelves"));
    here = perform(here, addLayout(here, "product", "Kites", "kites"));
    here = perform(here, setLayoutFor(here, "shelves", { products: [], collections: ["c"] }));
    here = perform(here, setLayoutFor(here, "kites", { products: [], collections: ["c"] }));
    expect(layoutProps(here.documents.shelves!)!.collections).toEqual(["c"]);
    expect(layoutFor(here.documents, "collection", { collections: ["c"] })?.title).toBe("Shelves");
    expect(drawn(here, "p", "c")).toBe("Kites");
  });

  it("is not said of the one for all, nor twice the same", () => {
    const here = two();
    const nothing = { products: [], collections: [] };
    expect(why(setLayoutFor(here, "product", nothing))).toBe("This is the layout for all that have no other.");
    expect(why(setLayoutFor(here, "kites", nothing))).toBe("It is like that already.");
    expect(why(setLayoutFor(here, "gone", nothing))).toBe("This layout is no longer there.");
  });
});
