import { DataTypes, type QueryInterface } from "sequelize";

const id = { type: DataTypes.STRING(40), allowNull: false } as const;

export const name = "003-presence";

/** Which tabs have a shop open just now; nothing here outlives a minute. */
export async function up(q: QueryInterface): Promise<void> {
  await q.createTable("presence", {
    tab: { ...id, primaryKey: true },
    shopId: { ...id, references: { model: "shops", key: "id" }, onDelete: "CASCADE" },
    who: { type: DataTypes.STRING(80), allowNull: false },
    place: id,
    seenAt: { type: DataTypes.DATE(3), allowNull: false },
  });
  await q.addIndex("presence", ["shopId", "seenAt"], { name: "presenceByShop" });
}
