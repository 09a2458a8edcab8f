import type { KeyboardEvent } from "react";

/**
 * Lets arrow keys choose among drawn radio buttons, as WAI-ARIA has it for a group of them: the next one is chosen and takes the focus.
 * @param all the choices in the order in which they are drawn, `current` among them
 */
export function chooseByArrow<T>(
  event: KeyboardEvent<HTMLElement>,
  all: readonly T[],
  current: T,
  choose: (next: T) => void,
): void {
  const by = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key];
  if (!by || all.length === 0) return;
  event.preventDefault();
  const at = (all.indexOf(current) + by + all.length) % all.length;
  choose(all[at]!);
  event.currentTarget.querySelectorAll<HTMLElement>("[role=radio]")[at]?.focus();
}
