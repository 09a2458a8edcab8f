import type { QueryInterface } from "sequelize";

export const name = "022-order-links";

/** Since when the link to an order is good, where it is not since it was ordered. */
export async function up(q: QueryInterface): Promise<void> {
  await q.sequelize.query("ALTER TABLE orders ADD COLUMN IF NOT EXISTS linkAt DATETIME(3) NULL");
}
