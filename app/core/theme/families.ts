/** An open-licence font family that is shipped with the application and served from its own origin. */
export type Family = {
  readonly id: string;
  /** The name used in CSS. */
  readonly name: string;
  readonly fallback: "sans" | "serif";
  /** Which of the variable files is served; it carries the weight axis and the one named. */
  readonly axis: "wght" | "opsz" | "wdth";
  readonly weights: readonly [number, number];
};

export const FAMILIES: readonly Family[] = [
  { id: "archivo", name: "Archivo", fallback: "sans", axis: "wdth", weights: [100, 900] },
  { id: "bricolage-grotesque", name: "Bricolage Grotesque", fallback: "sans", axis: "opsz", weights: [200, 800] },
  { id: "cormorant-garamond", name: "Cormorant Garamond", fallback: "serif", axis: "wght", weights: [300, 700] },
  { id: "epilogue", name: "Epilogue", fallback: "sans", axis: "wght", weights: [100, 900] },
  { id: "fraunces", name: "Fraunces", fallback: "serif", axis: "opsz", weights: [100, 900] },
  { id: "fredoka", name: "Fredoka", fallback: "sans", axis: "wght", weights: [300, 700] },
  { id: "instrument-sans", name: "Instrument Sans", fallback: "sans", axis: "wght", weights: [400, 700] },
  { id: "jost", name: "Jost", fallback: "sans", axis: "wght", weights: [100, 900] },
  { id: "karla", name: "Karla", fallback: "sans", axis: "wght", weights: [200, 800] },
  { id: "literata", name: "Literata", fallback: "serif", axis: "wght", weights: [200, 900] },
  { id: "newsreader", name: "Newsreader", fallback: "serif", axis: "opsz", weights: [200, 800] },
  { id: "nunito", name: "Nunito", fallback: "sans", axis: "wght", weights: [200, 1000] },
  { id: "source-serif-4", name: "Source Serif 4", fallback: "serif", axis: "wght", weights: [200, 900] },
];

/** Unicode ranges of the two subsets that are served, as the fontsource packages cut them. */
export const SUBSETS = {
  latin:
    "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD",
  "latin-ext":
    "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF",
} as const;
export type Subset = keyof typeof SUBSETS;

/** The file of a family's subset inside its package. */
export const fontFileName = (family: Family, subset: Subset): string =>
  `${family.id}-${subset}-${family.axis}-normal.woff2`;

/** @throws when no such family is shipped; ids come from our own tables, never from input. */
export function familyById(id: string): Family {
  const family = FAMILIES.find((f) => f.id === id);
  if (!family) throw new Error(`no shipped family "${id}"`);
  return family;
}
