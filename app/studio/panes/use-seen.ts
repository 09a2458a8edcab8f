import { useEffect, useState, type RefObject } from "react";

/** How long something is looked at before it is drawn, in ms: what flies past while somebody scrolls is not. */
const LOOKED_AT = 150;

/** True once the element has been near the window for a moment and the browser has nothing better to do. */
export function useSeen(holder: RefObject<HTMLElement | null>): boolean {
  const [seen, setSeen] = useState(false);
  useEffect(() => {
    if (!holder.current) return;
    let idle = 0;
    let looking = 0;
    const soon = () => {
      if (!("requestIdleCallback" in window)) return setSeen(true);
      idle ||= requestIdleCallback(() => setSeen(true), { timeout: 1500 });
    };
    const observer = new IntersectionObserver(
      ([entry]) => {
        window.clearTimeout(looking);
        if (entry!.isIntersecting) looking = window.setTimeout(soon, LOOKED_AT);
      },
      { rootMargin: "200px" },
    );
    observer.observe(holder.current);
    return () => {
      observer.disconnect();
      window.clearTimeout(looking);
      if (idle) cancelIdleCallback(idle);
    };
  }, [holder]);
  return seen;
}
