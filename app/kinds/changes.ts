import { integrityOf, MAIN_MENU, SITE, walk, pageProps, type Draft, type PageDocument, entryOf } from "~/core/document";
import { pageProblem, siteOf } from "~/core/addresses";
import { codeProblem, offerOf } from "~/core/offers";
import type { Operation } from "~/core/operations";
import {
  DOCUMENT_VERSION,
  fitsLimits,
  LONGEST_TITLE,
  lookSchema,
  MOST_DOCUMENTS,
  MOST_IN_SLOT,
  versionOf,
} from "~/core/schema";
import { documentProblem, migrationsOf, nameOf, problemOf, strangerIn } from ".";

/** Documents that every shop has. */
const NEEDED = new Set(["frame", SITE, MAIN_MENU]);
/** The place where the look lies beside the documents. */
const TAKEN = "look";

type Touched = {
  readonly documents: ReadonlySet<string>;
  /** Documents into which something was put. */
  readonly grown: ReadonlySet<string>;
  /** Parts, by id. */
  readonly parts: ReadonlySet<string>;
};

/** What a run of operations touched. */
function touchedBy(operations: readonly Operation[]): Touched {
  const documents = new Set<string>();
  const grown = new Set<string>();
  const parts = new Set<string>();
  for (const operation of operations) {
    if (operation.type === "setLook" || operation.type === "removeDocument") continue;
    if (operation.type === "addDocument") {
      documents.add(operation.added.id);
      grown.add(operation.added.id);
      for (const node of walk(operation.added.root)) parts.add(node.id);
      continue;
    }
    documents.add(operation.document);
    if (operation.type === "setTitle") continue;
    if (typeof operation.node === "string") parts.add(operation.node);
    else for (const node of walk(operation.node)) parts.add(node.id);
    // What is put somewhere may not be allowed there.
    if ("to" in operation) parts.add(operation.to.parent);
    if (operation.type === "insertNode") grown.add(operation.document);
  }
  return { documents, grown, parts };
}

function problemOfDocument(document: PageDocument, { parts, grown }: Touched): string | undefined {
  if (document.title.trim() === "") return "A page needs a title.";
  if (document.title.length > LONGEST_TITLE) return `Keep the title to ${LONGEST_TITLE} characters.`;
  const why = documentProblem(document);
  if (why) return why;
  const stranger = strangerIn(document, document.root);
  if (stranger) return `${nameOf(stranger)} makes no sense on “${document.title}”.`;
  // A page that holds too many already may lose some, and everything else about it may change.
  for (const sections of Object.values(document.root.slots))
    if (grown.has(document.id) && sections.length > MOST_IN_SLOT)
      return `“${document.title}” can hold ${MOST_IN_SLOT} sections. Remove some, or make another page.`;
  const [unsound] = integrityOf(document);
  if (unsound) return `This change would damage the page (${unsound.code}).`;
  for (const node of walk(document.root)) {
    if (!parts.has(node.id)) continue;
    if (!fitsLimits(node)) return "Something in it is longer than what can be saved.";
    if (node.kind === "root") continue;
    if ((node.version ?? 1) > versionOf(migrationsOf(node.kind)))
      return `“${nameOf(node)}” was made with a newer version.`;
    const problem = problemOf(node);
    if (problem) return problem.why;
  }
  return undefined;
}

/** Why documents may not come or go like this. Names of documents are told apart without regard to capital letters. */
function problemOfNames(draft: Draft, operations: readonly Operation[]): string | undefined {
  const names = Object.keys(draft.documents).map((id) => id.toLowerCase());
  for (const operation of operations) {
    if (
      operation.type === "removeDocument" &&
      NEEDED.has(operation.added.id) &&
      !entryOf(draft.documents, operation.added.id)
    )
      return `“${operation.added.title}” is part of every shop and can’t be removed.`;
    if (operation.type !== "addDocument") continue;
    const { id, schemaVersion } = operation.added;
    if (schemaVersion !== DOCUMENT_VERSION) return "This page is of another version.";
    if (id.toLowerCase() === TAKEN || id in Object.prototype || names.filter((n) => n === id.toLowerCase()).length > 1)
      return "There is a page of this name already.";
  }
  return undefined;
}

/**
 * The pages whose place, address or existence may have become wrong through operations: their own, and those beneath a page that is
 * gone. Whoever changes one has to look at all pages of the shop.
 */
export function siteTouchedBy(draft: Draft, operations: readonly Operation[]): ReadonlySet<string> {
  const pages = new Set<string>();
  for (const operation of operations) {
    if (operation.type === "addDocument" && operation.added.kind === "page") pages.add(operation.added.id);
    if (operation.type === "removeDocument" && operation.added.kind === "page") {
      pages.add(operation.added.id);
      for (const each of Object.values(draft.documents))
        if (each.kind === "page" && pageProps(each).parent === operation.added.id) pages.add(each.id);
    }
    if (operation.type !== "setProp") continue;
    const document = entryOf(draft.documents, operation.document);
    if (document?.root.id !== operation.node) continue;
    if (document.kind === "page" && SITE_KEYS.has(String(operation.path[0]))) pages.add(document.id);
    if (document.kind === "site") for (const each of siteOf(draft.documents).pages) pages.add(each.document.id);
  }
  return pages;
}

/** What a page says that has to do with the other pages. */
const SITE_KEYS: ReadonlySet<string> = new Set(["slug", "parent", "hidden"]);

/** What has to be unlike what others say: addresses of pages, codes of offers. */
const ASKS_ALL: ReadonlySet<string> = new Set([...SITE_KEYS, "code"]);

/** Whether operations may change the tree of pages, or what has to be unlike all others, so that what is at hand has to be all of the draft. */
export const asksForSite = (operations: readonly Operation[]): boolean =>
  operations.some(
    (o) =>
      ((o.type === "addDocument" || o.type === "removeDocument") && o.added.kind === "page") ||
      (o.type === "addDocument" && o.added.kind === "offer") ||
      (o.type === "setProp" && (ASKS_ALL.has(String(o.path[0])) || o.document === SITE)),
  );

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
  const misnamed = problemOfNames(draft, operations);
  if (misnamed) return misnamed;
  const pagesChanged = siteTouchedBy(draft, operations);
  const unsound = pagesChanged.size ? pageProblem(draft.documents, pagesChanged) : undefined;
  if (unsound) return unsound;
  const touched = touchedBy(operations);
  for (const id of touched.documents) {
    const offer = offerOf(entryOf(draft.documents, id));
    const taken = offer && codeProblem(draft.documents, id, offer.code);
    if (taken) return taken;
  }
  for (const id of touched.documents) {
    const document = entryOf(draft.documents, id);
    const why = document && problemOfDocument(document, touched);
    if (why) return why;
    // What was added and taken away again in one go is no problem.
    if (!document && !operations.some((o) => o.type === "removeDocument" && o.added.id === id))
      return "This page is no longer there.";
  }
  return undefined;
}
