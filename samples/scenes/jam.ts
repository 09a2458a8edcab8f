import { light } from "../../stock/draw/colour";
import { glazed, MORNING, orb, planks, pot, skin, streaked, woven } from "../../stock/scenes/stage";
import { FRUIT } from "../draw/art";
import { lettering } from "../draw/letters";
import { printed } from "../draw/sheet";
import { jar, type Jar } from "../draw/things";
import { packshot, scene, type Shot } from "./shot";

type Sort = {
  readonly fruit: keyof typeof FRUIT;
  readonly words: string;
  readonly under: string;
  readonly band: string;
  readonly fill: string;
  readonly bits: string;
};

/** What is in the jars, and what stands on them. */
const SORTS = {
  apricot: { fruit: "apricot", words: "APRICOT", under: "& ALMOND", band: "#c8662a", fill: "#e0801f", bits: "#f5b04a" },
  plum: { fruit: "plum", words: "PLUM", under: "STAR ANISE", band: "#4a2a57", fill: "#5b1c33", bits: "#8b2f45" },
  quince: { fruit: "quince", words: "QUINCE", under: "JELLY", band: "#8a6a1c", fill: "#d9772b", bits: "#e9923d" },
  strawberry: {
    fruit: "strawberry",
    words: "STRAWBERRY",
    under: "RHUBARB",
    band: "#a4273a",
    fill: "#b3202e",
    bits: "#d9434a",
  },
  orange: {
    fruit: "orange",
    words: "MARMALADE",
    under: "BITTER ORANGE",
    band: "#b5580f",
    fill: "#dd7a12",
    bits: "#f4a63a",
  },
  currant: {
    fruit: "currant",
    words: "BLACKCURRANT",
    under: "JELLY",
    band: "#34203f",
    fill: "#3a1030",
    bits: "#5a1a45",
  },
  pear: { fruit: "pear", words: "PEAR", under: "& GINGER", band: "#7d7a22", fill: "#c79a3c", bits: "#e0c272" },
  green: { fruit: "green", words: "CHUTNEY", under: "GREEN TOMATO", band: "#5c7430", fill: "#7a6a24", bits: "#a08f3a" },
  rhubarb: {
    fruit: "rhubarb",
    words: "RHUBARB",
    under: "& VANILLA",
    band: "#b24460",
    fill: "#c8525e",
    bits: "#e58a86",
  },
  honey: { fruit: "hive", words: "HONEY", under: "LIME BLOSSOM", band: "#9a6a12", fill: "#dc9a1e", bits: "#f2bf4f" },
} as const satisfies Readonly<Record<string, Sort>>;
type SortName = keyof typeof SORTS;

const PAPER = "#f6efdf";

/** The label of a jar: what is in it, drawn and written, with a band in its colour. */
const labelOf = (name: SortName) => {
  const { fruit, words, under, band } = SORTS[name];
  const line = (y: number) => `<path d="M-290 ${y}H290" stroke="${band}" stroke-width="3"/>`;
  return printed(
    700,
    560,
    PAPER,
    `<rect x="-322" y="-252" width="644" height="504" fill="none" stroke="${band}" stroke-width="5"/>` +
      `<g transform="translate(0 -108) scale(1.04)">${FRUIT[fruit]()}</g>` +
      lettering(words, 0, 92, 66, band, { weight: 0.95, most: 520 }) +
      line(118) +
      `<rect x="-322" y="152" width="644" height="100" fill="${band}"/>` +
      lettering(under, 0, 222, 36, PAPER, { weight: 0.8, most: 500 }),
  );
};

const GOLD = "#c9a24c";
const DARK = "#2c2f30";
const jarOf = async (name: SortName, more: Partial<Jar> & Pick<Jar, "at">) => {
  const { fill, bits } = SORTS[name];
  return jar({ fill, bits, label: await labelOf(name), lid: GOLD, ...more });
};

const RED = ["#f4ece0", "#b8413c"] as const;
const BLUE = ["#f2efe6", "#5b7f96"] as const;
const LEAF = ["#f3efdf", "#7f9463"] as const;

const apple = (x: number, z: number, r: number, seed: number) =>
  orb(x, z, r, { flat: 0.95, dimple: 0.4, stalk: 0.16, stuff: streaked("#c8452f", "#dbb04a", seed) });
const ripe = (x: number, z: number, r: number, hex: string, other: string, seed: number) =>
  orb(x, z, r, { flat: 0.95, dimple: 0.12, stuff: skin(hex, other, seed, 0.24) });

