import type { z } from "zod";
import { newId } from "~/core/document";
import {
  collectionInput,
  goodsSettings,
  type Bulk,
  makeCollection,
  makeProduct,
  productInput,
  replaceInGoods,
  slugOf,
  type Collection,
  type CollectionInput,
  type GoodsSettings,
  type GoodsSharing,
  type Product,
  type ProductInput,
  type StoredProduct,
} from "~/core/goods";
import type { Sought } from "~/core/rich";
import { mapOwnOfProduct, referencesOfProduct } from "~/kinds/references";
import { atomically, lockState } from "../database/index.server";
import type { Shop } from "../shops/index.server";
import type { All } from "./rows";
import { changeGoods } from "./change";
import { goodsMoved } from "./known";
import type { GoodsChange } from "./write";

/** What was not kept, and why, by where it was given. */
export type Refused = {
  readonly ok: false;
  readonly problems: readonly { readonly path: string; readonly why: string }[];
};
export type Kept<T> = ({ readonly ok: true } & T) | Refused;

const refused = (path: string, why: string): Refused => ({ ok: false, problems: [{ path, why }] });
const fromZod = (error: z.ZodError): Refused => ({
  ok: false,
  problems: error.issues.map((i) => ({ path: i.path.join("."), why: i.message })),
});

/** SKUs in use, the variants' own among them, but for those of one product. */
const skusIn = (all: All, but: string): ReadonlyMap<string, string> =>
  new Map(
    all.products
      .filter((p) => p.id !== but)
      .flatMap((p) => [p.sku, ...p.variants.map((v) => v.sku)].filter(Boolean).map((sku) => [sku, p.title] as const)),
  );

function problemsWith(all: All, id: string, input: ProductInput): Refused["problems"] {
  const problems: { path: string; why: string }[] = [];
  const skus = skusIn(all, id);
  const twin = (path: string, sku: string) => {
    const title = sku ? skus.get(sku) : undefined;
    if (title !== undefined) problems.push({ path, why: `“${title}” has the SKU “${sku}” already.` });
  };
  twin("sku", input.sku);
  input.variants.forEach((v, i) => twin(`variants.${i}.sku`, v.sku));
  const other = all.products.find((p) => p.id !== id && p.slug === input.slug);
  if (other) problems.push({ path: "slug", why: `“${other.title}” has this address already.` });
  return problems;
}

export type ProductKept = Kept<{ readonly product: StoredProduct }>;

/**
 * Keeps a product as the seller wrote it. `version`: the one that was edited; when somebody else changed it since, nothing
 * is stored and the newer one is said to be there. Without an id it is a new product.
 */
export async function keepProduct(
  shop: Shop,
  id: string | null,
  version: number | null,
  raw: unknown,
): Promise<ProductKept | { readonly ok: false; readonly code: "moved-on" | "gone"; readonly problems: readonly [] }> {
  const parsed = productInput.safeParse(raw);
  if (!parsed.success) return fromZod(parsed.error);
  const input = parsed.data;
  type Result = Awaited<ReturnType<typeof keepProduct>> & { change?: { products: Map<string, Product> } };
  const fresh = id ?? newId();
  const { change, ...result } = await changeGoods(
    shop,
    id === null ? `“${input.title}” added` : `“${input.title}” changed`,
    (all): Result => {
      const known = all.products.find((p) => p.id === id);
      if (id !== null && !known) return { ok: false, code: "gone", problems: [] };
      if (known && version !== null && known.version > version) return { ok: false, code: "moved-on", problems: [] };
      const problems = problemsWith(all, fresh, input);
      if (problems.length) return { ok: false, problems };
      const next = {
        ...(known ?? makeProduct({ id: fresh, title: input.title, createdAt: new Date().toISOString() })),
        ...input,
        id: fresh,
      } as unknown as StoredProduct;
      return { ok: true, product: next, change: { products: new Map([[fresh, next]]) } };
    },
  );
  return result;
}

