import { against, type Asked } from "../conditions";
import type { Offer, OfferGoods } from "./offer";
import type { Why } from "./price";

// Offers in words, for sellers.

/** What the shop calls what offers name by an id, and how it writes money. */
export type OfferNames = {
  readonly product: (id: string) => string;
  readonly collection: (id: string) => string;
  readonly money: (amount: number) => string;
};

/** Hundredths of a percent as people write them: "12.5 %", which no line breaks apart. */
export const offWords = (hundredths: number): string => `${hundredths / 100}\u00a0%`;

const listed = (all: readonly string[]): string =>
  all.length < 2 ? (all[0] ?? "") : `${all.slice(0, -1).join(", ")} and ${all.at(-1)}`;

function goodsWords({ products, collections }: OfferGoods, names: OfferNames): string {
  const all = [...products.map(names.product), ...collections.map(names.collection)];
  const shown = all.length > 3 ? [...all.slice(0, 2), `${all.length - 2} more`] : all;
  return listed(shown);
}

/** What an offer gives, in a few words that stand by themselves: "15 % off Single-line kites". */
export function givesWords({ gives, goods }: Pick<Offer, "gives" | "goods">, names: OfferNames): string {
  const which = goodsWords(goods, names);
  const of = which ? ` ${which}` : " everything";
  switch (gives.sort) {
    case "percent":
      return gives.on === "cheapest"
        ? `${offWords(gives.off)} off the cheapest piece${which ? ` of ${which}` : ""}`
        : `${offWords(gives.off)} off${of}`;
    case "amount": {
      const off = names.money(gives.amount);
      if (gives.on === "each") return `${off} off each piece${which ? ` of ${which}` : ""}`;
      if (gives.on === "cheapest") return `${off} off the cheapest piece${which ? ` of ${which}` : ""}`;
      return `${off} off${which ? of : " the cart"}`;
    }
    case "price":
      return `${names.money(gives.price)} for each piece${which ? ` of ${which}` : ""}`;
    case "steps":
      return `${gives.steps.map((step) => `${offWords(step.off)} off from ${step.from} pieces`).join(", ")}${which ? ` of ${which}` : ""}`;
    case "bundle":
      return `Take ${gives.take}, pay ${gives.pay}${which ? `: ${which}` : ""}`;
    case "gift":
      return `${gives.count > 1 ? `${gives.count} × ` : ""}${names.product(gives.product)} as a gift${which ? ` with ${which}` : ""}`;
    case "delivery": {
      const free = gives.off === 10_000;
      const less = gives.off === null ? `${names.money(gives.amount!)} less` : `${offWords(gives.off)} less`;
      return `${free ? "Free delivery" : `Delivery costs ${less}`}${which ? ` with ${which}` : ""}`;
    }
  }
}

const CONDITION_WORDS = {
  dates: "It does not hold on this day.",
  times: "It does not hold at this hour.",
  pages: "It is for other pages.",
  goods: "It is for the pages of other goods.",
  visitor: "It is for other visitors.",
  cart: "What it asks of the cart is not so.",
  country: "It is for other countries.",
  any: "None of what it asks for is so.",
} as const;

/** Why an offer does nothing for a cart, as a sentence. `nameOf`: what another offer is called. */
export function whyWords(
  offer: Offer,
  why: Why,
  { asked, names, nameOf }: { asked: Asked; names: OfferNames; nameOf: (id: string) => string },
): string {
  switch (why.why) {
    case "off":
      return "It is switched off.";
    case "code":
      return `Its code, ${offer.code}, was not given.`;
    case "conditions":
      return CONDITION_WORDS[against(offer.conditions, asked) ?? "any"];
    case "goods":
      return "None of the goods it is for are in the cart.";
    case "worth":
      return `${names.money(why.toGo)} to go until ${names.money(offer.fromWorth)}.`;
    case "count":
      return `${why.toGo} more ${why.toGo === 1 ? "piece" : "pieces"} to go.`;
    case "others":
      return `${listed(why.others.map((id) => `“${nameOf(id)}”`))} ${why.others.length === 1 ? "saves" : "save"} more, and they don’t go together.`;
    case "nothing":
      return "Nothing is left that it could make cheaper.";
    case "spent":
      return "It has been had as often as it may be.";
    case "gift":
      return "What it gives can’t be had just now.";
  }
}
