import { isKnownValue, PROPERTIES } from "~/core/cascade";
import { conditionsSchema } from "~/core/conditions";
import {
  layoutProps,
  newId,
  walk,
  type PageDocument,
  type Json,
  type LayoutSort,
  type Part,
  entryOf,
} from "~/core/document";
import { versionOf, type Migration } from "~/core/schema";
import { button } from "./button";
import { countdown } from "./countdown";
import { boundProblem, chassisProblem } from "./chassis";
import { collectionTiles } from "./collection-tiles";
import { column } from "./column";
import { contactFacts } from "./contact-facts";
import { elsewhere } from "./elsewhere";
import { lookPoints } from "./look-points";
import { menuLinks } from "./menu-links";
import { paySigns } from "./pay-signs";
import { shopLogo } from "./shop-logo";
import { shopWays } from "./shop-ways";
import type { Definition, Kind, Level, Trait } from "./definition";
import { code } from "./code";
import { film } from "./film";
import { form } from "./form";
import { formField } from "./form-field";
import { footer } from "./footer";
import { freehand } from "./freehand";
import { group } from "./group";
import { header } from "./header";
import { heading } from "./heading";
import { hero } from "./hero";
import { menuItem } from "./menu-item";
import { map } from "./map";
import { markup } from "./markup";
import { logoRow } from "./logo-row";
import { questions } from "./questions";
import { notice } from "./notice";
import { picture } from "./picture";
import { pictures } from "./pictures";
import { pictureWords } from "./picture-words";
import { point } from "./point";
import { poster } from "./poster";
import { product } from "./product";
import { productGrid } from "./product-grid";
import { quote } from "./quote";
import { rule } from "./rule";
import { runningLine } from "./running-line";
import { shared } from "./shared";
import { signUp } from "./sign-up";
import { slides } from "./slides";
import { splitTiles } from "./split-tiles";
import { text } from "./text";
import { assurances } from "./assurances";
import { collectionHead } from "./collection-head";
import { collectionInside } from "./collection-inside";
import { gallery } from "./gallery";
import { popUp } from "./pop-up";
import { signUpLine } from "./sign-up-line";
import { goalMeter } from "./goal-meter";
import { offersShown } from "./offers-shown";
import { goesWithKind } from "./goes-with";
import { goodsList } from "./goods-list";
import { productBuy } from "./product-buy";
import { productDetails } from "./product-details";
import { productMessage } from "./product-message";
import { productOptions } from "./product-options";
import { productPrice } from "./product-price";
import { productRating } from "./product-rating";
import { productState } from "./product-state";
import { productTitle } from "./product-title";
import { recentlySeen } from "./recently-seen";
import { reviews } from "./reviews";
import { cartCodes } from "./cart-codes";
import { cartDelivery } from "./cart-delivery";
import { cartHead } from "./cart-head";
import { cartLines } from "./cart-lines";
import { cartReminder } from "./cart-reminder";
import { cartSum } from "./cart-sum";
import { checkoutForm } from "./checkout-form";
import { checkoutMore } from "./checkout-more";
import { checkoutSum } from "./checkout-sum";
import { signIn } from "./sign-in";
import { accountHead } from "./account-head";
import { accountOrders } from "./account-orders";
import { accountAddresses } from "./account-addresses";
import { accountDetails } from "./account-details";
import { accountLetters } from "./account-letters";
import { accountData } from "./account-data";
import { giftCardBalance } from "./gift-card-balance";
import { orderFacts } from "./order-facts";
import { orderHead } from "./order-head";
import { orderLines } from "./order-lines";
import { searchHead } from "./search-head";
import { trail } from "./trail";
import { waysOn } from "./ways-on";
import { callOut } from "./call-out";
import { compareGoods } from "./compare-goods";
import { contents } from "./contents";
import { downloads } from "./downloads";
import { figures } from "./figures";
import { openingHours } from "./opening-hours";
import { people } from "./people";
import { priceCards } from "./price-cards";
import { priceList } from "./price-list";
import { sizeChart } from "./size-chart";
import { steps } from "./steps";
import { table } from "./table";
import { tabs } from "./tabs";
import { timeLine } from "./time-line";
import { voices } from "./voices";
import { posts } from "./posts";
import { postHead } from "./post-head";
import { postBody } from "./post-body";
import { postWays } from "./post-ways";
import { postGoods } from "./post-goods";
import { words } from "./words";

