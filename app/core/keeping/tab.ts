import { mergeTransactions, NO_HISTORY, rebaseAll, remember, type History, type Transaction } from "../commands";
import { newId, type Draft } from "../document";
import { applyAll, type ApplyFailure } from "../operations";
import { MOST_OPERATIONS, MOST_SENT, MOST_SENT_CHARACTERS } from "../schema";
import type { Answer, Asked, News } from "./protocol";

/** A change that could not be saved, and why, in the seller's words. It is offered again and never thrown away unasked. */
export type Aside = { readonly transaction: Transaction; readonly why: string };

/**
 * What one open studio knows of the draft. Invariant: `confirmed` is the server's draft after its change number `base`, and
 * `draft` is `confirmed` with `pending` applied, in order.
 */
export type Tab = {
  readonly draft: Draft;
  readonly confirmed: Draft;
  readonly base: number;
  /** Changes that the server has not confirmed yet, oldest first. */
  readonly pending: readonly Transaction[];
  /**
   * Ids of those that were ever sent. The server may have stored them without this tab having heard of it, so nothing
   * merges into them any more.
   */
  readonly sealed: ReadonlySet<string>;
  readonly aside: readonly Aside[];
  /**
   * Own changes from before a reload that the server has and that this tab has not seen yet: they come among what others
   * did, and are this tab's to undo all the same.
   */
  readonly coming: ReadonlySet<string>;
  /**
   * Ids of what came in lately, latest last. It may turn out to be this tab's own: a reload can be quicker than the browser
   * that tells whose name the tab has.
   */
  readonly heard: readonly string[];
  /** What was done here, oldest first; what can be undone follows from it. */
  readonly done: readonly Transaction[];
  readonly history: History;
};

/** The most changes that undo remembers. */
export const MOST_DONE = 600;
/** The most ids of what came in that are remembered. */
const MOST_HEARD = 300;

const historyOf = (done: readonly Transaction[]): History => done.reduce(remember, NO_HISTORY);

/** A tab that has just loaded the draft. `done`: the changes of it that are this tab's to undo, oldest first. */
export function openTab(draft: Draft, seq: number, done: readonly Transaction[]): Tab {
  return {
    draft,
    confirmed: draft,
    base: seq,
    pending: [],
    sealed: new Set(),
    coming: new Set(),
    heard: [],
    aside: [],
    done,
    history: historyOf(done),
  };
}

/** The tab with other changes taken for its own, when it has become clear which are. */
export const withDone = (tab: Tab, done: readonly Transaction[]): Tab => ({ ...tab, done, history: historyOf(done) });

export type Edited = { readonly ok: true; readonly tab: Tab } | ApplyFailure;

/** Makes a change. One of the same group as the last is folded into it while that has never been sent. */
export function edit(tab: Tab, next: Transaction): Edited {
  const applied = applyAll(tab.draft, next.operations);
  if (!applied.ok) return applied;
  const last = tab.pending.at(-1);
  const merged =
    last && last.group === next.group && !tab.sealed.has(last.id) ? mergeTransactions(last, next) : undefined;
  const isMerged = merged !== undefined && merged.operations.length <= MOST_OPERATIONS;
  const put = isMerged ? merged : next;
  const onto = (list: readonly Transaction[]) => [...(isMerged ? list.slice(0, -1) : list), put];
  return {
    ok: true,
    tab: {
      ...tab,
      draft: applied.draft,
      pending: onto(tab.pending),
      done: onto(tab.done).slice(-MOST_DONE),
      history: remember(tab.history, next),
    },
  };
}

export type Batch = { readonly base: number; readonly transactions: readonly Transaction[] };

/**
 * What to send next: changes from the front of what is pending, as many as go together; `most` limits their number.
 * They are sealed from here on, whatever becomes of the request.
 */
export function nextBatch(tab: Tab, most = MOST_SENT): { readonly tab: Tab; readonly batch: Batch } | undefined {
  const transactions: Transaction[] = [];
  let characters = 0;
  for (const each of tab.pending.slice(0, Math.min(most, MOST_SENT))) {
    characters += JSON.stringify(each).length;
    if (transactions.length && characters > MOST_SENT_CHARACTERS) break;
    transactions.push(each);
  }
  if (transactions.length === 0) return undefined;
  const sealed = new Set([...tab.sealed, ...transactions.map((t) => t.id)]);
  return { tab: { ...tab, sealed }, batch: { base: tab.base, transactions } };
}

