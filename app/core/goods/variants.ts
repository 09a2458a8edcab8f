import type { Minor } from "../money";
import { canBuy, stateOf } from "./availability";
import type { Option, Product, Variant } from "./types";

/** What is chosen of each option, in their order; undefined where nothing is yet. */
export type ChosenValues = readonly (string | undefined)[];

/** Every combination of values, the last option turning fastest. Without options there is none. */
export function combinationsOf(options: readonly Option[]): readonly (readonly string[])[] {
  if (options.length === 0) return [];
  return options.reduce<readonly (readonly string[])[]>(
    (done, option) => done.flatMap((values) => option.values.map((v) => [...values, v.name])),
    [[]],
  );
}

export const variantFor = (product: Product, choice: ChosenValues): Variant | undefined =>
  product.variants.find((v) => v.values.every((value, i) => value === choice[i]));

export const variantById = (product: Product, id: string | null | undefined): Variant | undefined =>
  id ? product.variants.find((v) => v.id === id) : undefined;

/** The variant that a page shows before anybody chose: the first that can be bought, or the first. */
export const firstVariant = (product: Product): Variant | undefined =>
  product.variants.find((v) => canBuy(product, v)) ?? product.variants[0];

export type ValueState = "free" | "unavailable" | "none";

/**
 * Whether choosing `value` of an option leads, with all else that is chosen, to something that can be bought (`free`), to
 * something that can't be just now (`unavailable`), or to nothing that there is (`none`).
 */
export function valueState(product: Product, choice: ChosenValues, option: number, value: string): ValueState {
  const fitting = product.variants.filter((v) =>
    v.values.every((each, i) => (i === option ? each === value : choice[i] === undefined || each === choice[i])),
  );
  if (fitting.length === 0) return "none";
  return fitting.some((v) => canBuy(product, v)) ? "free" : "unavailable";
}

export const priceOf = (product: Product, variant?: Variant): Minor => variant?.price ?? product.price;
export const compareAtOf = (product: Product, variant?: Variant): Minor | null =>
  variant && variant.price !== null ? variant.compareAt : (variant?.compareAt ?? product.compareAt);

/** Whether there is a price to show: what is only coming may have none yet. */
export const hasPrice = (product: Product, variant?: Variant): boolean =>
  stateOf(product, variant) !== "coming-soon" || (variant ? priceOf(product, variant) : priceSpan(product).most) > 0;

/** Lowest and highest price of a product's variants; the price itself, twice, where it has none. */
export function priceSpan(product: Product): { readonly least: Minor; readonly most: Minor } {
  if (product.variants.length === 0) return { least: product.price, most: product.price };
  const prices = product.variants.map((v) => priceOf(product, v));
  return { least: Math.min(...prices), most: Math.max(...prices) };
}

/**
 * A product's variants for changed options: those whose values are still there stay what they are, new combinations are
 * added, the others go. An option that is renamed keeps its place and so its values.
 */
export function withOptions(product: Product, options: readonly Option[], id: () => string): Product {
  const old = new Map(product.variants.map((v) => [JSON.stringify(v.values), v]));
  const places = options.map((option) => product.options.findIndex((o) => o.name === option.name));
  const kept = (values: readonly string[]): Variant | undefined => {
    const same = old.get(JSON.stringify(values));
    if (same) return same;
    // An option was added, taken away or moved: the variant that agrees in what both have.
    const wanted = product.options.map((_, i) => {
      const at = places.indexOf(i);
      return at < 0 ? undefined : values[at];
    });
    return product.variants.find((v) => v.values.every((value, i) => wanted[i] === undefined || wanted[i] === value));
  };
  const taken = new Set<string>();
  const variants = combinationsOf(options).map((values): Variant => {
    const from = kept(values);
    const fresh: Variant = {
      id: id(),
      values,
      sku: "",
      price: null,
      compareAt: null,
      stock: null,
      barcode: "",
      weight: null,
      picture: null,
      availability: null,
    };
    if (!from) return fresh;
    // Where one variant becomes several, the first keeps its stock and number; the others are new things.
    if (taken.has(from.id)) return { ...fresh, price: from.price, compareAt: from.compareAt, picture: from.picture };
    taken.add(from.id);
    return { ...from, values };
  });
  return { ...product, options, variants };
}

/** One picture, price or number for all variants that have a value: "all that are Dawn". */
export const withForValue = (
  product: Product,
  option: number,
  value: string,
  change: Partial<Omit<Variant, "id" | "values">>,
): Product => ({
  ...product,
  variants: product.variants.map((v) => (v.values[option] === value ? { ...v, ...change } : v)),
});
