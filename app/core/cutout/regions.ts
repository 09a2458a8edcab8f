/** Neighbours of a pixel to its four sides, called one by one. */
export function beside(at: number, width: number, height: number, visit: (other: number) => void): void {
  const x = at % width;
  if (x > 0) visit(at - 1);
  if (x < width - 1) visit(at + 1);
  if (at >= width) visit(at - width);
  if (at < width * (height - 1)) visit(at + width);
}

/** All that is reached from `starts` over pixels that may be passed: 1 for each. */
export function flood(
  width: number,
  height: number,
  starts: Iterable<number>,
  mayPass: (at: number, from: number) => boolean,
): Uint8Array {
  const reached = new Uint8Array(width * height);
  const stack: number[] = [];
  for (const at of starts) {
    if (reached[at]) continue;
    reached[at] = 1;
    stack.push(at);
  }
  for (let at = stack.pop(); at !== undefined; at = stack.pop()) {
    const from = at;
    beside(from, width, height, (other) => {
      if (reached[other] || !mayPass(other, from)) return;
      reached[other] = 1;
      stack.push(other);
    });
  }
  return reached;
}

/** The connected parts of all pixels for which `is` holds, as lists of pixels. */
export function partsOf(width: number, height: number, is: (at: number) => boolean): readonly (readonly number[])[] {
  const seen = new Uint8Array(width * height);
  const parts: number[][] = [];
  for (let start = 0; start < seen.length; start++) {
    if (seen[start] || !is(start)) continue;
    const part = [start];
    seen[start] = 1;
    for (let k = 0; k < part.length; k++) {
      beside(part[k]!, width, height, (other) => {
        if (seen[other] || !is(other)) return;
        seen[other] = 1;
        part.push(other);
      });
    }
    parts.push(part);
  }
  return parts;
}

/** How far each pixel is from the nearest one that is not of `value`, up to `most` steps to the sides. */
export function depthOf(mask: Uint8Array, width: number, height: number, value: 0 | 1, most: number): Uint8Array {
  const depth = new Uint8Array(mask.length).fill(most);
  let shell: number[] = [];
  for (let at = 0; at < mask.length; at++) {
    if (mask[at] === value) continue;
    depth[at] = 0;
    shell.push(at);
  }
  for (let step = 1; step < most && shell.length; step++) {
    const next: number[] = [];
    for (const at of shell)
      beside(at, width, height, (other) => {
        if (depth[other]! <= step) return;
        depth[other] = step;
        next.push(other);
      });
    shell = next;
  }
  return depth;
}
