import { conditionsSchema, type Condition } from "../conditions";
import { emptyDocument, entryOf, newId, type Draft, type Part } from "../document";
import {
  codeProblem,
  LONGEST_CODE,
  LONGEST_OFFER_NAME,
  MOST_OFFERS,
  offerRoot,
  offersOf,
  type OfferRoot,
} from "../offers";
import { DOCUMENT_VERSION } from "../schema/migrations";
import { freeName } from "./names";
import { conditionsOperations, rootOperations } from "./root";
import { refuse, transaction, type Outcome } from "./transaction";

const GONE = "This offer is no longer there.";

function nameProblem(draft: Draft, name: string, but?: string): string | undefined {
  if (name === "") return "An offer needs a name. Shoppers see it in their cart.";
  if (name.length > LONGEST_OFFER_NAME) return `Keep the name to ${LONGEST_OFFER_NAME} characters.`;
  const isTaken = offersOf(draft.documents).some((o) => o.id !== but && o.name.toLowerCase() === name.toLowerCase());
  return isTaken ? `There is an offer called “${name}” already.` : undefined;
}

/** Why an offer may not say that; undefined where it may. */
function problemOf(draft: Draft, id: string, root: unknown): string | undefined {
  const parsed = offerRoot.safeParse(root);
  if (!parsed.success) return parsed.error.issues[0]!.message;
  return codeProblem(draft.documents, id, parsed.data.code ?? "");
}

/** An offer as it can stand beside those that there are: under a name, and with a code where it has one, that none of them has. */
export function freeOffer(
  { documents }: Draft,
  name: string,
  { code, ...root }: OfferRoot,
): { readonly name: string; readonly root: OfferRoot } {
  const others = offersOf(documents);
  const title = freeName(
    name,
    others.map((each) => each.name),
    LONGEST_OFFER_NAME,
  );
  if (code === undefined) return { name: title, root };
  const codes = others.map((each) => each.code);
  return { name: title, root: { ...root, code: freeName(code, codes, LONGEST_CODE, "-") } };
}

/** A new offer, with nothing asked of it or these conditions. */
export function addOffer(
  draft: Draft,
  name: string,
  root: OfferRoot,
  conditions: Part["conditions"] = [],
  id: string = newId(),
): Outcome {
  const title = name.trim();
  if (offersOf(draft.documents).length >= MOST_OFFERS) return refuse(`A shop can have ${MOST_OFFERS} offers.`);
  const problem = nameProblem(draft, title) ?? problemOf(draft, id, root);
  if (problem) return refuse(problem);
  const added = emptyDocument(DOCUMENT_VERSION, "offer", id, title, root as unknown as Part["props"], conditions);
  return transaction("addOffer", `Offer “${title}” made`, [{ type: "addDocument", added }]);
}

/** Changes what an offer says; `undefined`: what is usual. Refuses what no offer can be, so that nothing of it is half stored. */
export function changeOffer(draft: Draft, id: string, values: Partial<OfferRoot>): Outcome {
  const document = entryOf(draft.documents, id);
  if (document?.kind !== "offer") return refuse(GONE);
  const next = Object.fromEntries(
    Object.entries({ ...document.root.props, ...values }).filter(([, value]) => value !== undefined),
  );
  const problem = problemOf(draft, id, next);
  if (problem) return refuse(problem);
  const operations = rootOperations(document, values);
  if (operations.length === 0) return refuse("It is like that already.");
  const keys = Object.keys(values);
  const said = keys.length === 1 && keys[0] === "off" ? (values.off ? " switched off" : " switched on") : " changed";
  return transaction("changeOffer", `Offer “${document.title}”${said}`, operations, {
    mergeKey: `offer ${id} ${keys.join(" ")}`,
  });
}

/** When an offer holds, and for whom. */
export function setOfferConditions(draft: Draft, id: string, conditions: readonly Condition[]): Outcome {
  const document = entryOf(draft.documents, id);
  if (document?.kind !== "offer") return refuse(GONE);
  const parsed = conditionsSchema.safeParse(conditions);
  if (!parsed.success) return refuse(parsed.error.issues[0]!.message);
  const operations = conditionsOperations(id, document.root, parsed.data as unknown as Part["conditions"]);
  if (operations.length === 0) return refuse("It is like that already.");
  return transaction("setConditions", `When “${document.title}” holds`, operations, { mergeKey: `when ${id}` });
}

export function renameOffer(draft: Draft, id: string, name: string): Outcome {
  const document = entryOf(draft.documents, id);
  const title = name.trim();
  if (document?.kind !== "offer") return refuse(GONE);
  if (title === document.title) return refuse("It is called that already.");
  const problem = nameProblem(draft, title, id);
  if (problem) return refuse(problem);
  return transaction(
    "renameOffer",
    `Offer “${document.title}” renamed to “${title}”`,
    [{ type: "setTitle", document: id, before: document.title, after: title }],
    { mergeKey: `offer ${id} name` },
  );
}

/** A copy under another name, switched off and without the code: two offers can't have the same one. */
export function copyOffer(draft: Draft, id: string, copy: string = newId()): Outcome {
  const document = entryOf(draft.documents, id);
  if (document?.kind !== "offer") return refuse(GONE);
  const { code, ...root } = document.root.props as unknown as OfferRoot;
  const { name } = freeOffer(draft, document.title, root);
  const made = addOffer(draft, name, { ...root, off: true }, document.root.conditions, copy);
  if (!made.ok || code === undefined) return made;
  return { ...made, transaction: { ...made.transaction, label: `${made.transaction.label}, without a code` } };
}

export function removeOffer(draft: Draft, id: string): Outcome {
  const document = entryOf(draft.documents, id);
  if (document?.kind !== "offer") return refuse(GONE);
  return transaction("removeOffer", `Offer “${document.title}” removed`, [{ type: "removeDocument", added: document }]);
}
