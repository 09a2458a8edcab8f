import { Box, ButtonBase, Typography } from "@mui/material";
import { placeShared, standsOn } from "~/core/commands";
import { entryOf, sharedSections } from "~/core/document";
import { nameOf, strangerIn } from "~/kinds";
import { useStudio, useStudioStore } from "../keeping";
import { PartSight } from "../panes";
import { HATCH, INK } from "../ui";
import { whereWords } from "./where";

const TILE = { width: 224, height: 138, page: 1180 };

type SharedTilesProps = { page: string; at: number; sought: string; onDone: () => void };

/** The shared sections of the shop; what is chosen stands on this page as well. */
export function SharedTiles({ page, at, sought, onDone }: SharedTilesProps) {
  const store = useStudioStore();
  const draft = useStudio((s) => s.draft);
  const words = sought.trim().toLowerCase().split(/\s+/);
  const all = sharedSections(draft.documents).filter((d) =>
    words.every((w) => `${d.title} shared sections`.toLowerCase().includes(w)),
  );
  if (all.length === 0) return null;
  const goal = entryOf(draft.documents, page);
  return (
    <Box component="section" aria-label="Shared sections">
      <Typography variant="h3" component="h3">
        Shared sections
      </Typography>
      <Typography variant="caption" component="p" color="text.secondary" sx={{ mb: 1 }}>
        Edited once, wherever they stand.
      </Typography>
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 2 }}>
        {all.map((document) => {
          const section = document.root.slots.main?.[0] ?? null;
          const stranger = goal && section ? strangerIn(goal, section) : undefined;
          const isHere = standsOn(draft, document.id, page);
          const why = isHere
            ? "stands on this page"
            : stranger
              ? `${nameOf(stranger)} makes no sense here`
              : whereWords(draft.documents, document.id);
          return (
            <ButtonBase
              key={document.id}
              disabled={isHere || stranger !== undefined}
              aria-label={`Add the shared section ${document.title}, ${why}`}
              onClick={() => {
                const now = store.getState();
                const to = { parent: goal!.root.id, slot: "main", index: at };
                const outcome = placeShared(now.draft, document.id, page, to);
                const problem = outcome.ok ? now.run(outcome) : outcome.why;
                if (problem) now.say(problem, "problem");
                onDone();
              }}
              sx={{
                display: "block",
                textAlign: "left",
                border: `1px solid ${INK.line}`,
                borderRadius: 1,
                overflow: "hidden",
                bgcolor: INK.raised,
                "&:hover, &.Mui-focusVisible": { borderColor: INK.ink, boxShadow: `0 3px 0 ${INK.lemon}` },
                "&.Mui-disabled": { opacity: 0.5 },
              }}
            >
              <PartSight node={section} name={document.title} {...TILE} />
              <Box sx={{ height: 8, background: HATCH, borderBlock: `1px solid ${INK.line}` }} />
              <Box sx={{ px: 1.25, py: 0.75, width: TILE.width }}>
                <Typography variant="subtitle2" noWrap>
                  {document.title}
                </Typography>
                <Typography variant="caption" color="text.secondary" noWrap component="p">
                  {why}
                </Typography>
              </Box>
            </ButtonBase>
          );
        })}
      </Box>
    </Box>
  );
}
