import type { Device, StyleValue } from "../document";

/** A value that can be chosen, and the seller's word for it. */
export type StyleChoice = { readonly value: StyleValue; readonly label: string };

/** What resolving a property gives to the page: declarations for its rule, or an attribute of its element. */
export type Emission =
  | { readonly to: "declarations"; readonly of: (value: StyleValue) => Readonly<Record<string, string>> }
  | { readonly to: "attribute"; readonly name: string };

/**
 * Amounts that may be set besides the choices, stored with their unit ("37px"), or `bare` as whole numbers where the
 * choices are numbers of the same scale. `decimals`: how many there may be.
 */
export type Exact = {
  readonly least: number;
  readonly most: number;
  readonly unit: string;
  readonly bare?: true;
  readonly decimals?: number;
};

/** What a property is about, within its group: few are shown at first, the others under these heads. */
export const FAMILIES = {
  place: "Size and place",
  space: "Spacing",
  colour: "Colours and ground",
  words: "Letters",
  picture: "Pictures",
  edge: "Edges and shadow",
  motion: "Movement",
} as const;
export type Family = keyof typeof FAMILIES;

export type Property = {
  readonly name: string;
  readonly label: string;
  readonly group: "sits" | "looks";
  readonly family: Family;
  readonly choices: readonly StyleChoice[];
  readonly exact?: Exact;
  /** Whether a colour of one's own may be set besides the choices, stored as "#1f6f8b". */
  readonly colour?: true;
  /** Whether it may differ between devices. */
  readonly perDevice: boolean;
  readonly emission: Emission;
  /** The most that a value said for all devices comes to on a device; what is said for the device itself is obeyed. */
  readonly mostOn?: Partial<Readonly<Record<Device, number>>>;
};

export const steps = (labels: readonly string[], from = 0): readonly StyleChoice[] =>
  labels.map((label, i) => ({ value: from + i, label }));
export const named = (words: Readonly<Record<string, string>>): readonly StyleChoice[] =>
  Object.entries(words).map(([value, label]) => ({ value, label }));
export const declare = (name: string, write: (value: StyleValue) => string): Emission => ({
  to: "declarations",
  of: (value) => ({ [name]: write(value) }),
});
export const attribute = (name: string): Emission => ({ to: "attribute", name });

export const SPACE_STEPS = steps(["none", "hair", "tight", "small", "medium", "roomy", "large", "huge", "vast"]);

/** Whether a value is a colour of the seller's own. */
export const isOwnColour = (value: StyleValue | undefined): value is string =>
  typeof value === "string" && /^#[0-9a-f]{6}$/.test(value);

const AMOUNT = /^(\d+(?:\.\d+)?)([a-z%]+)$/;

/** An exact amount and its unit, of a value like "37px". */
export function amountOf(value: StyleValue): { readonly amount: number; readonly unit: string } | undefined {
  const read = typeof value === "string" ? AMOUNT.exec(value) : null;
  return read ? { amount: Number(read[1]), unit: read[2]! } : undefined;
}

/** Writes an amount as a value of a property that allows exact ones. */
export const exactValue = (exact: Exact, amount: number): StyleValue =>
  exact.bare ? amount : `${Number(amount.toFixed(exact.decimals ?? 0))}${exact.unit}`;

/** Whether a value is an amount within what a property allows. */
export function isExact(exact: Exact, value: StyleValue): boolean {
  const within = (amount: number) => amount >= exact.least && amount <= exact.most;
  if (exact.bare) return typeof value === "number" && Number.isInteger(value) && within(value);
  const read = amountOf(value);
  return (
    read !== undefined && read.unit === exact.unit && within(read.amount) && exactValue(exact, read.amount) === value
  );
}

/** CSS of a value that is an exact amount, else of the step that it names. */
export const lengthOr = (value: StyleValue, ofStep: (step: string) => string): string =>
  amountOf(value) ? String(value) : ofStep(String(value));
/** Refers to a scale's step: `--s3`, `--t-1`. */
export const stepOf =
  (scale: "s" | "t") =>
  (step: string): string =>
    `var(--${scale}${step})`;
