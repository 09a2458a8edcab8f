import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Draft, Json } from "../document";
import { applyAll } from "../operations";
import { carryOut, draft, steps } from "../fixtures/arbitraries";
import {
  addNode,
  applyTheme,
  compact,
  duplicateNodes,
  moveNode,
  NO_HISTORY,
  nudgeNode,
  rebaseAll,
  redo,
  remember,
  removeNodes,
  setBrand,
  setProp,
  setShown,
  setStyles,
  setStyle,
  undo,
  type History,
  type Outcome,
} from ".";

const seed = 7;
const [start] = fc.sample(
  draft.filter((d) => d.documents.home!.root.slots.main!.length >= 4),
  { seed, numRuns: 1 },
) as [Draft];
const order = (d: Draft) => d.documents.home!.root.slots.main!.map((n) => n.id);

function perform(here: Draft, outcome: Outcome): Draft {
  if (!outcome.ok) throw new Error(outcome.why);
  const result = applyAll(here, outcome.transaction.operations);
  if (!result.ok) throw new Error(result.code);
  return result.draft;
}

describe("section commands", () => {
  it("move a section to stand before another, counted as the seller sees it", () => {
    const [a, b, c, d] = order(start);
    expect(order(perform(start, moveNode(start, a!, 2, "A"))).slice(0, 4)).toEqual([b, a, c, d]);
    expect(order(perform(start, moveNode(start, c!, 0, "C"))).slice(0, 4)).toEqual([c, a, b, d]);
    expect(moveNode(start, a!, 0, "A").ok).toBe(false);
    expect(moveNode(start, a!, 1, "A").ok).toBe(false);
  });

  it("nudge along the plan and stop at its ends, with a reason", () => {
    const [a, b] = order(start);
    expect(order(perform(start, nudgeNode(start, a!, 1, "A"))).slice(0, 2)).toEqual([b, a]);
    expect(nudgeNode(start, a!, -1, "Hero")).toEqual({ ok: false, why: "Hero is the first already." });
    expect(nudgeNode(start, order(start).at(-1)!, 1, "Text")).toEqual({
      ok: false,
      why: "Text is the last already.",
    });
  });

  it("duplicate with ids of its own, select the copy, and remove again", () => {
    const [a] = order(start);
    const outcome = duplicateNodes(start, [a!], "Hero");
    const after = perform(start, outcome);
    expect(order(after)).toHaveLength(order(start).length + 1);
    const copy = order(after)[1]!;
    expect(outcome.ok && outcome.transaction.selects).toBe(copy);
    expect(order(perform(after, removeNodes(after, [copy], "Hero")))).toEqual(order(start));
  });

  it("say no for what is gone", () => {
    for (const outcome of [
      removeNodes(start, ["gone"], "X"),
      setShown(start, ["gone"], false, "X"),
      setProp(start, "gone", ["a"], 1, "X"),
    ]) {
      expect(outcome).toEqual({ ok: false, why: "This part is no longer there." });
    }
  });

  it("put a style value back to exactly the document from before", () => {
    const [a] = order(start);
    const set = perform(start, setStyle(start, [a!], "phone", "columns", 2, "Columns"));
    expect(set).not.toEqual(start);
    expect(perform(set, setStyle(set, [a!], "phone", "columns", undefined, "Columns"))).toEqual(start);
  });

  it("keep content and brand when the theme changes, and give the theme back when the brand is put back", () => {
    const branded = perform(start, setBrand(start, "colour", "#225577"));
    const switched = perform(branded, applyTheme(branded, "yuzu", "Yuzu"));
    expect(switched.documents).toBe(branded.documents);
    expect(switched.look.brand).toEqual({ colour: "#225577" });
    expect(perform(branded, setBrand(branded, "colour", undefined))).toEqual(start);
    // With a colourway it is one step, in which the other colours are the theme's again; what is no colour is refused as a whole.
    const made = applyTheme(branded, "quince", "Quince", { colour: "#6d2e46", colour2: undefined });
    expect(perform(branded, made).look).toMatchObject({ theme: "quince", brand: { colour: "#6d2e46" } });
    expect(applyTheme(branded, "quince", "Quince", { colour: "plum" }).ok).toBe(false);
  });

  it("add at the end when asked for a place beyond it", () => {
    const node = { ...start.documents.home!.root.slots.main![0]!, id: "fresh" };
    const after = perform(start, addNode(start, "home", { parent: "hr", slot: "main", index: 999 }, node, "Text"));
    expect(order(after).at(-1)).toBe("fresh");
  });
});

