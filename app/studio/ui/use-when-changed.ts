import { useState } from "react";

/**
 * Puts state right while drawing when `value` has become another one, so that nothing of the old state is ever seen.
 * `adjust` sets state of the same component only. Source: React's documentation, "Adjusting some state when a prop changes".
 */
export function useWhenChanged<T>(value: T, adjust: (now: T) => void): void {
  const [known, setKnown] = useState(value);
  if (Object.is(known, value)) return;
  setKnown(value);
  adjust(value);
}
