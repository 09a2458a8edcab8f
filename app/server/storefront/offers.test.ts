import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { addNode, addOffer } from "~/core/commands";
import type { Condition } from "~/core/conditions";
import type { Part } from "~/core/document";
import { readCsv } from "~/core/formats";
import type { OfferRoot } from "~/core/offers";
import { TEST_CARDS } from "~/core/selling";
import { makeNode } from "~/kinds";
import { sectionAround } from "~/kinds/fill";
import { loadDraft } from "../drafts/index.server";
import { keep } from "../fixtures/keeping";
import { opensCheckout } from "../fixtures/orders";
import { ownerWithShop } from "../fixtures/owner";
import { formsBy, openStorefront, type Answer, type Asked } from "../fixtures/shoppers";
import { goodsOf, importGoods } from "../goods/index.server";
import { usesOf } from "../offer-uses/index.server";
import { changeOrder, orderOf, ordersOf } from "../orders/index.server";
import { pendingChanges, publish } from "../publishing/index.server";
import { freshShop } from "../shops/index.server";

let front: Awaited<ReturnType<typeof openStorefront>>;
beforeAll(async () => void (front = await openStorefront()));
afterAll(() => front.close());

type Made = { readonly name: string; readonly root: OfferRoot; readonly conditions?: readonly Condition[] };
const TENTH: OfferRoot = { gives: { sort: "percent", off: 1000, on: "all" } };

/** A published shop that sells apples at 10.00 and bread at 8.00, with offers. */
async function openShop(offers: readonly Made[], isPublished = true) {
  const { shop } = await ownerWithShop();
  await importGoods(shop, readCsv("SKU,Title,Price\nA,Apple,10.00\nB,Bread,8.00\n"));
  if (!isPublished) await publish(shop.id, (await pendingChanges(shop.id)).seq);
  for (const { name, root, conditions = [] } of offers) {
    const { draft, seq } = await loadDraft(shop.id);
    const made = addOffer(draft, name, root, conditions as unknown as Part["conditions"]);
    if (!made.ok) throw new Error(made.why);
    expect(await keep(shop.id, { base: seq, transactions: [made.transaction] })).toMatchObject({ ok: true });
  }
  if (isPublished) await publish(shop.id, (await pendingChanges(shop.id)).seq);
  const { products } = await goodsOf(await freshShop(shop));
  const by = (sku: string) => products.find((p) => p.sku === sku)!;
  const ask = (path: string, asked: Asked = {}) => front.ask(path, { host: shop.host, ...asked });
  const send = formsBy(ask);
  /** A shopper with apples in the cart, and what the cart says to them. */
  const shopper = async (count = "1") => {
    const Cookie = cookies(await send("/cart/add", { product: by("A").id, count }));
    const cart = async () => (await ask("/cart", { headers: { Cookie } })).body;
    return { Cookie, cart, total: async () => /class="cart-total".*?class="price">([^<]+)</.exec(await cart())?.[1] };
  };
  return { shop, by, ask, send, shopper };
}
const cookies = (answer: Answer) => (answer.headers["set-cookie"] ?? []).map((c) => c.split(";")[0]!).join("; ");
const SCRIPT = { Accept: "application/json" };

