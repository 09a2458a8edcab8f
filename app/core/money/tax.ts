import type { Minor } from "./currency";
import { portion, split } from "./split";

/** How a shop reckons with tax. Rates are hundredths of a percent: 19 % is 1900. */
export type TaxRules = {
  /** Prices are with tax; else it comes on top of them. */
  readonly isIncluded: boolean;
  /** Whether the tax of each line is rounded, or that of everything at one rate. */
  readonly rounding: "line" | "total";
};

/** Something that is taxed at a rate: a line of goods, with what it costs. */
export type TaxedLine = { readonly amount: Minor; readonly rate: number };

/** Everything that is taxed at one rate. */
export type TaxRow = { readonly rate: number; readonly net: Minor; readonly tax: Minor };

export type Taxed = {
  readonly isIncluded: boolean;
  /** The highest rate first; goods without tax have a row as well. */
  readonly rows: readonly TaxRow[];
  readonly tax: Minor;
};

/**
 * The tax in an amount that is with tax, rounded to whole minor units, half up: of 120.00 at 20 % it is 20.00. The part of it is
 * rate / (100 + rate), the “VAT fraction” (HMRC, VAT guide, Notice 700; from memory).
 */
function taxWithin(amount: Minor, rate: number): Minor {
  const all = 10_000 + rate;
  const product = amount * rate * 2 + all;
  return product <= Number.MAX_SAFE_INTEGER
    ? Math.floor(product / (all * 2))
    : Number((BigInt(amount) * BigInt(rate) * 2n + BigInt(all)) / (BigInt(all) * 2n));
}

/**
 * The tax on goods and their delivery. Delivery is taxed as what is delivered: a share of it at each rate, by what the goods at
 * that rate cost (common practice for what comes along with a sale, no source); goods that cost nothing have it at their highest.
 */
export function taxOf({ isIncluded, rounding }: TaxRules, lines: readonly TaxedLine[], delivery: Minor = 0): Taxed {
  const rates = [...new Set(lines.map(({ rate }) => rate))].sort((a, b) => b - a);
  const goodsAt = (rate: number) => lines.reduce((sum, line) => sum + (line.rate === rate ? line.amount : 0), 0);
  const goods = rates.map(goodsAt);
  const shares = goods.some((amount) => amount > 0)
    ? split(delivery, goods)
    : rates.map((_rate, i) => (i === 0 ? delivery : 0));
  const taxIn = (amount: Minor, rate: number) => (isIncluded ? taxWithin(amount, rate) : portion(amount, rate));
  const rows = rates.map((rate, i): TaxRow => {
    const [amount, share] = [goods[i]!, shares[i]!];
    const tax =
      rounding === "total"
        ? taxIn(amount + share, rate)
        : lines.reduce((sum, line) => sum + (line.rate === rate ? taxIn(line.amount, rate) : 0), 0) +
          taxIn(share, rate);
    return { rate, net: amount + share - (isIncluded ? tax : 0), tax };
  });
  return { isIncluded, rows, tax: rows.reduce((sum, row) => sum + row.tax, 0) };
}
