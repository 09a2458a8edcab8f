import type { QueryInterface } from "sequelize";

export const name = "014-reworked";

/** Of which picture another one was made in the studio, and how. */
export async function up(q: QueryInterface): Promise<void> {
  await q.sequelize.query("ALTER TABLE pictures ADD COLUMN IF NOT EXISTS madeOf VARCHAR(40) NULL");
  await q.sequelize.query("ALTER TABLE pictures ADD COLUMN IF NOT EXISTS rework MEDIUMTEXT NULL");
}
