import { createAccount } from "../accounts/index.server";
import { database, migrate } from "../database/index.server";
import { createShop, type Shop } from "../shops/index.server";

let count = 0;

/** An owner with a shop, unlike any other of this run. */
export async function ownerWithShop(): Promise<{ ownerId: string; address: string; password: string; shop: Shop }> {
  database();
  await migrate();
  const n = `${process.pid}-${++count}-${Date.now().toString(36)}`;
  const address = `owner-${n}@shop.example`;
  const password = "a long enough password";
  const account = await createAccount({ name: "Owner", address, password });
  if (!account.ok) throw new Error(account.why);
  const made = await createShop(account.owner.id, {
    name: `Shop ${n}`,
    host: `shop-${n}`.toLowerCase().slice(0, 38),
    currency: "EUR",
  });
  if (!made.ok) throw new Error(made.why);
  return { ownerId: account.owner.id, address, password, shop: made.shop };
}
