import type { ViewProps } from "../definition";
import { gridClass, ProductCard, useEnv, Words } from "../parts";
import type { PostGoodsProps } from "./definition";

export function View({ props }: ViewProps<PostGoodsProps>) {
  const { postGoods, studio } = useEnv();
  const products = postGoods().slice(0, props.most);
  if (products.length === 0)
    return studio ? <p className="in studio-empty">Goods that the post shows or leads to stand here.</p> : null;
  return (
    <div className="in">
      <Words at="heading" as="h2" className="head" text={props.heading} hint="Heading" />
      <ul className={gridClass(products.length)}>
        {products.map((product) => (
          <li key={product.id}>
            <ProductCard product={product} sizes="(min-width:1024px) 25vw, (min-width:600px) 33vw, 50vw" />
          </li>
        ))}
      </ul>
    </div>
  );
}
