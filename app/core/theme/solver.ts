import { contrast, deltaEOk, fromOklch, mix, nearestPassing, oklchOf, type Hex } from "./colour";

/** The jobs that colours do. Every part of a page draws from these and from nothing else. */
export const ROLES = [
  "ground",
  "raised",
  "ink",
  "soft",
  "line",
  "field-line",
  "button",
  "on-button",
  "button-hover",
  "button-pressed",
  "link",
  "sale",
  "danger",
  "success",
  "focus",
  "badge",
  "on-badge",
] as const;
export type Role = (typeof ROLES)[number];
export type Roles = Readonly<Record<Role, Hex>>;

/** The colour sets that a section can wear. */
export const COLOUR_SETS = ["page", "tint", "brand", "dark"] as const;
export type ColourSet = (typeof COLOUR_SETS)[number];

/** What a theme wishes for before anything is solved. */
export type Palette = {
  readonly brand: Hex;
  readonly page: Hex;
  readonly raised: Hex;
  /** The second ground. Its hue is the theme's own only while the brand colour is; otherwise it is the brand's. */
  readonly tint: { readonly lightness: number; readonly chroma: number; readonly hue: number };
  readonly ink: Hex;
  readonly dark: Hex;
  readonly onDark: Hex;
  readonly sale: Hex;
};

export type Requirement = { readonly role: Role; readonly against: readonly Role[]; readonly ratio: number };

/** WCAG 2.2: 1.4.3 asks 4.5 for text, 1.4.11 asks 3 for controls and their borders. */
export const REQUIREMENTS: readonly Requirement[] = [
  { role: "ink", against: ["ground", "raised"], ratio: 4.5 },
  { role: "soft", against: ["ground", "raised"], ratio: 4.5 },
  { role: "link", against: ["ground", "raised"], ratio: 4.5 },
  { role: "sale", against: ["ground", "raised"], ratio: 4.5 },
  { role: "danger", against: ["ground", "raised"], ratio: 4.5 },
  { role: "success", against: ["ground", "raised"], ratio: 4.5 },
  { role: "field-line", against: ["ground", "raised"], ratio: 3 },
  { role: "focus", against: ["ground", "raised"], ratio: 3 },
  { role: "button", against: ["ground"], ratio: 3 },
  { role: "on-button", against: ["button", "button-hover", "button-pressed"], ratio: 4.5 },
  { role: "on-badge", against: ["badge"], ratio: 4.5 },
];

/** A colour that had to be moved so that it can be read, and what it was measured against. */
export type Moved = {
  readonly set: ColourSet;
  readonly role: Role;
  readonly wished: Hex;
  readonly used: Hex;
  readonly against: Hex;
  readonly had: number;
  readonly needed: number;
};

export type Solved = { readonly sets: Readonly<Record<ColourSet, Roles>>; readonly moved: readonly Moved[] };

const JUST_NOTICEABLE = 0.02;
const PURE = ["#ffffff", "#000000"] as const;

/** The first candidate that passes on every ground; else whichever of white and black stands out most. */
function onColour(candidates: readonly Hex[], grounds: readonly Hex[], ratio: number): Hex {
  const least = (hex: Hex) => Math.min(...grounds.map((g) => contrast(hex, g)));
  const fitting = [...candidates, ...PURE].find((c) => least(c) >= ratio);
  return fitting ?? PURE.toSorted((a, b) => least(b) - least(a))[0]!;
}

const shade = (hex: Hex, by: number): Hex => {
  const { lightness, chroma, hue } = oklchOf(hex);
  return fromOklch(lightness + by, chroma, hue);
};

