import { describe, expect, it } from "vitest";
import { contentWith, everySection, goods, pictures } from "~/render/fixtures/content";
import { belongs, picturesNamed, withTag, type Narrowed } from "./find";
import { usedIn } from "./uses";

const none = new Set<string>();
const those = (to: Narrowed, used: ReadonlySet<string> = none) =>
  pictures.filter((p) => belongs(p, to, used)).map((p) => p.id);

describe("a narrowed library", () => {
  it("knows shapes by eye, and what nobody has described", () => {
    expect(those("wide")).toEqual(["wide", "small", "drawn"]);
    expect(those("tall")).toEqual(["tall"]);
    expect(those("square")).toEqual([]);
    expect(belongs({ ...pictures[0]!, width: 1000, height: 950 }, "square", none)).toBe(true);
    expect(those("bare")).toEqual(["small"]);
    expect(those("all")).toHaveLength(pictures.length);
  });

  it("finds a picture used wherever it stands: on a page, behind a section, with goods, as logo", () => {
    const nothing = { products: [], collections: [] };
    const hero = { ...everySection.find((s) => s.node.kind === "hero")!.node };
    const bare = contentWith([{ ...hero, props: { ...hero.props, picture: null } }]).draft;
    // A post of the fixture has a picture of its own.
    expect([...usedIn(bare, nothing, pictures)]).toEqual(["small"]);
    const shown = contentWith([{ ...hero, props: { ...hero.props, picture: "wide", backdrop: "tall" } }]).draft;
    expect(usedIn(shown, nothing, pictures)).toEqual(new Set(["wide", "tall", "small"]));
    const withGoods = { products: goods.products, collections: goods.collections };
    expect(usedIn(bare, withGoods, pictures)).toEqual(new Set(["tall", "wide", "small"]));
    const logo = { ...bare.look.identity, logo: { form: "picture" as const, picture: "drawn" } };
    expect(usedIn({ ...bare, look: { ...bare.look, identity: logo } }, nothing, pictures)).toEqual(
      new Set(["drawn", "small"]),
    );
    expect(those("unused", usedIn(shown, nothing, pictures))).toEqual(["drawn"]);
  });
});

describe("tags", () => {
  const all = [
    { ...pictures[0]!, id: "a", name: "x", alt: "", tags: ["Autumn", "Sea"] },
    { ...pictures[0]!, id: "b", name: "autumn-leaves", alt: "" },
    { ...pictures[0]!, id: "c", name: "x", alt: "" },
  ];
  const ids = (some: readonly { readonly id: string }[]) => some.map(({ id }) => id);
  it("are found by words as names are, and narrow down by themselves", () => {
    expect(ids(picturesNamed(all, "AUTUMN"))).toEqual(["a", "b"]);
    expect(ids(withTag(all, all, "Autumn"))).toEqual(["a"]);
    expect(ids(withTag(all, all, null))).toEqual(["a", "b", "c"]);
  });
  it("narrow nothing down once no picture has them", () => {
    expect(ids(withTag(all, all, "Gone"))).toEqual(["a", "b", "c"]);
  });
});
