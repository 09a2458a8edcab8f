/// <reference lib="webworker" />
import {
  applyTone,
  leastScrim,
  worstOnPicture,
  type WordsBox,
  type Pixels,
  type Scrim,
  type ScrimBoxes,
  type ToneMatrix,
} from "../core/pictures";

export type ContrastAsk = {
  readonly id: number;
  /** The address of a rendition of the picture. */
  readonly picture: string;
  readonly crop: WordsBox;
  /** Words by size, with the contrast that each size needs. */
  readonly words: readonly { readonly boxes: readonly WordsBox[]; readonly needed: number }[];
  readonly scrim: Scrim;
  readonly boxes?: ScrimBoxes | undefined;
  /** The tone that the picture is shown in. */
  readonly tone?: ToneMatrix | undefined;
};
export type ContrastAnswer = {
  readonly id: number;
  /** What the words that are worst off reach now, and what they need; undefined where the picture can't be read. */
  readonly worst: { readonly reached: number; readonly needed: number } | undefined;
  /** The scrim that would be just enough, where the present one is not, or is more than is needed. */
  readonly enough: Scrim | undefined;
};

const SIDE = 480;
const MOST_KEPT = 12;

/** Decoded pictures, latest last: words are edited far more often than pictures are changed. */
const decoded = new Map<string, Promise<Pixels>>();

async function decode(address: string): Promise<Pixels> {
  const whole = await createImageBitmap(await (await fetch(address)).blob());
  const scale = Math.min(1, SIDE / Math.max(whole.width, whole.height));
  const width = Math.max(1, Math.round(whole.width * scale));
  const height = Math.max(1, Math.round(whole.height * scale));
  const context = new OffscreenCanvas(width, height).getContext("2d", { willReadFrequently: true })!;
  context.drawImage(whole, 0, 0, width, height);
  whole.close();
  return { data: context.getImageData(0, 0, width, height).data, width, height };
}

function pixelsOf(address: string): Promise<Pixels> {
  const known = decoded.get(address);
  if (known) return known;
  const made = decode(address);
  decoded.set(address, made);
  made.catch(() => decoded.delete(address));
  if (decoded.size > MOST_KEPT) decoded.delete(decoded.keys().next().value!);
  return made;
}

function toned(data: Pixels["data"], tone: ToneMatrix): Uint8ClampedArray {
  const copy = Uint8ClampedArray.from(data);
  applyTone(copy, 4, tone);
  return copy;
}

self.onmessage = async ({ data }: MessageEvent<ContrastAsk>) => {
  const { id, picture, crop, words, scrim, boxes, tone } = data;
  let answer: ContrastAnswer = { id, worst: undefined, enough: undefined };
  try {
    const plain = await pixelsOf(picture);
    const pixels = tone ? { ...plain, data: toned(plain.data, tone) } : plain;
    const all = words.map(({ boxes: places, needed }) => ({ pixels, crop, words: places, needed, boxes }));
    answer = { id, worst: worstOnPicture(all, scrim), enough: leastScrim(all, scrim) };
  } catch {
    // The picture is gone or can't be decoded; there is nothing to be said about words on it.
  }
  self.postMessage(answer);
};
