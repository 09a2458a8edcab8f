import type { Pixels } from "../pictures";
import { leastCut } from "./flow";
import { depthOf } from "./regions";
import { mixtureOf, unlikeliness, type Colours } from "./mixture";

// Where thing and ground are parted when colours alone do not tell: the border runs where neighbouring colours differ most, and
// each side keeps to its own colours (C. Rother, V. Kolmogorov, A. Blake, "GrabCut", ACM SIGGRAPH 2004).

/** What is known of a pixel beforehand. */
export const LABEL = { ground: 0, thing: 1, perhapsGround: 2, perhapsThing: 3 } as const;

/** What a border between two equal colours costs, against the colours' own likelihood (the paper's γ). */
const BORDER = 50;
/** Capacities are whole numbers. */
const UNIT = 16;
const MOST_SAMPLES = 5000;
/** No colour is so unlikely that it alone decides. */
const MOST_UNLIKELY = 60;

function sample({ data }: Pixels, is: (at: number) => boolean, count: number): Colours {
  const all: number[] = [];
  for (let at = 0; at < count; at++) if (is(at)) all.push(at);
  const step = Math.max(1, Math.floor(all.length / MOST_SAMPLES));
  const colours: number[] = [];
  for (let k = 0; k < all.length; k += step) {
    const at = all[k]! * 4;
    colours.push(data[at]!, data[at + 1]!, data[at + 2]!);
  }
  return Float32Array.from(colours);
}

/** Neighbours of which each pair is met once: right, below, and the two diagonals below. */
const PAIRS = [
  [1, 0, 1],
  [0, 1, 1],
  [1, 1, Math.SQRT1_2],
  [-1, 1, Math.SQRT1_2],
] as const;

/** More open pixels than this are first cut at half the size, and then only along the border (Lombaert et al., ICCV 2005). */
const MOST_OPEN = 40_000;
/** How far from the border of the smaller one the larger one is looked at anew, in px of the smaller. */
const BAND = 3;

function halved({ data, width, height }: Pixels): { data: Uint8ClampedArray; width: number; height: number } {
  const half = { width: width >> 1, height: height >> 1 };
  const into = new Uint8ClampedArray(half.width * half.height * 4);
  for (let y = 0; y < half.height; y++)
    for (let x = 0; x < half.width; x++)
      for (let c = 0; c < 4; c++) {
        const from = (y * 2 * width + x * 2) * 4 + c;
        const below = from + width * 4;
        into[(y * half.width + x) * 4 + c] = (data[from]! + data[from + 4]! + data[below]! + data[below + 4]!) / 4;
      }
  return { data: into, ...half };
}

/** What is known of four pixels together: what is sure of one, unless another one is sure of the opposite. */
function together(labels: readonly number[]): number {
  const [isThing, isGround] = [labels.includes(LABEL.thing), labels.includes(LABEL.ground)];
  if (isThing !== isGround) return isThing ? LABEL.thing : LABEL.ground;
  return labels.filter((label) => label & 1).length >= 2 ? LABEL.perhapsThing : LABEL.perhapsGround;
}

/** Parts thing (1) and ground (0). `labels`: one of `LABEL` for each pixel; what is sure stays. */
export function cut(pixels: Pixels, labels: Uint8Array, rounds: number): Uint8Array {
  let open = 0;
  for (const label of labels) if (label >= LABEL.perhapsGround) open++;
  if (open <= MOST_OPEN) return cutAtOnce(pixels, labels, rounds);
  const { width, height } = pixels;
  const half = halved(pixels);
  const coarse = new Uint8Array(half.width * half.height);
  for (let y = 0; y < half.height; y++)
    for (let x = 0; x < half.width; x++) {
      const at = y * 2 * width + x * 2;
      coarse[y * half.width + x] = together([
        labels[at]!,
        labels[at + 1]!,
        labels[at + width]!,
        labels[at + width + 1]!,
      ]);
    }
  const found = cut(half, coarse, rounds);
  const inside = depthOf(found, half.width, half.height, 1, BAND + 1);
  const outside = depthOf(found, half.width, half.height, 0, BAND + 1);
  const near = Uint8Array.from(labels);
  for (let y = 0, at = 0; y < height; y++)
    for (let x = 0; x < width; x++, at++) {
      if (labels[at]! < LABEL.perhapsGround) continue;
      const spot = Math.min(half.height - 1, y >> 1) * half.width + Math.min(half.width - 1, x >> 1);
      const isFar = Math.max(inside[spot]!, outside[spot]!) > BAND;
      near[at] = found[spot]! | (isFar ? 0 : LABEL.perhapsGround);
    }
  return cutAtOnce(pixels, near, 1);
}

