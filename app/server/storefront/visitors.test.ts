import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { addNode, setConditions, setProp } from "~/core/commands";
import type { Condition } from "~/core/conditions";
import { readCsv } from "~/core/formats";
import { NO_LINK } from "~/core/schema";
import { makeNode } from "~/kinds";
import { config, configure } from "../config/index.server";
import { loadDraft } from "../drafts/index.server";
import { keep } from "../fixtures/keeping";
import { ownerWithShop } from "../fixtures/owner";
import { formsBy, openStorefront, type Answer, type Asked } from "../fixtures/shoppers";
import { goodsOf, importGoods } from "../goods/index.server";
import { pendingChanges, publish } from "../publishing/index.server";
import { opensCheckout } from "../fixtures/orders";
import { addShopper } from "../shoppers/index.server";
import { freshShop, shopAt } from "../shops/index.server";
import { keptAt, pageAt } from "./pages";
import { countryOf, visitsAfter } from "./visitors";

const FILE = ["SKU,Title,Price,Stock,Tags", "A,Apple cake,10.00,5,new", "B,Banana bread,80.00,5,"].join("\n");
const WORDS = "Only for some";

let front: Awaited<ReturnType<typeof openStorefront>>;
beforeAll(async () => void (front = await openStorefront()));
afterAll(() => front.close());

/** A shop with a row above every page that shows as its conditions say. */
async function shopWith(...conditions: readonly Condition[]) {
  const { shop } = await ownerWithShop();
  await importGoods(shop, readCsv(FILE));
  const row = makeNode("notice", { messages: [{ sign: "", text: WORDS, until: "", more: "", link: NO_LINK }] });
  const loaded = await loadDraft(shop.id);
  const frame = loaded.draft.documents.frame!;
  const added = addNode(loaded.draft, "frame", { parent: frame.root.id, slot: "top", index: 0 }, row, "Notice");
  if (!added.ok) throw new Error(added.why);
  await keep(shop.id, { base: loaded.seq, transactions: [added.transaction] });
  if (conditions.length) {
    const { draft, seq } = await loadDraft(shop.id);
    const when = setConditions(draft, [row.id], conditions, "Notice");
    if (!when.ok) throw new Error(when.why);
    expect(await keep(shop.id, { base: seq, transactions: [when.transaction] })).toMatchObject({ ok: true });
  }
  await publish(shop.id, (await pendingChanges(shop.id)).seq);
  const goods = await goodsOf(await freshShop(shop));
  const by = (sku: string) => goods.products.find((p) => p.sku === sku)!;
  const ask = (path: string, headers: Record<string, string> = {}, asked: Asked = {}) =>
    front.ask(path, { host: shop.host, headers: { Accept: "text/html", ...headers }, ...asked });
  const sees = async (path: string, headers: Record<string, string> = {}) =>
    (await ask(path, headers)).body.includes(WORDS);
  const send = formsBy((path, asked) => ask(path, {}, asked));
  return { shop, by, ask, sees, send };
}
/** What a browser sends back of the cookies it was given, those it had before among them. */
function cookies(answer: Answer, had = ""): string {
  const all = new Map(
    [...had.split("; "), ...(answer.headers["set-cookie"] ?? []).map((c) => c.split(";")[0]!)]
      .filter(Boolean)
      .map((pair) => [pair.split("=")[0]!, pair] as const),
  );
  return [...all.values()].join("; ");
}

describe("what shows on some pages only", () => {
  it("is there on those and nowhere else, on pages that are the same for everybody", async () => {
    const { shop, by, ask, sees } = await shopWith(
      { when: "pages", sorts: ["product"] },
      { when: "goods", asks: [{ field: "tag", op: "is", value: "new" }] },
    );
    const [a, b] = [by("A"), by("B")].map((p) => `/products/${p.slug}`);
    expect([await sees(a!), await sees(b!), await sees("/"), await sees("/cart"), await sees("/nowhere")]).toEqual([
      true,
      false,
      false,
      false,
      false,
    ]);
    const answer = await ask(a!);
    expect(answer.headers["cache-control"]).toContain("public");
    expect(answer.headers["set-cookie"]).toBeUndefined();
    // They lie ready, as if nothing had been asked.
    expect(keptAt((await shopAt(shop.host))!, a!, Date.now())).toBeDefined();
  });
});

