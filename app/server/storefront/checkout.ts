import { randomBytes } from "node:crypto";
import express, { type Request, type Response, type Router } from "express";
import { z } from "zod";
import {
  addressIn,
  billIn,
  cardForOf,
  CHECKOUT_STEPS,
  checkoutInput,
  checkoutOf,
  checkoutProblems,
  laterWords,
  NOTHING_GIVEN,
  stepOf,
  wishesOf,
  type Asks,
  type Checkout,
  type CheckoutStep,
  type CheckoutValues,
} from "~/core/checkout";
import type { SavedAddress } from "~/core/account";
import { entryOf, walk } from "~/core/document";
import { MOST_CARDS, plainCard } from "~/core/gift-cards";
import { NEWS } from "~/core/mail";
import { formatMoney } from "~/core/money";
import { writeOrder, type OrderBody } from "~/core/orders";
import { lineTitle, offersOf } from "~/core/offers";
import { hasAccounts, notSelling, sellingOf, type CardResult } from "~/core/selling";
import { dayIn } from "~/core/situation";
import type { CartLine, CheckoutSeen } from "~/kinds/parts";
import { DECLINED, inSituation, offersFor, type ShopContent } from "~/render";
import { cartOf, changeCart } from "../carts/index.server";
import { payingCards } from "../gift-cards/index.server";
import { usedUpBy } from "../offer-uses/index.server";
import { placeOf, within } from "../limits/index.server";
import { bankAsks, orderPressed, placeOrder, settleOrder } from "../orders/index.server";
import { cardPayments } from "../payments/index.server";
import { keepAddress, shopperIdFor } from "../shoppers/index.server";
import { contentFor, drawnFor } from "./draft";
import { guarded } from "./guarded";
import { createGate } from "./gate";
import { joinList } from "./lists";
import { cookieOf, isWalk, originOf, send, shopOf, tellNobody, type Locals } from "./sending";
import { placeSaid, setCart } from "./shopping";
import { tryCard } from "./gift-cards";
import { leadToThanks, orderPages, tellBuyer } from "./order-page";
import { shopperAt } from "./signed-in";
import { contentForOne, countryOf } from "./visitors";

// The way from the cart to an order. What is shown and what is charged is worked out here from ids: nothing of a price is ever taken from a form.

/** Sent from one place in a minute: whoever types corrects themselves a few times. */
const MOST_PER_MINUTE = 60;
/** Cards that may be tried for one shop from one place in an hour: numbers can be guessed. */
const MOST_CHARGES = 20;
const NO_STORE = "no-store";
/** Whoever is ordering waits longer than others for their page: sent away, they would have to write everything once more. */
const atCheckout = createGate(400);

const newPress = () => randomBytes(18).toString("base64url");
const pressedInput = z
  .string()
  .regex(/^[\w-]{20,40}$/)
  .catch(() => newPress());

/** What the layout's form asks besides what every checkout does, and where its parts stand. */
type FormSays = Asks & { readonly news: string; readonly isSteps: boolean };

function formIn({ draft }: ShopContent): FormSays {
  const layout = entryOf(draft.documents, "checkout");
  for (const part of layout ? walk(layout.root) : []) {
    if (part.kind !== "checkout-form" || !part.shown) continue;
    const { phone = "free", news = "", arrangement } = part.props as Partial<Record<string, string>>;
    return { phone: phone as Asks["phone"], news, isSteps: arrangement === "steps" };
  }
  return { phone: "free", news: "", isSteps: false };
}

