import {
  changeNode,
  findNode,
  freeze,
  placeOf,
  sameJson,
  slotOf,
  walk,
  type PageDocument,
  type Draft,
  type Json,
  type Look,
  type Part,
  type Place,
  entryOf,
  isAbsentWhenEmpty,
} from "../document";
import { held, type ApplyFailure, type Held, type Operation, type Path } from "./types";

export type Applied = { readonly ok: true; readonly draft: Draft } | ApplyFailure;

const fail = (code: ApplyFailure["code"], at: string): ApplyFailure => ({ ok: false, code, at });

/** Reads the value at `path`. */
export function readAt(value: Json | undefined, path: Path): Json | undefined {
  let here: Json | undefined = value;
  for (const step of path) {
    if (here === null || typeof here !== "object" || !Object.hasOwn(here, step)) return undefined;
    here = (here as Record<string | number, Json>)[step];
  }
  return here;
}

/**
 * `value` with what stands at `path` replaced, or taken out when `next` is absent. Returns undefined where the path
 * leads through something that does not exist; array elements can be replaced, not added or taken out.
 */
function writeAt(value: Json, path: Path, next: Held<Json>): Json | undefined {
  const [step, ...rest] = path;
  if (step === undefined) return "is" in next ? next.is : undefined;
  if (value === null || typeof value !== "object") return undefined;
  if (Array.isArray(value)) {
    if (typeof step !== "number" || step < 0 || step >= value.length) return undefined;
    const inner = writeAt(value[step] as Json, rest, next);
    return inner === undefined ? undefined : value.with(step, inner);
  }
  const object = value as Readonly<Record<string, Json>>;
  if (rest.length === 0 && !("is" in next)) {
    const { [String(step)]: _gone, ...others } = object;
    return others;
  }
  if (rest.length > 0 && !Object.hasOwn(object, step)) return undefined;
  const inner = writeAt(rest.length > 0 ? entryOf(object, String(step))! : null, rest, next);
  return inner === undefined ? undefined : { ...object, [String(step)]: inner };
}

const sameHeld = <T>(a: Held<T>, b: Held<T>) => ("is" in a ? "is" in b && sameJson(a.is, b.is) : !("is" in b));

// Below the root, a slot that holds nothing is left out, so that taking back the first insertion gives the very node from
// before. What slots a root has is for its kind of document to say.
function insertAt(root: Part, to: Place, node: Part): Part | undefined {
  const parent = findNode(root, to.parent);
  const children = parent && slotOf(parent, to.slot);
  if (!children || to.index < 0 || to.index > children.length) return undefined;
  return changeNode(root, to.parent, (p) => ({
    ...p,
    slots: { ...p.slots, [to.slot]: children.toSpliced(to.index, 0, node) },
  }));
}

function removeAt(root: Part, from: Place): Part {
  return changeNode(root, from.parent, (p) => {
    const left = entryOf(p.slots, from.slot)!.toSpliced(from.index, 1);
    const { [from.slot]: _emptied, ...others } = p.slots;
    return {
      ...p,
      slots: left.length || !isAbsentWhenEmpty(p, from.slot) ? { ...p.slots, [from.slot]: left } : others,
    };
  });
}

function setStyleOn(node: Part, operation: Extract<Operation, { type: "setStyle" }>): Part {
  const { [operation.property]: _old, ...others } = node.style[operation.audience] ?? {};
  const values = "is" in operation.after ? { ...others, [operation.property]: operation.after.is } : others;
  const { [operation.audience]: _sheet, ...otherSheets } = node.style;
  // An audience without values is left out, so that putting everything back gives the very document from before.
  const style = Object.keys(values).length ? { ...otherSheets, [operation.audience]: values } : otherSheets;
  return { ...node, style };
}

