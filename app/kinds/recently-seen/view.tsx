import type { ViewProps } from "../definition";
import { ProductCard, useEnv, Words } from "../parts";
import type { RecentlySeenProps } from "./definition";

export function View({ props }: ViewProps<RecentlySeenProps>) {
  const { goods, studio, shown } = useEnv();
  const own = shown?.page === "product" ? shown.product : undefined;
  const others = goods.products.filter((p) => p !== own);
  const inside = (
    <>
      <Words at="heading" as="h2" className="head" text={props.heading} hint="Heading" />
      <ul className="grid">
        {/* In panes some goods stand in for what a shopper will have seen; in the shop one card shows how all are drawn. */}
        {others.slice(0, studio ? props.most : 1).map((product) => (
          <li key={product.id}>
            <ProductCard product={product} sizes="(min-width:1024px) 25vw, 50vw" />
          </li>
        ))}
      </ul>
    </>
  );
  if (studio) return <div className="in">{inside}</div>;
  if (others.length === 0) return null;
  return (
    <zest-recent className="in" data-most={props.most} data-own={own?.id} hidden>
      {inside}
    </zest-recent>
  );
}
