import type { Pixels, Stroke } from "../pictures";

// Pictures of which it is known exactly what is thing and what is ground, for tests: shapes given by formulas, painted over grounds
// of different sorts, with noise and a shadow.

/** A small generator of even random numbers from 0 to 1 (mulberry32). */
function randomOf(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** Whether a place is within a shape; x and y from −1 to 1. */
type Shape = (x: number, y: number) => boolean;
type Paint = (x: number, y: number) => readonly [number, number, number];

const blob = (random: () => number): Shape => {
  const waves = Array.from({ length: 5 }, (_u, k) => [random() * 0.16, random() * 6.28, k + 2] as const);
  return (x, y) => {
    const angle = Math.atan2(y, x);
    return Math.hypot(x, y) < 0.55 * waves.reduce((sum, [high, at, n]) => sum + high * Math.sin(n * angle + at), 1);
  };
};
const board = (random: () => number): Shape => {
  const [tilt, wide, high] = [random() * 1.5, 0.35 + random() * 0.25, 0.3 + random() * 0.3];
  const [c, s] = [Math.cos(tilt), Math.sin(tilt)];
  return (x, y) => Math.abs(x * c + y * s) < wide && Math.abs(y * c - x * s) < high;
};
const ring: Shape = (x, y) => Math.hypot(x, y) < 0.62 && Math.hypot(x, y) > 0.34;

export const SHAPES = { blob, board, ring: () => ring } as const;
export type ShapeName = keyof typeof SHAPES;

const mix = (a: readonly number[], b: readonly number[], t: number): [number, number, number] => [
  a[0]! + (b[0]! - a[0]!) * t,
  a[1]! + (b[1]! - a[1]!) * t,
  a[2]! + (b[2]! - a[2]!) * t,
];

/** Value noise of several octaves, 0–1. */
function noiseOf(random: () => number): (x: number, y: number) => number {
  const grid = Array.from({ length: 64 * 64 }, random);
  const at = (x: number, y: number) => grid[(y & 63) * 64 + (x & 63)]!;
  const once = (x: number, y: number) => {
    const [x0, y0] = [Math.floor(x), Math.floor(y)];
    const [u, v] = [x - x0, y - y0].map((t) => t * t * (3 - 2 * t)) as [number, number];
    return (
      (at(x0, y0) * (1 - u) + at(x0 + 1, y0) * u) * (1 - v) + (at(x0, y0 + 1) * (1 - u) + at(x0 + 1, y0 + 1) * u) * v
    );
  };
  return (x, y) => (once(x * 5, y * 5) * 4 + once(x * 11, y * 11) * 2 + once(x * 23, y * 23)) / 7;
}

export const GROUNDS = {
  paper: (): Paint => () => [244, 242, 236],
  teal: (): Paint => () => [38, 120, 122],
  graded: (): Paint => (x, y) => mix([236, 230, 222], [176, 178, 186], (y + 1) / 2.2 + x * 0.06),
  vignette: (): Paint => (x, y) => mix([228, 222, 214], [172, 160, 150], Math.min(1, (x * x + y * y) / 2)),
  leaves: (random: () => number): Paint => {
    const noise = noiseOf(random);
    return (x, y) => mix([24, 58, 22], [150, 176, 84], Math.max(0, Math.min(1, noise(x + 3, y + 3) * 2.2 - 0.6)));
  },
  planks: (random: () => number): Paint => {
    const noise = noiseOf(random);
    return (x, y) => {
      const grain = noise(x * 0.35 + 4, y * 3 + 4);
      const seam = Math.abs(((y + 1) * 3) % 1) < 0.04 ? 0.5 : 0;
      return mix([176, 130, 86], [92, 58, 34], Math.max(0, Math.min(1, grain * 1.6 - 0.3 + seam)));
    };
  },
} as const;
export type GroundName = keyof typeof GROUNDS;

const THINGS: readonly Paint[] = [
  (x, y) => mix([198, 52, 40], [120, 22, 24], (x + y + 2) / 4),
  (x) => (Math.abs(x * 6) % 2 < 1 ? [30, 56, 112] : [232, 176, 40]),
  (x, y) => mix([86, 92, 190], [34, 38, 96], Math.min(1, Math.hypot(x + 0.3, y + 0.3))),
];

/** Of the colours of planks, a shade darker, with a grain that runs down. */
const TIMBER: Paint = (x) => mix([120, 78, 46], [70, 42, 24], (Math.sin(x * 34) + 1) / 2);

export type Scene = {
  readonly pixels: Pixels & { readonly data: Uint8ClampedArray };
  /** How much of each pixel is of the thing, 0–1. */
  readonly truth: Float32Array;
  /** What somebody would paint over who wanted the thing. */
  readonly strokes: readonly Stroke[];
};

const SUB = 3;

/** A scene. `noise`: standard deviation in bytes. */
export function sceneOf(
  shape: ShapeName,
  ground: GroundName,
  more: { seed?: number; side?: number; noise?: number; shadow?: boolean; thing?: "timber" } = {},
): Scene {
  const { seed = 1, side = 512, noise = 2.5, shadow = false, thing } = more;
  const random = randomOf(seed);
  const within = SHAPES[shape](random);
  const under = GROUNDS[ground](random);
  const paint = thing ? TIMBER : THINGS[seed % THINGS.length]!;
  const data = new Uint8ClampedArray(side * side * 4);
  const truth = new Float32Array(side * side);
  const place = (v: number, sub = 0.5) => ((v + sub) / side) * 2 - 1;
  for (let y = 0, at = 0; y < side; y++)
    for (let x = 0; x < side; x++, at++) {
      let part = 0;
      for (let k = 0; k < SUB * SUB; k++)
        if (within(place(x, ((k % SUB) + 0.5) / SUB), place(y, (Math.floor(k / SUB) + 0.5) / SUB))) part++;
      part /= SUB * SUB;
      truth[at] = part;
      const [px, py] = [place(x), place(y)];
      // A soft shadow to the lower right.
      const dark = shadow ? 0.4 * Math.max(0, 1 - Math.hypot((px - 0.14) / 0.75, (py - 0.2) / 0.72) ** 3) : 0;
      const below = under(px, py).map((value) => value * (1 - dark));
      const colour = part > 0 ? mix(below, paint(px, py), part) : below;
      for (const c of [0, 1, 2]) {
        // Two even numbers make one that is nearly normally distributed about the middle.
        const shake = (random() + random() + random() - 1.5) * 2 * noise;
        data[at * 4 + c] = colour[c]! + shake;
      }
      data[at * 4 + 3] = 255;
    }
  const line = (way: Stroke["way"], points: Stroke["points"]): Stroke => ({ way, size: 0.012, points });
  const strokes = [
    line("keep", [
      [0.42, 0.5],
      [0.58, 0.5],
    ]),
    line("keep", [
      [0.5, 0.4],
      [0.5, 0.6],
    ]),
    line("take", [
      [0.06, 0.06],
      [0.94, 0.06],
      [0.94, 0.94],
      [0.06, 0.94],
      [0.06, 0.06],
    ]),
  ];
  return { pixels: { data, width: side, height: side }, truth, strokes };
}

/** How well what was cut out agrees with the truth: intersection over union of what is more thing than ground. */
export function agreement(cut: ArrayLike<number>, truth: Float32Array): number {
  let both = 0;
  let either = 0;
  for (let at = 0; at < truth.length; at++) {
    const [a, b] = [cut[at * 4 + 3]! > 127, truth[at]! > 0.5];
    if (a && b) both++;
    if (a || b) either++;
  }
  return both / either;
}

/** A picture at half its size, as the studio looks at large ones. */
export function halfOf({ data, width, height }: Pixels): Pixels {
  const [w, h] = [width >> 1, height >> 1];
  const into = new Uint8ClampedArray(w * h * 4);
  for (let y = 0; y < h; y++)
    for (let x = 0; x < w; x++)
      for (let c = 0; c < 4; c++) {
        const at = (y * 2 * width + x * 2) * 4 + c;
        into[(y * w + x) * 4 + c] = (data[at]! + data[at + 4]! + data[at + width * 4]! + data[at + width * 4 + 4]!) / 4;
      }
  return { data: into, width: w, height: h };
}
