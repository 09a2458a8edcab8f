import { FAMILY_METRICS } from "./family-metrics";
import { familyById, fontFileName, SUBSETS, type Family, type Subset } from "./families";

export type FontUse = {
  readonly family: string;
  readonly weight: number;
  /** Width axis in percent, for families that have it. */
  readonly stretch?: number;
  /** In em. */
  readonly tracking: number;
  readonly leading: number;
};

/** Two families that go together: one for heads, one for running text. */
export type TypePair = {
  readonly id: string;
  readonly name: string;
  /** One or two words for how it feels. */
  readonly mood: string;
  readonly heads: FontUse;
  readonly text: FontUse & { readonly strong: number };
};

export const TYPE_PAIRS: readonly TypePair[] = [
  {
    id: "open-air",
    name: "Bricolage & Instrument",
    mood: "open and lively",
    heads: { family: "bricolage-grotesque", weight: 760, tracking: -0.025, leading: 1 },
    text: { family: "instrument-sans", weight: 420, strong: 620, tracking: 0, leading: 1.55 },
  },
  {
    id: "larder",
    name: "Fraunces & Karla",
    mood: "warm and homely",
    heads: { family: "fraunces", weight: 480, tracking: -0.012, leading: 1.1 },
    text: { family: "karla", weight: 400, strong: 650, tracking: 0, leading: 1.6 },
  },
  {
    id: "workbench",
    name: "Archivo wide & text",
    mood: "exact and technical",
    heads: { family: "archivo", weight: 640, stretch: 116, tracking: -0.01, leading: 1.12 },
    text: { family: "archivo", weight: 400, strong: 650, tracking: 0, leading: 1.5 },
  },
  {
    id: "playroom",
    name: "Fredoka & Nunito",
    mood: "round and cheerful",
    heads: { family: "fredoka", weight: 600, tracking: -0.01, leading: 1.1 },
    text: { family: "nunito", weight: 450, strong: 750, tracking: 0, leading: 1.55 },
  },
  {
    id: "reading-room",
    name: "Newsreader & Source Serif",
    mood: "calm and bookish",
    heads: { family: "newsreader", weight: 500, tracking: -0.015, leading: 1.08 },
    text: { family: "source-serif-4", weight: 400, strong: 650, tracking: 0, leading: 1.6 },
  },
  {
    id: "gallery",
    name: "Cormorant & Jost",
    mood: "fine and airy",
    heads: { family: "cormorant-garamond", weight: 500, tracking: -0.01, leading: 1.05 },
    text: { family: "jost", weight: 400, strong: 600, tracking: 0.005, leading: 1.6 },
  },
  {
    id: "tea-house",
    name: "Epilogue & Literata",
    mood: "modern and gentle",
    heads: { family: "epilogue", weight: 620, tracking: -0.03, leading: 1.08 },
    text: { family: "literata", weight: 400, strong: 650, tracking: 0, leading: 1.6 },
  },
];

export const typePairById = (id: string): TypePair | undefined => TYPE_PAIRS.find((pair) => pair.id === id);

export type TypeScale = {
  /** Size of running text in px on a phone and on a wide screen. */
  readonly base: readonly [phone: number, wide: number];
  readonly ratio: readonly [phone: number, wide: number];
};

/** Widths in px between which sizes grow: the phone pane and the wide pane. */
export const FLUID_RANGE = [390, 1280] as const;

const round = (value: number, digits = 4) => Number(value.toFixed(digits));

/** A size that grows evenly from `phone` px at 390 to `wide` px at 1280, in rem so that it follows the shopper's own text size. */
export function fluid(phone: number, wide: number): string {
  if (Math.abs(phone - wide) < 0.01) return `${round(phone / 16)}rem`;
  const slope = (wide - phone) / (FLUID_RANGE[1] - FLUID_RANGE[0]);
  const start = phone - slope * FLUID_RANGE[0];
  const [low, high] = phone < wide ? [phone, wide] : [wide, phone];
  return `clamp(${round(low / 16)}rem, ${round(start / 16)}rem + ${round(slope * 100)}vw, ${round(high / 16)}rem)`;
}

/** Steps of the type scale: 0 is running text, −1 small print, 6 the largest head. */
export const TYPE_STEPS = [-2, -1, 0, 1, 2, 3, 4, 5, 6] as const;

/** Size in px of a step on a phone and on a wide screen: base × ratio^step (a modular scale). */
export function stepSize(scale: TypeScale, step: number): readonly [phone: number, wide: number] {
  return [scale.base[0] * scale.ratio[0] ** step, scale.base[1] * scale.ratio[1] ** step];
}

// Letter widths of the metric-compatible system faces, weighted by letter frequency, as a share of the em. From the
// Adobe Core 14 metrics of Helvetica and Times (from memory), which Arial and Times New Roman match.
const SYSTEM = {
  sans: { averageWidth: 0.4459, faces: ["Arial", "Liberation Sans", "Helvetica"] },
  serif: { averageWidth: 0.4048, faces: ["Times New Roman", "Liberation Serif", "Times"] },
} as const;

const percent = (value: number) => `${round(value * 100, 2)}%`;

/** The stand-in shown until a font has arrived, stretched to its metrics so that nothing moves when it does. */
function fallbackFace(family: Family): string {
  const metrics = FAMILY_METRICS[family.id]!;
  const system = SYSTEM[family.fallback];
  const size = metrics.averageWidth / metrics.unitsPerEm / system.averageWidth;
  const relative = (value: number) => percent(Math.abs(value) / metrics.unitsPerEm / size);
  const sources = system.faces.map((face) => `local("${face}")`).join(",");
  return `@font-face{font-family:"${family.name} fallback";src:${sources};size-adjust:${percent(size)};ascent-override:${relative(metrics.ascent)};descent-override:${relative(metrics.descent)};line-gap-override:${relative(metrics.lineGap)}}`;
}

/** Address of a shipped font file on either origin. */
export const fontAddress = (family: Family, subset: Subset): string => `/fonts/${fontFileName(family, subset)}`;

/** `@font-face` rules of a family: its two subsets and its metric-matched stand-in. */
export function fontFaces(familyId: string): string {
  const family = familyById(familyId);
  const stretch = family.axis === "wdth" ? "font-stretch:62% 125%;" : "";
  const faces = (Object.keys(SUBSETS) as Subset[]).map(
    (subset) =>
      `@font-face{font-family:"${family.name}";font-style:normal;font-display:swap;font-weight:${family.weights.join(" ")};${stretch}src:url(${fontAddress(family, subset)}) format("woff2");unicode-range:${SUBSETS[subset]}}`,
  );
  return [...faces, fallbackFace(family)].join("");
}

/** The `font-family` list for a family: itself, its stand-in, then the generic family. */
export function fontStack(familyId: string): string {
  const family = familyById(familyId);
  return `"${family.name}","${family.name} fallback",${family.fallback === "sans" ? "sans-serif" : "serif"}`;
}
