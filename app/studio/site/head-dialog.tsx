import {
  Box,
  Button,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  FormControlLabel,
  Switch,
  TextField,
  Typography,
} from "@mui/material";
import { useState } from "react";
import { setHead } from "~/core/commands";
import { headAdditions, MOST_EARLY, MOST_PROOFS, proofIn, proofProblem, type Proof } from "~/core/document";
import { solveLook } from "~/core/theme";
import { themeById } from "~/themes";
import { Origins } from "../code";
import { ColourField } from "../colours";
import { useStudio, useStudioStore } from "../keeping";
import { INK } from "../ui";

/** What stands in the head of every page besides what the shop says itself. */
export function HeadDialog({ open, onClose }: { open: boolean; onClose: () => void }) {
  return open ? <Asked onClose={onClose} /> : null;
}

/** Why what was pasted is no proof; undefined where it is one. */
function pastedProblem(pasted: string): string | undefined {
  const proof = proofIn(pasted);
  if (proof) return proofProblem(proof);
  return /<script/i.test(pasted)
    ? "A script can’t stand in the head. “Own code” runs one in a frame of its own."
    : "Paste the whole tag, as the service shows it: <meta name=… content=…>.";
}

function Asked({ onClose }: { onClose: () => void }) {
  const store = useStudioStore();
  const look = useStudio((s) => s.draft.look);
  const now = headAdditions(useStudio((s) => s.draft.documents));
  const [proofs, setProofs] = useState<readonly Proof[]>(now.proofs);
  const [bar, setBar] = useState(now.bar);
  const [early, setEarly] = useState<readonly string[]>(now.early);
  const [pasted, setPasted] = useState("");
  const [why, setWhy] = useState("");
  const header = solveLook(themeById(look.theme), look).roles.sets.header.page;
  const problem = pasted.trim() ? pastedProblem(pasted) : undefined;
  const withPasted = () => {
    const proof = proofIn(pasted);
    return proof && !problem
      ? [...proofs.filter((p) => p.name !== proof.name || p.content !== proof.content), proof]
      : proofs;
  };
  const save = () => {
    if (problem) return;
    const state = store.getState();
    const next = { proofs: withPasted(), bar, early };
    if (JSON.stringify(next) !== JSON.stringify(now)) {
      const refused = state.run(setHead(state.draft, next));
      if (refused) return setWhy(refused);
      state.say("It goes out with the next publication.");
    }
    onClose();
  };
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="head-title">
      <DialogTitle id="head-title" component="h2" sx={{ typography: "h2" }}>
        For search engines and browsers
      </DialogTitle>
      <DialogContent sx={{ display: "grid", gap: 3, gridTemplateColumns: "minmax(0,1fr)" }}>
        <Box sx={{ display: "grid", gap: 1 }}>
          <Typography variant="h3">Proof that the shop is yours</Typography>
          {proofs.map((proof) => (
            <Box
              key={`${proof.name} ${proof.content}`}
              sx={{ display: "flex", alignItems: "center", gap: 1, borderBottom: `1px solid ${INK.line}` }}
            >
              <Typography variant="body2" sx={{ flex: 1, minWidth: 0, overflowWrap: "anywhere" }}>
                <strong>{proof.name}</strong> {proof.content}
              </Typography>
              <Button
                size="small"
                aria-label={`Remove ${proof.name}`}
                onClick={() => setProofs(proofs.filter((each) => each !== proof))}
              >
                Remove
              </Button>
            </Box>
          ))}
          {proofs.length < MOST_PROOFS ? (
            <Box sx={{ pt: 0.5, display: "flex", flexWrap: "wrap", gap: 1, alignItems: "flex-start" }}>
              <TextField
                label="Paste the tag you were given"
                value={pasted}
                onChange={(event) => setPasted(event.target.value)}
                error={problem !== undefined}
                helperText={problem ?? "Search engines and other services look for it on your pages."}
                slotProps={{ htmlInput: { spellCheck: false, maxLength: 1000 } }}
                sx={{ flex: "1 1 240px" }}
              />
              <Button
                disabled={!pasted.trim() || problem !== undefined}
                onClick={() => {
                  setProofs(withPasted());
                  setPasted("");
                }}
                sx={{ mt: 0.25 }}
              >
                Take it
              </Button>
            </Box>
          ) : null}
        </Box>
        <Box sx={{ display: "grid", gap: 1 }}>
          <Typography variant="h3">The browser’s own bar</Typography>
          <FormControlLabel
            control={<Switch checked={bar !== null} onChange={(_e, on) => setBar(on ? header : null)} />}
            label="Another colour than the header’s"
          />
          {bar === null ? null : <ColourField label="Colour of the bar" value={bar} onChange={setBar} />}
        </Box>
        <Box sx={{ display: "grid", gap: 1 }}>
          <Typography variant="h3">Places to turn to early</Typography>
          <Typography variant="body2" color="text.secondary">
            Where most pages hold something of another site, browsers can connect to it before they come to it.
          </Typography>
          <Origins origins={early} most={MOST_EARLY} onChange={setEarly} />
        </Box>
        {why ? (
          <Typography role="alert" color="error">
            {why}
          </Typography>
        ) : null}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Cancel</Button>
        <Button variant="contained" onClick={save}>
          Save
        </Button>
      </DialogActions>
    </Dialog>
  );
}
