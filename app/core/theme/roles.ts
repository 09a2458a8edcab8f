import type { Hex } from "./colour";

/** The jobs that colours do. Every part of a page draws from these and from nothing else. */
export const ROLES = [
  "page",
  "raised",
  "ink",
  "soft",
  "line",
  "on-ink",
  "ink-hover",
  "ink-pressed",
  "brand",
  "on-brand",
  "brand-hover",
  "brand-pressed",
  "brand-edge",
  "accent",
  "on-accent",
  "accent-hover",
  "accent-pressed",
  "accent-edge",
  "accent-ink",
  "link",
  "sale",
  "on-sale",
  "new",
  "on-new",
  "soon",
  "on-soon",
  "sold-out",
  "on-sold-out",
  "success",
  "warning",
  "danger",
  "focus",
  "field",
  "field-line",
  "disabled",
  "on-disabled",
] as const;
export type Role = (typeof ROLES)[number];
export type Roles = Readonly<Record<Role, Hex>>;

/** What a role is called, and what it does. */
export const ROLE_WORDS: Readonly<Record<Role, { readonly name: string; readonly does: string }>> = {
  page: { name: "Ground", does: "what everything stands on" },
  raised: { name: "Raised", does: "surfaces that stand off the ground, and behind pictures" },
  ink: { name: "Ink", does: "heads and text" },
  soft: { name: "Soft ink", does: "small print, facts, hints in fields" },
  line: { name: "Line", does: "thin lines between things" },
  "on-ink": { name: "On ink", does: "words on a surface of ink" },
  "ink-hover": { name: "Ink, hovered", does: "ink buttons under the pointer" },
  "ink-pressed": { name: "Ink, pressed", does: "ink buttons while pressed" },
  brand: { name: "Brand", does: "buttons and what should catch the eye" },
  "on-brand": { name: "On brand", does: "words on the brand colour" },
  "brand-hover": { name: "Brand, hovered", does: "buttons under the pointer" },
  "brand-pressed": { name: "Brand, pressed", does: "buttons while pressed" },
  "brand-edge": { name: "Brand, edge", does: "outlines of brand buttons, bars and marks" },
  accent: { name: "Accent", does: "second buttons and stars" },
  "on-accent": { name: "On accent", does: "words on the accent colour" },
  "accent-hover": { name: "Accent, hovered", does: "accent buttons under the pointer" },
  "accent-pressed": { name: "Accent, pressed", does: "accent buttons while pressed" },
  "accent-edge": { name: "Accent, edge", does: "outlines of accent buttons, and stars" },
  "accent-ink": { name: "Accent as text", does: "words in the accent colour" },
  link: { name: "Link", does: "links, and words in the brand colour" },
  sale: { name: "Sale", does: "reduced prices and their badge" },
  "on-sale": { name: "On sale", does: "words on the sale badge" },
  new: { name: "New", does: "badges for what is new or special" },
  "on-new": { name: "On new", does: "words on those badges" },
  soon: { name: "Soon", does: "the badge of what is coming" },
  "on-soon": { name: "On soon", does: "words on that badge" },
  "sold-out": { name: "Sold out", does: "the badge of what is gone" },
  "on-sold-out": { name: "On sold out", does: "words on that badge" },
  success: { name: "Success", does: "messages that something went well" },
  warning: { name: "Warning", does: "messages that ask for care" },
  danger: { name: "Danger", does: "messages that something went wrong" },
  focus: { name: "Focus", does: "the ring around what the keyboard is on" },
  field: { name: "Field", does: "the ground of fields" },
  "field-line": { name: "Field line", does: "the border of fields" },
  disabled: { name: "Disabled", does: "buttons that can't be pressed now" },
  "on-disabled": { name: "On disabled", does: "words on those buttons" },
};

/** The colour sets that a section can wear, and those of the parts that stand on every page. */
export const COLOUR_SETS = ["page", "tint", "brand", "accent", "dark"] as const;
export const FRAME_SETS = ["header", "footer", "notice"] as const;
export type ColourSet = (typeof COLOUR_SETS)[number];
export type FrameSet = (typeof FRAME_SETS)[number];
export const ALL_SETS = [...COLOUR_SETS, ...FRAME_SETS] as const;
export type AnySet = (typeof ALL_SETS)[number];

/** What a set is called until the seller names it. */
export const SET_NAMES: Readonly<Record<AnySet, string>> = {
  page: "Page",
  tint: "Tint",
  brand: "Brand",
  accent: "Accent",
  dark: "Dark",
  header: "Header",
  footer: "Footer",
  notice: "Notice",
};

export const SCHEMES = ["light", "dark"] as const;
export type Scheme = (typeof SCHEMES)[number];

/** How much contrast is asked for: the level of WCAG 2.2 for text. */
export type ContrastLevel = "AA" | "AAA";
/** `text`: running text. `large`: text of at least 24 px, or bold of 18.7 px. `control`: edges of what can be used. */
export type PairUse = "text" | "large" | "control";

/** WCAG 2.2: 1.4.3 and 1.4.6 ask 4.5 / 7 for text and 3 / 4.5 for large text; 1.4.11 asks 3 for controls at either level. */
export const RATIOS: Readonly<Record<ContrastLevel, Readonly<Record<PairUse, number>>>> = {
  AA: { text: 4.5, large: 3, control: 3 },
  AAA: { text: 7, large: 4.5, control: 3 },
};

export type Requirement = { readonly role: Role; readonly against: readonly Role[]; readonly use: PairUse };

const GROUNDS: readonly Role[] = ["page", "raised"];
const onFill = (role: "ink" | "brand" | "accent"): Requirement => ({
  role: `on-${role}`,
  against: [role, `${role}-hover`, `${role}-pressed`],
  use: "text",
});

/** Every pair that must be legible in every set. What is not here is decoration, or inactive (1.4.3 excepts both). */
export const REQUIREMENTS: readonly Requirement[] = [
  { role: "ink", against: ["page", "raised", "field"], use: "text" },
  { role: "soft", against: ["page", "raised", "field"], use: "text" },
  ...(["link", "accent-ink", "sale", "success", "warning", "danger"] as const).map((role): Requirement => ({
    role,
    against: GROUNDS,
    use: "text",
  })),
  onFill("ink"),
  onFill("brand"),
  onFill("accent"),
  { role: "brand-edge", against: ["page"], use: "control" },
  { role: "accent-edge", against: ["page"], use: "control" },
  { role: "on-sale", against: ["sale"], use: "text" },
  { role: "on-new", against: ["new"], use: "text" },
  { role: "on-soon", against: ["soon"], use: "text" },
  { role: "on-sold-out", against: ["sold-out"], use: "text" },
  { role: "focus", against: GROUNDS, use: "control" },
  { role: "field-line", against: ["page", "field"], use: "control" },
];
