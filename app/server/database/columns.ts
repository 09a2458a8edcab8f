import { DataTypes, Model, type InferAttributes, type InferCreationAttributes } from "sequelize";

// What the columns of the tables are made of.

export class Row<T extends Model> extends Model<InferAttributes<T>, InferCreationAttributes<T>> {}

export const id = { type: DataTypes.STRING(40), allowNull: false } as const;
export const key = { ...id, primaryKey: true } as const;
export const long = { type: DataTypes.TEXT("long"), allowNull: false } as const;
export const text = { type: DataTypes.STRING, allowNull: false } as const;
export const textKey = { ...text, primaryKey: true } as const;
export const count = { type: DataTypes.INTEGER.UNSIGNED, allowNull: false, defaultValue: 0 } as const;
export const moment = { type: DataTypes.DATE(3), allowNull: false, defaultValue: DataTypes.NOW } as const;
export const yesNo = { type: DataTypes.BOOLEAN, allowNull: false, defaultValue: false } as const;
export const counted = { type: DataTypes.BIGINT.UNSIGNED, autoIncrement: true, primaryKey: true } as const;
export const maybe = { type: DataTypes.STRING(40), allowNull: true } as const;
export const maybeMoment = { type: DataTypes.DATE(3), allowNull: true } as const;

/** An amount of money: MariaDB's 64-bit integers come back as text. */
export const money = (name: string, { isNull = false, isSigned = false } = {}) => ({
  type: isSigned ? DataTypes.BIGINT : DataTypes.BIGINT.UNSIGNED,
  allowNull: isNull,
  ...(isNull ? {} : { defaultValue: 0 }),
  get(this: Model): number | null {
    const stored: unknown = this.getDataValue(name as never);
    return stored === null || stored === undefined ? null : Number(stored);
  },
});

/** Sequelize writes the attribute's name into its definition, so that one definition can't serve two attributes. */
export const apart = <T extends Record<string, object>>(attributes: T): T =>
  Object.fromEntries(Object.entries(attributes).map(([name, definition]) => [name, { ...definition }])) as T;
