import { createContext, useContext } from "react";
import { createStore, useStore, type StoreApi } from "zustand";
import {
  mergeTransactions,
  NO_HISTORY,
  rebaseAll,
  redo,
  remember,
  undo,
  type History,
  type Outcome,
  type Transaction,
} from "~/core/commands";
import type { Audience, Draft } from "~/core/document";
import { findNode } from "~/core/document";
import type { Goods } from "~/core/goods";
import { applyAll } from "~/core/operations";
import type { Picture } from "~/core/pictures";
import { nameOf, problemOf, strangerIn } from "~/kinds";

/** `kept`: everything is on the server. `waiting`: it could not be reached; changes are safe in this browser. */
export type KeepState = "kept" | "keeping" | "waiting" | "signed-out";
export type View = "phone" | "both" | "wide";
export type Editing = { readonly pane: string; readonly node: string; readonly at: string };
export type Said = {
  readonly text: string;
  readonly tone: "plain" | "problem";
  readonly canUndo?: boolean;
  readonly key: number;
};

export type ShopFacts = {
  readonly id: string;
  readonly host: string;
  readonly address: string;
  readonly currency: string;
  readonly locale: string;
};

export type StudioState = {
  readonly shop: ShopFacts;
  readonly goods: Goods;
  readonly pictures: readonly Picture[];
  /** What shoppers see; undefined before the first publication. */
  readonly published: Draft | undefined;

  readonly draft: Draft;
  readonly history: History;
  /** The draft as the server has it, and the number of its last change. */
  readonly confirmed: Draft;
  readonly base: number;
  /** Changes that the server has not confirmed yet, oldest first; the first `sent` of them are on their way. */
  readonly pending: readonly Transaction[];
  readonly sent: number;
  readonly keep: KeepState;
  readonly keptAt: number | null;
  /** Who else has this shop open just now, in another tab or on another machine. */
  readonly others: readonly { readonly who: string; readonly place: string }[];
  readonly lastMerge: { readonly key: string; readonly at: number } | null;

  readonly selected: string | null;
  /** What is selected besides it; changes of what all of them have in common go to all. */
  readonly also: readonly string[];
  /** A hand is on a handle: all changes of one value are one step, however long it takes. */
  readonly holding: boolean;
  readonly audience: Audience;
  readonly view: View;
  readonly editing: Editing | null;
  readonly said: Said | null;

  /** Carries out a command. Gives the reason when it can't be done, and says it. */
  readonly run: (outcome: Outcome) => string | undefined;
  readonly undo: () => void;
  readonly redo: () => void;
  /** Goes back or forward until this step is the last that is done; `null`: until none of the remembered ones is. */
  readonly jumpTo: (group: string | null) => void;
  /** Selects a part, alone, or besides what is selected already; what is selected twice is let go. */
  readonly select: (node: string | null, besides?: boolean) => void;
  readonly hold: (holding: boolean) => void;
  readonly setAudience: (audience: Audience) => void;
  readonly setView: (view: View) => void;
  readonly setEditing: (editing: Editing | null) => void;
  readonly say: (text: string, tone?: Said["tone"], canUndo?: boolean) => void;
  readonly hush: () => void;
  /** Takes over what the server loaded anew: goods, pictures, what is published. */
  readonly refresh: (loaded: Pick<StudioState, "goods" | "pictures" | "published">) => void;
};

export type Loaded = Pick<StudioState, "shop" | "goods" | "pictures" | "published"> & {
  readonly draft: Draft;
  readonly seq: number;
  readonly log: readonly Transaction[];
};

/** Changes of the same value that follow within this time are one step of undo. */
const MERGE_WITHIN_MS = 500;

export type StudioStore = StoreApi<StudioState>;

/** Why an outcome's changes may not stand: the first changed section whose values its kind does not allow. */
function problemAfter(draft: Draft, transaction: Transaction): string | undefined {
  for (const operation of transaction.operations) {
    if (operation.type === "setLook" || "added" in operation) continue;
    const document = draft.documents[operation.document];
    const root = document?.root;
    const stranger =
      document && (operation.type === "insertNode" || operation.type === "moveNode")
        ? strangerIn(document, document.root)
        : undefined;
    if (stranger && document) return `${nameOf(stranger)} makes no sense on “${document.title}”.`;
    // Of what is put somewhere, what it is put into has to allow it.
    const id = "to" in operation ? operation.to.parent : operation.type === "setProp" ? operation.node : undefined;
    const node = root && id !== undefined ? findNode(root, id) : undefined;
    const problem = node && node.kind !== "root" ? problemOf(node) : undefined;
    if (problem) return problem.why;
  }
  return undefined;
}

/** Everything that is selected. */
export const selectionOf = ({ selected, also }: Pick<StudioState, "selected" | "also">): readonly string[] =>
  selected === null ? [] : [selected, ...also];

let saidKeys = 0;

