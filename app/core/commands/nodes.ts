import { conditionsSchema, type Condition } from "../conditions";
import {
  AUDIENCES,
  copyWithNewIds,
  DEVICES,
  findNode,
  placeOf,
  sectionOfShared,
  sharedOf,
  slotOf,
  walk,
  type Audience,
  type Draft,
  type Json,
  type Part,
  type Place,
  type StyleValue,
  entryOf,
} from "../document";
import { held, readAt, type Operation, type Path } from "../operations";
import { conditionsOperations } from "./root";
import { refuse, transaction, type Outcome } from "./transaction";

const GONE = "This part is no longer there.";
const SAME = "It is like that already.";

/** A section, column or widget in its document, as commands need it. */
export type Located = { readonly document: string; readonly root: Part; readonly node: Part; readonly place: Place };

/** Finds a node in whichever document holds it. */
export function locate(draft: Draft, id: string): Located | undefined {
  for (const document of Object.values(draft.documents)) {
    const node = findNode(document.root, id);
    const place = node && placeOf(document.root, id);
    if (node && place) return { document: document.id, root: document.root, node, place };
  }
  return undefined;
}

const siblingsOf = (found: Located): readonly Part[] =>
  entryOf(findNode(found.root, found.place.parent)!.slots, found.place.slot)!;

/**
 * Those of the given nodes that no other one of them contains, in reading order; what is done to a part is done to what is
 * in it.
 */
export function outermost(draft: Draft, ids: readonly string[]): readonly Located[] {
  const wanted = new Set(ids);
  const found: Located[] = [];
  for (const document of Object.values(draft.documents)) {
    const enter = (parent: Part) => {
      for (const [slot, children] of Object.entries(parent.slots)) {
        children.forEach((node, index) => {
          if (wanted.has(node.id))
            found.push({ document: document.id, root: document.root, node, place: { parent: parent.id, slot, index } });
          else enter(node);
        });
      }
    };
    enter(document.root);
  }
  return found;
}

/** Puts a new node at a place. `name` is what its kind is called. */
export function addNode(draft: Draft, document: string, to: Place, node: Part, name: string): Outcome {
  return pasteNodes(draft, document, to, [node], `${name} added`, "add");
}

/** Puts new nodes at a place, one after the other. */
export function pasteNodes(
  draft: Draft,
  document: string,
  to: Place,
  nodes: readonly Part[],
  label: string,
  intent = "paste",
): Outcome {
  const root = entryOf(draft.documents, document)?.root;
  const parent = root && findNode(root, to.parent);
  const siblings = parent && slotOf(parent, to.slot);
  if (!siblings) return refuse("That place is no longer there.");
  if (nodes.length === 0) return refuse("There is nothing to put here.");
  const from = Math.max(0, Math.min(to.index, siblings.length));
  const operations = nodes.map((node, i): Operation => ({
    type: "insertNode",
    document,
    to: { ...to, index: from + i },
    node,
  }));
  return transaction(intent, label, operations, { selects: nodes[0]!.id });
}

export function removeNodes(draft: Draft, ids: readonly string[], name: string): Outcome {
  const found = outermost(draft, ids);
  if (found.length === 0) return refuse(GONE);
  // Last first, so that each stands where it says when its turn comes.
  const operations = found.toReversed().map(({ document, place, node }): Operation => ({
    type: "removeNode",
    document,
    from: place,
    node,
  }));
  const first = found[0]!;
  const siblings = siblingsOf(first);
  const isGoing = new Set(found.map((f) => f.node.id));
  const next =
    siblings.slice(first.place.index + 1).find((s) => !isGoing.has(s.id)) ??
    siblings.slice(0, first.place.index).findLast((s) => !isGoing.has(s.id)) ??
    (first.place.parent === first.root.id ? undefined : { id: first.place.parent });
  return transaction("remove", `${name} removed`, operations, next ? { selects: next.id } : {});
}

export function duplicateNodes(draft: Draft, ids: readonly string[], name: string): Outcome {
  const found = outermost(draft, ids);
  if (found.length === 0) return refuse(GONE);
  // A shared section stands once on a page: its copy is a section of its own.
  const original = ({ node }: Located) => sectionOfShared(draft.documents, sharedOf(node) ?? "") ?? node;
  const copies = found.map((f) => ({ ...f, copy: copyWithNewIds(original(f)) }));
  const operations = copies.toReversed().map(({ document, place, copy }): Operation => ({
    type: "insertNode",
    document,
    to: { ...place, index: place.index + 1 },
    node: copy,
  }));
  return transaction("duplicate", `${name} duplicated`, operations, { selects: copies[0]!.copy.id });
}