describe("an offer that may be had so often only", () => {
  const ADA = { country: "IE", name: "Ada Quill", street: "4 Quay Lane", town: "Howth", way: "post", pay: "transfer" };
  let presses = 0;
  const press = () => `limited-press-${String(++presses).padStart(8, "0")}`;
  async function limited(root: Partial<OfferRoot>) {
    const { shop } = await ownerWithShop();
    await importGoods(shop, readCsv("SKU,Title,Price,Stock\nA,Apple,10.00,99"));
    const loaded = await loadDraft(shop.id);
    const gives = { sort: "percent", off: 5_000, on: "all" } as const;
    const added = addOffer(loaded.draft, "Half", { gives, code: "HALF", ...root }, [], "half");
    if (!added.ok) throw new Error(added.why);
    await keep(shop.id, { base: loaded.seq, transactions: [added.transaction] });
    await opensCheckout(shop);
    const { products } = await goodsOf(await freshShop(shop));
    const send = formsBy((path, asked = {}) => front.ask(path, { host: shop.host, ...asked }));
    const jar = (answer: Answer) => (answer.headers["set-cookie"] ?? []).map((c) => c.split(";")[0]!).join("; ");
    const cart = async () => {
      const Cookie = jar(await send("/cart/add", { product: products[0]!.id, count: "1" }));
      await send("/cart/code", { code: "half" }, { Cookie });
      return (mail: string, more: Record<string, string> = {}) =>
        send("/checkout", { ...ADA, mail, pressed: press(), do: "place", ...more }, { Cookie });
    };
    const totals = async () =>
      (await ordersOf(shop.id, { find: "", filter: "all", page: 1 })).orders.map(({ total }) => total);
    return { shop, cart, totals };
  }
  const isPlaced = ({ status, headers }: Answer) => status === 303 && headers.location!.includes("thanks=1");

  it("goes to as many as it may, however many order at once", async () => {
    const { cart, totals, shop } = await limited({ mostUses: 5 });
    // One after the other: many codes at once from one place are taken for guessing.
    const carts = [];
    for (let i = 0; i < 12; i++) carts.push(await cart());
    const answers = await Promise.all(carts.map((buy, i) => buy(`ada${i}@quill.example`, { seen: "1000" })));
    expect(answers.filter(isPlaced).length).toBe(5);
    expect(await totals()).toEqual([1_000, 1_000, 1_000, 1_000, 1_000]);
    expect(answers.every(({ status }) => status === 303 || status === 409)).toBe(true);
    // Whoever comes later sees the price without it before they order.
    const late = await (await cart())("late@quill.example", { do: "look" });
    expect(late.body).toContain("€15.00");
    expect((await usesOf(shop.id))[0]).toMatchObject({
      offer: "half",
      months: [{ orders: 5, off: 2_500, total: 5_000 }],
    });
  });

  it("is there again when an order comes to nothing", async () => {
    const { cart, totals, shop } = await limited({ mostUses: 1 });
    const first = await cart();
    expect(
      (await first("ada@quill.example", { pay: "card", number: TEST_CARDS.declined, expires: "08/39", code: "123" }))
        .status,
    ).toBe(402);
    expect(isPlaced(await first("ada@quill.example"))).toBe(true);
    expect(isPlaced(await (await cart())("tom@quill.example"))).toBe(true);
    expect(await totals()).toEqual([1_500, 1_000]);
    const { orders } = await ordersOf(shop.id, { find: "", filter: "all", page: 1 });
    const half = (await orderOf(shop.id, orders[1]!.id))!.order;
    await changeOrder(shop.id, { do: "cancel", id: half.id, version: half.version, text: "", tells: false });
    expect(isPlaced(await (await cart())("eve@quill.example"))).toBe(true);
    expect((await totals())[0]).toBe(1_000);
  });

  it("goes to each shopper as often as it may, known by their mail address however they write it", async () => {
    const { cart, totals } = await limited({ mostEach: 1 });
    expect(isPlaced(await (await cart())("ada@quill.example"))).toBe(true);
    expect(isPlaced(await (await cart())(" ADA@Quill.example"))).toBe(true);
    expect(isPlaced(await (await cart())("tom@quill.example"))).toBe(true);
    expect(await totals()).toEqual([1_000, 1_500, 1_000]);
    // At once, with what it came to before seen: one of them is told, and nothing is ordered for more than was seen.
    const [one, two] = [await cart(), await cart()];
    const both = await Promise.all([one, two].map((buy) => buy("eve@quill.example", { seen: "1000" })));
    expect(both.filter(isPlaced).length).toBe(1);
  });
});

