import { describe, expect, it, vi } from "vitest";
import { moveNode, nudgeNode, removeNodes, setBrand, setProp, setShown, type Transaction } from "~/core/commands";
import { applyAll } from "~/core/operations";
import { MOST_CHARACTERS, MOST_OPERATIONS } from "~/core/schema";
import { contentWith, everySection } from "~/render/fixtures/content";
import { heard, putAside, type Logged } from "~/core/keeping";
import { FIRST_VISIT } from "~/core/situation";
import { clockNow, createStudioStore } from ".";

const main = everySection.filter((s) => s.slot === "main").map((s) => s.node);
const [hero, grid] = [main[0]!, main.find((n) => n.kind === "product-grid")!];

function studio(done: readonly Transaction[] = [], author: Omit<Logged, "transaction"> = { tab: null, by: null }) {
  const { draft, goods, pictures, currency, locale } = contentWith(main);
  return createStudioStore({
    shop: { id: "s", host: "s", address: "", currency, locale, timeZone: "Europe/London", moneyFormat: "en-GB" },
    goods,
    pictures,
    published: undefined,
    draft,
    seq: 5,
    log: done.map((transaction) => ({ transaction, ...author })),
    me: "me",
  });
}
const heading = (s: ReturnType<typeof studio>) => s.getState().draft.documents.home!.root.slots.main![0]!.props.heading;
const type = (s: ReturnType<typeof studio>, text: string) =>
  s.getState().run(setProp(s.getState().draft, hero.id, ["heading"], text, "Words changed in Hero"));

