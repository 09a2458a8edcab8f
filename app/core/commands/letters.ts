import { emptyDocument, entryOf, type Draft, type Json } from "../document";
import { DOCUMENT_VERSION } from "../schema/migrations";
import { KNOWN_LETTERS, LETTERS, lettersRoot, type LettersRoot, type ShopLetter } from "../shop-letters";
import { rootOperations } from "./root";
import { refuse, transaction, type Outcome } from "./transaction";

/** Changes what letters say that the shop writes by itself; `undefined`: as it was before anybody changed it. */
export function changeLetters(draft: Draft, values: Partial<LettersRoot>): Outcome {
  const stored = entryOf(draft.documents, LETTERS);
  const document = stored ?? emptyDocument(DOCUMENT_VERSION, "letters", LETTERS, "Letters of the shop");
  const next = Object.fromEntries(
    Object.entries({ ...document.root.props, ...values }).filter(([, value]) => value !== undefined),
  );
  const parsed = lettersRoot.safeParse(next);
  if (!parsed.success) return refuse(parsed.error.issues[0]!.message);
  const operations = rootOperations(document, values as Readonly<Record<string, Json | undefined>>);
  if (operations.length === 0) return refuse("It is like that already.");
  const keys = Object.keys(values);
  const names = keys.map((key) =>
    key === "look" ? "Look of letters" : `Letter “${KNOWN_LETTERS[key as ShopLetter].name}”`,
  );
  return transaction(
    "changeLetters",
    `${names.join(", ")} changed`,
    stored ? operations : [{ type: "addDocument", added: document }, ...operations],
    { mergeKey: `letters ${keys.join(" ")}` },
  );
}
