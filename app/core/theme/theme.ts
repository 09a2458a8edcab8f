import type { Brand, StyleSheet } from "../document";
import type { ThemeDefaults } from "./table";
import type { Palette } from "./solver";

/** How a theme wears a kind, or one part of a layout: its arrangement, and what of its style differs from the usual. */
export type Worn = { readonly arrangement?: string; readonly style?: StyleSheet };

/** An arrangement that a theme brings for a kind: it is drawn as one of the kind's own, and the theme's rules make of that another one. */
export type ThemeArrangement = {
  readonly id: string;
  readonly name: string;
  /** The arrangement of the kind whose elements and rules it has. */
  readonly as: string;
  readonly style?: StyleSheet;
};

/** A further set of colours in which a theme was drawn: values of a brand, which a seller takes over in one step. */
export type Colourway = { readonly id: string; readonly name: string; readonly brand: Brand };

/** How many things a shop has, or how much it says of them. */
export const AMOUNTS = ["few", "some", "many"] as const;
export type Amount = (typeof AMOUNTS)[number];

/** For which shops a theme was drawn: the gallery finds it by that. */
export type Suits = {
  readonly goods: readonly Amount[];
  readonly words: readonly Amount[];
  /** How it feels, in single words. */
  readonly moods: readonly string[];
  /** Words by which people call what they sell. */
  readonly trades: readonly string[];
};

/** A finished storefront look. Everything that a seller has not decided comes from here. */
export type Theme = {
  readonly id: string;
  readonly name: string;
  /** For whom, in a few words. */
  readonly trades: string;
  /** How it feels, in a sentence. */
  readonly mood: string;
  readonly suits: Suits;
  readonly palette: Palette;
  readonly colourways: readonly Colourway[];
  /** What the theme says where the brand says nothing. */
  readonly defaults: ThemeDefaults;
  readonly kinds: Readonly<Record<string, Worn>>;
  /** What it says of single parts of the layouts that every shop begins with, by their names in `kinds/layouts.ts`. */
  readonly layouts: Readonly<Record<string, Worn>>;
  /** Arrangements of its own, by kind. */
  readonly arrangements: Readonly<Record<string, readonly ThemeArrangement[]>>;
  /**
   * The theme's own rules, after those of the kinds: by the kind that they are for, and those of `shop` for what every page has. They
   * reach for the places that `themes/hooks.ts` names, and for nothing deeper.
   */
  readonly css: Readonly<Record<string, string>>;
  /** Widths of the text family, in percent, that these rules ask for beside its usual one. */
  readonly widths: readonly number[];
};
