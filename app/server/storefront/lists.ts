import express, { type Request, type Response, type Router } from "express";
import { z } from "zod";
import { walk } from "~/core/document";
import { NEWS } from "~/core/mail";
import { renderLetter, type ShopContent } from "~/render";
import { within } from "../limits/index.server";
import { confirm, join, leave, whoHas } from "../mail/index.server";
import { send as sendMail } from "../outbox/index.server";
import { shopById, type Shop } from "../shops/index.server";
import { contentFor, drawnFor } from "./draft";
import { contentOf, messagePage } from "./pages";
import { fromHere, originOf, perMinute, send, shopOf, tellNobody } from "./sending";
import { noteSubscribed } from "./visitors";

/** At most this many sign-ups, and answers to letters, from one place in a minute. */
const MOST_PER_MINUTE = 20;
/** Sign-ups of one shop in an hour: letters of thanks go to addresses that anybody can have written. */
const MOST_PER_HOUR = 500;

const signUpSchema = z.object({
  address: z.string().trim().toLowerCase().max(254).pipe(z.email()),
  list: z.string().trim().max(60).default(""),
});

const NOT_AN_ADDRESS = { title: "That is not a mail address", text: "Please go back and check what you wrote." };
const LINK_IS_OLD = {
  title: "This link no longer works",
  text: "You may have used it before. Sign up once more to get a new one.",
};

/** The lists that sign-ups of a shop name; what else is asked for is the usual one. */
const known = (content: ShopContent, list: string): string => (list !== "" && namesIn(content).has(list) ? list : NEWS);

/** The lists of a shop that shoppers can sign up for. */
export const listsIn = (content: ShopContent): readonly string[] => [...namesIn(content)];

const named = new WeakMap<ShopContent["draft"]["documents"], ReadonlySet<string>>();
function namesIn({ draft: { documents } }: ShopContent): ReadonlySet<string> {
  let names = named.get(documents);
  if (!names) {
    const all = new Set<string>();
    for (const document of Object.values(documents))
      for (const part of walk(document.root)) if (typeof part.props.list === "string") all.add(part.props.list || NEWS);
    named.set(documents, (names = all));
  }
  return names;
}

/**
 * Puts somebody on a list of a shop, and asks them by mail whether it was them where the shop does that. Whether they were on
 * it before is nobody else's business: the answer is the same.
 * @returns what to tell them
 */
export async function joinList(
  shop: Shop,
  content: ShopContent,
  origin: string,
  { list, address, page }: { readonly list: string; readonly address: string; readonly page: string },
): Promise<string> {
  const name = content.draft.look.identity.name;
  const { then, token, asks } = await join(shop.id, list, address, page);
  if (then === "ask") {
    const link = `${origin}/lists/yes/${token}`;
    const subject = `Is this you? ${name} asks before it writes to you`;
    const { html, text } = renderLetter(
      {
        subject,
        blocks: [
          { sort: "heading", text: "One press, and you are on the list" },
          {
            sort: "words",
            text: `Somebody, probably you, signed up for “${list}” at ${name} with this address.`,
          },
          { sort: "button", label: "Yes, put me on the list", link: { to: "web", address: link } },
          { sort: "words", text: "If it was not you, there is nothing to do: you will not hear from us again." },
        ],
        because: `This letter was sent because this address was given at ${name}.`,
      },
      content,
      origin,
    );
    await sendMail({ to: address, from: name, subject, html, text });
  }
  return asks ? "We have sent you a letter. Press the button in it, and you are on the list." : "You are on the list.";
}

