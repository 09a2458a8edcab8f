import { converter, differenceEuclidean, formatHex, interpolate, parse, toGamut, type Oklch } from "culori";

/** An sRGB colour as `#rrggbb`, lower case. */
export type Hex = string;

const toOklch = converter("oklch");
const toRgb = converter("rgb");
const mapIntoSrgb = toGamut("rgb", "oklch");
const differenceOk = differenceEuclidean("oklab");

/**
 * Reads a colour written in any CSS Color 4 form and brings it into sRGB by the gamut mapping of CSS Color 4.
 * Undefined when it is not a colour; transparency is dropped.
 */
export function readColour(text: string): Hex | undefined {
  const colour = parse(text.trim());
  return colour ? formatHex(mapIntoSrgb({ ...colour, alpha: undefined })) : undefined;
}

/** `lightness` 0–1, `chroma` 0–0.4, `hue` in degrees; hue is 0 for greys. */
export function oklchOf(hex: Hex): { lightness: number; chroma: number; hue: number } {
  const { l, c, h } = toOklch(hex)!;
  return { lightness: l, chroma: c, hue: h ?? 0 };
}

/** The nearest sRGB colour of that lightness, chroma and hue (CSS Color 4 gamut mapping: chroma gives way). */
export function fromOklch(lightness: number, chroma: number, hue: number): Hex {
  const colour: Oklch = { mode: "oklch", l: Math.min(1, Math.max(0, lightness)), c: chroma, h: hue };
  const rgb = toRgb(colour);
  const inside = [rgb.r, rgb.g, rgb.b].every((v) => v >= -1e-4 && v <= 1 + 1e-4);
  return formatHex(inside ? rgb : mapIntoSrgb(colour));
}

/** ΔE OK: the Euclidean distance in Oklab (CSS Color 4, "Color Difference"). About 0.02 is just noticeable. */
export const deltaEOk = (a: Hex, b: Hex): number => differenceOk(a, b);

/** Mixes in Oklab: `share` 0 gives `a`, 1 gives `b`. */
export const mix = (a: Hex, b: Hex, share: number): Hex => formatHex(interpolate([a, b], "oklab")(share));

const channel = (value: number) => (value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4);

/** Relative luminance, 0–1, as WCAG 2.2 defines it. */
export function luminance(hex: Hex): number {
  const value = Number.parseInt(hex.slice(1), 16);
  return (
    0.2126 * channel(((value >> 16) & 255) / 255) +
    0.7152 * channel(((value >> 8) & 255) / 255) +
    0.0722 * channel((value & 255) / 255)
  );
}

/** Contrast ratio, 1–21, as WCAG 2.2 defines it. */
export function contrast(a: Hex, b: Hex): number {
  const la = luminance(a);
  const lb = luminance(b);
  return (Math.max(la, lb) + 0.05) / (Math.min(la, lb) + 0.05);
}

/**
 * The colour nearest to `wish` (ΔE OK, hue kept) that stands at `ratio` or more against every one of `against`.
 * The wish itself where it passes; undefined where no lightness passes.
 */
export function nearestPassing(wish: Hex, against: readonly Hex[], ratio: number): Hex | undefined {
  const passes = (hex: Hex) => against.every((other) => contrast(hex, other) >= ratio);
  if (passes(wish)) return wish;
  const { lightness, chroma, hue } = oklchOf(wish);
  let best: Hex | undefined;
  for (const end of [0, 1]) {
    const edge = fromOklch(end, 0, hue);
    if (!passes(edge)) continue;
    // Contrast grows monotonically towards an end once past the last background, so bisection finds the boundary.
    let failing = lightness;
    let passing = end;
    let found = edge;
    for (let i = 0; i < 14; i++) {
      const middle = (failing + passing) / 2;
      const colour = fromOklch(middle, chroma, hue);
      if (passes(colour)) {
        passing = middle;
        found = colour;
      } else failing = middle;
    }
    if (!best || deltaEOk(found, wish) < deltaEOk(best, wish)) best = found;
  }
  return best;
}
