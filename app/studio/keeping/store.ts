import { createContext, useContext } from "react";
import { createStore, useStore, type StoreApi } from "zustand";
import { redo, undo, type Outcome, type Transaction } from "~/core/commands";
import { sameJson, selectable, type Audience, type Device, type Draft } from "~/core/document";
import { goodsOn, updateGoods, type Goods, type SellersGoods } from "~/core/goods";
import { discard, edit, openTab, tryAgain, withDone, type Logged, type ShopVersions, type Tab } from "~/core/keeping";
import type { Picture } from "~/core/pictures";
import { askForShop } from "~/core/protocol";
import { transactionSchema } from "~/core/schema";
import type { Condition } from "~/core/conditions";
import { wornOn } from "~/core/seasons";
import { clockIn, clockOf, dayOf, FIRST_VISIT, momentIn, type Person, type Situation } from "~/core/situation";
import { problemOfChange } from "~/kinds/changes";
import { createClient, type Client } from "../client";

/**
 * `kept`: everything is on the server. `waiting`: it could not be reached; changes are safe in this browser. `gone`: the shop is
 * no longer there for this account.
 */
export type KeepState = "kept" | "keeping" | "waiting" | "signed-out" | "gone";
export type PaneView = "phone" | "both" | "wide";

/** What each of the two panes shows: its usual device or a tablet in its place, shrunk to fit or at full size. */
export type PaneSetting = { readonly device: Device; readonly isFull: boolean };
export type PaneSettings = { readonly phone: PaneSetting; readonly wide: PaneSetting };
export type Editing = { readonly pane: string; readonly node: string; readonly at: string };
export type Message = {
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
  /** Where its day begins. */
  readonly timeZone: string;
  /** How it writes prices. */
  readonly moneyFormat: string;
  /** The origin that serves the frames of its own code. */
  readonly codeOrigin?: string;
};

/** What the undo of the area at hand does, where that has one of its own. */
export type AreaSteps = {
  readonly area: string;
  readonly undo: string | null;
  readonly redo: string | null;
  readonly step: (direction: "undo" | "redo") => void;
};

/** The list of the seller's own CSS, in Details. */
export type OwnCssView = {
  readonly open: boolean;
  /** Panes show the shop without it. */
  readonly without: boolean;
  /** The selectors at the cursor: what they reach is marked in the panes. */
  readonly pointed: string;
};

/** At another time than now, or as somebody else than a first visitor, panes show the shop. */
export type Looking = {
  /** As the shop's clocks show it; undefined: now. */
  readonly at?: string | undefined;
  readonly person: Person;
};

/** What undo or redo has just done: where, so that it can be shown. */
export type Stepped = {
  readonly direction: "undo" | "redo";
  readonly label: string;
  readonly transaction: Transaction;
  readonly key: number;
};

export type StudioState = Tab & {
  readonly shop: ShopFacts;
  /** ms since 1970; it moves on with each day, and whenever something begins or ceases to show. */
  readonly now: number;
  /** What panes are drawn for. */
  readonly situation: Situation;
  /** How it differs from a first visit now; null: in nothing. */
  readonly looking: Looking | null;
  readonly goods: Goods;
  /** All goods as their seller has them, what was archived among them. */
  readonly stored: SellersGoods;
  /** How far goods, pictures and publication are known. */
  readonly versions: ShopVersions;
  readonly pictures: readonly Picture[];
  /** What shoppers see; undefined before the first publication. */
  readonly published: Draft | undefined;

  readonly keep: KeepState;
  readonly keptAt: number | null;
  /** Who else has this shop open just now, in another tab or on another machine. */
  readonly others: readonly { readonly who: string; readonly place: string; readonly tab: string }[];
  /** The pages that this version can't read. */
  readonly unread: readonly { readonly id: string; readonly why: string }[];
  readonly client: Client;
  /** What undo and redo do here; null: they step through what was done to the shop's look and pages. */
  readonly areaSteps: AreaSteps | null;
  readonly stepped: Stepped | null;
  readonly lastMerge: { readonly key: string; readonly at: number } | null;

  readonly selected: string | null;
  /** What is selected besides it; changes of what all of them have in common go to all. */
  readonly also: readonly string[];
  /** A hand is on a handle: all changes of one value are one step, however long it takes. */
  readonly holding: boolean;
  readonly audience: Audience;
  readonly view: PaneView;
  readonly panes: PaneSettings;
  readonly bare: boolean;
  readonly ownCss: OwnCssView;
  readonly editing: Editing | null;
  /** Conditions that were copied from one thing, for another. */
  /** The year stands above the panes. */
  readonly yearOpen: boolean;
  readonly copiedWhen: readonly Condition[] | null;
  readonly said: Message | null;

  /** Carries out a command. Gives the reason when it can't be done, and says it. */
  readonly run: (outcome: Outcome) => string | undefined;
  readonly undo: () => void;
  readonly redo: () => void;
  readonly setAreaSteps: (steps: AreaSteps | null) => void;
  /** Offers a change again that could not be saved, or lets go of it. Gives the reason where it still can't be done. */
  readonly tryAgain: (id: string) => string | undefined;
  readonly discard: (id: string) => void;
  /** Says which tabs are open elsewhere: what was done in them is not this one's to undo. */
  readonly ownSteps: (openElsewhere: readonly string[]) => void;
  /** Goes back or forward until this step is the last that is done; `null`: until none of the remembered ones is. */
  readonly jumpTo: (group: string | null) => void;
  /** Selects a part, alone, or besides what is selected already; what is selected twice is let go. */
  readonly select: (node: string | null, besides?: boolean) => void;
  readonly hold: (holding: boolean) => void;
  readonly setAudience: (audience: Audience) => void;
  readonly setView: (view: PaneView) => void;
  readonly setPane: (pane: keyof PaneSettings, setting: Partial<PaneSetting>) => void;
  /** Panes without marks, hints and what is not shown yet: as shoppers see the page. */
  readonly setBare: (bare: boolean) => void;
  readonly setOwnCss: (view: Partial<OwnCssView>) => void;
  readonly setEditing: (editing: Editing | null) => void;
  readonly say: (text: string, tone?: Message["tone"], canUndo?: boolean) => void;
  readonly hush: () => void;
  /** Says what time it is; on a new day, goods are looked at as they are then. */
  readonly setNow: (now: number) => void;
  /** Turns every pane to another time, or another shopper; null: to a first visit now. */
  readonly lookAs: (looking: Looking | null) => void;
  /** Fetches what has changed of goods and pictures, and what is published; false where the server gave no answer. */
  readonly reload: () => Promise<boolean>;
};

