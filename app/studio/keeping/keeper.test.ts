// @vitest-environment jsdom
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { removeNodes, setBrand, setProp, setShown, type Transaction } from "~/core/commands";
import { contentWith, everySection } from "~/render/fixtures/content";
import { createStudioStore, startKeeper, type Keeper, type StudioStore } from ".";

const main = everySection.filter((s) => s.slot === "main").map((s) => s.node);
const hero = main[0]!;

type Sent = { base: number; tab: string; transactions: Transaction[] };

/** A server as the keeper sees it: what it was sent, and what it answers next. */
class FakeServer {
  readonly sent: Sent[] = [];
  readonly answers: (() => Promise<Response>)[] = [];
  seq = 5;

  /** What it says it has already, when it is asked. */
  known: string[] = [];
  others: { who: string; place: string; tab: string }[] = [];
  /** What it tells of others when it is asked next. */
  missed: Transaction[] = [];

  readonly fetch = vi.fn(async (_address: unknown, init?: RequestInit): Promise<Response> => {
    if (init?.method !== "POST") {
      const missed = this.missed.splice(0);
      return Response.json({ seq: this.seq, missed, others: this.others });
    }
    const sent = JSON.parse(String(init.body)) as Sent | { known: string[] } | { leave: string };
    if ("leave" in sent) return Response.json({ ok: true });
    if ("known" in sent) {
      const known = sent.known.filter((id) => this.known.includes(id));
      return Response.json({ known, news: { seq: this.seq, missed: this.missed.splice(0) } });
    }
    this.sent.push(sent);
    const next = this.answers.shift();
    if (next) return next();
    this.seq = sent.base + sent.transactions.length;
    return Response.json({ ok: true, seq: this.seq });
  });
}

const refused = (transaction: string, why: string) =>
  Response.json({ ok: false, code: "refused", why, transaction }, { status: 422 });

function fakeLocks(): void {
  const held = new Set<string>();
  const request = async (
    name: string,
    options: { ifAvailable?: boolean; signal?: AbortSignal },
    work: (lock: object | null) => Promise<unknown> | undefined,
  ) => {
    if (held.has(name) && options.ifAvailable) return work(null);
    if (held.has(name))
      return new Promise((_done, fail) => options.signal?.addEventListener("abort", () => fail(new Error("held"))));
    held.add(name);
    const done = work({});
    if (!done) held.delete(name);
    else void done.then(() => held.delete(name));
    return done;
  };
  Object.defineProperty(navigator, "locks", { value: { request }, configurable: true });
}

let server: FakeServer;
let keepers: Keeper[];

function studio(): StudioStore {
  const { draft, goods, pictures, currency, locale } = contentWith(main);
  const shop = {
    id: "shop1",
    host: "s",
    address: "",
    currency,
    locale,
    timeZone: "Europe/London",
    moneyFormat: "en-GB",
  };
  return createStudioStore({ shop, goods, pictures, published: undefined, draft, seq: 5, log: [] });
}

/** Starts a keeper and lets it take its name. */
async function keep(store: StudioStore): Promise<Keeper> {
  const keeper = startKeeper(store);
  keepers.push(keeper);
  await vi.advanceTimersByTimeAsync(0);
  return keeper;
}

const type = (store: StudioStore, text: string) =>
  store.getState().run(setProp(store.getState().draft, hero.id, ["heading"], text, "Words changed in Hero"));
const heading = (store: StudioStore) => store.getState().draft.documents.home!.root.slots.main![0]!.props.heading;
const stored = () => Object.keys(localStorage).filter((key) => key.startsWith("zest.pending."));

beforeEach(() => {
  vi.useFakeTimers({ now: 1_000 });
  localStorage.clear();
  sessionStorage.clear();
  fakeLocks();
  server = new FakeServer();
  keepers = [];
  vi.stubGlobal("fetch", server.fetch);
});

afterEach(() => {
  for (const keeper of keepers) keeper.stop();
  vi.unstubAllGlobals();
  vi.useRealTimers();
});

