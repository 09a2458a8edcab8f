import { useEffect, useRef } from "react";

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
  const operates = target.closest("button, a[href], summary, [role=tab], [role=radio], [role=switch]") !== null;
  return operates && (keys === "Enter" || keys === " ");
}

/** Calls the entry of `table` for a key pressed anywhere in `document`, unless it belongs to a field or dialog. */
export function useKeys(table: KeyTable, documents: readonly (Document | null | undefined)[] = []): void {
  const latest = useRef(table);
  useEffect(() => {
    latest.current = table;
  });
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      const keys = keysOf(event);
      const action = latest.current[keys];
      if (!action || event.defaultPrevented || isTaken(event, keys)) return;
      event.preventDefault();
      action(event);
    };
    const all = [document, ...documents].filter((d) => d !== null && d !== undefined);
    for (const each of all) each.addEventListener("keydown", listen);
    return () => {
      for (const each of all) each.removeEventListener("keydown", listen);
    };
    // The list is made anew on every draw; what counts is which documents are in it.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, documents);
}
