import { describe, expect, it } from "vitest";
import stored from "./fixtures/stored-2026-11.json";
import { emptyDocument, type Json, type PageDocument, type Part } from "~/core/document";
import { LETTERS } from "~/core/shop-letters";
import { KINDS, makeNode } from ".";
import type { Field } from "./definition";
import { readPage } from "./reading";
import { mapPart, mapReferences, referencesOf, whereUsed, placeWords, type Reference } from "./references";

const read = (document: unknown): PageDocument => {
  const done = readPage(document);
  if (!done.ok) throw new Error(done.why);
  return done.document;
};
const keep = (r: Reference) => r.id;
const rename = (r: Reference) => `${r.to}-${r.id}`;

/** A value of a field that refers to something, by the field's own type alone. */
function valueOf(field: Field): Json | undefined {
  switch (field.type) {
    case "picture":
    case "film":
    case "product":
    case "collection":
    case "menu":
      return `one-${field.type}`;
    case "link":
      return { to: "product", id: "linked" };
    case "products":
      return ["p1", "p2"];
    case "goods":
      return { products: ["p1", "p2"], collections: ["c1"], tags: ["t"] };
    case "rich":
      return {
        type: "doc",
        content: [
          {
            type: "paragraph",
            content: [
              { type: "text", text: "See " },
              {
                type: "text",
                text: "this",
                marks: [{ type: "bold" }, { type: "link", attrs: { link: { to: "place", page: "about", name: "x" } } }],
              },
            ],
          },
        ],
      };
    case "list":
      return [{ ...field.fresh, ...valuesOf(field.fields) }];
    default:
      return undefined;
  }
}
const valuesOf = (fields: readonly Field[]): Record<string, Json> =>
  Object.fromEntries(fields.flatMap((f) => (valueOf(f) === undefined ? [] : [[f.key, valueOf(f)!] as const])));
const pageOf = (part: Part): PageDocument => ({
  ...read(stored.every),
  root: { ...read(stored.every).root, slots: { main: [part] } },
});

describe("a part that holds the place of a shared section", () => {
  it("refers to it", () => {
    const part = makeNode("shared", { of: "fairs" });
    expect(referencesOf(pageOf(part))).toEqual([{ to: "shared", id: "fairs" }]);
    expect(mapPart(part, () => "markets").props.of).toBe("markets");
    expect(mapPart(part, () => null).props.of).toBe("");
  });
});

describe.each([...KINDS.values()].map((k) => [k.definition.kind, k.definition] as const))("%s", (kind, definition) => {
  const part = makeNode(kind, {
    ...valuesOf(definition.fields),
    ...(definition.level === "section" ? { backdrop: "behind" } : {}),
  });

  it("has every reference of its fields found, whatever they are called", () => {
    const count = (fields: readonly Field[]): number =>
      fields.reduce((sum, f) => {
        if (f.type === "goods") return sum + 3;
        if (f.type === "products") return sum + 2;
        if (f.type === "list") return sum + count(f.fields);
        return sum + (valueOf(f) === undefined ? 0 : 1);
      }, 0);
    const wanted = count(definition.fields) + (definition.level === "section" ? 1 : 0);
    expect(referencesOf(pageOf(part))).toHaveLength(wanted);
  });

  it("stays the very object when nothing changes, and is still what its kind allows when all of it goes", () => {
    expect(mapPart(part, keep)).toBe(part);
    const renamed = referencesOf(pageOf(mapPart(part, rename)));
    expect(renamed).toEqual(referencesOf(pageOf(part)).map((r) => ({ ...r, id: rename(r) })));
    const gone = mapPart(part, () => null);
    expect(referencesOf(pageOf(gone))).toEqual([]);
    expect(definition.props.safeParse(gone.props).error).toBeUndefined();
  });
});

describe("documents", () => {
  it("as they are stored keep every reference through there and back", () => {
    for (const document of [...Object.values(stored.demo.documents), ...Object.values(stored.layouts), stored.every]) {
      const page = read(document);
      const there = mapReferences(page, rename);
      const back = mapReferences(there, (r) => r.id.slice(r.to.length + 1));
      expect(back).toEqual(page);
      expect(referencesOf(there)).toHaveLength(referencesOf(page).length);
    }
    const demo = read(stored.demo.documents.home);
    expect(new Set(referencesOf(demo).map((r) => r.to))).toEqual(new Set(["picture", "collection"]));
  });

  it("that are layouts refer to the goods that they are for", () => {
    const layout = read(stored.layouts.product);
    const named = {
      ...layout,
      root: { ...layout.root, props: { of: "product", products: ["a", "b"], collections: ["c"] } },
    };
    expect(referencesOf(named)).toContainEqual({ to: "product", id: "b" });
    const without = mapReferences(named, (r) => (r.id === "a" ? null : r.id));
    expect(without.root.props).toEqual({ of: "product", products: ["b"], collections: ["c"] });
  });

  it("that are the letters of a shop refer to the picture above their words", () => {
    const letters = emptyDocument(2, "letters", LETTERS, "Letters of the shop", {
      look: { picture: "sky", logo: "left" },
    });
    expect(referencesOf(letters)).toEqual([{ to: "picture", id: "sky" }]);
    expect(mapReferences(letters, () => null).root.props).toEqual({ look: { picture: null, logo: "left" } });
    const draft = { look: undefined as never, documents: { [LETTERS]: letters } };
    expect(whereUsed(draft, (r) => r.id === "sky").map(placeWords)).toEqual(["Letters of the shop"]);
  });

  it("say where something is used, once for each place", () => {
    const look = { theme: "pomelo", identity: { name: "S", tagline: "", logo: { form: "words" as const } } };
    const home = pageOf(makeNode("hero", { picture: "sky", link: { to: "product", id: "kite" }, backdrop: "sky" }));
    const layout = read(stored.layouts.product);
    const draft = {
      look: { ...look, brand: {}, versions: {} },
      documents: {
        home: { ...home, title: "Home" },
        product: { ...layout, root: { ...layout.root, props: { of: "product", products: ["kite"], collections: [] } } },
      },
    };
    expect(whereUsed(draft, (r) => r.id === "sky").map(placeWords)).toEqual(["Home › Hero"]);
    expect(whereUsed(draft, (r) => r.to === "product" && r.id === "kite").map(placeWords)).toEqual([
      "Home › Hero",
      "the layout “Product”",
    ]);
    expect(whereUsed(draft, (r) => r.id === "unheard-of")).toEqual([]);
  });
});
