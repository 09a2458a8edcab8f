import { DataTypes, type QueryInterface } from "sequelize";

const id = { type: DataTypes.STRING(40), allowNull: false } as const;
const key = { ...id, primaryKey: true } as const;
const json = { type: DataTypes.TEXT("long"), allowNull: false } as const;
const moment = { type: DataTypes.DATE(3), allowNull: false } as const;
const text = (length: number) => ({ type: DataTypes.STRING(length), allowNull: false }) as const;
const count = { type: DataTypes.INTEGER.UNSIGNED, allowNull: false, defaultValue: 0 } as const;
const ofShop = { ...id, references: { model: "shops", key: "id" }, onDelete: "CASCADE" } as const;
const ofProduct = { ...id, references: { model: "products", key: "id" }, onDelete: "CASCADE" } as const;

export const name = "004-goods";

/** Goods in full: variants, rules, reviews, orders and visits to learn from, carts, and a log of changes to undo. */
export async function up(q: QueryInterface): Promise<void> {
  await q.addColumn("shops", "goodsSettings", { ...json, defaultValue: "{}" });
  // All that is only ever read together with the rest of a product.
  await q.addColumn("products", "more", { ...json, defaultValue: "{}" });
  await q.addColumn("products", "archived", { type: DataTypes.BOOLEAN, allowNull: false, defaultValue: false });
  await q.addColumn("products", "createdAt", { ...moment, defaultValue: DataTypes.NOW });
  await q.addColumn("products", "version", count);
  await q.addColumn("collections", "parentId", { type: DataTypes.STRING(40), allowNull: true });
  await q.addColumn("collections", "rules", { ...json, defaultValue: "null" });
  await q.addColumn("collections", "sort", { ...text(20), defaultValue: "hand" });
  await q.addColumn("collections", "handOrder", { ...json, defaultValue: "[]" });
  // Until now a stock of 0 was stored as a state; a state is what the seller says, whatever the stock.
  await q.sequelize.query(
    "UPDATE products SET availability = 'in-stock' WHERE availability = 'sold-out' AND stock = 0",
  );
  await q.createTable("goodsLog", {
    shopId: { ...ofShop, primaryKey: true },
    seq: { type: DataTypes.INTEGER.UNSIGNED, primaryKey: true },
    label: text(160),
    /** JSON of what was there before and after, packed with gzip. */
    body: { type: DataTypes.BLOB("long"), allowNull: false },
    undone: { type: DataTypes.BOOLEAN, allowNull: false, defaultValue: false },
    createdAt: moment,
  });
  await q.createTable("reviews", {
    id: key,
    shopId: ofShop,
    productId: ofProduct,
    stars: count,
    title: text(160),
    text: { type: DataTypes.TEXT, allowNull: false },
    name: text(80),
    state: text(10),
    answer: { type: DataTypes.TEXT, allowNull: false },
    createdAt: moment,
  });
  await q.addIndex("reviews", ["shopId", "state"], { name: "reviewsByState" });
  await q.createTable("orders", { id: key, shopId: ofShop, createdAt: moment });
  await q.addIndex("orders", ["shopId", "createdAt"], { name: "ordersByTime" });
  await q.createTable("orderLines", {
    orderId: { ...id, primaryKey: true, references: { model: "orders", key: "id" }, onDelete: "CASCADE" },
    line: { type: DataTypes.INTEGER.UNSIGNED, primaryKey: true },
    /** No reference: an order stays what it was when a product goes. */
    productId: id,
    variantId: { type: DataTypes.STRING(40), allowNull: true },
    count,
    price: { type: DataTypes.BIGINT.UNSIGNED, allowNull: false },
  });
  await q.createTable("productViews", {
    shopId: { ...ofShop, primaryKey: true },
    productId: key,
    day: { ...text(10), primaryKey: true },
    count,
  });
  await q.createTable("carts", {
    id: { ...text(64), primaryKey: true },
    shopId: ofShop,
    body: json,
    updatedAt: moment,
  });
  await q.addIndex("carts", ["updatedAt"], { name: "cartsByTime" });
  await q.createTable("alerts", {
    shopId: { ...ofShop, primaryKey: true },
    productId: { ...ofProduct, primaryKey: true },
    variantId: key,
    address: { ...text(254), primaryKey: true },
    createdAt: moment,
  });
  await q.createTable("videos", {
    shopId: { ...ofShop, primaryKey: true },
    file: { ...text(80), primaryKey: true },
    name: text(160),
    bytes: count,
    createdAt: moment,
  });
}
