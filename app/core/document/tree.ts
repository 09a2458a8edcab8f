import { entryOf } from "./entry";
import {
  FOOTER_MENU,
  MAIN_MENU,
  OVER,
  OWN_ROWS,
  ROOT_SLOTS,
  type DocumentKind,
  type Draft,
  type Json,
  type LayoutProps,
  type LayoutSort,
  type PageDocument,
  type PageProps,
  type Part,
  type Place,
} from "./types";

/** Deep-freezes plain JSON. Already frozen branches are not walked again. */
export function freeze<T>(value: T): T {
  if (value !== null && typeof value === "object" && !Object.isFrozen(value)) {
    for (const inner of Object.values(value)) freeze(inner);
    Object.freeze(value);
  }
  return value;
}

/** Deep equality of JSON values; the order of object keys does not matter. */
export function sameJson(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  if (typeof a !== "object" || typeof b !== "object" || a === null || b === null) return false;
  if (Array.isArray(a) !== Array.isArray(b)) return false;
  const keysOfA = Object.keys(a);
  const keysOfB = Object.keys(b);
  if (keysOfA.length !== keysOfB.length) return false;
  return keysOfA.every(
    (key) =>
      Object.hasOwn(b, key) &&
      sameJson(entryOf(a as Record<string, unknown>, key), entryOf(b as Record<string, unknown>, key)),
  );
}

/** A fresh node id: 12 characters of base 36, about 62 bits. */
export function newId(random: () => number = Math.random): string {
  let id = "";
  while (id.length < 12) id += Math.floor(random() * 36).toString(36);
  return id;
}

/** Every node below and including `node`, parents before children, in reading order. */
export function* walk(node: Part): Generator<Part> {
  yield node;
  for (const children of Object.values(node.slots)) for (const child of children) yield* walk(child);
}

/** The node with this id at or below `node`. */
export function findNode(node: Part, id: string): Part | undefined {
  for (const each of walk(node)) if (each.id === id) return each;
  return undefined;
}

/** Where the node with this id stands below `root`; undefined for the root itself and for strangers. */
export function placeOf(root: Part, id: string): Place | undefined {
  for (const parent of walk(root)) {
    for (const [slot, children] of Object.entries(parent.slots)) {
      const index = children.findIndex((child) => child.id === id);
      if (index >= 0) return { parent: parent.id, slot, index };
    }
  }
  return undefined;
}

/** Whether a slot of a node is absent while it is empty: below the root all are, and at the root a page's own rows, and what lies over pages. */
export const isAbsentWhenEmpty = (node: Part, slot: string): boolean =>
  node.kind !== "root" ||
  (OWN_ROWS.includes(slot) && entryOf(node.slots, "main") !== undefined) ||
  (slot === OVER && entryOf(node.slots, "top") !== undefined);

/** What stands in a slot of a node; undefined where it has no such slot. */
export const slotOf = (node: Part, slot: string): readonly Part[] | undefined =>
  entryOf(node.slots, slot) ?? (isAbsentWhenEmpty(node, slot) ? [] : undefined);

/** The nodes from below the root down to this one, outermost first; empty for the root and for strangers. */
export function pathTo(root: Part, id: string): readonly Part[] {
  for (const children of Object.values(root.slots)) {
    for (const child of children) {
      if (child.id === id) return [child];
      const inner = pathTo(child, id);
      if (inner.length) return [child, ...inner];
    }
  }
  return [];
}

/** `root` with the node `id` replaced by `change(node)`; every untouched branch is the same object as before. */
export function changeNode(root: Part, id: string, change: (node: Part) => Part): Part {
  if (root.id === id) return change(root);
  let slots: Record<string, readonly Part[]> | undefined;
  for (const [slot, children] of Object.entries(root.slots)) {
    for (let index = 0; index < children.length; index++) {
      const child = children[index]!;
      const changed = changeNode(child, id, change);
      if (changed === child) continue;
      slots = { ...root.slots, [slot]: children.with(index, changed) };
      return { ...root, slots };
    }
  }
  return root;
}

/** A copy of `node` in which it and everything below has a new id. */
export function copyWithNewIds(node: Part, random?: () => number): Part {
  const ids = new Map([...walk(node)].map(({ id }) => [id, newId(random)]));
  return withIds(node, ids);
}

