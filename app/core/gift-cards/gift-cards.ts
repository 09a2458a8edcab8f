import { z } from "zod";
import type { Minor } from "../money";

// Gift cards: money that was paid before, known by a code, and spent over as many orders as it lasts. A card pays for an order; it is no
// discount, so it changes no price and no tax (a voucher for several purposes, Directive 2006/112/EC, art. 30b, from memory).

/** Where whoever has one sees what is left on it. */
export const GIFT_CARD = "/gift-cards";

/** Letters and digits of a code. Left out is what is mistaken for something else: 0 and O, 1, I and L, 2 and Z, 5 and S, 8 and B, U and V. */
export const CARD_LETTERS = "ACDEFGHJKMNPQRTWXY3469";
/** 22^16 is about 2^71: more than can be guessed one by one. */
export const CARD_LENGTH = 16;
export const MOST_CARDS = 5;

/** A code as it is compared: as it was written, without what people put between its letters. */
export const plainCard = (code: string): string =>
  code
    .normalize("NFKC")
    .toUpperCase()
    .replace(/[^A-Z\d]/g, "")
    .slice(0, 40);

/** Whether something could be the code of a gift card, and is no coupon code. */
export const isCardCode = (code: string): boolean =>
  code.length === CARD_LENGTH && [...code].every((letter) => CARD_LETTERS.includes(letter));

/** A code as it is read aloud and typed in: in fours. */
export const writtenCard = (code: string): string => code.replace(/(.{4})(?=.)/g, "$1 ");

/** A code as it is shown to others than whoever has it: its last letters. */
export const lastOf = (code: string): string => `…${code.slice(-4)}`;

/** What is on a card. */
export type CardStanding = {
  readonly code: string;
  /** What it was worth, and what is left. */
  readonly amount: Minor;
  readonly left: Minor;
  readonly currency: string;
  /** Until when it is good, in ms since 1970; null: without an end. */
  readonly until: number | null;
  readonly isOff: boolean;
  /** It was made to try the shop out. */
  readonly isTest?: boolean;
  /** What was spent from it, or given back to it (less than nothing), the latest first. */
  readonly uses: readonly { readonly at: number; readonly amount: Minor; readonly order: number }[];
};

/** Why nothing can be paid with a card; undefined where it can. */
export function cardProblem(
  card: Pick<CardStanding, "left" | "until" | "isOff" | "currency">,
  now: number,
  currency: string,
) {
  if (card.isOff) return "This card is no longer good.";
  if (card.until !== null && card.until <= now) return "This card was good for so long only, and that time is over.";
  if (card.currency !== currency) return "This card is in another currency.";
  return card.left <= 0 ? "There is nothing left on this card." : undefined;
}

/** A card that pays, with what it can pay at most. */
export type PayingCard = { readonly code: string; readonly left: Minor };
/** What each card pays of an order. */
export type CardPart = { readonly code: string; readonly amount: Minor };

/** Pays an amount with cards, one after the other in the order in which they were given. Nothing more is taken than there is to pay. */
export function payWith(
  cards: readonly PayingCard[],
  total: Minor,
): { readonly parts: readonly CardPart[]; readonly due: Minor } {
  let due = total;
  const parts: CardPart[] = [];
  for (const { code, left } of cards) {
    const amount = Math.min(left, due);
    if (amount <= 0) continue;
    parts.push({ code, amount });
    due -= amount;
  }
  return { parts, due };
}

/** Pictures that a card can wear; each is drawn in the shop’s own colours. */
export const CARD_DESIGNS = ["plain", "birthday", "thanks", "wedding", "baby", "winter", "home", "flowers"] as const;
export type CardDesign = (typeof CARD_DESIGNS)[number];
export const CARD_DESIGN_NAMES: Readonly<Record<CardDesign, string>> = {
  plain: "For any day",
  birthday: "Birthday",
  thanks: "Thank you",
  wedding: "Wedding",
  baby: "A new child",
  winter: "Winter",
  home: "New home",
  flowers: "Get well",
};
export const LONGEST_CARD_MESSAGE = 300;

/** Whom a card that is bought is for. Empty: whoever buys it. */
export const cardFor = z.object({
  design: z.enum(CARD_DESIGNS).catch("plain"),
  /** The mail address that the card goes to. */
  to: z
    .string()
    .trim()
    .max(254)
    .transform((text) => text.toLowerCase())
    .catch(""),
  from: z.string().trim().max(80).catch(""),
  message: z.string().max(2000).catch(""),
});
export type CardFor = z.infer<typeof cardFor>;

/** What is wrong with what somebody wrote for a card, by field. */
export function cardForProblems({ to, message }: CardFor): ReadonlyMap<string, string> {
  const problems = new Map<string, string>();
  if (to !== "" && !z.email().safeParse(to).success)
    problems.set("to", "That is not a mail address. Please check it, or leave it empty and give the card yourself.");
  if ([...message].length > LONGEST_CARD_MESSAGE)
    problems.set("message", `Please keep it to ${LONGEST_CARD_MESSAGE} characters.`);
  return problems;
}

/** What somebody sees who asks what is left on a card. */
export type GiftCardSeen = {
  readonly asked?: string;
  readonly problem?: string;
  readonly card?: CardStanding;
};

// For the seller

/** A card as its seller sees it. */
export type GiftCard = Omit<CardStanding, "uses" | "isTest"> & {
  readonly id: string;
  readonly isTest: boolean;
  readonly to: string;
  readonly from: string;
  readonly at: number;
  /** The number of the order in which it was bought; null: made by hand. */
  readonly order: number | null;
};
export type GiftCards = {
  readonly cards: readonly GiftCard[];
  readonly total: number;
  readonly pages: number;
  /** What is left on all that are good: what the shop owes. */
  readonly open: readonly { readonly currency: string; readonly left: Minor }[];
};

export const giftCardsAsked = z.object({
  find: z.string().trim().max(120).catch(""),
  page: z.coerce.number().int().min(1).max(10_000).catch(1),
});
export type GiftCardsAsked = z.infer<typeof giftCardsAsked>;

export const giftCardChange = z.discriminatedUnion("do", [
  z.strictObject({
    do: z.literal("make"),
    amount: z.number().int().min(1, "Write an amount.").max(1e9, "That is too much."),
    to: z
      .string()
      .trim()
      .toLowerCase()
      .max(254)
      .refine((text) => text === "" || z.email().safeParse(text).success, "This is not a mail address."),
    from: z.string().trim().max(80, "Keep it to 80 characters."),
    message: z.string().trim().max(LONGEST_CARD_MESSAGE, `Keep it to ${LONGEST_CARD_MESSAGE} characters.`),
    design: z.enum(CARD_DESIGNS),
  }),
  z.strictObject({ do: z.literal("off"), id: z.string().min(1).max(40), isOff: z.boolean() }),
]);
export type GiftCardRequest = z.infer<typeof giftCardChange>;
