import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
  addLayout,
  duplicateNodes,
  moveNode,
  removeLayout,
  removeNodes,
  setBrand,
  setLayoutFor,
  setProp,
  setShown,
  setStyle,
  type Outcome,
  type Transaction,
} from "~/core/commands";
import type { Draft, Json } from "~/core/document";
import { applyAll } from "~/core/operations";
import { DraftLog, DraftPart } from "../database/index.server";
import { LONGEST_LABEL, MOST_IN_SLOT } from "~/core/schema";
import { ownerWithShop } from "../fixtures/owner";
import { keep } from "../fixtures/keeping";
import { ask, draftNow, loadDraft, since } from "./index.server";

const made = (outcome: Outcome): Transaction => {
  if (!outcome.ok) throw new Error(outcome.why);
  return outcome.transaction;
};
const hero = (draft: Draft) => draft.documents.home!.root.slots.main![0]!;
const heading = (draft: Draft, text: string) =>
  made(setProp(draft, hero(draft).id, ["heading"], text, "Words changed"));

describe("keeping", () => {
  it("stores every kind of change so that loading gives it back, with the log for undo", async () => {
    const { shop } = await ownerWithShop();
    let { draft, seq } = await loadDraft(shop.id);
    const id = hero(draft).id;
    const makers: ((d: Draft) => Outcome)[] = [
      (d) => setProp(d, id, ["heading"], "Wörter “mit” 🪁", "Words changed"),
      (d) => setStyle(d, [id], "phone", "align", "center", "Words"),
      (d) => duplicateNodes(d, [id], "Hero"),
      (d) => moveNode(d, id, 3, "Hero"),
      (d) => setShown(d, [id], false, "Hero"),
      (d) => setBrand(d, "colour", "#225577"),
      (d) => removeNodes(d, [id], "Hero"),
    ];
    for (const make of makers) {
      const transaction = made(make(draft));
      const kept = await keep(shop.id, { base: seq, transactions: [transaction] });
      expect(kept).toEqual({ ok: true, seq: seq + 1 });
      ({ draft, seq } = await loadDraft(shop.id));
      expect((await loadDraft(shop.id)).log.at(-1)).toEqual({ transaction, tab: "tab", by: "somebody" });
    }
    expect(draft.look.brand.colour).toBe("#225577");
    expect(draft.documents.home!.root.slots.main!.some((n) => n.id === id)).toBe(false);
    expect((await loadDraft(shop.id)).log).toHaveLength(makers.length);
  });

  it("stores layouts that no shop had stored before, new ones, their goods, and their going", async () => {
    const { shop } = await ownerWithShop();
    const step = async (make: (d: Draft) => Outcome) => {
      const { draft, seq } = await loadDraft(shop.id);
      expect(await keep(shop.id, { base: seq, transactions: [made(make(draft))] })).toMatchObject({ ok: true });
      return (await loadDraft(shop.id)).draft;
    };
    const { draft: first } = await loadDraft(shop.id);
    // Those that every shop begins with are there without having been stored.
    expect(await DraftPart.count({ where: { shopId: shop.id, part: "product" } })).toBe(0);
    const main = first.documents.product!.root.slots.main!;
    const changed = await step((d) => setShown(d, [main[1]!.id], false, "The product"));
    expect(changed.documents.product!.root.slots.main![1]!.shown).toBe(false);
    expect(changed.documents.collection).toEqual(first.documents.collection);
    await step((d) => addLayout(d, "product", "Kites", "kites"));
    const named = await step((d) => setLayoutFor(d, "kites", { products: ["p1"], collections: ["c1"] }));
    expect(named.documents.kites!.root.props).toEqual({ of: "product", products: ["p1"], collections: ["c1"] });
    // Like the one it was made from, as that was by then.
    expect(named.documents.kites!.root.slots.main![1]!.shown).toBe(false);
    const gone = await step((d) => removeLayout(d, "kites"));
    expect(gone.documents.kites).toBeUndefined();
    expect(Object.keys(gone.documents).sort()).toEqual(Object.keys(first.documents).sort());
  });

  it("refuses a part of a product on a page that has none, and a layout that says nonsense", async () => {
    const { shop } = await ownerWithShop();
    const { draft, seq } = await loadDraft(shop.id);
    const product = draft.documents.product!;
    const stray = { ...product.root.slots.main!.find((n) => n.kind === "reviews")!, id: "stray" };
    const to = { parent: draft.documents.home!.root.id, slot: "main", index: 0 };
    const some = made(setBrand(draft, "corners", "soft"));
    const send = (operations: Transaction["operations"]) =>
      keep(shop.id, { base: seq, transactions: [{ ...some, operations }] });
    expect(await send([{ type: "insertNode", document: "home", to, node: stray }])).toMatchObject({
      code: "refused",
      why: "Reviews makes no sense on “Home”.",
    });
    const nonsense = {
      ...product,
      id: "other",
      root: { ...product.root, id: "other-root", props: { of: "checkout" } },
    };
    expect(await send([{ type: "addDocument", added: nonsense }])).toMatchObject({ code: "refused" });
    const untitled = { ...nonsense, title: " ", root: { ...nonsense.root, props: product.root.props } };
    expect(await send([{ type: "addDocument", added: untitled }])).toMatchObject({
      code: "refused",
      why: "A page needs a title.",
    });
    expect((await loadDraft(shop.id)).draft).toEqual(draft);
  });

  it("gives back, for any run of commands, exactly the draft that the studio has", async () => {
    const step = fc.tuple(fc.nat(7), fc.nat(30), fc.string({ unit: "grapheme", maxLength: 20 }));
    await fc.assert(
      fc.asyncProperty(fc.array(step, { minLength: 1, maxLength: 12 }), async (steps) => {
        const { shop } = await ownerWithShop();
        const start = await loadDraft(shop.id);
        let here = start.draft;
        const transactions: Transaction[] = [];
        for (const [what, where, text] of steps) {
          const main = here.documents.home!.root.slots.main!;
          const node = main[where % Math.max(1, main.length)];
          if (!node) break;
          const outcome = [
            () => setProp(here, node.id, ["heading"], text, "Words changed"),
            () => setStyle(here, [node.id], "phone", "align", where % 2 ? "center" : "start", "Words"),
            () => duplicateNodes(here, [node.id], "X"),
            () => moveNode(here, node.id, where % (main.length + 1), "X"),
            () => setShown(here, [node.id], !node.shown, "X"),
            () => removeNodes(here, [node.id], "X"),
            () => setBrand(here, "colour", `#${String(100000 + where)}`),
            () => setBrand(here, "density", where % 2 ? "airy" : undefined),
          ][what]!();
          const applied = outcome.ok ? applyAll(here, outcome.transaction.operations) : undefined;
          if (!outcome.ok || !applied?.ok) continue;
          here = applied.draft;
          transactions.push(outcome.transaction);
        }
        if (transactions.length)
          expect(await keep(shop.id, { base: start.seq, transactions })).toMatchObject({ ok: true });
        expect((await loadDraft(shop.id)).draft).toEqual(here);
      }),
      { seed: 8, numRuns: 15 },
    );
  });

  it("tells the second of two tabs what it missed and stores nothing of its", async () => {
    const { shop } = await ownerWithShop();
    const { draft, seq } = await loadDraft(shop.id);
    const theirs = heading(draft, "Theirs");
    expect(await keep(shop.id, { base: seq, transactions: [theirs] })).toMatchObject({ ok: true });
    expect(await keep(shop.id, { base: seq, transactions: [made(setBrand(draft, "corners", "soft"))] })).toEqual({
      ok: false,
      code: "behind",
      seq: seq + 1,
      missed: [theirs],
      own: [theirs.id],
    });
    expect((await loadDraft(shop.id)).draft.look.brand.corners).toBeUndefined();
    // Under the same name it was made before the page was loaded anew; under another one it is somebody else's.
    expect(await since(shop.id, seq, "tab")).toEqual({ seq: seq + 1, missed: [theirs], own: [theirs.id] });
    expect(await since(shop.id, seq, "mine")).toEqual({ seq: seq + 1, missed: [theirs], own: [] });
    expect(await since(shop.id, seq + 1, "mine")).toEqual({ seq: seq + 1, missed: [], own: [] });
  });

  it("is read once for whoever looks at it, and once more when it has changed", async () => {
    const { shop } = await ownerWithShop();
    const { draft, seq } = await loadDraft(shop.id);
    const [one, two] = await Promise.all([draftNow(shop.id), draftNow(shop.id)]);
    expect(await draftNow(shop.id)).toBe(two);
    expect(one).toEqual(draft);
    await keep(shop.id, { base: seq, transactions: [heading(draft, "Looked at")] });
    expect(hero(await draftNow(shop.id)).props.heading).toBe("Looked at");
  });

  it("takes the same change sent twice once, also when the first answer was lost", async () => {
    const { shop } = await ownerWithShop();
    const { draft, seq } = await loadDraft(shop.id);
    const first = heading(draft, "Once");
    await keep(shop.id, { base: seq, transactions: [first] });
    expect(await keep(shop.id, { base: seq, transactions: [first] })).toEqual({ ok: true, seq: seq + 1 });
    const second = made(setBrand((await loadDraft(shop.id)).draft, "density", "airy"));
    expect(await keep(shop.id, { base: seq, transactions: [first, second] })).toEqual({ ok: true, seq: seq + 2 });
    expect(await DraftLog.count({ where: { shopId: shop.id } })).toBe(2);
  });

  it("lets exactly one of many that arrive at once be first, and loses none that was kept", async () => {
    const { shop } = await ownerWithShop();
    const { draft, seq } = await loadDraft(shop.id);
    const answers = await Promise.all(
      Array.from({ length: 8 }, (_, i) => keep(shop.id, { base: seq, transactions: [heading(draft, `Tab ${i}`)] })),
    );
    expect(answers.filter((a) => a.ok)).toHaveLength(1);
    expect(answers.filter((a) => !a.ok && a.code === "behind")).toHaveLength(7);
    expect((await loadDraft(shop.id)).seq).toBe(seq + 1);
  });

  it("refuses a batch whole when one change in it may not be, and says which and why", async () => {
    const { shop } = await ownerWithShop();
    const { draft, seq } = await loadDraft(shop.id);
    const good = heading(draft, "Good");
    const id = hero(draft).id;
    const bad = made(setProp(draft, id, ["link"], { to: "web", address: "javascript:alert(1)" }, "x"));
    expect(await keep(shop.id, { base: seq, transactions: [good, bad] })).toMatchObject({
      ok: false,
      code: "refused",
      transaction: bad.id,
    });
    expect((await loadDraft(shop.id)).draft).toEqual(draft);
    const injected = made(setStyle(draft, [id], "all", "shape", "4/5}</style>", "x"));
    expect(await keep(shop.id, { base: seq, transactions: [injected] })).toMatchObject({ ok: false, code: "refused" });
    // The commands would not make such changes; a hostile browser could.
    const onLook = (id: string, path: string[], value: Json): Transaction => ({
      ...good,
      id,
      operations: [{ type: "setLook", path, before: { absent: true }, after: { is: value } }],
    });
    for (const [n, [path, value]] of (
      [
        [["brand", "colour"], "red;}"],
        [["brand", "nothing"], 1],
        [["brand", "pin.light.page.link"], "</style>"],
        [["brand", "button.primary.gradient"], { angle: 90, stops: [{ colour: "url(x)", at: 0 }] }],
        [["versions", "v1"], { name: "", at: "now", theme: "pomelo", brand: {} }],
      ] as const
    ).entries()) {
      expect(
        await keep(shop.id, { base: seq, transactions: [onLook(`hostile${n}`, [...path], value as Json)] }),
      ).toMatchObject({
        ok: false,
        code: "refused",
      });
    }
    const unknown: Transaction = {
      ...good,
      id: "unknownkind",
      operations: [
        {
          type: "insertNode",
          document: "home",
          to: { parent: draft.documents.home!.root.id, slot: "main", index: 0 },
          node: { ...hero(draft), id: "zz", kind: "nothing-we-know" },
        },
      ],
    };
    expect(await keep(shop.id, { base: seq, transactions: [unknown] })).toMatchObject({ ok: false, code: "refused" });
  });
});

