import { z } from "zod";
import { entryOf, type Brand, type Json } from "../document";
import {
  FAMILIES,
  pinKey,
  problemWithBrand,
  problemWithValue,
  readColour,
  settingOf,
  type Gradient,
  type SettingValue,
  type Theme,
} from "../theme";
import { EXTENSION, tokensOf, type TokenJson } from "./tokens";

// Reading a file of design tokens: see `tokens.ts` for what we write.

type FlatToken = { readonly path: readonly string[]; readonly type: string | undefined; readonly value: Json };

const isObject = (value: unknown): value is { readonly [key: string]: Json } =>
  typeof value === "object" && value !== null && !Array.isArray(value);

/** Every token of a file with its path and its type, which may be its group's. `$root` is its group's own token. */
function* flatten(group: TokenJson, path: readonly string[], type: string | undefined): Generator<FlatToken> {
  const here = typeof group.$type === "string" ? group.$type : type;
  if ("$value" in group) {
    yield { path, type: here, value: group.$value! };
    return;
  }
  for (const [name, inner] of Object.entries(group)) {
    if (name === "$root" && isObject(inner)) yield* flatten(inner, path, here);
    else if (!name.startsWith("$") && isObject(inner)) yield* flatten(inner, [...path, name], here);
  }
}

const MOST_TOKENS = 5_000;
const MOST_CHARACTERS = 2_000_000;
const DEEPEST = 40;

const depthOf = (value: unknown): number =>
  typeof value === "object" && value !== null ? 1 + Math.max(0, ...Object.values(value).map(depthOf)) : 0;

type ResolvedToken = {
  readonly value: Json;
  readonly type: string | undefined;
  /** The tokens that were passed on the way. */
  readonly via: readonly string[];
};

/** Follows aliases (`{a.b}`) and JSON references (`{"$ref": "#/a/b/$value"}`), also within a value. Undefined: leads nowhere, or in a circle. */
function resolver(tokens: readonly FlatToken[]) {
  const byPath = new Map(tokens.map((t) => [t.path.join("."), t]));
  const pathOf = (value: Json): string | undefined => {
    if (typeof value === "string") return /^\{([^{}]+)\}$/.exec(value)?.[1];
    if (isObject(value) && typeof value.$ref === "string")
      return /^#\/(.+?)(?:\/\$value)?$/.exec(value.$ref)?.[1]?.split("/").join(".");
    return undefined;
  };
  const follow = (value: Json, type: string | undefined, seen: readonly string[]): ResolvedToken | undefined => {
    const path = pathOf(value);
    if (path !== undefined) {
      const target = byPath.get(path);
      if (!target || seen.includes(path)) return undefined;
      const found = follow(target.value, type ?? target.type, [...seen, path]);
      return found && { ...found, via: [path, ...found.via] };
    }
    if (typeof value !== "object" || value === null) return { value, type, via: [] };
    const via: string[] = [];
    const inner = (part: Json): Json | undefined => {
      const found = follow(part, undefined, seen);
      if (found) via.push(...found.via);
      return found?.value;
    };
    const entries = Object.entries(value).map(([key, part]) => [key, inner(part)] as const);
    if (entries.some(([, part]) => part === undefined)) return undefined;
    const whole = Array.isArray(value) ? entries.map(([, part]) => part!) : Object.fromEntries(entries);
    return { value: whole as Json, type, via };
  };
  return (token: FlatToken) => follow(token.value, token.type, [token.path.join(".")]);
}

const componentsSchema = z.object({
  colorSpace: z.string(),
  components: z.tuple([z.number(), z.number(), z.number()]),
  alpha: z.number().optional(),
  hex: z.string().optional(),
});

