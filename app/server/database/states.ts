import type { Transaction } from "sequelize";
import { ShopState } from "./models";

/**
 * What of a shop changes apart from the rest. Each has a row of its own, which is its lock and says how often it has
 * changed: whoever changes goods holds nobody up who writes a page.
 */
export const STATES = [
  "draft",
  "goods",
  "pictures",
  "publication",
  "settings",
  "versions",
  "orders",
  "testOrders",
] as const;
export type State = (typeof STATES)[number];

/** Waits until nobody else is changing this of the shop, and keeps it so until the transaction ends. */
export const lockState = (shopId: string, state: State, transaction: Transaction): Promise<ShopState> =>
  ShopState.findOne({ where: { shopId, state }, transaction, lock: true, rejectOnEmpty: true });

/** How this of the shop stands. */
export const stateOf = (shopId: string, state: State, transaction?: Transaction): Promise<ShopState> =>
  ShopState.findOne({ where: { shopId, state }, rejectOnEmpty: true, ...(transaction ? { transaction } : {}) });

/** Notes that this of the shop has changed. */
export const countUp = async (shopId: string, state: State, transaction?: Transaction): Promise<void> =>
  void (await ShopState.increment("version", { where: { shopId, state }, ...(transaction ? { transaction } : {}) }));
