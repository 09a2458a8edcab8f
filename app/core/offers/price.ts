import { holds, type Asked } from "../conditions";
import {
  isInCollection,
  mostOf,
  priceOf,
  productWith,
  variantById,
  type Goods,
  type Product,
  type TaxClass,
  type Variant,
} from "../goods";
import { isOnGoods, type Gives, type Offer } from "./offer";
import { portion, split, taxOf, type Minor, type Taxed, type TaxRules } from "../money";

// The only place where money is added up. Amounts are whole minor units; nothing is ever less than nothing.

/** A line of a cart: so many pieces of one thing. */
export type Line = { readonly product: Product; readonly variant: Variant | undefined; readonly count: number };

/** What a line is called where it stands alone: the product, and what was chosen of it. */
export const lineTitle = ({ product, variant }: Pick<Line, "product" | "variant">): string =>
  variant ? `${product.title}, ${variant.values.join(", ")}` : product.title;

/** What an offer takes off a line, or off all. */
export type Off = { readonly offer: string; readonly amount: Minor };

export type PricedLine = {
  /** What its pieces cost without offers. */
  readonly full: Minor;
  readonly offs: readonly Off[];
  readonly total: Minor;
};

/** Why an offer does nothing for a cart. `toGo`: what is missing, in minor units or pieces. */
export type Why =
  | { readonly why: "off" | "code" | "conditions" | "goods" | "nothing" | "gift" | "spent" }
  | { readonly why: "worth" | "count"; readonly toGo: number }
  /** Others, that it doesn't go together with, save more. */
  | { readonly why: "others"; readonly others: readonly string[] };

export type Gift = {
  readonly offer: string;
  readonly product: Product;
  readonly variant: Variant | undefined;
  readonly count: number;
};

export type Priced = {
  readonly lines: readonly PricedLine[];
  readonly gifts: readonly Gift[];
  /** Goods without offers; all that is taken off them; what they cost. */
  readonly full: Minor;
  readonly off: Minor;
  readonly goods: Minor;
  /** What delivery costs, and what is taken off it; undefined as long as nobody knows where it goes. */
  readonly delivery: { readonly full: Minor; readonly offs: readonly Off[]; readonly total: Minor } | undefined;
  /** Delivery is free by an offer, whatever it would cost. */
  readonly isDeliveryFree: boolean;
  /** Offers that do something, with what each takes off goods and delivery, in the order in which they were applied. */
  readonly applied: readonly Off[];
  /** The others, and why. */
  readonly refused: ReadonlyMap<string, Why>;
  /** The tax in the total; undefined where nobody knows where it goes, or the shop has none. */
  readonly tax: Taxed | undefined;
  readonly total: Minor;
};

export type Bill = {
  readonly lines: readonly Line[];
  readonly offers: readonly Offer[];
  /** Codes that the shopper gave, as `plainCode` writes them. */
  readonly codes: readonly string[];
  readonly goods: Goods;
  /** Offers that have been had as often as they may be. */
  readonly spent?: ReadonlySet<string> | undefined;
  /** With what the offers' conditions are asked: when, who, from where. */
  readonly asked: Asked;
  /** What delivery costs without offers. */
  readonly delivery?: Minor | undefined;
  /** How it is taxed where it goes. */
  readonly tax?: (TaxRules & { readonly rateOf: (taxClass: TaxClass) => number }) | undefined;
};

// First what sets prices, then what counts pieces, then percentages, then amounts: so an amount is never made smaller by a
// percentage that comes after it, and one offer more never makes anything dearer.
const ORDER: readonly Gives["sort"][] = ["price", "bundle", "steps", "percent", "amount", "gift", "delivery"];
const rankOf = ({ gives }: Offer): number => ORDER.indexOf(gives.sort);

