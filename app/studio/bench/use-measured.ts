import { useCallback, useEffect, useLayoutEffect, useRef, useState } from "react";
import { sameJson } from "~/core/document";
import type { Rect } from "~/core/layout";

/** A part as it is seen in a pane: of several (a menu stands in a header once for each width) the one that can be seen. */
const seenIn = (frame: Document, node: string): HTMLElement | undefined =>
  [...frame.querySelectorAll<HTMLElement>(`[data-node="${node}"]`)].find(
    (e) => e.getClientRects().length > 0 && e.checkVisibility(),
  );

/** Where a part stands in a pane's page; undefined where it is not seen there. */
export function boxOf(frame: Document, node: string): Rect | undefined {
  const element = seenIn(frame, node);
  if (!element) return undefined;
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
    // What opens over the page leaves its size as it is.
    frame.addEventListener("toggle", measure, true);
    return () => {
      observer.disconnect();
      frame.removeEventListener("toggle", measure, true);
    };
  }, [frame, measure]);
  return measured;
}
