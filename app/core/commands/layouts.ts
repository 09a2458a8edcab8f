import {
  copyWithNewIds,
  layoutProps,
  newId,
  sameJson,
  type PageDocument,
  type Draft,
  type Json,
  entryOf,
} from "../document";
import { held, type Operation } from "../operations";
import { refuse, transaction, type Outcome } from "./transaction";

const LONGEST_TITLE = 60;

function titleProblem(draft: Draft, title: string, but?: string): string | undefined {
  if (title === "") return "A layout needs a name.";
  if (title.length > LONGEST_TITLE) return `Keep the name to ${LONGEST_TITLE} characters.`;
  const twin = Object.values(draft.documents).some(
    (d) => d.kind === "layout" && d.id !== but && d.title.toLowerCase() === title.toLowerCase(),
  );
  return twin ? `There is a layout called “${title}” already.` : undefined;
}

/** A layout like `from`, for chosen goods. Gives its id beside the outcome. */
export function addLayout(draft: Draft, from: string, name: string, id: string = newId()): Outcome {
  const document = entryOf(draft.documents, from);
  const props = document && layoutProps(document);
  if (!document || !props) return refuse("The layout that was to be copied is no longer there.");
  const title = name.trim();
  const problem = titleProblem(draft, title);
  if (problem) return refuse(problem);
  const root = copyWithNewIds(document.root);
  const added: PageDocument = {
    ...document,
    id,
    title,
    root: { ...root, props: { of: props.of, products: [], collections: [] } },
  };
  return transaction("addLayout", `Layout “${title}” made`, [{ type: "addDocument", added }]);
}

/** Takes a layout away; its goods go back to the one for all, which itself stays. */
export function removeLayout(draft: Draft, id: string): Outcome {
  const document = entryOf(draft.documents, id);
  const props = document && layoutProps(document);
  if (!document || !props) return refuse("This layout is no longer there.");
  if (id === props.of) return refuse("This is the layout for all; it can’t be taken away.");
  return transaction("removeLayout", `Layout “${document.title}” removed`, [
    { type: "removeDocument", added: document },
  ]);
}

export function renameLayout(draft: Draft, id: string, name: string): Outcome {
  const document = entryOf(draft.documents, id);
  if (!document || document.kind !== "layout") return refuse("This layout is no longer there.");
  const title = name.trim();
  if (title === document.title) return refuse("It is called that already.");
  const problem = titleProblem(draft, title, id);
  if (problem) return refuse(problem);
  return transaction("renameLayout", `Layout renamed to “${title}”`, [
    { type: "setTitle", document: id, before: document.title, after: title },
  ]);
}

/** Says for which goods a layout is. What another layout of the sort had named goes over to this one. */
export function setLayoutFor(
  draft: Draft,
  id: string,
  { products, collections }: { readonly products: readonly string[]; readonly collections: readonly string[] },
): Outcome {
  const document = entryOf(draft.documents, id);
  const own = document && layoutProps(document);
  if (!document || !own) return refuse("This layout is no longer there.");
  if (id === own.of) return refuse("This is the layout for all that have no other.");
  const operations = Object.values(draft.documents).flatMap((other): Operation[] => {
    const props = layoutProps(other);
    if (!props || props.of !== own.of) return [];
    const next =
      other.id === id
        ? { products, collections }
        : {
            products: props.products.filter((p) => !products.includes(p)),
            collections: props.collections.filter((c) => !collections.includes(c)),
          };
    return (["products", "collections"] as const).flatMap((key): Operation[] =>
      sameJson(props[key], next[key])
        ? []
        : [
            {
              type: "setProp",
              document: other.id,
              node: other.root.id,
              path: [key],
              before: held(props[key] as Json),
              after: held(next[key] as Json),
            },
          ],
    );
  });
  if (operations.length === 0) return refuse("It is like that already.");
  return transaction("setLayoutFor", `Layout “${document.title}”: which goods`, operations);
}

/** Says how titles or descriptions of a layout's pages are made for search engines; empty: from name and words. */
export function setPattern(
  draft: Draft,
  id: string,
  which: "titlePattern" | "descriptionPattern",
  pattern: string,
): Outcome {
  const document = entryOf(draft.documents, id);
  if (!document || document.kind !== "layout") return refuse("This layout is no longer there.");
  const before = held(entryOf(document.root.props, which));
  const after = held(pattern === "" ? undefined : pattern);
  if (sameJson(before, after)) return refuse("It is like that already.");
  const path = [which];
  return transaction(
    "setPattern",
    `${document.title}: what search engines are told`,
    [{ type: "setProp", document: id, node: document.root.id, path, before, after }],
    { mergeKey: `pattern:${id}:${which}` },
  );
}
