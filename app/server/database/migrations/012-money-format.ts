import type { QueryInterface } from "sequelize";

export const name = "012-money-format";

/** How a shop writes its prices, as a locale; its language stays what it is. */
export async function up(q: QueryInterface): Promise<void> {
  await q.sequelize.query(
    "ALTER TABLE shops ADD COLUMN IF NOT EXISTS moneyFormat VARCHAR(20) NOT NULL DEFAULT 'en-GB'",
  );
}
