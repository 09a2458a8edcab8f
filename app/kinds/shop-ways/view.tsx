import type { ViewProps } from "../definition";
import { CartSign, SearchField, SearchSign, useEnv } from "../parts";
import type { ShopWaysProps } from "./definition";

export function View({ props, arrangement }: ViewProps<ShopWaysProps>) {
  const { goods, studio } = useEnv();
  // Without goods there is nothing to search for, and nothing to buy.
  if (goods.products.length === 0)
    return studio ? <p className="studio-empty">Search and cart stand here once there are goods.</p> : null;
  return (
    <>
      {props.search ? arrangement === "field" ? <SearchField /> : <SearchSign /> : null}
      {props.cart ? <CartSign /> : null}
    </>
  );
}
