import { entryOf, type Brand, type Json } from "../document";
import type { Gradient } from "./gradient";
import { FAMILIES, findFamily, isSingle } from "./families";
import { TYPE_PAIRS } from "./pairs";
import { ALL_SETS, COLOUR_SETS, ROLES, SCHEMES, SET_NAMES, type AnySet, type Role, type Scheme } from "./roles";

// Everything that a brand can say, as one flat table. A brand is a map from the keys below to values; a key that is absent
// is the theme's to decide, and what the theme does not say either comes from `base`. Undo, put-back, comparison,
// validation and the design-token file all work on this table and know no key by name.

export type SettingValue = string | number | boolean | Gradient;

/** The groups of the brand sheet. */
export const GROUPS = [
  "colour",
  "type",
  "space",
  "shape",
  "motion",
  "button",
  "link",
  "field",
  "card",
  "goods",
  "price",
  "badge",
  "rating",
  "tabs",
  "popup",
  "toast",
  "frame",
] as const;
export type SettingGroup = (typeof GROUPS)[number];

export type SettingChoice = { readonly value: string; readonly label: string };

type Common = {
  readonly key: string;
  readonly group: SettingGroup;
  readonly label: string;
  /** What it is where neither brand nor theme says anything; null: it follows from other settings. */
  readonly base: SettingValue | null;
  /** It changes what pages contain, not only how that looks. */
  readonly structural?: true;
};
export type Setting = Common &
  (
    | { readonly type: "choice"; readonly options: readonly SettingChoice[] }
    | {
        readonly type: "number";
        readonly least: number;
        readonly most: number;
        readonly step: number;
        readonly unit: string;
      }
    | { readonly type: "flag" }
    | { readonly type: "colour" }
    | {
        readonly type: "family";
        /** Words in it are set bold as well: it needs more than one weight. */
        readonly bold: boolean;
      }
    | { readonly type: "words"; readonly most: number }
    | { readonly type: "gradient" }
  );

const options = (words: Readonly<Record<string, string>>): readonly SettingChoice[] =>
  Object.entries(words).map(([value, label]) => ({ value, label }));
const choice = (
  key: string,
  group: SettingGroup,
  label: string,
  words: Readonly<Record<string, string>>,
  base: string,
): Setting => ({
  type: "choice",
  key,
  group,
  label,
  options: options(words),
  base,
});
const number = (
  key: string,
  group: SettingGroup,
  label: string,
  [least, most, step]: readonly [number, number, number],
  unit: string,
  base: number | null,
): Setting => ({ type: "number", key, group, label, least, most, step, unit, base });
const flag = (key: string, group: SettingGroup, label: string, base: boolean): Setting => ({
  type: "flag",
  key,
  group,
  label,
  base,
});
const colour = (key: string, label: string): Setting => ({ type: "colour", key, group: "colour", label, base: null });
const structural = (setting: Setting): Setting => ({ ...setting, structural: true });

const SETS = Object.fromEntries(COLOUR_SETS.map((set) => [set, SET_NAMES[set]]));
const CASES = { none: "As written", uppercase: "Capitals" } as const;

export const BUTTONS = ["primary", "secondary", "quiet"] as const;
export type ButtonName = (typeof BUTTONS)[number];
/** What each kind of button is called. */
export const BUTTON_WORDS: Readonly<Record<ButtonName, string>> = {
  primary: "Primary",
  secondary: "Secondary",
  quiet: "Quiet",
};
const FILLS = { brand: "Brand", accent: "Accent", ink: "Ink" } as const;

const DEFAULT_GRADIENT: Gradient = {
  angle: 100,
  stops: [
    { colour: "brand", at: 0 },
    { colour: "accent", at: 100 },
  ],
};

