import { Dialog, DialogContent, DialogTitle, List, ListItemButton, ListItemText, Typography } from "@mui/material";
import { carryNode } from "~/core/commands";
import { useStudio, useStudioStore } from "../keeping";
import { nameOfPart, partAt, placesFor } from "./parts";

type MoveToProps = { page: string; id: string | null; onClose: () => void };

/** The keyboard's way of carrying a part anywhere on the page: a list of all places that can take it. */
export function MoveTo({ page, id, onClose }: MoveToProps) {
  const store = useStudioStore();
  const draft = useStudio((s) => (id ? s.draft : null));
  const part = id && draft ? partAt(draft, id) : undefined;
  const places = part && draft ? placesFor(draft, page, part.node) : [];
  const isSection = part?.level === "section";
  return (
    <Dialog open={part !== undefined} onClose={onClose} aria-labelledby="move-to" fullWidth maxWidth="xs">
      <DialogTitle id="move-to" component="div">
        <Typography variant="h2">Move {part ? nameOfPart(part) : ""} to …</Typography>
      </DialogTitle>
      <DialogContent sx={{ px: 1 }}>
        {places.length ? (
          <List dense>
            {places.map(({ place, words }, i) => (
              <ListItemButton
                key={`${place.parent} ${place.slot}`}
                autoFocus={i === 0}
                onClick={() => {
                  const state = store.getState();
                  const document = partAt(state.draft, place.parent)?.document;
                  if (document)
                    state.run(
                      carryNode(state.draft, part!.node.id, { ...place, document }, `${nameOfPart(part!)} moved`),
                    );
                  onClose();
                }}
              >
                <ListItemText primary={words.charAt(0).toUpperCase() + words.slice(1)} secondary="at its end" />
              </ListItemButton>
            ))}
          </List>
        ) : (
          <Typography sx={{ px: 2 }} color="text.secondary">
            {isSection
              ? "A section is moved along the plan: Alt + ← and Alt + →."
              : "No other place on this page can take it. Add a Freehand section: its columns take anything."}
          </Typography>
        )}
      </DialogContent>
    </Dialog>
  );
}
