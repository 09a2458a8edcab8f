import { RULE_FIELDS, RULE_OPS, type Rule as GoodsAsk } from "../goods";
import { listed, timeWords } from "./times";
import type { CartRule, Condition, GoodsRule, PageRule, PageSort, Rule, VisitorRule } from "./rules";

// Conditions in words, as one reads them after "Shows".

/** What a shop calls what rules name by an id, in quotation marks where that is a name, and how it writes money. */
export type Names = {
  readonly page: (id: string) => string;
  readonly product: (id: string) => string;
  readonly collection: (id: string) => string;
  readonly country: (code: string) => string;
  /** Minor units. */
  readonly money: (amount: number) => string;
};

export const PAGE_SORT_WORDS: Readonly<Record<PageSort, string>> = {
  home: "the home page",
  product: "product pages",
  collection: "collection pages",
  post: "posts",
  page: "other pages of your own",
  search: "the search page",
  checkout: "the checkout",
  thanks: "the page that says thank you",
  order: "the page of an order",
  "sign-in": "the page to sign in",
  account: "the account",
  "gift-card": "the page of gift cards",
  cart: "the cart",
  "not-found": "the page for what isn’t found",
  other: "short messages",
};

const quoted = (name: string): string => `“${name}”`;

const pageWords = (rule: PageRule, names: Names): string => {
  const all = [
    ...(rule.sorts ?? []).map((sort) => PAGE_SORT_WORDS[sort]),
    ...(rule.pages ?? []).map((id) => names.page(id)),
  ];
  return rule.not ? `on all pages but ${listed(all)}` : `on ${listed(all)}`;
};

/** What is asked of goods in words, to stand after "goods": "whose price is less than 20". */
function askWords({ field, name, op, value }: GoodsAsk): string {
  if (op === "yes" || op === "no") {
    const is = op === "yes" ? "are" : "are not";
    return field === "reduced" ? `that ${is} reduced` : `that ${is} featured`;
  }
  const what = field === "attribute" ? quoted(name ?? "") : RULE_FIELDS[field].label.toLowerCase();
  return `whose ${what} ${RULE_OPS[op]} ${quoted(value)}`;
}

const namedWords = (rule: Pick<GoodsRule, "products" | "collections">, names: Names): readonly string[] => [
  ...(rule.products ?? []).map((id) => names.product(id)),
  ...(rule.collections ?? []).map((id) => `goods of ${names.collection(id)}`),
];

function goodsWords(rule: GoodsRule, names: Names): string {
  const all = namedWords(rule, names);
  const asks = (rule.asks ?? []).map(askWords);
  const which = `${all.length ? listed(all) : "goods"}${asks.length ? ` ${listed(asks)}` : ""}`;
  return rule.not ? `not for ${which}` : `for ${which}`;
}

function visitorWords(rule: VisitorRule): string {
  const who = {
    new: "new visitors",
    returning: "visitors who come again",
    subscribed: "those who get your letters",
    "signed-in": "those who are signed in",
    bought: "those who have bought before",
    came: `those who came by a link with ${quoted(`from=${rule.by ?? ""}`)}`,
  }[rule.is];
  return rule.not ? `not to ${who}` : `to ${who}`;
}

function cartWords(rule: CartRule, names: Names): string {
  const much = (words: (n: number) => string) =>
    rule.from !== undefined && rule.under !== undefined
      ? `${words(rule.from)} or more, but less than ${words(rule.under)}`
      : rule.from !== undefined
        ? `${words(rule.from)} or more`
        : `less than ${words(rule.under ?? 0)}`;
  const what = {
    empty: () => "the cart is empty",
    worth: () => `the cart is worth ${much(names.money)}`,
    number: () => `${much(String)} pieces are in the cart`,
    goods: () => `the cart holds ${listed(namedWords(rule, names))}`,
  }[rule.asks]();
  return rule.not ? `unless ${what}` : `while ${what}`;
}

/** A rule in words, as it reads after "Shows"; empty where it says nothing. */
export function ruleWords(rule: Rule, names: Names): string {
  switch (rule.when) {
    case "dates":
    case "times": {
      const words = timeWords(rule);
      return rule.not && words ? `not ${words}` : words;
    }
    case "pages":
      return pageWords(rule, names);
    case "goods":
      return goodsWords(rule, names);
    case "visitor":
      return visitorWords(rule);
    case "cart":
      return cartWords(rule, names);
    case "country": {
      const all = listed(rule.countries.map(names.country));
      return rule.not ? `to visitors from anywhere but ${all}` : `to visitors from ${all}`;
    }
  }
}

/** Conditions in words, to stand after "Shows": "from 24 Oct 2026 until the end of 3 Nov 2026, on product pages, either to new visitors or while the cart is empty". */
export function explain(conditions: readonly Condition[], names: Names): string {
  const parts = conditions
    .map((each) =>
      each.when === "any"
        ? `either ${each.of.map((rule) => ruleWords(rule, names)).join(" or ")}`
        : ruleWords(each, names),
    )
    .filter(Boolean);
  return parts.length ? parts.join(", ") : "at any time";
}
