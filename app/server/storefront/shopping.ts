import express, { type Request, type Response, type Router } from "express";
import { z } from "zod";
import { decodeAddress } from "~/core/addresses";
import type { Draft } from "~/core/document";
import { productWith, searchGoods, variantById, variantFor, type Goods } from "~/core/goods";
import { renditionAddress, sourceOf } from "~/core/pictures";
import { formatMoney } from "~/core/money";
import { CART_DONE } from "~/kinds/parts";
import { costsIn, renderCards } from "~/render";
import { isCountry } from "~/core/selling";
import { CODE_KEY, offerWithCode, plainCode, type Line } from "~/core/offers";
import {
  cartCount,
  cartInput,
  cartOf,
  changeCart,
  changeCode,
  remindOf,
  tellInput,
  tellWhenThere,
} from "../carts/index.server";
import { goodsOf, noteView, reviewInput, takeReview } from "../goods/index.server";
import { countTry, placeOf, takeBack, waitWords } from "../limits/index.server";
import { contentFor, drawnFor } from "./draft";
import { contentOf, inTurn, messagePage } from "./pages";
import { cookieOf, fromHere, originOf, perMinute, send, shopOf, tellNobody } from "./sending";

/** At most this many changes of carts, and reviews or wishes, from one place in a minute. */
const MOST_CHANGES = 120;
const MOST_WRITINGS = 8;
const CART_DAYS = 60;

const placeInput = z.object({
  country: z
    .string()
    .toUpperCase()
    .refine((code) => isCountry(code)),
  postcode: z.string().trim().max(12).catch(""),
});
type PlaceSaid = z.infer<typeof placeInput>;

function notePlace(response: Response, { country, postcode }: PlaceSaid): void {
  const secure = originOf(response).startsWith("https:") ? "; Secure" : "";
  response.append(
    "Set-Cookie",
    `place=${country}.${encodeURIComponent(postcode)}; HttpOnly; Path=/; SameSite=Lax; Max-Age=${CART_DAYS * 86_400}${secure}`,
  );
}

/** Where a shopper said that their cart would go; undefined where they said nothing. */
export function placeSaid(request: Request): PlaceSaid | undefined {
  const [country, postcode = ""] = (cookieOf(request, "place") ?? "").split(".");
  const read = placeInput.safeParse({ country, postcode: decodeAddress(postcode) ?? "" });
  return read.success ? read.data : undefined;
}

/** The cart's secret is for the server alone; how much is in it, the header may say by script. */
export function setCart(request: Request, response: Response, id: string, count: number): void {
  const same = `Path=/; SameSite=Lax; Max-Age=${CART_DAYS * 86_400}${originOf(response).startsWith("https:") ? "; Secure" : ""}`;
  response.append("Set-Cookie", `cart=${id}; HttpOnly; ${same}`);
  response.append("Set-Cookie", `items=${count}; ${same}`);
}

const wantsJson = (request: Request) => request.accepts(["html", "json"]) === "json";

/** The variant that a form names: by id, or, without a script, by what is chosen of each option. */
function chosenVariant(goods: Goods, body: Record<string, unknown>): Record<string, unknown> {
  if (typeof body.variant === "string") return body;
  const product = goods.products.find((p) => p.id === body.product);
  if (!product || product.options.length === 0) return body;
  const choice = product.options.map((_o, i) =>
    typeof body[`option-${i}`] === "string" ? String(body[`option-${i}`]) : undefined,
  );
  return { ...body, variant: variantFor(product, choice)?.id ?? "" };
}

/** How many a form of the cart asks for: none, as many as it says, or one more or less than that. */
function countedOf(body: Record<string, unknown>): Record<string, unknown> {
  if (body.remove === "1") return { ...body, count: 0 };
  const { step, count } = body;
  return step === "1" || step === "-1" ? { ...body, count: Math.max(0, Number(count) + Number(step)) } : body;
}

/** The cart, saying what was just taken out of it, so that it can be put back. */
const goneAddress = ({ product, variant }: z.infer<typeof cartInput>, count: number): string =>
  `/cart?${new URLSearchParams({ gone: product, variant: variant ?? "", count: String(count) }).toString()}`;

/** What an address says was just taken out; undefined where it says nothing that there is. */
function goneIn(query: Request["query"], goods: Goods): Line | undefined {
  const asked = cartInput.safeParse({ ...query, product: query.gone });
  const product = asked.success ? productWith(goods, asked.data.product) : undefined;
  if (!asked.success || !product || asked.data.count < 1) return undefined;
  const variant = variantById(product, asked.data.variant);
  // A variant is named exactly where there are any.
  const isKnown = variant !== undefined || (product.variants.length === 0 && asked.data.variant === null);
  return isKnown ? { product, variant, count: asked.data.count } : undefined;
}

const codeInput = z.object({
  code: z.string().max(200).catch("").transform(plainCode),
  // What comes twice is a list, and asks for nothing.
  remove: z
    .string()
    .optional()
    .catch(undefined)
    .transform((value) => value === "1"),
});

/** So many codes that there are not may be tried from one place; for each one more, it has to be waited twice as long. */
const FREE_TRIES = 8;