/** Everything that a checkout is worked out from. */
async function standing(request: Request, response: Response) {
  const whole = await contentFor(response);
  if (!whole) return undefined;
  const shop = shopOf(response);
  const cart = await cartOf(shop.id, cookieOf(request, "cart"), whole.goods);
  const theirs = await contentForOne(request, response, whole);
  const content = inSituation({ page: "checkout", ...cart }, theirs);
  const { documents } = content.draft;
  const selling = sellingOf(documents);
  const account = hasAccounts(selling) ? await shopperAt(request, response) : undefined;
  const offers = offersOf(documents);
  const isTest = (response.locals as Locals).draftUntil !== undefined || isWalk(request);
  /** What it comes to with the gift cards that were given. */
  const checkout = async (values: CheckoutValues) => {
    const theirs = await usedUpBy(shop.id, offers, values.mail);
    const spent = theirs.size ? new Set([...(content.spent ?? []), ...theirs]) : content.spent;
    const { bill } = offersFor(documents, spent ? { ...content, spent } : content);
    const paying = await payingCards(shop.id, values.cards, shop.currency, isTest);
    const reckoned = checkoutOf(
      selling,
      cart.lines,
      values,
      (more) => bill(cart.lines, cart.codes, more),
      shop.currency,
      paying,
    );
    return { ...reckoned, paying, spent };
  };
  return { isTest, shop, whole, content, cart, selling, offers, checkout, account, form: formIn(content) };
}
type Standing = NonNullable<Awaited<ReturnType<typeof standing>>>;
/** What the page shows, and the offers that are used up for whoever looks. */
type Shown = Partial<CheckoutSeen> & { readonly spent?: ShopContent["spent"] | undefined };

/** Writes down what would be ordered now. */
function bodyOf(now: Standing, checkout: Checkout, values: CheckoutValues): OrderBody | undefined {
  const { cart, offers, selling, shop } = now;
  const { way, pay, tax, priced, country, byCards } = checkout;
  if (!way || !pay) return undefined;
  const names = new Map(offers.map((offer) => [offer.id, offer.name]));
  const address = addressIn(values, country);
  return writeOrder({
    lines: cart.lines,
    priced,
    offerName: (id) => names.get(id) ?? "",
    laterWords,
    way,
    tax,
    buyer: {
      mail: values.mail,
      phone: values.phone,
      name: address.name || values.name,
      to: way.isCollected || way.isLetter ? null : address,
      note: values.note,
      giftMessage: values.gift,
      bill: billIn(values, country),
    },
    pay,
    payTo: pay === "transfer" ? (selling.pays.transfer ?? "") : "",
    codes: cart.codes,
    byCards,
    cardFor: cardForOf(values),
    currency: shop.currency,
    moneyFormat: shop.moneyFormat,
  });
}

const LACKS = {
  card: "There is less left on your gift card by now, and nothing was ordered. Please look once more, and order then.",
  offer: "An offer in your cart has just been used up, and nothing was ordered. Please look once more, and order then.",
} as const;

/** What there is too little of, in a sentence. */
function shortWords(
  lines: readonly CartLine[],
  short: readonly { product: string; variant: string; count: number }[],
): string {
  const said = short.map(({ product, variant, count }) => {
    const line = lines.find((each) => each.product.id === product && (each.variant?.id ?? "") === variant);
    const title = line ? lineTitle(line) : "something in your cart";
    return count === 0
      ? `“${title}” is sold out`
      : `there ${count === 1 ? "is only 1" : `are only ${count}`} left of “${title}”`;
  });
  return `Meanwhile somebody else was quicker: ${said.join(", and ")}. Nothing was ordered. Please change your cart.`;
}

