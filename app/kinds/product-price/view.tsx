import type { ViewProps } from "../definition";
import { Price, useProduct, Words } from "../parts";
import type { ProductPriceProps } from "./definition";

export function View({ props }: ViewProps<ProductPriceProps>) {
  const found = useProduct();
  if (!found) return null;
  return (
    <>
      <span data-live="price">
        <Price product={found.product} variant={found.variant} />
      </span>
      <Words at="note" className="price-note" text={props.note} hint="Note" />
    </>
  );
}
