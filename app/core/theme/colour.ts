import { formatHex, parse, converter } from "culori";
import { distance, hexOf, linearOf, linearOfOklab, luminanceOf, mapIntoGamut, oklabOf } from "./oklch";

/** An sRGB colour as `#rrggbb`, lower case. */
export type Hex = string;

const toOklch = converter("oklch");

/**
 * Reads a colour written in any CSS Color 4 form and brings it into sRGB by the gamut mapping of CSS Color 4.
 * Undefined when it is not a colour; transparency is dropped.
 */
export function readColour(text: string): Hex | undefined {
  const colour = parse(text.trim());
  if (!colour) return undefined;
  if (colour.mode === "rgb") {
    const { alpha: _opaque, ...rest } = colour;
    return formatHex(rest);
  }
  const { l, c, h } = toOklch(colour);
  return fromOklch(l, c ?? 0, h ?? 0);
}

/** `lightness` 0–1, `chroma` 0–0.4, `hue` in degrees; hue is 0 for greys. */
export function oklchOf(hex: Hex): { lightness: number; chroma: number; hue: number } {
  const [lightness, a, b] = oklabOf(linearOf(hex));
  const chroma = Math.hypot(a, b);
  // Rounding of the matrices leaves greys with a trace of chroma and a meaningless hue.
  if (chroma < 1e-5) return { lightness, chroma: 0, hue: 0 };
  return { lightness, chroma, hue: ((Math.atan2(b, a) * 180) / Math.PI + 360) % 360 };
}

/** The nearest sRGB colour of that lightness, chroma and hue (CSS Color 4 gamut mapping: chroma gives way). */
export const fromOklch = (lightness: number, chroma: number, hue: number): Hex =>
  hexOf(mapIntoGamut(lightness, chroma, hue));

/** ΔE OK: the Euclidean distance in Oklab (CSS Color 4, "Color Difference"). About 0.02 is just noticeable. */
export const deltaEOk = (a: Hex, b: Hex): number => distance(oklabOf(linearOf(a)), oklabOf(linearOf(b)));

/** Mixes in Oklab: `share` 0 gives `a`, 1 gives `b`. */
export function mix(a: Hex, b: Hex, share: number): Hex {
  const from = oklabOf(linearOf(a));
  const to = oklabOf(linearOf(b));
  const at = (i: 0 | 1 | 2) => from[i] + (to[i] - from[i]) * share;
  return hexOf(linearOfOklab(at(0), at(1), at(2)));
}

/** The same colour lighter or darker: `by` is added to its OKLCH lightness (0–1). */
export function shade(hex: Hex, by: number): Hex {
  const { lightness, chroma, hue } = oklchOf(hex);
  return fromOklch(lightness + by, chroma, hue);
}

/** Relative luminance, 0–1, as WCAG 2.2 defines it. */
export const luminance = (hex: Hex): number => luminanceOf(linearOf(hex));

const ratioOf = (a: number, b: number) => (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);

/** Contrast ratio, 1–21, as WCAG 2.2 defines it. */
export const contrast = (a: Hex, b: Hex): number => ratioOf(luminance(a), luminance(b));

/** The least contrast of `hex` with any of `against`; infinite where there are none. */
export const leastContrast = (hex: Hex, against: readonly Hex[]): number =>
  Math.min(Number.POSITIVE_INFINITY, ...against.map((other) => contrast(hex, other)));

/** Relative luminances from `low` to `high`, both included. */
export type Span = readonly [low: number, high: number];

const overlap = (a: readonly Span[], b: readonly Span[]): readonly Span[] =>
  a.flatMap(([low, high]) =>
    b.flatMap(([otherLow, otherHigh]): readonly Span[] => {
      const both: Span = [Math.max(low, otherLow), Math.min(high, otherHigh)];
      return both[0] <= both[1] ? [both] : [];
    }),
  );

/**
 * The luminances that stand at `ratio` or more against every one of `against`: contrast depends on nothing else (WCAG 2.2),
 * so that what can be read is a matter of a few spans, not of a search.
 */