const sumOf = (amounts: readonly Minor[]): Minor => amounts.reduce((sum, amount) => sum + amount, 0);
function countOf(lines: readonly Line[], at: readonly number[]): number {
  let count = 0;
  for (const i of at) count += lines[i]!.count;
  return count;
}

/** The lines that are in a collection, by its id; each collection is asked once. */
function membersIn(lines: readonly Line[], goods: Goods): (collection: string) => readonly boolean[] {
  const known = new Map<string, readonly boolean[]>();
  return (id) => {
    let members = known.get(id);
    if (!members) {
      const collection = goods.collections.find((each) => each.id === id);
      members = lines.map(({ product }) => collection !== undefined && isInCollection(goods, product, collection));
      known.set(id, members);
    }
    return members;
  };
}

/** The lines that an offer is for, by their places. `all`: those of all lines. */
function linesFor(
  { goods: { products, collections } }: Offer,
  lines: readonly Line[],
  all: readonly number[],
  members: (collection: string) => readonly boolean[],
): readonly number[] {
  const inCollections = collections.map(members);
  // A gift card is money: it is cheaper only where an offer names it.
  return all.filter((at) => {
    const { id, isGiftCard } = lines[at]!.product;
    if (products.includes(id)) return true;
    if (isGiftCard) return false;
    return products.length + collections.length === 0 || inCollections.some((is) => is[at]);
  });
}

/** Pieces of one line that cost the same. */
type Pieces = { readonly line: number; readonly costs: Minor; readonly count: number };

/** The pieces of lines, the cheapest first. Where a line can't be shared out evenly, some of its pieces cost a unit more. */
function piecesOf(lines: readonly Line[], at: readonly number[], left: readonly Minor[]): readonly Pieces[] {
  const pieces: Pieces[] = [];
  for (const line of at) {
    const { count } = lines[line]!;
    const more = left[line]! % count;
    const costs = (left[line]! - more) / count;
    pieces.push({ line, costs, count: count - more });
    if (more) pieces.push({ line, costs: costs + 1, count: more });
  }
  return pieces.sort((a, b) => a.costs - b.costs || a.line - b.line);
}

/** What the cheapest piece of some lines costs, and in which line it is; undefined where there is none. */
function cheapestOf(lines: readonly Line[], at: readonly number[], left: readonly Minor[]) {
  let found: { readonly line: number; readonly costs: Minor } | undefined;
  for (const line of at) {
    const costs = Math.floor(left[line]! / lines[line]!.count);
    if (!found || costs < found.costs) found = { line, costs };
  }
  return found;
}

/** Takes an amount off some lines together, each by its share of what they cost. */
function takeOff(amount: Minor, at: readonly number[], left: readonly Minor[], cuts: Minor[]): void {
  const parts = split(
    amount,
    at.map((i) => left[i]!),
  );
  for (let n = 0; n < at.length; n++) cuts[at[n]!] = parts[n]!;
}

function sumAt(at: readonly number[], amounts: readonly Minor[]): Minor {
  let sum = 0;
  for (const i of at) sum += amounts[i]!;
  return sum;
}

