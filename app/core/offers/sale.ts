import { holds, rulesIn, type Asked } from "../conditions";
import { remembered } from "../document";
import { compareAtOf, priceOf, priceSpan, type Goods, type Product, type Variant } from "../goods";
import type { Minor } from "../money";
import type { Offer } from "./offer";
import { price } from "./price";

/** Whether an offer is for whoever comes, as far as time lets it: shoppers may be told of it without being asked who they are. */
export const isForAll = ({ conditions }: Pick<Offer, "conditions">): boolean =>
  rulesIn(conditions).every(({ when }) => when === "dates" || when === "times");

/**
 * Whether an offer makes each piece of its goods cheaper for everybody who looks, whatever else lies in a cart. Only such a price can stand on
 * the goods themselves: all others depend on a code, on who somebody is, or on what else they take.
 */
export function isSale(offer: Offer): boolean {
  const { gives, code, isOff, fromWorth, fromCount } = offer;
  if (code !== "" || isOff || fromWorth > 0 || fromCount > 1) return false;
  const isEach =
    gives.sort === "price" ||
    (gives.sort === "percent" && gives.on === "all") ||
    (gives.sort === "amount" && gives.on === "each");
  return isEach && isForAll(offer);
}

/** What one piece costs, and what it did before where that was more. */
export type Cost = { readonly now: Minor; readonly before: Minor | null };

export type Costs = {
  readonly of: (product: Product, variant?: Variant) => Cost;
  /** The lowest and the highest of a product's variants. */
  readonly span: (product: Product) => { readonly least: Minor; readonly most: Minor };
  /** Whether a product, or one of its variants, costs less than before. */
  readonly isLess: (product: Product) => boolean;
};

const usual = (product: Product, variant?: Variant): Cost => ({
  now: priceOf(product, variant),
  before: compareAtOf(product, variant),
});

/** Whether any of what a product costs is less than before. */
const isLessBy = (of: Costs["of"]): Costs["isLess"] => {
  const isLess = ({ now, before }: Cost) => before !== null && before > now;
  return (product) =>
    product.variants.length === 0
      ? isLess(of(product))
      : product.variants.some((variant) => isLess(of(product, variant)));
};

/** What goods cost while there is no offer on them. */
const USUAL_COSTS: Costs = { of: usual, span: priceSpan, isLess: isLessBy(usual) };

/** What lists of goods are put in order by; undefined: by what goods usually cost, which lists know by themselves. */
export const listedCosts = (costs: Costs): Costs | undefined => (costs === USUAL_COSTS ? undefined : costs);

const known = new WeakMap<readonly Offer[], WeakMap<Goods, Map<string, Costs>>>();

/** What a product costs, by its variants' ids, or "" for itself. */
type Kept = WeakMap<Product, Map<string, Cost>>;
const keptBySales = new WeakMap<readonly Offer[], Map<string, Kept>>();

/**
 * What single pieces cost with the offers that hold for everybody just now: as a cart with nothing else in it. The same object for as long as
 * goods and what holds are the same: lists of ten thousand are put in order by it.
 */
export function costsOf({ offers, goods, asked }: { offers: readonly Offer[]; goods: Goods; asked: Asked }): Costs {
  const sales = offers.filter((offer) => isSale(offer) && holds(offer.conditions, asked) !== false);
  if (sales.length === 0) return USUAL_COSTS;
  let ofOffers = known.get(offers);
  if (!ofOffers) known.set(offers, (ofOffers = new WeakMap<Goods, Map<string, Costs>>()));
  const key = sales.map(({ id }) => id).join(" ");
  // What is in a collection may change with the rest of the goods. Otherwise a product costs the same for as long as it is the same, and of
  // ten thousand a change leaves all but a few as they are.
  const byProductAlone = sales.every((sale) => sale.goods.collections.length === 0);
  const kept = () => (byProductAlone ? remembered(keptBySales, offers, key, (): Kept => new WeakMap()) : new WeakMap());
  return remembered(ofOffers, goods, key, () => salesCosts(sales, goods, asked, kept()));
}

function salesCosts(sales: readonly Offer[], goods: Goods, asked: Asked, kept: Kept): Costs {
  const of = (product: Product, variant?: Variant): Cost => {
    let costs = kept.get(product);
    if (!costs) kept.set(product, (costs = new Map<string, Cost>()));
    const id = variant?.id ?? "";
    let cost = costs.get(id);
    if (!cost) costs.set(id, (cost = worked(product, variant)));
    return cost;
  };
  const worked = (product: Product, variant?: Variant): Cost => {
    const { full, total } = price({ lines: [{ product, variant, count: 1 }], offers: sales, codes: [], goods, asked });
    // What it cost just before is what the offer is measured by, not what it may have cost once.
    return total < full ? { now: total, before: full } : usual(product, variant);
  };
  const span: Costs["span"] = (product) => {
    if (product.variants.length === 0) {
      const { now } = of(product);
      return { least: now, most: now };
    }
    const all = product.variants.map((variant) => of(product, variant).now);
    return { least: Math.min(...all), most: Math.max(...all) };
  };
  return { of, span, isLess: isLessBy(of) };
}
