import { light, mix, times } from "../draw/colour";
import type { Scene } from "../draw/kinds";
import { chance, cloudy, step } from "../draw/noise";
import { type Stuff } from "../draw/solid";
import { MORNING, SOFT, glazed, orb, plain, planks, pot, skin, stage, streaked, woven } from "./stage";

/** Fruit. */
export const FRUIT: readonly Scene[] = [
  {
    name: "oranges",
    shape: "wide",
    alt: "Oranges on a blue table",
    group: "Fruit",
    words: ["food", "kitchen", "fresh", "colourful", "summer", "citrus"],
    focus: [0.66, 0.6],
    room: "left",
    draw: () =>
      stage({
        things: [
          orb(0.35, 0.2, 0.46, {
            flat: 0.95,
            dimple: 0.06,
            pores: 0.012,
            lean: 0.5,
            stuff: skin("#f08a1d", "#f6a52f", 3, 0.3),
          }),
          orb(1.2, -0.1, 0.5, {
            flat: 0.94,
            dimple: 0.06,
            pores: 0.012,
            lean: -0.4,
            stuff: skin("#ee7f17", "#f59a28", 6, 0.3),
          }),
          orb(0.85, 0.95, 0.48, {
            flat: 0.96,
            dimple: 0.06,
            pores: 0.012,
            lean: 0.1,
            stuff: skin("#f28f22", "#f8b04a", 9, 0.3),
          }),
          orb(1.95, 0.7, 0.47, {
            flat: 0.95,
            dimple: 0.06,
            pores: 0.012,
            lean: 0.9,
            stuff: skin("#ee8019", "#f59a28", 12, 0.3),
          }),
        ],
        wall: light("#86a9b8"),
        table: plain("#5f8ea6", 0.04),
        back: 3.2,
        bow: 1.4,
        sun: MORNING,
        above: light("#a5b6c4"),
        below: light("#6f7f88"),
        eye: [0.1, 1.9, -5],
        at: [0.4, 0.5, 0.2],
        lens: 3.3,
      }),
  },
  {
    name: "lemons",
    shape: "square",
    alt: "Lemons in a pale bowl",
    group: "Fruit",
    words: ["food", "kitchen", "fresh", "yellow", "citrus"],
    focus: [0.5, 0.58],
    room: "head",
    draw: () =>
      stage({
        things: [
          pot(0, 0, 0.5, [0.3, 0.62, 0.88, 1.02], glazed("#c7a27c", "#e8e6de", 0.08, 4), { wall: 0.05, rings: 0.001 }),
          ...[
            [-0.42, 0.1, 0.62, 1.3],
            [0.4, -0.12, 0.62, 0.5],
            [0.08, 0.45, 0.64, -0.7],
            [-0.05, -0.45, 0.6, 2.2],
            [0, 0.02, 0.98, 1.0],
          ].map(([x, z, y, lean]) =>
            orb(x!, z!, 0.3, {
              flat: 1.22,
              pointed: 0.2,
              pores: 0.01,
              lean: lean!,
              y: y!,
              stuff: skin("#f2cf2e", "#e8c01f", Math.round(lean! * 10 + 20), 0.28),
            }),
          ),
          orb(1.35, -0.75, 0.3, {
            flat: 1.22,
            pointed: 0.2,
            pores: 0.01,
            lean: 1.45,
            y: 0.29,
            stuff: skin("#f2cf2e", "#e3b91c", 31, 0.28),
          }),
        ],
        wall: light("#d9dfd6"),
        table: woven("#cfd8d4"),
        back: 2.6,
        bow: 1,
        sun: MORNING,
        above: light("#a9b4ba"),
        below: light("#8e8f80"),
        eye: [0, 2.5, -5],
        at: [0.12, 0.72, 0],
        lens: 2.9,
      }),
  },
  {
    name: "apples",
    shape: "wide",
    alt: "Red and green apples on dark wood",
    group: "Fruit",
    words: ["food", "kitchen", "harvest", "autumn", "red"],
    focus: [0.62, 0.6],
    room: "left",
    draw: () =>
      stage({
        things: [
          orb(0.2, 0.1, 0.47, {
            flat: 0.88,
            dimple: 0.26,
            stalk: 0.2,
            lean: 0.2,
            stuff: streaked("#a5201f", "#d0632e", 4),
          }),
          orb(1.15, -0.15, 0.45, {
            flat: 0.9,
            dimple: 0.26,
            stalk: 0.2,
            lean: -0.25,
            stuff: streaked("#b22824", "#d88a3a", 9),
          }),
          orb(0.78, 0.85, 0.48, {
            flat: 0.88,
            dimple: 0.26,
            stalk: 0.2,
            lean: 0.05,
            stuff: streaked("#8fa53a", "#c3bf58", 15),
          }),
          orb(1.95, 0.55, 0.44, {
            flat: 0.9,
            dimple: 0.26,
            stalk: 0.2,
            lean: -0.6,
            stuff: streaked("#9c1c1f", "#c65a2c", 21),
          }),
        ],
        wall: light("#3d3a37"),
        table: planks("#6b4931", "#3c281b", 0.55),
        back: 2.4,
        sun: { from: [-0.85, 0.7, -0.35], light: [1.35, 1.18, 0.95], soft: 0.16 },
        above: light("#5d646d"),
        below: light("#4a3b30"),
        eye: [0.1, 1.75, -5],
        at: [0.4, 0.55, 0.1],
        lens: 3.3,
        tableShine: 0.14,
      }),
  },
  {
    name: "berries",
    shape: "wide",
    alt: "Blueberries strewn on a pale table",
    group: "Fruit",
    words: ["food", "kitchen", "fresh", "blue", "breakfast"],
    focus: [0.65, 0.55],
    room: "left",
    draw: () => {
      const spots: [number, number, number][] = [];
      for (let i = 0; i < 400 && spots.length < 46; i++) {
        const a = chance(i, 1, 4) * 6.283;
        const d = chance(i, 2, 4) ** 0.75 * 1.75;
        const x = 0.95 + Math.cos(a) * d;
        const z = 0.35 + Math.sin(a) * d * 0.85;
        const r = 0.15 + 0.05 * chance(i, 3, 4);
        if (spots.every(([px, pz, pr]) => Math.hypot(px - x, pz - z) > pr + r + 0.006)) spots.push([x, z, r]);
      }
      const berry = (i: number): ((x: number, y: number, z: number) => Stuff) => {
        const a = light("#2b3763");
        const b = light("#7f92b8");
        return (x, y, z) => {
          const q = Math.hypot(x, z);
          const crown = y > 0.4 && q < 0.36 ? 1 : 0;
          const bloom = step(-0.3, 0.6, cloudy(x * 1.8 + i, y * 1.8 + z, 4, i)) * 0.6;
          return {
            colour: crown ? times(a, q < 0.24 ? 0.5 : 0.85) : mix(a, b, bloom),
            shine: 0.12,
            gloss: 20,
            deep: 0.12,
          };
        };
      };
      return stage({
        things: spots.map(([x, z, r], i) => {
          const lean = 1.6 * (chance(i, 7) - 0.5);
          return orb(x, z, r, { flat: 0.86, dimple: 0.3, lean, stuff: berry(i) });
        }),
        wall: light("#e9e4da"),
        table: plain("#e8e1d4", 0.03),
        back: 6,
        bow: 1,
        sun: SOFT,
        above: light("#aeb5bf"),
        below: light("#958f86"),
        eye: [0.2, 3.6, -4.2],
        at: [0.35, 0, 0.35],
        lens: 3,
      });
    },
  },
];