describe("what can't be read", () => {
  it("a page of a newer version is left out and said, the rest opens, and it is kept as it is", async () => {
    const { shop } = await ownerWithShop();
    const part = (await DraftPart.findOne({ where: { shopId: shop.id, part: "home" } }))!;
    const newer = JSON.stringify({ ...(JSON.parse(part.body) as object), schemaVersion: 99 });
    const { draft: before, seq } = await loadDraft(shop.id);
    await part.update({ body: newer });
    const { draft, unread } = await loadDraft(shop.id);
    expect(unread).toEqual([{ id: "home", why: expect.stringContaining("a newer version of Zest Window") }]);
    expect(Object.keys(draft.documents).toSorted()).toEqual(Object.keys(before.documents).toSorted());
    // The studio can't open without a home page; what stands in for it is empty.
    expect(draft.documents.home!.root.slots.main).toEqual([]);
    // Nothing is put over it, and other pages can be written.
    const onIt = heading(before, "Over it");
    expect(await keep(shop.id, { base: seq, transactions: [onIt] })).toMatchObject({
      code: "refused",
      transaction: onIt.id,
    });
    const over = { ...onIt, id: "over", operations: [{ type: "addDocument", added: before.documents.home! } as const] };
    expect(await keep(shop.id, { base: seq, transactions: [over] })).toMatchObject({
      code: "refused",
      why: expect.stringContaining("a newer version"),
    });
    const elsewhere = made(setBrand(draft, "corners", "soft"));
    expect(await keep(shop.id, { base: seq, transactions: [elsewhere] })).toMatchObject({ ok: true });
    expect((await part.reload()).body).toBe(newer);
  });

  it("a change that was stored before its page became unreadable is not refused when it is sent again", async () => {
    const { shop } = await ownerWithShop();
    const { draft, seq } = await loadDraft(shop.id);
    const change = heading(draft, "Stored");
    expect(await keep(shop.id, { base: seq, transactions: [change] })).toEqual({ ok: true, seq: seq + 1 });
    const part = (await DraftPart.findOne({ where: { shopId: shop.id, part: "home" } }))!;
    await part.update({ body: JSON.stringify({ ...(JSON.parse(part.body) as object), schemaVersion: 99 }) });
    const again = await keep(shop.id, { base: seq + 1, transactions: [change] });
    expect(again).toEqual({ ok: true, seq: seq + 1 });
    expect((await since(shop.id, seq, "mine")).missed).toHaveLength(1);
  });

  it("a setting of the look stays with it, unused, when the look is changed", async () => {
    const { shop } = await ownerWithShop();
    const part = (await DraftPart.findOne({ where: { shopId: shop.id, part: "look" } }))!;
    const look = JSON.parse(part.body) as { brand: object };
    await part.update({ body: JSON.stringify({ ...look, brand: { ...look.brand, "scent.top": "pine", corners: 7 } }) });
    const { draft, seq } = await loadDraft(shop.id);
    expect(draft.look.brand).toEqual(look.brand);
    const change = made(setBrand(draft, "density", "airy"));
    expect(await keep(shop.id, { base: seq, transactions: [change] })).toMatchObject({ ok: true });
    expect((await loadDraft(shop.id)).draft.look.brand).toEqual({ ...look.brand, density: "airy" });
    expect((JSON.parse((await part.reload()).body) as { brand: object }).brand).toMatchObject({
      "scent.top": "pine",
      corners: 7,
      density: "airy",
    });
  });
});

