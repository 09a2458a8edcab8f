import type { QueryInterface } from "sequelize";

export const name = "009-shades";

/** The colour of a picture's shadows: NULL until it was looked at, empty where it has none. */
export async function up(q: QueryInterface): Promise<void> {
  await q.sequelize.query("ALTER TABLE pictures ADD COLUMN IF NOT EXISTS shade VARCHAR(7) NULL");
}
