import type { Pixels } from "../pictures";
import { blurred, type Found } from "./find";
import { colourAt } from "./ground";
import { beside, depthOf } from "./regions";

// The border of a thing is a mixture of it and of its ground. How much of each is in a pixel is told from three colours: the
// pixel's, that of the ground there, and that of the thing nearest by: C = αF + (1 − α)B. Then the ground's part is taken out of
// the pixel, so that no rim of the old ground is carried to a new one.

export type Finish = {
  /** How far the border is softened beyond what the picture has, in px of the whole picture. */
  readonly soft: number;
  /** Whether the thing's shadow stays with it, where one was found. */
  readonly shadow: boolean;
};

/** How many px of the mask on either side of the border are looked at anew. */
const BAND = 2;
/** Ground and thing must differ by so much, in bytes, to be told apart by colour: below the first not at all, above the second surely. */
const TOLD = { least: 14, sure: 46 };

type Field = {
  readonly values: Float32Array;
  readonly width: number;
  readonly height: number;
  readonly channels: number;
};

/** Reads a field between its pixels. `x`, `y`: shares of its width and height. */
function read({ values, width, height, channels }: Field, x: number, y: number, into: Float32Array): void {
  const fx = Math.min(width - 1, Math.max(0, x * width - 0.5));
  const fy = Math.min(height - 1, Math.max(0, y * height - 0.5));
  const x0 = Math.floor(fx);
  const y0 = Math.floor(fy);
  const right = x0 < width - 1 ? channels : 0;
  const below = y0 < height - 1 ? width * channels : 0;
  const [sx, sy] = [fx - x0, fy - y0];
  const at = (y0 * width + x0) * channels;
  for (let c = 0; c < channels; c++) {
    const top = values[at + c]! * (1 - sx) + values[at + right + c]! * sx;
    const bottom = values[at + below + c]! * (1 - sx) + values[at + below + right + c]! * sx;
    into[c] = top * (1 - sy) + bottom * sy;
  }
}

/**
 * Colours of sure pixels, carried on over the rest: each pixel gets the mean of its neighbours that have one already. Where none is
 * near, `otherwise` tells its colour; without it, the picture's own is as good as any.
 */
function spread(
  { data, width, height }: Pixels,
  isSure: (at: number) => boolean,
  steps: number,
  otherwise?: (at: number, into: number[]) => void,
): Field {
  const values = new Float32Array(width * height * 3);
  const has = new Uint8Array(width * height);
  let shell: number[] = [];
  for (let at = 0; at < has.length; at++) {
    if (!isSure(at)) continue;
    for (const c of [0, 1, 2]) values[at * 3 + c] = data[at * 4 + c]!;
    has[at] = 1;
    shell.push(at);
  }
  for (let step = 0; step < steps; step++) {
    const next = new Set<number>();
    for (const at of shell) beside(at, width, height, (other) => has[other] || next.add(other));
    for (const at of next) {
      let count = 0;
      const sum = [0, 0, 0];
      beside(at, width, height, (other) => {
        if (!has[other]) return;
        count++;
        for (const c of [0, 1, 2]) sum[c]! += values[other * 3 + c]!;
      });
      for (const c of [0, 1, 2]) values[at * 3 + c] = sum[c]! / count;
    }
    for (const at of next) has[at] = 1;
    shell = [...next];
  }
  const other = [0, 0, 0];
  for (let at = 0; at < has.length; at++) {
    if (has[at]) continue;
    otherwise?.(at, other);
    for (const c of [0, 1, 2]) values[at * 3 + c] = otherwise ? other[c]! : data[at * 4 + c]!;
  }
  return { values, width, height, channels: 3 };
}

const between = (value: number, from: number, to: number): number => {
  const t = Math.min(1, Math.max(0, (value - from) / (to - from)));
  return t * t * (3 - 2 * t);
};

/**
 * The thing alone, as RGBA of the size of `whole`. `small`: the pixels in which it was found, of the size of `mask`; `whole`: the
 * same picture as large as it is wanted.
 */
