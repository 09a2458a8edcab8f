import { makeProduct, type Goods, type Product, type StoredCollection, type StoredProduct } from "./types";

/** Goods as their seller sees them: what was archived among them, each with what it takes to change it. */
export type SellersGoods = Omit<Goods, "products" | "collections"> & {
  readonly products: readonly StoredProduct[];
  readonly collections: readonly StoredCollection[];
};

const USUAL = Object.entries(makeProduct({ id: "", title: "" })) as readonly [keyof Product, unknown][];
const isUsual = (value: unknown, usual: unknown): boolean =>
  value === usual ||
  (typeof value === "object" &&
    value !== null &&
    typeof usual === "object" &&
    JSON.stringify(value) === JSON.stringify(usual));

/**
 * Goods as one text to be sent. What a product leaves as it is with most (no film, no specification, …) is not written, so that
 * thousands of them stay small; and one text is read many times faster than a graph of a hundred thousand objects.
 */
export const packGoods = (goods: SellersGoods): string =>
  JSON.stringify({
    ...goods,
    products: goods.products.map((p) => {
      const said: Partial<Record<keyof StoredProduct, unknown>> = {
        id: p.id,
        title: p.title,
        slug: p.slug,
        sku: p.sku,
        version: p.version,
        position: p.position,
      };
      for (const [key, usual] of USUAL) if (!(key in said) && !isUsual(p[key], usual)) said[key] = p[key];
      return said;
    }),
  });

/** What has changed of goods since a version: the goods with only those products that are new or other, and what is gone. */
export type GoodsUpdate = {
  /** All of them: what is known so far counts for nothing. */
  readonly isWhole: boolean;
  /** As `packGoods` writes it. */
  readonly text: string;
  /** Ids of products. */
  readonly gone: readonly string[];
};

/** Brings goods up to date. Products that did not change stay the very objects that they were. */
export function updateGoods(
  stored: SellersGoods,
  { isWhole, text, gone }: GoodsUpdate,
): { readonly stored: SellersGoods; readonly goods: Goods } {
  const update = unpackGoods(text);
  if (isWhole) return update;
  const fresh = new Map(update.stored.products.map((p) => [p.id, p]));
  const lost = new Set(gone);
  const kept = stored.products.filter((p) => !lost.has(p.id)).map((p) => fresh.get(p.id) ?? p);
  const had = new Set(kept.map((p) => p.id));
  const products = [...kept, ...update.stored.products.filter((p) => !had.has(p.id))].sort(
    (a, b) => a.position - b.position || (a.id < b.id ? -1 : 1),
  );
  return asShown({ ...update.stored, products });
}

const asShown = (stored: SellersGoods): { readonly stored: SellersGoods; readonly goods: Goods } => ({
  stored,
  goods: { ...stored, products: stored.products.filter((p) => !p.archived) },
});

/** What `packGoods` wrote: all of it, and the goods as shoppers are shown them. */
export function unpackGoods(text: string): { readonly stored: SellersGoods; readonly goods: Goods } {
  const read = JSON.parse(text) as SellersGoods;
  return asShown({ ...read, products: read.products.map((p) => makeProduct(p) as StoredProduct) });
}
