import { light, mix, times, type Light } from "../draw/colour";
import type { Shader } from "../draw/frame";
import type { Scene } from "../draw/kinds";
import { pastLeaves, type Laid } from "../draw/leaf";
import { chance, cloudy, noise, step, within } from "../draw/noise";
import { windowed } from "../draw/relief";
import { ball, box, joined, post, solid, turned, type Stuff, type World } from "../draw/solid";

type Thing = {
  readonly far: (x: number, y: number, z: number) => number;
  readonly stuff: (x: number, y: number, z: number) => Stuff;
  readonly bump?: (x: number, y: number, z: number) => number;
  /** A ball around it, so that it is only measured nearby: x, y, z, radius. */
  readonly about: readonly [number, number, number, number];
};

type Stage = {
  readonly things: readonly Thing[];
  readonly wall: Light;
  readonly table: (x: number, z: number) => Light;
  /** Where the wall stands; things stand before it, towards smaller z. */
  readonly back: number;
  /** The wall runs into the table in a bow, as in a studio. */
  readonly bow?: number;
  readonly sun: World["sun"];
  readonly above: Light;
  readonly below: Light;
  readonly eye: readonly [number, number, number];
  readonly at: readonly [number, number, number];
  readonly lens: number;
  readonly let?: World["let"];
  readonly tableShine?: number;
};

/** Things upon a table before a wall. */
function stage(o: Stage): Shader {
  let which = 0;
  const bow = o.bow ?? 0;
  return solid({
    far: (x, y, z) => {
      let d = bow > 0 ? joined(y, o.back - z, bow) : Math.min(y, o.back - z);
      which = bow > 0 || y < o.back - z ? 0 : -1;
      for (const [i, t] of o.things.entries()) {
        const [ax, ay, az, r] = t.about;
        const apart = (x - ax) ** 2 + (y - ay) ** 2 + (z - az) ** 2;
        if (apart >= (r + Math.max(0, d)) ** 2) continue;
        if (apart > (r + 0.25) ** 2) {
          d = Math.sqrt(apart) - r;
          which = i + 1;
          continue;
        }
        const e = t.far(x, y, z);
        if (e < d) {
          d = e;
          which = i + 1;
        }
      }
      return d;
    },
    which: () => which,
    stuff: (w, x, y, z) => {
      if (w > 0) return o.things[w - 1]!.stuff(x, y, z);
      if (w === 0 && bow === 0) return { colour: o.table(x, z), shine: o.tableShine ?? 0.03, gloss: 14 };
      const c = bow > 0 ? mix(o.table(x, z), o.wall, step(0, bow, y)) : o.wall;
      return {
        colour: times(c, 1 + 0.03 * cloudy(x * 2.4, (y + z) * 2.4, 4, 3) + 0.012 * noise(x * 40, (y + z) * 40, 7)),
      };
    },
    bump: (w, x, y, z) => (w > 0 ? (o.things[w - 1]!.bump?.(x, y, z) ?? 0) : 0),
    eye: o.eye,
    at: o.at,
    lens: o.lens,
    sun: o.sun,
    above: o.above,
    below: o.below,
    behind: () => o.wall,
    let: o.let,
    reach: 24,
  });
}

/** Smooth curve through radii at even heights. */
function profile(tall: number, radii: readonly number[]): (h: number) => number {
  const p = (k: number) => radii[within(0, radii.length - 1, k)]!;
  // Catmull and Rom's curve, worked out once: it is asked for at every step of every ray.
  const known = Float64Array.from({ length: 402 }, (_, k) => {
    const t = within(0, radii.length - 1.0001, (k / 400) * (radii.length - 1));
    const i = Math.floor(t);
    const f = t - i;
    const [a, b, c, d] = [p(i - 1), p(i), p(i + 1), p(i + 2)];
    return 0.5 * (2 * b + (c - a) * f + (2 * a - 5 * b + 4 * c - d) * f * f + (3 * b - a - 3 * c + d) * f * f * f);
  });
  return (h) => {
    const t = (h / tall) * 400;
    const i = Math.min(400, Math.floor(t));
    return known[i]! + (known[i + 1]! - known[i]!) * (t - i);
  };
}

function pot(
  x0: number,
  z0: number,
  tall: number,
  radii: readonly number[],
  stuff: (x: number, y: number, z: number) => Stuff,
  o: { readonly wall?: number; readonly rings?: number; readonly y?: number } = {},
): Thing {
  const wide = profile(tall, radii);
  const y0 = o.y ?? 0;
  const r = Math.max(...radii);
  return {
    far: (x, y, z) => (turned(x - x0, y - y0, z - z0, tall, wide, o.wall ?? 0.035) - 0.006) * 0.85,
    stuff: (x, y, z) => stuff(x - x0, y - y0, z - z0),
    bump: (x, y, z) =>
      (o.rings ?? 0) * (Math.sin((y - y0) * 70 + 0.6 * noise(x * 3, z * 3, 4)) + 0.8 * noise(x * 22, (y - y0) * 60, 3)),
    about: [x0, y0 + tall / 2, z0, Math.hypot(r, tall / 2) + 0.05],
  };
}

