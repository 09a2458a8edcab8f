import sharp from "sharp";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { readCsv } from "~/core/formats";
import { AlertRow, CartRow, ProductView } from "../database/index.server";
import { letters } from "../fixtures/letters";
import { ownerWithShop } from "../fixtures/owner";
import { formsBy, openStorefront, type Answer, type Asked } from "../fixtures/shoppers";
import { changeReviews, goodsOf, importGoods, keepGoodsSettings, reviewsOf } from "../goods/index.server";
import { sendReminders } from "../mail/index.server";
import { addPicture, addVideo } from "../pictures/index.server";
import { pendingChanges, publish } from "../publishing/index.server";
import { freshShop } from "../shops/index.server";
import { letterContent } from "./index.server";

const FILE = [
  "SKU,Title,Price,Stock,Variant of,Options,Availability,Available from,Pictures",
  "A,Apple cake,10.00,5,,,,,apple.png",
  "B,Banana bread,8.00,0,,,,,",
  "C,Cone,3.00,,,,,,",
  "C-S,,,2,C,Size: S,,,",
  "C-L,,4.00,9,C,Size: L,,,",
  "D,Damson jam,6.00,,,,coming soon,2031-05-01,",
].join("\n");

let front: Awaited<ReturnType<typeof openStorefront>>;
beforeAll(async () => void (front = await openStorefront()));
afterAll(() => front.close());

/** A published shop with goods; each has its own count of what came from one place in a minute. */
async function openShop() {
  const owned = await ownerWithShop();
  const { shop } = owned;
  await addPicture(
    shop.id,
    await sharp({ create: { width: 400, height: 500, channels: 3, background: "#a33" } })
      .png()
      .toBuffer(),
    "apple.png",
  );
  await importGoods(shop, readCsv(FILE));
  await publish(shop.id, (await pendingChanges(shop.id)).seq);
  const now = () => freshShop(shop);
  const goods = await goodsOf(await now());
  const by = (sku: string) => goods.products.find((p) => p.sku === sku)!;
  const ask = (path: string, asked: Asked = {}) => front.ask(path, { host: shop.host, ...asked });
  const send = formsBy(ask);
  return { shop, now, by, ask, send };
}
const SCRIPT = { Accept: "application/json" };
const said = (answer: Answer) => JSON.parse(answer.body) as { ok: boolean; text?: string; count?: number };
/** What a browser sends back of the cookies it was given. */
const cookies = (answer: Answer) => (answer.headers["set-cookie"] ?? []).map((c) => c.split(";")[0]!).join("; ");

