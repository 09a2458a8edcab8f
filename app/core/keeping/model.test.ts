import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { redo, undo, type Transaction } from "../commands";
import { newId, sameJson, type Draft, type Json } from "../document";
import { changeOf, draft as someDraft } from "../fixtures/arbitraries";
import { applyAll, type Operation } from "../operations";
import {
  adopt,
  answered,
  discard,
  edit,
  heard,
  judge,
  nextBatch,
  openTab,
  tryAgain,
  type Answer,
  type Batch,
  type Left,
  type Met,
  type News,
  type Tab,
} from ".";

// Two tabs and a server, with everything that a network and a browser can do to them: requests and answers that are late,
// lost or come twice, tabs that are reloaded at any moment, changes that the server refuses. In the end all agree, every
// change is stored exactly once, each that was not stored has been reported, and each tab can undo what was done in it.

const BAD = "the server refuses this";

type Request = { readonly tab: Open; readonly batch: Batch };
type Open = { tab: Tab; outstanding: Request | undefined; left: Left | undefined; gone: boolean };
type Made = { readonly targets: Map<string, string> };

class World {
  readonly log: Transaction[] = [];
  server: Draft;
  readonly tabs: [Open, Open];
  readonly wire: Request[] = [];
  readonly answers: { readonly request: Request; readonly answer: Answer }[] = [];
  readonly news: { readonly tab: Open; readonly since: number; readonly news: News }[] = [];
  /** Everything that a tab accepted, by the transaction it is in. */
  readonly made = new Map<string, Made>();
  /** Which of the two tabs made a change. */
  readonly makers = new Map<string, 0 | 1>();
  /** What the seller was told of and then dealt with. */
  readonly settled = new Set<string>();
  count = 0;

  constructor(readonly start: Draft) {
    this.server = start;
    const open = (): Open => ({ tab: openTab(start, 0, []), outstanding: undefined, left: undefined, gone: false });
    this.tabs = [open(), open()];
  }

  take(open: Open, { tab, isAstray }: Met): void {
    expect(isAstray).toBe(false);
    open.tab = tab;
  }

  edit(open: Open, numbers: readonly [number, number, number], joins: boolean, isBad: boolean): void {
    const marker = `m${++this.count}.`;
    const value: Json = isBad ? `${marker} ${BAD}` : marker;
    const operation = changeOf(open.tab.draft, numbers, value);
    if (!operation) return;
    const last = open.tab.done.at(-1);
    const group = joins && last && !last.undoes && !last.redoes ? last.group : newId();
    this.carryOut(open, { id: newId(), group, intent: "x", label: marker, operations: [operation] }, marker);
  }

  whichOf(open: Open): 0 | 1 {
    return open === this.tabs[0] ? 0 : 1;
  }

  ownOf(which: 0 | 1, log: readonly Transaction[]): Transaction[] {
    return log.filter((t) => this.makers.get(t.id) === which);
  }

  newsSince(which: 0 | 1, since: number): News {
    const missed = this.log.slice(since);
    return { seq: this.log.length, missed, own: this.ownOf(which, missed).map((t) => t.id) };
  }

  carryOut(open: Open, next: Transaction, marker = ""): void {
    const before = open.tab.pending.length;
    const result = edit(open.tab, next);
    if (!result.ok) return;
    const merged = result.tab.pending.length === before;
    const put = result.tab.pending.at(-1)!;
    // What was ever sent has been sealed: nothing merges into it.
    if (merged) expect(open.tab.sealed.has(put.id)).toBe(false);
    open.tab = result.tab;
    this.makers.set(put.id, this.whichOf(open));
    const made = this.made.get(put.id) ?? { targets: new Map<string, string>() };
    const [operation] = next.operations;
    if (operation && says(operation, marker)) made.targets.set(targetOf(operation), marker);
    else if (operation) made.targets.delete(targetOf(operation));
    this.made.set(put.id, made);
  }

  send(open: Open): void {
    if (open.outstanding) return;
    const next = nextBatch(open.tab, 3);
    if (!next) return;
    open.tab = next.tab;
    open.outstanding = { tab: open, batch: next.batch };
    this.wire.push(open.outstanding);
  }

  arrive(request: Request): Answer {
    const { base, transactions } = request.batch;
    // What was sent and changed afterwards would be two changes under one name.
    const known = new Set(this.log.map((t) => t.id));
    const { seq, missed, own } = this.newsSince(this.makers.get(transactions[0]!.id)!, base);
    const stored = { seq, draft: this.server, since: missed, own: own ?? [], known };
    const { answer, store } = judge(stored, transactions, (_draft, operations) =>
      JSON.stringify(operations).includes(BAD) ? "Not like that." : undefined,
    );
    if (store) {
      this.log.push(...store.transactions);
      this.server = store.draft;
    }
    return answer;
  }

