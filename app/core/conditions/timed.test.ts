import { DateTime } from "luxon";
import { describe, expect, it } from "vitest";
import { emptyDocument, freeze, walk, type Draft, type Part } from "../document";
import { draftOn, nextTimed, timedOutcome, type Condition } from ".";

const part = (id: string, conditions: readonly Condition[] = [], slots: Part["slots"] = {}): Part => ({
  id,
  kind: "text",
  props: {},
  style: {},
  conditions: conditions as unknown as Part["conditions"],
  shown: true,
  slots,
});
const docWith = (id: string, ...main: Part[]) => {
  const document = emptyDocument(2, "page", id, id);
  return { ...document, root: { ...document.root, slots: { main } } };
};
const advent: Condition = { when: "dates", from: "2026-12-01T00:00", until: "2026-12-25T00:00" };
const nights: Condition = { when: "times", from: "22:00", until: "06:00" };
const hidden: Part = { ...part("hidden", [advent]), shown: false };
const draft = freeze({
  look: {},
  documents: {
    home: docWith(
      "home",
      part("always"),
      part("advent", [advent]),
      part("row", [], { cells: [part("nights", [nights])] }),
      hidden,
    ),
    about: docWith("about", part("story")),
  },
}) as unknown as Draft;
const shown = (d: Draft) =>
  [...walk(d.documents.home!.root)].filter((p) => p.shown && p.id !== d.documents.home!.root.id).map((p) => p.id);

describe("a draft at a time", () => {
  it("has what is outside of its times as not shown, however deep, and never shows what is not", () => {
    expect(shown(draftOn(draft, "2026-11-30T23:59"))).toEqual(["always", "row", "nights"]);
    expect(shown(draftOn(draft, "2026-12-01T12:00"))).toEqual(["always", "advent", "row"]);
    expect(shown(draftOn(draft, "2026-12-25T00:00"))).toEqual(["always", "row", "nights"]);
  });

  it("is the same object for the same outcome, and what has no times is left as it is", () => {
    const noon = draftOn(draft, "2026-12-01T12:00");
    expect(draftOn(draft, "2026-12-02T15:00")).toBe(noon);
    expect(noon.documents.about).toBe(draft.documents.about);
    expect([...walk(noon.documents.home!.root)].find((p) => p.id === "always")).toBe(
      draft.documents.home!.root.slots.main![0],
    );
    const plain = { ...draft, documents: { about: draft.documents.about! } };
    expect(draftOn(plain, "2026-12-01T12:00")).toBe(plain);
    expect([timedOutcome(draft.documents, "2026-12-01T12:00"), timedOutcome(plain.documents, "x")]).toEqual([
      "101",
      "",
    ]);
  });

  // Against another library, over the days on which clocks are put forward and back.
  it.each([
    ["Europe/Dublin", "2026-03-28T23:00", "2026-03-29T06:00"],
    ["Europe/Dublin", "2026-10-25T00:30", "2026-10-25T06:00"],
    ["America/New_York", "2026-11-01T03:00", "2026-11-01T06:00"],
    ["Pacific/Auckland", "2026-11-30T12:00", "2026-11-30T22:00"],
  ])("changes next in %s after %s at %s of the shop's clocks", (timeZone, clock, next) => {
    const only = { home: docWith("home", part("nights", [nights])) };
    expect(nextTimed(only, clock, timeZone)).toBe(DateTime.fromISO(next, { zone: timeZone }).toMillis());
  });

  it("shows what says when in a way that can’t be read, and takes no page down", () => {
    const odd = { ...part("odd"), conditions: [null, { when: "moon" }] as unknown as Part["conditions"] };
    const with1 = { ...draft, documents: { home: docWith("home", odd) } };
    expect(shown(draftOn(with1, "2026-12-01T12:00"))).toEqual(["odd"]);
    expect(nextTimed(with1.documents, "2026-12-01T12:00", "UTC")).toBe(Infinity);
  });

  it("never changes where nothing has times, or all of it is over", () => {
    expect(nextTimed({ about: draft.documents.about! }, "2026-12-01T12:00", "UTC")).toBe(Infinity);
    expect(nextTimed({ home: docWith("home", part("a", [advent])) }, "2027-01-01T00:00", "UTC")).toBe(Infinity);
  });
});