describe("a cart in the shop", () => {
  it("works by forms alone: in, on a page of its own, changed, and out", async () => {
    const { by, ask, send } = await openShop();
    const added = await send("/cart/add", { product: by("A").id, count: "2" });
    expect([added.status, added.headers.location]).toEqual([303, "/cart?done=added"]);
    const given = added.headers["set-cookie"]!;
    // The cart's own name is nothing for scripts; how much is in it is for them.
    expect(given.find((c) => c.startsWith("cart="))).toMatch(/; HttpOnly; .*SameSite=Lax/);
    expect(given.find((c) => c.startsWith("items="))).toMatch(/^items=2; /);
    expect(given.find((c) => c.startsWith("items="))).not.toContain("HttpOnly");
    const Cookie = cookies(added);
    const page = await ask("/cart?done=added", { headers: { Cookie } });
    expect(page.headers["cache-control"]).toBe("no-store");
    expect(page.body).toContain("It is in your cart.");
    expect(page.body).toContain("Apple cake");
    expect(page.body).toContain("€20.00");
    const changed = await send("/cart/change", { product: by("A").id, count: "1" }, { Cookie });
    expect([changed.status, changed.headers.location]).toEqual([303, "/cart"]);
    expect((await ask("/cart", { headers: { Cookie } })).body).toContain("€10.00");
    // One more and one less, by buttons beside the number.
    await send("/cart/change", { product: by("A").id, count: "1", step: "1" }, { Cookie });
    expect((await ask("/cart", { headers: { Cookie } })).body).toContain("€20.00");
    await send("/cart/change", { product: by("A").id, count: "2", step: "-1" }, { Cookie });
    expect((await ask("/cart", { headers: { Cookie } })).body).toContain("€10.00");
    await send("/cart/change", { product: by("A").id, count: "2", step: "7" }, { Cookie });
    expect((await ask("/cart", { headers: { Cookie } })).body).toContain("€20.00");
    const gone = await send("/cart/change", { product: by("A").id, count: "3", remove: "1" }, { Cookie });
    expect(gone.headers.location).toBe(`/cart?gone=${by("A").id}&variant=&count=2`);
    const empty = await ask(gone.headers.location!, { headers: { Cookie } });
    expect(empty.body).toContain("There is nothing in it yet");
    expect(empty.body).not.toContain("cart-total");
    // It is put back as it was.
    expect(empty.body).toMatch(/“Apple cake” is out of your cart\..*action="\/cart\/add".*name="count" value="2"/);
    await send("/cart/add", { product: by("A").id, variant: "", count: "2" }, { Cookie });
    const back = (await ask("/cart", { headers: { Cookie } })).body;
    expect(back).toContain("€20.00");
    expect(back).not.toContain("There is nothing in it yet");
  });

  it("says nothing of what an address makes up", async () => {
    const { ask, by } = await openShop();
    const { id } = by("A");
    const made = ["gone=nothing", "count=0", "count=x", `gone=${id}`, "variant=none"].map(
      (more) => `gone=${id}&${more}`,
    );
    for (const query of ["gone=nothing", ...made.slice(1), `gone[a]=${id}`]) {
      const { status, body } = await ask(`/cart?${query}`);
      expect([query, status, body.includes('cart-back"')]).toEqual([query, 200, false]);
    }
    expect((await ask(`/cart?gone=${id}&count=2`)).body).toContain('class="cart-back"');
  });

  it("stands at the side of the shop’s own pages, by itself, and in nobody else’s", async () => {
    const { ask } = await openShop();
    const [whole, beside] = [await ask("/cart"), await ask("/cart?in=side")];
    expect(whole.headers["content-security-policy"]).toContain("frame-ancestors 'none'");
    expect(beside.headers["content-security-policy"]).toContain("frame-ancestors 'self'");
    expect(beside.body).toContain('<base target="_parent">');
    expect(whole.body).toMatch(/<header/);
    expect(beside.body).not.toMatch(/<header|<footer/);
    expect(beside.headers["cache-control"]).toBe("no-store");
  });

  it("answers a script with a count, a sentence, and where it is seen", async () => {
    const { by, send } = await openShop();
    const first = await send("/cart/add", { product: by("A").id, count: "4" }, SCRIPT);
    expect(said(first)).toMatchObject({ ok: true, count: 4 });
    const more = await send("/cart/add", { product: by("A").id, count: "4" }, { ...SCRIPT, Cookie: cookies(first) });
    expect(said(more)).toEqual({
      ok: true,
      count: 5,
      text: "There are only 5 of it; that many are in your cart.",
      page: "/cart?done=added",
    });
  });

  it("knows a variant by what was chosen of each option, where no script says its name", async () => {
    const { by, ask, send } = await openShop();
    const large = await send("/cart/add", { product: by("C").id, "option-0": "L" });
    expect(large.status).toBe(303);
    expect((await ask("/cart", { headers: { Cookie: cookies(large) } })).body).toContain("€4.00");
    const none = await send("/cart/add", { product: by("C").id, "option-0": "XL" });
    expect(none.status).toBe(422);
    expect(none.body).toContain("There is nothing in this combination.");
  });

  it.each([
    ["something that is sold out", "B", "1", "can’t be bought just now"],
    ["something that is yet to come", "D", "1", "can’t be bought just now"],
    ["half of something", "A", "0.5", "Write a whole number."],
    ["more than anybody carries", "A", "1000", "That is too many."],
  ])("does not take %s, and says why, to people and to scripts", async (_what, sku, count, why) => {
    const { by, send } = await openShop();
    const page = await send("/cart/add", { product: by(sku).id, count });
    expect([page.status, page.headers["set-cookie"]]).toEqual([422, undefined]);
    expect(page.body).toContain(why);
    expect(said(await send("/cart/add", { product: by(sku).id, count }, SCRIPT))).toMatchObject({ ok: false });
  });

  it("says nothing of what an address makes up", async () => {
    const { ask, by } = await openShop();
    const { id } = by("A");
    for (const made of [
      `gone=nothing`,
      `gone=${id}&count=0`,
      `gone=${id}&count=x`,
      `gone=${id}&gone=${id}`,
      `gone[a]=${id}`,
    ]) {
      const { status, body } = await ask(`/cart?${made}`);
      expect([made, status]).toEqual([made, 200]);
      expect(body).not.toContain("cart-back");
    }
    expect((await ask(`/cart?gone=${id}&count=2`)).body).toContain("cart-back");
  });

  it("takes nothing from another site's page, and not without end", async () => {
    const { shop, by, send } = await openShop();
    const forged = await send("/cart/add", { product: by("A").id }, { Origin: "https://elsewhere.example" });
    expect(forged.status).toBe(403);
    expect(await CartRow.count({ where: { shopId: shop.id } })).toBe(0);
    const many = await Promise.all(Array.from({ length: 125 }, () => send("/cart/add", { product: "none" }, SCRIPT)));
    expect(many.map((a) => a.status)).toContain(429);
    expect(many.every((a) => a.status === 422 || a.status === 429)).toBe(true);
  });
});

