import {
  makeCollection,
  makeProduct,
  withOptions,
  type Collection,
  type Goods,
  type Option,
  type Product,
} from "~/core/goods";
import { clockPlus } from "~/core/conditions";
import type { OnDay } from "~/core/situation";

/** A made-up shop that themes wear while there are no goods yet. Nothing of it gets into anybody's shop. */
export type SampleShop = {
  readonly name: string;
  /** Trades that it stands for. */
  readonly trades: readonly string[];
  /** Ids of its goods, and of the pictures that may stand anywhere. */
  readonly goods: (day: OnDay) => Goods;
  readonly scenes: readonly string[];
};

type Row = {
  readonly id: string;
  readonly title: string;
  /** In the smallest unit of the money of the shop. */
  readonly price: number;
  readonly words: string;
  readonly in: string;
  readonly facts: Readonly<Record<string, string>>;
  readonly more?: readonly (readonly [name: string, value: string])[];
  readonly rating?: readonly [average: number, count: number];
  readonly also?: Partial<Product>;
  /** Something to choose, as name and values; a colour behind a name as `Sea #56787c`. */
  readonly choice?: readonly [name: string, ...values: readonly string[]];
};

function optionOf([name, ...values]: NonNullable<Row["choice"]>): Option {
  const read = values.map((value) => {
    const [, word = value, colour = null] = /^(.*) (#[0-9a-f]{6})$/.exec(value) ?? [];
    return { name: word, colour };
  });
  return { name, picker: read.some((v) => v.colour) ? "swatches" : "buttons", values: read };
}

/** The days until something comes that is not there yet. */
const COMES_IN = 60;

/** Goods of a sample shop, from rows and the names of its collections with the picture of each. */
export const sampleGoods =
  (
    collections: readonly (readonly [id: string, title: string, picture: string, about: string])[],
    rows: readonly Row[],
  ) =>
  (asOf: OnDay): Goods => ({
    asOf,
    collections: collections.map(([id, title, picture, description]): Collection =>
      makeCollection({ id, title, picture, description }),
    ),
    products: rows.map((row, i): Product => {
      const product = makeProduct({
        id: row.id,
        title: row.title,
        price: row.price,
        description: row.words,
        collections: [row.in],
        pictures: [row.id],
        attributes: row.facts,
        specification: (row.more ?? []).map(([name, value]) => ({ name, value })),
        featured: i < 4,
        sold: rows.length - i,
        ...(row.rating ? { rating: { average: row.rating[0], count: row.rating[1] } } : {}),
        ...row.also,
        ...(row.also?.availability === "coming-soon"
          ? { availableFrom: clockPlus(`${asOf.day}T00:00`, COMES_IN).slice(0, 10) }
          : {}),
      });
      let made = 0;
      return row.choice ? withOptions(product, [optionOf(row.choice)], () => `${row.id}-${++made}`) : product;
    }),
  });
