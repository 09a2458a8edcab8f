import type { Draft, Look } from "~/core/document";
import type { Goods } from "~/core/goods";
import { formatMoney } from "~/core/money";
import type { Picture } from "~/core/pictures";
import { hrefFor, type KindEnv } from "~/kinds/parts";

/** Everything a page of the shop is drawn from. */
export type ShopContent = {
  readonly draft: Draft;
  readonly goods: Goods;
  readonly pictures: readonly Picture[];
  readonly currency: string;
  readonly locale: string;
};

/** What views may ask of the shop. `studio` is given only by panes. */
export function envOf(content: Omit<ShopContent, "draft">, look: Look, studio?: KindEnv["studio"]): KindEnv {
  const pictures = new Map(content.pictures.map((p) => [p.id, p]));
  return {
    identity: look.identity,
    goods: content.goods,
    picture: (id) => (id === null ? undefined : pictures.get(id)),
    href: hrefFor(content.goods),
    money: (amount) => formatMoney(amount, content.currency, content.locale),
    ...(studio ? { studio } : {}),
  };
}
