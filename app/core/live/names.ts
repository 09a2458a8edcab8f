/** What an offer says of itself in words on pages, and what sellers call it. */
export const OFFER_FACTS = {
  name: "Name of the offer",
  percent: "Percent off",
  amount: "Amount off",
  price: "Price of each piece",
  code: "Code",
  starts: "Begins on",
  ends: "Ends on",
  goal: "From a worth of",
  count: "From so many pieces",
  "to-go": "What is still to go",
} as const;
export type OfferFact = keyof typeof OFFER_FACTS;
export const OFFER_FACT_NAMES = Object.keys(OFFER_FACTS) as [OfferFact, ...OfferFact[]];

/** Facts of the shop that words can be filled with, and what the seller calls them. */
export const LIVE_FIELDS = {
  shop: "Shop name",
  tagline: "Tagline",
  goods: "Number of products",
  currency: "Currency",
} as const;
export type LiveField = keyof typeof LIVE_FIELDS;
export const LIVE_NAMES = Object.keys(LIVE_FIELDS) as [LiveField, ...LiveField[]];

/** A fact that stands in words: one of the shop, or one of an offer, by its id. */
export type LiveOfOffer = { readonly field: OfferFact; readonly offer: string };
export type Live = { readonly field: LiveField; readonly offer?: null | undefined } | LiveOfOffer;

export const isOfOffer = (live: Live): live is LiveOfOffer => typeof live.offer === "string";
