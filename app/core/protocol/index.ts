import { z } from "zod";
import { documentSchema, MOST_DOCUMENTS, reworkSchema } from "../schema";
import type { Draft } from "../document";
import { goodsChange, type StoredProduct } from "../goods";
import { mailChange, messagesAsked, type Messages, type People } from "../mail";
import { CURRENCIES, MONEY_FORMATS } from "../money";
import { giftCardChange } from "../gift-cards";
import { orderChange } from "../orders";
import { LONGEST_TAG, MOST_TAGS, type Picture } from "../pictures";
import { mapSchema, placeSchema, pointSchema, REACH_NAMES } from "../map";
import { isTimeZone } from "../situation";
import {
  askedSchema,
  askSchema,
  behindSchema,
  leaveSchema,
  newsSchema,
  sendSchema,
  storedSchema,
  tabName,
  versionsSchema,
} from "../keeping";

/**
 * One thing that the studio asks the server. Both sides read request and answer with these schemas: the studio's client
 * (`studio/client`) and the route.
 *
 * What the status of an answer says is the same everywhere: 200 done · 401 signed out · 404 the thing is gone · 409 others
 * were faster, nothing was stored · 422 (and 400, 413) this can't be done, with a reason and the place it is about · all else: try
 * again later.
 */
export type Endpoint<Input, Answer> = {
  readonly method: "GET" | "POST";
  /** Below the shop's own address in the studio. */
  readonly path: string;
  readonly input: z.ZodType<Input>;
  readonly answer: z.ZodType<Answer>;
};

const endpoint = <Input, Answer>(it: Endpoint<Input, Answer>): Endpoint<Input, Answer> => it;

/** What is wrong with a request, by where it was given; an empty path is about the whole. */
export const problemSchema = z.object({ path: z.string(), why: z.string() });
export type Problem = z.infer<typeof problemSchema>;
/** The body of every answer that says no. */
export const refusalSchema = z.object({
  why: z.string().optional(),
  problems: z.array(problemSchema).optional(),
});

const id = z.string().min(1).max(40);
const done = z.object({ ok: z.literal(true) });

// Changes of the draft

export const sendChanges = endpoint({ method: "POST", path: "keep", input: sendSchema, answer: storedSchema });
export const askForChanges = endpoint({ method: "POST", path: "keep", input: askSchema, answer: askedSchema });
export const sayLeave = endpoint({ method: "POST", path: "keep", input: leaveSchema, answer: done });
export const newsInput = z.object({
  since: z.coerce.number().int().min(0),
  tab: tabName,
  place: z.string().max(40).catch(""),
});
export const askForNews = endpoint({ method: "GET", path: "keep", input: newsInput, answer: newsSchema });
export { behindSchema };

// Publishing

/** `part`: the part of the shop that it is about, which can go out without the others. */
const change = z.object({ where: z.string(), what: z.string(), part: z.string() });
export const pendingSchema = z.object({
  first: z.boolean(),
  seq: z.number().int(),
  changes: z.array(change),
  blocked: z.string().optional(),
});
export type Pending = z.infer<typeof pendingSchema>;
export const askForPending = endpoint({
  method: "GET",
  path: "publish",
  input: z.object({}),
  answer: pendingSchema,
});
/** 409: the draft has changed since its changes were read out. */
export const publishDraft = endpoint({
  method: "POST",
  path: "publish",
  /** `parts`: those that go out; absent: all of them. */
  input: z.strictObject({
    seq: z.number().int().min(0),
    parts: z
      .array(z.string().max(40))
      .min(1)
      .max(MOST_DOCUMENTS + 1)
      .optional(),
  }),
  /** `number`: of the publication; null where there was nothing to publish. */
  answer: z.object({ number: z.number().int().nullable() }),
});

// Publishing at a set time

/** Date and time as clocks in the shop's own zone show them: "2026-12-04T09:00". */
const clock = z.string().max(16);
const planSchema = z.object({
  id,
  /** `back`: what went out goes back to what it was before. */
  what: z.enum(["publish", "back"]),
  /** ISO 8601. */
  at: z.string(),
  back: z.string().nullable(),
  /** What goes out, by name. */
  parts: z.array(z.string()),
  state: z.enum(["waiting", "done", "failed"]),
  why: z.string().nullable(),
});
export type PublicationPlan = z.infer<typeof planSchema>;
const plansAnswer = z.object({ plans: z.array(planSchema) });
export const listPlans = endpoint({ method: "GET", path: "plans", input: z.object({}), answer: plansAnswer });
/** 409: the draft has changed since its changes were read out. 422: a problem at `at` or `back`. */
export const planPublishing = endpoint({
  method: "POST",
  path: "plans",
  input: z.strictObject({
    what: z.literal("plan"),
    seq: z.number().int().min(0),
    parts: z
      .array(z.string().max(40))
      .min(1)
      .max(MOST_DOCUMENTS + 1)
      .optional(),
    at: clock,
    /** When it goes back to what it was before; absent: it stays. */
    back: clock.optional(),
  }),
  answer: plansAnswer,
});
export const dropPlanned = endpoint({
  method: "POST",
  path: "plans",
  input: z.strictObject({ what: z.literal("drop"), id }),
  answer: plansAnswer,
});

