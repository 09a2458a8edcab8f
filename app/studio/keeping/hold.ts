import type { StudioStore } from "./store";

/** However slowly the pages follow, what one hand does in one go is one step of undo: from now on until it lets go. */
export function holdWhilePressed(store: StudioStore): void {
  store.getState().hold(true);
  const over = new AbortController();
  const end = () => {
    over.abort();
    // The last of what was dragged is drawn, and so kept, up to two frames later.
    requestAnimationFrame(() => requestAnimationFrame(() => store.getState().hold(false)));
  };
  for (const how of ["pointerup", "pointercancel"]) window.addEventListener(how, end, { signal: over.signal });
}
