import { useRef, useState, type KeyboardEvent, type PointerEvent as ReactPointerEvent } from "react";
import type { Part } from "~/core/document";
import type { Rect } from "~/core/layout";
import { readAt } from "~/core/operations";
import { cropOf, placeInPicture, type Picture } from "~/core/pictures";
import { useStudio, useStudioStore } from "../keeping";
import { useDescribe } from "../pictures";
import { followPointer } from "../ui";
import { useMeasured } from "./use-measured";
import { pathOf } from "./words";

/** How much of a picture must be cut off for it to matter where. */
const LEAST_CUT = 0.015;
/** How far a press of an arrow key moves the point, in percent. */
const BY_KEY = 2;

type Shown = { readonly at: string; readonly box: Rect };

/** The pictures of a part that stand cropped in a pane. */
function croppedIn(frame: Document, node: Part, pictures: readonly Picture[]): readonly Shown[] {
  const view = frame.defaultView;
  if (!view) return [];
  const found = frame.querySelectorAll<HTMLElement>(`[data-node="${node.id}"] [data-picture-at]`);
  return [...found].flatMap((element) => {
    const at = element.dataset.pictureAt!;
    const image = element.querySelector("img");
    const picture = pictures.find((p) => p.id === readAt(node.props, pathOf(at)));
    if (!image || !picture || element.closest<HTMLElement>("[data-node]")?.dataset.node !== node.id) return [];
    const box = image.getBoundingClientRect();
    if (box.width < 60 || box.height < 60 || view.getComputedStyle(image).objectFit !== "cover") return [];
    const crop = cropOf(picture, box, picture.focus);
    if (1 - Math.min(crop.right - crop.left, crop.bottom - crop.top) < LEAST_CUT) return [];
    return [{ at, box: { left: box.left, top: box.top + view.scrollY, width: box.width, height: box.height } }];
  });
}

/** Keeps where pictures are cropped; it is seen at once, and put back where the server says no. */
function useFocus() {
  const store = useStudioStore();
  const { describe } = useDescribe();
  /** What waits to be sent, and what was stored last, by picture. */
  const waiting = useRef(new Map<string, Picture["focus"]>());
  const stored = useRef(new Map<string, Picture["focus"]>());
  const isSending = useRef(false);
  const show = (id: string, focus: Picture["focus"]) =>
    store.setState({ pictures: store.getState().pictures.map((p) => (p.id === id ? { ...p, focus } : p)) });
  // One after another, and of what waits for a picture only the latest: keys are pressed faster than the server answers.
  const send = async () => {
    if (isSending.current) return;
    isSending.current = true;
    for (const [id, focus] of waiting.current) {
      waiting.current.delete(id);
      const { pictures, say } = store.getState();
      const why = await describe({ id, alt: pictures.find((p) => p.id === id)?.alt ?? "", focus });
      // What was pressed meanwhile is newer than what the answer brought with it.
      const next = waiting.current.get(id);
      if (next) show(id, next);
      if (why === null) {
        stored.current.set(id, focus);
        say("Every place that crops this picture keeps that in view now.");
      } else {
        const before = stored.current.get(id);
        if (before && !next) show(id, before);
        say(why, "problem");
      }
    }
    isSending.current = false;
  };
  return ({ id, focus: before }: Picture, focus: Picture["focus"]) => {
    if (!stored.current.has(id)) stored.current.set(id, before);
    show(id, focus);
    waiting.current.set(id, focus);
    void send();
  };
}

/** What must stay in view of a cropped picture: a point on it, dragged or moved by the arrow keys. */
export function FocusHandles({ frame, node }: { frame: Document; node: Part }) {
  const pictures = useStudio((s) => s.pictures);
  const keep = useFocus();
  const [held, setHeld] = useState<{ at: string; x: number; y: number } | null>(null);
  const shown = useMeasured(frame, () => croppedIn(frame, node, pictures)) ?? [];
  return shown.map(({ at, box }) => {
    const picture = pictures.find((p) => p.id === readAt(node.props, pathOf(at)));
    if (!picture) return null;
    // A picture's focal point stands as far through the box as through the picture (CSS object-position in percent).
    const [x, y] = held?.at === at ? [held.x, held.y] : [picture.focus[0] / 100, picture.focus[1] / 100];
    const begin = (down: ReactPointerEvent) => {
      down.stopPropagation();
      let to = { x, y };
      const within = (share: number) => Math.max(0, Math.min(1, share));
      followPointer(down.nativeEvent, {
        farEnough: 3,
        swallowsClick: true,
        onMove: (dx, dy) => {
          to = { x: within(x + dx / box.width), y: within(y + dy / box.height) };
          setHeld({ at, ...to });
        },
        onEnd: (how) => {
          setHeld(null);
          if (how === "dropped") keep(picture, placeInPicture(cropOf(picture, box, picture.focus), to.x, to.y));
        },
      });
    };
    const onKey = (event: KeyboardEvent) => {
      const by = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key];
      if (!by || event.altKey || event.ctrlKey || event.metaKey) return;
      event.preventDefault();
      event.stopPropagation();
      const step = (value: number, way: number) => Math.max(0, Math.min(100, value + way * BY_KEY));
      keep(picture, [step(picture.focus[0], by[0]!), step(picture.focus[1], by[1]!)]);
    };
    const words = `What stays in view of this picture: ${picture.focus[0]} % from the left, ${picture.focus[1]} % from the top`;
    return (
      <button
        key={at}
        type="button"
        className="zm-focus"
        aria-label={words}
        title="Drag this to what must stay in view when the picture is cropped"
        style={{ left: box.left + x * box.width, top: box.top + y * box.height }}
        onPointerDown={begin}
        onKeyDown={onKey}
      />
    );
  });
}
