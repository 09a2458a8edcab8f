import { DataTypes, type QueryInterface } from "sequelize";

const id = { type: DataTypes.STRING(40), allowNull: false } as const;
const key = { ...id, primaryKey: true } as const;
const json = { type: DataTypes.TEXT("long"), allowNull: false } as const;
const moment = { type: DataTypes.DATE(3), allowNull: false } as const;
const count = { type: DataTypes.INTEGER.UNSIGNED, allowNull: false, defaultValue: 0 } as const;
const text = (length: number) => ({ type: DataTypes.STRING(length), allowNull: false }) as const;

const owned = (table: string, onDelete = "CASCADE") =>
  ({ ...id, references: { model: table, key: "id" }, onDelete }) as const;

export const name = "001-first";

export async function up(q: QueryInterface): Promise<void> {
  await q.createTable("owners", {
    id: key,
    address: { ...text(254), unique: true },
    name: text(80),
    password: text(200),
    createdAt: moment,
  });
  await q.createTable("sessions", {
    id: { ...text(64), primaryKey: true },
    ownerId: owned("owners"),
    expiresAt: moment,
  });
  await q.createTable("signInFailures", {
    id: { ...text(64), primaryKey: true },
    failures: count,
    blockedUntil: moment,
  });
  await q.createTable("shops", {
    id: key,
    ownerId: owned("owners"),
    host: { ...text(40), unique: true },
    currency: text(3),
    locale: text(20),
    /** How many transactions the draft has taken; the lock for keeping changes. */
    seq: count,
    goodsVersion: count,
    picturesVersion: count,
    publicationId: { type: DataTypes.STRING(40), allowNull: true },
    createdAt: moment,
  });
  await q.createTable("draftParts", {
    shopId: { ...owned("shops"), primaryKey: true },
    part: { ...id, primaryKey: true },
    body: json,
  });
  await q.createTable("draftLog", {
    shopId: { ...owned("shops"), primaryKey: true },
    seq: { type: DataTypes.INTEGER.UNSIGNED, primaryKey: true },
    transactionId: id,
    body: json,
    createdAt: moment,
  });
  await q.addIndex("draftLog", ["shopId", "transactionId"], { unique: true, name: "draftLogTransaction" });
  await q.createTable("publications", {
    id: key,
    shopId: owned("shops"),
    number: count,
    body: json,
    changes: json,
    createdAt: moment,
  });
  await q.addIndex("publications", ["shopId", "number"], { unique: true, name: "publicationNumber" });
  await q.createTable("pictures", {
    id: key,
    shopId: owned("shops"),
    hash: text(64),
    name: text(160),
    alt: text(300),
    width: count,
    height: count,
    bytes: count,
    focusX: { ...count, defaultValue: 50 },
    focusY: { ...count, defaultValue: 50 },
    vector: { type: DataTypes.BOOLEAN, allowNull: false, defaultValue: false },
    createdAt: moment,
  });
  await q.addIndex("pictures", ["shopId", "hash"], { unique: true, name: "pictureHash" });
  await q.createTable("collections", {
    id: key,
    shopId: owned("shops"),
    slug: text(100),
    title: text(160),
    description: { type: DataTypes.TEXT, allowNull: false },
    pictureId: { type: DataTypes.STRING(40), allowNull: true },
    position: count,
  });
  await q.addIndex("collections", ["shopId", "slug"], { unique: true, name: "collectionSlug" });
  await q.createTable("products", {
    id: key,
    shopId: owned("shops"),
    slug: text(100),
    sku: text(80),
    title: text(160),
    description: { type: DataTypes.TEXT, allowNull: false },
    price: { type: DataTypes.BIGINT.UNSIGNED, allowNull: false },
    compareAt: { type: DataTypes.BIGINT.UNSIGNED, allowNull: true },
    stock: { type: DataTypes.INTEGER.UNSIGNED, allowNull: true },
    availability: text(20),
    availableFrom: { type: DataTypes.STRING(10), allowNull: true },
    tags: json,
    attributes: json,
    pictures: json,
    position: count,
  });
  await q.addIndex("products", ["shopId", "slug"], { unique: true, name: "productSlug" });
  await q.addIndex("products", ["shopId", "sku"], { unique: true, name: "productSku" });
  await q.createTable("productCollections", {
    productId: { ...owned("products"), primaryKey: true },
    collectionId: { ...owned("collections"), primaryKey: true },
  });
  await q.createTable("signUps", {
    shopId: { ...owned("shops"), primaryKey: true },
    address: { ...text(254), primaryKey: true },
    createdAt: moment,
  });
}
