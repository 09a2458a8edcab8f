import {
  entryOf,
  findNode,
  layoutProps,
  sameJson,
  slotOf,
  walk,
  type Draft,
  type Json,
  type PageDocument,
  type Part,
} from "../document";
import { held, type Operation } from "../operations";
import { lookOperation } from "./look";
import { refuse, transaction, type Outcome } from "./transaction";

/** The operations that make the sections of a document's slot those of a version, leaving alone what is alike. */
function slotOperations(document: PageDocument, slot: string, wanted: readonly Part[]): readonly Operation[] {
  const { root } = document;
  const now = slotOf(root, slot) ?? [];
  const operations: Operation[] = [];
  const isSame = (node: Part) => wanted.some((w) => w.id === node.id && sameJson(w, node));
  const kept = now.filter(isSame);
  now.forEach((_, i) => {
    // From the end, so that each stands where it says when its turn comes.
    const index = now.length - 1 - i;
    const node = now[index]!;
    if (!isSame(node))
      operations.push({ type: "removeNode", document: document.id, from: { parent: root.id, slot, index }, node });
  });
  const here = kept.map((n) => n.id);
  wanted.forEach((node, index) => {
    const to = { parent: root.id, slot, index };
    const at = here.indexOf(node.id);
    if (at === index) return;
    if (at >= 0) {
      operations.push({ type: "moveNode", document: document.id, node: node.id, from: { ...to, index: at }, to });
      here.splice(at, 1);
    } else operations.push({ type: "insertNode", document: document.id, to, node });
    here.splice(index, 0, node.id);
  });
  return operations;
}

/** The operations that make all sections of a document those of a version. */
const documentOperations = (document: PageDocument, version: PageDocument): readonly Operation[] =>
  Object.keys(document.root.slots).flatMap((slot) =>
    slotOperations(document, slot, entryOf(version.root.slots, slot) ?? []),
  );

/** The operations that make title and root of a document those of a version: a layout's goods are said there. */
function headOperations({ id, title, root }: PageDocument, version: PageDocument): readonly Operation[] {
  const keys = new Set([...Object.keys(root.props), ...Object.keys(version.root.props)]);
  return [
    ...(title === version.title
      ? []
      : [{ type: "setTitle" as const, document: id, before: title, after: version.title }]),
    ...[...keys].flatMap((key): Operation[] => {
      const [before, after] = [held(entryOf(root.props, key)), held(entryOf(version.root.props, key))];
      return sameJson(before, after)
        ? []
        : [{ type: "setProp", document: id, node: root.id, path: [key], before, after }];
    }),
  ];
}

/** The operations that make the look that of a version; brands that were put aside stay. */
function lookOperations(draft: Draft, version: Draft): readonly Operation[] {
  const operations: (Operation | undefined)[] = [];
  const keysOf = (...all: readonly object[]) => new Set(all.flatMap((each) => Object.keys(each)));
  for (const part of ["brand", "identity"] as const) {
    const wanted = version.look[part] as Readonly<Record<string, Json>>;
    for (const key of keysOf(draft.look[part], wanted))
      operations.push(lookOperation(draft, [part, key], entryOf(wanted, key)));
  }
  operations.push(lookOperation(draft, ["theme"], version.look.theme));
  return operations.filter((o) => o !== undefined);
}

/**
 * Makes the whole shop what it was in a publication, look and pages, in one step that can be undone. Layouts that came later
 * go; goods and pictures are not part of it. `name`: of the publication.
 */
export function restoreShop(draft: Draft, version: Draft, name: string): Outcome {
  const now = Object.values(draft.documents);
  const operations: readonly Operation[] = [
    ...lookOperations(draft, version),
    ...now
      .filter((d) => layoutProps(d) !== undefined && !entryOf(version.documents, d.id))
      .map((added): Operation => ({ type: "removeDocument", added })),
    ...Object.values(version.documents).flatMap((wanted): readonly Operation[] => {
      const document = entryOf(draft.documents, wanted.id);
      if (!document) return [{ type: "addDocument", added: wanted }];
      return [...headOperations(document, wanted), ...documentOperations(document, wanted)];
    }),
  ];
  if (operations.length === 0) return refuse("The shop is like that already.");
  return transaction("restoreShop", `The whole shop as in “${name}”`, operations);
}

/** Makes a page what it was in a version, in one step that can be undone. `name`: of the version. */
export function restorePage(draft: Draft, version: PageDocument, name: string): Outcome {
  const document = entryOf(draft.documents, version.id);
  if (!document) return refuse("This page is no longer there.");
  const operations = documentOperations(document, version);
  if (operations.length === 0) return refuse("The page is like that already.");
  return transaction("restorePage", `${document.title} as in “${name}”`, operations);
}

/** Brings one section back as it was in a version: in place of what it is now, or where it stood. */
export function restoreSection(draft: Draft, version: PageDocument, section: string, name: string): Outcome {
  const document = entryOf(draft.documents, version.id);
  if (!document) return refuse("This page is no longer there.");
  for (const [slot, inside] of Object.entries(version.root.slots)) {
    const was = inside.findIndex((n) => n.id === section);
    const node = inside[was];
    if (!node) continue;
    const now = slotOf(document.root, slot) ?? [];
    const at = now.findIndex((n) => n.id === section);
    if (at >= 0 && sameJson(now[at], node)) return refuse("This section is like that already.");
    const to = { parent: document.root.id, slot, index: at >= 0 ? at : Math.min(was, now.length) };
    const others = at >= 0 ? now.toSpliced(at, 1) : now;
    const taken = new Set(others.flatMap((n) => [...walk(n)].map((inner) => inner.id)));
    if ([...walk(node)].some((n) => taken.has(n.id)))
      return refuse("Something of this section stands elsewhere on the page now. Bring back the whole page instead.");
    const operations: Operation[] = [
      ...(at >= 0 ? [{ type: "removeNode", document: document.id, from: to, node: now[at]! } as const] : []),
      { type: "insertNode", document: document.id, to, node },
    ];
    return transaction("restoreSection", `${name} brought back`, operations, { selects: section });
  }
  return refuse(findNode(document.root, section) ? "It was not on the page then." : "This section is no longer there.");
}
