import type { QueryInterface } from "sequelize";

export const name = "020-shoppers";

/**
 * Shoppers with an account of a shop, apart from the sellers' own: sessions, and links in letters that can be used once. Gift cards with what was
 * spent from them. Letters about orders that are still to be sent. Carts that somebody wants to be reminded of.
 */
export async function up(q: QueryInterface): Promise<void> {
  const run = (sql: string) => q.sequelize.query(sql);
  const ofShop = "FOREIGN KEY (shopId) REFERENCES shops (id) ON DELETE CASCADE";
  // Addresses are compared letter by letter: to the usual collation, é is e.
  const mail = "VARCHAR(254) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL";
  const code = "VARCHAR(40) CHARACTER SET ascii COLLATE ascii_bin NOT NULL";
  await run(`CREATE TABLE IF NOT EXISTS shoppers (
    id VARCHAR(40) PRIMARY KEY, shopId VARCHAR(40) NOT NULL, mail ${mail}, name VARCHAR(160) NOT NULL,
    password VARCHAR(255) NOT NULL, addresses LONGTEXT NOT NULL, createdAt DATETIME(3) NOT NULL,
    UNIQUE INDEX shopperMail (shopId, mail), ${ofShop})`);
  await run(`CREATE TABLE IF NOT EXISTS shopperSessions (
    id VARCHAR(64) PRIMARY KEY, shopperId VARCHAR(40) NOT NULL, openedAt DATETIME(3) NOT NULL,
    seenAt DATETIME(3) NOT NULL, expiresAt DATETIME(3) NOT NULL, INDEX shopperSessionsEnd (expiresAt),
    FOREIGN KEY (shopperId) REFERENCES shoppers (id) ON DELETE CASCADE)`);
  await run(`CREATE TABLE IF NOT EXISTS shopperLinks (
    id VARCHAR(64) PRIMARY KEY, shopId VARCHAR(40) NOT NULL, shopperId VARCHAR(40) NULL, mail ${mail},
    name VARCHAR(160) NOT NULL, expiresAt DATETIME(3) NOT NULL, INDEX shopperLinksOf (shopId, mail),
    INDEX shopperLinksEnd (expiresAt), ${ofShop},
    FOREIGN KEY (shopperId) REFERENCES shoppers (id) ON DELETE CASCADE)`);
  await run("ALTER TABLE orders ADD COLUMN IF NOT EXISTS shopperId VARCHAR(40) NULL");
  await run("ALTER TABLE orders ADD INDEX IF NOT EXISTS ordersOfShopper (shopperId, createdAt)");
  await run("ALTER TABLE orders ADD INDEX IF NOT EXISTS ordersByMail (shopId, mail)");
  await run(`ALTER TABLE orders ADD CONSTRAINT orderShopper FOREIGN KEY IF NOT EXISTS (shopperId)
    REFERENCES shoppers (id) ON DELETE SET NULL`);
  await run(`CREATE TABLE IF NOT EXISTS giftCards (
    id VARCHAR(40) PRIMARY KEY, shopId VARCHAR(40) NOT NULL, code ${code}, orderId VARCHAR(40) NULL,
    amount BIGINT UNSIGNED NOT NULL, rest BIGINT UNSIGNED NOT NULL, currency VARCHAR(3) NOT NULL,
    design VARCHAR(20) NOT NULL, toMail VARCHAR(254) NOT NULL, fromName VARCHAR(80) NOT NULL,
    message VARCHAR(1200) NOT NULL, until DATETIME(3) NULL, isOff TINYINT(1) NOT NULL DEFAULT 0,
    isTest TINYINT(1) NOT NULL DEFAULT 0, createdAt DATETIME(3) NOT NULL,
    UNIQUE INDEX giftCardCode (shopId, code), INDEX giftCardsOfOrder (orderId), ${ofShop},
    FOREIGN KEY (orderId) REFERENCES orders (id) ON DELETE SET NULL)`);
  await run(`CREATE TABLE IF NOT EXISTS giftCardUses (
    id BIGINT UNSIGNED AUTO_INCREMENT PRIMARY KEY, cardId VARCHAR(40) NOT NULL, orderId VARCHAR(40) NOT NULL,
    amount BIGINT NOT NULL, createdAt DATETIME(3) NOT NULL, INDEX giftCardUsesOfOrder (orderId),
    FOREIGN KEY (cardId) REFERENCES giftCards (id) ON DELETE CASCADE)`);
  await run(`CREATE TABLE IF NOT EXISTS orderLetters (
    id BIGINT UNSIGNED AUTO_INCREMENT PRIMARY KEY, orderId VARCHAR(40) NOT NULL, what VARCHAR(20) NOT NULL,
    text VARCHAR(2000) NOT NULL, createdAt DATETIME(3) NOT NULL, INDEX orderLettersDue (createdAt),
    FOREIGN KEY (orderId) REFERENCES orders (id) ON DELETE CASCADE)`);
  await run(`ALTER TABLE carts ADD COLUMN IF NOT EXISTS remindTo VARCHAR(254) NULL,
    ADD COLUMN IF NOT EXISTS remindAt DATETIME(3) NULL`);
  await run("ALTER TABLE carts ADD INDEX IF NOT EXISTS cartsToRemind (remindAt)");
}
