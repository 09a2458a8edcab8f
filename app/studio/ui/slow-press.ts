/** How far a pointer may tremble and still have stayed where it was pressed, in CSS pixels. */
const TREMBLE = 4;

/**
 * Keeps a slow press from choosing. A press opens a list of choices, and near the window's foot that list lies over its own field; the
 * list then takes the release of the same press for a choice, where a computer is slow or a finger rests. A release counts only where
 * the pointer was pressed on a choice as well, or was drawn there. Gives what takes the guard away again.
 */
export function guardSlowPresses(document: Document): () => void {
  let pressed: MouseEvent | undefined;
  const press = (event: MouseEvent) => void (pressed = event);
  const release = (event: MouseEvent) => {
    const choice = event.target instanceof Element ? event.target.closest('[role="option"]') : null;
    if (!choice || !pressed || choice.contains(pressed.target as Node)) return;
    const way = Math.hypot(event.clientX - pressed.clientX, event.clientY - pressed.clientY);
    if (way <= TREMBLE) event.stopPropagation();
  };
  document.addEventListener("mousedown", press, true);
  document.addEventListener("mouseup", release, true);
  return () => {
    document.removeEventListener("mousedown", press, true);
    document.removeEventListener("mouseup", release, true);
  };
}