function solveSet(set: ColourSet, ground: Hex, palette: Palette, brand: Hex, moved: Moved[]): Roles {
  const settle = (role: Role, wish: Hex, against: readonly Hex[], ratio: number): Hex => {
    const used = nearestPassing(wish, against, ratio) ?? onColour([], against, ratio);
    if (deltaEOk(used, wish) > JUST_NOTICEABLE) {
      const worst = against.toSorted((a, b) => contrast(wish, a) - contrast(wish, b))[0]!;
      moved.push({ set, role, wished: wish, used, against: worst, had: contrast(wish, worst), needed: ratio });
    }
    return used;
  };
  const quiet = (wish: Hex, against: readonly Hex[], ratio: number): Hex =>
    nearestPassing(wish, against, ratio) ?? onColour([], against, ratio);

  const isDark = oklchOf(ground).lightness < 0.62;
  const ink = onColour(isDark ? [palette.onDark, palette.ink] : [palette.ink, palette.onDark], [ground], 4.5);
  // A brand ground can be of middling lightness, where only one of white and black can be read. Raised things there go
  // away from the ink, so that whatever can be read on the ground can be read on them too.
  const opposite = contrast(ink, "#ffffff") < contrast(ink, "#000000") ? "#000000" : "#ffffff";
  const raised = {
    page: palette.raised,
    tint: mix(ground, "#ffffff", 0.55),
    brand: mix(ground, opposite, 0.1),
    dark: mix(ground, ink, 0.06),
  }[set];
  const both = [ground, raised];
  const solidInk = quiet(ink, both, 4.5);

  const isBrand = set === "brand";
  const button = isBrand ? solidInk : settle("button", brand, [ground], 3);
  const wishOn = isBrand ? [ground] : [palette.onDark, "#ffffff", palette.ink];
  let onButton = onColour(wishOn, [button], 4.5);
  // Hover and pressed go away from the words on the button, so that they can only become easier to read.
  const away = oklchOf(onButton).lightness > oklchOf(button).lightness ? -1 : 1;
  const states = [shade(button, away * 0.05), shade(button, away * 0.1)] as const;
  onButton = onColour([onButton], [button, ...states], 4.5);

  const badge = isBrand || isDark ? solidInk : quiet(mix(palette.ink, brand, 0.25), [ground], 3);
  return {
    ground,
    raised,
    ink: solidInk,
    soft: quiet(mix(solidInk, ground, 0.32), both, 4.5),
    line: mix(ground, solidInk, 0.16),
    "field-line": quiet(mix(ground, solidInk, 0.5), both, 3),
    button,
    "on-button": onButton,
    "button-hover": states[0],
    "button-pressed": states[1],
    link: isBrand ? solidInk : settle("link", brand, both, 4.5),
    sale: quiet(palette.sale, both, 4.5),
    danger: quiet("#b3261e", both, 4.5),
    success: quiet("#1f7a4d", both, 4.5),
    focus: solidInk,
    badge,
    "on-badge": onColour([ground, palette.onDark, palette.ink], [badge], 4.5),
  };
}

/**
 * Every role of every colour set from a theme's palette and the seller's brand colour. Where a wish can be read it is
 * kept; where not, it is moved the least that makes it pass (ΔE OK) and reported in `moved`. The same input always
 * gives the same output.
 */
export function solveRoles(palette: Palette, brandColour?: Hex): Solved {
  const brand = brandColour ?? palette.brand;
  const moved: Moved[] = [];
  const own = oklchOf(brand);
  const tint =
    brand === palette.brand
      ? fromOklch(palette.tint.lightness, palette.tint.chroma, palette.tint.hue)
      : fromOklch(palette.tint.lightness, Math.min(palette.tint.chroma, own.chroma), own.hue);
  const sets = {
    page: solveSet("page", palette.page, palette, brand, moved),
    tint: solveSet("tint", tint, palette, brand, moved),
    brand: solveSet("brand", brand, palette, brand, moved),
    dark: solveSet("dark", palette.dark, palette, brand, moved),
  };
  return { sets, moved };
}

const ROLE_WORDS: Partial<Record<Role, string>> = { link: "links", button: "buttons" };
const SET_WORDS: Record<ColourSet, string> = {
  page: "the page",
  tint: "the tinted ground",
  brand: "the brand ground",
  dark: "the dark ground",
};

/** Says in a sentence why a colour was moved. */
export function explainMoved(moved: Moved): string {
  const verb = oklchOf(moved.used).lightness < oklchOf(moved.wished).lightness ? "darker" : "lighter";
  const what = ROLE_WORDS[moved.role] ?? moved.role;
  // Rounded down, so that a ratio which fails is never shown as one that passes.
  const had = (Math.floor(moved.had * 10) / 10).toFixed(1);
  return `On ${SET_WORDS[moved.set]}, ${what} are a little ${verb} than your brand colour: it has a contrast of ${had} there and needs ${moved.needed}.`;
}
