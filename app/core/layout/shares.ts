// How columns share a width. A share is a percentage of what is left for columns once the gaps are taken off; the shares of
// a section add up to 100.

/** Proportions between two neighbours that people reach for, as the left one's part of the two; common practice, no source. */
export const COMMON_RATIOS: readonly (readonly [name: string, left: number])[] = [
  ["1 : 4", 1 / 5],
  ["1 : 3", 1 / 4],
  ["1 : 2", 1 / 3],
  ["2 : 3", 2 / 5],
  ["3 : 4", 3 / 7],
  ["1 : 1", 1 / 2],
  ["4 : 3", 4 / 7],
  ["3 : 2", 3 / 5],
  ["2 : 1", 2 / 3],
  ["3 : 1", 3 / 4],
  ["4 : 1", 4 / 5],
];

/** The narrowest that a column can be dragged or typed, in percent. */
export const LEAST_SHARE = 8;
export const MOST_COLUMNS = 6;

const round = (share: number) => Math.round(share * 100) / 100;

/** Shares that add up to 100, in the given proportions; what rounding leaves over goes to the last one. */
export function sharesOf(proportions: readonly number[]): readonly number[] {
  const total = proportions.reduce((sum, p) => sum + p, 0);
  const shares = proportions.map((p) => round((p / total) * 100));
  const over = round(100 - shares.reduce((sum, s) => sum + s, 0));
  return shares.map((s, i) => (i === shares.length - 1 ? round(s + over) : s));
}

/** Shares for one more column at `index`: it gets an equal part, the others keep their proportions. */
export function sharesWith(shares: readonly number[], index: number): readonly number[] {
  const fresh = 100 / (shares.length + 1);
  const others = shares.map((s) => (s * (100 - fresh)) / 100);
  return sharesOf(others.toSpliced(index, 0, fresh));
}

/** Shares once the column at `index` is gone: the others keep their proportions. */
export const sharesWithout = (shares: readonly number[], index: number): readonly number[] =>
  sharesOf(shares.toSpliced(index, 1));

/** One share typed exactly: the others give or take in their proportions, none falling below the least. */
export function withShare(shares: readonly number[], index: number, share: number): readonly number[] {
  if (shares.length === 1) return [100];
  const most = 100 - LEAST_SHARE * (shares.length - 1);
  const wanted = Math.max(LEAST_SHARE, Math.min(most, share));
  const rest = shares.reduce((sum, s, i) => (i === index ? sum : sum + s), 0);
  const above = rest - LEAST_SHARE * (shares.length - 1);
  const left = 100 - wanted - LEAST_SHARE * (shares.length - 1);
  // Each keeps the least, and its proportion of what there is above that.
  const next = shares.map((s, i) =>
    i === index ? wanted : LEAST_SHARE + (above > 0 ? ((s - LEAST_SHARE) * left) / above : left / (shares.length - 1)),
  );
  return sharesOf(next);
}

export type LineDragged = {
  readonly shares: readonly number[];
  /** The common ratio that the two neighbours have snapped to. */
  readonly snapped: string | undefined;
};

/**
 * The shares after the line between the columns `index` and `index + 1` is dragged by `by` (percent of the width of all
 * columns). Snaps to common ratios of the two within `reach` percent, unless `free`. Only these two change.
 */
export function dragLine(
  shares: readonly number[],
  index: number,
  by: number,
  reach: number,
  free = false,
): LineDragged {
  const left = shares[index]!;
  const both = left + shares[index + 1]!;
  const least = Math.min(LEAST_SHARE, both / 2);
  const wanted = Math.max(least, Math.min(both - least, left + by));
  const near = free
    ? undefined
    : COMMON_RATIOS.map(([name, part]) => ({ name, at: both * part }))
        .filter(({ at }) => at >= least && both - at >= least && Math.abs(at - wanted) <= reach)
        .sort((a, b) => Math.abs(a.at - wanted) - Math.abs(b.at - wanted))[0];
  const next = round(near?.at ?? wanted);
  return {
    shares: shares.map((s, i) => (i === index ? next : i === index + 1 ? round(both - next) : s)),
    snapped: near?.name,
  };
}

/** How wide columns come out, in px: the inverse of what a browser does with `flex-grow` and a basis of 0. */
export function widthsOf(shares: readonly number[], width: number, gap: number): readonly number[] {
  const room = Math.max(0, width - gap * (shares.length - 1));
  const total = shares.reduce((sum, s) => sum + s, 0);
  return shares.map((s) => (room * s) / total);
}

/** The common ratio that two neighbours are in; undefined where they are in none. */
export const ratioOf = (left: number, right: number): string | undefined =>
  COMMON_RATIOS.find(([, part]) => Math.abs(left / (left + right) - part) < 0.004)?.[0];
