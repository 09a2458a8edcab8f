/**
 * Times how long it takes to ask 10,000 conditions, to say on how many pages of a shop with 10,000 products something shows, and to price
 * a cart of 50 lines with 200 offers, in milliseconds of CPU; prints the result as JSON. Made-up goods.
 */
import { holds, reachOf, type Asked, type Condition } from "../../app/core/conditions";
import { list, makeCollection, makeProduct, NO_QUERY, type Goods } from "../../app/core/goods";
import { costsOf, price, type Gives, type Offer } from "../../app/core/offers";
import { FIRST_VISIT, type PageShown } from "../../app/core/situation";

const TIMES = 40;
/** As often as that before, because a server that runs has done it before. */
const WARM = 200;
const on = { day: "2026-11-30", timeZone: "Europe/Dublin" };
const collections = ["a", "b", "c"].map((id) => makeCollection({ id, title: id }));
const goods: Goods = {
  products: Array.from({ length: 10_000 }, (_, i) =>
    makeProduct({
      id: `p${i}`,
      title: `Product ${i}`,
      price: i,
      collections: [collections[i % 3]!.id],
      tags: [`t${i % 7}`],
    }),
  ),
  collections,
  asOf: on,
};
const RULES: readonly Condition[] = [
  { when: "dates", from: "2026-10-24T00:00", until: "2026-12-24T18:00", yearly: true },
  { when: "times", days: [1, 2, 3, 4, 5], from: "09:00", until: "17:00" },
  { when: "pages", sorts: ["product", "collection"] },
  { when: "goods", collections: ["a"], asks: [{ field: "price", op: "under", value: "80" }] },
  { when: "visitor", is: "returning", not: true },
  { when: "cart", asks: "worth", from: 0, under: 5_000 },
  {
    when: "any",
    of: [
      { when: "country", countries: ["IE"] },
      { when: "cart", asks: "empty" },
    ],
  },
];
const asked: Asked = {
  clock: "2026-11-30T12:00",
  on,
  goods,
  page: { sort: "product", product: "p3" },
  person: FIRST_VISIT,
};
const pages: readonly PageShown[] = goods.products.map(({ id }) => ({ sort: "product", product: id }));

const percentile = (values: readonly number[], share: number) =>
  Math.round(values.toSorted((a, b) => a - b)[Math.floor((values.length - 1) * share)]! * 100) / 100;

function timed(work: () => unknown, warm = WARM): { p50: number; p95: number } {
  const times = Array.from({ length: TIMES + warm }, () => {
    const begin = process.cpuUsage();
    work();
    const { user, system } = process.cpuUsage(begin);
    return (user + system) / 1000;
  }).slice(warm);
  return { p50: percentile(times, 0.5), p95: percentile(times, 0.95) };
}

const asks = timed(() => {
  let yes = 0;
  for (let i = 0; i < 10_000; i++) if (holds([RULES[i % RULES.length]!], asked)) yes++;
  return yes;
});
const reach = timed(() => reachOf(RULES, pages, asked.clock, on, goods));

// Every sort of offer, for all goods or a collection, half of them for themselves alone: each of these is tried against the others.
const GIVES: readonly Gives[] = [
  { sort: "percent", off: 1250, on: "all" },
  { sort: "amount", amount: 300, on: "each" },
  { sort: "price", price: 900 },
  {
    sort: "steps",
    steps: [
      { from: 3, off: 500 },
      { from: 10, off: 1500 },
    ],
  },
  { sort: "bundle", take: 3, pay: 2 },
  { sort: "percent", off: 5000, on: "cheapest" },
  { sort: "gift", product: "p9", variant: null, count: 1 },
  { sort: "delivery", off: 10_000, amount: null },
];
const offers = Array.from({ length: 200 }, (_, i): Offer => ({
  id: `o${i}`,
  name: `Offer ${i}`,
  gives: GIVES[i % GIVES.length]!,
  goods: { products: [], collections: i % 3 ? [] : [collections[i % 2]!.id] },
  code: "",
  fromWorth: i % 5 ? 0 : 2000,
  fromCount: 0,
  mostUses: 0,
  mostEach: 0,
  withGoods: i % 2 === 0,
  withRest: true,
  isOff: false,
  conditions: [RULES[i % 2]!],
}));
const lines = goods.products.slice(500, 550).map((product, i) => ({ product, variant: undefined, count: 1 + (i % 4) }));
const priced = timed(() =>
  price({ lines, offers, codes: [], goods, asked: { ...asked, page: undefined }, delivery: 495 }),
);
// A sale on everything, asked for the first time each time: what is known of it is known by the list of offers.
const sale: Offer = { ...offers[0]!, goods: { products: [], collections: [] }, fromWorth: 0, conditions: [] };
const ordered = timed(() => {
  const costs = costsOf({ offers: [sale], goods, asked });
  return list(goods, { collection: undefined }, { ...NO_QUERY, sort: "price-up" }, { perPage: 24, costs });
}, 20);
console.log(
  JSON.stringify({
    "10,000 conditions": { ...asks, target: "under 10" },
    "on how many of 10,000 pages": reach,
    "a cart of 50 lines, 200 offers": { ...priced, target: "under 5" },
    "10,000 goods by their prices in a sale, the first time": ordered,
  }),
);
