import type { Look, Node } from "~/core/document";
import { focusCss, type Picture } from "~/core/pictures";
import { coloursAndMeasuresCss, lookCss, referencesOf, solveLook, type Theme } from "~/core/theme";
import { KINDS } from "~/kinds";
import { BASE_CSS } from "~/kinds/parts";
import { PAGES_CSS } from "./pages/css";
import { prune, vocabularyOf } from "./prune";
import { shownCss } from "./style";

const squeeze = (css: string) => css.replace(/\n\s*/g, "");

const shared = new Map<string, string>();

/** The rules that a whole shop shares: base, pages, all kinds, theme. */
export function sharedCss(theme: Theme): string {
  const known = shared.get(theme.id);
  if (known !== undefined) return known;
  const ofKinds = [...KINDS.values()].map((kind) => kind.definition.css);
  const css = squeeze([BASE_CSS, PAGES_CSS, ...ofKinds, theme.css].join(""));
  shared.set(theme.id, css);
  return css;
}

/** All the CSS that one published page needs, and nothing that it can't use: no rule, no role, no measure. */
export function pageCss(
  html: string,
  sections: readonly Node[],
  pictures: readonly Picture[],
  theme: Theme,
  look: Look,
): string {
  const solved = solveLook(theme, look);
  const has = vocabularyOf(html);
  const rules = [
    prune(sharedCss(theme), has),
    ...sections.map((node) => shownCss(node, theme, look)),
    ...pictures.map(focusCss),
  ].join("");
  const { measures, colours } = coloursAndMeasuresCss(solved, { sets: has.sets, names: new Set(referencesOf(rules)) });
  return lookCss(solved).fonts + measures + colours + rules;
}
