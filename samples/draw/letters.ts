/**
 * Capitals of one even line, drawn for labels and covers: the same picture everywhere, whatever fonts a machine has. Each letter is six
 * high; its number is how wide it is.
 */
const LETTERS: ReadonlyMap<string, readonly [width: number, path: string]> = new Map([
  ["A", [4.2, "M0 6L2.1 0L4.2 6M.75 4H3.45"]],
  ["B", [3.8, "M0 0V6H2.2A1.6 1.6 0 0 0 2.2 2.8H0M2 2.8A1.4 1.4 0 0 0 2 0H0"]],
  ["C", [3.9, "M3.9 1.3C3.5.5 2.9 0 2.1 0C.9 0 0 1.2 0 3S.9 6 2.1 6C2.9 6 3.5 5.5 3.9 4.7"]],
  ["D", [4, "M0 0V6H1.6C3.2 6 4 4.8 4 3S3.2 0 1.6 0Z"]],
  ["E", [3.3, "M3.3 0H0V6H3.3M0 3H2.7"]],
  ["F", [3.2, "M3.2 0H0V6M0 3H2.6"]],
  ["G", [4, "M3.9 1.3C3.5.5 2.9 0 2.1 0C.9 0 0 1.2 0 3S.9 6 2.1 6C3.2 6 4 5.2 4 3.9V3.3H2.4"]],
  ["H", [4, "M0 0V6M4 0V6M0 3H4"]],
  ["I", [0.2, "M.1 0V6"]],
  ["J", [2.4, "M2.4 0V4.4C2.4 5.5 1.9 6 1.1 6C.5 6 .1 5.6 0 5"]],
  ["K", [3.9, "M0 0V6M3.7 0L0 3.8M1.4 2.4L3.9 6"]],
  ["L", [3.1, "M0 0V6H3.1"]],
  ["M", [4.8, "M0 6V0L2.4 4L4.8 0V6"]],
  ["N", [4, "M0 6V0L4 6V0"]],
  ["O", [4.4, "M2.2 0C.9 0 0 1.2 0 3S.9 6 2.2 6S4.4 4.8 4.4 3S3.5 0 2.2 0Z"]],
  ["P", [3.7, "M0 6V0H2A1.7 1.7 0 0 1 2 3.4H0"]],
  ["Q", [4.4, "M2.2 0C.9 0 0 1.2 0 3S.9 6 2.2 6S4.4 4.8 4.4 3S3.5 0 2.2 0ZM2.8 4.4L4.4 6.3"]],
  ["R", [3.9, "M0 6V0H2A1.7 1.7 0 0 1 2 3.4H0M1.9 3.4L3.9 6"]],
  ["S", [3.8, "M3.5 1C3.2.4 2.6 0 1.8 0C.8 0 .2.6.2 1.5C.2 3.6 3.8 2.5 3.8 4.5C3.8 5.4 3 6 1.9 6C1 6 .3 5.5 0 4.8"]],
  ["T", [3.8, "M0 0H3.8M1.9 0V6"]],
  ["U", [4, "M0 0V4C0 5.3.8 6 2 6S4 5.3 4 4V0"]],
  ["V", [4.2, "M0 0L2.1 6L4.2 0"]],
  ["W", [6, "M0 0L1.5 6L3 1.2L4.5 6L6 0"]],
  ["X", [4, "M0 0L4 6M4 0L0 6"]],
  ["Y", [4, "M0 0L2 3V6M4 0L2 3"]],
  ["Z", [3.8, "M0 0H3.8L0 6H3.8"]],
  ["&", [4, "M4 6L.9 2.1C.3 1.3.6 0 1.8 0S3.2 1.5 2.2 2.2L1 3C-.4 4 .2 6 1.8 6C3 6 3.8 5 3.9 3.4"]],
  [" ", [2.2, ""]],
]);
const GAP = 1.5;

/** How wide a line of letters is, in units of their sixth. */
const widthOf = (text: string): number =>
  [...text].reduce((sum, letter) => sum + (LETTERS.get(letter)?.[0] ?? 0) + GAP, -GAP);

/**
 * A line of capitals around `x`, standing on `y`, `size` px high, as SVG. `most`: how wide it may be at most; a longer one is made smaller.
 * Throws where a letter has not been drawn.
 */
export function lettering(
  text: string,
  x: number,
  y: number,
  size: number,
  colour: string,
  { weight = 0.85, most = Infinity }: { readonly weight?: number; readonly most?: number } = {},
): string {
  const scale = Math.min(size / 6, most / widthOf(text));
  let at = x - (widthOf(text) * scale) / 2;
  let drawn = "";
  for (const letter of text) {
    const found = LETTERS.get(letter);
    if (!found) throw new Error(`no letter “${letter}” has been drawn`);
    const [width, path] = found;
    drawn += `<path transform="translate(${at.toFixed(2)} ${(y - 6 * scale).toFixed(2)}) scale(${scale.toFixed(4)})" d="${path}"/>`;
    at += (width + GAP) * scale;
  }
  return `<g fill="none" stroke="${colour}" stroke-width="${weight}" stroke-linecap="round" stroke-linejoin="round">${drawn}</g>`;
}
