import type { Look, Part } from "~/core/document";
import { focusCss, type Picture } from "~/core/pictures";
import { AVAILABILITIES } from "~/core/goods";
import { coloursAndMeasuresCss, lookCss, readerOf, referencesOf, solveLook, type Theme } from "~/core/theme";
import { KINDS } from "~/kinds";
import { BASE_CSS } from "~/kinds/parts";
import { PAGES_CSS } from "./pages/css";
import { prune, vocabularyOf, type Vocabulary } from "./prune";
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

type Later = { readonly tags?: string[]; readonly classes?: string[]; readonly data?: string[] };

/** What the shop's scripts bring onto a page later, by the element or class that brings it. */
const LATER: Readonly<Record<string, Later>> = {
  message: { data: ["data-state=done", "data-state=failed"] },
  "zest-options": { data: ["data-state=free", "data-state=unavailable", "data-state=none"] },
  "zest-buy": {
    tags: ["ins", "del"],
    classes: ["is-out", "toast", "cart-toast"],
    data: AVAILABILITIES.map((a) => `data-state=${a}`),
  },
  "zest-gallery": { tags: ["dialog"], classes: ["zoom", "zoom-stage", "zoom-close", "zoom-step", "is-large"] },
  "zest-tabs": { classes: ["is-tabs", "tabs", "tab"] },
  "zest-list": { classes: ["is-busy", "is-open"] },
};

function withLater(has: Vocabulary, toast: string): Vocabulary {
  const here = Object.entries(LATER).filter(([name]) => has.tags.has(name) || has.classes.has(name));
  const more = (what: keyof Later) => here.flatMap(([, later]) => later[what] ?? []);
  return {
    tags: new Set([...has.tags, ...more("tags")]),
    classes: new Set([...has.classes, ...more("classes")]),
    data: new Set([...has.data, ...more("data")]),
    sets: has.tags.has("zest-buy") ? new Set([...has.sets, toast]) : has.sets,
  };
}

/** All the CSS that one published page needs, and nothing that it can't use: no rule, no role, no measure. */
export function pageCss(
  html: string,
  sections: readonly Part[],
  pictures: readonly Picture[],
  theme: Theme,
  look: Look,
): string {
  const solved = solveLook(theme, look);
  const toast = readerOf(look.brand, theme.defaults).text("toast.set");
  const has = withLater(vocabularyOf(html), toast);
  const rules = [
    prune(sharedCss(theme), has),
    ...sections.map((node) => shownCss(node, theme, look)),
    ...pictures.map(focusCss),
  ].join("");
  const { measures, colours } = coloursAndMeasuresCss(solved, { sets: has.sets, names: new Set(referencesOf(rules)) });
  return lookCss(solved).fonts + measures + colours + rules;
}