  /** A send that meets with no trouble; the server may hear later requests before earlier ones. */
  keep(open: Open): void {
    this.send(open);
    const request = open.outstanding;
    if (!request) return;
    const at = this.wire.indexOf(request);
    if (at >= 0) this.wire.splice(at, 1);
    open.outstanding = undefined;
    this.take(open, answered(open.tab, request.batch, this.arrive(request)));
  }

  deliver(index: number, twice: boolean): void {
    const request = this.wire[index % Math.max(1, this.wire.length)];
    if (!request) return;
    if (!twice) this.wire.splice(this.wire.indexOf(request), 1);
    this.answers.push({ request, answer: this.arrive(request) });
  }

  answer(index: number, isLost: boolean): void {
    const [found] = this.answers.splice(index % Math.max(1, this.answers.length), 1);
    if (!found || isLost) return;
    const { tab: open, batch } = found.request;
    if (open.gone || open.outstanding !== found.request) return;
    open.outstanding = undefined;
    this.take(open, answered(open.tab, batch, found.answer));
  }

  look(open: Open): void {
    const since = open.tab.base;
    this.news.push({ tab: open, since, news: this.newsSince(this.whichOf(open), since) });
  }

  hear(index: number): void {
    const [found] = this.news.splice(index % Math.max(1, this.news.length), 1);
    // As the studio does: while something of its own is under way, news come with the answer to that.
    if (!found || found.tab.gone || found.tab.outstanding || found.tab.tab.pending.length) return;
    this.take(found.tab, heard(found.tab.tab, found.since, found.news));
  }

  /**
   * The tab is reloaded: what it had stored in the browser is all that is left of it. `late`: while the new page was on its way
   * with what the server had until then, the old one heard that what it had sent is stored.
   */
  reload(which: 0 | 1, late = false): void {
    const old = this.tabs[which];
    const [draft, seq] = [this.server, this.log.length];
    if (late) this.keep(old);
    old.gone = true;
    const { pending, aside } = old.tab;
    const left = {
      pending: [...(old.left?.pending ?? []), ...pending],
      aside: [...(old.left?.aside ?? []), ...aside],
    };
    const tab = openTab(draft, seq, this.ownOf(which, this.log.slice(0, seq)));
    this.tabs[which] = { tab, outstanding: undefined, left, gone: false };
  }

  adopt(open: Open): void {
    // As the studio does: first the answer to what is under way.
    if (!open.left || open.outstanding) return;
    const ids = open.left.pending.map((t) => t.id);
    const known = this.log.filter((t) => ids.includes(t.id)).map((t) => t.id);
    const news = this.newsSince(this.whichOf(open), open.tab.base);
    this.take(open, adopt(open.tab, open.left, { known, news }));
    open.left = undefined;
  }

  aside(open: Open, again: boolean): void {
    const [first] = open.tab.aside;
    if (!first) return;
    const id = first.transaction.id;
    if (!again) {
      open.tab = discard(open.tab, id);
      this.settled.add(id);
      return;
    }
    const result = tryAgain(open.tab, id);
    if (!result.ok) return;
    open.tab = result.tab;
    this.settled.add(id);
    this.makers.set(open.tab.pending.at(-1)!.id, this.whichOf(open));
    this.made.set(open.tab.pending.at(-1)!.id, { targets: new Map() });
  }

  /** The network works again, and everybody has time. */
  settle(): void {
    for (const request of this.wire.splice(0)) this.answers.push({ request, answer: this.arrive(request) });
    while (this.answers.length) this.answer(0, false);
    for (let round = 0; round < 3; round++) {
      for (const open of this.tabs) {
        open.outstanding = undefined;
        this.adopt(open);
        for (let n = 0; open.tab.pending.length; n++) {
          expect(n).toBeLessThan(500);
          const next = nextBatch(open.tab)!;
          open.tab = next.tab;
          this.take(open, answered(open.tab, next.batch, this.arrive({ tab: open, batch: next.batch })));
        }
        const since = open.tab.base;
        const news = this.newsSince(this.whichOf(open), since);
        this.take(open, heard(open.tab, since, news));
      }
    }
  }

  check(): void {
    for (const { tab } of this.tabs) {
      expect(tab.base).toBe(this.log.length);
      expect(sameJson(tab.confirmed, this.server)).toBe(true);
      expect(sameJson(tab.draft, this.server)).toBe(true);
    }
    for (const which of [0, 1] as const) {
      const done = new Set(this.tabs[which].tab.done.map((t) => t.id));
      expect(this.ownOf(which, this.log).filter((t) => !done.has(t.id))).toEqual([]);
    }
    const again = applyAll(
      this.start,
      this.log.flatMap((t) => t.operations),
    );
    expect(again.ok && sameJson(again.draft, this.server)).toBe(true);
    const stored = new Map<string, Transaction>();
    for (const each of this.log) {
      expect(stored.has(each.id)).toBe(false);
      stored.set(each.id, each);
    }
    const reported = new Map(this.tabs.flatMap(({ tab }) => tab.aside).map((a) => [a.transaction.id, a.transaction]));
    for (const [id, { targets }] of this.made) {
      const kept = stored.get(id);
      const put = reported.get(id);
      // Exactly one of: stored, reported, or reported and dealt with.
      expect([kept, put, this.settled.has(id) || undefined].filter(Boolean)).toHaveLength(1);
      const { operations } = kept ?? put ?? {};
      if (operations) for (const marker of targets.values()) expect(operations.some((o) => says(o, marker))).toBe(true);
    }
  }
}

