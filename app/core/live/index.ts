export { factOf, goalWords, percentWords, saysFact, type Writing } from "./facts";
export { asTyped, filledText, fromTyped, isUnbound, piecesOf, shortened, storedLive, type Bound } from "./live";
export {
  isOfOffer,
  LIVE_FIELDS,
  LIVE_NAMES,
  OFFER_FACT_NAMES,
  OFFER_FACTS,
  type Live,
  type LiveField,
  type LiveOfOffer,
  type OfferFact,
} from "./names";