/** What each line loses by an offer. `at`: the lines that it is for; `left`: what each of all lines costs so far. */
function cut(gives: Gives, lines: readonly Line[], at: readonly number[], left: readonly Minor[]): readonly Minor[] {
  const cuts = new Array<Minor>(lines.length).fill(0);
  switch (gives.sort) {
    case "percent": {
      const cheapest = gives.on === "cheapest" ? cheapestOf(lines, at, left) : undefined;
      if (cheapest) cuts[cheapest.line] = portion(cheapest.costs, gives.off);
      else takeOff(portion(sumAt(at, left), gives.off), at, left, cuts);
      break;
    }
    case "amount": {
      const cheapest = gives.on === "cheapest" ? cheapestOf(lines, at, left) : undefined;
      if (cheapest) cuts[cheapest.line] = Math.min(gives.amount, cheapest.costs);
      else if (gives.on === "each") for (const i of at) cuts[i] = Math.min(gives.amount * lines[i]!.count, left[i]!);
      else takeOff(Math.min(gives.amount, sumAt(at, left)), at, left, cuts);
      break;
    }
    case "price":
      for (const i of at) cuts[i] = Math.max(0, left[i]! - gives.price * lines[i]!.count);
      break;
    case "steps": {
      const count = countOf(lines, at);
      const step = gives.steps.findLast(({ from }) => count >= from);
      if (step) takeOff(portion(sumAt(at, left), step.off), at, left, cuts);
      break;
    }
    case "bundle": {
      let free = Math.floor(countOf(lines, at) / gives.take) * (gives.take - gives.pay);
      for (const { line, costs, count } of piecesOf(lines, at, left)) {
        if (free === 0) break;
        const taken = Math.min(free, count);
        cuts[line]! += costs * taken;
        free -= taken;
      }
      break;
    }
    case "gift":
    case "delivery":
      break;
  }
  return cuts;
}

/** What an offer takes off delivery. */
const cutOfDelivery = (gives: Gives, left: Minor): Minor =>
  gives.sort !== "delivery" ? 0 : Math.min(left, gives.off === null ? gives.amount! : portion(left, gives.off));

type Ready = { readonly offer: Offer; readonly at: readonly number[] };

/** So many offers are named as the reason why another one did not apply. */
const MOST_NAMED = 3;

/** Whether two offers go together. */
const together = (a: Offer, b: Offer): boolean =>
  (isOnGoods(b) ? a.withGoods : a.withRest) && (isOnGoods(a) ? b.withGoods : b.withRest);

type Done = {
  readonly left: readonly Minor[];
  readonly cuts: ReadonlyMap<string, readonly Minor[]>;
  readonly saves: Minor;
};

function carriedOut(ready: readonly Ready[], lines: readonly Line[], full: readonly Minor[]): Done {
  let left = full;
  const cuts = new Map<string, readonly Minor[]>();
  for (const { offer, at } of ready) {
    const cutsNow = cut(offer.gives, lines, at, left);
    left = left.map((amount, i) => amount - cutsNow[i]!);
    cuts.set(offer.id, cutsNow);
  }
  return { left, cuts, saves: sumOf(full) - sumOf(left) };
}

/** What an offer gives for nothing, and what it is worth to whoever gets it; undefined where there is not enough of it. */
function giftOf({ id, gives }: Offer, goods: Goods): (Gift & { readonly worth: Minor }) | undefined {
  if (gives.sort !== "gift") return undefined;
  const product = productWith(goods, gives.product);
  const variant = product && variantById(product, gives.variant);
  if (!product || (product.variants.length > 0 && !variant) || mostOf(product, variant) < gives.count) return undefined;
  return { offer: id, product, variant, count: gives.count, worth: priceOf(product, variant) * gives.count };
}

/** Offers of one class that go together. */
type Way = {
  readonly taken: readonly Ready[];
  /** All of them go together with those of the other class, too. */
  readonly isOpen: boolean;
};

/** Ways of taking none, one or many offers of a class: which of them go together is a matter of two marks. More never save less. */
function waysOf(ready: readonly Ready[]): readonly Way[] {
  const isOpen = ({ offer }: Ready) => (isOnGoods(offer) ? offer.withRest : offer.withGoods);
  const sociable: Ready[] = [];
  const ways: Way[] = [{ taken: [], isOpen: true }];
  for (const each of ready) {
    if (isOnGoods(each.offer) ? each.offer.withGoods : each.offer.withRest) sociable.push(each);
    else ways.push({ taken: [each], isOpen: isOpen(each) });
  }
  const open = sociable.filter(isOpen);
  if (sociable.length) ways.push({ taken: sociable, isOpen: open.length === sociable.length });
  if (open.length && open.length < sociable.length) ways.push({ taken: open, isOpen: true });
  return ways;
}

