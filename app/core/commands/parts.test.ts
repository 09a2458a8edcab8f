import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { freeze, integrityOf, LOOK_PART, walk, type Draft, type Part, type StyleSheet } from "../document";
import { applyAll, invertAll, type Operation } from "../operations";
import {
  addColumn,
  addNode,
  carryNode,
  columnsOf,
  deviceDifferences,
  duplicateNodes,
  makeColumn,
  moveNode,
  NO_HISTORY,
  outermost,
  pasteLook,
  putBackDevices,
  remember,
  removeColumn,
  removeNodes,
  removeShared,
  renamePage,
  restorePage,
  restorePart,
  setBrand,
  setShopName,
  restoreShop,
  restoreSection,
  setProp,
  setShares,
  setShown,
  setStyle,
  shareSection,
  sharesIn,
  undo,
  type History,
  type Outcome,
} from ".";

const noShare = () => undefined;
const seed = 2026;

const part = (id: string, kind: string, slots: Part["slots"] = {}, style: StyleSheet = {}): Part => ({
  id,
  kind,
  props: {},
  style,
  conditions: [],
  shown: true,
  slots,
});
/** Two sections of columns with widgets (one of them a group), and a plain one. */
const start: Draft = freeze({
  look: {
    theme: "pomelo",
    identity: { name: "Shop", tagline: "", logo: { form: "words" as const } },
    brand: {},
    versions: {},
  },
  documents: {
    home: {
      schemaVersion: 2,
      id: "home",
      kind: "page" as const,
      title: "Home",
      root: part("root", "root", {
        main: [
          part("s1", "freehand", {
            columns: [
              part("c1", "column", { widgets: [part("w1", "heading"), part("w2", "words")] }),
              part("c2", "column", {
                widgets: [part("g1", "group", { inside: [part("w3", "button"), part("w4", "button")] })],
              }),
            ],
          }),
          part("s2", "freehand", {
            columns: [part("c3", "column", { widgets: [part("w5", "picture")] }), part("c4", "column")],
          }),
          part("s3", "text"),
        ],
      }),
    },
    about: {
      schemaVersion: 2,
      id: "about",
      kind: "page" as const,
      title: "About",
      root: part("root2", "root", { main: [part("s4", "freehand", { columns: [part("c5", "column")] })] }),
    },
  },
});

function perform(here: Draft, outcome: Outcome): Draft {
  if (!outcome.ok) throw new Error(outcome.why);
  const result = applyAll(here, outcome.transaction.operations);
  if (!result.ok) throw new Error(result.code);
  return result.draft;
}
const idsOf = (d: Draft) => Object.values(d.documents).flatMap((doc) => [...walk(doc.root)].map((n) => n.id));
const find = (d: Draft, id: string) =>
  Object.values(d.documents)
    .flatMap((doc) => [...walk(doc.root)])
    .find((n) => n.id === id)!;
const inside = (d: Draft, id: string, slot = "widgets") => (find(d, id).slots[slot] ?? []).map((n) => n.id);

/** A command chosen by numbers, on whatever the draft holds then. */
function commandOf(d: Draft, [what, pick, other, amount]: readonly [number, number, number, number]): Outcome {
  const nodes = Object.values(d.documents).flatMap((doc) =>
    [...walk(doc.root)].filter((n) => n.kind !== "root").map((node) => ({ node, document: doc.id })),
  );
  const chosen = nodes[pick % nodes.length]!.node;
  const goal = nodes[other % nodes.length]!;
  const sections = nodes.filter((n) => n.node.kind === "freehand");
  const section = sections[pick % Math.max(1, sections.length)]?.node ?? chosen;
  const columns = columnsOf(section);
  const slot = { freehand: "columns", column: "widgets", group: "inside" }[goal.node.kind] ?? "widgets";
  switch (what % 11) {
    case 0:
      return carryNode(
        d,
        chosen.id,
        { document: goal.document, parent: goal.node.id, slot, index: amount % 3 },
        "Moved",
      );
    case 1:
      return duplicateNodes(d, [chosen.id, goal.node.id], "Parts");
    case 2:
      return nodes.length > 6 ? removeNodes(d, [chosen.id], "Part") : setShown(d, [chosen.id], !chosen.shown, "Part");
    case 3:
      return addColumn(d, section.id, amount % (columns.length + 1), noShare);
    case 4:
      return removeColumn(d, columns[amount % Math.max(1, columns.length)]?.id ?? "none", noShare);
    case 5:
      return setStyle(
        d,
        [chosen.id, goal.node.id],
        (["all", "phone", "wide"] as const)[amount % 3]!,
        "align",
        `v${amount}`,
        "Align",
      );
    case 6:
      return addNode(
        d,
        goal.document,
        { parent: goal.node.id, slot, index: 0 },
        part(`x${what}-${pick}-${other}-${amount}`, "words"),
        "Words",
      );
    case 7:
      return setProp(d, chosen.id, ["text"], amount, "Words changed");
    case 8:
      return putBackDevices(d, [chosen.id], "Part");
    case 9:
      return pasteLook(d, [chosen.id], goal.node.style, () => true, "Part");
    default:
      return moveNode(d, chosen.id, amount % 4, "Part");
  }
}
const run = fc.array(fc.tuple(fc.nat(1000), fc.nat(1000), fc.nat(1000), fc.nat(1000)), { minLength: 1, maxLength: 25 });

