import { useCallback, useLayoutEffect, useRef, useState } from "react";
import { moveNode } from "~/core/commands";
import { useStudioStore } from "../keeping";
import { followPointer } from "../ui";
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
  useLayoutEffect(() => {
    latest.current = track;
  });

  const begin = useCallback(
    (id: string, down: PointerEvent) => {
      const found = siblingsOf(store.getState().draft, page, id);
      if (!found || down.button !== 0) return;
      const { siblings, index } = found;
      const ids = siblings.map((s) => s.node.id);
      const names = siblings.map((s) => s.name);
      let goal = index;
      const follow = (event: PointerEvent) => {
        const extents = latest.current.extents(ids);
        goal = dropIndex(extents, latest.current.position(event));
        setDragging({ id, sill: sillAt(extents, goal), words: sectionDropWords(names, index, goal) });
      };
      followPointer(down, {
        farEnough: 5,
        onMove: (_dx, _dy, event) => follow(event),
        onFrame: (last) => {
          const scroller = latest.current.scroller?.();
          const by = scroller ? edgeScroll(scroller.at(last), scroller.size) : 0;
          if (!by) return;
          scroller!.by(by);
          follow(last);
        },
        onEnd: (how) => {
          setDragging(null);
          if (how !== "dropped" || goal === index || goal === index + 1) return;
          const state = store.getState();
          state.run(moveNode(state.draft, siblings[index]!.stands.id, goal, names[index]!));
        },
      });
    },
    [page, store],
  );
  return { dragging, begin };
}
