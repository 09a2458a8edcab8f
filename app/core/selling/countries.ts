import codes from "i18n-iso-countries/codes.json" with { type: "json" };

/** Every country's code (ISO 3166-1, two letters). */
export const COUNTRY_CODES: readonly string[] = codes.map(([code]) => code!);
const known: ReadonlySet<string> = new Set(COUNTRY_CODES);

export const isCountry = (code: string): boolean => known.has(code);

/** The member states of the European Union (from memory). */
export const EU: ReadonlySet<string> = new Set(
  "AT BE BG HR CY CZ DK EE FI FR DE GR HU IE IT LV LT LU MT NL PL PT RO SK SI ES SE".split(" "),
);

/** The Union, and the countries around that parcels go to as easily. */
export const EUROPE: ReadonlySet<string> = new Set([...EU, ..."AD CH GB GG IM IS JE LI MC NO SM VA".split(" ")]);

/** Countries with their names, in the order of these; all of them where none are given. */
export const countriesByName = (
  codes: readonly string[] = COUNTRY_CODES,
): readonly (readonly [code: string, name: string])[] =>
  codes.map((code) => [code, countryName(code)] as const).toSorted(([, a], [, b]) => a.localeCompare(b, "en"));

const names = new Intl.DisplayNames("en-GB", { type: "region" });

/** What a country is called, by its code. */
export const countryName = (code: string): string => names.of(code) ?? code;
