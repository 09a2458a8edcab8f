import { light, mix, times, type Light } from "../../stock/draw/colour";
import { cloudy, noise, step, within } from "../../stock/draw/noise";
import { box, joined, post, turned, type Stuff } from "../../stock/draw/solid";
import { pot, profile, type Thing } from "../../stock/scenes/stage";
import type { Sheet } from "./sheet";

// Goods as solid things. Everybody looks at them from smaller z; x runs to the right, y upwards.

type Place = readonly [x: number, y: number, z: number];
/** Where a thing is, and how it is turned: about the upright, then leaning back, then to its side; in radians. */
export type Pose = { readonly at: Place; readonly yaw?: number; readonly lean?: number; readonly roll?: number };

/** A place as it is seen from a thing. */
function from({ at, yaw = 0, lean = 0, roll = 0 }: Pose): (x: number, y: number, z: number) => Place {
  const [cy, sy, cl, sl, cr, sr] = [yaw, lean, roll].flatMap((a) => [Math.cos(a), Math.sin(a)]) as [
    number,
    number,
    number,
    number,
    number,
    number,
  ];
  return (x, y, z) => {
    const dx = x - at[0];
    const dy = y - at[1];
    const dz = z - at[2];
    const ax = cy * dx - sy * dz;
    const az = sy * dx + cy * dz;
    const by = cl * dy + sl * az;
    const bz = cl * az - sl * dy;
    return [cr * ax + sr * by, cr * by - sr * ax, bz];
  };
}

const facing = (x: number, z: number) => Math.atan2(x, -z);

/** Fruit in glass: clear to the light, with pieces in it. */
const preserve = (hex: string, bits: string, seed: number): ((x: number, y: number, z: number) => Stuff) => {
  const a = light(hex);
  const b = light(bits);
  return (x, y, z) => {
    const turn = facing(x, z);
    const lumps = cloudy(turn * 2.6 + seed, y * 5.2, 4, seed);
    // Light gathers on the side away from the lamp, as in any round glass that is full.
    const gathered = within(0, 1, 0.5 + 0.5 * Math.sin(turn - 0.5));
    return {
      colour: times(mix(a, b, step(0.02, 0.34, lumps)), 0.72 + 0.75 * gathered * gathered),
      shine: 1.1,
      gloss: 130,
      mirror: 0.13,
      deep: 0.5,
    };
  };
};

export type Jar = {
  readonly at: readonly [x: number, z: number];
  readonly tall?: number;
  readonly wide?: number;
  readonly fill: string;
  readonly bits: string;
  readonly label: Sheet;
  readonly lid: string;
  /** A cloth tied over it: two colours. */
  readonly cloth?: readonly [string, string];
  readonly turn?: number;
};

