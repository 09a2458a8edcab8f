import { walk } from "./tree";
import { OVER, OWN_ROWS, ROOT_SLOTS, type PageDocument } from "./types";

export type IntegrityProblem = { readonly code: "duplicate-id" | "wrong-root" | "unknown-slot"; readonly at: string };

/**
 * Reports what makes a document structurally unsound: an id used twice, a root that is not a root, a root slot that
 * this kind of document does not have. An empty list means that the document is sound.
 */
export function integrityOf(document: PageDocument): readonly IntegrityProblem[] {
  const problems: IntegrityProblem[] = [];
  const seen = new Set<string>();
  for (const node of walk(document.root)) {
    if (seen.has(node.id)) problems.push({ code: "duplicate-id", at: node.id });
    seen.add(node.id);
  }
  if (document.root.kind !== "root") problems.push({ code: "wrong-root", at: document.root.id });
  const allowed = [
    ...ROOT_SLOTS[document.kind],
    ...(document.kind === "page" ? OWN_ROWS : document.kind === "frame" ? [OVER] : []),
  ];
  for (const slot of Object.keys(document.root.slots)) {
    if (!allowed.includes(slot)) problems.push({ code: "unknown-slot", at: slot });
  }
  return problems;
}
