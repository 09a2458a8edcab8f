import {
  bytesOf,
  hexOf,
  linearOf,
  linearOfBytes,
  linearOfOklab,
  mapIntoGamut,
  oklabOf,
  type Oklab,
} from "../theme/oklch";
import type { Pixels } from "./words-on-picture";

/** As much of a picture counts as its shadows. */
const SHADOWS = 1 / 3;
/** Below this share of opacity a pixel is not part of the picture. */
const LEAST_ALPHA = 128;

/** The colour of a picture's shadows, as `#rrggbb`: the mean of its darkest third in Oklab; null where it shows nothing. */
export function shadeOf({ data }: Pixels): string | null {
  const seen: Oklab[] = [];
  for (let i = 0; i < data.length; i += 4) {
    if (data[i + 3]! < LEAST_ALPHA) continue;
    seen.push(oklabOf(linearOfBytes(data[i]!, data[i + 1]!, data[i + 2]!)));
  }
  if (seen.length === 0) return null;
  const dark = seen.sort((a, b) => a[0] - b[0]).slice(0, Math.max(1, Math.round(seen.length * SHADOWS)));
  const mean = (axis: 0 | 1 | 2) => dark.reduce((sum, colour) => sum + colour[axis], 0) / dark.length;
  return hexOf(linearOfOklab(mean(0), mean(1), mean(2)));
}

/** As dark as the tint of a picture that nothing is known of, and coloured enough to belong, not enough to be seen as a colour. */
const TINT = { lightness: 0.18, most: 0.045 };

/** The dark tint that belongs to a picture: the hue of its shadows, nearly black. `shade`: `#rrggbb`. Gives sRGB bytes. */
export function tintOfShade(shade: string): readonly [number, number, number] {
  const [, a, b] = oklabOf(linearOf(shade));
  const hue = (Math.atan2(b, a) * 180) / Math.PI;
  return bytesOf(hexOf(mapIntoGamut(TINT.lightness, Math.min(TINT.most, Math.hypot(a, b)), hue)));
}