export type Loaded = Pick<StudioState, "shop" | "goods" | "pictures" | "published"> & {
  readonly draft: Draft;
  readonly seq: number;
  readonly log: readonly Logged[];
  readonly stored?: SellersGoods;
  readonly versions?: ShopVersions;
  readonly unread?: StudioState["unread"];
  /** The account that has it open. */
  readonly me?: string;
  /** When it was loaded, in ms since 1970. */
  readonly now?: number;
};

/** Changes of the same value that follow within this time are one step of undo. */
const MERGE_WITHIN_MS = 500;

export type StudioStore = StoreApi<StudioState>;

/** Everything that is selected. */
export const selectionOf = ({ selected, also }: Pick<StudioState, "selected" | "also">): readonly string[] =>
  selected === null ? [] : [selected, ...also];

/** What the shop's clocks show now, whatever time panes are turned to. */
export const clockNow = ({ now, shop }: Pick<StudioState, "now" | "shop">): string => clockIn(now, shop.timeZone);

/** The draft in the look that is worn at the time which the panes show. */
export const wornDraft = ({ draft, situation }: Pick<StudioState, "draft" | "situation">): Draft =>
  wornOn(draft, clockOf(situation));

let saidKeys = 0;

/** The changes of a log that are the asker's own: made by the account, and in no tab that is open elsewhere. */
const ownOf = (log: readonly Logged[], me: string | undefined, openElsewhere: readonly string[]) =>
  log
    .filter(({ by, tab }) => (by === null || by === me) && (tab === null || !openElsewhere.includes(tab)))
    .map(({ transaction }) => transaction);

const NO_VERSIONS: ShopVersions = { goods: 0, pictures: 0, publication: null };
/** What is said of changes that reach further than whoever has chosen one device may think. */
const FOR_ALL = "on all devices";

const TOO_LARGE = "That is more than one change can hold. Do it in several steps.";

