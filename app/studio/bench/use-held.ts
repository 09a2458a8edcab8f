import type { PointerEvent as ReactPointerEvent } from "react";
import { useStudioStore } from "../keeping";
import { followPointer, type PointerDrag } from "../ui";

/** Begins a change that is one step however long the hand stays on; `give` takes it back when it was cancelled. */
export function useHeld() {
  const store = useStudioStore();
  return (down: ReactPointerEvent, onMove: PointerDrag["onMove"], after: () => void) => {
    down.preventDefault();
    down.stopPropagation();
    const { history } = store.getState();
    store.getState().hold(true);
    followPointer(down.nativeEvent, {
      farEnough: 3,
      onMove,
      onEnd: (how) => {
        store.getState().hold(false);
        if (how === "cancelled" && store.getState().history !== history) store.getState().undo();
        after();
      },
    });
  };
}
