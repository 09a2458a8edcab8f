import {
  copyWithNewIds,
  emptyDocument,
  entryOf,
  newId,
  placesOfShared,
  sectionOfShared,
  SHARED,
  sharedOf,
  sharedSections,
  type Draft,
  type PageDocument,
  type Part,
  type Place,
} from "../document";
import type { Operation } from "../operations";
import { DOCUMENT_VERSION } from "../schema/migrations";
import { locate } from "./nodes";
import { nameProblem } from "./names";
import { refuse, transaction, type Outcome } from "./transaction";

/** The most shared sections that a shop has. */
const MOST_SHARED = 100;
const GONE = "This shared section is no longer there.";

/** The part that holds a place for a shared section. */
const standFor = (shared: string): Part => ({
  id: newId(),
  kind: SHARED,
  props: { of: shared },
  style: {},
  conditions: [],
  shown: true,
  slots: {},
});

const sharedDocument = (draft: Draft, id: string): PageDocument | undefined => {
  const document = entryOf(draft.documents, id);
  return document?.kind === "shared" ? document : undefined;
};

/** Makes a section of a page one that can stand on other pages as well. It stays where it is, and keeps its id. */
export function shareSection(draft: Draft, section: string, name: string, id: string = newId()): Outcome {
  const found = locate(draft, section);
  const title = name.trim();
  if (!found || found.place.parent !== found.root.id) return refuse("Choose a section first.");
  if (found.node.kind === SHARED || sharedDocument(draft, found.document)) return refuse("It is shared already.");
  if (sharedSections(draft.documents).length >= MOST_SHARED)
    return refuse(`There are ${MOST_SHARED} shared sections already.`);
  const problem = nameProblem(title, sharedSections(draft.documents), "shared section");
  if (problem) return refuse(problem);
  const empty = emptyDocument(DOCUMENT_VERSION, "shared", id, title);
  const { document, place, node } = found;
  const operations: readonly Operation[] = [
    { type: "removeNode", document, from: place, node },
    { type: "addDocument", added: { ...empty, root: { ...empty.root, slots: { main: [node] } } } },
    { type: "insertNode", document, to: place, node: standFor(id) },
  ];
  return transaction("shareSection", `“${title}” made a shared section`, operations, { selects: node.id });
}

/** Whether a shared section stands on what a document's page shows: on itself, or on every page. */
export function standsOn(draft: Draft, shared: string, document: string): boolean {
  const isIn = (id: string) => {
    const found = entryOf(draft.documents, id);
    return (
      found !== undefined &&
      Object.values(found.root.slots).some((inside) => inside.some((p) => sharedOf(p) === shared))
    );
  };
  return document === "frame" ? placesOfShared(draft.documents, shared).length > 0 : isIn(document) || isIn("frame");
}

/** Puts a shared section on one more page. */
export function placeShared(draft: Draft, shared: string, document: string, to: Place): Outcome {
  const section = sectionOfShared(draft.documents, shared);
  const goal = entryOf(draft.documents, document);
  const title = entryOf(draft.documents, shared)?.title ?? "";
  if (!section) return refuse(GONE);
  if (!goal) return refuse("That page is no longer there.");
  if (standsOn(draft, shared, document))
    return refuse(
      document === "frame" ? `“${title}” stands on single pages already.` : `“${title}” stands on this page already.`,
    );
  return transaction(
    "placeShared",
    `“${title}” put on “${goal.title}”`,
    [{ type: "insertNode", document, to, node: standFor(shared) }],
    { selects: section.id },
  );
}

/** What stands in a place for a shared section becomes a section of its own there. The shared one stays for the others. */
export function makeSeparate(draft: Draft, part: string): Outcome {
  const found = locate(draft, part);
  const shared = found && sharedOf(found.node);
  const section = shared === undefined ? undefined : sectionOfShared(draft.documents, shared);
  if (!found || !section) return refuse(GONE);
  const copy = copyWithNewIds(section);
  const { document, place, node } = found;
  const title = entryOf(draft.documents, shared!)?.title ?? "";
  return transaction(
    "makeSeparate",
    `“${title}” made separate on “${entryOf(draft.documents, document)?.title ?? ""}”`,
    [
      { type: "removeNode", document, from: place, node },
      { type: "insertNode", document, to: place, node: copy },
    ],
    { selects: copy.id },
  );
}

export function renameShared(draft: Draft, id: string, name: string): Outcome {
  const document = sharedDocument(draft, id);
  const title = name.trim();
  if (!document) return refuse(GONE);
  if (title === document.title) return refuse("It is called that already.");
  const problem = nameProblem(
    title,
    sharedSections(draft.documents).filter((d) => d.id !== id),
    "shared section",
  );
  if (problem) return refuse(problem);
  return transaction("renameShared", `Shared section renamed to “${title}”`, [
    { type: "setTitle", document: id, before: document.title, after: title },
  ]);
}

/**
 * Ends a shared section. `keeps`: on every page where it stands, a section of its own takes its place; without it, it is gone from all
 * of them.
 */
export function removeShared(draft: Draft, id: string, keeps: boolean): Outcome {
  const document = sharedDocument(draft, id);
  const section = sectionOfShared(draft.documents, id);
  if (!document || !section) return refuse(GONE);
  const operations = placesOfShared(draft.documents, id)
    .toReversed()
    .flatMap(({ part }): readonly Operation[] => {
      const { document: on, place, node } = locate(draft, part.id)!;
      const remove: Operation = { type: "removeNode", document: on, from: place, node };
      return keeps
        ? [remove, { type: "insertNode", document: on, to: place, node: copyWithNewIds(section) }]
        : [remove];
    });
  return transaction(
    "removeShared",
    keeps ? `“${document.title}” no longer shared` : `Shared section “${document.title}” removed`,
    [...operations, { type: "removeDocument", added: document }],
  );
}
