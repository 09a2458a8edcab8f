import { describe, expect, it } from "vitest";
import { emptyDocument, freeze, walk, type Draft, type Part } from "~/core/document";
import { closedBy, closedHere, withoutClosed } from "./closing";
import { makeNode } from "./index";
import { momentsPassed } from "./moments";

const message = (text: string, until = "") => ({ sign: "", text, until, more: "", link: { to: "nowhere" } });
const withTop = (...top: Part[]): Draft => {
  const frame = emptyDocument(2, "frame", "frame", "Every page");
  const documents = {
    frame: { ...frame, root: { ...frame.root, slots: { top } } },
    home: emptyDocument(2, "page", "home", "Home"),
  };
  return freeze({ look: {}, documents }) as unknown as Draft;
};

describe("moments that parts name", () => {
  const { documents } = withTop(
    makeNode("notice", {
      messages: [message("A", "2026-12-24T18:00"), message("B"), message("C", "2026-12-01T09:00")],
    }),
    makeNode("notice", { messages: [message("D", "2026-12-24T18:00")] }),
  );

  it.each([
    ["2026-11-30T12:00", { count: 0, next: "2026-12-01T09:00" }],
    ["2026-12-01T08:59", { count: 0, next: "2026-12-01T09:00" }],
    ["2026-12-01T09:00", { count: 1, next: "2026-12-24T18:00" }],
    ["2026-12-24T18:00", { count: 2, next: undefined }],
  ])("at %s", (clock, passed) => expect(momentsPassed(documents, clock)).toEqual(passed));
});

describe("what shoppers close", () => {
  const open = makeNode("notice", { messages: [message("Stays")] });
  const closes = makeNode("notice", { messages: [message("Goes")], closes: true });
  const draft = withTop(open, closes);
  const name = closedBy(closes)!;
  const shown = (of: Draft) =>
    [...walk(of.documents.frame!.root)].filter((p) => p.kind === "notice" && p.shown).map((p) => p.id);

  it("is gone by what it says, and there again once it says something else", () => {
    expect(closedBy(open)).toBeUndefined();
    const here = closedHere(draft.documents, ["past", name]);
    expect(here).toEqual([name]);
    expect(shown(withoutClosed(draft, here))).toEqual([open.id]);
    expect(withoutClosed(draft, here).documents.home).toBe(draft.documents.home);
    expect(withoutClosed(draft, [])).toBe(draft);
    const changed = { ...closes, props: { ...closes.props, messages: [message("Goes now")] } };
    expect(shown(withoutClosed(withTop(open, changed), [name]))).toEqual([open.id, closes.id]);
  });
});
