import { UniqueConstraintError } from "sequelize";
import { z } from "zod";
import { newId, type Draft } from "~/core/document";
import { CURRENCIES, currencyDigits, MONEY_FORMATS } from "~/core/money";
import type { moneyAndTime } from "~/core/protocol";
import { isTimeZone } from "~/core/situation";
import { LRUCache } from "lru-cache";
import { CODE_HOST } from "../config/index.server";
import { atomically, DraftPart, lockState, ProductRow, ShopRow, ShopState, STATES } from "../database/index.server";
import { starterDraft } from "./starter";

export { frameDocument, menuDocument, menuItem, pageDocument, starterDraft } from "./starter";

export type Shop = {
  readonly id: string;
  readonly ownerId: string;
  /** First label of its host name: `{host}.localhost`. */
  readonly host: string;
  readonly currency: string;
  readonly locale: string;
  /** Where its day begins: an IANA time zone. */
  readonly timeZone: string;
  /** How it writes its prices: one of `MONEY_FORMATS`. */
  readonly moneyFormat: string;
  readonly goodsVersion: number;
  readonly picturesVersion: number;
  readonly publicationId: string | null;
};

// Names that would be mistaken for something else on the same machine.
const RESERVED = new Set(["www", "studio", "admin", "api", "mail", "localhost", "shop", CODE_HOST]);

export const newShopSchema = z.object({
  name: z.string().trim().min(1, "Write the shop’s name.").max(60, "That is too long for a shop’s name."),
  host: z
    .string()
    .trim()
    .toLowerCase()
    .regex(/^[a-z][a-z0-9-]{1,38}[a-z0-9]$/, "Use 3 to 40 small letters, digits and hyphens, beginning with a letter.")
    .refine((host) => !RESERVED.has(host), "This address is not free. Choose another one."),
  currency: z.enum(CURRENCIES, "Choose a currency."),
  timeZone: z.string().max(60).refine(isTimeZone, "Choose a time zone."),
});

/** The shops of these rows, with how far their parts have come. */
async function toShops(rows: readonly ShopRow[]): Promise<Shop[]> {
  const states = await ShopState.findAll({
    where: { shopId: rows.map((row) => row.id), state: ["goods", "pictures", "publication"] },
    attributes: ["shopId", "state", "version", "pointer"],
  });
  return rows.map((row) => {
    const at = (state: string) => states.find((s) => s.shopId === row.id && s.state === state);
    return {
      id: row.id,
      ownerId: row.ownerId,
      host: row.host,
      currency: row.currency,
      locale: row.locale,
      timeZone: row.timeZone,
      moneyFormat: row.moneyFormat,
      goodsVersion: at("goods")?.version ?? 0,
      picturesVersion: at("pictures")?.version ?? 0,
      publicationId: at("publication")?.pointer ?? null,
    };
  });
}

export type NewShop =
  { readonly ok: true; readonly shop: Shop } | { readonly ok: false; readonly field: "host"; readonly why: string };

/** Opens a shop for an owner, with a finished home page as its draft. Nothing is published yet. */
export async function createShop(
  ownerId: string,
  input: z.infer<typeof newShopSchema>,
  draft: Draft = starterDraft(input.name),
): Promise<NewShop> {
  try {
    return await atomically(async (transaction) => {
      const row = await ShopRow.create(
        {
          id: newId(),
          ownerId,
          host: input.host,
          currency: input.currency,
          locale: "en-GB",
          timeZone: input.timeZone,
          moneyFormat: MONEY_FORMATS[0],
          createdAt: new Date(),
        },
        { transaction },
      );
      await ShopState.bulkCreate(
        STATES.map((state) => ({
          shopId: row.id,
          state,
          version: 0,
          pointer: null,
          body: state === "settings" ? "{}" : null,
        })),
        { transaction },
      );
      const parts = [["look", draft.look] as const, ...Object.entries(draft.documents)];
      await DraftPart.bulkCreate(
        parts.map(([part, body]) => ({ shopId: row.id, part, body: JSON.stringify(body) })),
        { transaction },
      );
      const { id, host, currency, locale, timeZone, moneyFormat } = row;
      const nothing = { goodsVersion: 0, picturesVersion: 0, publicationId: null };
      return { ok: true, shop: { id, ownerId, host, currency, locale, timeZone, moneyFormat, ...nothing } };
    });
  } catch (error) {
    if (error instanceof UniqueConstraintError)
      return { ok: false, field: "host", why: "Another shop has this address. Choose another one." };
    throw error;
  }
}

export async function shopsOf(ownerId: string): Promise<readonly Shop[]> {
  return toShops(await ShopRow.findAll({ where: { ownerId }, order: [["createdAt", "ASC"]] }));
}

