import { Alert, Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, Typography } from "@mui/material";
import { Download, Upload } from "lucide-react";
import { useRef, useState } from "react";
import { replaceBrand } from "~/core/commands";
import { planTokens, writeTokens, type TokenPlan } from "~/core/formats";
import { THEMES, themeById } from "~/themes";
import { useStudio, useStudioStore } from "../../keeping";
import { FileInput, INK } from "../../ui";
import { brandRows } from "./versions-group";

type TokenFile = { readonly name: string; readonly plan: Extract<TokenPlan, { ok: true }> };

/** What a file would change, and what of it could not be used; nothing is changed before it is said. */
function Review({ read, onClose }: { read: TokenFile; onClose: () => void }) {
  const store = useStudioStore();
  const look = useStudio((s) => s.draft.look);
  const { plan, name } = read;
  const rows = brandRows(look.brand, look.theme, plan.brand, look.theme);
  const take = () => {
    store.getState().run(replaceBrand(store.getState().draft, plan.brand, `Look taken from ${name}`));
    onClose();
  };
  const cell = {
    "& td, & th": {
      textAlign: "left",
      py: 0.5,
      pr: 2,
      borderTop: `1px solid ${INK.line}`,
      fontSize: 13,
      overflowWrap: "anywhere",
    },
  } as const;
  return (
    <Dialog open onClose={onClose} maxWidth="md" fullWidth aria-labelledby="tokens-title">
      <DialogTitle id="tokens-title" component="h2" sx={{ typography: "h2" }}>
        What “{name}” would change
      </DialogTitle>
      <DialogContent>
        {rows.length ? (
          <Box
            component="table"
            aria-label="What would change"
            sx={{ width: "100%", borderCollapse: "collapse", ...cell }}
          >
            <thead>
              <tr>
                <th scope="col">Setting</th>
                <th scope="col">Now</th>
                <th scope="col">From the file</th>
              </tr>
            </thead>
            <tbody>
              {rows.map((row) => (
                <tr key={row.key}>
                  <td>{row.name}</td>
                  <td>{row.a}</td>
                  <td>
                    {row.b}
                    {plan.used.some((u) => u.key === row.key) ? (
                      <Typography variant="caption" color="text.secondary" component="div">
                        {plan.used.find((u) => u.key === row.key)!.path}
                      </Typography>
                    ) : null}
                  </td>
                </tr>
              ))}
            </tbody>
          </Box>
        ) : (
          <Typography>Nothing: the brand says all of that already.</Typography>
        )}
        {plan.left.length ? (
          <Box component="details" sx={{ mt: 2 }} open={plan.left.length <= 12}>
            <Box component="summary" sx={{ cursor: "pointer", fontWeight: 600, fontSize: 14 }}>
              {plan.left.length === 1 ? "One token can’t be used" : `${plan.left.length} tokens can’t be used`}
            </Box>
            <Box
              component="ul"
              aria-label="Not used"
              sx={{ m: 0, mt: 1, pl: 2.5, maxHeight: 200, overflowY: "auto", fontSize: 13 }}
            >
              {plan.left.map(({ path, why }) => (
                <li key={path}>
                  <strong>{path}</strong>: {why}
                </li>
              ))}
            </Box>
          </Box>
        ) : null}
      </DialogContent>
      <DialogActions sx={{ px: 3, pb: 2 }}>
        <Button onClick={onClose}>Leave everything as it is</Button>
        <Button variant="contained" disabled={rows.length === 0} onClick={take}>
          Take it over
        </Button>
      </DialogActions>
    </Dialog>
  );
}

/** The look as a file for other programs, and files from other programs as a look. */
export function FilesGroup() {
  const store = useStudioStore();
  const file = useRef<HTMLInputElement>(null);
  const [read, setRead] = useState<TokenFile | null>(null);
  const [why, setWhy] = useState<string | null>(null);
  const save = () => {
    const { look } = store.getState().draft;
    const text = writeTokens(themeById(look.theme), look.brand);
    const link = document.createElement("a");
    link.href = URL.createObjectURL(new Blob([text], { type: "application/design-tokens+json" }));
    link.download = `${
      look.identity.name
        .toLowerCase()
        .replace(/[^a-z0-9]+/g, "-")
        .replace(/^-|-$/g, "") || "shop"
    }.tokens.json`;
    link.click();
    URL.revokeObjectURL(link.href);
  };
  const open = async (chosen: File) => {
    const plan = planTokens(await chosen.text(), store.getState().draft.look.brand, THEMES);
    if (!plan.ok) return setWhy(`${chosen.name}: ${plan.why}`);
    setWhy(null);
    setRead({ name: chosen.name, plan });
  };
  return (
    <>
      <Typography variant="caption" color="text.secondary">
        The whole look as a file of design tokens (W3C format, 2025.10), for a designer or another program. Reading one
        shows first what it would change.
      </Typography>
      <Box sx={{ display: "flex", gap: 1 }}>
        <Button
          size="small"
          variant="outlined"
          startIcon={<Download size={16} aria-hidden />}
          onClick={save}
          sx={{ flex: 1 }}
        >
          Save the look
        </Button>
        <Button
          size="small"
          variant="outlined"
          startIcon={<Upload size={16} aria-hidden />}
          onClick={() => file.current?.click()}
          sx={{ flex: 1 }}
        >
          Read a look …
        </Button>
      </Box>
      <FileInput
        ref={file}
        label="File of design tokens"
        accept=".json,.tokens,application/json,application/design-tokens+json"
        onFiles={([chosen]) => void open(chosen)}
      />
      {why ? (
        <Alert severity="error" sx={{ py: 0 }}>
          {why}
        </Alert>
      ) : null}
      {read ? <Review read={read} onClose={() => setRead(null)} /> : null}
    </>
  );
}
