import { Button, Dialog, DialogActions, DialogContent, DialogTitle, TextField, Typography } from "@mui/material";
import { useState } from "react";
import { keepPiece, outermost } from "~/core/commands";
import { nameOf } from "~/kinds";
import { useStudio, useStudioStore } from "../keeping";

/** Asks under which name sections are to be kept. `ids`: null while nothing is. */
export function KeepPiece({ ids, onClose }: { ids: readonly string[] | null; onClose: () => void }) {
  return ids === null ? null : <Asked ids={ids} onClose={onClose} />;
}

function Asked({ ids, onClose }: { ids: readonly string[]; onClose: () => void }) {
  const store = useStudioStore();
  const draft = useStudio((s) => s.draft);
  const nodes = outermost(draft, ids).map((f) => f.node);
  const [name, setName] = useState(() =>
    String(nodes[0]?.props.heading || (nodes[0] ? nameOf(nodes[0]) : "")).slice(0, 60),
  );
  const [problem, setProblem] = useState<string | null>(null);
  const keep = () => {
    const now = store.getState();
    const outcome = keepPiece(now.draft, nodes, name);
    const why = outcome.ok ? now.run(outcome) : outcome.why;
    if (why) return setProblem(why);
    now.say(`“${name.trim()}” is among your own pieces, in Add.`);
    onClose();
  };
  return (
    <Dialog open onClose={onClose} maxWidth="xs" fullWidth aria-labelledby="keep-piece-title">
      <form
        onSubmit={(event) => {
          event.preventDefault();
          keep();
        }}
      >
        <DialogTitle id="keep-piece-title" component="h2" sx={{ typography: "h2" }}>
          Keep as your own piece
        </DialogTitle>
        <DialogContent sx={{ display: "grid", gap: 1.5 }}>
          <Typography color="text.secondary">
            A copy of it lies in Add, for any page. What you change there later does not change this one.
          </Typography>
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
            slotProps={{ htmlInput: { maxLength: 60 } }}
          />
        </DialogContent>
        <DialogActions>
          <Button onClick={onClose}>Cancel</Button>
          <Button type="submit" variant="contained">
            Keep it
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  );
}
