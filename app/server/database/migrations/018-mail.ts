import type { QueryInterface } from "sequelize";

export const name = "018-mail";

/** What forms bring, and lists of people who want letters, with the letters. */
export async function up(q: QueryInterface): Promise<void> {
  const run = (sql: string) => q.sequelize.query(sql);
  const ofShop = "FOREIGN KEY (shopId) REFERENCES shops (id) ON DELETE CASCADE";
  await run(`CREATE TABLE IF NOT EXISTS formEntries (
    id VARCHAR(40) PRIMARY KEY, shopId VARCHAR(40) NOT NULL, form VARCHAR(40) NOT NULL, formName VARCHAR(160) NOT NULL,
    page VARCHAR(300) NOT NULL, state VARCHAR(10) NOT NULL, address VARCHAR(254) NULL, answers LONGTEXT NOT NULL,
    replies LONGTEXT NOT NULL, createdAt DATETIME(3) NOT NULL, dropAt DATETIME(3) NULL,
    INDEX entriesOfShop (shopId, createdAt), INDEX entriesToDrop (dropAt), ${ofShop})`);
  await run(`CREATE TABLE IF NOT EXISTS entryFiles (
    id VARCHAR(64) PRIMARY KEY, shopId VARCHAR(40) NOT NULL, entryId VARCHAR(40) NOT NULL, name VARCHAR(200) NOT NULL,
    bytes INT UNSIGNED NOT NULL, createdAt DATETIME(3) NOT NULL,
    FOREIGN KEY (entryId) REFERENCES formEntries (id) ON DELETE CASCADE, INDEX filesOfShop (shopId))`);
  await run(`ALTER TABLE signUps
    ADD COLUMN IF NOT EXISTS list VARCHAR(60) NOT NULL DEFAULT 'News',
    ADD COLUMN IF NOT EXISTS state VARCHAR(10) NOT NULL DEFAULT 'on',
    ADD COLUMN IF NOT EXISTS token VARCHAR(40) NOT NULL DEFAULT '',
    ADD COLUMN IF NOT EXISTS page VARCHAR(300) NOT NULL DEFAULT '',
    ADD COLUMN IF NOT EXISTS onAt DATETIME(3) NULL,
    ADD COLUMN IF NOT EXISTS offAt DATETIME(3) NULL,
    ADD COLUMN IF NOT EXISTS offBy VARCHAR(40) NULL`);
  await run("UPDATE signUps SET onAt = createdAt WHERE onAt IS NULL AND state = 'on'");
  await run("UPDATE signUps SET token = REPLACE(UUID(), '-', '') WHERE token = ''");
  await run("ALTER TABLE signUps DROP PRIMARY KEY, ADD PRIMARY KEY (shopId, list, address)");
  await q.addIndex("signUps", ["token"], { name: "signUpToken" });
  await run("ALTER TABLE shops ADD COLUMN IF NOT EXISTS confirmsByMail TINYINT(1) NOT NULL DEFAULT 0");
  await run(`CREATE TABLE IF NOT EXISTS letters (
    id VARCHAR(40) PRIMARY KEY, shopId VARCHAR(40) NOT NULL, sort VARCHAR(10) NOT NULL, list VARCHAR(60) NOT NULL,
    day INT UNSIGNED NOT NULL, body LONGTEXT NOT NULL, state VARCHAR(10) NOT NULL, version INT UNSIGNED NOT NULL,
    createdAt DATETIME(3) NOT NULL, sentAt DATETIME(3) NULL, INDEX lettersOfShop (shopId), ${ofShop})`);
  await run(`CREATE TABLE IF NOT EXISTS letterSends (
    letterId VARCHAR(40) NOT NULL, address VARCHAR(254) NOT NULL, sentAt DATETIME(3) NOT NULL,
    PRIMARY KEY (letterId, address), FOREIGN KEY (letterId) REFERENCES letters (id) ON DELETE CASCADE)`);
}
