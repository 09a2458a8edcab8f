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

/** A short mark of a text, to know it again by: the same for the same text (FNV-1a, 32 bits, over UTF-16 units). */
export function markOf(text: string): string {
  let hash = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193) >>> 0;
  return hash.toString(16).padStart(8, "0");
}
