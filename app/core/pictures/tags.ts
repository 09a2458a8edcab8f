/** As many tags as one picture can have, and as many letters as one of them. */
export const MOST_TAGS = 20;
export const LONGEST_TAG = 40;

const same = (a: string, b: string) => a.toLocaleLowerCase() === b.toLocaleLowerCase();

/**
 * The tags of a picture once some were added and others taken. A tag is the same however it is written; the way in which it was written
 * first stays. Null where there would be too many.
 */
export function tagged(
  tags: readonly string[],
  add: readonly string[],
  take: readonly string[],
): readonly string[] | null {
  const left = tags.filter((tag) => !take.some((each) => same(each, tag)));
  for (const tag of add) if (!left.some((each) => same(each, tag))) left.push(tag);
  return left.length > MOST_TAGS ? null : left;
}
