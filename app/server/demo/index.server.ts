import { readdir, readFile } from "node:fs/promises";
import { join, resolve } from "node:path";
import { slugOf } from "~/core/goods";
import { PRODUCT_PICTURES, SCENES, WORKSHOP } from "../../../demo/pictures/list";
import { createAccount } from "../accounts/index.server";
import {
  atomically,
  CollectionRow,
  DraftPart,
  Owner,
  PictureRow,
  ProductRow,
  ReviewRow,
} from "../database/index.server";
import {
  changeReviews,
  goodsOf,
  importGoods,
  keepCollection,
  keepGoodsSettings,
  readTableFile,
  recordOrders,
  recordViews,
  reviewsOf,
  takeReview,
} from "../goods/index.server";
import { addMadePicture } from "../pictures/index.server";
import { pendingChanges, publish } from "../publishing/index.server";
import { createShop, shopOf, shopsOf, type Shop } from "../shops/index.server";
import { DEMO_REVIEWS, demoFootfall } from "./books";
import { fillMail } from "./mail";
import { fillOrders, fillShoppers } from "./orders";
import { DEMO_COLLECTIONS, DEMO_OWNER, DEMO_SHOP, demoDraft } from "./content";

export { DEMO_OWNER } from "./content";

const folder = resolve("demo/pictures/made");

async function fillLibrary(shopId: string, say: (line: string) => void): Promise<void> {
  const described = new Map<string, { alt: string; focus?: readonly [number, number] }>();
  for (const { name, alt } of PRODUCT_PICTURES) described.set(`${name}.webp`, { alt });
  for (const { name, alt, focus } of [...SCENES, ...WORKSHOP]) described.set(`${name}.webp`, { alt, focus });
  const files = (await readdir(folder)).filter((file) => described.has(file)).sort();
  say(`Loading the demo shop: ${files.length} pictures …`);
  const queue = [...files];
  const work = async () => {
    for (let file = queue.shift(); file; file = queue.shift()) {
      await addMadePicture(shopId, await readFile(join(folder, file)), file, described.get(file));
    }
  };
  await Promise.all([work(), work()]);
}

/** Gives collections their words and pictures, and adds those that are worked out. */
async function dressCollections(
  shop: Shop,
  ids: Map<string, string>,
  pictureOf: (name: string) => string,
): Promise<void> {
  for (const { picture, ...about } of DEMO_COLLECTIONS) {
    const { parent, rules = null, sort = "hand", title, description } = about;
    const result = await keepCollection(
      shop,
      ids.get(title) ?? null,
      {
        title,
        description,
        slug: slugOf(title),
        picture: pictureOf(picture),
        parent: parent === undefined ? null : ids.get(parent)!,
        rules,
        sort,
        order: [],
      },
      null,
    );
    if (!result.ok) throw new Error(`demo collection ${title}: ${result.problems[0]!.why}`);
    ids.set(title, result.id);
  }
}

/** Invented orders, visits and reviews, so that what is worked out from them has something to work with. */
async function fillBooks(shop: Shop, products: Map<string, string>): Promise<void> {
  const now = Date.now();
  const { orders, views } = demoFootfall([...products.keys()], now);
  const idOf = (sku: string) => products.get(sku)!;
  await recordOrders(
    shop.id,
    orders.map(({ at, lines }) => ({
      at,
      lines: lines.map(({ sku, ...line }) => ({ ...line, product: idOf(sku), variant: null })),
    })),
  );
  await recordViews(
    shop.id,
    views.map(({ sku, ...view }) => ({ ...view, product: idOf(sku) })),
  );
  for (const { sku, answer: _answer, held: _held, days: _days, ...review } of DEMO_REVIEWS)
    await takeReview(shop.id, idOf(sku), review);
  const taken = await reviewsOf(shop.id);
  for (const { name, text, held, answer, days } of DEMO_REVIEWS) {
    const { id } = taken.find((r) => r.name === name && r.text === text)!;
    if (!held) await changeReviews(shop, { ids: [id], state: "shown", ...(answer ? { answer } : {}) });
    await ReviewRow.update({ createdAt: new Date(now - days * 86_400_000) }, { where: { id } });
  }
  await keepGoodsSettings(shop, {
    words: { "coming-soon": "On the bench" },
    synonyms: [
      ["windsock", "wind sleeve", "drogue"],
      ["line", "string", "cord"],
      ["spar", "rod", "stick"],
    ],
  });
}

