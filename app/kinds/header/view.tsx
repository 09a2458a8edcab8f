import type { ReactNode } from "react";
import { hasAccounts } from "~/core/selling";
import type { ViewProps } from "../definition";
import { AccountSign, CartSign, MenuRow, SearchField, SearchSign, useEnv, useMenu, Wordmark } from "../parts";
import type { HeaderProps } from "./definition";

export function View({ props, arrangement }: ViewProps<HeaderProps>): ReactNode {
  const { goods, selling, shown } = useEnv();
  // On the page of the cart there is nothing to show beside it.
  const isBeside = props.cart === "side" && shown?.page !== "cart";
  const withAccount = props.account && hasAccounts(selling);
  const entries = useMenu(props.menu);
  const hasGoods = goods.products.length > 0;
  return (
    <div className={props.small !== "behind" ? `in small-${props.small}` : "in"}>
      <Wordmark place="header" />
      {entries.length ? <MenuRow entries={entries} label="Main menu" withAccount={withAccount} /> : null}
      {hasGoods && arrangement === "rows" ? <SearchField /> : null}
      {hasGoods ? (
        <div className="head-signs">
          <SearchSign />
          {withAccount ? <AccountSign /> : null}
          {isBeside ? (
            <zest-beside data-then="side">
              <CartSign />
            </zest-beside>
          ) : (
            <CartSign />
          )}
        </div>
      ) : null}
    </div>
  );
}