/** A token's colour as `#rrggbb`; undefined when it is none that can be read. */
function colourOf(value: Json): string | undefined {
  if (typeof value === "string") return readColour(value);
  const parsed = componentsSchema.safeParse(value);
  if (!parsed.success) return undefined;
  const { colorSpace, components } = parsed.data;
  const [a, b, c] = components;
  const spaces: Readonly<Record<string, string>> = {
    srgb: `color(srgb ${a} ${b} ${c})`,
    "srgb-linear": `color(srgb-linear ${a} ${b} ${c})`,
    "display-p3": `color(display-p3 ${a} ${b} ${c})`,
    "a98-rgb": `color(a98-rgb ${a} ${b} ${c})`,
    "prophoto-rgb": `color(prophoto-rgb ${a} ${b} ${c})`,
    rec2020: `color(rec2020 ${a} ${b} ${c})`,
    "xyz-d65": `color(xyz-d65 ${a} ${b} ${c})`,
    "xyz-d50": `color(xyz-d50 ${a} ${b} ${c})`,
    hsl: `hsl(${a} ${b}% ${c}%)`,
    hwb: `hwb(${a} ${b}% ${c}%)`,
    lab: `lab(${a}% ${b} ${c})`,
    lch: `lch(${a}% ${b} ${c})`,
    oklab: `oklab(${a} ${b} ${c})`,
    oklch: `oklch(${a} ${b} ${c})`,
  };
  const written = entryOf(spaces, colorSpace);
  return written === undefined ? parsed.data.hex && readColour(parsed.data.hex) : readColour(written);
}

/** A token's length in px, 16 to the rem. */
function pxOf(value: Json): number | undefined {
  if (typeof value === "string") {
    const match = /^(-?[\d.]+)(px|rem)$/.exec(value.trim());
    return match ? Number(match[1]) * (match[2] === "rem" ? 16 : 1) : undefined;
  }
  if (!isObject(value) || typeof value.value !== "number") return undefined;
  return value.unit === "px" ? value.value : value.unit === "rem" ? value.value * 16 : undefined;
}

const WEIGHT_NAMES: Readonly<Record<string, number>> = {
  thin: 100,
  hairline: 100,
  "extra-light": 200,
  light: 300,
  normal: 400,
  regular: 400,
  book: 400,
  medium: 500,
  "semi-bold": 600,
  "demi-bold": 600,
  bold: 700,
  "extra-bold": 800,
  black: 900,
  heavy: 900,
};
const weightOf = (value: Json): number | undefined =>
  typeof value === "number" ? value : typeof value === "string" ? entryOf(WEIGHT_NAMES, value) : undefined;

/** The shipped family that a font token names first. */
function familyOf(value: Json): string | undefined {
  const names = (Array.isArray(value) ? value : [value]).map((n) => String(n).toLowerCase());
  for (const name of names) {
    const found = FAMILIES.find((f) => f.name.toLowerCase() === name || f.id === name.replaceAll(" ", "-"));
    if (found) return found.id;
  }
  return undefined;
}

function gradientOf(value: Json): Gradient | undefined {
  if (!Array.isArray(value)) return undefined;
  const stops = value.map((stop: Json) => {
    const colour = isObject(stop) ? colourOf(stop.color ?? null) : undefined;
    const at =
      isObject(stop) && typeof stop.position === "number"
        ? Math.round(Math.min(1, Math.max(0, stop.position)) * 100)
        : undefined;
    return colour !== undefined && at !== undefined ? { colour, at } : undefined;
  });
  return stops.length >= 2 && stops.length <= 8 && stops.every((s) => s !== undefined)
    ? { angle: 100, stops: stops }
    : undefined;
}

/** Settings by the exact paths under which we write them. */
const OWN_PATHS: Readonly<Record<string, string>> = {
  "brand.colour": "colour",
  "brand.accent": "colour2",
  "brand.grounds": "colour3",
  "font.heads": "type.heads",
  "font.text": "type.text",
  "weight.heads": "type.headsWeight",
  "weight.text": "type.textWeight",
  "size.phone.text": "type.basePhone",
  "size.wide.text": "type.baseWide",
  "shape.card": "corners.card",
  "shape.control": "corners.control",
  "shape.line": "line.weight",
  "shape.content-width": "space.content",
  "shape.button-height": "button.height",
  "shape.button-padding": "button.padding",
  "shape.field-height": "field.height",
  "gradient.primary": "button.primary.gradient",
  "gradient.secondary": "button.secondary.gradient",
  "gradient.quiet": "button.quiet.gradient",
};

const pinOfPath = (path: readonly string[]): string | undefined =>
  path.length === 4 && path[0] === "colour" && settingOf(`pin.${path.slice(1).join(".")}`)
    ? `pin.${path.slice(1).join(".")}`
    : undefined;