/** What an operation sets; a later one of the same transaction that sets it again takes its place. */
const targetOf = (operation: Operation): string => JSON.stringify({ ...operation, before: 0, after: 0 });

/** Whether an operation brings this into the draft. */
const says = (operation: Operation, marker: string): boolean =>
  marker !== "" && JSON.stringify({ ...operation, before: 0 }).includes(`"${marker}`);

class Step implements fc.Command<object, World> {
  constructor(
    readonly name: string,
    readonly go: (world: World) => void,
  ) {}
  check = () => true;
  run(_model: object, world: World): void {
    this.go(world);
  }
  toString = () => this.name;
}

const which = fc.constantFrom<0 | 1>(0, 1);
const index = fc.nat(5);
const rarely = fc.integer({ min: 0, max: 7 }).map((n) => n === 0);
const often = fc.boolean();

const steps = [
  fc
    .tuple(which, fc.tuple(fc.nat(1000), fc.nat(1000), fc.nat(1000)), often, rarely)
    .map(
      ([tab, n, joins, bad]) =>
        new Step(`edit ${tab} ${n.join()} ${joins} ${bad}`, (w) => w.edit(w.tabs[tab], n, joins, bad)),
    ),
  fc
    .tuple(which, fc.tuple(fc.nat(1000), fc.constant(3), fc.nat(1000)), often, rarely)
    .map(
      ([tab, n, joins, bad]) =>
        new Step(`write ${tab} ${n.join()} ${joins} ${bad}`, (w) => w.edit(w.tabs[tab], n, joins, bad)),
    ),
  // Most of the time, everything works.
  fc.tuple(which, fc.tuple(fc.nat(1000), fc.nat(1000), fc.nat(1000))).map(
    ([tab, n]) =>
      new Step(`edit and keep ${tab} ${n.join()}`, (w) => {
        w.edit(w.tabs[tab], n, false, false);
        w.keep(w.tabs[tab]);
        w.keep(w.tabs[tab]);
      }),
  ),
  which.map((tab) => new Step(`keep ${tab}`, (w) => w.keep(w.tabs[tab]))),
  which.map((tab) => new Step(`send ${tab}`, (w) => w.send(w.tabs[tab]))),
  fc.tuple(index, rarely).map(([i, twice]) => new Step(`deliver ${i} ${twice}`, (w) => w.deliver(i, twice))),
  index.map((i) => new Step(`lose ${i}`, (w) => void w.wire.splice(i % Math.max(1, w.wire.length), 1))),
  fc.tuple(index, rarely).map(([i, lost]) => new Step(`answer ${i} ${lost}`, (w) => w.answer(i, lost))),
  which.map((tab) => new Step(`give up ${tab}`, (w) => void (w.tabs[tab].outstanding = undefined))),
  which.map((tab) => new Step(`look ${tab}`, (w) => w.look(w.tabs[tab]))),
  index.map((i) => new Step(`hear ${i}`, (w) => w.hear(i))),
  fc.tuple(which, often).map(([tab, late]) => new Step(`reload ${tab} ${late}`, (w) => w.reload(tab, late))),
  // What a reload leaves is usually taken up at once.
  which.map(
    (tab) =>
      new Step(`reload and adopt ${tab}`, (w) => {
        w.reload(tab);
        w.adopt(w.tabs[tab]);
      }),
  ),
  which.map((tab) => new Step(`adopt ${tab}`, (w) => w.adopt(w.tabs[tab]))),
  fc.tuple(which, often).map(([tab, again]) => new Step(`aside ${tab} ${again}`, (w) => w.aside(w.tabs[tab], again))),
  fc.tuple(which, often).map(
    ([tab, back]) =>
      new Step(`${back ? "undo" : "redo"} ${tab}`, (w) => {
        const { draft, history } = w.tabs[tab].tab;
        const outcome = back ? undo(draft, history) : redo(draft, history);
        if (outcome.ok) w.carryOut(w.tabs[tab], outcome.transaction);
      }),
  ),
  fc.constant(
    new Step("the server restarts", (w) => {
      w.wire.length = 0;
      w.answers.length = 0;
    }),
  ),
];

const RUNS = Number(globalThis.process?.env.MODEL_RUNS ?? 1_500);

describe("two tabs and a server", () => {
  it("agree in the end, with every change stored once or reported, whatever happens to them", () => {
    fc.assert(
      fc.property(someDraft, fc.commands(steps, { size: "+1", maxCommands: 60 }), (start, commands) => {
        const world = new World(start);
        fc.modelRun(() => ({ model: {}, real: world }), commands);
        world.settle();
        world.check();
      }),
      { numRuns: RUNS, seed: 11 },
    );
  });
});
