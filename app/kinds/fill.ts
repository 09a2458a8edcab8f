import type { Json, Node } from "~/core/document";
import type { Goods } from "~/core/goods";
import type { Picture } from "~/core/pictures";
import { KINDS, makeSection } from ".";

/** A picture of the library that suits a wide place: the widest-shaped one, of several the oldest. */
const widest = (pictures: readonly Picture[]): Picture | undefined =>
  pictures
    .filter((p) => !p.vector && p.width >= 800)
    .reverse()
    .sort((a, b) => b.width / b.height - a.width / a.height)[0];

/**
 * A new section that shows the shop's own goods and pictures wherever its kind has a place for them, so that it looks
 * like something from the first moment.
 */
export function fillSection(kind: string, goods: Goods, pictures: readonly Picture[], arrangement?: string): Node {
  const definition = KINDS.get(kind)?.definition;
  const props: Record<string, Json> = {};
  for (const field of definition?.fields ?? []) {
    if (field.type === "picture") props[field.key] = widest(pictures)?.id ?? null;
    if (field.type === "collection") props[field.key] = goods.collections[0]?.id ?? null;
    if (field.type === "link" && goods.collections[0])
      props[field.key] = { to: "collection", id: goods.collections[0].id };
    if (field.type === "list" && field.fields.some((f) => f.type === "collection")) {
      props[field.key] = goods.collections.slice(0, 6).map((c) => ({ ...field.fresh, collection: c.id }));
    }
  }
  if (arrangement !== undefined) props.arrangement = arrangement;
  return makeSection(kind, props);
}