type Tried =
  { readonly ok: true; readonly code: string } | { readonly ok: false; readonly status: number; readonly why: string };

/** Looks for the offer that a code asks for. Codes can be guessed, so each try counts until it turns out to be one. */
async function tryCode(
  request: Request,
  response: Response,
  given: string,
  documents: Draft["documents"],
): Promise<Tried> {
  const code = plainCode(given);
  if (code === "") return { ok: false, status: 422, why: "Write the code first." };
  const name = `code:${shopOf(response).id}:${placeOf(request.ip ?? "")}`;
  const wait = await countTry(name, FREE_TRIES);
  if (wait > 0)
    return {
      ok: false,
      status: 429,
      why: `Too many codes were tried. Please wait ${waitWords(wait)} and try again.`,
    };
  const offer = offerWithCode(documents, code);
  if (!offer || offer.isOff) return { ok: false, status: 422, why: "There is no such code here. Please check it." };
  await takeBack(name);
  return { ok: true, code };
}

/** Puts a code into somebody's cart, or takes it out; gives how many pieces lie in that. */
async function giveCode(request: Request, response: Response, code: string, how: "add" | "remove"): Promise<number> {
  const { id, count } = await changeCode(shopOf(response).id, cookieOf(request, "cart"), code, how);
  setCart(request, response, id, count);
  return count;
}

