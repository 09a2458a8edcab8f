import currencyCodes from "currency-codes";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { currencyDigits, decimalMoney, formatMoney, MONEY_FORMATS, parseMoney } from ".";

describe("currency digits (ISO 4217, table of the maintenance agency through currency-codes)", () => {
  it.each([
    ["EUR", 2],
    ["JPY", 0],
    ["HUF", 2],
    ["KWD", 3],
    ["CLF", 4],
    ["ISK", 0],
  ])("%s has %d", (code, digits) => expect(currencyDigits(code)).toBe(digits));
  it("knows no invented codes", () => expect(currencyDigits("ZZZ")).toBeUndefined());
});

describe("amounts", () => {
  it.each([
    ["12", "EUR", 1200],
    ["12.5", "EUR", 1250],
    ["12,50", "EUR", 1250],
    ["€ 1,234.50", "EUR", 123450],
    ["1.234,50 €", "EUR", 123450],
    ["1'234.50", "CHF", 123450],
    ["1,234,567", "JPY", 1234567],
    ["0.005", "KWD", 5],
    ["EUR 9.99", "EUR", 999],
    ["0", "EUR", 0],
    ["1,234", "JPY", 1234],
    ["1.234", "KWD", 1234],
  ])("%s in %s is %d", (text, currency, amount) => expect(parseMoney(text, currency)).toEqual({ ok: true, amount }));

  it.each([
    ["", "EUR", "There is no amount."],
    ["abc", "EUR", "“abc” is not an amount."],
    ["-5", "EUR", "An amount can't be negative."],
    ["−5", "EUR", "An amount can't be negative."],
    ["1.234", "EUR", "“1.234” could be read in two ways. Write it without a thousands sign."],
    ["9.999", "EUR", "“9.999” could be read in two ways. Write it without a thousands sign."],
    ["12.345678", "EUR", "“12.345678” has more decimals than EUR has (2)."],
    ["1.5", "JPY", "“1.5” has more decimals than JPY has (0)."],
    ["99999999999999", "EUR", "“99999999999999” is too large."],
    ["1,2,3", "EUR", "“1,2,3” is not an amount."],
  ])("“%s” in %s: %s", (text, currency, why) => expect(parseMoney(text, currency)).toEqual({ ok: false, why }));

  it("come back from how they are written, in every currency", () => {
    const codes = currencyCodes.codes().filter((c) => currencyDigits(c) !== undefined);
    fc.assert(
      fc.property(fc.nat(1e9), fc.constantFrom(...codes), (amount, code) => {
        expect(parseMoney(decimalMoney(amount, code), code)).toEqual({ ok: true, amount });
      }),
      { seed: 1, numRuns: 500 },
    );
  });

  it("are shown in the manner of the place", () => {
    expect(formatMoney(123450, "EUR", "en-GB")).toBe("€1,234.50");
    expect(formatMoney(1250, "JPY", "en-GB")).toBe("JP¥1,250");
  });

  it("are written in as many ways as are offered (Unicode CLDR, through Intl)", () => {
    const written = MONEY_FORMATS.map((format) =>
      formatMoney(123_450, "EUR", format)
        .replace(/[\u00a0\u202f]/g, " ")
        .replace("'", "’"),
    );
    expect(written).toEqual(["€1,234.50", "1.234,50 €", "1 234,50 €", "€ 1.234,50", "EUR 1’234.50", "€1.234,50"]);
  });
});
