import { Sequelize, type Transaction } from "sequelize";
import { Umzug } from "umzug";
import { config } from "../config/index.server";
import { defineModels } from "./models";
import * as first from "./migrations/001-first";
import * as pageVersions from "./migrations/002-page-versions";
import * as presence from "./migrations/003-presence";
import * as goods from "./migrations/004-goods";
import * as stays from "./migrations/005-what-was-said-stays";

/** Numbered and only ever added to. */
const MIGRATIONS = [first, pageVersions, presence, goods, stays];

let connection: Sequelize | undefined;

/** The connection of this process; made on first use. */
export function database(): Sequelize {
  if (!connection) {
    connection = new Sequelize(config().database, {
      dialect: "mariadb",
      logging: false,
      timezone: "+00:00",
      pool: { max: 10, acquire: 15_000 },
      define: { charset: "utf8mb4", collate: "utf8mb4_unicode_520_ci" },
    });
    defineModels(connection);
  }
  return connection;
}

/** Brings the schema up to date; does nothing where it is. */
export async function migrate(): Promise<readonly string[]> {
  const sequelize = database();
  const q = sequelize.getQueryInterface();
  await sequelize.query("CREATE TABLE IF NOT EXISTS migrations (name VARCHAR(100) PRIMARY KEY)");
  const umzug = new Umzug({
    migrations: MIGRATIONS.map(({ name, up }) => ({ name, up: () => up(q) })),
    storage: {
      executed: async () =>
        (await sequelize.query<{ name: string }>("SELECT name FROM migrations", { type: "SELECT" as never })).map(
          (r) => r.name,
        ),
      logMigration: async ({ name }) =>
        void (await sequelize.query("INSERT INTO migrations (name) VALUES (?)", { replacements: [name] })),
      unlogMigration: async () => {
        throw new Error("migrations go up only");
      },
    },
    logger: undefined,
  });
  return (await umzug.up()).map((m) => m.name);
}

/** Runs `work` in one database transaction: all of it is stored, or none. */
export const atomically = <T>(work: (transaction: Transaction) => Promise<T>): Promise<T> =>
  database().transaction(work);

export async function disconnect(): Promise<void> {
  await connection?.close();
  connection = undefined;
}

export * from "./models";
