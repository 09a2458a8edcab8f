import {
  adopt,
  answered,
  heard,
  nextBatch,
  putAside,
  refusedSchema,
  reloaded,
  type Answer,
  type Batch,
  type Left,
  type Met,
} from "~/core/keeping";
import { askForChanges, askForNews, behindSchema, sayLeave, sendChanges } from "~/core/protocol";
import { MOST_SENT } from "~/core/schema";
import { timedOutcome } from "~/core/conditions";
import { momentsPassed } from "~/kinds/moments";
import { clockIn, dayIn } from "~/core/situation";
import { sameJson } from "~/core/document";
import type { Reply } from "../client";
import { forgetLeft, readLeft, storeLeft, tabsWithLeft } from "./left";
import { claimName, ifOrphaned } from "./names";
import type { StudioStore } from "./store";

// Changes go to the server a moment after they are made. Until it has confirmed them they also lie in this browser's
// storage, so that a closed tab, a killed server or a lost network loses nothing. What is done with each answer is decided in
// `core/keeping`; here is when to ask, and what to do when nobody answers.

const SEND_AFTER_MS = 350;
const LONGEST_WAIT_MS = 15_000;
/** How often a tab in view asks what others did. */
const LOOK_EVERY_MS = 1_500;

/** Where in the studio this tab is: a page's id, or an area. */
const placeNow = () =>
  (new URLSearchParams(location.search).get("page") ?? location.pathname.split("/").at(-1) ?? "").slice(0, 40);

export type Keeper = {
  /** Sends everything now; resolves to whether the server has it all. */
  readonly flush: () => Promise<boolean>;
  readonly stop: () => void;
};