/** A jar with a label and a lid. */
export function jar({ at: [x0, z0], tall = 1.32, wide = 0.52, fill, bits, label, lid, cloth, turn = 0 }: Jar): Thing {
  const body = tall * 0.84;
  const shape = profile(body, [wide * 0.93, wide, wide, wide, wide, wide, wide * 0.98, wide * 0.84, wide * 0.8]);
  const inside = preserve(fill, bits, x0 * 7 + z0 + 3);
  const metal = light(lid);
  const [plain, check] = (cloth ?? ["#ffffff", "#ffffff"]).map(light) as [Light, Light];
  const empty = light("#dfe5df");
  const cap = wide * 0.86;
  const frill = (x: number, y: number, z: number) => {
    const a = Math.atan2(z, x);
    const down = within(0, 1, (tall + 0.02 - y) / 0.3);
    const waves = down * down * 0.055 * Math.sin(a * 13 + 1.5 * Math.sin(a * 3));
    const far = Math.hypot(x, z);
    const side = Math.max(far - (cap + 0.03 + 0.17 * down * down + waves), y - tall - 0.03);
    return Math.max(side, tall - 0.27 - y + waves, cap - 0.03 - far + (y > tall ? -1 : 0)) * 0.5;
  };
  return {
    far: (wx, y, wz) => {
      const x = wx - x0;
      const z = wz - z0;
      const glass = (turned(x, y, z, body, shape, 0) - 0.008) * 0.9;
      const top = cloth
        ? Math.min(post(x, y - body - 0.07, z, cap, tall - body - 0.08, 0.03), frill(x, y, z))
        : post(x, y - (body + tall) / 2, z, cap, (tall - body) / 2, 0.025);
      return Math.min(glass, top);
    },
    stuff: (wx, y, wz) => {
      const x = wx - x0;
      const z = wz - z0;
      const far = Math.hypot(x, z);
      if (y > body + 0.006 || (cloth && y > tall - 0.3 && far > wide * 0.86 && frill(x, y, z) < 0.012)) {
        if (!cloth) {
          const ribs = y > body + 0.04 && y < tall - 0.03 ? 0.9 + 0.1 * Math.sin(facing(x, z) * 90) : 1;
          return { colour: times(metal, ribs), shine: 0.6, gloss: 50, mirror: 0.16 };
        }
        // Checks run over the top and down the sides alike.
        const u = y > tall - 0.01 ? x * 11 : facing(x, z) * 5.5;
        const v = y > tall - 0.01 ? z * 11 : y * 11;
        const share = (Math.sin(u * 2) > 0 ? 0.5 : 0) + (Math.sin(v * 2) > 0 ? 0.5 : 0);
        return { colour: times(mix(plain, check, share), 1 + 0.08 * noise(x * 60, y * 60 + z * 60, 4)) };
      }
      const a = facing(x, z) - turn;
      const foot = body * 0.13;
      const head = body * 0.74;
      if (Math.abs(a) < 0.95 && y > foot && y < head)
        return {
          colour: times(label(a / 1.9 + 0.5, (head - y) / (head - foot)), 1 + 0.02 * noise(x * 70, y * 70, 3)),
          shine: 0.04,
          gloss: 16,
        };
      if (y > body * 0.87) return { colour: empty, shine: 1, gloss: 110, mirror: 0.3 };
      return inside(x, y, z);
    },
    about: [x0, tall / 2, z0, Math.hypot(wide + 0.12, tall / 2) + 0.06],
  };
}

export type Book = Pose & {
  /** Half of its width, height and thickness. */
  readonly size: readonly [number, number, number];
  readonly cover: Sheet;
  readonly spine: string;
  readonly paper?: string;
  readonly band?: string;
  /** Bound with a strip of another cloth, which shows so far onto the cover. */
  readonly quarter?: number;
};

/** A book or a pad of paper: two boards, a spine and leaves between them. */
export function book({ size: [w, h, d], cover, spine, paper = "#f3ecdc", band, quarter = 0, ...pose }: Book): Thing {
  const near = from(pose);
  const board = Math.min(0.028, d * 0.3);
  const leaves = light(paper);
  const back = light(spine);
  const strap = band ? light(band) : leaves;
  const strip = w * 0.74;
  const outside = (x: number, y: number, z: number) => {
    const boards = box(x, y, Math.abs(z) - d + board / 2, w, h, board / 2, 0.008);
    return Math.min(boards, box(x + w - board / 2, y, z, board / 2, h, d, 0.008));
  };
  const leavesAt = (x: number, y: number, z: number) => box(x - 0.012, y, z, w - 0.04, h - 0.035, d - board, 0.004);
  const strapped = (x: number, y: number, z: number) =>
    band ? box(x - strip, y, z, 0.035, h + 0.012, d + 0.012, 0.01) : 9;
  return {
    far: (wx, wy, wz) => {
      const [x, y, z] = near(wx, wy, wz);
      return Math.min(outside(x, y, z), leavesAt(x, y, z), strapped(x, y, z)) * 0.9;
    },
    stuff: (wx, wy, wz) => {
      const [x, y, z] = near(wx, wy, wz);
      const cloth = outside(x, y, z);
      if (strapped(x, y, z) < cloth) return { colour: strap, shine: 0.1, gloss: 20 };
      if (leavesAt(x, y, z) < cloth) {
        const line = noise(3, z * 260, 5) * 0.5 + noise(x * 3 + y * 3, z * 420, 8) * 0.5;
        return { colour: times(leaves, 0.93 + 0.09 * line) };
      }
      const weave = 1 + 0.03 * Math.sin(x * 340) * Math.sin(y * 340) + 0.03 * noise(x * 60, y * 60, 3);
      if (Math.abs(z) < d - board * 1.05 || x < -w + quarter)
        return { colour: times(back, weave), shine: 0.06, gloss: 18 };
      return { colour: times(cover((x / w + 1) / 2, (1 - y / h) / 2), weave), shine: 0.07, gloss: 22 };
    },
    about: [...pose.at, Math.hypot(w, h, d) + 0.05],
  };
}