/** The checkout, the payment of an order, and the pages on which it is seen. */
export function checkouts(): Router {
  const router = express.Router();
  const form = express.urlencoded({ extended: false, limit: "32kb" });
  const guard = guarded("checkout", MOST_PER_MINUTE);

  const show = async (
    request: Request,
    response: Response,
    now: Standing,
    status: number,
    { spent, ...seen }: Shown,
  ) => {
    tellNobody(response);
    const { account } = now;
    const theirs = account ? { account } : {};
    const target = { page: "checkout" as const, ...now.cart, pressed: newPress(), ...theirs, ...seen };
    const whole = spent ? { ...now.whole, spent } : now.whole;
    send(request, response, await drawnFor(request, response, status, target, whole, atCheckout), NO_STORE);
  };
  /** Nobody can check out with nothing, or in a shop that doesn't sell; undefined where they may. */
  const elsewhere = (now: Standing): string | undefined =>
    now.cart.lines.length === 0 || notSelling(now.selling) !== undefined ? "/cart" : undefined;

  router.get("/checkout", async (request, response, next) => {
    const now = await standing(request, response);
    if (!now) return next();
    const to = elsewhere(now);
    if (to) return response.redirect(303, originOf(response) + to);
    const { account } = now;
    const known = account
      ? { ...NOTHING_GIVEN, mail: account.mail, name: account.name, ...account.addresses[0] }
      : NOTHING_GIVEN;
    // Where they seem to be, as far as something is delivered there.
    const said =
      known.country !== "" ? known : (placeSaid(request) ?? { country: countryOf(request.headers), postcode: "" });
    const { country, spent } = await now.checkout({ ...known, country: said.country, postcode: said.postcode });
    const postcode = country === said.country ? said.postcode : "";
    await show(request, response, now, 200, { values: { ...known, country, postcode }, spent });
  });

  router.post("/checkout", form, guard, async (request, response, next) => {
    const now = await standing(request, response);
    if (!now) return next();
    const body = (request.body ?? {}) as Record<string, unknown>;
    const pressed = pressedInput.parse(body.pressed);
    // Sent once more, with the cart empty by then: it leads to the order that was made of it.
    const again = await orderPressed(now.shop.id, pressed);
    if (again?.state === "placed") return leadToThanks(response, again);
    if (again) return response.redirect(303, `${originOf(response)}/order/${again.token}`);
    const to = elsewhere(now);
    if (to) return response.redirect(303, originOf(response) + to);
    const typed = { ...checkoutInput.parse(body), ...usedOf(body, now.account?.addresses ?? []) };
    const more = moreOf(body);
    if (more) return putIn(request, response, now, more, { values: typed, pressed, step: stepInput.parse(body.at) });
    const given = await giveCard(request, now, body, typed);
    const values = given.values;
    const checkout = await now.checkout(values);
    const month = dayIn(Date.now(), now.shop.timeZone).slice(0, 7);
    const problems = checkoutProblems(checkout, values, month, now.form);
    const what = pressIn(body, now.form.isSteps);
    const { paying, spent } = checkout;
    const reckoned = { values, paying, spent };
    const withPress = { ...reckoned, pressed };
    if (given.step)
      return show(request, response, now, given.problem ? 422 : 200, {
        ...withPress,
        step: "payment",
        ...(given.problem ? { problems: new Map([["newCard", given.problem]]) } : {}),
      });
    // A card that was good and is so no more: what it comes to now is seen before anything is ordered.
    if (what.is === "place" && paying.length < values.cards.length)
      return show(request, response, now, 409, {
        ...withPress,
        values: { ...values, cards: paying.map(({ code }) => code) },
        step: "payment",
        said: "A gift card can’t be used any more. Please look once more, and order then.",
      });
    if (what.is === "look") return show(request, response, now, 200, { ...withPress, step: what.step });
    if (what.is === "step") {
      const wrong = new Map([...problems].filter(([field]) => before(stepOf(field), what.step)));
      const [first] = wrong.keys();
      const step = first === undefined ? what.step : stepOf(first);
      return show(request, response, now, wrong.size ? 422 : 200, { ...withPress, step, problems: wrong });
    }
    if (problems.size) {
      const [first] = problems.keys();
      return show(request, response, now, 422, { ...withPress, problems, step: stepOf(first!) });
    }
    const trouble = now.cart.lines.find(({ problem }) => problem !== undefined);
    if (trouble)
      return show(request, response, now, 409, {
        ...withPress,
        step: "payment",
        said: `“${lineTitle(trouble)}”: ${trouble.problem} Please change your cart.`,
      });
    const order = bodyOf(now, checkout, values)!;
    // Prices may have changed since the page was drawn, or another way was chosen where no script reckons: nobody pays what they have not seen.
    if (values.seen !== "" && values.seen !== String(checkout.due))
      return show(request, response, now, 409, {
        ...withPress,
        step: "payment",
        said: `It comes to ${formatMoney(checkout.due, order.currency, order.moneyFormat)} now. Please look once more, and order then.`,
      });
    if (
      order.pay === "card" &&
      !isWalk(request) &&
      !(await within(`cards:${now.shop.id}:${placeOf(request.ip ?? "")}`, MOST_CHARGES, 3600))
    )
      return show(request, response, now, 429, {
        ...withPress,
        step: "payment",
        said: "Too many cards were tried. Please wait an hour, or pay in another way.",
      });
    const from = { shop: now.shop, content: now.whole };
    const waits = order.pay === "card" && checkout.due > 0;
    const { isTest } = now;
    const { cardYears } = now.selling;
    const gifts = checkout.priced.gifts;
    const placed = await placeOrder(now.shop, {
      body: order,
      wishes: wishesOf([...now.cart.lines, ...gifts]),
      pressed,
      isTest,
      waits,
      byCards: checkout.byCards,
      uses: checkout.priced.applied.flatMap(({ offer, amount }) => {
        const found = now.offers.find(({ id }) => id === offer);
        return found ? [{ id: offer, amount, mostUses: found.mostUses, mostEach: found.mostEach }] : [];
      }),
      cardYears,
      cart: cookieOf(request, "cart"),
      shopper: now.account?.id ?? (await shopperIdFor(now.shop.id, order.mail)),
    });
    if (placed.ok && now.account && order.to) await keepAddress(now.account.id, order.to);
    if (!placed.ok)
      return show(request, response, now, 409, {
        ...withPress,
        step: "payment",
        said: placed.lacks ? LACKS[placed.lacks] : shortWords(now.cart.lines, placed.short),
      });
    if (values.news && now.form.news && placed.isNew)
      await joinList(now.shop, now.content, originOf(response), {
        list: NEWS,
        address: values.mail.toLowerCase(),
        page: "/checkout",
      });
    if (!waits) {
      if (placed.isNew) await tellBuyer(request, from, placed.order.id);
      return leadToThanks(response, placed.order);
    }
    if (!placed.isNew) return response.redirect(303, `${originOf(response)}/order/${placed.order.token}`);
    const { id, token } = placed.order;
    const card = { number: values.number, expires: values.expires, code: values.code };
    const result = await cardPayments
      .charge({ order: id, amount: checkout.due, currency: order.currency, card })
      // Whether it was charged is not known: the goods are kept until it is, or for fifteen minutes.
      .catch((error: unknown): CardResult => (console.error("a card could not be charged:", error), "late"));
    if (result === "paid" || result === "declined") {
      await settleOrder(id, result === "paid", cookieOf(request, "cart"), cardYears);
      if (result === "declined")
        return show(request, response, now, 402, { ...reckoned, step: "payment", said: DECLINED });
      await tellBuyer(request, from, id);
      return leadToThanks(response, placed.order);
    }
    // What the bank asks, and what comes too late, is seen at the order’s own address.
    if (result === "asked") await bankAsks(id);
    response.redirect(303, `${originOf(response)}/order/${token}`);
  });

  /** Puts one more thing into the order before it is paid, and shows what it comes to then. */
  const putIn = async (
    request: Request,
    response: Response,
    { shop, whole }: Standing,
    { product, variant }: { readonly product: string; readonly variant: string | null },
    seen: { readonly values: CheckoutValues; readonly pressed: string; readonly step: CheckoutStep },
  ) => {
    const cart = cookieOf(request, "cart");
    const done = await changeCart(shop.id, cart, whole.goods, "add", { product, variant, count: 1 });
    if (done.ok) setCart(request, response, done.id, done.count);
    const now = (await standing(request, response))!;
    const { paying, spent } = await now.checkout(seen.values);
    const title = whole.goods.products.find(({ id }) => id === product)?.title;
    const said = done.ok ? done.said : done.why;
    return show(request, response, now, done.ok ? 200 : 409, {
      ...seen,
      paying,
      spent,
      ...(said ? { said } : title === undefined ? {} : { added: title }),
    });
  };
  /** Adds a gift card that was typed in, or takes one out. Codes can be guessed, so each try counts until it turns out to be one. */
  const giveCard = async (
    request: Request,
    { shop, isTest }: Standing,
    { do: pressed }: Record<string, unknown>,
    values: CheckoutValues,
  ): Promise<{ readonly values: CheckoutValues; readonly step?: true; readonly problem?: string }> => {
    if (typeof pressed === "string" && pressed.startsWith("uncard:")) {
      const code = plainCard(pressed.slice(7));
      return { values: { ...values, cards: values.cards.filter((each) => each !== code) }, step: true };
    }
    // Whoever typed a code and pressed the wrong button meant to pay with it.
    const isOrdering = pressed === "place" || pressed === "enter";
    if (pressed !== "card" && !(isOrdering && values.newCard.trim() !== "")) return { values };
    const done = await tryCard(request, shop, values.newCard, isTest);
    if (!done.ok) return { values, step: true, problem: done.why };
    const cards = [...new Set([...values.cards, done.card.code])];
    return cards.length > MOST_CARDS
      ? { values, step: true, problem: `${MOST_CARDS} cards can be used at once.` }
      : { values: { ...values, cards, newCard: "" }, step: true };
  };
  router.use(orderPages());
  return router;
}

