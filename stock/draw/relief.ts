import { plus, times, through, type Light } from "./colour";
import type { Shader } from "./frame";
import { step, within } from "./noise";

export type Relief = {
  /** How far the surface stands out. */
  readonly height: (x: number, y: number) => number;
  readonly colour: (x: number, y: number, h: number) => Light;
  /** Where the light comes from: across, up, towards us. */
  readonly from: readonly [number, number, number];
  readonly sun: Light;
  readonly shade: Light;
  /** How much it shines, and how narrowly. */
  readonly shine?: number | undefined;
  readonly gloss?: number | undefined;
  /** How far shadows are looked for; 0 for none. */
  readonly reach?: number;
  /** How finely the slope is measured. */
  readonly fine?: number;
  /** How much of the sun comes through to a place (a window, leaves before it). */
  readonly let?: (x: number, y: number) => number;
};

/** A flat thing with a relief, lit from one side: cloth, paper, wood, stone. */
export function relief(what: Relief): Shader {
  const { height, fine = 0.0015, reach = 0, shine = 0, gloss = 24 } = what;
  const size = Math.hypot(...what.from);
  const [lx, ly, lz] = what.from.map((v) => v / size) as [number, number, number];
  const flat = Math.hypot(lx, ly) || 1;
  return (x, y) => {
    const h = height(x, y);
    const gx = (height(x + fine, y) - h) / fine;
    const gy = (height(x, y + fine) - h) / fine;
    const long = Math.hypot(gx, gy, 1);
    const nx = -gx / long;
    const ny = -gy / long;
    const nz = 1 / long;
    let sun = within(0, 1, nx * lx + ny * ly + nz * lz);
    let open = 1;
    if (reach > 0) {
      for (let i = 1; i <= 9; i++) {
        const d = (reach * i * i) / 81;
        const over = height(x + (lx / flat) * d, y + (ly / flat) * d) - h - (d * lz) / flat;
        open = Math.min(open, 1 - over / (0.012 + d * 0.22));
      }
      open = within(0, 1, open);
      sun *= open;
    }
    if (what.let) sun *= what.let(x, y);
    const base = what.colour(x, y, h);
    const lit = plus(times(what.sun, sun), what.shade, 0.55 + 0.45 * nz * (0.6 + 0.4 * open));
    let c = through(base, lit);
    if (shine > 0) {
      const hz = lz + 1;
      const hl = Math.hypot(lx, ly, hz);
      const glance = within(0, 1, (nx * lx + ny * ly + nz * hz) / hl) ** gloss;
      c = plus(c, what.sun, shine * glance * (sun > 0 ? open : 0));
    }
    return c;
  };
}

/** Darker towards the corners, as through a lens. */
export const cornered =
  (shade: Shader, strength: number, aspect = 1.5): Shader =>
  (x, y) =>
    times(shade(x, y), 1 - strength * step(0.5, 1.5, Math.hypot(x / aspect, y)));

/** The light of a window with bars upon a wall: how much of it comes to a place. */
export const windowed =
  (
    at: readonly [number, number],
    size: readonly [number, number],
    panes: readonly [number, number],
    soft: number,
    lean = 0.25,
  ) =>
  (x: number, y: number): number => {
    const u = (x - at[0] - (y - at[1]) * lean) / size[0];
    const v = (y - at[1] + (x - at[0]) * 0.12) / size[1];
    const s = soft / size[0];
    let open = step(1 + s, 1 - s, Math.abs(u)) * step(1 + s, 1 - s, Math.abs(v));
    const bar = (t: number, n: number) => {
      const c = ((t + 1) / 2) * n;
      const d = Math.abs(c - Math.round(c));
      return Math.round(c) <= 0 || Math.round(c) >= n ? 1 : step(0.02, 0.02 + s * n * 0.9, d - 0.015);
    };
    open *= bar(u, panes[0]) * bar(v, panes[1]);
    return open;
  };
