import { light } from "../../stock/draw/colour";
import { chance } from "../../stock/draw/noise";
import { MORNING, plain, planks, pot, clay, disc, type Thing } from "../../stock/scenes/stage";
import * as art from "../draw/art";
import { lettering } from "../draw/letters";
import { printed } from "../draw/sheet";
import { packet, seed, type Packet } from "../draw/things";
import { packshot, scene, type Shot } from "./shot";

type Sort = {
  readonly draw: () => string;
  readonly words: string;
  readonly under: string;
  readonly ground: string;
  readonly ink: string;
  /** The seeds themselves: colour, size, how long. */
  readonly seeds: readonly [string, number, number];
};

/** What is in the packets, and how they are printed. */
const SORTS = {
  tomato: {
    draw: art.tomato,
    words: "TOMATO",
    under: "RED CLUSTER",
    ground: "#f0dfb8",
    ink: "#7d2419",
    seeds: ["#dcc79a", 0.03, 1.3],
  },
  sunflower: {
    draw: art.sunflower,
    words: "SUNFLOWER",
    under: "TALL & LATE",
    ground: "#9cc0c4",
    ink: "#23424a",
    seeds: ["#3b3834", 0.045, 1.9],
  },
  carrot: {
    draw: art.carrot,
    words: "CARROT",
    under: "LONG ORANGE",
    ground: "#dfe6cb",
    ink: "#37512f",
    seeds: ["#a58a5c", 0.022, 1.8],
  },
  pea: {
    draw: art.pea,
    words: "SUGAR PEA",
    under: "EARLY CLIMBER",
    ground: "#f3ecd4",
    ink: "#2f5b3c",
    seeds: ["#b7b76a", 0.055, 1],
  },
  nasturtium: {
    draw: art.nasturtium,
    words: "NASTURTIUM",
    under: "TRAILING MIX",
    ground: "#26434a",
    ink: "#f3e3c0",
    seeds: ["#b79b6b", 0.05, 1.1],
  },
  beetroot: {
    draw: art.beetroot,
    words: "BEETROOT",
    under: "ROUND DARK RED",
    ground: "#f1d9d6",
    ink: "#6d1b3d",
    seeds: ["#8a6a4c", 0.038, 1.1],
  },
  chilli: {
    draw: art.chilli,
    words: "CHILLI",
    under: "MILD & LONG",
    ground: "#f3c766",
    ink: "#7a1c15",
    seeds: ["#e2cd96", 0.03, 1.2],
  },
  cornflower: {
    draw: art.cornflower,
    words: "CORNFLOWER",
    under: "BLUE & TALL",
    ground: "#f2ead8",
    ink: "#26418f",
    seeds: ["#cbbfa8", 0.028, 1.9],
  },
  lettuce: {
    draw: art.lettuce,
    words: "LETTUCE",
    under: "CRISP LEAF",
    ground: "#2f4d3a",
    ink: "#e9efcf",
    seeds: ["#d8d2bd", 0.024, 2],
  },
  poppy: {
    draw: art.poppy,
    words: "POPPY",
    under: "FIELD RED",
    ground: "#e9dcc6",
    ink: "#8c2018",
    seeds: ["#3a3d45", 0.016, 1],
  },
  basil: {
    draw: art.basil,
    words: "BASIL",
    under: "SWEET GREEN",
    ground: "#e8d7e2",
    ink: "#2f4f34",
    seeds: ["#2f2c2a", 0.02, 1.2],
  },
} as const satisfies Readonly<Record<string, Sort>>;
type SortName = keyof typeof SORTS;

const frontOf = (name: SortName) => {
  const { draw, words, under, ground, ink } = SORTS[name];
  return printed(
    600,
    860,
    ground,
    `<rect x="-276" y="-406" width="552" height="812" rx="14" fill="none" stroke="${ink}" stroke-width="5"/>` +
      `<g transform="translate(0 -92) scale(.98)">${draw()}</g>` +
      `<rect x="-276" y="204" width="552" height="202" fill="${ink}"/>` +
      lettering(words, 0, 314, 70, ground, { weight: 1, most: 470 }) +
      lettering(under, 0, 368, 26, ground, { weight: 0.75, most: 440 }),
  );
};
const packetOf = async (name: SortName, more: Omit<Packet, "front" | "size"> & Partial<Pick<Packet, "size">>) =>
  packet({ size: [0.5, 0.72], front: await frontOf(name), ...more });

const strewn = (name: SortName, count: number, x: number, z: number, wide: number): readonly Thing[] => {
  const [hex, size, long] = SORTS[name].seeds;
  return Array.from({ length: count }, (_, i) =>
    seed(
      x + (chance(i, 3, name.length) - 0.5) * wide,
      z + (chance(i, 7, name.length) - 0.5) * wide * 0.5,
      size * (0.85 + 0.3 * chance(i, 11)),
      chance(i, 5) * 3,
      hex,
      long,
    ),
  );
};

