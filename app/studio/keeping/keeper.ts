import { z } from "zod";
import { rebaseAll, remember, type Transaction } from "~/core/commands";
import { newId } from "~/core/document";
import { applyAll } from "~/core/operations";
import { transactionSchema } from "~/core/schema";
import { takeMissed, type StudioStore } from "./store";

// Changes go to the server a moment after they are made. Until it has confirmed them they also lie in this browser's
// storage, so that a closed tab, a killed server or a lost network loses nothing.

const SEND_AFTER_MS = 350;
const LONGEST_WAIT_MS = 15_000;
/** How often a tab in view asks what others did. */
const LOOK_EVERY_MS = 5_000;

/** Where in the studio this tab is: a page's id, or an area. */
const placeNow = () =>
  (new URLSearchParams(location.search).get("page") ?? location.pathname.split("/").at(-1) ?? "").slice(0, 40);

type Answer =
  | { ok: true; seq: number }
  | { ok: false; code: "behind"; seq: number; missed: Transaction[] }
  | { ok: false; code: "refused"; why: string; transaction: string };

const prefix = (shop: string) => `zest.pending.${shop}.`;

const readStored = (key: string): Transaction[] => {
  try {
    const parsed = z.array(transactionSchema).safeParse(JSON.parse(localStorage.getItem(key) ?? "[]"));
    return parsed.success ? (parsed.data as Transaction[]) : [];
  } catch {
    return [];
  }
};

/** Gives this tab a name that no other open tab has; it keeps it over a reload. Resolves once the name is held. */
function claimName(): Promise<string> {
  const wish = sessionStorage.getItem("zest.tab") ?? newId();
  return new Promise((named) => {
    const hold = (name: string, ifAvailable: boolean) =>
      navigator.locks.request(`zest.tab.${name}`, { ifAvailable }, (lock) => {
        if (!lock) {
          // A duplicated tab copies the other one's name.
          void hold(newId(), false);
          return undefined;
        }
        sessionStorage.setItem("zest.tab", name);
        named(name);
        return new Promise<never>(() => {});
      });
    void hold(wish, true);
  });
}

/** Runs `work` if no open tab has this name any more. */
const ifOrphaned = (name: string, work: () => void) =>
  navigator.locks.request(`zest.tab.${name}`, { ifAvailable: true }, (lock) => {
    if (lock) work();
  });

export type Keeper = {
  /** Sends everything now; resolves to whether the server has it all. */
  readonly flush: () => Promise<boolean>;
  readonly stop: () => void;
};

