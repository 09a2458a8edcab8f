import { one } from "./page";

const pad = (n: number) => String(n).padStart(2, "0");

/**
 * Says whether a shop is open just now. `data-open`: when it is open on `data-day`, in minutes from the day's beginning; the page may have been
 * kept since yesterday, and then nothing is said.
 */
export class Hours extends HTMLElement {
  connectedCallback(): void {
    const status = one("[role=status]", this);
    const { zone, day, open, now: nowWords, later } = this.dataset;
    if (!status || !open) return;
    let shown: string;
    try {
      // Of the locales that every browser has, Swedish writes date and time as ISO 8601 does.
      shown = new Intl.DateTimeFormat("sv-SE", { timeZone: zone, dateStyle: "short", timeStyle: "short" }).format();
    } catch {
      return;
    }
    const [today, time = ""] = shown.split(" ");
    if (today !== day) return;
    const [hours = 0, minutes = 0] = time.split(":").map(Number);
    const now = hours * 60 + minutes;
    const spans = open.split(",").map((span) => span.split(" ").map(Number) as [number, number]);
    const clock = (at: number) => `${pad(Math.floor(at / 60) % 24)}:${pad(at % 60)}`;
    const current = spans.find(([from, to]) => now >= from && now < to);
    const next = spans.find(([from]) => from > now);
    const say = (words = "", at = 0) => (status.textContent = words.replace("{time}", clock(at)));
    if (current) say(nowWords, current[1]);
    else if (next) say(later, next[0]);
  }
}
