import type { Part, StyleValue } from "../document";

// How a page that was laid out wide is set for a phone: what is proposed, and why. Works on facts that a phone pane measured
// and on what the cascade says, so that it can be tried without a browser.

/** What a phone pane shows of a part. Lengths in px. */
export type PhoneFacts = {
  readonly width: number;
  readonly height: number;
  /** Of words: how many lines they take, how many were written, and how wide the longest word is. */
  readonly lines?: number;
  readonly writtenLines?: number;
  readonly longestWord?: number;
};

export type PhoneChange = { readonly id: string; readonly property: string; readonly value: StyleValue };
/** One thing to do for phones, with the reason. */
export type Proposal = {
  readonly key: string;
  readonly node: string;
  readonly what: string;
  readonly why: string;
  readonly changes: readonly PhoneChange[];
};

export type ArrangeInput = {
  readonly sections: readonly Part[];
  readonly facts: ReadonlyMap<string, PhoneFacts>;
  /** What a property comes out as on phones. */
  readonly now: (node: Part, property: string) => StyleValue | undefined;
  readonly has: (node: Part, property: string) => boolean;
  readonly nameOf: (node: Part) => string;
  /** Whether a part is mainly a picture, words or a line, or small enough for two to stand side by side. */
  readonly is: (node: Part, what: "picture" | "words" | "rule" | "small") => boolean;
};

/** A column on a phone that is narrower than this holds about four words a line, in px; common practice, no source. */
const LEAST_COLUMN = 150;
/** The most that space above and below a section may take on a phone, in px. */
const MOST_SPACE = 72;
const ROOMY_STEP = 5;

const isPictures = (column: Part, { is }: ArrangeInput) => {
  const inside = column.slots.widgets ?? [];
  return inside.length > 0 && inside.every((w) => is(w, "picture"));
};
const isWords = (column: Part, { is }: ArrangeInput) => (column.slots.widgets ?? []).some((w) => is(w, "words"));
const pixels = (value: StyleValue | undefined) =>
  typeof value === "string" && value.endsWith("px") ? Number.parseFloat(value) : undefined;
const percent = (value: StyleValue | undefined) =>
  typeof value === "string" && value.endsWith("%") ? Number.parseFloat(value) : undefined;

const everyPart = (node: Part): readonly Part[] => [node, ...Object.values(node.slots).flat().flatMap(everyPart)];

function columnProposals(section: Part, input: ArrangeInput): Proposal[] {
  const { now, facts, nameOf } = input;
  const columns = section.slots.columns ?? [];
  if (columns.length < 2) return [];
  const name = nameOf(section);
  const found: Proposal[] = [];
  const propose = (key: string, what: string, why: string, changes: readonly PhoneChange[]) =>
    found.push({ key: `${section.id} ${key}`, node: section.id, what: `${name}: ${what}`, why, changes });
  const rows = now(section, "rows");
  const allSmall = columns.every((c) => (c.slots.widgets ?? []).every((w) => input.is(w, "small")));
  const narrowest = Math.min(...columns.map((c) => facts.get(c.id)?.width ?? Number.POSITIVE_INFINITY));
  const isStacked = rows === 1;
  const stack = (value: number) => [{ id: section.id, property: "rows", value }];
  if (!isStacked && narrowest < LEAST_COLUMN && !(allSmall && rows === 2)) {
    if (allSmall && columns.length % 2 === 0)
      propose(
        "rows",
        "columns two in a row",
        `${columns.length} side by side are ${Math.round(narrowest)} px narrow each.`,
        stack(2),
      );
    else
      propose(
        "rows",
        "columns below each other",
        `Side by side, the narrowest is ${Math.round(narrowest)} px: about four words a line.`,
        stack(1),
      );
  } else if (isStacked && allSmall && columns.length >= 4) {
    propose(
      "rows",
      "columns two in a row",
      `${columns.length} small things below each other make a long way to scroll.`,
      stack(2),
    );
  }
  // Where columns stand below each other, what is to be seen comes before what is said about it.
  const first = columns[0]!;
  const picture = columns.findIndex((c) => isPictures(c, input));
  const willStack = isStacked || found.some((p) => p.changes.some((c) => c.property === "rows" && c.value === 1));
  const isOrdered = columns.some((c) => now(c, "order") !== undefined);
  if (willStack && picture > 0 && isWords(first, input) && !isOrdered && columns.length <= 3) {
    const order = [picture, ...columns.map((_, i) => i).filter((i) => i !== picture)];
    propose(
      "order",
      "the picture first",
      "Below each other, shoppers should see the thing before they read about it.",
      order.map((column, place) => ({ id: columns[column]!.id, property: "order", value: place + 1 })),
    );
  }
  for (const column of columns) {
    if ((column.slots.widgets ?? []).length === 0 && willStack && now(column, "hidden") !== true)
      found.push({
        key: `${column.id} hidden`,
        node: column.id,
        what: `${name}: the empty column hidden`,
        why: "It makes room on wide screens; on a phone it is only a gap.",
        changes: [{ id: column.id, property: "hidden", value: true }],
      });
    const edge = [column.slots.widgets?.[0], column.slots.widgets?.at(-1)].find((w) => w && input.is(w, "rule"));
    if (willStack && edge && (column.slots.widgets?.length ?? 0) > 1 && now(edge, "hidden") !== true)
      found.push({
        key: `${edge.id} hidden`,
        node: edge.id,
        what: `${name}: the line at the end of a column hidden`,
        why: "Below each other, columns are parted by their gap.",
        changes: [{ id: edge.id, property: "hidden", value: true }],
      });
  }
  return found;
}

