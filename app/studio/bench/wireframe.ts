import { useEffect, useState } from "react";
import type { Draft } from "~/core/document";

/** A part of a section as the plan draws it, as shares of the pane's width. */
export type Bone = {
  readonly what: "picture" | "head" | "text" | "button" | "card";
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
};
export type Wireframe = { readonly height: number; readonly bones: readonly Bone[]; readonly dark: boolean };

const PARTS: readonly (readonly [Bone["what"], string])[] = [
  ["picture", ".pic:not(.pic-second), .wordmark-picture"],
  ["head", ".head, .wordmark span"],
  [
    "text",
    ".rich > *, .lead:not(.rich), .w-quote blockquote, .point-head, .point-text, .price, .card-title, .foot-text, .foot-links li, .nav li, .tile-name, .s-notice p, .foot-small",
  ],
  ["button", ".button, .field, .more, .drop summary"],
];

/** Measures the sections of a pane: what stands where, to scale. */
export function wireframes(frame: Document): ReadonlyMap<string, Wireframe> {
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
        bones.push({
          what,
          x: left / width,
          y: (top - box.top) / width,
          w: Math.min(w, width - left) / width,
          h: h / width,
        });
      }
    }
    found.set(section.dataset.node!, {
      height: box.height / width,
      bones: bones.slice(0, 60),
      dark: ["brand", "dark"].includes(section.dataset.set ?? ""),
    });
  }
  return found;
}

/** The drawings of a pane's sections, measured whenever its layout has come to rest after a change of `draft`. */
export function useWires(frame: Document | null, draft: Draft): ReadonlyMap<string, Wireframe> {
  const [wires, setWires] = useState<ReadonlyMap<string, Wireframe>>(new Map());
  useEffect(() => {
    const view = frame?.defaultView;
    if (!frame || !view) return;
    // The studio's own timer: a number of the pane's window would be that of another one here.
    let timer: ReturnType<typeof setTimeout> | undefined;
    const measure = () => {
      clearTimeout(timer);
      timer = setTimeout(() => setWires(wireframes(frame)), 160);
    };
    const observer = new view.ResizeObserver(measure);
    observer.observe(frame.body);
    measure();
    return () => {
      clearTimeout(timer);
      observer.disconnect();
    };
  }, [frame, draft]);
  return wires;
}