/** A place in a document. `index` counts what stands there now, the moved node included if it is among it. */
export type Goal = Place & { readonly document: string };

/** Moves a node to any place: among its siblings, into another column or section, or into another document. */
export function carryNode(draft: Draft, id: string, goal: Goal, label: string): Outcome {
  const found = locate(draft, id);
  if (!found) return refuse(GONE);
  const target = entryOf(draft.documents, goal.document)?.root;
  const parent = target && findNode(target, goal.parent);
  const siblings = parent && slotOf(parent, goal.slot);
  if (!siblings) return refuse("That place is no longer there.");
  if ([...walk(found.node)].some((n) => n.id === goal.parent)) return refuse("Nothing can be put into itself.");
  const isHere =
    goal.document === found.document && goal.parent === found.place.parent && goal.slot === found.place.slot;
  const index = isHere && goal.index > found.place.index ? goal.index - 1 : goal.index;
  if (index < 0 || index > siblings.length - (isHere ? 1 : 0)) return refuse("It can’t be moved any further.");
  if (isHere && index === found.place.index) return refuse("It stands there already.");
  const to: Place = { parent: goal.parent, slot: goal.slot, index };
  const operations: Operation[] =
    goal.document === found.document
      ? [{ type: "moveNode", document: found.document, node: id, from: found.place, to }]
      : [
          { type: "removeNode", document: found.document, from: found.place, node: found.node },
          { type: "insertNode", document: goal.document, to, node: found.node },
        ];
  return transaction("move", label, operations, { selects: id });
}

/**
 * Moves a node to stand before what is now at `before` among its siblings (their count, to stand last). Refused where that
 * is where it stands already.
 */
export function moveNode(draft: Draft, id: string, before: number, name: string): Outcome {
  const found = locate(draft, id);
  if (!found) return refuse(GONE);
  const { place } = found;
  if (before < 0) return refuse(`${name} is the first already.`);
  if (before > siblingsOf(found).length) return refuse(`${name} is the last already.`);
  const goal = { ...place, document: found.document, index: before };
  return carryNode(draft, id, goal, `${name} moved ${before < place.index ? "up" : "down"}`);
}

/** Moves a node one place among its siblings. */
export function nudgeNode(draft: Draft, id: string, by: -1 | 1, name: string): Outcome {
  const found = locate(draft, id);
  if (!found) return refuse(GONE);
  return moveNode(draft, id, found.place.index + (by > 0 ? 2 : -1), name);
}

/** Sets what a node says. Typing in the same place within half a second counts as one change. */
export function setProp(draft: Draft, id: string, path: Path, value: Json | undefined, label: string): Outcome {
  const found = locate(draft, id);
  if (!found) return refuse(GONE);
  const operation: Operation = {
    type: "setProp",
    document: found.document,
    node: id,
    path,
    before: held(readAt(found.node.props, path)),
    after: held(value),
  };
  return transaction("setProp", label, [operation], { selects: id, mergeKey: `prop:${id}:${path.join(".")}` });
}

const AUDIENCE_WORDS: Readonly<Record<Audience, string>> = {
  all: "",
  phone: ", phone only",
  tablet: ", tablet only",
  wide: ", wide screen only",
};

/** One style value of one node; `undefined` puts it back to where it comes from otherwise. */
export type StyleChange = {
  readonly id: string;
  readonly audience: Audience;
  readonly property: string;
  readonly value: StyleValue | undefined;
};

/** The operations of style changes that change anything. */
export function styleOperations(draft: Draft, changes: readonly StyleChange[]): readonly Operation[] {
  return changes.flatMap(({ id, audience, property, value }): readonly Operation[] => {
    const found = locate(draft, id);
    const before = held(entryOf(found?.node.style[audience], property));
    const after = held(value);
    if (!found || JSON.stringify(before) === JSON.stringify(after)) return [];
    return [{ type: "setStyle", document: found.document, node: id, audience, property, before, after }];
  });
}

/** Sets several style values, of one node or of many, in one step. */
export function setStyles(draft: Draft, changes: readonly StyleChange[], label: string, mergeKey?: string): Outcome {
  if (!changes.some(({ id }) => locate(draft, id))) return refuse(GONE);
  const operations = styleOperations(draft, changes);
  if (operations.length === 0) return refuse(SAME);
  const [first] = changes;
  const isOne = changes.every((c) => c.id === first!.id);
  return transaction("setStyles", label, operations, {
    ...(isOne ? { selects: first!.id } : {}),
    ...(mergeKey === undefined ? {} : { mergeKey }),
  });
}

