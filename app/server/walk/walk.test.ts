import { describe, expect, it, vi } from "vitest";
import { homeOf } from "~/core/addresses";
import { addNode } from "~/core/commands";
import { readCsv } from "~/core/formats";
import { NOT_WALKED, walkedOn, type WalkNews } from "~/core/walk";
import { makeNode } from "~/kinds";
import { shopOrigin } from "../config/index.server";
import { FormEntry, OrderRow, SignUp } from "../database/index.server";
import { loadDraft } from "../drafts/index.server";
import { keep } from "../fixtures/keeping";
import { letters } from "../fixtures/letters";
import { opensCheckout, SELLS } from "../fixtures/orders";
import { ownerWithShop } from "../fixtures/owner";
import { goodsOf, importGoods } from "../goods/index.server";
import { countDraftLinks } from "../publishing/index.server";
import { tellStock } from "../orders/index.server";
import { freshShop } from "../shops/index.server";
import { isWalked, walkThrough } from "./index.server";
import { readPage } from "./page";

const FILE =
  "SKU,Title,Price,Stock,Availability\nA,Apple,10.00,5,\nB,Bread,8.00,,\nM,Mast,90.00,,collect only\nS,Soap,3.00,0,\nC,Coming,4.00,,coming soon\n";

async function openShop(sells = true) {
  const { shop } = await ownerWithShop();
  await importGoods(shop, readCsv(FILE.replace("coming soon", "discontinued")));
  await opensCheckout(shop, sells ? SELLS : { from: "IE" });
  return shop;
}

async function walked(shop: Awaited<ReturnType<typeof openShop>>, of: "draft" | "published", until = Infinity) {
  const stopping = new AbortController();
  const news: WalkNews[] = [];
  await walkThrough(
    await freshShop(shop),
    { of },
    (told) => {
      news.push(told);
      if (news.length >= until) stopping.abort();
    },
    stopping.signal,
  );
  return news.reduce(walkedOn, NOT_WALKED);
}

describe("the walk-through", () => {
  it("follows every link, tries every way of buying, and leaves the shop as it was", { timeout: 60_000 }, async () => {
    const shop = await openShop();
    const before = (await letters()).length;
    const seen = await walked(shop, "published");
    expect(seen.findings).toEqual([]);
    expect(seen.pages).toContain("/");
    expect(seen.pages.filter((page) => page.startsWith("/products/")).length).toBe(5);
    const tried = new Map(seen.trials.map((trial) => [trial.name, trial]));
    for (const name of [
      "Search for something there is",
      "An address at which nothing stands",
      "A checkout that is left empty",
      "A card that is declined",
      "A card whose bank asks, answered with no",
      "A card whose bank asks, answered with yes",
      "A card of which no answer comes",
      "A card that is paid",
      "Bank transfer",
      "Paid on collection",
    ])
      expect([name, tried.get(name)?.isGood, tried.get(name)?.isSkipped]).toEqual([name, true, undefined]);
    expect([...tried.keys()].filter((name) => name.startsWith("A product that is")).length).toBe(4);
    expect(seen.end).toMatchObject({ isWhole: true });
    // Nothing of it stays, and nobody has heard of it.
    expect(await OrderRow.count({ where: { shopId: shop.id } })).toBe(0);
    expect(await FormEntry.count({ where: { shopId: shop.id } })).toBe(0);
    expect(await SignUp.count({ where: { shopId: shop.id } })).toBe(0);
    expect((await letters()).length).toBe(before);
    await tellStock();
    const { products } = await goodsOf(await freshShop(shop));
    expect(products.find(({ sku }) => sku === "A")!.stock).toBe(5);
  });

  it(
    "finds what is wrong in the draft, says on which page, and ends the link by which it came",
    { timeout: 60_000 },
    async () => {
      const shop = await openShop(false);
      const { draft, seq } = await loadDraft(shop.id);
      const home = homeOf(draft.documents);
      const gone = { to: "web", address: `${shopOrigin(shop.host)}/gone` };
      const hero = makeNode("hero", { more: "More", moreLink: gone }, { id: "broken-link" });
      const to = { parent: draft.documents[home]!.root.id, slot: "main", index: 0 };
      const made = addNode(draft, home, to, hero, "Hero");
      if (!made.ok) throw new Error(made.why);
      const kept = await keep(shop.id, { base: seq, transactions: [made.transaction] });
      expect(kept.ok).toBe(true);
      const seen = await walked(shop, "draft");
      expect(seen.trials.find(({ name }) => name === "Buying something")).toMatchObject({ isSkipped: true });
      expect(await countDraftLinks(shop.id)).toBe(0);
      expect(seen.findings).toEqual([
        {
          page: "/",
          what: "A link leads to /gone, where there is nothing.",
          mend: "Change the link, or make that page.",
        },
      ]);
    },
  );

  it("stops when it is told to", { timeout: 60_000 }, async () => {
    const shop = await openShop();
    const going = walked(shop, "published", 2);
    // Another one is not let in meanwhile.
    await vi.waitFor(() => expect(isWalked(shop.id)).toBe(true));
    const seen = await going;
    expect(isWalked(shop.id)).toBe(false);
    expect(seen.end?.isWhole).toBe(false);
    expect(seen.trials).toEqual([]);
    expect(await OrderRow.count({ where: { shopId: shop.id } })).toBe(0);
  });
});

describe("a page that is read", () => {
  const page =
    readPage(`<!doctype html><title> A  shop </title><body><h1>One</h1><a href="/a">To <b>a</b></a><a href="/b" aria-label="To b"><svg></svg></a>
    <img src="/media/x.webp"><form id="f" method="post" action="/cart/add"><input name="product" value="p"><input type="radio" name="way" value="1"><input type="radio" name="way" value="2" checked><select name="size"><option value="s">S</option><option value="m" selected>M</option></select><input name="off" value="1" disabled><button name="do" value="go">Go</button></form>
    <input name="outside" form="f" value="o"><textarea name="elsewhere" form="g">no</textarea></body>`);
  it("knows its title, headings, links and pictures", () => {
    expect([page.title, page.headings]).toEqual(["A shop", ["One"]]);
    expect(page.links).toEqual([
      { to: "/a", words: "To a" },
      { to: "/b", words: "To b" },
    ]);
    expect(page.images).toEqual(["/media/x.webp"]);
  });
  it("sends of a form what a browser sends (HTML, “constructing the entry list”)", () => {
    const [form] = page.forms;
    expect(Object.fromEntries(form!.values)).toEqual({ product: "p", way: "2", size: "m", outside: "o" });
    expect(form!.choices.get("way")).toEqual(["1", "2"]);
    expect(form!.buttons).toEqual([{ words: "Go", name: "do", value: "go" }]);
  });
});
