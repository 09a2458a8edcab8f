import { newId, type Draft } from "../document";
import { LONGEST_LABEL } from "../schema/limits";
import { applyAll, invertAll, rebase, type Operation } from "../operations";

/** One thing that a seller did: its operations, and the words for it. */
export type Transaction = {
  readonly id: string;
  /** Transactions of one group are undone together (typing, dragging a colour). */
  readonly group: string;
  /** A stable name for what was meant, for the log. */
  readonly intent: string;
  /** What it was, in the seller's words: "Words changed in Hero". */
  readonly label: string;
  readonly operations: readonly Operation[];
  /** The group that this one takes back, or brings back. */
  readonly undoes?: string;
  readonly redoes?: string;
  /** The node to select after it. */
  readonly selects?: string;
};

/** What a command answers: the transaction to carry out, or why it can't be done. */
export type Outcome =
  | { readonly ok: true; readonly transaction: Transaction; readonly mergeKey?: string }
  | { readonly ok: false; readonly why: string };

/** A label that can be saved: one that is too long loses its end. */
export const labelOf = (words: string): string =>
  words.length <= LONGEST_LABEL ? words : `${words.slice(0, LONGEST_LABEL - 1).replace(/[\uD800-\uDBFF]$/u, "")}…`;

export function transaction(
  intent: string,
  label: string,
  operations: readonly Operation[],
  more: { selects?: string; mergeKey?: string } = {},
): Outcome {
  const { mergeKey, ...rest } = more;
  const made = { id: newId(), group: newId(), intent, label: labelOf(label), operations, ...rest };
  return { ok: true, transaction: made, ...(mergeKey === undefined ? {} : { mergeKey }) };
}

export const refuse = (why: string): Outcome => ({ ok: false, why });

/** A group of transactions that undo takes back in one step. */
export type Step = { readonly group: string; readonly label: string; readonly operations: readonly Operation[] };

/** What can be undone (latest last) and what can be brought back (next one last). */
export type History = { readonly past: readonly Step[]; readonly future: readonly Step[] };

export const NO_HISTORY: History = { past: [], future: [] };

/** The history after `next` was carried out. Folding it over a log gives the history back after a reload. */
export function remember(history: History, next: Transaction): History {
  if (next.undoes !== undefined) {
    const step = history.past.find((s) => s.group === next.undoes);
    if (!step) return history;
    return { past: history.past.filter((s) => s !== step), future: [...history.future, step] };
  }
  if (next.redoes !== undefined) {
    const step = history.future.find((s) => s.group === next.redoes);
    if (!step) return history;
    return { past: [...history.past, step], future: history.future.filter((s) => s !== step) };
  }
  const last = history.past.at(-1);
  if (last && last.group === next.group) {
    const step = { ...last, label: next.label, operations: compact([...last.operations, ...next.operations]) };
    return { past: [...history.past.slice(0, -1), step], future: [] };
  }
  return { past: [...history.past, { group: next.group, label: next.label, operations: next.operations }], future: [] };
}

/** Folds runs of operations that set the same value into one, so that a word typed is one change and not ten. */
export function compact(operations: readonly Operation[]): readonly Operation[] {
  const kept: Operation[] = [];
  for (const next of operations) {
    const last = kept.at(-1);
    const folds =
      last !== undefined &&
      "before" in last &&
      "before" in next &&
      JSON.stringify({ ...last, before: 0, after: 0 }) === JSON.stringify({ ...next, before: 0, after: 0 });
    if (folds) kept[kept.length - 1] = { ...next, before: last.before } as Operation;
    else kept.push(next);
  }
  return kept;
}

/** Merges two transactions of one group that have not been sent yet. */
export const mergeTransactions = (first: Transaction, second: Transaction): Transaction => ({
  ...second,
  id: first.id,
  operations: compact([...first.operations, ...second.operations]),
});

/** The transaction that takes back the latest step. */
export function undo(draft: Draft, history: History): Outcome {
  const step = history.past.at(-1);
  if (!step) return refuse("There is nothing to undo.");
  const operations = invertAll(step.operations);
  if (!applyAll(draft, operations).ok)
    return refuse(`“${step.label}” can't be undone: it has been changed elsewhere since.`);
  const made = {
    id: newId(),
    group: newId(),
    intent: "undo",
    label: labelOf(`Undone: ${step.label}`),
    operations,
    undoes: step.group,
  };
  return { ok: true, transaction: made };
}

/** The transaction that brings back what was undone last. */
export function redo(draft: Draft, history: History): Outcome {
  const step = history.future.at(-1);
  if (!step) return refuse("There is nothing to bring back.");
  if (!applyAll(draft, step.operations).ok)
    return refuse(`“${step.label}” can't be brought back: it has been changed elsewhere since.`);
  const made = {
    id: newId(),
    group: newId(),
    intent: "redo",
    label: step.label,
    operations: step.operations,
    redoes: step.group,
  };
  return { ok: true, transaction: made };
}

export type Rebased = {
  readonly draft: Draft;
  readonly kept: readonly Transaction[];
  /** What could not be carried over: the thing it was about is gone. */
  readonly dropped: readonly Transaction[];
};

/** Carries transactions over onto a draft that somebody else changed meanwhile. Each is carried over whole or not at all. */
export function rebaseAll(draft: Draft, transactions: readonly Transaction[]): Rebased {
  let here = draft;
  const kept: Transaction[] = [];
  const dropped: Transaction[] = [];
  next: for (const each of transactions) {
    let trial = here;
    const operations: Operation[] = [];
    for (const operation of each.operations) {
      const restated = rebase(trial, operation);
      const result = restated && applyAll(trial, [restated]);
      if (!restated || !result?.ok) {
        dropped.push(each);
        continue next;
      }
      operations.push(restated);
      trial = result.draft;
    }
    here = trial;
    kept.push({ ...each, operations });
  }
  return { draft: here, kept, dropped };
}