/** A packet that stands, with some of its seeds before it. */
const alone = (name: SortName, alt: string, ground: string, yaw: number): Shot =>
  packshot(
    `seeds-${name}`,
    alt,
    ground,
    async () => [
      await packetOf(name, { at: [0, 0.72, 0.1], yaw, lean: -0.1 }),
      ...strewn(name, 9, yaw > 0 ? -0.46 : 0.46, -0.62, 0.7),
    ],
    { up: 0.68, lens: 4.7, high: 1.5 },
  );

export const SEEDS: readonly Shot[] = [
  alone("tomato", "A packet of tomato seeds with a drawn cluster on it", "#dfd8c6", 0.22),
  alone("sunflower", "A packet of sunflower seeds, blue with a yellow flower", "#e9dfc3", -0.2),
  alone("carrot", "A packet of carrot seeds with three carrots on it", "#ead8c4", 0.18),
  alone("pea", "A packet of sugar peas with an open pod on it", "#d5dfcd", -0.24),
  alone("nasturtium", "A dark packet of nasturtium seeds with orange flowers", "#e2d7c8", 0.2),
  alone("beetroot", "A rose packet of beetroot seeds", "#dcdcd2", -0.18),
  alone("chilli", "A yellow packet of chilli seeds with three pods on it", "#d9dfdc", 0.24),
  alone("cornflower", "A packet of cornflower seeds with three blue flowers", "#cfd8e0", -0.2),
  alone("lettuce", "A green packet of lettuce seeds", "#e4e3d2", 0.2),
  alone("poppy", "A packet of poppy seeds with a red flower", "#e3d3c9", -0.22),
  packshot(
    "seeds-kitchen",
    "Three packets: basil, tomato and lettuce",
    "#dde0d2",
    async () => [
      await packetOf("lettuce", { at: [-0.62, 0.6, 0.42], yaw: 0.3, lean: -0.12, size: [0.42, 0.6] }),
      await packetOf("tomato", { at: [0.62, 0.6, 0.4], yaw: -0.3, lean: -0.12, size: [0.42, 0.6] }),
      await packetOf("basil", { at: [0, 0.6, -0.1], lean: -0.12, size: [0.42, 0.6] }),
    ],
    { up: 0.6, lens: 4.4 },
  ),
  scene(
    "seeds-bench",
    "Packets of seeds on a potting bench, with pots and seeds strewn about",
    [0.62, 0.55],
    async () => ({
      things: [
        await packetOf("nasturtium", { at: [0.2, 0.72, 0.5], yaw: 0.24, lean: -0.12 }),
        await packetOf("sunflower", { at: [1.25, 0.72, 0.2], yaw: -0.08, lean: -0.12 }),
        await packetOf("poppy", { at: [2.25, 0.72, 0.55], yaw: -0.3, lean: -0.12 }),
        pot(-1.05, 0.35, 0.82, [0.34, 0.42, 0.48, 0.52], clay("#bd7650", 4), { wall: 0.05, rings: 0.002 }),
        disc(-1.05, 0.74, 0.35, 0.46, 0.02, "#3c2d22"),
        pot(-0.35, -0.35, 0.5, [0.22, 0.27, 0.31, 0.33], clay("#c27b55", 7), { wall: 0.04, rings: 0.002 }),
        disc(-0.35, 0.44, -0.35, 0.28, 0.02, "#463325"),
        ...strewn("pea", 14, 0.85, -0.7, 1.2),
        ...strewn("sunflower", 12, 1.75, -0.6, 1),
      ],
      wall: light("#c9d2c3"),
      table: planks("#b48c62", "#84613d", 0.6),
      back: 2.2,
      sun: MORNING,
      above: light("#a4adb0"),
      below: light("#83705a"),
      eye: [0.1, 1.6, -5.6],
      at: [0.3, 0.62, 0],
      lens: 4.1,
      tableShine: 0.06,
    }),
  ),
  scene("seeds-row", "Five packets of flowers and vegetables in a row", [0.5, 0.5], async () => ({
    things: await Promise.all(
      (["carrot", "cornflower", "chilli", "lettuce", "beetroot"] as const).map((name, i) =>
        packetOf(name, { at: [(i - 2) * 1.12, 0.72, 0.1 * Math.abs(i - 2)], yaw: (i - 2) * -0.09, lean: -0.1 }),
      ),
    ),
    wall: light("#e2dccb"),
    table: plain("#d6cdb8", 0.03),
    back: 1.7,
    bow: 0.8,
    sun: MORNING,
    above: light("#adb1b4"),
    below: light("#968c78"),
    eye: [0, 1.3, -6.4],
    at: [0, 0.68, 0],
    lens: 4,
  })),
];
