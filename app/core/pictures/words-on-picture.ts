import { linearLight, linearOf, luminanceOf } from "../theme/oklch";
import { tintOfShade } from "./shade";

// Whether words can be read that stand on a picture: measured on the picture's own pixels, under the words, in the crop that
// a device shows, through the scrim between the two.

/** A picture's pixels as RGBA bytes. */
export type Pixels = { readonly data: ArrayLike<number>; readonly width: number; readonly height: number };
/** A place within a box, each edge as a share of the box from its top left, 0–1. */
export type WordsBox = { readonly left: number; readonly top: number; readonly right: number; readonly bottom: number };

export const SCRIM_FROM = ["bottom", "top", "left", "right", "even"] as const;
export type ScrimFrom = (typeof SCRIM_FROM)[number];
export const SCRIM_TONES = ["dark", "light"] as const;
export type ScrimTone = (typeof SCRIM_TONES)[number];
/** The tint between a picture and the words on it. `strength`: 0–100; `shade`: the colour of the picture's shadows, `#rrggbb`. */
export type Scrim = {
  readonly strength: number;
  readonly from: ScrimFrom;
  readonly tone: ScrimTone;
  readonly shade?: string | null | undefined;
};

/** The colour of each tone of scrim, as sRGB bytes, where the picture brings none of its own; and that of the words on it. */
export const SCRIM_COLOURS: Readonly<
  Record<ScrimTone, { readonly scrim: readonly [number, number, number]; readonly words: string }>
> = {
  dark: { scrim: [8, 18, 26], words: "#ffffff" },
  light: { scrim: [255, 253, 248], words: "#10181d" },
};

/** The colour that a scrim has on its picture, as sRGB bytes. */
export const scrimColour = ({ tone, shade }: Pick<Scrim, "tone" | "shade">): readonly [number, number, number] =>
  tone === "dark" && shade ? tintOfShade(shade) : SCRIM_COLOURS[tone].scrim;

/** How strong a scrim is along its way, as a factor of its strength: even where the words stand, gone before the far side. */
export const SCRIM_STOPS: readonly (readonly [at: number, factor: number])[] = [
  [0, 1.1],
  [0.38, 1],
  [0.62, 0.8],
  [0.82, 0],
];

/**
 * A scrim from below that belongs to words reaches this far above them, as a share of their height. So it is as dense where
 * the words are on a tall picture as on a low one, and leaves the rest of the picture alone.
 */
export const SCRIM_REACH = 0.35;

/** The box of a scrim for each side from which it does not fill the box of the picture, as shares of the latter. */
export type ScrimBoxes = Partial<Readonly<Record<ScrimFrom, WordsBox>>>;

/** The opacity of a scrim at a place of its box (shares from the top left), 0–1. */
export function scrimAlpha({ strength, from }: Scrim, x: number, y: number): number {
  if (from === "even") return Math.min(1, strength / 100);
  const along = { bottom: 1 - y, top: y, left: x, right: 1 - x }[from];
  const next = SCRIM_STOPS.findIndex(([at]) => at >= along);
  const after = SCRIM_STOPS[next];
  if (!after) return 0;
  const before = SCRIM_STOPS[next - 1] ?? after;
  const alphaOf = (factor: number) => Math.min(1, (strength / 100) * factor);
  const share = after[0] === before[0] ? 1 : (along - before[0]) / (after[0] - before[0]);
  // The browser clips each stop to 1 before it mixes them.
  return alphaOf(before[1]) + (alphaOf(after[1]) - alphaOf(before[1])) * share;
}

/**
 * The part of a picture that a box of another shape shows (CSS `object-fit: cover` with `object-position` in percent), as
 * shares of the picture.
 */
export function cropOf(
  picture: { readonly width: number; readonly height: number },
  box: { readonly width: number; readonly height: number },
  focus: readonly [x: number, y: number],
  /** How much it is enlarged about that point: 1 just fills the box. */
  zoom = 1,
): WordsBox {
  const scale = Math.max(box.width / picture.width, box.height / picture.height) * zoom;
  const shownWidth = box.width / scale / picture.width;
  const shownHeight = box.height / scale / picture.height;
  const left = ((1 - shownWidth) * focus[0]) / 100;
  const top = ((1 - shownHeight) * focus[1]) / 100;
  return { left, top, right: left + shownWidth, bottom: top + shownHeight };
}

/** The place of a picture, in percent from its top left, that stands at a place of the box that shows a crop of it. */
export const placeInPicture = (crop: WordsBox, x: number, y: number): readonly [x: number, y: number] => [
  Math.round(100 * (crop.left + x * (crop.right - crop.left))),
  Math.round(100 * (crop.top + y * (crop.bottom - crop.top))),
];