export function cutOut(
  whole: Pixels,
  small: Pixels,
  found: Found,
  mask: Uint8Array,
  finish: Finish,
): Uint8ClampedArray<ArrayBuffer> {
  const { width, height, data } = whole;
  const size = { width: small.width, height: small.height };
  const out = new Uint8ClampedArray(width * height * 4);
  if (found.sort === "clear" && mask.every((is, at) => is === found.thing[at])) {
    out.set(data);
    return out;
  }
  const inside = depthOf(mask, size.width, size.height, 1, BAND + 1);
  const outside = depthOf(mask, size.width, size.height, 0, BAND + 1);
  const things = spread(small, (at) => inside[at]! > BAND, BAND * 4);
  const surface = found.ground?.surface;
  const grounds = spread(
    small,
    (at) => outside[at]! > BAND,
    BAND * 4,
    surface &&
      ((at, into) =>
        colourAt(surface, (at % size.width) / size.width, Math.floor(at / size.width) / size.height, into)),
  );
  const softMask: Field = {
    values: blurred(Float32Array.from(mask), size.width, size.height, 1),
    ...size,
    channels: 1,
  };
  const shadow: Field | null = finish.shadow && found.shadow ? { values: found.shadow, ...size, channels: 1 } : null;
  const scaleX = size.width / width;
  const scaleY = size.height / height;
  const [thing, ground, bright, one] = [
    new Float32Array(3),
    new Float32Array(3),
    new Float32Array(3),
    new Float32Array(1),
  ];
  for (let y = 0, at = 0; y < height; y++) {
    const shareY = (y + 0.5) / height;
    const row = Math.min(size.height - 1, Math.floor((y + 0.5) * scaleY)) * size.width;
    for (let x = 0; x < width; x++, at++) {
      const shareX = (x + 0.5) / width;
      const spot = row + Math.min(size.width - 1, Math.floor((x + 0.5) * scaleX));
      const from = at * 4;
      let alpha = 1;
      let dark = 0;
      let [r, g, b] = [data[from]!, data[from + 1]!, data[from + 2]!];
      if (outside[spot]! > BAND) alpha = 0;
      else if (inside[spot]! <= BAND) {
        read(things, shareX, shareY, thing);
        read(grounds, shareX, shareY, ground);
        read(softMask, shareX, shareY, one);
        const shape = between(one[0]!, 0.25, 0.75);
        const [tr, tg, tb] = [thing[0]! - ground[0]!, thing[1]! - ground[1]!, thing[2]! - ground[2]!];
        const apart = Math.hypot(tr, tg, tb);
        const share =
          ((r - ground[0]!) * tr + (g - ground[1]!) * tg + (b - ground[2]!) * tb) / Math.max(1, apart * apart);
        const told = between(apart, TOLD.least, TOLD.sure);
        // Within the mask, a colour far from the ground's is the thing's own, whatever is nearest by.
        const far = Math.hypot(r - ground[0]!, g - ground[1]!, b - ground[2]!) / Math.max(TOLD.sure, apart);
        const byColour = Math.min(1, Math.max(0, Math.max(share, far * between(one[0]!, 0.55, 0.95))));
        alpha = told * byColour + (1 - told) * shape;
        if (!surface) alpha *= between(one[0]!, 0, 0.35);
        if (alpha < 0.05) alpha = 0;
        else if (alpha > 0.95) alpha = 1;
        else {
          const clean = between(alpha, 0.1, 0.5);
          const own = (value: number, c: number) =>
            thing[c]! * (1 - clean) + Math.min(255, Math.max(0, (value - (1 - alpha) * ground[c]!) / alpha)) * clean;
          [r, g, b] = [own(r, 0), own(g, 1), own(b, 2)];
        }
        // At the border the ground is as dark as it is beside it.
        if (shadow && surface) {
          colourAt(surface, shareX, shareY, bright);
          dark = 1 - (ground[0]! + ground[1]! + ground[2]!) / Math.max(1, bright[0]! + bright[1]! + bright[2]!);
        }
      }
      if (shadow && alpha < 1) {
        read(shadow, shareX, shareY, one);
        // A shadow is black of so much opacity, below the thing.
        const both = alpha + Math.max(0, dark, one[0]!) * (1 - alpha);
        if (both > 0) [r, g, b] = [(r * alpha) / both, (g * alpha) / both, (b * alpha) / both];
        alpha = both;
      }
      if (data[from + 3]! < 255) alpha *= data[from + 3]! / 255;
      out[from] = r;
      out[from + 1] = g;
      out[from + 2] = b;
      out[from + 3] = alpha * 255;
    }
  }
  if (finish.soft > 0) soften(out, width, height, Math.round(finish.soft));
  return out;
}

/** Softens the border of what was cut out, inwards: the colour outside of it is not known. */
function soften(out: Uint8ClampedArray, width: number, height: number, reach: number): void {
  const alpha = new Float32Array(width * height);
  for (let at = 0; at < alpha.length; at++) alpha[at] = out[at * 4 + 3]!;
  const soft = blurred(alpha, width, height, reach);
  for (let at = 0; at < alpha.length; at++)
    out[at * 4 + 3] = Math.min(alpha[at]!, Math.max(0, (soft[at]! - 127.5) * 2));
}

/** The least box that holds all of a picture that can be seen, in px; null where nothing can. `least`: alpha that counts. */
export function boxOf(
  { data, width, height }: Pixels,
  least = 24,
): { readonly left: number; readonly top: number; readonly width: number; readonly height: number } | null {
  let [left, top, right, bottom] = [width, height, -1, -1];
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      if (data[(y * width + x) * 4 + 3]! < least) continue;
      left = Math.min(left, x);
      right = Math.max(right, x);
      top = Math.min(top, y);
      bottom = Math.max(bottom, y);
    }
  return right < 0 ? null : { left, top, width: right - left + 1, height: bottom - top + 1 };
}
