/**
 * Times collection pages and searches of a shop with many goods (1,000, 10,000 and 50,000 with 12 attributes each), in
 * milliseconds of CPU, and the import of 10,000 lines into a real database; prints the result as JSON. Made-up goods.
 */
import { seeded } from "../../demo/pictures/random";
import {
  findInGoods,
  makeProduct,
  NO_QUERY,
  searchGoods,
  type Goods,
  type GoodsQuery,
  type Product,
} from "../../app/core/goods";
import { readCsv, writeCsv } from "../../app/core/formats";
import { renderPage, type ShopContent } from "../../app/render";
import { createAccount } from "../../app/server/accounts/index.server";
import { configure, readConfig } from "../../app/server/config/index.server";
import { connect, disconnect } from "../../app/server/database/index.server";
import { goodsOf, importGoods, planImport, stepGoods } from "../../app/server/goods/index.server";
import { createShop, freshShop, shopAt } from "../../app/server/shops/index.server";
import { contentOf } from "../../app/server/storefront/pages";

const settings = readConfig(process.env);
configure(settings);
connect(settings.database, settings.connections);
const shop = await shopAt("larkspindle");
const content = shop && (await contentOf(shop));
if (!content) throw new Error("the demo shop is not loaded");

const NOUNS = ["Kite", "Windsock", "Line", "Reel", "Spar", "Tail", "Swivel", "Cloth", "Kit", "Stake"];
const WORDS = ["Amber", "Birch", "Cobalt", "Dune", "Ebb", "Fern", "Gale", "Harbour", "Isle", "Jetty", "Kelp", "Loft"];
const ATTRIBUTES = Array.from({ length: 12 }, (_, i) => `Attribute ${i + 1}`);

function manyGoods(count: number): Goods {
  const { next: random, pick } = seeded(count);
  const products = Array.from({ length: count }, (_, i): Product => {
    const title = `${pick(WORDS)} ${pick(WORDS)} ${pick(NOUNS)} ${i}`;
    return makeProduct({
      id: `p${i}`,
      title,
      sku: `S-${i}`,
      description: `${title}, made for ${pick(WORDS).toLowerCase()} and ${pick(WORDS).toLowerCase()} weather.`,
      price: 500 + Math.floor(random() * 20_000),
      stock: Math.floor(random() * 12),
      tags: [pick(WORDS).toLowerCase()],
      attributes: Object.fromEntries(ATTRIBUTES.map((name, k) => [name, `value ${Math.floor(random() * (4 + k))}`])),
      collections: [pick(content!.goods.collections).id],
      pictures: [pick(content!.pictures).id],
      sold: random() * 10,
      createdAt: new Date(1_700_000_000_000 + i * 60_000).toISOString(),
    });
  });
  return { ...content!.goods, products, reviews: {}, together: {} };
}

const round = (value: number) => Math.round(value * 100) / 100;
const percentile = (values: readonly number[], share: number) =>
  round(values.toSorted((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * share))]!);

function timed(rounds: number, work: (i: number) => void): { p50: number; p95: number } {
  const times: number[] = [];
  for (let i = 0; i < rounds + 5; i++) {
    const before = process.cpuUsage();
    work(i);
    const { user, system } = process.cpuUsage(before);
    if (i >= 5) times.push((user + system) / 1000);
  }
  return { p50: percentile(times, 0.5), p95: percentile(times, 0.95) };
}

const growth = [1_000, 10_000, 50_000].map((count) => {
  const goods = manyGoods(count);
  const of: ShopContent = { ...content, goods };
  const collection = goods.collections[0]!;
  const queries: readonly GoodsQuery[] = [
    NO_QUERY,
    { ...NO_QUERY, page: 5 },
    { ...NO_QUERY, sort: "price-up" },
    { ...NO_QUERY, wanted: { "attribute-1": ["value 1"], "attribute-5": ["value 2", "value 3"] } },
    { ...NO_QUERY, wanted: { "attribute-3": ["value 0"] }, from: 2_000, to: 12_000, now: true },
    { ...NO_QUERY, sort: "name", wanted: { "attribute-12": ["value 7"] } },
  ];
  const draw = (query: GoodsQuery, one = false, from: ShopContent = of) =>
    renderPage({ page: "collection", collection: one ? collection : undefined, query }, from, "http://x.localhost", {
      every: "/a.js",
      goods: "/b.js",
    });
  draw(NO_QUERY);
  // A price is changed, and a shopper comes: all else of the goods is as it was.
  let now = goods;
  const first = timed(9, (i) => {
    now = { ...now, products: now.products.with(i, { ...now.products[i]!, price: 900 + i }) };
    draw(NO_QUERY, false, { ...content, goods: now });
  }).p50;
  const request = timed(60, (i) => draw(queries[i % queries.length]!, i % 2 === 0));
  const asked = ["kite", "amber gale", "harbor", "cobalt spar", "jety line", "birch 17", "wind", "nothing here"];
  const begun = performance.now();
  searchGoods(goods, "kite");
  const indexed = round(performance.now() - begun);
  const search = timed(80, (i) => searchGoods(goods, asked[i % asked.length]!));
  return { products: count, firstMs: first, requestMs: request, searchIndexMs: indexed, searchMs: search };
});

const MANY = 10_000;
const sought = manyGoods(MANY);
const finding = {
  products: MANY,
  ...timed(15, () => findInGoods(sought, { words: "wind", matchCase: false, whole: true })),
};

const LINES = 10_000;
const account = await createAccount({
  name: "Bench",
  address: "bench@shop.example",
  password: "a long enough password",
});
if (!account.ok) throw new Error(account.why);
const made = await createShop(account.owner.id, {
  name: "Bench",
  host: "bench",
  currency: "EUR",
  timeZone: "Europe/London",
});
if (!made.ok) throw new Error(made.why);
const table = readCsv(
  writeCsv(
    ["SKU", "Title", "Price", "Stock", "Collection", ...ATTRIBUTES],
    manyGoods(LINES).products.map((p) => [
      p.sku,
      p.title,
      (p.price / 100).toFixed(2),
      String(p.stock),
      "All",
      ...ATTRIBUTES.map((name) => p.attributes[name]!),
    ]),
  ),
);
const since = async (work: () => Promise<unknown>) => {
  const started = performance.now();
  await work();
  return Math.round(performance.now() - started);
};
const now = async () => freshShop(made.shop);
const plan = await since(async () => planImport(await now(), table));
const bring = await since(async () => importGoods(await now(), table));
const again = await since(async () => importGoods(await now(), table));
const back = await since(async () => stepGoods(await now(), "undo"));
const left = (await goodsOf(await now())).products.length;
await disconnect();
console.log(
  JSON.stringify({
    growth,
    finding,
    import: {
      lines: LINES,
      planMs: plan,
      importMs: bring,
      linesPerSecond: Math.round((LINES * 1000) / bring),
      againMs: again,
      undoMs: back,
      left,
    },
  }),
);
