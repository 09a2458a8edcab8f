import { contrast } from "../theme";
import type { Pixels } from "./words-on-picture";

/** Below this share of opacity a pixel is part of the ground. */
const LEAST_ALPHA = 96;
/** What this share of a logo's pixels reach, it is known by. */
const SHARE = 0.25;
/** A graphic that carries meaning needs this contrast (WCAG 2.2, 1.4.11); a logo is exempt, so half-way is said. */
export const LEAST_LOGO_CONTRAST = 1.8;

const hex = (value: number) => value.toString(16).padStart(2, "0");

/**
 * How well a logo is seen on a ground: the contrast that a quarter of its opaque pixels reach or pass; 21 where it has none.
 * `ground`: a colour as `#rrggbb`.
 */
export function logoContrast({ data }: Pixels, ground: string): number {
  const counts = new Map<string, number>();
  let all = 0;
  for (let i = 0; i < data.length; i += 4) {
    if (data[i + 3]! < LEAST_ALPHA) continue;
    // Sixteen steps of each channel are enough to tell what is seen.
    const [r, g, b] = [data[i]! & 0xf0, data[i + 1]! & 0xf0, data[i + 2]! & 0xf0].map((v) => v | (v >> 4));
    const colour = `#${hex(r!)}${hex(g!)}${hex(b!)}`;
    counts.set(colour, (counts.get(colour) ?? 0) + 1);
    all++;
  }
  if (all === 0) return 21;
  const reached = [...counts]
    .map(([colour, count]) => [contrast(colour, ground), count] as const)
    .sort((a, b) => b[0] - a[0]);
  let seen = 0;
  for (const [ratio, count] of reached) {
    seen += count;
    if (seen >= all * SHARE) return ratio;
  }
  return 1;
}

/** Whether a colour is a light one: what stands out on it is dark. */
export const isLight = (colour: string): boolean => contrast(colour, "#000000") > contrast(colour, "#ffffff");
