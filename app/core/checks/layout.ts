import type { Rect } from "../layout";

// What can be wrong with a page as it is laid out at one width, found from what a browser measured. Rules take plain
// rectangles, so that they can be tried without a browser.

export type MeasuredKind = "words" | "target" | "box";

/** Something on a page: its rectangle in px from the page's top left, and the part it belongs to. */
export type MeasuredPart = {
  readonly node: string;
  readonly kind: MeasuredKind;
  /** The first words of it, to name it by. */
  readonly says: string;
  readonly rect: Rect;
  /** Of words: px, and the characters of a typical line. */
  readonly fontSize?: number;
  readonly lineLength?: number;
  /** Of targets: stands within a sentence (its size is that of the line, which WCAG 2.5.8 excepts). */
  readonly inSentence?: boolean;
  /** Lies in something that scrolls or cuts off by itself. */
  readonly clipped?: boolean;
  /** The text with pictures among its words that it is part of: its lines flow around them, whatever their boxes are. */
  readonly flow?: number;
  /** Which measured thing it lies in, by its place in the list; what lies in another doesn't overlap it. */
  readonly inside?: number;
  /** Nothing may lie on it, although it may be no words: a picture or a sign in the header. */
  readonly solid?: true;
  /** Of words: one of them that is broken within itself, for want of room. */
  readonly broken?: string;
  /** Of words: the contrast that they reach on what they stand on, and the one they need (WCAG 2.2, 1.4.3). */
  readonly contrast?: { readonly reached: number; readonly needed: number };
};

export type LayoutRule =
  "overflow" | "small-text" | "small-target" | "overlap" | "long-line" | "broken-word" | "unreadable";
export type LayoutFinding = {
  readonly rule: LayoutRule;
  readonly node: string;
  readonly says: string;
  readonly rect: Rect;
  /** What is wrong, in a sentence. */
  readonly why: string;
};

/** Text below this can't be read at arm's length; common practice, no source. */
export const LEAST_TEXT = 12;
/** WCAG 2.2, 2.5.8 Target Size (Minimum): 24 by 24 CSS px. */
export const LEAST_TARGET = 24;
/** The longest line that is comfortable to read, in characters: 45 to 90, common practice, no source. */
export const LONGEST_LINE = 90;

const right = (r: Rect) => r.left + r.width;
const bottom = (r: Rect) => r.top + r.height;
const px = (n: number) => `${Math.round(n * 10) / 10} px`;

function overflow(all: readonly MeasuredPart[], width: number): LayoutFinding[] {
  return all.flatMap((m) => {
    if (m.clipped) return [];
    const over = Math.max(right(m.rect) - width, -m.rect.left);
    return over > 1
      ? [{ rule: "overflow" as const, ...m, why: `Reaches ${px(over)} past the edge of the screen.` }]
      : [];
  });
}

const smallText = (all: readonly MeasuredPart[]): LayoutFinding[] =>
  all.flatMap((m) =>
    m.kind === "words" && m.fontSize !== undefined && m.fontSize < LEAST_TEXT - 0.05
      ? [
          {
            rule: "small-text" as const,
            ...m,
            why: `Letters are ${px(m.fontSize)} high; below ${LEAST_TEXT} px few can read them.`,
          },
        ]
      : [],
  );

const longLines = (all: readonly MeasuredPart[]): LayoutFinding[] =>
  all.flatMap((m) =>
    (m.lineLength ?? 0) > LONGEST_LINE
      ? [
          {
            rule: "long-line" as const,
            ...m,
            why: `Lines are about ${Math.round(m.lineLength!)} characters long; past ${LONGEST_LINE} the eye loses the next one.`,
          },
        ]
      : [],
  );

const centre = (r: Rect) => ({ x: r.left + r.width / 2, y: r.top + r.height / 2 });
const isUndersized = (r: Rect) => r.width < LEAST_TARGET - 0.05 || r.height < LEAST_TARGET - 0.05;

/** Whether a circle around a point touches a rectangle. */
function circleTouches(at: { readonly x: number; readonly y: number }, radius: number, rect: Rect): boolean {
  const dx = Math.max(rect.left - at.x, 0, at.x - right(rect));
  const dy = Math.max(rect.top - at.y, 0, at.y - bottom(rect));
  return Math.hypot(dx, dy) < radius - 0.01;
}

