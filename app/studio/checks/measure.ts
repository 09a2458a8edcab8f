import type { MeasuredPart } from "~/core/checks";
import { contrast, readColour, type Hex } from "~/core/theme";

// What the rules of `core/checks` are told: read off a pane, and off pages that are drawn only to be measured.

/** A line box of text has this many characters at most before it is worth counting them. */
const LONG = 90;

const says = (element: Element) => {
  const text = (element.textContent ?? "").replace(/\s+/g, " ").trim();
  return text.length > 32 ? `${text.slice(0, 31)}…` : text;
};

const hasOwnText = (element: Element) =>
  [...element.childNodes].some((child) => child.nodeType === 3 && child.nodeValue!.trim() !== "");

/** WCAG 2.2, 1.4.3: text of at least 24 px, or bold of 18.66 px, needs a contrast of 3; other text 4.5. */
const LARGE = 24;
const LARGE_BOLD = 18.66;
export const neededFor = (size: number, weight: number): number =>
  size >= LARGE || (size >= LARGE_BOLD && weight >= 700) ? 3 : 4.5;

/** Words from this size on are heads: what is broken in them is seen at once. */
const HEAD = 20;

/** A colour as computed style gives it, if it is opaque; undefined where something shines through. */
function opaque(colour: string): Hex | undefined {
  if (colour.includes("/") || colour.startsWith("rgba")) return undefined;
  return colour === "transparent" ? undefined : readColour(colour);
}

/** The one colour of an image that is a single colour all over: how a ground of the seller's own colour is drawn. */
function plainImage(image: string): Hex | undefined {
  const colours = new Set([...image.matchAll(/rgba?\([^()]*\)/g)].map((found) => found[0]));
  const isOne = image.split("(").length === 2 + (image.split("rgb").length - 1) && colours.size === 1;
  return isOne && image.includes("linear-gradient(") ? opaque([...colours][0]!) : undefined;
}

/** What elements stand on, where that is one colour; undefined on pictures, gradients and patterns. `known`: what was asked before. */
function groundOf(element: Element, view: Window, known: Map<Element, Hex | undefined>): Hex | undefined {
  if (known.has(element)) return known.get(element);
  const style = view.getComputedStyle(element);
  const colour = opaque(style.backgroundColor);
  const isClear = style.backgroundColor === "rgba(0, 0, 0, 0)" || style.backgroundColor === "transparent";
  const around = element.parentElement;
  // A list of nothing but "none" is no image.
  const ground = style.backgroundImage.includes("(")
    ? plainImage(style.backgroundImage)
    : (colour ?? (isClear && around ? groundOf(around, view, known) : undefined));
  known.set(element, ground);
  return ground;
}

/** A word of these that takes more than one line; where a hyphen or a slash stands it may be broken. */
function brokenWord(element: HTMLElement): string | undefined {
  const frame = element.ownerDocument;
  const range = frame.createRange();
  for (const child of element.childNodes) {
    if (child.nodeType !== 3) continue;
    for (const { 0: word, index } of child.nodeValue!.matchAll(/[^\s\-‐–—/\u00ad\u200b]+/g)) {
      if (word.length < 3) continue;
      range.setStart(child, index);
      range.setEnd(child, index + word.length);
      const tops = [...range.getClientRects()].filter((r) => r.width > 0).map((r) => r.top);
      if (tops.length > 1 && Math.max(...tops) - Math.min(...tops) > 4) return word;
    }
  }
  return undefined;
}

/** Whether words stand on a picture of their section that they are no part of. */
function isOnPicture(element: Element, box: DOMRect, pictures: readonly (readonly [Element, DOMRect])[]): boolean {
  const [x, y] = [box.left + box.width / 2, box.top + box.height / 2];
  return pictures.some(
    ([picture, r]) => !picture.contains(element) && x > r.left && x < r.right && y > r.top && y < r.bottom,
  );
}

const TARGETS = "a[href],button,input,select,textarea,summary";

/** Reads off a pane where everything on its page stands. Hidden things, and what is only for screen readers, are left out. */
export function measurePage(frame: Document): readonly MeasuredPart[] {
  const view = frame.defaultView;
  if (!view) return [];
  const scroll = view.scrollY;
  const measured: MeasuredPart[] = [];
  const places = new Map<Element, number>();
  const clips = new Map<Element, boolean>();
  const grounds = new Map<Element, Hex | undefined>();
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
  let flowsBefore = 0;
  for (const section of frame.querySelectorAll("[data-level=section]")) {
    const pictures = [...section.querySelectorAll(".pic")].map((e) => [e, e.getBoundingClientRect()] as const);
    const isHeader = section.matches("header");
    const flows = [...section.querySelectorAll(".rich:has(.rich-figure)")];
    // Its tint makes words legible on any picture; what opens from it has a ground of its own.
    const lies = section.matches(".lies-over");
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
      const flow = flows.findIndex((text) => text.contains(element));
      const common = {
        node,
        says: says(element),
        rect,
        clipped: isClipped(element),
        ...(flow < 0 ? {} : { flow: flowsBefore + flow }),
      };
      let around = element.parentElement;
      while (around && around !== section && !places.has(around)) around = around.parentElement;
      const inside = around ? places.get(around) : undefined;
      if (isWords) {
        const fontSize = Number.parseFloat(style.fontSize);
        const length = (element.textContent ?? "").length;
        const lineHeight = Number.parseFloat(style.lineHeight) || fontSize * 1.4;
        const lines = Math.max(1, Math.round(box.height / lineHeight));
        places.set(element, measured.length);
        const broken = fontSize >= HEAD ? brokenWord(element) : undefined;
        const isOpaque = Number(style.opacity) === 1 && element.closest("[disabled],[aria-disabled=true]") === null;
        const isLying = lies && element.closest("[data-set]") === section;
        const ink = isOpaque && !isLying && !isOnPicture(element, box, pictures) ? opaque(style.color) : undefined;
        const ground = ink === undefined ? undefined : groundOf(element, view, grounds);
        measured.push({
          ...common,
          kind: "words",
          fontSize,
          ...(broken === undefined ? {} : { broken }),
          ...(ink === undefined || ground === undefined
            ? {}
            : { contrast: { reached: contrast(ink, ground), needed: neededFor(fontSize, Number(style.fontWeight)) } }),
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
        if (!isWords) places.set(element, measured.length);
        measured.push({
          ...common,
          rect: reach ? { left: reach.left, top: reach.top + scroll, width: reach.width, height: reach.height } : rect,
          kind: "target",
          inSentence: Boolean(sentence),
          ...(isHeader && !isWords && !whole ? { solid: true as const } : {}),
          ...(inside === undefined ? {} : { inside }),
        });
      }
      if (isBox && !isWords && !isTarget) measured.push({ ...common, kind: "box" });
    }
    flowsBefore += flows.length;
  }
  return measured;
}
