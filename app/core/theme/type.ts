import { entryOf } from "../document";
import { FAMILY_METRICS } from "./family-metrics";
import {
  cutFileName,
  familyById,
  findFamily,
  fontFileName,
  SUBSETS,
  type Cut,
  type Family,
  type Subset,
} from "./families";
import type { FontUse, TypePair } from "./pairs";
import type { SettingReader } from "./table";

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

export type TypeScale = {
  /** Size of running text in px on a phone and on a wide screen. */
  readonly base: readonly [phone: number, wide: number];
  readonly ratio: readonly [phone: number, wide: number];
};

/** Small print stops shrinking here, in px: what is smaller can't be read at arm's length (common practice, no source). */
const LEAST_TEXT = 12;

/** Size in px of a step on a phone and on a wide screen: base × ratio^step (a modular scale). */
export function stepSize(scale: TypeScale, step: number): readonly [phone: number, wide: number] {
  const size = (i: 0 | 1) => scale.base[i] * scale.ratio[i] ** step;
  return step < 0 ? [Math.max(LEAST_TEXT, size(0)), Math.max(LEAST_TEXT, size(1))] : [size(0), size(1)];
}

/** Sizes of a scale in px, [phone, wide], by the names that files carry: small print, text, heads from small to large. */
export const fluidSizes = (scale: TypeScale): Readonly<Record<string, readonly [phone: number, wide: number]>> =>
  Object.fromEntries(
    TYPE_STEPS.map((step) => [
      step < 0 ? `small-${-step}` : step === 0 ? "text" : `head-${step}`,
      stepSize(scale, step),
    ]),
  );

/** The type of a shop as it is set: families, weights and measures. */
export type SolvedType = {
  readonly heads: FontUse;
  readonly text: FontUse & { readonly strong: number };
  readonly scale: TypeScale;
  /** Longest line of running text, in widths of the figure 0 (CSS `ch`). */
  readonly measure: number;
  readonly headsCase: "none" | "uppercase";
};

const within = (family: Family, weight: number) => Math.min(family.weights[1], Math.max(family.weights[0], weight));

/** Works out a shop's type from its pair and what is set beside it. */
export function solveType(pair: TypePair, read: SettingReader): SolvedType {
  const fitted = (own: FontUse, familyKey: string, weightKey: string): FontUse => {
    const chosen = findFamily(read.optional(familyKey) ?? "") ?? familyById(own.family);
    const isOther = chosen.id !== own.family;
    const { stretch, ...rest } = own;
    return {
      ...rest,
      family: chosen.id,
      weight: within(chosen, read.amountOr(weightKey, own.weight)),
      // Another family of the same kind has no width axis; one that has is taken at its own width.
      ...(chosen.axis === "wdth" ? { stretch: isOther ? 100 : (stretch ?? 100) } : {}),
    };
  };
  const heads = fitted(pair.heads, "type.heads", "type.headsWeight");
  const text = fitted(pair.text, "type.text", "type.textWeight");
  return {
    heads: {
      ...heads,
      leading: read.amountOr("type.headsLeading", pair.heads.leading),
      tracking: read.amountOr("type.headsTracking", pair.heads.tracking),
    },
    text: {
      ...text,
      leading: read.amountOr("type.leading", pair.text.leading),
      strong: within(familyById(text.family), Math.max(text.weight + 120, pair.text.strong)),
    },
    scale: {
      base: [read.amount("type.basePhone"), read.amount("type.baseWide")],
      ratio: [read.amount("type.ratioPhone"), read.amount("type.ratioWide")],
    },
    measure: read.amount("type.measure"),
    headsCase: read.text("type.headsCase") === "uppercase" ? "uppercase" : "none",
  };
}

/**
 * What has to be served for a shop's type, and no weight more: one cut for heads, one for text with its strong weight, and
 * one for each further width of the text family that a theme asks for, where the family has widths.
 */
export function cutsOf({ heads, text }: SolvedType, widths: readonly number[] = []): readonly Cut[] {
  const stretched = (use: FontUse) => (use.stretch === undefined ? {} : { stretch: use.stretch });
  const isSame = heads.family === text.family && heads.stretch === text.stretch;
  const span = [text.weight, text.strong, ...(isSame ? [heads.weight] : [])];
  const weights = [Math.min(...span), Math.max(...span)] as const;
  return [
    ...(isSame ? [] : [{ family: heads.family, weights: [heads.weight, heads.weight] as const, ...stretched(heads) }]),
    { family: text.family, weights, ...stretched(text) },
    ...(text.stretch === undefined ? [] : widths.map((stretch) => ({ family: text.family, weights, stretch }))),
  ];
}

// Letter widths of the metric-compatible system faces, weighted by letter frequency, as a share of the em, measured on the
// Liberation fonts, which Arial and Times New Roman match.
const SYSTEM = {
  sans: {
    regular: { averageWidth: 0.4458, faces: ["Arial", "Liberation Sans", "Helvetica"] },
    bold: { averageWidth: 0.4834, faces: ["Arial Bold", "Liberation Sans Bold", "Helvetica Bold"] },
  },
  serif: {
    regular: { averageWidth: 0.4048, faces: ["Times New Roman", "Liberation Serif", "Times"] },
    bold: { averageWidth: 0.4312, faces: ["Times New Roman Bold", "Liberation Serif Bold", "Times Bold"] },
  },
} as const;

