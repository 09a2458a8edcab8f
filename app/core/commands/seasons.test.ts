import { describe, expect, it } from "vitest";
import { conditionsOf, type DateRule } from "../conditions";
import { after, whyNot } from "../fixtures/outcomes";
import { contentWith } from "~/render/fixtures/content";
import { makeNode } from "~/kinds";
import { relinked } from "~/kinds/seasons";
import { findNode, type Draft, type Json } from "../document";
import { offerOf, type OfferRoot } from "../offers";
import { membersOf, seasonOf, seasonWith, type SeasonDates } from "../seasons";
import {
  addSeason,
  copySeason,
  joinSeason,
  removeSeason,
  renameSeason,
  setConditions,
  setSeasonDates,
  setSeasonLook,
  shareSection,
  switchSeason,
  type Beginning,
  type Outcome,
} from ".";

const heading = { ...makeNode("heading", { text: "Plain" }), id: "plain-words" };
const inside = makeNode(
  "freehand",
  {},
  { slots: { columns: [{ ...makeNode("column"), slots: { widgets: [heading] } }] } },
);
const { draft: empty } = contentWith([{ ...inside, id: "free" }]);
const dates = (from: string, until: string): SeasonDates => ({
  when: "dates",
  from: `${from}T00:00`,
  until: `${until}T00:00`,
});
const AUTUMN = dates("2026-10-24", "2026-11-04");
const TENTH: OfferRoot = { gives: { sort: "percent", off: 1000, on: "all" }, code: "LEAF", off: true };
const notice = { ...makeNode("hero", { heading: "{percent:gales} off" }), id: "spoken" };
const BEGIN: Beginning = {
  offers: [{ id: "gales", name: "Gales", root: TENTH }],
  parts: [{ document: "home", to: { parent: "hr", slot: "main", index: 0 }, node: notice }],
};
const made = after(empty, addSeason(empty, "Autumn", AUTUMN, BEGIN, "autumn"));
const partIn = (draft: Draft, id: string) => findNode(draft.documents.home!.root, id);
const rule = (draft: Draft, id: string) => conditionsOf(partIn(draft, id) ?? draft.documents[id]!.root)[0] as DateRule;
const seasonIn = (draft: Draft, id = "autumn") => seasonOf(draft.documents[id])!;

