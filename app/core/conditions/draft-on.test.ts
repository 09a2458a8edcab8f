import { DateTime } from "luxon";
import { describe, expect, it } from "vitest";
import { FIRST_VISIT } from "../situation";
import { emptyDocument, freeze, walk, type Draft, type Part } from "../document";
import { comingIn, draftOn, nextTimed, partsOutcome, personalParts, timedOutcome, type Condition } from ".";

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
    expect(shown(draftOn(draft, { clock: "2026-11-30T23:59" }))).toEqual(["always", "row", "nights"]);
    expect(shown(draftOn(draft, { clock: "2026-12-01T12:00" }))).toEqual(["always", "advent", "row"]);
    expect(shown(draftOn(draft, { clock: "2026-12-25T00:00" }))).toEqual(["always", "row", "nights"]);
  });

  it("is the same object for the same outcome, and what has no times is left as it is", () => {
    const noon = draftOn(draft, { clock: "2026-12-01T12:00" });
    expect(draftOn(draft, { clock: "2026-12-02T15:00" })).toBe(noon);
    expect(noon.documents.about).toBe(draft.documents.about);
    expect([...walk(noon.documents.home!.root)].find((p) => p.id === "always")).toBe(
      draft.documents.home!.root.slots.main![0],
    );
    const plain = { ...draft, documents: { about: draft.documents.about! } };
    expect(draftOn(plain, { clock: "2026-12-01T12:00" })).toBe(plain);
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
    expect(shown(draftOn(with1, { clock: "2026-12-01T12:00" }))).toEqual(["odd"]);
    expect(nextTimed(with1.documents, "2026-12-01T12:00", "UTC")).toBe(Infinity);
  });

  it("is the same for one page whatever the other pages are, and what stands on all pages follows each", () => {
    const only: Condition = { when: "pages", sorts: ["product"] };
    const frame = { ...docWith("frame", part("row", [only])), kind: "frame" as const };
    const all = freeze({ ...draft, documents: { ...draft.documents, frame } });
    const on = (sort: string, own: string) =>
      draftOn(all, { clock: "2026-12-01T12:00", page: { sort } }, new Set([own]));
    const [home, product, again] = [on("home", "home"), on("product", "about"), on("home", "home")];
    expect(again).toBe(home);
    expect([...walk(home.documents.frame!.root)].find(({ id }) => id === "row")!.shown).toBe(false);
    expect(product.documents.frame ?? all.documents.frame).toBe(all.documents.frame);
    // Before it is known which page it is, what depends on that is there.
    expect([...walk(draftOn(all, { clock: "2026-12-01T12:00" }).documents.frame!.root)].every((p) => p.shown)).toBe(
      true,
    );
  });

  it("tells apart who looks only by what its parts ask of them", () => {
    const asks: Condition = {
      when: "any",
      of: [
        { when: "visitor", is: "returning" },
        { when: "cart", asks: "empty", not: true },
      ],
    };
    const documents = {
      home: docWith("home", part("a", [advent]), part("b", [asks])),
      about: docWith("about", part("c")),
    };
    const personal = personalParts(documents, new Set(["home"]));
    expect([personal.parts.map(({ id }) => id), [...personal.asks]]).toEqual([["b"], ["visitor", "cart"]]);
    expect(personalParts(documents, new Set(["about"])).parts).toEqual([]);
    const outcome = (visits: number, count: number) =>
      partsOutcome(personal, {
        clock: "2026-12-01T12:00",
        person: {
          ...FIRST_VISIT,
          visitor: { ...FIRST_VISIT.visitor, visits },
          cart: { count, worth: count, products: [] },
        },
      });
    expect([outcome(1, 0), outcome(2, 0), outcome(9, 3), outcome(1, 1)]).toEqual(["0", "1", "1", "1"]);
  });

  it("knows what comes next, of what is shown at all", () => {
    const ahead: Condition = { when: "dates", from: "2026-12-20T08:00", until: "2026-12-21T00:00" };
    const documents = {
      home: docWith(
        "home",
        part("b", [ahead]),
        part("a", [advent]),
        { ...part("c", [advent]), shown: false },
        part("d"),
      ),
    };
    const coming = (clock: string) => comingIn(documents, clock).map(({ at, part: { id }, shows }) => [at, id, shows]);
    expect(coming("2026-11-30T12:00")).toEqual([
      ["2026-12-01T00:00", "a", true],
      ["2026-12-20T08:00", "b", true],
    ]);
    expect(coming("2026-12-20T12:00")).toEqual([
      ["2026-12-21T00:00", "b", false],
      ["2026-12-25T00:00", "a", false],
    ]);
    expect(coming("2027-01-01T00:00")).toEqual([]);
  });

  it("never changes where nothing has times, or all of it is over", () => {
    expect(nextTimed({ about: draft.documents.about! }, "2026-12-01T12:00", "UTC")).toBe(Infinity);
    expect(nextTimed({ home: docWith("home", part("a", [advent])) }, "2027-01-01T00:00", "UTC")).toBe(Infinity);
  });
});
