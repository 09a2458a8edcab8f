import { describe, expect, it } from "vitest";
import { addSeason, setSeasonDates, switchSeason } from "~/core/commands";
import { clockPlus } from "~/core/conditions";
import { OVER, type Draft } from "~/core/document";
import { after } from "~/core/fixtures/outcomes";
import { applyAll, type Operation } from "~/core/operations";
import { membersOf, seasonsOf } from "~/core/seasons";
import { problemOfChange } from "~/kinds/changes";
import { livePartsIn } from "~/kinds/live";
import { seasonTrouble } from "~/kinds/seasons";
import { lostLinksIn } from "~/kinds/lost-links";
import { renderPage } from "~/render";
import { contentWith, goods, pictures } from "~/render/fixtures/content";
import { SEASON_STARTS, type SeasonStart } from "./starts";

const NOW = "2026-11-30T09:20";
const content = contentWith([]);

function begun(start: SeasonStart, draft: Draft = content.draft, clock = NOW): Draft {
  const given = { draft, goods, pictures, clock };
  return after(draft, addSeason(draft, start.name, start.dates(clock), start.begin(given), "season"));
}
const opened = (start: SeasonStart): Draft => {
  const draft = begun(start);
  return after(draft, switchSeason(draft, "season", true));
};
/** The home page as shoppers have it on the first day of the season. */
function homeThen(draft: Draft): string {
  const [season] = seasonsOf(draft.documents);
  const now = Date.parse(`${season!.dates.from}Z`) + 12 * 3_600_000;
  return renderPage(
    { page: "home" },
    { ...content, draft, situation: { now, timeZone: "UTC" } },
    "http://shop.localhost",
    { every: "/a.js", goods: "/b.js" },
  ).html;
}

describe.each(SEASON_STARTS.map((start) => [start.name, start] as const))("%s", (_name, start) => {
  it("can be kept, and nothing of it is in the shop before it is put on", () => {
    const given = { draft: content.draft, goods, pictures, clock: NOW };
    const made = addSeason(content.draft, start.name, start.dates(NOW), start.begin(given));
    const operations: readonly Operation[] = made.ok ? made.transaction.operations : [];
    const next = applyAll(content.draft, operations);
    expect(next.ok && problemOfChange(next.draft, operations)).toBeUndefined();
    const members = membersOf(begun(start).documents, seasonsOf(begun(start).documents)[0]!);
    expect(members.filter(({ document, part }) => (document.kind === "offer" ? !part.props.off : part.shown))).toEqual(
      [],
    );
  });

  it("says facts of its own offer alone, and all of it goes together once it is on", () => {
    const draft = opened(start);
    const [season] = seasonsOf(draft.documents);
    expect(seasonTrouble(draft, season!, NOW)).toEqual([]);
    expect(lostLinksIn(draft, content)).toEqual([]);
    expect(Object.values(draft.documents).flatMap((each) => livePartsIn(each).filter((p) => p.isUnbound))).toEqual([]);
  });

  it("lies ahead, and begins and ends at midnight", () => {
    for (const clock of [NOW, "2026-12-31T23:59", "2028-02-29T12:00", "2026-12-20T12:00", "2026-12-21T00:00"]) {
      const { from, until } = start.dates(clock);
      expect([from.slice(11), until.slice(11)]).toEqual(["00:00", "00:00"]);
      expect(until > clock).toBe(true);
    }
  });
});

describe("what shoppers see of a season that is on", () => {
  const start = (name: string) => SEASON_STARTS.find((each) => each.name === name)!;

  it("is its notice with what the offer says, whatever that is by then", () => {
    const draft = opened(start("Sale"));
    expect(homeThen(draft)).toContain("15% off until 20 December");
    // A week longer, the words say so by themselves.
    const { dates } = seasonsOf(draft.documents)[0]!;
    const longer = after(draft, setSeasonDates(draft, "season", { ...dates, until: clockPlus(dates.until, 7) }));
    expect(homeThen(longer)).toContain("15% off until 27 December");
  });

  it("is a goal in the shop's own money, in a pop-up over the page as well", () => {
    const draft = opened(start("Time for presents"));
    // The middle price is 64, two of which are 128: 130 rounded to a five.
    expect(homeThen(draft)).toContain("Free delivery from €130.00 on, until 20 December");
    expect(draft.documents.frame!.root.slots[OVER]).toHaveLength(1);
  });

  it("is nothing of it before and after", () => {
    const draft = opened(start("One day"));
    const before = { ...content, draft, situation: { now: Date.parse(`${NOW}Z`), timeZone: "UTC" } };
    const { html } = renderPage({ page: "home" }, before, "http://shop.localhost", { every: "/a.js", goods: "/b.js" });
    expect(html).not.toContain("20% off");
    expect(homeThen(draft)).toContain("20% off");
  });
});
