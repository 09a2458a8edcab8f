import { QueryTypes, type QueryInterface } from "sequelize";

export const name = "005-what-was-said-stays";

/**
 * Reviews and wishes no longer go with their product: one that was removed can come back, and what was said of it with it.
 * Databases differ in what the references are called, and in whether they have them.
 */
export async function up(q: QueryInterface): Promise<void> {
  const references = await q.sequelize.query<{ readonly tableName: string; readonly constraintName: string }>(
    `SELECT TABLE_NAME AS tableName, CONSTRAINT_NAME AS constraintName FROM information_schema.REFERENTIAL_CONSTRAINTS
     WHERE CONSTRAINT_SCHEMA = DATABASE() AND TABLE_NAME IN ('reviews', 'alerts') AND REFERENCED_TABLE_NAME = 'products'`,
    { type: QueryTypes.SELECT },
  );
  for (const { tableName, constraintName } of references) await q.removeConstraint(tableName, constraintName);
}
