import { ALL_GOODS } from "~/core/addresses";
import type { ReactNode } from "react";
import { canBuy, type Product } from "~/core/goods";
import { useEnv } from "./env";
import { ProductCard } from "./product-card";

/** What sells best and can be bought comes first. */
const bestFirst = (products: readonly Product[]) =>
  products.toSorted((a, b) => Number(canBuy(b)) - Number(canBuy(a)) || b.sold - a.sold);

/** Where a shopper can go on from a page that has nothing to show: collections, and what others buy. */
export function WaysOn(): ReactNode {
  const { goods } = useEnv();
  const loved = bestFirst(goods.products).slice(0, 4);
  if (loved.length === 0) return null;
  return (
    <div className="ways-on">
      <div className="chips" role="group" aria-label="Collections">
        {goods.collections.slice(0, 8).map((c) => (
          <a key={c.id} className="chip" href={`/collections/${c.slug}`}>
            {c.title}
          </a>
        ))}
        <a className="chip" href={ALL_GOODS}>
          Everything
        </a>
      </div>
      {/* Nobody is said to like what nobody has bought yet. */}
      <h2 className="head">{loved.some((p) => p.sold > 0) ? "What others like" : "From the shop"}</h2>
      <ul className="grid">
        {loved.map((product) => (
          <li key={product.id}>
            <ProductCard product={product} sizes="(min-width:1024px) 25vw, 50vw" />
          </li>
        ))}
      </ul>
    </div>
  );
}