type Weighed = Way & { readonly saves: Minor };

/** The two ways, one of each class, that go together and save most; of those that save the same, the one with more offers, then the first. */
function bestOf(onGoods: readonly Weighed[], rest: readonly Weighed[]) {
  const size = (a: Weighed, b: Weighed) => a.taken.length + b.taken.length;
  let best = { onGoods: onGoods[0]!, rest: rest[0]! };
  for (const a of onGoods)
    for (const b of rest) {
      const more = a.saves + b.saves - best.onGoods.saves - best.rest.saves;
      if (more < 0 || (more === 0 && size(a, b) <= size(best.onGoods, best.rest))) continue;
      if ((a.isOpen || b.taken.length === 0) && (b.isOpen || a.taken.length === 0)) best = { onGoods: a, rest: b };
    }
  return best;
}

type Sorted = {
  /** In the order in which they are applied. */
  readonly ready: readonly Ready[];
  readonly refused: ReadonlyMap<string, Why>;
  readonly gifts: ReadonlyMap<string, Gift & { readonly worth: Minor }>;
};

/** Which offers could apply to a cart, whatever the others do, and why the rest can't. */
function sortOut({ lines, offers, codes, goods, asked, spent }: Bill, full: readonly Minor[]): Sorted {
  const ready: Ready[] = [];
  const refused = new Map<string, Why>();
  const gifts = new Map<string, Gift & { readonly worth: Minor }>();
  const members = membersIn(lines, goods);
  const all = lines.map((_line, at) => at);
  for (const offer of offers) {
    const at = linesFor(offer, lines, all, members);
    const gift = giftOf(offer, goods);
    const why = whyNotReady(offer, at, { lines, full, codes, asked, spent });
    if (why) refused.set(offer.id, why);
    else if (offer.gives.sort === "gift" && !gift) refused.set(offer.id, { why: "gift" });
    else {
      ready.push({ offer, at });
      if (gift) gifts.set(offer.id, gift);
    }
  }
  return { ready: ready.sort((a, b) => rankOf(a.offer) - rankOf(b.offer)), refused, gifts };
}

type Delivered = {
  readonly left: Minor;
  readonly isFree: boolean;
  /** Offers on delivery that do something, and those for which nothing was left. */
  readonly did: readonly Off[];
  readonly idle: readonly string[];
};

/** What offers on delivery make of it. As long as nobody knows what it costs, all of them may do something, until it is free. */
function deliver(taken: readonly Ready[], delivery: Minor | undefined): Delivered {
  let left = delivery ?? 0;
  let isFree = false;
  const did: Off[] = [];
  const idle: string[] = [];
  for (const { offer } of taken) {
    if (offer.gives.sort !== "delivery") continue;
    const amount = cutOfDelivery(offer.gives, left);
    left -= amount;
    if (isFree || (delivery !== undefined && amount === 0)) idle.push(offer.id);
    else did.push({ offer: offer.id, amount });
    isFree ||= offer.gives.off === 10_000;
  }
  return { left, isFree, did, idle };
}

/** Why an offer that could apply was not taken: those that were, and that it doesn't go with, save more. */
function whyNotTaken(offer: Offer, chosen: readonly Ready[]): Why {
  const others: string[] = [];
  for (const each of chosen) {
    if (others.length === MOST_NAMED) break;
    if (!together(each.offer, offer)) others.push(each.offer.id);
  }
  return others.length ? { why: "others", others } : { why: "nothing" };
}

/**
 * What a cart costs, and why: every amount that is added up in a shop comes from here. Of offers that don't go together, those are taken
 * that save the shopper most; of ways that save the same, the one with more offers, then the first by name.
 */