function cutAtOnce(pixels: Pixels, labels: Uint8Array, rounds: number): Uint8Array {
  const { data, width, height } = pixels;
  const count = width * height;
  const mask = new Uint8Array(count);
  for (let at = 0; at < count; at++) mask[at] = labels[at]! & 1;
  // Only what is not sure takes part; what is sure beside it pulls at it.
  const node = new Int32Array(count).fill(-1);
  const free: number[] = [];
  for (let at = 0; at < count; at++) {
    if (labels[at]! < LABEL.perhapsGround) continue;
    node[at] = free.length;
    free.push(at);
  }
  if (free.length === 0) return mask;

  const unlike = (a: number, b: number) =>
    (data[a * 4]! - data[b * 4]!) ** 2 +
    (data[a * 4 + 1]! - data[b * 4 + 1]!) ** 2 +
    (data[a * 4 + 2]! - data[b * 4 + 2]!) ** 2;
  let sum = 0;
  let links = 0;
  const eachPair = (visit: (a: number, b: number, near: number) => void) => {
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++)
        for (const [dx, dy, near] of PAIRS) {
          if (x + dx < 0 || x + dx >= width || y + dy >= height) continue;
          const [a, b] = [y * width + x, (y + dy) * width + x + dx];
          if (node[a]! >= 0 || node[b]! >= 0) visit(a, b, near);
        }
  };
  eachPair((a, b) => {
    sum += unlike(a, b);
    links++;
  });
  const beta = 1 / Math.max(1, (2 * sum) / links);
  const pairs: number[] = [];
  const between: number[] = [];
  /** What the sure neighbours of a pixel pull it to: above 0 to the thing. */
  const pull = new Float64Array(free.length);
  eachPair((a, b, near) => {
    const weight = Math.round(UNIT * BORDER * near * Math.exp(-beta * unlike(a, b)));
    if (weight === 0) return;
    if (node[a]! >= 0 && node[b]! >= 0) {
      pairs.push(node[a]!, node[b]!);
      between.push(weight);
    } else {
      const [open, sure] = node[a]! >= 0 ? [a, b] : [b, a];
      pull[node[open]!]! += mask[sure] ? weight : -weight;
    }
  });
  const graph = { pairs: Int32Array.from(pairs), between: Float64Array.from(between) };

  for (let round = 0; round < rounds; round++) {
    const things = sample(pixels, (at) => mask[at] === 1, count);
    const grounds = sample(pixels, (at) => mask[at] === 0, count);
    if (things.length === 0 || grounds.length === 0) return mask;
    const ofThing = mixtureOf(things);
    const ofGround = mixtureOf(grounds);
    const ends = new Float64Array(free.length);
    for (const [k, at] of free.entries()) {
      const [r, g, b] = [data[at * 4]!, data[at * 4 + 1]!, data[at * 4 + 2]!];
      const told = unlikeliness(ofGround, r, g, b) - unlikeliness(ofThing, r, g, b);
      ends[k] = Math.round(UNIT * Math.max(-MOST_UNLIKELY, Math.min(MOST_UNLIKELY, told))) + pull[k]!;
    }
    const { side } = leastCut({ ends, ...graph });
    let changed = 0;
    for (const [k, at] of free.entries()) {
      if (mask[at] === side[k]) continue;
      mask[at] = side[k]!;
      changed++;
    }
    if (changed < free.length / 2000) break;
  }
  return mask;
}
