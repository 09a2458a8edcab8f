import { DataTypes, type CreationOptional, type Sequelize } from "sequelize";
import { apart, counted, id, key, long, maybe, maybeMoment, moment, money, Row, text, textKey, yesNo } from "./columns";

/** Somebody who has an account of a shop. */
export class Shopper extends Row<Shopper> {
  declare id: string;
  declare shopId: string;
  /** Known to be theirs, as `plainMail` writes it. */
  declare mail: string;
  declare name: string;
  /** An Argon2id hash. */
  declare password: string;
  declare addresses: string;
  declare createdAt: Date;
}
/** Its id is the hash of what only the browser knows. */
export class ShopperSession extends Row<ShopperSession> {
  declare id: string;
  declare shopperId: string;
  declare openedAt: Date;
  declare seenAt: Date;
  declare expiresAt: Date;
}
/**
 * What a link in a letter may do once; its id is the hash of what stands in the link. `shopperId`: whose address it is to become; null: it opens the
 * account of that address, which is made where there is none.
 */
export class ShopperLink extends Row<ShopperLink> {
  declare id: string;
  declare shopId: string;
  declare shopperId: string | null;
  declare mail: string;
  declare name: string;
  declare expiresAt: Date;
}
export class GiftCardRow extends Row<GiftCardRow> {
  declare id: string;
  declare shopId: string;
  declare code: string;
  /** The order in which it was bought; null: the seller made it. */
  declare orderId: string | null;
  declare amount: number;
  /** What is left on it. */
  declare rest: number;
  declare currency: string;
  declare design: string;
  declare toMail: string;
  declare fromName: string;
  declare message: string;
  declare until: Date | null;
  declare isOff: CreationOptional<boolean>;
  declare isTest: CreationOptional<boolean>;
  declare createdAt: Date;
}
/** What an order took from a card; less than nothing: what came back. */
export class GiftCardUse extends Row<GiftCardUse> {
  declare id: CreationOptional<number>;
  declare cardId: string;
  declare orderId: string;
  declare amount: number;
  declare createdAt: Date;
}

/** Ties the models of shoppers and their gift cards to a connection. */
export function defineShopperModels(sequelize: Sequelize): void {
  const named = (tableName: string) => ({ sequelize, tableName, timestamps: false }) as const;
  Shopper.init(
    apart({ id: key, shopId: id, mail: text, name: text, password: text, addresses: long, createdAt: moment }),
    named("shoppers"),
  );
  ShopperSession.init(
    apart({ id: textKey, shopperId: id, openedAt: moment, seenAt: moment, expiresAt: moment }),
    named("shopperSessions"),
  );
  ShopperLink.init(
    apart({ id: textKey, shopId: id, shopperId: maybe, mail: text, name: text, expiresAt: moment }),
    named("shopperLinks"),
  );
  GiftCardRow.init(
    apart({
      id: key,
      shopId: id,
      code: text,
      orderId: maybe,
      amount: money("amount"),
      rest: money("rest"),
      currency: text,
      design: text,
      toMail: text,
      fromName: text,
      message: { type: DataTypes.STRING(1200), allowNull: false },
      until: maybeMoment,
      isOff: yesNo,
      isTest: yesNo,
      createdAt: moment,
    }),
    named("giftCards"),
  );
  GiftCardUse.init(
    apart({ id: counted, cardId: id, orderId: id, amount: money("amount", { isSigned: true }), createdAt: moment }),
    named("giftCardUses"),
  );
}
