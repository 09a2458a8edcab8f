/// <reference lib="webworker" />
import { paletteOf, type Weighed } from "../core/theme";

export type PaletteAsk = { readonly picture: Blob | ImageBitmap };
export type PaletteAnswer = { readonly ok: true; readonly colours: readonly Weighed[] } | { readonly ok: false };

/** Longest side at which colours are counted: finer detail changes none of them. */
const SIDE = 256;

// Decoding, shrinking and clustering a picture all happen here, so that the studio never waits for it.
self.onmessage = async ({ data }: MessageEvent<PaletteAsk>) => {
  let answer: PaletteAnswer;
  try {
    const whole = data.picture instanceof Blob ? await createImageBitmap(data.picture) : data.picture;
    const scale = Math.min(1, SIDE / Math.max(whole.width, whole.height));
    const width = Math.max(1, Math.round(whole.width * scale));
    const height = Math.max(1, Math.round(whole.height * scale));
    const context = new OffscreenCanvas(width, height).getContext("2d", { willReadFrequently: true })!;
    context.drawImage(whole, 0, 0, width, height);
    whole.close();
    answer = { ok: true, colours: paletteOf(context.getImageData(0, 0, width, height).data) };
  } catch {
    answer = { ok: false };
  }
  self.postMessage(answer);
};
