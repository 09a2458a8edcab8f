import type { Draft, PageDocument } from "./types";

type Documents = Draft["documents"];

/**
 * Makes what lists everything of one sort that documents hold, in order: the same list for as long as the same things are in it, whatever
 * else of the draft changes. `read`: what a document holds; the same object for the same document.
 */
export function listerOf<T extends object>(
  read: (document: PageDocument) => T | undefined,
  compare: (a: T, b: T) => number,
): (documents: Documents) => readonly T[] {
  const found = new WeakMap<Documents, readonly T[]>();
  // By its first member, the list that was made last.
  const latest = new WeakMap<T, readonly T[]>();
  const none: readonly T[] = [];
  const asBefore = (list: readonly T[]): readonly T[] => {
    const [first] = list;
    if (!first) return none;
    const before = latest.get(first);
    if (before?.length === list.length && before.every((each, i) => each === list[i])) return before;
    latest.set(first, list);
    return list;
  };
  return (documents) => {
    let list = found.get(documents);
    if (!list) {
      list = asBefore(
        Object.values(documents)
          .flatMap((document) => read(document) ?? [])
          .sort(compare),
      );
      found.set(documents, list);
    }
    return list;
  };
}
