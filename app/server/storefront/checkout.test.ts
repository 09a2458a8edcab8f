import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { setProp } from "~/core/commands";
import { readCsv } from "~/core/formats";
import { TEST_CARDS, type SellingRoot } from "~/core/selling";
import { OrderRow } from "../database/index.server";
import { loadDraft } from "../drafts/index.server";
import { keep } from "../fixtures/keeping";
import { opensCheckout, SELLS } from "../fixtures/orders";
import { ownerWithShop } from "../fixtures/owner";
import { formsBy, openStorefront, type Answer, type Asked } from "../fixtures/shoppers";
import { letters } from "../fixtures/letters";
import { goodsOf, importGoods } from "../goods/index.server";
import { orderOf, ordersOf, tellStock } from "../orders/index.server";
import { makeDraftLink } from "../publishing/index.server";
import { freshShop } from "../shops/index.server";

let front: Awaited<ReturnType<typeof openStorefront>>;
beforeAll(async () => void (front = await openStorefront()));
afterAll(() => front.close());

const cookies = (answer: Answer) => (answer.headers["set-cookie"] ?? []).map((c) => c.split(";")[0]!).join("; ");
const FILE = "SKU,Title,Price,Stock,Availability\nA,Apple,10.00,5,\nB,Bread,8.00,,\nM,Mast,90.00,,collect only\n";

/** A published shop that sells, with a shopper who has apples in the cart. */
async function openShop(root: SellingRoot = SELLS, more?: (shopId: string) => Promise<void>) {
  const { shop } = await ownerWithShop();
  await importGoods(shop, readCsv(FILE));
  await more?.(shop.id);
  await opensCheckout(shop, root);
  const { products } = await goodsOf(await freshShop(shop));
  const by = (sku: string) => products.find((p) => p.sku === sku)!;
  const ask = (path: string, asked: Asked = {}) => front.ask(path, { host: shop.host, ...asked });
  const send = formsBy(ask);
  const shopper = async (sku = "A", count = "2") => {
    const Cookie = cookies(await send("/cart/add", { product: by(sku).id, count }));
    return {
      Cookie,
      page: () => ask("/checkout", { headers: { Cookie, "Accept-Language": "en-IE" } }),
      buy: (fields: Record<string, string> = {}) =>
        send("/checkout", { ...GIVEN, pressed: press(), do: "place", ...fields }, { Cookie }),
      see: (path: string) => ask(path, { headers: { Cookie } }),
    };
  };
  const orders = async () => (await ordersOf(shop.id, { find: "", filter: "all", page: 1 })).orders;
  const left = async () => {
    await tellStock();
    return (await goodsOf(await freshShop(shop))).products.find((p) => p.sku === "A")!.stock;
  };
  return { shop, by, ask, send, shopper, orders, left };
}
let presses = 0;
const press = () => `press-number-${String(++presses).padStart(8, "0")}`;
const GIVEN = {
  mail: "ada@quill.example",
  country: "IE",
  name: "Ada Quill",
  street: "4 Quay Lane",
  town: "Howth",
  way: "post",
  pay: "transfer",
};
const card = (result: keyof typeof TEST_CARDS) => ({
  pay: "card",
  number: TEST_CARDS[result],
  expires: "08/39",
  code: "123",
});
const pathOf = ({ headers }: Answer) =>
  new URL(headers.location!, "http://x.example").pathname + new URL(headers.location!, "http://x.example").search;

describe("a shop that doesn’t say how it delivers or is paid", () => {
  it("has no checkout", async () => {
    const { shopper } = await openShop({ pays: { card: true } });
    const { page, see, buy } = await shopper();
    expect((await see("/cart")).body).not.toContain('href="/checkout"');
    expect(pathOf(await page())).toBe("/cart");
    expect(pathOf(await buy())).toBe("/cart");
  });
});

