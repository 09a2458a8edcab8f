import { along, light, mix, plus, times, type Light } from "../draw/colour";
import type { Shader } from "../draw/frame";
import type { Scene } from "../draw/kinds";
import { chance, cloudy, crested, noise, step, within } from "../draw/noise";

type Depth = {
  readonly sky: readonly (readonly [number, Light])[];
  readonly near: Light;
  readonly air: Light;
  readonly rows: number;
  readonly foot: number;
  readonly head: number;
  readonly seed: number;
  readonly trees: number;
  readonly mist: number;
  readonly sun?: { readonly x: number; readonly y: number; readonly light: Light };
  /** How uneven the ridges are. */
  readonly rise: number;
  readonly mixed?: readonly Light[];
};

/** One fir of a row: how far a place is within it. */
function fir(x: number, y: number, foot: number, tall: number, own: number): boolean {
  const t = (y - foot) / tall;
  if (t < -0.3 || t > 1) return false;
  const tier = t * (9 + 4 * own);
  const saw = 1 - (tier - Math.floor(tier));
  const ragged = 0.75 + 0.5 * noise((x / tall) * 14, (y / tall) * 14, 3);
  const wide = tall * (0.2 + 0.06 * own) * (1 - t) * (0.55 + 0.5 * saw) * ragged;
  return Math.abs(x + 0.02 * tall * Math.sin(t * 7 + own * 9)) < wide + tall * 0.006;
}

/** Ridges behind each other, each paler than the one before it, with firs on them. */
function ridges(o: Depth): Shader {
  return (x, y) => {
    const glow = o.sun ? Math.exp(-((x - o.sun.x) ** 2 + (y - o.sun.y) ** 2) * 2.2) : 0;
    for (let i = 0; i < o.rows; i++) {
      // 0 is the nearest.
      const far = i / (o.rows - 1);
      const size = 0.5 + 2.2 * far;
      const base =
        o.foot +
        (o.head - o.foot) * far ** 0.8 +
        o.rise * (0.35 + 0.65 * far) * (crested(x * size * 0.42 + i * 7.1, i * 3.3, 4, o.seed) - 0.45);
      let inside = y < base;
      let tone = 0;
      if (!inside && o.trees > 0 && far < 0.92) {
        const step0 = 0.13 * (1 - far) ** 1.3 + 0.03;
        const k = Math.floor(x / step0);
        for (let j = k - 2; j <= k + 2 && !inside; j++) {
          const own = chance(j, i, o.seed);
          const tall = o.trees * (0.12 + 0.9 * (1 - far) ** 1.6) * (0.55 + 0.6 * own);
          const tx = (j + 0.5 + 0.7 * (chance(j, i, o.seed + 1) - 0.5)) * step0;
          const foot =
            o.foot +
            (o.head - o.foot) * far ** 0.8 +
            o.rise * (0.35 + 0.65 * far) * (crested(tx * size * 0.42 + i * 7.1, i * 3.3, 4, o.seed) - 0.45) -
            0.02;
          if (y < foot + tall && fir(x - tx, y, foot, tall, own)) {
            inside = true;
            tone = own;
          }
        }
      }
      if (!inside) continue;
      const kinds = o.mixed;
      let c = kinds ? kinds[Math.floor(tone * 97) % kinds.length]! : o.near;
      c = times(c, 0.8 + 0.35 * tone + 0.1 * noise(x * 30, y * 30, 8));
      c = mix(c, o.air, within(0, 0.97, 0.06 + 0.92 * far ** 0.75));
      // Mist lies in the valleys.
      const low = step(
        base + 0.12,
        base - 0.5 - 0.25 * (1 - far),
        y + 0.16 * cloudy(x * 1.4 + i * 3, y * 3, 3, o.seed + 4),
      );
      c = mix(c, o.air, within(0, 1, o.mist * low * (0.25 + far)));
      return o.sun ? plus(c, o.sun.light, glow * (0.1 + 0.35 * far)) : c;
    }
    let c = along(o.sky, within(0, 1, (y - o.head + 0.2) / (1.3 - o.head)));
    const veil = step(0, 0.6, cloudy(x * 0.9, y * 3, 4, o.seed + 9));
    c = mix(c, o.air, 0.3 * veil * step(1, 0, y));
    return o.sun ? plus(c, o.sun.light, glow * 0.6) : c;
  };
}

