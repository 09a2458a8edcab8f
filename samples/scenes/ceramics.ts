import { light, mix, times, type Light } from "../../stock/draw/colour";
import { cloudy, noise, step } from "../../stock/draw/noise";
import type { Stuff } from "../../stock/draw/solid";
import { clay, disc, glazed, MORNING, plain, planks, pot, type Thing } from "../../stock/scenes/stage";
import { cup, jug, knob } from "../draw/things";
import { packshot, scene, type Shot } from "./shot";

type Glaze = (x: number, y: number, z: number) => Stuff;

/** A glaze full of small dark specks. */
const speckled = (bare: string, glaze: string, at: number, seed: number): Glaze => {
  const below = glazed(bare, glaze, at, seed);
  const speck = light("#4a3526");
  return (x, y, z) => {
    const stuff = below(x, y, z);
    const turn = Math.atan2(z, x);
    const spot = noise(turn * 34 * Math.max(0.25, Math.hypot(x, z)), y * 34, seed) > 0.66;
    return spot && y > at ? { ...stuff, colour: mix(stuff.colour, speck, 0.6) } : stuff;
  };
};

/** A second glaze over the first, from above down to a running edge. */
const dipped = (bare: string, glaze: string, over: string, at: number, seed: number): Glaze => {
  const below = glazed(bare, glaze, 0.08, seed);
  const second = light(over);
  return (x, y, z) => {
    const stuff = below(x, y, z);
    const edge = at + 0.07 * noise(Math.atan2(z, x) * 2.2, seed, 5) + 0.02 * noise(Math.atan2(z, x) * 9, seed, 2);
    const shade: Light = times(second, 1 + 0.08 * cloudy(x * 5, y * 5 + z * 3, 4, seed));
    return { ...stuff, colour: mix(stuff.colour, shade, step(-0.02, 0.03, y - edge)) };
  };
};

/** Rings drawn with a brush while the wheel turned. */
const ringed = (
  bare: string,
  glaze: string,
  line: string,
  heights: readonly number[],
  seed: number,
  at = 0.06,
): Glaze => {
  const below = glazed(bare, glaze, at, seed);
  const stroke = light(line);
  return (x, y, z) => {
    const stuff = below(x, y, z);
    const turn = Math.atan2(z, x);
    const wave = 0.008 * noise(turn * 3, seed, 4);
    const on = heights.some(
      (h, i) => Math.abs(y - h + wave) < (i % 2 ? 0.008 : 0.022) + 0.004 * noise(turn * 11, h * 9, 2),
    );
    return on ? { ...stuff, colour: mix(stuff.colour, stroke, 0.8) } : stuff;
  };
};

const CLAY = "#b98d68";
const CREAM = "#ece5d6";
const SEA = "#56787c";
const MOSS = "#7d8b68";
const RUST = "#b56a46";
const NIGHT = "#38424c";

const BOWL = [0.26, 0.5, 0.68, 0.78, 0.82] as const;
const plate = (x: number, y: number, z: number, wide: number, glaze: Glaze): Thing =>
  pot(x, z, 0.12, [wide * 0.62, wide * 0.7, wide * 0.94, wide], glaze, { y, wall: 0.03, rings: 0.0008 });

