import { along, light, mix, plus, times, type Light } from "../draw/colour";
import type { Shader } from "../draw/frame";
import type { Scene } from "../draw/kinds";
import { chance, cloudy, crested, noise, step, within } from "../draw/noise";
import type { Sky } from "../draw/sky";
import { seaUnder } from "./water";

/** Stars of many strengths, few bright ones; some a little blue or gold. */
function stars(x: number, y: number, much: number): Light {
  let c: Light = [0, 0, 0];
  for (const [size, seed, strong, share] of [
    [16, 3, 1, 0.14],
    [38, 5, 0.5, 0.3],
    [80, 8, 0.22, 0.4],
  ] as const) {
    const i = Math.floor(x * size);
    const j = Math.floor(y * size);
    const own = chance(i, j, seed);
    if (own > share * much) continue;
    const d =
      Math.hypot(x * size - i - 0.2 - 0.6 * chance(i, j, seed + 1), y * size - j - 0.2 - 0.6 * chance(i, j, seed + 2)) /
      size;
    const power = strong * (0.3 + 2.2 * chance(i, j, seed + 3) ** 5);
    const r = 0.0017 + 0.0011 * power;
    const warm = chance(i, j, seed + 4);
    const tone: Light = warm > 0.8 ? [1, 0.82, 0.6] : warm < 0.3 ? [0.72, 0.84, 1] : [1, 1, 1];
    c = plus(c, tone, power * (Math.exp(-((d / r) ** 2)) + 0.1 * power * Math.exp(-d / (r * 3))));
  }
  return c;
}

/** A ridge with a few firs, black against the sky. */
const ridge = (x: number, base: number, rise: number, seed: number) =>
  base + rise * (crested(x * 0.5, 2, 5, seed) - 0.4);

function milkyWay(): Shader {
  const stops: readonly (readonly [number, Light])[] = [
    [0, light("#3c4f6e")],
    [0.3, light("#1b2b4c")],
    [1, light("#070d1f")],
  ];
  return (x, y) => {
    if (y < ridge(x, -0.62, 0.42, 4)) return times(light("#05070c"), 1 + 0.3 * noise(x * 20, y * 20, 3));
    let c = along(stops, within(0, 1, (y + 0.75) / 1.75));
    // The band of the galaxy slants over the sky and is cut by dark clouds.
    const u = x * 0.78 + y * 0.63;
    const d = x * 0.63 - y * 0.78 + 0.12 + 0.16 * cloudy(u * 0.9, 3, 3, 6);
    const band = Math.exp(-((d / 0.3) ** 2)) * (0.55 + 0.45 * cloudy(u * 2.1, d * 2.5, 5, 11));
    const lane = step(-0.08, 0.4, cloudy(u * 1.9 + 3, d * 4.4, 6, 19) - Math.abs(d) * 1.6);
    const fine = 0.7 + 0.5 * cloudy(u * 6, d * 7, 4, 15);
    c = plus(c, [0.36, 0.33, 0.38], band * fine * (1 - 0.85 * lane));
    c = plus(c, [0.3, 0.13, 0.17], 0.45 * band * (1 - lane) * step(0.15, 0.55, cloudy(u * 2.4, d * 3, 4, 29)));
    c = plus(c, stars(x, y, 0.55 + 1.6 * band * (1 - 0.6 * lane)), 0.95);
    const glow = Math.exp(-((y - ridge(x, -0.62, 0.42, 4)) * 3.2));
    return plus(c, [0.2, 0.13, 0.09], 0.5 * glow);
  };
}

function northernLights(): Shader {
  const stops: readonly (readonly [number, Light])[] = [
    [0, light("#1d4450")],
    [0.4, light("#10263c")],
    [1, light("#070f22")],
  ];
  return (x, y) => {
    const land = ridge(x, -0.6, 0.36, 12);
    if (y < land) return mix(light("#0a1218"), light("#1d3038"), 0.4 * step(-0.08, 0, y - land));
    let c = along(stops, within(0, 1, (y + 0.7) / 1.7));
    c = plus(c, stars(x, y, 0.7), 0.8);
    for (let i = 0; i < 3; i++) {
      const way = 0.5 * Math.sin(x * 1.1 + i * 2.2) + 0.3 * cloudy(x * 0.8 + i * 5, i, 3, 7) - 0.16 + 0.3 * i;
      const up = y - way;
      const rays =
        0.55 +
        0.45 * noise(x * 9 + 2.5 * cloudy(x * 2, i, 2, 4), i * 7 + y * 0.25, 5) +
        0.25 * noise(x * 30, i * 3 + y * 0.3, 8);
      const fall = up > 0 ? Math.exp(-up * (2.1 + i)) : Math.exp(-((up / 0.05) ** 2));
      const tone = mix([0.12, 0.85, 0.42], [0.45, 0.2, 0.75], step(0.1, 0.75, up));
      c = plus(c, tone, within(0, 1.3, rays * fall * (0.75 - 0.2 * i) * step(-1.6, 0.4, Math.sin(x * 0.9 + i * 1.7))));
    }
    return c;
  };
}

