import { light, mix, times, type Light } from "../draw/colour";
import type { Shader } from "../draw/frame";
import type { Scene } from "../draw/kinds";
import { cloudy, noise, step, within } from "../draw/noise";
import { cornered, relief } from "../draw/relief";

/** Soft folds that fall about one way. `turn` is the angle of the fall. */
function folds(x: number, y: number, turn: number, wide: number, seed: number): number {
  const c = Math.cos(turn);
  const s = Math.sin(turn);
  const u = x * c + y * s;
  const v = (y * c - x * s) * 0.34;
  const bend = 0.55 * cloudy(u * 0.7 + 3, v * 0.9, 3, seed);
  const p = (u + bend) / wide + 0.35 * Math.sin(v * 2.1 + seed);
  const a = Math.sin(p * 2.1 + 0.7 * Math.sin(p * 0.9 + v));
  const b = Math.sin(p * 4.7 + 1.3 + 1.4 * v);
  const crest = (s: number) => 1.02 - Math.sqrt(s * s + 0.045);
  return (
    0.66 * crest(a) +
    0.14 * crest(b) * step(-0.4, 0.6, cloudy(u, v, 2, seed + 5)) +
    0.3 * cloudy(u * 0.6, v, 2, seed + 9)
  );
}

/** Threads over and under one another; thick and thin by turns as in flax. */
function weave(x: number, y: number, count: number, uneven: number): number {
  const u = x * count + uneven * 0.5 * cloudy(y * 3, x * count * 0.05, 2, 3);
  const v = y * count + uneven * 0.5 * cloudy(x * 3, y * count * 0.05, 2, 7);
  const i = Math.floor(u);
  const j = Math.floor(v);
  const over = (i + j) & 1 ? 1 : -1;
  const a = 1 - (2 * (u - i) - 1) ** 2;
  const b = 1 - (2 * (v - j) - 1) ** 2;
  const thick = 1 + uneven * 0.5 * (noise(i * 0.7, v * 0.03, 1) + noise(u * 0.03, j * 0.7, 2));
  return (over > 0 ? a * (0.6 + 0.4 * b) : b * (0.6 + 0.4 * a)) * thick;
}

type Cloth = {
  readonly colour: string;
  readonly dark: string;
  readonly turn: number;
  readonly wide: number;
  readonly deep: number;
  readonly count: number;
  readonly thread: number;
  readonly uneven: number;
  readonly seed: number;
  readonly shine?: number;
  readonly gloss?: number;
  readonly from?: readonly [number, number, number];
  readonly sun?: Light;
  readonly shade?: string;
};

function cloth(o: Cloth): Shader {
  const a = light(o.colour);
  const b = light(o.dark);
  return cornered(
    relief({
      height: (x, y) =>
        o.deep * folds(x, y, o.turn, o.wide, o.seed) + (o.thread > 0 ? o.thread * weave(x, y, o.count, o.uneven) : 0),
      colour: (x, y, h) => {
        const w = o.thread > 0 ? weave(x, y, o.count, o.uneven) : 0.7;
        const slub = 1 + 0.08 * o.uneven * (noise(x * o.count * 0.5, y * 4, 4) + noise(x * 4, y * o.count * 0.5, 5));
        return times(mix(b, a, within(0, 1, 0.35 + 0.5 * w + h * 0.6)), slub);
      },
      from: o.from ?? [-0.7, 0.55, 0.6],
      sun: o.sun ?? [1.3, 1.25, 1.16],
      shade: light(o.shade ?? "#7b7f8c"),
      fine: o.thread > 0 ? 0.0012 : 0.004,
      shine: o.shine,
      gloss: o.gloss,
    }),
    0.22,
  );
}

export const CLOTH: readonly Scene[] = [
  {
    name: "linen-white",
    shape: "wide",
    alt: "White linen in soft folds",
    group: "Linen",
    words: ["cloth", "fabric", "bed", "clean", "bright", "texture"],
    focus: [0.5, 0.5],
    room: "all",
    draw: () =>
      cloth({
        colour: "#f4f1ea",
        dark: "#d9d3c8",
        turn: 0.5,
        wide: 0.62,
        deep: 0.26,
        count: 96,
        thread: 0.0015,
        uneven: 0.6,
        seed: 4,
      }),
  },
  {
    name: "linen-flax",
    shape: "wide",
    alt: "Natural flax linen laid flat",
    group: "Linen",
    words: ["cloth", "fabric", "beige", "ground", "table", "texture"],
    focus: [0.5, 0.5],
    room: "all",
    draw: () =>
      cloth({
        colour: "#d3c2a2",
        dark: "#a58f6c",
        turn: 1.1,
        wide: 1.7,
        deep: 0.09,
        count: 78,
        thread: 0.004,
        uneven: 1,
        seed: 11,
      }),
  },
  {
    name: "silk-rose",
    shape: "wide",
    alt: "Rose silk in flowing folds",
    group: "Linen",
    words: ["cloth", "fabric", "pink", "gift", "soft", "beauty"],
    focus: [0.5, 0.5],
    room: "all",
    draw: () =>
      cloth({
        colour: "#e3a9a4",
        dark: "#c17f80",
        turn: -0.6,
        wide: 0.5,
        deep: 0.2,
        count: 1,
        thread: 0,
        uneven: 0,
        seed: 23,
        shine: 0.42,
        gloss: 14,
        shade: "#9a7480",
      }),
  },
  {
    name: "velvet-blue",
    shape: "tall",
    alt: "A hanging of deep blue velvet",
    group: "Linen",
    words: ["cloth", "fabric", "curtain", "dark", "evening", "theatre"],
    focus: [0.5, 0.5],
    room: "all",
    draw: () =>
      cloth({
        colour: "#274a78",
        dark: "#142a4c",
        turn: 0.04,
        wide: 0.36,
        deep: 0.17,
        count: 1,
        thread: 0,
        uneven: 0,
        seed: 31,
        shine: 0.07,
        gloss: 4,
        from: [-0.8, 0.2, 0.45],
        shade: "#5a6b8c",
      }),
  },
];