export function spansAgainst(against: readonly Hex[], ratio: number): readonly Span[] {
  let spans: readonly Span[] = [[0, 1]];
  for (const other of against) {
    const ground = luminance(other) + 0.05;
    spans = overlap(spans, [
      [0, ground / ratio - 0.05],
      [ground * ratio - 0.05, 1],
    ]);
  }
  return spans;
}

/** The luminances on which white or black words reach `ratio`. */
export const spansForWords = (ratio: number): readonly Span[] => [
  [0, 1.05 / ratio - 0.05],
  [0.05 * ratio - 0.05, 1],
];

export const bothSpans = overlap;

/** How far chroma may be given up, or taken, in search of a nearer colour of the same luminance. */
const CHROMA_STEP = 0.1;

/** An 8-bit step in OKLCH lightness, about. */
const FINE = 1 / 400;

/** The first lightness on the way from `from` at which a colour's luminance reaches `bound`, as a colour. */
function reach(from: number, chroma: number, hue: number, bound: number, darker: boolean): Hex {
  let failing = from;
  let passing = darker ? 0 : 1;
  for (let i = 0; i < 10; i++) {
    const middle = (failing + passing) / 2;
    const own = luminanceOf(mapIntoGamut(middle, chroma, hue));
    if (darker ? own <= bound : own >= bound) passing = middle;
    else failing = middle;
  }
  // Rounding to 8 bits can fall short by a step.
  for (let i = 0; i < 4; i++) {
    const hex = fromOklch(passing + (darker ? -FINE : FINE) * i, chroma, hue);
    const own = luminance(hex);
    if (darker ? own <= bound : own >= bound) return hex;
  }
  return darker ? "#000000" : "#ffffff";
}

/**
 * The colour nearest to `wish` (ΔE OK, hue kept) whose luminance lies in one of `spans`. The wish itself where it does;
 * undefined where there are no spans.
 */
export function nearestIn(wish: Hex, spans: readonly Span[]): Hex | undefined {
  const own = luminance(wish);
  if (spans.some(([low, high]) => own >= low && own <= high)) return wish;
  const { lightness, chroma, hue } = oklchOf(wish);
  let best: { hex: Hex; bound: number; darker: boolean; off: number } | undefined;
  const consider = (chromaHere: number, bound: number, darker: boolean, [low, high]: Span): boolean => {
    // A pale colour of little chroma is lighter than its wish: the way down starts at white, the way up at black.
    const hex = reach(chromaHere === chroma ? lightness : darker ? 1 : 0, chromaHere, hue, bound, darker);
    const reached = luminance(hex);
    if (reached < low || reached > high) return false;
    const off = deltaEOk(hex, wish);
    if (best && off >= best.off) return false;
    best = { hex, bound, darker, off };
    return true;
  };
  for (const span of spans) {
    const darker = own > span[1];
    consider(chroma, darker ? span[1] : span[0], darker, span);
  }
  if (!best) return undefined;
  const { bound, darker } = best;
  const span = spans.find(([low, high]) => bound === low || bound === high)!;
  for (const way of [-CHROMA_STEP, CHROMA_STEP]) {
    for (let share = 1 + way; share > 0.3 && share < 1.5; share += way) {
      if (!consider(chroma * share, bound, darker, span)) break;
    }
  }
  return best.hex;
}

/**
 * The colour nearest to `wish` (ΔE OK, hue kept) that stands at `ratio` or more against every one of `against`.
 * The wish itself where it passes; undefined where no luminance does.
 */
export const nearestPassing = (wish: Hex, against: readonly Hex[], ratio: number): Hex | undefined =>
  nearestIn(wish, spansAgainst(against, ratio));

/** Of named colours, the one that looks most like `hex`, and how far off it is (OKLab, 0 to about 1). */
export function nearestOf<Name extends string>(
  hex: Hex,
  named: readonly (readonly [name: Name, colour: Hex])[],
): { readonly name: Name; readonly colour: Hex; readonly off: number } | undefined {
  const [first] = named
    .map(([name, colour]) => ({ name, colour, off: deltaEOk(hex, colour) }))
    .toSorted((a, b) => a.off - b.off);
  return first;
}
