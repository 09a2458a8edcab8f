import type { ReactNode } from "react";
import { leftOf, momentsFrom, type CountDays, type CountTo } from "~/core/countdown";
import { momentIn } from "~/core/situation";
import { useEnv } from "./env";

/** How units are called: in whole words below their numbers, or by the signs of SI (d, h, min, s) that hold in every language. */
export type UnitWords = readonly [days: string, hours: string, minutes: string, seconds: string];
export const SI_UNITS: UnitWords = ["d", "h", "min", "s"];

type CountProps = {
  count: CountTo;
  units: UnitWords;
  seconds?: boolean;
  className?: string;
  /** What stands in its place when it is over; empty: nothing does. */
  over?: string;
  /** Words before it, which go with it. */
  children?: ReactNode;
};

/** First and last day of the week on which an hour comes again. */
const SPANS: ReadonlyMap<CountDays, readonly [number, number]> = new Map([
  ["weekdays", [1, 5]],
  ["saturdays", [1, 6]],
]);

/** Days of the week in the shop's own language: "Mon – Fri", "Tue"; empty for every day. */
function weekdaysWords(days: CountDays, locale: string): string {
  if (days === "every") return "";
  const writer = new Intl.DateTimeFormat(locale, { weekday: "short", timeZone: "UTC" });
  // The fifth of January 1970 was a Monday.
  const [from, to] = (SPANS.get(days) ?? [Number(days), Number(days)]).map((day) => Date.UTC(1970, 0, 4 + day));
  return from === to ? writer.format(from) : writer.formatRange(from!, to!);
}

/** What is counted down to, in words for whoever has no script. */
function whenWords(count: CountTo, locale: string): string {
  if (count.to === "hour") return `${weekdaysWords(count.days, locale)} ${count.time}`.trim();
  return new Intl.DateTimeFormat(locale, {
    day: "numeric",
    month: "long",
    hour: "2-digit",
    minute: "2-digit",
    timeZone: "UTC",
  }).format(Date.parse(`${count.at}:00Z`));
}

/** Whether there is still anything to count down to. */
export function useCounts(count: CountTo): boolean {
  const { clock, goods } = useEnv();
  return (
    count.to === "hour" || (count.at > clock && momentsFrom(count, clock.slice(0, 10), goods.asOf.timeZone).length > 0)
  );
}

/**
 * What is left until a moment. A page may have been kept for hours: its numbers take the room, and are seen once the script has put them right. Without
 * a script the moment itself is said; in panes the numbers are those of the time that panes are turned to.
 */
export function Count({ count, units, seconds = false, className = "", over = "", children }: CountProps): ReactNode {
  const { clock, goods, locale, still } = useEnv();
  const { timeZone } = goods.asOf;
  const moments = momentsFrom(count, clock.slice(0, 10), timeZone);
  if (!useCounts(count)) return null;
  const now = momentIn(clock, timeZone);
  const next = now === undefined ? undefined : moments.find((at) => at > now);
  const left = now === undefined || next === undefined ? undefined : leftOf(next - now);
  const shown = seconds ? units : units.slice(0, 3);
  return (
    <zest-countdown
      className={`count ${still ? "is-on" : ""} ${className}`.replace(/\s+/g, " ").trim()}
      data-moments={moments.join(" ")}
      data-over={over || undefined}
      data-seconds={seconds ? "" : undefined}
    >
      {children}
      <span className="count-units" role="timer">
        {shown.map((unit, i) => (
          <span key={i} className="count-unit">
            <b>{String(left?.[i] ?? 0).padStart(2, "0")}</b> <i>{unit}</i>
          </span>
        ))}
      </span>
      <span className="count-when">{whenWords(count, locale)}</span>
    </zest-countdown>
  );
}

/** Rules of what counts down; with the kinds that have one. */
export const COUNT_CSS = `
.count{display:inline-flex;align-items:baseline;gap:.5em;font-variant-numeric:lining-nums tabular-nums}
.count[hidden]{display:none}
.count-units{display:inline-flex;flex-wrap:wrap;gap:.15em .6em}
.count:not(.is-on) .count-units{visibility:hidden}
.count-unit{white-space:nowrap}
.count-unit b{font-weight:var(--strong)}
.count-unit i{font-style:normal}
.count-when{display:none}
@media (scripting:none){.count-units{display:none}.count-when{display:inline}}
`;
