import { mix, plus, through, times, type Light } from "./colour";
import type { Shader } from "./frame";
import { within } from "./noise";

/** A surface as the light meets it. */
export type Stuff = {
  readonly colour: Light;
  /** How strongly it shines, 0 to 1, and how narrowly. */
  readonly shine?: number;
  readonly gloss?: number;
  /** How much of what is around shows in it. */
  readonly mirror?: number;
  /** How far the light goes around its edge into the shade: fruit, wax, cloth. */
  readonly deep?: number;
};

export type World = {
  /** How far the nearest thing is from a place, and which it is (kept in `which`). */
  readonly far: (x: number, y: number, z: number) => number;
  readonly which: () => number;
  readonly stuff: (which: number, x: number, y: number, z: number) => Stuff;
  /** A fine relief upon a thing. */
  readonly bump?: (which: number, x: number, y: number, z: number) => number;
  readonly eye: readonly [number, number, number];
  readonly at: readonly [number, number, number];
  /** How long the lens is: 1.6 is usual, 3 far and flat. */
  readonly lens: number;
  readonly sun: { readonly from: readonly [number, number, number]; readonly light: Light; readonly soft: number };
  readonly above: Light;
  readonly below: Light;
  /** What is seen where nothing is. */
  readonly behind: Shader;
  readonly let?: ((x: number, y: number, z: number) => number) | undefined;
  readonly reach?: number;
};

/** The way along which one looks through a place of the picture. */
export function looking(eye: readonly number[], at: readonly number[], lens: number) {
  const f = [at[0]! - eye[0]!, at[1]! - eye[1]!, at[2]! - eye[2]!];
  const fl = Math.hypot(...f);
  const [fx, fy, fz] = f.map((v) => v / fl) as [number, number, number];
  // To the right lies a greater x; z runs away from us.
  const rl = Math.hypot(fz, fx);
  const rx = fz / rl;
  const rz = -fx / rl;
  const ux = rz * fy;
  const uy = rx * fz - rz * fx;
  const uz = -rx * fy;
  return (x: number, y: number): [number, number, number] => {
    const dx = fx * lens + rx * x + ux * y;
    const dy = fy * lens + uy * y;
    const dz = fz * lens + rz * x + uz * y;
    const l = Math.hypot(dx, dy, dz);
    return [dx / l, dy / l, dz / l];
  };
}

/**
 * Things given by how far they are from any place, found by walking along each line of sight by that distance (sphere
 * tracing: Hart, "Sphere tracing", The Visual Computer 12, 1996), with soft shadows and the darkness of corners told
 * from the same distances.
 */