const buttonSettings = (name: ButtonName, style: string, role: string): readonly Setting[] => [
  choice(
    `button.${name}.style`,
    "button",
    `${BUTTON_WORDS[name]}: made`,
    { solid: "Solid", outline: "Outline", gradient: "Gradient", plain: "Words only" },
    style,
  ),
  choice(`button.${name}.role`, "button", `${BUTTON_WORDS[name]}: colour`, FILLS, role),
  {
    type: "gradient",
    key: `button.${name}.gradient`,
    group: "button",
    label: `${BUTTON_WORDS[name]}: gradient`,
    base: DEFAULT_GRADIENT,
  },
];

const LIST: readonly Setting[] = [
  colour("colour", "Brand colour"),
  colour("colour2", "Accent colour"),
  colour("colour3", "Colour of grounds"),
  choice(
    "paper",
    "colour",
    "Ground of the page",
    { theme: "The theme’s", white: "White", brand: "A breath of colour" },
    "theme",
  ),
  choice("contrast", "colour", "Contrast of words", { AA: "Good (AA)", AAA: "Strongest (AAA)" }, "AA"),
  choice(
    "appearance",
    "colour",
    "Light or dark",
    { light: "Light", dark: "Dark", auto: "As the shopper’s device" },
    "light",
  ),

  choice("typePair", "type", "Type pair", Object.fromEntries(TYPE_PAIRS.map((p) => [p.id, p.name])), TYPE_PAIRS[0]!.id),
  { type: "family", key: "type.heads", group: "type", label: "Heads in", base: null, bold: false },
  { type: "family", key: "type.text", group: "type", label: "Text in", base: null, bold: true },
  number("type.headsWeight", "type", "Weight of heads", [100, 900, 10], "", null),
  number("type.textWeight", "type", "Weight of text", [300, 600, 10], "", null),
  number("type.basePhone", "type", "Text size on phone", [14, 20, 0.5], "px", 17),
  number("type.baseWide", "type", "Text size on wide screen", [14, 22, 0.5], "px", 18),
  number("type.ratioPhone", "type", "Scale on phone", [1.08, 1.35, 0.005], "×", 1.2),
  number("type.ratioWide", "type", "Scale on wide screen", [1.08, 1.5, 0.005], "×", 1.28),
  number("type.leading", "type", "Line height of text", [1.3, 1.9, 0.05], "×", null),
  number("type.headsLeading", "type", "Line height of heads", [0.85, 1.4, 0.01], "×", null),
  number("type.headsTracking", "type", "Letter space of heads", [-0.06, 0.2, 0.005], "em", null),
  number("type.measure", "type", "Line length", [45, 80, 1], "letters", 64),
  choice("type.headsCase", "type", "Heads", CASES, "none"),

  choice("density", "space", "Density", { compact: "Compact", even: "Even", airy: "Airy" }, "even"),
  number("space.air", "space", "Air between and within sections", [50, 180, 1], "%", null),
  number("space.content", "space", "Content width", [960, 1680, 20], "px", 1280),

  choice("corners", "shape", "Corners", { square: "Square", soft: "Soft", round: "Round" }, "soft"),
  number("corners.card", "shape", "Corners of pictures and cards", [0, 48, 1], "px", null),
  number("corners.control", "shape", "Corners of buttons and fields", [0, 48, 1], "px", null),
  choice(
    "pictures.mask",
    "shape",
    "Pictures are cut",
    { none: "With the corners of cards", arch: "As an arch", round: "As a circle" },
    "none",
  ),
  number("sign.weight", "shape", "Lines of small signs", [1, 3, 0.1], "px", 1.8),
  number("line.weight", "shape", "Line weight", [0, 4, 0.5], "px", 1),
  choice("shadow", "shape", "Shadow", { none: "None", soft: "Soft", deep: "Deep", hard: "Hard edge" }, "none"),

  choice(
    "motion",
    "motion",
    "How much moves",
    { none: "Nothing", calm: "A little", even: "As sections say", lively: "A lot" },
    "even",
  ),
  choice("motion.in", "motion", "Sections come in", { none: "Are there", fade: "Fade in", rise: "Rise" }, "none"),

  ...buttonSettings("primary", "solid", "brand"),
  ...buttonSettings("secondary", "outline", "ink"),
  ...buttonSettings("quiet", "plain", "brand"),
  number("button.height", "button", "Height", [36, 64, 1], "px", 48),
  number("button.padding", "button", "Air at the ends", [12, 56, 1], "px", 24),
  number("button.weight", "button", "Weight of words", [300, 900, 10], "", null),
  choice("button.case", "button", "Words", CASES, "none"),

  choice("link.underline", "link", "Underline", { always: "Always", hover: "Under the pointer" }, "always"),
  choice("link.role", "link", "Colour", { link: "Brand", "accent-ink": "Accent", ink: "Ink" }, "link"),
  number("link.thickness", "link", "Thickness", [0.5, 4, 0.25], "px", 1.25),

  choice("field.style", "field", "Made", { box: "Box", filled: "Filled", line: "Line below" }, "box"),
  number("field.height", "field", "Height", [36, 64, 1], "px", 48),

  choice(
    "card.style",
    "card",
    "Made",
    { plain: "Plain", framed: "Framed", raised: "Raised", tinted: "Tinted" },
    "plain",
  ),

  choice(
    "goodsShape",
    "goods",
    "Picture shape",
    {
      "1/1": "1 : 1",
      "5/6": "5 : 6",
      "4/5": "4 : 5",
      "3/4": "3 : 4",
      "4/3": "4 : 3",
      "3/2": "3 : 2",
      "16/9": "16 : 9",
    },
    "4/5",
  ),
  choice("goods.fit", "goods", "Picture", { cover: "Cropped to fill", contain: "Fitted, whole" }, "cover"),
  structural(flag("goods.second", "goods", "Second picture under the pointer", true)),
  choice("goods.frame", "goods", "Card", { plain: "Plain", framed: "Framed picture", card: "As a card" }, "plain"),
  structural(
    choice(
      "goods.words",
      "goods",
      "Words stand",
      {
        below: "Below the picture",
        line: "Below, the price beside the name",
        first: "The name above the picture",
        over: "On the picture",
      },
      "below",
    ),
  ),
  choice("goods.align", "goods", "Words are set", { start: "Left", center: "Centred" }, "start"),
  structural({ ...number("goods.facts", "goods", "Facts listed", [0, 4, 1], "", 2) }),
  structural(flag("goods.badge", "goods", "Badge", true)),
  structural(flag("goods.price", "goods", "Price", true)),
  structural(flag("goods.compareAt", "goods", "Price before, where it is reduced", true)),
  structural(flag("goods.rating", "goods", "Stars", true)),

  number("price.size", "price", "Size", [0.8, 1.8, 0.05], "×", 1),
  number("price.weight", "price", "Weight", [300, 900, 10], "", null),
  choice("price.was", "price", "Old price", { after: "After", before: "Before", below: "Below" }, "after"),
  choice("price.frame", "price", "Set", { plain: "Plain", label: "As a label" }, "plain"),

  choice("badge.shape", "badge", "Shape", { square: "Square", soft: "Soft", pill: "Pill", sticker: "Sticker" }, "soft"),
  choice(
    "badge.place",
    "badge",
    "Place on the picture",
    { "top-left": "Top left", "top-right": "Top right", "bottom-left": "Bottom left", "bottom-right": "Bottom right" },
    "top-left",
  ),
  choice("badge.case", "badge", "Words", CASES, "none"),

  choice("rating.sign", "rating", "Sign", { star: "Star", round: "Dot", heart: "Heart" }, "star"),
  choice("rating.role", "rating", "Colour", { accent: "Accent", brand: "Brand", ink: "Ink" }, "accent"),

  choice("tabs.style", "tabs", "Made", { underline: "Underlined", boxed: "Boxes", pill: "Pills" }, "underline"),

  structural(choice("popup.set", "popup", "Colour set", SETS, "page")),

  structural(choice("toast.set", "toast", "Colour set", SETS, "dark")),

  choice("header.set", "frame", "Header wears", SETS, "page"),
  choice("footer.set", "frame", "Footer wears", SETS, "dark"),
  choice("notice.set", "frame", "Notice strip wears", SETS, "brand"),
];

