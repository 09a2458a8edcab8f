// What colours something has, as a mixture of a few normal distributions (as in C. Rother, V. Kolmogorov, A. Blake, "GrabCut",
// ACM SIGGRAPH 2004): a picture's thing and its ground have each some.

/** Colours as encoded sRGB bytes, three numbers each. */
export type Colours = Float32Array;

const ROUNDS = 6;
/** Noise that every picture has: no cloud of colours is thinner, in squared byte steps. */
const LEAST_VARIANCE = 9;

type Cloud = {
  readonly mean: readonly [number, number, number];
  /** The inverse covariance: xx, xy, xz, yy, yz, zz. */
  readonly inverse: readonly [number, number, number, number, number, number];
  /** Logarithm of its weight over the square root of its covariance's determinant. */
  readonly height: number;
};
export type Mixture = readonly Cloud[];

const squared = (colours: Colours, i: number, c: readonly number[]) =>
  (colours[i]! - c[0]!) ** 2 + (colours[i + 1]! - c[1]!) ** 2 + (colours[i + 2]! - c[2]!) ** 2;

/** Centres that lie far from each other to begin with, and then among what is nearest to each. */
function centresOf(colours: Colours, count: number): Uint8Array {
  const all = colours.length / 3;
  const at = (i: number): [number, number, number] => [colours[i * 3]!, colours[i * 3 + 1]!, colours[i * 3 + 2]!];
  const mean: [number, number, number] = [0, 0, 0];
  for (let i = 0; i < colours.length; i++) mean[i % 3]! += colours[i]! / all;
  let nearest = 0;
  for (let i = 1; i < all; i++) if (squared(colours, i * 3, mean) < squared(colours, nearest * 3, mean)) nearest = i;
  const centres = [at(nearest)];
  const gap = new Float32Array(all).fill(Infinity);
  while (centres.length < count) {
    let farthest = 0;
    for (let i = 0; i < all; i++) {
      gap[i] = Math.min(gap[i]!, squared(colours, i * 3, centres.at(-1)!));
      if (gap[i]! > gap[farthest]!) farthest = i;
    }
    centres.push(at(farthest));
  }
  const of = new Uint8Array(all);
  for (let round = 0; round < ROUNDS; round++) {
    const sums = centres.map(() => [0, 0, 0, 0]);
    for (let i = 0; i < all; i++) {
      let best = 0;
      let least = Infinity;
      for (const [k, centre] of centres.entries()) {
        const far = squared(colours, i * 3, centre);
        if (far < least) [best, least] = [k, far];
      }
      of[i] = best;
      const sum = sums[best]!;
      for (const c of [0, 1, 2]) sum[c]! += colours[i * 3 + c]!;
      sum[3]!++;
    }
    for (const [k, [r, g, b, n]] of sums.entries()) if (n) centres[k] = [r! / n, g! / n, b! / n];
  }
  return of;
}

/** The mixture that these colours are of; there must be at least one. */
export function mixtureOf(colours: Colours, count = 5): Mixture {
  const of = centresOf(colours, count);
  const all = colours.length / 3;
  const clouds: Cloud[] = [];
  for (let k = 0; k < count; k++) {
    let n = 0;
    const sum = [0, 0, 0];
    for (let i = 0; i < all; i++) {
      if (of[i] !== k) continue;
      n++;
      for (const c of [0, 1, 2]) sum[c]! += colours[i * 3 + c]!;
    }
    if (n === 0) continue;
    const mean: [number, number, number] = [sum[0]! / n, sum[1]! / n, sum[2]! / n];
    let [xx, xy, xz, yy, yz, zz] = [0, 0, 0, 0, 0, 0];
    for (let i = 0; i < all; i++) {
      if (of[i] !== k) continue;
      const [x, y, z] = [colours[i * 3]! - mean[0], colours[i * 3 + 1]! - mean[1], colours[i * 3 + 2]! - mean[2]];
      xx += x * x;
      xy += x * y;
      xz += x * z;
      yy += y * y;
      yz += y * z;
      zz += z * z;
    }
    [xx, yy, zz] = [xx / n + LEAST_VARIANCE, yy / n + LEAST_VARIANCE, zz / n + LEAST_VARIANCE];
    [xy, xz, yz] = [xy / n, xz / n, yz / n];
    const determinant = xx * (yy * zz - yz * yz) - xy * (xy * zz - yz * xz) + xz * (xy * yz - yy * xz);
    clouds.push({
      mean,
      inverse: [
        (yy * zz - yz * yz) / determinant,
        (xz * yz - xy * zz) / determinant,
        (xy * yz - xz * yy) / determinant,
        (xx * zz - xz * xz) / determinant,
        (xy * xz - xx * yz) / determinant,
        (xx * yy - xy * xy) / determinant,
      ],
      height: Math.log(n / all) - 0.5 * Math.log(determinant),
    });
  }
  return clouds;
}

/** How unlikely a colour is in a mixture: the negative logarithm of its density, without the constant that all share. */
export function unlikeliness(mixture: Mixture, r: number, g: number, b: number): number {
  let highest = -Infinity;
  for (const { mean, inverse, height } of mixture) {
    const [x, y, z] = [r - mean[0], g - mean[1], b - mean[2]];
    const [xx, xy, xz, yy, yz, zz] = inverse;
    const form = xx * x * x + yy * y * y + zz * z * z + 2 * (xy * x * y + xz * x * z + yz * y * z);
    highest = Math.max(highest, height - 0.5 * form);
  }
  return -highest;
}
