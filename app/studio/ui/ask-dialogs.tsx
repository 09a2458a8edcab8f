import { Button, Dialog, DialogActions, DialogContent, DialogTitle, TextField, Typography } from "@mui/material";
import { useId, useState, type ReactNode } from "react";

type NameDialogProps = {
  title: string;
  /** What the name is for, in a sentence or two. */
  about: string;
  start: string;
  confirm: string;
  onClose: () => void;
  /** Gives the reason where the name can't be taken; undefined where it was, and the question is answered. */
  onName: (name: string) => string | undefined;
};

/** The longest name that is asked for. */
const LONGEST = 60;

/** Asks for the name of something, and says beside it why it can't be that one. */
export function NameDialog({ title, about, start, confirm, onClose, onName }: NameDialogProps) {
  const id = useId();
  const [name, setName] = useState(start.slice(0, LONGEST));
  const [problem, setProblem] = useState<string | null>(null);
  return (
    <Dialog open onClose={onClose} maxWidth="xs" fullWidth aria-labelledby={id}>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          const why = onName(name);
          if (why === undefined) onClose();
          else setProblem(why);
        }}
      >
        <DialogTitle id={id} component="h2" sx={{ typography: "h2" }}>
          {title}
        </DialogTitle>
        <DialogContent sx={{ display: "grid", gap: 1.5 }}>
          <Typography color="text.secondary">{about}</Typography>
          <TextField
            autoFocus
            label="Name"
            value={name}
            error={problem !== null}
            helperText={problem}
            onChange={(e) => {
              setProblem(null);
              setName(e.target.value);
            }}
            slotProps={{ htmlInput: { maxLength: LONGEST } }}
          />
        </DialogContent>
        <DialogActions>
          <Button onClick={onClose}>Cancel</Button>
          <Button type="submit" variant="contained">
            {confirm}
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  );
}

type ConfirmDialogProps = {
  open: boolean;
  title: string;
  children: ReactNode;
  confirm: string;
  onClose: () => void;
  onConfirm: () => void;
};

/** Says what something would take away, before it is done. */
export function ConfirmDialog({ open, title, children, confirm, onClose, onConfirm }: ConfirmDialogProps) {
  const id = useId();
  return (
    <Dialog open={open} onClose={onClose} maxWidth="xs" fullWidth aria-labelledby={id}>
      <DialogTitle id={id} component="h2" sx={{ typography: "h2" }}>
        {title}
      </DialogTitle>
      <DialogContent>{children}</DialogContent>
      <DialogActions>
        <Button onClick={onClose} autoFocus>
          Cancel
        </Button>
        <Button color="error" variant="contained" onClick={onConfirm}>
          {confirm}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
