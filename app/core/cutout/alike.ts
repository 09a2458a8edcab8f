import type { Light, ThingFrame } from "../pictures";
import { linearLight, linearOfBytes, oklabOf } from "../theme/oklch";
import { colourAt } from "./ground";
import type { Found } from "./find";

// What makes pictures of goods alike: each thing as large in its frame as the others, in the same light. The light is told from the
// ground that things were photographed on: where one was bluer or darker than the others, so was the light on its thing.

type Box = { readonly left: number; readonly top: number; readonly width: number; readonly height: number };

/** Size of the frame around a thing, and where the picture that the thing was found in lies in it; all in px of that picture. */
export function frameAround(
  box: Box,
  { ratio, fill, stand }: ThingFrame,
): { readonly width: number; readonly height: number; readonly x: number; readonly y: number } {
  const room = (Math.max(box.width, box.height) * (1 - fill)) / 2;
  const height = ratio === null ? box.height + 2 * room : Math.max(box.height, box.width / ratio) / fill;
  const width = ratio === null ? box.width + 2 * room : height * ratio;
  const below = stand ? ((1 - fill) / 2) * height : (height - box.height) / 2;
  return { width, height, x: (width - box.width) / 2 - box.left, y: height - below - box.height - box.top };
}

/** The colour of the ground in the middle of a picture, as sRGB bytes; null where it has none that tells of the light. */
export function paperOf({ ground }: Pick<Found, "ground">): readonly [number, number, number] | null {
  if (!ground) return null;
  const colour = [0, 0, 0];
  colourAt(ground.surface, 0.5, 0.5, colour);
  const [r, g, b] = colour.map(Math.round) as [number, number, number];
  const [, a, c] = oklabOf(linearOfBytes(r, g, b));
  // A ground of a strong colour is that colour, and not white paper in coloured light.
  return Math.hypot(a, c) < PAPER ? [r, g, b] : null;
}
const PAPER = 0.045;
/** Light is changed by no more than this: a dark ground may simply be a dark ground. */
const MOST_GAIN = 1.3;

const median = (values: readonly number[]): number => values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)]!;

/** How the light of each picture is changed so that all are lit as most of them are. `papers`: what `paperOf` says of each. */
export function lightsFor(papers: readonly (readonly [number, number, number] | null)[]): readonly (Light | null)[] {
  const known = papers.filter((paper) => paper !== null).map(([r, g, b]) => linearOfBytes(r, g, b));
  if (known.length < 2) return papers.map(() => null);
  const aim = [0, 1, 2].map((c) => median(known.map((light) => light[c]!)));
  return papers.map((paper) => {
    if (!paper) return null;
    const light = linearOfBytes(...paper);
    const gains = aim.map((value, c) => {
      const gain = Math.min(MOST_GAIN, Math.max(1 / MOST_GAIN, value / Math.max(0.01, light[c]!)));
      return Math.round(gain * 1000) / 1000;
    });
    return gains.every((gain) => Math.abs(gain - 1) < 0.015) ? null : [gains[0]!, gains[1]!, gains[2]!];
  });
}

/** A table of 256 bytes: what each becomes when its linear light is multiplied. */
function tableOf(gain: number): Uint8ClampedArray {
  return Uint8ClampedArray.from({ length: 256 }, (_u, byte) => {
    const light = Math.min(1, linearLight(byte / 255) * gain);
    return 255 * (light <= 0.0031308 ? light * 12.92 : 1.055 * light ** (1 / 2.4) - 0.055);
  });
}

/** Changes the light of RGBA bytes, in place. */
export function applyLight(data: Uint8ClampedArray, light: Light): void {
  const tables = light.map(tableOf);
  for (let at = 0; at < data.length; at += 4) for (const c of [0, 1, 2]) data[at + c] = tables[c]![data[at + c]!]!;
}
