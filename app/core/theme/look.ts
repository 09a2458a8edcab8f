import { entryOf, type Brand, type Look } from "../document";
import { readColour, type Hex } from "./colour";
import { typePairById, TYPE_PAIRS, type TypePair } from "./pairs";
import { rampOf, type Ramp } from "./ramps";
import { SCHEMES, type AnySet, type ColourSet, type ContrastLevel, type Roles, type Scheme } from "./roles";
import { nameKey, pinKey, readerOf, type SettingReader } from "./table";
import { companionOf, solveRoles, type Paper, type Solved, type Wishes } from "./solver";
import type { Theme } from "./theme";
import { solveType, type SolvedType } from "./type";

/** Whether pages are light, dark, or as the shopper's device asks. */
export type Appearance = "light" | "dark" | "auto";

/** Everything about a shop's look that is worked out once and drawn from everywhere. */
export type SolvedLook = {
  readonly theme: Theme;
  readonly brand: Brand;
  readonly read: SettingReader;
  readonly brandColour: Hex;
  readonly accentColour: Hex;
  readonly appearance: Appearance;
  /** The scheme that pages have when the shopper's device says nothing else. */
  readonly scheme: Scheme;
  readonly level: ContrastLevel;
  /** Roles of that scheme; `night` holds the dark ones where pages follow the device. */
  readonly roles: Solved;
  readonly night: Solved | undefined;
  readonly typePair: TypePair;
  readonly type: SolvedType;
};

const solvedLooks = new WeakMap<Look, SolvedLook>();

/**
 * Combines theme and brand: what the brand does not say, the theme decides. A look is a frozen value, so each is solved
 * once.
 */
export function solveLook(theme: Theme, look: Look): SolvedLook {
  const known = solvedLooks.get(look);
  if (known?.theme === theme) return known;
  const solved = solveBrand(theme, look.brand);
  solvedLooks.set(look, solved);
  return solved;
}

/** What the roles of a brand are solved from. */
export function wishesOf(theme: Theme, brand: Brand, read = readerOf(brand, theme.defaults)): Wishes {
  const colour = (key: string) => {
    const written = read.optional(key);
    return written === undefined ? undefined : readColour(written);
  };
  const [first, second, third] = [colour("colour"), colour("colour2"), colour("colour3")];
  const set = (key: string) => read.text(key) as ColourSet;
  return {
    palette: theme.palette,
    colours: {
      ...(first ? { brand: first } : {}),
      ...(second ? { accent: second } : {}),
      ...(third ? { grounds: third } : {}),
    },
    paper: read.text("paper") as Paper,
    level: read.text("contrast") as ContrastLevel,
    frames: { header: set("header.set"), footer: set("footer.set"), notice: set("notice.set") },
    pin: (scheme, of, role) => {
      const pinned = entryOf(brand, pinKey(scheme, of, role));
      return typeof pinned === "string" ? pinned : undefined;
    },
  };
}

/** Solves a brand that is not (yet) a shop's look. */
export function solveBrand(theme: Theme, brand: Brand): SolvedLook {
  const read = readerOf(brand, theme.defaults);
  const wishes = wishesOf(theme, brand, read);
  const appearance = read.text("appearance") as Appearance;
  const scheme: Scheme = appearance === "dark" ? "dark" : "light";
  const typePair = typePairById(read.text("typePair")) ?? TYPE_PAIRS[0]!;
  const brandColour = wishes.colours.brand ?? theme.palette.brand;
  return {
    theme,
    brand,
    read,
    brandColour,
    accentColour:
      wishes.colours.accent ?? (brandColour === theme.palette.brand ? theme.palette.accent : companionOf(brandColour)),
    appearance,
    scheme,
    level: wishes.level,
    roles: solveRoles(wishes, scheme),
    night: appearance === "auto" ? solveRoles(wishes, "dark") : undefined,
    typePair,
    type: solveType(typePair, read),
  };
}

/** The roles of both schemes, whichever of them pages show. */
export function bothSchemes(theme: Theme, brand: Brand): Readonly<Record<Scheme, Solved>> {
  const wishes = wishesOf(theme, brand);
  return Object.fromEntries(SCHEMES.map((scheme) => [scheme, solveRoles(wishes, scheme)])) as Record<Scheme, Solved>;
}

/** The roles of one set as they would be if nothing were pinned. */
export function unpinnedRoles(theme: Theme, brand: Brand, scheme: Scheme, set: AnySet): Roles {
  return solveRoles({ ...wishesOf(theme, brand), pin: () => undefined }, scheme).sets[set];
}

/** The tonal ramps of the brand's colours, and of the accent that goes with them. */
export const rampsOf = (look: SolvedLook): Readonly<Record<"brand" | "accent", Ramp>> => ({
  brand: rampOf(look.brandColour),
  accent: rampOf(look.accentColour),
});

/** What the seller calls a set; empty while it has no name of its own. */
export function setName(brand: Brand, set: AnySet): string {
  const name = entryOf(brand, nameKey(set));
  return typeof name === "string" ? name : "";
}
