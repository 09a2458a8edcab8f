import { isOwnColour, resolve } from "~/core/cascade";
import { locate } from "~/core/commands";
import { entryOf, pathTo, type Draft } from "~/core/document";
import { COLOUR_SETS, contrast, solveLook, type ColourSet, type Hex, type Roles } from "~/core/theme";
import { nodeLayers } from "~/render";
import { themeById } from "~/themes";

/** What each choice of a property comes out as, by the roles of the set that a part stands in. */
export const ROLE_OF: Readonly<Record<string, Readonly<Record<string, keyof Roles>>>> = {
  ground: { plain: "page", raised: "raised" },
  ink: { ink: "ink", soft: "soft", link: "link", "accent-ink": "accent-ink", sale: "sale" },
  border: { line: "line", strong: "field-line", ink: "ink", brand: "brand" },
};

/** Contrast that words of body size need (WCAG 2.2, 1.4.3), and lines that say something (1.4.11). */
export const NEEDED = { ground: 4.5, ink: 4.5, border: 3 } as const;

type Around = { readonly roles: Roles; readonly ground: Hex; readonly ink: Hex };

/** The colours that a part stands among: those of the set around it, and what was said freely of ground and words. */
export function coloursAround(draft: Draft, id: string): Around | undefined {
  const document = locate(draft, id)?.document;
  const theme = themeById(draft.look.theme);
  const path = document === undefined ? [] : (pathTo(entryOf(draft.documents, document)!.root, id) ?? []);
  if (path.length === 0) return undefined;
  const said = (name: string) =>
    path
      .filter(({ kind }) => kind !== "root")
      .map((node) => resolve(nodeLayers(node, theme, draft.look), name, "wide")?.value)
      .findLast((value) => value !== undefined);
  const { sets } = solveLook(theme, draft.look).roles;
  const roles = entryOf(sets, String(said("set") ?? "page")) ?? sets.page;
  const colourOf = (name: string, usual: Hex): Hex => {
    const value = said(name);
    if (isOwnColour(value)) return value;
    const role = entryOf(entryOf(ROLE_OF, name), String(value));
    return role ? roles[role] : usual;
  };
  return { roles, ground: colourOf("ground", roles.page), ink: colourOf("ink", roles.ink) };
}

/** Of the sets that sections can wear, the one whose words stand out best from a ground, if they can be read on it. */
export function setFor(draft: Draft, ground: Hex): ColourSet | undefined {
  const { sets } = solveLook(themeById(draft.look.theme), draft.look).roles;
  const least = (set: ColourSet) =>
    Math.min(...(["ink", "soft", "link"] as const).map((role) => contrast(sets[set][role], ground)));
  const [best] = COLOUR_SETS.map((set) => ({ set, reached: least(set) })).toSorted((a, b) => b.reached - a.reached);
  return best && contrast(sets[best.set].ink, ground) >= NEEDED.ground ? best.set : undefined;
}
