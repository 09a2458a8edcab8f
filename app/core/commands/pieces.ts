import { copyWithNewIds, emptyDocument, entryOf, newId, type Draft, type PageDocument, type Part } from "../document";
import { DOCUMENT_VERSION } from "../schema/migrations";
import { outermost, pasteNodes } from "./nodes";
import { nameProblem } from "./names";
import { refuse, transaction, type Outcome } from "./transaction";

/** The most pieces that a seller keeps. */
const MOST_PIECES = 200;
const GONE = "This piece is no longer there.";

/** The sections that were kept under names, by name. */
export const piecesOf = (documents: Draft["documents"]): readonly PageDocument[] =>
  Object.values(documents)
    .filter((d) => d.kind === "piece")
    .sort((a, b) => (a.title < b.title ? -1 : 1));

/** Keeps copies of sections under a name, to be added again from there. */
export function keepPiece(draft: Draft, nodes: readonly Part[], name: string, id: string = newId()): Outcome {
  const title = name.trim();
  if (nodes.length === 0) return refuse("Choose a section first.");
  if (piecesOf(draft.documents).length >= MOST_PIECES)
    return refuse(`${MOST_PIECES} pieces are kept already. Remove one first.`);
  const problem = nameProblem(title, piecesOf(draft.documents), "piece");
  if (problem) return refuse(problem);
  const empty = emptyDocument(DOCUMENT_VERSION, "piece", id, title);
  const main = nodes.map((node) => copyWithNewIds(node));
  const added = { ...empty, root: { ...empty.root, slots: { main } } };
  return transaction("keepPiece", `“${title}” kept as a piece`, [{ type: "addDocument", added }]);
}

export function renamePiece(draft: Draft, id: string, name: string): Outcome {
  const piece = entryOf(draft.documents, id);
  const title = name.trim();
  if (piece?.kind !== "piece") return refuse(GONE);
  if (title === piece.title) return refuse("It is called that already.");
  const problem = nameProblem(
    title,
    piecesOf(draft.documents).filter((d) => d.id !== id),
    "piece",
  );
  if (problem) return refuse(problem);
  return transaction("renamePiece", `Piece renamed to “${title}”`, [
    { type: "setTitle", document: id, before: piece.title, after: title },
  ]);
}

/** Lets go of a piece. What was added from it stays. */
export function removePiece(draft: Draft, id: string): Outcome {
  const piece = entryOf(draft.documents, id);
  if (piece?.kind !== "piece") return refuse(GONE);
  return transaction("removePiece", `Piece “${piece.title}” removed`, [{ type: "removeDocument", added: piece }]);
}

/** Puts copies of sections at the end of another page. */
export function copyToPage(draft: Draft, ids: readonly string[], page: string, name: string): Outcome {
  const document = entryOf(draft.documents, page);
  const nodes = outermost(draft, ids).map((found) => copyWithNewIds(found.node));
  if (!document || nodes.length === 0) return refuse("That page is no longer there.");
  const to = { parent: document.root.id, slot: "main", index: document.root.slots.main?.length ?? 0 };
  const outcome = pasteNodes(draft, page, to, nodes, `${name} copied to “${document.title}”`);
  // What is selected stays: the copy is on another page.
  if (!outcome.ok) return outcome;
  const { selects: _copy, ...rest } = outcome.transaction;
  return { ...outcome, transaction: rest };
}
