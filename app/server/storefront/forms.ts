import express, { type Request, type Response, type Router } from "express";
import { walk, type Draft, type PageDocument, type Part } from "~/core/document";
import { pageAddress } from "~/core/addresses";
import { answersIn, nameOfField, type FormField, type Given } from "~/core/form";
import { looksLikeSpam } from "~/core/mail";
import { dayOf } from "~/core/situation";
import { fieldsOf, FORM, formProps, listsOf, nameOfForm, type FormPlace } from "~/kinds/forms";
import { unreadable } from "~/kinds/readable";
import { targetName, wayOf, type ShopContent, type Target } from "~/render";
import { situationNow } from "../goods/index.server";
import { formIn } from "../http/form.server";
import { within } from "../limits/index.server";
import { hasRoomFor, sortOfFile, takeEntry } from "../mail/index.server";
import { contentFor, drawnFor } from "./draft";
import { joinList } from "./lists";
import { messagePage, targetOf } from "./pages";
import { fromHere, originOf, perMinute, send, shopOf, type Locals } from "./sending";

/** Forms that may be sent from one place in a minute, and of one form from everywhere in an hour. */
const MOST_PER_MINUTE = 8;
const MOST_PER_HOUR = 300;
/** The largest that is read of what is sent. */
const MOST_BYTES = "30mb";

type Found = { readonly form: Part; readonly document: PageDocument };

const known = new WeakMap<Draft["documents"], ReadonlyMap<string, Found>>();

/** The forms of a shop that are shown on some page, by id. */
function formsOf(documents: Draft["documents"]): ReadonlyMap<string, Found> {
  let found = known.get(documents);
  if (!found) {
    const all = new Map<string, Found>();
    for (const document of Object.values(documents))
      for (const part of walk(document.root))
        if (part.kind === FORM && part.shown && unreadable(part) === undefined)
          all.set(part.id, { form: part, document });
    known.set(documents, (found = all));
  }
  return found;
}

/** What was sent, by the id of its field. */
type Received = {
  readonly given: ReadonlyMap<string, Given>;
  readonly files: ReadonlyMap<string, Buffer>;
  readonly blank: string;
  readonly took: number | undefined;
};

async function received(form: FormData, fields: readonly FormField[]): Promise<Received> {
  const given = new Map<string, Given>();
  const files = new Map<string, Buffer>();
  for (const { id, sort } of fields) {
    const came = form.getAll(nameOfField(id));
    const file = sort === "file" ? came.find((each): each is File => each instanceof File && each.size > 0) : undefined;
    if (file) {
      const bytes = Buffer.from(await file.arrayBuffer());
      files.set(id, bytes);
      given.set(id, { texts: [], file: { name: file.name, bytes: bytes.length, is: sortOfFile(bytes) } });
    } else given.set(id, { texts: came.filter((each) => typeof each === "string") });
  }
  const text = (name: string) => {
    const value = form.get(name);
    return typeof value === "string" ? value : "";
  };
  const took = text("took");
  return { given, files, blank: text(nameOfField("blank")), took: /^\d{1,12}$/.test(took) ? Number(took) : undefined };
}

/** The page that a form was sent from, as browsers say; else the one in which it stands. */
function placeOf(request: Request, response: Response, content: ShopContent, { document }: Found): Target {
  const { referer = "" } = request.headers;
  const origin = originOf(response);
  const said = referer.startsWith(`${origin}/`) ? targetOf(referer.slice(origin.length), content).target : undefined;
  if (said && said.page !== "not-found") return said;
  return targetOf(pageAddress(content.draft.documents, document.id) ?? "/", content).target;
}

/** What a shopper is told once it has arrived, and what comes with it. */
function thanksOf({ form }: Found, content: ShopContent) {
  const { after, thanks, thanksText, code, afterLink, afterLabel } = formProps(form);
  const way = after === "page" || after === "file" ? wayOf(afterLink, content) : undefined;
  return {
    title: thanks,
    text: thanksText,
    ...(after === "code" && code ? { code } : {}),
    ...(way
      ? {
          way: {
            address: way.address,
            label: afterLabel || (after === "file" ? "Take the file" : way.title) || "Go on",
          },
        }
      : {}),
  };
}