describe("offers in the cart", () => {
  it("apply by themselves: each line says what it cost, what took something off, and what it costs", async () => {
    const { shopper } = await openShop([{ name: "Harvest <b>", root: TENTH }]);
    const { cart, total } = await shopper("2");
    const page = await cart();
    expect(page).toMatch(/<ins>€18.00<\/ins>.*<del>€20.00<\/del>/);
    // A seller's words are words.
    expect(page).toContain("Harvest &lt;b&gt; <b>−€2.00</b>");
    expect(page).not.toContain("Harvest <b> ");
    expect(await total()).toBe("€18.00");
    // Nobody is asked for a code where there is none.
    expect(page).not.toContain("/cart/code");
  });

  it("do nothing before they are published, while they are off, and outside of their dates", async () => {
    const before = await openShop([{ name: "Tenth", root: TENTH }], false);
    expect(await (await before.shopper()).total()).toBe("€10.00");
    const later: Condition = { when: "dates", from: "2099-01-01T00:00" };
    const others = await openShop([
      { name: "Off", root: { ...TENTH, off: true } },
      { name: "Later", root: TENTH, conditions: [later] },
      { name: "Elsewhere", root: TENTH, conditions: [{ when: "country", countries: ["NZ"] }] },
    ]);
    expect(await (await others.shopper()).total()).toBe("€10.00");
  });

  it("give what is given with them, and say what is missing until a code counts", async () => {
    const made = await openShop([]);
    const { shop } = made;
    const { draft, seq } = await loadDraft(shop.id);
    const gift = addOffer(draft, "Bread with it", {
      gives: { sort: "gift", product: made.by("B").id, variant: null, count: 1 },
      fromWorth: 2000,
      code: "BREAD",
    });
    if (!gift.ok) throw new Error(gift.why);
    await keep(shop.id, { base: seq, transactions: [gift.transaction] });
    await publish(shop.id, (await pendingChanges(shop.id)).seq);
    const { Cookie, cart, total } = await made.shopper();
    await made.send("/cart/code", { code: "bread" }, { Cookie });
    expect(await cart()).toContain("€10.00 to go until it counts.");
    await made.send("/cart/change", { product: made.by("A").id, count: "2" }, { Cookie });
    expect(await cart()).toMatch(/Bread<\/a>.*Bread with it.*Free/s);
    expect(await total()).toBe("€20.00");
  });
});

it("conditions that can't be read are not kept, whoever sends them", async () => {
  const { shop } = await openShop([{ name: "Tenth", root: TENTH }]);
  const { draft, seq } = await loadDraft(shop.id);
  const document = Object.values(draft.documents).find((d) => d.kind === "offer")!;
  const operation = {
    type: "setConditions" as const,
    document: document.id,
    node: document.root.id,
    before: [],
    after: [{ when: "moon", is: "full" }],
  };
  const sent = { id: "t1", group: "g1", intent: "x", label: "x", operations: [operation] };
  expect(await keep(shop.id, { base: seq, transactions: [sent] })).toMatchObject({ ok: false, code: "refused" });
  const made = addOffer(draft, "Another", TENTH, [{ when: "moon" }]);
  if (!made.ok) throw new Error(made.why);
  expect(await keep(shop.id, { base: seq, transactions: [made.transaction] })).toMatchObject({ ok: false });
});

it("two tabs can't give two offers one code", async () => {
  const { shop } = await openShop([]);
  const { draft, seq } = await loadDraft(shop.id);
  const [one, two] = ["One", "Two"].map((name) => addOffer(draft, name, { ...TENTH, code: "SAME" }));
  if (!one!.ok || !two!.ok) throw new Error("each can be made by itself");
  expect(await keep(shop.id, { base: seq, transactions: [one!.transaction] })).toMatchObject({ ok: true });
  expect(await keep(shop.id, { base: seq + 1, transactions: [two!.transaction] })).toMatchObject({
    ok: false,
    why: "“One” has this code already.",
  });
});

