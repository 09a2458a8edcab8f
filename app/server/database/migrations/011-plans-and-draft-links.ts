import type { QueryInterface } from "sequelize";

export const name = "011-plans-and-draft-links";

/**
 * Publications that are to come at a set time, with what goes out then; and links by which a draft can be looked at for a while, of
 * which only a hash is known here.
 */
export async function up(q: QueryInterface): Promise<void> {
  await q.sequelize.query(
    `CREATE TABLE IF NOT EXISTS plannedPublications (
       id VARCHAR(40) NOT NULL PRIMARY KEY,
       shopId VARCHAR(40) NOT NULL,
       what VARCHAR(10) NOT NULL,
       dueAt DATETIME(3) NOT NULL,
       backAt DATETIME(3) NULL,
       parts LONGTEXT NOT NULL,
       body LONGTEXT NOT NULL,
       doneAt DATETIME(3) NULL,
       why VARCHAR(500) NULL,
       createdAt DATETIME(3) NOT NULL,
       INDEX (dueAt),
       FOREIGN KEY (shopId) REFERENCES shops (id) ON DELETE CASCADE
     )`,
  );
  await q.sequelize.query(
    `CREATE TABLE IF NOT EXISTS draftLinks (
       id VARCHAR(64) NOT NULL PRIMARY KEY,
       shopId VARCHAR(40) NOT NULL,
       endsAt DATETIME(3) NOT NULL,
       createdAt DATETIME(3) NOT NULL,
       INDEX (shopId),
       FOREIGN KEY (shopId) REFERENCES shops (id) ON DELETE CASCADE
     )`,
  );
}