describe("a season", () => {
  it("is made with an offer and parts at its dates, and is off", () => {
    expect(seasonIn(made)).toMatchObject({ name: "Autumn", isOff: true, dates: AUTUMN });
    expect(rule(made, "gales")).toEqual(AUTUMN);
    expect(rule(made, "spoken")).toEqual(AUTUMN);
    expect(membersOf(made.documents, seasonIn(made)).map(({ document }) => document.id)).toEqual(["home", "gales"]);
    expect(offerOf(made.documents.gales)!.isOff).toBe(true);
    // Nothing of it is in the shop while it is off.
    expect(partIn(made, "spoken")!.shown).toBe(false);
  });

  it("moves what belongs to it, and lets it begin with it", () => {
    const next = dates("2026-10-31", "2026-11-11");
    const moved = after(made, setSeasonDates(made, "autumn", next));
    expect([rule(moved, "gales"), rule(moved, "spoken"), seasonIn(moved).dates]).toEqual([next, next, next]);
    // What does not belong to it stays.
    expect(partIn(moved, "free")!.conditions).toEqual([]);
  });

  it("is put on and taken off with its offers and parts", () => {
    const on = after(made, switchSeason(made, "autumn", true));
    expect([seasonIn(on).isOff, offerOf(on.documents.gales)!.isOff, partIn(on, "spoken")!.shown]).toEqual([
      false,
      false,
      true,
    ]);
    const off = after(on, switchSeason(on, "autumn", false));
    expect([seasonIn(off).isOff, offerOf(off.documents.gales)!.isOff, partIn(off, "spoken")!.shown]).toEqual([
      true,
      true,
      false,
    ]);
  });

  it("takes up what joins it, which gets its dates where it has none, and lets it go with them", () => {
    const joined = after(made, joinSeason(made, ["plain-words"], "autumn", "Heading"));
    expect(rule(joined, "plain-words")).toEqual(AUTUMN);
    expect(seasonIn(joined).members).toContain("plain-words");
    const other = after(joined, addSeason(joined, "Winter", dates("2026-12-01", "2027-02-01"), undefined, "winter"));
    const changed = after(other, joinSeason(other, ["plain-words"], "winter", "Heading"));
    expect(seasonIn(changed).members).not.toContain("plain-words");
    expect(seasonIn(changed, "winter").members).toEqual(["plain-words"]);
    // It has dates of its own by now.
    expect(rule(changed, "plain-words")).toEqual(AUTUMN);
    const left = after(changed, joinSeason(changed, ["plain-words"], undefined, "Heading"));
    expect(seasonIn(left, "winter").members).toEqual([]);
    expect(rule(left, "plain-words")).toEqual(AUTUMN);
  });

  it("is copied to the next year: its copies speak of one another, and all of it is off", () => {
    const joined = after(made, joinSeason(made, ["plain-words", "free"], "autumn", "Things"));
    const on = after(joined, switchSeason(joined, "autumn", true));
    const worn = after(on, setSeasonLook(on, "autumn", { name: "Leaves", theme: "pomelo", brand: {} }));
    const copied = after(worn, copySeason(worn, "autumn", "2026-11-01T09:00", relinked, "next"));
    const next = dates("2027-10-24", "2027-11-04");
    expect(seasonIn(copied, "next")).toMatchObject({
      name: "Autumn 2027",
      dates: next,
      isOff: true,
      look: { name: "Leaves" },
    });
    const members = membersOf(copied.documents, seasonIn(copied, "next"));
    expect(members.map((each) => each.dates)).toEqual(members.map(() => next));
    // The section and the heading in it are copied once, and the heading in the copy belongs to the copy.
    expect(members).toHaveLength(4);
    const offer = members.find(({ document }) => document.kind === "offer")!.document;
    expect(offerOf(offer)).toMatchObject({ name: "Gales 2027", code: "LEAF-2", isOff: true });
    const words = members.find(({ part }) => part.kind === "hero")!.part;
    expect(words.props.heading).toBe(`{percent:${offer.id}} off`);
    expect(words.shown).toBe(false);
    // It stands behind what it is copied from, which is as it was.
    expect(copied.documents.home!.root.slots.main!.map((part) => part.kind)).toEqual([
      "hero",
      "hero",
      "freehand",
      "freehand",
    ]);
    expect(copied.documents.home!.root.slots.main![0]).toEqual(partIn(worn, "spoken"));
    expect(
      after(copied, copySeason(copied, "next", "2026-11-01T09:00", relinked, "again")).documents.again!.title,
    ).toBe("Autumn 2028");
  });

  it("is copied to a year that is still to come, however long ago it was; not where it comes every year by itself", () => {
    const copied = after(made, copySeason(made, "autumn", "2030-10-24T00:00", relinked, "next"));
    expect(seasonIn(copied, "next").dates).toEqual(dates("2031-10-24", "2031-11-04"));
    const yearly = after(made, setSeasonDates(made, "autumn", { ...AUTUMN, yearly: true }));
    expect(whyNot(copySeason(yearly, "autumn", "2026-11-01T09:00", relinked))).toMatch(
      /^“Autumn” comes every year already/,
    );
  });

  it("copies a shared section as one of its own", () => {
    const shared = after(made, shareSection(made, "free", "Ours", "ours"));
    const place = shared.documents.home!.root.slots.main!.at(-1)!;
    const joined = after(shared, joinSeason(shared, [place.id], "autumn", "Ours"));
    const copied = after(joined, copySeason(joined, "autumn", "2026-11-01T09:00", relinked, "next"));
    const copy = copied.documents.home!.root.slots.main!.at(-1)!;
    expect([place.kind, copy.kind, copy.shown]).toEqual(["shared", "freehand", false]);
    expect(conditionsOf(copy)).toEqual([dates("2027-10-24", "2027-11-04")]);
    expect(seasonIn(copied, "next").members).toContain(copy.id);
  });

  it("is left by what shows always again, which joins it once more with its dates", () => {
    const joined = after(made, joinSeason(made, ["plain-words"], "autumn", "Heading"));
    expect(seasonWith(joined.documents, "plain-words")?.id).toBe("autumn");
    const always = after(joined, setConditions(joined, ["plain-words"], [], "Heading"));
    expect(seasonWith(always.documents, "plain-words")).toBeUndefined();
    expect(rule(after(always, joinSeason(always, ["plain-words"], "autumn", "Heading")), "plain-words")).toEqual(
      AUTUMN,
    );
  });

  it("does not take what has dates on which it does not show", () => {
    const not = after(made, setConditions(made, ["plain-words"], [{ ...AUTUMN, not: true }], "Heading"));
    expect(whyNot(joinSeason(not, ["plain-words"], "autumn", "Heading"))).toBe("There can be one rule of each sort.");
  });

  it("is taken apart, or removed with all of it", () => {
    const joined = after(made, joinSeason(made, ["plain-words", "free"], "autumn", "Things"));
    const apart = after(joined, removeSeason(joined, "autumn", false));
    expect([apart.documents.autumn, apart.documents.gales?.title, partIn(apart, "spoken")?.id]).toEqual([
      undefined,
      "Gales",
      "spoken",
    ]);
    const gone = after(joined, removeSeason(joined, "autumn", true));
    expect([gone.documents.gales, gone.documents.home!.root.slots.main]).toEqual([undefined, []]);
  });

  it.each<[string, (draft: Draft) => Outcome]>([
    ["A season needs a name.", (d) => addSeason(d, " ", AUTUMN)],
    ["There is a season called “autumn” already.", (d) => addSeason(d, "autumn", AUTUMN)],
    ["It ends before it begins.", (d) => addSeason(d, "Winter", dates("2026-12-02", "2026-12-01"))],
    [
      "A season needs a day it begins and one it ends.",
      (d) => setSeasonDates(d, "autumn", { when: "dates" } as SeasonDates),
    ],
    ["It is called that already.", (d) => renameSeason(d, "autumn", "Autumn")],
    ["It is like that already.", (d) => switchSeason(d, "autumn", false)],
    ["This part is no longer there.", (d) => joinSeason(d, ["gone"], "autumn", "X")],
    ["This season is no longer there.", (d) => copySeason(d, "gone", "2026-11-01T09:00", relinked)],
  ])("says “%s”", (why, command) => {
    const off = after(made, switchSeason(made, "autumn", true));
    expect(whyNot(command(why.startsWith("It is like") ? after(off, switchSeason(off, "autumn", false)) : made))).toBe(
      why,
    );
  });

  it("is not moved where something of it would end before it begins", () => {
    const until: DateRule = { when: "dates", from: AUTUMN.from, until: "2026-10-27T00:00" };
    const gales = made.documents.gales!;
    const short: Draft = {
      ...made,
      documents: {
        ...made.documents,
        gales: { ...gales, root: { ...gales.root, conditions: [until] as unknown as readonly Json[] } },
      },
    };
    expect(whyNot(setSeasonDates(short, "autumn", dates("2026-10-29", "2026-11-04")))).toBe(
      "Something that belongs to “Autumn” would end before it begins. Change its own dates first.",
    );
  });
});
