import { entryOf, placeOf, sameJson, walk, type Draft, type PageDocument, type Part } from "~/core/document";
import { journalsOf } from "~/core/journal";
import { held, type Operation } from "~/core/operations";
import type { Link } from "~/core/schema";
import { mapPart, referencesOf, whereUsed, type Reference, type Remap, type Use } from "./references";

/** Whether a reference is to this page. */
const isTo =
  (page: string) =>
  ({ to, id }: Reference): boolean =>
    to === "page" && id === page;

/** What leads to a page from elsewhere: buttons, words, items of menus. Links that it has to itself don’t count. */
export const leadingTo = (draft: Draft, page: string): readonly Use[] =>
  whereUsed(draft, isTo(page)).filter((use) => use.document.id !== page);

const pagesOf = new WeakMap<PageDocument, readonly string[]>();

/** The pages that a document leads to, but for itself; read once for each state of it. */
function ledToFrom(document: PageDocument): readonly string[] {
  let pages = pagesOf.get(document);
  if (!pages) {
    const ids = referencesOf(document).filter((r) => r.to === "page" && !r.isAsked && r.id !== document.id);
    pagesOf.set(document, (pages = [...new Set(ids.map((r) => r.id))]));
  }
  return pages;
}

/**
 * The pages that anything else leads to: a menu, a button, words; a journal leads to its posts. Other pages beneath one are not led to
 * by that alone.
 */
export const pagesLedTo = (documents: Draft["documents"]): ReadonlySet<string> =>
  new Set([
    ...Object.values(documents).flatMap((d) => (d.kind === "piece" ? [] : ledToFrom(d))),
    ...journalsOf(documents).flatMap((journal) => journal.children.map((post) => post.document.id)),
  ]);

const isItemTo = (part: Part, page: string): boolean => {
  const link = part.kind === "menu-item" ? (part.props.link as Link | undefined) : undefined;
  return link !== undefined && (link.to === "page" ? link.id === page : link.to === "place" && link.page === page);
};

/** What makes a part say what it would if its references were changed. What stands in it is not looked at. */
export function restated(document: string, part: Part, remap: Remap): Operation[] {
  const next = mapPart({ ...part, slots: {} }, remap);
  const { id: node, conditions: before } = part;
  const isSame = sameJson(before, next.conditions);
  const when: Operation[] = isSame ? [] : [{ type: "setConditions", document, node, before, after: next.conditions }];
  const said = Object.entries(next.props).flatMap(([key, value]): Operation[] => {
    const before = entryOf(part.props, key);
    return sameJson(before, value)
      ? []
      : [{ type: "setProp", document, node: part.id, path: [key], before: held(before), after: held(value) }];
  });
  return [...when, ...said];
}

/**
 * What has to change elsewhere for a page to go: links to it lead to another page, or nowhere. An item of a menu that would lead nowhere
 * and holds nothing goes with it.
 */
export function leadElsewhere(draft: Draft, page: string, heir: string | null): readonly Operation[] {
  const operations: Operation[] = [];
  for (const { id: document, root } of Object.values(draft.documents)) {
    if (document === page) continue;
    // Last first, so that each stands where it says when its turn comes.
    for (const part of [...walk(root)].reverse()) {
      if (part.kind === "root") continue;
      if (heir === null && isItemTo(part, page) && !(part.slots.items ?? []).length) {
        operations.push({ type: "removeNode", document, from: placeOf(root, part.id)!, node: part });
        continue;
      }
      operations.push(...restated(document, part, (r) => (isTo(page)(r) ? heir : r.id)));
    }
  }
  return operations;
}

/** What has to change for a menu to go: headers and footers that show it show none in its place. */
export const withoutMenu = (draft: Draft, menu: string): readonly Operation[] =>
  Object.values(draft.documents).flatMap(({ id, root }) =>
    [...walk(root)]
      .filter((part) => part.kind !== "root")
      .flatMap((part) => restated(id, part, (r) => (r.to === "menu" && r.id === menu ? null : r.id))),
  );
