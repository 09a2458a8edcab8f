import { freeze, walk, type Draft, type Part } from "~/core/document";
import { kindOf } from ".";

// Parts that shoppers can close. What they closed is known by what it says: changed words are there again.

type Documents = Draft["documents"];

/** What a part is known by once somebody has closed it; undefined where that can't be. */
export const closedBy = ({ kind, props }: Pick<Part, "kind" | "props">): string | undefined =>
  kindOf({ kind })?.definition.closes?.(props) ?? undefined;

const known = new WeakMap<Documents, ReadonlySet<string>>();

/** Of what somebody has closed, what there is to close in a shop: all else they closed is past. */
export function closedHere(documents: Documents, closed: readonly string[]): readonly string[] {
  if (closed.length === 0) return closed;
  let here = known.get(documents);
  if (!here) {
    const names = Object.values(documents).flatMap(({ root }) => [...walk(root)].map(closedBy));
    known.set(documents, (here = new Set(names.filter((name) => name !== undefined))));
  }
  return closed.filter((name) => here.has(name)).sort();
}

/** A draft in which what somebody has closed is not shown. */
export function withoutClosed(draft: Draft, closed: readonly string[]): Draft {
  if (closed.length === 0) return draft;
  const names = new Set(closed);
  const open = (part: Part): Part => {
    const name = part.shown ? closedBy(part) : undefined;
    if (name !== undefined && names.has(name)) return { ...part, shown: false };
    let { slots } = part;
    for (const [slot, children] of Object.entries(part.slots)) {
      const next = children.map(open);
      if (next.some((child, i) => child !== children[i])) slots = { ...slots, [slot]: next };
    }
    return slots === part.slots ? part : { ...part, slots };
  };
  const documents = Object.fromEntries(
    Object.entries(draft.documents).map(([id, document]) => {
      const root = open(document.root);
      return [id, root === document.root ? document : freeze({ ...document, root })];
    }),
  );
  return { ...draft, documents };
}
