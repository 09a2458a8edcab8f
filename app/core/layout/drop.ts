/** A rectangle in px, as browsers measure it. */
export type Rect = { readonly left: number; readonly top: number; readonly width: number; readonly height: number };
export type Point = { readonly x: number; readonly y: number };

/** A place that can take things: its own rectangle, and those of what stands in it, in order. */
export type DropSlot = {
  readonly parent: string;
  readonly slot: string;
  readonly rect: Rect;
  readonly flow: "row" | "column";
  readonly inside: readonly { readonly id: string; readonly rect: Rect }[];
};

/** Where something held over a page would go: before what stands at `index`, and the line that shows it. */
export type DropPlace = {
  readonly parent: string;
  readonly slot: string;
  readonly index: number;
  readonly line: Rect;
};

const within = (rect: Rect, { x, y }: Point, slack = 0) =>
  x >= rect.left - slack &&
  x <= rect.left + rect.width + slack &&
  y >= rect.top - slack &&
  y <= rect.top + rect.height + slack;
const areaOf = (rect: Rect) => rect.width * rect.height;

/** How far outside of a rectangle a point is, in px; 0 inside. */
export function distanceTo(rect: Rect, { x, y }: Point): number {
  const dx = Math.max(rect.left - x, 0, x - rect.left - rect.width);
  const dy = Math.max(rect.top - y, 0, y - rect.top - rect.height);
  return Math.hypot(dx, dy);
}

/**
 * The slot that a point means: the smallest one that contains it (a group inside of a column comes before the column), else
 * the nearest within `reach` px. A slot that is only as high as a line still catches what is held just above or below it.
 */
export function slotAt(slots: readonly DropSlot[], point: Point, reach = 120): DropSlot | undefined {
  const holding = slots.filter((s) => within(s.rect, point, 2)).sort((a, b) => areaOf(a.rect) - areaOf(b.rect));
  if (holding[0]) return holding[0];
  return slots
    .map((slot) => ({ slot, far: distanceTo(slot.rect, point) }))
    .filter(({ far }) => far <= reach)
    .sort((a, b) => a.far - b.far)[0]?.slot;
}

const THICK = 4;

/** Where in a slot a point means: before the first thing whose middle lies beyond it along the slot's flow. */
export function placeIn(slot: DropSlot, { x, y }: Point): DropPlace {
  const isRow = slot.flow === "row";
  const start = (r: Rect) => (isRow ? r.left : r.top);
  const size = (r: Rect) => (isRow ? r.width : r.height);
  const at = isRow ? x : y;
  // A row may have wrapped: only what stands in the same line counts.
  const line = (r: Rect) => !isRow || (y >= r.top - 4 && y <= r.top + r.height + 4);
  const counted = slot.inside.filter(({ rect }) => line(rect));
  const next = (counted.length ? counted : slot.inside).find(({ rect }) => start(rect) + size(rect) / 2 > at);
  const lastCounted = counted.at(-1);
  const index = next
    ? slot.inside.indexOf(next)
    : lastCounted
      ? slot.inside.indexOf(lastCounted) + 1
      : slot.inside.length;
  const before = slot.inside[index - 1]?.rect;
  const after = slot.inside[index]?.rect;
  const end = (r: Rect) => start(r) + size(r);
  const where =
    before && after && end(before) <= start(after) + 1
      ? (end(before) + start(after)) / 2
      : after
        ? start(after)
        : before
          ? end(before)
          : start(slot.rect) + size(slot.rect) / 2;
  const beside = after ?? before ?? slot.rect;
  const drawn: Rect = isRow
    ? { left: where - THICK / 2, top: beside.top, width: THICK, height: Math.max(20, beside.height) }
    : { left: slot.rect.left, top: where - THICK / 2, width: slot.rect.width, height: THICK };
  return { parent: slot.parent, slot: slot.slot, index, line: drawn };
}

/** A line that two things have in common, with how far they are apart. */
export type Alignment = {
  readonly axis: "x" | "y";
  /** Where the common line is. */
  readonly at: number;
  /** From where to where it is drawn. */
  readonly from: number;
  readonly to: number;
  readonly distance: number;
};

/**
 * Lines on which a rectangle's edges or middles stand together with those of others, nearest other first, at most one for
 * each edge. `slack`: how far off still counts, in px.
 */
export function alignmentsOf(rect: Rect, others: readonly Rect[], slack = 1): readonly Alignment[] {
  const found: Alignment[] = [];
  const add = (axis: "x" | "y", at: number, other: Rect) => {
    const [aFrom, aTo] = axis === "x" ? [rect.top, rect.top + rect.height] : [rect.left, rect.left + rect.width];
    const [bFrom, bTo] = axis === "x" ? [other.top, other.top + other.height] : [other.left, other.left + other.width];
    if (found.some((f) => f.axis === axis && Math.abs(f.at - at) <= slack)) return;
    found.push({
      axis,
      at,
      from: Math.min(aFrom, bFrom),
      to: Math.max(aTo, bTo),
      distance: Math.max(0, Math.max(aFrom, bFrom) - Math.min(aTo, bTo)),
    });
  };
  const marks = (r: Rect, axis: "x" | "y") =>
    axis === "x" ? [r.left, r.left + r.width / 2, r.left + r.width] : [r.top, r.top + r.height / 2, r.top + r.height];
  const sorted = [...others].sort(
    (a, b) => distanceTo(a, { x: rect.left, y: rect.top }) - distanceTo(b, { x: rect.left, y: rect.top }),
  );
  for (const other of sorted) {
    for (const axis of ["x", "y"] as const) {
      for (const mine of marks(rect, axis)) {
        if (marks(other, axis).some((theirs) => Math.abs(theirs - mine) <= slack)) add(axis, mine, other);
      }
    }
  }
  return found;
}
