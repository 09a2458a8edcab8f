import { fromOklch, oklchOf, type Hex } from "./colour";

/** Tones of a ramp: OKLCH lightness in percent. */
export const TONES = [98, 95, 90, 82, 72, 62, 52, 43, 34, 26, 18] as const;
export type Tone = (typeof TONES)[number];
export type Ramp = Readonly<Record<Tone, Hex>>;

/**
 * One tone of a colour: its hue at another lightness. Chroma is the colour's own at its own lightness and falls off towards
 * white and black the way paint does, so that pale tones stay calm and dark ones do not glow. `tone` 0–100.
 */
export function toneOf(colour: Hex, tone: number): Hex {
  const own = oklchOf(colour);
  const target = tone / 100;
  const room = target > own.lightness ? 1 - own.lightness : own.lightness;
  const way = room <= 0 ? 1 : Math.abs(target - own.lightness) / room;
  return fromOklch(target, own.chroma * (1 - 0.85 * way ** 1.6), own.hue);
}

/** A colour's tonal ramp in OKLCH, each tone brought into sRGB by CSS Color 4 gamut mapping. */
export const rampOf = (colour: Hex): Ramp =>
  Object.fromEntries(TONES.map((tone) => [tone, toneOf(colour, tone)])) as Record<Tone, Hex>;
