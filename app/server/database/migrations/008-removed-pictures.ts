import type { QueryInterface } from "sequelize";

export const name = "008-removed-pictures";

/** A picture that was removed can be brought back for a while; until then it is only marked. */
export async function up(q: QueryInterface): Promise<void> {
  await q.sequelize.query("ALTER TABLE pictures ADD COLUMN IF NOT EXISTS removedAt DATETIME(3) NULL");
}