/**
 * WCAG 2.2, 2.5.8: a target under 24 by 24 px fails, unless it stands in a sentence, or a circle of 24 px across its middle
 * touches neither another target nor the circle of another undersized one.
 */
function smallTargets(all: readonly MeasuredPart[]): LayoutFinding[] {
  const targets = all.filter((m) => m.kind === "target" && !m.inSentence && m.rect.width > 0);
  return targets.flatMap((m) => {
    if (!isUndersized(m.rect)) return [];
    const at = centre(m.rect);
    const crowded = targets.some((other) => {
      if (other === m) return false;
      const there = centre(other.rect);
      return (
        circleTouches(at, LEAST_TARGET / 2, other.rect) ||
        (isUndersized(other.rect) && Math.hypot(at.x - there.x, at.y - there.y) < LEAST_TARGET - 0.01)
      );
    });
    return crowded
      ? [
          {
            rule: "small-target" as const,
            ...m,
            why: `${px(m.rect.width)} by ${px(m.rect.height)} and close to another one: a finger can’t tell them apart. ${LEAST_TARGET} px are needed.`,
          },
        ]
      : [];
  });
}

const brokenWords = (all: readonly MeasuredPart[]): LayoutFinding[] =>
  all.flatMap((m) =>
    m.broken === undefined
      ? []
      : [
          {
            rule: "broken-word" as const,
            ...m,
            why: `There is no room for “${m.broken}” in one line, so it is broken in the middle of the word.`,
          },
        ],
  );

const ratio = (n: number) => String(Math.floor(n * 10) / 10);

const unreadable = (all: readonly MeasuredPart[]): LayoutFinding[] =>
  all.flatMap((m) =>
    m.contrast && m.contrast.reached < m.contrast.needed - 0.05
      ? [
          {
            rule: "unreadable" as const,
            ...m,
            why: `Contrast with what they stand on is ${ratio(m.contrast.reached)}; ${m.contrast.needed} is needed.`,
          },
        ]
      : [],
  );

/** Words, and what else nothing may lie on, that lie on one another. What lies in another is meant to. */
function overlaps(all: readonly MeasuredPart[]): LayoutFinding[] {
  const words = all
    .map((m, index) => ({ m, index }))
    .filter(({ m }) => (m.kind === "words" || m.solid === true) && !m.clipped);
  /** Whether one of them lies in the other, however deep. */
  const isWithin = (from: number, whole: number): boolean => {
    for (let at: number | undefined = from; at !== undefined; at = all[at]?.inside) if (at === whole) return true;
    return false;
  };
  const sorted = [...words].sort((a, b) => a.m.rect.top - b.m.rect.top);
  const found: LayoutFinding[] = [];
  for (let i = 0; i < sorted.length; i++) {
    const { m: a, index } = sorted[i]!;
    for (let j = i + 1; j < sorted.length; j++) {
      const { m: b, index: other } = sorted[j]!;
      if (b.rect.top >= bottom(a.rect)) break;
      if (isWithin(index, other) || isWithin(other, index)) continue;
      if (a.flow !== undefined && a.flow === b.flow) continue;
      const w = Math.min(right(a.rect), right(b.rect)) - Math.max(a.rect.left, b.rect.left);
      const h = Math.min(bottom(a.rect), bottom(b.rect)) - Math.max(a.rect.top, b.rect.top);
      const smaller = Math.min(a.rect.width * a.rect.height, b.rect.width * b.rect.height);
      // Letters rarely fill their boxes: what touches a little is not on top of the other.
      if (w > 3 && h > 5 && w * h > smaller * 0.12) {
        found.push({ rule: "overlap", ...b, why: a.says ? `Lies on “${a.says}”.` : "Lies on what stands beside it." });
        break;
      }
    }
  }
  return found;
}

/** Everything that the rules find at one width, from the top of the page down; of each rule, one finding for a part. */
export function layoutFindings(all: readonly MeasuredPart[], width: number): readonly LayoutFinding[] {
  const found = [
    overflow(all, width),
    smallText(all),
    smallTargets(all),
    overlaps(all),
    longLines(all),
    brokenWords(all),
    unreadable(all),
  ].flat();
  const seen = new Set<string>();
  return found
    .filter(({ rule, node }) => {
      const key = `${rule} ${node}`;
      return !seen.has(key) && seen.add(key);
    })
    .map(({ rule, node, says, rect, why }) => ({ rule, node, says, rect, why }))
    .sort((a, b) => a.rect.top - b.rect.top);
}
