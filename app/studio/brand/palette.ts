import type { Weighed } from "~/core/theme";
import type { PaletteAnswer, PaletteAsk } from "~/workers/palette.worker";

/** A drawing is painted by the page, for workers can't read one; it is small, so that this takes no time. */
async function paint(drawing: Blob): Promise<ImageBitmap> {
  const image = new Image();
  image.src = URL.createObjectURL(drawing);
  try {
    await image.decode();
    const canvas = document.createElement("canvas");
    const scale = 256 / Math.max(image.naturalWidth || 256, image.naturalHeight || 256);
    canvas.width = Math.max(1, Math.round((image.naturalWidth || 256) * scale));
    canvas.height = Math.max(1, Math.round((image.naturalHeight || 256) * scale));
    canvas.getContext("2d")!.drawImage(image, 0, 0, canvas.width, canvas.height);
    return await createImageBitmap(canvas);
  } finally {
    URL.revokeObjectURL(image.src);
  }
}

/** The colours of a picture, heaviest first, found in a web worker. Undefined where the file can't be read as a picture. */
export async function coloursOf(picture: Blob): Promise<readonly Weighed[] | undefined> {
  const worker = new Worker(new URL("../../workers/palette.worker.ts", import.meta.url), { type: "module" });
  try {
    const ask: PaletteAsk = { picture: picture.type.includes("svg") ? await paint(picture) : picture };
    const answer = await new Promise<PaletteAnswer>((done, failed) => {
      worker.onmessage = ({ data }: MessageEvent<PaletteAnswer>) => done(data);
      worker.onerror = failed;
      worker.postMessage(ask);
    });
    return answer.ok ? answer.colours : undefined;
  } catch {
    return undefined;
  } finally {
    worker.terminate();
  }
}
