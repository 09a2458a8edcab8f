import { DataTypes, type QueryInterface } from "sequelize";

const id = { type: DataTypes.STRING(40), allowNull: false } as const;

export const name = "002-page-versions";

/** Pages put aside: one at each publication that changed it, and whenever a seller asks. */
export async function up(q: QueryInterface): Promise<void> {
  await q.createTable("pageVersions", {
    id: { ...id, primaryKey: true },
    shopId: { ...id, references: { model: "shops", key: "id" }, onDelete: "CASCADE" },
    part: id,
    name: { type: DataTypes.STRING(80), allowNull: false },
    /** The publication that made it; null for one that was asked for. */
    publication: { type: DataTypes.INTEGER.UNSIGNED, allowNull: true },
    body: { type: DataTypes.TEXT("long"), allowNull: false },
    createdAt: { type: DataTypes.DATE(3), allowNull: false },
  });
  await q.addIndex("pageVersions", ["shopId", "part", "createdAt"], { name: "pageVersionsByPage" });
}