const nameSchema = z.object({ identity: z.object({ name: z.string() }) });
const nameIn = (look: string): string | undefined => {
  try {
    return nameSchema.safeParse(JSON.parse(look)).data?.identity.name;
  } catch {
    // What is damaged is said where that shop is opened.
    return undefined;
  }
};

/** What shops are called, as their owners have it now; the host name where that can't be read. */
export async function namesOf(shops: readonly Shop[]): Promise<ReadonlyMap<string, string>> {
  const rows = await DraftPart.findAll({ where: { shopId: shops.map((s) => s.id), part: "look" } });
  const looks = new Map(rows.map(({ shopId, body }) => [shopId, body]));
  return new Map(shops.map(({ id, host }) => [id, nameIn(looks.get(id) ?? "") ?? host]));
}

/** The shop, if it is this owner's; somebody else's is the same as none. */
export async function shopOf(ownerId: string, shopId: string): Promise<Shop | undefined> {
  return (await toShops(await ShopRow.findAll({ where: { id: shopId, ownerId } })))[0];
}

/** A shop, whoever owns it; undefined where it is gone. */
export const shopById = async (id: string): Promise<Shop | undefined> =>
  (await toShops(await ShopRow.findAll({ where: { id } })))[0];

/** A shop as it is now, where something long has happened since it was read. */
export async function freshShop({ ownerId, id }: Pick<Shop, "ownerId" | "id">): Promise<Shop> {
  const found = await shopOf(ownerId, id);
  if (!found) throw new Error("the shop is gone");
  return found;
}

/** How long another process may serve what this one has changed, in ms. */
const REMEMBERED_MS = 500;
type Remembered = { readonly shop: Shop | undefined };
const remembered = new LRUCache<string, Remembered>({ max: 5_000, ttl: REMEMBERED_MS });
/** What is being read: whoever asks meanwhile waits for the same answer. */
const reading = new Map<string, Promise<Remembered>>();

/** Makes a change of a shop show at once in what this process serves. */
export function forgetShops(): void {
  remembered.clear();
  reading.clear();
}

async function read(host: string): Promise<Shop | undefined> {
  const under = reading.get(host);
  if (under) return (await under).shop;
  const asked = (async () => {
    const [shop] = await toShops(await ShopRow.findAll({ where: { host } }));
    return { shop };
  })();
  reading.set(host, asked);
  try {
    const found = await asked;
    // What was changed meanwhile is not to be forgotten again.
    if (reading.get(host) === asked) remembered.set(host, found);
    return found.shop;
  } finally {
    if (reading.get(host) === asked) reading.delete(host);
  }
}

/**
 * The shop at a host name, where it was read a moment ago. One that is about to be forgotten is read again meanwhile, so that a
 * crowd never has to wait for it.
 */
export function shopJustRead(host: string): Shop | undefined {
  const known = remembered.get(host);
  if (known && !reading.has(host) && remembered.getRemainingTTL(host) < REMEMBERED_MS / 2)
    // Whoever comes when it is forgotten finds out what is wrong.
    read(host).catch(() => undefined);
  return known?.shop;
}

/** The shop at a host name. Asked on every request of a shopper, so it is remembered for a moment. */
export async function shopAt(host: string): Promise<Shop | undefined> {
  const known = remembered.get(host);
  return known ? known.shop : read(host);
}

export type MoneyChange =
  { readonly ok: true } | { readonly ok: false; readonly field: "currency"; readonly why: string };

/**
 * Changes the currency of a shop, how it writes prices, and where its day begins. It holds at once, for shoppers too, as goods do.
 * Prices keep their numbers: so one currency can take the place of another only where both have as many decimals, or where there
 * are no goods yet.
 */
export async function changeMoney(shop: Shop, input: z.infer<(typeof moneyAndTime)["input"]>): Promise<MoneyChange> {
  const changed = await atomically(async (transaction): Promise<MoneyChange> => {
    // Nobody brings in a price of the old currency meanwhile; and with another version, nothing that was drawn is served again.
    const state = await lockState(shop.id, "goods", transaction);
    const row = await ShopRow.findByPk(shop.id, { transaction, rejectOnEmpty: true });
    const [before, after] = [currencyDigits(row.currency), currencyDigits(input.currency)];
    if (before !== after && (await ProductRow.count({ where: { shopId: shop.id }, transaction })) > 0)
      return {
        ok: false,
        field: "currency",
        why: `Your prices have ${String(before)} decimals, and ${input.currency} has ${String(after)}. It can be chosen while there are no goods.`,
      };
    const { currency, moneyFormat, timeZone } = input;
    await row.update({ currency, moneyFormat, timeZone }, { transaction });
    await state.update({ version: state.version + 1 }, { transaction });
    return { ok: true };
  });
  forgetShops();
  return changed;
}
