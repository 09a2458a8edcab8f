/** A seeded source of numbers (mulberry32), so that every picture comes out the same each time. */
export type Random = {
  next: () => number;
  between: (low: number, high: number) => number;
  pick: <T>(of: readonly T[]) => T;
};

export function seeded(seed: number | string): Random {
  let state =
    typeof seed === "number"
      ? seed >>> 0
      : [...seed].reduce((h, c) => Math.imul(h ^ c.charCodeAt(0), 16777619), 2166136261) >>> 0;
  const next = () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  return {
    next,
    between: (low, high) => low + (high - low) * next(),
    pick: (of) => of[Math.floor(next() * of.length)]!,
  };
}