/** The tab after what is pending was carried over onto another confirmed draft. */
function carriedOver(tab: Tab, confirmed: Draft, base: number, pending: readonly Transaction[], why: string): Tab {
  const { draft, kept, dropped } = rebaseAll(confirmed, pending);
  const restated = new Map(kept.map((t) => [t.id, t]));
  const lost = new Set(dropped.map((t) => t.id));
  // What was restated is undone as it was restated; what can't be kept was not done.
  const done = tab.done.flatMap((t) => (lost.has(t.id) ? [] : [restated.get(t.id) ?? t]));
  return {
    ...tab,
    confirmed,
    base,
    draft,
    pending: kept,
    sealed: new Set([...tab.sealed].filter((id) => restated.has(id))),
    aside: [...tab.aside, ...dropped.map((transaction) => ({ transaction, why }))],
    done,
    history: historyOf(done),
  };
}

const GONE = "What it changed has been removed or replaced elsewhere meanwhile.";
const NEEDED = "It needs a change that could not be saved.";

export type Met = {
  readonly tab: Tab;
  /** What was put aside by this. */
  readonly aside: readonly Aside[];
  /** Others' changes came in. */
  readonly isNews: boolean;
  /** The draft here is not the one that the server has: it has to be loaded whole. It can't happen; if it does, nothing is lost. */
  readonly isAstray: boolean;
};

const met = (before: Tab, tab: Tab, isNews = false): Met => ({
  tab,
  aside: tab.aside.filter((a) => !before.aside.includes(a)),
  isNews,
  isAstray: false,
});
const astray = (tab: Tab): Met => ({ tab, aside: [], isNews: false, isAstray: true });

function takeIn(tab: Tab, { missed, seq, own: madeHere = [] }: News): Met {
  const theirs = applyAll(
    tab.confirmed,
    missed.flatMap((t) => t.operations),
  );
  if (!theirs.ok) return astray(tab);
  // What was sent and stored without an answer comes back among the rest.
  const stored = new Set(missed.map((t) => t.id));
  const isPending = (t: Transaction) => tab.pending.some((p) => p.id === t.id);
  // The page may have been loaded anew before the server had stored what was done on it last.
  const isOwn = ({ id }: Transaction) => tab.coming.has(id) || madeHere.includes(id);
  const isNews = missed.some((t) => !isOwn(t) && !isPending(t));
  const still = (id: string) => !stored.has(id);
  const had = new Set(tab.done.map((t) => t.id));
  const own = missed.filter((t) => isOwn(t) && !had.has(t.id));
  // They were done before what is waiting here now.
  const firstWaiting = tab.done.findIndex(isPending);
  const at = firstWaiting < 0 ? tab.done.length : firstWaiting;
  const without: Tab = {
    ...tab,
    aside: tab.aside.filter((a) => still(a.transaction.id)),
    coming: new Set([...tab.coming].filter(still)),
    heard: [...tab.heard, ...missed.map((t) => t.id)].slice(-MOST_HEARD),
    done: own.length ? tab.done.toSpliced(at, 0, ...own) : tab.done,
  };
  const next = carriedOver(
    without,
    theirs.draft,
    seq,
    tab.pending.filter((t) => still(t.id)),
    GONE,
  );
  return met(without, next, isNews);
}

/** Takes the server's answer to `batch`, the one request that was under way. */
export function answered(tab: Tab, batch: Batch, answer: Answer): Met {
  if (answer.ok) {
    const applied = applyAll(
      tab.confirmed,
      batch.transactions.flatMap((t) => t.operations),
    );
    if (!applied.ok) return astray(tab);
    const stored = new Set(batch.transactions.map((t) => t.id));
    return met(tab, {
      ...tab,
      base: answer.seq,
      confirmed: applied.draft,
      pending: tab.pending.filter((t) => !stored.has(t.id)),
      sealed: new Set([...tab.sealed].filter((id) => !stored.has(id))),
    });
  }
  if (answer.code === "behind") return takeIn(tab, answer);
  return putAside(tab, answer.transaction, answer.why);
}