describe("the checkout", () => {
  it("goes from the cart to an order without a script: placed once, thanked for, told by letter", async () => {
    const { shopper, orders, left, send, ask, by } = await openShop();
    const { see, page, buy, Cookie } = await shopper();
    expect((await see("/cart")).body).toContain('href="/checkout"');
    const first = await page();
    expect([first.status, first.headers["cache-control"]]).toEqual([200, "no-store"]);
    expect(first.body).toContain("€25.00");
    expect(first.body).toContain("with VAT 23 %");
    const pressed = /name="pressed" value="([^"]+)"/.exec(first.body)![1]!;
    const placed = await buy({ pressed });
    expect(placed.status).toBe(303);
    const to = pathOf(placed);
    expect(to).toMatch(/^\/order\/[\w-]{43}\?thanks=1$/);
    const thanks = await see(to);
    expect(thanks.body).toContain("Thank you");
    // What is still to be paid says how.
    expect(thanks.body).toContain("IBAN XX00");
    expect([
      thanks.headers["referrer-policy"],
      thanks.headers["x-robots-tag"],
      thanks.headers["cache-control"],
    ]).toEqual(["same-origin", "noindex", "no-store"]);
    expect((await see("/cart")).body).toContain("There is nothing in it yet");
    expect(await left()).toBe(3);
    // Pressed twice, or sent once more after the answer was lost: the same order.
    const again = await send("/checkout", { ...GIVEN, pressed, do: "place" }, { Cookie });
    expect(pathOf(again)).toBe(to);
    expect((await orders()).map(({ number, total }) => [number, total])).toEqual([[1, 2_500]]);
    // What was put into the cart since then stays in it.
    const Refilled = cookies(await send("/cart/add", { product: by("B").id }, { Cookie }));
    await send("/checkout", { ...GIVEN, pressed, do: "place" }, { Cookie: Refilled });
    expect((await ask("/cart", { headers: { Cookie: Refilled } })).body).toContain("Bread");
    const [address] = to.split("?");
    const read = (await letters()).find(({ text }) => text?.includes(address!))!;
    expect(read.to).toMatchObject([{ address: GIVEN.mail }]);
    expect(read.subject).toMatch(/^Your order 1 at /);
    expect(read.text).toContain("2 × Apple: €20.00");
    expect(read.text).toContain("Total: €25.00");
    expect(read.html).toContain("4 Quay Lane");
    // The order from then on, for whoever has the link, at this shop alone.
    const order = await ask(to.split("?")[0]!);
    expect(order.body).toContain("To be paid");
    const other = await openShop();
    expect((await other.ask(to.split("?")[0]!)).status).toBe(404);
    expect((await ask("/order/nothing-at-all")).status).toBe(404);
  });

  it("says what is wrong beside each field, keeps what was given, and sends nothing of a card back", async () => {
    const { shopper, orders } = await openShop();
    const { buy } = await shopper();
    const answer = await buy({
      mail: "ada@",
      street: "",
      name: '"><b>Ada',
      pay: "card",
      number: "4111 1111 1111 1111",
      expires: "1/1",
      code: "987654",
    });
    expect(answer.status).toBe(422);
    expect(answer.body).toContain("That is not a mail address. Please check it.");
    expect(answer.body).toContain("Please write the street and number.");
    expect(answer.body).toContain("no real card is charged");
    expect(answer.body).toContain('value="Howth"');
    expect(answer.body).toContain("&quot;&gt;&lt;b&gt;Ada");
    expect(answer.body).not.toContain("<b>Ada");
    for (const secret of ["4111", "987654"]) expect(answer.body).not.toContain(secret);
    expect(await orders()).toEqual([]);
  });

  it("sends the bill to another address where that is ticked, in the fields of its country, and only then", async () => {
    const { shopper, orders, shop } = await openShop();
    const { buy, see } = await shopper();
    const BILL = {
      bills: "1",
      "bill-country": "DE",
      "bill-name": "Quill & Sons",
      "bill-street": "Am Kai 4",
      "bill-town": "Husum",
      "bill-postcode": "25813",
    };
    const ticked = await buy({ do: "look", bills: "1" });
    expect(ticked.body).toMatch(/name="bill-street"/);
    const wrong = await buy({ ...BILL, "bill-postcode": "EC1A 1BB" });
    expect([wrong.status, wrong.body.includes("“EC1A 1BB” can’t be the"), wrong.body.includes("Am Kai 4")]).toEqual([
      422,
      true,
      true,
    ]);
    const placed = await buy(BILL);
    const order = await see(pathOf(placed));
    expect(order.body).toContain("Where the bill goes");
    expect(order.body).toContain("Am Kai 4");
    const [{ id } = { id: "" }] = await orders();
    expect((await orderOf(shop.id, id))!.order.body).toMatchObject({
      to: { country: "IE", street: "4 Quay Lane" },
      bill: { country: "DE", name: "Quill & Sons", postcode: "25813" },
    });
    expect((await letters(GIVEN.mail)).at(-1)!.text).toContain("Husum");
    const other = await shopper("B");
    await other.buy({ ...BILL, bills: "" });
    expect((await orderOf(shop.id, (await orders())[0]!.id))!.order.body.bill).toBeNull();
  });

  it("puts one more thing in by a press, loses nothing that was typed, and leaves what can’t be had alone", async () => {
    const { shopper, by, orders } = await openShop();
    const { buy, Cookie, page } = await shopper();
    const more = await buy({ do: `more:${by("B").id}:`, name: "Ada Quill the Younger" });
    expect(more.status).toBe(200);
    expect(cookies(more)).toContain("items=3");
    expect(more.body).toContain("Ada Quill the Younger");
    // Two apples and a bread, and the parcel: 20 + 8 + 5.
    expect(more.body).toContain("€33.00");
    expect((await page()).body).toContain("€33.00");
    const gone = await buy({ do: "more:nothing:" });
    expect([gone.status, gone.body.includes("This is no longer in the shop.")]).toEqual([409, true]);
    expect(await orders()).toEqual([]);
    expect((await buy({ seen: "3300" })).status).toBe(303);
    expect((await orders())[0]).toMatchObject({ total: 3300, count: 3 });
    expect(Cookie).toContain("cart=");
  });

  it("takes no price, place or way from a form that the shop doesn’t offer", async () => {
    const { shopper, orders } = await openShop();
    const made = await (
      await shopper()
    ).buy({ total: "1", price: "1", delivery: "0", way: "far", "priced[total]": "1" });
    expect(made.status).toBe(303);
    // “far” is for Germany.
    expect((await orders())[0]!.total).toBe(2_500);
    const nowhere = await (await shopper("B")).buy({ country: "NZ" });
    expect([nowhere.status, nowhere.body.includes("Nothing is delivered there.")]).toEqual([422, true]);
    expect((await (await shopper("B")).buy({ pay: "on-delivery" })).status).not.toBe(500);
  });

  it("reckons anew for another country, its fields and its tax", async () => {
    const { shopper } = await openShop();
    const { buy } = await shopper();
    const looked = await buy({ do: "look", country: "DE", way: "post" });
    expect(looked.status).toBe(200);
    expect(looked.body).toContain("€32.00");
    expect(looked.body).toContain("VAT 19 %");
    expect(looked.body).not.toContain('role="alert"');
    expect((await buy({ country: "DE", postcode: "2581" })).body).toContain("can’t be the postcode there");
    expect((await buy({ country: "DE", postcode: "25813", way: "far" })).status).toBe(303);
  });

  it("charges nobody what they have not seen", async () => {
    const { shopper, orders } = await openShop();
    const { buy } = await shopper();
    const changed = await buy({ seen: "2400" });
    expect([changed.status, changed.body.includes("It comes to €25.00 now.")]).toEqual([409, true]);
    expect(changed.body).toContain('name="seen" value="2500"');
    expect(await orders()).toEqual([]);
    expect((await buy({ seen: "2500" })).status).toBe(303);
  });

  it("lets goods be fetched with a name alone, and has them fetched that can’t be sent", async () => {
    const { shopper, orders } = await openShop();
    const { buy, page } = await shopper("M", "1");
    expect((await page()).body).not.toContain(">Post<");
    const placed = await buy({ street: "", town: "", way: "collect", pay: "on-collection" });
    expect(placed.status).toBe(303);
    expect((await orders())[0]).toMatchObject({ total: 9_000, standing: ["Paid on collection", "To be put ready"] });
  });

  it("comes from the shop’s own pages alone", async () => {
    const { send, shopper } = await openShop();
    const { Cookie } = await shopper();
    const answer = await send("/checkout", { ...GIVEN, do: "place" }, { Cookie, Origin: "https://elsewhere.example" });
    expect(answer.status).toBe(403);
  });

  it("says so where somebody else was quicker, and nothing is ordered", async () => {
    const { shopper, orders, left } = await openShop();
    const [one, two] = [await shopper("A", "4"), await shopper("A", "4")];
    expect((await one.buy()).status).toBe(303);
    const late = await two.buy();
    expect(late.status).toBe(409);
    expect(late.body).toMatch(/There (?:is|are) only 1 of it|there is only 1 left of “Apple”/);
    expect(late.body).toContain('value="4 Quay Lane"');
    expect([(await orders()).length, await left()]).toEqual([1, 1]);
  });

  it("can be gone through in steps, each of them right before the next", async () => {
    const { shopper } = await openShop(SELLS, async (shopId) => {
      const { draft, seq } = await loadDraft(shopId);
      const made = setProp(draft, "layout-ck-form", ["arrangement"], "steps", "Steps");
      if (!made.ok) throw new Error(made.why);
      await keep(shopId, { base: seq, transactions: [made.transaction] });
    });
    const { page, buy } = await shopper();
    const first = (await page()).body;
    expect(first).toContain("Step 1 of 3");
    expect(first).not.toContain('name="number"');
    const wrong = await buy({ do: "next:delivery", at: "address", street: "" });
    expect([wrong.status, wrong.body.includes("Step 1 of 3")]).toEqual([422, true]);
    const second = (await buy({ do: "enter", at: "address" })).body;
    expect(second).toContain("Step 2 of 3");
    expect(second).toContain('type="hidden" name="street" value="4 Quay Lane"');
    const third = (await buy({ do: "next:payment", at: "delivery" })).body;
    expect(third).toContain("Step 3 of 3");
    expect(third).toContain('value="step:delivery"');
    expect((await buy({ do: "place", at: "payment" })).status).toBe(303);
  });
});

