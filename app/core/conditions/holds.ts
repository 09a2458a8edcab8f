import { isInCollection, meets, productWith, type Goods } from "../goods";
import { clockOf, dayOf, type OnDay, type Person, type PageShown, type Situation } from "../situation";
import { momentsOf, timeHolds } from "./times";
import {
  rulesIn,
  type CartRule,
  type Condition,
  type GoodsRule,
  type PageRule,
  type Rule,
  type VisitorRule,
} from "./rules";

/**
 * What conditions are asked with. What is absent is not known here: a page, say, while it is decided what holds for all of them. What depends on it
 * may hold or not.
 */
export type Asked = {
  /** What the shop's clocks show: "2026-12-01T09:00". */
  readonly clock: string;
  readonly on?: OnDay;
  readonly page?: PageShown | undefined;
  readonly person?: Person | undefined;
  readonly goods?: Goods | undefined;
};

/** What conditions are asked with in a situation. */
export const askedIn = (situation: Situation, goods: Goods): Asked => ({
  clock: clockOf(situation),
  on: dayOf(situation),
  page: situation.page,
  person: situation.person,
  goods,
});

const named = (list: readonly string[] | undefined, id: string | undefined): boolean =>
  id !== undefined && list !== undefined && list.includes(id);

/** Whether a product is one of those named, or in a collection that is. */
function isNamed(id: string, rule: GoodsRule | CartRule, goods: Goods): boolean {
  if (named(rule.products, id)) return true;
  const product = rule.collections?.length ? productWith(goods, id) : undefined;
  if (!product) return false;
  return goods.collections.some((c) => named(rule.collections, c.id) && isInCollection(goods, product, c));
}

const pageHolds = (rule: PageRule, { sort, page }: PageShown): boolean =>
  named(rule.sorts, sort) || named(rule.pages, page);

/** Whether a product is one that a rule means. */
export function goodsHold(rule: GoodsRule, id: string, goods: Goods, on: OnDay): boolean {
  const { products = [], collections = [], asks = [] } = rule;
  if (products.length + collections.length > 0 && !isNamed(id, rule, goods)) return false;
  const product = asks.length ? productWith(goods, id) : undefined;
  return asks.every((ask) => product !== undefined && meets(product, ask, goods.digits ?? 2, on));
}

function goodsOnPage(rule: GoodsRule, page: PageShown, goods: Goods, on: OnDay): boolean {
  if (page.product !== undefined) return goodsHold(rule, page.product, goods, on);
  return !rule.asks?.length && named(rule.collections, page.collection);
}

const plain = (text: string) => text.trim().toLowerCase();

function visitorHolds({ is, by = "" }: VisitorRule, { visitor }: Person): boolean {
  switch (is) {
    case "new":
      return visitor.visits <= 1;
    case "returning":
      return visitor.visits > 1;
    case "subscribed":
      return visitor.isSubscribed;
    case "signed-in":
      return visitor.isSignedIn;
    case "bought":
      return visitor.hasBought;
    case "came":
      return plain(visitor.by) === plain(by) && plain(by) !== "";
  }
}

function cartHolds(rule: CartRule, { cart }: Person, goods: Goods | undefined): boolean | undefined {
  const { from = 0, under = Infinity } = rule;
  switch (rule.asks) {
    case "empty":
      return cart.count === 0;
    case "worth":
      return cart.worth >= from && cart.worth < under;
    case "number":
      return cart.count >= from && cart.count < under;
    case "goods":
      return goods && cart.products.some((id) => isNamed(id, rule, goods));
  }
}

function asked(rule: Rule, { clock, on, page, person, goods }: Asked): boolean | undefined {
  switch (rule.when) {
    case "dates":
    case "times":
      return timeHolds(rule, clock);
    case "pages":
      return page && pageHolds(rule, page);
    case "goods":
      return page && goods && on && goodsOnPage(rule, page, goods, on);
    case "visitor":
      return person && visitorHolds(rule, person);
    case "cart":
      return person && cartHolds(rule, person, goods);
    case "country":
      return person && rule.countries.includes(person.country);
  }
}

/** Whether a rule holds; undefined where that is not known. */
export function ruleHolds(rule: Rule, situation: Asked): boolean | undefined {
  const is = asked(rule, situation);
  // Rules of time are turned where they are told.
  return is === undefined || !rule.not || rule.when === "dates" || rule.when === "times" ? is : !is;
}

/** Whether one of several conditions holds: one that does is enough, even where others are not known. */
export function conditionHolds(condition: Condition, situation: Asked): boolean | undefined {
  if (condition.when !== "any") return ruleHolds(condition, situation);
  let known: boolean | undefined = false;
  for (const rule of condition.of) {
    const is = ruleHolds(rule, situation);
    if (is) return true;
    if (is === undefined) known = undefined;
  }
  return known;
}

/** Whether all conditions hold; false where one does not, even where others are not known, and undefined where none fails but not all are known. */
export function holds(conditions: readonly Condition[], situation: Asked): boolean | undefined {
  let known: boolean | undefined = true;
  for (const condition of conditions) {
    const is = conditionHolds(condition, situation);
    if (is === false) return false;
    if (is === undefined) known = undefined;
  }
  return known;
}

/** What of somebody's situation is against a part, or what of the page; undefined where nothing is. */
export function against(conditions: readonly Condition[], situation: Asked): Rule["when"] | "any" | undefined {
  return conditions.find((each) => conditionHolds(each, situation) === false)?.when;
}

/** The next time, as the shop's clocks show it, at which conditions may begin or cease to hold; undefined where there is none. */
export function nextChangeOf(conditions: readonly Condition[], at: string): string | undefined {
  let next: string | undefined;
  for (const rule of rulesIn(conditions)) {
    if (rule.when !== "dates" && rule.when !== "times") continue;
    for (const moment of momentsOf(rule, at)) if (moment > at && (!next || moment < next)) next = moment;
  }
  return next;
}

/** Whether a part shows as far as time decides it, and the next time at which that is otherwise. */
export type Outlook = {
  readonly shows: boolean;
  /** As the shop's clocks show it; undefined: it stays so. */
  readonly until: string | undefined;
};

/** So many moments are looked at before it is taken that a rule of hours never meets its dates: those of months, or of decades of one day a year. */
const MOST_MOMENTS = 400;

/** How a part with these conditions stands at a time, and until when. What is not a matter of time is left out of it. */
export function outlook(conditions: readonly Condition[], at: string): Outlook {
  const showsAt = (clock: string) => holds(conditions, { clock }) !== false;
  const shows = showsAt(at);
  const dated = conditions.find((c) => c.when === "dates");
  let now = at;
  for (let i = 0; i < MOST_MOMENTS; i++) {
    // Outside of its dates, hours decide nothing.
    const next = nextChangeOf(dated && !timeHolds(dated, now) ? [dated] : conditions, now);
    if (next === undefined) break;
    if (showsAt(next) !== shows) return { shows, until: next };
    now = next;
  }
  return { shows, until: undefined };
}
