import { z } from "zod";
import type { Transaction } from "../commands";
import type { Draft } from "../document";
import { draftSchema, MOST_SENT, transactionSchema } from "../schema";

// What a tab and the server say to each other about changes of the draft. Both sides read it with these schemas.

/** A tab's name: chosen by the tab, unlike any other that is open. */
export const tabName = z.string().regex(/^[\w-]{1,40}$/);

/**
 * A tab sends changes. They are read one by one (`transactionSchema`), so that the answer can name the one that can't be
 * kept; `base` is the number of the last change that the tab knows of.
 */
export const sendSchema = z.strictObject({
  base: z.number().int().min(0),
  tab: tabName,
  transactions: z.array(z.unknown()).min(1).max(MOST_SENT),
});
export type Send = {
  readonly base: number;
  readonly tab: string;
  readonly transactions: readonly Transaction[];
};

/**
 * A tab asks which of its changes the server has already, and for what it missed since the last change that it knows of; with
 * `null`, for the whole draft. `tab`: the name that they were made under.
 */
export const askSchema = z.strictObject({
  tab: tabName,
  known: z.array(z.string().min(1).max(40)).max(5_000),
  since: z.number().int().min(0).nullable(),
});
export type Ask = z.infer<typeof askSchema>;

/** A tab that is being closed says so. */
export const leaveSchema = z.strictObject({ leave: tabName });

const seq = z.number().int().min(0);
const transactions = z.array(transactionSchema);
/** Ids of those of them that were made under the name of the tab that asks: before it was reloaded. */
const own = z.array(z.string()).optional();

/** 200: the server has all of them now. `seq`: the number of the last one. */
export const storedSchema = z.object({ ok: z.literal(true), seq });
/** 409: others were faster. Nothing was stored; what the tab missed is here, oldest first. */
export const behindSchema = z.object({
  ok: z.literal(false),
  code: z.literal("behind"),
  seq,
  missed: transactions,
  own,
});
/** 422: one change can't be kept. Nothing was stored; the others can be sent again without it. */
export const refusedSchema = z.object({
  ok: z.literal(false),
  code: z.literal("refused"),
  transaction: z.string(),
  why: z.string(),
});
export type Answer =
  | z.infer<typeof storedSchema>
  | ({ readonly ok: false; readonly code: "behind" } & News)
  | z.infer<typeof refusedSchema>;

/** How far a shop's goods and pictures have come, and which publication shoppers see. */
export const versionsSchema = z.object({
  goods: z.number().int(),
  pictures: z.number().int(),
  publication: z.string().nullable(),
});
export type ShopVersions = z.infer<typeof versionsSchema>;

/** What others have kept, and who else has the shop open. */
export const newsSchema = z.object({
  seq,
  missed: transactions,
  own,
  others: z.array(z.object({ who: z.string(), place: z.string(), tab: tabName })),
  versions: versionsSchema.optional(),
});
export type News = {
  readonly seq: number;
  readonly missed: readonly Transaction[];
  readonly own?: readonly string[] | undefined;
};

/** As all of it was at one moment. */
export const askedSchema = z.object({
  known: z.array(z.string()),
  news: z.object({ seq, missed: transactions, own }).optional(),
  whole: z.object({ draft: draftSchema, seq }).optional(),
});
export type Asked = {
  readonly known: readonly string[];
  readonly news?: News | undefined;
  readonly whole?: { readonly draft: Draft; readonly seq: number } | undefined;
};

/** A change of the log, and who made it. Changes from before this was noted have neither. */
export type Logged = { readonly transaction: Transaction; readonly tab: string | null; readonly by: string | null };