const MOON: Sky = {
  stops: [
    [0, light("#6f86a6")],
    [0.2, light("#3a5580")],
    [0.6, light("#152a4e")],
    [1, light("#091633")],
  ],
  sun: [-0.22, 0.16, 1],
  sunLight: [1.0, 1.0, 0.92],
  glow: 30,
  clouds: { much: -0.02, lit: light("#7d92b4"), shade: light("#1d3054"), size: 0.34, seed: 44 },
};
function moonlit(): Shader {
  const water = seaUnder(MOON, {
    high: 0.3,
    rough: 0.75,
    deep: light("#071428"),
    bright: light("#23405f"),
    eye: 1.9,
    down: 0.15,
  });
  // The moon itself, drawn upon the sky where the light comes from.
  const mx = (-0.22 / 1) * 1.7;
  const my = 0.16 * 1.7 + 0.03;
  return (x, y) => {
    let c = water(x, y);
    const d = Math.hypot(x - mx, y - my);
    if (y > 0.02) c = plus(c, stars(x, y + 2, 0.25), 0.4 * step(0.2, 0.9, d));
    const face = step(0.078, 0.073, d);
    return mix(c, times([1.05, 1.03, 0.95], 0.92 - 0.16 * step(-0.1, 0.5, cloudy(x * 9, y * 9, 4, 3))), face);
  };
}

function crescent(): Shader {
  const stops: readonly (readonly [number, Light])[] = [
    [0, light("#f3c7a0")],
    [0.22, light("#c38fa5")],
    [0.5, light("#5d5f9a")],
    [1, light("#1b2756")],
  ];
  return (x, y) => {
    for (const [base, rise, seed, tone] of [
      [-0.86, 0.3, 3, "#120f24"],
      [-0.68, 0.42, 9, "#2b2447"],
      [-0.5, 0.5, 15, "#4f4069"],
    ] as const)
      if (y < ridge(x, base, rise, seed))
        return mix(light(tone), light("#a77f9b"), 0.25 * step(0, -0.35, y - ridge(x, base, rise, seed)));
    let c = along(stops, within(0, 1, (y + 0.62) / 1.6));
    c = plus(c, stars(x, y, 0.5), 0.6 * step(-0.1, 0.5, y));
    const d = Math.hypot(x - 0.62, y - 0.42);
    const cut = Math.hypot(x - 0.585, y - 0.455);
    c = plus(c, [1, 0.95, 0.85], 0.95 * step(0.1, 0.097, d) * step(0.088, 0.094, cut));
    return plus(c, [0.9, 0.8, 0.75], 0.14 * Math.exp(-d * 5));
  };
}

export const NIGHT: readonly Scene[] = [
  {
    name: "night-milky-way",
    shape: "wide",
    alt: "The Milky Way above dark ridges",
    group: "Night sky",
    words: ["stars", "dark", "mountain", "outdoor", "dream"],
    focus: [0.5, 0.4],
    room: "head",
    draw: milkyWay,
  },
  {
    name: "night-lights",
    shape: "wide",
    alt: "Green northern lights above a black shore",
    group: "Night sky",
    words: ["stars", "dark", "green", "north", "winter"],
    focus: [0.5, 0.45],
    room: "foot",
    draw: northernLights,
  },
  {
    name: "night-moon-sea",
    shape: "wide",
    alt: "A full moon above a quiet sea",
    group: "Night sky",
    words: ["water", "dark", "blue", "moon", "quiet"],
    focus: [0.38, 0.36],
    room: "right",
    draw: moonlit,
  },
  {
    name: "night-crescent",
    shape: "tall",
    alt: "A thin moon above violet hills after sunset",
    group: "Night sky",
    words: ["stars", "evening", "violet", "hills", "calm"],
    focus: [0.75, 0.3],
    room: "head",
    draw: crescent,
  },
];
