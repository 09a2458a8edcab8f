import { freeze, walk, type Draft, type PageDocument, type Part } from "~/core/document";
import { saidToAll } from "./said-to-all";
import { kindOf } from ".";

// Parts that shoppers can close. What they closed is known by what it says: changed words are there again.

type Documents = Draft["documents"];

/** What a part is known by once somebody has closed it; undefined where that can't be. */
export const closedBy = ({ kind, props }: Pick<Part, "kind" | "props">): string | undefined =>
  kindOf({ kind })?.definition.closes?.(saidToAll(props)) ?? undefined;

const inDocument = new WeakMap<PageDocument, ReadonlySet<string>>();

/** The names of what can be closed in a document. */
function closableIn(document: PageDocument): ReadonlySet<string> {
  let names = inDocument.get(document);
  if (!names) {
    names = new Set([...walk(document.root)].map(closedBy).filter((name) => name !== undefined));
    inDocument.set(document, names);
  }
  return names;
}

const inAll = new WeakMap<Documents, readonly PageDocument[]>();

/** The documents in which anything can be closed: of thousands, few. */
function closableDocuments(documents: Documents): readonly PageDocument[] {
  let found = inAll.get(documents);
  if (!found) inAll.set(documents, (found = Object.values(documents).filter((each) => closableIn(each).size > 0)));
  return found;
}

/** Of what somebody has closed, what there is to close in a shop: all else they closed is past. */
export function closedHere(documents: Documents, closed: readonly string[]): readonly string[] {
  if (closed.length === 0) return closed;
  const found = closableDocuments(documents).map(closableIn);
  return closed.filter((name) => found.some((names) => names.has(name))).sort();
}

/** A draft in which what somebody has closed is not shown. */
export function withoutClosed(draft: Draft, closed: readonly string[]): Draft {
  if (closed.length === 0) return draft;
  const open = (part: Part): Part => {
    const name = part.shown ? closedBy(part) : undefined;
    if (name !== undefined && closed.includes(name)) return { ...part, shown: false };
    let { slots } = part;
    for (const [slot, children] of Object.entries(part.slots)) {
      const next = children.map(open);
      if (next.some((child, i) => child !== children[i])) slots = { ...slots, [slot]: next };
    }
    return slots === part.slots ? part : { ...part, slots };
  };
  const changed = closableDocuments(draft.documents).map(
    (document) => [document.id, freeze({ ...document, root: open(document.root) })] as const,
  );
  return { ...draft, documents: { ...draft.documents, ...Object.fromEntries(changed) } };
}