export const JAM: readonly Shot[] = [
  packshot("jam-apricot", "A jar of apricot jam beside two apricots", "#ead9c0", async () => [
    await jarOf("apricot", { at: [-0.22, 0.1], cloth: BLUE }),
    ripe(0.62, -0.3, 0.24, "#ee9a44", "#e27a35", 4),
    ripe(0.86, 0.28, 0.23, "#f0a24c", "#e58a3a", 8),
  ]),
  packshot("jam-plum", "A jar of plum jam beside three plums", "#dcd3dd", async () => [
    await jarOf("plum", { at: [0.2, 0.15], lid: DARK }),
    ripe(-0.66, -0.1, 0.24, "#4b2a58", "#6d3a63", 5),
    ripe(-0.36, -0.62, 0.22, "#5a2f62", "#7c4468", 9),
    ripe(-0.95, 0.5, 0.23, "#432550", "#63365c", 12),
  ]),
  packshot("jam-quince", "A tall jar of clear quince jelly", "#e6dfc3", async () => [
    await jarOf("quince", { at: [-0.1, 0.1], tall: 1.56, wide: 0.46 }),
    orb(0.7, -0.1, 0.33, {
      flat: 1.16,
      dimple: 0.2,
      pointed: 0.1,
      lean: 0.3,
      stuff: skin("#dcb63f", "#c9a22e", 6, 0.12),
    }),
  ]),
  packshot("jam-strawberry", "A jar of strawberry jam under a checked cloth", "#f0dcd6", async () => [
    await jarOf("strawberry", { at: [0, 0.1], cloth: RED }),
  ]),
  packshot("jam-orange", "A jar of marmalade before an orange", "#e3e0cd", async () => [
    await jarOf("orange", { at: [-0.26, -0.05] }),
    orb(0.5, 0.5, 0.42, {
      flat: 0.95,
      dimple: 0.06,
      pores: 0.012,
      lean: 0.4,
      stuff: skin("#ee8a1d", "#f5a52f", 3, 0.3),
    }),
  ]),
  packshot("jam-currant", "A small jar of blackcurrant jelly", "#d6d9e0", async () => [
    await jarOf("currant", { at: [0, 0], tall: 1.12, wide: 0.5, lid: DARK }),
    ...[
      [0.72, -0.34],
      [0.88, -0.1],
      [0.7, 0.04],
      [-0.78, -0.3],
      [1.02, -0.42],
    ].map(([x, z], i) => ripe(x!, z!, 0.085, "#2b1733", "#3f2348", i + 4)),
  ]),
  packshot("jam-pear", "A jar of pears with ginger", "#e2e2cc", async () => [
    await jarOf("pear", { at: [0.16, 0.1], tall: 1.5, wide: 0.5 }),
    pot(-0.68, -0.1, 0.78, [0.14, 0.3, 0.35, 0.3, 0.17, 0.11, 0.06], skin("#b3ad3c", "#9c7a35", 5, 0.16), { wall: 0 }),
  ]),
  packshot("jam-chutney", "A wide jar of green tomato chutney", "#dde1cf", async () => [
    await jarOf("green", { at: [0, 0.1], tall: 1.18, wide: 0.6, cloth: LEAF }),
  ]),
  packshot("jam-honey", "A jar of honey beside two lemons", "#ecdfbd", async () => [
    await jarOf("honey", { at: [-0.2, 0.1], tall: 1.26, wide: 0.54 }),
    orb(0.66, -0.3, 0.2, {
      flat: 1.22,
      pointed: 0.2,
      pores: 0.01,
      lean: 1.2,
      y: 0.2,
      stuff: skin("#f2cf2e", "#e3b91c", 31, 0.28),
    }),
    orb(0.84, 0.2, 0.21, {
      flat: 1.22,
      pointed: 0.2,
      pores: 0.01,
      lean: 0.4,
      y: 0.22,
      stuff: skin("#f2cf2e", "#e8c01f", 24, 0.28),
    }),
  ]),
  packshot("jam-three", "Three jars side by side: apricot, plum and honey", "#e7ddcf", async () => [
    await jarOf("apricot", { at: [-0.78, 0.28], tall: 1.05, wide: 0.42, turn: 0.1 }),
    await jarOf("plum", { at: [0.02, -0.12], tall: 1.05, wide: 0.42, lid: DARK }),
    await jarOf("honey", { at: [0.82, 0.28], tall: 1.05, wide: 0.42, turn: -0.1 }),
  ]),
  scene(
    "jam-window",
    "Jars of jam on a wooden board in the morning light, apples beside them",
    [0.64, 0.55],
    async () => ({
      things: [
        await jarOf("rhubarb", { at: [0.05, 0.45], tall: 1.2, wide: 0.48, cloth: RED }),
        await jarOf("orange", { at: [1.0, -0.15], tall: 1.3, wide: 0.5 }),
        await jarOf("currant", { at: [1.98, 0.4], tall: 1.14, wide: 0.48, cloth: BLUE }),
        apple(-0.72, -0.1, 0.34, 4),
        apple(0.42, -0.78, 0.3, 9),
        ripe(2.2, -0.62, 0.2, "#4b2a58", "#6d3a63", 5),
        ripe(1.78, -0.84, 0.19, "#5a2f62", "#7c4468", 9),
      ],
      wall: light("#d9cdb6"),
      table: planks("#bf9565", "#8b643c", 0.66),
      back: 2.3,
      sun: MORNING,
      above: light("#a2a6ad"),
      below: light("#86705a"),
      eye: [0.15, 1.75, -5.6],
      at: [0.3, 0.6, 0],
      lens: 3.9,
      tableShine: 0.1,
    }),
  ),
  scene("jam-breakfast", "Honey and a bowl on a linen cloth", [0.42, 0.55], async () => ({
    things: [
      await jarOf("honey", { at: [-0.75, 0.25], tall: 1.24, wide: 0.52 }),
      pot(0.55, 0.1, 0.46, [0.26, 0.5, 0.62, 0.7], glazed("#b58a62", "#e9e4d8", 0.1, 7), { wall: 0.04, rings: 0.001 }),
      ripe(-0.1, -0.7, 0.23, "#ee9a44", "#e27a35", 4),
      ripe(-1.6, -0.2, 0.24, "#f0a24c", "#e58a3a", 8),
    ],
    wall: light("#c9d0c6"),
    table: woven("#e6ddcb"),
    back: 2.4,
    sun: MORNING,
    above: light("#a6aeb4"),
    below: light("#8f8672"),
    eye: [-0.1, 1.8, -5.2],
    at: [-0.15, 0.55, 0],
    lens: 4.2,
  })),
];