/** Settings by the names that design files commonly use (common practice, no source), the first that fits. Of several patterns all have to. */
const COMMON_NAMES: readonly (readonly [type: string, names: RegExp | readonly RegExp[], key: string])[] = [
  ["color", /(^|[.-])(brand|primary)([.-](base|default|main|500|600|colou?r))?$/, "colour"],
  ["color", /(^|[.-])(accent|secondary)([.-](base|default|main|500|600|colou?r))?$/, "colour2"],
  ["color", /(^|[.-])tertiary([.-](base|default|main|500|600))?$/, "colour3"],
  ["color", /(^|[.-])(background|page|canvas)([.-](base|default|page|primary))?$/, pinKey("light", "page", "page")],
  ["color", /(^|[.-])(text|foreground|ink)([.-](base|default|body|primary))?$/, pinKey("light", "page", "ink")],
  ["color", /(^|[.-])(muted|text[.-]secondary|soft)$/, pinKey("light", "page", "soft")],
  ["color", /(^|[.-])(link)([.-](base|default))?$/, pinKey("light", "page", "link")],
  ["color", /(^|[.-])(sale|discount)$/, pinKey("light", "page", "sale")],
  ["color", /(^|[.-])success([.-](base|default|500))?$/, pinKey("light", "page", "success")],
  ["color", /(^|[.-])warning([.-](base|default|500))?$/, pinKey("light", "page", "warning")],
  ["color", /(^|[.-])(danger|error)([.-](base|default|500))?$/, pinKey("light", "page", "danger")],
  ["fontFamily", /(head|heading|headline|display|title)s?/, "type.heads"],
  ["fontFamily", /(body|text|base|sans|copy)/, "type.text"],
  ["fontWeight", /(head|heading|headline|display|title)s?/, "type.headsWeight"],
  ["fontWeight", /(body|text|base|regular|copy)/, "type.textWeight"],
  ["dimension", [/radius|corner|rounded/, /card|image|picture|large|lg/], "corners.card"],
  ["dimension", [/radius|corner|rounded/, /button|control|input|field|base|medium|md|default/], "corners.control"],
  ["dimension", /(content|container|page)[.-]?(max[.-]?)?width/, "space.content"],
  ["dimension", /font[.-]?size[.-](base|body|md|medium)$/, "type.baseWide"],
  ["dimension", /border[.-]?width([.-](base|default|thin))?$/, "line.weight"],
  ["gradient", /(button|brand|primary|hero)/, "button.primary.gradient"],
];

/** The value that a setting takes from a token; a sentence where it can't be one. */
function valueFor(key: string, value: Json): { readonly value: SettingValue } | string {
  const setting = settingOf(key)!;
  const read: SettingValue | undefined =
    setting.type === "colour"
      ? colourOf(value)
      : setting.type === "family"
        ? familyOf(value)
        : setting.type === "gradient"
          ? gradientOf(value)
          : setting.type === "number"
            ? (pxOf(value) ?? weightOf(value))
            : undefined;
  if (read === undefined)
    return setting.type === "family" ? "this family is not among those that are shipped" : "its value can’t be read";
  // A radius that means "as round as can be" is the roundest there is here.
  const taken =
    setting.type === "number" && typeof read === "number" && key.startsWith("corners.")
      ? Math.min(setting.most, read)
      : read;
  return problemWithValue(setting, taken) ? problemWithValue(setting, taken)! : { value: taken };
}

export type TokenUse = { readonly path: string; readonly key: string; readonly value: SettingValue };
export type TokenLeft = { readonly path: string; readonly why: string };
export type TokenPlan =
  | { readonly ok: false; readonly why: string }
  | {
      readonly ok: true;
      /** Everything the brand says once the file is taken over. */
      readonly brand: Brand;
      /** The theme that the file was made in, where it says one. */
      readonly theme: string | undefined;
      /** Tokens that set something. */
      readonly used: readonly TokenUse[];
      readonly left: readonly TokenLeft[];
    };

const extensionSchema = z.object({
  version: z.literal(1),
  theme: z.string().max(40),
  brand: z.record(z.string(), z.unknown()),
});

const MIGHT_BE: Readonly<Record<string, string>> = {
  color: "no colour of the brand has such a name",
  dimension: "no measure of the brand has such a name",
  fontFamily: "it is neither for heads nor for text",
  fontWeight: "it is neither for heads nor for text",
  gradient: "gradients are for buttons here",
  shadow: "shadows are chosen from our own here",
  duration: "motion is the theme’s here",
  typography: "its parts are taken from fonts and sizes",
};

