import { along, light, mix, times, type Light } from "../draw/colour";
import type { Shader } from "../draw/frame";
import type { Scene } from "../draw/kinds";
import { chance, cloudy, noise, step, within } from "../draw/noise";
import { cornered, relief } from "../draw/relief";

type Boards = {
  readonly pale: string;
  readonly dark: string;
  readonly line: string;
  readonly wide: number;
  readonly seed: number;
  readonly wear?: number;
  readonly white?: string;
  readonly knots?: number;
  readonly shine?: number;
  readonly sun?: Light;
};

/** The rings of a tree, cut lengthwise: arches in the middle of a board, straight lines towards its sides. */
function grainAt(u: number, v: number, board: number, seed: number, knots: number) {
  const middle = 0.5 + 0.6 * (chance(board, seed) - 0.5);
  let a = (v - middle) * 1.25;
  const long = u * 0.32 + chance(board, seed, 3) * 20;
  let lift = 0;
  if (knots > 0) {
    const cellAt = Math.floor(long * 1.1);
    for (let i = cellAt - 1; i <= cellAt + 1; i++) {
      if (chance(i, board, seed + 50) > knots) continue;
      const kx = (i + 0.5 + 0.5 * (chance(i, board, seed + 51) - 0.5)) / 1.1;
      const ky = 0.25 + 0.5 * chance(i, board, seed + 52);
      const dx = (long - kx) * 4.6;
      const dy = v - ky;
      const d = Math.hypot(dx, dy * 1.25);
      // The lines give way around a knot.
      a += (dy > 0 ? 1 : -1) * 0.16 * Math.exp(-d * d * 16);
      lift = Math.max(lift, step(0.15, 0.06, d));
    }
  }
  const bend =
    0.24 * noise(long * 1.4, board * 7 + v * 0.4, seed) + 0.06 * cloudy(long * 4, v * 2 + board * 3, 3, seed + 1);
  const r = Math.sqrt(a * a + 0.02) * 7 + long * 0.9 * (0.5 + chance(board, seed, 4)) + bend * 3;
  const ring = r - Math.floor(r);
  const late = step(0.35, 0.92, ring) * step(1, 0.95, ring);
  return { late, lift };
}

function boards(o: Boards): Shader {
  const pale = light(o.pale);
  const dark = light(o.dark);
  const line = light(o.line);
  const white = o.white ? light(o.white) : null;
  const at = (x: number, y: number) => {
    const v = (y + 1) / o.wide;
    const board = Math.floor(v);
    // Each board is shifted, so that their ends don't meet.
    return { board, v: v - board, u: x + 9 * chance(board, o.seed, 9) };
  };
  const gap = (v: number) => step(0.5 - 0.011 / o.wide, 0.5 - 0.002 / o.wide, Math.abs(v - 0.5));
  return cornered(
    relief({
      height: (x, y) => {
        const b = at(x, y);
        const g = grainAt(b.u, b.v, b.board, o.seed, o.knots ?? 0);
        const pore = Math.max(0, noise(b.u * 16, y * 260, 3)) ** 2;
        const round = step(0.5, 0.46, Math.abs(b.v - 0.5));
        return (
          0.006 * round - 0.03 * gap(b.v) - 0.0016 * g.late - 0.0016 * pore + 0.002 * (chance(b.board, o.seed, 6) - 0.5)
        );
      },
      colour: (x, y) => {
        const b = at(x, y);
        const g = grainAt(b.u, b.v, b.board, o.seed, o.knots ?? 0);
        const fibre = cloudy(b.u * 5, y * 110, 3, 5);
        let c = mix(pale, dark, within(0, 1, 0.62 * g.late + 0.25 * fibre + 0.22));
        c = mix(c, line, within(0, 1, g.lift * 0.85 + 0.35 * Math.max(0, noise(b.u * 16, y * 260, 3))));
        c = times(c, 0.84 + 0.34 * chance(b.board, o.seed, 7));
        if (white) {
          const left = step(-0.25, 0.35, cloudy(b.u * 1.6, y * 9, 4, 31) + 0.5 * fibre - 0.6 * g.late + (o.wear ?? 0));
          c = mix(c, times(white, 0.95 + 0.06 * fibre), left * 0.93);
        }
        return mix(c, times(line, 0.25), gap(b.v));
      },
      from: [-0.55, 0.65, 0.75],
      sun: o.sun ?? [1.06, 1, 0.9],
      shade: light("#75706c"),
      reach: 0.05,
      fine: 0.0011,
      shine: o.shine ?? 0.06,
      gloss: 16,
    }),
    0.3,
  );
}

