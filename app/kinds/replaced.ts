import { pageProps, sameJson, walk, type Draft, type Json, type Logo } from "~/core/document";
import { transaction, refuse, type Outcome, type Transaction } from "~/core/commands";
import { held, invertAll, type Operation } from "~/core/operations";
import { restated } from "./leading";
import { ownRestated, type Reference } from "./references";

const logoWith = (logo: Logo, from: string, to: string): Logo =>
  logo.form === "picture"
    ? {
        ...logo,
        picture: logo.picture === from ? to : logo.picture,
        ...(logo.onDark === from ? { onDark: to } : {}),
      }
    : logo;

/** Everything that has to change in a draft for another picture to stand wherever one stands now. */
function operationsFor({ documents, look: { identity } }: Draft, from: string, to: string): readonly Operation[] {
  const operations: Operation[] = [];
  for (const document of Object.values(documents)) {
    const { id, kind, root } = document;
    if (kind === "page" && pageProps(document).picture === from)
      operations.push({
        type: "setProp",
        document: id,
        node: root.id,
        path: ["picture"],
        before: held(from),
        after: held(to),
      });
    operations.push(...ownRestated(document, (r) => (r.to === "picture" && r.id === from ? to : r.id)));
    for (const part of walk(root)) {
      if (part === root) continue;
      operations.push(...restated(id, part, (r) => (r.to === "picture" && r.id === from ? to : r.id)));
    }
  }
  const logo = logoWith(identity.logo, from, to);
  const plain = (value: Logo) => JSON.parse(JSON.stringify(value)) as Json;
  if (!sameJson(plain(logo), plain(identity.logo)))
    operations.push({
      type: "setLook",
      path: ["identity", "logo"],
      before: held(plain(identity.logo)),
      after: held(plain(logo)),
    });
  if (identity.icon === from)
    operations.push({ type: "setLook", path: ["identity", "icon"], before: held(from), after: held(to) });
  return operations;
}

/** No page shows or leads to a film or a document any more, in one step. */
export function withoutFile(draft: Draft, file: string, name: string): Outcome {
  const isIt = (r: Reference) => (r.to === "film" || r.to === "document") && r.id === file;
  const without = (r: Reference) => (isIt(r) ? null : r.id);
  const operations = Object.values(draft.documents).flatMap((document) => [
    ...ownRestated(document, without),
    ...[...walk(document.root)].flatMap((part) => (part === document.root ? [] : restated(document.id, part, without))),
  ]);
  if (operations.length === 0) return refuse("It stands nowhere on your pages.");
  return transaction("withoutFile", `“${name}” taken away everywhere`, operations);
}

/** It stands again where `withoutFile` took it away. */
export const withFileAgain = (taken: Transaction, name: string): Outcome =>
  transaction("withFileAgain", `“${name}” put back`, invertAll(taken.operations));

/** Wherever pages, layouts, header, footer and logo show one picture, they show another from now on, in one step. */
export function replacePicture(draft: Draft, from: string, to: string, name: string): Outcome {
  const operations = operationsFor(draft, from, to);
  if (operations.length === 0) return refuse("It stands nowhere on your pages.");
  return transaction("replacePicture", `“${name}” replaced everywhere`, operations);
}
