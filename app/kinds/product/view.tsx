import { productWith } from "~/core/goods";
import type { ViewProps } from "../definition";
import { ProductCard, useEnv } from "../parts";
import type { ProductProps } from "./definition";

export function View({ props, arrangement }: ViewProps<ProductProps>) {
  const { goods, studio } = useEnv();
  const product = props.product === null ? undefined : productWith(goods, props.product);
  if (!product) return studio ? <p className="goods-none">Choose a product, in Details on the left.</p> : null;
  const isLine = arrangement === "line";
  return <ProductCard product={product} small={isLine} sizes={isLine ? "6rem" : "(min-width:1024px) 33vw, 100vw"} />;
}
