export {
  CODE_KEY,
  codeProblem,
  isOnGoods,
  LONGEST_CODE,
  LONGEST_OFFER_NAME,
  MOST_OFFERS,
  MOST_STEPS,
  offerOf,
  offerRoot,
  offersOf,
  offerWithCode,
  plainCode,
  type Gives,
  type Offer,
  type OfferGoods,
  type OfferRoot,
  type OfferUses,
  type Step,
} from "./offer";
export {
  lineTitle,
  price,
  type Bill,
  type Gift,
  type Line,
  type Off,
  type Priced,
  type PricedLine,
  type Why,
} from "./price";
export { goalsOf, isGoal, type Goal } from "./goals";
export { costsOf, isForAll, isSale, listedCosts, type Cost, type Costs } from "./sale";
export { givesWords, offWords, whyWords, type OfferNames } from "./words";