describe("keeping", () => {
  it("sends a change a moment after it was made, says so, and empties this browser's storage", async () => {
    const store = studio();
    await keep(store);
    type(store, "Saved");
    expect(store.getState().keep).toBe("keeping");
    expect(stored()).toHaveLength(1);
    expect(server.sent).toHaveLength(0);
    await vi.advanceTimersByTimeAsync(400);
    expect(server.sent).toHaveLength(1);
    expect(store.getState()).toMatchObject({ keep: "kept", base: 6, pending: [] });
    expect(store.getState().confirmed).toEqual(store.getState().draft);
    expect(stored()).toEqual([]);
  });

  it("sends fast typing as one change", async () => {
    const store = studio();
    await keep(store);
    for (const text of ["K", "Ki", "Kit", "Kite"]) {
      type(store, text);
      await vi.advanceTimersByTimeAsync(60);
    }
    await vi.advanceTimersByTimeAsync(500);
    expect(server.sent).toHaveLength(1);
    expect(server.sent[0]!.transactions).toHaveLength(1);
  });

  it("waits and tries again when the server can't be reached, longer each time, and loses nothing", async () => {
    const store = studio();
    await keep(store);
    const dead = () => Promise.reject(new TypeError("fetch failed"));
    server.answers.push(dead, dead);
    type(store, "In the dark");
    await vi.advanceTimersByTimeAsync(400);
    expect(store.getState().keep).toBe("waiting");
    expect(stored()).toHaveLength(1);
    await vi.advanceTimersByTimeAsync(1_100);
    expect(server.sent).toHaveLength(2);
    expect(store.getState().keep).toBe("waiting");
    await vi.advanceTimersByTimeAsync(2_100);
    expect(server.sent).toHaveLength(3);
    expect(store.getState()).toMatchObject({ keep: "kept", pending: [] });
    expect(heading(store)).toBe("In the dark");
  });

  it("tries at once when the network is back", async () => {
    const store = studio();
    await keep(store);
    server.answers.push(() => Promise.reject(new TypeError("fetch failed")));
    type(store, "Soon");
    await vi.advanceTimersByTimeAsync(400);
    window.dispatchEvent(new Event("online"));
    await vi.advanceTimersByTimeAsync(0);
    expect(store.getState().keep).toBe("kept");
  });

  it("keeps changes here when the session has ended", async () => {
    const store = studio();
    await keep(store);
    server.answers.push(async () => new Response("signed out", { status: 401 }));
    type(store, "Later");
    await vi.advanceTimersByTimeAsync(400);
    expect(store.getState().keep).toBe("signed-out");
    expect(store.getState().pending).toHaveLength(1);
    expect(stored()).toHaveLength(1);
  });

  it("takes in what another tab was faster with, and sends its own again", async () => {
    const store = studio();
    await keep(store);
    const other = studio();
    other.getState().run(setBrand(other.getState().draft, "corners", "soft"));
    const missed = other.getState().pending;
    server.answers.push(async () => Response.json({ ok: false, code: "behind", seq: 6, missed }, { status: 409 }));
    type(store, "Mine");
    await vi.advanceTimersByTimeAsync(400);
    expect(server.sent.map((s) => s.base)).toEqual([5, 6]);
    expect(store.getState()).toMatchObject({ keep: "kept", pending: [], base: 7 });
    expect(store.getState().draft.look.brand.corners).toBe("soft");
    expect(heading(store)).toBe("Mine");
    expect(store.getState().said?.text).toBe("Changes from another tab are in.");
  });

  it("puts one change that is refused aside, says why, and keeps the others", async () => {
    const store = studio();
    await keep(store);
    type(store, "Refused");
    const [first] = store.getState().pending;
    store.getState().run(setShown(store.getState().draft, [main[1]!.id], false, "Goods"));
    server.answers.push(async () => refused(first!.id, "Not like that."));
    await vi.advanceTimersByTimeAsync(400);
    expect(heading(store)).toBe(hero.props.heading);
    expect(store.getState().draft.documents.home!.root.slots.main![1]!.shown).toBe(false);
    expect(store.getState()).toMatchObject({ pending: [], keep: "kept" });
    expect(store.getState().aside).toEqual([{ transaction: first, why: "Not like that." }]);
    expect(store.getState().history.past.map((s) => s.label)).toEqual(["Goods not shown yet"]);
    expect(store.getState().said?.text).toContain("“Words changed in Hero” could not be saved: Not like that.");
    // It is offered again, also after the tab was closed.
    expect(stored()).toHaveLength(1);
    fakeLocks();
    const again = studio();
    await keep(again);
    await vi.advanceTimersByTimeAsync(10);
    expect(again.getState().aside).toHaveLength(1);
    expect(again.getState().tryAgain(first!.id)).toBeUndefined();
    await vi.advanceTimersByTimeAsync(400);
    expect(again.getState()).toMatchObject({ keep: "kept", pending: [], aside: [] });
    expect(heading(again)).toBe("Refused");
  });

  it("finds out which of several changes is at fault when the answer does not say it, and the rest goes on", async () => {
    const store = studio();
    await keep(store);
    const change = (node: (typeof main)[number]) => {
      store.getState().select(node.id);
      store.getState().run(setShown(store.getState().draft, [node.id], false, node.kind));
    };
    main.slice(0, 3).forEach(change);
    const bad = store.getState().pending[1]!.id;
    const large = async () => new Response("That is larger than 15 MB. Make it smaller first.", { status: 413 });
    server.answers.push(large, async () => Response.json({ ok: true, seq: 6 }), large);
    await vi.advanceTimersByTimeAsync(400);
    expect(server.sent.map((s) => s.transactions.length)).toEqual([3, 1, 1, 1]);
    expect(store.getState()).toMatchObject({ keep: "kept", pending: [] });
    expect(store.getState().aside.map((a) => [a.transaction.id, a.why])).toEqual([
      [bad, "That is larger than 15 MB. Make it smaller first."],
    ]);
  });

  it("says which of its changes had nothing left to change, and does not undo what was not done", async () => {
    const store = studio();
    await keep(store);
    const other = studio();
    other.getState().run(removeNodes(other.getState().draft, [hero.id], "Hero"));
    const missed = other.getState().pending;
    server.answers.push(async () => Response.json({ ok: false, code: "behind", seq: 6, missed }, { status: 409 }));
    type(store, "Into nothing");
    await vi.advanceTimersByTimeAsync(400);
    expect(store.getState()).toMatchObject({ keep: "kept", pending: [], base: 6 });
    expect(store.getState().aside[0]).toMatchObject({ transaction: { label: "Words changed in Hero" } });
    expect(store.getState().history.past).toEqual([]);
    expect(store.getState().said?.text).toContain("could not be saved");
  });

  it("merges nothing into what was ever sent: an answer that was lost while a hand drags loses nothing", async () => {
    const store = studio();
    await keep(store);
    let stored: Transaction[] = [];
    server.answers.push(async () => {
      stored = server.sent[0]!.transactions;
      return Promise.reject(new TypeError("the answer is lost"));
    });
    const drag = (colour: string) => store.getState().run(setBrand(store.getState().draft, "colour", colour));
    store.getState().hold(true);
    drag("#111111");
    await vi.advanceTimersByTimeAsync(400);
    drag("#222222");
    drag("#333333");
    store.getState().hold(false);
    await vi.advanceTimersByTimeAsync(2_000);
    // The server has the first already, and skips it: what came later must be in a change of its own.
    const later = server.sent[1]!.transactions.filter((t) => !stored.some((s) => s.id === t.id));
    expect(later.flatMap((t) => t.operations).at(-1)).toMatchObject({ after: { is: "#333333" } });
    expect(store.getState()).toMatchObject({ keep: "kept", pending: [] });
    expect(store.getState().history.past).toHaveLength(1);
    store.getState().undo();
    expect(store.getState().draft.look.brand.colour).toBeUndefined();
  });

  it.each([500, 502, 503, 429, 403])("waits where the server answers %i, and tries again", async (status) => {
    const store = studio();
    await keep(store);
    server.answers.push(async () => new Response("not now", { status }));
    type(store, "Later");
    await vi.advanceTimersByTimeAsync(400);
    expect(store.getState()).toMatchObject({ keep: "waiting", aside: [] });
    await vi.advanceTimersByTimeAsync(1_100);
    expect(store.getState()).toMatchObject({ keep: "kept", pending: [] });
  });

  it("puts nothing aside where the shop is gone, and says so", async () => {
    const store = studio();
    await keep(store);
    server.answers.push(async () => new Response("gone", { status: 404 }));
    type(store, "Nowhere");
    await vi.advanceTimersByTimeAsync(400);
    expect(store.getState()).toMatchObject({ keep: "gone", aside: [] });
    expect(store.getState().pending).toHaveLength(1);
    expect(server.sent).toHaveLength(1);
  });
});

