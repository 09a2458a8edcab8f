import { z } from "zod";
import { COLOUR_SETS } from "../theme";
import { entryOf, type Draft, type PageDocument } from "../document";

// Letters that a shop writes by itself: what each says is the seller's to change, and facts stand in it as {names}. What was never changed is
// said as it is here, so that a shop has good letters before anybody has looked at them.

/** The document that says what the seller changed. */
export const LETTERS = "letters";

export const SHOP_LETTERS = [
  "placed",
  "paid",
  "ready",
  "sent",
  "collected",
  "refunded",
  "cancelled",
  "link",
  "card",
  "cart",
  "tell",
  "open",
  "forgotten",
] as const;
export type ShopLetter = (typeof SHOP_LETTERS)[number];

/** Facts that words may name. */
export const LETTER_FACTS = ["shop", "name", "order", "total", "amount", "way", "product", "from"] as const;
export type LetterFact = (typeof LETTER_FACTS)[number];
export const LETTER_FACT_NAMES: Readonly<Record<LetterFact, string>> = {
  shop: "Name of the shop",
  name: "Who it goes to",
  order: "Number of the order",
  total: "What the order came to",
  amount: "The amount",
  way: "How it is delivered",
  product: "The product",
  from: "Who gives the card",
};

export type LetterWords = { readonly subject: string; readonly heading: string; readonly words: string };

type Known = LetterWords & {
  readonly name: string;
  /** When it goes out, in a sentence. */
  readonly when: string;
  readonly facts: readonly LetterFact[];
};

const OF_ORDER = ["name", "order", "total", "way", "shop"] as const;

/** Each letter as it is while nobody has changed it. */
export const KNOWN_LETTERS: Readonly<Record<ShopLetter, Known>> = {
  placed: {
    name: "Order",
    when: "At once when somebody has ordered.",
    facts: OF_ORDER,
    subject: "Your order {order} at {shop}",
    heading: "Thank you for your order",
    words: "We have received it.",
  },
  paid: {
    name: "Payment",
    when: "When you say that an order is paid.",
    facts: OF_ORDER,
    subject: "Your payment for order {order} at {shop}",
    heading: "Your payment has arrived",
    words: "",
  },
  ready: {
    name: "Ready to be collected",
    when: "When you say that an order can be collected.",
    facts: OF_ORDER,
    subject: "Your order {order} at {shop} is ready",
    heading: "Your order is ready",
    words: "You can collect it now.",
  },
  sent: {
    name: "Sent",
    when: "When you say that an order is sent.",
    facts: OF_ORDER,
    subject: "Your order {order} at {shop} is on its way",
    heading: "Your order is on its way",
    words: "We have sent it.",
  },
  collected: {
    name: "Collected",
    when: "When you say that an order was collected.",
    facts: OF_ORDER,
    subject: "You have your order {order} from {shop}",
    heading: "You have your order",
    words: "",
  },
  refunded: {
    name: "Money back",
    when: "When you give money back.",
    facts: [...OF_ORDER, "amount"],
    subject: "Money back for order {order} at {shop}",
    heading: "We have given money back",
    words: "{amount} are on their way back to you.",
  },
  cancelled: {
    name: "Cancelled",
    when: "When you cancel an order.",
    facts: OF_ORDER,
    subject: "Your order {order} at {shop} is cancelled",
    heading: "Your order is cancelled",
    words: "Nothing of it will be sent.",
  },
  link: {
    name: "New link to an order",
    when: "When somebody asks for it, as the one they have is too old.",
    facts: OF_ORDER,
    subject: "Your order {order} at {shop}",
    heading: "Here is your order",
    words: "You asked us for a new link to it.",
  },
  card: {
    name: "Gift card",
    when: "When a gift card is paid: to whom it is for, or to who bought it.",
    facts: ["from", "amount", "shop"],
    subject: "A gift card of {amount} for {shop}",
    heading: "A gift card for you",
    words: "It can be spent over as many orders as it lasts. Write its code at the checkout.",
  },
  cart: {
    name: "Cart left behind",
    when: "A day later, to whoever asked to be reminded of their cart.",
    facts: ["shop"],
    subject: "Your cart at {shop}",
    heading: "You left something here",
    words: "You asked us to remind you of it. It is as you left it.",
  },
  tell: {
    name: "It is here",
    when: "To whoever asked to be told when something can be had.",
    facts: ["product", "shop"],
    subject: "{product} can be had at {shop}",
    heading: "It is here",
    words: "You asked us to tell you when “{product}” can be had. It can now.",
  },
  open: {
    name: "New account",
    when: "To whoever wants an account.",
    facts: ["name", "shop"],
    subject: "Your account at {shop}",
    heading: "One press, and you have an account",
    words: "Somebody, probably you, wants an account with this address. Choose a password within the next hour:",
  },
  forgotten: {
    name: "Forgotten password",
    when: "To whoever asks for a new password.",
    facts: ["name", "shop"],
    subject: "A new password for {shop}",
    heading: "A new password",
    words: "Somebody, probably you, asked for a new password. Choose it within the next hour:",
  },
};

