import { useEffect, useRef, useState } from "react";
import { resolve, type Layer } from "~/core/cascade";
import type { Part } from "~/core/document";
import {
  cropOf,
  sourceOf,
  type Picture,
  type WordsBox,
  type Scrim,
  type ScrimFrom,
  type ScrimTone,
} from "~/core/pictures";
import type { ContrastAnswer, ContrastAsk } from "~/workers/contrast.worker";
import type { BenchFrames, PaneDevice } from "../bench";
import { useWhenChanged } from "../ui";

export type ContrastFinding = {
  readonly device: PaneDevice;
  readonly reached: number;
  readonly needed: number;
  readonly scrim: Scrim;
  readonly enough: Scrim | undefined;
};

/** WCAG 2.2, 1.4.3: text of at least 24 px, or bold of 18.66 px, needs 3; other text 4.5. */
const LARGE = 24;
const LARGE_BOLD = 18.66;

/** The scrim that a section has on a device. */
export function scrimOf(layers: readonly Layer[], device: PaneDevice): Scrim {
  const value = (name: string) => resolve(layers, name, device)?.value;
  return {
    strength: Number(value("scrim") ?? 0),
    from: (value("scrimFrom") ?? "bottom") as ScrimFrom,
    tone: (value("scrimTone") ?? "dark") as ScrimTone,
  };
}

type MeasuredWords = { readonly crop: WordsBox; readonly words: readonly WordsBox[]; readonly needed: number };

/** Where a section's words stand on its picture in a pane; undefined where the pane does not show both. */
function measure(frame: Document, node: string, picture: Picture): MeasuredWords | undefined {
  const section = frame.querySelector<HTMLElement>(`[data-node="${node}"]`);
  const box = section?.querySelector(":scope > .pic")?.getBoundingClientRect();
  if (!section || !box || box.width === 0 || box.height === 0) return undefined;
  const words: WordsBox[] = [];
  let needed = 3;
  for (const element of section.querySelectorAll<HTMLElement>("[data-at],[data-rich-at]")) {
    // Words on a button stand on the button, those on a ground of their own on that.
    if (!element.textContent?.trim() || element.closest(".button,.in-set,.card,.pw-words")) continue;
    const range = frame.createRange();
    range.selectNodeContents(element);
    const rects = [...range.getClientRects()].filter((r) => r.width > 0 && r.height > 0);
    if (rects.length === 0) continue;
    const style = frame.defaultView!.getComputedStyle(element);
    const size = Number.parseFloat(style.fontSize);
    if (size < LARGE && !(size >= LARGE_BOLD && Number(style.fontWeight) >= 700)) needed = 4.5;
    for (const r of rects)
      words.push({
        left: (r.left - box.left) / box.width,
        right: (r.right - box.left) / box.width,
        top: (r.top - box.top) / box.height,
        bottom: (r.bottom - box.top) / box.height,
      });
  }
  return words.length ? { crop: cropOf(picture, box, picture.focus), words, needed } : undefined;
}

/** How long things must stand still before they are measured, in ms: words are typed faster than they need be judged. */
const STILL = 220;

/** How well a section's words can be read on its picture, on each device that a pane shows; measured anew when anything moves. */
export function usePictureContrast(
  node: Part,
  layers: readonly Layer[],
  picture: Picture | undefined,
  frames: BenchFrames,
): readonly ContrastFinding[] {
  const [findings, setFindings] = useState<readonly ContrastFinding[]>([]);
  // What was found about another picture says nothing about this one.
  useWhenChanged(`${node.id} ${picture?.id}`, () => setFindings([]));
  const worker = useRef<Worker | null>(null);
  const asked = useRef(0);
  const measureSoon = useRef(() => {});
  useEffect(
    () => () => {
      worker.current?.terminate();
      worker.current = null;
    },
    [],
  );
  useEffect(() => {
    if (!picture || picture.vector) return;
    let isOver = false;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const ask = async () => {
      const round = ++asked.current;
      worker.current ??= new Worker(new URL("../../workers/contrast.worker.ts", import.meta.url), { type: "module" });
      const { current } = worker;
      const found: ContrastFinding[] = [];
      for (const device of ["phone", "wide"] as const) {
        const frame = frames[device];
        const measured = frame && measure(frame, node.id, picture);
        if (!measured) continue;
        const scrim = scrimOf(layers, device);
        const message: ContrastAsk = { id: round, picture: sourceOf(picture, 480), scrim, ...measured };
        const answer = await new Promise<ContrastAnswer>((done) => {
          const listen = ({ data }: MessageEvent<ContrastAnswer>) => {
            if (data.id !== round) return;
            current.removeEventListener("message", listen);
            done(data);
          };
          current.addEventListener("message", listen);
          current.postMessage(message);
        });
        if (answer.reached !== undefined)
          found.push({ device, scrim, reached: answer.reached, needed: measured.needed, enough: answer.enough });
      }
      if (!isOver && round === asked.current) setFindings(found);
    };
    const soon = () => {
      clearTimeout(timer);
      timer = setTimeout(() => void ask(), STILL);
    };
    measureSoon.current = soon;
    soon();
    return () => {
      clearTimeout(timer);
      isOver = true;
    };
  }, [node, layers, picture, frames]);
  useEffect(() => {
    // Sections change their size when fonts arrive, when words are typed in a pane, when the window is resized.
    const observers = [frames.phone, frames.wide].flatMap((frame) => {
      const section = frame?.querySelector(`[data-node="${node.id}"]`);
      if (!frame || !section) return [];
      const observer = new (frame.defaultView as Window & typeof globalThis).ResizeObserver(() =>
        measureSoon.current(),
      );
      observer.observe(section);
      for (const words of section.querySelectorAll("[data-at],[data-rich-at]")) observer.observe(words);
      return [observer];
    });
    return () => observers.forEach((observer) => observer.disconnect());
  }, [node.id, node.props.arrangement, frames]);
  return findings;
}
