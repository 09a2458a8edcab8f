import {
  copyWithNewIds,
  findNode,
  placeOf,
  type Audience,
  type Draft,
  type Json,
  type Node,
  type Place,
  type StyleValue,
} from "../document";
import { absent, held, readAt, type Held, type Operation, type Path } from "../operations";
import { refuse, transaction, type Outcome } from "./transaction";

const GONE = "This section is no longer there.";

/** A section in its document, as commands need it. */
type Found = { readonly document: string; readonly root: Node; readonly node: Node; readonly place: Place };

/** Finds a section in whichever document holds it. */
export function locate(draft: Draft, id: string): Found | undefined {
  for (const document of Object.values(draft.documents)) {
    const node = findNode(document.root, id);
    const place = node && placeOf(document.root, id);
    if (node && place) return { document: document.id, root: document.root, node, place };
  }
  return undefined;
}

const siblingsOf = (found: Found): readonly Node[] =>
  findNode(found.root, found.place.parent)!.slots[found.place.slot]!;

/** Puts a new section at a place. `name` is what its kind is called. */
export function addSection(draft: Draft, document: string, to: Place, node: Node, name: string): Outcome {
  const root = draft.documents[document]?.root;
  const siblings = root && findNode(root, to.parent)?.slots[to.slot];
  if (!siblings) return refuse("This page is no longer there.");
  const place = { ...to, index: Math.max(0, Math.min(to.index, siblings.length)) };
  return transaction("addSection", `${name} added`, [{ type: "insertNode", document, to: place, node }], {
    selects: node.id,
  });
}

export function removeSection(draft: Draft, id: string, name: string): Outcome {
  const found = locate(draft, id);
  if (!found) return refuse(GONE);
  const siblings = siblingsOf(found);
  const neighbour = siblings[found.place.index + 1] ?? siblings[found.place.index - 1];
  const operation: Operation = { type: "removeNode", document: found.document, from: found.place, node: found.node };
  return transaction("removeSection", `${name} removed`, [operation], neighbour ? { selects: neighbour.id } : {});
}

export function duplicateSection(draft: Draft, id: string, name: string): Outcome {
  const found = locate(draft, id);
  if (!found) return refuse(GONE);
  const copy = copyWithNewIds(found.node);
  const to = { ...found.place, index: found.place.index + 1 };
  return transaction(
    "duplicateSection",
    `${name} duplicated`,
    [{ type: "insertNode", document: found.document, to, node: copy }],
    {
      selects: copy.id,
    },
  );
}

/**
 * Moves a section to stand before what is now at `before` among its siblings (their count, to stand last). Refused
 * where that is where it stands already.
 */
export function moveSection(draft: Draft, id: string, before: number, name: string): Outcome {
  const found = locate(draft, id);
  if (!found) return refuse(GONE);
  const { place } = found;
  const count = siblingsOf(found).length;
  if (before < 0 || before > count)
    return refuse(before < 0 ? `${name} is the first already.` : `${name} is the last already.`);
  const index = before > place.index ? before - 1 : before;
  if (index === place.index) return refuse(`${name} stands there already.`);
  const operation: Operation = {
    type: "moveNode",
    document: found.document,
    node: id,
    from: place,
    to: { ...place, index },
  };
  return transaction("moveSection", `${name} moved ${index < place.index ? "up" : "down"}`, [operation], {
    selects: id,
  });
}

/** Moves a section one place along the plan. */
export function nudgeSection(draft: Draft, id: string, by: -1 | 1, name: string): Outcome {
  const found = locate(draft, id);
  if (!found) return refuse(GONE);
  return moveSection(draft, id, found.place.index + (by > 0 ? 2 : -1), name);
}

/** Sets what a section says. Typing in the same place within half a second counts as one change. */
export function setProp(draft: Draft, id: string, path: Path, value: Json | undefined, label: string): Outcome {
  const found = locate(draft, id);
  if (!found) return refuse(GONE);
  const before = held(readAt(found.node.props, path));
  const operation: Operation = {
    type: "setProp",
    document: found.document,
    node: id,
    path,
    before,
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

/** Sets several style values of a section in one step. */
export function setStyles(
  draft: Draft,
  id: string,
  values: readonly (readonly [audience: Audience, property: string, value: StyleValue])[],
  label: string,
): Outcome {
  const found = locate(draft, id);
  if (!found) return refuse(GONE);
  const operations = values.flatMap(([audience, property, value]): readonly Operation[] => {
    const before: Held<StyleValue> = held(found.node.style[audience]?.[property]);
    const after: Held<StyleValue> = { is: value };
    if (JSON.stringify(before) === JSON.stringify(after)) return [];
    return [{ type: "setStyle", document: found.document, node: id, audience, property, before, after }];
  });
  return operations.length
    ? transaction("setStyles", label, operations, { selects: id })
    : refuse("It is like that already.");
}

/** Sets a style value for all devices or for one; `undefined` puts it back to where it comes from otherwise. */
export function setStyle(
  draft: Draft,
  id: string,
  audience: Audience,
  property: string,
  value: StyleValue | undefined,
  what: string,
): Outcome {
  const found = locate(draft, id);
  if (!found) return refuse(GONE);
  const before: Held<StyleValue> = held(found.node.style[audience]?.[property]);
  const after: Held<StyleValue> = value === undefined ? absent : { is: value };
  if (JSON.stringify(before) === JSON.stringify(after)) return refuse("It is like that already.");
  const label =
    value === undefined ? `${what} put back${AUDIENCE_WORDS[audience]}` : `${what} changed${AUDIENCE_WORDS[audience]}`;
  const operation: Operation = {
    type: "setStyle",
    document: found.document,
    node: id,
    audience,
    property,
    before,
    after,
  };
  return transaction("setStyle", label, [operation], { selects: id, mergeKey: `style:${id}:${audience}:${property}` });
}

/** Chooses another arrangement. What the section says stays, also what the new arrangement does not show. */
export function switchArrangement(draft: Draft, id: string, arrangement: string | undefined, label: string): Outcome {
  const found = locate(draft, id);
  if (!found) return refuse(GONE);
  const before = held(readAt(found.node.props, ["arrangement"]));
  const operation: Operation = {
    type: "setProp",
    document: found.document,
    node: id,
    path: ["arrangement"],
    before,
    after: held<Json>(arrangement),
  };
  return transaction("switchArrangement", label, [operation], { selects: id });
}

/** Marks a section "not yet shown", or shows it. */
export function setShown(draft: Draft, id: string, shown: boolean, name: string): Outcome {
  const found = locate(draft, id);
  if (!found) return refuse(GONE);
  if (found.node.shown === shown) return refuse("It is like that already.");
  const operation: Operation = { type: "setShown", document: found.document, node: id, before: !shown, after: shown };
  return transaction("setShown", shown ? `${name} shown` : `${name} not shown yet`, [operation], { selects: id });
}
