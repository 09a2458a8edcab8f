import { DataTypes, type CreationOptional, type Sequelize } from "sequelize";
import type { Handed, OrderEvent, OrderState } from "~/core/orders";
import { apart, count, counted, id, key, maybe, maybeMoment, moment, money, Row, text, yesNo } from "./columns";

export class OrderRow extends Row<OrderRow> {
  declare id: string;
  declare shopId: string;
  /** Null: it waits for its payment, or is something sold that is only learnt from. */
  declare number: CreationOptional<number | null>;
  declare isTest: CreationOptional<boolean>;
  /** What stands in the link by which whoever bought it sees it. */
  declare token: CreationOptional<string | null>;
  /** Since when that link is good; null: since it was ordered. */
  declare linkAt: CreationOptional<Date | null>;
  /** What the form said that it was sent with: sent twice, it is one order. */
  declare pressed: CreationOptional<string | null>;
  declare state: CreationOptional<OrderState | "sold">;
  declare handed: CreationOptional<Handed>;
  declare paid: CreationOptional<number>;
  declare refunded: CreationOptional<number>;
  declare total: CreationOptional<number>;
  declare mail: CreationOptional<string>;
  declare buyer: CreationOptional<string>;
  /** By which it is found besides: what was bought, as it was called. */
  declare words: CreationOptional<string | null>;
  declare body: CreationOptional<string | null>;
  /** Until when its goods are kept for it while it waits for its payment. */
  declare heldUntil: CreationOptional<Date | null>;
  /** Its payment waits for an answer of whoever bought it. */
  declare bankAsks: CreationOptional<boolean>;
  declare version: CreationOptional<number>;
  /** Who bought it, where they have an account. */
  declare shopperId: CreationOptional<string | null>;
  declare createdAt: Date;
}
export class OrderLine extends Row<OrderLine> {
  declare orderId: string;
  declare line: number;
  declare productId: string;
  declare variantId: string | null;
  declare count: number;
  declare price: number;
}
export class OrderEventRow extends Row<OrderEventRow> {
  declare id: CreationOptional<number>;
  declare orderId: string;
  declare what: OrderEvent["what"];
  declare text: string;
  declare amount: number | null;
  declare createdAt: Date;
}
/** What an order had of an offer. */
export class OfferUse extends Row<OfferUse> {
  declare id: CreationOptional<number>;
  declare shopId: string;
  declare offerId: string;
  declare orderId: string;
  declare mail: string;
  declare amount: number;
  declare total: number;
  declare createdAt: Date;
}
/** A letter about an order that is still to be sent. */
export class OrderLetterRow extends Row<OrderLetterRow> {
  declare id: CreationOptional<number>;
  declare orderId: string;
  declare what: string;
  declare text: string;
  declare createdAt: Date;
}
/** What there is of a product, or of one variant of it (`variantId` is empty for the product itself). What nobody counts has no row. */
export class StockRow extends Row<StockRow> {
  declare shopId: string;
  declare productId: string;
  declare variantId: string;
  declare pieces: number;
  /** Sold beyond what there is. */
  declare owed: CreationOptional<number>;
}
/** Every change of stock, and why. */
export class StockLog extends Row<StockLog> {
  declare id: CreationOptional<number>;
  declare shopId: string;
  declare productId: string;
  declare variantId: string;
  declare pieces: number;
  declare why: "set" | "order" | "back";
  declare orderId: string | null;
  declare createdAt: Date;
}

/** Ties the models of orders and stock to a connection. */
export function defineOrderModels(sequelize: Sequelize): void {
  const named = (tableName: string) => ({ sequelize, tableName, timestamps: false }) as const;
  const maybeText = { type: DataTypes.STRING, allowNull: true, defaultValue: null } as const;
  OrderRow.init(
    apart({
      id: key,
      shopId: id,
      number: { type: DataTypes.INTEGER.UNSIGNED, allowNull: true, defaultValue: null },
      isTest: yesNo,
      token: maybeText,
      linkAt: maybeMoment,
      pressed: maybeText,
      state: { ...text, defaultValue: "sold" },
      handed: { ...text, defaultValue: "open" },
      paid: money("paid"),
      refunded: money("refunded"),
      total: money("total"),
      mail: { ...text, defaultValue: "" },
      buyer: { ...text, defaultValue: "" },
      words: { type: DataTypes.TEXT, allowNull: true, defaultValue: null },
      body: { type: DataTypes.TEXT("long"), allowNull: true, defaultValue: null },
      heldUntil: maybeMoment,
      bankAsks: yesNo,
      version: count,
      shopperId: { ...maybe, defaultValue: null },
      createdAt: moment,
    }),
    named("orders"),
  );
  OrderLine.init(
    apart({
      orderId: key,
      line: { type: DataTypes.INTEGER.UNSIGNED, allowNull: false, primaryKey: true },
      productId: id,
      variantId: { type: DataTypes.STRING(40), allowNull: true },
      count,
      price: money("price"),
    }),
    named("orderLines"),
  );
  OrderEventRow.init(
    apart({
      id: counted,
      orderId: id,
      what: text,
      text: { type: DataTypes.STRING(2000), allowNull: false },
      amount: money("amount", { isNull: true }),
      createdAt: moment,
    }),
    named("orderEvents"),
  );
  OfferUse.init(
    apart({
      id: counted,
      shopId: id,
      offerId: id,
      orderId: id,
      mail: text,
      amount: money("amount"),
      total: money("total"),
      createdAt: moment,
    }),
    named("offerUses"),
  );
  OrderLetterRow.init(
    apart({
      id: counted,
      orderId: id,
      what: text,
      text: { type: DataTypes.STRING(2000), allowNull: false },
      createdAt: moment,
    }),
    named("orderLetters"),
  );
  StockRow.init(apart({ shopId: key, productId: key, variantId: key, pieces: count, owed: count }), named("stock"));
  StockLog.init(
    apart({
      id: counted,
      shopId: id,
      productId: id,
      variantId: id,
      pieces: { type: DataTypes.INTEGER, allowNull: false },
      why: text,
      orderId: { type: DataTypes.STRING(40), allowNull: true },
      createdAt: moment,
    }),
    named("stockLog"),
  );
}
