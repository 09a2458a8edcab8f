import { textPages, type Draft } from "~/core/document";
import type { Goods } from "~/core/goods";
import { currencyDigits, formatMoney } from "~/core/money";
import type { Picture } from "~/core/pictures";
import { readerOf } from "~/core/theme";
import { themeById } from "~/themes";
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
export function envOf(
  content: Omit<ShopContent, "draft">,
  { look, documents }: Draft,
  studio?: KindEnv["studio"],
  shown?: KindEnv["shown"],
): KindEnv {
  const pictures = new Map(content.pictures.map((p) => [p.id, p]));
  const pages = textPages(documents).map(({ id, title }) => ({ id, title }));
  const read = readerOf(look.brand, themeById(look.theme).defaults);
  const picture = (id: string | null) => (id === null ? undefined : pictures.get(id));
  return {
    identity: look.identity,
    goods: content.goods,
    picture,
    href: hrefFor(content.goods, pages, picture),
    pages,
    card: {
      facts: read.amount("goods.facts"),
      second: read.isOn("goods.second"),
      badge: read.isOn("goods.badge"),
      price: read.isOn("goods.price"),
    },
    facts: {
      shop: look.identity.name,
      tagline: look.identity.tagline,
      goods: String(content.goods.products.length),
      currency: content.currency,
    },
    money: (amount) => formatMoney(amount, content.currency, content.locale),
    digits: currencyDigits(content.currency) ?? 2,
    locale: content.locale,
    toast: read.text("toast.set"),
    ...(shown ? { shown } : {}),
    ...(studio ? { studio } : {}),
  };
}
