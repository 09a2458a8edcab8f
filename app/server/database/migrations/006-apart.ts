import { DataTypes, type QueryInterface } from "sequelize";

export const name = "006-apart";

/** What is moved: from which columns of a shop's row, into the row of which state. */
const MOVES = [
  { state: "draft", column: "seq", version: "seq" },
  { state: "goods", column: "goodsVersion", version: "goodsVersion" },
  { state: "pictures", column: "picturesVersion", version: "picturesVersion" },
  {
    state: "publication",
    column: "publicationId",
    version: "(SELECT COALESCE(MAX(p.number), 0) FROM publications p WHERE p.shopId = shops.id)",
    pointer: "publicationId",
  },
  { state: "settings", column: "goodsSettings", version: "0", body: "goodsSettings" },
] as const;

/**
 * What of a shop changes apart from the rest gets a row of its own, so that it can be locked by itself: the rows of
 * products, orders and changes all refer to the shop's row, and whoever writes one of them holds it.
 * The log of the draft notes who made a change, and in which tab. Shops say where their day begins.
 * Each step can be taken again, where the process was killed between two of them.
 */
export async function up(q: QueryInterface): Promise<void> {
  const run = (sql: string) => q.sequelize.query(sql);
  await q.createTable("shopStates", {
    shopId: {
      type: DataTypes.STRING(40),
      allowNull: false,
      primaryKey: true,
      references: { model: "shops", key: "id" },
      onDelete: "CASCADE",
    },
    state: { type: DataTypes.STRING(20), allowNull: false, primaryKey: true },
    version: { type: DataTypes.INTEGER.UNSIGNED, allowNull: false, defaultValue: 0 },
    pointer: { type: DataTypes.STRING(40), allowNull: true },
    body: { type: DataTypes.TEXT("long"), allowNull: true },
  });
  const columns = await q.describeTable("shops");
  for (const move of MOVES) {
    if (!columns[move.column]) continue;
    const pointer = "pointer" in move ? move.pointer : "NULL";
    const body = "body" in move ? move.body : "NULL";
    await run(
      `INSERT IGNORE INTO shopStates (shopId, state, version, pointer, body)
       SELECT id, '${move.state}', ${move.version}, ${pointer}, ${body} FROM shops`,
    );
    await run(`ALTER TABLE shops DROP COLUMN ${move.column}`);
  }
  await run("INSERT IGNORE INTO shopStates (shopId, state) SELECT id, 'versions' FROM shops");
  // Shops from before were all opened in this one.
  await run("ALTER TABLE shops ADD COLUMN IF NOT EXISTS timeZone VARCHAR(60) NOT NULL DEFAULT 'Europe/London'");
  await run("ALTER TABLE draftLog ADD COLUMN IF NOT EXISTS tab VARCHAR(40) NULL");
  await run("ALTER TABLE draftLog ADD COLUMN IF NOT EXISTS ownerId VARCHAR(40) NULL");
}
