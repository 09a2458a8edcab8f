import { askedIn, holds, outlook, type Asked } from "~/core/conditions";
import type { Draft, Look } from "~/core/document";
import { factOf, goalWords, isOfOffer, storedLive, type Live } from "~/core/live";
import { formatMoney } from "~/core/money";
import { costsOf, goalsOf, isForAll, offersOf, price, type Costs, type Goal, type Offer } from "~/core/offers";
import { withLive } from "~/kinds/live";
import type { KindEnv } from "~/kinds/parts";
import type { ShopContent } from "./shop";

// What a shop's offers say and do on its pages: prices, goals, and facts in words.

type Documents = Draft["documents"];
/** What there is to tell besides the documents: goods, money, and for whom. */
export type Told = Omit<ShopContent, "draft" | "pictures" | "sent">;

/** What conditions and goals are asked with; without a situation, as at the shop's day. */
const askedOf = ({ situation, goods }: Told): Asked =>
  situation ? askedIn(situation, goods) : { clock: `${goods.asOf.day}T00:00`, goods };

/** Offers that can still be had. */
const openOffers = (documents: Documents, { spent }: Told): readonly Offer[] => {
  const offers = offersOf(documents);
  return spent?.size ? offers.filter(({ id }) => !spent.has(id)) : offers;
};

/** What single pieces cost with the offers that hold for everybody: on cards, on the pages of products, and in what search engines read. */
export const costsIn = (documents: Documents, told: Told): Costs =>
  costsOf({ offers: openOffers(documents, told), goods: told.goods, asked: askedOf(told) });

/** What views may ask of a shop's offers. */
export function offersFor(
  documents: Documents,
  told: Told,
): Pick<KindEnv, "offers" | "offerEnds" | "goals" | "costs" | "bill"> {
  const { goods, spent } = told;
  const offers = openOffers(documents, told);
  const asked = askedOf(told);
  let open: readonly Offer[] | undefined;
  let goals: readonly Goal[] | undefined;
  const openNow = () =>
    (open ??= offers.filter((each) => !each.isOff && isForAll(each) && holds(each.conditions, asked) !== false));
  return {
    offers: openNow,
    offerEnds: (id) =>
      openNow()
        .filter((offer) => (id === null ? offer.code === "" : offer.id === id))
        .flatMap(({ conditions }) => outlook(conditions, asked.clock).until ?? [])
        .toSorted()[0],
    goals: () => (goals ??= goalsOf({ offers, goods, asked })),
    costs: costsIn(documents, told),
    bill: (lines, codes = [], more = {}) =>
      price({ lines, offers: offersOf(documents), codes, goods, asked, spent, ...more }),
  };
}

/** What facts in words say in a shop: its own, those of its offers, and how far a cart is from them. */
export function liveFacts(documents: Documents, { identity }: Look, told: Told): (live: Live) => string | undefined {
  const { currency, locale, moneyFormat, goods } = told;
  const writing = { locale, money: (amount: number) => formatMoney(amount, currency, moneyFormat) };
  const ofShop = { shop: identity.name, tagline: identity.tagline, goods: String(goods.products.length), currency };
  const offers = offersOf(documents);
  let goals: readonly Goal[] | undefined;
  return (live) => {
    if (!isOfOffer(live)) return ofShop[live.field];
    const offer = offers.find(({ id }) => id === live.offer);
    if (!offer) return undefined;
    if (live.field !== "to-go") return factOf(offer, live.field, writing);
    goals ??= goalsOf({ offers, goods, asked: askedOf(told) });
    const goal = goals.find((each) => each.offer === offer);
    // Once it is reached, nothing is to go: words that say how much have had their time.
    return goal && goal.toGo > 0 ? goalWords(goal, goal.toGo, writing) : undefined;
  };
}

/**
 * A draft with the facts in its words put in for whoever looks. `editing`: as panes show it in which words can be written, with those that are
 * being written; absent: as shoppers see it.
 */
export const liveIn = (draft: Draft, told: Told, editing?: NonNullable<KindEnv["studio"]>["editing"]): Draft =>
  withLive(draft, {
    say: liveFacts(draft.documents, draft.look, told),
    ...(editing === undefined ? {} : { studio: { editing, offers: offersOf(draft.documents) } }),
  });

/** The same for one shopper, of a draft that says already what it says to all. */
export const liveForOne = (draft: Draft, told: Told): Draft =>
  withLive(draft, { say: liveFacts(draft.documents, draft.look, told), isPersonal: true });

/** What pages are drawn from, with the facts in its words that are the same for everybody. */
export function withFacts(content: ShopContent): ShopContent {
  const say = liveFacts(content.draft.documents, content.draft.look, content);
  const filling = { say: (live: Live) => (live.field === "to-go" ? storedLive(live) : say(live)) };
  return { ...content, draft: withLive(content.draft, filling) };
}
