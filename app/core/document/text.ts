/** A text without these letters at its end. Takes as long as there are letters to take away, whatever stands before them. */
export function withoutEnd(text: string, letters: string): string {
  let end = text.length;
  while (end > 0 && letters.includes(text[end - 1]!)) end--;
  return text.slice(0, end);
}

/** A text without these letters at either end. */
export function withoutEnds(text: string, letters: string): string {
  let start = 0;
  while (start < text.length && letters.includes(text[start]!)) start++;
  return withoutEnd(text.slice(start), letters);
}
