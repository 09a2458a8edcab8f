import { useEffect, useState } from "react";
import type { Draft } from "~/core/document";

/** A part of a section as the plan draws it, as shares of the pane's width. */
export type Bone = {
  readonly what: "picture" | "head" | "text" | "button" | "card";
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
  /** Of a picture: its colours in the mean. */
  readonly colour?: string;
};
export type Wireframe = {
  readonly height: number;
  readonly bones: readonly Bone[];
  /** What the section stands on, and its words on that. */
  readonly ground: string;
  readonly ink: string;
};

/** The mean colour of a picture that is there already; the browser shrinks it to one pixel. */
function meanOf(picture: HTMLImageElement, known: Map<string, string>): string | undefined {
  const address = picture.currentSrc;
  const before = known.get(address);
  if (before !== undefined) return before;
  if (!picture.complete || picture.naturalWidth === 0) return undefined;
  const canvas = new OffscreenCanvas(1, 1);
  const context = canvas.getContext("2d")!;
  context.imageSmoothingQuality = "high";
  context.drawImage(picture, 0, 0, 1, 1);
  const [r, g, b, a] = context.getImageData(0, 0, 1, 1).data;
  const mean = `rgb(${r} ${g} ${b}${a === 255 ? "" : ` / ${(a! / 255).toFixed(2)}`})`;
  known.set(address, mean);
  return mean;
}

const PARTS: readonly (readonly [Bone["what"], string])[] = [
  ["picture", ".pic:not(.pic-second), .wordmark-picture"],
  ["head", ".head, .wordmark span"],
  [
    "text",
    ".rich > *, .lead:not(.rich), .w-quote blockquote, .point-head, .point-text, .price, .card-title, .foot-text, .foot-links li, .nav li, .tile-name, .s-notice p, .foot-small",
  ],
  ["button", ".button, .field, .more, .drop > summary"],
];

/** Measures the sections of a pane: what stands where, to scale. */
export function wireframes(frame: Document, means = new Map<string, string>()): ReadonlyMap<string, Wireframe> {
  const width = frame.documentElement.clientWidth || 1;
  const found = new Map<string, Wireframe>();
  for (const section of frame.querySelectorAll<HTMLElement>("[data-level=section]")) {
    const box = section.getBoundingClientRect();
    if (box.height === 0) continue;
    const bones: Bone[] = [];
    for (const [what, selector] of PARTS) {
      for (const part of section.querySelectorAll<HTMLElement>(selector)) {
        const { left, top, width: w, height: h } = part.getBoundingClientRect();
        if (w === 0 || h === 0 || left >= width) continue;
        const picture = what === "picture" ? part.querySelector("img") : null;
        const colour = picture ? meanOf(picture, means) : undefined;
        bones.push({
          what,
          ...(colour === undefined ? {} : { colour }),
          x: left / width,
          y: (top - box.top) / width,
          w: Math.min(w, width - left) / width,
          h: h / width,
        });
      }
    }
    const style = frame.defaultView!.getComputedStyle(section);
    const own = /#[0-9a-f]{6}/.exec(style.getPropertyValue("--ground"))?.[0];
    found.set(section.dataset.node!, {
      height: box.height / width,
      bones: bones.slice(0, 60),
      ground: own ?? style.backgroundColor,
      ink: style.color,
    });
  }
  return found;
}

/** The new drawings; those that are as they were before are the same objects, and where all are, so is the whole. */
export function unlessSame(
  before: ReadonlyMap<string, Wireframe>,
  next: ReadonlyMap<string, Wireframe>,
): ReadonlyMap<string, Wireframe> {
  let isSame = before.size === next.size;
  const kept = new Map<string, Wireframe>();
  for (const [id, wire] of next) {
    const known = before.get(id);
    const stays = known !== undefined && JSON.stringify(known) === JSON.stringify(wire);
    kept.set(id, stays ? known : wire);
    isSame &&= stays;
  }
  return isSame ? before : kept;
}

/** The drawings of a pane's sections, measured whenever its layout has come to rest after a change of `draft`. */
export function useWires(frame: Document | null, draft: Draft): ReadonlyMap<string, Wireframe> {
  const [wires, setWires] = useState<ReadonlyMap<string, Wireframe>>(new Map());
  // A picture is looked at once, however often the page changes.
  const [means] = useState(() => new Map<string, string>());
  useEffect(() => {
    const view = frame?.defaultView;
    if (!frame || !view) return;
    // The studio's own timer: a number of the pane's window would be that of another one here.
    let timer: ReturnType<typeof setTimeout> | undefined;
    const measure = () => {
      clearTimeout(timer);
      timer = setTimeout(() => setWires((before) => unlessSame(before, wireframes(frame, means))), 160);
    };
    const observer = new view.ResizeObserver(measure);
    observer.observe(frame.body);
    // A picture that arrives later has its colours only then.
    frame.addEventListener("load", measure, true);
    measure();
    return () => {
      clearTimeout(timer);
      frame.removeEventListener("load", measure, true);
      observer.disconnect();
    };
  }, [frame, draft, means]);
  return wires;
}
