import { z } from "zod";
import { ruleSchema, type Rule as GoodsAsk } from "../goods";
import { datesSchema, timesSchema, type DateRule, type TimeRule } from "./times";

// What can be asked before something shows. A rule is plain data; `not` turns it round.

/** The sorts of pages that a shop has; `other`: what is only said, such as thanks for signing up. */
export const PAGE_SORTS = [
  "home",
  "product",
  "collection",
  "post",
  "page",
  "search",
  "cart",
  "checkout",
  "thanks",
  "order",
  "sign-in",
  "account",
  "gift-card",
  "not-found",
  "other",
] as const;
export type PageSort = (typeof PAGE_SORTS)[number];

type Turned = { readonly not?: true | undefined };

/** On pages of these sorts, and on these pages of the seller's own. */
export type PageRule = Turned & {
  readonly when: "pages";
  readonly sorts?: readonly PageSort[] | undefined;
  readonly pages?: readonly string[] | undefined;
};
/**
 * On the page of a product that is one of these or in one of these collections, where any are named, and of which everything else that is asked is
 * true; on the page of a collection that is named, where nothing else is asked.
 */
export type GoodsRule = Turned & {
  readonly when: "goods";
  readonly products?: readonly string[] | undefined;
  readonly collections?: readonly string[] | undefined;
  readonly asks?: readonly GoodsAsk[] | undefined;
};
/** `came`: by a link that says of itself where it stands, `?from=…`, within the last thirty days. */
export type VisitorRule = Turned & {
  readonly when: "visitor";
  readonly is: "new" | "returning" | "subscribed" | "signed-in" | "bought" | "came";
  readonly by?: string | undefined;
};
/** `from` and `under`: what it is worth, in minor units of the shop's currency, or how many pieces are in it. */
export type CartRule = Turned & {
  readonly when: "cart";
  readonly asks: "empty" | "worth" | "number" | "goods";
  readonly from?: number | undefined;
  readonly under?: number | undefined;
  readonly products?: readonly string[] | undefined;
  readonly collections?: readonly string[] | undefined;
};
/** In these countries, by their codes of two letters (ISO 3166-1). */
export type CountryRule = Turned & { readonly when: "country"; readonly countries: readonly string[] };

export type Rule = DateRule | TimeRule | PageRule | GoodsRule | VisitorRule | CartRule | CountryRule;
/** One of these is enough. */
export type AnyOf = { readonly when: "any"; readonly of: readonly Rule[] };
export type Condition = Rule | AnyOf;

const not = z.literal(true).optional();
const MOST_NAMED = 500;
const ids = (what: string) =>
  z.array(z.string().min(1).max(80)).max(MOST_NAMED, `Those are too many ${what}.`).optional();
const amount = z.number().int().min(0, "It can’t be less than nothing.").max(1e12).optional();
const some = (list: readonly unknown[] | undefined) => (list?.length ?? 0) > 0;

const pages = z
  .strictObject({
    when: z.literal("pages"),
    sorts: z.array(z.enum(PAGE_SORTS)).max(PAGE_SORTS.length).optional(),
    pages: ids("pages"),
    not,
  })
  .refine((rule) => some(rule.sorts) || some(rule.pages), "Choose at least one page.");
const goods = z
  .strictObject({
    when: z.literal("goods"),
    products: ids("products"),
    collections: ids("collections"),
    asks: z.array(ruleSchema).max(10, "Those are too many questions.").optional(),
    not,
  })
  .refine(
    (rule) => some(rule.products) || some(rule.collections) || some(rule.asks),
    "Choose goods, or ask something of them.",
  );
const visitor = z
  .strictObject({
    when: z.literal("visitor"),
    is: z.enum(["new", "returning", "subscribed", "signed-in", "bought", "came"]),
    by: z.string().trim().max(60, "Sixty letters at most.").optional(),
    not,
  })
  .refine((rule) => rule.is !== "came" || some([...(rule.by ?? "")]), "Say what the link has after “from=”.");
const cart = z
  .strictObject({
    when: z.literal("cart"),
    asks: z.enum(["empty", "worth", "number", "goods"]),
    from: amount,
    under: amount,
    products: ids("products"),
    collections: ids("collections"),
    not,
  })
  .refine(
    (rule) => !["worth", "number"].includes(rule.asks) || rule.from !== undefined || rule.under !== undefined,
    "Say from how much on, or up to how much.",
  )
  .refine(
    (rule) => rule.from === undefined || rule.under === undefined || rule.from < rule.under,
    "It ends before it begins: the first has to be the smaller one.",
  )
  .refine((rule) => rule.asks !== "goods" || some(rule.products) || some(rule.collections), "Choose goods.");
const country = z.strictObject({
  when: z.literal("country"),
  countries: z
    .array(z.string().regex(/^[A-Z]{2}$/))
    .min(1, "Choose at least one country.")
    .max(250),
  not,
});
const rule = z.union([datesSchema, timesSchema, pages, goods, visitor, cart, country]);
const anyOf = z.strictObject({ when: z.literal("any"), of: z.array(rule).min(2).max(12) });

/** The most rules that one thing has. */
const MOST_RULES = 20;

/** What has to hold for something to show: all of it. At most one rule of dates and one of hours stand by themselves. */
export const conditionsSchema: z.ZodType<readonly Condition[]> = z
  .array(z.union([rule, anyOf]))
  .refine((all) => rulesIn(all).length <= MOST_RULES, "Those are too many rules.")
  .refine(
    (all) => (["dates", "times"] as const).every((when) => all.filter((c) => c.when === when).length < 2),
    "There can be one rule of each sort.",
  );

/** Every rule of conditions, those of which one is enough among them. */
export const rulesIn = (conditions: readonly Condition[]): readonly Rule[] =>
  conditions.flatMap((each): readonly Rule[] => (each.when === "any" ? each.of : [each]));

/** What rules ask about that is not the same for everybody: the page is drawn for whoever asks. */
export const PERSONAL = ["visitor", "cart", "country"] as const;
export type Personal = (typeof PERSONAL)[number];

/** Which of those conditions ask about. */
export const personalIn = (conditions: readonly Condition[]): ReadonlySet<Personal> =>
  new Set(rulesIn(conditions).flatMap(({ when }) => PERSONAL.filter((each) => each === when)));

/** What rules name: pages and goods, by their ids. */
export type Named = { readonly to: "page" | "product" | "collection"; readonly id: string };

/**
 * Conditions with what they name changed; the same object where nothing is. What is gone stays named: what was for one product only must not
 * show everywhere once that is removed.
 */
export function mapNamed(conditions: readonly Condition[], map: (named: Named) => string): readonly Condition[] {
  const list = (to: Named["to"], had: readonly string[] | undefined) => {
    const next = had?.map((id) => map({ to, id }));
    return next?.some((id, i) => id !== had![i]) ? next : had;
  };
  const mapped = (rule: Rule): Rule => {
    if (rule.when === "pages") {
      const next = list("page", rule.pages);
      return next === rule.pages ? rule : { ...rule, pages: next };
    }
    if (rule.when !== "goods" && rule.when !== "cart") return rule;
    const products = list("product", rule.products);
    const collections = list("collection", rule.collections);
    return products === rule.products && collections === rule.collections ? rule : { ...rule, products, collections };
  };
  const next = conditions.map((each): Condition => {
    if (each.when !== "any") return mapped(each);
    const of = each.of.map(mapped);
    return of.some((rule, i) => rule !== each.of[i]) ? { ...each, of } : each;
  });
  return next.some((each, i) => each !== conditions[i]) ? next : conditions;
}