/** Loads the demo shop where the database has no owner at all; with `replace`, loads it anew and leaves other shops alone. */
export async function loadDemo(replace: boolean, say: (line: string) => void): Promise<void> {
  const existing = await Owner.findOne({ where: { address: DEMO_OWNER.address } });
  if (existing && replace) {
    say("Taking the old demo shop away …");
    await existing.destroy();
  } else if (existing || (!replace && (await Owner.count()) > 0)) {
    // A load that was cut short left an owner without a shop, or a shop without a publication: it is loaded anew.
    const shops = existing ? await shopsOf(existing.id) : [];
    const finished = shops.some((s) => s.host === DEMO_SHOP.host && s.publicationId !== null);
    if (finished || !existing) return;
    await existing.destroy();
  }
  const account = await createAccount(DEMO_OWNER);
  if (!account.ok) throw new Error(account.why);
  const made = await createShop(account.owner.id, DEMO_SHOP);
  if (!made.ok) throw new Error(made.why);
  const { id } = made.shop;
  await fillLibrary(id, say);
  const read = await readTableFile(await readFile(resolve("demo/goods.csv")));
  if (!read.ok) throw new Error(read.why);
  const done = await importGoods(made.shop, read.table);
  const pictures = new Map((await PictureRow.findAll({ where: { shopId: id } })).map((p) => [p.name, p.id]));
  const need = (map: Map<string, string>, key: string) => {
    const found = map.get(key);
    if (!found) throw new Error(`the demo shop lacks “${key}”`);
    return found;
  };
  const collections = new Map((await CollectionRow.findAll({ where: { shopId: id } })).map((c) => [c.title, c.id]));
  const products = new Map((await ProductRow.findAll({ where: { shopId: id } })).map((p) => [p.sku, p.id]));
  await dressCollections(made.shop, collections, (name) => need(pictures, name));
  await fillBooks(made.shop, products);
  const draft = demoDraft({
    picture: (name) => need(pictures, name),
    collection: (title) => need(collections, title),
    product: (sku) => need(products, sku),
  });
  await atomically(async (transaction) => {
    for (const [part, body] of [["look", draft.look] as const, ...Object.entries(draft.documents)]) {
      await DraftPart.upsert({ shopId: id, part, body: JSON.stringify(body) }, { transaction });
    }
  });
  const { seq } = await pendingChanges(id);
  await publish(id, seq);
  await fillMail(made.shop, DEMO_SHOP.name, {
    subject: "Autumn gales: what stays up when it blows",
    blocks: [
      { sort: "picture", picture: need(pictures, "scene-beach-dusk.webp") },
      { sort: "heading", text: "It blows again" },
      {
        sort: "words",
        text: "From 18 knots on most kites come down. These were made for it: less cloth, a vent, and a spar that bends before it breaks.",
      },
      { sort: "goods", products: ["LK-311", "LK-310"].map((sku) => need(products, sku)) },
      {
        sort: "button",
        label: "All kites for strong wind",
        link: { to: "collection", id: need(collections, "Two-line kites") },
      },
    ],
  });
  const shop = await shopOf(account.owner.id, id);
  if (!shop) return;
  await fillOrders(shop, await goodsOf(shop), (sku) => need(products, sku));
  await fillShoppers(shop);
  say(`Demo shop loaded: ${done.added} products at ${shop.host}.localhost.`);
}
