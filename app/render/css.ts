import type { Look, Node } from "~/core/document";
import { focusCss, type Picture } from "~/core/pictures";
import { lookCss, solveLook, type SolvedLook, type Theme } from "~/core/theme";
import { KINDS } from "~/kinds";
import { BASE_CSS } from "~/kinds/parts";
import { PAGES_CSS } from "./pages/css";
import { sectionCss } from "./style";

const squeeze = (css: string) => css.replace(/\n\s*/g, "");

const PLAIN_CSS = squeeze(PAGES_CSS);
const shared = new Map<string, string>();

/** The rules that a whole shop shares, for the kinds named: base, kinds, theme. */
export function sharedCss(kinds: Iterable<string>, theme: Theme): string {
  const wanted = [...new Set(kinds)];
  const key = `${theme.id} ${wanted.join(" ")}`;
  const known = shared.get(key);
  if (known !== undefined) return known;
  // Shops use few mixtures of kinds; the bound only guards against a flood of made-up ones.
  if (shared.size > 500) shared.clear();
  const ofKinds = wanted.map((kind) => KINDS.get(kind)?.definition.css ?? "");
  const css = squeeze([BASE_CSS, ...ofKinds, theme.css].join(""));
  shared.set(key, css);
  return css;
}

/** All the CSS that one published page needs, and nothing for kinds or pictures that it does not show. */
export function pageCss(
  sections: readonly Node[],
  pictures: readonly Picture[],
  theme: Theme,
  look: Look,
  plain: boolean,
): string {
  const solved: SolvedLook = solveLook(theme, look);
  const shown = sections.filter((node) => node.shown);
  return [
    lookCss(solved),
    sharedCss(
      shown.map((node) => node.kind),
      theme,
    ),
    plain ? PLAIN_CSS : "",
    ...shown.map((node) => sectionCss(node, theme, look)),
    ...pictures.map(focusCss),
  ].join("");
}
