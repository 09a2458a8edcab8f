import { walk, type Look, type Part } from "~/core/document";
import { focusClass, focusCss, shadeClass, shadeCss, type Picture } from "~/core/pictures";
import { coloursAndMeasuresCss, lookCss, readerOf, referencesOf, solveLook, type Theme } from "~/core/theme";
import { KINDS, type Later } from "~/kinds";
import { BASE_CSS, EVEN_CSS, logoCss } from "~/kinds/parts";
import { PAGES_CSS } from "./pages/css";
import { prune, vocabularyOf, type Vocabulary } from "./prune";
import { shownCss } from "./style";
import { tonedTint } from "./tones";

const squeeze = (css: string) => css.replace(/\n\s*/g, "");

const shared = new Map<string, string>();

/** The rules that a whole shop shares: base, pages, all kinds, theme. */
export function sharedCss(theme: Theme): string {
  const known = shared.get(theme.id);
  if (known !== undefined) return known;
  const ofKinds = [...KINDS.values()].map((kind) => kind.definition.css);
  const css = squeeze([BASE_CSS, EVEN_CSS, PAGES_CSS, ...ofKinds, ...Object.values(theme.css)].join(""));
  shared.set(theme.id, css);
  return css;
}

function withLater(has: Vocabulary, all: readonly Later[], toast: string): Vocabulary {
  const later = all.filter(({ element }) => element === undefined || has.tags.has(element));
  const more = (what: "tags" | "classes" | "data") => later.flatMap((each) => each[what] ?? []);
  return {
    tags: new Set([...has.tags, ...more("tags")]),
    classes: new Set([...has.classes, ...more("classes")]),
    data: new Set([...has.data, ...more("data")]),
    sets: later.some((each) => each.toast) ? new Set([...has.sets, toast]) : has.sets,
  };
}

/** All the CSS that one published page needs, and nothing that it can't use: no rule, no role, no measure. */
export function pageCss(
  html: string,
  sections: readonly Part[],
  pictures: readonly Picture[],
  theme: Theme,
  look: Look,
  /** What scripts bring onto it later. */
  later: readonly Later[] = [],
  /** What the seller wrote for the shop and for this page, compiled. */
  own = "",
): string {
  const solved = solveLook(theme, look);
  const toast = readerOf(look.brand, theme.defaults).text("toast.set");
  const has = withLater(vocabularyOf(html), later, toast);
  const find = (id: string | null) => pictures.find((p) => p.id === id);
  const rules = [
    prune(sharedCss(theme), has),
    ...sections.map((node) => shownCss(node, theme, look)),
    ...pictures.filter((p) => has.classes.has(focusClass(p))).map(focusCss),
    ...pictures.filter((p) => has.classes.has(shadeClass(p))).map(shadeCss),
    ...sections.flatMap((section) => [...walk(section)].map((part) => tonedTint(part, theme, look, find))),
    own,
  ].join("");
  const { measures, colours } = coloursAndMeasuresCss(solved, { sets: has.sets, names: new Set(referencesOf(rules)) });
  const logo = has.classes.has("wordmark-picture") ? logoCss(look.identity.logo) : "";
  return lookCss(solved).fonts + measures + logo + colours + rules;
}
