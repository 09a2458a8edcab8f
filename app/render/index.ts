export { renderPage, type Broken, type RenderedPage, type Scripts } from "./document";
export { renderCards } from "./cards";
export { costsIn, liveFacts, liveIn, offersFor, withFacts } from "./facts";
export { renderLetter, type LetterPart, type LetterGiven, type WrittenLetter } from "./letter";
export { cardPictureAddress, cardSvg, isCardDesign } from "./card-picture";
export {
  cardLetterGiven,
  cartLetterGiven,
  orderLetterGiven,
  passwordLetterGiven,
  tellLetterGiven,
  type CardTold,
  type OrderTold,
  type ToldOfOrder,
} from "./shop-letters";
export { postSummary, readingTime } from "./posts";
export { codeOn, darkSetsOf, envOf, inSituation, partsByKind, siteWords, wayOf, type ShopContent } from "./shop";
export {
  DESCRIPTION_LENGTH,
  fillPattern,
  madeFrom,
  madeFromCollection,
  madeFromProduct,
  PATTERN_WORDS,
  plainText,
  saidOf,
  sharedAs,
  type Shared,
} from "./sharing";
export { aroundPage, frameOf, Page, PageBody, withoutAround } from "./page";
export { PartsSheet, SHEET_CSS } from "./pages/parts-sheet";
export { PARTS, partById, type BrandPart } from "./parts";
export { wantsToLie } from "./lying";
export { Section } from "./section";
export { pageCss, sharedCss } from "./css";
export { ATTRIBUTE } from "./own-fields";
export { compileOwnCss, reachedAt, type CssScope, type OwnCss } from "./own-css";
export {
  arrangementOf,
  arrangementsOf,
  usualShareIn,
  documentCss,
  GOODS_SETTINGS,
  nodeClass,
  nodeCss,
  nodeLayers,
  hasOwnCss,
  pageScope,
  partScope,
  partsOnPictures,
  pictureUnderWords,
  SHOP_SCOPE,
  viewsIn,
  viewUnderWords,
} from "./style";
export { placesInTone, toneAsked, tonedTint, tonesIn, tonesOf, toneWords } from "./tones";
export { LOOK_FILES, lookFilesOf, planLook, type FoundLook, type LookPicture, type LookPlan } from "./look-file";
export { themeChanges, type ThemeChange } from "./theme-changes";
export { structuredData } from "./structured-data";
export {
  documentOf,
  ownDocuments,
  pageShownOf,
  pagesOf,
  movedTo,
  NOT_FOUND,
  onePageOfEachKind,
  seenAt,
  shownOf,
  situationOn,
  targetAt,
  targetFor,
  type Target,
} from "./target";
export { addressOf, LAYOUT_NAMES, TARGET_KINDS, targetName } from "./target-names";
export { hardCases, type HardCase } from "./hard-cases";
export { DECLINED, type CheckoutTarget, type OrderTarget } from "./checkout-target";
export { inCartOf, isBeside, type CartTarget } from "./cart-target";