// What a shop counts in

export const moneyAndTime = endpoint({
  method: "POST",
  path: "money",
  input: z.strictObject({
    currency: z.enum(CURRENCIES, "Choose a currency."),
    moneyFormat: z.enum(MONEY_FORMATS, "Choose how prices are written."),
    timeZone: z.string().max(60).refine(isTimeZone, "Choose a time zone."),
  }),
  answer: done,
});

// Looking at the draft on another device

/** `links`: how many are good. */
const draftLinks = z.object({ links: z.number().int() });
export const countLinks = endpoint({ method: "GET", path: "draft-link", input: z.object({}), answer: draftLinks });
/** `to`: the address of the page to begin with, below the shop's own. `until`: ISO 8601. */
export const makeLink = endpoint({
  method: "POST",
  path: "draft-link",
  input: z.strictObject({ what: z.literal("make"), to: z.string().max(300).startsWith("/") }),
  answer: draftLinks.extend({ address: z.string(), until: z.string() }),
});
export const endLinks = endpoint({
  method: "POST",
  path: "draft-link",
  input: z.strictObject({ what: z.literal("end") }),
  answer: draftLinks,
});

/** What was published before, latest first. */
export const listPublications = endpoint({
  method: "GET",
  path: "publications",
  input: z.strictObject({}),
  answer: z.object({
    publications: z.array(
      z.object({
        number: z.number().int(),
        /** ISO 8601. */
        at: z.string(),
        /** How much it changed. */
        changes: z.number().int(),
      }),
    ),
  }),
});
const wholeDraft = z.custom<Draft>((draft) => typeof draft === "object" && draft !== null && "look" in draft);
/** One publication, with the look and all pages of the shop as they were then. */
export const readPublication = endpoint({
  method: "GET",
  path: "publications",
  input: z.strictObject({ number: z.coerce.number().int().min(1) }),
  answer: z.object({ draft: wholeDraft }),
});

// What has changed of the shop besides its draft

export const askForShop = endpoint({
  method: "GET",
  path: "changed",
  input: z.object({
    goods: z.coerce.number().int().min(0),
    pictures: z.coerce.number().int().min(0),
    /** Empty where nothing was published. */
    publication: z.string().max(40),
  }),
  answer: z.object({
    versions: versionsSchema,
    goods: z.object({ isWhole: z.boolean(), text: z.string(), gone: z.array(z.string()) }).optional(),
    pictures: z.custom<readonly Picture[]>((list) => Array.isArray(list)).optional(),
    published: wholeDraft.optional(),
  }),
});
export const describePicture = endpoint({
  method: "POST",
  path: "picture",
  input: z.strictObject({
    id,
    alt: z.string().trim().max(300, "That is longer than 300 characters."),
    focusX: z.number().int().min(0).max(100),
    focusY: z.number().int().min(0).max(100),
  }),
  answer: done,
});

const tag = z.string().trim().min(1, "Write the tag.").max(LONGEST_TAG, `A tag can have ${LONGEST_TAG} letters.`);
/** Gives pictures tags, and takes others from them. */
export const tagPictures = endpoint({
  method: "POST",
  path: "picture/tags",
  input: z.strictObject({
    ids: z.array(id).min(1).max(200),
    add: z.array(tag).max(MOST_TAGS),
    take: z.array(tag).max(MOST_TAGS),
  }),
  answer: done,
});

/** As many scenes of the stock room are taken at once. */
export const MOST_TAKEN = 40;

/** Takes scenes of the stock room into the shop's pictures; gives the pictures' ids in their order. */
export const takeStock = endpoint({
  method: "POST",
  path: "picture/stock",
  input: z.strictObject({ names: z.array(z.string().max(60)).min(1).max(MOST_TAKEN) }),
  answer: z.object({ ids: z.array(z.string()) }),
});