export const SETTINGS: ReadonlyMap<string, Setting> = new Map(LIST.map((setting) => [setting.key, setting]));

/** The key under which a role of a set is pinned. */
export const pinKey = (scheme: Scheme, set: AnySet, role: Role): string => `pin.${scheme}.${set}.${role}`;
/** The key under which a set is named. */
export const nameKey = (set: AnySet): string => `name.${set}`;

export type Pin = { readonly scheme: Scheme; readonly set: AnySet; readonly role: Role };

/** Reads a pin's key back. */
export function readPinKey(key: string): Pin | undefined {
  const [pin, scheme, set, role, ...more] = key.split(".");
  if (pin !== "pin" || more.length) return undefined;
  const known = SCHEMES.includes(scheme as Scheme) && ALL_SETS.includes(set as AnySet) && ROLES.includes(role as Role);
  return known ? ({ scheme, set, role } as Pin) : undefined;
}

/** The setting of a key, pins and names of sets included; undefined for a key that a brand may not have. */
export function settingOf(key: string): Setting | undefined {
  const known = SETTINGS.get(key);
  if (known) return known;
  if (readPinKey(key)) return { ...colour(key, key) };
  if (COLOUR_SETS.some((set) => nameKey(set) === key))
    return { type: "words", key, group: "colour", label: "Name of the set", most: 24, base: null };
  return undefined;
}

