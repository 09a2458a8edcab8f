/** An open-licence font family that is shipped with the application and served from its own origin. */
export type Family = {
  readonly id: string;
  /** The name used in CSS. */
  readonly name: string;
  readonly fallback: "sans" | "serif";
  /** Which of the package's variable files is cut from; it carries the weight axis and the one named. Drawn in one weight, it has none. */
  readonly axis: "wght" | "opsz" | "wdth" | "none";
  readonly weights: readonly [number, number];
};

const family = (
  id: string,
  name: string,
  fallback: Family["fallback"],
  weights: Family["weights"],
  axis: Family["axis"] = "wght",
): Family => ({ id, name, fallback, axis, weights });

/** A family that was drawn in one weight only. */
const single = (id: string, name: string, fallback: Family["fallback"]) =>
  family(id, name, fallback, [400, 400], "none");

/** Whether a family was drawn in one weight: for heads, and not for text. */
export const isSingle = (of: Family): boolean => of.axis === "none";

/** Size in px for which heads of families with an axis of optical size are drawn: between a hero and the heads of sections. */
export const HEAD_SIZE = 72;

export const FAMILIES: readonly Family[] = [
  family("alegreya", "Alegreya", "serif", [400, 900]),
  family("archivo", "Archivo", "sans", [100, 900], "wdth"),
  family("bitter", "Bitter", "serif", [100, 900]),
  family("bricolage-grotesque", "Bricolage Grotesque", "sans", [200, 800], "opsz"),
  family("cormorant-garamond", "Cormorant Garamond", "serif", [300, 700]),
  family("dm-sans", "DM Sans", "sans", [100, 1000]),
  family("epilogue", "Epilogue", "sans", [100, 900]),
  family("figtree", "Figtree", "sans", [300, 900]),
  family("fraunces", "Fraunces", "serif", [100, 900], "opsz"),
  family("fredoka", "Fredoka", "sans", [300, 700]),
  single("gloock", "Gloock", "serif"),
  family("instrument-sans", "Instrument Sans", "sans", [400, 700]),
  family("jost", "Jost", "sans", [100, 900]),
  family("karla", "Karla", "sans", [200, 800]),
  family("literata", "Literata", "serif", [200, 900]),
  family("lora", "Lora", "serif", [400, 700]),
  family("manrope", "Manrope", "sans", [200, 800]),
  single("marcellus", "Marcellus", "serif"),
  family("mulish", "Mulish", "sans", [200, 1000]),
  family("newsreader", "Newsreader", "serif", [200, 800], "opsz"),
  family("nunito", "Nunito", "sans", [200, 1000]),
  family("outfit", "Outfit", "sans", [100, 900]),
  family("playfair-display", "Playfair Display", "serif", [400, 900]),
  family("quicksand", "Quicksand", "sans", [300, 700]),
  family("rubik", "Rubik", "sans", [300, 900]),
  family("source-serif-4", "Source Serif 4", "serif", [200, 900]),
  family("space-grotesk", "Space Grotesk", "sans", [300, 700]),
  family("syne", "Syne", "sans", [400, 800]),
  family("unbounded", "Unbounded", "sans", [200, 900]),
  family("work-sans", "Work Sans", "sans", [100, 900]),
];

/** Unicode ranges of the two subsets that are served, as the fontsource packages cut them. */
export const SUBSETS = {
  latin:
    "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD",
  "latin-ext":
    "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF",
} as const;
export type Subset = keyof typeof SUBSETS;

/** The package that ships a family. */
export const fontPackage = (of: Family): string =>
  isSingle(of) ? `@fontsource/${of.id}` : `@fontsource-variable/${of.id}`;

/** The file of a family's subset inside its package. */
export const fontFileName = (of: Family, subset: Subset): string =>
  `${of.id}-${subset}-${isSingle(of) ? of.weights[0] : of.axis}-normal.woff2`;

/** The family with this id; undefined where no such family is shipped. */
export const findFamily = (id: string): Family | undefined => FAMILIES.find((f) => f.id === id);

/** @throws when no such family is shipped; for ids from our own tables, never from input. */
export function familyById(id: string): Family {
  const found = findFamily(id);
  if (!found) throw new Error(`no shipped family "${id}"`);
  return found;
}

/** A part of a family that a shop uses: only these weights (and, for some, this width) are served. */
export type Cut = {
  readonly family: string;
  readonly weights: readonly [least: number, most: number];
  readonly stretch?: number;
};

/** The file name of a cut: `instrument-sans-latin-420-620.woff2`, `archivo-latin-640-640-w116.woff2`. */
export const cutFileName = (cut: Cut, subset: Subset): string =>
  `${cut.family}-${subset}-${cut.weights[0]}-${cut.weights[1]}${cut.stretch === undefined ? "" : `-w${cut.stretch}`}.woff2`;

/** Reads a cut's file name back; undefined for anything that is not one of a shipped family within its weights. */
export function readCutFileName(name: string): { readonly cut: Cut; readonly subset: Subset } | undefined {
  const match = /^([a-z0-9-]+?)-(latin|latin-ext)-(\d{3,4})-(\d{3,4})(?:-w(\d{2,3}))?\.woff2$/.exec(name);
  if (!match) return undefined;
  const found = findFamily(match[1]!);
  const weights = [Number(match[3]), Number(match[4])] as const;
  if (!found || weights[0] < found.weights[0] || weights[1] > found.weights[1] || weights[0] > weights[1])
    return undefined;
  const stretch = match[5] === undefined ? undefined : Number(match[5]);
  if ((stretch !== undefined) !== (found.axis === "wdth") || (stretch !== undefined && (stretch < 62 || stretch > 125)))
    return undefined;
  return {
    cut: { family: found.id, weights, ...(stretch === undefined ? {} : { stretch }) },
    subset: match[2] as Subset,
  };
}
