import express, { type Router } from "express";
import {
  ACCOUNT,
  accountInput,
  addressSent,
  mailProblem,
  nameProblem,
  ownOrder,
  passwordProblem,
  plainMail,
  problemsOf,
  type AccountSeen,
  type SavedAddress,
} from "~/core/account";
import { variantById } from "~/core/goods";
import { addressLines, countryName, sellingOf } from "~/core/selling";
import type { ShopContent } from "~/render";
import { changeCart } from "../carts/index.server";
import { forgetAddress, listsWith, setOnList } from "../mail/index.server";
import { allOrdersOf, orderOfShopper, ordersOfShopper } from "../orders/index.server";
import {
  askForMail,
  changeMail,
  changeShopperPassword,
  deleteShopper,
  dropAddress,
  keepAddress,
  linkSays,
  renameShopper,
} from "../shoppers/index.server";
import { go, guard, here, letterFrom, message, NO_STORE, own, placeOfAsker, type Own } from "./account-here";
import { accountDoor } from "./account-door";
import { drawnFor } from "./draft";
import { listsIn } from "./lists";
import { cookieOf, send, shopOf } from "./sending";
import { setCart } from "./shopping";
import { sessionOf, setSession } from "./signed-in";
import { noteSubscribed } from "./visitors";

const MOST_PAGES = 1_000;

/** An address to begin with: in the country that the shop sends from. */
const blankAddress = (content: ShopContent, name: string): SavedAddress => ({
  id: "",
  country: sellingOf(content.draft.documents).from ?? "",
  name,
  company: "",
  street: "",
  more: "",
  district: "",
  town: "",
  area: "",
  postcode: "",
});

/** Draws the account of whoever is signed in, with what was just done or what is wrong in what was sent. */
async function show(
  { request, response, content, shopper }: Own,
  status: number,
  more: Partial<AccountSeen> = {},
): Promise<void> {
  const shop = shopOf(response);
  const page = Math.min(MOST_PAGES, Math.max(1, Math.floor(Number(request.query.page)) || 1));
  const [{ orders, hasMore }, on] = await Promise.all([
    ordersOfShopper(shop.id, shopper.id, page),
    listsWith(shop.id, shopper.mail),
  ]);
  const isOn = (name: string) => on.some((each) => each.list === name && each.state === "on");
  const names = [
    ...new Set([...listsIn(content), ...on.filter((each) => each.state === "on").map(({ list }) => list)]),
  ];
  const wanted = typeof request.query.address === "string" ? request.query.address : undefined;
  const editing =
    more.editing ??
    (wanted === "new"
      ? blankAddress(content, shopper.name)
      : shopper.addresses.find(({ id }) => wanted !== undefined && id === wanted));
  const seen: AccountSeen = {
    name: shopper.name,
    mail: shopper.mail,
    addresses: shopper.addresses,
    orders: orders.map((order) => ownOrder(order, `${ACCOUNT}/orders/${order.isTest ? "T" : ""}${order.number}`)),
    older: hasMore ? `${ACCOUNT}?page=${page + 1}` : undefined,
    lists: names.map((name) => ({ name, isOn: isOn(name) })),
    ...more,
    editing,
  };
  send(request, response, await drawnFor(request, response, status, { page: "account", ...seen }, content), NO_STORE);
}

