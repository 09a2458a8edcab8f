import type { QueryInterface } from "sequelize";

export const name = "015-picture-colours";

/** The colours that a picture mostly has: NULL until it was looked at, empty where it has none. */
export async function up(q: QueryInterface): Promise<void> {
  await q.sequelize.query("ALTER TABLE pictures ADD COLUMN IF NOT EXISTS colours VARCHAR(60) NULL");
}
