import { light, mix, times } from "../draw/colour";
import type { Shader } from "../draw/frame";
import type { Scene } from "../draw/kinds";
import { chance, cloudy, noise, step, within } from "../draw/noise";
import { cornered, relief } from "../draw/relief";
import { ball, solid } from "../draw/solid";

/** How near a place is to a strand that runs along a slant of a stitch, and the twist of the strand. */
function strand(u: number, v: number, side: number): { h: number; twist: number } {
  // A stitch is a loop; its two legs lean towards each other.
  const a = 1.13;
  const x = side * (u - side * 0.235);
  const along = x * Math.cos(a) * -1 + v * Math.sin(a);
  const across = x * Math.sin(a) + v * Math.cos(a) * 1;
  const r = within(0, 1, 1 - (across / 0.27) ** 2);
  const end = step(0.95, 0.55, Math.abs(along));
  return { h: Math.sqrt(r) * end - 0.25 * along, twist: along * 2.1 + across * 5.5 };
}

function stitches(x: number, y: number, size: number): { h: number; twist: number; own: number } {
  const u = x / size;
  const v = y / (size * 0.66);
  let best = { h: -1, twist: 0, own: 0 };
  const i = Math.floor(u);
  for (let j = Math.floor(v) - 1; j <= Math.floor(v) + 1; j++) {
    const lu = u - i - 0.5;
    const lv = v - j - 0.5;
    for (const side of [-1, 1]) {
      const s = strand(lu, lv, side);
      if (s.h > best.h) best = { h: s.h, twist: s.twist, own: chance(i, j, side) };
    }
  }
  return best;
}

function knit(colours: readonly string[], size: number, rows: number, seed: number): Shader {
  const tones = colours.map(light);
  const bent = (x: number, y: number): [number, number] => [
    x + 0.03 * noise(x * 1.5, y * 1.5, seed) + 0.02 * Math.sin(y * 1.7),
    y + 0.05 * noise(x * 1.1, y * 1.1, seed + 1) + 0.03 * Math.sin(x * 1.3),
  ];
  const fuzz = (x: number, y: number) => noise(x * 60 + 2 * noise(x * 20, y * 20, 3), y * 60, 5);
  return cornered(
    relief({
      height: (x, y) => {
        const [bx, by] = bent(x, y);
        const s = stitches(bx, by, size);
        return (
          size * (0.3 * s.h + 0.035 * Math.sin(s.twist * 6.283 * 0.75)) +
          0.0022 * fuzz(x, y) +
          0.05 * cloudy(x * 0.8, y * 0.8, 2, seed + 7)
        );
      },
      colour: (x, y) => {
        const [bx, by] = bent(x, y);
        const s = stitches(bx, by, size);
        const r = Math.floor(by / (size * 0.66) / rows);
        const tone = tones[((r % tones.length) + tones.length) % tones.length]!;
        const fibre = 0.9 + 0.12 * noise(s.twist * 9, s.own * 50 + x * 30, 8) + 0.07 * fuzz(x, y) + 0.1 * (s.own - 0.5);
        return times(mix(times(tone, 0.4), tone, step(-0.2, 0.75, s.h)), fibre);
      },
      from: [-0.55, 0.65, 0.6],
      sun: [1.05, 1, 0.92],
      shade: light("#7d7b82"),
      reach: size * 0.9,
      fine: 0.0016,
    }),
    0.25,
  );
}

/** Pressed felt: short hairs in all directions. */
function felt(colour: string): Shader {
  const c = light(colour);
  const hair = (x: number, y: number) => {
    const a = noise(x * 3, y * 3, 4) * 6;
    const u = x * Math.cos(a) + y * Math.sin(a);
    const v = y * Math.cos(a) - x * Math.sin(a);
    return noise(u * 14, v * 95, 6) + 0.7 * noise(u * 90 + 3, v * 16, 9) + 0.5 * noise(x * 120, y * 120, 2);
  };
  return cornered(
    relief({
      height: (x, y) => 0.0045 * hair(x, y) + 0.06 * cloudy(x * 0.7, y * 0.7, 3, 12),
      colour: (x, y) => times(c, 1 + 0.11 * hair(x, y) + 0.06 * cloudy(x * 2.4, y * 2.4, 3, 22)),
      from: [-0.6, 0.6, 0.65],
      sun: [1.0, 0.98, 0.94],
      shade: light("#84828c"),
      reach: 0.05,
      fine: 0.0022,
    }),
    0.22,
  );
}

