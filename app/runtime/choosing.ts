/** What there is to choose from: one value of each option, and whether that can be bought. */
export type Choosable = { readonly values: readonly string[]; readonly can: boolean };

/**
 * What to show when the value of option `turned` in `wish` was chosen: the same in all else; where there is none, what keeps
 * most of the earlier options, and rather what can be bought.
 */
export function nearest<T extends Choosable>(
  variants: readonly T[],
  wish: readonly (string | undefined)[],
  turned: number,
): T | undefined {
  const score = (v: T) =>
    v.values.reduce((sum, value, i) => sum + (i !== turned && value === wish[i] ? 2 ** (8 - i) : 0), 0) +
    (v.can ? 0.5 : 0);
  return variants
    .filter((v) => v.values[turned] === wish[turned])
    .reduce<T | undefined>((best, v) => (best && score(best) >= score(v) ? best : v), undefined);
}

/** Whether `value` of an option leads, with all else that is chosen, to what can be bought, to what can't, or to nothing. */
export function leadsTo(
  variants: readonly Choosable[],
  chosen: readonly string[],
  option: number,
  value: string,
): "free" | "unavailable" | "none" {
  const fitting = variants.filter((v) => v.values.every((x, i) => x === (i === option ? value : chosen[i])));
  return fitting.length === 0 ? "none" : fitting.some((v) => v.can) ? "free" : "unavailable";
}
