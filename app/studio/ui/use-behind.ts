import { startTransition, useEffect, useRef, useState } from "react";

/** How often what is beside the point follows, in ms, while a colour is dragged. */
const EVERY = 160;

/** The value as it was a moment ago, and as it is once it stands still. */
export function useBehind<T>(value: T): T {
  const [behind, setBehind] = useState(value);
  const latest = useRef(value);
  const timer = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  useEffect(() => {
    latest.current = value;
    timer.current ??= setTimeout(() => {
      timer.current = undefined;
      startTransition(() => setBehind(latest.current));
    }, EVERY);
  }, [value]);
  useEffect(() => () => clearTimeout(timer.current), []);
  return behind;
}
