import type { Colourway, SettingValue } from "~/core/theme";

export const COLOUR_KEYS = ["colour", "colour2", "colour3"] as const;

/** What a brand says of colours in a colourway; null: nothing, so that they are the theme's own. */
export const coloursOfWay = (way: Colourway | null): Readonly<Record<string, SettingValue | undefined>> =>
  Object.fromEntries(COLOUR_KEYS.map((key) => [key, way?.brand[key] as SettingValue | undefined]));