export const CERAMICS: readonly Shot[] = [
  packshot("clay-mug", "A speckled cream mug with a handle", "#d9d6cc", async () =>
    cup(-0.1, 0, 0.86, [0.4, 0.46, 0.47, 0.46, 0.46], speckled(CLAY, CREAM, 0.1, 5)),
  ),
  packshot("clay-bowl", "A wide bowl, dipped in sea blue", "#d6dcda", async () => [
    pot(0, 0, 0.62, BOWL, dipped(CLAY, CREAM, SEA, 0.3, 3), { wall: 0.045, rings: 0.0012 }),
  ]),
  packshot(
    "clay-plates",
    "A stack of three plates in cream, moss and rust",
    "#e0dacd",
    async () => [
      plate(0, 0, 0, 0.94, speckled(CLAY, CREAM, 0, 4)),
      plate(0.02, 0.13, 0.01, 0.86, glazed(CLAY, MOSS, 0, 7)),
      plate(-0.02, 0.26, 0, 0.76, glazed(CLAY, RUST, 0, 2)),
    ],
    { up: 0.4 },
  ),
  packshot("clay-jug", "A tall jug with a lip, cream over bare clay", "#dfd6ca", async () =>
    jug(-0.05, 0, 1.3, [0.36, 0.5, 0.54, 0.46, 0.34, 0.3, 0.36], dipped("#a87955", "#a87955", CREAM, 0.42, 9)),
  ),
  packshot("clay-vase", "A round vase with a narrow neck in dark slate", "#cfd3d2", async () => [
    pot(0, 0, 1.34, [0.28, 0.52, 0.62, 0.54, 0.32, 0.16, 0.14, 0.2], glazed("#7a5c48", NIGHT, 0.1, 6), {
      rings: 0.0016,
    }),
  ]),
  packshot("clay-ringed", "A vase with painted rings", "#e3dbcb", async () => [
    pot(
      0,
      0,
      1.28,
      [0.34, 0.4, 0.46, 0.5, 0.46, 0.34, 0.3, 0.36],
      ringed(CLAY, CREAM, SEA, [0.3, 0.38, 0.62, 0.7, 0.94], 4),
      { rings: 0.0012 },
    ),
  ]),
  packshot("clay-jar", "A lidded jar in moss green", "#dce0d3", async () => {
    const glaze = glazed(CLAY, MOSS, 0.1, 8);
    return [
      pot(0, 0, 0.8, [0.42, 0.54, 0.58, 0.55, 0.5], glaze, { wall: 0, rings: 0.0012 }),
      pot(0, 0, 0.16, [0.54, 0.52, 0.36, 0.1], glaze, { y: 0.8, wall: 0 }),
      knob(0, 0.95, 0, 0.075, (x, y, z) => glaze(x, y, z)),
    ];
  }),
  packshot(
    "clay-cups",
    "Two small cups, one rust and one cream",
    "#e2d3c8",
    async () => [
      pot(-0.44, 0.2, 0.52, [0.24, 0.32, 0.34, 0.35], speckled(CLAY, RUST, 0.1, 3), { wall: 0.035, rings: 0.001 }),
      pot(0.42, -0.16, 0.52, [0.24, 0.32, 0.34, 0.35], speckled(CLAY, CREAM, 0.1, 9), { wall: 0.035, rings: 0.001 }),
    ],
    { up: 0.44, lens: 5.4 },
  ),
  packshot("clay-planter", "A planter of bare clay upon its saucer", "#dad8cc", async () => [
    plate(0, 0, 0, 0.62, clay("#bd7650", 4)),
    pot(0, 0, 0.94, [0.42, 0.5, 0.56, 0.6, 0.62], clay("#c27b55", 6), { y: 0.05, wall: 0.05, rings: 0.0022 }),
    disc(0, 0.86, 0, 0.55, 0.02, "#3c2d22"),
  ]),
  packshot(
    "clay-dish",
    "A shallow dish with three rings of colour",
    "#d3d7d6",
    async () => [
      pot(0, 0, 0.24, [0.5, 0.7, 0.92, 1], ringed(CLAY, "#dfe0d8", "#2f5f78", [0.1, 0.15, 0.19], 4, -1), {
        wall: 0.035,
        rings: 0.0008,
      }),
    ],
    { up: 0.36, high: 2.3, lens: 4.6 },
  ),
  scene("clay-shelf", "A jug, two vases and a bowl before a warm wall", [0.62, 0.55], async () => ({
    things: [
      ...jug(0.35, 0.3, 1.3, [0.36, 0.5, 0.54, 0.46, 0.34, 0.3, 0.36], dipped("#a87955", "#a87955", CREAM, 0.42, 9)),
      pot(1.5, 0.1, 0.9, [0.28, 0.46, 0.54, 0.46, 0.28, 0.15, 0.19], glazed("#7a5c48", NIGHT, 0.1, 6), {
        rings: 0.0016,
      }),
      pot(-0.72, -0.1, 0.46, [0.22, 0.42, 0.56, 0.62], dipped(CLAY, CREAM, SEA, 0.24, 3), {
        wall: 0.04,
        rings: 0.0012,
      }),
      pot(0.85, -0.75, 0.36, [0.17, 0.23, 0.25, 0.25], speckled(CLAY, RUST, 0.08, 3), { wall: 0.03, rings: 0.001 }),
      pot(
        2.35,
        0.4,
        1.3,
        [0.3, 0.36, 0.42, 0.44, 0.4, 0.3, 0.26, 0.31],
        ringed(CLAY, CREAM, SEA, [0.3, 0.38, 0.62, 0.7], 4),
        { rings: 0.0012 },
      ),
    ],
    wall: light("#d9bda2"),
    table: plain("#cfab88", 0.05),
    back: 2,
    sun: MORNING,
    above: light("#a59c9f"),
    below: light("#92745c"),
    eye: [0.1, 1.4, -5.6],
    at: [0.2, 0.62, 0],
    lens: 4.3,
  })),
  scene("clay-table", "Plates, a cup and a bowl on a wooden table", [0.4, 0.55], async () => ({
    things: [
      plate(-0.7, 0, 0.1, 0.86, speckled(CLAY, CREAM, 0, 4)),
      pot(-0.7, 0.1, 0.4, [0.2, 0.36, 0.48, 0.54], glazed(CLAY, MOSS, 0.08, 7), { y: 0.09, wall: 0.04, rings: 0.001 }),
      ...cup(0.75, -0.15, 0.6, [0.28, 0.33, 0.34, 0.33], speckled(CLAY, CREAM, 0.08, 5)),
      pot(1.7, 0.5, 1.1, [0.3, 0.44, 0.5, 0.44, 0.26, 0.14, 0.18], glazed(CLAY, RUST, 0.1, 2), { rings: 0.0014 }),
    ],
    wall: light("#cdd0c8"),
    table: planks("#b98e5f", "#8a663e", 0.7),
    back: 2.4,
    sun: MORNING,
    above: light("#a6adb3"),
    below: light("#86725b"),
    eye: [0, 1.9, -5.4],
    at: [0.1, 0.42, 0],
    lens: 4.2,
    tableShine: 0.1,
  })),
];