const changed = (product: Product, set: Bulk["set"]): Product => {
  const { addTags = [], removeTags = [], addTo = [], takeFrom = [], attribute, priceTimes, ...plain } = set;
  const attributes = !attribute
    ? product.attributes
    : attribute.value
      ? { ...product.attributes, [attribute.name]: attribute.value }
      : Object.fromEntries(Object.entries(product.attributes).filter(([name]) => name !== attribute.name));
  const times = (amount: number) => (priceTimes === undefined ? amount : Math.round(amount * priceTimes));
  const next = { ...product, ...plain } as Product;
  return {
    ...next,
    attributes,
    price: times(next.price),
    // What is sold in variants is counted by variant.
    variants: next.variants.map((v) => ({
      ...v,
      price: v.price === null ? null : times(v.price),
      stock: set.stock === undefined ? v.stock : set.stock,
    })),
    tags: [...new Set([...next.tags.filter((t) => !removeTags.includes(t)), ...addTags])],
    collections: [...new Set([...next.collections.filter((c) => !takeFrom.includes(c)), ...addTo])],
  };
};

/** Changes one thing of many products, as one step. */
export async function changeProducts(shop: Shop, { ids, set }: Bulk): Promise<Kept<{ readonly count: number }>> {
  const many = ids.length === 1 ? "1 product changed" : `${ids.length} products changed`;
  const label =
    set.archived === true
      ? ids.length === 1
        ? "1 product archived"
        : `${ids.length} products archived`
      : set.archived === false
        ? ids.length === 1
          ? "1 product back in the shop"
          : `${ids.length} products back in the shop`
        : many;
  const { result } = await changeGoods(
    shop,
    label,
    (all): { result: Kept<{ count: number }>; change?: { products: Map<string, Product> } } => {
      const wanted = new Set(ids);
      const products = new Map(
        all.products.filter((p) => wanted.has(p.id)).map((p) => [p.id, changed(p, set)] as const),
      );
      if (set.sku) {
        if (products.size > 1) return { result: refused("sku", "A SKU is of one product only. Give each its own.") };
        const title = skusIn(all, ids[0]!).get(set.sku);
        if (title !== undefined) return { result: refused("sku", `“${title}” has the SKU “${set.sku}” already.`) };
      }
      const lacking = [...products.values()].find((p) => p.availability === "coming-soon" && !p.availableFrom);
      if (lacking && set.availability === "coming-soon")
        return {
          result: refused(
            "availability",
            `Say first on which day “${lacking.title}” comes: open it, and choose the day.`,
          ),
        };
      return { result: { ok: true, count: products.size }, change: { products } };
    },
  );
  return result;
}

const free = (wish: string, taken: ReadonlySet<string>): string => {
  let name = wish;
  for (let n = 2; taken.has(name); n++) name = `${wish}-${n}`;
  return name;
};

/** A copy of a product that is archived until the seller is done with it. Undefined where there is no such product. */
export async function duplicateProduct(shop: Shop, id: string): Promise<string | undefined> {
  const copy = newId();
  const { done } = await changeGoods(shop, "Product duplicated", (all) => {
    const product = all.products.find((p) => p.id === id);
    if (!product) return { done: false };
    const skus = new Set(skusIn(all, "").keys());
    const { position: _place, ...rest } = product;
    const title = `${product.title} (copy)`.slice(0, 160);
    const made = {
      ...rest,
      id: copy,
      title,
      slug: free(slugOf(title), new Set(all.products.map((p) => p.slug))),
      sku: free(product.sku, skus),
      // A barcode is of one thing only.
      barcode: "",
      variants: product.variants.map((v) => ({ ...v, id: newId(), sku: "", barcode: "" })),
      archived: true,
      rating: null,
      sold: 0,
      createdAt: new Date().toISOString(),
    } as unknown as Product;
    return { done: true, change: { products: new Map([[copy, made]]) } };
  });
  return done ? copy : undefined;
}

/** Takes products away for good; it can be taken back like any other step. */
export async function removeProducts(shop: Shop, ids: readonly string[]): Promise<void> {
  await changeGoods(shop, ids.length === 1 ? "1 product removed" : `${ids.length} products removed`, (all) => {
    const wanted = new Set(ids);
    return {
      change: { products: new Map(all.products.filter((p) => wanted.has(p.id)).map((p) => [p.id, null] as const)) },
    };
  });
}