describe("undo", () => {
  const follow = (here: Draft, history: History, outcome: Outcome) => {
    const next = perform(here, outcome);
    if (!outcome.ok) throw new Error();
    return { draft: next, history: remember(history, outcome.transaction), transaction: outcome.transaction };
  };

  it("walks back to the start and forward to the end, step by step, for any run of changes", () => {
    fc.assert(
      fc.property(draft, steps, (first, run) => {
        const { draft: end, operations } = carryOut(first, run);
        let history = operations.reduce<History>(
          (h, operation, i) =>
            remember(h, { id: `t${i}`, group: `g${i}`, intent: "x", label: `Step ${i}`, operations: [operation] }),
          NO_HISTORY,
        );
        let here = end;
        for (let outcome = undo(here, history); outcome.ok; outcome = undo(here, history))
          ({ draft: here, history } = follow(here, history, outcome));
        expect(here).toEqual(first);
        for (let outcome = redo(here, history); outcome.ok; outcome = redo(here, history))
          ({ draft: here, history } = follow(here, history, outcome));
        expect(here).toEqual(end);
      }),
      { seed, numRuns: 100 },
    );
  });

  it("survives a reload: folding the log gives the same history", () => {
    const [a, b] = order(start);
    let state = follow(
      start,
      NO_HISTORY,
      setShown(start, [a!], !start.documents.home!.root.slots.main![0]!.shown, "A"),
    );
    const log = [state.transaction];
    for (const make of [
      (s: typeof state) => moveNode(s.draft, b!, 0, "B"),
      (s: typeof state) => undo(s.draft, s.history),
      (s: typeof state) => redo(s.draft, s.history),
      (s: typeof state) => undo(s.draft, s.history),
    ]) {
      state = follow(state.draft, state.history, make(state));
      log.push(state.transaction);
    }
    expect(log.reduce(remember, NO_HISTORY)).toEqual(state.history);
    expect(state.history.past.map((s) => s.label)).toHaveLength(1);
    expect(state.history.future.map((s) => s.label)).toEqual(["B moved up"]);
  });

  it("takes typing in one place back as one step", () => {
    const [a] = order(start);
    let here = start;
    let history = NO_HISTORY;
    for (const text of ["K", "Ki", "Kite"]) {
      const outcome = setProp(here, a!, ["said"], text, "Words changed");
      if (!outcome.ok) throw new Error();
      here = perform(here, outcome);
      history = remember(history, { ...outcome.transaction, group: "typing" });
    }
    expect(history.past).toHaveLength(1);
    expect(history.past[0]!.operations).toHaveLength(1);
    expect(perform(here, undo(here, history))).toEqual(start);
  });

  it("refuses, and says why, when somebody else has changed the same thing since", () => {
    const [a] = order(start);
    const mine = follow(start, NO_HISTORY, setProp(start, a!, ["said"], "mine", "Words changed"));
    const theirs = perform(mine.draft, setProp(mine.draft, a!, ["said"], "theirs", "x"));
    expect(undo(theirs, mine.history)).toEqual({
      ok: false,
      why: "“Words changed” can't be undone: it has been changed elsewhere since.",
    });
  });
});

describe("several values at once", () => {
  it("are one step, undone as one, and nothing where they are like that already", () => {
    const [a] = order(start);
    const of = (id: string) =>
      (
        [
          ["phone", "scrim", 40],
          ["wide", "scrim", 20],
          ["wide", "scrimTone", "light"],
        ] as const
      ).map(([audience, property, value]) => ({ id, audience, property, value }));
    const values = of(a!);
    const outcome = setStyles(start, values, "Tint just enough");
    if (!outcome.ok) throw new Error(outcome.why);
    expect(outcome.transaction).toMatchObject({ label: "Tint just enough", selects: a });
    const after = { draft: perform(start, outcome), history: remember(NO_HISTORY, outcome.transaction) };
    const style = after.draft.documents.home!.root.slots.main![0]!.style;
    expect([style.phone?.scrim, style.wide?.scrim, style.wide?.scrimTone]).toEqual([40, 20, "light"]);
    expect(setStyles(after.draft, values, "x")).toEqual({ ok: false, why: "It is like that already." });
    expect(perform(after.draft, undo(after.draft, after.history))).toEqual(start);
    expect(setStyles(start, of("nobody"), "x")).toMatchObject({ ok: false });
  });
});

describe("carrying changes over", () => {
  it("keeps what still has its target and names what has not", () => {
    const [a, b] = order(start);
    const edit = setProp(start, a!, ["said"], "mine", "Words changed");
    const other = setShown(start, [b!], !start.documents.home!.root.slots.main![1]!.shown, "B");
    if (!edit.ok || !other.ok) throw new Error();
    const theirs = perform(start, removeNodes(start, [a!], "A"));
    const result = rebaseAll(theirs, [edit.transaction, other.transaction]);
    expect(result.kept.map((t) => t.id)).toEqual([other.transaction.id]);
    expect(result.dropped.map((t) => t.id)).toEqual([edit.transaction.id]);
  });

  it("folds repeated settings of one value, and only those", () => {
    const set = (after: Json, before: Json, path = "a") =>
      ({
        type: "setProp",
        document: "home",
        node: "n0",
        path: [path],
        before: { is: before },
        after: { is: after },
      }) as const;
    expect(compact([set(2, 1), set(3, 2), set(4, 3)])).toEqual([set(4, 1)]);
    expect(compact([set(2, 1), set(3, 2, "b"), set(4, 2)])).toHaveLength(3);
  });
});
