import type { Rect } from "./drop";

// Things that are placed freely on a frame: by the middle of each, in percent of the frame, so that a place means the same on a
// frame of any size and the frame can grow without anything falling off.

/** A place on a frame: the middle of a thing, in percent from the left and from the top. */
export type Spot = { readonly x: number; readonly y: number };

/** A line that a thing has come to stand on: through the frame's edges, margins or middle, or those of a neighbour. */
export type Guide = {
  readonly axis: "x" | "y";
  /** Where the line is, in px of the frame. */
  readonly at: number;
  readonly from: number;
  readonly to: number;
  /** What it stands on, in words. */
  readonly words: string;
};

export type Placing = { readonly spot: Spot; readonly guides: readonly Guide[] };

type Stop = { readonly at: number; readonly from: number; readonly to: number; readonly words: string };

/** As far from a frame's edges as things like to stand, as a share of its shorter side. */
const MARGIN = 0.06;

/** The middle of a thing in its frame, both in px of the same page. */
export const spotOf = (thing: Rect, frame: Rect): Spot => ({
  x: ((thing.left + thing.width / 2 - frame.left) / frame.width) * 100,
  y: ((thing.top + thing.height / 2 - frame.top) / frame.height) * 100,
});

/** Keeps a thing of this size wholly on its frame; one that is larger than the frame stands in its middle. */
function within(middle: number, size: number, room: number): number {
  if (size >= room) return room / 2;
  return Math.min(room - size / 2, Math.max(size / 2, middle));
}

const rounded = (value: number) => Math.round(value * 10) / 10;

/**
 * Where a thing comes to stand that is held with its middle at a place of its frame: drawn to the frame's edges, margins and middle and to
 * its neighbours' edges and middles within `reach` px, and never beyond the frame. All in px of the frame, from its top left; the
 * answer is in percent.
 */
export function placeAt(
  middle: { readonly x: number; readonly y: number },
  size: { readonly width: number; readonly height: number },
  frame: { readonly width: number; readonly height: number },
  neighbours: readonly Rect[],
  reach: number,
): Placing {
  const margin = MARGIN * Math.min(frame.width, frame.height);
  const along = (axis: "x" | "y") => {
    const [room, own] = axis === "x" ? [frame.width, size.width] : [frame.height, size.height];
    const across = axis === "x" ? frame.height : frame.width;
    const whole = { from: 0, to: across };
    const [first, last] = axis === "x" ? ["left", "right"] : ["upper", "lower"];
    const stops: Stop[] = [
      { at: room / 2, ...whole, words: "in the middle" },
      { at: margin, ...whole, words: `${first} margin` },
      { at: room - margin, ...whole, words: `${last} margin` },
      { at: 0, ...whole, words: `${first} edge` },
      { at: room, ...whole, words: `${last} edge` },
    ];
    for (const n of neighbours) {
      const [start, extent, from, to] =
        axis === "x" ? [n.left, n.width, n.top, n.top + n.height] : [n.top, n.height, n.left, n.left + n.width];
      for (const at of [start, start + extent / 2, start + extent]) stops.push({ at, from, to, words: "in line" });
    }
    const held = within(middle[axis], own, room);
    // Its middle may come to stand on a line, or either of its edges.
    const found = stops
      .flatMap((stop) => [0, -own / 2, own / 2].map((edge) => ({ stop, to: stop.at - edge })))
      .filter(({ to }) => Math.abs(within(to, own, room) - to) < 0.01)
      .map((each) => ({ ...each, far: Math.abs(each.to - held) }))
      .filter(({ far }) => far <= reach)
      .toSorted((a, b) => a.far - b.far)[0];
    return { room, middle: found?.to ?? held, stop: found?.stop };
  };
  const [x, y] = [along("x"), along("y")];
  const guides: Guide[] = [];
  for (const [axis, one, other, extent] of [
    ["x", x, y, size.height],
    ["y", y, x, size.width],
  ] as const) {
    if (!one.stop) continue;
    guides.push({
      axis,
      at: one.stop.at,
      // The line reaches from what it belongs to as far as the thing itself.
      from: Math.min(one.stop.from, other.middle - extent / 2),
      to: Math.max(one.stop.to, other.middle + extent / 2),
      words: one.stop.words,
    });
  }
  return {
    spot: { x: rounded((x.middle / x.room) * 100), y: rounded((y.middle / y.room) * 100) },
    guides,
  };
}

/** How wide a thing becomes whose right edge is dragged, in percent of its frame, and where its middle is then: its left edge stays. */
export function widened(
  thing: Rect,
  frame: Rect,
  dx: number,
  least = 4,
): { readonly width: number; readonly x: number } {
  const left = thing.left - frame.left;
  const most = frame.width - left;
  const width = Math.max((least / 100) * frame.width, Math.min(most, thing.width + dx));
  return { width: rounded((width / frame.width) * 100), x: rounded(((left + width / 2) / frame.width) * 100) };
}