export async function keepCollection(
  shop: Shop,
  id: string | null,
  raw: unknown,
  /** For a collection by hand: what is in it. */
  members: readonly string[] | null,
): Promise<Kept<{ readonly id: string }>> {
  const parsed = collectionInput.safeParse(raw);
  if (!parsed.success) return fromZod(parsed.error);
  const input: CollectionInput = parsed.data;
  const fresh = id ?? newId();
  const { result } = await changeGoods(
    shop,
    id === null ? `Collection “${input.title}” added` : `Collection “${input.title}” changed`,
    (
      all,
    ): {
      result: Kept<{ id: string }>;
      change?: { collections: Map<string, Collection>; products: Map<string, Product> };
    } => {
      const known = all.collections.find((c) => c.id === id);
      if (id !== null && !known) return { result: refused("title", "This collection is no longer there.") };
      const other = all.collections.find((c) => c.id !== fresh && c.slug === input.slug);
      if (other) return { result: refused("slug", `“${other.title}” has this address already.`) };
      if (input.parent !== null) {
        const above = (from: string | null, seen: readonly string[] = []): boolean =>
          from !== null &&
          (from === fresh ||
            seen.includes(from) ||
            above(all.collections.find((c) => c.id === from)?.parent ?? null, [...seen, from]));
        if (!all.collections.some((c) => c.id === input.parent))
          return { result: refused("parent", "The collection around it is no longer there.") };
        if (above(input.parent)) return { result: refused("parent", "A collection can’t stand inside of itself.") };
      }
      const next: Collection = { ...(known ?? makeCollection({ id: fresh, title: input.title })), ...input, id: fresh };
      const products = new Map<string, Product>();
      if (members !== null && input.rules === null) {
        const wanted = new Set(members);
        for (const p of all.products) {
          const isIn = p.collections.includes(fresh);
          if (isIn && !wanted.has(p.id))
            products.set(p.id, { ...p, collections: p.collections.filter((c) => c !== fresh) });
          if (!isIn && wanted.has(p.id)) products.set(p.id, { ...p, collections: [...p.collections, fresh] });
        }
      }
      return { result: { ok: true, id: fresh }, change: { collections: new Map([[fresh, next]]), products } };
    },
  );
  return result;
}

/** Changes what search engines and shared links are told of a product or a collection. False where it is gone. */
export const shareGoods = async (
  shop: Shop,
  of: "product" | "collection",
  id: string,
  search: GoodsSharing,
): Promise<boolean> => {
  const { isThere } = await changeGoods(shop, "Search and sharing changed", (all) => {
    const [products, collections] = [new Map<string, Product>(), new Map<string, Collection>()];
    const product = of === "product" ? all.products.find((p) => p.id === id) : undefined;
    const collection = of === "collection" ? all.collections.find((c) => c.id === id) : undefined;
    if (product) products.set(id, { ...product, search });
    if (collection) collections.set(id, { ...collection, search });
    return { isThere: Boolean(product ?? collection), change: { products, collections } };
  });
  return isThere;
};

/** Puts other words in the place of those that are found in what goods say, as one step; how many texts that changed. */
export async function replaceGoodsWords(
  shop: Shop,
  sought: Sought,
  by: string,
  only: ReadonlySet<string>,
): Promise<Kept<{ readonly count: number }>> {
  const label = `“${sought.words.trim()}” replaced by “${by.trim()}”`;
  const { result } = await changeGoods(
    shop,
    label,
    (all): { result: Kept<{ count: number }>; change?: GoodsChange } => {
      const replaced = replaceInGoods(all, sought, by, only);
      if (!replaced.ok) return { result: refused("by", replaced.why) };
      const { products, collections, count } = replaced;
      return {
        result: { ok: true, count },
        change: { products: new Map(products), collections: new Map(collections) },
      };
    },
  );
  return result;
}

