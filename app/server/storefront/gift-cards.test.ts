import fc from "fast-check";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { readCsv } from "~/core/formats";
import { writtenCard } from "~/core/gift-cards";
import { TEST_CARDS, type SellingRoot } from "~/core/selling";
import { GiftCardRow, GiftCardUse } from "../database/index.server";
import { letters } from "../fixtures/letters";
import { opensCheckout, SELLS } from "../fixtures/orders";
import { ownerWithShop } from "../fixtures/owner";
import { formsBy, openStorefront, type Answer, type Asked } from "../fixtures/shoppers";
import { giftCardsOf, giftCardWith, makeGiftCard, setCardOff } from "../gift-cards/index.server";
import { goodsOf, importGoods } from "../goods/index.server";
import { changeOrder, dropHeld, orderOf, ordersOf, sendDueOrderLetters } from "../orders/index.server";
import { freshShop } from "../shops/index.server";
import { letterContent } from "./index.server";

let front: Awaited<ReturnType<typeof openStorefront>>;
beforeAll(async () => void (front = await openStorefront()));
afterAll(() => front.close());

const FILE = "SKU,Title,Price,Stock,Gift card\nA,Apple,10.00,50,\nG,Gift card,50.00,,yes\n";
const cookies = (answer: Answer) => (answer.headers["set-cookie"] ?? []).map((c) => c.split(";")[0]!).join("; ");
const ADA = {
  mail: "ada@quill.example",
  country: "IE",
  name: "Ada Quill",
  street: "4 Quay Lane",
  town: "Howth",
  way: "post",
};
let presses = 0;
const press = () => `gift-card-press-${String(++presses).padStart(8, "0")}`;

async function openShop(root: SellingRoot = SELLS) {
  const { shop } = await ownerWithShop();
  await importGoods(shop, readCsv(FILE));
  await opensCheckout(shop, root);
  const { products } = await goodsOf(await freshShop(shop));
  const by = (sku: string) => products.find((p) => p.sku === sku)!;
  const ask = (path: string, asked: Asked = {}) => front.ask(path, { host: shop.host, ...asked });
  const send = formsBy(ask);
  const cart = async (...skus: string[]) => {
    let Cookie = "";
    for (const sku of skus)
      Cookie = cookies(await send("/cart/add", { product: by(sku).id, count: "1" }, Cookie ? { Cookie } : {}));
    return {
      post: (fields: Record<string, string> = {}) =>
        send("/checkout", { ...ADA, pressed: press(), do: "place", ...fields }, { Cookie }),
    };
  };
  const card = (amount: number, more: { until?: number | null } = {}) =>
    makeGiftCard(shop.id, {
      amount,
      currency: "EUR",
      until: null,
      design: "plain",
      to: "",
      from: "",
      message: "",
      ...more,
    });
  const left = async (code: string) => (await giftCardWith(shop.id, code))!.left;
  const latest = async () => {
    const [found] = (await ordersOf(shop.id, { find: "", filter: "all", page: 1 })).orders;
    return found && (await orderOf(shop.id, found.id))!;
  };
  return { shop, by, ask, send, cart, card, left, latest };
}
const isPlaced = (answer: Answer) => answer.status === 303 && answer.headers.location!.includes("thanks=1");

