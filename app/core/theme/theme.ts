import type { Corners, Density, Look, StyleSheet } from "../document";
import { readColour, type Hex } from "./colour";
import { COLOUR_SETS, ROLES, solveRoles, type Palette, type Solved } from "./solver";
import { fluid, fontFaces, fontStack, stepSize, TYPE_STEPS, typePairById, type TypePair, type TypeScale } from "./type";

/** A finished storefront look. Everything that a seller has not decided comes from here. */
export type Theme = {
  readonly id: string;
  readonly name: string;
  /** For whom, in a few words. */
  readonly trades: string;
  /** How it feels, in a sentence. */
  readonly mood: string;
  readonly palette: Palette;
  readonly typePair: string;
  readonly scale: TypeScale;
  readonly corners: Corners;
  readonly density: Density;
  readonly contentWidth: number;
  /** Arrangement and style of each section kind in this theme. */
  readonly kinds: Readonly<Record<string, { readonly arrangement?: string; readonly style?: StyleSheet }>>;
  /** The theme's own rules, after those of the kinds. */
  readonly css: string;
};

/** Corner radii in px for each choice: of pictures and cards, of buttons and fields. */
export const CORNERS: Readonly<Record<Corners, { readonly card: number; readonly control: number }>> = {
  square: { card: 0, control: 0 },
  soft: { card: 6, control: 6 },
  round: { card: 18, control: 999 },
};

/** Space steps 0 to 8 in px, [phone, wide], at even density. */
const SPACE: readonly (readonly [number, number])[] = [
  [0, 0],
  [6, 6],
  [10, 12],
  [16, 20],
  [24, 32],
  [36, 52],
  [52, 80],
  [72, 116],
  [96, 160],
];
const DENSITY: Readonly<Record<Density, number>> = { compact: 0.72, even: 1, airy: 1.28 };

/** Everything about a shop's look that is worked out once and drawn from everywhere. */
export type SolvedLook = {
  readonly theme: Theme;
  readonly brandColour: Hex;
  readonly roles: Solved;
  readonly typePair: TypePair;
  readonly corners: Corners;
  readonly density: Density;
  /** Picture shape of goods outside of sections that say another. */
  readonly goodsShape: string;
};

const solvedLooks = new WeakMap<Look, SolvedLook>();

/**
 * Combines theme and brand: what the brand does not say, the theme decides. A colour that cannot be read is ignored. A
 * look is a frozen value, so each is solved once.
 */
export function solveLook(theme: Theme, look: Look): SolvedLook {
  const known = solvedLooks.get(look);
  if (known?.theme === theme) return known;
  const solved = solveAfresh(theme, look);
  solvedLooks.set(look, solved);
  return solved;
}

function solveAfresh(theme: Theme, look: Look): SolvedLook {
  const wished = look.brand.colour === undefined ? undefined : readColour(look.brand.colour);
  return {
    theme,
    brandColour: wished ?? theme.palette.brand,
    roles: solveRoles(theme.palette, wished),
    typePair: typePairById(look.brand.typePair ?? theme.typePair) ?? typePairById(theme.typePair)!,
    corners: look.brand.corners ?? theme.corners,
    density: look.brand.density ?? theme.density,
    goodsShape: look.brand.goodsShape ?? String(theme.kinds["product-grid"]?.style?.all?.shape ?? "4/5"),
  };
}

const writtenLooks = new WeakMap<SolvedLook, string>();

/** Custom properties and font faces of a solved look, as CSS text. */
export function lookCss(look: SolvedLook): string {
  const known = writtenLooks.get(look);
  if (known !== undefined) return known;
  const css = writeLook(look);
  writtenLooks.set(look, css);
  return css;
}

function writeLook(look: SolvedLook): string {
  const { theme, typePair, roles } = look;
  const families = [...new Set([typePair.heads.family, typePair.text.family])];
  const root: string[] = [];
  for (const step of TYPE_STEPS) root.push(`--t${step}:${fluid(...stepSize(theme.scale, step))}`);
  const density = DENSITY[look.density];
  SPACE.forEach(([phone, wide], step) => {
    // Small gaps hold words together and stay; density works on the air between and within sections.
    const factor = step <= 2 ? 1 : density;
    root.push(`--s${step}:${fluid(phone * factor, wide * factor)}`);
  });
  const { heads, text } = typePair;
  root.push(
    `--heads:${fontStack(heads.family)}`,
    `--heads-weight:${heads.weight}`,
    `--heads-stretch:${heads.stretch ?? 100}%`,
    `--heads-tracking:${heads.tracking}em`,
    `--heads-leading:${heads.leading}`,
    `--text:${fontStack(text.family)}`,
    `--text-weight:${text.weight}`,
    `--strong:${text.strong}`,
    `--text-leading:${text.leading}`,
    `--card:${CORNERS[look.corners].card}px`,
    `--control:${CORNERS[look.corners].control}px`,
    `--content:${theme.contentWidth}px`,
    `--shape:${look.goodsShape}`,
  );
  const sets = COLOUR_SETS.map((set) => {
    const declarations = ROLES.map((role) => `--${role}:${roles.sets[set][role]}`).join(";");
    return `${set === "page" ? ":root,[data-set=page]" : `[data-set=${set}]`}{${declarations}}`;
  });
  return `${families.map(fontFaces).join("")}:root{${root.join(";")}}${sets.join("")}`;
}