describe("a card", () => {
  it("that is good pays at once", async () => {
    const { shopper, orders } = await openShop();
    const placed = await (await shopper()).buy(card("paid"));
    expect(pathOf(placed)).toContain("?thanks=1");
    expect((await orders())[0]!.standing).toEqual(["Paid", "To be sent"]);
  });

  it("that is declined leaves everything as it was, and another one can be tried", async () => {
    const { shopper, orders, left } = await openShop();
    const { buy } = await shopper();
    const declined = await buy(card("declined"));
    expect([declined.status, declined.body.includes("nothing was ordered")]).toEqual([402, true]);
    expect(declined.body).toContain('value="4 Quay Lane"');
    expect([await orders(), await left()]).toEqual([[], 5]);
    expect((await buy(card("paid"))).status).toBe(303);
    expect((await orders())[0]!.number).toBe(1);
  });

  it("whose bank asks is paid or left by the answer", async () => {
    const { shopper, orders, left, send } = await openShop();
    const one = await shopper("A", "1");
    const asked = pathOf(await one.buy(card("asked")));
    expect((await one.see(asked)).body).toContain("Your bank asks whether it is you");
    expect([await orders(), await left()]).toEqual([[], 4]);
    expect(pathOf(await send(`${asked}/yes`, {}, { Cookie: one.Cookie }))).toBe(`${asked}?thanks=1`);
    expect((await orders()).length).toBe(1);
    const two = await shopper("A", "1");
    const refused = pathOf(await two.buy(card("asked")));
    expect(pathOf(await send(`${refused}/no`, {}, { Cookie: two.Cookie }))).toBe(refused);
    expect((await two.see(refused)).body).toContain("Nothing was ordered");
    // Too late to change one’s mind.
    await send(`${refused}/yes`, {}, { Cookie: two.Cookie });
    expect([(await orders()).length, await left()]).toEqual([1, 4]);
    expect((await two.see("/cart")).body).toContain("Apple");
  });

  it("that gets no answer keeps the goods for a while, and says so", async () => {
    const { shopper, left } = await openShop();
    const { buy, see } = await shopper("A", "2");
    const late = pathOf(await buy(card("late")));
    expect((await see(late)).body).toContain("No answer to your payment yet");
    expect(await left()).toBe(3);
  });
});