/** Puts one pending change aside; those that need it go with it, the rest goes on. */
export function putAside(tab: Tab, id: string, why: string): Met {
  const refused = tab.pending.find((t) => t.id === id);
  if (!refused) return met(tab, tab);
  const without: Tab = {
    ...tab,
    aside: [...tab.aside, { transaction: refused, why }],
    done: tab.done.filter((t) => t.id !== id),
  };
  const rest = tab.pending.filter((t) => t.id !== id);
  return met(tab, carriedOver(without, tab.confirmed, tab.base, rest, NEEDED));
}

/**
 * Takes what others have kept. `since`: the base that was asked with; where the tab has moved on since, the answer is too
 * old to be of use and changes nothing.
 */
export function heard(tab: Tab, since: number, news: News): Met {
  if (tab.base !== since || news.missed.length === 0) return met(tab, tab);
  return takeIn(tab, news);
}

/** What a tab that closed, crashed or was reloaded left behind. */
export type Left = { readonly pending: readonly Transaction[]; readonly aside: readonly Aside[] };

/**
 * Makes another tab's left changes this one's; the server has said which of them it has already, and what this tab missed since
 * its base. What is stored comes in before what is not: that may have been made on top of it.
 */
export function adopt(before: Tab, left: Left, { known, news = { seq: before.base, missed: [] } }: Asked): Met {
  const coming = new Set([...before.coming, ...known.filter((id) => !before.heard.includes(id))]);
  const told = heard({ ...before, coming }, before.base, news);
  if (told.isAstray) return told;
  const { tab } = told;
  const has = new Set([...known, ...tab.pending.map((t) => t.id)]);
  const fresh = left.pending.filter((t) => !has.has(t.id));
  const { draft, kept, dropped } = rebaseAll(tab.draft, fresh);
  const had = new Set(tab.aside.map((a) => a.transaction.id));
  const aside = [
    ...tab.aside,
    ...left.aside.filter((a) => !has.has(a.transaction.id) && !had.has(a.transaction.id)),
    ...dropped.map((transaction) => ({ transaction, why: GONE })),
  ];
  // What came in as if another had done it, before it was known whose it was.
  const late = left.pending.filter((t) => tab.heard.includes(t.id) && !tab.done.some((each) => each.id === t.id));
  const done = [...tab.done, ...late, ...kept].slice(-MOST_DONE);
  // What had been put aside before has been told before.
  const knew = { ...before, aside: [...before.aside, ...left.aside] };
  const next: Tab = {
    ...tab,
    draft,
    pending: [...tab.pending, ...kept],
    // They may have been sent before the tab was closed.
    sealed: new Set([...tab.sealed, ...kept.map((t) => t.id)]),
    aside,
    done,
    history: historyOf(done),
  };
  return met(knew, next, told.isNews);
}

/** Starts over from the server's whole draft, with what is pending on top of it. */
export function reloaded(tab: Tab, { known, whole }: Asked): Met {
  if (!whole) return met(tab, tab);
  const has = new Set(known);
  const pending = tab.pending.filter((t) => !has.has(t.id));
  return met(tab, carriedOver(tab, whole.draft, whole.seq, pending, GONE), true);
}

/** Tries a change again that had been put aside; gives the reason where it still doesn't fit. */
export function tryAgain(tab: Tab, id: string): { readonly ok: true; readonly tab: Tab } | { readonly ok: false } {
  const found = tab.aside.find((a) => a.transaction.id === id);
  const restated = found && rebaseAll(tab.draft, [found.transaction]).kept[0];
  if (!restated) return { ok: false };
  // The server never stored it under its old name, so a new one makes it a change like any other.
  const { undoes: _u, redoes: _r, ...plain } = restated;
  const result = edit(tab, { ...plain, id: newId(), group: newId() });
  return result.ok ? { ok: true, tab: discard(result.tab, id) } : { ok: false };
}

/** Lets go of a change that had been put aside. */
export const discard = (tab: Tab, id: string): Tab => ({
  ...tab,
  aside: tab.aside.filter((a) => a.transaction.id !== id),
});