describe("any sequence of commands", () => {
  it("keeps documents sound, loses no id twice, and undoes to the start step by step", () => {
    fc.assert(
      fc.property(run, (commands) => {
        let here = start;
        let history: History = NO_HISTORY;
        const done: Operation[] = [];
        for (const numbers of commands) {
          const outcome = commandOf(here, numbers);
          if (!outcome.ok) continue;
          here = perform(here, outcome);
          history = remember(history, outcome.transaction);
          done.push(...outcome.transaction.operations);
          expect(Object.values(here.documents).flatMap(integrityOf)).toEqual([]);
          const ids = idsOf(here);
          expect(new Set(ids).size).toBe(ids.length);
          // A slot that holds nothing is left out.
          for (const doc of Object.values(here.documents))
            for (const n of walk(doc.root))
              if (n.kind !== "root")
                for (const children of Object.values(n.slots)) expect(children.length).toBeGreaterThan(0);
        }
        expect(applyAll(here, invertAll(done))).toEqual({ ok: true, draft: start });
        while (history.past.length) {
          const back = undo(here, history);
          here = perform(here, back);
          if (back.ok) history = remember(history, back.transaction);
        }
        expect(here).toEqual(start);
      }),
      { seed, numRuns: 250 },
    );
  });
});

describe("device differences", () => {
  it("put back give the common document, whatever was set for devices", () => {
    const change = fc.record({
      id: fc.constantFrom("s1", "c1", "w1", "g1", "w3", "s3"),
      device: fc.constantFrom("phone", "tablet", "wide"),
      property: fc.constantFrom("align", "rows", "gap"),
      value: fc.integer({ min: 0, max: 5 }),
    });
    fc.assert(
      fc.property(fc.array(change, { minLength: 1, maxLength: 15 }), (all) => {
        let here = start;
        for (const { id, device, property, value } of all) {
          const outcome = setStyle(here, [id], device, property, value, "x");
          if (outcome.ok) here = perform(here, outcome);
        }
        const back = perform(here, putBackDevices(here, ["s1", "s3"], "All"));
        expect(back).toEqual(start);
        expect(deviceDifferences(find(back, "s1"))).toEqual([]);
      }),
      { seed, numRuns: 120 },
    );
    expect(putBackDevices(start, ["s1"], "Freehand")).toMatchObject({ ok: false });
  });
});

describe("carrying", () => {
  it("goes within a place, into another, and into another document, counted as it is seen", () => {
    const to = (parent: string, index: number, document = "home", slot = "widgets") => ({
      document,
      parent,
      slot,
      index,
    });
    expect(inside(perform(start, carryNode(start, "w1", to("c1", 2), "x")), "c1")).toEqual(["w2", "w1"]);
    expect(inside(perform(start, carryNode(start, "w1", to("c2", 0), "x")), "c2")).toEqual(["w1", "g1"]);
    const away = perform(start, carryNode(start, "g1", to("c5", 0, "about"), "x"));
    expect(inside(away, "c5")).toEqual(["g1"]);
    expect(inside(away, "g1", "inside")).toEqual(["w3", "w4"]);
    expect(find(away, "c2").slots).toEqual({});
  });
  it("refuses what can’t be: into itself, where it stands, beyond the end, into nothing", () => {
    const to = (parent: string, index: number, slot = "widgets") => ({ document: "home", parent, slot, index });
    expect(carryNode(start, "g1", to("g1", 0, "inside"), "x")).toMatchObject({
      ok: false,
      why: "Nothing can be put into itself.",
    });
    expect(carryNode(start, "c2", to("g1", 0, "inside"), "x").ok).toBe(false);
    expect(carryNode(start, "w1", to("c1", 0), "x").ok).toBe(false);
    expect(carryNode(start, "w1", to("c1", 1), "x").ok).toBe(false);
    expect(carryNode(start, "w1", to("c2", 5), "x").ok).toBe(false);
    expect(carryNode(start, "w1", to("nowhere", 0), "x").ok).toBe(false);
  });
});

