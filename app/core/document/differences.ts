import { entryOf } from "./entry";
import { sameJson } from "./tree";
import type { PageDocument, Draft, Part } from "./types";

/** Where a change is. `section`: the section in which `node` stands, or `node` itself. */
type At = { readonly document: PageDocument; readonly section: Part; readonly node: Part };

/** One change between two drafts, in the terms of the document; wording is the caller's. */
export type Difference =
  | { readonly what: "look"; readonly part: "theme" | "name" | "tagline" | "logo" | "icon" | "contact" }
  /** One setting of the brand, by its key. */
  | { readonly what: "brand"; readonly key: string }
  | { readonly what: "page-added" | "page-removed" | "renamed"; readonly document: PageDocument }
  /** What a document says of itself: for which goods a layout is, a page's address and place, which page is the home page. */
  | { readonly what: "says-of-itself"; readonly document: PageDocument; readonly keys: readonly string[] }
  | ({ readonly what: "added" | "removed" | "moved" | "shown" | "not-shown" | "times" } & At)
  | ({ readonly what: "props" | "style"; readonly keys: readonly string[] } & At);

const keysThatDiffer = (a: Readonly<Record<string, unknown>>, b: Readonly<Record<string, unknown>>): string[] =>
  [...new Set([...Object.keys(a), ...Object.keys(b)])]
    .filter((key) => !sameJson(entryOf(a, key), entryOf(b, key)))
    .sort();

/** The longest run of ids that kept their order; those outside it are the ones that moved. */
function keptOrder(before: readonly string[], after: readonly string[]): Set<string> {
  const rank = new Map(before.map((id, i) => [id, i]));
  const chains: string[][] = [];
  for (const id of after) {
    const mine = rank.get(id);
    if (mine === undefined) continue;
    let best: string[] = [];
    for (const chain of chains) {
      if (rank.get(chain.at(-1)!)! < mine && chain.length > best.length) best = chain;
    }
    chains.push([...best, id]);
  }
  return new Set(chains.reduce((a, b) => (b.length > a.length ? b : a), [] as string[]));
}

function nodeDifferences(at: At, before: Part): Difference[] {
  const found: Difference[] = [];
  const after = at.node;
  if (before.shown !== after.shown) found.push({ what: after.shown ? "shown" : "not-shown", ...at });
  if (!sameJson(before.conditions, after.conditions)) found.push({ what: "times", ...at });
  const props = keysThatDiffer(before.props, after.props);
  if (props.length) found.push({ what: "props", ...at, keys: props });
  const style = new Set<string>();
  for (const audience of ["all", "phone", "tablet", "wide"] as const) {
    for (const key of keysThatDiffer(before.style[audience] ?? {}, after.style[audience] ?? {})) style.add(key);
  }
  if (style.size) found.push({ what: "style", ...at, keys: [...style].sort() });
  return found;
}

/** Where a node stands in its document, in its section and in what holds it. */
type PlaceInSection = { readonly node: Part; readonly section: Part; readonly parent: string };

function standingsOf(root: Part): ReadonlyMap<string, PlaceInSection> {
  const found = new Map<string, PlaceInSection>();
  const enter = (parent: Part, section: Part | undefined) => {
    for (const [slot, children] of Object.entries(parent.slots)) {
      for (const node of children) {
        found.set(node.id, { node, section: section ?? node, parent: `${parent.id} ${slot}` });
        enter(node, section ?? node);
      }
    }
  };
  enter(root, undefined);
  return found;
}

/** What differs between two states of a document, in reading order; of what is new or gone, only the outermost. */
export function documentDifferences(before: PageDocument, after: PageDocument): Difference[] {
  const found: Difference[] = before.title === after.title ? [] : [{ what: "renamed", document: after }];
  if (before.root === after.root) return found;
  const said = [
    ...keysThatDiffer(before.root.props, after.root.props),
    // When an offer holds.
    ...(sameJson(before.root.conditions, after.root.conditions) ? [] : ["conditions"]),
  ];
  if (said.length) found.push({ what: "says-of-itself", document: after, keys: said });
  const was = standingsOf(before.root);
  const is = standingsOf(after.root);
  const kept = new Map<string, Set<string>>();
  const idsUnder = (
    all: ReadonlyMap<string, PlaceInSection>,
    parent: string,
    other: ReadonlyMap<string, PlaceInSection>,
  ) => [...all].filter(([id, s]) => s.parent === parent && other.get(id)?.parent === parent).map(([id]) => id);
  const keptUnder = (parent: string) => {
    let known = kept.get(parent);
    if (!known) kept.set(parent, (known = keptOrder(idsUnder(was, parent, is), idsUnder(is, parent, was))));
    return known;
  };
  const hasLostParent = (s: PlaceInSection, all: ReadonlyMap<string, PlaceInSection>) => {
    const parent = s.parent.split(" ")[0]!;
    return was.has(parent) !== is.has(parent) && all.has(parent);
  };
  for (const [id, old] of was) {
    if (!is.has(id) && !hasLostParent(old, was))
      found.push({ what: "removed", document: before, section: old.section, node: old.node });
  }
  for (const [id, now] of is) {
    const at: At = { document: after, section: now.section, node: now.node };
    const old = was.get(id);
    if (!old) {
      if (!hasLostParent(now, is)) found.push({ what: "added", ...at });
    } else {
      if (old.parent !== now.parent || !keptUnder(now.parent).has(id)) found.push({ what: "moved", ...at });
      found.push(...nodeDifferences(at, old.node));
    }
  }
  return found;
}

/** What publishing `after` would change for shoppers who see `before` now; in reading order, look first. */
export function differences(before: Draft, after: Draft): readonly Difference[] {
  const found: Difference[] = [];
  const look = (part: Extract<Difference, { what: "look" }>["part"], a: unknown, b: unknown) => {
    if (!sameJson(a, b)) found.push({ what: "look", part });
  };
  look("theme", before.look.theme, after.look.theme);
  look("name", before.look.identity.name, after.look.identity.name);
  look("tagline", before.look.identity.tagline, after.look.identity.tagline);
  look("logo", before.look.identity.logo, after.look.identity.logo);
  look("icon", before.look.identity.icon, after.look.identity.icon);
  const contact = ({ mail, phone, address, hours, social }: Draft["look"]["identity"]) => ({
    mail: mail ?? null,
    phone: phone ?? null,
    address: address ?? null,
    hours: hours ?? null,
    social: social ?? null,
  });
  look("contact", contact(before.look.identity), contact(after.look.identity));
  for (const key of keysThatDiffer(before.look.brand, after.look.brand)) found.push({ what: "brand", key });
  for (const [id, document] of Object.entries(after.documents)) {
    if (document.kind === "piece") continue;
    const old = entryOf(before.documents, id);
    if (!old) found.push({ what: "page-added", document });
    else found.push(...documentDifferences(old, document));
  }
  for (const [id, document] of Object.entries(before.documents)) {
    if (document.kind !== "piece" && !entryOf(after.documents, id)) found.push({ what: "page-removed", document });
  }
  return found;
}