/** Names of facts that stand in words although this letter has no such fact. */
export function strangeFacts(letter: ShopLetter, text: string): readonly string[] {
  const { facts } = KNOWN_LETTERS[letter];
  const named = [...text.matchAll(/\{([^{}\n]{0,40})\}/g)].map(([, name]) => name!.trim());
  return [...new Set(named.filter((name) => !facts.some((fact) => fact === name)))];
}

const oneLine = z
  .string()
  .max(150, "Keep it to 150 characters.")
  .transform((text) => text.replace(/[\p{Cc}\u2028\u2029]+/gu, " ").trim());
const words = z.strictObject({
  subject: oneLine.refine((text) => text !== "", "Give the letter a subject."),
  heading: oneLine,
  words: z.string().max(3000, "Keep it to 3,000 characters."),
});

export const LETTER_LOGOS = ["left", "middle"] as const;

const look = z.strictObject({
  /** Where the logo stands. */
  logo: z.enum(LETTER_LOGOS).optional(),
  /** The colour set that it wears. */
  ground: z.enum(COLOUR_SETS).optional(),
  /** A picture above the words of every letter. */
  picture: z.string().max(40).nullable().optional(),
  /** What every letter ends with: who writes it, where you are. */
  closing: z.string().max(600, "Keep it to 600 characters.").optional(),
});
export type LetterLook = z.infer<typeof look>;

const eachLetter = Object.fromEntries(SHOP_LETTERS.map((letter) => [letter, words.optional()])) as Record<
  ShopLetter,
  z.ZodOptional<typeof words>
>;
export const lettersRoot = z.strictObject({ ...eachLetter, look: look.optional() }).superRefine((said, context) => {
  for (const letter of SHOP_LETTERS) {
    const own = said[letter];
    for (const key of ["subject", "heading", "words"] as const) {
      const [strange] = own ? strangeFacts(letter, own[key]) : [];
      if (strange !== undefined)
        context.addIssue({ code: "custom", path: [letter, key], message: `“{${strange}}” is no fact of this letter.` });
    }
  }
});
export type LettersRoot = z.infer<typeof lettersRoot>;

const NOTHING: LettersRoot = {};
const read = new WeakMap<PageDocument, LettersRoot>();

/** What the seller changed of the letters; of what can't be read, nothing. */
export function lettersOf(documents: Draft["documents"]): LettersRoot {
  const document = entryOf(documents, LETTERS);
  if (!document) return NOTHING;
  let said = read.get(document);
  if (!said) {
    said = lettersRoot.safeParse(document.root.props).data ?? NOTHING;
    read.set(document, said);
  }
  return said;
}

/** What a letter says, with its facts still as {names}. */
export const wordsOf = (documents: Draft["documents"], letter: ShopLetter): LetterWords =>
  lettersOf(documents)[letter] ?? KNOWN_LETTERS[letter];

export type LetterFacts = Readonly<Partial<Record<LetterFact, string>>>;

/** Words with their facts in them. A fact that is not known here is left out with the blank before it. */
export const fillFacts = (text: string, facts: LetterFacts): string =>
  text.replace(/( ?)\{([a-z]{1,20})\}/g, (_whole, blank: string, name: string) => {
    const fact = entryOf(facts as Readonly<Record<string, string>>, name);
    return fact === undefined || fact === "" ? "" : blank + fact;
  });

/** A letter's words for one who gets it. */
export function written(documents: Draft["documents"], letter: ShopLetter, facts: LetterFacts): LetterWords {
  const { subject, heading, words: text } = wordsOf(documents, letter);
  return {
    subject: fillFacts(subject, facts).replace(/[\p{Cc}\u2028\u2029]+/gu, " "),
    heading: fillFacts(heading, facts),
    words: fillFacts(text, facts),
  };
}
