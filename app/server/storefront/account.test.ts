import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { readCsv } from "~/core/formats";
import type { SellingRoot } from "~/core/selling";
import { Shopper, ShopperLink, ShopperSession } from "../database/index.server";
import { letters } from "../fixtures/letters";
import { opensCheckout, SELLS } from "../fixtures/orders";
import { ownerWithShop } from "../fixtures/owner";
import { formsBy, openStorefront, type Answer, type Asked } from "../fixtures/shoppers";
import { goodsOf, importGoods } from "../goods/index.server";
import { listsWith } from "../mail/index.server";
import { freshShop } from "../shops/index.server";

let front: Awaited<ReturnType<typeof openStorefront>>;
beforeAll(async () => void (front = await openStorefront()));
afterAll(() => front.close());

const FILE = "SKU,Title,Price,Stock\nA,Apple,10.00,50\nB,Bread,8.00,";
const PASSWORD = "four words fly high";

/** A browser that keeps its cookies, as a shopper has one. */
function browserAt(host: string, from = "") {
  const jar = new Map<string, string>();
  const keep = (answer: Answer) => {
    for (const cookie of answer.headers["set-cookie"] ?? []) {
      const [, name, value] = /^([^=]+)=([^;]*)/.exec(cookie)!;
      if (/Max-Age=0/.test(cookie)) jar.delete(name!);
      else jar.set(name!, value!);
    }
    return answer;
  };
  const headers = () => ({
    ...(jar.size ? { Cookie: [...jar].map(([name, value]) => `${name}=${value}`).join("; ") } : {}),
    ...(from ? { "X-Forwarded-For": from } : {}),
  });
  const ask = async (path: string, asked: Asked = {}) =>
    keep(await front.ask(path, { host, ...asked, headers: { ...headers(), ...asked.headers } }));
  const send = formsBy(ask);
  return { ask, send, jar };
}

const pathOf = ({ headers }: Answer) => {
  const { pathname, search } = new URL(headers.location!, "http://x.example");
  return pathname + search;
};

async function openShop(root: SellingRoot = SELLS) {
  const { shop } = await ownerWithShop();
  await importGoods(shop, readCsv(FILE));
  await opensCheckout(shop, root);
  const { products } = await goodsOf(await freshShop(shop));
  const by = (sku: string) => products.find((p) => p.sku === sku)!.id;
  const browser = () => browserAt(shop.host);
  return { shop, by, browser };
}

let people = 0;
const somebody = () => `ada${++people}-${Date.now()}@quill.example`;

/** The latest letter to an address; they are written after the answer is given. */
async function letterTo(mail: string, count = 1) {
  await expect.poll(async () => (await letters(mail)).length).toBe(count);
  return (await letters(mail)).at(-1)!;
}
const linkIn = (text: string, path: string) => {
  const found = new RegExp(`https?://[^\\s/]+(${path}\\?token=[\\w-]+)`).exec(text);
  return found![1]!;
};

/** Somebody with an account, signed in. */
async function member(host: string, mail = somebody(), password = PASSWORD) {
  const browser = browserAt(host);
  await browser.send("/account/register", { name: "Ada Quill", mail });
  const link = linkIn((await letterTo(mail)).text!, "/account/password");
  const token = new URL(link, "http://x.example").searchParams.get("token")!;
  const done = await browser.send("/account/password", { token, password });
  expect([done.status, pathOf(done)]).toEqual([303, "/account"]);
  return { ...browser, mail, token };
}

const GIVEN = {
  country: "IE",
  name: "Ada Quill",
  street: "4 Quay Lane",
  town: "Howth",
  way: "post",
  pay: "transfer",
  do: "place",
};
let presses = 0;
const press = () => `account-press-${String(++presses).padStart(8, "0")}`;

