import type { Pixels } from "../pictures";
import { linearOfBytes, oklabOf } from "../theme/oklch";

// The ground of a picture of goods is mostly paper, cloth or a wall: one colour that changes slowly from side to side. It is
// described by a surface of the second degree for each channel, fitted to the picture's edge, where the ground is.

/** Six numbers for each channel: 1, x, y, x², xy, y², with x and y from 0 to 1. */
type Surface = readonly [Float64Array, Float64Array, Float64Array];

export type Ground = {
  readonly surface: Surface;
  /** Which share of the picture's edge is of the ground, 0–1. */
  readonly share: number;
  /** How far from the surface a colour of the ground is, at most (difference in Oklab). */
  readonly reach: number;
  /** How much it changes from side to side, in bytes. */
  readonly range: number;
};

const TERMS = 6;
/** The ring of this share of the shorter side is where the ground is looked for. */
const RING = 0.02;
const MOST_SAMPLES = 2000;
const LEAST_SHARE = 0.6;
/** Beyond `most` a ground has a pattern of its own. */
const REACH = { least: 0.016, most: 0.055, room: 1.3 };
/** Colours that differ by less, in bytes, are of one ground. */
const SAME = 14;
const ROUNDS = 8;
/** A ground that changes by less, in bytes, is plain to the eye. */
const PLAIN = 12;

export const isPlain = (ground: Ground): boolean => ground.range < PLAIN;

function termsInto(terms: Float64Array, x: number, y: number): void {
  terms[0] = 1;
  terms[1] = x;
  terms[2] = y;
  terms[3] = x * x;
  terms[4] = x * y;
  terms[5] = y * y;
}

/** Solves a small symmetric system by elimination, in place; gives its solution for three right-hand sides. */
function solve(matrix: Float64Array[], sides: readonly Float64Array[]): Surface {
  for (let i = 0; i < TERMS; i++) {
    const pivot = matrix[i]![i]!;
    for (let row = i + 1; row < TERMS; row++) {
      const factor = matrix[row]![i]! / pivot;
      for (let c = i; c < TERMS; c++) matrix[row]![c]! -= factor * matrix[i]![c]!;
      for (const side of sides) side[row]! -= factor * side[i]!;
    }
  }
  for (const side of sides) {
    for (let i = TERMS - 1; i >= 0; i--) {
      for (let c = i + 1; c < TERMS; c++) side[i]! -= matrix[i]![c]! * side[c]!;
      side[i]! /= matrix[i]![i]!;
    }
  }
  return [sides[0]!, sides[1]!, sides[2]!];
}

/** No more of them than are needed to tell. */
const thinned = (places: readonly number[]): readonly number[] => {
  const step = Math.max(1, Math.floor(places.length / MOST_SAMPLES));
  return places.filter((_at, i) => i % step === 0);
};

/** The surface nearest to these pixels (least squares, slightly held back from bending where nothing is known). */
function fit({ data, width, height }: Pixels, places: readonly number[]): Surface {
  const matrix = Array.from({ length: TERMS }, () => new Float64Array(TERMS));
  const sides = [0, 1, 2].map(() => new Float64Array(TERMS));
  const terms = new Float64Array(TERMS);
  const some = thinned(places);
  for (const at of some) {
    termsInto(terms, (at % width) / width, Math.floor(at / width) / height);
    for (let i = 0; i < TERMS; i++) {
      for (let c = 0; c < TERMS; c++) matrix[i]![c]! += terms[i]! * terms[c]!;
      for (const c of [0, 1, 2]) sides[c]![i]! += terms[i]! * data[at * 4 + c]!;
    }
  }
  for (let i = 1; i < TERMS; i++) matrix[i]![i]! += some.length * (i < 3 ? 1e-4 : 1e-3);
  return solve(matrix, sides);
}

const terms = new Float64Array(TERMS);
/** The colour of a ground at a place, as encoded sRGB bytes written into `into`. */
export function colourAt(surface: Surface, x: number, y: number, into: Float32Array | number[]): void {
  termsInto(terms, x, y);
  for (let c = 0; c < 3; c++) {
    let value = 0;
    for (let i = 0; i < TERMS; i++) value += surface[c]![i]! * terms[i]!;
    into[c] = Math.min(255, Math.max(0, value));
  }
}

const colour = new Float32Array(3);
const bytesFrom = (pixels: Pixels, surface: Surface, at: number): number => {
  const { data, width, height } = pixels;
  colourAt(surface, (at % width) / width, Math.floor(at / width) / height, colour);
  return Math.hypot(data[at * 4]! - colour[0]!, data[at * 4 + 1]! - colour[1]!, data[at * 4 + 2]! - colour[2]!);
};

const median = (values: readonly number[]): number =>
  values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;

/** Pixels of the ring along a picture's edge. */
export function edgeOf({ width, height }: Pixels): readonly number[] {
  const deep = Math.max(2, Math.round(Math.min(width, height) * RING));
  const places: number[] = [];
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      if (Math.min(x, y, width - 1 - x, height - 1 - y) < deep) places.push(y * width + x);
  return places;
}

