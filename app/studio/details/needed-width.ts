import { useEffect, useState } from "react";
import type { Part } from "~/core/document";
import type { Path } from "~/core/operations";
import { cropOn, type Picture } from "~/core/pictures";
import { useBenchFrames } from "../bench";
import { viewAt } from "./use-set";

/** Screens of phones show at least two points of a picture for each px (common practice, no source). */
const PHONE_POINTS = 2;
/** Of what is needed, a tenth less is not seen. */
const ENOUGH = 0.9;

type Frame = { readonly width: number; readonly height: number };

/**
 * How wide a picture would have to be, in px, to look sharp where it stands in the panes; undefined where it is wide enough, or stands in
 * none of them. `path`: of the picture in its part's values.
 */
export function useNeededWidth(node: Part, path: Path, picture: Picture | undefined): number | undefined {
  const frames = useBenchFrames();
  const at = path.join(".");
  const view = viewAt(node, path);
  const [boxes, setBoxes] = useState<Readonly<Record<"phone" | "wide", Frame | undefined>>>({
    phone: undefined,
    wide: undefined,
  });
  const id = picture?.id;
  useEffect(() => {
    if (id === undefined) return;
    const observers = (["phone", "wide"] as const).flatMap((pane) => {
      const selector = `[data-node="${node.id}"] [data-picture-at="${at}"]`;
      const element = frames[pane]?.querySelector<HTMLElement>(selector);
      const window = element?.ownerDocument.defaultView;
      if (!element || !window) return [];
      // What is measured is the frame that the picture fills.
      const observer = new window.ResizeObserver(() => {
        const { width, height } = element.getBoundingClientRect();
        setBoxes((now) => ({ ...now, [pane]: { width, height } }));
      });
      observer.observe(element);
      return [observer];
    });
    return () => observers.forEach((observer) => observer.disconnect());
  }, [node.id, at, id, frames]);
  if (!picture || picture.vector) return undefined;
  const needed = (["phone", "wide"] as const).map((device) => {
    const box = boxes[device];
    if (!box) return 0;
    // What of it is cut off counts as well.
    const filled = Math.max(box.width, (box.height * picture.width) / picture.height);
    return filled * ((cropOn(view, device).zoom ?? 100) / 100) * (device === "phone" ? PHONE_POINTS : 1);
  });
  const most = Math.max(...needed);
  return picture.width >= most * ENOUGH ? undefined : Math.ceil(most / 10) * 10;
}
