import { QueryTypes, type QueryInterface } from "sequelize";

export const name = "019-orders";

/** How many products are read at once. */
const BATCH = 500;

/** Orders in full with what happened to them, and stock as a table of its own with a ledger. */
export async function up(q: QueryInterface): Promise<void> {
  const run = (sql: string) => q.sequelize.query(sql);
  const ofShop = "FOREIGN KEY (shopId) REFERENCES shops (id) ON DELETE CASCADE";
  // Orders from before are what was sold, to learn from: they have no number and no body.
  await run(`ALTER TABLE orders
    ADD COLUMN IF NOT EXISTS number INT UNSIGNED NULL,
    ADD COLUMN IF NOT EXISTS isTest TINYINT(1) NOT NULL DEFAULT 0,
    ADD COLUMN IF NOT EXISTS token VARCHAR(64) NULL,
    ADD COLUMN IF NOT EXISTS pressed VARCHAR(64) NULL,
    ADD COLUMN IF NOT EXISTS state VARCHAR(10) NOT NULL DEFAULT 'sold',
    ADD COLUMN IF NOT EXISTS handed VARCHAR(10) NOT NULL DEFAULT 'open',
    ADD COLUMN IF NOT EXISTS paid BIGINT UNSIGNED NOT NULL DEFAULT 0,
    ADD COLUMN IF NOT EXISTS refunded BIGINT UNSIGNED NOT NULL DEFAULT 0,
    ADD COLUMN IF NOT EXISTS total BIGINT UNSIGNED NOT NULL DEFAULT 0,
    ADD COLUMN IF NOT EXISTS mail VARCHAR(254) NOT NULL DEFAULT '',
    ADD COLUMN IF NOT EXISTS buyer VARCHAR(160) NOT NULL DEFAULT '',
    ADD COLUMN IF NOT EXISTS words TEXT NULL,
    ADD COLUMN IF NOT EXISTS body LONGTEXT NULL,
    ADD COLUMN IF NOT EXISTS heldUntil DATETIME(3) NULL,
    ADD COLUMN IF NOT EXISTS bankAsks TINYINT(1) NOT NULL DEFAULT 0,
    ADD COLUMN IF NOT EXISTS version INT UNSIGNED NOT NULL DEFAULT 0`);
  await q.addIndex("orders", ["shopId", "isTest", "number"], { name: "orderNumber", unique: true });
  await q.addIndex("orders", ["shopId", "pressed"], { name: "orderPressed", unique: true });
  await q.addIndex("orders", ["token"], { name: "orderToken", unique: true });
  await q.addIndex("orders", ["state", "heldUntil"], { name: "ordersHeld" });
  await q.addIndex("orders", ["shopId", "state", "number"], { name: "ordersListed" });
  await run(`CREATE TABLE IF NOT EXISTS orderEvents (
    id BIGINT UNSIGNED AUTO_INCREMENT PRIMARY KEY, orderId VARCHAR(40) NOT NULL, what VARCHAR(20) NOT NULL,
    text VARCHAR(2000) NOT NULL, amount BIGINT UNSIGNED NULL, createdAt DATETIME(3) NOT NULL,
    FOREIGN KEY (orderId) REFERENCES orders (id) ON DELETE CASCADE)`);
  await run(`CREATE TABLE IF NOT EXISTS stock (
    shopId VARCHAR(40) NOT NULL, productId VARCHAR(40) NOT NULL, variantId VARCHAR(40) NOT NULL,
    pieces INT UNSIGNED NOT NULL, owed INT UNSIGNED NOT NULL DEFAULT 0,
    PRIMARY KEY (shopId, productId, variantId), ${ofShop})`);
  await run(`CREATE TABLE IF NOT EXISTS stockLog (
    id BIGINT UNSIGNED AUTO_INCREMENT PRIMARY KEY, shopId VARCHAR(40) NOT NULL, productId VARCHAR(40) NOT NULL,
    variantId VARCHAR(40) NOT NULL, pieces INT NOT NULL, why VARCHAR(10) NOT NULL, orderId VARCHAR(40) NULL,
    createdAt DATETIME(3) NOT NULL, INDEX stockOfOrder (orderId), INDEX stockOfProduct (shopId, productId), ${ofShop})`);
  // Numbers are counted in rows of their own, which are their locks.
  await run(`INSERT IGNORE INTO shopStates (shopId, state, version)
    SELECT id, 'orders', 0 FROM shops UNION ALL SELECT id, 'testOrders', 0 FROM shops`);
  type Stored = { readonly id: string; readonly shopId: string; readonly stock: number | null; readonly more: string };
  for (let last = ""; ;) {
    const products = await q.sequelize.query<Stored>(
      `SELECT id, shopId, stock, more FROM products WHERE id > ? ORDER BY id LIMIT ${BATCH}`,
      { type: QueryTypes.SELECT, replacements: [last] },
    );
    if (products.length === 0) break;
    last = products.at(-1)!.id;
    const rows = products.flatMap(({ id, shopId, stock, more }): (readonly [string, string, string, number])[] => {
      const { variants = [] } = JSON.parse(more) as {
        variants?: readonly { readonly id: string; readonly stock: number | null }[];
      };
      return [
        ...(stock === null ? [] : [[shopId, id, "", Number(stock)] as const]),
        ...variants.flatMap((v) => (v.stock === null ? [] : [[shopId, id, v.id, v.stock] as const])),
      ];
    });
    if (rows.length)
      await q.sequelize.query("INSERT IGNORE INTO stock (shopId, productId, variantId, pieces) VALUES ?", {
        replacements: [rows],
      });
  }
}