/** Signing up, saying yes in a letter, and leaving. */
export function lists(): Router {
  const router = express.Router();
  const form = express.urlencoded({ extended: false, limit: "4kb" });
  const mayPost = perMinute("sign-up", MOST_PER_MINUTE);
  const page = async (
    request: Request,
    response: Response,
    status: number,
    message: { title: string; text: string; press?: { action: string; label: string } },
  ) => {
    const content = await contentFor(response);
    if (!content) return void response.status(404).end();
    tellNobody(response);
    send(
      request,
      response,
      await drawnFor(request, response, status, { page: "message", ...message }, content),
      "no-store",
    );
  };

  router.post("/sign-up", form, async (request, response) => {
    const shop = shopOf(response);
    const wantsJson = request.accepts(["html", "json"]) === "json";
    const answer = async (status: number, said: { title: string; text: string }) => {
      if (wantsJson)
        return void response
          .status(status)
          .json({ ok: status === 200, text: status === 200 ? said.text : `${said.title}. ${said.text}` });
      const answered = await messagePage(shop, said.title, said.text, status, originOf(response));
      if (answered) send(request, response, answered, "no-store");
      else response.status(404).end();
    };
    if (!fromHere(request, response))
      return answer(403, { title: "That came from another site", text: "Please sign up on this shop’s own page." });
    if (!(await mayPost(request, response)))
      return answer(429, { title: "That was a little too often", text: "Please try again in a minute." });
    const input = signUpSchema.safeParse(request.body ?? {});
    const content = await contentFor(response);
    if (!input.success || !content) return answer(422, NOT_AN_ADDRESS);
    if (!(await within(`sign-ups:${shop.id}`, MOST_PER_HOUR, 3600)))
      return answer(429, { title: "Too many are signing up just now", text: "Please try again in an hour." });
    const { address, list } = input.data;
    const text = await joinList(shop, content, originOf(response), {
      list: known(content, list),
      address,
      page: pathIn(request, originOf(response)),
    });
    noteSubscribed(response, true);
    return answer(200, { title: "Thank you", text });
  });

  // Programs that look at mail open its links: what a link does, it does after a press.
  router.get("/lists/yes/:token", async (request, response) => {
    const who = await whoHas(shopOf(response).id, String(request.params.token));
    if (!who || who.state === "off") return page(request, response, 404, LINK_IS_OLD);
    if (who.state === "on")
      return page(request, response, 200, {
        title: "You are on the list",
        text: `You get what goes to “${who.list}”.`,
      });
    return page(request, response, 200, {
      title: "Is this you?",
      text: `Press the button, and ${who.address} is on the list “${who.list}”.`,
      press: { action: request.path, label: "Yes, put me on the list" },
    });
  });
  router.post("/lists/yes/:token", async (request, response) => {
    const token = String(request.params.token);
    if (!fromHere(request, response) || !(await mayPost(request, response)))
      return page(request, response, 403, {
        title: "That can’t be done",
        text: "Please open the link in the letter again.",
      });
    await confirm(shopOf(response).id, token);
    noteSubscribed(response, true);
    response.redirect(303, `${originOf(response)}/lists/yes/${encodeURIComponent(token)}`);
  });
  const letterOf = (request: Request) => {
    const { letter } = request.query;
    return typeof letter === "string" && /^\w{1,40}$/.test(letter) ? letter : undefined;
  };
  router.get("/lists/leave/:token", async (request, response) => {
    const who = await whoHas(shopOf(response).id, String(request.params.token));
    if (!who) return page(request, response, 404, LINK_IS_OLD);
    if (who.state === "off")
      return page(request, response, 200, {
        title: "You have left the list",
        text: `No more of “${who.list}” goes to ${who.address}.`,
      });
    const letter = letterOf(request);
    return page(request, response, 200, {
      title: "Leave the list?",
      text: `${who.address} then gets no more letters of “${who.list}”.`,
      press: { action: request.path + (letter ? `?letter=${letter}` : ""), label: "Leave the list" },
    });
  });
  // Mail programs do this by themselves when somebody presses their own button (RFC 8058); they come from elsewhere.
  router.post("/lists/leave/:token", async (request, response) => {
    const token = String(request.params.token);
    if (!(await mayPost(request, response)))
      return page(request, response, 429, {
        title: "That was a little too often",
        text: "Please try again in a minute.",
      });
    await leave(shopOf(response).id, token, letterOf(request));
    noteSubscribed(response, false);
    response.redirect(303, `${originOf(response)}/lists/leave/${encodeURIComponent(token)}`);
  });
  return router;
}

/** The path of the page that something was sent from, as browsers say. */
const pathIn = ({ headers: { referer = "" } }: Request, origin: string): string =>
  referer.startsWith(`${origin}/`) ? referer.slice(origin.length).split("?")[0]! : "";

/** What the letters of a shop are drawn from; undefined while nothing of it is published. */
export async function letterContent(
  shopId: string,
): Promise<{ readonly shop: Shop; readonly content: ShopContent } | undefined> {
  const shop = await shopById(shopId);
  const content = shop && (await contentOf(shop));
  return content && { shop, content };
}
