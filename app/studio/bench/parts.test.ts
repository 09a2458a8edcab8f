// @vitest-environment jsdom
import { SOME_DAY } from "~/core/goods/fixtures/day";
import { beforeEach, describe, expect, it } from "vitest";
import { makeColumn } from "~/core/commands";
import type { Json, Part, StyleSheet } from "~/core/document";
import { makeNode, problemOf } from "~/kinds";
import { contentWith, goods, pictures } from "~/render/fixtures/content";
import { alsoFollowing } from "../details/affected";
import { createStudioStore } from "../keeping";
import { benchActions } from "./actions";
import { copySelection, pasteHere, pasteLookHere, readCopied } from "./clipboard";
import { adapted } from "~/kinds/carried";
import { partDropWords, nameOfPart, partAt, placeForWidget, placesFor } from "./parts";
import { insideOf, neighbourOf } from "./plan-tree";

const widget = (kind: string, id: string, props: Record<string, Json> = {}, style: StyleSheet = {}): Part =>
  makeNode(kind, props, { id, style });
const column = (id: string, ...widgets: Part[]): Part => ({ ...makeColumn(widgets), id });
const section = (id: string, ...columns: Part[]): Part => makeNode("freehand", {}, { id, slots: { columns } });
const group = makeNode("group", {}, { id: "g", slots: { inside: [widget("button", "b1"), widget("button", "b2")] } });
const main = [
  section("s1", column("c1", widget("heading", "h"), widget("words", "w")), column("c2", group)),
  makeNode("hero", {}, { id: "hero" }),
  section("s2", column("c3")),
];
const content = contentWith(main);
const { draft } = content;

const makeStore = (shop = "one") =>
  createStudioStore({
    shop: {
      id: shop,
      host: "s",
      address: "",
      currency: "EUR",
      locale: "en-GB",
      moneyFormat: "en-GB",
      timeZone: "Europe/London",
    },
    goods,
    pictures,
    published: undefined,
    draft,
    seq: 0,
    log: [],
  });

describe("parts in words", () => {
  it("have a name in what they stand in", () => {
    expect(nameOfPart(partAt(draft, "c2")!)).toBe("Column 2");
    expect(nameOfPart(partAt(draft, "b1")!)).toBe("Button");
    expect(partAt(draft, "b1")!.path.map((n) => n.id)).toEqual(["s1", "c2", "g", "b1"]);
    expect(partAt(draft, "nobody")).toBeUndefined();
  });
  it("say where a drop would put them", () => {
    const at = (parent: string, index: number, slot = "widgets") => ({ parent, slot, index });
    expect(partDropWords(draft, at("c1", 0), undefined)).toBe("Column 1 of Freehand, first");
    expect(partDropWords(draft, at("c1", 1), undefined)).toBe("Column 1 of Freehand, between Heading and Words");
    expect(partDropWords(draft, at("c1", 2), undefined)).toBe("Column 1 of Freehand, last");
    expect(partDropWords(draft, at("c3", 0), undefined)).toBe("Column 1 of Freehand");
    expect(partDropWords(draft, at("c1", 1), "h")).toBe("Stays here");
    expect(partDropWords(draft, at("c1", 2), "h")).toBe("Column 1 of Freehand, last");
    expect(partDropWords(draft, at("g", 0, "inside"), "h")).toBe("Group in column 2 of Freehand, first");
    expect(partDropWords(draft, at("s1", 2, "columns"), "c1")).toBe("2nd column of Freehand");
    expect(partDropWords(draft, at("hero", 0), undefined)).toBe("Hero");
  });
  it("can be sent to every place that takes them, and to no other", () => {
    const words = (node: Part) => placesFor(draft, "home", node).map((p) => p.words);
    expect(words(partAt(draft, "h")!.node)).toEqual([
      "column 2 of Freehand",
      "group in column 2 of Freehand",
      "Hero",
      "column 1 of Freehand",
    ]);
    // A group can't go into a group.
    expect(words(group)).toEqual(["column 1 of Freehand", "Hero", "column 1 of Freehand"]);
  });
  it("go where somebody is: into what is selected, else after it", () => {
    const fresh = widget("rule", "r");
    expect(placeForWidget(draft, "c3", fresh)).toEqual({ parent: "c3", slot: "widgets", index: 0 });
    expect(placeForWidget(draft, "h", fresh)).toEqual({ parent: "c1", slot: "widgets", index: 1 });
    expect(placeForWidget(draft, "g", fresh)).toEqual({ parent: "g", slot: "inside", index: 2 });
    expect(placeForWidget(draft, "g", group)).toEqual({ parent: "c2", slot: "widgets", index: 1 });
    expect(placeForWidget(draft, "s1", fresh)).toEqual({ parent: "c1", slot: "widgets", index: 2 });
    expect(placeForWidget(draft, "hero", fresh)).toEqual({ parent: "hero", slot: "widgets", index: 0 });
    expect(placeForWidget(draft, null, fresh)).toBeUndefined();
  });
});

