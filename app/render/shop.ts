import { textPages, type Draft, type PageDocument, type Part } from "~/core/document";
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

/** Ids of the parts that a page shows, by kind, in reading order. */
export function partsByKind(page: PageDocument | undefined): ReadonlyMap<string, readonly string[]> {
  const found = new Map<string, string[]>();
  const enter = (part: Part) => {
    if (!part.shown) return;
    const known = found.get(part.kind);
    if (known) known.push(part.id);
    else found.set(part.kind, [part.id]);
    for (const children of Object.values(part.slots)) children.forEach(enter);
  };
  if (page) enter(page.root);
  return found;
}

/** What views may ask of the shop. `studio` is given only by panes. */
export function envOf(
  content: Omit<ShopContent, "draft">,
  { look, documents }: Draft,
  studio?: KindEnv["studio"],
  shown?: KindEnv["shown"],
  page?: PageDocument,
): KindEnv {
  const pictures = new Map(content.pictures.map((p) => [p.id, p]));
  const pages = textPages(documents).map(({ id, title }) => ({ id, title }));
  const read = readerOf(look.brand, themeById(look.theme).defaults);
  const picture = (id: string | null) => (id === null ? undefined : pictures.get(id));
  let byKind: ReadonlyMap<string, readonly string[]> | undefined;
  return {
    partsOf: (kind) => (byKind ??= partsByKind(page)).get(kind) ?? [],
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
      compareAt: read.isOn("goods.compareAt"),
      rating: read.isOn("goods.rating"),
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