describe("a tab that was closed or crashed", () => {
  it("finds its own changes again after a reload", async () => {
    const store = studio();
    server.answers.push(() => new Promise(() => {}));
    const keeper = await keep(store);
    type(store, "At the last moment");
    await vi.advanceTimersByTimeAsync(400);
    keeper.stop();
    fakeLocks();

    const again = studio();
    await keep(again);
    await vi.advanceTimersByTimeAsync(10);
    expect(heading(again)).toBe("At the last moment");
    expect(again.getState().history.past.map((s) => s.label)).toEqual(["Words changed in Hero"]);
    await vi.advanceTimersByTimeAsync(400);
    expect(again.getState().keep).toBe("kept");
    expect(stored()).toEqual([]);
  });

  it("leaves its changes to the next one, and a tab that is still open keeps its own", async () => {
    const [gone, open] = [studio(), studio()];
    type(gone, "From a closed tab");
    open.getState().run(setBrand(open.getState().draft, "corners", "soft"));
    // Earlier versions stored the changes alone.
    localStorage.setItem("zest.pending.shop1.closed", JSON.stringify(gone.getState().pending));
    localStorage.setItem("zest.pending.shop1.open", JSON.stringify({ pending: open.getState().pending, aside: [] }));
    void navigator.locks.request("zest.tab.open", {}, () => new Promise<never>(() => {}));

    const next = studio();
    await keep(next);
    await vi.advanceTimersByTimeAsync(10);
    expect(heading(next)).toBe("From a closed tab");
    expect(next.getState().draft.look.brand.corners).toBeUndefined();
    expect(localStorage.getItem("zest.pending.shop1.open")).not.toBeNull();
  });

  it("does not make a change twice that the server had stored before the tab was closed", async () => {
    const gone = studio();
    type(gone, "Stored already");
    const { pending } = gone.getState();
    localStorage.setItem("zest.pending.shop1.closed", JSON.stringify({ pending, aside: [] }));
    server.known = pending.map((t) => t.id);
    const next = studio();
    await keep(next);
    await vi.advanceTimersByTimeAsync(400);
    expect(next.getState().pending).toEqual([]);
    expect(server.sent).toEqual([]);
    expect(stored()).toEqual([]);
  });

  it("can undo what it had done just before a reload, though the server had that and this tab had not seen it", async () => {
    const gone = studio();
    type(gone, "Stored meanwhile");
    sessionStorage.setItem("zest.tab", "mine");
    const { pending } = gone.getState();
    localStorage.setItem("zest.pending.shop1.mine", JSON.stringify({ pending, aside: [] }));
    server.known = pending.map((t) => t.id);
    server.missed = [...pending];
    server.seq = 6;
    const store = studio();
    await keep(store);
    await vi.advanceTimersByTimeAsync(10);
    expect(store.getState()).toMatchObject({ base: 6, pending: [], said: null });
    expect(heading(store)).toBe("Stored meanwhile");
    expect(store.getState().history.past.map((s) => s.label)).toEqual(["Words changed in Hero"]);
  });

  it("keeps what it left until the server can be asked, and what is done meanwhile with it", async () => {
    const gone = studio();
    type(gone, "Left");
    sessionStorage.setItem("zest.tab", "mine");
    localStorage.setItem("zest.pending.shop1.mine", JSON.stringify({ pending: gone.getState().pending, aside: [] }));
    const working = server.fetch.getMockImplementation()!;
    server.fetch.mockImplementation(() => Promise.reject(new TypeError("no network")));
    const store = studio();
    await keep(store);
    store.getState().run(setBrand(store.getState().draft, "corners", "soft"));
    await vi.advanceTimersByTimeAsync(400);
    const kept = JSON.parse(localStorage.getItem("zest.pending.shop1.mine")!) as { pending: Transaction[] };
    expect(kept.pending).toHaveLength(2);
    server.fetch.mockImplementation(working);
    await vi.advanceTimersByTimeAsync(20_000);
    expect(heading(store)).toBe("Left");
    expect(store.getState()).toMatchObject({ keep: "kept", pending: [] });
    expect(store.getState().draft.look.brand.corners).toBe("soft");
    expect(stored()).toEqual([]);
  });

  it("is not led astray by storage that is damaged", async () => {
    localStorage.setItem("zest.pending.shop1.bad", "{not json");
    localStorage.setItem("zest.pending.shop1.worse", JSON.stringify([{ id: "x", operations: "all of them" }]));
    const store = studio();
    const before = store.getState().draft;
    await keep(store);
    await vi.advanceTimersByTimeAsync(10);
    expect(store.getState().draft).toBe(before);
    expect(store.getState().pending).toEqual([]);
  });
});