/** Wherever goods and collections show a picture of `by`, they show what it leads to from now on. Gives in how many. */
export async function replacePictures(shop: Shop, by: ReadonlyMap<string, string>): Promise<number> {
  const one = <T extends string | null>(id: T): T => (id === null ? id : ((by.get(id) as T | undefined) ?? id));
  const label = by.size === 1 ? "Picture replaced" : `${by.size} pictures replaced`;
  const { count } = await changeGoods(shop, label, (all) => {
    const products = new Map<string, Product>();
    for (const product of all.products) {
      const { pictures, variants, search, own } = product;
      const inOwn = referencesOfProduct({ own, video: null }).flatMap(({ to, id }) => (to === "picture" ? [id] : []));
      const shown = [...pictures, ...variants.map((v) => v.picture), search.picture, ...inOwn];
      if (!shown.some((id) => id && by.has(id))) continue;
      products.set(product.id, {
        ...product,
        pictures: [...new Set(pictures.map(one))],
        variants: variants.map((v) => ({ ...v, picture: one(v.picture) })),
        search: { ...search, picture: one(search.picture ?? null) },
        own: mapOwnOfProduct(own, ({ to, id }) => (to === "picture" ? one(id) : id)),
      });
    }
    const collections = new Map<string, Collection>();
    for (const collection of all.collections) {
      const { picture, search } = collection;
      if (![picture, search.picture].some((id) => id && by.has(id))) continue;
      collections.set(collection.id, {
        ...collection,
        picture: one(picture),
        search: { ...search, picture: one(search.picture ?? null) },
      });
    }
    return { count: products.size + collections.size, change: { products, collections } };
  });
  return count;
}

/** Takes a collection away; what stood inside of it comes out, and its goods stay. */
export async function removeCollection(shop: Shop, id: string): Promise<void> {
  await changeGoods(shop, "Collection removed", (all) => {
    const gone = all.collections.find((c) => c.id === id);
    if (!gone) return {};
    const collections = new Map<string, Collection | null>([[id, null]]);
    for (const c of all.collections) if (c.parent === id) collections.set(c.id, { ...c, parent: gone.parent });
    return { change: { collections } };
  });
}

/** Puts collections into the order in which their ids are given. */
export async function orderCollections(shop: Shop, ids: readonly string[]): Promise<void> {
  await changeGoods(shop, "Collections put into another order", (all) => {
    const place = new Map(ids.map((id, i) => [id, i]));
    return {
      change: {
        collections: new Map(
          all.collections
            .filter((c) => place.has(c.id) && place.get(c.id) !== c.position)
            .map((c) => [c.id, { ...c, position: place.get(c.id)! } as Collection] as const),
        ),
      },
    };
  });
}

/** Changes what a shop says of all its goods, after whoever is at it now. */
const changeSettings = (shopId: string, change: (settings: GoodsSettings) => GoodsSettings): Promise<GoodsSettings> => {
  return atomically(async (transaction) => {
    const state = await lockState(shopId, "settings", transaction);
    const settings = goodsSettings.parse(change(goodsSettings.parse(JSON.parse(state.body ?? "{}"))));
    await state.update({ body: JSON.stringify(settings) }, { transaction });
    return settings;
  });
};

/** Columns whose meaning is remembered, at most. */
const MOST_COLUMNS = 200;

/** Remembers what columns of goods files were said to mean, for the next file. */
export async function rememberColumns(shopId: string, add: Readonly<Record<string, string>>): Promise<void> {
  if (Object.keys(add).length === 0) return;
  await changeSettings(shopId, (settings) => ({
    ...settings,
    columns: Object.fromEntries(Object.entries({ ...settings.columns, ...add }).slice(-MOST_COLUMNS)),
  }));
}

/** Keeps what a shop says of all its goods; a part that is not given stays. */
export async function keepGoodsSettings(shop: Shop, raw: unknown): Promise<Kept<{ readonly settings: GoodsSettings }>> {
  const parsed = goodsSettings.partial().safeParse(raw);
  if (!parsed.success) return fromZod(parsed.error);
  // Defaults fill in what was not given; only what was given is changed.
  const given = Object.fromEntries(Object.entries(parsed.data).filter(([name]) => name in (raw as object)));
  const settings = await changeSettings(shop.id, (had) => ({ ...had, ...given }));
  await goodsMoved(shop.id);
  return { ok: true, settings };
}
