// @vitest-environment jsdom
import { SOME_DAY } from "~/core/goods/fixtures/day";
import { afterEach, describe, expect, it } from "vitest";
import { findNode, type Draft, type Part } from "~/core/document";
import type { Goods } from "~/core/goods";
import { KINDS, makeNode, type Field } from "~/kinds";
import { firstLayouts } from "~/kinds/layouts";
import { contentWith, goods } from "~/render/fixtures/content";
import { useStudio } from "../keeping";
import { mount, studioOf } from "../fixtures/mount";
import { FieldControl } from "./fields";

let end: (() => Promise<void>) | undefined;
afterEach(async () => {
  await end?.();
  end = undefined;
});

/** A draft with a part on a page where its kind makes sense: the home page, or a layout. */
function draftWith(node: Part): { draft: Draft; page: string } {
  const sort = KINDS.get(node.kind)!.definition.only?.[0];
  if (!sort) return { draft: contentWith([node]).draft, page: "home" };
  const { draft } = contentWith([]);
  const layout = firstLayouts()[sort];
  const holding = { ...layout, root: { ...layout.root, slots: { main: [node] } } };
  return { draft: { ...draft, documents: { ...draft.documents, [sort]: holding } }, page: sort };
}

/** The controls of some fields of a part, that stands on a page and follows what becomes of it. */
async function controls(node: Part, keys?: readonly string[], of: Goods = goods) {
  const { draft, page } = draftWith(node);
  const store = studioOf({ draft, goods: of });
  const fields = KINDS.get(node.kind)!.definition.fields.filter((f) => !keys || keys.includes(f.key));
  function Panel() {
    const now = useStudio((s) => findNode(s.draft.documents[page]!.root, node.id))!;
    return fields.map((field) => <FieldControl key={field.key} node={now} field={field} path={[field.key]} />);
  }
  const mounted = await mount(<Panel />, store);
  end = mounted.end;
  const props = () => findNode(store.getState().draft.documents[page]!.root, node.id)!.props;
  const last = () => store.getState().history.past.at(-1)?.label;
  return { ...mounted, fields, props, last };
}
const kindWith = (type: Field["type"]) =>
  [...KINDS.values()].find((k) => k.definition.fields.some((f) => f.type === type))!.definition;

describe.each([...KINDS.values()].map((k) => [k.definition.name, k.definition] as const))(
  "the controls of %s",
  (_name, definition) => {
    it("are all there by their labels, and say nothing is wrong with what one begins with", async () => {
      const { fields, text } = await controls(makeNode(definition.kind));
      // Placeholders and the notch of an outlined field are not what a control is called; its label is.
      for (const field of fields) expect(text(), field.key).toContain(field.label);
      expect(document.querySelectorAll('[aria-invalid="true"]')).toHaveLength(0);
      const named = [...document.querySelectorAll("input:not([aria-hidden]), button, [role=combobox]")];
      for (const control of named) {
        const by = control.id ? document.querySelector(`label[for="${control.id}"]`) : null;
        const name =
          control.getAttribute("aria-label") ??
          by?.textContent ??
          control.getAttribute("aria-labelledby") ??
          control.closest("label")?.textContent ??
          control.textContent;
        expect(name, control.outerHTML.slice(0, 120)).toBeTruthy();
      }
    });
  },
);

describe("words", () => {
  it("are kept as they are typed, as one step, and say how many there are when they become many", async () => {
    const { write, props, last, text } = await controls(makeNode("hero"), ["heading"]);
    await write("Heading", "Made for gales");
    expect(props().heading).toBe("Made for gales");
    expect(last()).toBe("Words changed in Hero");
    const { most } = KINDS.get("hero")!.definition.fields.find((f) => f.key === "heading") as { most: number };
    await write("Heading", "x".repeat(most));
    expect(text()).toContain(`${most} of ${most} characters`);
  });

  it("that may not be kept stay in the field, with the reason", async () => {
    const { write, props, value, labelled } = await controls(makeNode("hero"), ["heading"]);
    const before = props().heading;
    const { most } = KINDS.get("hero")!.definition.fields.find((f) => f.key === "heading") as { most: number };
    await write("Heading", "y".repeat(most + 1));
    expect(value("Heading")).toBe("y".repeat(most + 1));
    expect(labelled("Heading").getAttribute("aria-invalid")).toBe("true");
    expect(props().heading).toBe(before);
  });
});

