import { newId } from "~/core/document";
import { writeCsv } from "~/core/formats";
import { decimalMoney } from "~/core/money";
import {
  AVAILABILITY_WORDS,
  readGoods,
  slugOf,
  type Goods,
  type GoodsField,
  type GoodsFile,
  type GoodsLine,
  type Product,
} from "~/core/goods";
import {
  atomically,
  CollectionRow,
  database,
  PictureRow,
  ProductCollection,
  ProductRow,
  ShopRow,
} from "../database/index.server";
import { forgetShops, type Shop } from "../shops/index.server";

/** Longest goods file in characters, and most lines. */
export const MOST_CHARACTERS = 5_000_000;
const MOST_LINES = 5_000;

const cache = new Map<string, { version: number; goods: Goods }>();

const toProduct = (row: ProductRow, collections: readonly string[]): Product => ({
  id: row.id,
  slug: row.slug,
  title: row.title,
  description: row.description,
  price: row.price,
  compareAt: row.compareAt,
  availability: row.availability,
  availableFrom: row.availableFrom,
  stock: row.stock,
  sku: row.sku,
  tags: JSON.parse(row.tags) as string[],
  attributes: JSON.parse(row.attributes) as Record<string, string>,
  pictures: JSON.parse(row.pictures) as string[],
  collections,
});

/** Everything that a shop sells, in the shop's own order. Read once for each version of the goods. */
export async function goodsOf(shop: Pick<Shop, "id" | "goodsVersion">): Promise<Goods> {
  const known = cache.get(shop.id);
  if (known && known.version === shop.goodsVersion) return known.goods;
  database();
  const [products, collections] = await Promise.all([
    ProductRow.findAll({
      where: { shopId: shop.id },
      order: [
        ["position", "ASC"],
        ["id", "ASC"],
      ],
    }),
    CollectionRow.findAll({
      where: { shopId: shop.id },
      order: [
        ["position", "ASC"],
        ["id", "ASC"],
      ],
    }),
  ]);
  const links = await ProductCollection.findAll({ where: { productId: products.map((p) => p.id) } });
  const inside = new Map<string, string[]>();
  for (const { productId, collectionId } of links)
    inside.set(productId, [...(inside.get(productId) ?? []), collectionId]);
  const order = new Map(collections.map((c, i) => [c.id, i]));
  const goods: Goods = {
    products: products.map((p) =>
      toProduct(
        p,
        (inside.get(p.id) ?? []).toSorted((a, b) => (order.get(a) ?? 0) - (order.get(b) ?? 0)),
      ),
    ),
    collections: collections.map((c) => ({
      id: c.id,
      slug: c.slug,
      title: c.title,
      description: c.description,
      picture: c.pictureId,
    })),
  };
  cache.set(shop.id, { version: shop.goodsVersion, goods });
  return goods;
}

export type PlannedLine = GoodsLine & { readonly does: "new" | "changed" | "same" };
export type ImportPlan = Omit<GoodsFile, "lines"> & {
  readonly lines: readonly PlannedLine[];
  /** Collections that do not exist yet and would be made. */
  readonly newCollections: readonly string[];
  /** Names of pictures that are not in the library. */
  readonly missingPictures: readonly string[];
};

const baseName = (written: string) => written.split(/[\\/]/).at(-1)!.toLowerCase();

async function picturesByName(shopId: string): Promise<Map<string, string>> {
  const rows = await PictureRow.findAll({
    where: { shopId },
    attributes: ["id", "name"],
    order: [["createdAt", "ASC"]],
  });
  return new Map(rows.map((row) => [row.name.toLowerCase(), row.id]));
}

/** Whether it can be had, for a product that is known and a file that may say only how many there are. */
function availabilityOf(
  line: GoodsLine,
  given: ReadonlySet<GoodsField>,
  known: Product | undefined,
): Product["availability"] {
  if (!known || given.has("availability")) return line.availability;
  if (!given.has("stock")) return known.availability;
  if (line.stock === 0) return "sold-out";
  return known.availability === "sold-out" ? "in-stock" : known.availability;
}

