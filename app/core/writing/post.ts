import type { Taken } from "./rich-of";

/** A post out of a file, before it is one of the shop's. */
export type PostIn = {
  readonly title: string;
  /** The last part of its address, as the file says; empty: made from the title. */
  readonly slug: string;
  /** As clocks show it, "2026-11-28T09:00"; empty: not said. */
  readonly at: string;
  readonly author: string;
  readonly tags: readonly string[];
  readonly summary: string;
  /** Whether it was not out where it came from. */
  readonly isDraft: boolean;
  readonly text: Taken;
};

const pad = (n: number) => String(n).padStart(2, "0");

/**
 * A moment as clocks show it, from what files write: ISO 8601 (RFC 3339) and RFC 822 as feeds have it. What has a zone of its own keeps
 * the clock of that zone: it is the day on which it was written that readers are told.
 */
export function clockIn(written: string): string {
  const text = written.trim();
  const iso = /^(\d{4})-(\d{1,2})-(\d{1,2})(?:[T ](\d{1,2}):(\d{2}))?/.exec(text);
  if (iso) return clock(iso[1]!, Number(iso[2]), Number(iso[3]), iso[4], iso[5]);
  const mail = /^(?:[a-z]{3},?\s+)?(\d{1,2})\s+([a-z]{3})[a-z]*\s+(\d{4})(?:\s+(\d{1,2}):(\d{2}))?/i.exec(text);
  const months = ["jan", "feb", "mar", "apr", "may", "jun", "jul", "aug", "sep", "oct", "nov", "dec"];
  return mail ? clock(mail[3]!, months.indexOf(mail[2]!.toLowerCase()) + 1, Number(mail[1]), mail[4], mail[5]) : "";
}

function clock(year: string, month: number, day: number, hour = "0", minute = "00"): string {
  const exists = new Date(Date.UTC(Number(year), month - 1, day));
  if (exists.getUTCMonth() !== month - 1 || exists.getUTCDate() !== day || Number(hour) > 23 || Number(minute) > 59)
    return "";
  return `${year}-${pad(month)}-${pad(day)}T${pad(Number(hour))}:${minute}`;
}