/** Starts keeping the changes of a studio. */
export function startKeeper(store: StudioStore): Keeper {
  const { shop } = store.getState();
  const address = `/s/${shop.id}/keep`;
  let tab: string | undefined;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let running: Promise<boolean> | undefined;
  let failures = 0;
  let stopped = false;

  const storeHere = () => {
    if (tab === undefined) return;
    const { pending } = store.getState();
    try {
      if (pending.length) localStorage.setItem(prefix(shop.id) + tab, JSON.stringify(pending));
      else localStorage.removeItem(prefix(shop.id) + tab);
    } catch {
      store.getState().say("This browser’s storage is full. Keep this tab open until everything is kept.", "problem");
    }
  };

  const schedule = (after: number) => {
    if (stopped) return;
    clearTimeout(timer);
    timer = setTimeout(() => void flush(), after);
  };

  const take = (missed: readonly Transaction[], seq: number) => {
    const { dropped, ...next } = takeMissed(store.getState(), missed, seq);
    store.setState(next);
    const { say } = store.getState();
    if (dropped)
      say(`Changed in another tab meanwhile. ${dropped} of your changes had nothing left to change.`, "problem");
    else say("Changes from another tab are in.");
  };

  const settle = (answer: Answer, batch: readonly Transaction[]) => {
    const state = store.getState();
    if (answer.ok) {
      const applied = applyAll(
        state.confirmed,
        batch.flatMap((t) => t.operations),
      );
      store.setState({
        base: answer.seq,
        confirmed: applied.ok ? applied.draft : state.draft,
        pending: state.pending.slice(batch.length),
        sent: 0,
        keptAt: Date.now(),
      });
    } else if (answer.code === "behind") take(answer.missed, answer.seq);
    else {
      const rest = state.pending.filter((t) => t.id !== answer.transaction);
      const { draft, kept } = rebaseAll(state.confirmed, rest);
      store.setState({ draft, pending: kept, sent: 0 });
      state.say(`One change could not be kept: ${answer.why}`, "problem");
    }
    storeHere();
  };

  const send = async (): Promise<boolean> => {
    const { pending, base } = store.getState();
    if (pending.length === 0) return true;
    const batch = pending.slice(0, 100);
    store.setState({ sent: batch.length, keep: "keeping" });
    try {
      const response = await fetch(address, {
        method: "POST",
        headers: { "Content-Type": "application/json" },
        body: JSON.stringify({ base, transactions: batch }),
      });
      if (response.status === 401) {
        store.setState({ keep: "signed-out", sent: 0 });
        return false;
      }
      if (!response.ok) throw new Error(String(response.status));
      settle((await response.json()) as Answer, batch);
      failures = 0;
    } catch {
      failures++;
      store.setState({ keep: "waiting", sent: 0 });
      schedule(Math.min(LONGEST_WAIT_MS, 500 * 2 ** failures));
      return false;
    }
    if (store.getState().pending.length) return send();
    store.setState({ keep: "kept" });
    return true;
  };

  const flush = (): Promise<boolean> => {
    clearTimeout(timer);
    running ??= send().finally(() => {
      running = undefined;
    });
    return running;
  };

  /** Changes that a closed or crashed tab left behind. */
  const adopt = (key: string) => {
    const left = readStored(key);
    localStorage.removeItem(key);
    if (left.length === 0) return;
    const state = store.getState();
    const { draft, kept } = rebaseAll(state.draft, left);
    store.setState({ draft, pending: [...state.pending, ...kept], history: kept.reduce(remember, state.history) });
    storeHere();
    schedule(0);
  };

  void claimName().then((name) => {
    tab = name;
    for (const key of Object.keys(localStorage).filter((k) => k.startsWith(prefix(shop.id)))) {
      const owner = key.slice(prefix(shop.id).length);
      if (owner === name) adopt(key);
      else void ifOrphaned(owner, () => adopt(key));
    }
    storeHere();
  });

  /** Fetches what other tabs and people have kept. */
  const pull = async () => {
    if (running || store.getState().pending.length) return flush();
    try {
      const query = new URLSearchParams({
        since: String(store.getState().base),
        ...(tab ? { tab, place: placeNow() } : {}),
      });
      const response = await fetch(`${address}?${query.toString()}`);
      if (!response.ok) return false;
      const { seq, missed, others } = (await response.json()) as {
        seq: number;
        missed: Transaction[];
        others: { who: string; place: string }[];
      };
      if (JSON.stringify(others) !== JSON.stringify(store.getState().others)) store.setState({ others });
      if (missed.length && !running && store.getState().pending.length === 0) take(missed, seq);
      return true;
    } catch {
      return false;
    }
  };

  const unsubscribe = store.subscribe((state, before) => {
    if (state.pending === before.pending) return;
    storeHere();
    if (state.pending.length > state.sent && state.keep !== "waiting") {
      if (state.keep === "kept") store.setState({ keep: "keeping" });
      schedule(SEND_AFTER_MS);
    }
  });
  const onReturn = () => {
    if (document.visibilityState === "visible") void pull();
    else void flush();
  };
  const onOnline = () => void flush();
  // In view, a tab looks for what others did, and is seen by them.
  const looking = setInterval(() => {
    if (document.visibilityState === "visible" && !stopped) void pull();
  }, LOOK_EVERY_MS);
  const onLeave = () => {
    if (tab) navigator.sendBeacon(address, new Blob([JSON.stringify({ leave: tab })], { type: "application/json" }));
  };
  window.addEventListener("pagehide", onLeave);
  document.addEventListener("visibilitychange", onReturn);
  window.addEventListener("focus", onReturn);
  window.addEventListener("online", onOnline);
  return {
    flush,
    stop: () => {
      stopped = true;
      clearTimeout(timer);
      clearInterval(looking);
      window.removeEventListener("pagehide", onLeave);
      unsubscribe();
      document.removeEventListener("visibilitychange", onReturn);
      window.removeEventListener("focus", onReturn);
      window.removeEventListener("online", onOnline);
    },
  };
}
