import { sameJson } from "./tree";
import type { Document, Draft, Node } from "./types";

/** One change between two drafts, in the terms of the document; wording is the caller's. */
export type Difference =
  | { readonly what: "look"; readonly part: "theme" | "name" | "tagline" | "logo" }
  /** One setting of the brand, by its key. */
  | { readonly what: "brand"; readonly key: string }
  | { readonly what: "page-added" | "page-removed"; readonly document: Document }
  | { readonly what: "added" | "removed" | "moved"; readonly document: Document; readonly node: Node }
  | { readonly what: "shown" | "not-shown"; readonly document: Document; readonly node: Node }
  | { readonly what: "props"; readonly document: Document; readonly node: Node; readonly keys: readonly string[] }
  | { readonly what: "style"; readonly document: Document; readonly node: Node; readonly keys: readonly string[] };

const keysThatDiffer = (a: Readonly<Record<string, unknown>>, b: Readonly<Record<string, unknown>>): string[] =>
  [...new Set([...Object.keys(a), ...Object.keys(b)])].filter((key) => !sameJson(a[key], b[key])).sort();

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

function nodeDifferences(document: Document, before: Node, after: Node): Difference[] {
  const found: Difference[] = [];
  if (before.shown !== after.shown) found.push({ what: after.shown ? "shown" : "not-shown", document, node: after });
  const props = keysThatDiffer(before.props, after.props);
  if (props.length) found.push({ what: "props", document, node: after, keys: props });
  const style = new Set<string>();
  for (const audience of ["all", "phone", "tablet", "wide"] as const) {
    for (const key of keysThatDiffer(before.style[audience] ?? {}, after.style[audience] ?? {})) style.add(key);
  }
  if (style.size) found.push({ what: "style", document, node: after, keys: [...style].sort() });
  return found;
}

function documentDifferences(before: Document, after: Document): Difference[] {
  const found: Difference[] = [];
  const wasThere = new Map(
    Object.values(before.root.slots)
      .flat()
      .map((n) => [n.id, n]),
  );
  const isThere = new Map(
    Object.values(after.root.slots)
      .flat()
      .map((n) => [n.id, n]),
  );
  const common = [...isThere.keys()].filter((id) => wasThere.has(id));
  const kept = keptOrder([...wasThere.keys()], common);
  for (const [id, node] of wasThere) if (!isThere.has(id)) found.push({ what: "removed", document: before, node });
  for (const [id, node] of isThere) {
    const old = wasThere.get(id);
    if (!old) found.push({ what: "added", document: after, node });
    else {
      if (!kept.has(id)) found.push({ what: "moved", document: after, node });
      found.push(...nodeDifferences(after, old, node));
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
  for (const key of keysThatDiffer(before.look.brand, after.look.brand)) found.push({ what: "brand", key });
  for (const [id, document] of Object.entries(after.documents)) {
    const old = before.documents[id];
    if (!old) found.push({ what: "page-added", document });
    else found.push(...documentDifferences(old, document));
  }
  for (const [id, document] of Object.entries(before.documents)) {
    if (!after.documents[id]) found.push({ what: "page-removed", document });
  }
  return found;
}
