import { distance, hexOf, linearOf, linearOfOklab, oklabOf, type Oklab } from "./oklch";
import type { Hex } from "./colour";

/** A colour of a picture and its share of it, 0–1. */
export type Weighed = { readonly colour: Hex; readonly weight: number };

type ColourPoint = { readonly lab: Oklab; readonly weight: number };

const MOST_CLUSTERS = 12;
const MERGE_BELOW = 0.07;
const ROUNDS = 14;

/** Pixels counted into cells of 5 bits a channel; each cell is weighed by how many pixels fell into it. */
function pointsOf(pixels: ArrayLike<number>): ColourPoint[] {
  const counts = new Map<number, [count: number, r: number, g: number, b: number]>();
  for (let i = 0; i + 3 < pixels.length; i += 4) {
    if (pixels[i + 3]! < 128) continue;
    const [r, g, b] = [pixels[i]!, pixels[i + 1]!, pixels[i + 2]!];
    const cell = ((r >> 3) << 10) | ((g >> 3) << 5) | (b >> 3);
    const known = counts.get(cell);
    if (known) {
      known[0]++;
      known[1] += r;
      known[2] += g;
      known[3] += b;
    } else counts.set(cell, [1, r, g, b]);
  }
  return [...counts.entries()]
    .sort(([a], [b]) => a - b)
    .map(([, [count, r, g, b]]) => {
      const hex = `#${((Math.round(r / count) << 16) | (Math.round(g / count) << 8) | Math.round(b / count)).toString(16).padStart(6, "0")}`;
      return { lab: oklabOf(linearOf(hex)), weight: count };
    });
}

const nearestTo = (centres: readonly Oklab[], lab: Oklab): number => {
  let best = 0;
  for (let i = 1; i < centres.length; i++) if (distance(centres[i]!, lab) < distance(centres[best]!, lab)) best = i;
  return best;
};

/** First centres: the heaviest colour, then whatever is farthest from all chosen, weighed (k-means++ without chance). */
function seeds(points: readonly ColourPoint[]): Oklab[] {
  const first = points.reduce((a, b) => (b.weight > a.weight ? b : a));
  const centres = [first.lab];
  const apart = points.map((p) => distance(p.lab, first.lab));
  while (centres.length < Math.min(MOST_CLUSTERS, points.length)) {
    let best = 0;
    let most = -1;
    points.forEach((p, i) => {
      // The root keeps a small patch of a strong colour (a logo on white) from being lost to shades of the ground.
      const pull = apart[i]! ** 2 * Math.sqrt(p.weight);
      if (pull > most) {
        most = pull;
        best = i;
      }
    });
    if (apart[best]! < MERGE_BELOW / 2) break;
    const next = points[best]!.lab;
    centres.push(next);
    points.forEach((p, i) => (apart[i] = Math.min(apart[i]!, distance(p.lab, next))));
  }
  return centres;
}

type Cluster = { lab: Oklab; weight: number };

const together = (a: Cluster, b: Cluster): Cluster => {
  const weight = a.weight + b.weight;
  const at = (i: 0 | 1 | 2) => (a.lab[i] * a.weight + b.lab[i] * b.weight) / weight;
  return { lab: [at(0), at(1), at(2)], weight };
};

/**
 * The colours that a picture is made of, by weighted k-means in Oklab; near-duplicates (ΔE OK below 0.07) are merged, and
 * what is left is ordered by weight. `pixels`: RGBA bytes; see-through ones do not count. The same pixels always give the
 * same colours. Empty where nothing can be seen.
 */
export function paletteOf(pixels: ArrayLike<number>, most = 6): readonly Weighed[] {
  const points = pointsOf(pixels);
  if (points.length === 0) return [];
  let centres = seeds(points);
  let clusters: Cluster[] = [];
  for (let round = 0; round < ROUNDS; round++) {
    const sums = centres.map(() => [0, 0, 0, 0]);
    for (const { lab, weight } of points) {
      const sum = sums[nearestTo(centres, lab)]!;
      for (const i of [0, 1, 2] as const) sum[i]! += lab[i] * weight;
      sum[3]! += weight;
    }
    clusters = sums.flatMap(([l, a, b, weight]) =>
      weight ? [{ lab: [l! / weight, a! / weight, b! / weight] as const, weight }] : [],
    );
    const next = clusters.map((c) => c.lab);
    const isStill = next.length === centres.length && next.every((c, i) => distance(c, centres[i]!) < 1e-4);
    centres = next;
    if (isStill) break;
  }
  clusters.sort((a, b) => b.weight - a.weight);
  const merged: Cluster[] = [];
  for (const cluster of clusters) {
    const near = merged.findIndex((m) => distance(m.lab, cluster.lab) < MERGE_BELOW);
    if (near < 0) merged.push(cluster);
    else merged[near] = together(merged[near]!, cluster);
  }
  const total = merged.reduce((sum, c) => sum + c.weight, 0);
  return merged
    .sort((a, b) => b.weight - a.weight)
    .slice(0, most)
    .map(({ lab, weight }) => ({ colour: hexOf(linearOfOklab(lab[0], lab[1], lab[2])), weight: weight / total }));
}
