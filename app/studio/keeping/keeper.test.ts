// @vitest-environment jsdom
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { setBrand, setProp, setShown, type Transaction } from "~/core/commands";
import { contentWith, everySection } from "~/render/fixtures/content";
import { createStudioStore, startKeeper, type Keeper, type StudioStore } from ".";

const main = everySection.filter((s) => s.slot === "main").map((s) => s.node);
const hero = main[0]!;

type Sent = { base: number; transactions: Transaction[] };

/** A server as the keeper sees it: what it was sent, and what it answers next. */
class FakeServer {
  readonly sent: Sent[] = [];
  readonly answers: (() => Promise<Response>)[] = [];
  seq = 5;

  readonly fetch = vi.fn(async (_address: unknown, init?: RequestInit): Promise<Response> => {
    if (init?.method !== "POST") return Response.json({ seq: this.seq, missed: [] });
    const sent = JSON.parse(String(init.body)) as Sent;
    this.sent.push(sent);
    const next = this.answers.shift();
    if (next) return next();
    this.seq = sent.base + sent.transactions.length;
    return Response.json({ ok: true, seq: this.seq });
  });
}

function fakeLocks(): void {
  const held = new Set<string>();
  const request = async (
    name: string,
    options: { ifAvailable?: boolean },
    work: (lock: object | null) => Promise<unknown> | undefined,
  ) => {
    if (held.has(name) && options.ifAvailable) return work(null);
    held.add(name);
    const done = work({});
    if (!done) held.delete(name);
    return done;
  };
  Object.defineProperty(navigator, "locks", { value: { request }, configurable: true });
}

let server: FakeServer;
let keepers: Keeper[];

function studio(): StudioStore {
  const { draft, goods, pictures, currency, locale } = contentWith(main);
  const shop = { id: "shop1", host: "s", address: "", currency, locale };
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
    type(store, "Kept");
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
    server.answers.push(async () => Response.json({ ok: false, code: "behind", seq: 6, missed }));
    type(store, "Mine");
    await vi.advanceTimersByTimeAsync(400);
    expect(server.sent.map((s) => s.base)).toEqual([5, 6]);
    expect(store.getState()).toMatchObject({ keep: "kept", pending: [], base: 7 });
    expect(store.getState().draft.look.brand.corners).toBe("soft");
    expect(heading(store)).toBe("Mine");
    expect(store.getState().said?.text).toBe("Changes from another tab are in.");
  });

  it("lets go of one change that is refused, says why, and keeps the others", async () => {
    const store = studio();
    await keep(store);
    type(store, "Refused");
    const [first] = store.getState().pending;
    store.getState().run(setShown(store.getState().draft, [main[1]!.id], false, "Goods"));
    server.answers.push(async () =>
      Response.json({ ok: false, code: "refused", why: "Not like that.", transaction: first!.id }),
    );
    await vi.advanceTimersByTimeAsync(400);
    expect(heading(store)).toBe(hero.props.heading);
    expect(store.getState().draft.documents.home!.root.slots.main![1]!.shown).toBe(false);
    expect(store.getState().pending).toEqual([]);
    expect(store.getState().said?.text).toBe("One change could not be kept: Not like that.");
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
    localStorage.setItem("zest.pending.shop1.closed", JSON.stringify(gone.getState().pending));
    localStorage.setItem("zest.pending.shop1.open", JSON.stringify(open.getState().pending));
    void navigator.locks.request("zest.tab.open", {}, () => new Promise<never>(() => {}));

    const next = studio();
    await keep(next);
    await vi.advanceTimersByTimeAsync(10);
    expect(heading(next)).toBe("From a closed tab");
    expect(next.getState().draft.look.brand.corners).toBeUndefined();
    expect(localStorage.getItem("zest.pending.shop1.open")).not.toBeNull();
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
