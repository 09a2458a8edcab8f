import { hasAccounts } from "~/core/selling";
import type { ViewProps } from "../definition";
import { AccountSign, CartSign, SearchField, SearchSign, useEnv } from "../parts";
import type { ShopWaysProps } from "./definition";

export function View({ props, arrangement }: ViewProps<ShopWaysProps>) {
  const { goods, studio, selling } = useEnv();
  // Without goods there is nothing to search for, and nothing to buy.
  if (goods.products.length === 0)
    return studio ? <p className="studio-empty">Search and cart stand here once there are goods.</p> : null;
  return (
    <>
      {props.search ? arrangement === "field" ? <SearchField /> : <SearchSign /> : null}
      {props.account && hasAccounts(selling) ? <AccountSign /> : null}
      {props.cart ? <CartSign /> : null}
    </>
  );
}