describe("a reminder of a cart", () => {
  it("goes to whoever asked for it, once, a day later, and leads back to the cart", async () => {
    const { by, ask, send, shop } = await openShop();
    const Cookie = cookies(await send("/cart/add", { product: by("A").id, count: "2" }));
    const to = `ada-${Date.now()}@quill.example`;
    expect((await send("/cart/remind", { address: "ada@" }, { Cookie })).status).toBe(422);
    expect((await send("/cart/remind", { address: to })).status).toBe(422);
    expect((await send("/cart/remind", { address: to }, { Cookie })).headers.location).toBe("/cart?done=remind");
    const hours = (n: number) => Date.now() + n * 3_600_000;
    expect(await sendReminders(letterContent, hours(23))).toBe(0);
    expect(await sendReminders(letterContent, hours(25))).toBe(1);
    expect(await sendReminders(letterContent, hours(50))).toBe(0);
    const [letter, more] = await letters(to);
    expect([letter!.text!.includes("Apple cake"), more]).toEqual([true, undefined]);
    const back = /\/cart\/back\/[\w-]{43}/.exec(letter!.text!)![0];
    const led = await ask(back);
    expect(new URL(led.headers.location!).pathname).toBe("/cart");
    expect((await ask("/cart", { headers: { Cookie: cookies(led) } })).body).toContain("Apple cake");
    // Nobody’s address is kept any longer than it is needed.
    expect(await CartRow.count({ where: { shopId: shop.id, remindTo: to } })).toBe(0);
    // A cart that was emptied is not spoken of.
    const other = cookies(await send("/cart/add", { product: by("A").id, count: "1" }));
    await send("/cart/remind", { address: to }, { Cookie: other });
    await send("/cart/change", { product: by("A").id, count: "0" }, { Cookie: other });
    expect(await sendReminders(letterContent, hours(25))).toBe(0);
  });
});

describe("wishes and reviews", () => {
  it("to be told are taken with a page or a sentence, and refused where the address is none", async () => {
    const { shop, by, send } = await openShop();
    const wish = { product: by("D").id, address: "Ann@Shop.example" };
    const page = await send("/tell-me", wish);
    expect([page.status, page.body.includes("We will tell you")]).toEqual([200, true]);
    expect(said(await send("/tell-me", wish, SCRIPT))).toMatchObject({ ok: true });
    expect(await AlertRow.findAll({ where: { shopId: shop.id }, raw: true })).toMatchObject([
      { address: "ann@shop.example", productId: by("D").id },
    ]);
    const wrong = await send("/tell-me", { ...wish, address: "ann at shop" });
    expect([wrong.status, wrong.body.includes("That is not a mail address.")]).toEqual([422, true]);
    expect((await send("/tell-me", { ...wish, product: "gone" })).status).toBe(422);
  });

  it("of goods wait until they are let through, and are on the page then, with the answer and the stars", async () => {
    const { shop, now, by, ask, send } = await openShop();
    const review = { product: by("A").id, stars: "4", title: "Moist", text: "Gone <b>by noon</b>.", name: "Edda" };
    expect((await send("/reviews", review)).body).toContain("It is shown once it has been read here.");
    const page = () => ask("/products/apple-cake");
    expect((await page()).body).not.toContain("by noon");
    const [held] = await reviewsOf(shop.id);
    expect(held).toMatchObject({ state: "held", stars: 4 });
    await changeReviews(await now(), { ids: [held!.id], state: "shown", answer: "Bake two." });
    const { body } = await page();
    expect(body).toContain("Gone &lt;b&gt;by noon&lt;/b&gt;.");
    expect(body).toContain("Bake two.");
    const data = [...body.matchAll(/<script type="application\/ld\+json">(.*?)<\/script>/g)].map((m) => m[1]).join();
    expect(data).toContain('"ratingValue":4');
    for (const wrong of [{ stars: "6" }, { text: "" }, { name: "" }, { product: "gone" }])
      expect((await send("/reviews", { ...review, ...wrong })).status, JSON.stringify(wrong)).toBe(422);
  });

  it("come only so often from one place", async () => {
    const { by, send } = await openShop();
    const wish = { product: by("D").id, address: "a@shop.example" };
    const statuses = [];
    for (let i = 0; i < 10; i++) statuses.push((await send("/tell-me", wish, SCRIPT)).status);
    expect(statuses.filter((s) => s === 200)).toHaveLength(8);
    expect(statuses.at(-1)).toBe(429);
  });
});

