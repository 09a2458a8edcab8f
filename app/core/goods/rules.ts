import { z } from "zod";
import { dayIn, daysBetween, type OnDay } from "../situation";
import { stateOf } from "./availability";
import { AVAILABILITIES, type Product } from "./types";
import { valuesOf } from "./values";
import { priceSpan } from "./variants";

/** What a rule of a collection can ask about, and how. */
export const RULE_FIELDS = {
  title: { label: "Title", ops: ["has", "hasnt", "is"] },
  tag: { label: "Tag", ops: ["is", "isnt"] },
  attribute: { label: "Attribute", ops: ["is", "isnt"] },
  price: { label: "Price", ops: ["under", "from"] },
  reduced: { label: "Price is reduced", ops: ["yes", "no"] },
  availability: { label: "Availability", ops: ["is", "isnt"] },
  stock: { label: "Stock", ops: ["under", "from"] },
  weight: { label: "Weight in grams", ops: ["under", "from"] },
  age: { label: "Days since it was brought in", ops: ["under", "from"] },
  featured: { label: "Featured", ops: ["yes", "no"] },
  rating: { label: "Stars", ops: ["from", "under"] },
} as const;
export type RuleField = keyof typeof RULE_FIELDS;
export const RULE_OPS = {
  is: "is",
  isnt: "is not",
  has: "has the word",
  hasnt: "has not the word",
  under: "is less than",
  from: "is at least",
  yes: "yes",
  no: "no",
} as const;
export type RuleOp = keyof typeof RULE_OPS;

export type Rule = {
  readonly field: RuleField;
  /** Which attribute; for that field only. */
  readonly name?: string | undefined;
  readonly op: RuleOp;
  readonly value: string;
};
/** `all`: every rule has to be met; otherwise one of them is enough. */
export type CollectionRules = { readonly all: boolean; readonly rules: readonly Rule[] };

const NUMBERS: ReadonlySet<RuleField> = new Set(["price", "stock", "weight", "age", "rating"]);
export const isNumberRule = (field: RuleField): boolean => NUMBERS.has(field);

/** A rule that can be kept, with a reason where it can't. */
export const ruleSchema: z.ZodType<Rule> = z
  .strictObject({
    field: z.enum(Object.keys(RULE_FIELDS) as [RuleField, ...RuleField[]]),
    name: z.string().max(80).optional(),
    op: z.enum(Object.keys(RULE_OPS) as [RuleOp, ...RuleOp[]]),
    value: z.string().trim().max(120),
  })
  .superRefine((rule, context) => {
    const why = ruleProblem(rule);
    if (why) context.addIssue({ code: "custom", message: why });
  });
export const rulesSchema: z.ZodType<CollectionRules> = z.strictObject({
  all: z.boolean(),
  rules: z.array(ruleSchema).min(1, "A collection by rules needs one rule at least.").max(20),
});

/** Why a rule can't be kept; undefined where it can. */
export function ruleProblem(rule: Rule): string | undefined {
  if (!(RULE_FIELDS[rule.field].ops as readonly string[]).includes(rule.op)) return "This can’t be asked here.";
  if (rule.op === "yes" || rule.op === "no") return undefined;
  if (rule.field === "attribute" && !rule.name) return "Choose an attribute.";
  if (rule.value === "") return "Say what it is compared with.";
  if (NUMBERS.has(rule.field) && !/^\d{1,9}([.,]\d{1,3})?$/.test(rule.value)) return `“${rule.value}” is not a number.`;
  if (rule.field === "availability" && !(AVAILABILITIES as readonly string[]).includes(rule.value))
    return "Choose a state.";
  return undefined;
}

const plain = (text: string) => text.trim().toLowerCase();

/** Whether a product meets a rule. `digits`: those of the shop's currency; `on`: the day on which it is asked. */
export function meets(product: Product, { field, name, op, value }: Rule, digits: number, on: OnDay): boolean {
  const among = (list: readonly string[]) => list.some((each) => plain(each) === plain(value)) === (op === "is");
  const number = (is: number | null) => {
    if (is === null) return false;
    const wanted = Number(value.replace(",", "."));
    return op === "under" ? is < wanted : is >= wanted;
  };
  switch (field) {
    case "title":
      return op === "is"
        ? plain(product.title) === plain(value)
        : plain(product.title).includes(plain(value)) === (op === "has");
    case "tag":
      return among(product.tags);
    case "attribute":
      return among(name === undefined ? [] : valuesOf(product, name));
    case "price":
      return number(priceSpan(product).least / 10 ** digits);
    case "reduced":
      return (
        ((product.compareAt !== null && product.compareAt > product.price) ||
          product.variants.some((v) => v.compareAt !== null && v.compareAt > (v.price ?? product.price))) ===
        (op === "yes")
      );
    case "availability":
      return (stateOf(product) === value) === (op === "is");
    case "stock":
      return number(
        product.variants.length ? product.variants.reduce((sum, v) => sum + (v.stock ?? 0), 0) : product.stock,
      );
    case "weight":
      return number(product.weight);
    case "age":
      return number(daysBetween(dayIn(Date.parse(product.createdAt), on.timeZone), on.day));
    case "featured":
      return product.featured === (op === "yes");
    case "rating":
      return number(product.rating?.average ?? null);
  }
}

/** Whether a product belongs to a collection by its rules. */
export const meetsRules = (product: Product, { all, rules }: CollectionRules, digits: number, on: OnDay): boolean =>
  all ? rules.every((r) => meets(product, r, digits, on)) : rules.some((r) => meets(product, r, digits, on));
