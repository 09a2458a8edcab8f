import { formatAddress } from "localized-address-format";
import { postcodeValidator, postcodeValidatorExistsForCountry } from "postcode-validator";
import { z } from "zod";

// Which fields an address has, in which order, and what they are called is different in each country. Order: the address data of
// libaddressinput, through `localized-address-format`; patterns of postcodes: `postcode-validator`; names: the same data, from memory.

/** Where something is delivered, or billed. What a country doesn't have is empty. */
export type PostalAddress = {
  /** ISO 3166-1, two letters. */
  readonly country: string;
  readonly name: string;
  readonly company: string;
  readonly street: string;
  readonly more: string;
  /** A part of the town. */
  readonly district: string;
  readonly town: string;
  readonly area: string;
  readonly postcode: string;
};

export type AddressField = Exclude<keyof PostalAddress, "country">;

export const LONGEST_ADDRESS_FIELD = 120;

export type AskedField = {
  readonly field: AddressField;
  readonly label: string;
  readonly isNeeded: boolean;
  /** What a browser fills in by itself (HTML, “autofill detail tokens”). */
  readonly autofill: string;
};

/** Countries in which letters don't arrive without a state or province (libaddressinput's data, from memory). */
const NEEDS_AREA: ReadonlySet<string> = new Set(["AU", "BR", "CA", "CN", "ES", "IN", "IT", "JP", "KR", "MX", "US"]);
/** Countries in which many addresses have no postcode although there are some. */
const NO_POSTCODE_NEEDED: ReadonlySet<string> = new Set(["IE", "HK", "AE", "QA", "PA", "CL", "CO", "JM", "NG"]);

const AUTOFILL: Readonly<Record<AddressField, string>> = {
  name: "name",
  company: "organization",
  street: "address-line1",
  more: "address-line2",
  district: "address-level3",
  town: "address-level2",
  area: "address-level1",
  postcode: "postal-code",
};
// As the package writes each of them; letters that stand in no address format.
const MARKS = {
  name: "⟨name⟩",
  company: "⟨company⟩",
  street: "⟨street⟩",
  district: "⟨district⟩",
  town: "⟨town⟩",
  area: "⟨area⟩",
  postcode: "⟨postcode⟩",
} as const;

/** Where a part of the town is a line of its own; elsewhere it is written beside the street. */
const HAS_DISTRICT: ReadonlySet<string> = new Set("BR CN CO KR MX NZ PE PH TH TR TW VN".split(" "));
const named = (codes: string, name: string) => codes.split(" ").map((code) => [code, name] as const);
const AREA_NAMES: ReadonlyMap<string, string> = new Map([
  ...named("AU BR IN MX MY NG US VE", "State"),
  ...named("AR CA CN CR ES ID IT KR PH TH TR VN", "Province"),
  ...named("JP", "Prefecture"),
  ...named("IE TW", "County"),
  ...named("AE", "Emirate"),
  ...named("BS CV KN NR", "Island"),
]);
const POSTCODE_NAMES: ReadonlyMap<string, string> = new Map([
  ...named("US AS GU MP PR UM VI", "ZIP code"),
  ...named("IN", "PIN code"),
  ...named("IE", "Eircode"),
  ...named("CA", "Postal code"),
]);
/** A label inside of a sentence: “ZIP code”, “PIN code” and “Eircode” keep their capitals. */
const inSentence = (label: string): string =>
  /^(?:[A-Z]{2}|Eircode)/.test(label) ? label : label.charAt(0).toLowerCase() + label.slice(1);
const asked = new Map<string, readonly AskedField[]>();

