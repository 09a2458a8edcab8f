import currencyCodes from "currency-codes";

/** An amount in minor units (cents, pence …) of one currency; always a whole number. */
export type Minor = number;

/**
 * Digits after the decimal point of an ISO 4217 currency; undefined for a code that is none. ISO's digits, not those of
 * `Intl`, which rounds some currencies for display.
 */
export function currencyDigits(code: string): number | undefined {
  const digits = currencyCodes.code(code)?.digits;
  return typeof digits === "number" && Number.isFinite(digits) ? digits : undefined;
}

export const CURRENCIES = ["EUR", "GBP", "USD", "AUD", "CAD", "CHF", "DKK", "JPY", "NOK", "NZD", "PLN", "SEK"] as const;

/**
 * Ways of writing prices, as locales of which each writes its own (Unicode CLDR): where the sign stands, what parts thousands, what
 * stands before the decimals.
 */
export const MONEY_FORMATS = ["en-GB", "de-DE", "fr-FR", "nl-NL", "de-CH", "tr-TR"] as const;

type Writer = { readonly digits: number; readonly format: (amount: number) => string };
// Making a formatter takes a hundred times as long as using it, and a page writes many prices.
const writers = new Map<string, Writer>();

function writerFor(currency: string, locale: string): Writer {
  const key = `${locale} ${currency}`;
  let writer = writers.get(key);
  if (!writer) {
    const digits = currencyDigits(currency) ?? 2;
    const writes = new Intl.NumberFormat(locale, {
      style: "currency",
      currency,
      minimumFractionDigits: digits,
      maximumFractionDigits: digits,
    });
    writers.set(key, (writer = { digits, format: (amount) => writes.format(amount) }));
  }
  return writer;
}

/** Writes an amount for shoppers, in the manner of `locale`. */
export function formatMoney(amount: Minor, currency: string, locale = "en-GB"): string {
  const { digits, format } = writerFor(currency, locale);
  return format(amount / 10 ** digits);
}

/** Writes an amount as a plain decimal number, as files and structured data want it. */
export function decimalMoney(amount: Minor, currency: string): string {
  return (amount / 10 ** (currencyDigits(currency) ?? 2)).toFixed(currencyDigits(currency) ?? 2);
}

export type ParsedMoney = { readonly ok: true; readonly amount: Minor } | { readonly ok: false; readonly why: string };

/**
 * Reads an amount as people type it into a spreadsheet: `12`, `12.50`, `12,50`, `1,234.50`, `1.234,50`, with or without
 * a currency sign. Refuses what it would have to guess at, and more digits than the currency has.
 */
export function parseMoney(text: string, currency: string): ParsedMoney {
  const digits = currencyDigits(currency);
  if (digits === undefined) return { ok: false, why: `${currency} is not a currency.` };
  const bare = text.replace(/[\s\u00a0\u202f]|[€$£¥]|[A-Z]{3}/g, "").replace(/^[−–]/, "-");
  if (bare === "") return { ok: false, why: "There is no amount." };
  const match = /^(-?)(\d{1,3}(?:([.,'])\d{3})(?:\3\d{3})*|\d+)(?:([.,])(\d+))?$/.exec(bare);
  if (!match) return { ok: false, why: `“${text}” is not an amount.` };
  const [, sign, whole, group, point, decimals = ""] = match;
  if (sign) return { ok: false, why: "An amount can't be negative." };
  if (group && point === group) return { ok: false, why: `“${text}” is not an amount.` };
  let units = whole!;
  let fraction = decimals;
  if (group && !point && group !== "'" && units.split(group).length === 2 && digits > 0) {
    // 1.234 is one and a bit where a currency has three decimals; elsewhere it may mean one thousand or be a slip.
    if (digits !== 3)
      return { ok: false, why: `“${text}” could be read in two ways. Write it without a thousands sign.` };
    [units, fraction] = units.split(group) as [string, string];
  }
  if (fraction.length > digits) {
    return { ok: false, why: `“${text}” has more decimals than ${currency} has (${digits}).` };
  }
  const amount = Number(units.replace(/[.,']/g, "")) * 10 ** digits + Number(fraction.padEnd(digits, "0") || 0);
  if (!Number.isSafeInteger(amount) || amount > 1e12) return { ok: false, why: `“${text}” is too large.` };
  return { ok: true, amount };
}