function applyToDocument(
  document: PageDocument,
  operation: Exclude<Operation, { type: "setLook" | "addDocument" | "removeDocument" }>,
): PageDocument | ApplyFailure {
  const { root } = document;
  const withRoot = (next: Part): PageDocument => ({ ...document, root: next });
  switch (operation.type) {
    case "insertNode": {
      const taken = new Set([...walk(root)].map((n) => n.id));
      for (const node of walk(operation.node)) if (taken.has(node.id)) return fail("duplicate-id", node.id);
      const next = insertAt(root, operation.to, operation.node);
      return next ? withRoot(next) : fail("bad-place", operation.to.parent);
    }
    case "removeNode": {
      const place = placeOf(root, operation.node.id);
      if (!place) return fail("gone", operation.node.id);
      if (!sameJson(place, operation.from) || !sameJson(findNode(root, operation.node.id), operation.node)) {
        return fail("changed-meanwhile", operation.node.id);
      }
      return withRoot(removeAt(root, place));
    }
    case "moveNode": {
      const place = placeOf(root, operation.node);
      const node = findNode(root, operation.node);
      if (!place || !node) return fail("gone", operation.node);
      if (!sameJson(place, operation.from)) return fail("changed-meanwhile", operation.node);
      // Nothing can be put into itself: once it is taken out, that place is gone.
      const next = insertAt(removeAt(root, place), operation.to, node);
      return next ? withRoot(next) : fail("bad-place", operation.to.parent);
    }
    case "setProp": {
      const node = findNode(root, operation.node);
      if (!node) return fail("gone", operation.node);
      if (!sameHeld(held(readAt(node.props, operation.path)), operation.before)) {
        return fail("changed-meanwhile", operation.node);
      }
      const props = writeAt(node.props, operation.path, operation.after);
      if (props === undefined) return fail("bad-place", operation.node);
      return withRoot(changeNode(root, node.id, (n) => ({ ...n, props: props as Part["props"] })));
    }
    case "setStyle": {
      const node = findNode(root, operation.node);
      if (!node) return fail("gone", operation.node);
      if (!sameHeld(held(entryOf(node.style[operation.audience], operation.property)), operation.before)) {
        return fail("changed-meanwhile", operation.node);
      }
      return withRoot(changeNode(root, node.id, (n) => setStyleOn(n, operation)));
    }
    case "setTitle":
      if (document.title !== operation.before) return fail("changed-meanwhile", document.id);
      return { ...document, title: operation.after };
    case "setShown": {
      const node = findNode(root, operation.node);
      if (!node) return fail("gone", operation.node);
      if (node.shown !== operation.before) return fail("changed-meanwhile", operation.node);
      return withRoot(changeNode(root, node.id, (n) => ({ ...n, shown: operation.after })));
    }
    case "setConditions": {
      const node = findNode(root, operation.node);
      if (!node) return fail("gone", operation.node);
      if (!sameJson(node.conditions, operation.before)) return fail("changed-meanwhile", operation.node);
      return withRoot(changeNode(root, node.id, (n) => ({ ...n, conditions: operation.after })));
    }
  }
}

/**
 * Applies one operation to a draft. The draft given is never touched; the one returned is frozen and shares every
 * branch that did not change.
 */
export function apply(draft: Draft, operation: Operation): Applied {
  if (operation.type === "setLook") {
    const look = draft.look as unknown as Json;
    if (!sameHeld(held(readAt(look, operation.path)), operation.before)) {
      return fail("changed-meanwhile", operation.path.join("."));
    }
    const next = writeAt(look, operation.path, operation.after);
    if (next === undefined) return fail("bad-place", operation.path.join("."));
    return { ok: true, draft: freeze({ ...draft, look: next as unknown as Look }) };
  }
  if (operation.type === "addDocument") {
    const { added } = operation;
    if (entryOf(draft.documents, added.id)) return fail("duplicate-id", added.id);
    return { ok: true, draft: freeze({ ...draft, documents: { ...draft.documents, [added.id]: added } }) };
  }
  if (operation.type === "removeDocument") {
    const { [operation.added.id]: there, ...others } = draft.documents;
    if (!there) return fail("gone", operation.added.id);
    if (!sameJson(there, operation.added)) return fail("changed-meanwhile", there.id);
    return { ok: true, draft: freeze({ ...draft, documents: others }) };
  }
  const document = entryOf(draft.documents, operation.document);
  if (!document) return fail("gone", operation.document);
  const next = applyToDocument(document, operation);
  if ("ok" in next) return next;
  return { ok: true, draft: freeze({ ...draft, documents: { ...draft.documents, [document.id]: next } }) };
}

