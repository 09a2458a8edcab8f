import { emptyDocument, entryOf, type Draft, type Json } from "../document";
import { DOCUMENT_VERSION } from "../schema/migrations";
import { SELLING, sellingRoot, type SellingRoot } from "../selling";
import { rootOperations } from "./root";
import { refuse, transaction, type Outcome } from "./transaction";

/** What a change of it is called. */
const SAID: Readonly<Record<keyof SellingRoot, string>> = {
  from: "Country of the shop",
  zones: "Delivery",
  collect: "Collection",
  pieceWeight: "Weight of a piece",
  tax: "Tax",
  takesCards: "Gift cards at the checkout",
  cardYears: "How long gift cards are good",
  accounts: "Accounts of shoppers",
  pays: "Payment",
};

/** Changes how the shop sells; `undefined`: nothing is said of it. Refuses what can't be, so that nothing of it is half stored. */
export function changeSelling(draft: Draft, values: Partial<SellingRoot>): Outcome {
  const stored = entryOf(draft.documents, SELLING);
  const document = stored ?? emptyDocument(DOCUMENT_VERSION, "selling", SELLING, "Delivery, tax and payment");
  const next = Object.fromEntries(
    Object.entries({ ...document.root.props, ...values }).filter(([, value]) => value !== undefined),
  );
  const parsed = sellingRoot.safeParse(next);
  if (!parsed.success) return refuse(parsed.error.issues[0]!.message);
  const keys = Object.keys(values) as (keyof SellingRoot)[];
  const operations = rootOperations(document, values as Readonly<Record<string, Json | undefined>>);
  if (operations.length === 0) return refuse("It is like that already.");
  return transaction(
    "changeSelling",
    `${[...new Set(keys.map((key) => SAID[key]))].join(", ")} changed`,
    stored ? operations : [{ type: "addDocument", added: document }, ...operations],
    { mergeKey: `selling ${keys.join(" ")}` },
  );
}
