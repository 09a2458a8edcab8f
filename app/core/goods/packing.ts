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

/** What `packGoods` wrote: all of it, and the goods as shoppers are shown them. */
export function unpackGoods(text: string): { readonly stored: SellersGoods; readonly goods: Goods } {
  const read = JSON.parse(text) as SellersGoods;
  const stored = { ...read, products: read.products.map((p) => makeProduct(p) as StoredProduct) };
  return { stored, goods: { ...stored, products: stored.products.filter((p) => !p.archived) } };
}