describe("an account", () => {
  it("is made by whoever reads the letters of its address, and by nobody else", async () => {
    const { shop, browser } = await openShop();
    const { ask, send, jar } = browser();
    expect(pathOf(await ask("/account"))).toBe("/account/sign-in");
    const mail = somebody();
    const blank = await send("/account/register", { name: "", mail: "ada@" });
    expect(blank.status).toBe(422);
    expect(blank.body).toContain("Please write your name.");
    expect(blank.body).toContain("That is not a mail address.");
    // As people write it: other capitals, a space that can’t be seen.
    const sent = await send("/account/register", { name: "Ada Quill", mail: ` ${mail.toUpperCase()}\u200b` });
    expect(sent.body).toContain("A letter with a link is on its way.");
    const letter = await letterTo(mail);
    expect(letter.html).toContain("Choose a password");
    // Asking alone makes nothing.
    expect(await Shopper.count({ where: { shopId: shop.id } })).toBe(0);
    const link = linkIn(letter.text!, "/account/password");
    const form = await ask(link);
    expect(form.body).toContain(mail);
    expect(form.headers["referrer-policy"]).toBe("same-origin");
    const token = new URL(link, "http://x.example").searchParams.get("token")!;
    for (const [password, why] of [
      ["short", "at least 10 characters"],
      [mail, "too easily guessed"],
      ["aaaaaaaaaaaaaa", "too easily guessed"],
    ] as const) {
      const refused = await send("/account/password", { token, password });
      expect([refused.status, refused.body.includes(why)]).toEqual([422, true]);
    }
    const done = await send("/account/password", { token, password: PASSWORD });
    expect(pathOf(done)).toBe("/account");
    expect((await ask("/account")).body).toContain("Ada Quill");
    const stored = await Shopper.findOne({ where: { shopId: shop.id } });
    expect(stored!.password).toMatch(/^\$argon2id\$/);
    expect(stored!.mail).toBe(mail);
    // The secret is the browser’s alone.
    expect(await ShopperSession.count({ where: { id: jar.get("shopper")! } })).toBe(0);
    // A link works once.
    const again = await browser().send("/account/password", { token, password: "another four words" });
    expect(again.status).toBe(410);
    expect((await browser().send("/account/sign-in", { mail, password: PASSWORD })).status).toBe(303);
  });

  it("answers the same whether there is one or not", async () => {
    const { shop, browser } = await openShop();
    const { mail } = await member(shop.host);
    const stranger = somebody();
    const plain = (text: string, address: string) => text.replaceAll(address, "…").replace(/[\w-]{22,}/g, "");
    const answers = await Promise.all(
      [mail, stranger].map(async (address) => {
        const { send } = browser();
        return [
          await send("/account/register", { name: "Eve", mail: address }),
          await send("/account/forgotten", { mail: address }),
          await send("/account/sign-in", { mail: address, password: "wrong wrong wrong" }),
        ].map(({ status, body }) => [status, plain(body, address)]);
      }),
    );
    expect(answers[0]).toEqual(answers[1]);
    // Only whoever reads the letters learns it.
    const known = await letterTo(mail, 3);
    expect((await letters(mail)).map(({ subject }) => subject).join()).toContain("You have an account already");
    expect(known.text).toContain("/account/password");
    expect((await letterTo(stranger)).subject).toContain("Your account at");
  });

  it("keeps strangers waiting, and the same word after it whoever it is", async () => {
    const { shop, browser } = await openShop();
    const { mail } = await member(shop.host);
    const { send } = browser();
    const tries = [];
    for (let i = 0; i < 7; i++)
      tries.push((await send("/account/sign-in", { mail, password: `wrong word ${i}` })).body);
    expect(tries[0]).toContain("The address or the password is wrong.");
    expect(tries.at(-1)).toContain("Too many tries. Please wait");
    // The right one has to wait as well: else one could go on guessing.
    expect((await send("/account/sign-in", { mail, password: PASSWORD })).body).toContain("Too many tries");
    // A new password by letter ends the waiting.
    await send("/account/forgotten", { mail });
    const link = linkIn((await letterTo(mail, 2)).text!, "/account/password");
    const token = new URL(link, "http://x.example").searchParams.get("token")!;
    expect((await send("/account/password", { token, password: "quite another one" })).status).toBe(303);
    expect((await browser().send("/account/sign-in", { mail, password: "quite another one" })).status).toBe(303);
  });

  it("belongs to one shop: its session and its links are worth nothing at another", async () => {
    const [here, there] = [await openShop(), await openShop()];
    const ada = await member(here.shop.host);
    const other = browserAt(there.shop.host);
    other.jar.set("shopper", ada.jar.get("shopper")!);
    expect(pathOf(await other.ask("/account"))).toBe("/account/sign-in");
    expect((await other.send("/account/sign-in", { mail: ada.mail, password: PASSWORD })).status).toBe(403);
    // The seller’s own session is none here either.
    other.jar.set("zest_session", ada.jar.get("shopper")!);
    expect(pathOf(await other.ask("/account"))).toBe("/account/sign-in");
    const eve = browserAt(here.shop.host);
    await eve.send("/account/forgotten", { mail: ada.mail });
    const link = linkIn((await letterTo(ada.mail, 2)).text!, "/account/password");
    expect((await other.ask(link)).status).toBe(410);
  });

  it("signs out for good, everywhere when the password changes, and leads only on inside of the shop", async () => {
    const { shop, browser } = await openShop();
    const ada = await member(shop.host);
    const phone = browser();
    expect(pathOf(await phone.send("/account/sign-in", { mail: ada.mail, password: PASSWORD, to: "/checkout" }))).toBe(
      "/checkout",
    );
    for (const to of ["//evil.example", "https://evil.example", "/\\evil.example", "javascript:alert(1)"])
      expect(pathOf(await browser().send("/account/sign-in", { mail: ada.mail, password: PASSWORD, to }))).toBe(
        "/account",
      );
    const before = phone.jar.get("shopper")!;
    const wrong = await ada.send("/account/password-change", {
      password: "not it at all",
      fresh: "six new words here",
    });
    expect([wrong.status, wrong.body.includes("This is not your password.")]).toEqual([422, true]);
    const changed = await ada.send("/account/password-change", { password: PASSWORD, fresh: "six new words here" });
    expect(changed.body).toContain("Your password is changed.");
    expect((await letterTo(ada.mail, 2)).subject).toContain("Your password is changed");
    // This browser stays, the other one is out.
    expect((await ada.ask("/account")).status).toBe(200);
    expect(pathOf(await phone.ask("/account"))).toBe("/account/sign-in");
    // A session that was ended is ended, whoever kept its secret.
    const secret = ada.jar.get("shopper")!;
    await ada.send("/account/sign-out", {});
    ada.jar.set("shopper", secret);
    expect(pathOf(await ada.ask("/account"))).toBe("/account/sign-in");
    // Signing in makes a new secret, whatever the browser came with.
    phone.jar.set("shopper", before);
    await phone.send("/account/sign-in", { mail: ada.mail, password: "six new words here" });
    expect(phone.jar.get("shopper")).not.toBe(before);
  });

  it("takes a form from its own site only, in a cookie that scripts and other sites don’t see", async () => {
    const { shop } = await openShop();
    const ada = await member(shop.host);
    const from = { Origin: "http://evil.example" };
    for (const path of [
      "/account/sign-out",
      "/account/details",
      "/account/delete",
      "/account/address",
      "/account/lists",
    ])
      expect((await ada.send(path, { name: "Eve", password: PASSWORD }, from)).status).toBe(403);
    const answer = await ada.send("/account/sign-in", { mail: ada.mail, password: PASSWORD });
    const cookie = answer.headers["set-cookie"]!.find((each) => each.startsWith("shopper="));
    expect(cookie).toMatch(/; HttpOnly; Path=\/; SameSite=Lax; Max-Age=2592000$/);
    // What came back from a form, loaded anew by its address, is the account.
    expect(pathOf(await ada.ask("/account/details"))).toBe("/account");
    const page = await ada.ask("/account");
    expect([page.headers["cache-control"], page.headers["x-robots-tag"]]).toEqual(["no-store", "noindex"]);
  });

  it("moves to another address once somebody reads the letters there, and the old one is told", async () => {
    const { shop, browser } = await openShop();
    const ada = await member(shop.host);
    const next = somebody();
    expect((await ada.send("/account/mail", { mail: next, password: "no idea at all" })).body).toContain(
      "This is not your password.",
    );
    expect((await ada.send("/account/mail", { mail: next, password: PASSWORD })).body).toContain(
      "A letter is on its way",
    );
    const link = linkIn((await letterTo(next)).text!, "/account/new-mail");
    const stranger = browser();
    // Programs that look at mail open links: opening it changes nothing.
    expect((await stranger.ask(link)).body).toContain(next);
    expect((await browser().send("/account/sign-in", { mail: next, password: PASSWORD })).status).toBe(403);
    expect((await stranger.send(link, {})).body).toContain("That is your address now");
    expect((await letterTo(ada.mail, 2)).subject).toContain("Your account has another address");
    expect((await browser().send("/account/sign-in", { mail: next, password: PASSWORD })).status).toBe(303);
    expect((await stranger.send(link, {})).status).toBe(410);
    // An address that another account has is taken over by nobody, and nobody learns that it is taken.
    const bob = await member(shop.host);
    expect((await bob.send("/account/mail", { mail: next, password: PASSWORD })).body).toContain(
      "A letter is on its way",
    );
    const taking = linkIn((await letterTo(next, 2)).text!, "/account/new-mail");
    expect((await bob.send(taking, {})).status).toBe(410);
    expect(await ShopperLink.count({ where: { shopId: shop.id, mail: next } })).toBeLessThanOrEqual(1);
  });
});