describe("what pages ask for while they are read", () => {
  it("suggests goods with price and picture, what was misspelt and what means the same among them", async () => {
    const { now, ask } = await openShop();
    type Suggested = { address: string; title: string; price: string; picture: string };
    const suggest = async (q: string) =>
      JSON.parse((await ask(`/suggest?q=${encodeURIComponent(q)}`)).body) as Suggested[];
    expect(await suggest("appel")).toEqual([
      {
        address: "/products/apple-cake",
        title: "Apple cake",
        price: "€10.00",
        picture: expect.stringMatching(/^\/media\/\w+-160\.webp$/) as string,
      },
    ]);
    expect(await suggest("con")).toMatchObject([{ title: "Cone", price: "from €3.00", picture: "" }]);
    expect(await suggest("zzzz")).toEqual([]);
    expect(await suggest("x".repeat(5000))).toEqual([]);
    await keepGoodsSettings(await now(), { synonyms: [["loaf", "bread"]] });
    expect(await suggest("loaf")).toMatchObject([{ title: "Banana bread" }]);
    // The picture that was promised is there.
    const [{ picture }] = (await suggest("apple")) as [Suggested];
    expect((await ask(picture)).headers["content-type"]).toBe("image/webp");
  });

  it("draws cards of what a browser remembers, in its order, and passes over what is gone", async () => {
    const { by, ask } = await openShop();
    const cards = await ask(`/cards?ids=${[by("C").id, "gone", by("A").id, "<script>"].join(",")}`);
    expect(cards.headers["cache-control"]).toBe("no-store");
    expect(cards.body.indexOf("Cone")).toBeGreaterThan(-1);
    expect(cards.body.indexOf("Cone")).toBeLessThan(cards.body.indexOf("Apple cake"));
    expect(cards.body).not.toContain("<script>");
    expect((await ask("/cards")).body).not.toContain("Apple");
  });

  it("counts looks at goods by day, and of nothing else", async () => {
    const { shop, by, ask } = await openShop();
    const look = (product: unknown) =>
      ask("/seen", {
        method: "POST",
        headers: { "Content-Type": "application/json" },
        body: JSON.stringify({ product }),
      });
    for (const product of [by("A").id, by("A").id, "gone", 7]) expect((await look(product)).status).toBe(204);
    expect(await ProductView.findAll({ where: { shopId: shop.id }, raw: true })).toMatchObject([
      { productId: by("A").id, count: 2 },
    ]);
  });

  it("are not there for a shop that is not open", async () => {
    const { shop } = await ownerWithShop();
    for (const path of ["/suggest?q=a", "/cards?ids=a", "/cart"])
      expect((await front.ask(path, { host: shop.host })).status, path).toBe(404);
  });
});

describe("films", () => {
  const film = Buffer.concat([Buffer.from([0, 0, 0, 24]), Buffer.from("ftypisom"), Buffer.alloc(120, 1)]);

  it("are served as what they are, for ever, in pieces, and to their own shop alone", async () => {
    const { shop, ask } = await openShop();
    const kept = await addVideo(shop.id, film, "flight.mp4");
    const path = `/media/${kept.ok ? kept.file : ""}`;
    const whole = await ask(path);
    expect([whole.status, whole.headers["content-type"]]).toEqual([200, "video/mp4"]);
    expect(whole.headers["cache-control"]).toContain("immutable");
    expect(whole.headers["x-content-type-options"]).toBe("nosniff");
    expect(whole.bytes.equals(film)).toBe(true);
    // Players ask for pieces (RFC 9110, 14.2).
    const piece = await ask(path, { headers: { Range: "bytes=4-11" } });
    expect([piece.status, piece.headers["content-range"]]).toEqual([206, `bytes 4-11/${film.length}`]);
    expect(piece.body).toBe("ftypisom");
    const other = await openShop();
    expect((await other.ask(path)).status).toBe(404);
    expect((await ask(`/media/${"0".repeat(64)}.mp4`)).status).toBe(404);
    expect((await ask("/media/..%2f..%2fpackage.json.mp4")).status).toBe(404);
  });

  it.each([
    ["nothing", Buffer.alloc(0)],
    ["a picture", Buffer.concat([Buffer.from([0x89, 0x50, 0x4e, 0x47]), Buffer.alloc(100)])],
    ["a page", Buffer.from(`<!doctype html>${" ".repeat(100)}`)],
    ["a film's beginning", film.subarray(0, 20)],
  ])("are not %s", async (_what, bytes) => {
    const { shop } = await ownerWithShop();
    expect(await addVideo(shop.id, bytes, "x.mp4")).toMatchObject({
      ok: false,
      why: expect.stringContaining("no film") as string,
    });
  });
});
