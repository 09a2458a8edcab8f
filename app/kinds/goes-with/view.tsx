import { canBuy, goesWithAll, productWith, type Product } from "~/core/goods";
import type { ViewProps } from "../definition";
import { gridClass, ProductCard, productsIn, useEnv, useProduct, Words } from "../parts";
import type { GoesWithProps } from "./definition";

/** What the page is about: a product, what is in the cart, or what was ordered and is still in the shop. */
function useItsGoods(): readonly Product[] {
  const { goods, shown, sampleOrder } = useEnv();
  const found = useProduct();
  if (shown?.page === "cart") return productsIn(shown);
  if (shown?.page !== "thanks" && shown?.page !== "order") return found ? [found.product] : [];
  const { order } = "sample" in shown ? sampleOrder(shown.sample) : shown;
  const ids = new Set(order.body.lines.map(({ product }) => product));
  return [...ids].flatMap((id) => productWith(goods, id) ?? []);
}

export function View({ props, arrangement }: ViewProps<GoesWithProps>) {
  const { goods, studio } = useEnv();
  const products = useItsGoods();
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