/** Steps of the table between two neighbouring values of an 8-bit channel. */
const FINE = 8;
/** Linear light of a channel's value in steps of an eighth: mixed layers fall between the 256 that a screen shows. */
const LINEAR = Float64Array.from({ length: 255 * FINE + 1 }, (_each, i) => linearLight(i / FINE / 255));
const luminance = (r: number, g: number, b: number): number =>
  luminanceOf([LINEAR[Math.round(r * FINE)]!, LINEAR[Math.round(g * FINE)]!, LINEAR[Math.round(b * FINE)]!]);

/** Pixels under words: their colours, and where in the picture's box they stand. */
type Samples = {
  readonly count: number;
  readonly rgb: Float32Array;
  readonly places: Float32Array;
};

const MOST_SAMPLES = 6_000;

function samplesUnder(pixels: Pixels, crop: WordsBox, words: readonly WordsBox[]): Samples {
  const inCrop = words.map((w) => ({
    left: crop.left + (crop.right - crop.left) * Math.max(0, w.left),
    right: crop.left + (crop.right - crop.left) * Math.min(1, w.right),
    top: crop.top + (crop.bottom - crop.top) * Math.max(0, w.top),
    bottom: crop.top + (crop.bottom - crop.top) * Math.min(1, w.bottom),
  }));
  const area =
    inCrop.reduce((sum, p) => sum + Math.max(0, p.right - p.left) * Math.max(0, p.bottom - p.top), 0) *
    pixels.width *
    pixels.height;
  const step = Math.max(1, Math.ceil(Math.sqrt(area / MOST_SAMPLES)));
  const rgb: number[] = [];
  const places: number[] = [];
  for (const place of inCrop) {
    const [fromX, toX] = [
      Math.floor(place.left * pixels.width),
      Math.min(pixels.width, Math.ceil(place.right * pixels.width)),
    ];
    const [fromY, toY] = [
      Math.floor(place.top * pixels.height),
      Math.min(pixels.height, Math.ceil(place.bottom * pixels.height)),
    ];
    for (let py = Math.max(0, fromY); py < toY; py += step) {
      for (let px = Math.max(0, fromX); px < toX; px += step) {
        const i = (py * pixels.width + px) * 4;
        rgb.push(pixels.data[i]!, pixels.data[i + 1]!, pixels.data[i + 2]!);
        places.push(
          ((px + 0.5) / pixels.width - crop.left) / (crop.right - crop.left),
          ((py + 0.5) / pixels.height - crop.top) / (crop.bottom - crop.top),
        );
      }
    }
  }
  return { count: places.length / 2, rgb: Float32Array.from(rgb), places: Float32Array.from(places) };
}

/** Letters are judged by the worst of what is under them, but for single specks: the contrast that 97 % of it reaches. */
const SPECKS = 0.03;

/** A place of a picture's box, as a place of the box of its scrim. */
function inScrim(
  boxes: ScrimBoxes | undefined,
  from: ScrimFrom,
  x: number,
  y: number,
): readonly [x: number, y: number] {
  const box = boxes?.[from];
  return box ? [(x - box.left) / (box.right - box.left), (y - box.top) / (box.bottom - box.top)] : [x, y];
}

/** How many shades of opacity are told apart along a scrim. */
const SHADES = 512;

/** The contrast of the words with what is behind each sample, given one after the other until `each` answers no. */
function eachContrast(
  { count, rgb, places }: Samples,
  scrim: Scrim,
  boxes: ScrimBoxes | undefined,
  each: (ratio: number) => boolean,
): void {
  const tint = scrimColour(scrim);
  const own = luminanceOf(linearOf(SCRIM_COLOURS[scrim.tone].words));
  // A scrim changes along one way only, so its opacity is worked out once for each step of that way.
  const isAcross = scrim.from === "left" || scrim.from === "right";
  const alphas = Float64Array.from({ length: SHADES + 1 }, (_each, i) =>
    scrimAlpha(scrim, isAcross ? i / SHADES : 0, isAcross ? 0 : i / SHADES),
  );
  for (let i = 0; i < count; i++) {
    const [x, y] = inScrim(boxes, scrim.from, places[2 * i]!, places[2 * i + 1]!);
    const way = Math.min(1, Math.max(0, isAcross ? x : y));
    const alpha = alphas[Math.round(way * SHADES)]!;
    // Layers are mixed in encoded sRGB (CSS Compositing 1, simple alpha compositing).
    const [r, g, b] = [rgb[3 * i]!, rgb[3 * i + 1]!, rgb[3 * i + 2]!];
    const ground = luminance(r + (tint[0] - r) * alpha, g + (tint[1] - g) * alpha, b + (tint[2] - b) * alpha);
    if (!each((Math.max(own, ground) + 0.05) / (Math.min(own, ground) + 0.05))) return;
  }
}