/** Starts keeping the changes of a studio. */
export function startKeeper(store: StudioStore): Keeper {
  const { shop, client } = store.getState();
  let tab: string | undefined;
  /** What this tab had left before it was reloaded, until the server has said what of it is stored already. */
  let notTakenUp: Left | undefined;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let running: Promise<boolean> | undefined;
  let failures = 0;
  let stopped = false;

  const storeHere = () => {
    if (tab === undefined) return;
    const { pending, aside } = store.getState();
    const left = notTakenUp ?? { pending: [], aside: [] };
    try {
      storeLeft(shop.id, tab, [...left.pending, ...pending], [...left.aside, ...aside]);
    } catch {
      store.getState().say("This browser’s storage is full. Keep this tab open until everything is saved.", "problem");
    }
  };

  const schedule = (after: number) => {
    if (stopped) return;
    clearTimeout(timer);
    timer = setTimeout(() => void flush(), after);
  };

  /** Takes a new state of the tab, and says what came of it. */
  const take = ({ tab: next, aside, isNews }: Met) => {
    store.setState(next);
    storeHere();
    const { say } = store.getState();
    const [first] = aside;
    if (first) {
      const many = aside.length > 1 ? ` and ${aside.length - 1} more` : "";
      say(
        `“${first.transaction.label}”${many} could not be saved: ${first.why} It is put aside, up beside Undo.`,
        "problem",
      );
    } else if (isNews) say("Changes from another tab are in.");
  };

  /** Loads the whole draft and puts what is pending on top of it. */
  const startOver = async (): Promise<boolean> => {
    const known = store.getState().pending.map((t) => t.id);
    const reply = await client.ask(askForChanges, { known, since: null, tab: await named });
    if (reply.ok) take(reloaded(store.getState(), reply.value));
    return reply.ok;
  };

  const wait = (keep: "waiting" | "signed-out" | "gone") => {
    store.setState({ keep });
    if (keep === "waiting") {
      failures++;
      schedule(Math.min(LONGEST_WAIT_MS, 500 * 2 ** failures));
    }
    return false;
  };

  /** The server's answer to what was sent; undefined where it gave none that is about these changes. */
  const answerOf = (reply: Reply<{ ok: true; seq: number }>, batch: Batch): Answer | undefined => {
    if (reply.ok) return reply.value;
    const read = (reply.code === "behind" ? behindSchema : refusedSchema).safeParse(reply.body);
    if (!read.success) return undefined;
    const answer = read.data as Answer;
    const isOurs = answer.ok || answer.code === "behind" || batch.transactions.some((t) => t.id === answer.transaction);
    return isOurs ? answer : undefined;
  };

  const send = async (): Promise<boolean> => {
    /** One at a time, while it is not known which of several is at fault. */
    let most = MOST_SENT;
    const from = await named;
    for (;;) {
      const next = nextBatch(store.getState(), most);
      if (!next) break;
      const { batch } = next;
      store.setState({ ...next.tab, keep: "keeping" });
      const reply = await client.ask(sendChanges, { ...batch, transactions: [...batch.transactions], tab: from });
      if (!reply.ok && reply.code === "signed-out") return wait("signed-out");
      if (!reply.ok && reply.code === "gone") return wait("gone");
      const answer = answerOf(reply, batch);
      if (answer) {
        const met = answered(store.getState(), batch, answer);
        take(met);
        if (met.isAstray && !(await startOver())) return wait("waiting");
        if (answer.ok) store.setState({ keptAt: Date.now() });
      } else if (reply.ok || reply.code === "unreached" || reply.code === "stopped") return wait("waiting");
      else if (batch.transactions.length > 1) {
        most = 1;
        continue;
      } else take(putAside(store.getState(), batch.transactions[0]!.id, reply.why));
      failures = 0;
      if (most === 1 && answer?.ok !== true) most = MOST_SENT;
    }
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

  /** Takes up changes that a closed or crashed tab left behind, once the server has said which of them it has. */
  const takeUp = async (owner: string, left: Left): Promise<void> => {
    for (let n = 0; !stopped; n++) {
      await running;
      const { base: since } = store.getState();
      const reply = await client.ask(askForChanges, { known: left.pending.map((t) => t.id), since, tab: owner });
      // What was stored of this tab meanwhile is asked for again.
      if (reply.ok && (running || store.getState().base !== since)) continue;
      if (reply.ok) {
        if (owner === tab) notTakenUp = undefined;
        const met = adopt(store.getState(), left, reply.value);
        take(met);
        if (owner !== tab) forgetLeft(shop.id, owner);
        if (met.isAstray) await startOver();
        return schedule(0);
      }
      if (reply.code === "gone") return;
      await new Promise((done) => setTimeout(done, Math.min(LONGEST_WAIT_MS, 500 * 2 ** n)));
    }
  };

  const named = claimName();
  void named.then(async (name) => {
    if (tabsWithLeft(shop.id).includes(name)) notTakenUp = readLeft(shop.id, name);
    tab = name;
    storeHere();
    // What of it the server has already may be among the news; it is told apart from what others did.
    if (notTakenUp) await takeUp(name, notTakenUp);
    await pull();
  });

  /** Fetches what other tabs and people have kept. */
  const pull = async (): Promise<boolean> => {
    const { now: known, situation, setNow, draft } = store.getState();
    const now = Date.now();
    // A studio that stays open over midnight shows the new day, and what shows from an hour on from that hour on.
    const timesAt = (moment: number) => {
      const clock = clockIn(moment, situation.timeZone);
      return `${timedOutcome(draft.documents, clock)} ${momentsPassed(draft.documents, clock).count}`;
    };
    if (dayIn(now, situation.timeZone) !== dayIn(known, situation.timeZone) || timesAt(now) !== timesAt(known))
      setNow(now);
    if (tab === undefined || notTakenUp) return false;
    for (const owner of tabsWithLeft(shop.id))
      if (owner !== tab) void ifOrphaned(owner, () => takeUp(owner, readLeft(shop.id, owner)));
    if (running || store.getState().pending.length) return flush();
    const { base } = store.getState();
    const reply = await client.ask(askForNews, { since: base, tab, place: placeNow() });
    if (!reply.ok) return false;
    const { others, versions, ...news } = reply.value;
    // Goods, pictures and publications of other tabs come in as well.
    if (versions && !sameJson(versions, store.getState().versions)) void store.getState().reload();
    if (JSON.stringify(others) !== JSON.stringify(store.getState().others)) store.setState({ others });
    if (store.getState().keep === "signed-out") store.setState({ keep: "kept" });
    store.getState().ownSteps(others.map((o) => o.tab));
    if (!running && store.getState().pending.length === 0) {
      const met = heard(store.getState(), base, news);
      if (met.isAstray) await startOver();
      else if (news.missed.length) take(met);
    }
    return true;
  };

  const unsubscribe = store.subscribe((state, before) => {
    if (state.pending === before.pending && state.aside === before.aside) return;
    storeHere();
    if (state.pending.some((t) => !state.sealed.has(t.id)) && state.keep !== "waiting") {
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
    // While the server can't be reached, changes have their own time to try again.
    const isWaiting = store.getState().keep === "waiting";
    if (document.visibilityState === "visible" && !stopped && !isWaiting) void pull();
  }, LOOK_EVERY_MS);
  const onLeave = () => {
    if (tab) void client.ask(sayLeave, { leave: tab }, { keepalive: true });
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
