import { light, mix, times, type Light } from "../draw/colour";
import type { Shader } from "../draw/frame";
import type { Scene } from "../draw/kinds";
import { laid, pastLeaves, type Laid } from "../draw/leaf";
import { chance, cloudy, noise, within } from "../draw/noise";
import { relief } from "../draw/relief";

const paper = (hex: string, amount = 0.04) => {
  const c = light(hex);
  return (x: number, y: number): Light =>
    times(c, 1 + amount * cloudy(x * 8, y * 8, 4, 5) + 0.02 * noise(x * 90, y * 90, 4) + 0.06 * (y - x * 0.3));
};

/** Big leaves over each other, all around a place that is left dark. */
function thicket(): Shader {
  const tones = ["#1f4a32", "#2c6440", "#3b7a4a", "#173b2b", "#4a8a54"].map(light);
  const all: Laid[] = Array.from({ length: 84 }, (_, i) => {
    const r = (k: number) => chance(i, k, 11);
    const layer = i / 84;
    return {
      x: -1.9 + 3.8 * r(1),
      y: -1.3 + 2.6 * r(2),
      turn: 6.283 * r(3),
      long: 0.55 + 0.5 * r(4),
      wide: 0.13 + 0.1 * r(5),
      colour: times(tones[Math.floor(r(6) * 5)]!, 0.28 + 0.8 * layer),
      vein: times(light("#a8cf97"), 0.25 + 0.6 * layer),
      off: 0.5 + 0.5 * layer,
      form: i % 5 === 0 ? "feather" : "leaf",
      own: r(7),
      bend: 0.6 * (r(8) - 0.5),
    };
  });
  return laid(all, () => light("#07140f"), [0.09, -0.12], [-0.6, 0.75], 0.5);
}

/** A twig with round leaves on a plain ground. */
function twig(): Shader {
  const tones = ["#6f8f82", "#86a394", "#5d7d74", "#9bb5a5"].map(light);
  const all: Laid[] = [];
  const stems: readonly (readonly [number, number, number, number])[] = [
    [-1.6, -1.1, 0.62, 2.4],
    [-1.75, -0.2, 0.3, 1.75],
    [-0.7, -1.2, 1.05, 1.5],
  ];
  for (const [s, [x0, y0, turn, long]] of stems.entries()) {
    all.push({
      x: x0,
      y: y0,
      turn,
      long,
      wide: 0.012,
      colour: light("#8a6f58"),
      vein: light("#a58a70"),
      off: 0.35,
      form: "blade",
      own: 0.4,
      bend: 6,
    });
    const n = Math.round(long * 8);
    for (let i = 1; i <= n; i++) {
      const t = i / n;
      const side = i % 2 ? 1 : -1;
      const bend = 6 * (t - t * t) * 4 * 0.012;
      const r = (k: number) => chance(i, s, k);
      const size = (0.24 - 0.12 * t) * (0.8 + 0.4 * r(4));
      all.push({
        x: x0 + Math.cos(turn) * long * t - Math.sin(turn) * bend,
        y: y0 + Math.sin(turn) * long * t + Math.cos(turn) * bend,
        turn: turn + side * (0.9 + 0.4 * r(1)) * (i === n ? 0 : 1),
        long: size,
        wide: size * 0.42,
        colour: tones[Math.floor(r(2) * 4)]!,
        vein: light("#c5d6c8"),
        off: 0.3 + 0.5 * r(3),
        form: "round",
        own: r(5),
      });
    }
  }
  return laid(all, paper("#ecd0c3"), [0.1, -0.13], [-0.6, 0.75], 0.36);
}

/** The shadow of a palm upon a plastered wall. */
function shadows(wall: string, turnBy: number, seed: number, form: Laid["form"], count: number): Shader {
  const c = light(wall);
  const all: Laid[] = Array.from({ length: count }, (_, i) => {
    const r = (k: number) => chance(i, k, seed);
    return {
      x: 1.7 - 0.5 * r(1),
      y: -0.9 + 2.2 * r(2),
      turn: Math.PI + turnBy * (r(3) - 0.5) * 2,
      long: 1.3 + 0.9 * r(4),
      wide: form === "feather" ? 0.34 + 0.18 * r(5) : 0.16 + 0.1 * r(5),
      colour: c,
      vein: c,
      off: 1,
      form,
      own: r(6),
      bend: 1.2 * (r(7) - 0.4),
    };
  });
  return relief({
    height: (x, y) => 0.012 * cloudy(x * 3, y * 3, 4, 3) + 0.0022 * noise(x * 46, y * 46, 5),
    colour: (x, y) => times(c, 1 + 0.03 * cloudy(x * 6, y * 6, 4, 8)),
    from: [0.5, 0.6, 0.75],
    sun: [0.98, 0.9, 0.76],
    shade: light("#8e8a96"),
    fine: 0.003,
    let: (x, y) => within(0, 1, 0.03 + 0.97 * pastLeaves(all, x, y, 0.028 + 0.02 * within(0, 1, 1 - x))),
  });
}

