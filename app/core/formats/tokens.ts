import { entryOf, type Brand, type Json } from "../document";
import {
  bothSchemes,
  BUTTONS,
  cornersOf,
  FAMILIES,
  fluidSizes,
  rampsOf,
  ROLES,
  SCHEMES,
  SHADOWS,
  solveBrand,
  spaceSteps,
  TONES,
  ALL_SETS,
  type Stop,
  type Theme,
} from "../theme";

// The look of a shop as a file of the W3C Design Tokens Community Group format, 2025.10. What other programs can use is
// written as tokens; the brand itself, setting by setting, goes along as an extension, so that a file that is read again
// gives the very same brand. A token that was changed in between wins over what the extension says.

/** Where the brand itself stands in a file, for ourselves. */
export const EXTENSION = "window.zest.brand";

export type TokenJson = { readonly [key: string]: Json };

const hexColour = (hex: string): Json => {
  const value = Number.parseInt(hex.slice(1), 16);
  const part = (shift: number) => Number((((value >> shift) & 255) / 255).toFixed(6));
  return { colorSpace: "srgb", components: [part(16), part(8), part(0)], hex };
};
const px = (value: number): Json => ({ value: Number(value.toFixed(3)), unit: "px" });
const token = (type: string, value: Json, description?: string): TokenJson => ({
  $type: type,
  $value: value,
  ...(description ? { $description: description } : {}),
});
const aliasOf = (...path: readonly string[]): Json => `{${path.join(".")}}`;

const stopColour = (colour: Stop["colour"]): Json =>
  colour.startsWith("#") ? hexColour(colour) : aliasOf("colour", "light", "page", colour);

/** A look as the JSON of a token file. */
export function tokensOf(theme: Theme, brand: Brand): TokenJson {
  const look = solveBrand(theme, brand);
  const schemes = bothSchemes(theme, brand);
  const ramps = rampsOf(look);
  const corners = cornersOf(look);
  const { read, type } = look;
  const space = spaceSteps(look);
  const sizes = fluidSizes(type.scale);
  const byName = <T>(names: readonly T[], make: (name: T, index: number) => Json): TokenJson =>
    Object.fromEntries(names.map((name, index) => [String(name), make(name, index)]));
  const family = (id: string): Json => {
    const found = FAMILIES.find((f) => f.id === id)!;
    return [found.name, found.fallback === "sans" ? "sans-serif" : "serif"];
  };
  const typography = (use: "heads" | "text", size: string): TokenJson =>
    token("typography", {
      fontFamily: aliasOf("font", use),
      fontSize: aliasOf("size", "wide", size),
      fontWeight: aliasOf("weight", use),
      letterSpacing: px(type[use].tracking * entryOf(sizes, size)![1]),
      lineHeight: type[use].leading,
    });
  const shadow = entryOf(SHADOWS, read.text("shadow")) ?? [];
  const ownGradients = BUTTONS.filter((name) => read.text(`button.${name}.style`) === "gradient");
  return {
    $description: "The look of a shop, written by Zest Window.",
    $extensions: { [EXTENSION]: { version: 1, theme: theme.id, brand } },
    brand: {
      $type: "color",
      colour: { $value: hexColour(look.brandColour) },
      accent: { $value: hexColour(look.accentColour) },
      grounds: { $value: read.optional("colour3") ? hexColour(read.text("colour3")) : aliasOf("brand", "colour") },
    },
    ramp: {
      $type: "color",
      brand: byName(TONES, (tone) => ({ $value: hexColour(ramps.brand[tone]) })),
      accent: byName(TONES, (tone) => ({ $value: hexColour(ramps.accent[tone]) })),
    },
    colour: {
      $type: "color",
      ...byName(SCHEMES, (scheme) =>
        byName(ALL_SETS, (set) => byName(ROLES, (role) => ({ $value: hexColour(schemes[scheme].sets[set][role]) }))),
      ),
    },
    button: {
      $type: "color",
      ground: { $value: aliasOf("colour", "light", "page", read.text("button.primary.role")) },
      words: { $value: aliasOf("colour", "light", "page", `on-${read.text("button.primary.role")}`) },
    },
    font: {
      $type: "fontFamily",
      heads: { $value: family(type.heads.family) },
      text: { $value: family(type.text.family) },
    },
    weight: {
      $type: "fontWeight",
      heads: { $value: type.heads.weight },
      text: { $value: type.text.weight },
      strong: { $value: type.text.strong },
    },
    size: {
      $type: "dimension",
      phone: byName(Object.keys(sizes), (size) => ({ $value: px(entryOf(sizes, size)![0]) })),
      wide: byName(Object.keys(sizes), (size) => ({ $value: px(entryOf(sizes, size)![1]) })),
    },
    typography: {
      text: typography("text", "text"),
      head: typography("heads", "head-3"),
      "large-head": typography("heads", "head-6"),
    },
    space: {
      $type: "dimension",
      phone: byName(space, (step) => ({ $value: px(step[0]) })),
      wide: byName(space, (step) => ({ $value: px(step[1]) })),
    },
    shape: {
      $type: "dimension",
      card: { $value: px(corners.card) },
      control: { $value: px(corners.control) },
      line: { $value: px(read.amount("line.weight")) },
      "content-width": { $value: px(read.amount("space.content")) },
      "button-height": { $value: px(read.amount("button.height")) },
      "button-padding": { $value: px(read.amount("button.padding")) },
      "field-height": { $value: px(read.amount("field.height")) },
    },
    motion: {
      $type: "duration",
      quick: { $value: { value: 150, unit: "ms" } },
      picture: { $value: { value: 250, unit: "ms" } },
    },
    ...(shadow.length
      ? {
          shadow: token(
            "shadow",
            shadow.map((s) => ({
              color: { colorSpace: "srgb", components: [0.039, 0.063, 0.078], alpha: s.alpha },
              offsetX: px(s.x),
              offsetY: px(s.y),
              blur: px(s.blur),
              spread: px(s.spread),
            })),
          ),
        }
      : {}),
    ...(ownGradients.length
      ? {
          gradient: byName(ownGradients, (name) =>
            token(
              "gradient",
              read
                .gradient(`button.${name}.gradient`)
                .stops.map((s) => ({ color: stopColour(s.colour), position: s.at / 100 })),
            ),
          ),
        }
      : {}),
  };
}

/** A token file's text. */
export const writeTokens = (theme: Theme, brand: Brand): string =>
  `${JSON.stringify(tokensOf(theme, brand), null, 2)}\n`;