describe("the studio's state", () => {
  it("is turned to another day and shopper, and back to what it was", () => {
    const s = studio();
    const soon = s.getState().goods.products[0]!;
    const goods = {
      ...s.getState().goods,
      products: [{ ...soon, availability: "coming-soon" as const, availableFrom: "2027-05-01" }],
    };
    const t = createStudioStore({ ...s.getState(), goods, log: [], seq: 0, now: Date.parse("2026-11-30T12:00Z") });
    const { availability: is } = t.getState().goods.products[0]!;
    const person = { ...FIRST_VISIT, country: "IE" };
    t.getState().lookAs({ at: "2027-05-02T09:00", person });
    expect(t.getState().situation).toMatchObject({ now: Date.parse("2027-05-02T08:00Z"), person });
    expect(t.getState().goods.products[0]!.availability).not.toBe(is);
    // The clock goes on meanwhile, and moves none of it.
    t.getState().setNow(Date.parse("2026-12-01T12:00Z"));
    expect(clockNow(t.getState())).toBe("2026-12-01T12:00");
    expect(t.getState().situation.now).toBe(Date.parse("2027-05-02T08:00Z"));
    t.getState().lookAs(null);
    expect(t.getState().situation).toMatchObject({ now: Date.parse("2026-12-01T12:00Z"), person: FIRST_VISIT });
    expect(t.getState().goods.products[0]!.availability).toBe(is);
  });

  it("goes back and forward to any step by its name, and all the way", () => {
    const s = studio();
    const run = (colour: string) => {
      s.getState().run(setBrand(s.getState().draft, "colour", colour));
      // What is selected ends the merging of changes that follow each other.
      s.getState().select(colour);
    };
    const colours = ["#111111", "#222222", "#333333", "#444444"];
    colours.forEach(run);
    const groups = s.getState().history.past.map((p) => p.group);
    expect(groups).toHaveLength(4);
    const colour = () => s.getState().draft.look.brand.colour;
    s.getState().jumpTo(groups[1]!);
    expect(colour()).toBe("#222222");
    expect(s.getState().history.future).toHaveLength(2);
    s.getState().jumpTo(groups[3]!);
    expect(colour()).toBe("#444444");
    s.getState().jumpTo(null);
    expect(colour()).toBeUndefined();
    s.getState().jumpTo(groups[2]!);
    expect(colour()).toBe("#333333");
    s.getState().jumpTo(groups[2]!);
    expect(colour()).toBe("#333333");
  });

  it("stops where a step can't be taken back, and keeps what it reached", () => {
    const s = studio();
    type(s, "One");
    s.getState().select(null);
    s.getState().run(setBrand(s.getState().draft, "corners", "soft"));
    const state = s.getState();
    // Somebody else changes the words meanwhile.
    const theirs = setProp(state.draft, hero.id, ["heading"], "Theirs", "x");
    const applied = applyAll(state.draft, theirs.ok ? theirs.transaction.operations : []);
    s.setState({ draft: applied.ok ? applied.draft : state.draft });
    s.getState().jumpTo(null);
    expect(s.getState().draft.look.brand.corners).toBeUndefined();
    expect(heading(s)).toBe("Theirs");
    expect(s.getState().said?.text).toMatch(/can't be undone/);
  });

  it("makes one step of fast typing and two of slow", () => {
    vi.useFakeTimers({ now: 1000 });
    const s = studio();
    type(s, "K");
    vi.setSystemTime(1200);
    type(s, "Ki");
    expect(s.getState().history.past).toHaveLength(1);
    expect(s.getState().pending).toHaveLength(1);
    vi.setSystemTime(2000);
    type(s, "Kit");
    expect(s.getState().history.past).toHaveLength(2);
    s.getState().undo();
    expect(heading(s)).toBe("Ki");
    s.getState().undo();
    expect(heading(s)).toBe(hero.props.heading);
    s.getState().redo();
    s.getState().redo();
    expect(heading(s)).toBe("Kit");
    vi.useRealTimers();
  });

  it("does not touch what is on its way, but takes it back together", () => {
    vi.useFakeTimers({ now: 1000 });
    const s = studio();
    type(s, "K");
    s.setState({ sealed: new Set(s.getState().pending.map((t) => t.id)) });
    type(s, "Ki");
    expect(s.getState().pending).toHaveLength(2);
    expect(s.getState().history.past).toHaveLength(1);
    s.getState().undo();
    expect(heading(s)).toBe(hero.props.heading);
    vi.useRealTimers();
  });

  it("says why something can't be done and changes nothing", () => {
    const s = studio();
    const before = s.getState().draft;
    expect(s.getState().run(nudgeNode(before, hero.id, -1, "Hero"))).toBe("Hero is the first already.");
    expect(s.getState().draft).toBe(before);
    expect(s.getState().run(setProp(before, grid.id, ["most"], 99, "x"))).toBeTruthy();
    expect(s.getState().draft).toBe(before);
  });

  it("has its history back after a reload, from the log", () => {
    const s = studio();
    s.getState().run(setShown(s.getState().draft, [hero.id], false, "Hero"));
    s.getState().run(setBrand(s.getState().draft, "colour", "#225577"));
    const again = studio(s.getState().pending);
    expect(again.getState().history.past.map((p) => p.label)).toEqual(["Hero not shown yet", "Brand colour changed"]);
  });
});

describe("another tab's changes", () => {
  const theirs = () => {
    const other = studio();
    other.getState().run(setShown(other.getState().draft, [grid.id], false, "Goods"));
    return other.getState().pending;
  };

  it("come in, and ours stay on top of them", () => {
    const s = studio();
    type(s, "Mine");
    const { tab, aside } = heard(s.getState(), 5, { seq: 6, missed: theirs() });
    s.setState(tab);
    expect(aside).toEqual([]);
    expect(heading(s)).toBe("Mine");
    expect(s.getState().draft.documents.home!.root.slots.main!.find((n) => n.id === grid.id)!.shown).toBe(false);
    expect(s.getState().base).toBe(6);
    const server = applyAll(
      s.getState().confirmed,
      s.getState().pending.flatMap((t) => t.operations),
    );
    expect(server.ok && server.draft).toEqual(s.getState().draft);
  });

  it("that were our own, sent without an answer, are not done twice", () => {
    const s = studio();
    s.getState().run(moveNode(s.getState().draft, hero.id, 2, "Hero"));
    const order = s.getState().draft.documents.home!.root.slots.main!.map((n) => n.id);
    const { tab, aside } = heard(s.getState(), 5, { seq: 6, missed: s.getState().pending });
    s.setState(tab);
    expect(aside).toEqual([]);
    expect(s.getState().pending).toEqual([]);
    expect(s.getState().draft.documents.home!.root.slots.main!.map((n) => n.id)).toEqual(order);
  });
});

describe("undo", () => {
  const steps = (s: ReturnType<typeof studio>) => s.getState().history.past.map((p) => p.label);
  const log = () => {
    const s = studio();
    s.getState().run(setShown(s.getState().draft, [hero.id], false, "Hero"));
    return s.getState().pending;
  };

  it("is the asker's own after a reload: not what another account did, nor what another open tab did", () => {
    expect(steps(studio(log(), { by: "me", tab: "before" }))).toEqual(["Hero not shown yet"]);
    expect(steps(studio(log(), { by: "a colleague", tab: "theirs" }))).toEqual([]);
    const s = studio(log(), { by: "me", tab: "other" });
    s.getState().ownSteps(["other"]);
    expect(steps(s)).toEqual([]);
    type(s, "Mine");
    s.getState().ownSteps([]);
    expect(steps(s)).toEqual(["Hero not shown yet", "Words changed in Hero"]);
  });

  it("says what it took back, and where", () => {
    const s = studio();
    type(s, "Mine");
    s.getState().undo();
    expect(s.getState().stepped).toMatchObject({ direction: "undo", label: "Words changed in Hero" });
    expect(s.getState().stepped!.transaction.operations[0]).toMatchObject({ document: "home", node: hero.id });
    s.getState().redo();
    expect(s.getState().stepped).toMatchObject({ direction: "redo", label: "Words changed in Hero" });
  });
});

describe("a change that can't be kept", () => {
  it("is refused when it is made, by the limits that the server has", () => {
    const s = studio();
    const before = s.getState().draft;
    const outcome = setProp(before, hero.id, ["heading"], "x".repeat(MOST_CHARACTERS + 1), "x");
    expect(s.getState().run(outcome)).toBeTruthy();
    const many = Array.from({ length: MOST_OPERATIONS + 1 }, (_, i) => ({
      type: "setShown" as const,
      document: "home",
      node: hero.id,
      before: i % 2 === 0,
      after: i % 2 === 1,
    }));
    expect(
      s.getState().run({ ok: true, transaction: { id: "t", group: "t", intent: "x", label: "X", operations: many } }),
    ).toBe("That is more than one change can hold. Do it in several steps.");
    expect(s.getState().draft).toBe(before);
    expect(s.getState().pending).toEqual([]);
  });

  it("is tried again, or let go of, when the seller says so", () => {
    const s = studio();
    type(s, "Refused");
    const [refused] = s.getState().pending;
    s.setState(putAside(s.getState(), refused!.id, "Not now.").tab);
    expect(heading(s)).toBe(hero.props.heading);
    expect(s.getState().history.past).toEqual([]);
    expect(s.getState().tryAgain(refused!.id)).toBeUndefined();
    expect(heading(s)).toBe("Refused");
    expect(s.getState().aside).toEqual([]);
    expect(s.getState().pending[0]!.id).not.toBe(refused!.id);
    s.setState(putAside(s.getState(), s.getState().pending[0]!.id, "Not now.").tab);
    s.getState().run(removeNodes(s.getState().draft, [hero.id], "Hero"));
    const [aside] = s.getState().aside;
    expect(s.getState().tryAgain(aside!.transaction.id)).toBe("It still doesn’t fit what is there now.");
    s.getState().discard(aside!.transaction.id);
    expect(s.getState().aside).toEqual([]);
  });
});