/** Fallen leaves on dark ground. */
function fallen(): Shader {
  const tones = ["#b5501e", "#d98a2b", "#8f2f1c", "#c9a13a", "#6e3a1e", "#a8632a"].map(light);
  const all: Laid[] = Array.from({ length: 150 }, (_, i) => {
    const r = (k: number) => chance(i, k, 23);
    const layer = i / 150;
    const long = 0.34 + 0.3 * r(4);
    const form = (["lobed", "leaf", "lobed", "round"] as const)[Math.floor(r(8) * 4)]!;
    return {
      x: -1.8 + 3.6 * r(1),
      y: -1.25 + 2.5 * r(2),
      turn: 6.283 * r(3),
      long,
      wide: long * (form === "round" ? 0.36 : form === "lobed" ? 0.36 : 0.25),
      colour: times(tones[Math.floor(r(6) * 6)]!, 0.3 + 0.75 * layer),
      vein: times(light("#f0cf8f"), 0.35 + 0.5 * layer),
      off: 0.2 + 0.5 * r(7),
      form,
      own: r(9),
      bend: 0.7 * (r(5) - 0.5),
    };
  });
  return laid(
    all,
    (x, y) => times(light("#2a1c14"), 1 + 0.5 * cloudy(x * 9, y * 9, 4, 3)),
    [0.08, -0.1],
    [-0.6, 0.75],
    0.55,
  );
}

/** Fronds that hang in from the corners. */
function fronds(): Shader {
  const all: Laid[] = [];
  const put = (x: number, y: number, turn: number, long: number, k: number) =>
    all.push({
      x,
      y,
      turn,
      long,
      wide: long * 0.2,
      colour: mix(light("#2f6b4f"), light("#69a06a"), chance(k, 2)),
      vein: light("#a5c98f"),
      off: 0.8,
      form: "feather",
      own: chance(k, 4),
      bend: 1.1 * (chance(k, 5) - 0.5),
    });
  for (let i = 0; i < 6; i++)
    put(-1.75, 1.12 - 0.12 * i, -0.05 - 0.28 * i + 0.1 * chance(i, 1), 1.25 + 0.4 * chance(i, 9), i);
  for (let i = 0; i < 5; i++) put(1.8, -1.15 + 0.1 * i, Math.PI - 0.12 - 0.3 * i, 1.2 + 0.4 * chance(i, 8), i + 10);
  return laid(all, paper("#f3efe4"), [0.12, -0.16], [-0.5, 0.8], 0.3);
}

export const LEAVES: readonly Scene[] = [
  {
    name: "leaves-thicket",
    shape: "wide",
    alt: "Dense dark green leaves",
    group: "Leaves",
    words: ["plants", "garden", "jungle", "dark", "nature", "green"],
    focus: [0.5, 0.5],
    room: "all",
    draw: thicket,
  },
  {
    name: "leaves-twig",
    shape: "wide",
    alt: "Twigs with round grey-green leaves on rose paper",
    group: "Leaves",
    words: ["plants", "pink", "soft", "wedding", "beauty", "card"],
    focus: [0.35, 0.55],
    room: "right",
    draw: twig,
  },
  {
    name: "leaves-shadow",
    shape: "wide",
    alt: "The shadow of a palm on a sunny wall",
    group: "Leaves",
    words: ["wall", "sun", "summer", "warm", "ground", "plaster"],
    focus: [0.7, 0.5],
    room: "left",
    draw: () => shadows("#ead9c0", 0.7, 5, "feather", 7),
  },
  {
    name: "leaves-fallen",
    shape: "wide",
    alt: "Fallen leaves in red and gold",
    group: "Leaves",
    words: ["autumn", "warm", "forest", "colourful", "nature"],
    focus: [0.5, 0.5],
    room: "all",
    draw: fallen,
  },
  {
    name: "leaves-fronds",
    shape: "wide",
    alt: "Green fronds at the corners of a pale ground",
    group: "Leaves",
    words: ["plants", "bright", "frame", "spa", "summer", "green"],
    focus: [0.5, 0.5],
    room: "middle",
    draw: fronds,
  },
];
