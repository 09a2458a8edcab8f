import type { Source } from "~/core/cascade";
import { walk, type Draft, type Part, entryOf } from "~/core/document";
import type { Theme } from "~/core/theme";
import { layoutPlaces } from "~/kinds/layouts";
import { themeById } from "~/themes";

/** Of parts of one kind and arrangement: how many there are, and how many say something of their own, by property. */
type Tally = { count: number; readonly own: Map<string, number> };

type Tallied = { readonly theme: Theme; readonly found: ReadonlyMap<string, Tally> };
const tallies = new WeakMap<Part, Tallied>();
const keyOf = (node: Part) => `${node.kind} ${String(node.props.arrangement ?? "")}`;

/** What a part says that is not said of its kind: itself, or its theme of just this part of a layout. */
const saidOf = ({ style, place }: Part, theme: Theme): ReadonlySet<string> => {
  const ofLayout = place === undefined ? [] : [layoutPlaces().get(place), entryOf(theme.layouts, place)];
  return new Set([style, ...ofLayout.map((worn) => worn?.style ?? {})].flatMap(({ all }) => Object.keys(all ?? {})));
};

/** Counts a document once for each state that it has. */
function tallyOf(root: Part, theme: Theme): ReadonlyMap<string, Tally> {
  const known = tallies.get(root);
  if (known?.theme === theme) return known.found;
  const found = new Map<string, Tally>();
  for (const node of walk(root)) {
    const key = keyOf(node);
    const tally = found.get(key) ?? { count: 0, own: new Map<string, number>() };
    found.set(key, tally);
    tally.count++;
    for (const property of saidOf(node, theme)) tally.own.set(property, (tally.own.get(property) ?? 0) + 1);
  }
  tallies.set(root, { theme, found });
  return found;
}

/**
 * How many other parts of the shop have a value from the same place: those of the same kind that say nothing of their own.
 * They would follow if it were changed there. 0 for what is said by the part itself.
 */
export function alsoFollowing(draft: Draft, node: Part, property: string, source: Source | undefined): number {
  if (!source || source.layer === "section") return 0;
  const mine = keyOf(node);
  const theme = themeById(draft.look.theme);
  // Where its theme or its layout says it of this part alone, nobody else has it from there.
  if (saidOf(node, theme).has(property)) return 0;
  let count = -1;
  for (const { root } of Object.values(draft.documents)) {
    for (const [key, tally] of tallyOf(root, theme)) {
      const matches = source.layer === "arrangement" ? key === mine : key.startsWith(`${node.kind} `);
      if (matches) count += tally.count - (tally.own.get(property) ?? 0);
    }
  }
  return count;
}
