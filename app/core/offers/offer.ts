import { z } from "zod";
import { conditionsSchema, type Condition } from "../conditions";
import { listerOf, type Draft, type PageDocument } from "../document";

// An offer is a document of the draft: its name is the title, when it holds are the conditions of its root, and the root says what it
// gives. So it is undone, kept, published and gone back to like everything else of a shop.

/** Goods that an offer is for; none named: all of them. */
export type OfferGoods = { readonly products: readonly string[]; readonly collections: readonly string[] };

/** How many pieces it takes, and what is taken off then, in hundredths of a percent. */
export type Step = { readonly from: number; readonly off: number };

/**
 * What an offer gives. `off`: hundredths of a percent. Amounts in minor units of the shop's currency.
 * - `percent`, `amount`: off the goods together, off each piece, or off the cheapest piece.
 * - `price`: each piece costs that, where it would cost more.
 * - `steps`: the more pieces, the more percent off all of them.
 * - `bundle`: of each `take` pieces only `pay` are paid, the cheapest are free.
 * - `gift`: goods that are given with it.
 * - `delivery`: delivery costs nothing, or so much less.
 */
export type Gives =
  | { readonly sort: "percent"; readonly off: number; readonly on: "all" | "cheapest" }
  | { readonly sort: "amount"; readonly amount: number; readonly on: "all" | "each" | "cheapest" }
  | { readonly sort: "price"; readonly price: number }
  | { readonly sort: "steps"; readonly steps: readonly Step[] }
  | { readonly sort: "bundle"; readonly take: number; readonly pay: number }
  | { readonly sort: "gift"; readonly product: string; readonly variant: string | null; readonly count: number }
  | { readonly sort: "delivery"; readonly off: number | null; readonly amount: number | null };

export type Offer = {
  readonly id: string;
  readonly name: string;
  readonly gives: Gives;
  readonly goods: OfferGoods;
  /** With which a shopper asks for it; empty: it applies by itself. */
  readonly code: string;
  /** What the goods it is for have to be worth at least, before any discount; 0: nothing. */
  readonly fromWorth: number;
  /** How many pieces of them there have to be at least. */
  readonly fromCount: number;
  /** Whether it goes together with other offers on goods, and with those that give gifts or delivery. */
  readonly withGoods: boolean;
  readonly withRest: boolean;
  /** How often it can be had in all, and by one shopper; 0: as often as anybody likes. */
  readonly mostUses: number;
  readonly mostEach: number;
  /** It is not offered at all. */
  readonly isOff: boolean;
  readonly conditions: readonly Condition[];
};

/** What an offer did, month by month ("2026-12"): orders, what it took off, what those orders came to. Amounts in minor units. */
export type OfferUses = {
  readonly offer: string;
  readonly months: readonly {
    readonly month: string;
    readonly orders: number;
    readonly off: number;
    readonly total: number;
  }[];
};

/** The longest name and code of an offer, and the most that one shop has. */
export const LONGEST_OFFER_NAME = 80;
export const LONGEST_CODE = 30;
export const MOST_OFFERS = 200;
export const MOST_STEPS = 8;
const MOST_PIECES = 99;

/** What a link says before a code that it brings along: `?offer=KITE15`. */
export const CODE_KEY = "offer";

/** A code as it is compared: capitals, without blanks. */
export const plainCode = (code: string): string => code.replace(/\s+/g, "").toUpperCase();

const percent = z
  .number()
  .int("Two decimals at most.")
  .min(1, "Give more than nothing.")
  .max(10_000, "No more than 100 % can be taken off.");
const amount = z.number().int().min(1, "Give more than nothing.").max(1e12, "That is too much.");
const pieces = z.number().int("Write a whole number.").max(MOST_PIECES, `${MOST_PIECES} pieces at most.`);

const gives = z.discriminatedUnion("sort", [
  z.strictObject({ sort: z.literal("percent"), off: percent, on: z.enum(["all", "cheapest"]) }),
  z.strictObject({ sort: z.literal("amount"), amount, on: z.enum(["all", "each", "cheapest"]) }),
  z.strictObject({ sort: z.literal("price"), price: amount }),
  z.strictObject({
    sort: z.literal("steps"),
    steps: z
      .array(z.strictObject({ from: pieces.min(1, "A step begins with one piece at least."), off: percent }))
      .min(1, "Say at least one step.")
      .max(MOST_STEPS, `There can be ${MOST_STEPS} steps.`)
      .refine(
        (all) => all.every((step, i) => i === 0 || step.from > all[i - 1]!.from),
        "Each step needs more pieces than the one before.",
      )
      .refine(
        (all) => all.every((step, i) => i === 0 || step.off > all[i - 1]!.off),
        "Each step has to give more than the one before.",
      ),
  }),
  z
    .strictObject({
      sort: z.literal("bundle"),
      take: pieces.min(2, "Take at least two."),
      pay: pieces.min(1, "At least one is paid."),
    })
    .refine(({ take, pay }) => pay < take, "Fewer have to be paid than are taken."),
  z.strictObject({
    sort: z.literal("gift"),
    product: z.string().min(1, "Choose what is given.").max(40),
    variant: z.string().max(40).nullable(),
    count: pieces.min(1, "Give at least one."),
  }),
  z
    .strictObject({ sort: z.literal("delivery"), off: percent.nullable(), amount: amount.nullable() })
    .refine(({ off, amount }) => (off === null) !== (amount === null), "Say how much less delivery costs."),
]);