const clay = (hex: string, seed: number, shine = 0.04): ((x: number, y: number, z: number) => Stuff) => {
  const c = light(hex);
  return (x, y, z) => ({
    colour: times(
      c,
      1 +
        0.07 * cloudy(x * 5 + seed, y * 9 + z * 3, 4, seed) +
        0.1 * (noise(x * 60 + z * 30, y * 60, 9) > 0.62 ? -1 : 0),
    ),
    shine,
    gloss: 18,
  });
};
/** A glaze that ends in a line above bare clay. */
const glazed = (
  bare: string,
  glaze: string,
  at: number,
  seed: number,
): ((x: number, y: number, z: number) => Stuff) => {
  const a = light(bare);
  const b = light(glaze);
  return (x, y, z) => {
    const over = step(-0.012, 0.012, y - at - 0.04 * noise(Math.atan2(z, x) * 1.4, seed, 3));
    return {
      colour: mix(
        times(a, 1 + 0.06 * noise(x * 30, y * 40 + z * 20, 3)),
        times(b, 1 + 0.05 * cloudy(x * 4, y * 4 + z * 3, 4, seed)),
        over,
      ),
      shine: 0.05 + 0.4 * over,
      gloss: 20 + 60 * over,
      mirror: 0.05 * over,
    };
  };
};

const planks = (pale: string, dark: string, wide: number) => {
  const a = light(pale);
  const b = light(dark);
  return (x: number, z: number): Light => {
    const k = Math.floor(z / wide);
    const v = z / wide - k;
    const u = x + 7 * chance(k, 3);
    const rings = Math.abs(v - 0.5 - 0.3 * (chance(k, 6) - 0.5)) * 9 + 1.4 * noise(u * 0.5, k * 5 + v, 4) + u * 0.3;
    const late = step(0.4, 0.95, rings - Math.floor(rings));
    const gap = step(0.49, 0.497, Math.abs(v - 0.5));
    return times(
      mix(a, b, within(0, 1, 0.5 * late + 0.25 + 0.22 * cloudy(u * 2, z * 40, 3, 5))),
      (0.9 + 0.2 * chance(k, 8)) * (1 - 0.75 * gap),
    );
  };
};
const plain = (hex: string, amount = 0.03) => {
  const c = light(hex);
  return (x: number, z: number): Light =>
    times(c, 1 + amount * cloudy(x * 3, z * 3, 4, 2) + 0.012 * noise(x * 50, z * 50, 6));
};
const woven = (hex: string) => {
  const c = light(hex);
  return (x: number, z: number): Light =>
    times(
      c,
      1 +
        0.07 * Math.sin(x * 190) * Math.sin(z * 190) +
        0.05 * noise(x * 60, z * 4, 2) +
        0.05 * noise(x * 4, z * 60, 5),
    );
};

const MORNING = { from: [-0.85, 0.62, -0.5] as const, light: [1.35, 1.2, 0.96] as Light, soft: 0.1 };
const SOFT = { from: [-0.7, 0.85, -0.45] as const, light: [1.12, 1.08, 1.0] as Light, soft: 0.3 };

/** Fruit: a ball that is pressed at its ends, with pores, a dimple and a stalk. */
function orb(
  x0: number,
  z0: number,
  r: number,
  o: {
    readonly flat?: number;
    readonly dimple?: number;
    readonly stuff: (x: number, y: number, z: number) => Stuff;
    readonly pores?: number;
    readonly lean?: number;
    readonly y?: number;
    readonly stalk?: number;
    readonly pointed?: number;
  },
): Thing {
  const flat = o.flat ?? 1;
  const lean = o.lean ?? 0;
  const c = Math.cos(lean);
  const s = Math.sin(lean);
  const y0 = o.y ?? r * flat * (1 - 0.04);
  const local = (x: number, y: number, z: number): [number, number, number] => {
    const dx = x - x0;
    const dy = y - y0;
    return [(dx * c - dy * s) / r, (dy * c + dx * s) / r, (z - z0) / r];
  };
  return {
    far: (wx, wy, wz) => {
      const [x, y, z] = local(wx, wy, wz);
      const q = Math.hypot(x, z);
      let e = (Math.hypot(x, y / flat, z) - 1) * Math.min(1, flat) * 0.9;
      if (o.dimple)
        e +=
          o.dimple * Math.exp(-((q / 0.3) ** 2)) * step(-0.2, 0.4, y) +
          0.5 * o.dimple * Math.exp(-((q / 0.25) ** 2)) * step(0.2, -0.4, y);
      if (o.pointed) e -= o.pointed * (Math.exp(-((q / 0.22) ** 2)) * step(0.3, 0.9, Math.abs(y)));
      let d = e * r * 0.85;
      if (o.stalk)
        d = Math.min(d, Math.max(Math.hypot(x - 0.1 * (y - 0.8), z) - 0.035, Math.abs(y - 1.02) - o.stalk) * r * 0.8);
      return d;
    },
    stuff: (wx, wy, wz) => {
      const [x, y, z] = local(wx, wy, wz);
      if (o.stalk && y > 0.7 && Math.hypot(x - 0.1 * (y - 0.8), z) < 0.055 && Math.hypot(x, y / flat, z) > 0.93)
        return { colour: light("#5b4428") };
      return o.stuff(x, y, z);
    },
    bump: (wx, wy, wz) => {
      if (!o.pores) return 0;
      const [x, y, z] = local(wx, wy, wz);
      const a = Math.atan2(z, x);
      return (
        o.pores *
        r *
        Math.min(
          0,
          noise(a * 9 * Math.max(0.3, Math.hypot(x, z)), y * 13, 3) +
            0.6 * noise(a * 17 * Math.max(0.3, Math.hypot(x, z)), y * 25, 8),
        )
      );
    },
    about: [x0, y0, z0, r * Math.max(1.2, flat * 1.35) + 0.03],
  };
}

