import type { StyleSheet } from "../document";
import type { ThemeDefaults } from "./table";
import type { Palette } from "./solver";

/** A finished storefront look. Everything that a seller has not decided comes from here. */
export type Theme = {
  readonly id: string;
  readonly name: string;
  /** For whom, in a few words. */
  readonly trades: string;
  /** How it feels, in a sentence. */
  readonly mood: string;
  readonly palette: Palette;
  /** What the theme says where the brand says nothing. */
  readonly defaults: ThemeDefaults;
  /** Arrangement and style of each section kind in this theme. */
  readonly kinds: Readonly<Record<string, { readonly arrangement?: string; readonly style?: StyleSheet }>>;
  /** The theme's own rules, after those of the kinds. */
  readonly css: string;
  /** Widths of the text family, in percent, that these rules ask for beside its usual one. */
  readonly widths: readonly number[];
};
