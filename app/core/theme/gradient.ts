import { contrast, oklchOf, shade, type Hex } from "./colour";
import type { Roles } from "./roles";

/** What a stop is coloured with: a role ("brand", "accent", "ink"), so that it follows the brand, or a colour of its own. */
export type StopColour = Hex;
export type Stop = { readonly colour: StopColour; /** 0–100 % of the way. */ readonly at: number };
export type Gradient = { readonly angle: number; readonly stops: readonly Stop[] };

/** A gradient ready to be drawn, and the words that can be read on all of it. */
export type SolvedGradient = {
  readonly stops: readonly { readonly colour: Hex; readonly at: number }[];
  readonly angle: number;
  readonly on: Hex;
  /** The least contrast of the words along its whole length. */
  readonly least: number;
  /** Whether a stop had to be moved for the words. */
  readonly moved: boolean;
};

const SAMPLES = 48;

const channels = (hex: Hex) => {
  const value = Number.parseInt(hex.slice(1), 16);
  return [(value >> 16) & 255, (value >> 8) & 255, value & 255] as const;
};

/** The colour of a CSS gradient at a place, 0–100: browsers mix stops in sRGB (CSS Images 4, for colours without a space). */
export function gradientAt(stops: SolvedGradient["stops"], at: number): Hex {
  const sorted = stops;
  const first = sorted[0]!;
  const last = sorted.at(-1)!;
  if (at <= first.at) return first.colour;
  if (at >= last.at) return last.colour;
  const right = sorted.findIndex((s) => s.at >= at && s !== first);
  const [a, b] = [sorted[right - 1]!, sorted[right]!];
  const share = b.at === a.at ? 1 : (at - a.at) / (b.at - a.at);
  const [from, to] = [channels(a.colour), channels(b.colour)];
  const mixed = from.map((v, i) => Math.round(v + (to[i]! - v) * share));
  return `#${((mixed[0]! << 16) | (mixed[1]! << 8) | mixed[2]!).toString(16).padStart(6, "0")}`;
}

/** The least contrast of `words` with any place of the gradient. */
export function leastAlong(stops: SolvedGradient["stops"], words: Hex): number {
  let least = Number.POSITIVE_INFINITY;
  for (let i = 0; i <= SAMPLES; i++) least = Math.min(least, contrast(gradientAt(stops, (i * 100) / SAMPLES), words));
  // Stops between two samples are the corners of the way, where contrast can be least.
  for (const stop of stops) least = Math.min(least, contrast(stop.colour, words));
  return least;
}

/**
 * Makes words legible along a gradient's whole length: the first of `candidates` (then white, then black) that reaches
 * `ratio` everywhere; where none does, the stops give way, all by the same lightness, as little as needed.
 */
export function solveGradient(
  gradient: Gradient,
  roles: Roles,
  candidates: readonly Hex[],
  ratio: number,
): SolvedGradient {
  const stops = gradient.stops
    .map(({ colour, at }) => ({ colour: colour.startsWith("#") ? colour : roles[colour as "brand"], at }))
    .toSorted((a, b) => a.at - b.at);
  const words = [...candidates, "#ffffff", "#000000"];
  const done = (used: SolvedGradient["stops"], on: Hex, moved: boolean): SolvedGradient => ({
    stops: used,
    angle: gradient.angle,
    on,
    least: leastAlong(used, on),
    moved,
  });
  const fitting = words.find((hex) => leastAlong(stops, hex) >= ratio);
  if (fitting) return done(stops, fitting, false);
  const dimmed = (by: number) => stops.map((stop) => ({ ...stop, colour: shade(stop.colour, by) }));
  for (let by = 0.01; by <= 1; by += 0.01) {
    for (const [way, on] of [
      [-1, "#ffffff"],
      [1, "#000000"],
    ] as const) {
      const trial = dimmed(way * by);
      if (leastAlong(trial, on) >= ratio) return done(trial, on, true);
    }
  }
  return done(stops, words.toSorted((a, b) => leastAlong(stops, b) - leastAlong(stops, a))[0]!, false);
}

/** The gradient with every stop a little further from its words, for hover and pressed. */
export function deepened(gradient: SolvedGradient, by: number): SolvedGradient["stops"] {
  const mean = gradient.stops.reduce((sum, s) => sum + oklchOf(s.colour).lightness, 0) / gradient.stops.length;
  const way = oklchOf(gradient.on).lightness > mean ? -1 : 1;
  const moved = gradient.stops.map((s) => ({ ...s, colour: shade(s.colour, way * by) }));
  return leastAlong(moved, gradient.on) >= Math.min(gradient.least, 4.5) ? moved : gradient.stops;
}

/** As CSS. */
export const gradientCss = (angle: number, stops: SolvedGradient["stops"]): string =>
  `linear-gradient(${angle}deg,${stops.map((s) => `${s.colour} ${s.at}%`).join(",")})`;