/** Reads a value between the points of a curve that is given by points. */
function between(points: readonly (readonly [at: number, value: number])[], at: number): number {
  const right = points.findIndex(([x]) => x >= at);
  if (right <= 0) return points[right < 0 ? points.length - 1 : 0]![1];
  const [x0, y0] = points[right - 1]!;
  const [x1, y1] = points[right]!;
  return y0 + ((y1 - y0) * (at - x0)) / (x1 - x0);
}

/** The average width of a letter of running text in a family at a weight and width, as a share of the em. */
export function letterWidth(familyId: string, weight: number, stretch = 100): number {
  const { widths, stretched, unitsPerEm } = entryOf(FAMILY_METRICS, familyId)!;
  const factor = stretched ? between(stretched, stretch) / between(stretched, 100) : 1;
  return (between(widths, weight) * factor) / unitsPerEm;
}

const percent = (value: number) => `${round(value * 100, 2)}%`;

/**
 * The stand-in shown until a font has arrived, stretched to its metrics so that nothing moves when it does (CSS Fonts 5,
 * `size-adjust` and the metric overrides).
 */
function fallbackFace(family: Family, use: Pick<FontUse, "weight" | "stretch">, name: string): string {
  const metrics = entryOf(FAMILY_METRICS, family.id)!;
  const system = SYSTEM[family.fallback][use.weight >= 600 ? "bold" : "regular"];
  const size = letterWidth(family.id, use.weight, use.stretch) / system.averageWidth;
  const relative = (value: number) => percent(Math.abs(value) / metrics.unitsPerEm / size);
  const sources = system.faces.map((face) => `local("${face}")`).join(",");
  return `@font-face{font-family:"${name}";src:${sources};font-weight:${use.weight >= 600 ? "550 1000" : "1 549"};size-adjust:${percent(size)};ascent-override:${relative(metrics.ascent)};descent-override:${relative(metrics.descent)};line-gap-override:${relative(metrics.lineGap)}}`;
}

/** Address of a cut's font file on either origin. */
export const cutAddress = (cut: Cut, subset: Subset): string => `/fonts/${cutFileName(cut, subset)}`;

/** `@font-face` rules of a cut: its two subsets. */
export function cutFaces(cut: Cut): string {
  const { name } = familyById(cut.family);
  const stretch = cut.stretch === undefined ? "" : `font-stretch:${cut.stretch}%;`;
  const weight = cut.weights[0] === cut.weights[1] ? cut.weights[0] : cut.weights.join(" ");
  return (Object.keys(SUBSETS) as Subset[])
    .map(
      (subset) =>
        `@font-face{font-family:"${name}";font-style:normal;font-display:swap;font-weight:${weight};${stretch}src:url(${cutAddress(cut, subset)}) format("woff2");unicode-range:${SUBSETS[subset]}}`,
    )
    .join("");
}

const headsFallback = "Heads stand-in";
const textFallback = "Text stand-in";

/** Every `@font-face` rule of a shop's type: what is in use, and the stand-ins measured for just those weights. */
export function typeFaces(type: SolvedType, widths: readonly number[] = []): string {
  const { heads, text } = type;
  const strong = { weight: text.strong, ...(text.stretch === undefined ? {} : { stretch: text.stretch }) };
  return [
    ...cutsOf(type, widths).map(cutFaces),
    fallbackFace(familyById(heads.family), heads, headsFallback),
    fallbackFace(familyById(text.family), text, textFallback),
    ...(text.strong >= 600 && text.weight < 600 ? [fallbackFace(familyById(text.family), strong, textFallback)] : []),
  ].join("");
}

const generic = (family: Family) => (family.fallback === "sans" ? "sans-serif" : "serif");

/** The `font-family` lists of heads and text: the family, its stand-in, then the generic family. */
export function typeStacks({ heads, text }: SolvedType): { readonly heads: string; readonly text: string } {
  const stack = (id: string, fallback: string) => {
    const family = familyById(id);
    return `"${family.name}","${fallback}",${generic(family)}`;
  };
  return { heads: stack(heads.family, headsFallback), text: stack(text.family, textFallback) };
}

/** Address of a whole shipped font file, with all its weights: for the studio's own letters and for choosing among families. */
export const fontAddress = (family: Family, subset: Subset): string => `/fonts/${fontFileName(family, subset)}`;

/** `@font-face` rules of a whole family: its two subsets and a stand-in of its regular weight. */
export function fontFaces(familyId: string): string {
  const family = familyById(familyId);
  const stretch = family.axis === "wdth" ? "font-stretch:62% 125%;" : "";
  const faces = (Object.keys(SUBSETS) as Subset[]).map(
    (subset) =>
      `@font-face{font-family:"${family.name}";font-style:normal;font-display:swap;font-weight:${family.weights.join(" ")};${stretch}src:url(${fontAddress(family, subset)}) format("woff2");unicode-range:${SUBSETS[subset]}}`,
  );
  return [...faces, fallbackFace(family, { weight: 400 }, `${family.name} fallback`)].join("");
}

/** The `font-family` list for a whole family. */
export function fontStack(familyId: string): string {
  const family = familyById(familyId);
  return `"${family.name}","${family.name} fallback",${generic(family)}`;
}
