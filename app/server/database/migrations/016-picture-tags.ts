import type { QueryInterface } from "sequelize";

export const name = "016-picture-tags";

/** Words by which sellers keep pictures together, as a JSON list. */
export async function up(q: QueryInterface): Promise<void> {
  await q.sequelize.query("ALTER TABLE pictures ADD COLUMN IF NOT EXISTS tags TEXT NULL");
}
