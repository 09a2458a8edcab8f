import type { Source } from "~/core/cascade";
import { walk, type Draft, type Node } from "~/core/document";

/**
 * How many other parts of the shop have a value from the same place: those of the same kind that say nothing of their own.
 * They would follow if it were changed there. 0 for what is said by the part itself.
 */
export function alsoFollowing(draft: Draft, node: Node, property: string, source: Source): number {
  if (source.layer === "section") return 0;
  let count = 0;
  for (const document of Object.values(draft.documents)) {
    for (const other of walk(document.root)) {
      if (other.id === node.id || other.kind !== node.kind) continue;
      const isOwn = other.style.all?.[property] !== undefined;
      if (!isOwn && (source.layer !== "arrangement" || other.props.arrangement === node.props.arrangement)) count++;
    }
  }
  return count;
}