export function solid(world: World): Shader {
  const { far, eye, sun, reach = 30 } = world;
  const ray = looking(eye, world.at, world.lens);
  const sl = Math.hypot(...sun.from);
  const [sx, sy, sz] = sun.from.map((v) => v / sl) as [number, number, number];

  const shadow = (x: number, y: number, z: number) => {
    let open = 1;
    let t = 0.02;
    for (let i = 0; i < 70 && t < 9; i++) {
      const d = far(x + sx * t, y + sy * t, z + sz * t);
      open = Math.min(open, 0.5 + (0.5 * d) / (sun.soft * t));
      if (open < 0) break;
      t += within(0.012, 0.3, d);
    }
    const s = Math.max(0, open);
    return s * s * (3 - 2 * s);
  };
  const corner = (x: number, y: number, z: number, nx: number, ny: number, nz: number) => {
    let dark = 0;
    let weight = 1;
    for (let i = 1; i <= 6; i++) {
      const h = 0.015 * i * i + 0.01;
      dark += weight * Math.max(0, h - far(x + nx * h, y + ny * h, z + nz * h));
      weight *= 0.72;
    }
    return within(0.12, 1, 1 - 1.15 * dark);
  };

  return (px, py) => {
    const [dx, dy, dz] = ray(px, py);
    let t = 0.2;
    let hit = false;
    for (let i = 0; i < 160 && t < reach; i++) {
      const d = far(eye[0] + dx * t, eye[1] + dy * t, eye[2] + dz * t);
      if (d < 0.0006 * t) {
        hit = true;
        break;
      }
      t += d * 0.9;
    }
    if (!hit) return world.behind(px, py);
    const x = eye[0] + dx * t;
    const y = eye[1] + dy * t;
    const z = eye[2] + dz * t;
    far(x, y, z);
    const which = world.which();
    const e = 0.0008 * t + 0.0004;
    const f = world.bump ? (a: number, b: number, c: number) => far(a, b, c) - world.bump!(which, a, b, c) : far;
    // The slope from four places at the corners of a tetrahedron.
    const a = f(x + e, y - e, z - e);
    const b = f(x - e, y - e, z + e);
    const c = f(x - e, y + e, z - e);
    const d = f(x + e, y + e, z + e);
    let nx = a - b - c + d;
    let ny = -a - b + c + d;
    let nz = -a + b - c + d;
    const nl = Math.hypot(nx, ny, nz) || 1;
    nx /= nl;
    ny /= nl;
    nz /= nl;
    const stuff = world.stuff(which, x, y, z);
    const deep = stuff.deep ?? 0;
    const facing = nx * sx + ny * sy + nz * sz;
    let lit = within(0, 1, (facing + deep) / (1 + deep));
    const open = shadow(x + nx * 0.004, y + ny * 0.004, z + nz * 0.004) * (world.let?.(x, y, z) ?? 1);
    lit *= deep > 0 ? within(0, 1, open + deep * 0.25) : open;
    const dark = corner(x, y, z, nx, ny, nz);
    const around = mix(world.below, world.above, 0.5 + 0.5 * ny);
    // What the sun throws back from the ground to sides that look down or towards us.
    const thrown = through(sun.light, world.below);
    let out = through(
      stuff.colour,
      plus(plus(times(sun.light, lit), around, dark), thrown, 0.18 * dark * within(0, 1, 0.6 - 0.6 * ny)),
    );
    const shine = stuff.shine ?? 0;
    const mirror = stuff.mirror ?? 0;
    const edge = (1 - within(0, 1, -(nx * dx + ny * dy + nz * dz))) ** 5;
    if (shine > 0) {
      const hx = sx - dx;
      const hy = sy - dy;
      const hz = sz - dz;
      const hl = Math.hypot(hx, hy, hz);
      const glance = within(0, 1, (nx * hx + ny * hy + nz * hz) / hl) ** (stuff.gloss ?? 40);
      out = plus(out, sun.light, shine * glance * open * (facing > 0 ? 1 : 0));
    }
    if (mirror > 0 || shine > 0) {
      const k = 2 * (nx * dx + ny * dy + nz * dz);
      const ry = dy - k * ny;
      out = plus(
        out,
        mix(world.below, world.above, within(0, 1, 0.5 + 0.7 * ry)),
        (mirror + edge * 0.35 * (shine + mirror)) * dark,
      );
    }
    return out;
  };
}

// Shapes. All say how far a place is from them; below 0 is within.

export const ball = (x: number, y: number, z: number, r: number): number => Math.hypot(x, y, z) - r;

export function box(x: number, y: number, z: number, w: number, h: number, d: number, round = 0): number {
  const qx = Math.abs(x) - w + round;
  const qy = Math.abs(y) - h + round;
  const qz = Math.abs(z) - d + round;
  return Math.hypot(Math.max(qx, 0), Math.max(qy, 0), Math.max(qz, 0)) + Math.min(Math.max(qx, qy, qz), 0) - round;
}

/** A disc or a post that stands. */
export function post(x: number, y: number, z: number, r: number, h: number, round = 0): number {
  const a = Math.hypot(x, z) - r + round;
  const b = Math.abs(y) - h + round;
  return Math.min(Math.max(a, b), 0) + Math.hypot(Math.max(a, 0), Math.max(b, 0)) - round;
}

/** Something turned on a wheel: `wide` says its radius at a height from 0 to `tall`; `wall` is how thick it is, 0 for a whole one. */
export function turned(
  x: number,
  y: number,
  z: number,
  tall: number,
  wide: (h: number) => number,
  wall: number,
): number {
  const r = Math.hypot(x, z);
  const h = within(0, tall, y);
  const w = wide(h);
  const e = 0.01;
  const bend = Math.hypot(1, (wide(Math.min(tall, h + e)) - wide(Math.max(0, h - e))) / (2 * e));
  let d = (r - w) / bend;
  if (wall > 0) {
    // The inside is open above the foot.
    const inside = Math.max((r - (w - wall)) / bend, wall * 1.4 - y);
    d = Math.max(d, -inside);
  }
  const over = Math.max(y - tall, -y);
  return over > 0 ? Math.hypot(over, Math.max(d, 0)) : Math.max(d, over);
}

/** Two shapes that run into each other. */
export function joined(a: number, b: number, k: number): number {
  const h = Math.max(k - Math.abs(a - b), 0) / k;
  return Math.min(a, b) - h * h * k * 0.25;
}
