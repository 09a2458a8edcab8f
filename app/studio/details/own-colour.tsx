import { Box, Button, Typography } from "@mui/material";
import { isOwnColour, resolve, type Property } from "~/core/cascade";
import { locate, setStyle } from "~/core/commands";
import { entryOf, pathTo, type Draft, type StyleValue } from "~/core/document";
import {
  COLOUR_SETS,
  contrast,
  nearestOf,
  setName,
  solveLook,
  type ColourSet,
  type Hex,
  type Roles,
} from "~/core/theme";
import { nodeLayers } from "~/render";
import { themeById } from "~/themes";
import { ColourField } from "../colours";
import { useStudio } from "../keeping";
import { INK } from "../ui";

/** What each choice of a property comes out as, by the roles of the set that a part stands in. */
const ROLE_OF: Readonly<Record<string, Readonly<Record<string, keyof Roles>>>> = {
  ground: { plain: "page", raised: "raised" },
  ink: { ink: "ink", soft: "soft", link: "link", "accent-ink": "accent-ink", sale: "sale" },
  border: { line: "line", strong: "field-line", ink: "ink", brand: "brand" },
};

/** Contrast that words of body size need (WCAG 2.2, 1.4.3), and lines that say something (1.4.11). */
const NEEDED = { ground: 4.5, ink: 4.5, border: 3 } as const;

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

type OwnColourProps = {
  node: string;
  property: Property;
  value: Hex;
  onChange: (value: StyleValue) => void;
};

/** A colour besides the named ones: picked freely, with how well it can be read and the named one that is nearest to it. */
export function OwnColour({ node, property, value, onChange }: OwnColourProps) {
  const draft = useStudio((s) => s.draft);
  const run = useStudio((s) => s.run);
  const around = coloursAround(draft, node);
  if (!around) return null;
  const what = property.name as keyof typeof NEEDED;
  const named = Object.entries(entryOf(ROLE_OF, property.name) ?? {}).map(
    ([choice, role]) => [choice, around.roles[role]] as const,
  );
  const nearest = nearestOf(value, named);
  const ratio = what === "ground" ? contrast(value, around.ink) : contrast(value, around.ground);
  const isFine = ratio >= NEEDED[what];
  const fitting = what === "ground" && !isFine ? setFor(draft, value) : undefined;
  const nearestName = property.choices.find((c) => c.value === nearest?.name)?.label;
  return (
    <Box sx={{ mt: 1, display: "grid", gap: 0.75 }}>
      <ColourField
        label={`${property.label}, own colour`}
        value={value}
        offered={named.map(([choice, colour]) => ({
          name: property.choices.find((c) => c.value === choice)!.label,
          colour,
        }))}
        onChange={onChange}
      />
      <Typography variant="caption" component="p" role="status" sx={{ color: isFine ? INK.soft : INK.brick }}>
        {what === "ground" ? "Words on it" : what === "ink" ? "On its ground" : "Against its ground"}: contrast{" "}
        {ratio.toFixed(1)}, {isFine ? "enough" : what === "border" ? "hardly seen" : "can’t be read well"} (
        {NEEDED[what]} is needed).
      </Typography>
      {fitting ? (
        <Button
          size="small"
          variant="outlined"
          sx={{ justifySelf: "start" }}
          onClick={() => run(setStyle(draft, [node], "all", "set", fitting, "Words that can be read on it"))}
        >
          Use the colours “{setName(draft.look.brand, fitting)}” on it
        </Button>
      ) : null}
      {nearest && nearestName ? (
        <Box sx={{ display: "flex", alignItems: "center", gap: 1 }}>
          <Box
            aria-hidden
            sx={{ width: 18, height: 18, borderRadius: 0.5, border: `1px solid ${INK.line}`, flex: "none" }}
            style={{ backgroundColor: nearest.colour }}
          />
          <Typography variant="caption" sx={{ flex: 1 }}>
            Nearest in your brand: {nearestName}. It changes when the brand does.
          </Typography>
          <Button size="small" onClick={() => onChange(nearest.name)} aria-label={`Use ${nearestName}`}>
            Use it
          </Button>
        </Box>
      ) : null}
    </Box>
  );
}
