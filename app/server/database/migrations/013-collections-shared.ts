import type { QueryInterface } from "sequelize";

export const name = "013-collections-shared";

/** What search engines and shared links are told of a collection. */
export async function up(q: QueryInterface): Promise<void> {
  await q.sequelize.query(
    `ALTER TABLE collections ADD COLUMN IF NOT EXISTS search TEXT NOT NULL DEFAULT '{"title":"","description":""}'`,
  );
}
