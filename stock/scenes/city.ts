import { along, light, mix, plus, times, type Light } from "../draw/colour";
import type { Shader } from "../draw/frame";
import type { Scene } from "../draw/kinds";
import { cell, chance, cloudy, noise, step, within } from "../draw/noise";

type Row = {
  readonly base: number;
  readonly tall: number;
  readonly wide: number;
  readonly tone: Light;
  readonly far: number;
  readonly lit: number;
  readonly seed: number;
};

/** Houses of one row: where their roofs are, and which windows are lit. */
function house(r: Row, x: number, y: number): Light | null {
  const k = Math.floor(x / r.wide);
  for (let i = k - 1; i <= k + 1; i++) {
    const w = r.wide * (0.62 + 0.5 * chance(i, r.seed, 1));
    const left = i * r.wide + r.wide * 0.3 * (chance(i, r.seed, 2) - 0.5);
    const top = r.base + r.tall * (0.3 + 0.7 * chance(i, r.seed, 3) ** 1.6);
    const u = (x - left) / w;
    if (u < 0 || u > 1) continue;
    const kind = chance(i, r.seed, 4);
    let roof = top;
    if (kind > 0.72) roof = top + r.wide * 0.5 * (0.5 - Math.abs(u - 0.5));
    else if (kind > 0.5) roof = Math.abs(u - 0.5) < 0.3 ? top + r.wide * 0.28 : top;
    const mast = kind < 0.14 && Math.abs(u - 0.5) < 0.012 + 0.002 / r.wide ? 0.3 * r.tall : 0;
    if (y > roof + mast) continue;
    if (y > roof) return r.tone;
    let c = times(r.tone, 0.85 + 0.3 * chance(i, r.seed, 5));
    const n = Math.max(3, Math.round(w / (0.028 + 0.016 * chance(i, r.seed, 6))));
    const wx = u * n;
    const wy = (roof - y) / 0.042;
    const ix = Math.floor(wx);
    const iy = Math.floor(wy);
    const on = chance(ix + 31 * i, iy, r.seed + 9);
    if (wy > 0.6 && on < r.lit * (0.5 + chance(i, r.seed, 7))) {
      const du = Math.abs(wx - ix - 0.5);
      const dv = Math.abs(wy - iy - 0.5);
      const warm = chance(ix, iy + 7 * i, r.seed + 10);
      const tone: Light = warm > 0.85 ? [0.75, 0.9, 1] : warm > 0.4 ? [1.05, 0.72, 0.36] : [1.1, 0.86, 0.55];
      c = mix(c, times(tone, 0.5 + 0.7 * chance(ix, iy, r.seed + 11)), step(0.34, 0.26, du) * step(0.36, 0.28, dv));
    }
    return c;
  }
  return null;
}

function skyline(
  stops: readonly (readonly [number, Light])[],
  air: Light,
  near: Light,
  lit: number,
  seed: number,
): Shader {
  const rows: Row[] = Array.from({ length: 5 }, (_, i) => {
    const far = i / 4;
    return {
      base: -1.02 + 0.32 * far,
      tall: 0.75 + 0.12 * far,
      wide: 0.34 - 0.2 * far,
      tone: mix(near, air, 0.85 * far ** 0.7),
      far,
      lit: lit * (1 - 0.55 * far),
      seed: seed + i * 17,
    };
  });
  return (x, y) => {
    for (const r of rows) {
      const c = house(r, x, y);
      if (!c) continue;
      return mix(c, air, 0.45 * r.far * step(r.base + 0.7, r.base - 0.2, y));
    }
    const c = along(stops, within(0, 1, (y + 0.75) / 1.75));
    const veil = step(-0.1, 0.5, cloudy(x * 0.7, y * 3.4, 5, seed));
    return mix(c, mix(air, [1, 0.8, 0.7], 0.4), 0.42 * veil * step(1, -0.4, y));
  };
}

/** Lights far out of focus: round spots with a brighter rim. */
function spots(
  ground: (x: number, y: number) => Light,
  tones: readonly Light[],
  seed: number,
  top: number,
  much: number,
): Shader {
  return (x, y) => {
    let c = ground(x, y);
    for (const [size, s, strong] of [
      [1.7, 1, 0.22],
      [2.6, 2, 0.34],
      [4.2, 3, 0.45],
    ] as const) {
      const i = Math.floor(x * size);
      const j = Math.floor(y * size);
      for (let b = j - 1; b <= j + 1; b++)
        for (let a = i - 1; a <= i + 1; a++) {
          if (chance(a, b, seed + s) > much) continue;
          const px = a + chance(a, b, seed + s + 10);
          const py = b + chance(a, b, seed + s + 20);
          if (py / size > top + 0.25 * Math.sin(px * 2)) continue;
          const r = 0.3 + 0.3 * chance(a, b, seed + s + 30);
          const d = Math.hypot(x * size - px, y * size - py) / r;
          if (d > 1.1) continue;
          const tone = tones[Math.floor(chance(a, b, seed + s + 40) * tones.length)]!;
          c = plus(
            c,
            tone,
            strong *
              (0.5 + 0.8 * chance(a, b, seed + s + 50)) *
              step(1.03, 0.95, d) *
              (0.62 + 0.38 * step(0.55, 0.95, d)),
          );
        }
    }
    return c;
  };
}

