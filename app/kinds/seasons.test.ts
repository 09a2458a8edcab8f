import { describe, expect, it } from "vitest";
import { addSeason, joinSeason, setConditions, setSeasonLook, setShown, switchSeason } from "~/core/commands";
import type { Draft } from "~/core/document";
import { after } from "~/core/fixtures/outcomes";
import { seasonOf, type SeasonDates } from "~/core/seasons";
import { contentWith } from "~/render/fixtures/content";
import { seasonTrouble } from "./seasons";
import { makeNode } from ".";

const dates = (from: string, until: string): SeasonDates => ({
  when: "dates",
  from: `${from}T00:00`,
  until: `${until}T00:00`,
});
const AUTUMN = dates("2026-10-24", "2026-11-04");
const NOW = "2026-10-01T09:00";
const { draft: empty } = contentWith([]);
const part = makeNode("text", { heading: "{percent:gales} off", text: "Until {ends:gales}." });
const begun = after(
  empty,
  addSeason(
    empty,
    "Autumn",
    AUTUMN,
    {
      offers: [{ id: "gales", name: "Gales", root: { gives: { sort: "percent", off: 1000, on: "all" }, off: true } }],
      parts: [{ document: "home", to: { parent: "hr", slot: "main", index: 0 }, node: part }],
    },
    "autumn",
  ),
);
const on = after(begun, switchSeason(begun, "autumn", true));
const trouble = (draft: Draft, id = "autumn") =>
  seasonTrouble(draft, seasonOf(draft.documents[id])!, NOW).map((each) =>
    "member" in each ? `${each.what} ${each.member.document.id}` : `${each.what} ${each.other.id}`,
  );

describe("what does not go together in a season", () => {
  it("is nothing as it begins, off or on", () => {
    expect(trouble(begun)).toEqual([]);
    expect(trouble(on)).toEqual([]);
  });

  it("is what is there outside of it, and speaks of an offer that does not hold then", () => {
    const early = after(on, setConditions(on, [part.id], [{ ...AUTUMN, from: "2026-10-20T00:00" }], "Text"));
    expect(trouble(early)).toEqual(["outside home", "offer home"]);
    const short = after(on, setConditions(on, [part.id], [{ ...AUTUMN, until: "2026-11-01T00:00" }], "Text"));
    expect(trouble(short)).toEqual([]);
  });

  it("is what of it is off while it is on", () => {
    expect(trouble(after(on, setShown(on, [part.id], false, "Text")))).toEqual(["half home"]);
  });

  it("is another look at the same time, from now on", () => {
    const look = { name: "A", theme: "pomelo", brand: {} };
    const second = (from: string, until: string) => {
      let draft = after(on, setSeasonLook(on, "autumn", look));
      draft = after(draft, addSeason(draft, "Winter", dates(from, until), undefined, "winter"));
      draft = after(draft, setSeasonLook(draft, "winter", look));
      return after(draft, switchSeason(draft, "winter", true));
    };
    expect(trouble(second("2026-11-03", "2026-12-01"))).toEqual(["look winter"]);
    expect(trouble(second("2026-11-03", "2026-12-01"), "winter")).toEqual(["look autumn"]);
    expect(trouble(second("2026-11-04", "2026-12-01"))).toEqual([]);
    const joined = second("2026-11-04", "2026-12-01");
    // What changes its season has the dates of the one that it comes from still.
    expect(trouble(after(joined, joinSeason(joined, [part.id], "winter", "Text")), "winter")).toContain("outside home");
  });
});
