import type { Goods } from "../goods";
import { FIRST_VISIT, type OnDay, type PageShown, type Person } from "../situation";
import { ruleHolds, type Asked } from "./holds";
import { rulesIn, type Condition, type Rule } from "./rules";

// Where conditions hold, and whether they ever can. Everything that can be the case is tried: rules only see a few differences
// between pages, or between shoppers, so that few cases are left.

/** What each rule says in a case; undefined where the case does not decide it. */
type Vector = readonly (boolean | undefined)[];

/** The cases that some rules can tell apart, by what all rules say in them, with how many of each there are. The others say nothing. */
function apart(
  rules: readonly Rule[],
  decided: (rule: Rule) => boolean,
  cases: readonly Asked[],
): readonly { readonly vector: Vector; readonly count: number }[] {
  const found = new Map<string, { vector: Vector; count: number }>();
  const asked = rules.map(decided);
  for (const each of cases) {
    const vector = rules.map((rule, i) => (asked[i] ? ruleHolds(rule, each) : undefined));
    const key = vector.join();
    const known = found.get(key);
    if (known) known.count++;
    else found.set(key, { vector, count: 1 });
  }
  return [...found.values()];
}

/** Carts that rules can tell apart: empty, and at each amount that is named, with and without each of the goods that are. */
function cartsFor(rules: readonly Rule[], goods: Goods): readonly Person["cart"][] {
  const asked = rules.filter((rule) => rule.when === "cart");
  const edges = (of: "worth" | "number") =>
    asked.flatMap((rule) =>
      rule.asks === of ? [rule.from, rule.under].flatMap((n) => (n === undefined ? [] : [n - 1, n])) : [],
    );
  // One of each sort of products that rules can tell apart.
  const holding = asked.filter((rule) => rule.asks === "goods");
  const kinds = new Map<string, string>();
  for (const { id } of holding.length ? goods.products : []) {
    const one = inCart({ count: 1, worth: 1, products: [id] }, goods);
    const key = holding.map((rule) => ruleHolds(rule, one)).join();
    if (!kinds.has(key)) kinds.set(key, id);
  }
  const few = [...kinds.values()].slice(0, 6);
  const held = Array.from({ length: 2 ** few.length }, (_, bits) => few.filter((_id, i) => bits & (1 << i)));
  const counts = edges("number");
  const worths = new Set([1, ...edges("worth")]);
  return [
    FIRST_VISIT.cart,
    ...held.flatMap((products) => {
      // As many pieces as there are different goods are in a cart at least.
      const least = Math.max(1, products.length);
      return [...new Set([least, ...counts])].flatMap((count) =>
        [...worths].flatMap((worth) => (count >= least && worth >= 0 ? [{ count, worth, products }] : [])),
      );
    }),
  ];
}

const inCart = (cart: Person["cart"], goods: Goods): Asked => ({ clock: "", person: { ...FIRST_VISIT, cart }, goods });

function personsFor(rules: readonly Rule[], goods: Goods): readonly (readonly Asked[])[] {
  const links = ["", ...rules.flatMap((rule) => (rule.when === "visitor" && rule.by ? [rule.by] : []))];
  const visitors = [1, 2].flatMap((visits) =>
    links.flatMap((by) =>
      [true, false].flatMap((isSubscribed) =>
        [true, false].flatMap((isSignedIn) =>
          [true, false].map((hasBought) => ({ visits, by, isSubscribed, isSignedIn, hasBought })),
        ),
      ),
    ),
  );
  const countries = ["", ...rules.flatMap((rule) => (rule.when === "country" ? rule.countries : []))];
  const only = (when: Rule["when"], persons: readonly Partial<Person>[]): readonly Asked[] =>
    rules.some((rule) => rule.when === when)
      ? persons.map((each) => ({ clock: "", person: { ...FIRST_VISIT, ...each }, goods }))
      : [];
  return [
    only(
      "visitor",
      visitors.map((each) => ({ visitor: each })),
    ),
    only(
      "cart",
      cartsFor(rules, goods).map((each) => ({ cart: each })),
    ),
    only(
      "country",
      countries.map((each) => ({ country: each })),
    ),
  ];
}

const PAGE_RULES: ReadonlySet<Rule["when"]> = new Set(["pages", "goods"]);
const PERSON_CASES = ["visitor", "cart", "country"] as const;

/** Where something with these conditions shows, of the pages on which it stands. */
export type Reach = {
  /** Pages on which it can show at that time, whoever looks. */
  readonly pages: number;
  /** Whether anybody can ever see it, as far as pages and shoppers decide it. */
  readonly can: boolean;
};

/** Where and whether conditions can hold. `pages`: those on which what has them stands. `on`: the day that goods are asked about. */
export function reachOf(
  conditions: readonly Condition[],
  pages: readonly PageShown[],
  clock: string,
  on: OnDay,
  goods: Goods,
): Reach {
  const rules = rulesIn(conditions);
  const at = new Map(rules.map((rule, i) => [rule, i]));
  /** Whether conditions can hold where rules say this; what is not decided is taken to come. */
  const canHold = (says: (i: number) => boolean | undefined): boolean =>
    conditions.every((each) => (each.when === "any" ? each.of : [each]).some((rule) => says(at.get(rule)!) ?? true));
  const onPages = apart(
    rules,
    ({ when }) => PAGE_RULES.has(when),
    pages.map((page): Asked => ({ clock, on, page, goods })),
  );
  const now = rules.map((rule) => ruleHolds(rule, { clock }));
  const reached = onPages
    .filter(({ vector }) => canHold((i) => vector[i] ?? now[i]))
    .reduce((sum, { count }) => sum + count, 0);
  // Each rule is decided by one of these; what none decides, time does.
  const axes = [
    onPages,
    ...personsFor(rules, goods).map((persons, n) => apart(rules, ({ when }) => when === PERSON_CASES[n], persons)),
  ].filter((each) => each.length > 0);
  let known: readonly Vector[] = [rules.map(() => undefined)];
  for (const axis of axes) {
    const next = new Map<string, Vector>();
    for (const vector of known)
      for (const more of axis) {
        const both = vector.map((is, i) => is ?? more.vector[i]);
        next.set(both.join(), both);
      }
    known = [...next.values()];
  }
  const can = known.some((vector) => canHold((i) => vector[i]));
  return { pages: reached, can: can && (pages.length > 0 || rules.every((rule) => !PAGE_RULES.has(rule.when))) };
}
