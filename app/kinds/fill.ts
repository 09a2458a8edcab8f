import { COLUMNS_SLOT, makeColumn } from "~/core/commands";
import type { Json, Part, StyleSheet } from "~/core/document";
import type { Goods } from "~/core/goods";
import type { Picture } from "~/core/pictures";
import { KINDS, kindVersion, makeNode, type Field } from ".";

/** Pictures of the library that suit a wide place: the widest-shaped ones first, of like ones the oldest. */
const widestFirst = (pictures: readonly Picture[]): readonly Picture[] =>
  pictures
    // A drawing, or what is far wider than high, is a logo sooner than a scene.
    .filter((p) => !p.vector && p.width >= 800 && p.width <= p.height * 3)
    .reverse()
    .sort((a, b) => b.width / b.height - a.width / a.height);

const widest = (pictures: readonly Picture[]): Picture | undefined => widestFirst(pictures)[0];

/**
 * A new part that shows the shop's own goods and pictures wherever its kind has a place for them, so that it looks
 * like something from the first moment.
 */
export function fillNode(kind: string, goods: Goods, pictures: readonly Picture[], arrangement?: string): Part {
  const definition = KINDS.get(kind)?.definition;
  const [collection] = goods.collections;
  // What points at a product begins with that product's own picture, so that it points at the right thing.
  const points = definition?.fields.some((f) => f.type === "list" && f.begins?.with === "product");
  const shown = points && goods.products.find((p) => pictures.some(({ id }) => id === p.pictures[0]));
  const filled = (field: Field): Json | undefined => {
    if (field.bare) return undefined;
    if (field.type === "picture" && shown) return shown.pictures[0]!;
    if (field.type === "picture") return widest(pictures)?.id ?? null;
    if (field.type === "product")
      return (goods.products.find((p) => p.pictures.length) ?? goods.products[0])?.id ?? null;
    if (field.type === "collection") return collection?.id ?? null;
    if (field.type === "link" && collection) return { to: "collection", id: collection.id };
    if (field.type === "list" && field.fields.some((f) => f.type === "collection"))
      return goods.collections.slice(0, 6).map((c) => ({ ...field.fresh, collection: c.id }));
    if (field.type === "list" && field.begins) {
      const { with: what, most } = field.begins;
      if (what === "product") return shown ? [{ ...field.fresh, product: shown.id }] : [];
      // Ways on show the names and pictures of the collections that they lead to.
      if (what === "collections" && goods.collections.length > 1)
        return goods.collections.slice(0, most).map((c) => ({ ...field.fresh, link: { to: "collection", id: c.id } }));
      return widestFirst(pictures)
        .slice(0, most)
        .map((p) => ({ ...field.fresh, picture: p.id }));
    }
    return undefined;
  };
  const props = (definition?.fields ?? []).flatMap((field) => {
    const value = filled(field);
    return value === undefined ? [] : [[field.key, value] as const];
  });
  return makeNode(kind, { ...Object.fromEntries(props), ...(arrangement === undefined ? {} : { arrangement }) });
}

/** A section that holds one widget in its one column. */
export function sectionAround(widget: Part, style: StyleSheet = {}): Part {
  const wraps = [...KINDS.values()].find((k) => k.definition.traits?.includes("wraps"));
  if (!wraps) throw new Error("no kind of section holds any widget");
  return makeNode(wraps.definition.kind, {}, { style, slots: { [COLUMNS_SLOT]: [makeColumn([widget])] } });
}

/** A part with what its kind says wherever it says nothing itself, and so all the way down. */
const completed = (node: Part): Part => ({
  ...node,
  ...kindVersion(node.kind),
  props: { ...(KINDS.get(node.kind)?.definition.defaults as Record<string, Json> | undefined), ...node.props },
  slots: Object.fromEntries(Object.entries(node.slots).map(([slot, children]) => [slot, children.map(completed)])),
});

/** A new section of a kind that can hold anything, begun as one of its starting points. */
export function fillStart(kind: string, start: string, goods: Goods, pictures: readonly Picture[]): Part {
  const found = KINDS.get(kind)?.definition.starts?.find((s) => s.id === start);
  if (!found) throw new Error(`no start "${start}" of "${kind}"`);
  const [collection] = goods.collections;
  const built = found.build({
    picture: widest(pictures)?.id ?? null,
    pictures: widestFirst(pictures).map((p) => p.id),
    product: (goods.products.find((p) => p.pictures.length) ?? goods.products[0])?.id ?? null,
    link: collection ? { to: "collection", id: collection.id } : { to: "nowhere" },
  });
  return completed(makeNode(kind, {}, built));
}