/** Trunks of birches one behind the other, leaves out of focus behind them. */
function birches(): Shader {
  const air = light("#e9ecc9");
  const deep = light("#7f9a55");
  const trunks = Array.from({ length: 26 }, (_, i) => {
    const far = i / 25;
    return {
      x:
        -1.75 +
        3.5 * chance(i, 5, 3) +
        (i < 5 ? [-0.95, 0.62, 1.28, -1.42, 0.05][i]! * 1 - (-1.75 + 3.5 * chance(i, 5, 3)) : 0),
      wide: i < 5 ? [0.13, 0.105, 0.15, 0.09, 0.07][i]! : 0.055 * (1 - far) + 0.012,
      lean: 0.08 * (chance(i, 6, 3) - 0.5),
      far: i < 5 ? 0.05 * i : 0.25 + 0.72 * far,
      i,
    };
  });
  const blur = (x: number, y: number) => {
    let c = mix(deep, air, within(0, 1, 0.5 + 0.45 * y + 0.35 * cloudy(x * 1.1, y * 1.1, 3, 4)));
    for (const [size, seed, tint] of [
      [5, 3, "#f8f6cf"],
      [3.4, 8, "#c3cf74"],
      [2.6, 14, "#fffbe2"],
    ] as const) {
      const i = Math.floor(x * size);
      const j = Math.floor(y * size);
      for (let b = j - 1; b <= j + 1; b++)
        for (let a = i - 1; a <= i + 1; a++) {
          const own = chance(a, b, seed);
          if (own > 0.55) continue;
          const d = Math.hypot(x * size - a - chance(a, b, seed + 1), y * size - b - chance(a, b, seed + 2));
          const r = 0.3 + 0.4 * chance(a, b, seed + 3);
          c = mix(c, light(tint), 0.16 * step(r, r * 0.85, d) * step(-0.7, 0.4, y));
        }
    }
    return c;
  };
  return (x, y) => {
    for (const t of trunks) {
      const dx = x - t.x - t.lean * y - 0.012 * noise(y * 1.6, t.i, 3);
      const w = t.wide * (1.08 - 0.13 * y);
      const s = dx / w;
      // Those far off are out of focus.
      if (Math.abs(s) >= 1) continue;
      const round = Math.sqrt(1 - s * s);
      const bark = light("#e7e3d8");
      const lines = noise(s * 1.4 + t.i * 9, y * (7 / (0.3 + w * 5)) * 1.6, t.i);
      const scar = step(0.42, 0.62, lines) * step(0.95, 0.2, Math.abs(s + 0.4 * noise(y * 4, t.i, 6)));
      let c = times(
        bark,
        (0.3 + 0.75 * round * within(0, 1, 0.62 - 0.55 * s)) * (0.93 + 0.09 * cloudy(s * 3 + t.i, y * 26, 3, 7)),
      );
      c = mix(c, light("#3a352e"), 0.85 * scar);
      c = mix(c, times(light("#4d5038"), 0.7), 0.75 * step(-0.55, -1.05, y + 0.1 * noise(x * 9, y * 9, 2)));
      return mix(c, mix(deep, air, 0.75), within(0, 0.92, t.far * 1.1));
    }
    const floor = -0.78 + 0.05 * cloudy(x * 2, 3, 3, 5);
    if (y < floor) {
      const grass = mix(light("#59723a"), light("#b3bb63"), within(0, 1, 0.5 + 0.6 * cloudy(x * 7, y * 22, 4, 6)));
      return mix(grass, blur(x, y), step(floor - 0.22, floor, y));
    }
    return blur(x, y);
  };
}

export const FOREST: readonly Scene[] = [
  {
    name: "forest-mist",
    shape: "wide",
    alt: "Firs in the mist of an early morning",
    group: "Forest",
    words: ["trees", "fog", "green", "quiet", "mountain", "nature"],
    focus: [0.5, 0.6],
    room: "head",
    draw: () =>
      ridges({
        sky: [
          [0, light("#e3e8e0")],
          [1, light("#c3d0cd")],
        ],
        near: light("#14302a"),
        air: light("#dbe2dc"),
        rows: 6,
        foot: -0.95,
        head: 0.32,
        seed: 5,
        trees: 0.62,
        mist: 0.75,
        rise: 0.7,
      }),
  },
  {
    name: "forest-autumn",
    shape: "wide",
    alt: "Hills with autumn woods in evening sun",
    group: "Forest",
    words: ["trees", "autumn", "gold", "red", "warm", "nature"],
    focus: [0.65, 0.45],
    room: "head",
    draw: () =>
      ridges({
        sky: [
          [0, light("#ffdca6")],
          [0.5, light("#f0c4a0")],
          [1, light("#a9b6c0")],
        ],
        near: light("#8a4b1e"),
        air: light("#f1cfa3"),
        rows: 7,
        foot: -0.98,
        head: 0.28,
        seed: 18,
        trees: 0.46,
        mist: 0.2,
        rise: 0.62,
        sun: { x: 0.55, y: 0.42, light: [1, 0.7, 0.36] },
        mixed: ["#7c3b18", "#a35a1c", "#b9822a", "#5b5a24", "#6d2c16", "#3f4a22"].map(light),
      }),
  },
  {
    name: "mountains-blue",
    shape: "wide",
    alt: "Blue ridges of mountains one behind the other",
    group: "Forest",
    words: ["hills", "travel", "outdoor", "calm", "nature", "morning"],
    focus: [0.5, 0.55],
    room: "head",
    draw: () =>
      ridges({
        sky: [
          [0, light("#fbe3d3")],
          [0.5, light("#e4d5dd")],
          [1, light("#9fb6d2")],
        ],
        near: light("#10233f"),
        air: light("#c4d2e4"),
        rows: 8,
        foot: -0.85,
        head: 0.36,
        seed: 29,
        trees: 0,
        mist: 0.3,
        rise: 0.85,
      }),
  },
  {
    name: "birches",
    shape: "tall",
    alt: "Trunks of birches in spring light",
    group: "Forest",
    words: ["trees", "spring", "green", "bright", "nature"],
    focus: [0.5, 0.5],
    room: "middle",
    draw: birches,
  },
];
