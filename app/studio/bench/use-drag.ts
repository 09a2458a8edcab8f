import { useCallback, useRef, useState } from "react";
import { moveNode } from "~/core/commands";
import { useStudioStore } from "../keeping";
import { dropIndex, sectionDropWords, edgeScroll, sillAt, type Extent } from "./drop";
import { siblingsOf } from "./sections";

export type Dragging = { readonly id: string; readonly sill: number; readonly words: string };

type Track = {
  /** Extents of the given sections, in the coordinates in which `position` is measured. */
  readonly extents: (ids: readonly string[]) => readonly Extent[];
  readonly position: (event: PointerEvent) => number;
  /** What scrolls while something is held near its edge. */
  readonly scroller?: () => {
    readonly at: (event: PointerEvent) => number;
    readonly size: number;
    readonly by: (px: number) => void;
  };
};

/** Drags a section along a track (the plan, or a pane): says what will happen, scrolls at the edges, Escape cancels. */
export function useSectionDrag(page: string, track: Track) {
  const store = useStudioStore();
  const [dragging, setDragging] = useState<Dragging | null>(null);
  const latest = useRef(track);
  latest.current = track;

  const begin = useCallback(
    (id: string, down: PointerEvent) => {
      const target = down.target as Element;
      const view = target.ownerDocument.defaultView!;
      const found = siblingsOf(store.getState().draft, page, id);
      if (!found || down.button !== 0) return;
      const { siblings, index } = found;
      const ids = siblings.map((s) => s.node.id);
      const names = siblings.map((s) => s.name);
      let moved = false;
      let goal = index;
      let last = down;
      let timer = 0;
      const follow = () => {
        const extents = latest.current.extents(ids);
        goal = dropIndex(extents, latest.current.position(last));
        setDragging({ id, sill: sillAt(extents, goal), words: sectionDropWords(names, index, goal) });
      };
      const tick = () => {
        const scroller = latest.current.scroller?.();
        const by = scroller ? edgeScroll(scroller.at(last), scroller.size) : 0;
        if (moved && by) {
          scroller!.by(by);
          follow();
        }
        timer = view.requestAnimationFrame(tick);
      };
      const move = (event: PointerEvent) => {
        last = event;
        // A hand that trembles is not a drag.
        if (!moved && Math.hypot(event.clientX - down.clientX, event.clientY - down.clientY) < 5) return;
        moved = true;
        follow();
      };
      const end = () => {
        view.cancelAnimationFrame(timer);
        view.removeEventListener("pointermove", move);
        view.removeEventListener("pointerup", drop);
        view.removeEventListener("pointercancel", end);
        view.removeEventListener("keydown", onKey, true);
        setDragging(null);
      };
      const drop = () => {
        end();
        if (!moved || goal === index || goal === index + 1) return;
        const state = store.getState();
        state.run(moveNode(state.draft, id, goal, names[index]!));
      };
      const onKey = (event: KeyboardEvent) => {
        if (event.key !== "Escape") return;
        event.preventDefault();
        event.stopPropagation();
        end();
      };
      // Captured, so that the pointer is followed beyond the edge of a pane.
      if ("setPointerCapture" in target) target.setPointerCapture(down.pointerId);
      view.addEventListener("pointermove", move);
      view.addEventListener("pointerup", drop);
      view.addEventListener("pointercancel", end);
      view.addEventListener("keydown", onKey, true);
      timer = view.requestAnimationFrame(tick);
    },
    [page, store],
  );
  return { dragging, begin };
}
