import { useCallback, useLayoutEffect, useRef } from "react";

/**
 * A function that stays the same while what it does is always that of the last drawing. So what it is handed to need not be drawn
 * anew each time; it is for what a hand does later, not for what is asked while drawing.
 */
export function useLatest<Given extends unknown[], Gives>(act: (...given: Given) => Gives): (...given: Given) => Gives {
  const latest = useRef(act);
  useLayoutEffect(() => {
    latest.current = act;
  });
  return useCallback((...given: Given) => latest.current(...given), []);
}
