import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { BY_ID, conditions, FEW_GOODS, PAGES, PERSONS, rule } from "../fixtures/conditions";
import type { PageShown, Person } from "../situation";
import { against, conditionsSchema, explain, holds, mapNamed, personalIn, reachOf, type Condition, type Rule } from ".";

const on = FEW_GOODS.asOf;
const clock = "2026-11-30T12:00";
const page = fc.constantFrom(...PAGES);
const person = fc.constantFrom(...PERSONS);

const IN: Readonly<Record<string, readonly string[]>> = { kites: ["a", "b"], gifts: ["b"] };
const PRICES: Readonly<Record<string, number>> = { a: 5, b: 25, c: 90 };
const NEW = ["a", "c"];

/** The same, said another way: which pages and shoppers a rule means, one by one. */
function means(each: Rule, at: PageShown, who: Person): boolean {
  const inNamed = (
    id: string,
    {
      products = [],
      collections = [],
    }: { products?: readonly string[] | undefined; collections?: readonly string[] | undefined },
  ) => [...products, ...collections.flatMap((c) => IN[c]!)].includes(id);
  const plainly = (): boolean => {
    switch (each.when) {
      case "pages":
        return [...(each.sorts ?? []), ...(each.pages ?? []).map((id) => `= ${id}`)].some(
          (one) => one === at.sort || one === `= ${at.page}`,
        );
      case "goods": {
        const [ask] = each.asks ?? [];
        if (at.product === undefined) return !ask && (each.collections ?? []).some((c) => c === at.collection);
        if (ask?.field === "price") return PRICES[at.product]! < Number(ask.value);
        if (ask?.field === "tag") return NEW.includes(at.product);
        return inNamed(at.product, each);
      }
      case "visitor":
        if (each.is === "came") return who.visitor.by === each.by;
        return {
          new: who.visitor.visits === 1,
          returning: who.visitor.visits === 2,
          subscribed: who.visitor.isSubscribed,
          "signed-in": who.visitor.isSignedIn,
          bought: who.visitor.hasBought,
        }[each.is];
      case "cart": {
        const { count, worth, products } = who.cart;
        if (each.asks === "empty") return count === 0;
        if (each.asks === "goods") return products.some((id) => inNamed(id, each));
        const n = each.asks === "worth" ? worth : count;
        return !(n < (each.from ?? -1)) && !(n >= (each.under ?? 1e9));
      }
      case "country":
        return each.countries.some((code) => code === who.country);
      default:
        throw new Error("no matter of time here");
    }
  };
  return each.not ? !plainly() : plainly();
}

const allMeant = (all: readonly Condition[], at: PageShown, who: Person): boolean =>
  !all.some((each) => !(each.when === "any" ? each.of : [each]).some((one) => means(one, at, who)));

describe("whether conditions hold", () => {
  it("is what another evaluator says, on any page and for anybody", () => {
    fc.assert(
      fc.property(conditions, page, person, (all, at, who) => {
        const asked = { clock, on, page: at, person: who, goods: FEW_GOODS };
        expect(holds(all, asked)).toBe(allMeant(all, at, who));
        expect(against(all, asked) === undefined).toBe(allMeant(all, at, who));
      }),
      { numRuns: 5_000 },
    );
  });

  it("is said without knowing the page or the shopper only where these could not change it", () => {
    fc.assert(
      fc.property(conditions, page, person, fc.boolean(), fc.boolean(), (all, at, who, withPage, withPerson) => {
        const known = holds(all, {
          clock,
          on,
          goods: FEW_GOODS,
          page: withPage ? at : undefined,
          person: withPerson ? who : undefined,
        });
        if (known !== undefined) expect(known).toBe(allMeant(all, at, who));
        if (withPage && withPerson) expect(known).toBeDefined();
      }),
      { numRuns: 3_000 },
    );
  });

  it("depends on who looks only where it says so", () => {
    fc.assert(
      fc.property(conditions, page, person, person, (all, at, one, other) => {
        const asks = personalIn(all);
        const same = {
          visitor: asks.has("visitor") ? other.visitor : one.visitor,
          cart: asks.has("cart") ? other.cart : one.cart,
          country: asks.has("country") ? other.country : one.country,
        };
        const as = (who: Person) => holds(all, { clock, on, page: at, person: who, goods: FEW_GOODS });
        expect(as(same)).toBe(as(other));
      }),
      { numRuns: 1_000 },
    );
  });
});

