import { entryOf } from "~/core/document";
import { createContext, useContext, useEffect, useRef, useSyncExternalStore } from "react";

export type KeyTable = Readonly<Record<string, (event: KeyboardEvent) => void>>;

/** A key press as it stands in a key table: `ctrl+shift+z`, `alt+ArrowLeft`, `1`. Command counts as ctrl. */
export function keysOf(event: KeyboardEvent): string {
  const key = event.key.length === 1 ? event.key.toLowerCase() : event.key;
  const isLetter = /^[a-z]$/.test(key);
  return [
    event.ctrlKey || event.metaKey ? "ctrl" : "",
    event.altKey ? "alt" : "",
    // Of signs such as ? the shift is part already.
    event.shiftKey && (isLetter || key.length > 1) ? "shift" : "",
    key,
  ]
    .filter(Boolean)
    .join("+");
}

/** Whether a press belongs to what is being typed or operated there. */
function isTaken(event: KeyboardEvent, keys: string): boolean {
  // Frames have classes of their own, so `instanceof` would not know their elements.
  const target = event.target as HTMLElement | null;
  if (!target || typeof target.closest !== "function") return false;
  if (
    target.isContentEditable ||
    target.closest("input:not([type=checkbox]):not([type=radio]):not([type=color]), textarea, select")
  ) {
    return keys !== "ctrl+Enter";
  }
  if (target.closest("[role=dialog], [role=menu], [role=listbox]")) return true;
  // What had the focus in an open dialog may be gone; the page behind must not act then.
  if (target === document.body && document.querySelector(".MuiModal-root:not([aria-hidden=true])")) return true;
  const operates = target.closest("button, a[href], summary, [role=tab], [role=radio], [role=switch]") !== null;
  return operates && (keys === "Enter" || keys === " ");
}

/** The documents of panes, in which keys are pressed as well as in the studio's own. */
export type KeyFrames = {
  readonly add: (frame: Document) => () => void;
  readonly subscribe: (changed: () => void) => () => void;
  readonly now: () => readonly Document[];
};

export function createKeyFrames(): KeyFrames {
  let frames: readonly Document[] = [];
  const listeners = new Set<() => void>();
  const set = (next: readonly Document[]) => {
    frames = next;
    for (const changed of listeners) changed();
  };
  return {
    add: (frame) => {
      set([...frames, frame]);
      return () => set(frames.filter((f) => f !== frame));
    },
    subscribe: (changed) => {
      listeners.add(changed);
      return () => listeners.delete(changed);
    },
    now: () => frames,
  };
}

const NO_FRAMES: readonly Document[] = [];
const ALONE: KeyFrames = { add: () => () => {}, subscribe: () => () => {}, now: () => NO_FRAMES };
const KeyFramesContext = createContext<KeyFrames>(ALONE);
export const KeyFramesProvider = KeyFramesContext.Provider;

/** Lets keys pressed in a pane count, for as long as it is there. */
export function useKeyFrame(frame: Document | null): void {
  const frames = useContext(KeyFramesContext);
  useEffect(() => (frame ? frames.add(frame) : undefined), [frames, frame]);
}

/** Calls the entry of `table` for a key pressed in the studio or a pane, unless it belongs to a field or dialog. */
export function useKeys(table: KeyTable): void {
  const latest = useRef(table);
  useEffect(() => {
    latest.current = table;
  });
  const frames = useContext(KeyFramesContext);
  const documents = useSyncExternalStore(frames.subscribe, frames.now, () => NO_FRAMES);
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      const keys = keysOf(event);
      const action = entryOf(latest.current, keys);
      if (!action || event.defaultPrevented || isTaken(event, keys)) return;
      event.preventDefault();
      action(event);
    };
    const all = [document, ...documents];
    for (const each of all) each.addEventListener("keydown", listen);
    return () => {
      for (const each of all) each.removeEventListener("keydown", listen);
    };
  }, [documents]);
}