/** Every kind, in the order in which Add offers them. Adding a kind is one folder and one line here. */
const LIST: readonly Kind[] = [
  hero,
  slides,
  poster,
  runningLine,
  productGrid,
  collectionTiles,
  lookPoints,
  pictures,
  splitTiles,
  logoRow,
  compareGoods,
  priceCards,
  pictureWords,
  text,
  posts,
  postHead,
  postBody,
  postGoods,
  postWays,
  voices,
  steps,
  timeLine,
  people,
  figures,
  questions,
  tabs,
  table,
  sizeChart,
  priceList,
  downloads,
  contents,
  waysOn,
  form,
  signUp,
  openingHours,
  goesWithKind,
  reviews,
  recentlySeen,
  collectionHead,
  collectionInside,
  searchHead,
  cartHead,
  cartLines,
  cartCodes,
  cartDelivery,
  cartReminder,
  cartSum,
  checkoutForm,
  checkoutSum,
  checkoutMore,
  signIn,
  accountHead,
  accountOrders,
  accountAddresses,
  accountDetails,
  accountLetters,
  accountData,
  giftCardBalance,
  orderHead,
  orderLines,
  orderFacts,
  goodsList,
  offersShown,
  freehand,
  notice,
  header,
  footer,
  popUp,
  column,
  gallery,
  trail,
  productTitle,
  productRating,
  productPrice,
  productOptions,
  productState,
  productBuy,
  productMessage,
  productDetails,
  heading,
  words,
  picture,
  film,
  code,
  markup,
  button,
  countdown,
  goalMeter,
  signUpLine,
  product,
  quote,
  callOut,
  point,
  assurances,
  shopLogo,
  menuLinks,
  shopWays,
  contactFacts,
  map,
  elsewhere,
  paySigns,
  rule,
  group,
  formField,
  menuItem,
  shared,
];

export const KINDS: ReadonlyMap<string, Kind> = new Map(LIST.map((kind) => [kind.definition.kind, kind]));
if (KINDS.size !== LIST.length) throw new Error("two kinds have the same name");

export const kindOf = (node: Pick<Part, "kind">): Kind | undefined => KINDS.get(node.kind);

/** What a section's kind is called; unknown kinds keep their stored name. */
export const nameOf = (node: Pick<Part, "kind">): string => kindOf(node)?.definition.name ?? node.kind;

/** Every kind of one level, in the order in which Add offers them. */
export const kindsOf = (level: Level): readonly Kind[] => LIST.filter((kind) => kind.definition.level === level);

/** Whether a part's kind says this of itself. */
export const hasTrait = (node: Pick<Part, "kind">, trait: Trait): boolean =>
  kindOf(node)?.definition.traits?.includes(trait) ?? false;

/** Whether a part is a widget that holds widgets. */
export const isGroup = (node: Pick<Part, "kind">): boolean => {
  const definition = kindOf(node)?.definition;
  return definition?.level === "widget" && definition.holds !== undefined;
};

/** What a part is; undefined for what this version does not know. */
export const levelOf = (node: Pick<Part, "kind">): Level | undefined => kindOf(node)?.definition.level;

/** Whether a kind may stand in a slot of a part. The same answer for drags, keys, pasting and the server. */
export function accepts(parent: Pick<Part, "kind">, slot: string, child: Pick<Part, "kind">): boolean {
  const stands = kindOf(child)?.definition.slots ?? [];
  if (!stands.includes(slot)) return false;
  return parent.kind === "root" || entryOf(kindOf(parent)?.definition.holds, slot) !== undefined;
}

/**
 * A part, at or below `node`, that makes no sense in a document: what shows the product of a page, on a page without one.
 * Undefined where all of it does.
 */
