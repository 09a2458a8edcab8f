import express, { type Request, type Response, type Router } from "express";
import sharp from "sharp";
import { LRUCache } from "lru-cache";
import { cardProblem, GIFT_CARD, isCardCode, plainCard, type CardStanding, type GiftCardSeen } from "~/core/gift-cards";
import { sellingOf, takesCards } from "~/core/selling";
import { cardSvg, isCardDesign } from "~/render";
import { giftCardWith } from "../gift-cards/index.server";
import { countTry, placeOf, takeBack, waitWords } from "../limits/index.server";
import type { Shop } from "../shops/index.server";
import { contentFor, drawnFor } from "./draft";
import { guarded } from "./guarded";
import { send, shopOf, tellNobody } from "./sending";

/** So many codes of which there is no card may be tried from one place; for each one more, it has to be waited twice as long. */
const FREE_TRIES = 6;
const MOST_PER_MINUTE = 30;
const NO_SUCH = "There is no card with this code. Please check it.";

type Tried = { readonly ok: true; readonly card: CardStanding } | { readonly ok: false; readonly why: string };

/** Looks for a gift card. Codes can be guessed, so each try counts until it turns out to be one. */
async function findCard(request: Request, { id }: Pick<Shop, "id">, given: string): Promise<Tried> {
  const code = plainCard(given);
  if (code === "") return { ok: false, why: "Please write the code of the card." };
  const name = `gift-card:${id}:${placeOf(request.ip ?? "")}`;
  const wait = await countTry(name, FREE_TRIES);
  if (wait > 0) return { ok: false, why: `Too many codes were tried. Please wait ${waitWords(wait)} and try again.` };
  const card = isCardCode(code) ? await giftCardWith(id, code) : undefined;
  if (!card) return { ok: false, why: NO_SUCH };
  await takeBack(name);
  return { ok: true, card };
}

/** Looks for a gift card that is to pay. What was made to try the shop out pays for nothing real. */
export async function tryCard(
  request: Request,
  shop: Pick<Shop, "id" | "currency">,
  given: string,
  isTest: boolean,
): Promise<Tried> {
  const found = await findCard(request, shop, given);
  if (!found.ok) return found;
  const why = cardProblem(found.card, Date.now(), shop.currency);
  if (why) return { ok: false, why };
  return found.card.isTest === isTest ? found : { ok: false, why: NO_SUCH };
}

const pictures = new LRUCache<string, Promise<Buffer>>({ max: 200 });

/** What is left on gift cards, and their pictures for letters. */
export function giftCards(): Router {
  const router = express.Router();
  const show = async (request: Request, response: Response, status: number, seen: GiftCardSeen) => {
    const content = await contentFor(response);
    if (!content || !takesCards(sellingOf(content.draft.documents), content.goods)) return false;
    tellNobody(response);
    response.setHeader("X-Robots-Tag", "noindex");
    const page = await drawnFor(request, response, status, { page: "gift-card", ...seen }, content);
    send(request, response, page, "no-store");
    return true;
  };
  router.get(GIFT_CARD, async (request, response, next) => {
    if (!(await show(request, response, 200, {}))) next();
  });
  const form = express.urlencoded({ extended: false, limit: "2kb" });
  router.post(GIFT_CARD, form, guarded("gift-cards", MOST_PER_MINUTE), async (request, response, next) => {
    const { code } = (request.body ?? {}) as { code?: unknown };
    const asked = typeof code === "string" ? code.slice(0, 80) : "";
    const found = await findCard(request, shopOf(response), asked);
    const shown = found.ok
      ? await show(request, response, 200, { card: found.card })
      : await show(request, response, 422, { asked, problem: found.why });
    if (!shown) next();
  });
  router.get("/gift-cards/:file", async (request, response, next) => {
    const [, name = ""] = /^([a-z]{1,20})\.png$/.exec(String(request.params.file)) ?? [];
    const content = isCardDesign(name) ? await contentFor(response) : undefined;
    if (!content || !isCardDesign(name)) return next();
    const svg = cardSvg(name, content.draft.look);
    let png = pictures.get(svg);
    if (!png) pictures.set(svg, (png = sharp(Buffer.from(svg)).png().toBuffer()));
    response.setHeader("Cache-Control", "public, max-age=3600");
    response.type("image/png").send(await png);
  });
  return router;
}