describe("what shows to some visitors only", () => {
  it("is told by visits, which end after half an hour; nothing in between may keep the page", async () => {
    const { shop, ask, sees } = await shopWith({ when: "visitor", is: "returning" });
    const first = await ask("/");
    expect(first.body).not.toContain(WORDS);
    expect(first.headers["cache-control"]).toBe("private, no-cache");
    expect(keptAt((await shopAt(shop.host))!, "/", Date.now())).toBeUndefined();
    expect(await sees("/", { Cookie: cookies(first) })).toBe(false);
    const [visits, at] = /been=(\d+)\.(\d+)/.exec(cookies(first))!.slice(1).map(Number);
    expect(await sees("/", { Cookie: `been=${visits}.${at! - 31 * 60}` })).toBe(true);
    // Two shoppers get two pages, and a browser that has one asks whether it is still good.
    const again = await ask("/", { Cookie: `been=2.${at}` });
    expect(again.headers.etag).not.toBe(first.headers.etag);
    expect((await ask("/", { Cookie: `been=2.${at}`, "If-None-Match": again.headers.etag! })).status).toBe(304);
  });

  it.each([
    [undefined, 1],
    ["nonsense", 1],
    ["0.5", 1],
    ["3.1000", 4],
    [`3.${2_000_000 - 1_800}`, 3],
    [`3.${2_000_000 - 1_801}`, 4],
    ["9999.1", 9_999],
  ])("a visit after one noted as %s is number %i", (cookie, visits) => {
    expect(visitsAfter(cookie, 2_000_000)).toBe(visits);
  });

  it("is told by the link by which they came, on later pages as well", async () => {
    const { ask, sees } = await shopWith({ when: "visitor", is: "came", by: "kite fair" });
    expect(await sees("/")).toBe(false);
    const came = await ask("/?from=Kite%20fair");
    expect(came.body).toContain(WORDS);
    expect(await sees("/cart", { Cookie: cookies(came) })).toBe(true);
    expect(await sees("/", { Cookie: "by=%E0%A4%A" })).toBe(false);
    // An address that says so is never kept for others.
    expect(await sees("/?utm_source=elsewhere")).toBe(false);
  });

  it("is told by a sign-up", async () => {
    const { send, sees } = await shopWith({ when: "visitor", is: "subscribed", not: true });
    expect(await sees("/")).toBe(true);
    const signed = await send("/sign-up", { address: "ann@example.org" });
    expect(signed.status).toBe(200);
    expect(await sees("/", { Cookie: cookies(signed) })).toBe(false);
  });
});

describe("what shows with some carts only", () => {
  it("follows what lies in the cart", async () => {
    const { by, send, sees } = await shopWith({ when: "cart", asks: "worth", from: 5_000 });
    expect(await sees("/")).toBe(false);
    const one = await send("/cart/add", { product: by("A").id, count: "1" });
    expect(await sees("/", { Cookie: cookies(one) })).toBe(false);
    const two = await send("/cart/add", { product: by("B").id, count: "1" }, { Cookie: cookies(one) });
    const had = cookies(two, cookies(one));
    expect([await sees("/", { Cookie: had }), await sees("/cart", { Cookie: had })]).toEqual([true, true]);
    expect(await sees("/", { Cookie: "cart=somebody-elses" })).toBe(false);
  });
});

describe("what shows in some countries only", () => {
  it("follows the language that is asked for", async () => {
    const { sees } = await shopWith({ when: "country", countries: ["IE"] });
    expect(await sees("/", { "Accept-Language": "en-IE,en;q=0.8" })).toBe(true);
    expect(await sees("/", { "Accept-Language": "en-GB,en;q=0.8" })).toBe(false);
    expect(await sees("/")).toBe(false);
  });

  // RFC 9110, 12.5.4, and BCP 47 for what a language tag is made of.
  it.each([
    ["da, en-gb;q=0.8, en;q=0.7", "GB"],
    ["zh-Hant-TW,zh;q=0.9", "TW"],
    ["en", ""],
    ["*", ""],
    ["es-419,es;q=0.9", ""],
    ["x".repeat(5_000), ""],
  ])("of “%.40s” it is “%s”", (language, country) => {
    expect(countryOf({ "accept-language": language })).toBe(country);
  });

  it("follows what stands in front of the shop, where that is set up to say so", () => {
    const before = config();
    configure({ ...before, countryHeader: "x-country" });
    expect(countryOf({ "x-country": "fr", "accept-language": "en-IE" })).toBe("FR");
    expect(countryOf({ "x-country": "<b>", "accept-language": "en-IE" })).toBe("");
    configure(before);
  });
});

