import { Alert, Box, Button, Typography } from "@mui/material";
import { Check, TriangleAlert } from "lucide-react";
import { setStyles } from "~/core/commands";
import type { Layer } from "~/core/cascade";
import { DEVICES, type Part } from "~/core/document";
import type { Scrim } from "~/core/pictures";
import { ratioWords } from "~/core/theme";
import { useBenchFrames } from "../bench";
import { useStudio, useStudioStore } from "../keeping";
import { INK } from "../ui";
import { usePictureContrast, type ContrastFinding } from "./picture-contrast";

const DEVICE_WORDS = { phone: "On a phone", tablet: "On a tablet", wide: "On a wide screen" } as const;
const FROM_WORDS = {
  bottom: "from below",
  top: "from above",
  left: "from the left",
  right: "from the right",
  even: "all over",
} as const;

/** How much more tint than needed is worth a word. */
const SPARE = 12;
/** Strengths that differ by so little are one. */
const ALIKE = 10;

const isPoor = (f: ContrastFinding) => f.reached < f.needed;
const isMuch = (f: ContrastFinding) =>
  !isPoor(f) &&
  f.enough !== undefined &&
  f.enough.from === f.scrim.from &&
  f.enough.tone === f.scrim.tone &&
  f.scrim.strength - f.enough.strength >= SPARE;

/** `picture`: the one under the words, by its id in the library. */
type WordsOnPictureProps = { node: Part; layers: readonly Layer[]; picture: string };

/** Whether words can be read on a section's picture, measured on its own pixels; and a tint that is just enough. */
export function WordsOnPicture({ node, layers, picture: id }: WordsOnPictureProps) {
  const store = useStudioStore();
  const frames = useBenchFrames();
  const picture = useStudio((s) => s.pictures.find((p) => p.id === id));
  const findings = usePictureContrast(node, layers, picture, frames);
  if (findings.length === 0) return null;
  const poor = findings.filter(isPoor);
  const spare = findings.filter(isMuch);
  /** One tint for all devices, where theirs differ by nothing that is seen; undefined where each needs its own. */
  const common = (of: readonly ContrastFinding[]): Scrim | undefined => {
    const tints = of.map((f) => f.enough ?? f.scrim);
    const [first] = tints;
    if (!first || of.length < findings.length) return undefined;
    if (tints.some((t) => t.from !== first.from || t.tone !== first.tone)) return undefined;
    const strengths = tints.map((t) => t.strength);
    const strength = Math.max(...strengths);
    return strength - Math.min(...strengths) <= ALIKE ? { ...first, strength } : undefined;
  };
  const mend = (of: readonly ContrastFinding[]) => {
    const tint = common(of);
    if (tint) {
      const said = { scrim: tint.strength, scrimFrom: tint.from, scrimTone: tint.tone };
      const values = Object.entries(said).flatMap(([property, value]) => [
        ...DEVICES.map((audience) => ({ id: node.id, audience, property, value: undefined })),
        { id: node.id, audience: "all" as const, property, value },
      ]);
      return store.getState().run(setStyles(store.getState().draft, values, "Tint just enough for the words"));
    }
    const values = of.flatMap(({ device, enough }) =>
      // A tablet shows the picture more like a wide screen does, and is seldom looked at by itself.
      (device === "wide" ? (["tablet", "wide"] as const) : [device]).flatMap((audience) =>
        enough
          ? [
              { id: node.id, audience, property: "scrim", value: enough.strength },
              { id: node.id, audience, property: "scrimFrom", value: enough.from },
              { id: node.id, audience, property: "scrimTone", value: enough.tone },
            ]
          : [],
      ),
    );
    store.getState().run(setStyles(store.getState().draft, values, "Tint just enough for the words"));
  };
  return (
    <Box
      role="group"
      aria-label="Words on the picture"
      sx={{ border: `1px solid ${poor.length ? INK.brick : INK.line}`, borderRadius: 1, p: 1.25, mb: 1.5 }}
    >
      <Typography variant="subtitle2">Words on the picture</Typography>
      {findings.map((f) => (
        <Box key={f.device} sx={{ display: "flex", alignItems: "center", gap: 0.75, fontSize: 13 }}>
          {isPoor(f) ? (
            <TriangleAlert size={15} color={INK.brick} aria-hidden />
          ) : (
            <Check size={15} color={INK.leaf} aria-hidden />
          )}
          <span>
            {DEVICE_WORDS[f.device]}: {isPoor(f) ? "hard to read" : "can be read"}, {ratioWords(f.reached)} of{" "}
            {f.needed}
          </span>
        </Box>
      ))}
      {poor.length ? (
        poor.every((f) => f.enough) ? (
          <Button size="small" variant="contained" fullWidth sx={{ mt: 1 }} onClick={() => mend(poor)}>
            Tint it just enough
          </Button>
        ) : (
          <Alert severity="error" sx={{ mt: 1, py: 0, fontSize: 13 }}>
            No tint is enough here. Choose a calmer picture, or put the words beside it.
          </Alert>
        )
      ) : spare.length ? (
        <Button size="small" fullWidth sx={{ mt: 0.5 }} onClick={() => mend(spare)}>
          Less tint would do: {spare[0]!.enough!.strength} % {FROM_WORDS[spare[0]!.enough!.from]}
        </Button>
      ) : null}
    </Box>
  );
}
