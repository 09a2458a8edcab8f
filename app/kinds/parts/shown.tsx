import type { ReactNode } from "react";
import { firstVariant, hasPrice, homeOf, pathOf, type Collection, type Product, type Variant } from "~/core/goods";
import { collectionAddress } from "~/core/addresses";
import { useEnv } from "./env";

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

export type Crumb = { readonly name: string; readonly address?: string };

/** The way to the page that is shown, from the start. */
export function useTrail(): readonly Crumb[] {
  const { shown, goods } = useEnv();
  const found = useProduct();
  const start: Crumb = { name: "Home", address: "/" };
  const steps = (collection: Collection | undefined): readonly Crumb[] =>
    pathOf(goods.collections, collection).map((c) => ({ name: c.title, address: collectionAddress(c) }));
  if (shown?.page === "search") return [start, { name: "Search" }];
  if (shown?.page === "collection") {
    const path = steps(shown.collection);
    return [start, ...path.slice(0, -1), { name: path.at(-1)?.name ?? "Everything" }];
  }
  return found ? [start, ...steps(homeOf(goods, found.product)), { name: found.product.title }] : [start];
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
export function Price({
  product,
  variant,
  before: says = true,
}: {
  product: Product;
  variant?: Variant | undefined;
  /** Whether it says what it was before. */
  before?: boolean;
}): ReactNode {
  const { money, costs } = useEnv();
  if (!hasPrice(product, variant)) return null;
  const span = costs.span(product);
  if (!variant && span.most > span.least)
    return (
      <span className="price">
        <span className="price-from">from</span> {money(span.least)}
      </span>
    );
  const only = variant ?? (product.variants.length ? product.variants[0] : undefined);
  const { now, before } = costs.of(product, only);
  return <Amount now={now} before={says ? before : null} />;
}

/** What something costs, and what it did before where that was more. Minor units. */
export function Amount({ now, before }: { now: number; before: number | null }): ReactNode {
  const { money } = useEnv();
  if (before === null || before <= now) return <span className="price">{money(now)}</span>;
  return (
    <span className="price">
      <span className="unseen">Now </span>
      <ins>{money(now)}</ins> <span className="unseen">was </span>
      <del>{money(before)}</del>
    </span>
  );
}