function wordProposals(node: Part, input: ArrangeInput): Proposal[] {
  const { now, has, facts, nameOf } = input;
  const fact = facts.get(node.id);
  const found: Proposal[] = [];
  const propose = (key: string, what: string, why: string, changes: readonly PhoneChange[]) =>
    found.push({ key: `${node.id} ${key}`, node: node.id, what: `${nameOf(node)}: ${what}`, why, changes });
  if (has(node, "headSize") && fact?.lines) {
    const size = now(node, "headSize");
    const tooWide = (fact.longestWord ?? 0) > fact.width + 1;
    const step = typeof size === "number" ? size : pixels(size) ? 4 : undefined;
    if (step !== undefined && step > 1 && (tooWide || fact.lines > 4 || pixels(size))) {
      // A step of the scale is about a fifth; go down until the longest word fits and four lines hold it.
      let next = pixels(size) ? step : step - 1;
      let factor = 1 / 1.22;
      while (next > 1 && ((fact.longestWord ?? 0) * factor > fact.width || fact.lines * factor > 4.4)) {
        next--;
        factor /= 1.22;
      }
      propose(
        "headSize",
        "a smaller head",
        tooWide ? "Its longest word does not fit the screen." : `It takes ${fact.lines} lines.`,
        [{ id: node.id, property: "headSize", value: next }],
      );
    }
    if (
      has(node, "breaks") &&
      now(node, "breaks") !== "flow" &&
      (fact.writtenLines ?? 1) > 1 &&
      fact.lines > (fact.writtenLines ?? 1)
    )
      propose("breaks", "lines broken where they fall", "The breaks you wrote leave short ends on a phone.", [
        { id: node.id, property: "breaks", value: "flow" },
      ]);
  }
  const size = pixels(now(node, "size"));
  if (has(node, "size") && size !== undefined && (size < 14 || size > 40))
    propose("size", size < 14 ? "larger words" : "smaller words", `They are set to ${size} px on every device.`, [
      { id: node.id, property: "size", value: size < 14 ? 0 : 3 },
    ]);
  if (has(node, "align") && now(node, "align") === "end")
    propose("align", "words at the left", "Words at the right edge are hard to follow in a narrow column.", [
      { id: node.id, property: "align", value: "start" },
    ]);
  return found;
}

function boxProposals(node: Part, input: ArrangeInput): Proposal[] {
  const { now, has, facts, nameOf } = input;
  const fact = facts.get(node.id);
  const found: Proposal[] = [];
  const propose = (key: string, what: string, why: string, changes: readonly PhoneChange[]) =>
    found.push({ key: `${node.id} ${key}`, node: node.id, what: `${nameOf(node)}: ${what}`, why, changes });
  const wide = percent(now(node, "wide"));
  if (has(node, "wide") && wide !== undefined && wide < 70)
    propose("wide", "all of the width", `${wide} % of a phone is too narrow.`, [
      { id: node.id, property: "wide", value: "fill" },
    ]);
  if (input.is(node, "picture") && fact && fact.width > 260 && ["16/9", "3/2"].includes(String(now(node, "shape"))))
    propose("shape", "a taller crop", `At ${Math.round(fact.height)} px high there is little to see.`, [
      { id: node.id, property: "shape", value: "4/3" },
    ]);
  for (const property of ["spaceTop", "spaceBottom", "above", "below"]) {
    const px = pixels(now(node, property));
    if (has(node, property) && px !== undefined && px > MOST_SPACE)
      propose(
        property,
        property === "spaceTop" || property === "above" ? "less space above" : "less space below",
        `${px} px are a large part of a phone’s screen.`,
        [{ id: node.id, property, value: ROOMY_STEP }],
      );
  }
  for (const property of ["pad", "sides"]) {
    const px = pixels(now(node, property));
    if (has(node, property) && px !== undefined && px > 32)
      propose(property, "less space inside", `${px} px on either side leave little room.`, [
        { id: node.id, property, value: property === "pad" ? 3 : "gutter" },
      ]);
  }
  return found;
}

/** What to do so that a page sits well on a phone, from its top down; nothing where it does. */
export function arrangeForPhone(input: ArrangeInput): readonly Proposal[] {
  return input.sections.flatMap((section) => [
    ...columnProposals(section, input),
    ...everyPart(section).flatMap((node) => [...wordProposals(node, input), ...boxProposals(node, input)]),
  ]);
}