describe("columns", () => {
  it("share the width anew when one is added or taken out, and lose nothing that stands in them", () => {
    const three = perform(start, addColumn(start, "s1", 1, noShare));
    expect(sharesIn(find(three, "s1"), "all", noShare).map(Math.round)).toEqual([33, 33, 33]);
    const set = perform(three, setShares(three, "s1", "all", [50, 25, 25]));
    const first = perform(set, removeColumn(set, "c1", noShare));
    expect(sharesIn(find(first, "s1"), "all", noShare)).toEqual([50, 50]);
    // What stood left comes before what stood right of it.
    const second = perform(start, removeColumn(start, "c1", noShare));
    expect(inside(second, "c2")).toEqual(["w1", "w2", "g1"]);
    const last = perform(start, removeColumn(start, "c2", noShare));
    expect(inside(last, "c1")).toEqual(["w1", "w2", "g1"]);
  });
  it("are one to six", () => {
    let here = start;
    for (let i = 0; i < 4; i++) here = perform(here, addColumn(here, "s1", 0, noShare));
    expect(addColumn(here, "s1", 0, noShare)).toMatchObject({ ok: false, why: "A section can have 6 columns." });
    expect(removeColumn(start, "c5", noShare).ok).toBe(false);
  });
  it("have shares of their own on a device, which a new column puts back", () => {
    const phone = perform(start, setShares(start, "s1", "phone", [30, 70]));
    expect(sharesIn(find(phone, "s1"), "phone", noShare)).toEqual([30, 70]);
    expect(sharesIn(find(phone, "s1"), "all", noShare)).toEqual([50, 50]);
    // What a theme gives holds until the seller says otherwise.
    expect(sharesIn(find(start, "s1"), "all", (c) => (c.id === "c1" ? "60%" : "40%"))).toEqual([60, 40]);
    const more = perform(phone, addColumn(phone, "s1", 2, noShare));
    expect(deviceDifferences(find(more, "s1"))).toEqual([]);
  });
  it("made by hand hold their share", () => expect(makeColumn([], 40).style).toEqual({ all: { share: "40%" } }));
});

describe("several parts at once", () => {
  it("count once where one holds the other, and are done in one step", () => {
    expect(outermost(start, ["w3", "c2", "s1", "s3"]).map((f) => f.node.id)).toEqual(["s1", "s3"]);
    const after = perform(start, removeNodes(start, ["w1", "w2", "s3"], "3 parts"));
    expect(idsOf(after)).not.toContain("w1");
    expect(inside(after, "root", "main")).toEqual(["s1", "s2"]);
    const doubled = perform(start, duplicateNodes(start, ["w1", "w2"], "2 parts"));
    expect(inside(doubled, "c1")).toHaveLength(4);
  });
  it("get a look whole: what it says, and nothing of what they said before", () => {
    const own = perform(start, setStyle(start, ["w1"], "all", "align", "end", "x"));
    const look: StyleSheet = { all: { size: 3, share: "20%" }, phone: { size: 1 } };
    const after = perform(
      own,
      pasteLook(own, ["w1", "w2"], look, (_n, p) => p !== "ink", "2 parts"),
    );
    expect(find(after, "w1").style).toEqual({ all: { size: 3 }, phone: { size: 1 } });
    expect(find(after, "w2").style).toEqual({ all: { size: 3 }, phone: { size: 1 } });
    expect(pasteLook(start, ["w1"], {}, () => true, "x").ok).toBe(false);
  });
});

const withoutIds = (value: unknown): unknown =>
  JSON.parse(JSON.stringify(value, (key, each: unknown) => (key === "id" ? undefined : each)));