const skin = (hex: string, other: string, seed: number, shine = 0.2): ((x: number, y: number, z: number) => Stuff) => {
  const a = light(hex);
  const b = light(other);
  return (x, y, z) => ({
    colour: mix(
      a,
      b,
      step(
        -0.25,
        0.6,
        cloudy(x * 1.1 + seed, y * 1.3 + z, 3, seed) + 0.25 * y + 0.1 * noise(Math.atan2(z, x) * 12, y * 1.2, seed + 2),
      ),
    ),
    shine,
    gloss: 26,
    mirror: 0.02,
    deep: 0.25,
  });
};
/** Streaks from the stalk downwards, as on an apple. */
const streaked = (hex: string, other: string, seed: number): ((x: number, y: number, z: number) => Stuff) => {
  const a = light(hex);
  const b = light(other);
  return (x, y, z) => {
    const turn = Math.atan2(z, x);
    const s =
      0.6 * noise(turn * 9, y * 1.3, seed) +
      0.3 * noise(turn * 23, y * 2, seed + 1) +
      0.9 * noise(turn * 0.6 + seed, y * 0.8, seed + 3);
    const dots = noise(turn * 26, y * 26, seed + 5) > 0.66 ? 0.12 : 0;
    return {
      colour: mix(mix(a, b, step(-0.5, 0.5, s)), [0.9, 0.8, 0.6], dots),
      shine: 0.3,
      gloss: 42,
      mirror: 0.03,
      deep: 0.2,
    };
  };
};

const slab = (
  x0: number,
  y0: number,
  z0: number,
  w: number,
  h: number,
  d: number,
  hex: string,
  round = 0.02,
): Thing => {
  const c = light(hex);
  return {
    far: (x, y, z) => box(x - x0, y - y0, z - z0, w, h, d, round),
    stuff: (x, y, z) => ({
      colour: times(c, 1 + 0.03 * cloudy(x * 4, y * 4 + z * 4, 4, 5) + 0.015 * noise(x * 50, y * 50 + z * 50, 3)),
    }),
    about: [x0, y0, z0, Math.hypot(w, h, d)],
  };
};
const disc = (x0: number, y0: number, z0: number, r: number, h: number, hex: string): Thing => {
  const c = light(hex);
  return {
    far: (x, y, z) => post(x - x0, y - y0, z - z0, r, h, 0.015),
    stuff: (x, y, z) => ({
      colour: times(c, 1 + 0.03 * cloudy(x * 4, y * 4 + z * 4, 4, 5) + 0.015 * noise(x * 50, y * 50 + z * 50, 3)),
    }),
    about: [x0, y0, z0, Math.hypot(r, h)],
  };
};
/** A wall with an arched opening. */
const arch = (x0: number, z0: number, w: number, h: number, open: number, thick: number, hex: string): Thing => {
  const c = light(hex);
  return {
    far: (x, y, z) => {
      const body = box(x - x0, y - h / 2, z - z0, w, h / 2, thick, 0.02);
      const top = h - w * 0.62 - 0.1;
      const dy = Math.max(0, y - top);
      const hole = Math.hypot(x - x0, dy) - open;
      return Math.max(body, -hole + 0);
    },
    stuff: (x, y, z) => ({
      colour: times(c, 1 + 0.03 * cloudy(x * 4, y * 4 + z * 4, 4, 5) + 0.015 * noise(x * 50, y * 50 + z * 50, 3)),
    }),
    about: [x0, h / 2, z0, Math.hypot(w, h / 2, thick)],
  };
};

const palm = (x0: number, y0: number): readonly Laid[] =>
  Array.from({ length: 6 }, (_, i) => ({
    x: x0,
    y: y0,
    turn: Math.PI * 0.86 + 0.26 * i,
    long: 2.1,
    wide: 0.42,
    colour: [0, 0, 0] as Light,
    vein: [0, 0, 0] as Light,
    off: 1,
    form: "feather" as const,
    own: i / 6,
    bend: 0.5 * (i - 2.5) * 0.4,
  }));

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
            far: (x, y, z) => {
              const a = Math.hypot(x + 0.21, y - 0.25) - 0.13;
              return (
                Math.hypot(Math.max(-x - 0.21 > -0.2 ? a : a, -9), z + 0.35) * 0 +
                (Math.hypot(a, z + 0.35) - 0.033) * 0.9
              );
            },
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