describe("what is in an account", () => {
  it("are the orders of its address, each for its owner alone, and ordered again by a press", async () => {
    const { shop, by, browser } = await openShop();
    const mail = somebody();
    // Ordered before there was an account.
    const guest = browser();
    await guest.send("/cart/add", { product: by("A"), count: "2" });
    expect((await guest.send("/checkout", { ...GIVEN, mail: mail.toUpperCase(), pressed: press() })).status).toBe(303);
    // Written to with an address that is another one letter by letter, though the table takes é for e.
    const other = browser();
    await other.send("/cart/add", { product: by("B"), count: "1" });
    await other.send("/checkout", { ...GIVEN, mail: mail.replace("ada", "adá"), pressed: press() });
    const ada = browserAt(shop.host);
    await ada.send("/account/register", { name: "Ada Quill", mail });
    await expect.poll(async () => (await letters(mail)).length).toBeGreaterThanOrEqual(1);
    const letter = (await letters(mail)).find(({ subject }) => subject?.includes("Your account at"));
    const token = /token=([\w-]+)/.exec(letter!.text!)![1]!;
    await ada.send("/account/password", { token, password: PASSWORD });
    const page = await ada.ask("/account");
    expect(page.body).toContain("Order 1");
    expect(page.body).not.toContain("Order 2");
    const one = await ada.ask("/account/orders/1");
    expect([one.status, one.body.includes("4 Quay Lane")]).toEqual([200, true]);
    expect((await ada.ask("/account/orders/2")).status).toBe(404);
    expect((await (await member(shop.host)).ask("/account/orders/1")).status).toBe(404);
    expect(pathOf(await browser().ask("/account/orders/1"))).toBe("/account/sign-in?to=/account/orders/1");
    expect(pathOf(await ada.send("/account/again", { order: "1" }))).toBe("/cart");
    expect((await ada.ask("/cart")).body).toContain("Apple");
    expect((await ada.send("/account/again", { order: "2" })).body).toContain("There is no such order.");
    // Ordered by whoever is signed in: their address is filled in and kept, whatever mail address the order goes to.
    const checkout = await ada.ask("/checkout");
    expect(checkout.body).toContain(`Signed in as ${mail}`);
    expect((await ada.send("/checkout", { ...GIVEN, mail: somebody(), pressed: press() })).status).toBe(303);
    expect((await ada.ask("/account")).body).toContain("4 Quay Lane");
    await ada.send("/cart/add", { product: by("A"), count: "1" });
    expect((await ada.ask("/checkout")).body).toContain('value="4 Quay Lane"');
  });

  it("are addresses, changed and removed, with what is wrong said at its field", async () => {
    const { shop } = await openShop();
    const ada = await member(shop.host);
    const address = { country: "DE", name: "Ada Quill", street: "Hafenweg 4", town: "Kiel", postcode: "241" };
    const wrong = await ada.send("/account/address", { ...address, id: "" });
    expect([wrong.status, wrong.body.includes("can’t be the postcode there")]).toEqual([422, true]);
    expect(wrong.body).toContain('value="Hafenweg 4"');
    expect((await ada.send("/account/address", { ...address, postcode: "24103", id: "" })).status).toBe(303);
    const id = /\/account\?address=(\w+)#/.exec((await ada.ask("/account")).body)![1]!;
    expect((await ada.ask(`/account?address=${id}`)).body).toContain('value="24103"');
    await ada.send("/account/address", { ...address, postcode: "24105", id });
    const changed = (await ada.ask("/account")).body;
    expect([changed.includes("24105"), changed.includes("24103")]).toEqual([true, false]);
    // Another country asks other things: what was written stays.
    const other = await ada.send("/account/address", { ...address, country: "IE", id, do: "country" });
    expect(other.body).toContain("Eircode");
    // Another shopper’s is out of reach.
    const bob = await member(shop.host);
    await bob.send("/account/address/remove", { id });
    expect((await ada.ask("/account")).body).toContain("24105");
    await ada.send("/account/address/remove", { id });
    expect((await ada.ask("/account")).body).not.toContain("24105");
  });

  it("is taken out as a file, and deleted with the password alone", async () => {
    const { shop, by, browser } = await openShop();
    const ada = await member(shop.host);
    await ada.send("/cart/add", { product: by("B"), count: "3" });
    await ada.send("/checkout", { ...GIVEN, mail: ada.mail, pressed: press() });
    await ada.send("/account/lists", { list: "News" });
    const file = await ada.ask("/account/data.json");
    expect(file.headers["content-disposition"]).toContain("attachment");
    const data = JSON.parse(file.body) as Record<string, unknown>;
    expect(data).toMatchObject({
      name: "Ada Quill",
      mail: ada.mail,
      orders: [{ number: 1, lines: [{ title: "Bread", count: 3, total: 2_400 }], delivery: { way: "Post" } }],
    });
    expect(file.body).not.toContain("argon2");
    expect((await ada.send("/account/delete", { password: "never this one" })).status).toBe(422);
    const gone = await ada.send("/account/delete", { password: PASSWORD });
    expect(gone.body).toContain("Your account is deleted");
    expect(pathOf(await ada.ask("/account"))).toBe("/account/sign-in");
    expect((await browser().send("/account/sign-in", { mail: ada.mail, password: PASSWORD })).status).toBe(403);
    expect(await listsWith(shop.id, ada.mail)).toEqual([]);
    // Whoever takes the address over later gets what they had bought only by reading its letters.
    expect(await Shopper.count({ where: { shopId: shop.id } })).toBe(0);
  });

  it("says nothing in a shop that has none", async () => {
    const { browser } = await openShop({ ...SELLS, accounts: "no" });
    const { ask, send } = browser();
    for (const path of ["/account", "/account/sign-in", "/account/register"])
      expect((await ask(path)).status).toBe(404);
    expect((await send("/account/register", { name: "Ada", mail: somebody() })).status).toBe(404);
  });
});