export type Packet = Pose & {
  readonly size: readonly [number, number];
  readonly front: Sheet;
  readonly paper?: string;
};

/** A paper packet that is full: thin at its edges, round in its middle, with a fold above. */
export function packet({ size: [w, h], front, paper = "#e9dfc9", ...pose }: Packet): Thing {
  const near = from(pose);
  const bare = light(paper);
  return {
    far: (wx, wy, wz) => {
      const [x, y, z] = near(wx, wy, wz);
      const around = box(x, y, z, w, h, 0.1, 0.01);
      if (around > 0.06) return around * 0.95;
      const u = within(0, 1, 1 - (x / w) ** 2);
      const v = within(0, 1, 1 - (y / h) ** 2);
      const thick =
        0.012 + 0.075 * Math.sqrt(u * v) * (0.85 + 0.15 * noise(x * 3, y * 2.4, 6)) * step(0.92, 0.5, y / h);
      return box(x, y, z, w, h, thick, 0.01) * 0.62;
    },
    bump: (wx, wy, wz) => {
      const [x, y] = near(wx, wy, wz);
      // Where it is glued and folded.
      return -0.006 * step(0.02, 0, Math.abs(y - h * 0.83)) + 0.0012 * noise(x * 14, y * 9, 4);
    },
    stuff: (wx, wy, wz) => {
      const [x, y, z] = near(wx, wy, wz);
      const grain = 1 + 0.025 * noise(x * 55, y * 55, 3);
      return { colour: times(z < 0 ? front((x / w + 1) / 2, (1 - y / h) / 2) : bare, grain), shine: 0.05, gloss: 16 };
    },
    about: [...pose.at, Math.hypot(w, h, 0.1) + 0.05],
  };
}

/** A handle: part of a ring, on the side of a pot. */
function handle(
  x0: number,
  y0: number,
  z0: number,
  big: number,
  small: number,
  stuff: Thing["stuff"],
  wide = 1,
): Thing {
  return {
    far: (x, y, z) => {
      const dx = (x - x0) / wide;
      return (Math.hypot(Math.hypot(dx, y - y0) - big, z - z0) - small) * 0.8;
    },
    stuff,
    about: [x0, y0, z0, (big + small) * Math.max(1, wide) + 0.03],
  };
}

type Glaze = Thing["stuff"];

/** A cup with a handle on its right. */
export function cup(x0: number, z0: number, tall: number, radii: readonly number[], glaze: Glaze): readonly Thing[] {
  const wide = Math.max(...radii);
  return [
    pot(x0, z0, tall, radii, glaze, { wall: 0.04, rings: 0.0011 }),
    handle(x0 + wide + 0.05, tall * 0.54, z0, tall * 0.25, tall * 0.055, (x, y, z) => glaze(x - x0, y, z - z0), 0.85),
  ];
}