describe("a gift card", () => {
  it("is bought like anything else: nothing is carried, nothing taxed, and its code comes by mail once it is paid", async () => {
    const { shop, cart, latest, ask, send } = await openShop({ ...SELLS, cardYears: 3 });
    const { post } = await cart("G");
    const page = await post({ do: "look" });
    expect(page.body).toContain("By mail");
    expect(page.body).not.toContain('name="street"');
    const to = `tom-${Date.now()}@quill.example`;
    const wrong = await post({ pay: "transfer", cardTo: "tom@" });
    expect([wrong.status, wrong.body.includes("That is not a mail address")]).toEqual([422, true]);
    const gift = { cardTo: to, cardFrom: "Ada", cardMessage: "For your next kite.", cardDesign: "birthday" };
    expect(isPlaced(await post({ pay: "transfer", ...gift }))).toBe(true);
    const { order } = (await latest())!;
    expect(order.body).toMatchObject({ total: 5_000, to: null, way: { isLetter: true }, tax: { tax: 0 } });
    // Not paid yet: there is no card, and nobody has a letter with one.
    expect(await GiftCardRow.count({ where: { shopId: shop.id } })).toBe(0);
    expect(await letters(to)).toEqual([]);
    const { version } = order;
    await changeOrder(shop.id, { do: "paid", id: order.id, version }, 3);
    // What the process that noted it could not send, the next one does.
    await sendDueOrderLetters(letterContent, Date.now() + 60_000);
    const [letter, more] = await letters(to);
    expect(more).toBeUndefined();
    const [row] = await GiftCardRow.findAll({ where: { shopId: shop.id } });
    expect(row).toMatchObject({ amount: 5_000, rest: 5_000, toMail: to, fromName: "Ada" });
    expect(letter!.text).toContain(writtenCard(row!.code));
    expect(letter!.text).toContain("For your next kite.");
    expect(letter!.html).toContain("/gift-cards/birthday.png");
    // Three years, to the day.
    expect(Math.round((row!.until!.getTime() - Date.now()) / 86_400_000)).toBeOneOf([1095, 1096]);
    const after = (await latest())!;
    expect(after.order.handed).toBe("sent");
    // Said twice, it is one card.
    await changeOrder(shop.id, { do: "paid", id: order.id, version: after.order.version }, 3);
    expect(await GiftCardRow.count({ where: { shopId: shop.id } })).toBe(1);
    const picture = await ask("/gift-cards/birthday.png");
    expect([picture.status, picture.headers["content-type"], picture.bytes.subarray(1, 4).toString()]).toEqual([
      200,
      "image/png",
      "PNG",
    ]);
    expect((await ask("/gift-cards/nothing.png")).status).toBe(404);
    const seen = await send("/gift-cards", { code: writtenCard(row!.code).toLowerCase() });
    expect(seen.body).toContain("€50.00");
    expect((await send("/gift-cards", { code: "not-a-code" })).body).toContain("There is no card with this code.");
  });

  it("pays over several orders until nothing is left, and not for other cards", async () => {
    const { cart, card, left, latest } = await openShop();
    const { code } = await card(2_000);
    const first = await cart("A");
    const used = await first.post({ do: "card", newCard: writtenCard(code), pay: "transfer" });
    expect(used.body).toContain("Your gift card pays all of it.");
    expect(used.body).toContain(`name="cards" value="${code}"`);
    // Shown, and not spent yet.
    expect(await left(code)).toBe(2_000);
    // 10.00 and 5.00 for the post.
    expect(isPlaced(await first.post({ cards: code, seen: "0" }))).toBe(true);
    expect(await left(code)).toBe(500);
    const one = (await latest())!;
    expect([one.order.body.pay, one.order.paid, one.order.body.total]).toEqual(["gift-card", 1_500, 1_500]);
    expect(one.events.map(({ what, amount }) => [what, amount])).toEqual([
      ["placed", null],
      ["paid", 1_500],
    ]);
    const second = await cart("A");
    const page = await second.post({ do: "look", cards: code, pay: "transfer" });
    expect(page.body).toContain("Left to pay");
    expect(isPlaced(await second.post({ cards: code, pay: "transfer", seen: "1000" }))).toBe(true);
    expect(await left(code)).toBe(0);
    const two = (await latest())!;
    expect([two.order.body.pay, two.order.paid]).toEqual(["transfer", 500]);
    const third = await cart("A");
    // Typed in and ordered at once: what it comes to with the card is seen first, and nothing is ordered yet.
    const small = await card(300);
    const typed = await third.post({ newCard: small.code, pay: "transfer", seen: "1500" });
    expect([typed.status, typed.body.includes("pays €3.00")]).toEqual([200, true]);
    expect(await left(small.code)).toBe(300);
    expect((await third.post({ do: "card", newCard: code })).body).toContain("There is nothing left on this card.");
    // A card that is left in the form is said, and what it comes to without it is seen first.
    const late = await third.post({ cards: code, pay: "transfer", seen: "1000" });
    expect([late.status, late.body.includes("can’t be used any more")]).toEqual([409, true]);
    const other = await card(9_000);
    const buys = await cart("G");
    expect((await buys.post({ do: "look", cards: other.code, pay: "transfer" })).body).not.toContain("pays all of it");
    expect(isPlaced(await buys.post({ cards: other.code, pay: "transfer" }))).toBe(true);
    expect(await left(other.code)).toBe(9_000);
  });

  it("gets back what a declined card, a held order and a refund leave unspent", async () => {
    const { shop, cart, card, left, latest } = await openShop();
    const { code } = await card(1_000);
    const byCard = (result: keyof typeof TEST_CARDS) => ({
      cards: code,
      pay: "card",
      number: TEST_CARDS[result],
      expires: "08/39",
      code: "123",
    });
    const { post } = await cart("A");
    expect((await post(byCard("declined"))).status).toBe(402);
    expect(await left(code)).toBe(1_000);
    await post(byCard("asked"));
    expect(await left(code)).toBe(0);
    await dropHeld(Date.now() + 20 * 60_000);
    expect(await left(code)).toBe(1_000);
    expect(isPlaced(await post(byCard("paid")))).toBe(true);
    expect(await left(code)).toBe(0);
    const placed = (await latest())!;
    // 5.00 were paid by card: they go back first, to where they came from, and what is over onto the gift card.
    const back = { do: "refund", id: placed.order.id, back: [] as number[], text: "", tells: false } as const;
    expect(await changeOrder(shop.id, { ...back, version: placed.order.version, amount: 300 })).toMatchObject({
      ok: true,
    });
    expect(await left(code)).toBe(0);
    const { version } = (await latest())!.order;
    expect(await changeOrder(shop.id, { ...back, version, amount: 700 })).toMatchObject({ ok: true });
    expect(await left(code)).toBe(500);
    const end = (await latest())!.order;
    expect(await changeOrder(shop.id, { ...back, version: end.version, amount: 500 })).toMatchObject({ ok: true });
    expect(await left(code)).toBe(1_000);
  });

  it("is worth nothing when it has ended, or when the money for it went back", async () => {
    const { shop, cart, card, latest } = await openShop();
    const old = await card(1_000, { until: Date.now() - 1 });
    const off = await card(1_000);
    const [row] = (await giftCardsOf(shop.id, { find: off.code, page: 1 })).cards;
    await setCardOff(shop.id, row!.id, true);
    const { post } = await cart("A");
    expect((await post({ do: "card", newCard: old.code })).body).toContain("that time is over");
    expect((await post({ do: "card", newCard: off.code })).body).toContain("no longer good");
    const buys = await cart("G");
    await buys.post({ pay: "card", number: TEST_CARDS.paid, expires: "08/39", code: "123" });
    const { order } = (await latest())!;
    const [bought] = (await giftCardsOf(shop.id, { find: "", page: 1 })).cards.filter(
      (each) => each.order === order.number,
    );
    expect(bought!.isOff).toBe(false);
    await changeOrder(shop.id, {
      do: "refund",
      id: order.id,
      version: order.version,
      amount: 5_000,
      back: [],
      text: "",
      tells: false,
    });
    expect((await giftCardWith(shop.id, bought!.code))!.isOff).toBe(true);
  });

  it("can’t be guessed, nor spent in another shop", async () => {
    const [here, there] = [await openShop(), await openShop()];
    const { code } = await here.card(1_000);
    const { post } = await there.cart("A");
    const said = [];
    for (let i = 0; i < 9; i++)
      said.push((await post({ do: "card", newCard: i === 0 ? code : `ACDEFGHJKMNPQRT${"ACDEFGHJK"[i]}` })).body);
    expect(said[0]).toContain("There is no card with this code.");
    expect(said.at(-1)).toContain("Too many codes were tried.");
    expect(await here.left(code)).toBe(1_000);
  });

  it("is never spent twice, however many order with it at once", async () => {
    const { cart, card, left, shop } = await openShop();
    const { code } = await card(4_000);
    const carts = await Promise.all(Array.from({ length: 10 }, () => cart("A")));
    const answers = await Promise.all(carts.map(({ post }) => post({ cards: code, pay: "transfer" })));
    const orders = (await ordersOf(shop.id, { find: "", filter: "all", page: 1 })).orders;
    const bodies = await Promise.all(orders.map(async ({ id }) => (await orderOf(shop.id, id))!.order));
    const spent = bodies.reduce((sum, order) => sum + order.paid, 0);
    expect(spent + (await left(code))).toBe(4_000);
    // Whoever was too late was told so, and nothing was ordered of theirs.
    expect(answers.filter(isPlaced).length).toBe(orders.length);
    expect(answers.every(({ status }) => status === 303 || status === 409)).toBe(true);
  });

  it("keeps its money whatever comes after what", { timeout: 60_000 }, async () => {
    const { shop, cart, card, left, latest } = await openShop();
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.constantFrom("buy", "decline", "hold", "drop", "refund", "cancel"), { maxLength: 7 }),
        async (steps) => {
          const { code } = await card(2_500);
          const cardId = (await GiftCardRow.findOne({ where: { code } }))!.id;
          const { post } = await cart("A");
          const by = (result: keyof typeof TEST_CARDS) => ({
            pay: "card",
            number: TEST_CARDS[result],
            expires: "08/39",
            code: "123",
          });
          for (const step of steps) {
            const now = await latest();
            if (step === "buy") await (await cart("A")).post({ cards: code, pay: "transfer" });
            if (step === "decline") await post({ cards: code, ...by("declined") });
            if (step === "hold") await post({ cards: code, ...by("asked") });
            if (step === "drop") await dropHeld(Date.now() + 20 * 60_000);
            if (step === "refund" && now)
              await changeOrder(shop.id, {
                do: "refund",
                id: now.order.id,
                version: now.order.version,
                amount: 400,
                back: [],
                text: "",
                tells: false,
              });
            if (step === "cancel" && now)
              await changeOrder(shop.id, {
                do: "cancel",
                id: now.order.id,
                version: now.order.version,
                text: "",
                tells: false,
              });
            const uses = await GiftCardUse.findAll({ where: { cardId } });
            const spent = uses.reduce((sum, { amount }) => sum + amount, 0);
            expect(spent + (await left(code))).toBe(2_500);
            expect(spent).toBeGreaterThanOrEqual(0);
          }
        },
      ),
      { seed: 11, numRuns: 6 },
    );
  });
});
