import { DataTypes, type CreationOptional, type Sequelize } from "sequelize";
import type { EntryState, LetterSort, LetterState, ListState } from "~/core/mail";
import { apart, count, id, key, long, maybe, maybeMoment, moment, Row, text, textKey } from "./columns";

/** Somebody who is, was or wants to be on a list of a shop. */
export class SignUp extends Row<SignUp> {
  declare shopId: string;
  declare list: CreationOptional<string>;
  declare address: string;
  declare state: CreationOptional<ListState>;
  /** With it, in a letter, they say yes or leave. */
  declare token: CreationOptional<string>;
  declare page: CreationOptional<string>;
  declare createdAt: Date;
  declare onAt: Date | null;
  declare offAt: Date | null;
  /** The letter from which they left. */
  declare offBy: string | null;
}
/** What somebody sent with a form. */
export class FormEntry extends Row<FormEntry> {
  declare id: string;
  declare shopId: string;
  declare form: string;
  declare formName: string;
  declare page: string;
  declare state: EntryState;
  declare address: string | null;
  declare answers: string;
  declare replies: string;
  declare createdAt: Date;
  declare dropAt: Date | null;
}
export class EntryFile extends Row<EntryFile> {
  declare id: string;
  declare shopId: string;
  declare entryId: string;
  declare name: string;
  declare bytes: number;
  declare createdAt: Date;
}
export class LetterRow extends Row<LetterRow> {
  declare id: string;
  declare shopId: string;
  declare sort: LetterSort;
  declare list: string;
  declare day: number;
  declare body: string;
  declare state: LetterState;
  declare version: number;
  declare createdAt: Date;
  declare sentAt: Date | null;
}
export class LetterSend extends Row<LetterSend> {
  declare letterId: string;
  declare address: string;
  declare sentAt: Date;
}

/** Ties the models of Mail to a connection. */
export function defineMailModels(sequelize: Sequelize): void {
  const named = (tableName: string) => ({ sequelize, tableName, timestamps: false }) as const;
  SignUp.init(
    apart({
      shopId: key,
      list: { ...textKey, defaultValue: "News" },
      address: textKey,
      state: { ...text, defaultValue: "on" },
      token: { ...text, defaultValue: "" },
      page: { ...text, defaultValue: "" },
      createdAt: moment,
      onAt: maybeMoment,
      offAt: maybeMoment,
      offBy: maybe,
    }),
    named("signUps"),
  );
  FormEntry.init(
    apart({
      id: key,
      shopId: id,
      form: id,
      formName: text,
      page: text,
      state: text,
      address: { type: DataTypes.STRING(254), allowNull: true },
      answers: long,
      replies: long,
      createdAt: moment,
      dropAt: maybeMoment,
    }),
    named("formEntries"),
  );
  EntryFile.init(
    apart({ id: textKey, shopId: id, entryId: id, name: text, bytes: count, createdAt: moment }),
    named("entryFiles"),
  );
  LetterRow.init(
    apart({
      id: key,
      shopId: id,
      sort: text,
      list: text,
      day: count,
      body: long,
      state: text,
      version: count,
      createdAt: moment,
      sentAt: maybeMoment,
    }),
    named("letters"),
  );
  LetterSend.init(apart({ letterId: key, address: textKey, sentAt: moment }), named("letterSends"));
}
