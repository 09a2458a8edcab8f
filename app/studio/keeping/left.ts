import { z } from "zod";
import type { Transaction } from "~/core/commands";
import type { Aside, Left } from "~/core/keeping";
import { transactionSchema } from "~/core/schema";
import { readTransaction } from "~/kinds/reading";

// What is not on the server yet lies in this browser's storage as well, by shop and tab.

const pending = z.array(transactionSchema);
const leftSchema = z.union([
  z.object({ pending, aside: z.array(z.object({ transaction: transactionSchema, why: z.string().max(500) })) }),
  // Earlier versions stored the pending changes alone.
  pending.transform((list) => ({ pending: list, aside: [] })),
]);

const prefixOf = (shop: string) => `zest.pending.${shop}.`;

/** Everything in this browser that belongs to a shop: the tabs' names. */
export const tabsWithLeft = (shop: string): readonly string[] =>
  Object.keys(localStorage)
    .filter((key) => key.startsWith(prefixOf(shop)))
    .map((key) => key.slice(prefixOf(shop).length));

/** What a tab left; nothing where its storage is damaged. */
export function readLeft(shop: string, tab: string): Left {
  try {
    const parsed = leftSchema.safeParse(JSON.parse(localStorage.getItem(prefixOf(shop) + tab) ?? "null"));
    if (!parsed.success) return { pending: [], aside: [] };
    return {
      pending: parsed.data.pending.map(readTransaction),
      aside: parsed.data.aside.map((a) => ({ ...a, transaction: readTransaction(a.transaction) })),
    };
  } catch {
    return { pending: [], aside: [] };
  }
}

export const forgetLeft = (shop: string, tab: string): void => localStorage.removeItem(prefixOf(shop) + tab);

/** Stores what a tab has that is not on the server. @throws when the browser's storage is full */
export function storeLeft(shop: string, tab: string, pending: readonly Transaction[], aside: readonly Aside[]): void {
  if (pending.length || aside.length)
    localStorage.setItem(prefixOf(shop) + tab, JSON.stringify({ pending, aside } satisfies Left));
  else forgetLeft(shop, tab);
}