/** A vessel with a handle and a lip to pour from. */
export function jug(x0: number, z0: number, tall: number, radii: readonly number[], glaze: Glaze): readonly Thing[] {
  const wide = profile(tall, radii);
  const most = Math.max(...radii);
  return [
    {
      far: (x, y, z) => {
        const dx = x - x0;
        const dz = z - z0;
        const up = step(tall * 0.72, tall, y);
        // The lip is drawn out to the left, and a little upwards.
        const lip = up * 0.24 * most * within(0, 1, -dx / most) * step(0.5, 0, Math.abs(dz) / most);
        const inward = dx < 0 ? dx + lip : dx;
        return (turned(inward, y - lip * 0.2, dz, tall, wide, 0.04) - 0.006) * 0.72;
      },
      bump: (x, y) => 0.001 * Math.sin(y * 70 + 0.5 * noise(x * 3, y * 3, 4)),
      stuff: (x, y, z) => glaze(x - x0, y, z - z0),
      about: [x0, tall / 2, z0, Math.hypot(most * 1.35, tall / 2) + 0.06],
    },
    handle(x0 + most * 0.86, tall * 0.6, z0, tall * 0.27, tall * 0.045, (x, y, z) => glaze(x - x0, y, z - z0), 0.9),
  ];
}

/** A knob to lift a lid by. */
export const knob = (x0: number, y0: number, z0: number, size: number, stuff: Thing["stuff"]): Thing => ({
  far: (x, y, z) =>
    joined(Math.hypot(x - x0, y - y0 - size, z - z0) - size, post(x - x0, y - y0, z - z0, size * 0.6, size), 0.04) *
    0.9,
  stuff,
  about: [x0, y0 + size * 0.6, z0, size * 2],
});

/** A round pencil that lies on a table, from one place to another. */
export function pencil(a: readonly [number, number], b: readonly [number, number], y: number, hex: string): Thing {
  const colour = light(hex);
  const wood = light("#e3c193");
  const lead = light("#3a3a3c");
  const long = Math.hypot(b[0] - a[0], b[1] - a[1]);
  const near = from({ at: [a[0], y, a[1]], yaw: Math.atan2(b[1] - a[1], b[0] - a[0]) * -1 });
  const far = (x: number, py: number, z: number) => {
    const thin = 0.032 * within(0.12, 1, (long - x) / 0.16);
    const [qy, qz] = [Math.abs(py), Math.abs(z)];
    const six = Math.max(qy, qy * 0.5 + qz * 0.866) - thin * 0.92;
    return Math.max(six, -x, x - long) * 0.8;
  };
  return {
    far: (wx, wy, wz) => far(...near(wx, wy, wz)),
    stuff: (wx, wy, wz) => {
      const [x] = near(wx, wy, wz);
      const left = long - x;
      return left > 0.16 ? { colour, shine: 0.35, gloss: 40 } : { colour: left > 0.05 ? wood : lead };
    },
    about: [(a[0] + b[0]) / 2, y, (a[1] + b[1]) / 2, long / 2 + 0.06],
  };
}

/** Seeds that lie strewn: small, pressed balls. */
export const seed = (x0: number, z0: number, size: number, turn: number, hex: string, long = 1.5): Thing => {
  const colour = light(hex);
  const near = from({ at: [x0, size * 0.55, z0], yaw: turn });
  return {
    far: (wx, wy, wz) => {
      const [x, y, z] = near(wx, wy, wz);
      return (Math.hypot(x / long, y / 0.62, z) - size) * 0.6;
    },
    stuff: (wx, wy, wz) => {
      const [x, y, z] = near(wx, wy, wz);
      return { colour: times(colour, 0.9 + 0.25 * noise(x * 40 + x0 * 9, y * 40 + z * 40, 3)), shine: 0.2, gloss: 30 };
    },
    about: [x0, size * 0.55, z0, size * Math.max(1, long) + 0.02],
  };
};
