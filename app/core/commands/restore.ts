import {
  copyWithNewIds,
  entryOf,
  findNode,
  layoutProps,
  LOOK_PART,
  placeOf,
  placesOfShared,
  sameJson,
  sectionOfShared,
  sharedOf,
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

/** The ids of all parts of a draft, but for those of some documents. */
const idsOutside = (draft: Draft, documents: ReadonlySet<string>): ReadonlySet<string> =>
  new Set(
    Object.values(draft.documents)
      .filter((d) => !documents.has(d.id))
      .flatMap((d) => [...walk(d.root)].map((part) => part.id)),
  );

/** A section as it was, with new ids where something of it stands in another document by now. */
const asItWas = (node: Part, taken: ReadonlySet<string>): Part =>
  [...walk(node)].some((part) => taken.has(part.id)) ? copyWithNewIds(node) : node;

/** The operations that make the sections of a document's slot those of a version, leaving alone what is alike. */
function slotOperations(
  document: PageDocument,
  slot: string,
  version: readonly Part[],
  taken: ReadonlySet<string>,
): readonly Operation[] {
  const { root } = document;
  const wanted = version.map((node) => asItWas(node, taken));
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
const documentOperations = (
  document: PageDocument,
  version: PageDocument,
  taken: ReadonlySet<string>,
): readonly Operation[] =>
  Object.keys(document.root.slots).flatMap((slot) =>
    slotOperations(document, slot, entryOf(version.root.slots, slot) ?? [], taken),
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

/** Shared sections that came later and that go: where pages that stay hold a place for one, a section of its own takes it. */
function sharedOperations(
  draft: Draft,
  going: readonly PageDocument[],
  staying: ReadonlySet<string>,
): readonly Operation[] {
  return going.flatMap((shared) => {
    const section = sectionOfShared(draft.documents, shared.id);
    const places = placesOfShared(draft.documents, shared.id).filter((place) => staying.has(place.document.id));
    return [
      ...places.flatMap(({ document, part }): readonly Operation[] => {
        const place = placeOf(document.root, part.id)!;
        return [
          { type: "removeNode", document: document.id, from: place, node: part },
          ...(section
            ? [{ type: "insertNode", document: document.id, to: place, node: copyWithNewIds(section) } as const]
            : []),
        ];
      }),
      { type: "removeDocument", added: shared } as const,
    ];
  });
}

/**
 * Makes the whole shop what it was in a publication, look and pages, in one step that can be undone. Layouts and shared sections that
 * came later go; goods and pictures are not part of it. `name`: of the publication.
 */
export function restoreShop(draft: Draft, version: Draft, name: string): Outcome {
  const isLater = (d: PageDocument) => !entryOf(version.documents, d.id);
  const later = Object.values(draft.documents).filter(isLater);
  const shared = later.filter((d) => d.kind === "shared");
  const layouts = later.filter((d) => layoutProps(d) !== undefined);
  const going = [...shared, ...layouts].map((d) => d.id);
  const staying = new Set(later.map((d) => d.id).filter((id) => !going.includes(id)));
  const taken = idsOutside(draft, new Set([...Object.keys(version.documents), ...going]));
  const operations: readonly Operation[] = [
    ...lookOperations(draft, version),
    ...sharedOperations(draft, shared, staying),
    ...layouts.map((added): Operation => ({ type: "removeDocument", added })),
    ...Object.values(version.documents).flatMap((wanted) => wantedOperations(draft, wanted, taken)),
  ];
  if (operations.length === 0) return refuse("The shop is like that already.");
  return transaction("restoreShop", `The whole shop as in “${name}”`, operations);
}

/**
 * Takes a look over: theme, brand, and the documents that `wanted` has otherwise than the draft, in one step. Documents that `wanted`
 * lacks stay.
 */
export function takeLook(draft: Draft, wanted: Draft, name: string): Outcome {
  const changed = Object.values(wanted.documents).filter((d) => entryOf(draft.documents, d.id) !== d);
  const taken = idsOutside(draft, new Set(changed.map((d) => d.id)));
  const operations = [
    ...lookOperations(draft, wanted),
    ...changed.flatMap((document) => wantedOperations(draft, document, taken)),
  ];
  if (operations.length === 0) return refuse("The shop looks like that already.");
  return transaction("takeLook", `Look taken from ${name}`, operations);
}

/** The operations that make one document what it was, also where it is no longer there. */
function wantedOperations(draft: Draft, wanted: PageDocument, taken: ReadonlySet<string>): readonly Operation[] {
  const document = entryOf(draft.documents, wanted.id);
  if (document) return [...headOperations(document, wanted), ...documentOperations(document, wanted, taken)];
  const slots = Object.entries(wanted.root.slots).map(([slot, parts]) => [slot, parts.map((p) => asItWas(p, taken))]);
  return [
    {
      type: "addDocument",
      added: { ...wanted, root: { ...wanted.root, slots: Object.fromEntries(slots) as Part["slots"] } },
    },
  ];
}

/** Brings one part of the shop back as it was in a publication, the look or a document, in one step. `name`: of the publication. */
export function restorePart(draft: Draft, version: Draft, part: string, name: string): Outcome {
  const wanted = entryOf(version.documents, part);
  if (part !== LOOK_PART && !wanted) return refuse("It was not in the shop then.");
  // Shared sections that stood on it come with it, where they are gone.
  const shared = Object.values(wanted?.root.slots ?? {})
    .flat()
    .flatMap((each) => entryOf(version.documents, sharedOf(each) ?? "") ?? [])
    .filter((each) => !entryOf(draft.documents, each.id));
  const taken = idsOutside(draft, new Set([part]));
  const operations = wanted
    ? [...shared, wanted].flatMap((each) => wantedOperations(draft, each, taken))
    : lookOperations(draft, version);
  if (operations.length === 0) return refuse("It is like that already.");
  return transaction("restorePart", `${wanted?.title ?? "Brand"} as in “${name}”`, operations);
}

/** Makes a page what it was in a version, in one step that can be undone. `name`: of the version. */
export function restorePage(draft: Draft, version: PageDocument, name: string): Outcome {
  const document = entryOf(draft.documents, version.id);
  if (!document) return refuse("This page is no longer there.");
  const operations = documentOperations(document, version, idsOutside(draft, new Set([document.id])));
  if (operations.length === 0) return refuse("The page is like that already.");
  return transaction("restorePage", `${document.title} as in “${name}”`, operations);
}

/** Brings one section back as it was in a version: in place of what it is now, or where it stood. */
export function restoreSection(draft: Draft, version: PageDocument, section: string, name: string): Outcome {
  const document = entryOf(draft.documents, version.id);
  if (!document) return refuse("This page is no longer there.");
  for (const [slot, inside] of Object.entries(version.root.slots)) {
    const was = inside.findIndex((n) => n.id === section);
    const stored = inside[was];
    if (!stored) continue;
    const node = asItWas(stored, idsOutside(draft, new Set([document.id])));
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
    return transaction("restoreSection", `${name} brought back`, operations, { selects: node.id });
  }
  return refuse(findNode(document.root, section) ? "It was not on the page then." : "This section is no longer there.");
}
