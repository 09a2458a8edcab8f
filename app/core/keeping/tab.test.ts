import { expect, it } from "vitest";
import { contentWith, everySection } from "~/render/fixtures/content";
import { redo, removeNodes, setProp, undo, type Outcome } from "../commands";
import { adopt, edit, heard, openTab, type Tab } from ".";

const hero = everySection.find((s) => s.node.kind === "hero")!.node;
const { draft } = contentWith([hero]);

/** A tab in which a heading was written. */
function written(): Tab {
  const outcome = setProp(draft, hero.id, ["heading"], "Written", "Words changed");
  if (!outcome.ok) throw new Error(outcome.why);
  const edited = edit(openTab(draft, 4, []), outcome.transaction);
  if (!edited.ok) throw new Error("it can be written");
  return edited.tab;
}

it("what a reloaded tab had sent is its own to undo, whether the server tells of it before or after it is known whose it is", () => {
  const before = written();
  const [sent] = before.pending;
  const left = { pending: before.pending, aside: [] };
  const asked = { known: [sent!.id] };
  const news = { seq: 5, missed: [sent!] };
  const after = openTab(draft, 4, []);

  const toldLate = heard(adopt(after, left, asked).tab, 4, news).tab;
  const toldEarly = adopt(heard(after, 4, news).tab, left, asked).tab;
  for (const tab of [toldLate, toldEarly]) {
    expect(tab.history.past.map((step) => step.label)).toEqual(["Words changed"]);
    expect(tab.pending).toEqual([]);
    expect(tab.draft).toEqual(before.draft);
    expect([...tab.coming]).toEqual([]);
  }
  // Somebody else's stays theirs.
  expect(heard(after, 4, news).tab.history.past).toEqual([]);
});

it("what the server stored while the page was on its way back is this tab's to undo, before what it does now", () => {
  const before = written();
  const [sent] = before.pending;
  const news = { seq: 5, missed: [sent!], own: [sent!.id] };
  const loaded = openTab(draft, 4, []);
  expect(heard(loaded, 4, news)).toMatchObject({ isNews: false, tab: { done: [sent] } });

  const outcome = setProp(draft, hero.id, ["text"], "Later", "Text changed");
  if (!outcome.ok) throw new Error(outcome.why);
  const edited = edit(loaded, outcome.transaction);
  if (!edited.ok) throw new Error("it can be written");
  const { tab } = heard(edited.tab, 4, news);
  expect(tab.history.past.map((step) => step.label)).toEqual(["Words changed", "Text changed"]);
});

it("what was done just before a reload fits, though the server had stored what it stands on after this tab was loaded", () => {
  const carriedOut = (tab: Tab, outcome: Outcome) => {
    if (!outcome.ok) throw new Error(outcome.why);
    const edited = edit(tab, outcome.transaction);
    if (!edited.ok) throw new Error("it can be done");
    return edited.tab;
  };
  const gone = carriedOut(openTab(draft, 4, []), removeNodes(draft, [hero.id], "Hero"));
  const removed = gone.pending[0]!;
  // The server had the removal. Then it was taken back, which reached the server after the page had been loaded anew.
  const back = carriedOut(gone, undo(gone.draft, gone.history));
  const again = carriedOut(back, redo(back.draft, back.history));
  const [, taken, redone] = again.pending;
  const loaded = openTab(gone.draft, 5, [removed]);
  const left = { pending: [taken!, redone!], aside: [] };
  const met = adopt(loaded, left, { known: [taken!.id], news: { seq: 6, missed: [taken!] } });
  expect(met.aside).toEqual([]);
  expect(met.isNews).toBe(false);
  expect(met.tab.pending.map((t) => t.id)).toEqual([redone!.id]);
  expect(met.tab.history.past.map((step) => step.group)).toEqual([removed.group]);
});
