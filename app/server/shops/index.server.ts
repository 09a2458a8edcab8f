import { UniqueConstraintError } from "sequelize";
import { z } from "zod";
import { newId, type Draft } from "~/core/document";
import { CURRENCIES } from "~/core/money";
import { atomically, database, DraftPart, ShopRow } from "../database/index.server";
import { starterDraft } from "./starter";

export { frameDocument, pageDocument, starterDraft } from "./starter";

export type Shop = {
  readonly id: string;
  readonly ownerId: string;
  /** First label of its host name: `{host}.localhost`. */
  readonly host: string;
  readonly currency: string;
  readonly locale: string;
  readonly seq: number;
  readonly goodsVersion: number;
  readonly picturesVersion: number;
  readonly publicationId: string | null;
};

// Names that would be mistaken for something else on the same machine.
const RESERVED = new Set(["www", "studio", "admin", "api", "mail", "localhost", "shop"]);

export const newShopSchema = z.object({
  name: z.string().trim().min(1, "Write the shop’s name.").max(60, "That is too long for a shop’s name."),
  host: z
    .string()
    .trim()
    .toLowerCase()
    .regex(/^[a-z][a-z0-9-]{1,38}[a-z0-9]$/, "Use 3 to 40 small letters, digits and hyphens, beginning with a letter.")
    .refine((host) => !RESERVED.has(host), "This address is not free. Choose another one."),
  currency: z.enum(CURRENCIES, "Choose a currency."),
});

const toShop = (row: ShopRow): Shop => ({
  id: row.id,
  ownerId: row.ownerId,
  host: row.host,
  currency: row.currency,
  locale: row.locale,
  seq: row.seq,
  goodsVersion: row.goodsVersion,
  picturesVersion: row.picturesVersion,
  publicationId: row.publicationId,
});

export type NewShop =
  { readonly ok: true; readonly shop: Shop } | { readonly ok: false; readonly field: "host"; readonly why: string };

/** Opens a shop for an owner, with a finished home page as its draft. Nothing is published yet. */
export async function createShop(
  ownerId: string,
  input: z.infer<typeof newShopSchema>,
  draft: Draft = starterDraft(input.name),
): Promise<NewShop> {
  database();
  try {
    return await atomically(async (transaction) => {
      const row = await ShopRow.create(
        {
          id: newId(),
          ownerId,
          host: input.host,
          currency: input.currency,
          locale: "en-GB",
          seq: 0,
          goodsVersion: 0,
          picturesVersion: 0,
          publicationId: null,
          goodsSettings: "{}",
          createdAt: new Date(),
        },
        { transaction },
      );
      const parts = [["look", draft.look] as const, ...Object.entries(draft.documents)];
      await DraftPart.bulkCreate(
        parts.map(([part, body]) => ({ shopId: row.id, part, body: JSON.stringify(body) })),
        { transaction },
      );
      return { ok: true, shop: toShop(row) };
    });
  } catch (error) {
    if (error instanceof UniqueConstraintError)
      return { ok: false, field: "host", why: "Another shop has this address. Choose another one." };
    throw error;
  }
}

export async function shopsOf(ownerId: string): Promise<readonly Shop[]> {
  database();
  return (await ShopRow.findAll({ where: { ownerId }, order: [["createdAt", "ASC"]] })).map(toShop);
}

/** The shop, if it is this owner's; somebody else's is the same as none. */
export async function shopOf(ownerId: string, shopId: string): Promise<Shop | undefined> {
  database();
  const row = await ShopRow.findOne({ where: { id: shopId, ownerId } });
  return row ? toShop(row) : undefined;
}

/** A shop as it is now, where something long has happened since it was read. */
export async function freshShop({ ownerId, id }: Pick<Shop, "ownerId" | "id">): Promise<Shop> {
  const found = await shopOf(ownerId, id);
  if (!found) throw new Error("the shop is gone");
  return found;
}

/** How long another process may serve what this one has changed. */
const REMEMBERED_MS = 500;
const MOST_REMEMBERED = 5_000;
const remembered = new Map<string, { shop: Shop | undefined; until: number }>();

/** Makes a change of a shop's row show at once in what this process serves. */
export const forgetShops = (): void => remembered.clear();

/** The shop at a host name. Asked on every request of a shopper, so it is remembered for a moment. */
export async function shopAt(host: string): Promise<Shop | undefined> {
  const known = remembered.get(host);
  if (known && known.until > Date.now()) return known.shop;
  database();
  const row = await ShopRow.findOne({ where: { host } });
  const shop = row ? toShop(row) : undefined;
  if (remembered.size >= MOST_REMEMBERED) remembered.clear();
  remembered.set(host, { shop, until: Date.now() + REMEMBERED_MS });
  return shop;
}
