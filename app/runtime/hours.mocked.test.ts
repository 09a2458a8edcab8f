// @vitest-environment jsdom
import { afterEach, beforeAll, expect, it, vi } from "vitest";
import { Hours } from "./hours";

beforeAll(() => customElements.define("zest-hours", Hours));
afterEach(() => vi.useRealTimers());

/** What is said of a day's times at a moment; the shop is in Berlin. */
function saidAt(moment: string, open: string, day = "2026-11-27"): string {
  vi.useFakeTimers({ now: new Date(moment) });
  document.body.innerHTML = `<zest-hours data-zone="Europe/Berlin" data-day="${day}" data-open="${open}" data-now="Open until {time}" data-later="Opens at {time}"><p role="status"></p></zest-hours>`;
  return document.querySelector("p")!.textContent;
}
const DAY = "600 780,840 1080";

it.each([
  // Berlin is an hour ahead of UTC in November.
  ["2026-11-27T08:59:00Z", DAY, "Opens at 10:00"],
  ["2026-11-27T09:00:00Z", DAY, "Open until 13:00"],
  ["2026-11-27T12:00:00Z", DAY, "Opens at 14:00"],
  ["2026-11-27T16:59:00Z", DAY, "Open until 18:00"],
  ["2026-11-27T17:00:00Z", DAY, ""],
  // What began yesterday, and what goes on past midnight.
  ["2026-11-27T00:30:00Z", "-240 120,1200 1560", "Open until 02:00"],
  ["2026-11-27T20:00:00Z", "-240 120,1200 1560", "Open until 02:00"],
  ["2026-11-27T10:00:00Z", "", ""],
])("at %s, a shop that is open at “%s” says “%s”", (moment, open, said) => expect(saidAt(moment, open)).toBe(said));

it("says nothing of a day that is over, as a page may be kept, nor in a zone that the browser does not know", () => {
  expect(saidAt("2026-11-28T09:30:00Z", DAY)).toBe("");
  // 23:30 UTC is the next day in Berlin.
  expect(saidAt("2026-11-27T23:30:00Z", "0 1440", "2026-11-28")).toBe("Open until 00:00");
});
