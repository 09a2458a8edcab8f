/** How much room a picture takes in a grid of twelve columns: all of it, or its part of a row of two or of a block of three. */
export type Tile = "all" | "large" | "small" | "wide" | "narrow";

/** A tile, and whether it stands at the right edge although it comes first. */
export type Placed = { readonly tile: Tile; readonly right: boolean };

const three = (right: boolean): readonly Placed[] => [
  { tile: "large", right },
  { tile: "small", right: false },
  { tile: "small", right: false },
];
const two = (flip: boolean): readonly Placed[] => [
  { tile: flip ? "narrow" : "wide", right: false },
  { tile: flip ? "wide" : "narrow", right: false },
];

/**
 * Unequal tiles for `count` pictures that leave no hole: blocks of one large and two small ones, with rows of two where the
 * number asks for it. The large ones stand left and right in turn.
 */
export function unequal(count: number): readonly Placed[] {
  if (count <= 0) return [];
  if (count === 1) return [{ tile: "all", right: false }];
  const rest = count % 3;
  // One too many makes two rows of two of it and the block before it.
  const twos = rest === 0 ? 0 : rest === 2 ? 1 : 2;
  const threes = (count - 2 * twos) / 3;
  const tiles: Placed[] = [];
  for (let i = 0; i < threes; i++) tiles.push(...three(i % 2 === 1));
  for (let i = 0; i < twos; i++) tiles.push(...two(i % 2 === 1));
  return tiles;
}
