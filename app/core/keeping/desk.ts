import type { Transaction } from "../commands";
import type { Draft } from "../document";
import { applyAll, type Operation } from "../operations";
import { transactionSchema } from "../schema";
import type { Answer } from "./protocol";

/** What the server has, as far as a request needs it. */
export type Stored = {
  /** The number of the last change. */
  readonly seq: number;
  readonly draft: Draft;
  /** All that was stored after the base of the request, oldest first. */
  readonly since: readonly Transaction[];
  /** Ids of those of them that were made under the name of the tab that sends. */
  readonly own?: readonly string[];
  /** Which of the transactions sent are stored already, wherever in the log. */
  readonly known: ReadonlySet<string>;
};

/** Why a changed draft may not be kept; undefined where it may. Looks at what the operations touched. */
export type Objection = (draft: Draft, operations: readonly Operation[]) => string | undefined;

/** The answer to a request, and, where there is something to store, what. */
export type Judged = {
  readonly answer: Answer;
  readonly store?: { readonly draft: Draft; readonly transactions: readonly Transaction[] };
};

export type ReadSent =
  | { readonly ok: true; readonly transactions: readonly Transaction[] }
  | { readonly ok: false; readonly answer: Extract<Answer, { code: "refused" }> };

/** Reads what was sent, transaction by transaction, so that the one that can't be read is named. */
export function readSent(sent: readonly unknown[]): ReadSent {
  const transactions: Transaction[] = [];
  for (const each of sent) {
    const parsed = transactionSchema.safeParse(each);
    if (!parsed.success) {
      const id = typeof each === "object" && each !== null && "id" in each ? String(each.id) : "";
      const issue = parsed.error.issues[0];
      const why = issue?.code === "too_big" ? "It is larger than what can be saved." : "It can’t be read.";
      return { ok: false, answer: { ok: false, code: "refused", transaction: id, why } };
    }
    transactions.push(parsed.data);
  }
  return { ok: true, transactions };
}

/**
 * Decides about changes that a tab has sent: all of them are stored, in order, or none. Sending the same change twice is
 * harmless, whatever was stored in between.
 */
export function judge(stored: Stored, sent: readonly Transaction[], problem: Objection): Judged {
  // What the sender itself had sent, without hearing back, is no news to it, where it comes first in what is sent: changes that were
  // left by two tabs may be sent in another order than they were kept in, and would then stand in another one there.
  if (stored.since.some((t, i) => t.id !== sent[i]?.id))
    return { answer: { ok: false, code: "behind", seq: stored.seq, missed: stored.since, own: stored.own } };
  const fresh = sent.filter((t) => !stored.known.has(t.id));
  let { draft } = stored;
  for (const each of fresh) {
    const applied = applyAll(draft, each.operations);
    const why = applied.ok ? problem(applied.draft, each.operations) : "It doesn’t fit what is there now.";
    if (!applied.ok || why !== undefined)
      return { answer: { ok: false, code: "refused", transaction: each.id, why: why ?? "" } };
    draft = applied.draft;
  }
  const answer = { ok: true, seq: stored.seq + fresh.length } as const;
  return fresh.length ? { answer, store: { draft, transactions: fresh } } : { answer };
}