describe("where conditions hold", () => {
  it("counts the pages on which somebody can see it, and says when nobody ever can", () => {
    fc.assert(
      fc.property(conditions, (all) => {
        const { pages, can } = reachOf(all, PAGES, clock, on, FEW_GOODS);
        const can2 = PAGES.some((at) => PERSONS.some((who) => allMeant(all, at, who)));
        expect(can).toBe(can2);
        const shown = PAGES.filter((at) => PERSONS.some((who) => allMeant(all, at, who))).length;
        // Rules of shoppers that contradict one another are found by `can`.
        expect(pages).toBeGreaterThanOrEqual(shown);
      }),
      { numRuns: 400 },
    );
  });

  it.each<readonly [string, readonly Condition[], boolean]>([
    [
      "product pages that are the cart",
      [
        { when: "pages", sorts: ["product"] },
        { when: "pages", sorts: ["cart"] },
      ],
      false,
    ],
    ["goods that there are none of", [{ when: "goods", asks: [{ field: "price", op: "from", value: "1000" }] }], false],
    [
      "somebody new who comes again",
      [
        { when: "visitor", is: "new" },
        { when: "visitor", is: "returning" },
      ],
      false,
    ],
    [
      "an empty cart worth something",
      [
        { when: "cart", asks: "empty" },
        { when: "cart", asks: "worth", from: 1_000 },
      ],
      false,
    ],
    [
      "a cart between two amounts",
      [
        { when: "cart", asks: "worth", from: 1_000, under: 5_000 },
        { when: "cart", asks: "worth", from: 4_999 },
      ],
      true,
    ],
    [
      "a cart with two things in it",
      [
        { when: "cart", asks: "goods", products: ["a"] },
        { when: "cart", asks: "goods", products: ["b"] },
      ],
      true,
    ],
    [
      "two countries at once",
      [
        { when: "country", countries: ["IE"] },
        { when: "country", countries: ["FR"] },
      ],
      false,
    ],
    [
      "one of two that contradict",
      [
        {
          when: "any",
          of: [
            { when: "visitor", is: "new" },
            { when: "visitor", is: "returning" },
          ],
        },
      ],
      true,
    ],
  ])("%s", (_what, all, can) => expect(reachOf(all, PAGES, clock, on, FEW_GOODS).can).toBe(can));
});

// What `explain` says, read back: each rule begins in a way of its own.
const READ: readonly (readonly [RegExp, (m: RegExpExecArray) => Rule])[] = [
  [/^on all pages but (.*)$/, ([, list]) => ({ ...pagesFrom(list!), not: true })],
  [/^on (.*)$/, ([, list]) => pagesFrom(list!)],
  [/^(not )?for (.*)$/, ([, not, list]) => ({ ...goodsFrom(list!), not: not ? true : undefined })],
  [/^to visitors from anywhere but (.*)$/, ([, list]) => ({ when: "country", countries: names(list!), not: true })],
  [/^to visitors from (.*)$/, ([, list]) => ({ when: "country", countries: names(list!), not: undefined })],
  [
    /^(not )?to those who came by a link with “from=(.*)”$/,
    ([, not, by]) => ({ when: "visitor", is: "came", by: by!, not: not ? true : undefined }),
  ],
  [
    /^(not )?to (new visitors|visitors who come again|those who get your letters)$/,
    ([, not, who]) => ({
      when: "visitor",
      is: WHO[who!] ?? "subscribed",
      not: not ? true : undefined,
    }),
  ],
  [/^(while|unless) the cart is empty$/, ([, how]) => ({ when: "cart", asks: "empty", not: turned(how) })],
  [
    /^(while|unless) the cart is worth (\d+)p or more, but less than (\d+)p$/,
    ([, how, from, under]) => ({
      when: "cart",
      asks: "worth",
      from: Number(from),
      under: Number(under),
      not: turned(how),
    }),
  ],
  [
    /^(while|unless) (\d+) or more pieces are in the cart$/,
    ([, how, from]) => ({ when: "cart", asks: "number", from: Number(from), not: turned(how) }),
  ],
  [
    /^(while|unless) the cart holds (.*)$/,
    ([, how, list]) => ({ when: "cart", asks: "goods", products: ids("product", list!), not: turned(how) }),
  ],
];
const turned = (how: string | undefined) => (how === "unless" ? (true as const) : undefined);
const names = (list: string) => list.split(/, | and /);
const ids = (what: string, list: string) => [...list.matchAll(new RegExp(`“${what} (.*?)”`, "g"))].map(([, id]) => id!);
const WHO: Readonly<Record<string, "new" | "returning" | "signed-in" | "bought">> = {
  "new visitors": "new",
  "visitors who come again": "returning",
  "those who are signed in": "signed-in",
  "those who have bought before": "bought",
};
const SORTS: Readonly<Record<string, string>> = {
  "the home page": "home",
  "product pages": "product",
  "collection pages": "collection",
  posts: "post",
  "other pages of your own": "page",
  "the search page": "search",
  "the cart": "cart",
  "the checkout": "checkout",
  "the page that says thank you": "thanks",
  "the page of an order": "order",
  "the page to sign in": "sign-in",
  "the account": "account",
  "the page of gift cards": "gift-card",
  "the page for what isn’t found": "not-found",
  "short messages": "other",
};
const pagesFrom = (list: string): Rule => {
  const pages = ids("page", list);
  return pages.length
    ? { when: "pages", pages, not: undefined }
    : { when: "pages", sorts: names(list).map((each) => SORTS[each]) as never, not: undefined };
};
const goodsFrom = (list: string): Rule => {
  const [products, collections] = [ids("product", list), ids("collection", list)];
  if (products.length) return { when: "goods", products };
  if (collections.length) return { when: "goods", collections };
  return list.includes("price")
    ? { when: "goods", asks: [{ field: "price", op: "under", value: /less than “(.*)”/.exec(list)![1]! }] }
    : { when: "goods", asks: [{ field: "tag", op: "is", value: /tag is “(.*)”/.exec(list)![1]! }] };
};