/** What was done to a picture in the studio; null where it was uploaded. */
export const readRework = endpoint({
  method: "GET",
  path: "picture/rework",
  input: z.strictObject({ id }),
  answer: z.object({ rework: reworkSchema.nullable() }),
});

/** Places of the world by their name, the largest first. */
export const findPlaces = endpoint({
  method: "GET",
  path: "places",
  input: z.strictObject({ named: z.string().min(1).max(80) }),
  answer: z.object({ places: z.array(placeSchema) }),
});

/** A map of where a point is. */
export const drawMap = endpoint({
  method: "POST",
  path: "places/map",
  input: z.strictObject({ ...pointSchema.shape, reach: z.enum(REACH_NAMES), place: z.string().max(160) }),
  answer: z.object({ map: mapSchema }),
});

const kept = z.object({ file: z.string(), name: z.string(), bytes: z.number(), since: z.string() });
/** A film or a document of the shop: the name under which it is served, what its file was called, its size, and when it came (ISO 8601). */
export type KeptFile = z.infer<typeof kept>;

/** The films and documents of the shop, the newest first. */
export const readFiles = endpoint({
  method: "GET",
  path: "film",
  input: z.strictObject({}),
  answer: z.object({ films: z.array(kept), documents: z.array(kept) }),
});

/** Takes a film or a document out of the list, or brings it back. What is published shows it until the next publication. */
export const removeFile = endpoint({
  method: "POST",
  path: "film/remove",
  input: z.strictObject({ file: z.string().max(80), restore: z.boolean() }),
  answer: done,
});

/** Takes pictures out of the library, or brings back what was removed. */
export const removePictures = endpoint({
  method: "POST",
  path: "picture/remove",
  input: z.strictObject({ ids: z.array(id).min(1).max(200), restore: z.boolean() }),
  answer: done,
});

// Versions of pages

export const versionHead = z.object({
  id,
  name: z.string(),
  /** The number of the publication that made it; null for one that was asked for. */
  publication: z.number().int().nullable(),
  /** ISO 8601. */
  at: z.string(),
});
export type VersionHead = z.infer<typeof versionHead>;
export const listVersions = endpoint({
  method: "GET",
  path: "versions",
  input: z.strictObject({ page: id }),
  answer: z.object({ versions: z.array(versionHead) }),
});
export const readVersion = endpoint({
  method: "GET",
  path: "versions",
  input: z.strictObject({ id }),
  /** `published`: the whole shop as it was then, of a version that a publication made. */
  answer: z.object({ document: documentSchema, published: wholeDraft.optional() }),
});
export const keepVersion = endpoint({
  method: "POST",
  path: "versions",
  input: z.strictObject({
    part: id,
    name: z.string().trim().min(1, "Give the version a name, so that you find it again.").max(80),
  }),
  answer: z.object({ version: versionHead }),
});
export const removeVersion = endpoint({
  method: "POST",
  path: "versions",
  input: z.strictObject({ remove: id }),
  answer: z.object({ removed: z.boolean() }),
});

// Goods

/** 409: somebody else has changed it since. */
export const changeGoods = endpoint({
  method: "POST",
  path: "goods/change",
  input: goodsChange,
  answer: z.object({
    id: z.string().optional(),
    count: z.number().optional(),
    /** The words of the step that was taken back or done again; null where there was none. */
    label: z.string().nullable().optional(),
    product: z.custom<StoredProduct>((p) => typeof p === "object" && p !== null && "id" in p).optional(),
  }),
});

// Mail: what forms bring, lists and letters

const anObject = <T>() => z.custom<T>((value) => typeof value === "object" && value !== null);

export const readMessages = endpoint({
  method: "GET",
  path: "mail/messages",
  input: messagesAsked,
  answer: anObject<Messages>(),
});
export const readPeople = endpoint({
  method: "GET",
  path: "mail/people",
  input: z.strictObject({ list: z.string().max(60) }),
  answer: anObject<People>(),
});
export const changeMail = endpoint({
  method: "POST",
  path: "mail/change",
  input: mailChange,
  answer: z.object({ ok: z.literal(true), id: z.string().optional(), version: z.number().int().optional() }),
});

/** Changes an order. 409: it has changed since it was looked at. */
export const changeOrders = endpoint({
  method: "POST",
  path: "orders/change",
  input: orderChange,
  answer: z.object({ ok: z.literal(true), count: z.number().int().optional() }),
});

/** Makes a gift card by hand, or ends one. `code`: of the card that was made. */
export const changeGiftCards = endpoint({
  method: "POST",
  path: "gift-cards/change",
  input: giftCardChange,
  answer: z.object({ ok: z.literal(true), code: z.string().optional() }),
});
