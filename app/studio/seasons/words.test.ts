import { describe, expect, it } from "vitest";
import type { DateRule } from "~/core/conditions";
import { emptyDocument } from "~/core/document";
import { makeNode } from "~/kinds";
import { calledOf, datesWords } from "./words";

const dates = (more: Partial<DateRule>): DateRule => ({ when: "dates", ...more });
const page = emptyDocument(2, "page", "home", "Home");
const frame = emptyDocument(2, "frame", "frame", "Every page");

describe("dates in words", () => {
  it.each([
    [{ from: "2026-10-24T00:00", until: "2026-11-04T00:00" }, "24 Oct 2026 to 3 Nov 2026"],
    [{ from: "2026-10-24T09:00", until: "2026-11-04T18:30" }, "24 Oct 2026, 09:00 to 4 Nov 2026, 18:30"],
    [{ from: "2026-12-27T00:00", until: "2027-01-31T00:00", yearly: true } as const, "27 Dec to 30 Jan, every year"],
    [{ from: "2026-10-24T00:00" }, "from 24 Oct 2026"],
    [{ until: "2026-11-04T00:00" }, "until 3 Nov 2026"],
  ])("%j is “%s”", (rule, words) => expect(datesWords(dates(rule))).toBe(words));
});

describe("what has dates is called", () => {
  it("by the first words that it says, wherever in it they stand, and by where it is", () => {
    const notice = makeNode("notice", { messages: [{ sign: "", text: "{percent:a} off", until: "", more: "" }] });
    expect(calledOf({ document: frame, part: notice })).toEqual({
      name: "Notice strip “{percent} off”",
      where: "every page",
    });
    expect(calledOf({ document: page, part: makeNode("hero", { heading: "Made for wind" }) })).toEqual({
      name: "Hero “Made for wind”",
      where: "Home",
    });
    expect(calledOf({ document: page, part: makeNode("rule", {}) }).name).toBe("Line");
    const offer = emptyDocument(2, "offer", "o", "Gales");
    expect(calledOf({ document: offer, part: offer.root })).toEqual({ name: "“Gales”", where: "offer" });
  });

  it("shortly, however much it says", () => {
    const { name } = calledOf({ document: page, part: makeNode("text", { heading: "Long ".repeat(30) }) });
    expect(name.length).toBeLessThan(80);
  });
});