export function price(bill: Bill): Priced {
  const { lines, delivery } = bill;
  const full = lines.map(({ product, variant, count }) => priceOf(product, variant) * count);
  const { ready, refused: before, gifts } = sortOut(bill, full);
  const refused = new Map(before);
  const best = bestOf(
    waysOf(ready.filter(({ offer }) => isOnGoods(offer))).map((way) => ({
      ...way,
      saves: carriedOut(way.taken, lines, full).saves,
    })),
    waysOf(ready.filter(({ offer }) => !isOnGoods(offer))).map((way) => {
      const given = sumOf(way.taken.map(({ offer }) => gifts.get(offer.id)?.worth ?? 0));
      return { ...way, saves: (delivery ?? 0) - deliver(way.taken, delivery).left + given };
    }),
  );
  const { left, cuts } = carriedOut(best.onGoods.taken, lines, full);
  const delivered = deliver(best.rest.taken, delivery);
  const given = best.rest.taken.flatMap(({ offer }) => gifts.get(offer.id) ?? []);

  const applied: Off[] = [];
  const offs = lines.map((): Off[] => []);
  for (const [offer, amounts] of cuts) {
    const amount = sumOf(amounts);
    if (amount === 0) refused.set(offer, { why: "nothing" });
    else applied.push({ offer, amount });
    for (let i = 0; i < amounts.length; i++) if (amounts[i]! > 0) offs[i]!.push({ offer, amount: amounts[i]! });
  }
  for (const { offer } of given) applied.push({ offer, amount: 0 });
  applied.push(...delivered.did);
  for (const offer of delivered.idle) refused.set(offer, { why: "nothing" });
  const chosen = [...best.onGoods.taken, ...best.rest.taken];
  const taken = new Set(chosen.map(({ offer }) => offer.id));
  for (const { offer } of ready) if (!taken.has(offer.id)) refused.set(offer.id, whyNotTaken(offer, chosen));

  const [all, goods] = [sumOf(full), sumOf(left)];
  const { tax: rules } = bill;
  const tax =
    rules &&
    taxOf(
      rules,
      lines.map(({ product }, i) => ({
        amount: left[i]!,
        rate: product.isGiftCard ? 0 : rules.rateOf(product.taxClass),
      })),
      delivered.left,
    );
  return {
    lines: lines.map((_line, i) => ({ full: full[i]!, offs: offs[i]!, total: left[i]! })),
    gifts: given.map(({ worth: _worth, ...gift }) => gift),
    full: all,
    off: all - goods,
    goods,
    delivery: delivery === undefined ? undefined : { full: delivery, offs: delivered.did, total: delivered.left },
    isDeliveryFree: delivered.isFree,
    applied,
    refused,
    tax,
    total: goods + delivered.left + (tax && !tax.isIncluded ? tax.tax : 0),
  };
}

type Given = Pick<Bill, "lines" | "codes" | "asked" | "spent"> & { readonly full: readonly Minor[] };

/** Why an offer can't apply, whatever others do; undefined where it can. The first thing that a seller would look at comes first. */
function whyNotReady(
  offer: Offer,
  at: readonly number[],
  { lines, full, codes, asked, spent }: Given,
): Why | undefined {
  if (offer.isOff) return { why: "off" };
  if (offer.code !== "" && !codes.includes(offer.code)) return { why: "code" };
  if (spent?.has(offer.id)) return { why: "spent" };
  // What is not known here, as on which page one is, holds nothing back.
  if (holds(offer.conditions, asked) === false) return { why: "conditions" };
  if (at.length === 0) return { why: "goods" };
  const worth = sumAt(at, full);
  if (worth < offer.fromWorth) return { why: "worth", toGo: offer.fromWorth - worth };
  const count = countOf(lines, at);
  const needs = Math.max(offer.fromCount, offer.gives.sort === "bundle" ? offer.gives.take : 0, leastStep(offer.gives));
  if (count < needs) return { why: "count", toGo: needs - count };
  return undefined;
}

const leastStep = (gives: Gives): number => (gives.sort === "steps" ? gives.steps[0]!.from : 0);
