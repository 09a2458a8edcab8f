import { resolve } from "~/core/cascade";
import type { Look, PageDocument, Part } from "~/core/document";
import type { Picture, ScrimTone } from "~/core/pictures";
import type { Theme } from "~/core/theme";
import { blankIn } from "~/kinds/designs";
import { nodeLayers, pictureUnderWords } from "./style";

// Rows above a page can lie over the picture that begins it. They stand above every other page as they are.

/** What a row lies over, and the tone of the tint between that and its words. */
export type Lying = { readonly tone: ScrimTone; readonly picture: Picture };

/** Whether a row above the page lies over the picture of a page that begins with one. */
export const wantsToLie = (row: Part, theme: Theme, look: Look): boolean =>
  resolve(nodeLayers(row, theme, look), "lies", "wide")?.value === "over";

/**
 * Which rows of `top` lie over the page, by their number, and over what: those that want to, and stand next to it. Undefined
 * where none does.
 */
export function lyingRows(
  top: readonly Part[],
  page: PageDocument | undefined,
  theme: Theme,
  look: Look,
  find: (picture: string | null) => Picture | undefined,
): { readonly from: number; readonly over: Lying } | undefined {
  const from = top.findLastIndex((row) => row.shown && !wantsToLie(row, theme, look)) + 1;
  if (!top.slice(from).some((row) => row.shown)) return undefined;
  const first = page?.root.slots.main?.find((part) => part.shown && blankIn(part) === undefined);
  const picture = first && find(pictureUnderWords(first, theme));
  if (!first || !picture) return undefined;
  const tone = resolve(nodeLayers(first, theme, look), "scrimTone", "wide")?.value;
  return { from, over: { tone: tone === "light" ? "light" : "dark", picture } };
}