/** Balls of yarn upon a table. */
function yarn(): Shader {
  const balls = [
    { x: -0.95, z: 0.1, r: 0.62, tone: "#c8643f", a: 0.4 },
    { x: 0.22, z: -0.35, r: 0.5, tone: "#e4c88f", a: 1.7 },
    { x: 1.02, z: 0.55, r: 0.7, tone: "#46707a", a: 2.6 },
    { x: 0.05, z: 1.25, r: 0.6, tone: "#e9e2d5", a: 0.9 },
  ].map((b) => ({ ...b, light: light(b.tone) }));
  let which = 0;
  const wound = (b: (typeof balls)[number], x: number, y: number, z: number) => {
    const dx = (x - b.x) / b.r;
    const dy = (y - b.r) / b.r;
    const dz = (z - b.z) / b.r;
    let most = -9;
    let turn = 0;
    // Bands of strands wound around different axes; the uppermost is seen.
    for (let i = 0; i < 5; i++) {
      const t = b.a + i * 2.39996;
      const p = 0.35 + 1.25 * chance(i, Math.round(b.a * 10), 4);
      const ax = Math.cos(t) * Math.sin(p);
      const ay = Math.cos(p);
      const az = Math.sin(t) * Math.sin(p);
      const d = dx * ax + dy * ay + dz * az;
      const width = 0.34 + 0.16 * chance(i, Math.round(b.a * 10), 7);
      const cover = width - Math.abs(d) + (i === 0 ? 1.2 : 0);
      const h = Math.abs(Math.sin(d * 24)) ** 0.8;
      const layer = (i === 0 ? 0 : 0.55 + 0.3 * i * 0.25) + h * 0.55;
      if (cover > 0 && layer > most) {
        most = layer;
        turn = d * 24 + i;
      }
    }
    return { h: most, turn };
  };
  return solid({
    far: (x, y, z) => {
      let d = y;
      which = 0;
      for (const [i, b] of balls.entries()) {
        let e = ball(x - b.x, y - b.r, z - b.z, b.r);
        if (e < 0.08) e = (e - 0.035 * wound(b, x, y, z).h + 0.02) * 0.6;
        if (e < d) {
          d = e;
          which = i + 1;
        }
      }
      return d;
    },
    which: () => which,
    stuff: (w, x, y, z) => {
      if (w === 0) return { colour: times(light("#d8c7b2"), 1 + 0.06 * cloudy(x * 2, z * 26, 4, 3)) };
      const b = balls[w - 1]!;
      const o = wound(b, x, y, z);
      return { colour: times(b.light, 0.72 + 0.28 * o.h + 0.1 * noise(o.turn * 3, x * 40 + y * 30, 3)), deep: 0.35 };
    },
    eye: [0, 1.9, -5.2],
    at: [0.05, 0.5, 0.3],
    lens: 3.9,
    sun: { from: [-0.7, 0.8, -0.35], light: [1.25, 1.15, 1.0], soft: 0.22 },
    above: light("#8f98a5"),
    below: light("#6d5f52"),
    behind: (x, y) => mix(light("#cdbba6"), light("#e6d9c8"), within(0, 1, 0.5 + 0.5 * y - 0.2 * x)),
    reach: 14,
  });
}

export const WOOL: readonly Scene[] = [
  {
    name: "knit-cream",
    shape: "wide",
    alt: "Thick knitting in cream wool",
    group: "Wool",
    words: ["winter", "warm", "texture", "clothes", "soft", "ground"],
    focus: [0.5, 0.5],
    room: "all",
    draw: () => knit(["#eae0cd"], 0.21, 99, 3),
  },
  {
    name: "knit-stripes",
    shape: "wide",
    alt: "Knitting with stripes in rust, sand and blue",
    group: "Wool",
    words: ["winter", "warm", "texture", "clothes", "colourful"],
    focus: [0.5, 0.5],
    room: "all",
    draw: () => knit(["#b5532f", "#e0c89b", "#33566b", "#e0c89b"], 0.13, 4, 9),
  },
  {
    name: "felt-moss",
    shape: "wide",
    alt: "Moss green felt",
    group: "Wool",
    words: ["texture", "ground", "craft", "green", "soft"],
    focus: [0.5, 0.5],
    room: "all",
    draw: () => felt("#77804f"),
  },
  {
    name: "yarn-balls",
    shape: "wide",
    alt: "Four balls of yarn on a table",
    group: "Wool",
    words: ["knitting", "craft", "warm", "colourful", "hobby"],
    focus: [0.5, 0.62],
    room: "head",
    draw: yarn,
  },
];
