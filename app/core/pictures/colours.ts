import { linearOf, oklabOf } from "../theme/oklch";

/** The colours by which pictures are looked for, each with one that shows it. */
export const COLOURS = {
  red: { name: "Red", shown: "#c62828" },
  orange: { name: "Orange", shown: "#f08418" },
  yellow: { name: "Yellow", shown: "#f2cd2e" },
  green: { name: "Green", shown: "#3f8f3c" },
  teal: { name: "Teal", shown: "#1f8f92" },
  blue: { name: "Blue", shown: "#2458b8" },
  violet: { name: "Violet", shown: "#7a3fa6" },
  pink: { name: "Pink", shown: "#e87fae" },
  brown: { name: "Brown", shown: "#7d5230" },
  black: { name: "Black", shown: "#1d1d1d" },
  grey: { name: "Grey", shown: "#8d8d8d" },
  white: { name: "White", shown: "#ffffff" },
} as const;
export type ColourName = keyof typeof COLOURS;

/** Where one colour ends and the next begins, as hues of Oklch in degrees. */
const HUES: readonly (readonly [upTo: number, name: ColourName])[] = [
  [8, "pink"],
  [42, "red"],
  [77, "orange"],
  [117, "yellow"],
  [167, "green"],
  [225, "teal"],
  [286, "blue"],
  [332, "violet"],
  [360, "pink"],
];

/** What a colour is called. `hex`: `#rrggbb`. */
export function nameOfColour(hex: string): ColourName {
  const [lightness, a, b] = oklabOf(linearOf(hex));
  const chroma = Math.hypot(a, b);
  // Very dark and very light colours are called black and white long before they are without colour.
  const least = lightness < 0.3 ? 0.05 : lightness > 0.9 ? 0.04 : 0.028;
  if (lightness < 0.16 || chroma < least) return lightness > 0.88 ? "white" : lightness < 0.32 ? "black" : "grey";
  const hue = ((Math.atan2(b, a) * 180) / Math.PI + 360) % 360;
  if (hue >= 30 && hue < 95 && lightness < 0.62 && chroma < 0.135) return "brown";
  if ((hue < 32 || hue > 340) && lightness > 0.7) return "pink";
  return HUES.find(([upTo]) => hue < upTo)![1];
}