/** Accounts of a shop: the door, and all that is seen and done once somebody is signed in. */
export function accounts(): Router {
  const router = express.Router();
  const form = express.urlencoded({ extended: false, limit: "16kb" });
  router.use(accountDoor());

  router.get(
    ACCOUNT,
    own((it) => show(it, 200)),
  );

  router.get(
    "/account/orders/:number",
    own(async (it) => {
      const { request, response, content, shopper } = it;
      const found = await orderOfShopper(shopOf(response).id, shopper.id, String(request.params.number));
      if (!found)
        return message(it, 404, {
          title: "There is no such order",
          text: "In your account are all that you have made.",
          way: { address: ACCOUNT, label: "Your account" },
        });
      const target = { page: "order", order: found.order, events: found.events, address: request.path } as const;
      return send(request, response, await drawnFor(request, response, 200, target, content), NO_STORE);
    }),
  );

  router.post(
    "/account/again",
    form,
    guard,
    own(async (it) => {
      const { request, response, content, shopper, body } = it;
      const shop = shopOf(response);
      const found = await orderOfShopper(shop.id, shopper.id, typeof body.order === "string" ? body.order : "");
      if (!found) return show(it, 404, { said: "There is no such order." });
      const { products } = content.goods;
      let cart = cookieOf(request, "cart");
      const missing: string[] = [];
      let count: number | undefined;
      for (const line of found.order.body.lines) {
        // What was given with it comes with it again, if it still does.
        if (line.full === 0) continue;
        const product = products.find(({ id }) => id === line.product);
        const isThere = product && (line.variant === null || variantById(product, line.variant) !== undefined);
        const done = isThere
          ? await changeCart(shop.id, cart, content.goods, "add", {
              product: line.product,
              variant: line.variant,
              count: Math.min(line.count, 99),
            })
          : undefined;
        if (!done?.ok) missing.push(`“${line.title}”`);
        else {
          cart = done.id;
          count = done.count;
        }
      }
      if (cart !== undefined && count !== undefined) setCart(request, response, cart, count);
      if (missing.length === 0) return go(response, "/cart");
      const rest = count === undefined ? "" : " The rest lies in your cart.";
      return show(it, 200, { said: `${missing.join(", ")} can’t be bought any more.${rest}` });
    }),
  );

  router.post(
    "/account/details",
    form,
    guard,
    own(async (it) => {
      const { name } = accountInput.parse(it.body);
      const problems = problemsOf({ name: nameProblem(name) });
      const shopper = { ...it.shopper, name };
      if (problems.size) return show({ ...it, shopper }, 422, { at: "details", problems });
      await renameShopper(shopper.id, name);
      return show({ ...it, shopper }, 200, { at: "details", said: "Your name is kept.", isGood: true });
    }),
  );

  router.post(
    "/account/mail",
    form,
    guard,
    own(async (it) => {
      const { mail, password } = accountInput.parse(it.body);
      const isSame = plainMail(mail) === it.shopper.mail;
      const problems = problemsOf({
        mail: mailProblem(mail) ?? (isSame ? "That is your address already." : undefined),
        password: password === "" ? "Please write your password." : undefined,
      });
      if (problems.size) return show(it, 422, { at: "mail", problems });
      const shopId = shopOf(it.response).id;
      const done = await askForMail(it.shopper, shopId, mail, password, placeOfAsker(it.request), letterFrom(it));
      if (!done.ok) return show(it, 422, { at: "mail", problems: new Map([["password", done.why]]) });
      const said = `A letter is on its way to ${plainMail(mail)}. Open the link in it within the hour.`;
      return show(it, 200, { at: "mail", said, isGood: true });
    }),
  );

  // Programs that look at mail open its links: what this one does, it does after a press.
  const NEW_MAIL = "/account/new-mail";
  const OLD = { title: "This link is no longer good", text: "Ask for another letter in your account." };
  router.get(
    NEW_MAIL,
    here(async (it) => {
      const { token } = accountInput.parse(it.request.query);
      const link = await linkSays(shopOf(it.response).id, token);
      if (link?.does !== "mail") return message(it, 410, OLD);
      return message(it, 200, {
        title: "Is this your new address?",
        text: `You sign in as ${link.mail} from now on.`,
        press: { action: `${NEW_MAIL}?token=${encodeURIComponent(token)}`, label: "Yes, this is mine" },
      });
    }),
  );
  router.post(
    NEW_MAIL,
    guard,
    here(async (it) => {
      const { token } = accountInput.parse(it.request.query);
      const done = await changeMail(shopOf(it.response).id, token, letterFrom(it));
      return done.ok
        ? message(it, 200, {
            title: "That is your address now",
            text: "Sign in with it from now on.",
            way: { address: ACCOUNT, label: "Your account" },
          })
        : message(it, 410, OLD);
    }),
  );

  router.post(
    "/account/password-change",
    form,
    guard,
    own(async (it) => {
      const { password, fresh } = accountInput.parse(it.body);
      const problems = problemsOf({
        password: password === "" ? "Please write your password." : undefined,
        fresh: passwordProblem(fresh, it.shopper),
      });
      if (problems.size) return show(it, 422, { at: "password", problems });
      const { request, response, shopper } = it;
      const secret = sessionOf(request, response);
      const done = await changeShopperPassword(
        shopper,
        shopOf(response).id,
        { password, fresh },
        secret,
        letterFrom(it),
      );
      if (!done.ok) return show(it, 422, { at: "password", problems: new Map([["password", done.why]]) });
      return show(it, 200, { at: "password", said: "Your password is changed.", isGood: true });
    }),
  );

  router.post(
    "/account/address",
    form,
    guard,
    own(async (it) => {
      const { address, problems } = addressSent(it.body);
      const id = typeof it.body.id === "string" ? it.body.id.slice(0, 40) : "";
      const editing = { ...address, id };
      if (it.body.do === "country") return show(it, 200, { at: "address", editing });
      if (problems.size) return show(it, 422, { at: "address", problems, editing });
      await keepAddress(it.shopper.id, address, id);
      return go(it.response, `${ACCOUNT}#addresses`);
    }),
  );
  router.post(
    "/account/address/remove",
    form,
    guard,
    own(async (it) => {
      await dropAddress(it.shopper.id, typeof it.body.id === "string" ? it.body.id : "");
      return go(it.response, `${ACCOUNT}#addresses`);
    }),
  );

  router.post(
    "/account/lists",
    form,
    guard,
    own(async (it) => {
      const shopId = shopOf(it.response).id;
      const { list } = it.body;
      const wanted = new Set((Array.isArray(list) ? list : [list]).filter((each) => typeof each === "string"));
      const known = await listsWith(shopId, it.shopper.mail);
      for (const name of new Set([...listsIn(it.content), ...known.map((each) => each.list)]))
        await setOnList(shopId, name, it.shopper.mail, wanted.has(name), ACCOUNT);
      noteSubscribed(it.response, wanted.size > 0);
      return show(it, 200, { at: "lists", said: "That is noted.", isGood: true });
    }),
  );

  router.get(
    "/account/data.json",
    own(async ({ response, shopper }) => {
      const shop = shopOf(response);
      const [orders, lists] = await Promise.all([allOrdersOf(shop.id, shopper.id), listsWith(shop.id, shopper.mail)]);
      const day = (at: number) => new Date(at).toISOString();
      response.setHeader("Content-Disposition", 'attachment; filename="your-data.json"');
      response.type("application/json").send(
        JSON.stringify(
          {
            name: shopper.name,
            mail: shopper.mail,
            addresses: shopper.addresses.map((address) => addressLines(address, countryName)),
            letters: lists.map(({ list, state, at }) => ({ list, state, since: day(at) })),
            orders: orders.map(({ number, isTest, at, body, paid, refunded, state, handed }) => ({
              number,
              isTest,
              at: day(at),
              state,
              handed,
              currency: body.currency,
              lines: body.lines.map(({ title, sku, count, total }) => ({ title, sku, count, total })),
              delivery: { way: body.way.name, to: body.to ? addressLines(body.to, countryName) : null },
              bill: body.bill ? addressLines(body.bill, countryName) : null,
              total: body.total,
              paid,
              refunded,
              phone: body.phone,
              note: body.note,
              giftMessage: body.giftMessage,
            })),
          },
          null,
          2,
        ),
      );
    }),
  );

  router.post(
    "/account/delete",
    form,
    guard,
    own(async (it) => {
      const { password } = accountInput.parse(it.body);
      const { request, response, shopper } = it;
      const shopId = shopOf(response).id;
      const wrong = (why: string) => show(it, 422, { at: "delete", problems: new Map([["password", why]]) });
      if (password === "") return wrong("Please write your password.");
      const done = await deleteShopper(shopper, shopId, password, letterFrom(it));
      if (!done.ok) return wrong(done.why);
      await forgetAddress(shopId, shopper.mail);
      setSession(request, response, undefined);
      noteSubscribed(response, false);
      return message(it, 200, {
        title: "Your account is deleted",
        text: "Your addresses and your sign-ups are deleted with it. What you have ordered stays in the shop’s books.",
        way: { address: "/", label: "To the shop" },
      });
    }),
  );
  // Loaded anew by its address, what came back from a form is the account again.
  router.get(
    "/account/:part",
    own(({ response }) => go(response, ACCOUNT)),
  );
  return router;
}
