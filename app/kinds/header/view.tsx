import type { ReactNode } from "react";
import type { ViewProps } from "../definition";
import { CartSign, MenuRow, SearchField, SearchSign, useEnv, useMenu, Wordmark } from "../parts";
import type { HeaderProps } from "./definition";

export function View({ props, arrangement }: ViewProps<HeaderProps>): ReactNode {
  const { goods } = useEnv();
  const entries = useMenu(props.menu);
  const hasGoods = goods.products.length > 0;
  return (
    <div className={props.small !== "behind" ? `in small-${props.small}` : "in"}>
      <Wordmark place="header" />
      {entries.length ? <MenuRow entries={entries} label="Main menu" /> : null}
      {hasGoods && arrangement === "rows" ? <SearchField /> : null}
      {hasGoods ? <SearchSign /> : null}
      {hasGoods ? <CartSign /> : null}
    </div>
  );
}
