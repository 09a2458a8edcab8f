import { light } from "../draw/colour";
import type { Scene } from "../draw/kinds";
import { pastLeaves } from "../draw/leaf";
import { windowed } from "../draw/relief";
import { ball } from "../draw/solid";
import { MORNING, SOFT, arch, clay, disc, glazed, palm, plain, planks, pot, slab, stage, woven } from "./stage";

/** Tables, stages and pots. */
export const STILL: readonly Scene[] = [
  {
    name: "table-window",
    shape: "wide",
    alt: "An empty wooden table before a wall with the light of a window",
    group: "Table top",
    words: ["kitchen", "morning", "stage", "product", "warm", "sun"],
    focus: [0.5, 0.7],
    room: "middle",
    draw: () =>
      stage({
        things: [],
        wall: light("#d8cbb8"),
        table: planks("#c69a68", "#94683c", 0.62),
        back: 1.2,
        sun: { from: [-0.75, 0.6, -0.62], light: [1.3, 1.14, 0.86], soft: 0.1 },
        above: light("#9aa0ab"),
        below: light("#85745f"),
        eye: [0, 1.5, -5.4],
        at: [0, 0.85, 0],
        lens: 2.5,
        let: (x, y, z) => {
          const t = (z + 2.2) / 0.62;
          return (
            0.06 +
            0.94 *
              windowed(
                [-0.15, 1.75],
                [1.35, 1.25],
                [3, 2],
                0.11,
                0.12,
              )(x + 0.75 * t * 0.35 - 0.9, y - 0.6 * t * 0.35 + 1.2)
          );
        },
        tableShine: 0.08,
      }),
  },
  {
    name: "table-breakfast",
    shape: "wide",
    alt: "A cup, a bowl and a jug on a linen cloth",
    group: "Table top",
    words: ["kitchen", "coffee", "morning", "ceramics", "home"],
    focus: [0.6, 0.6],
    room: "left",
    draw: () =>
      stage({
        things: [
          pot(0.72, 0.5, 1.15, [0.3, 0.44, 0.46, 0.36, 0.24, 0.22, 0.3], glazed("#c7a27c", "#e9e4d8", 0.2, 3), {
            rings: 0.0012,
          }),
          pot(1.6, -0.12, 0.46, [0.2, 0.38, 0.47, 0.52], glazed("#b58a62", "#6f8f92", 0.12, 7), { rings: 0.001 }),
          pot(0.12, -0.35, 0.46, [0.24, 0.28, 0.29, 0.29, 0.3], glazed("#c7a27c", "#e9e4d8", 0.1, 5), { rings: 0.001 }),
          {
            // The handle: a ring.
            far: (x, y, z) => (Math.hypot(Math.hypot(x + 0.21, y - 0.25) - 0.13, z + 0.35) - 0.033) * 0.9,
            stuff: () => ({ colour: light("#e9e4d8"), shine: 0.4, gloss: 60 }),
            about: [-0.21, 0.25, -0.35, 0.2],
          },
          {
            far: (x, y, z) => Math.max(Math.hypot(x - 0.12, z + 0.35) - 0.262, Math.abs(y - 0.36) - 0.004),
            stuff: () => ({ colour: light("#3a2013"), shine: 0.5, gloss: 60, mirror: 0.06 }),
            about: [0.12, 0.36, -0.35, 0.27],
          },
        ],
        wall: light("#c5cdc9"),
        table: woven("#e4dccb"),
        back: 2.2,
        sun: MORNING,
        above: light("#a3adb8"),
        below: light("#8f8678"),
        eye: [0.15, 1.75, -5],
        at: [0.2, 0.55, 0],
        lens: 3.4,
      }),
  },
  {
    name: "stage-rose",
    shape: "wide",
    alt: "A rose stage with an arch and round steps",
    group: "Table top",
    words: ["product", "podium", "beauty", "pink", "display"],
    focus: [0.5, 0.65],
    room: "middle",
    draw: () =>
      stage({
        things: [
          disc(0, 0.12, 0, 1.05, 0.12, "#e7b3a4"),
          disc(0, 0.32, 0.05, 0.72, 0.1, "#f0c6b8"),
          arch(-0.05, 1.05, 1.15, 2.5, 0.72, 0.13, "#dd9f90"),
          slab(1.75, 0.42, 0.35, 0.34, 0.42, 0.34, "#e7b3a4"),
          { ...disc(-1.65, 0.3, 0.1, 0.3, 0.3, "#f0c6b8") },
          {
            far: (x, y, z) => ball(x - 1.75, y - 1.06, z - 0.35, 0.22),
            stuff: () => ({ colour: light("#d9a441"), shine: 0.5, gloss: 40, mirror: 0.1 }),
            about: [1.75, 1.06, 0.35, 0.22],
          },
        ],
        wall: light("#ecc0b1"),
        table: plain("#e6b5a5"),
        back: 2.6,
        bow: 1.2,
        sun: SOFT,
        above: light("#b9a5ab"),
        below: light("#a97f76"),
        eye: [0, 1.85, -6.6],
        at: [0, 0.95, 0],
        lens: 3.4,
      }),
  },
  {
    name: "stage-sand",
    shape: "tall",
    alt: "Two steps of sandstone in the shadow of a palm",
    group: "Table top",
    words: ["product", "podium", "summer", "display", "beige"],
    focus: [0.5, 0.68],
    room: "head",
    draw: () =>
      stage({
        things: [
          slab(-0.25, 0.2, 0.1, 0.85, 0.2, 0.6, "#dcc5a0", 0.03),
          slab(0.35, 0.52, 0.25, 0.5, 0.14, 0.42, "#e8d5b4", 0.03),
          disc(-0.72, 0.5, -0.05, 0.24, 0.1, "#cfae82"),
        ],
        wall: light("#e5d3b6"),
        table: plain("#d9c19a", 0.05),
        back: 1.3,
        bow: 0.5,
        sun: { from: [0.8, 0.85, -0.75], light: [1.25, 1.12, 0.88], soft: 0.07 },
        above: light("#a3a8b3"),
        below: light("#978166"),
        eye: [0, 1.5, -5.6],
        at: [0, 1.15, 0],
        lens: 2.6,
        let: (x, y, z) => 0.12 + 0.88 * pastLeaves(palm(2.0, 3.3), x + (1.3 - z) * 0.5, y + (1.3 - z) * 0.5, 0.05),
      }),
  },
  {
    name: "clay-vases",
    shape: "wide",
    alt: "Three vases of clay before a warm wall",
    group: "Clay",
    words: ["ceramics", "pottery", "home", "craft", "warm"],
    focus: [0.62, 0.5],
    room: "left",
    draw: () =>
      stage({
        things: [
          pot(0.35, 0.35, 1.55, [0.26, 0.4, 0.5, 0.46, 0.3, 0.15, 0.13, 0.19], clay("#b5694a", 3), { rings: 0.0022 }),
          pot(1.25, 0.05, 0.95, [0.3, 0.48, 0.56, 0.5, 0.34, 0.22], glazed("#a87a58", "#e3dccb", 0.3, 5), {
            rings: 0.002,
          }),
          pot(-0.42, -0.15, 0.62, [0.22, 0.33, 0.36, 0.28, 0.19, 0.21], glazed("#b07c5c", "#53666a", 0.2, 9), {
            rings: 0.0015,
          }),
        ],
        wall: light("#d7b393"),
        table: plain("#c9a17d", 0.05),
        back: 1.9,
        sun: MORNING,
        above: light("#a39aa0"),
        below: light("#8d6f58"),
        eye: [-0.1, 1.25, -5.4],
        at: [0, 0.72, 0],
        lens: 3.5,
      }),
  },
  {
    name: "clay-bowls",
    shape: "wide",
    alt: "A stack of glazed bowls",
    group: "Clay",
    words: ["ceramics", "pottery", "kitchen", "craft", "tableware"],
    focus: [0.65, 0.55],
    room: "left",
    draw: () =>
      stage({
        things: [
          ...["#5d7f84", "#e6dfd0", "#c98a5b", "#8aa093"].map((g, i) =>
            pot(0.75 + 0.02 * (i % 2), 0.1, 0.42, [0.3, 0.56, 0.74, 0.82], glazed("#a87a58", g, 0.12, 3 + i), {
              y: i * 0.2,
              wall: 0.04,
              rings: 0.0012,
            }),
          ),
          pot(2.1, -0.35, 0.34, [0.2, 0.34, 0.42, 0.46], glazed("#a87a58", "#e6dfd0", 0.1, 12), {
            wall: 0.035,
            rings: 0.001,
          }),
        ],
        wall: light("#cfd2cc"),
        table: planks("#b58a5c", "#86613c", 0.7),
        back: 2.3,
        sun: MORNING,
        above: light("#a6adb5"),
        below: light("#84705a"),
        eye: [0.1, 1.6, -5.2],
        at: [0.45, 0.5, 0],
        lens: 3.4,
        tableShine: 0.1,
      }),
  },
  {
    name: "clay-white",
    shape: "tall",
    alt: "A white vase in the shade of leaves",
    group: "Clay",
    words: ["ceramics", "pottery", "home", "bright", "calm"],
    focus: [0.5, 0.62],
    room: "head",
    draw: () =>
      stage({
        things: [
          pot(0, 0, 1.35, [0.3, 0.5, 0.58, 0.5, 0.3, 0.17, 0.16, 0.22], clay("#e9e4da", 5), { rings: 0.0018 }),
          disc(0.85, 0.11, -0.35, 0.24, 0.11, "#d9d2c4"),
        ],
        wall: light("#e7e3da"),
        table: plain("#dcd6ca"),
        back: 1.1,
        bow: 0.3,
        sun: { from: [0.8, 0.75, -0.7], light: [1.18, 1.08, 0.92], soft: 0.09 },
        above: light("#aab2bc"),
        below: light("#98928a"),
        eye: [0, 1.35, -5.6],
        at: [0.05, 1.0, 0],
        lens: 2.7,
        let: (x, y, z) => 0.1 + 0.9 * pastLeaves(palm(1.9, 3.0), x + (1.1 - z) * 0.5, y + (1.1 - z) * 0.5, 0.06),
      }),
  },
];