/** The parts of a typography token as tokens of their own. */
function* partsOfTypography(flat: FlatToken, value: Json): Generator<FlatToken> {
  if (!isObject(value)) return;
  for (const [name, type] of [
    ["fontFamily", "fontFamily"],
    ["fontWeight", "fontWeight"],
    ["fontSize", "dimension"],
  ] as const) {
    if (value[name] !== undefined)
      yield { path: [...flat.path, name === "fontSize" ? "font-size-base" : name], type, value: value[name] };
  }
}

/**
 * Reads a token file and says what taking it over would do: which settings it sets, and which tokens could not be used
 * and why. Nothing is changed. `current`: the brand as it is, which stays where the file says nothing; a file of our own
 * replaces it whole. `themes`: the themes there are, to know what our own file would have said unchanged.
 */
export function planTokens(text: string, current: Brand, themes: readonly Theme[]): TokenPlan {
  if (text.length > MOST_CHARACTERS)
    return { ok: false, why: "This file is too large for a file of design tokens (2 MB at most)." };
  let parsed: unknown;
  try {
    parsed = JSON.parse(text);
  } catch {
    return { ok: false, why: "This file is not JSON, so it is not a file of design tokens." };
  }
  if (!isObject(parsed)) return { ok: false, why: "This file holds no design tokens." };
  if (depthOf(parsed) > DEEPEST) return { ok: false, why: "The groups in this file are nested too deeply to be read." };
  const tokens = [...flatten(parsed, [], undefined)];
  if (tokens.length === 0) return { ok: false, why: "This file holds no design tokens: nothing in it has a “$value”." };
  if (tokens.length > MOST_TOKENS)
    return { ok: false, why: `This file has ${tokens.length} tokens; ${MOST_TOKENS} can be read at most.` };

  const extension = extensionSchema.safeParse(isObject(parsed.$extensions) ? parsed.$extensions[EXTENSION] : undefined);
  const own = extension.success ? extension.data : undefined;
  const theme = own && themes.find((t) => t.id === own.theme);
  const ownBrand = own && !problemWithBrand(own.brand as Brand) ? (own.brand as Brand) : undefined;
  const resolve = resolver(tokens);
  const expected = new Map<string, string>();
  if (ownBrand && theme) {
    for (const each of flatten(tokensOf(theme, ownBrand), [], undefined))
      expected.set(each.path.join("."), JSON.stringify(each.value));
  }

  const used: TokenUse[] = [];
  const left: TokenLeft[] = [];
  const reached = new Set<string>();
  const settle = (flat: FlatToken) => {
    const path = flat.path.join(".");
    const resolved = resolve(flat);
    if (!resolved) return void left.push({ path, why: "it points to a token that is not there, or in a circle" });
    // As we wrote it: it follows from the brand, and says nothing new, also where what it points to was changed.
    if (expected.get(path) === JSON.stringify(flat.value)) return;
    const type = resolved.type ?? flat.type;
    if (type === "typography" && !expected.size) {
      for (const inner of partsOfTypography(flat, resolved.value)) settle(inner);
      return;
    }
    const name = path.toLowerCase();
    const key =
      entryOf(OWN_PATHS, path) ??
      pinOfPath(flat.path) ??
      COMMON_NAMES.find(([t, patterns]) => t === type && [patterns].flat().every((p) => p.test(name)))?.[2];
    if (key === undefined) {
      return void left.push({
        path,
        why:
          type === undefined
            ? "it has no type"
            : (entryOf(MIGHT_BE, type) ?? `tokens of type “${type}” are not used here`),
      });
    }
    const before = used.find((u) => u.key === key);
    if (before) return void left.push({ path, why: `“${before.path}” sets the same` });
    const value = valueFor(key, resolved.value);
    if (typeof value === "string") left.push({ path, why: value });
    else {
      used.push({ path, key, value: value.value });
      for (const through of resolved.via) reached.add(through);
    }
  };
  for (const flat of tokens) settle(flat);
  const changes = Object.fromEntries(used.map(({ key, value }) => [key, value as Json]));
  return {
    ok: true,
    brand: { ...(ownBrand ?? current), ...changes },
    theme: ownBrand ? theme?.id : undefined,
    used,
    // What a token that is used points to is used as well.
    left: left.filter(({ path }) => !reached.has(path)),
  };
}