const isStopColour = (value: unknown) =>
  value === "brand" ||
  value === "accent" ||
  value === "ink" ||
  (typeof value === "string" && /^#[0-9a-f]{6}$/.test(value));

/** Why a value is not one that this setting may have; undefined where it is. */
export function problemWithValue(setting: Setting, value: Json | undefined): string | undefined {
  const name = setting.label;
  switch (setting.type) {
    case "choice":
      return setting.options.some((o) => o.value === value) ? undefined : `${name} can’t be “${String(value)}”.`;
    case "number":
      return typeof value === "number" && value >= setting.least && value <= setting.most
        ? undefined
        : `${name} is a number from ${setting.least} to ${setting.most}${setting.unit ? ` ${setting.unit}` : ""}.`;
    case "flag":
      return typeof value === "boolean" ? undefined : `${name} is either on or off.`;
    case "colour":
      return typeof value === "string" && /^#[0-9a-f]{6}$/.test(value)
        ? undefined
        : `${name} is a colour like #1f6f8b.`;
    case "family": {
      const family = typeof value === "string" ? findFamily(value) : undefined;
      if (!family) return `${name}: no such family is shipped.`;
      return setting.bold && isSingle(family) ? `${name}: ${family.name} has no bold for words in a text.` : undefined;
    }
    case "words":
      return typeof value === "string" && value.trim() !== "" && value.length <= setting.most
        ? undefined
        : `${name} has 1 to ${setting.most} letters.`;
    case "gradient": {
      const { angle, stops } = (value ?? {}) as { angle?: unknown; stops?: unknown };
      const isWhole =
        typeof angle === "number" &&
        angle >= 0 &&
        angle <= 360 &&
        Array.isArray(stops) &&
        stops.length >= 2 &&
        stops.length <= 8 &&
        stops.every(
          (s: unknown) =>
            typeof s === "object" &&
            s !== null &&
            isStopColour((s as { colour?: unknown }).colour) &&
            typeof (s as { at?: unknown }).at === "number" &&
            (s as { at: number }).at >= 0 &&
            (s as { at: number }).at <= 100 &&
            Object.keys(s).length === 2,
        );
      return isWhole ? undefined : `${name} has an angle of 0 to 360 and two to eight stops.`;
    }
  }
}

/** Why a brand is not one that may be stored; undefined where it is. */
export function problemWithBrand(brand: Brand): string | undefined {
  for (const [key, value] of Object.entries(brand)) {
    const setting = settingOf(key);
    if (!setting) return `A brand has no setting “${key}”.`;
    const problem = problemWithValue(setting, value);
    if (problem) return problem;
  }
  return undefined;
}

/** Where a setting's value comes from. */
export type Origin = "brand" | "theme" | "base";
export type ResolvedSetting = {
  readonly value: SettingValue | null;
  readonly from: Origin;
  /** What it would be if the brand said nothing. */
  readonly without: SettingValue | null;
};

/** What a theme says about the settings; keys as in a brand. */
export type ThemeDefaults = Readonly<Record<string, SettingValue>>;

/** Settings that say more exactly what another one says in a word. What a theme says of them counts no longer once the brand has said that word. */
const EXACTER: ReadonlyMap<string, string> = new Map([
  ["corners.card", "corners"],
  ["corners.control", "corners"],
  ["space.air", "density"],
]);

/** Resolves one setting: brand over theme over base. Values that the setting does not allow are passed over. */
export function resolveSetting(key: string, brand: Brand, theme: ThemeDefaults): ResolvedSetting {
  const setting = settingOf(key);
  const coarser = EXACTER.get(key);
  const ofTheme = coarser && entryOf(brand, coarser) !== undefined ? undefined : entryOf(theme, key);
  const without = ofTheme ?? setting?.base ?? null;
  const from: Origin = ofTheme === undefined ? "base" : "theme";
  const own = entryOf(brand, key);
  if (own === undefined || !setting || problemWithValue(setting, own)) return { value: without, from, without };
  return { value: own as SettingValue, from: "brand", without };
}

/** A reader of resolved settings, by their type. @throws for a key whose setting is of another type: a programming error. */
export type SettingReader = {
  readonly text: (key: string) => string;
  readonly amount: (key: string) => number;
  /** For numbers that follow from others while nobody sets them. */
  readonly amountOr: (key: string, otherwise: number) => number;
  readonly isOn: (key: string) => boolean;
  readonly optional: (key: string) => string | undefined;
  readonly gradient: (key: string) => Gradient;
};

export function readerOf(brand: Brand, theme: ThemeDefaults): SettingReader {
  const get = (key: string) => resolveSetting(key, brand, theme).value;
  const must = <T>(key: string, is: (value: unknown) => boolean): T => {
    const value = get(key);
    if (!is(value)) throw new Error(`setting "${key}" is not of the type asked for`);
    return value as T;
  };
  return {
    text: (key) => must(key, (v) => typeof v === "string"),
    amount: (key) => must(key, (v) => typeof v === "number"),
    amountOr: (key, otherwise) => {
      const value = get(key);
      return typeof value === "number" ? value : otherwise;
    },
    isOn: (key) => must(key, (v) => typeof v === "boolean"),
    optional: (key) => {
      const value = get(key);
      return typeof value === "string" ? value : undefined;
    },
    gradient: (key) => must(key, (v) => typeof v === "object" && v !== null),
  };
}

/** A value in a seller's words. */
export function valueWords(setting: Setting, value: Json | SettingValue | null | undefined): string {
  if (value === null || value === undefined) return "not set";
  switch (setting.type) {
    case "choice":
      return setting.options.find((o) => o.value === value)?.label ?? String(value);
    case "number":
      return `${String(value)}${setting.unit ? ` ${setting.unit}` : ""}`;
    case "flag":
      return value === true ? "on" : "off";
    case "family":
      return FAMILIES.find((f) => f.id === value)?.name ?? String(value);
    case "gradient":
      return `${(value as Gradient).stops.length} stops at ${(value as Gradient).angle}°`;
    default:
      return String(value);
  }
}
