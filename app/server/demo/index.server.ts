import { readdir, readFile } from "node:fs/promises";
import { join, resolve } from "node:path";
import { PRODUCT_PICTURES, SCENES, WORKSHOP } from "../../../demo/pictures/list";
import { createAccount } from "../accounts/index.server";
import {
  atomically,
  CollectionRow,
  database,
  DraftPart,
  Owner,
  PictureRow,
  ProductRow,
  ShopRow,
} from "../database/index.server";
import { describeCollection, importGoods } from "../goods/index.server";
import { addPicture } from "../pictures/index.server";
import { pendingChanges, publish } from "../publishing/index.server";
import { createShop, shopOf } from "../shops/index.server";
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
      const added = await addPicture(shopId, await readFile(join(folder, file)), file, described.get(file));
      if (!added.ok) throw new Error(`demo picture ${file}: ${added.why}`);
    }
  };
  await Promise.all([work(), work()]);
}

/** Loads the demo shop where the database has no owner at all; with `replace`, loads it anew and leaves other shops alone. */
export async function loadDemo(replace: boolean, say: (line: string) => void): Promise<void> {
  database();
  const existing = await Owner.findOne({ where: { address: DEMO_OWNER.address } });
  if (existing && replace) {
    say("Taking the old demo shop away …");
    await existing.destroy();
  } else if (existing || (!replace && (await Owner.count()) > 0)) {
    // A load that was cut short left a shop without a publication: it is loaded anew.
    const finished =
      !existing ||
      (await ShopRow.count({ where: { ownerId: existing.id } })) === 0 ||
      (await ShopRow.findOne({ where: { ownerId: existing.id, host: DEMO_SHOP.host } }))?.publicationId !== null;
    if (finished) return;
    await existing.destroy();
  }
  const account = await createAccount(DEMO_OWNER);
  if (!account.ok) throw new Error(account.why);
  const made = await createShop(account.owner.id, DEMO_SHOP);
  if (!made.ok) throw new Error(made.why);
  const { id } = made.shop;
  await fillLibrary(id, say);
  const done = await importGoods(made.shop, await readFile(resolve("demo/goods.csv"), "utf8"));
  const pictures = new Map((await PictureRow.findAll({ where: { shopId: id } })).map((p) => [p.name, p.id]));
  const need = (map: Map<string, string>, key: string) => {
    const found = map.get(key);
    if (!found) throw new Error(`the demo shop lacks “${key}”`);
    return found;
  };
  for (const { title, description, picture } of DEMO_COLLECTIONS)
    await describeCollection(id, title, description, need(pictures, picture));
  const collections = new Map((await CollectionRow.findAll({ where: { shopId: id } })).map((c) => [c.title, c.id]));
  const products = new Map((await ProductRow.findAll({ where: { shopId: id } })).map((p) => [p.sku, p.id]));
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
  const shop = await shopOf(account.owner.id, id);
  say(`Demo shop loaded: ${done.added} products at ${shop?.host}.localhost.`);
}