const LAMPS: readonly Light[] = [
  [1.1, 0.62, 0.24],
  [1.1, 0.78, 0.42],
  [0.95, 0.32, 0.2],
  [0.4, 0.62, 0.95],
  [1.0, 0.5, 0.45],
];

function bokeh(): Shader {
  const ground = (x: number, y: number): Light =>
    along(
      [
        [0, light("#120f1d")],
        [0.5, light("#241d38")],
        [1, light("#1b2a4a")],
      ],
      within(0, 1, (y + 1) / 2 + 0.08 * cloudy(x * 0.8, y * 0.8, 3, 4)),
    );
  return spots(ground, LAMPS, 7, 0.25, 0.55);
}

/** A window in the rain, the lights of the street behind it. */
function rain(): Shader {
  const street = spots(
    (x, y) => mix(light("#16222f"), light("#2c4252"), within(0, 1, 0.5 + 0.4 * y + 0.2 * cloudy(x, y, 3, 5))),
    LAMPS,
    21,
    0.3,
    0.5,
  );
  return (x, y) => {
    let best = 0;
    let ox = 0;
    let oy = 0;
    for (const [size, seed, share] of [
      [7, 3, 0.5],
      [14, 6, 0.6],
      [30, 9, 0.6],
    ] as const) {
      const c = cell(x * size, y * size * 0.9, seed, 0.9);
      if (c.own > share) continue;
      const r = 0.16 + 0.3 * c.own;
      const dx = (x * size - c.x) / r;
      const dy = (y * size * 0.9 - c.y) / r;
      const d = Math.hypot(dx * (1 + 0.12 * noise(dx + c.own * 9, dy, 4)), dy * (dy > 0 ? 0.86 : 1.05));
      if (d < 1 && 1 - d > best) {
        best = 1 - d;
        ox = dx;
        oy = dy;
      }
    }
    if (best <= 0) {
      const c = street(x, y);
      return plus(times(c, 0.86), [0.03, 0.04, 0.05], 1 + 0.4 * noise(x * 40, y * 40, 3));
    }
    // A drop shows what is behind it upside down, and is dark towards one side.
    const seen = street(x * 0.6 - ox * 0.75, -0.1 - oy * 0.85);
    const rim = step(0.34, 0, best);
    let c = times(plus(seen, [0.02, 0.03, 0.04]), 1.05 - 0.65 * rim * step(-0.7, 0.8, oy + 0.3 * ox));
    c = plus(c, [1, 1, 1], 0.8 * step(0.2, 0.05, Math.hypot(ox + 0.32, oy - 0.36)));
    return plus(c, [0.5, 0.6, 0.7], 0.16 * step(0.5, 0.95, Math.hypot(ox, oy)) * step(0.1, -0.7, oy));
  };
}

export const CITY: readonly Scene[] = [
  {
    name: "city-dusk",
    shape: "wide",
    alt: "The roofs of a city at dusk with lit windows",
    group: "City dusk",
    words: ["houses", "evening", "skyline", "urban", "violet"],
    focus: [0.5, 0.65],
    room: "head",
    draw: () =>
      skyline(
        [
          [0, light("#ffb98a")],
          [0.3, light("#e58f98")],
          [0.62, light("#8d78ae")],
          [1, light("#3c4a86")],
        ],
        light("#c78b99"),
        light("#1a1a33"),
        0.42,
        4,
      ),
  },
  {
    name: "city-blue",
    shape: "wide",
    alt: "A city in the blue hour",
    group: "City dusk",
    words: ["houses", "night", "skyline", "urban", "blue"],
    focus: [0.5, 0.65],
    room: "head",
    draw: () =>
      skyline(
        [
          [0, light("#a9c2d6")],
          [0.4, light("#5d86b3")],
          [1, light("#16305f")],
        ],
        light("#6f93b8"),
        light("#0b1730"),
        0.6,
        57,
      ),
  },
  {
    name: "city-lights",
    shape: "wide",
    alt: "Lights of a street at night, out of focus",
    group: "City dusk",
    words: ["bokeh", "night", "evening", "party", "abstract", "warm"],
    focus: [0.5, 0.6],
    room: "head",
    draw: bokeh,
  },
  {
    name: "city-rain",
    shape: "tall",
    alt: "Drops of rain on a window, lights behind it",
    group: "City dusk",
    words: ["bokeh", "night", "weather", "autumn", "window"],
    focus: [0.5, 0.5],
    room: "all",
    draw: rain,
  },
];
