import { integrityOf, walk, type Draft, type PageDocument, entryOf } from "~/core/document";
import type { Operation } from "~/core/operations";
import { LONGEST_TITLE, lookSchema, MOST_DOCUMENTS, MOST_IN_SLOT } from "~/core/schema";
import { documentProblem, nameOf, problemOf, strangerIn } from ".";

/** What a run of operations touched: documents, and parts in them by id. */
function touchedBy(operations: readonly Operation[]): { documents: Set<string>; parts: Set<string> } {
  const documents = new Set<string>();
  const parts = new Set<string>();
  for (const operation of operations) {
    if (operation.type === "setLook" || operation.type === "removeDocument") continue;
    if (operation.type === "addDocument") {
      documents.add(operation.added.id);
      for (const node of walk(operation.added.root)) parts.add(node.id);
      continue;
    }
    documents.add(operation.document);
    if (operation.type === "setTitle") continue;
    if (typeof operation.node === "string") parts.add(operation.node);
    else for (const node of walk(operation.node)) parts.add(node.id);
    // What is put somewhere may not be allowed there.
    if ("to" in operation) parts.add(operation.to.parent);
  }
  return { documents, parts };
}

function problemOfDocument(document: PageDocument, touched: ReadonlySet<string>): string | undefined {
  if (document.title.trim() === "") return "A page needs a title.";
  if (document.title.length > LONGEST_TITLE) return `Keep the title to ${LONGEST_TITLE} characters.`;
  const why = documentProblem(document);
  if (why) return why;
  const stranger = strangerIn(document, document.root);
  if (stranger) return `${nameOf(stranger)} makes no sense on “${document.title}”.`;
  for (const sections of Object.values(document.root.slots))
    if (sections.length > MOST_IN_SLOT)
      return `“${document.title}” can hold ${MOST_IN_SLOT} sections. Remove some, or make another page.`;
  const [unsound] = integrityOf(document);
  if (unsound) return `This change would damage the page (${unsound.code}).`;
  for (const node of walk(document.root)) {
    const problem = touched.has(node.id) && node.kind !== "root" ? problemOf(node) : undefined;
    if (problem) return problem.why;
  }
  return undefined;
}

/**
 * Why a changed draft may not be kept, in the seller's words; undefined where it may. Looks only at what the operations
 * touched. The studio asks before it makes a change, and the server before it stores one.
 * @param pages how many pages and layouts the shop has then, where the draft at hand is not all of it
 */
export function problemOfChange(
  draft: Draft,
  operations: readonly Operation[],
  pages = Object.keys(draft.documents).length,
): string | undefined {
  if (operations.some((o) => o.type === "setLook")) {
    const parsed = lookSchema.safeParse(draft.look);
    if (!parsed.success) return parsed.error.issues[0]!.message;
  }
  if (operations.some((o) => o.type === "addDocument") && pages > MOST_DOCUMENTS)
    return `A shop can have ${MOST_DOCUMENTS.toLocaleString("en")} pages and layouts.`;
  const { documents, parts } = touchedBy(operations);
  for (const id of documents) {
    const document = entryOf(draft.documents, id);
    const why = document && problemOfDocument(document, parts);
    if (why) return why;
    // What was added and taken away again in one go is no problem.
    if (!document && !operations.some((o) => o.type === "removeDocument" && o.added.id === id))
      return "This page is no longer there.";
  }
  return undefined;
}