describe("bringing back a version", () => {
  it("brings back one document or the look, and leaves all else", () => {
    const page = perform(start, renamePage(start, "home", "Front"));
    const changed = perform(perform(page, setBrand(page, "colour", "#225577")), removeNodes(page, ["s1"], "x"));
    const home = perform(changed, restorePart(changed, start, "home", "no. 1"));
    expect(home.documents.home).toEqual(start.documents.home);
    expect(home.look.brand.colour).toBe("#225577");
    const look = perform(changed, restorePart(changed, start, LOOK_PART, "no. 1"));
    expect([look.look.brand.colour, look.documents.home!.title]).toEqual([start.look.brand.colour, "Front"]);
    expect(restorePart(start, start, "home", "no. 1")).toMatchObject({ ok: false });
    expect(restorePart(start, start, "never", "no. 1")).toMatchObject({ ok: false });
  });

  it("has shared sections of then, and none that came later", () => {
    const shared = perform(start, shareSection(start, "s1", "Fairs", "fairs"));
    // From before it was shared: the section stands on the page itself again, and nowhere twice.
    const back = perform(shared, restoreShop(shared, start, "no. 1"));
    expect(back.documents).toEqual(start.documents);
    const page = perform(shared, restorePart(shared, start, "home", "no. 1"));
    expect(page.documents.fairs).toBeDefined();
    expect(withoutIds(page.documents.home)).toEqual(withoutIds(start.documents.home));
    expect(page.documents.home!.root.slots.main![0]!.id).not.toBe("s1");
    // And one that is gone since comes back with a page on which it stood.
    const gone = perform(shared, removeShared(shared, "fairs", false));
    const again = perform(gone, restorePart(gone, shared, "home", "no. 2"));
    expect(again.documents).toEqual(shared.documents);
  });

  it("makes the page what it was, from any later state, in one step that is undone as one", () => {
    fc.assert(
      fc.property(run, (commands) => {
        let here = start;
        for (const numbers of commands) {
          const outcome = commandOf(here, numbers);
          if (outcome.ok) here = perform(here, outcome);
        }
        const version = start.documents.home!;
        const outcome = restorePage(here, version, "Before");
        if (!outcome.ok) {
          expect(here.documents.home!.root).toEqual(version.root);
          return;
        }
        const back = perform(here, outcome);
        expect(withoutIds(back.documents.home!.root.slots.main)).toEqual(withoutIds(version.root.slots.main));
        // What was carried to another page stands there still, so what comes back has ids of its own.
        const ids = Object.values(back.documents).flatMap((d) => [...walk(d.root)].map((p) => p.id));
        expect(new Set(ids).size).toBe(ids.length);
        expect(applyAll(back, invertAll(outcome.transaction.operations))).toEqual({ ok: true, draft: here });
      }),
      { seed, numRuns: 150 },
    );
  });
  it("makes the whole shop what it was, look, pages and layouts, in one step that is undone as one", () => {
    const kites = {
      schemaVersion: 2,
      id: "kites",
      kind: "layout" as const,
      title: "Kites",
      root: {
        ...part("rk", "root", { main: [part("sk", "text")] }),
        props: { of: "product", products: [], collections: [] },
      },
    };
    const layouts: Draft = freeze({ ...start, documents: { ...start.documents, kites } });
    fc.assert(
      fc.property(run, fc.constantFrom("#225577", undefined), fc.boolean(), (commands, colour, isLater) => {
        let here = isLater ? layouts : start;
        for (const numbers of commands) {
          const outcome = commandOf(here, numbers);
          if (outcome.ok) here = perform(here, outcome);
        }
        const outcomes = [setBrand(here, "colour", colour), setShopName(here, "Another")];
        for (const outcome of outcomes) if (outcome.ok) here = perform(here, outcome);
        const version = isLater ? start : layouts;
        const outcome = restoreShop(here, version, "no. 1");
        expect(outcome.ok).toBe(true);
        const back = perform(here, outcome);
        expect(back.documents).toEqual(version.documents);
        expect({ ...back.look, versions: {} }).toEqual({ ...version.look, versions: {} });
        if (outcome.ok)
          expect(applyAll(back, invertAll(outcome.transaction.operations))).toEqual({ ok: true, draft: here });
        expect(restoreShop(back, version, "no. 1").ok).toBe(false);
      }),
      { seed, numRuns: 60 },
    );
  });
  it("brings one section back in its place, or where it stood", () => {
    const version = start.documents.home!;
    const changed = perform(start, removeNodes(start, ["w1"], "x"));
    const back = perform(changed, restoreSection(changed, version, "s1", "Freehand"));
    expect(back.documents.home!.root).toEqual(version.root);
    const gone = perform(start, removeNodes(start, ["s2"], "x"));
    expect(perform(gone, restoreSection(gone, version, "s2", "Freehand")).documents.home!.root).toEqual(version.root);
    expect(restoreSection(start, version, "s1", "Freehand").ok).toBe(false);
    // A widget of it stands in another section now: the page would hold it twice.
    const carried = perform(
      start,
      carryNode(start, "w1", { document: "home", parent: "c4", slot: "widgets", index: 0 }, "x"),
    );
    expect(restoreSection(carried, version, "s1", "Freehand")).toMatchObject({ ok: false });
  });
});
