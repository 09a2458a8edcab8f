import type { Stroke } from "../pictures";

export const KEEP = 1;
export const TAKE = 2;

/** The strokes as pixels: 0 unmarked, `KEEP`, `TAKE`; the later one wins. `grown`: how many px each is wider on all sides. */
export function marksOf(strokes: readonly Stroke[], width: number, height: number, grown = 0): Uint8Array {
  const marks = new Uint8Array(width * height);
  for (const { way, size, points } of strokes) {
    const radius = Math.max(0.75, size * Math.max(width, height)) + grown;
    const dot = (cx: number, cy: number) => {
      for (let y = Math.max(0, Math.ceil(cy - radius)); y <= Math.min(height - 1, cy + radius); y++) {
        const half = Math.sqrt(Math.max(0, radius ** 2 - (y - cy) ** 2));
        const [from, to] = [Math.max(0, Math.ceil(cx - half)), Math.min(width - 1, Math.floor(cx + half))];
        if (to >= from) marks.fill(way === "keep" ? KEEP : TAKE, y * width + from, y * width + to + 1);
      }
    };
    const at = ([x, y]: readonly [number, number]) => [x * width - 0.5, y * height - 0.5] as const;
    for (const [i, point] of points.entries()) {
      const [x, y] = at(point);
      const [fromX, fromY] = at(points[i - 1] ?? point);
      const steps = Math.max(1, Math.ceil(Math.hypot(x - fromX, y - fromY) / Math.max(1, radius / 2)));
      for (let k = 1; k <= steps; k++) dot(fromX + ((x - fromX) * k) / steps, fromY + ((y - fromY) * k) / steps);
    }
  }
  return marks;
}
