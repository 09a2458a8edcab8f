import { Button, Dialog, DialogActions, DialogContent, DialogTitle, Typography } from "@mui/material";
import { useState, type ReactNode } from "react";
import { placeWords, whereUsed, type Reference } from "~/kinds/references";
import { useStudioStore } from "../keeping";
import { PlacesList } from "../ui";

type Asking = {
  readonly title: string;
  readonly places: readonly string[];
  readonly go: () => void;
};

/** The most places that are listed. */
const MOST = 12;

/**
 * Asks before goods are taken away that pages show or lead to, and says which pages; what nothing refers to goes at once,
 * as undo brings it back. `dialog` has to be drawn.
 */
export function useRemoval(): {
  readonly remove: (title: string, to: Reference["to"], ids: readonly string[], go: () => void) => void;
  readonly dialog: ReactNode;
} {
  const store = useStudioStore();
  const [asking, setAsking] = useState<Asking | null>(null);
  const remove = (title: string, to: Reference["to"], ids: readonly string[], go: () => void) => {
    const wanted = new Set(ids);
    const uses = whereUsed(store.getState().draft, (r) => r.to === to && wanted.has(r.id));
    if (uses.length === 0) return go();
    setAsking({ title, places: [...new Set(uses.map(placeWords))], go });
  };
  const close = () => setAsking(null);
  const dialog = asking ? (
    <Dialog open onClose={close} maxWidth="xs" fullWidth aria-labelledby="removal-title">
      <DialogTitle id="removal-title" component="h2" sx={{ typography: "h2" }}>
        {asking.title}
      </DialogTitle>
      <DialogContent>
        <Typography gutterBottom>
          {asking.places.length === 1 ? "One place shows it or leads to it:" : "These places show it or lead to it:"}
        </Typography>
        <PlacesList label="Where it is used" places={asking.places} most={MOST} />
        <Typography color="text.secondary" sx={{ mt: 1.5 }}>
          They will show nothing in its place. Ctrl+Z in Goods brings it back.
        </Typography>
      </DialogContent>
      <DialogActions>
        <Button onClick={close}>Cancel</Button>
        <Button
          variant="contained"
          color="error"
          onClick={() => {
            close();
            asking.go();
          }}
        >
          Remove
        </Button>
      </DialogActions>
    </Dialog>
  ) : null;
  return { remove, dialog };
}