function withIds(node: Part, ids: ReadonlyMap<string, string>): Part {
  return {
    ...node,
    id: ids.get(node.id) ?? node.id,
    props: pointing(node.props, ids),
    slots: Object.fromEntries(
      Object.entries(node.slots).map(([slot, children]) => [slot, children.map((c) => withIds(c, ids))]),
    ),
  };
}

/** How ids look; no words of a seller do. */
const ID = /^[a-z0-9]{12}$/;

/** What a copy says of parts that are copied with it, it says of their copies. */
function pointing<T extends Json>(value: T, ids: ReadonlyMap<string, string>): T {
  if (typeof value === "string") return ((ID.test(value) && ids.get(value)) || value) as T;
  if (Array.isArray(value)) return value.map((each: Json) => pointing(each, ids)) as unknown as T;
  if (value === null || typeof value !== "object") return value;
  return Object.fromEntries(Object.entries(value).map(([key, each]) => [key, pointing(each, ids)])) as T;
}

/** A document of a kind with nothing in it. `schemaVersion`: today's. */
export const emptyDocument = (
  schemaVersion: number,
  kind: DocumentKind,
  id: string,
  title: string,
  props: Part["props"] = {},
  conditions: Part["conditions"] = [],
): PageDocument => ({
  schemaVersion,
  id,
  kind,
  title,
  root: {
    id: `empty-${id}`,
    kind: "root",
    props,
    style: {},
    conditions,
    shown: true,
    slots: Object.fromEntries(ROOT_SLOTS[kind].map((slot) => [slot, []])),
  },
});

const USUAL_PAGE: Omit<PageProps, "slug"> = {
  parent: null,
  order: 0,
  hidden: false,
  searchTitle: "",
  description: "",
  picture: null,
  unlisted: false,
  header: true,
  footer: true,
  journal: false,
  at: "",
  author: "",
  tags: [],
  summary: "",
};

/** What a page says of itself, with what is usual where it says nothing. */
export const pageProps = (document: PageDocument): PageProps => ({
  slug: document.id,
  ...USUAL_PAGE,
  ...(document.root.props as Partial<PageProps>),
});

/** What is usual of a page's own value; undefined for its slug, which has to be said or is its id. */
export const usualOfPage = (key: keyof PageProps): Json | undefined => (key === "slug" ? undefined : USUAL_PAGE[key]);

/** The menus of a shop: the one that every shop has first, the others by name. */
export const menusOf = (documents: Draft["documents"]): readonly PageDocument[] =>
  Object.values(documents)
    .filter((d) => d.kind === "menu")
    .sort((a, b) => rankOfMenu(a) - rankOfMenu(b) || (a.title < b.title ? -1 : 1));

const rankOfMenu = ({ id }: PageDocument): number => (id === MAIN_MENU ? 0 : id === FOOTER_MENU ? 1 : 2);

/** What a layout says of itself; undefined for what is no layout. */
export const layoutProps = (document: PageDocument): LayoutProps | undefined =>
  document.kind === "layout" ? (document.root.props as unknown as LayoutProps) : undefined;

/** The layouts of one sort of page, the one for all first, the others by title. */
export const layoutsOf = (documents: Draft["documents"], sort: LayoutSort): readonly PageDocument[] =>
  Object.values(documents)
    .filter((d) => layoutProps(d)?.of === sort)
    .sort((a, b) => (a.id === sort ? -1 : b.id === sort ? 1 : a.title < b.title ? -1 : 1));

/**
 * The layout that a page is drawn in: one made for this product or collection, one made for a collection that it is in, or
 * the one for all.
 */
export function layoutFor(
  documents: Draft["documents"],
  sort: LayoutSort,
  thing: { readonly product?: string; readonly collections: readonly string[] },
): PageDocument | undefined {
  const others = layoutsOf(documents, sort).filter((d) => d.id !== sort);
  const named = (d: PageDocument) => layoutProps(d)!;
  return (
    others.find((d) => thing.product !== undefined && named(d).products.includes(thing.product)) ??
    others.find((d) => named(d).collections.some((c) => thing.collections.includes(c))) ??
    documents[sort]
  );
}

/** What can lie over every page, in the order in which it stands there. */
export const overIn = (documents: Draft["documents"]): readonly Part[] =>
  Object.values(documents).flatMap(({ kind, root }) => (kind === "frame" ? (entryOf(root.slots, OVER) ?? []) : []));