/**
 * What a line would be stored as. A column that the file does not have leaves what is known; so do pictures that are not
 * in the library.
 */
function wanted(line: GoodsLine, given: ReadonlySet<GoodsField>, pictures: Map<string, string>, known?: Product) {
  const found = line.pictures.map((p) => pictures.get(baseName(p))).filter((p) => p !== undefined);
  const from = (field: GoodsField): GoodsLine | Product => (known && !given.has(field) ? known : line);
  return {
    title: line.title,
    description: from("description").description,
    price: line.price,
    compareAt: from("compareAt").compareAt,
    stock: from("stock").stock,
    availability: availabilityOf(line, given, known),
    availableFrom: from("availableFrom").availableFrom,
    tags: from("tags").tags,
    attributes: { ...known?.attributes, ...line.attributes },
    pictures: found.length ? found : (known?.pictures ?? []),
  };
}

const sameAs = (
  line: GoodsLine,
  given: ReadonlySet<GoodsField>,
  pictures: Map<string, string>,
  known: Product,
  titles: Map<string, string>,
) => {
  const next = wanted(line, given, pictures, known);
  const now = Object.fromEntries(Object.keys(next).map((key) => [key, known[key as keyof typeof next]]));
  const inside = known.collections.map((id) => titles.get(id)).toSorted();
  const stays = !given.has("collections") || JSON.stringify(inside) === JSON.stringify(line.collections.toSorted());
  return JSON.stringify(next) === JSON.stringify(now) && stays;
};

/** Understands a goods file and says what importing it would do. Nothing is stored. */
export async function planImport(shop: Shop, text: string): Promise<ImportPlan> {
  const file = readGoods(text, shop.currency);
  if (file.lines.length > MOST_LINES) {
    return {
      columns: file.columns,
      given: file.given,
      lines: [],
      newCollections: [],
      missingPictures: [],
      problems: [
        { line: MOST_LINES + 1, column: "", why: `A file can hold ${MOST_LINES} products at most. Split it.` },
      ],
    };
  }
  const [goods, pictures] = await Promise.all([goodsOf(shop), picturesByName(shop.id)]);
  const given = new Set(file.given);
  const bySku = new Map(goods.products.map((p) => [p.sku, p]));
  const titles = new Map(goods.collections.map((c) => [c.id, c.title]));
  const haveTitles = new Set(goods.collections.map((c) => c.title.toLowerCase()));
  return {
    ...file,
    lines: file.lines.map((line) => {
      const known = bySku.get(line.sku);
      return { ...line, does: !known ? "new" : sameAs(line, given, pictures, known, titles) ? "same" : "changed" };
    }),
    newCollections: [...new Set(file.lines.flatMap((l) => l.collections))].filter(
      (t) => !haveTitles.has(t.toLowerCase()),
    ),
    missingPictures: [...new Set(file.lines.flatMap((l) => l.pictures))].filter((p) => !pictures.has(baseName(p))),
  };
}

const freeSlug = (wish: string, taken: Set<string>): string => {
  const base = wish || "product";
  let slug = base;
  for (let n = 2; taken.has(slug); n++) slug = `${base}-${n}`;
  taken.add(slug);
  return slug;
};

export type ImportDone = { readonly added: number; readonly changed: number; readonly same: number };