/** Applies operations in order; all or none. */
export function applyAll(draft: Draft, operations: readonly Operation[]): Applied {
  let here = draft;
  for (const operation of operations) {
    const result = apply(here, operation);
    if (!result.ok) return result;
    here = result.draft;
  }
  return { ok: true, draft: here };
}

/** The operation that takes back `operation`. */
export function invert(operation: Operation): Operation {
  switch (operation.type) {
    case "insertNode":
      return { type: "removeNode", document: operation.document, from: operation.to, node: operation.node };
    case "removeNode":
      return { type: "insertNode", document: operation.document, to: operation.from, node: operation.node };
    case "moveNode":
      return { ...operation, from: operation.to, to: operation.from };
    case "addDocument":
      return { ...operation, type: "removeDocument" };
    case "removeDocument":
      return { ...operation, type: "addDocument" };
    case "setProp":
    case "setStyle":
    case "setLook":
    case "setTitle":
      return { ...operation, before: operation.after, after: operation.before } as Operation;
    case "setShown":
      return { ...operation, before: operation.after, after: operation.before };
    case "setConditions":
      return { ...operation, before: operation.after, after: operation.before };
  }
}

/** The operations that take back `operations`: each inverted, last first. */
export const invertAll = (operations: readonly Operation[]): readonly Operation[] => operations.map(invert).reverse();

/**
 * The same intent, restated for a draft that somebody else changed in the meantime: what the operation expects to find
 * is read afresh. Undefined when what it speaks of is no longer there.
 */
export function rebase(draft: Draft, operation: Operation): Operation | undefined {
  if (operation.type === "setLook") {
    return { ...operation, before: held(readAt(draft.look as unknown as Json, operation.path)) };
  }
  if (operation.type === "addDocument") return entryOf(draft.documents, operation.added.id) ? undefined : operation;
  if (operation.type === "removeDocument") {
    const there = entryOf(draft.documents, operation.added.id);
    return there && { ...operation, added: there };
  }
  const document = entryOf(draft.documents, operation.document);
  if (!document) return undefined;
  if (operation.type === "setTitle") return { ...operation, before: document.title };
  const { root } = document;
  if (operation.type === "insertNode") {
    const parent = findNode(root, operation.to.parent);
    const siblings = parent && slotOf(parent, operation.to.slot);
    if (!siblings) return undefined;
    return { ...operation, to: { ...operation.to, index: Math.min(operation.to.index, siblings.length) } };
  }
  const id = operation.type === "removeNode" ? operation.node.id : operation.node;
  const node = findNode(root, id);
  const place = placeOf(root, id);
  if (!node) return undefined;
  switch (operation.type) {
    case "removeNode":
      return place && { ...operation, from: place, node };
    case "moveNode": {
      const parent = findNode(root, operation.to.parent);
      const siblings = parent && slotOf(parent, operation.to.slot);
      if (!place || !siblings) return undefined;
      const most = siblings.length - (siblings.includes(node) ? 1 : 0);
      return { ...operation, from: place, to: { ...operation.to, index: Math.min(operation.to.index, most) } };
    }
    case "setProp":
      return { ...operation, before: held(readAt(node.props, operation.path)) };
    case "setStyle":
      return { ...operation, before: held(entryOf(node.style[operation.audience], operation.property)) };
    case "setShown":
      return { ...operation, before: node.shown };
    case "setConditions":
      return { ...operation, before: node.conditions };
  }
}
