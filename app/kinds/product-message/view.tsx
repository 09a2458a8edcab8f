import { isInCollection, type Goods, type Product } from "~/core/goods";
import type { ViewProps } from "../definition";
import { Rich, Sign, useEnv, useProduct } from "../parts";
import type { ProductMessageProps } from "./definition";

/** Whether a product is among chosen goods; where nothing is chosen, every one is. */
export function isChosen(goods: Goods, product: Product, chosen: ProductMessageProps["goods"]): boolean {
  const { products, collections, tags } = chosen;
  if (products.length + collections.length + tags.length === 0) return true;
  return (
    products.includes(product.id) ||
    tags.some((t) => product.tags.some((own) => own.toLowerCase() === t.toLowerCase())) ||
    goods.collections.some((c) => collections.includes(c.id) && isInCollection(goods, product, c))
  );
}

export function View({ props }: ViewProps<ProductMessageProps>) {
  const { goods, studio } = useEnv();
  const found = useProduct();
  if (!found) return null;
  const isHere = isChosen(goods, found.product, props.goods);
  if (!isHere && !studio) return null;
  return (
    <>
      <Sign sign={props.sign} />
      <div className={isHere ? undefined : "is-elsewhere"}>
        <Rich at="text" text={props.text} hint="Message" />
        {isHere ? null : <p className="over">Not beside this product.</p>}
      </div>
    </>
  );
}
