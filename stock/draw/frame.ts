import { byte, type Light } from "./colour";
import { chance } from "./noise";

/** The light that comes from one place: x runs from -aspect to aspect, y from -1 (foot) to 1 (head). */
export type Shader = (x: number, y: number) => Light;
export type Shape = "wide" | "tall" | "square";
/** Width and height for one size. The long side is `long`. */
export const sizeOf = (shape: Shape, long: number): readonly [number, number] =>
  shape === "wide"
    ? [long, Math.round((long * 2) / 3)]
    : shape === "tall"
      ? [Math.round((long * 4) / 5), long]
      : [long, long];

/** Differences above this, of 255, are looked at more closely. */
const EDGE = 12;
/** Places within one dot (a grid that is turned, so that no edge falls between all of them). */
const WITHIN: readonly (readonly [number, number])[] = [
  [-0.375, -0.125],
  [0.125, -0.375],
  [0.375, 0.125],
  [-0.125, 0.375],
];

/**
 * Draws a picture: once for every dot, and four more times where a neighbour differs, which is where edges would have
 * steps. A breath of grain keeps wide gradients from showing bands. Three bytes for each dot, rows from the head.
 */
export function drawFrame(shade: Shader, width: number, height: number, grain = 1.6): Uint8Array {
  const aspect = width / height;
  const scale = 2 / height;
  const rough = new Float32Array(width * height * 3);
  const at = (px: number, py: number) => shade(px * scale - aspect, 1 - py * scale);
  for (let y = 0, i = 0; y < height; y++)
    for (let x = 0; x < width; x++, i += 3) {
      const c = at(x + 0.5, y + 0.5);
      rough[i] = byte(c[0]);
      rough[i + 1] = byte(c[1]);
      rough[i + 2] = byte(c[2]);
    }
  const out = new Uint8Array(rough.length);
  const row = width * 3;
  for (let y = 0, i = 0; y < height; y++)
    for (let x = 0; x < width; x++, i += 3) {
      let most = 0;
      for (const n of [x > 0 ? i - 3 : i, x < width - 1 ? i + 3 : i, y > 0 ? i - row : i, y < height - 1 ? i + row : i])
        most = Math.max(most, Math.abs(rough[i + 1]! - rough[n + 1]!), Math.abs(rough[i]! - rough[n]!));
      let r = rough[i]!;
      let g = rough[i + 1]!;
      let b = rough[i + 2]!;
      if (most > EDGE) {
        for (const [dx, dy] of WITHIN) {
          const c = at(x + 0.5 + dx, y + 0.5 + dy);
          r += byte(c[0]);
          g += byte(c[1]);
          b += byte(c[2]);
        }
        r /= 5;
        g /= 5;
        b /= 5;
      }
      const speck = (chance(x, y, 5) + chance(x, y, 6) - 1) * grain;
      out[i] = Math.min(255, Math.max(0, Math.round(r + speck)));
      out[i + 1] = Math.min(255, Math.max(0, Math.round(g + speck)));
      out[i + 2] = Math.min(255, Math.max(0, Math.round(b + speck)));
    }
  return out;
}