describe("an order from the draft", () => {
  it("is a test, with numbers of its own", async () => {
    const { shop, shopper, ask, send, by, orders } = await openShop();
    const { secret } = await makeDraftLink(shop.id);
    const Draft = cookies(await ask(`/draft/${secret}`));
    const Cart = cookies(await send("/cart/add", { product: by("B").id }, { Cookie: Draft }));
    const placed = await send(
      "/checkout",
      { ...GIVEN, pressed: press(), do: "place" },
      { Cookie: `${Draft}; ${Cart}` },
    );
    expect((await ask(pathOf(placed), { headers: { Cookie: Draft } })).body).toContain("Order T1");
    expect(await orders()).toEqual([]);
    await (await shopper()).buy();
    expect((await orders())[0]!.number).toBe(1);
  });
});

// OWASP Application Security Verification Standard 4.0.3, level 2; numbers from memory.
describe("who buys is safe (ASVS)", () => {
  it("3.4: the cart’s cookie is for this shop’s server alone", async () => {
    const { send, by } = await openShop();
    const given = (await send("/cart/add", { product: by("B").id })).headers["set-cookie"]!.find((c) =>
      c.startsWith("cart="),
    );
    expect(given).toMatch(/HttpOnly/);
    expect(given).toMatch(/SameSite=Lax/);
    expect(given).not.toMatch(/Domain=/);
  });
  it("4.2.1: an order is seen by whoever has its link, and by no guess", async () => {
    const { shopper, ask } = await openShop();
    const to = pathOf(await (await shopper("B")).buy()).split("?")[0]!;
    const near = to.slice(0, -1) + (to.endsWith("A") ? "B" : "A");
    for (const path of [near, "/order/1", "/order/", `${to}/..%2f`, `${to}?token[]=1`.replace(to, near)])
      expect([path, (await ask(path)).body.includes("Quill")]).toEqual([path, false]);
  });
  it("4.2.1: a link to an order ends; another one goes to the order’s own mail address, and the old one leads nowhere then", async () => {
    const { shopper, ask, send, shop } = await openShop();
    const to = pathOf(await (await shopper("B")).buy()).split("?")[0]!;
    await OrderRow.update({ createdAt: new Date(Date.now() - 200 * 86_400_000) }, { where: { shopId: shop.id } });
    const old = await ask(to);
    expect([old.status, old.body.includes("Quill"), old.body.includes(`${to}/link`)]).toEqual([410, false, true]);
    expect((await send(`${to}/link`, {})).body).toContain("A new link is on its way");
    expect((await send(`${to}/link`, {})).status).toBe(303);
    const sent = (await letters(GIVEN.mail)).filter(({ text }) => text?.includes("You asked us for a new link"));
    const fresh = sent.map(({ text }) => /\/order\/[\w-]{43}/.exec(text!)![0]);
    expect(fresh).toHaveLength(1);
    expect(fresh[0]).not.toBe(to);
    expect((await ask(fresh[0]!)).body).toContain("Quill");
    expect((await ask(to)).status).toBe(404);
    // One that is good can’t be exchanged.
    expect(pathOf(await send(`${fresh[0]}/link`, {}))).toBe(fresh[0]);
  });
  it("5.1: what is too long or of another sort is a sentence, not a fault", async () => {
    const { send, shopper } = await openShop();
    const { Cookie } = await shopper("B");
    for (const fields of [
      { "mail[]": "x" },
      { mail: "a".repeat(300) },
      { note: "n".repeat(5_000) },
      { country: "ZZ" },
      { way: "../../etc" },
      { pressed: "x'--" },
      { name: "\u0000\u2028" },
    ]) {
      const answer = await send(
        "/checkout",
        { ...GIVEN, ...fields, do: "place" },
        {
          Cookie,
        },
      );
      expect([JSON.stringify(fields).slice(0, 30), answer.status < 500]).toEqual([
        JSON.stringify(fields).slice(0, 30),
        true,
      ]);
    }
  });
  it("11.1: forms that are sent without an end are held up", async () => {
    const { send, shopper } = await openShop();
    const { Cookie } = await shopper("B");
    let last = 0;
    for (let i = 0; i < 62; i++) last = (await send("/checkout", { do: "look" }, { Cookie })).status;
    expect(last).toBe(429);
  });
  it("8.3: nothing of an order, a checkout or a card is kept on the way", async () => {
    const { shopper } = await openShop();
    const { page, buy, see } = await shopper("B");
    expect((await page()).headers["cache-control"]).toBe("no-store");
    const declined = await buy(card("declined"));
    expect(declined.headers["cache-control"]).toBe("no-store");
    expect((await see(pathOf(await buy(card("paid"))))).headers["cache-control"]).toBe("no-store");
  });
});