/** What is to be put in besides, where its button was pressed. */
function moreOf({ do: pressed }: Record<string, unknown>) {
  const [what, product, variant] = typeof pressed === "string" ? pressed.split(":") : [];
  return what === "more" && product
    ? { product: product.slice(0, 40), variant: variant?.slice(0, 40) || null }
    : undefined;
}

/** Whether a part of the checkout comes before another one. */
const before = (a: CheckoutStep, b: CheckoutStep): boolean => CHECKOUT_STEPS.indexOf(a) < CHECKOUT_STEPS.indexOf(b);

/** One of the addresses that somebody keeps, where they pressed to use it. */
const usedOf = (
  { do: pressed }: Record<string, unknown>,
  addresses: readonly SavedAddress[],
): Partial<CheckoutValues> => {
  const [what, id] = typeof pressed === "string" ? pressed.split(":") : [];
  const { id: _id, ...address } = (what === "use" && addresses.find((each) => each.id === id)) || { id: "" };
  return address;
};

type Asked =
  | { readonly is: "look"; readonly step: CheckoutStep }
  /** To a part of it: of those before it, all has to be right. */
  | { readonly is: "step"; readonly step: CheckoutStep }
  | { readonly is: "place" };

const stepInput = z.enum(CHECKOUT_STEPS).catch("address");

/** What was pressed. Enter in a field goes on to the next part, and from the last one orders. */
function pressIn({ do: pressed, at }: Record<string, unknown>, isSteps: boolean): Asked {
  const here = stepInput.parse(at);
  const [what, step] = typeof pressed === "string" ? pressed.split(":") : [];
  if (what === "use") return { is: "look", step: "address" };
  if (what === "look") return { is: "look", step: here };
  if (what === "step") return { is: "look", step: stepInput.parse(step) };
  if (what === "next") return { is: "step", step: stepInput.parse(step) };
  const next = CHECKOUT_STEPS[CHECKOUT_STEPS.indexOf(here) + 1];
  return isSteps && what === "enter" && next ? { is: "step", step: next } : { is: "place" };
}
