import { mix, plus, times, type Light } from "./colour";
import { chance, step, within } from "./noise";

/** A leaf or another flat shape that lies somewhere in the picture. */
export type Laid = {
  readonly x: number;
  readonly y: number;
  readonly turn: number;
  readonly long: number;
  readonly wide: number;
  readonly colour: Light;
  readonly vein: Light;
  /** How far it stands off what is under it. */
  readonly off: number;
  readonly form: "leaf" | "round" | "blade" | "lobed" | "feather";
  readonly own: number;
  /** How much it bends to one side along its length. */
  readonly bend?: number;
};

/** How wide a leaf is at a place along it, 0 foot to 1 tip; half its width as a share of `wide`. */
function outline(form: Laid["form"], t: number, own: number): number {
  if (t <= 0 || t >= 1) return 0;
  if (form === "round") return Math.sqrt(Math.max(0, 1 - (2 * t - 1) ** 2)) * (0.94 + 0.06 * Math.sin(own * 40));
  if (form === "blade") return Math.min(1, t * 5) * (1 - t) ** 0.55;
  const base = Math.sin(Math.PI * t ** 0.72) ** 0.9;
  if (form === "lobed")
    return base * (0.72 + 0.28 * Math.cos(t * 26) * step(1, 0.75, t)) * (1 - 0.12 * Math.sin(t * 90) ** 2);
  return base;
}

/** Where a place of the picture is on the leaf: along it, to its side, and how far within its edge (below 0: outside). */
function onLeaf(l: Laid, x: number, y: number) {
  const c = Math.cos(l.turn);
  const s = Math.sin(l.turn);
  const dx = x - l.x;
  const dy = y - l.y;
  const t = (dx * c + dy * s) / l.long;
  const bend = (l.bend ?? 0) * (t - t * t) * 4 * l.wide;
  const side = (dy * c - dx * s - bend) / l.wide;
  if (t < 0 || t > 1) return { t, side, in: -Math.hypot(Math.max(-t, t - 1) * l.long, side * l.wide) };
  if (l.form !== "feather") return { t, side, in: (outline(l.form, t, l.own) - Math.abs(side)) * l.wide };
  // A frond: many small leaves in two rows that lean towards the tip.
  const rows = 15;
  const frame = Math.sin(Math.PI * within(0, 1, t) ** 0.6) ** 0.85;
  const lean = t - Math.abs(side) * 0.2 * (l.wide / l.long) * 3.2;
  const k = lean * rows + (side > 0 ? 0.5 : 0);
  const d = Math.abs(k - Math.floor(k) - 0.5) * 2;
  const long = within(0, 1, Math.abs(side) / Math.max(0.01, frame));
  const w = 0.86 * Math.sqrt(Math.max(0, 1 - long ** 1.7)) * (frame > 0.02 ? 1 : 0);
  const small = ((w - d) * l.long) / rows / 2;
  const stem = 0.006 - Math.abs(side) * l.wide;
  return { t, side, in: Math.max(Math.min(small, (frame - Math.abs(side)) * l.wide), stem) };
}

const near = (l: Laid, x: number, y: number, more: number) => {
  const r = l.long / 2 + l.wide * 0.6 + more;
  const mx = l.x + (Math.cos(l.turn) * l.long) / 2;
  const my = l.y + (Math.sin(l.turn) * l.long) / 2;
  return (x - mx) ** 2 + (y - my) ** 2 < r * r;
};

/** How much light comes past the leaves to a place behind them (0 to 1), with an edge as soft as they are far. */
export function pastLeaves(all: readonly Laid[], x: number, y: number, soft: number): number {
  let open = 1;
  for (const l of all) {
    if (!near(l, x, y, soft * 2)) continue;
    const inside = onLeaf(l, x, y).in;
    open = Math.min(open, step(soft, -soft, inside));
  }
  return open;
}

/** Paints leaves upon a ground, those of the end of the list uppermost, each with its shadow. `fall` is where shadows go. */
export function laid(
  all: readonly Laid[],
  ground: (x: number, y: number) => Light,
  fall: readonly [number, number],
  sun: readonly [number, number],
  strength = 0.55,
): (x: number, y: number) => Light {
  return (x, y) => {
    let dark = 1;
    for (let i = all.length - 1; i >= 0; i--) {
      const l = all[i]!;
      if (!near(l, x, y, 0.2)) continue;
      const p = onLeaf(l, x, y);
      if (p.in > 0) return times(leafLight(l, p, sun), dark);
      const sx = x - fall[0] * l.off;
      const sy = y - fall[1] * l.off;
      const soft = 0.012 + 0.05 * l.off;
      dark *= 1 - strength * step(-soft, soft * 0.8, onLeaf(l, sx, sy).in) - 0.25 * step(-0.02, 0, p.in);
      dark = Math.max(0.16, dark);
    }
    return times(ground(x, y), dark);
  };
}

function leafLight(l: Laid, p: { t: number; side: number; in: number }, sun: readonly [number, number]): Light {
  // Each half is a slope of its own; between its side veins it is arched a little.
  const way = p.side >= 0 ? 1 : -1;
  const s = Math.sin(l.turn);
  const c = Math.cos(l.turn);
  const flat = l.form === "feather" || l.form === "blade";
  const ribs = flat ? 0 : Math.cos((p.t * 11 - Math.abs(p.side) * (l.wide / l.long) * 9) * Math.PI * 2);
  const slope = way * 0.34 + 0.5 * p.side * 0.5;
  const nx = -s * slope + c * (0.1 * ribs + 0.5 * (p.t - 0.5));
  const ny = c * slope + s * (0.1 * ribs + 0.5 * (p.t - 0.5));
  const lit = within(0.35, 1.5, 0.86 + 0.62 * (nx * sun[0] + ny * sun[1]));
  let colour = mix(l.colour, times(l.colour, 0.72), step(0.1, 0, p.in / Math.max(0.02, l.wide)) * 0.5);
  const rib = step(0.045, 0.015, Math.abs(p.side) + 0.03 * p.t);
  const veins = flat ? 0 : step(0.9, 1, ribs) * 0.3 * step(0.02, 0.12, p.in / l.wide);
  colour = mix(colour, l.vein, within(0, 1, rib * (l.form === "feather" ? 0.2 : 0.65) + veins));
  colour = times(colour, 0.92 + 0.16 * chance(Math.floor(l.own * 1000), 3));
  return plus(times(colour, lit), [1, 1, 1], 0.035 * step(1.05, 1.5, lit));
}
