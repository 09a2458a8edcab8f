import { light, mix, times, type Light } from "../draw/colour";
import type { Shader } from "../draw/frame";
import { type Laid } from "../draw/leaf";
import { chance, cloudy, noise, step, within } from "../draw/noise";
import { box, joined, post, solid, turned, type Stuff, type World } from "../draw/solid";

export type Thing = {
  readonly far: (x: number, y: number, z: number) => number;
  readonly stuff: (x: number, y: number, z: number) => Stuff;
  readonly bump?: (x: number, y: number, z: number) => number;
  /** A ball around it, so that it is only measured nearby: x, y, z, radius. */
  readonly about: readonly [number, number, number, number];
};

export type Stage = {
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
export function stage(o: Stage): Shader {
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
export function profile(tall: number, radii: readonly number[]): (h: number) => number {
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

export function pot(
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

export const clay = (hex: string, seed: number, shine = 0.04): ((x: number, y: number, z: number) => Stuff) => {
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
export const glazed = (
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

export const planks = (pale: string, dark: string, wide: number) => {
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
export const plain = (hex: string, amount = 0.03) => {
  const c = light(hex);
  return (x: number, z: number): Light =>
    times(c, 1 + amount * cloudy(x * 3, z * 3, 4, 2) + 0.012 * noise(x * 50, z * 50, 6));
};
export const woven = (hex: string) => {
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

export const MORNING = { from: [-0.85, 0.62, -0.5] as const, light: [1.35, 1.2, 0.96] as Light, soft: 0.1 };
export const SOFT = { from: [-0.7, 0.85, -0.45] as const, light: [1.12, 1.08, 1.0] as Light, soft: 0.3 };

/** Fruit: a ball that is pressed at its ends, with pores, a dimple and a stalk. */
export function orb(
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

export const skin = (
  hex: string,
  other: string,
  seed: number,
  shine = 0.2,
): ((x: number, y: number, z: number) => Stuff) => {
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
export const streaked = (hex: string, other: string, seed: number): ((x: number, y: number, z: number) => Stuff) => {
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

export const slab = (
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
export const disc = (x0: number, y0: number, z0: number, r: number, h: number, hex: string): Thing => {
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
export const arch = (x0: number, z0: number, w: number, h: number, open: number, thick: number, hex: string): Thing => {
  const c = light(hex);
  return {
    far: (x, y, z) => {
      const body = box(x - x0, y - h / 2, z - z0, w, h / 2, thick, 0.02);
      const top = h - w * 0.62 - 0.1;
      const dy = Math.max(0, y - top);
      const hole = Math.hypot(x - x0, dy) - open;
      return Math.max(body, -hole);
    },
    stuff: (x, y, z) => ({
      colour: times(c, 1 + 0.03 * cloudy(x * 4, y * 4 + z * 4, 4, 5) + 0.015 * noise(x * 50, y * 50 + z * 50, 3)),
    }),
    about: [x0, h / 2, z0, Math.hypot(w, h / 2, thick)],
  };
};

export const palm = (x0: number, y0: number): readonly Laid[] =>
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