export function createStudioStore(loaded: Loaded): StudioStore {
  const { draft, seq, log, ...rest } = loaded;
  return createStore<StudioState>((set, get) => ({
    ...rest,
    draft,
    history: log.reduce(remember, NO_HISTORY),
    confirmed: draft,
    base: seq,
    pending: [],
    sent: 0,
    keep: "kept",
    keptAt: null,
    others: [],
    lastMerge: null,
    selected: null,
    also: [],
    holding: false,
    audience: "all",
    view: "both",
    editing: null,
    said: null,

    run: (outcome) => {
      const state = get();
      if (!outcome.ok) {
        // A hand that holds still on a handle is told nothing.
        if (!state.holding) state.say(outcome.why);
        return outcome.why;
      }
      const applied = applyAll(state.draft, outcome.transaction.operations);
      if (!applied.ok) {
        const why = "That has changed meanwhile. Try again.";
        state.say(why, "problem");
        return why;
      }
      const problem = problemAfter(applied.draft, outcome.transaction);
      if (problem) return problem;

      const now = Date.now();
      const last = state.pending.at(-1);
      const merges =
        outcome.mergeKey !== undefined &&
        state.lastMerge?.key === outcome.mergeKey &&
        (state.holding || now - state.lastMerge.at < MERGE_WITHIN_MS);
      const group = merges ? state.history.past.at(-1)?.group : undefined;
      const next = group === undefined ? outcome.transaction : { ...outcome.transaction, group };
      const isUnsent = last !== undefined && state.pending.length > state.sent && last.group === next.group;
      set({
        draft: applied.draft,
        history: remember(state.history, next),
        pending: isUnsent ? [...state.pending.slice(0, -1), mergeTransactions(last, next)] : [...state.pending, next],
        lastMerge: outcome.mergeKey === undefined ? null : { key: outcome.mergeKey, at: now },
        ...(next.selects === undefined || next.selects === state.selected ? {} : { selected: next.selects, also: [] }),
      });
      if (next.intent === "remove") get().say(next.label, "plain", true);
      return undefined;
    },
    undo: () => {
      const { draft: now, history, run } = get();
      run(undo(now, history));
    },
    redo: () => {
      const { draft: now, history, run } = get();
      run(redo(now, history));
    },
    jumpTo: (group) => {
      const isDone = () => get().history.past.some((s) => s.group === group);
      const move = (by: "undo" | "redo") => {
        const before = get().history;
        get()[by]();
        // A step that can't be taken has said why; what was reached stays.
        return get().history !== before;
      };
      if (group !== null && !isDone()) {
        while (!isDone() && get().history.future.length) if (!move("redo")) return;
      } else while (get().history.past.length && get().history.past.at(-1)!.group !== group) if (!move("undo")) return;
    },
    select: (node, besides = false) => {
      const { selected, also, editing } = get();
      // Whoever goes on to another part is done with the words of this one.
      if (editing && editing.node !== node) set({ editing: null });
      if (!besides || node === null || selected === null) {
        if (selected !== node || also.length) set({ selected: node, also: [], lastMerge: null });
        return;
      }
      const all = [selected, ...also];
      const [first, ...rest] = all.includes(node) ? all.filter((id) => id !== node) : [node, ...all];
      set({ selected: first ?? null, also: rest, lastMerge: null });
    },
    // A held change is a step of its own, at both ends.
    hold: (holding) => set({ holding, lastMerge: null }),
    setAudience: (audience) => set({ audience }),
    setView: (view) => set({ view }),
    setEditing: (editing) => set({ editing }),
    say: (text, tone = "plain", canUndo = false) => set({ said: { text, tone, canUndo, key: ++saidKeys } }),
    hush: () => set({ said: null }),
    refresh: (fresh) => set(fresh),
  }));
}

/** The state after others' changes: theirs first, then ours carried over onto them. */
export function takeMissed(
  state: StudioState,
  missed: readonly Transaction[],
  seq: number,
): Partial<StudioState> & { readonly dropped: number } {
  const theirs = new Set(missed.map((t) => t.id));
  let { confirmed } = state;
  for (const each of missed) {
    const applied = applyAll(confirmed, each.operations);
    if (applied.ok) confirmed = applied.draft;
  }
  const { draft, kept, dropped } = rebaseAll(
    confirmed,
    state.pending.filter((t) => !theirs.has(t.id)),
  );
  return { confirmed, draft, pending: kept, base: seq, sent: 0, dropped: dropped.length };
}

const StoreContext = createContext<StudioStore | null>(null);
export const StudioProvider = StoreContext.Provider;

export function useStudioStore(): StudioStore {
  const store = useContext(StoreContext);
  if (!store) throw new Error("the studio's state was asked for outside of StudioProvider");
  return store;
}

/** Reads from the studio's state; draws again when what is read changes. */
export const useStudio = <T>(read: (state: StudioState) => T): T => useStore(useStudioStore(), read);