/** The place, in order from the least contrast, of the one that counts. */
const deciding = (count: number): number => Math.floor(count * SPECKS);

function leastContrast(samples: Samples, scrim: Scrim, boxes: ScrimBoxes | undefined): number {
  const ratios = new Float64Array(samples.count);
  let at = 0;
  eachContrast(samples, scrim, boxes, (ratio) => {
    ratios[at++] = ratio;
    return true;
  });
  ratios.sort();
  return ratios[deciding(samples.count)] ?? 21;
}

/** Whether the least contrast is no less than what is needed; found without putting all into order. */
function reaches(samples: Samples, scrim: Scrim, boxes: ScrimBoxes | undefined, needed: number): boolean {
  const allowed = deciding(samples.count);
  let below = 0;
  eachContrast(samples, scrim, boxes, (ratio) => ratio >= needed || ++below <= allowed);
  return below <= allowed;
}

export type WordsOnPicture = {
  readonly pixels: Pixels;
  readonly boxes?: ScrimBoxes | undefined;
  /** The part of the picture that is shown. */
  readonly crop: WordsBox;
  /** Where words stand in the box that the picture fills. */
  readonly words: readonly WordsBox[];
};

/** The contrast that words reach on a picture through a scrim, 1–21; 21 where there are no words. */
export const contrastOnPicture = ({ pixels, crop, words, boxes }: WordsOnPicture, scrim: Scrim): number =>
  leastContrast(samplesUnder(pixels, crop, words), scrim, boxes);

/** How much a scrim takes from a picture: its opacity, averaged over the box. */
export function scrimWeight(scrim: Scrim, boxes?: ScrimBoxes): number {
  const STEPS = 20;
  let sum = 0;
  for (let i = 0; i < STEPS; i++)
    for (let j = 0; j < STEPS; j++)
      sum += scrimAlpha(scrim, ...inScrim(boxes, scrim.from, (i + 0.5) / STEPS, (j + 0.5) / STEPS));
  return sum / STEPS ** 2;
}

const MOST_STRENGTH = 95;

/** Words of one size on a picture, and the contrast that they need: large ones need less (WCAG 2.2, 1.4.3). */
export type NeedyWords = WordsOnPicture & { readonly needed: number };

/** Of words of several sizes, those that are worst off: what they reach, and what they need. */
export function worstOnPicture(
  all: readonly NeedyWords[],
  scrim: Scrim,
): { readonly reached: number; readonly needed: number } | undefined {
  const [worst] = all
    .map((each) => ({ reached: contrastOnPicture(each, scrim), needed: each.needed }))
    .toSorted((a, b) => a.reached / a.needed - b.reached / b.needed);
  return worst;
}

/**
 * The scrim that is just strong enough for all words to reach what they need: of all sides and both tones the one that takes least
 * from the picture; the side and tone there are now are kept when another would save less than a tenth. Undefined where
 * none is enough.
 */
export function leastScrim(all: readonly NeedyWords[], now: Scrim): Scrim | undefined {
  const groups = all.map((each) => ({
    samples: samplesUnder(each.pixels, each.crop, each.words),
    needed: each.needed,
    boxes: each.boxes,
  }));
  const weight = (scrim: Scrim) => scrimWeight(scrim, all[0]?.boxes);
  const isEnough = (scrim: Scrim) =>
    groups.every(({ samples, needed, boxes }) => reaches(samples, scrim, boxes, needed));
  const found: Scrim[] = [];
  for (const tone of SCRIM_TONES) {
    for (const from of SCRIM_FROM) {
      const at = (strength: number): Scrim => ({ strength, from, tone, shade: now.shade });
      if (!isEnough(at(MOST_STRENGTH))) continue;
      let low = 0;
      let high = MOST_STRENGTH;
      while (low < high) {
        const middle = Math.floor((low + high) / 2);
        if (isEnough(at(middle))) high = middle;
        else low = middle + 1;
      }
      found.push(at(high));
    }
  }
  const [best] = found.toSorted((a, b) => weight(a) - weight(b));
  const same = found.find((s) => s.from === now.from && s.tone === now.tone);
  return best && same && weight(same) - weight(best) < 0.1 ? same : best;
}