/** Imports a goods file: products are known by SKU, so a second import changes and never doubles. All or nothing. */
export async function importGoods(shop: Shop, text: string): Promise<ImportDone> {
  const done = await atomically(async (transaction) => {
    // The shop's row is the lock: two imports at once happen one after the other.
    const row = await ShopRow.findByPk(shop.id, { transaction, lock: true, rejectOnEmpty: true });
    const now = { ...shop, goodsVersion: row.goodsVersion };
    const plan = await planImport(now, text);
    const goods = await goodsOf(now);
    const pictures = await picturesByName(shop.id);
    const collectionIds = new Map(goods.collections.map((c) => [c.title.toLowerCase(), c.id]));
    const collectionSlugs = new Set(["all", ...goods.collections.map((c) => c.slug)]);
    for (const title of plan.newCollections) {
      const id = newId();
      await CollectionRow.create(
        {
          id,
          shopId: shop.id,
          slug: freeSlug(slugOf(title), collectionSlugs),
          title,
          description: "",
          pictureId: null,
          position: collectionIds.size,
        },
        { transaction },
      );
      collectionIds.set(title.toLowerCase(), id);
    }
    const given = new Set(plan.given);
    const bySku = new Map(goods.products.map((p) => [p.sku, p]));
    const slugs = new Set(goods.products.map((p) => p.slug));
    let position = goods.products.length;
    for (const line of plan.lines) {
      if (line.does === "same") continue;
      const known = bySku.get(line.sku);
      const next = wanted(line, given, pictures, known);
      const stored = {
        ...next,
        tags: JSON.stringify(next.tags),
        attributes: JSON.stringify(next.attributes),
        pictures: JSON.stringify(next.pictures),
      };
      const id = known?.id ?? newId();
      if (known) await ProductRow.update(stored, { where: { id, shopId: shop.id }, transaction });
      else {
        await ProductRow.create(
          {
            id,
            shopId: shop.id,
            slug: freeSlug(slugOf(line.title), slugs),
            sku: line.sku,
            position: position++,
            ...stored,
          },
          { transaction },
        );
      }
      if (known && !given.has("collections")) continue;
      await ProductCollection.destroy({ where: { productId: id }, transaction });
      await ProductCollection.bulkCreate(
        [...new Set(line.collections.map((t) => collectionIds.get(t.toLowerCase())!))].map((collectionId) => ({
          productId: id,
          collectionId,
        })),
        { transaction },
      );
    }
    await row.increment("goodsVersion", { transaction });
    const count = (does: PlannedLine["does"]) => plan.lines.filter((l) => l.does === does).length;
    return { added: count("new"), changed: count("changed"), same: count("same") };
  });
  forgetShops();
  return done;
}

/** Gives a collection its words and picture, by title; used when the demo shop is loaded. */
export async function describeCollection(
  shopId: string,
  title: string,
  description: string,
  pictureId: string | null,
): Promise<void> {
  database();
  await CollectionRow.update({ description, pictureId }, { where: { shopId, title } });
  await ShopRow.increment("goodsVersion", { where: { id: shopId } });
  forgetShops();
}

/** The goods as a CSV file; bringing it in again changes nothing. */
export async function exportGoods(shop: Shop): Promise<string> {
  const [goods, pictures] = await Promise.all([
    goodsOf(shop),
    PictureRow.findAll({ where: { shopId: shop.id }, attributes: ["id", "name"] }),
  ]);
  const names = new Map(pictures.map((p) => [p.id, p.name]));
  const titles = new Map(goods.collections.map((c) => [c.id, c.title]));
  const described = [...new Set(goods.products.flatMap((p) => Object.keys(p.attributes)))];
  const known = (list: readonly string[], map: Map<string, string>) =>
    list
      .map((id) => map.get(id))
      .filter((name) => name !== undefined)
      .join("|");
  const head = [
    "SKU",
    "Title",
    "Description",
    "Price",
    "Compare-at price",
    "Collection",
    "Tags",
    "Pictures",
    "Stock",
    "Availability",
    "Available from",
    ...described,
  ];
  return writeCsv(
    head,
    goods.products.map((p) => [
      p.sku,
      p.title,
      p.description,
      decimalMoney(p.price, shop.currency),
      p.compareAt === null ? "" : decimalMoney(p.compareAt, shop.currency),
      known(p.collections, titles),
      p.tags.join("|"),
      known(p.pictures, names),
      p.stock === null ? "" : String(p.stock),
      AVAILABILITY_WORDS[p.availability],
      p.availableFrom ?? "",
      ...described.map((name) => p.attributes[name] ?? ""),
    ]),
  );
}
