import { describe, expect, it } from "vitest";
import { addMenu, addPage, setPage, setProp, type Outcome } from "~/core/commands";
import { changedParts, MAIN_MENU, withParts, type Draft } from "~/core/document";
import { applyAll } from "~/core/operations";
import { contentWith } from "~/render/fixtures/content";
import { makeNode } from ".";
import { leftBehind, publishingProblem } from "./together";

const after = (draft: Draft, outcome: Outcome): Draft => {
  if (!outcome.ok) throw new Error(outcome.why);
  const applied = applyAll(draft, outcome.transaction.operations);
  if (!applied.ok) throw new Error(applied.code);
  return applied.draft;
};
const before = contentWith([]).draft;
const itemTo = (id: string) => ({ menu: MAIN_MENU, item: makeNode("menu-item", { link: { to: "page", id } }) });
const parts = (draft: Draft) => changedParts(before, draft).map((c) => c.part);

describe("what hangs together when only some of it is published", () => {
  it("is a new page that a menu leads to, the page beneath which one stands, and a menu that is shown", () => {
    let draft = after(
      before,
      addPage(before, { title: "Fair", parent: null, main: [], menus: [itemTo("fair")] }, "fair"),
    );
    draft = after(draft, addPage(draft, { title: "Stall", parent: "fair", main: [] }, "stall"));
    draft = after(draft, addMenu(draft, "Second", "second"));
    const header = draft.documents.frame!.root.slots.top!.find((p) => p.kind === "header")!;
    draft = after(draft, setProp(draft, header.id, ["menu"], "second", "Menu"));
    const needs = (...chosen: readonly string[]) =>
      leftBehind(before, draft, new Set(chosen)).map(({ part, needs, how }) => `${part} ${how} ${needs}`);
    expect(needs(MAIN_MENU)).toEqual([`${MAIN_MENU} leads fair`]);
    expect(needs("stall")).toEqual(["stall beneath fair"]);
    expect(needs("frame")).toEqual(["frame shows second"]);
    expect(needs(...parts(draft))).toEqual([]);
    // A page beneath one that is not there has no address, so that can't be.
    expect(publishingProblem(withParts(before, draft, new Set(["stall"])))).toContain("Publish both of them together");
    expect(publishingProblem(withParts(before, draft, new Set([MAIN_MENU])))).toBeUndefined();
    // What shoppers can't reach anyway is not missed.
    const hidden = after(draft, setPage(draft, "fair", { hidden: true }, "hidden"));
    expect(leftBehind(before, hidden, new Set([MAIN_MENU]))).toEqual([]);
  });

  it("is two pages that have changed addresses with each other", () => {
    let start = after(before, addPage(before, { title: "A", slug: "a", parent: null, main: [] }, "pa"));
    start = after(start, addPage(start, { title: "B", slug: "b", parent: null, main: [] }, "pb"));
    let draft = after(start, setPage(start, "pa", { slug: "c" }, "x"));
    draft = after(draft, setPage(draft, "pb", { slug: "a" }, "x"));
    expect(publishingProblem(withParts(start, draft, new Set(["pb"])))).toContain("has the address /a already");
    expect(publishingProblem(withParts(start, draft, new Set(["pa", "pb"])))).toBeUndefined();
  });
});
