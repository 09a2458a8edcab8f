import { DataTypes, type CreationOptional, type Model, type Sequelize } from "sequelize";
import type { Availability, ReviewState, Sort } from "~/core/goods";
import { apart, count, id, key, long, maybe, maybeMoment, moment, Row, text, textKey } from "./columns";
import { defineMailModels } from "./mail-models";
import { defineOrderModels } from "./order-models";
import { defineShopperModels } from "./shopper-models";

// JSON is kept as text: MariaDB has no type of its own for it, and what is stored is validated by our own schemas.
// MariaDB's 64-bit integers come back as text; the getters below make them numbers again (all are under 2^53).

export class Owner extends Row<Owner> {
  declare id: string;
  declare address: string;
  declare name: string;
  declare password: string;
  declare createdAt: Date;
}
export class Session extends Row<Session> {
  declare id: string;
  declare ownerId: string;
  declare expiresAt: Date;
  declare openedAt: Date;
  declare seenAt: Date;
  /** From which address it was opened, and what the browser called itself. */
  declare place: string;
  declare agent: string;
}
/** A browser in which somebody has signed in before; its id is the hash of its secret. */
export class Device extends Row<Device> {
  declare id: string;
  declare ownerId: string;
  declare seenAt: Date;
}
/** Leave to choose a new password once; its id is the hash of what stands in the letter. */
export class NewPassword extends Row<NewPassword> {
  declare id: string;
  declare ownerId: string;
  declare expiresAt: Date;
}
/** How often something has happened, until when it counts. */
export class Tally extends Row<Tally> {
  declare id: string;
  declare count: number;
  declare endsAt: Date;
}
export class SignInFailure extends Row<SignInFailure> {
  declare id: string;
  declare failures: number;
  declare blockedUntil: Date;
}
export class ShopRow extends Row<ShopRow> {
  declare id: string;
  declare ownerId: string;
  declare host: string;
  declare currency: string;
  declare locale: string;
  /** An IANA name. */
  declare timeZone: string;
  /** How prices are written: a locale. */
  declare moneyFormat: string;
  /** Whoever signs up is asked by mail whether it was them. */
  declare confirmsByMail: CreationOptional<boolean>;
  declare createdAt: Date;
}
export class ShopState extends Row<ShopState> {
  declare shopId: string;
  declare state: string;
  /** How often it has changed. */
  declare version: number;
  declare pointer: string | null;
  declare body: string | null;
}
export class DraftPart extends Row<DraftPart> {
  declare shopId: string;
  declare part: string;
  declare body: string;
}
export class DraftLog extends Row<DraftLog> {
  declare shopId: string;
  declare seq: number;
  declare transactionId: string;
  declare body: string;
  /** The tab and the account that made it; null for changes from before this was noted. */
  declare tab: string | null;
  declare ownerId: string | null;
  declare createdAt: Date;
}
export class Publication extends Row<Publication> {
  declare id: string;
  declare shopId: string;
  declare number: number;
  declare body: string;
  declare changes: string;
  declare createdAt: Date;
}
export class FormerAddress extends Row<FormerAddress> {
  declare shopId: string;
  declare address: string;
  declare page: string;
  declare createdAt: Date;
}
export class PageVersion extends Row<PageVersion> {
  declare id: string;
  declare shopId: string;
  declare part: string;
  declare name: string;
  declare publication: number | null;
  declare body: string;
  declare createdAt: Date;
}
export class PlannedPublication extends Row<PlannedPublication> {
  declare id: string;
  declare shopId: string;
  declare what: string;
  declare dueAt: Date;
  declare backAt: Date | null;
  declare parts: string;
  declare body: string;
  declare doneAt: Date | null;
  declare why: string | null;
  declare createdAt: Date;
}
export class DraftLink extends Row<DraftLink> {
  declare id: string;
  declare shopId: string;
  declare endsAt: Date;
  declare createdAt: Date;
}
export class Presence extends Row<Presence> {
  declare tab: string;
  declare shopId: string;
  declare who: string;
  declare place: string;
  declare seenAt: Date;
}
export class PictureRow extends Row<PictureRow> {
  declare id: string;
  declare shopId: string;
  declare hash: string;
  declare name: string;
  declare alt: string;
  declare width: number;
  declare height: number;
  declare bytes: number;
  declare focusX: number;
  declare focusY: number;
  declare vector: boolean;
  declare shade: string | null;
  declare colours: string | null;
  declare tags: string | null;
  declare madeOf: string | null;
  declare rework: string | null;
  declare createdAt: Date;
  declare removedAt: Date | null;
}
export class CollectionRow extends Row<CollectionRow> {
  declare id: string;
  declare shopId: string;
  declare slug: string;
  declare title: string;
  declare description: string;
  declare pictureId: string | null;
  declare parentId: string | null;
  declare rules: string;
  declare sort: Sort;
  declare handOrder: string;
  declare search: string;
  declare position: number;
}
export class ProductRow extends Row<ProductRow> {
  declare id: string;
  declare shopId: string;
  declare slug: string;
  declare sku: string;
  declare title: string;
  declare description: string;
  declare price: number;
  declare compareAt: number | null;
  declare stock: number | null;
  declare availability: Availability;
  declare availableFrom: string | null;
  declare tags: string;
  declare attributes: string;
  declare pictures: string;
  declare more: string;
  declare archived: boolean;
  declare version: number;
  declare createdAt: Date;
  declare position: number;
}
export class ProductCollection extends Row<ProductCollection> {
  declare productId: string;
  declare collectionId: string;
}
export class GoodsLog extends Row<GoodsLog> {
  declare shopId: string;
  declare seq: number;
  declare label: string;
  declare body: Buffer;
  declare undone: boolean;
  declare createdAt: Date;
}
export class ReviewRow extends Row<ReviewRow> {
  declare id: string;
  declare shopId: string;
  declare productId: string;
  declare stars: number;
  declare title: string;
  declare text: string;
  declare name: string;
  declare state: ReviewState;
  declare answer: string;
  declare createdAt: Date;
}
export class ProductView extends Row<ProductView> {
  declare shopId: string;
  declare productId: string;
  declare day: string;
  declare count: number;
}
export class CartRow extends Row<CartRow> {
  declare id: string;
  declare shopId: string;
  declare body: string;
  declare updatedAt: Date;
  /** Whom it is to be brought to mind, and when; null: nobody asked for it. */
  declare remindTo: CreationOptional<string | null>;
  declare remindAt: CreationOptional<Date | null>;
}
export class AlertRow extends Row<AlertRow> {
  declare shopId: string;
  declare productId: string;
  declare variantId: string;
  declare address: string;
  declare createdAt: Date;
}
export class VideoRow extends Row<VideoRow> {
  declare shopId: string;
  declare file: string;
  declare name: string;
  declare bytes: number;
  declare createdAt: Date;
  declare removedAt: Date | null;
}
/** Ties the models to a connection. */
export function defineModels(sequelize: Sequelize): void {
  const money = (name: "price" | "compareAt", allowNull: boolean) => ({
    type: DataTypes.BIGINT.UNSIGNED,
    allowNull,
    get(this: Model): number | null {
      const stored: unknown = this.getDataValue(name);
      return stored === null || stored === undefined ? null : Number(stored);
    },
  });
  const named = (tableName: string) => ({ sequelize, tableName, timestamps: false }) as const;

  Owner.init(apart({ id: key, address: text, name: text, password: text, createdAt: moment }), named("owners"));
  Session.init(
    apart({
      id: textKey,
      ownerId: id,
      expiresAt: moment,
      openedAt: moment,
      seenAt: moment,
      place: { ...text, defaultValue: "" },
      agent: { ...text, defaultValue: "" },
    }),
    named("sessions"),
  );
  Device.init(apart({ id: textKey, ownerId: id, seenAt: moment }), named("devices"));
  NewPassword.init(apart({ id: textKey, ownerId: id, expiresAt: moment }), named("newPasswords"));
  Tally.init(apart({ id: textKey, count, endsAt: moment }), named("tallies"));
  SignInFailure.init(apart({ id: textKey, failures: count, blockedUntil: moment }), named("signInFailures"));
  ShopRow.init(
    apart({
      id: key,
      ownerId: id,
      host: text,
      currency: text,
      locale: text,
      timeZone: text,
      moneyFormat: text,
      confirmsByMail: { type: DataTypes.BOOLEAN, allowNull: false, defaultValue: false },
      createdAt: moment,
    }),
    named("shops"),
  );
  ShopState.init(
    apart({
      shopId: key,
      state: { type: DataTypes.STRING(20), allowNull: false, primaryKey: true },
      version: count,
      pointer: maybe,
      body: { type: DataTypes.TEXT("long"), allowNull: true },
    }),
    named("shopStates"),
  );
  DraftPart.init(apart({ shopId: key, part: key, body: long }), named("draftParts"));
  DraftLog.init(
    apart({
      shopId: key,
      seq: { type: DataTypes.INTEGER.UNSIGNED, primaryKey: true },
      transactionId: id,
      body: long,
      tab: maybe,
      ownerId: maybe,
      createdAt: moment,
    }),
    named("draftLog"),
  );
  Publication.init(
    apart({ id: key, shopId: id, number: count, body: long, changes: long, createdAt: moment }),
    named("publications"),
  );
  FormerAddress.init(
    apart({
      shopId: key,
      address: { type: DataTypes.STRING(500), primaryKey: true },
      page: id,
      createdAt: moment,
    }),
    named("formerAddresses"),
  );
  PlannedPublication.init(
    apart({
      id: key,
      shopId: id,
      what: text,
      dueAt: moment,
      backAt: maybeMoment,
      parts: long,
      body: long,
      doneAt: maybeMoment,
      why: { type: DataTypes.STRING(500), allowNull: true },
      createdAt: moment,
    }),
    named("plannedPublications"),
  );
  DraftLink.init(
    apart({ id: { ...text, primaryKey: true }, shopId: id, endsAt: moment, createdAt: moment }),
    named("draftLinks"),
  );
  PageVersion.init(
    apart({
      id: key,
      shopId: id,
      part: id,
      name: text,
      publication: { type: DataTypes.INTEGER.UNSIGNED, allowNull: true },
      body: long,
      createdAt: moment,
    }),
    named("pageVersions"),
  );
  Presence.init(apart({ tab: key, shopId: id, who: text, place: id, seenAt: moment }), named("presence"));
  PictureRow.init(
    apart({
      id: key,
      shopId: id,
      hash: text,
      name: text,
      alt: text,
      width: count,
      height: count,
      bytes: count,
      focusX: count,
      focusY: count,
      vector: { type: DataTypes.BOOLEAN, allowNull: false, defaultValue: false },
      shade: { type: DataTypes.STRING(7), allowNull: true, defaultValue: null },
      colours: { type: DataTypes.STRING(60), allowNull: true, defaultValue: null },
      tags: { type: DataTypes.TEXT, allowNull: true, defaultValue: null },
      madeOf: { type: DataTypes.STRING(40), allowNull: true, defaultValue: null },
      rework: { type: DataTypes.TEXT("medium"), allowNull: true, defaultValue: null },
      createdAt: moment,
      removedAt: { type: DataTypes.DATE(3), allowNull: true, defaultValue: null },
    }),
    // Whoever wants removed ones as well says so.
    { ...named("pictures"), defaultScope: { where: { removedAt: null } } },
  );
  CollectionRow.init(
    apart({
      id: key,
      shopId: id,
      slug: text,
      title: text,
      description: { type: DataTypes.TEXT, allowNull: false },
      pictureId: { type: DataTypes.STRING(40), allowNull: true },
      parentId: { type: DataTypes.STRING(40), allowNull: true },
      rules: { ...long, defaultValue: "null" },
      sort: { ...text, defaultValue: "hand" },
      handOrder: { ...long, defaultValue: "[]" },
      search: long,
      position: count,
    }),
    named("collections"),
  );
  ProductRow.init(
    apart({
      id: key,
      shopId: id,
      slug: text,
      sku: text,
      title: text,
      description: { type: DataTypes.TEXT, allowNull: false },
      price: money("price", false),
      compareAt: money("compareAt", true),
      stock: { type: DataTypes.INTEGER.UNSIGNED, allowNull: true },
      availability: text,
      availableFrom: { type: DataTypes.STRING(10), allowNull: true },
      tags: long,
      attributes: long,
      pictures: long,
      more: { ...long, defaultValue: "{}" },
      archived: { type: DataTypes.BOOLEAN, allowNull: false, defaultValue: false },
      version: count,
      createdAt: moment,
      position: count,
    }),
    named("products"),
  );
  ProductCollection.init(apart({ productId: key, collectionId: key }), named("productCollections"));
  const yesNo = { type: DataTypes.BOOLEAN, allowNull: false, defaultValue: false } as const;
  const words = { type: DataTypes.TEXT, allowNull: false } as const;
  const number = { type: DataTypes.INTEGER.UNSIGNED, allowNull: false, primaryKey: true } as const;
  GoodsLog.init(
    apart({
      shopId: key,
      seq: number,
      label: text,
      body: { type: DataTypes.BLOB("long"), allowNull: false },
      undone: yesNo,
      createdAt: moment,
    }),
    named("goodsLog"),
  );
  ReviewRow.init(
    apart({
      id: key,
      shopId: id,
      productId: id,
      stars: count,
      title: text,
      text: words,
      name: text,
      state: text,
      answer: words,
      createdAt: moment,
    }),
    named("reviews"),
  );
  ProductView.init(apart({ shopId: key, productId: key, day: textKey, count }), named("productViews"));
  CartRow.init(
    apart({
      id: textKey,
      shopId: id,
      body: long,
      updatedAt: moment,
      remindTo: { type: DataTypes.STRING(254), allowNull: true, defaultValue: null },
      remindAt: { type: DataTypes.DATE(3), allowNull: true, defaultValue: null },
    }),
    named("carts"),
  );
  AlertRow.init(
    apart({ shopId: key, productId: key, variantId: key, address: textKey, createdAt: moment }),
    named("alerts"),
  );
  VideoRow.init(
    apart({
      shopId: key,
      file: textKey,
      name: text,
      bytes: count,
      createdAt: moment,
      removedAt: { type: DataTypes.DATE(3), allowNull: true, defaultValue: null },
    }),
    named("videos"),
  );
  defineMailModels(sequelize);
  defineOrderModels(sequelize);
  defineShopperModels(sequelize);
}
