import { z } from "zod";
import { foundIn, MOST_FOUND, patternOf, plainOf, rewritten, type Found, type Rich, type Sought } from "../rich";
import { collectionInput, productInput, type LONGEST_SHARED } from "./schema";
import type { Collection, Product } from "./types";

// Words looked for in what goods say, and put in place of each other.

/** One text of goods in which something was found. */
export type FoundInGoods = Found & {
  /** Unlike that of any other place: of the thing and the text. */
  readonly id: string;
  readonly of: "product" | "collection";
  readonly thing: string;
  /** What the thing is called. */
  readonly title: string;
  /** What the text is called: "Description". */
  readonly where: string;
};

/** A text of a thing, and the thing with another one. */
type TextOf<T> = {
  readonly key: string;
  readonly where: string;
  readonly value: Rich;
  readonly put: (thing: T, value: Rich) => T;
};

const ofSearch = <T extends Pick<Product, "search">>(
  thing: T,
  key: keyof typeof LONGEST_SHARED,
  where: string,
): TextOf<T> => ({
  key: `search.${key}`,
  where,
  value: thing.search[key],
  put: (now, value) => ({ ...now, search: { ...now.search, [key]: plainOf(value) } }),
});

/** What a product says in words. What goods are ordered and found by, such as SKUs and tags, is not among it. */
function textsOfProduct(product: Product): readonly TextOf<Product>[] {
  return [
    {
      key: "title",
      where: "Title",
      value: product.title,
      put: (now, value) => ({ ...now, title: plainOf(value) }),
    },
    {
      key: "description",
      where: "Description",
      value: product.description,
      put: (now, description) => ({ ...now, description }),
    },
    ...Object.entries(product.attributes).map(([name, value]): TextOf<Product> => ({
      key: `attributes.${name}`,
      where: name,
      value,
      put: (now, next) => ({ ...now, attributes: { ...now.attributes, [name]: plainOf(next) } }),
    })),
    ...product.specification.map(({ name, value }, i): TextOf<Product> => ({
      key: `specification.${i}`,
      where: name,
      value,
      put: (now, next) => ({
        ...now,
        specification: now.specification.map((row, k) => (k === i ? { ...row, value: plainOf(next) } : row)),
      }),
    })),
    ofSearch(product, "title", "Title for search engines"),
    ofSearch(product, "description", "Description for search engines"),
  ];
}

const textsOfCollection = (collection: Collection): readonly TextOf<Collection>[] => [
  {
    key: "title",
    where: "Title",
    value: collection.title,
    put: (now, value) => ({ ...now, title: plainOf(value) }),
  },
  {
    key: "description",
    where: "Description",
    value: collection.description,
    put: (now, value) => ({ ...now, description: plainOf(value) }),
  },
  ofSearch(collection, "title", "Title for search engines"),
  ofSearch(collection, "description", "Description for search engines"),
];

const ofProduct = z.object(productInput.shape).pick({
  title: true,
  description: true,
  attributes: true,
  specification: true,
  search: true,
});
const ofCollection = z.object(collectionInput.shape).pick({ title: true, description: true, search: true });

type Things = { readonly products: readonly Product[]; readonly collections: readonly Collection[] };

const idOf = (of: FoundInGoods["of"], thing: string, key: string): string => `${of} ${thing} ${key}`;

/** Everything of goods in which words stand: collections, then products in their order. `most`: so many texts at most. */
export function findInGoods(
  { products, collections }: Things,
  sought: Sought,
  most = MOST_FOUND,
): readonly FoundInGoods[] {
  const pattern = patternOf(sought);
  if (!pattern) return [];
  const found: FoundInGoods[] = [];
  const look = <T extends { readonly id: string; readonly title: string }>(
    of: FoundInGoods["of"],
    things: readonly T[],
    texts: (thing: T) => readonly TextOf<T>[],
  ) => {
    for (const thing of things) {
      if (found.length >= most) return;
      for (const { key, where, value } of texts(thing)) {
        const here = value === "" ? undefined : foundIn(value, pattern);
        if (here && found.length < most)
          found.push({ ...here, id: idOf(of, thing.id, key), of, thing: thing.id, title: thing.title, where });
      }
    }
  };
  look("collection", collections, textsOfCollection);
  look("product", products, textsOfProduct);
  return found;
}

export type ReplacedInGoods =
  | {
      readonly ok: true;
      readonly products: ReadonlyMap<string, Product>;
      readonly collections: ReadonlyMap<string, Collection>;
      /** How many texts were changed. */
      readonly count: number;
    }
  | { readonly ok: false; readonly why: string };

/**
 * Goods with other words in the place of those that are found. `only`: the texts in which that is done, by `FoundInGoods.id`. All of it or
 * nothing: what the form of a product or a collection would refuse, such as an empty title, is a reason not to.
 */
export function replaceInGoods(
  { products, collections }: Things,
  sought: Sought,
  by: string,
  only: ReadonlySet<string>,
): ReplacedInGoods {
  const pattern = patternOf(sought);
  if (!pattern) return { ok: false, why: "Write what to look for first." };
  let count = 0;
  let why: string | undefined;
  const changed = <T extends { readonly id: string; readonly title: string }>(
    of: FoundInGoods["of"],
    things: readonly T[],
    texts: (thing: T) => readonly TextOf<T>[],
    input: z.ZodType,
  ): ReadonlyMap<string, T> => {
    const next = new Map<string, T>();
    for (const thing of things)
      for (const { key, value, put } of texts(thing)) {
        if (!only.has(idOf(of, thing.id, key))) continue;
        const after = rewritten(value, pattern, by);
        if (after === undefined) continue;
        next.set(thing.id, put(next.get(thing.id) ?? thing, after));
        count++;
      }
    // What a form would refuse is refused here.
    for (const thing of next.values()) {
      const [issue] = input.safeParse(thing).error?.issues ?? [];
      if (issue) why ??= `“${things.find(({ id }) => id === thing.id)!.title}”: ${issue.message}`;
    }
    return next;
  };
  const result = {
    collections: changed("collection", collections, textsOfCollection, ofCollection),
    products: changed("product", products, textsOfProduct, ofProduct),
  };
  if (why) return { ok: false, why };
  return count ? { ok: true, ...result, count } : { ok: false, why: "It stands nowhere any more." };
}