export function strangerIn(document: PageDocument, node: Part): Part | undefined {
  // What is kept or shared makes sense where it is used.
  if (document.kind === "piece" || document.kind === "shared") return undefined;
  const sort = layoutProps(document)?.of;
  for (const each of walk(node)) {
    const kind = kindOf(each);
    if (kind && !suits(kind.definition, sort)) return each;
  }
  return undefined;
}

/** Whether a kind makes sense on the layout of a sort of pages; undefined: on a page of its own, or around pages. */
export const suits = ({ only, never }: Definition, sort: LayoutSort | undefined): boolean =>
  sort === undefined ? !only : (!only || only.includes(sort)) && !never?.includes(sort);

/** The steps that lift what an earlier version stored of a kind. */
export const migrationsOf = (kind: string): readonly Migration[] => KINDS.get(kind)?.definition.migrations ?? [];

/** The version of its kind that a new part is written in; absent where its kind has never changed. */
export const kindVersion = (kind: string): { readonly version?: number } => {
  const version = versionOf(migrationsOf(kind));
  return version > 1 ? { version } : {};
};

/** A new node of a kind with its defaults, changed by `props`. */
export function makeNode(kind: string, props: Readonly<Record<string, Json>> = {}, more: Partial<Part> = {}): Part {
  const found = KINDS.get(kind);
  if (!found) throw new Error(`no kind "${kind}"`);
  const defaults = found.definition.defaults as Record<string, Json>;
  return {
    id: newId(),
    kind,
    ...kindVersion(kind),
    props: { ...defaults, ...props },
    style: {},
    conditions: [],
    shown: true,
    slots: {},
    ...more,
  };
}

/** Why a section's stored values are not what its kind allows; undefined where they are. */
export function problemOf(node: Part): { path: string; why: string } | undefined {
  const kind = kindOf(node);
  if (!kind) return { path: "kind", why: `This version does not know “${node.kind}”.` };
  for (const [audience, values] of Object.entries(node.style)) {
    for (const [property, value] of Object.entries(values)) {
      // A property that this version does not know is kept and never drawn.
      const known = entryOf(PROPERTIES, property);
      if (known && !isKnownValue(property, value))
        return { path: `${audience}.${property}`, why: `${known.label} can’t be “${String(value)}”.` };
    }
  }
  for (const [slot, children] of Object.entries(node.slots)) {
    const most = entryOf(kind.definition.holds, slot);
    if (most === undefined) return { path: slot, why: `${kind.definition.name} has no place for that.` };
    if (children.length > most) return { path: slot, why: `${kind.definition.name} can hold ${most} things.` };
    const stranger = children.find((child) => kindOf(child) && !accepts(node, slot, child));
    if (stranger) return { path: slot, why: `${nameOf(stranger)} can’t stand in ${kind.definition.name}.` };
  }
  const when = conditionsSchema.safeParse(node.conditions);
  if (!when.success) return { path: "conditions", why: when.error.issues[0]!.message };
  const besides = kind.definition.level === "section" ? chassisProblem(node) : boundProblem(node, kind.definition);
  if (besides) return besides;
  const parsed = kind.definition.props.safeParse(node.props);
  if (parsed.success) return undefined;
  const issue = parsed.error.issues[0]!;
  return { path: issue.path.join("."), why: issue.message };
}

export {
  PURPOSES,
  type Arrangement,
  type BoundAs,
  type Definition,
  type Field,
  type Kind,
  type Later,
  type Level,
  type Permission,
  type Purpose,
  type Trait,
  type ViewProps,
} from "./definition";
export {
  documentProblem,
  LONGEST_AUTHOR,
  LONGEST_DESCRIPTION,
  LONGEST_SEARCH_TITLE,
  LONGEST_SUMMARY,
  LONGEST_TAG,
  LONGEST_WORD,
  MOST_TAGS,
} from "./documents";
export { boundOf, chassisOf, hasStyle, moreStyles, OF_FLOW, OF_TOP, type Bound } from "./chassis";