describe("codes", () => {
  const FIFTH: Made = { name: "Friends", root: { gives: { sort: "percent", off: 2000, on: "all" }, code: "KITE20" } };

  it("are given and taken out by forms alone, in any case, once each", async () => {
    const { send, shopper } = await openShop([FIFTH]);
    const { Cookie, cart, total } = await shopper();
    expect(await total()).toBe("€10.00");
    for (let i = 0; i < 2; i++) {
      const given = await send("/cart/code", { code: " kite 20" }, { Cookie });
      expect([given.status, given.headers.location]).toEqual([303, "/cart?done=code"]);
    }
    expect(await total()).toBe("€8.00");
    expect((await cart()).match(/Take out the code KITE20/g)).toHaveLength(1);
    await send("/cart/code", { code: "KITE20", remove: "1" }, { Cookie });
    expect(await total()).toBe("€10.00");
  });

  it("that there are not are refused with a sentence, and nothing is stored", async () => {
    const { ask, send, shopper } = await openShop([
      FIFTH,
      { name: "Old", root: { ...TENTH, code: "OLD10", off: true } },
    ]);
    const { Cookie, total } = await shopper();
    const page = await send("/cart/code", { code: "<script>" }, { Cookie });
    expect(page.status).toBe(422);
    expect(page.body).toContain("There is no such code here. Please check it.");
    expect(page.body).not.toContain("<script>alert");
    const script = await send("/cart/code", { code: "OLD10" }, { Cookie, ...SCRIPT });
    expect([script.status, JSON.parse(script.body)]).toMatchObject([422, { ok: false }]);
    expect(JSON.parse((await send("/cart/code", {}, { Cookie, ...SCRIPT })).body)).toMatchObject({
      text: "Write the code first.",
    });
    const twice = await ask("/cart/code", {
      method: "POST",
      headers: { "Content-Type": "application/x-www-form-urlencoded", Accept: "text/html", Cookie },
      body: "code=a&code=b&remove=1&remove=1",
    });
    expect(twice.status).toBe(422);
    expect(await total()).toBe("€10.00");
  });

  it("come with a link: any page of the shop, whose address is its own again, before anything is in the cart", async () => {
    const { ask, send, by } = await openShop([FIFTH]);
    const came = await ask("/collections/all?offer=kite20&sort=name");
    expect(came.status).toBe(303);
    expect(came.headers.location).toMatch(/\/collections\/all\?sort=name$/);
    const Cookie = cookies(came);
    await send("/cart/add", { product: by("A").id }, { Cookie });
    expect((await ask("/cart", { headers: { Cookie } })).body).toContain("€8.00");
    // One that there is not leads to the page all the same; none leads to another site.
    const wrong = await ask("/collections/all?offer=nothing");
    expect([wrong.status, wrong.headers["set-cookie"]]).toEqual([303, undefined]);
    expect(new URL((await ask("//evil.example/?offer=kite20")).headers.location!).host).not.toBe("evil.example");
  });

  it("can't be guessed quickly: after some tries one has to wait, longer each time, even with a right one", async () => {
    const { send, shopper } = await openShop([FIFTH]);
    const { Cookie, total } = await shopper();
    const tries: number[] = [];
    for (let i = 0; i < 12; i++) tries.push((await send("/cart/code", { code: `TRY${i}` }, { Cookie })).status);
    expect(tries.slice(0, 8)).toEqual(Array.from({ length: 8 }, () => 422));
    expect(tries.at(-1)).toBe(429);
    const right = await send("/cart/code", { code: "KITE20" }, { Cookie, ...SCRIPT });
    expect([right.status, (JSON.parse(right.body) as { text: string }).text]).toEqual([
      429,
      expect.stringMatching(/^Too many codes were tried. Please wait \d+ seconds and try again.$/),
    ]);
    expect(await total()).toBe("€10.00");
  });
});

/** Puts a part onto the end of the home page, and publishes. */
async function onHome(shop: { readonly id: string }, part: Part): Promise<void> {
  const { draft, seq } = await loadDraft(shop.id);
  const { root } = draft.documents.home!;
  const made = addNode(draft, "home", { parent: root.id, slot: "main", index: 0 }, part, "x");
  if (!made.ok) throw new Error(made.why);
  expect(await keep(shop.id, { base: seq, transactions: [made.transaction] })).toMatchObject({ ok: true });
  await publish(shop.id, (await pendingChanges(shop.id)).seq);
}
const FREE: OfferRoot = { gives: { sort: "delivery", off: 10_000, amount: null }, fromWorth: 3000 };