/** Takes what shoppers send with the forms of a shop. */
export function forms(): Router {
  const router = express.Router();
  const maySend = perMinute("forms", MOST_PER_MINUTE);
  const wantsJson = (request: Request) => request.accepts(["html", "json"]) === "json";
  const say = async (request: Request, response: Response, status: number, title: string, text: string) => {
    if (wantsJson(request)) return void response.status(status).json({ ok: false, text: `${title}. ${text}` });
    const page = await messagePage(shopOf(response), title, text, status, originOf(response));
    if (page) send(request, response, page, "no-store");
    else response.status(404).end();
  };

  router.get("/forms/:id/thanks", async (request, response, next) => {
    const content = await contentFor(response);
    const found = content && formsOf(content.draft.documents).get(String(request.params.id));
    if (!content || !found) return next();
    const target: Target = { page: "message", ...thanksOf(found, content) };
    send(request, response, await drawnFor(request, response, 200, target, content), "no-store");
  });

  // What is too much is refused before it is read: by its length, and while it comes.
  const raw = express.raw({ type: () => true, limit: MOST_BYTES });
  router.post("/forms/:id", async (request, response, next) => {
    if (!fromHere(request, response))
      return say(request, response, 403, "That came from another site", "Please use this shop’s own page.");
    if (!(await maySend(request, response)))
      return say(request, response, 429, "That was a little too often", "Please try again in a minute.");
    raw(request, response, (error?: unknown) => {
      if (error && (error as { status?: number }).status === 413)
        return void say(request, response, 413, "That is too large", "Please send smaller files, or fewer.");
      next(error);
    });
  });
  router.post("/forms/:id", async (request, response, next) => {
    const shop = shopOf(response);
    const content = await contentFor(response);
    const found = content && formsOf(content.draft.documents).get(String(request.params.id));
    if (!content || !found) return next();
    const { form } = found;
    if (!(await within(`form:${shop.id}:${form.id}`, MOST_PER_HOUR, 3600)))
      return say(request, response, 429, "Too much is coming in just now", "Please try again in an hour.");
    const bytes = Buffer.isBuffer(request.body) ? request.body : Buffer.alloc(0);
    let data: FormData;
    try {
      data = await formIn(bytes, request.headers["content-type"] ?? "");
    } catch {
      return say(request, response, 400, "That can’t be read", "Please use this shop’s own page.");
    }
    const target = placeOf(request, response, content, found);
    const place: FormPlace = {
      page: targetName(target, content.draft.documents),
      product: target.page === "product" ? target.product.title : "",
    };
    const fields = fieldsOf(form, content.goods, place);
    const { given, files, blank, took } = await received(data, fields);
    const { answers, problems } = answersIn(fields, given, dayOf(situationNow(shop)).day);
    const wrong = new Map(problems);
    const sent = answers.flatMap(({ field, text }) => {
      const file = files.get(field);
      return file ? [{ field, name: text, bytes: file }] : [];
    });
    const size = sent.reduce((sum, file) => sum + file.bytes.length, 0);
    if (size && !(await hasRoomFor(shop.id, size)))
      wrong.set(sent[0]!.field, "No files can be taken just now. Please write to us instead.");
    if (answers.length === 0 && wrong.size === 0)
      return say(request, response, 422, "Nothing is filled in yet", "Please go back and write something.");
    if (wrong.size) {
      const text =
        wrong.size === 1
          ? "One thing is missing or can’t be read."
          : `${wrong.size} things are missing or can’t be read.`;
      if (wantsJson(request)) {
        const byName = Object.fromEntries([...wrong].map(([id, why]) => [nameOfField(id), why]));
        return void response.status(422).json({ ok: false, text, problems: byName });
      }
      const again = {
        form: form.id,
        problems: wrong,
        given: new Map([...given].map(([id, { texts }]) => [id, texts])),
      };
      const page = await drawnFor(request, response, 422, target, { ...content, sent: again });
      return send(request, response, page, "no-store");
    }
    const { keepDays, notify } = formProps(form);
    const isDraft = (response.locals as Locals).draftUntil !== undefined;
    const isSpam = looksLikeSpam(answers, blank, took);
    await takeEntry(shop, {
      form: form.id,
      formName: isDraft ? `${nameOfForm(form)} (draft)` : nameOfForm(form),
      page: place.page,
      answers,
      files: sent,
      isSpam,
      keepDays,
      notify,
      shopName: content.draft.look.identity.name,
    });
    const address = answers.find(({ sort }) => sort === "mail")?.text.toLowerCase();
    const ticked = [...listsOf(form)].filter(([field]) => answers.some((answer) => answer.field === field));
    if (address && !isSpam)
      for (const [, list] of ticked)
        await joinList(shop, content, originOf(response), { list, address, page: place.page });
    const { way, ...thanks } = thanksOf(found, content);
    if (wantsJson(request)) return void response.json({ ok: true, ...thanks, ...(way ? { link: way } : {}) });
    response.redirect(303, `${originOf(response)}/forms/${form.id}/thanks`);
  });
  return router;
}
