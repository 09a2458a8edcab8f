// Colour arithmetic on plain numbers. The solver tries thousands of colours while a brand colour is dragged, so nothing
// here makes objects that it does not give back. Matrices: CSS Color 4, sample code for Oklab and sRGB (Björn Ottosson).

/** Red, green and blue in linear light; 0–1 inside sRGB. */
export type LinearRgb = readonly [r: number, g: number, b: number];
export type Oklab = readonly [l: number, a: number, b: number];

/** An sRGB channel, 0–1, in linear light (CSS Color 4). */
export const linearLight = (value: number): number =>
  value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4;

/** Linear-light value of each of the 256 steps of an sRGB channel. */
const LINEAR: readonly number[] = Array.from({ length: 256 }, (_unused, step) => linearLight(step / 255));

const step = (linear: number): number => {
  const clipped = Math.min(1, Math.max(0, linear));
  const value = clipped <= 0.0031308 ? clipped * 12.92 : 1.055 * clipped ** (1 / 2.4) - 0.055;
  return Math.round(value * 255);
};

/** Bytes of sRGB in linear light. */
export const linearOfBytes = (r: number, g: number, b: number): LinearRgb => [LINEAR[r]!, LINEAR[g]!, LINEAR[b]!];

/** The bytes of `#rrggbb`. */
export function bytesOf(hex: string): readonly [r: number, g: number, b: number] {
  const value = Number.parseInt(hex.slice(1), 16);
  return [(value >> 16) & 255, (value >> 8) & 255, value & 255];
}

/** `#rrggbb` in linear light. */
export const linearOf = (hex: string): LinearRgb => linearOfBytes(...bytesOf(hex));

/** The nearest 8-bit sRGB colour, as `#rrggbb`; what lies outside is clipped. */
export function hexOf([r, g, b]: LinearRgb): string {
  return `#${((step(r) << 16) | (step(g) << 8) | step(b)).toString(16).padStart(6, "0")}`;
}

/** Linear sRGB to Oklab. */
export function oklabOf([r, g, b]: LinearRgb): Oklab {
  const l = Math.cbrt(0.412221469470763 * r + 0.5363325372617348 * g + 0.0514459932675022 * b);
  const m = Math.cbrt(0.2119034958178252 * r + 0.6806995506452344 * g + 0.1073969535369406 * b);
  const s = Math.cbrt(0.0883024591900564 * r + 0.2817188391361215 * g + 0.6299787016738222 * b);
  return [
    0.210454268309314 * l + 0.7936177747023054 * m - 0.0040720430116193 * s,
    1.9779985324311684 * l - 2.42859224204858 * m + 0.450593709617411 * s,
    0.0259040424655478 * l + 0.7827717124575296 * m - 0.8086757549230774 * s,
  ];
}

/** Oklab to linear sRGB; channels outside 0–1 lie outside the gamut. */
export function linearOfOklab(lightness: number, a: number, b: number): LinearRgb {
  const lRoot = lightness + 0.3963377773761749 * a + 0.2158037573099136 * b;
  const mRoot = lightness - 0.1055613458156586 * a - 0.0638541728258133 * b;
  const sRoot = lightness - 0.0894841775298119 * a - 1.2914855480194092 * b;
  const l = lRoot * lRoot * lRoot;
  const m = mRoot * mRoot * mRoot;
  const s = sRoot * sRoot * sRoot;
  return [
    4.0767416360759574 * l - 3.3077115392580616 * m + 0.2309699031821044 * s,
    -1.2684379732850317 * l + 2.6097573492876887 * m - 0.341319376002657 * s,
    -0.0041960761386756 * l - 0.7034186179359363 * m + 1.7076146940746117 * s,
  ];
}

const EDGE = 1e-6;
const isInside = ([r, g, b]: LinearRgb) =>
  r >= -EDGE && r <= 1 + EDGE && g >= -EDGE && g <= 1 + EDGE && b >= -EDGE && b <= 1 + EDGE;

const clip = ([r, g, b]: LinearRgb): LinearRgb => [
  Math.min(1, Math.max(0, r)),
  Math.min(1, Math.max(0, g)),
  Math.min(1, Math.max(0, b)),
];

/** Euclidean distance in Oklab (ΔE OK). */
export const distance = (a: Oklab, b: Oklab): number => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);

const JUST_NOTICEABLE = 0.02;
const PRECISION = 0.0001;

/**
 * OKLCH to linear sRGB by the gamut mapping of CSS Color 4 ("binary search gamut mapping with local MINDE"): lightness and
 * hue stay, chroma gives way until clipping changes the colour by less than is noticeable. `hue` in degrees.
 */
export function mapIntoGamut(lightness: number, chroma: number, hue: number): LinearRgb {
  if (lightness >= 1) return [1, 1, 1];
  if (lightness <= 0) return [0, 0, 0];
  const cos = Math.cos((hue * Math.PI) / 180);
  const sin = Math.sin((hue * Math.PI) / 180);
  const at = (c: number) => linearOfOklab(lightness, c * cos, c * sin);
  const plain = at(chroma);
  if (isInside(plain)) return plain;
  let clipped = clip(plain);
  const off = (c: number) => distance(oklabOf(clipped), [lightness, c * cos, c * sin]);
  if (off(chroma) < JUST_NOTICEABLE) return clipped;
  let low = 0;
  let high = chroma;
  let lowIsInside = true;
  while (high - low > PRECISION) {
    const middle = (low + high) / 2;
    const rgb = at(middle);
    if (lowIsInside && isInside(rgb)) {
      low = middle;
      continue;
    }
    clipped = clip(rgb);
    const error = off(middle);
    if (error < JUST_NOTICEABLE) {
      if (JUST_NOTICEABLE - error < PRECISION) return clipped;
      lowIsInside = false;
      low = middle;
    } else high = middle;
  }
  return clipped;
}

/** Relative luminance, 0–1, as WCAG 2.2 defines it. */
export const luminanceOf = ([r, g, b]: LinearRgb): number => 0.2126 * r + 0.7152 * g + 0.0722 * b;
