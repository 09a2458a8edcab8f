import { canBuy, goesWithAll } from "~/core/goods";
import type { ViewProps } from "../definition";
import { gridClass, ProductCard, productsIn, useEnv, useProduct, Words } from "../parts";
import type { GoesWithProps } from "./definition";

export function View({ props, arrangement }: ViewProps<GoesWithProps>) {
  const { goods, studio, shown } = useEnv();
  const found = useProduct();
  const products = shown?.page === "cart" ? productsIn(shown) : found ? [found.product] : [];
  if (products.length === 0) return null;
  const list = goesWithAll(goods, products, props.most, canBuy);
  if (list.length === 0 && !studio) return null;
  const isShelf = arrangement === "shelf";
  return (
    <div className="in">
      <Words at="heading" as="h2" className="head" text={props.heading} hint="Heading" />
      {list.length ? (
        <ul
          className={isShelf ? "shelf" : gridClass(list.length)}
          {...(isShelf ? { tabIndex: 0, "aria-label": props.heading } : {})}
        >
          {list.map(({ product }) => (
            <li key={product.id}>
              <ProductCard product={product} sizes="(min-width:1024px) 25vw, 50vw" />
            </li>
          ))}
        </ul>
      ) : (
        <p className="goods-none">
          Nothing goes with {products.length > 1 ? "these products" : "this product"} yet. Choose something under Goods.
        </p>
      )}
    </div>
  );
}
