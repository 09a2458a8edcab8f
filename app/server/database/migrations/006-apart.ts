import { DataTypes, type QueryInterface } from "sequelize";

export const name = "006-apart";

/**
 * What of a shop changes apart from the rest gets a row of its own, so that it can be locked by itself: the rows of
 * products, orders and changes all refer to the shop's row, and whoever writes one of them holds it.
 * The log of the draft notes who made a change, and in which tab.
 */
export async function up(q: QueryInterface): Promise<void> {
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
  const from = (state: string, version: string, pointer = "NULL", body = "NULL") =>
    q.sequelize.query(
      `INSERT INTO shopStates (shopId, state, version, pointer, body) SELECT id, '${state}', ${version}, ${pointer}, ${body} FROM shops`,
    );
  await from("draft", "seq");
  await from("goods", "goodsVersion");
  await from("pictures", "picturesVersion");
  await from(
    "publication",
    "(SELECT COALESCE(MAX(p.number), 0) FROM publications p WHERE p.shopId = shops.id)",
    "publicationId",
  );
  await from("settings", "0", "NULL", "goodsSettings");
  await from("versions", "0");
  for (const column of ["seq", "goodsVersion", "picturesVersion", "publicationId", "goodsSettings"])
    await q.sequelize.query(`ALTER TABLE shops DROP COLUMN ${column}`);
  // A shop's day begins at its own midnight. Shops from before were all opened in this one.
  await q.addColumn("shops", "timeZone", {
    type: DataTypes.STRING(60),
    allowNull: false,
    defaultValue: "Europe/London",
  });
  await q.addColumn("draftLog", "tab", { type: DataTypes.STRING(40), allowNull: true });
  await q.addColumn("draftLog", "ownerId", { type: DataTypes.STRING(40), allowNull: true });
}
