import { clockPlus, type DateRule } from "./times";

// Dates on a line: when something shows between two days, and the same rule with its dates moved.

/** A time in which a rule of dates holds, cut off at the ends of what is looked at. */
export type Span = {
  readonly from: string;
  readonly until: string;
  /** It goes on before, or after, what is looked at. */
  readonly isOpen: { readonly before: boolean; readonly after: boolean };
};

/** When a rule of dates holds between two moments, as the shop's clocks show them, earliest first. */
export function spansOf({ from, until, yearly }: DateRule, begin: string, end: string): readonly Span[] {
  const cut = (a: string | undefined, b: string | undefined): readonly Span[] => {
    const [starts, ends] = [a === undefined || a < begin ? begin : a, b === undefined || b > end ? end : b];
    return starts < ends
      ? [
          {
            from: starts,
            until: ends,
            isOpen: { before: a === undefined || a < begin, after: b === undefined || b > end },
          },
        ]
      : [];
  };
  if (!yearly || !from || !until) return cut(from, until);
  const goesOver = until.slice(5) <= from.slice(5);
  const years = Array.from(
    { length: Number(end.slice(0, 4)) - Number(begin.slice(0, 4)) + 2 },
    (_, i) => Number(begin.slice(0, 4)) - 1 + i,
  );
  return years.flatMap((year) => cut(`${year}-${from.slice(5)}`, `${year + (goesOver ? 1 : 0)}-${until.slice(5)}`));
}

/** A rule with its dates moved by days: both, or one of them. What has no such date stays without. */
export const movedDates = (rule: DateRule, days: number, which: "both" | "from" | "until"): DateRule => ({
  ...rule,
  ...(rule.from && which !== "until" ? { from: clockPlus(rule.from, days) } : {}),
  ...(rule.until && which !== "from" ? { until: clockPlus(rule.until, days) } : {}),
});
