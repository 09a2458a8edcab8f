import { resolve, type Layer } from "~/core/cascade";
import type { Device, Part } from "~/core/document";
import {
  cropOf,
  cropOn,
  SCRIM_REACH,
  sourceOf,
  throughTone,
  type DrawnTone,
  type Picture,
  type PictureView,
  type Scrim,
  type ScrimFrom,
  type ScrimTone,
  type WordsBox,
} from "~/core/pictures";
import type { ContrastAnswer, ContrastAsk } from "~/workers/contrast.worker";
import { viewUnderWords } from "~/render";
import { neededFor } from "./measure";

export type PictureContrast = {
  readonly reached: number;
  readonly needed: number;
  readonly scrim: Scrim;
  /** The tint that would be just enough. */
  readonly enough: Scrim | undefined;
};

/** The scrim that a section has on a device. */
export function scrimOf(layers: readonly Layer[], device: Device): Scrim {
  const value = (name: string) => resolve(layers, name, device)?.value;
  return {
    strength: Number(value("scrim") ?? 0),
    from: (value("scrimFrom") ?? "bottom") as ScrimFrom,
    tone: (value("scrimTone") ?? "dark") as ScrimTone,
  };
}

type MeasuredWords = Pick<ContrastAsk, "crop" | "words" | "boxes">;

/** Where a section's words stand on its picture in a pane; undefined where the pane does not show both. */
function wordsOn(
  frame: Document,
  node: string,
  picture: Picture,
  view: PictureView | undefined,
  device: Device,
): MeasuredWords | undefined {
  const section = frame.querySelector<HTMLElement>(`[data-node="${node}"]`);
  const box = section?.querySelector(":scope > .pic")?.getBoundingClientRect();
  if (!section || !box || box.width === 0 || box.height === 0) return undefined;
  const words = new Map<number, WordsBox[]>();
  for (const element of section.querySelectorAll<HTMLElement>("[data-at],[data-rich-at]")) {
    // Words on a button stand on the button, those on a ground of their own on that.
    if (!element.textContent?.trim() || element.closest(".button,.in-set,.card,.pw-words")) continue;
    const range = frame.createRange();
    range.selectNodeContents(element);
    const rects = [...range.getClientRects()].filter((r) => r.width > 0 && r.height > 0);
    if (rects.length === 0) continue;
    const style = frame.defaultView!.getComputedStyle(element);
    const needed = neededFor(Number.parseFloat(style.fontSize), Number(style.fontWeight));
    const across = (x: number) => (x - box.left) / box.width;
    const boxes = rects.map((r) => ({
      // On a mirrored picture, what stands left is over what is right in it.
      left: view?.mirror ? 1 - across(r.right) : across(r.left),
      right: view?.mirror ? 1 - across(r.left) : across(r.right),
      top: (r.top - box.top) / box.height,
      bottom: (r.bottom - box.top) / box.height,
    }));
    words.set(needed, [...(words.get(needed) ?? []), ...boxes]);
  }
  if (words.size === 0) return undefined;
  const { focus, zoom } = cropOn(view, device);
  // Words that have a scrim of their own wear it from their top edge to the lower one of the section.
  const own = section.querySelector(".with-scrim")?.getBoundingClientRect();
  const boxes = own && {
    bottom: { left: 0, right: 1, top: (own.top - own.height * SCRIM_REACH - box.top) / box.height, bottom: 1 },
  };
  return {
    boxes,
    crop: cropOf(picture, box, focus ?? picture.focus, (zoom ?? 100) / 100),
    words: [...words].map(([needed, boxes]) => ({ needed, boxes })),
  };
}

/** Asks the worker that reads pictures; questions are answered one after another. */
export type AskContrast = (message: Omit<ContrastAsk, "id">) => Promise<ContrastAnswer>;

/** A worker of one's own, started with the first question; `end` lets it go. */
export function createContrastWorker(): { readonly ask: AskContrast; readonly end: () => void } {
  let worker: Worker | null = null;
  let asked = 0;
  return {
    ask: (message) => {
      worker ??= new Worker(new URL("../../workers/contrast.worker.ts", import.meta.url), { type: "module" });
      const [at, id] = [worker, ++asked];
      return new Promise((done) => {
        const listen = ({ data }: MessageEvent<ContrastAnswer>) => {
          if (data.id !== id) return;
          at.removeEventListener("message", listen);
          done(data);
        };
        at.addEventListener("message", listen);
        at.postMessage({ id, ...message } satisfies ContrastAsk);
      });
    },
    end: () => {
      worker?.terminate();
      worker = null;
    },
  };
}

/** How well a section's words can be read on its picture in a pane; undefined where there is nothing to be said. */
export async function contrastOnPicture(
  ask: AskContrast,
  frame: Document,
  node: Part,
  layers: readonly Layer[],
  picture: Picture,
  device: Device,
  /** In which tone it is shown. */
  toneOf: (tone: PictureView["tone"]) => DrawnTone | undefined,
): Promise<PictureContrast | undefined> {
  const view = viewUnderWords(node);
  const measured = picture.vector ? undefined : wordsOn(frame, node.id, picture, view, device);
  if (!measured) return undefined;
  const tone = toneOf(view?.tone)?.matrix;
  const shade = tone && picture.shade ? throughTone(picture.shade, tone) : picture.shade;
  const scrim = { ...scrimOf(layers, device), shade };
  const { worst, enough } = await ask({ picture: sourceOf(picture, 480), scrim, tone, ...measured });
  return worst && { ...worst, enough, scrim };
}
