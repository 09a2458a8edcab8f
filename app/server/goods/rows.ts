import { Op, type Transaction } from "sequelize";
import { makeProduct, type Collection, type Product, type StoredCollection, type StoredProduct } from "~/core/goods";
import { plainOf } from "~/core/rich";
import { CollectionRow, ProductCollection, ProductRow } from "../database/index.server";
import { withStock } from "../stock/index.server";

export type All = { readonly products: readonly StoredProduct[]; readonly collections: readonly StoredCollection[] };

/** All that stands in the column `more`: what is only ever read together with the rest. */
const MORE = [
  "cost",
  "taxClass",
  "isGiftCard",
  "oversell",
  "barcode",
  "weight",
  "specification",
  "own",
  "video",
  "options",
  "variants",
  "related",
  "featured",
  "search",
  "words",
] as const satisfies readonly (keyof Product)[];
type More = Pick<Product, (typeof MORE)[number]> & { readonly rich?: Product["description"] };

function toProduct(row: ProductRow, collections: readonly string[]): StoredProduct {
  const { rich, ...more } = JSON.parse(row.more) as Partial<More>;
  return {
    ...makeProduct({ ...more, id: row.id, title: row.title }),
    slug: row.slug,
    description: rich ?? row.description,
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
    archived: row.archived,
    createdAt: row.createdAt.toISOString(),
    version: row.version,
    position: row.position,
  };
}

export const toRow = (shopId: string, product: StoredProduct) => ({
  id: product.id,
  shopId,
  slug: product.slug,
  title: product.title,
  description: plainOf(product.description),
  price: product.price,
  compareAt: product.compareAt,
  availability: product.availability,
  availableFrom: product.availableFrom,
  stock: product.stock,
  sku: product.sku,
  tags: JSON.stringify(product.tags),
  attributes: JSON.stringify(product.attributes),
  pictures: JSON.stringify(product.pictures),
  more: JSON.stringify({
    ...Object.fromEntries(MORE.map((name) => [name, product[name]])),
    ...(typeof product.description === "string" ? {} : { rich: product.description }),
  }),
  archived: product.archived,
  createdAt: new Date(product.createdAt),
  version: product.version,
  position: product.position,
});

const toCollection = (row: CollectionRow): StoredCollection => ({
  id: row.id,
  slug: row.slug,
  title: row.title,
  description: row.description,
  picture: row.pictureId,
  parent: row.parentId,
  rules: JSON.parse(row.rules) as Collection["rules"],
  sort: row.sort,
  order: JSON.parse(row.handOrder) as string[],
  search: JSON.parse(row.search) as Collection["search"],
  position: row.position,
});

export const toCollectionRow = (shopId: string, c: StoredCollection) => ({
  id: c.id,
  shopId,
  slug: c.slug,
  title: c.title,
  description: c.description,
  pictureId: c.picture,
  parentId: c.parent,
  rules: JSON.stringify(c.rules),
  sort: c.sort,
  handOrder: JSON.stringify(c.order),
  search: JSON.stringify(c.search),
  position: c.position,
});

const IN_ORDER: [string, string][] = [
  ["position", "ASC"],
  ["id", "ASC"],
];

export async function readAll(shopId: string, transaction?: Transaction): Promise<All> {
  const inside = transaction ? { transaction } : {};
  const [products, collections] = await Promise.all([
    ProductRow.findAll({ where: { shopId }, order: IN_ORDER, ...inside }),
    CollectionRow.findAll({ where: { shopId }, order: IN_ORDER, ...inside }),
  ]);
  const links = await ProductCollection.findAll({
    where: { collectionId: { [Op.in]: collections.map((c) => c.id) } },
    raw: true,
    ...inside,
  });
  const order = new Map(collections.map((c, i) => [c.id, i]));
  const put = new Map<string, string[]>();
  for (const { productId, collectionId } of links) {
    const list = put.get(productId);
    if (list) list.push(collectionId);
    else put.set(productId, [collectionId]);
  }
  const stored = products.map((p) =>
    toProduct(
      p,
      (put.get(p.id) ?? []).sort((a, b) => order.get(a)! - order.get(b)!),
    ),
  );
  return {
    products: await withStock(shopId, stored, transaction),
    collections: collections.map(toCollection),
  };
}
