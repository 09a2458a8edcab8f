import { useEffect, useState, type RefObject } from "react";

/** True once the browser has nothing better to do and the element is near the window. */
export function useSeen(holder: RefObject<HTMLElement | null>): boolean {
  const [seen, setSeen] = useState(false);
  useEffect(() => {
    if (!holder.current) return;
    let waiting = 0;
    const soon = () => {
      if (!("requestIdleCallback" in window)) return setSeen(true);
      waiting ||= requestIdleCallback(() => setSeen(true), { timeout: 1500 });
    };
    const observer = new IntersectionObserver(([entry]) => entry!.isIntersecting && soon(), { rootMargin: "200px" });
    observer.observe(holder.current);
    return () => {
      observer.disconnect();
      if (waiting) cancelIdleCallback(waiting);
    };
  }, [holder]);
  return seen;
}
