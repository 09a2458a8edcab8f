import type { StyleSheet, StyleValue } from "~/core/document";

/** Where something stands on a poster: its middle, its width and the size of its letters, in percent of the poster. */
export type PlacedAt = { readonly x: number; readonly y: number; readonly width: number; readonly letters?: number };

const said = ({ x, y, width, letters }: PlacedAt) => ({
  fromLeft: `${x}%`,
  fromTop: `${y}%`,
  spread: `${width}%`,
  ...(letters === undefined ? {} : { letters: `${letters}%` }),
});

/** The style of something that stands in one place on a wide screen and in another on a phone. `more`: what holds for both. */
export const placedAt = (
  wide: PlacedAt,
  phone: PlacedAt,
  more: Readonly<Record<string, StyleValue>> = {},
): StyleSheet => ({ all: { ...said(wide), ...more }, phone: said(phone) });
