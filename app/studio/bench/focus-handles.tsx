import { useRef, useState, type KeyboardEvent, type PointerEvent as ReactPointerEvent } from "react";
import { setProp } from "~/core/commands";
import { DEVICES, type Device, type Json, type Part } from "~/core/document";
import type { Rect } from "~/core/layout";
import { readAt, type Path } from "~/core/operations";
import { cropOf, cropOn, MOST_ZOOM, placeInPicture, viewKey, type Picture, type PictureView } from "~/core/pictures";
import { nameOf } from "~/kinds";
import { useStudio, useStudioStore } from "../keeping";
import { useDescribe } from "../pictures";
import { followPointer } from "../ui";
import { pathOf } from "../words";
import { useMeasured } from "./use-measured";

/** How much of a picture must be cut off for it to matter where. */
const LEAST_CUT = 0.015;
/** How far a press of an arrow key moves the point, in percent, and by how much a turn of the wheel or a key enlarges. */
const BY_KEY = 2;
const BY_TURN = 5;

type Shown = { readonly at: string; readonly box: Rect };

const viewPath = (at: string): Path => {
  const path = pathOf(at);
  return [...path.slice(0, -1), viewKey(String(path.at(-1)))];
};
const viewAt = (node: Part, at: string) => readAt(node.props, viewPath(at)) as PictureView | undefined;

/** The pictures of a part that stand cropped in a pane. */
function croppedIn(frame: Document, node: Part, pictures: readonly Picture[], device: Device): readonly Shown[] {
  const view = frame.defaultView;
  if (!view) return [];
  const found = frame.querySelectorAll<HTMLElement>(`[data-node="${node.id}"] [data-picture-at]`);
  return [...found].flatMap((element) => {
    const at = element.dataset.pictureAt!;
    const image = element.querySelector("img");
    const picture = pictures.find((p) => p.id === readAt(node.props, pathOf(at)));
    if (!image || !picture || element.closest<HTMLElement>("[data-node]")?.dataset.node !== node.id) return [];
    // The frame, not what is enlarged in it.
    const box = element.getBoundingClientRect();
    if (box.width < 60 || box.height < 60 || view.getComputedStyle(image).objectFit !== "cover") return [];
    const { zoom = 100 } = cropOn(viewAt(node, at), device);
    const crop = cropOf(picture, box, picture.focus, zoom / 100);
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

type FocusHandlesProps = { frame: Document; node: Part; device: Device };

/**
 * What must stay in view of a cropped picture: a point on it, dragged or moved by the arrow keys; the wheel, + and − enlarge it. Where
 * the place has a crop of its own, on this device or on all, that is changed; else the picture's own point, for every place.
 */
export function FocusHandles({ frame, node, device }: FocusHandlesProps) {
  const store = useStudioStore();
  const pictures = useStudio((s) => s.pictures);
  const audience = useStudio((s) => s.audience);
  const keep = useFocus();
  const [held, setHeld] = useState<{ at: string; x: number; y: number } | null>(null);
  const shown = useMeasured(frame, () => croppedIn(frame, node, pictures, device)) ?? [];
  /** Keeps a crop of this place alone. */
  const place = (at: string, view: PictureView | undefined, change: { focus?: Picture["focus"]; zoom?: number }) => {
    const { draft, run } = store.getState();
    // What holds for one device only goes on doing so; whoever works on one device changes that one.
    const whom = view?.[device]?.focus || view?.[device]?.zoom || audience === device ? device : "all";
    const own = whom === "all" ? { focus: view?.focus, zoom: view?.zoom } : cropOn(view, device);
    const next = { ...own, ...change };
    const value = whom === "all" ? { ...view, ...next } : { ...view, [whom]: next };
    const said = Object.fromEntries(Object.entries(value).filter(([, v]) => v !== undefined));
    run(setProp(draft, node.id, viewPath(at), said as unknown as Json, `Crop changed in ${nameOf(node)}`));
  };
  return shown.map(({ at, box }) => {
    const picture = pictures.find((p) => p.id === readAt(node.props, pathOf(at)));
    if (!picture) return null;
    const view = viewAt(node, at);
    const { focus = picture.focus, zoom = 100 } = cropOn(view, device);
    const isOwn =
      audience === device || [view, ...DEVICES.map((d) => view?.[d])].some((crop) => crop?.focus || crop?.zoom);
    const put = (next: Picture["focus"]) => (isOwn ? place(at, view, { focus: next }) : keep(picture, next));
    // A picture's focal point stands as far through the box as through the picture (CSS object-position in percent).
    const stands = view?.mirror ? 1 - focus[0] / 100 : focus[0] / 100;
    const [x, y] = held?.at === at ? [held.x, held.y] : [stands, focus[1] / 100];
    const enlarge = (by: number) =>
      place(at, view, { zoom: Math.max(100, Math.min(MOST_ZOOM, zoom + by)), focus: [focus[0], focus[1]] });
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
          if (how !== "dropped") return;
          const crop = cropOf(picture, box, focus, zoom / 100);
          put(placeInPicture(crop, view?.mirror ? 1 - to.x : to.x, to.y));
        },
      });
    };
    const onKey = (event: KeyboardEvent) => {
      if (event.altKey || event.ctrlKey || event.metaKey) return;
      const way = view?.mirror ? -1 : 1;
      const by = { ArrowLeft: [-way, 0], ArrowRight: [way, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key];
      const larger = { "+": BY_TURN, "=": BY_TURN, "-": -BY_TURN }[event.key];
      if (!by && larger === undefined) return;
      event.preventDefault();
      event.stopPropagation();
      if (larger !== undefined) return enlarge(larger);
      const step = (value: number, steps: number) => Math.max(0, Math.min(100, value + steps * BY_KEY));
      put([step(focus[0], by![0]!), step(focus[1], by![1]!)]);
    };
    const words = `What stays in view of this picture: ${focus[0]} % from the left, ${focus[1]} % from the top${
      zoom > 100 ? `, enlarged to ${zoom} %` : ""
    }`;
    return (
      <button
        key={at}
        // React hears of the wheel too late to keep the pane from scrolling.
        ref={(button) => {
          const turn = (event: WheelEvent) => {
            event.preventDefault();
            enlarge(event.deltaY < 0 ? BY_TURN : -BY_TURN);
          };
          button?.addEventListener("wheel", turn, { passive: false });
          return () => button?.removeEventListener("wheel", turn);
        }}
        type="button"
        className="zm-focus"
        aria-label={words}
        title="Drag this to what must stay in view when the picture is cropped; turn the wheel on it, or press + and −, to enlarge"
        style={{ left: box.left + x * box.width, top: box.top + y * box.height }}
        onPointerDown={begin}
        onKeyDown={onKey}
      />
    );
  });
}