describe("limits", () => {
  it("are those that the studio has: long labels, and a layout for more products than a batch, are kept", async () => {
    const { shop } = await ownerWithShop();
    const { draft, seq } = await loadDraft(shop.id);
    const long = made(setProp(draft, hero(draft).id, ["heading"], "x", "Words ".repeat(90)));
    expect(long.label).toHaveLength(LONGEST_LABEL);
    const products = Array.from({ length: 501 }, (_, i) => `p${i}`);
    const layout = made(addLayout(draft, "product", "Kites", "kites"));
    expect(await keep(shop.id, { base: seq, transactions: [long, layout] })).toMatchObject({ ok: true });
    const many = made(setLayoutFor((await loadDraft(shop.id)).draft, "kites", { products, collections: [] }));
    expect(await keep(shop.id, { base: seq + 2, transactions: [many] })).toMatchObject({ ok: true });
    expect((await loadDraft(shop.id)).draft.documents.kites!.root.props.products).toHaveLength(501);
  });

  it("name the one change that is beyond them, so that the rest can go on without it", async () => {
    const { shop } = await ownerWithShop();
    const { draft, seq } = await loadDraft(shop.id);
    const good = heading(draft, "Good");
    const large = { ...good, id: "large", label: "x".repeat(LONGEST_LABEL + 1) };
    const wild = { ...good, id: "wild", operations: [{ type: "dropTables" } as never] };
    for (const bad of [large, wild])
      expect(await keep(shop.id, { base: seq, transactions: [good, bad] })).toMatchObject({
        code: "refused",
        transaction: bad.id,
      });
    expect((await loadDraft(shop.id)).seq).toBe(seq);
  });

  it("hold for the sections of a page, so that nothing is accepted that can't be read again", async () => {
    const { shop } = await ownerWithShop();
    const { draft, seq } = await loadDraft(shop.id);
    const { root } = draft.documents.home!;
    const have = root.slots.main!.length;
    const copies = Array.from({ length: MOST_IN_SLOT + 1 - have }, (_, i) => ({ ...hero(draft), id: `copy${i}` }));
    const insert = (node: (typeof copies)[number]) =>
      ({ type: "insertNode", document: "home", to: { parent: root.id, slot: "main", index: 0 }, node }) as const;
    const all = { ...heading(draft, ""), id: "all", operations: copies.map(insert) };
    expect(await keep(shop.id, { base: seq, transactions: [all] })).toMatchObject({
      code: "refused",
      why: expect.stringContaining(`can hold ${MOST_IN_SLOT} sections`),
    });
    const most = { ...all, id: "most", operations: copies.slice(1).map(insert) };
    expect(await keep(shop.id, { base: seq, transactions: [most] })).toMatchObject({ ok: true });
    expect((await loadDraft(shop.id)).draft.documents.home!.root.slots.main).toHaveLength(MOST_IN_SLOT);
  });
});