/** The fields that an address in a country has, in the order in which people there write them. */
export function addressFields(country: string): readonly AskedField[] {
  const known = asked.get(country);
  if (known) return known;
  const written = formatAddress({
    postalCountry: country,
    name: MARKS.name,
    organization: MARKS.company,
    addressLines: [MARKS.street],
    dependentLocality: MARKS.district,
    locality: MARKS.town,
    administrativeArea: MARKS.area,
    postalCode: MARKS.postcode,
  }).join("\n");
  const labels: Readonly<Record<AddressField, string>> = {
    name: "Full name",
    company: "Company",
    street: "Street and number",
    more: "Flat, floor, building",
    district: "District",
    town: "Town or city",
    area: AREA_NAMES.get(country) ?? "Region",
    postcode: POSTCODE_NAMES.get(country) ?? "Postcode",
  };
  const needs = (field: AddressField): boolean => {
    switch (field) {
      case "name":
      case "street":
      case "town":
        return true;
      case "area":
        return NEEDS_AREA.has(country);
      case "postcode":
        return postcodeValidatorExistsForCountry(country) && !NO_POSTCODE_NEEDED.has(country);
      default:
        return false;
    }
  };
  const has = (field: keyof typeof MARKS) => written.includes(MARKS[field]);
  // Whoever it is for comes first for whoever writes it, whatever stands first on the envelope.
  const rest = (["street", "district", "town", "area", "postcode"] as const)
    .filter((field) => has(field) && (field !== "district" || HAS_DISTRICT.has(country)))
    .toSorted((a, b) => written.indexOf(MARKS[a]) - written.indexOf(MARKS[b]));
  const order: readonly AddressField[] = [
    "name",
    "company",
    ...rest.flatMap((field): readonly AddressField[] => (field === "street" ? ["street", "more"] : [field])),
  ];
  const fields = order.map((field) => ({
    field,
    label: labels[field],
    isNeeded: needs(field),
    autofill: AUTOFILL[field],
  }));
  asked.set(country, fields);
  return fields;
}

/** Whether letters and digits can be a postcode of a country; those of countries without a known pattern are taken as they are. */
export const isPostcode = (postcode: string, country: string): boolean =>
  !postcodeValidatorExistsForCountry(country) || postcodeValidator(postcode.trim().toUpperCase(), country);

/** Each line of an address as it stands on a parcel, the country last unless it is `home`. */
export function addressLines(
  address: PostalAddress,
  countryName: (code: string) => string,
  home = "",
): readonly string[] {
  const { country, name, company, street, more, district, town, area, postcode } = address;
  const lines = formatAddress({
    postalCountry: country,
    name,
    organization: company,
    addressLines: [street, more].filter(Boolean),
    dependentLocality: district,
    locality: town,
    administrativeArea: area,
    postalCode: postcode,
  });
  return country === home ? lines : [...lines, countryName(country)];
}

const line = z
  .string()
  .trim()
  .max(LONGEST_ADDRESS_FIELD, `Keep it to ${LONGEST_ADDRESS_FIELD} characters.`)
  .transform((text) => text.replace(/[\p{Cc}\u2028\u2029]+/gu, " "));

/** An address as a form gives it, as far as it can be read. */
export const addressInput = z.object({
  country: z
    .string()
    .trim()
    .toUpperCase()
    .regex(/^[A-Z]{2}$/, "Choose a country."),
  name: line.default(""),
  company: line.default(""),
  street: line.default(""),
  more: line.default(""),
  district: line.default(""),
  town: line.default(""),
  area: line.default(""),
  postcode: line.default(""),
});

/** What is wrong with an address, by field; nothing where it can be delivered to. What the country has no field for is left out. */
export function addressProblems(address: PostalAddress): ReadonlyMap<AddressField, string> {
  const problems = new Map<AddressField, string>();
  for (const { field, label, isNeeded } of addressFields(address.country)) {
    const value = address[field];
    if (isNeeded && value === "") problems.set(field, `Please write the ${inSentence(label)}.`);
    else if (field === "postcode" && value !== "" && !isPostcode(value, address.country))
      problems.set(field, `“${value}” can’t be the ${inSentence(label)} there. Please check it.`);
  }
  return problems;
}

/** An address with nothing in it that its country has no field for. */
export function plainAddress(address: PostalAddress): PostalAddress {
  const has = new Set(addressFields(address.country).map(({ field }) => field));
  const entries = Object.entries(address).map(([field, value]) => [
    field,
    field === "country" || has.has(field as AddressField) ? (field === "postcode" ? value.toUpperCase() : value) : "",
  ]);
  return Object.fromEntries(entries) as PostalAddress;
}