/** The end of a trunk, with its rings and the cracks that run to its heart. */
function rings(): Shader {
  const stops: readonly (readonly [number, Light])[] = [
    [0, light("#8a5a33")],
    [0.3, light("#c99a63")],
    [0.8, light("#e2bd86")],
    [1, light("#d3a66c")],
  ];
  const place = (x: number, y: number) => {
    const dx = x + 0.32;
    const dy = y + 0.12;
    const angle = Math.atan2(dy, dx);
    const r =
      Math.hypot(dx, dy) *
      (1 + 0.05 * Math.sin(angle * 2 + 1) + 0.05 * noise(Math.cos(angle) * 1.7, Math.sin(angle) * 1.7, 3));
    const grown =
      r * 25 +
      1.2 * step(0, 0.7, r) * noise(Math.cos(angle) * 2.4 + r, Math.sin(angle) * 2.4, 6) +
      2.2 * noise(r * 5, 1, 8);
    const crackAngle = Math.abs(((angle - 0.9 + Math.PI * 3) % (Math.PI * 2)) - Math.PI);
    const wobble = 0.03 * cloudy(r * 5, 4, 3, 12);
    const main = step(0.024 * r + 0.003, 0.004 * r, Math.abs(crackAngle + wobble) * r) * step(0.04, 0.25, r);
    const rays = step(0.35, 0.9, noise(angle * 60, r * 1.7, 21)) * 0.25;
    return { r, ring: grown - Math.floor(grown), main, rays, angle };
  };
  return relief({
    height: (x, y) => {
      const p = place(x, y);
      return -0.05 * p.main - 0.0035 * step(0.4, 0.95, p.ring) + 0.0012 * noise(x * 80, y * 80, 2);
    },
    colour: (x, y) => {
      const p = place(x, y);
      const base = along(stops, within(0, 1, 1 - p.r * 0.55 + 0.1 * noise(x * 3, y * 3, 4)));
      const late = step(0.3, 0.95, p.ring) * step(1, 0.96, p.ring);
      return times(
        base,
        (1 - 0.42 * late - 0.3 * p.rays) * (1 - 0.85 * p.main) * (1 + 0.06 * noise(x * 60, y * 60, 9)),
      );
    },
    from: [-0.6, 0.6, 0.7],
    sun: [1.04, 0.98, 0.88],
    shade: light("#77706a"),
    reach: 0.06,
  });
}

export const WOOD: readonly Scene[] = [
  {
    name: "wood-oak",
    shape: "wide",
    alt: "Boards of pale oak",
    group: "Wood",
    words: ["table", "floor", "ground", "warm", "texture", "natural"],
    focus: [0.5, 0.5],
    room: "all",
    draw: () => boards({ pale: "#d6b084", dark: "#a97a4b", line: "#6d4526", wide: 0.52, seed: 3 }),
  },
  {
    name: "wood-walnut",
    shape: "wide",
    alt: "Dark walnut, oiled",
    group: "Wood",
    words: ["table", "dark", "ground", "brown", "texture", "natural"],
    focus: [0.5, 0.5],
    room: "all",
    draw: () =>
      boards({ pale: "#7d553a", dark: "#452a1b", line: "#24140c", wide: 0.78, seed: 8, knots: 0.3, shine: 0.12 }),
  },
  {
    name: "wood-white",
    shape: "wide",
    alt: "Old boards with worn white paint",
    group: "Wood",
    words: ["wall", "painted", "beach", "ground", "bright", "texture"],
    focus: [0.5, 0.5],
    room: "all",
    draw: () =>
      boards({
        pale: "#a08a70",
        dark: "#6d5a46",
        line: "#3d3126",
        wide: 0.36,
        seed: 14,
        white: "#eceae3",
        wear: 0.34,
        knots: 0.25,
        shine: 0,
      }),
  },
  {
    name: "wood-rings",
    shape: "square",
    alt: "The rings of a felled tree",
    group: "Wood",
    words: ["trunk", "age", "craft", "natural", "texture"],
    focus: [0.34, 0.56],
    room: "all",
    draw: rings,
  },
];