describe("conditions in words", () => {
  it("say all of it: read back, they are the same", () => {
    fc.assert(
      fc.property(rule, (each) => {
        const words = explain([each], BY_ID);
        const [how, make] = READ.find(([pattern]) => pattern.test(words)) ?? [];
        expect(make, words).toBeDefined();
        const { not, ...rest } = each;
        expect(make!(how!.exec(words)!)).toEqual({ ...rest, not });
      }),
      { numRuns: 1_000 },
    );
  });

  it.each<readonly [readonly Condition[], string]>([
    [
      [
        { when: "pages", sorts: ["product"] },
        { when: "goods", collections: ["kites"] },
        { when: "dates", from: "2026-10-24T00:00", until: "2026-11-05T00:00" },
        { when: "visitor", is: "new" },
      ],
      "on product pages, for goods of “collection kites”, from 24 Oct 2026 until the end of 4 Nov 2026, to new visitors",
    ],
    [
      [
        {
          when: "any",
          of: [
            { when: "visitor", is: "returning" },
            { when: "cart", asks: "worth", from: 3_000 },
          ],
        },
      ],
      "either to visitors who come again or while the cart is worth 3000p or more",
    ],
    [
      [
        {
          when: "goods",
          products: ["a"],
          asks: [
            { field: "reduced", op: "yes", value: "" },
            { field: "attribute", name: "Colour", op: "isnt", value: "red" },
          ],
          not: true,
        },
      ],
      "not for “product a” that are reduced and whose “Colour” is not “red”",
    ],
    [[{ when: "times", days: [6, 7], not: true }], "not on weekends"],
  ])("%j", (all, words) => expect(explain(all, BY_ID)).toBe(words));
});

it("what is named is found and changed, wherever it stands, and stays the same object where nothing is", () => {
  const all: readonly Condition[] = [
    { when: "pages", pages: ["about"] },
    {
      when: "any",
      of: [
        { when: "goods", products: ["a"], collections: ["kites"] },
        { when: "cart", asks: "goods", products: ["b"] },
      ],
    },
  ];
  const seen: string[] = [];
  expect(mapNamed(all, ({ to, id }) => (seen.push(`${to} ${id}`), id))).toBe(all);
  expect(seen).toEqual(["page about", "product a", "collection kites", "product b"]);
  expect(JSON.stringify(mapNamed(all, ({ id }) => (id === "b" ? "z" : id)))).toContain('"products":["z"]');
});

it.each<readonly [unknown, RegExp]>([
  [[{ when: "pages" }], /at least one page/],
  [[{ when: "goods" }], /Choose goods/],
  [[{ when: "goods", asks: [{ field: "price", op: "under", value: "much" }] }], /not a number/],
  [[{ when: "visitor", is: "came", by: " " }], /after “from=”/],
  [[{ when: "cart", asks: "worth" }], /from how much/],
  [[{ when: "cart", asks: "worth", from: 50, under: 20 }], /the smaller one/],
  [[{ when: "cart", asks: "worth", from: -1 }], /less than nothing/],
  [[{ when: "country", countries: ["ireland"] }], /countries/],
  [[{ when: "any", of: [{ when: "visitor", is: "new" }] }], /of/],
  [
    [
      {
        when: "any",
        of: [
          { when: "any", of: [] },
          { when: "visitor", is: "new" },
        ],
      },
    ],
    /of/,
  ],
  [Array.from({ length: 21 }, () => ({ when: "visitor", is: "new" })), /too many rules/],
])("what can't be is refused: %j", (all, why) => {
  expect(JSON.stringify(conditionsSchema.safeParse(all).error?.issues)).toMatch(why);
});