describe("what pages say of offers", () => {
  it("is a goal for each cart of its own, and is kept for nobody else", async () => {
    const { shop, ask, shopper } = await openShop([{ name: "Free delivery", root: FREE }]);
    await onHome(shop, sectionAround(makeNode("goal-meter")));
    const home = (Cookie?: string) => ask("/", { headers: { Accept: "text/html", ...(Cookie ? { Cookie } : {}) } });
    const words = ({ body }: Answer) => /class="goal-words">([^<]+)</.exec(body)?.[1];
    const { Cookie: one } = await shopper("1");
    const { Cookie: three } = await shopper("3");
    expect(words(await home())).toBe("Free delivery from €30.00 on");
    expect(words(await home(one))).toBe("€20.00 to go: Free delivery");
    expect(words(await home(three))).toBe("Reached: Free delivery");
    expect(words(await home())).toBe("Free delivery from €30.00 on");
    expect((await home(one)).headers["cache-control"]).toContain("private");
    // A page that says nothing of it can be kept by anybody.
    expect((await ask("/collections/all")).headers["cache-control"]).not.toContain("private");
  });

  it("is a goal for those alone whom the offer is for", async () => {
    const conditions: readonly Condition[] = [{ when: "country", countries: ["NL"] }];
    const { shop, ask } = await openShop([{ name: "Free delivery", root: FREE, conditions }]);
    await onHome(shop, sectionAround(makeNode("goal-meter")));
    const home = async (language: string) =>
      (await ask("/", { headers: { Accept: "text/html", "Accept-Language": language } })).body;
    expect(await home("nl-NL")).toContain("Free delivery from €30.00 on");
    expect(await home("en-GB")).not.toContain("Free delivery");
  });

  it("is the price on cards and products, to search engines and while one types, as the cart has it", async () => {
    const { ask, by, shopper } = await openShop([{ name: "Harvest", root: TENTH }]);
    const { total } = await shopper("1");
    expect(await total()).toBe("€9.00");
    const reduced = /<ins>€9.00<\/ins>.*?<del>€10.00<\/del>/;
    expect((await ask("/collections/all")).body).toMatch(reduced);
    const product = (await ask(`/products/${by("A").slug}`)).body;
    expect(product).toMatch(reduced);
    expect(product).toContain('"price":"9.00"');
    expect((await ask("/suggest?q=apple")).body).toContain("€9.00");
    // What asks for a code stands on nothing.
    const coded = await openShop([{ name: "Friends", root: { ...TENTH, code: "KITE10" } }]);
    expect((await coded.ask("/collections/all")).body).not.toContain("€9.00");
  });

  it("tells everybody the codes that were chosen for that, and no others", async () => {
    const { shop, ask, send } = await openShop([
      { name: "Harvest", root: TENTH },
      { name: "For friends", root: { ...TENTH, code: "FRIENDS" } },
      { name: "For all", root: { ...TENTH, code: "EVERYBODY" } },
    ]);
    await onHome(shop, makeNode("offers-shown"));
    const all = (await ask("/")).body;
    expect(all).toContain("Harvest");
    expect(all).not.toMatch(/FRIENDS|EVERYBODY/);
    const { draft } = await loadDraft(shop.id);
    const { id } = Object.values(draft.documents).find(({ title }) => title === "For all")!;
    await onHome(shop, makeNode("offers-shown", { chosen: [{ offer: id, words: "Come in" }] }));
    const chosen = (await ask("/")).body;
    expect(chosen).toContain("EVERYBODY");
    expect(chosen).not.toContain("FRIENDS");
    // Without a script the press leads to the cart, where it lies.
    const taken = await send("/cart/code", { code: "EVERYBODY" });
    expect(taken.headers.location).toBe("/cart?done=code");
  });
});
