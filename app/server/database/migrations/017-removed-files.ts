import type { QueryInterface } from "sequelize";

export const name = "017-removed-files";

/** A film or a document that was removed is only marked: what is published may still show it. */
export async function up(q: QueryInterface): Promise<void> {
  await q.sequelize.query("ALTER TABLE videos ADD COLUMN IF NOT EXISTS removedAt DATETIME(3) NULL");
}
