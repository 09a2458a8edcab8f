import { useEffect, useRef, useState } from "react";
import type { Layer } from "~/core/cascade";
import type { Device, Part } from "~/core/document";
import type { Picture } from "~/core/pictures";
import type { BenchFrames } from "../bench";
import { contrastOnPicture, createContrastWorker, type PictureContrast } from "../checks";
import { useStudio } from "../keeping";
import { useWhenChanged } from "../ui";
import { tonesOf } from "~/render";

export type ContrastFinding = PictureContrast & { readonly device: Device };

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
  const [worker] = useState(createContrastWorker);
  const panes = useStudio((s) => s.panes);
  const look = useStudio((s) => s.draft.look);
  const asked = useRef(0);
  const measureSoon = useRef(() => {});
  useEffect(() => worker.end, [worker]);
  useEffect(() => {
    if (!picture || picture.vector) return;
    let isOver = false;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const ask = async () => {
      const round = ++asked.current;
      const found: ContrastFinding[] = [];
      for (const pane of ["phone", "wide"] as const) {
        const frame = frames[pane];
        const { device } = panes[pane];
        const answer =
          frame && (await contrastOnPicture(worker.ask, frame, node, layers, picture, device, tonesOf(look)));
        if (answer) found.push({ device, ...answer });
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
  }, [node, layers, picture, frames, panes, worker, look]);
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