export function createStudioStore(loaded: Loaded): StudioStore {
  const { draft, seq, log, me, now = Date.now(), unread = [], ...rest } = loaded;
  const { stored = { ...rest.goods, products: [], collections: [] }, versions = NO_VERSIONS } = loaded;
  const { timeZone } = loaded.shop;
  const situationOf = (looking: Looking | null, now: number): Situation => ({
    now: (looking?.at === undefined ? undefined : momentIn(looking.at, timeZone)) ?? now,
    timeZone,
    person: looking?.person ?? FIRST_VISIT,
  });
  const situation = situationOf(null, now);
  // As they were when they came: what has come by a later day can't be undone from what it is then.
  let asTheyCame = loaded.goods;
  return createStore<StudioState>((set, get) => ({
    ...rest,
    now,
    situation,
    looking: null,
    yearOpen: false,
    copiedWhen: null,
    stored,
    versions,
    goods: goodsOn(loaded.goods, dayOf(situation)),
    ...openTab(draft, seq, ownOf(log, me, [])),
    unread,
    client: createClient(rest.shop.id, () => set({ keep: "signed-out" })),
    areaSteps: null,
    stepped: null,
    keep: "kept",
    keptAt: null,
    others: [],
    lastMerge: null,
    selected: null,
    also: [],
    holding: false,
    audience: "all",
    view: "both",
    panes: { phone: { device: "phone", isFull: false }, wide: { device: "wide", isFull: false } },
    bare: false,
    ownCss: { open: false, without: false, pointed: "" },
    editing: null,
    said: null,

    run: (outcome) => {
      const state = get();
      if (!outcome.ok) {
        // A hand that holds still on a handle is told nothing.
        if (!state.holding) state.say(outcome.why);
        return outcome.why;
      }
      const now = Date.now();
      const merges =
        outcome.mergeKey !== undefined &&
        state.lastMerge?.key === outcome.mergeKey &&
        (state.holding || now - state.lastMerge.at < MERGE_WITHIN_MS);
      const group = merges ? state.history.past.at(-1)?.group : undefined;
      const next = group === undefined ? outcome.transaction : { ...outcome.transaction, group };
      const edited = edit(state, next);
      if (!edited.ok) {
        const why = "That has changed meanwhile. Try again.";
        state.say(why, "problem");
        return why;
      }
      // The server would refuse it for the same reasons.
      const problem =
        problemOfChange(edited.tab.draft, next.operations) ??
        (transactionSchema.safeParse(next).success ? undefined : TOO_LARGE);
      if (problem) return problem;
      const selects = next.selects === undefined ? undefined : selectable(edited.tab.draft.documents, next.selects);
      set({
        ...edited.tab,
        lastMerge: outcome.mergeKey === undefined ? null : { key: outcome.mergeKey, at: now },
        ...(selects === undefined || selects === state.selected ? {} : { selected: selects, also: [] }),
      });
      const { audience, say } = get();
      const isForAll = audience !== "all" && next.operations.some((o) => o.type === "moveNode");
      if (next.intent === "remove") say(next.label + (audience === "all" ? "" : `, ${FOR_ALL}`), "plain", true);
      else if (isForAll && next.intent !== "undo" && next.intent !== "redo")
        say(`${next.label}, ${FOR_ALL}. Only style can differ between devices.`, "plain", true);
      return undefined;
    },
    undo: () => {
      const { draft: now, history, run } = get();
      const outcome = undo(now, history);
      const label = history.past.at(-1)?.label ?? "";
      if (run(outcome) === undefined && outcome.ok)
        set({ stepped: { direction: "undo", label, transaction: outcome.transaction, key: ++saidKeys } });
    },
    redo: () => {
      const { draft: now, history, run } = get();
      const outcome = redo(now, history);
      const label = history.future.at(-1)?.label ?? "";
      if (run(outcome) === undefined && outcome.ok)
        set({ stepped: { direction: "redo", label, transaction: outcome.transaction, key: ++saidKeys } });
    },
    setAreaSteps: (areaSteps) => set({ areaSteps }),
    tryAgain: (id) => {
      const state = get();
      const found = state.aside.find((a) => a.transaction.id === id);
      const again = tryAgain(state, id);
      if (!found || !again.ok) return "It still doesn’t fit what is there now.";
      const put = again.tab.pending.at(-1);
      const problem = put && problemOfChange(again.tab.draft, put.operations);
      if (problem) return problem;
      set(again.tab);
      return undefined;
    },
    discard: (id) => set(discard(get(), id)),
    ownSteps: (openElsewhere) => {
      const state = get();
      const own = ownOf(log, me, openElsewhere);
      const loadedIds = new Set(log.map(({ transaction }) => transaction.id));
      const done = [...own, ...state.done.filter((t) => !loadedIds.has(t.id))];
      if (done.length !== state.done.length) set(withDone(state, done));
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
      if (node !== null && get().ownCss.open) get().setOwnCss({ open: false, without: false });
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
    setPane: (pane, setting) => {
      const { panes } = get();
      set({ panes: { ...panes, [pane]: { ...panes[pane], ...setting } } });
    },
    setBare: (bare) => set({ bare }),
    setOwnCss: (view) => set({ ownCss: { ...get().ownCss, ...view } }),
    setEditing: (editing) => set({ editing }),
    say: (text, tone = "plain", canUndo = false) => set({ said: { text, tone, canUndo, key: ++saidKeys } }),
    hush: () => set({ said: null }),
    setNow: (now) => {
      const situation = situationOf(get().looking, now);
      set({ now, situation, goods: goodsOn(asTheyCame, dayOf(situation)) });
    },
    lookAs: (as) => {
      const looking = as && (as.at !== undefined || !sameJson(as.person, FIRST_VISIT)) ? as : null;
      const situation = situationOf(looking, get().now);
      set({ looking, situation, goods: goodsOn(asTheyCame, dayOf(situation)) });
    },
    reload: async () => {
      const { client, versions } = get();
      const known = { ...versions, publication: versions.publication ?? "" };
      const reply = await client.ask(askForShop, known);
      if (!reply.ok) return false;
      // Another answer has come meanwhile: what is new since then is another question.
      if (get().versions !== versions) return get().reload();
      const { goods, pictures, published, versions: now } = reply.value;
      const update = goods && updateGoods(get().stored, goods);
      if (update) asTheyCame = update.goods;
      set({
        versions: now,
        ...(update ? { stored: update.stored, goods: goodsOn(update.goods, dayOf(get().situation)) } : {}),
        ...(pictures ? { pictures } : {}),
        ...(published ? { published } : {}),
      });
      return true;
    },
  }));
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
