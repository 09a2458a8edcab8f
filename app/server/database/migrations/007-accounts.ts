import { DataTypes, type QueryInterface } from "sequelize";

export const name = "007-accounts";

/**
 * Sessions say where they were opened and when they were used last, so that an owner can tell them apart and end them. A device
 * that has signed in is known by a secret of its own; a new password is asked for with a token of one use. Limits are counted.
 * Each step can be taken again, where the process was killed between two of them.
 */
export async function up(q: QueryInterface): Promise<void> {
  const run = (sql: string) => q.sequelize.query(sql);
  const hash = { type: DataTypes.STRING(64), allowNull: false, primaryKey: true };
  const owner = {
    type: DataTypes.STRING(40),
    allowNull: false,
    references: { model: "owners", key: "id" },
    onDelete: "CASCADE",
  };
  const moment = { type: DataTypes.DATE(3), allowNull: false };
  await run("ALTER TABLE sessions ADD COLUMN IF NOT EXISTS openedAt DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3)");
  await run("ALTER TABLE sessions ADD COLUMN IF NOT EXISTS seenAt DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3)");
  await run("ALTER TABLE sessions ADD COLUMN IF NOT EXISTS place VARCHAR(64) NOT NULL DEFAULT ''");
  await run("ALTER TABLE sessions ADD COLUMN IF NOT EXISTS agent VARCHAR(200) NOT NULL DEFAULT ''");
  await q.createTable("devices", { id: hash, ownerId: { ...owner }, seenAt: { ...moment } });
  await q.createTable("newPasswords", { id: { ...hash }, ownerId: { ...owner }, expiresAt: { ...moment } });
  await q.createTable("tallies", {
    id: { ...hash },
    count: { type: DataTypes.INTEGER.UNSIGNED, allowNull: false, defaultValue: 0 },
    endsAt: { ...moment },
  });
}
