import { ALL_GOODS, collectionAddress, productAddress } from "~/core/addresses";
import type { LayoutSort } from "~/core/document";
import { canBuy, sizeOf, stateOf, type Availability, type Collection, type Goods, type Product } from "~/core/goods";
import type { Offer } from "~/core/offers";
import { accountCases, doorCases, giftCardCases } from "./account-target";
import { cartCases } from "./cart-target";
import { checkoutCases, orderCases } from "./checkout-target";

export type HardCase = { readonly name: string; readonly address: string };

/** The cases in which a layout is likeliest to break, as far as the shop has them. */
export function hardCases(sort: LayoutSort, goods: Goods, offers: readonly Offer[]): readonly HardCase[] {
  if (sort === "cart") return cartCases(goods, offers);
  if (sort === "checkout") return checkoutCases(goods, offers);
  if (sort === "thanks" || sort === "order") return orderCases(sort);
  if (sort === "sign-in") return doorCases();
  if (sort === "account") return accountCases();
  if (sort === "gift-card") return giftCardCases();
  const cases: HardCase[] = [];
  const add = (name: string, address: string | undefined) => address !== undefined && cases.push({ name, address });
  const most = <T>(list: readonly T[], score: (each: T) => number): T | undefined =>
    list.reduce<T | undefined>((best, each) => (best && score(best) >= score(each) ? best : each), undefined);
  if (sort === "product") {
    const { products } = goods;
    const of = (p: Product | undefined) => p && productAddress(p);
    const state = (s: Availability) => of(products.find((p) => stateOf(p) === s));
    add("Longest title", of(most(products, (p) => p.title.length)));
    add("No picture", of(products.find((p) => p.pictures.length === 0)));
    add("Most pictures", of(most(products, (p) => p.pictures.length)));
    const many = most(products, (p) => p.variants.length);
    if (many && many.variants.length > 1) add(`${many.variants.length} variants`, of(many));
    add("Reduced", of(products.find((p) => p.compareAt !== null && p.compareAt > p.price)));
    add("Sold out", state("sold-out"));
    const closed = products.find((p) => p.variants.some((v) => !canBuy(p, v)) && canBuy(p));
    add(
      "One variant sold out",
      closed && `${productAddress(closed)}?variant=${closed.variants.find((v) => !canBuy(closed, v))!.id}`,
    );
    add("Coming soon", state("coming-soon"));
    add("Made to order", state("made-to-order"));
    add("Collect only", state("collect-only"));
    add("No longer made", state("discontinued"));
    add(
      "Most reviews",
      of(
        most(
          products.filter((p) => p.rating),
          (p) => p.rating!.count,
        ),
      ),
    );
    add("Nothing said of it", of(products.find((p) => p.description === "")));
  } else if (sort === "collection") {
    const sized = goods.collections.map((c) => ({ c, size: sizeOf(goods, c) }));
    const of = (c: Collection | undefined) => c && collectionAddress(c);
    const fullest = most(sized, (s) => s.size)?.c;
    add("Most goods", of(fullest));
    add(
      "Fewest goods",
      of(
        most(
          sized.filter((s) => s.size > 0),
          (s) => -s.size,
        )?.c,
      ),
    );
    add("Nothing in it", of(sized.find((s) => s.size === 0)?.c));
    add("Longest title", of(most(goods.collections, (c) => c.title.length)));
    add("No picture", of(goods.collections.find((c) => c.picture === null)));
    add("Others inside", of(goods.collections.find((c) => goods.collections.some((o) => o.parent === c.id))));
    add("Everything", ALL_GOODS);
    add("Filtered", `${of(fullest) ?? ALL_GOODS}?now=1&sort=price-up`);
    add("Nothing fits", `${of(fullest) ?? ALL_GOODS}?from=999999`);
  } else if (sort === "search") {
    add("Several found", `/search?q=${encodeURIComponent(tellingWord(goods))}`);
    add("A letter wrong", `/search?q=${encodeURIComponent(misspelt(tellingWord(goods)))}`);
    add("Nothing found", "/search?q=qqzzxx");
    add("Nothing asked yet", "/search");
  }
  return cases;
}

const misspelt = (word: string) => (word.length > 4 ? word.slice(0, 2) + word[3]! + word[2]! + word.slice(4) : word);

/** A word that finds several things, as most searches do. */
export function tellingWord(goods: Goods): string {
  const counts = new Map<string, number>();
  for (const word of goods.products.slice(0, 2000).flatMap((p) => p.title.split(/[^\p{L}]+/u)))
    if (word.length > 3) counts.set(word, (counts.get(word) ?? 0) + 1);
  return [...counts].reduce((best, each) => (each[1] > best[1] ? each : best), ["", 0] as [string, number])[0];
}
