import type { ReactNode } from "react";
import {
  compareAtOf,
  firstVariant,
  isInCollection,
  priceOf,
  priceSpan,
  type Collection,
  type Product,
  type Variant,
} from "~/core/goods";
import { collectionAddress, useEnv } from "./env";

/**
 * The product that the page shows, and the variant of it that is chosen. Miniatures of Add stand on no page: they show the
 * first product that has most to show.
 */
export function useProduct(): { readonly product: Product; readonly variant: Variant | undefined } | undefined {
  const { shown, goods } = useEnv();
  if (shown?.page === "product")
    return { product: shown.product, variant: shown.variant ?? firstVariant(shown.product) };
  const product = goods.products.find((p) => p.variants.length > 1) ?? goods.products[0];
  return product && { product, variant: firstVariant(product) };
}

/** The collection in whose trail a product stands: the first it is in. */
export function useHomeOf(product: Product): Collection | undefined {
  const { goods } = useEnv();
  return (
    goods.collections.find((c) => c.id === product.collections[0]) ??
    goods.collections.find((c) => isInCollection(goods, product, c))
  );
}

export type Crumb = { readonly name: string; readonly address?: string };

/** A collection and those around it, outermost first. */
export function pathOf(collections: readonly Collection[], collection: Collection | undefined): readonly Collection[] {
  const path: Collection[] = [];
  for (let at = collection; at && !path.includes(at); at = collections.find((c) => c.id === at!.parent))
    path.unshift(at);
  return path;
}

/** The way to the page that is shown, from the start. */
export function useTrail(): readonly Crumb[] {
  const { shown, goods } = useEnv();
  const found = useProduct();
  const home: Crumb = { name: "Home", address: "/" };
  const fallback = { collections: [], id: "", title: "" } as unknown as Product;
  const homeOf = useHomeOf(shown?.page === "product" ? shown.product : (found?.product ?? fallback));
  const step = (c: Collection): Crumb => ({ name: c.title, address: collectionAddress(c) });
  if (shown?.page === "collection") {
    const path = pathOf(goods.collections, shown.collection);
    if (path.length === 0) return [home, { name: "Everything" }];
    return [home, ...path.slice(0, -1).map(step), { name: path.at(-1)!.title }];
  }
  if (shown?.page === "search") return [home, { name: "Search" }];
  if (!found) return [home];
  return [home, ...pathOf(goods.collections, homeOf).map(step), { name: found.product.title }];
}

export function Crumbs({ crumbs }: { crumbs: readonly Crumb[] }): ReactNode {
  return (
    <nav className="crumbs" aria-label="Where you are">
      <ol>
        {crumbs.map(({ name, address }, i) => (
          <li key={i}>{address ? <a href={address}>{name}</a> : <span aria-current="page">{name}</span>}</li>
        ))}
      </ol>
    </nav>
  );
}

/** A product's price, or that of one variant; with what it was before where it is reduced, and "from" where prices differ. */
export function Price({ product, variant }: { product: Product; variant?: Variant | undefined }): ReactNode {
  const { money } = useEnv();
  const span = priceSpan(product);
  if (!variant && span.most > span.least)
    return (
      <span className="price">
        <span className="price-from">from</span> {money(span.least)}
      </span>
    );
  const only = variant ?? (product.variants.length ? product.variants[0] : undefined);
  const price = priceOf(product, only);
  const before = compareAtOf(product, only);
  if (before === null || before <= price) return <span className="price">{money(price)}</span>;
  return (
    <span className="price">
      <span className="unseen">Now </span>
      <ins>{money(price)}</ins> <span className="unseen">was </span>
      <del>{money(before)}</del>
    </span>
  );
}