/** Sets a style value of one or several nodes, for all devices or for one. */
export function setStyle(
  draft: Draft,
  ids: readonly string[],
  audience: Audience,
  property: string,
  value: StyleValue | undefined,
  what: string,
): Outcome {
  const did = value === undefined ? "put back" : "changed";
  return setStyles(
    draft,
    [...new Set(ids)].map((id) => ({ id, audience, property, value })),
    `${what} ${did}${AUDIENCE_WORDS[audience]}`,
    `style:${ids.join(",")}:${audience}:${property}`,
  );
}

/** What a node and what is in it say for single devices. */
export const deviceDifferences = (node: Part): readonly StyleChange[] =>
  [...walk(node)].flatMap((n) =>
    DEVICES.flatMap((audience) =>
      Object.entries(n.style[audience] ?? {}).map(([property, value]) => ({ id: n.id, audience, property, value })),
    ),
  );

/** Puts back everything that parts say for single devices: they are the same on all again. */
export function putBackDevices(draft: Draft, ids: readonly string[], name: string): Outcome {
  const changes = outermost(draft, ids).flatMap(({ node }) => deviceDifferences(node));
  if (changes.length === 0) return refuse(`${name} is the same on all devices already.`);
  return setStyles(
    draft,
    changes.map((c) => ({ ...c, value: undefined })),
    `${name} the same on all devices again`,
  );
}

/** Chooses another arrangement. What the section says stays, also what the new arrangement does not show. */
export function switchArrangement(draft: Draft, id: string, arrangement: string | undefined, label: string): Outcome {
  const found = locate(draft, id);
  if (!found) return refuse(GONE);
  const operation: Operation = {
    type: "setProp",
    document: found.document,
    node: id,
    path: ["arrangement"],
    before: held(readAt(found.node.props, ["arrangement"])),
    after: held<Json>(arrangement),
  };
  return transaction("switchArrangement", label, [operation], { selects: id });
}

/** Says when parts show: what has to hold for it. Nothing has to: at any time. */
export function setConditions(
  draft: Draft,
  ids: readonly string[],
  conditions: readonly Condition[],
  name: string,
): Outcome {
  const found = [...new Set(ids)].map((id) => locate(draft, id)).filter((f) => f !== undefined);
  if (found.length === 0) return refuse(GONE);
  const parsed = conditionsSchema.safeParse(conditions);
  if (!parsed.success) return refuse(parsed.error.issues[0]!.message);
  const after = parsed.data as unknown as readonly Json[];
  const operations = found.flatMap(({ document, node }) => conditionsOperations(document, node, after));
  if (operations.length === 0) return refuse(SAME);
  const selects = ids.length === 1 ? { selects: ids[0]! } : {};
  // A word that is typed into a rule is one step.
  const more = { ...selects, mergeKey: `when ${ids.join(" ")}` };
  return transaction("setConditions", `When ${name} shows`, operations, more);
}

/** Marks parts "not yet shown", or shows them. */
export function setShown(draft: Draft, ids: readonly string[], shown: boolean, name: string): Outcome {
  const found = [...new Set(ids)].map((id) => locate(draft, id)).filter((f) => f !== undefined);
  if (found.length === 0) return refuse(GONE);
  const operations = found
    .filter((f) => f.node.shown !== shown)
    .map(({ document, node }): Operation => ({
      type: "setShown",
      document,
      node: node.id,
      before: !shown,
      after: shown,
    }));
  if (operations.length === 0) return refuse(SAME);
  const selects = ids.length === 1 ? { selects: ids[0]! } : {};
  return transaction("setShown", shown ? `${name} shown` : `${name} not shown yet`, operations, selects);
}

/**
 * Makes parts look like a part that was copied: everything that it says of its style and that they can have, and nothing of
 * what they said before. `has`: whether a node's kind has a property.
 */
export function pasteLook(
  draft: Draft,
  ids: readonly string[],
  style: Part["style"],
  has: (node: Part, property: string) => boolean,
  name: string,
): Outcome {
  const changes = ids.flatMap((id): readonly StyleChange[] => {
    const node = locate(draft, id)?.node;
    if (!node) return [];
    return AUDIENCES.flatMap((audience) => {
      const theirs = style[audience] ?? {};
      const names = new Set([...Object.keys(theirs), ...Object.keys(node.style[audience] ?? {})]);
      // How much of the width a column takes is where it stands, not how it looks.
      return [...names]
        .filter((property) => property !== "share" && has(node, property))
        .map((property) => ({ id, audience, property, value: entryOf(theirs, property) }));
    });
  });
  if (changes.length === 0) return refuse("That look has nothing that this part can have.");
  return setStyles(draft, changes, `Look pasted onto ${name}`);
}
