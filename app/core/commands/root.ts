import { entryOf, sameJson, type Json, type PageDocument, type Part } from "../document";
import { held, type Operation } from "../operations";

/** Changes what the root of a document says. */
export function rootOperations(
  document: PageDocument,
  values: Readonly<Record<string, Json | undefined>>,
): Operation[] {
  return Object.entries(values).flatMap(([key, value]): Operation[] => {
    const before = held(entryOf(document.root.props, key));
    const after = held(value);
    return sameJson(before, after)
      ? []
      : [{ type: "setProp", document: document.id, node: document.root.id, path: [key], before, after }];
  });
}

/** Changes when a part shows, or a root holds; nothing where it is like that already. */
export const conditionsOperations = (
  document: string,
  { id: node, conditions: before }: Part,
  after: Part["conditions"],
): readonly Operation[] => (sameJson(before, after) ? [] : [{ type: "setConditions", document, node, before, after }]);
