/**
 * Noise without a table of random numbers kept anywhere: the same place always gives the same value. Gradient noise
 * after Perlin, "Improving Noise" (SIGGRAPH 2002), with its quintic curve; cells after Worley, "A Cellular Texture
 * Basis Function" (SIGGRAPH 1996).
 */

/** A number of [0, 1) that belongs to a place of the grid. */
export function chance(x: number, y: number, z = 0): number {
  let h = Math.imul(x | 0, 374761393) ^ Math.imul(y | 0, 668265263) ^ Math.imul(z | 0, 2147483647);
  h = Math.imul(h ^ (h >>> 15), 2246822519);
  h = Math.imul(h ^ (h >>> 13), 3266489917);
  return ((h ^ (h >>> 16)) >>> 0) / 4294967296;
}

const fade = (t: number) => t * t * t * (t * (t * 6 - 15) + 10);

const ACROSS = Float64Array.from({ length: 256 }, (_, i) => Math.cos((i / 256) * 2 * Math.PI));
const ALONG = Float64Array.from({ length: 256 }, (_, i) => Math.sin((i / 256) * 2 * Math.PI));

function slope(ix: number, iy: number, seed: number, dx: number, dy: number): number {
  let h = (Math.imul(ix, 374761393) ^ Math.imul(iy, 668265263)) + Math.imul(seed, 1274126177);
  h = Math.imul(h ^ (h >>> 15), 2246822519);
  h = (h ^ (h >>> 13)) & 255;
  return ACROSS[h]! * dx + ALONG[h]! * dy;
}

/** Gradient noise of the plane, about -1 to 1. */
export function noise(x: number, y: number, seed = 0): number {
  const ix = Math.floor(x);
  const iy = Math.floor(y);
  const fx = x - ix;
  const fy = y - iy;
  const u = fade(fx);
  const v = fade(fy);
  const a = slope(ix, iy, seed, fx, fy);
  const b = slope(ix + 1, iy, seed, fx - 1, fy);
  const c = slope(ix, iy + 1, seed, fx, fy - 1);
  const d = slope(ix + 1, iy + 1, seed, fx - 1, fy - 1);
  return 1.5 * (a + u * (b - a) + v * (c - a + u * (a - b - c + d)));
}

/** Noise of several sizes upon each other, about -1 to 1. */
export function cloudy(x: number, y: number, octaves = 5, seed = 0): number {
  let sum = 0;
  let strength = 0.5;
  for (let i = 0; i < octaves; i++) {
    sum += strength * noise(x, y, seed + i);
    // Turned and not quite doubled, so that the grids of two sizes never lie upon each other.
    const t = 1.62 * x + 1.18 * y;
    y = 1.62 * y - 1.18 * x;
    x = t;
    strength *= 0.5;
  }
  return sum;
}

/** Noise with sharp crests: mountains, creases. 0 to 1. */
export function crested(x: number, y: number, octaves = 5, seed = 0): number {
  let sum = 0;
  let strength = 0.5;
  let carried = 1;
  for (let i = 0; i < octaves; i++) {
    const n = 1 - Math.abs(noise(x, y, seed + i));
    sum += strength * n * n * carried;
    carried = n;
    const t = 1.62 * x + 1.18 * y;
    y = 1.62 * y - 1.18 * x;
    x = t;
    strength *= 0.5;
  }
  return sum;
}

/** Of the cell in which a place lies: how far its middle is, how far the next one's, its own number, where it is. */
export type Cell = { near: number; next: number; own: number; x: number; y: number };

/** Cells of the plane around strewn points; `order` 0 lays them as a grid, 1 strews them. */
export function cell(x: number, y: number, seed = 0, order = 1): Cell {
  const ix = Math.floor(x);
  const iy = Math.floor(y);
  const found: Cell = { near: 9, next: 9, own: 0, x: 0, y: 0 };
  for (let j = -1; j <= 1; j++)
    for (let i = -1; i <= 1; i++) {
      const px = ix + i + 0.5 + order * (chance(ix + i, iy + j, seed) - 0.5);
      const py = iy + j + 0.5 + order * (chance(ix + i, iy + j, seed + 71) - 0.5);
      const d = Math.hypot(x - px, y - py);
      if (d < found.near) {
        found.next = found.near;
        found.near = d;
        found.own = chance(ix + i, iy + j, seed + 13);
        found.x = px;
        found.y = py;
      } else if (d < found.next) found.next = d;
    }
  return found;
}

/** 0 below `a`, 1 above `b`, with a smooth way between; also downwards, when `a` is above `b`. */
export function step(a: number, b: number, x: number): number {
  const t = Math.min(1, Math.max(0, (x - a) / (b - a)));
  return t * t * (3 - 2 * t);
}
export const between = (a: number, b: number, t: number): number => a + (b - a) * t;
export const within = (low: number, high: number, x: number): number => Math.min(high, Math.max(low, x));
