import { describe, expect, it } from "vitest";
import { unequal, type Tile } from "./unequal";

const SIZES: Readonly<Record<Tile, readonly [columns: number, rows: number]>> = {
  all: [12, 2],
  large: [8, 2],
  small: [4, 1],
  wide: [7, 1],
  narrow: [5, 1],
};

/** Where CSS puts tiles into twelve columns one after the other, each into the first room for it (CSS Grid 2, 8.5, dense packing). */
function laid(count: number) {
  const taken = new Set<string>();
  const cells = (r: number, c: number, w: number, h: number) =>
    Array.from({ length: w * h }, (_, i) => `${r + Math.floor(i / w)} ${c + (i % w)}`);
  let rows = 0;
  for (const { tile, right } of unequal(count)) {
    const [w, h] = SIZES[tile];
    const columns = right ? [12 - w] : Array.from({ length: 13 - w }, (_, i) => i);
    let row = 0;
    let column: number | undefined;
    while (column === undefined) {
      column = columns.find((c) => cells(row, c, w, h).every((cell) => !taken.has(cell)));
      if (column === undefined) row++;
    }
    for (const cell of cells(row, column, w, h)) taken.add(cell);
    rows = Math.max(rows, row + h);
  }
  return { rows, filled: taken.size };
}

describe("unequal tiles", () => {
  it.each(Array.from({ length: 40 }, (_, i) => i + 1))("leave no hole with %i pictures", (count) => {
    expect(unequal(count)).toHaveLength(count);
    const { rows, filled } = laid(count);
    expect(filled).toBe(rows * 12);
  });
});
