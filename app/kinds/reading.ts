import { entryOf, type Json, type Part, type PageDocument } from "~/core/document";
import type { Transaction } from "~/core/commands";
import type { Operation } from "~/core/operations";
import { lift, readDocument, versionOf, type ReadDocument } from "~/core/schema";
import { KINDS, kindVersion, migrationsOf } from ".";

// A kind can change: get a new value, call one otherwise, lose one. What was stored before is read through here, wherever it
// comes from: the database, a publication, a version of a page, the log, this browser's storage, the clipboard.

/**
 * The same part in today's form of its kind: its values lifted step by step, and what is lacking filled in with what is
 * usual. A part that can't be read, or that a newer version has written, is given back as it is. An unchanged part is the
 * same object.
 */
export function readPart(part: Part): Part {
  let slots = part.slots;
  for (const [slot, children] of Object.entries(part.slots)) {
    const read = children.map(readPart);
    if (read.some((each, i) => each !== children[i])) slots = { ...slots, [slot]: read };
  }
  const props = readProps(part);
  const isOld = props !== undefined && (part.version ?? 1) < versionOf(migrationsOf(part.kind));
  if (!isOld && slots === part.slots && (props === undefined || props === part.props)) return part;
  return { ...part, ...(props === undefined ? {} : { props }), ...(isOld ? kindVersion(part.kind) : {}), slots };
}

/** Today's values of a part; undefined where they can't be read. */
function readProps(part: Part): Part["props"] | undefined {
  const definition = KINDS.get(part.kind)?.definition;
  if (!definition) return undefined;
  const lifted = lift(part.props, part.version ?? 1, migrationsOf(part.kind));
  if (!lifted.ok) return undefined;
  const defaults = definition.defaults as Readonly<Record<string, Json>>;
  const lacking = Object.keys(defaults).filter((key) => entryOf(lifted.value, key) === undefined);
  if (lacking.length === 0 && (part.version ?? 1) === versionOf(migrationsOf(part.kind))) return part.props;
  const filled = { ...lifted.value, ...Object.fromEntries(lacking.map((key) => [key, entryOf(defaults, key)!])) };
  return definition.props.safeParse(filled).success ? (filled as Part["props"]) : undefined;
}

/** Reads a stored page, layout or frame with all that stands in it. */
export function readPage(stored: unknown): ReadDocument {
  const read = readDocument(stored);
  return read.ok ? { ok: true, document: readParts(read.document) } : read;
}

const readParts = (document: PageDocument): PageDocument => {
  const root = readPart(document.root);
  return root === document.root ? document : { ...document, root };
};

function readOperation(operation: Operation): Operation {
  switch (operation.type) {
    case "insertNode":
    case "removeNode":
      return { ...operation, node: readPart(operation.node) };
    case "addDocument":
    case "removeDocument":
      return { ...operation, added: readParts(operation.added) };
    default:
      return operation;
  }
}

/** Reads a change that was written down, so that what it brings back is in today's form. */
export const readTransaction = (transaction: Transaction): Transaction => ({
  ...transaction,
  operations: transaction.operations.map(readOperation),
});