/** What shoppers do besides reading: carts, reviews, wishes, and what pages ask for while they are read. */
export function shopping(): Router {
  const router = express.Router();
  const form = express.urlencoded({ extended: false, limit: "16kb" });
  const mayChange = perMinute("cart", MOST_CHANGES);
  const mayWrite = perMinute("writing", MOST_WRITINGS);

  /** Answers a form: a sentence for a script, a page for a browser without one. */
  const answer = async (request: Request, response: Response, status: number, title: string, text: string) => {
    if (wantsJson(request)) {
      response.status(status).json({ ok: status === 200, text: status === 200 ? text : text || title });
      return;
    }
    const page = await messagePage(shopOf(response), title, text, status, originOf(response));
    if (page) send(request, response, page, "no-store");
    else response.status(404).end();
  };
  const guard =
    (may: (request: Request, response: Response) => Promise<boolean>) =>
    async (request: Request, response: Response, next: () => void) => {
      if (!fromHere(request, response))
        return answer(request, response, 403, "That came from another site", "Please use this shop’s own page.");
      if (!(await may(request, response)))
        return answer(request, response, 429, "That was a little too often", "Please try again in a minute.");
      next();
    };

  // A link that brings a code along: it lies in the cart, and the address is the page's own again.
  router.get("/{*path}", async (request, response, next) => {
    if (!request.url.includes(`${CODE_KEY}=`)) return next();
    const { pathname, searchParams } = new URL(request.url, originOf(response));
    const code = searchParams.get(CODE_KEY);
    if (code === null) return next();
    // Whoever knows a code could have carts made without an end: they count like any other change of one.
    if (await mayChange(request, response)) {
      const done = await tryCode(request, response, code, (await contentFor(response))?.draft.documents ?? {});
      if (done.ok) await giveCode(request, response, done.code, "add");
    }
    response.setHeader("Cache-Control", "no-store");
    searchParams.delete(CODE_KEY);
    const rest = searchParams.toString();
    response.redirect(303, `${originOf(response)}${pathname.replace(/^\/+/, "/")}${rest ? `?${rest}` : ""}`);
  });

  router.get("/cart", async (request, response, next) => {
    const shop = shopOf(response);
    const content = await contentFor(response);
    if (!content) return next();
    const asked = placeInput.safeParse(request.query);
    // Where it would go is known from then on, at the checkout as well.
    if (asked.success) {
      notePlace(response, asked.data);
      return response.redirect(303, `${originOf(response)}/cart`);
    }
    const place = placeSaid(request);
    const { lines, codes } = await cartOf(shop.id, cookieOf(request, "cart"), content.goods);
    const done = CART_DONE.find((each) => each === request.query.done);
    const gone = goneIn(request.query, content.goods);
    const isBeside = request.query.in === "side";
    const just = { ...(done ? { done } : {}), ...(gone ? { gone } : {}), ...(place ? { place } : {}) };
    const page = await drawnFor(request, response, 200, { page: "cart", lines, codes, isBeside, ...just }, content);
    send(request, response, page, "no-store", isBeside);
  });

  for (const [path, how] of [
    ["/cart/add", "add"],
    ["/cart/change", "set"],
  ] as const) {
    router.post(path, form, guard(mayChange), async (request, response) => {
      const shop = shopOf(response);
      const goods = await goodsOf(shop);
      const body = (request.body ?? {}) as Record<string, unknown>;
      const input = cartInput.safeParse(chosenVariant(goods, countedOf(body)));
      if (!input.success)
        return answer(request, response, 422, "That could not be put into the cart", input.error.issues[0]!.message);
      const done = await changeCart(shop.id, cookieOf(request, "cart"), goods, how, input.data);
      if (!done.ok) return answer(request, response, 422, "That could not be put into the cart", done.why);
      setCart(request, response, done.id, done.count);
      const page = how === "add" ? "/cart?done=added" : done.gone ? goneAddress(input.data, done.gone) : "/cart";
      if (wantsJson(request)) return void response.json({ ok: true, count: done.count, text: done.said, page });
      response.redirect(303, page);
    });
  }

  router.post("/cart/code", form, guard(mayChange), async (request, response) => {
    const { code, remove } = codeInput.parse(request.body ?? {});
    const done = remove
      ? { ok: true as const, code }
      : await tryCode(request, response, code, (await contentFor(response))?.draft.documents ?? {});
    if (!done.ok) return answer(request, response, done.status, "That did not work", done.why);
    const count = await giveCode(request, response, done.code, remove ? "remove" : "add");
    const page = remove ? "/cart" : "/cart?done=code";
    if (wantsJson(request)) return void response.json({ ok: true, count, text: "", page });
    response.redirect(303, page);
  });

  router.post("/cart/remind", form, guard(mayWrite), async (request, response) => {
    const input = tellInput.pick({ address: true }).safeParse(request.body ?? {});
    if (!input.success) return answer(request, response, 422, input.error.issues[0]!.message, "");
    const isThere = await remindOf(shopOf(response).id, cookieOf(request, "cart"), input.data.address);
    if (!isThere) return answer(request, response, 422, "There is nothing in your cart", "");
    if (wantsJson(request)) return void response.json({ ok: true, text: "" });
    response.redirect(303, "/cart?done=remind");
  });

  // What stands in the letter is the cart’s own secret: whoever reads the letter has the cart.
  router.get("/cart/back/:id", async (request, response) => {
    const id = String(request.params.id);
    const count = await cartCount(shopOf(response).id, id);
    if (count !== undefined) setCart(request, response, id, count);
    tellNobody(response);
    response.setHeader("Cache-Control", "no-store");
    response.redirect(303, `${originOf(response)}/cart`);
  });

  router.post("/tell-me", form, guard(mayWrite), async (request, response) => {
    const shop = shopOf(response);
    const input = tellInput.safeParse(request.body ?? {});
    if (!input.success) return answer(request, response, 422, input.error.issues[0]!.message, "");
    const isThere = await tellWhenThere(shop.id, await goodsOf(shop), input.data);
    return isThere
      ? answer(request, response, 200, "We will tell you", "You get one letter, on the day it is here.")
      : answer(request, response, 422, "This is no longer in the shop", "");
  });

  router.post("/reviews", form, guard(mayWrite), async (request, response) => {
    const shop = shopOf(response);
    const body = z.object({ product: z.string().max(40) }).safeParse(request.body ?? {});
    const input = reviewInput.safeParse(request.body ?? {});
    if (!body.success || !input.success)
      return answer(
        request,
        response,
        422,
        "Something is missing in your review",
        input.success ? "" : input.error.issues[0]!.message,
      );
    const isThere = await takeReview(shop.id, body.data.product, input.data);
    return isThere
      ? answer(
          request,
          response,
          200,
          "Thank you",
          "Your review is on its way. It is shown once it has been read here.",
        )
      : answer(request, response, 422, "This is no longer in the shop", "");
  });

  router.get("/suggest", async (request, response, next) => {
    const content = await contentOf(shopOf(response));
    if (!content) return next();
    const query = String(request.query.q ?? "").slice(0, 120);
    const { products } = await inTurn(placeOf(request.ip ?? ""), () => searchGoods(content.goods, query, 6));
    const costs = costsIn(content.draft.documents, content);
    response.setHeader("Cache-Control", "public, max-age=60");
    response.json(
      products.map((p) => {
        const picture = content.pictures.find((each) => each.id === p.pictures[0]);
        const span = costs.span(p);
        return {
          address: `/products/${p.slug}`,
          title: p.title,
          price: `${span.most > span.least ? "from " : ""}${formatMoney(span.least, content.currency, content.moneyFormat)}`,
          picture: picture ? (picture.vector ? sourceOf(picture) : renditionAddress(picture, 160)) : "",
        };
      }),
    );
  });

  /** Cards of goods by id, in that order: what a shopper's own browser remembers having seen. */
  router.get("/cards", async (request, response, next) => {
    const content = await contentFor(response);
    if (!content) return next();
    const ids = String(request.query.ids ?? "")
      .split(",")
      .slice(0, 12);
    const products = ids.flatMap((id) => content.goods.products.find((p) => p.id === id) ?? []);
    response.setHeader("Cache-Control", "no-store");
    response.type("html").send(await inTurn(placeOf(request.ip ?? ""), () => renderCards(products, content)));
  });

  router.post("/seen", express.json({ limit: "1kb" }), guard(mayChange), async (request, response) => {
    const shop = shopOf(response);
    const body = z.object({ product: z.string().max(40) }).safeParse(request.body);
    const goods = await goodsOf(shop);
    if (body.success && goods.products.some((p) => p.id === body.data.product))
      await noteView(shop.id, body.data.product);
    response.status(204).end();
  });
  return router;
}
