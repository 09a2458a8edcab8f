import { entryOf, layoutProps, sameJson, walk, type Draft, type PageDocument } from "~/core/document";
import { familyById, readerOf, SETTINGS, solveLook, valueWords, type Theme } from "~/core/theme";
import { kindOf } from "~/kinds";
import { LAYOUT_NAMES } from "./target-names";
import { arrangementOf } from "./style";

/** Something of a shop that looks otherwise in another theme; `from` and `to` in a seller's words. */
export type ThemeChange = { readonly about: string; readonly from: string; readonly to: string };

/** Settings whose values are seen at a glance, the most visible first, and what they are of. */
const SEEN: readonly (readonly [key: string, about: string])[] = [
  ["appearance", "Light or dark"],
  ["corners", "Corners"],
  ["density", "Density"],
  ["goodsShape", "Pictures of goods"],
  ["goods.words", "Words of a card stand"],
  ["pictures.mask", "Pictures are cut"],
  ["card.style", "Cards"],
  ["button.primary.style", "Main button"],
  ["field.style", "Fields"],
  ["badge.shape", "Badges"],
  ["shadow", "Shadows"],
  ["header.set", "Header wears"],
  ["footer.set", "Footer wears"],
];

const lettersOf = (draft: Draft, theme: Theme): string => {
  const { heads, text } = solveLook(theme, draft.look).type;
  const [above, below] = [familyById(heads.family).name, familyById(text.family).name];
  return above === below ? above : `${above} and ${below}`;
};

/** How each kind of a document's sections is arranged in a theme; the first of a kind speaks for all of them. */
function arrangedIn(document: PageDocument | undefined, theme: Theme): ReadonlyMap<string, string> {
  const found = new Map<string, string>();
  if (!document) return found;
  for (const part of walk(document.root)) {
    const kind = kindOf(part);
    if (!kind || kind.definition.arrangements.length < 2 || kind.definition.level !== "section") continue;
    if (!found.has(kind.definition.name)) found.set(kind.definition.name, arrangementOf(kind, part, theme).name);
  }
  return found;
}

/** Whether any part of a layout is arranged otherwise, or has other measures and colours by the theme. */
const differs = ({ root }: PageDocument, from: Theme, to: Theme): boolean =>
  [...walk(root)].some((part) => {
    const kind = kindOf(part);
    if (!kind || part.place === undefined) return false;
    const worn = (theme: Theme) => entryOf(theme.layouts, part.place!)?.style ?? {};
    return arrangementOf(kind, part, from).id !== arrangementOf(kind, part, to).id || !sameJson(worn(from), worn(to));
  });

/**
 * What of a shop will look otherwise in another theme, the most visible first: letters, what settings say that the seller left to the
 * theme, how sections of the home page, header and footer are arranged where they were left to the theme, and which layouts are composed in
 * another way. What the seller decided is the same in every theme and not among it.
 */
export function themeChanges(draft: Draft, from: Theme, to: Theme): readonly ThemeChange[] {
  if (from.id === to.id) return [];
  const { brand } = draft.look;
  const [now, then] = [readerOf(brand, from.defaults), readerOf(brand, to.defaults)];
  const letters = { about: "Letters", from: lettersOf(draft, from), to: lettersOf(draft, to) };
  const settings = SEEN.map(([key, about]): ThemeChange => {
    const setting = SETTINGS.get(key)!;
    return { about, from: valueWords(setting, now.text(key)), to: valueWords(setting, then.text(key)) };
  });
  const arranged = ["frame", "home"].flatMap((id) => {
    const document = entryOf(draft.documents, id);
    const after = arrangedIn(document, to);
    return [...arrangedIn(document, from)].map(([about, name]): ThemeChange => ({
      about,
      from: name,
      to: after.get(about) ?? name,
    }));
  });
  const composed = Object.values(draft.documents)
    .filter((d) => d.kind === "layout" && differs(d, from, to))
    .flatMap((d) => layoutProps(d)?.of ?? []);
  const layouts = [...new Set(composed)].map((sort): ThemeChange => ({
    about: LAYOUT_NAMES[sort],
    from: `those of ${from.name}`,
    to: `composed as ${to.name} has them`,
  }));
  return [letters, ...settings, ...arranged, ...layouts].filter((change) => change.from !== change.to);
}
