export type ListedPoint = { readonly words: string; readonly isIn: boolean };

/** What is in something, one on each line; a line that begins with a dash says what is not. */
export const pointsOf = (text: string): readonly ListedPoint[] =>
  text
    .split("\n")
    .map((line) => line.trim())
    .filter((line) => line.replace(/^[-–—]\s*/, "") !== "")
    .map((line) => ({ words: line.replace(/^[-–—]\s*/, ""), isIn: !/^[-–—]/.test(line) }));
