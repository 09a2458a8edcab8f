import { expect, it } from "vitest";
import { contentWith, everySection } from "~/render/fixtures/content";
import { setProp } from "../commands";
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
  const known = [sent!.id];
  const news = { seq: 5, missed: [sent!] };
  const after = openTab(draft, 4, []);

  const toldLate = heard(adopt(after, left, known).tab, 4, news).tab;
  const toldEarly = adopt(heard(after, 4, news).tab, left, known).tab;
  for (const tab of [toldLate, toldEarly]) {
    expect(tab.history.past.map((step) => step.label)).toEqual(["Words changed"]);
    expect(tab.pending).toEqual([]);
    expect(tab.draft).toEqual(before.draft);
    expect([...tab.coming]).toEqual([]);
  }
  // Somebody else's stays theirs.
  expect(heard(after, 4, news).tab.history.past).toEqual([]);
});