describe("the plan", () => {
  it("lists what is in a section, column by column", () => {
    const names = insideOf(main[0]!, { clock: "2026-12-01T09:00" }).map((g) =>
      g.rows.map((r) => `${r.level} ${r.name}`),
    );
    expect(names).toEqual([
      ["2 Column 1", "3 Heading", "3 Words"],
      ["2 Column 2", "3 Group", "4 Button", "4 Button"],
    ]);
    expect(insideOf(main[1]!, { clock: "2026-12-01T09:00" })).toEqual([]);
  });
  it.each([
    ["s1", "ArrowDown", "c1"],
    ["c1", "ArrowRight", "c2"],
    ["c1", "ArrowDown", "h"],
    ["c1", "ArrowUp", "s1"],
    ["h", "ArrowDown", "w"],
    ["h", "ArrowUp", "c1"],
    ["w", "ArrowRight", "g"],
    ["g", "ArrowDown", "b1"],
    ["b2", "ArrowLeft", "w"],
    ["w", "ArrowDown", undefined],
    ["s1", "ArrowRight", "hero"],
    ["c2", "Home", "c1"],
  ])("from %s, %s leads to %s", (from, key, to) => expect(neighbourOf(draft, "home", from, key)).toBe(to));
});

describe("copying and pasting", () => {
  beforeEach(() => localStorage.clear());
  it("puts a copy with ids of its own after what is selected, and can be undone", () => {
    const store = makeStore();
    store.getState().select("h");
    expect(copySelection(store)).toBe(true);
    store.getState().select("c3");
    pasteHere(store, "home");
    const pasted = partAt(store.getState().draft, "c3")!.node.slots.widgets!;
    expect(pasted.map((n) => n.kind)).toEqual(["heading"]);
    expect(pasted[0]!.id).not.toBe("h");
    expect(store.getState().selected).toBe(pasted[0]!.id);
    store.getState().undo();
    expect(store.getState().draft).toEqual(draft);
  });
  it("takes several at once, the outermost of them, and sections behind sections", () => {
    const store = makeStore();
    store.getState().select("h");
    store.getState().select("c2", true);
    store.getState().select("g", true);
    copySelection(store);
    expect(readCopied()!.nodes.map((n) => n.id)).toEqual(["h", "c2"]);
    // A widget and a column can't go to one place.
    pasteHere(store, "home");
    expect(store.getState().pending).toEqual([]);
    expect(store.getState().said?.text).toContain("can’t be pasted together");
    store.getState().select("s2");
    copySelection(store);
    pasteHere(store, "home");
    expect(store.getState().draft.documents.home!.root.slots.main!.map((n) => n.kind)).toEqual([
      "freehand",
      "hero",
      "freehand",
      "freehand",
    ]);
  });
  it("between shops leaves behind what only the other one has, and says so", () => {
    const other = { goods: { products: [], collections: [], asOf: SOME_DAY }, pictures: [], documents: {} };
    const of = (node: Part) => adapted(node, other);
    const bought = of(widget("product", "p", { product: "plain" }));
    expect(bought.props.product).toBeNull();
    const hero = of(makeNode("hero", { picture: "wide", link: { to: "collection", id: "one" }, backdrop: "wide" }));
    expect(hero.props).toMatchObject({ picture: null, link: { to: "nowhere" }, backdrop: null });
    const web = of(widget("button", "b", { link: { to: "web", address: "https://a.example" } }));
    expect(web.props.link).toEqual({ to: "web", address: "https://a.example" });
    expect(problemOf(hero)).toBeUndefined();
    const from = makeStore("one");
    from.getState().select("h");
    copySelection(from);
    const to = makeStore("two");
    to.getState().select("c3");
    pasteHere(to, "home");
    expect(to.getState().said?.text).toContain("Pasted from another shop");
  });
  it("pastes the look only, onto all that is selected, as far as they can have it", () => {
    const store = makeStore();
    const { run } = store.getState();
    run({
      ok: true,
      transaction: {
        id: "t",
        group: "t",
        intent: "x",
        label: "x",
        operations: [
          {
            type: "setStyle",
            document: "home",
            node: "h",
            audience: "all",
            property: "ink",
            before: { absent: true },
            after: { is: "sale" },
          },
          {
            type: "setStyle",
            document: "home",
            node: "h",
            audience: "phone",
            property: "headSize",
            before: { absent: true },
            after: { is: 1 },
          },
        ],
      },
    });
    store.getState().select("h");
    copySelection(store);
    store.getState().select("w");
    store.getState().select("b1", true);
    pasteLookHere(store);
    const styleOf = (id: string) => partAt(store.getState().draft, id)!.node.style;
    expect(styleOf("w")).toEqual({ all: { ink: "sale" } });
    expect(styleOf("b1")).toEqual({});
  });
  it("refuses what is not a copy", () => {
    const store = makeStore();
    pasteHere(store, "home");
    expect(store.getState().said?.text).toBe("Nothing has been copied yet.");
    localStorage.setItem("zest.copied", '{"shop":"x","nodes":[{"id":"<script>"}]}');
    expect(readCopied()).toBeUndefined();
    localStorage.setItem("zest.copied", "{");
    expect(readCopied()).toBeUndefined();
  });
});

