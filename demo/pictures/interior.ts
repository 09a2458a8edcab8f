import { oklch } from "culori";
import { COLOURWAYS } from "./colourways";
import { darker, grain, joined, lighter, linear, radial, type Drawing } from "./paint";
import type { Random } from "./random";

// What all pictures of the workshop are made of.

export const W = 1600;
export const WOOD = "#a87b4c";
export const SHADOW = "#1e150c";

export const none: Drawing = { shapes: "", defs: "" };
export const shapes = (text: string): Drawing => ({ ...none, shapes: text });

/** Every cloth there is, from red over yellow, green and blue to violet, each colour once. */
const SPECTRUM: readonly string[] = [...new Set(Object.values(COLOURWAYS).flatMap((c) => c.cloth))]
  .filter((colour) => oklch(colour)!.c > 0.045)
  .sort((a, b) => turn(a) - turn(b));
/** The hue of a colour in degrees, counted from the reds. */
function turn(colour: string): number {
  return ((oklch(colour)!.h ?? 0) + 345) % 360;
}
export const PALE = ["#f5efe0", "#eef1ec", "#f7f2e7"] as const;

/** A colour of the spectrum, `share` of the way along it. */
export const along = (share: number): string =>
  SPECTRUM[Math.min(SPECTRUM.length - 1, Math.max(0, Math.floor(share * SPECTRUM.length)))]!;

/** Light that falls in from the upper left, darker corners, and a little grain over it all. */
export const light = (H: number): Drawing =>
  joined(
    {
      defs: radial("glow", [W * 0.24, H * 0.06], W * 0.95, [
        [0, "#fff6df", 0.26],
        [0.45, "#fff6df", 0.05],
        [1, "#1a1208", 0.3],
      ]),
      shapes: `<rect width="${W}" height="${H}" fill="url(#glow)"/>`,
    },
    grain(W, H),
  );

/** Boards that lie across the picture, with their grain. */
export function boards(top: number, bottom: number, count: number, random: Random): Drawing {
  const height = (bottom - top) / count;
  let defs = "";
  let drawn = "";
  for (let i = 0; i < count; i++) {
    const y = top + i * height;
    const tone = random.next() > 0.5 ? lighter(WOOD, random.between(0, 0.16)) : darker(WOOD, random.between(0, 0.14));
    const key = `board${Math.round(top)}${i}`;
    defs += linear(
      key,
      [0, y],
      [0, y + height],
      [
        [0, lighter(tone, 0.12)],
        [0.1, tone],
        [0.92, darker(tone, 0.08)],
        [1, darker(tone, 0.4)],
      ],
    );
    drawn += `<rect y="${y.toFixed(1)}" width="${W}" height="${(height + 1).toFixed(1)}" fill="url(#${key})"/>`;
    for (let k = 0; k < height / 9; k++) {
      const gy = y + random.between(4, height - 4);
      const wave = random.between(-7, 7);
      const from = random.between(-200, W * 0.7);
      const length = random.between(280, 900);
      drawn += `<path d="M${from.toFixed(0)} ${gy.toFixed(0)}q${(length / 4).toFixed(0)} ${wave.toFixed(1)} ${(length / 2).toFixed(0)} 0t${(length / 2).toFixed(0)} ${(wave / 2).toFixed(1)}" stroke="${darker(WOOD, 0.45)}" stroke-opacity="${random.between(0.08, 0.26).toFixed(2)}" stroke-width="${random.between(0.8, 2.2).toFixed(1)}" fill="none"/>`;
    }
  }
  return { defs, shapes: drawn };
}