describe("what delivery costs, in the cart", () => {
  it("is told by country and postcode without a script, and known at the checkout", async () => {
    const { shopper, ask } = await openShop();
    const { Cookie, see } = await shopper();
    expect((await see("/cart")).body).toMatch(/Delivery to.*Ireland.*€5\.00/);
    const asked = await see("/cart?country=de&postcode=10115");
    expect([asked.status, pathOf(asked)]).toEqual([303, "/cart"]);
    const With = `${Cookie}; ${cookies(asked)}`;
    expect((await ask("/cart", { headers: { Cookie: With } })).body).toMatch(/Delivery to.*Germany 10115.*€12\.00/);
    const checkout = (await ask("/checkout", { headers: { Cookie: With } })).body;
    expect(checkout).toContain('<option value="DE" selected="">Germany');
    expect(checkout).toContain('value="10115"');
    // Where nothing goes, the checkout begins at home.
    const far = cookies(await see("/cart?country=NZ&postcode="));
    expect((await ask("/cart", { headers: { Cookie: `${Cookie}; ${far}` } })).status).toBe(200);
    for (const place of ["%ZZ", "XX.1", "..", "DE.%E0%A4%A"])
      expect((await ask("/cart", { headers: { Cookie: `${Cookie}; place=${place}` } })).status).toBe(200);
  });
});