describe("keys", () => {
  it("carry a widget up and down, to the next column, and select outwards", () => {
    const store = makeStore();
    const actions = benchActions(store, "home");
    const inside = (id: string) => partAt(store.getState().draft, id)!.node.slots.widgets!.map((n) => n.id);
    store.getState().select("h");
    actions.nudge("down");
    expect(inside("c1")).toEqual(["w", "h"]);
    actions.nudge("right");
    expect(inside("c2")).toEqual(["g", "h"]);
    actions.nudge("right");
    expect(store.getState().said?.text).toBe("This is the last column.");
    actions.out();
    expect(store.getState().selected).toBe("c2");
    actions.out();
    actions.out();
    expect(store.getState().selected).toBeNull();
  });
  it("remove a column and keep what stood in it; hide and duplicate all that is selected", () => {
    const store = makeStore();
    const actions = benchActions(store, "home");
    store.getState().select("c2");
    actions.remove();
    expect(partAt(store.getState().draft, "c1")!.node.slots.widgets!.map((n) => n.id)).toEqual(["h", "w", "g"]);
    store.getState().select("h");
    store.getState().select("w", true);
    actions.toggleShown();
    expect([partAt(store.getState().draft, "h")!.node.shown, partAt(store.getState().draft, "w")!.node.shown]).toEqual([
      false,
      false,
    ]);
    store.getState().select("h");
    store.getState().select("w", true);
    actions.duplicate();
    expect(partAt(store.getState().draft, "c1")!.node.slots.widgets).toHaveLength(5);
  });
});

describe("who else follows a value at its source", () => {
  const source = (layer: "kind" | "section") => ({ layer, audience: "all" as const, value: 1 });
  it("is counted among parts of the same kind that say nothing themselves", () => {
    expect(alsoFollowing(draft, partAt(draft, "b1")!.node, "size", source("kind"))).toBe(1);
    // Another one on the page, and one on the product layout.
    expect(alsoFollowing(draft, partAt(draft, "s1")!.node, "gap", source("kind"))).toBe(2);
    expect(alsoFollowing(draft, partAt(draft, "s1")!.node, "gap", source("section"))).toBe(0);
    // What is said of one part of a layout alone, nobody else has from there.
    expect(alsoFollowing(draft, partAt(draft, "layout-p-main")!.node, "gap", source("kind"))).toBe(0);
  });
});
