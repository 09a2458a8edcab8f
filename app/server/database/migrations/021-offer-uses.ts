import type { QueryInterface } from "sequelize";

export const name = "021-offer-uses";

/** What each order had from each offer, and how often one that may be had so often only has been had: its row is its lock. */
export async function up(q: QueryInterface): Promise<void> {
  const run = (sql: string) => q.sequelize.query(sql);
  const ofShop = "FOREIGN KEY (shopId) REFERENCES shops (id) ON DELETE CASCADE";
  await run(`CREATE TABLE IF NOT EXISTS offerUses (
    id BIGINT UNSIGNED AUTO_INCREMENT PRIMARY KEY, shopId VARCHAR(40) NOT NULL, offerId VARCHAR(40) NOT NULL,
    orderId VARCHAR(40) NOT NULL, mail VARCHAR(254) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL,
    amount BIGINT UNSIGNED NOT NULL, total BIGINT UNSIGNED NOT NULL, createdAt DATETIME(3) NOT NULL,
    INDEX usesOfOffer (shopId, offerId, mail), INDEX usesOfOrder (orderId), ${ofShop},
    FOREIGN KEY (orderId) REFERENCES orders (id) ON DELETE CASCADE)`);
  await run(`CREATE TABLE IF NOT EXISTS offerCounts (
    shopId VARCHAR(40) NOT NULL, offerId VARCHAR(40) NOT NULL, used INT UNSIGNED NOT NULL,
    PRIMARY KEY (shopId, offerId), ${ofShop})`);
}