it("a page is drawn once for each way it can look, not for each visitor", async () => {
  const { ask } = await shopWith({
    when: "any",
    of: [
      { when: "visitor", is: "new" },
      { when: "cart", asks: "empty" },
    ],
  });
  const tags = await Promise.all(
    ["", "been=2.1", "been=7.1", "cart=none"].map(
      async (Cookie) => (await ask("/", Cookie ? { Cookie } : {})).headers.etag,
    ),
  );
  expect(new Set(tags).size).toBe(1);
});

describe("what shoppers close", () => {
  it("is gone from the pages of whoever closed it, and of nobody else", async () => {
    const { shop, ask, sees } = await shopWith();
    const draft = (await loadDraft(shop.id)).draft;
    const row = draft.documents.frame!.root.slots.top![0]!;
    const { seq } = await loadDraft(shop.id);
    const made = setProp(draft, row.id, ["closes"], true, "Notice");
    if (!made.ok) throw new Error(made.why);
    await keep(shop.id, { base: seq, transactions: [made.transaction] });
    await publish(shop.id, (await pendingChanges(shop.id)).seq);
    const all = await ask("/");
    const name = /data-closes="(\w+)"/.exec(all.body)![1]!;
    expect(all.headers["cache-control"]).toContain("public");
    const theirs = await ask("/", { Cookie: `closed=old.${name}` });
    expect(theirs.body).not.toContain(WORDS);
    expect(theirs.headers["cache-control"]).toBe("private, no-cache");
    expect(await sees("/cart", { Cookie: `closed=${name}` })).toBe(false);
    // What is not of this shop changes nothing, however much of it there is.
    expect((await ask("/", { Cookie: `closed=${"x.".repeat(500)}` })).headers.etag).toBe(all.headers.etag);
    expect(await sees("/")).toBe(true);
  });

  it("counts down to the minute, and is gone from then on", async () => {
    const { shop } = await shopWith();
    const { draft, seq } = await loadDraft(shop.id);
    const row = draft.documents.frame!.root.slots.top![0]!;
    const made = setProp(draft, row.id, ["messages", 0, "until"], "2026-12-24T18:00", "Notice");
    if (!made.ok) throw new Error(made.why);
    await keep(shop.id, { base: seq, transactions: [made.transaction] });
    await publish(shop.id, (await pendingChanges(shop.id)).seq);
    const now = (await shopAt(shop.host))!;
    const at = async (moment: string) => {
      const situation = { now: Date.parse(moment), timeZone: "Europe/Dublin" };
      return (await pageAt(now, "/", "http://s.example", situation))!.bytes("identity").toString();
    };
    expect(await at("2026-12-24T17:59:00Z")).toContain(`data-moments="${Date.parse("2026-12-24T18:00Z")}"`);
    expect(keptAt(now, "/", Date.parse("2026-12-24T17:59:59Z"))).toBeDefined();
    expect(keptAt(now, "/", Date.parse("2026-12-24T18:00:00Z"))).toBeUndefined();
    expect(await at("2026-12-24T18:00:00Z")).not.toContain(WORDS);
  });
});

describe("what shows to shoppers with an account", () => {
  const ADA = { mail: "ada@quill.example", name: "Ada Quill", password: "four words fly high" };
  it("is there while they are signed in, for them alone, and for nobody who made a cookie up", async () => {
    const { shop, sees, send, ask } = await shopWith({ when: "visitor", is: "signed-in" });
    await opensCheckout(shop);
    await addShopper(shop.id, ADA);
    expect(await sees("/")).toBe(false);
    const Cookie = cookies(await send("/account/sign-in", ADA));
    expect(await sees("/", { Cookie })).toBe(true);
    expect((await ask("/", { Cookie })).headers["cache-control"]).toBe("private, no-cache");
    expect(await sees("/", { Cookie: `shopper=${"a".repeat(43)}` })).toBe(false);
    expect(await sees("/")).toBe(false);
  });
  it("or who have bought before", async () => {
    const { sees } = await shopWith({ when: "visitor", is: "bought", not: true });
    expect([await sees("/"), await sees("/", { Cookie: "bought=1" })]).toEqual([true, false]);
  });
});
