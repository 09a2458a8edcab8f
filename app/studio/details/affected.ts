import type { Source } from "~/core/cascade";
import { walk, type Draft, type Part, entryOf } from "~/core/document";

/** Of parts of one kind and arrangement: how many there are, and how many say something of their own, by property. */
type Tally = { count: number; readonly own: Map<string, number> };

const tallies = new WeakMap<Part, ReadonlyMap<string, Tally>>();
const keyOf = (node: Part) => `${node.kind} ${String(node.props.arrangement ?? "")}`;

/** Counts a document once for each state that it has. */
function tallyOf(root: Part): ReadonlyMap<string, Tally> {
  const known = tallies.get(root);
  if (known) return known;
  const found = new Map<string, Tally>();
  for (const node of walk(root)) {
    const key = keyOf(node);
    const tally = found.get(key) ?? { count: 0, own: new Map<string, number>() };
    found.set(key, tally);
    tally.count++;
    for (const property of Object.keys(node.style.all ?? {}))
      tally.own.set(property, (tally.own.get(property) ?? 0) + 1);
  }
  tallies.set(root, found);
  return found;
}

/**
 * How many other parts of the shop have a value from the same place: those of the same kind that say nothing of their own.
 * They would follow if it were changed there. 0 for what is said by the part itself.
 */
export function alsoFollowing(draft: Draft, node: Part, property: string, source: Source | undefined): number {
  if (!source || source.layer === "section") return 0;
  const mine = keyOf(node);
  let count = 0;
  for (const { root } of Object.values(draft.documents)) {
    for (const [key, tally] of tallyOf(root)) {
      const matches = source.layer === "arrangement" ? key === mine : key.startsWith(`${node.kind} `);
      if (matches) count += tally.count - (tally.own.get(property) ?? 0);
    }
  }
  return count - (entryOf(node.style.all, property) === undefined ? 1 : 0);
}