it("says which changes are stored already, and gives the whole draft of that moment", async () => {
  const { shop } = await ownerWithShop();
  const { draft, seq } = await loadDraft(shop.id);
  const change = heading(draft, "Stored");
  await keep(shop.id, { base: seq, transactions: [change] });
  expect(await ask(shop.id, { known: [change.id, "unheard-of"], since: 0, tab: "mine" })).toMatchObject({
    known: [change.id],
    news: { missed: [{ id: change.id }] },
  });
  const { whole } = await ask(shop.id, { known: [], since: null, tab: "mine" });
  const now = await loadDraft(shop.id);
  expect(whole).toEqual({ draft: now.draft, seq: now.seq });
});

it("tells the second of two what it missed also when all that it sends is stored already", async () => {
  const { shop } = await ownerWithShop();
  const { draft, seq } = await loadDraft(shop.id);
  const mine = heading(draft, "Mine");
  await keep(shop.id, { base: seq, transactions: [mine] });
  const theirs = made(setBrand(draft, "corners", "soft"));
  await keep(shop.id, { base: seq + 1, transactions: [theirs] });
  // The answer to the first was lost; it is sent again, by a tab that knows of neither.
  expect(await keep(shop.id, { base: seq, transactions: [mine] })).toEqual({
    ok: false,
    code: "behind",
    seq: seq + 2,
    missed: [mine, theirs],
    own: [mine.id, theirs.id],
  });
});
