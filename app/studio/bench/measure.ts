import type { MeasuredPart } from "~/core/checks";

/** A line box of text has this many characters at most before it is worth counting them. */
const LONG = 90;

const says = (element: Element) => {
  const text = (element.textContent ?? "").replace(/\s+/g, " ").trim();
  return text.length > 32 ? `${text.slice(0, 31)}…` : text;
};

const hasOwnText = (element: Element) =>
  [...element.childNodes].some((child) => child.nodeType === 3 && child.nodeValue!.trim() !== "");

const TARGETS = "a[href],button,input,select,textarea,summary";

/** Reads off a pane where everything on its page stands. Hidden things, and what is only for screen readers, are left out. */
export function measurePage(frame: Document): readonly MeasuredPart[] {
  const view = frame.defaultView;
  if (!view) return [];
  const scroll = view.scrollY;
  const measured: MeasuredPart[] = [];
  const places = new Map<Element, number>();
  const clips = new Map<Element, boolean>();
  /** Whether anything up to the section cuts off or scrolls sideways. */
  const isClipped = (element: Element): boolean => {
    const known = clips.get(element);
    if (known !== undefined) return known;
    const { parentElement } = element;
    const clipped =
      !parentElement || element.matches("[data-level=section]")
        ? false
        : view.getComputedStyle(parentElement).overflowX !== "visible" || isClipped(parentElement);
    clips.set(element, clipped);
    return clipped;
  };
  for (const section of frame.querySelectorAll("[data-level=section]")) {
    for (const element of section.querySelectorAll<HTMLElement>("*")) {
      const isTarget = element.matches(TARGETS);
      const isWords = hasOwnText(element);
      const isBox = element.matches("[data-node],.pic");
      if (!isTarget && !isWords && !isBox) continue;
      const box = element.getBoundingClientRect();
      if (box.width < 2 || box.height < 2 || element.closest(".unseen,.studio-hint,.buy-bar")) continue;
      const style = view.getComputedStyle(element);
      // What a closed menu holds has a box and is not seen.
      if (style.clipPath === "inset(50%)" || !element.checkVisibility({ visibilityProperty: true })) continue;
      const rect = { left: box.left, top: box.top + scroll, width: box.width, height: box.height };
      const node = element.closest<HTMLElement>("[data-node]")!.dataset.node!;
      const common = { node, says: says(element), rect, clipped: isClipped(element) };
      const parent = element.parentElement?.closest("*");
      const inside = parent ? places.get(parent) : undefined;
      if (isWords) {
        const fontSize = Number.parseFloat(style.fontSize);
        const length = (element.textContent ?? "").length;
        const lineHeight = Number.parseFloat(style.lineHeight) || fontSize * 1.4;
        const lines = Math.max(1, Math.round(box.height / lineHeight));
        places.set(element, measured.length);
        measured.push({
          ...common,
          kind: "words",
          fontSize,
          ...(length > LONG && lines > 1 && style.display !== "inline" ? { lineLength: length / (lines - 0.4) } : {}),
          ...(inside === undefined ? {} : { inside }),
        });
      }
      if (isTarget) {
        const sentence = style.display === "inline" && element.parentElement && hasOwnText(element.parentElement);
        // A card's link reaches over the whole card.
        const whole =
          view.getComputedStyle(element, "::after").position === "absolute" ? element.closest(".card") : null;
        const reach = whole?.getBoundingClientRect();
        measured.push({
          ...common,
          rect: reach ? { left: reach.left, top: reach.top + scroll, width: reach.width, height: reach.height } : rect,
          kind: "target",
          inSentence: Boolean(sentence),
        });
      }
      if (isBox && !isWords && !isTarget) measured.push({ ...common, kind: "box" });
    }
  }
  return measured;
}
