import { Box, Button, Typography } from "@mui/material";
import type { Property } from "~/core/cascade";
import { setStyle } from "~/core/commands";
import { entryOf, type StyleValue } from "~/core/document";
import { contrast, nearestOf, setName, type Hex } from "~/core/theme";
import { ColourField, coloursAround, NEEDED, ROLE_OF, setFor } from "../colours";
import { useStudio } from "../keeping";
import { INK } from "../ui";

type OwnColourProps = {
  /** The parts that are changed together; the first is the one whose surroundings are judged. */
  ids: readonly string[];
  property: Property;
  value: Hex;
  onChange: (value: StyleValue) => void;
};

/** A colour besides the named ones: picked freely, with how well it can be read and the named one that is nearest to it. */
export function OwnColour({ ids, property, value, onChange }: OwnColourProps) {
  const draft = useStudio((s) => s.draft);
  const run = useStudio((s) => s.run);
  const around = coloursAround(draft, ids[0]!);
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
          onClick={() => run(setStyle(draft, ids, "all", "set", fitting, "Words that can be read on it"))}
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
