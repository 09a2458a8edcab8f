import type { OfferRoot } from "~/core/offers";
import type { Goods } from "~/core/goods";

/** Something to begin an offer with. `say`: what it is, as one reads it in a menu. */
export type Start = { readonly name: string; readonly say: string; readonly root: OfferRoot };

const roundTo = (amount: number, digits: number): number => {
  const unit = 5 * 10 ** digits;
  return Math.max(unit, Math.round(amount / unit) * unit);
};

/** What a piece costs in the middle of all goods, in minor units. */
function middlePrice({ products }: Goods): number {
  const prices = products.map(({ price }) => price).toSorted((a, b) => a - b);
  return prices[Math.floor(prices.length / 2)] ?? 0;
}

/** Ready starts, with amounts that suit what the shop sells. All of them are off until the seller switches them on. */
export function startsFor(goods: Goods): readonly Start[] {
  const digits = goods.digits ?? 2;
  const middle = middlePrice(goods);
  const [collection] = goods.collections;
  const gift = goods.products
    .toSorted((a, b) => a.price - b.price)
    .find(({ price, variants }) => price > 0 && !variants.length);
  const few = (root: OfferRoot): OfferRoot => ({ ...root, off: true });
  return [
    {
      name: "A sale",
      say: "15 % off, by itself",
      root: few({
        gives: { sort: "percent", off: 1500, on: "all" },
        ...(collection ? { collections: [collection.id] } : {}),
      }),
    },
    {
      name: "Welcome",
      say: "10 % off with a code",
      root: few({ gives: { sort: "percent", off: 1000, on: "all" }, code: "WELCOME10" }),
    },
    {
      name: "Free delivery",
      say: "from a worth on",
      root: few({ gives: { sort: "delivery", off: 10_000, amount: null }, fromWorth: roundTo(middle * 2, digits) }),
    },
    {
      name: "Thank you for a large order",
      say: "an amount off, from a worth on",
      root: few({
        gives: { sort: "amount", amount: roundTo(middle / 4, digits), on: "all" },
        fromWorth: roundTo(middle * 4, digits),
      }),
    },
    { name: "Three for two", say: "the cheapest is free", root: few({ gives: { sort: "bundle", take: 3, pay: 2 } }) },
    {
      name: "The more, the less each",
      say: "percent by the number of pieces",
      root: few({
        gives: {
          sort: "steps",
          steps: [
            { from: 3, off: 500 },
            { from: 6, off: 1000 },
          ],
        },
      }),
    },
    ...(gift
      ? [
          {
            name: "A gift with it",
            say: "something small, from a worth on",
            root: few({
              gives: { sort: "gift" as const, product: gift.id, variant: null, count: 1 },
              fromWorth: roundTo(middle * 3, digits),
            }),
          },
        ]
      : []),
  ];
}
