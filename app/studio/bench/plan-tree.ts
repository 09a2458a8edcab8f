import { isGroup, kindOf } from "~/kinds";
import type { Asked } from "~/core/conditions";
import type { Draft, Part } from "~/core/document";
import { nameIn, partAt, unseenWords } from "./parts";
import { standings } from "./sections";

/** A column or widget as the plan lists it. `level`: of the tree, sections being 1. */
export type PlanRow = {
  readonly id: string;
  readonly kind: string;
  readonly name: string;
  readonly level: number;
  /** Why shoppers don’t see it. */
  readonly unseen: string | undefined;
};
/** What stands below each other in the plan: a column with its widgets, or what a section of a fixed form holds besides. */
export type RowGroup = { readonly key: string; readonly rows: readonly PlanRow[] };

function rowsOf(node: Part, parent: Part, level: number, asked: Asked): PlanRow[] {
  const own: PlanRow = {
    id: node.id,
    kind: node.kind,
    name: nameIn(node, parent),
    level,
    unseen: unseenWords(node, asked),
  };
  return [
    own,
    ...Object.values(node.slots).flatMap((inside) => inside.flatMap((n) => rowsOf(n, node, level + 1, asked))),
  ];
}

/** What is in a section, group by group; nothing where it holds nothing. `asked`: where, when and as whom it is looked at. */
export function insideOf(section: Part, asked: Asked): readonly RowGroup[] {
  const columns = section.slots.columns;
  if (columns) return columns.map((c) => ({ key: c.id, rows: rowsOf(c, section, 2, asked) }));
  if (kindOf(section)?.definition.eachIs !== undefined)
    return Object.values(section.slots)
      .flat()
      .map((each) => ({ key: each.id, rows: rowsOf(each, section, 2, asked) }));
  const widgets = section.slots.widgets ?? section.slots.placed ?? [];
  return widgets.length ? [{ key: section.id, rows: widgets.flatMap((w) => rowsOf(w, section, 2, asked)) }] : [];
}

const siblingsOf = (parent: Part | undefined, id: string): readonly Part[] =>
  Object.values(parent?.slots ?? {}).find((inside) => inside.some((n) => n.id === id)) ?? [];
const childrenOf = (node: Part): readonly Part[] => Object.values(node.slots).flat();

/**
 * Where an arrow key leads in the plan: left and right along sections and columns, down into them and along what is in them,
 * up and out again. Undefined where it leads nowhere.
 */
export function neighbourOf(draft: Draft, page: string, id: string, key: string): string | undefined {
  const part = partAt(draft, id);
  if (!part) return undefined;
  const parent = part.path.at(-2);
  const isAcross = part.level === "section" || part.level === "column";
  const all = part.level === "section" ? standings(draft, page).map((s) => s.node) : siblingsOf(parent, id);
  const index = all.findIndex((n) => n.id === id);
  const [first] = childrenOf(part.node);
  switch (key) {
    case "Home":
      return all[0]?.id;
    case "End":
      return all.at(-1)?.id;
    case "ArrowDown":
      return isAcross ? first?.id : (first?.id ?? all[index + 1]?.id ?? nextAfter(parent, part.path.at(-3)));
    case "ArrowUp":
      return isAcross ? parent?.id : (all[index - 1]?.id ?? parent?.id);
    case "ArrowLeft":
    case "ArrowRight": {
      const by = key === "ArrowLeft" ? -1 : 1;
      if (isAcross) return all[index + by]?.id;
      const columns = part.path[0]!.slots.columns ?? [];
      const column = columns[columns.findIndex((c) => part.path.some((p) => p.id === c.id)) + by];
      return column && (column.slots.widgets?.[index]?.id ?? column.slots.widgets?.at(-1)?.id ?? column.id);
    }
    default:
      return undefined;
  }
}

/** What follows a group once its last thing is passed. */
function nextAfter(group: Part | undefined, outer: Part | undefined): string | undefined {
  if (!group || !isGroup(group)) return undefined;
  const all = siblingsOf(outer, group.id);
  return all[all.findIndex((n) => n.id === group.id) + 1]?.id;
}