describe("a number", () => {
  it("is kept where it may be, and otherwise said what may be", async () => {
    const { write, leave, value, props, text } = await controls(makeNode("goods-list"), ["perPage"]);
    await write("Goods on a page", "12");
    expect(props().perPage).toBe(12);
    await write("Goods on a page", "400");
    expect(text()).toContain("Write a number from 4 to 60.");
    expect(props().perPage).toBe(12);
    await leave("Goods on a page");
    expect(value("Goods on a page")).toBe("12");
  });
});

describe("choices", () => {
  it("are the ones of the kind, by their words", async () => {
    const { choose, props } = await controls(makeNode("goods-list"), ["paging"]);
    expect(await choose("Further goods", "“Show more”")).toEqual(["Numbered pages", "“Show more”"]);
    expect(props().paging).toBe("more");
  });

  it("of yes and no are ticked", async () => {
    const { press, props } = await controls(makeNode("goods-list"), ["reduced"]);
    await press("Filter “reduced”");
    expect(props().reduced).toBe(false);
  });

  it("of attributes are all of them until one is taken away, then those, in the order that is given", async () => {
    const { press, props, text } = await controls(makeNode("goods-list"), ["filters"]);
    const names = [...document.querySelectorAll("label")].map((l) => l.textContent);
    expect(names.length).toBeGreaterThan(2);
    expect(text()).not.toContain("All of them");
    await press(names[0]!);
    expect(props().filters).toEqual(names.slice(1));
    await press(`${names[2]} earlier`);
    expect(props().filters).toEqual([names[2], names[1], ...names.slice(3)]);
    await press("All of them");
    expect(props().filters).toBeNull();
  });

  it("of goods that have no attributes say so", async () => {
    const { text } = await controls(makeNode("goods-list"), ["filters"], {
      products: [],
      collections: [],
      asOf: SOME_DAY,
    });
    expect(text()).toContain("Your goods have no attributes yet.");
  });

  it("of a collection or a product that is gone say so, and offer others", async () => {
    const grid = await controls(makeNode("product-grid", { collection: "gone" }), ["collection"]);
    expect(grid.text()).toContain("This collection is gone. Choose another.");
    const title = goods.collections[0]!.title;
    await grid.choose("Which goods", title);
    expect(grid.props().collection).toBe(goods.collections[0]!.id);
    expect(grid.text()).not.toContain("is gone");
    await grid.choose("Which goods", "All goods");
    expect(grid.props().collection).toBeNull();
    await grid.end();
    const definition = kindWith("product");
    const field = definition.fields.find((f) => f.type === "product")!;
    const one = await controls(makeNode(definition.kind, { [field.key]: "no-such" }), [field.key]);
    expect(one.text()).toContain("This product is gone. Choose another.");
  });
});

describe("a list", () => {
  const definition = kindWith("list");
  const field = definition.fields.find((f) => f.type === "list") as Extract<Field, { type: "list" }>;

  it("grows by a fresh one that opens, is put into another order, and shrinks", async () => {
    const items = () => props()[field.key] as readonly unknown[];
    const before = ["One", "Two"].map((words) => ({ ...field.fresh, words }));
    const { props, press, labelled } = await controls(makeNode(definition.kind, { [field.key]: before }), [field.key]);
    await press(`Add ${/^[aeiou]/.test(field.one) ? "an" : "a"} ${field.one}`);
    expect(items()).toEqual([...before, field.fresh]);
    expect(document.querySelector('[aria-expanded="true"]')).not.toBeNull();
    const moves = [...document.querySelectorAll<HTMLElement>('[aria-label^="Move "][aria-label$=" up"]')];
    // The first can't go further up; a button that can't be pressed has its words on what stands around it.
    expect((moves[0]!.querySelector("button") ?? (moves[0] as HTMLButtonElement)).disabled).toBe(true);
    await press(moves.at(-1)!.getAttribute("aria-label")!);
    expect(items().at(-2)).toEqual(field.fresh);
    const takes = [...document.querySelectorAll<HTMLElement>('[aria-label^="Remove "]')];
    expect(labelled(field.label).getAttribute("role")).toBe("group");
    await press(takes.at(-2)!.getAttribute("aria-label")!);
    expect(items()).toEqual(before);
  });

  it("takes no more than it may hold", async () => {
    const full = Array.from({ length: field.most }, () => field.fresh);
    await controls(makeNode(definition.kind, { [field.key]: full }), [field.key]);
    const add = [...document.querySelectorAll("button")].find((b) => b.textContent?.startsWith("Add "))!;
    expect(add.disabled).toBe(true);
  });
});