/** The pixels whose colours are like the commonest one. */
function commonest({ data }: Pixels, places: readonly number[]): readonly number[] {
  const bins = new Map<number, number>();
  const binOf = (at: number) =>
    ((data[at * 4]! >> 4) << 8) | ((data[at * 4 + 1]! >> 4) << 4) | (data[at * 4 + 2]! >> 4);
  for (const at of places) bins.set(binOf(at), (bins.get(binOf(at)) ?? 0) + 1);
  const [bin] = [...bins].sort((a, b) => b[1] - a[1])[0]!;
  const mean = [bin >> 8, (bin >> 4) & 15, bin & 15].map((v) => v * 16 + 8);
  return places.filter((at) => Math.hypot(...[0, 1, 2].map((c) => data[at * 4 + c]! - mean[c]!)) < 40);
}

function settle(pixels: Pixels, edge: readonly number[], start: readonly number[]): Surface {
  const places = thinned(edge);
  let within = thinned(start);
  let surface = fit(pixels, within);
  for (let round = 0; round < ROUNDS; round++) {
    const gaps = places.map((at) => bytesFrom(pixels, surface, at));
    const limit = Math.max(10, 3 * 1.4826 * median(round === 0 ? gaps : gaps.filter((gap) => gap < 60)));
    within = places.filter((_at, i) => gaps[i]! < limit);
    if (within.length < TERMS * 4) break;
    surface = fit(pixels, within);
  }
  return surface;
}

/** The picture in Oklab, three numbers for each pixel. */
export function oklabPixels({ data, width, height }: Pixels): Float32Array {
  const labs = new Float32Array(width * height * 3);
  for (let at = 0; at < width * height; at++)
    labs.set(oklabOf(linearOfBytes(data[at * 4]!, data[at * 4 + 1]!, data[at * 4 + 2]!)), at * 3);
  return labs;
}

/** How far each of these pixels is from a ground, in Oklab. `labs`: those of `oklabPixels`. */
export function awayFrom(
  { width, height }: Pixels,
  labs: Float32Array,
  surface: Surface,
  places?: readonly number[],
): Float32Array {
  const count = places?.length ?? width * height;
  const away = new Float32Array(count);
  // A ground changes slowly: its colour is mostly that of the pixel before.
  let last = -1;
  let lab: readonly number[] = [0, 0, 0];
  for (let k = 0; k < count; k++) {
    const at = places ? places[k]! : k;
    colourAt(surface, (at % width) / width, Math.floor(at / width) / height, colour);
    const [r, g, b] = [Math.round(colour[0]!), Math.round(colour[1]!), Math.round(colour[2]!)];
    const key = (r << 16) | (g << 8) | b;
    if (key !== last) lab = oklabOf(linearOfBytes(r, g, b));
    last = key;
    const from = at * 3;
    away[k] = Math.hypot(labs[from]! - lab[0]!, labs[from + 1]! - lab[1]!, labs[from + 2]! - lab[2]!);
  }
  return away;
}

function rangeOf(surface: Surface): number {
  const seen: number[][] = [];
  for (const y of [0, 0.5, 1])
    for (const x of [0, 0.5, 1]) {
      const here = [0, 0, 0];
      colourAt(surface, x, y, here);
      seen.push(here);
    }
  return Math.max(...[0, 1, 2].map((c) => Math.max(...seen.map((s) => s[c]!)) - Math.min(...seen.map((s) => s[c]!))));
}

function judged(pixels: Pixels, labs: Float32Array, surface: Surface, edge: readonly number[]): Ground {
  const away = awayFrom(pixels, labs, surface, edge);
  const near = edge.flatMap((at, i) => (bytesFrom(pixels, surface, at) < SAME * 2 ? [away[i]!] : []));
  const far = near.toSorted((a, b) => a - b)[Math.floor(near.length * 0.97)] ?? 0;
  const reach = Math.max(REACH.least, far * REACH.room);
  return { surface, reach, share: away.filter((gap) => gap < reach).length / edge.length, range: rangeOf(surface) };
}

/** The ground that a picture's edge shows; null where there is no plain or graded one. `labs`: the picture in Oklab. */
export function groundOf(pixels: Pixels, labs: Float32Array): Ground | null {
  const edge = edgeOf(pixels);
  const tried = [edge, commonest(pixels, edge)]
    .filter((start) => start.length >= TERMS * 4)
    .map((start) => judged(pixels, labs, settle(pixels, edge, start), edge));
  const best = tried.filter(({ reach }) => reach <= REACH.most).sort((a, b) => b.share - a.share)[0];
  return best && best.share >= LEAST_SHARE ? best : null;
}

/** The same ground, fitted once more to all that was found to be of it. */
export function refined(pixels: Pixels, labs: Float32Array, ground: Ground, places: readonly number[]): Ground {
  if (places.length < MOST_SAMPLES / 4) return ground;
  const again = judged(pixels, labs, fit(pixels, places), edgeOf(pixels));
  return again.share >= ground.share * 0.95 && again.reach <= REACH.most ? again : ground;
}