const ids = z.array(z.string().min(1).max(40)).max(500, "Those are too many; choose collections.");

/** What the root of an offer says; what is usual is absent. `alone`: with which class of others it doesn't go together. */
export type OfferRoot = {
  readonly gives: Gives;
  readonly products?: readonly string[] | undefined;
  readonly collections?: readonly string[] | undefined;
  readonly code?: string | undefined;
  readonly fromWorth?: number | undefined;
  readonly fromCount?: number | undefined;
  readonly mostUses?: number | undefined;
  readonly mostEach?: number | undefined;
  readonly alone?: readonly ("goods" | "rest")[] | undefined;
  readonly off?: true | undefined;
};

export const offerRoot: z.ZodType<OfferRoot> = z.strictObject({
  gives,
  products: ids.optional(),
  collections: ids.optional(),
  code: z
    .string()
    .refine((code) => code === plainCode(code), "Codes are kept in capitals.")
    .refine((code) => /^[\p{L}\d-]*$/u.test(code), "A code has letters, digits and “-”.")
    .refine((code) => code === "" || code.length >= 3, "A code has three letters at least.")
    .refine((code) => code.length <= LONGEST_CODE, `A code has ${LONGEST_CODE} letters at most.`)
    .optional(),
  fromWorth: z.number().int().min(0).max(1e12, "That is too much.").optional(),
  fromCount: z.number().int("Write a whole number.").min(0).max(9_999, "Those are too many.").optional(),
  mostUses: z.number().int("Write a whole number.").min(1, "Once at least.").max(1e6, "That is too often.").optional(),
  mostEach: z.number().int("Write a whole number.").min(1, "Once at least.").max(999, "That is too often.").optional(),
  alone: z
    .array(z.enum(["goods", "rest"]))
    .max(2)
    .optional(),
  off: z.literal(true).optional(),
});
const read = new WeakMap<PageDocument, Offer | null>();

function offerIn({ id, title, root }: PageDocument): Offer | null {
  const props = offerRoot.safeParse(root.props);
  // What asks for nothing holds for everybody: whom an offer is for has to be understood, or it is for nobody.
  const conditions = conditionsSchema.safeParse(root.conditions);
  if (!props.success || !conditions.success) return null;
  const { gives, alone = [], ...said } = props.data;
  return {
    id,
    name: title,
    gives,
    goods: { products: said.products ?? [], collections: said.collections ?? [] },
    code: said.code ?? "",
    fromWorth: said.fromWorth ?? 0,
    fromCount: said.fromCount ?? 0,
    mostUses: said.mostUses ?? 0,
    mostEach: said.mostEach ?? 0,
    withGoods: !alone.includes("goods"),
    withRest: !alone.includes("rest"),
    isOff: said.off ?? false,
    conditions: conditions.data,
  };
}

/** The offer in a document; undefined where it is none, or one that can't be read: that gives nothing. */
export function offerOf(document: PageDocument | undefined): Offer | undefined {
  if (document?.kind !== "offer") return undefined;
  let offer = read.get(document);
  if (offer === undefined) {
    offer = offerIn(document);
    read.set(document, offer);
  }
  return offer ?? undefined;
}

// “Sale 2” comes before “Sale 10”.
const byName = new Intl.Collator("en", { numeric: true });

/** All offers of a shop, by name; the same list for as long as none of them changes. */
export const offersOf = listerOf(offerOf, (a, b) => byName.compare(a.name, b.name) || (a.id < b.id ? -1 : 1));

/** Whether an offer is about goods, and not about delivery or a gift. */
export const isOnGoods = ({ gives: { sort } }: Pick<Offer, "gives">): boolean => sort !== "gift" && sort !== "delivery";

/** The offer that a code asks for, as a shopper typed it; undefined where there is none. */
export function offerWithCode(documents: Draft["documents"], code: string): Offer | undefined {
  const plain = plainCode(code);
  return plain === "" ? undefined : offersOf(documents).find((offer) => offer.code === plain);
}

/** Why an offer can't be like that beside the others; undefined where it can: two have the same code. */
export function codeProblem(documents: Draft["documents"], id: string, code: string): string | undefined {
  const other = code === "" ? undefined : offersOf(documents).find((o) => o.code === code && o.id !== id);
  return other && `“${other.name}” has this code already.`;
}
