import { useCallback, useEffect, useLayoutEffect, useRef, useState } from "react";
import { sameJson } from "~/core/document";
import type { Rect } from "~/core/layout";

/** Where a part stands in a pane's page; undefined where it is not drawn there. */
export function boxOf(frame: Document, node: string): Rect | undefined {
  const element = frame.querySelector<HTMLElement>(`[data-node="${node}"]`);
  if (!element || element.getClientRects().length === 0) return undefined;
  const { left, top, width, height } = element.getBoundingClientRect();
  return { left, top: top + (frame.defaultView?.scrollY ?? 0), width, height };
}

/**
 * What `read` finds in a pane, as plain JSON; undefined until it has been read. It is read after what is drawn has changed, and
 * whenever the pane's page gets another size, never while something is being drawn: what stands there then is the page from before.
 */
export function useMeasured<T>(frame: Document, read: () => T): T | undefined {
  const [measured, setMeasured] = useState<T>();
  const latest = useRef(read);
  const measure = useCallback(() => {
    const next = latest.current();
    setMeasured((before) => (sameJson(before, next) ? before : next));
  }, []);
  // After each time that whoever asks has been drawn; it ends as soon as nothing new is found.
  useLayoutEffect(() => {
    latest.current = read;
    measure();
  });
  useEffect(() => {
    const window = frame.defaultView;
    if (!window) return;
    const observer = new window.ResizeObserver(measure);
    observer.observe(frame.body);
    return () => observer.disconnect();
  }, [frame, measure]);
  return measured;
}
