import { chosenProducts, productWith } from "~/core/goods";
import { listedCosts } from "~/core/offers";
import type { ViewProps } from "../definition";
import { ALL_GOODS, collectionAddress } from "~/core/addresses";
import { gridClass, ProductCard, useEnv, Words } from "../parts";
import type { ProductGridProps } from "./definition";

export function View({ props, arrangement, first }: ViewProps<ProductGridProps>) {
  const { goods, studio, costs } = useEnv();
  // What was picked by hand stands in the order in which it was picked; what has gone meanwhile is left out.
  const picked = props.products.flatMap((id) => productWith(goods, id) ?? []);
  const products = picked.length
    ? picked.slice(0, props.most)
    : chosenProducts(goods, props.collection, props.most, listedCosts(costs));
  const collection = goods.collections.find((c) => c.id === props.collection);
  const address = props.collection === null ? ALL_GOODS : collection && collectionAddress(collection);
  // An empty grid says what belongs here to the seller, and nothing to shoppers.
  if (products.length === 0 && !studio) return null;
  const sizes = arrangement === "rows" ? "6rem" : "(min-width:1024px) 25vw, (min-width:600px) 33vw, 50vw";
  return (
    <div className="in">
      <div className="goods-top">
        <div>
          <Words at="heading" as={first ? "h1" : "h2"} className="head" text={props.heading} hint="Heading" />
          <Words at="text" as="p" className="lead" text={props.text} hint="Text" />
        </div>
        {props.more && address ? (
          <a className="more" href={address}>
            <Words at="more" text={props.more} hint="Link to all" />
          </a>
        ) : null}
      </div>
      {products.length ? (
        <ul
          className={arrangement === "shelf" ? "shelf" : gridClass(products.length)}
          {...(arrangement === "shelf" ? { tabIndex: 0, "aria-label": props.heading || "Goods" } : {})}
        >
          {products.map((product) => (
            <li key={product.id}>
              <ProductCard
                product={product}
                sizes={sizes}
                {...(arrangement === "rows" ? { facts: 4, small: true } : {})}
              />
            </li>
          ))}
        </ul>
      ) : (
        <p className="goods-none">
          {goods.products.length
            ? "There is nothing in this collection yet."
            : "Your goods will stand here. Add or import them under Goods."}
        </p>
      )}
    </div>
  );
}
