import {
  Alert,
  Box,
  Button,
  CircularProgress,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  TextField,
  Typography,
} from "@mui/material";
import { QRCodeSVG } from "qrcode.react";
import { useEffect, useEffectEvent, useState } from "react";
import { endLinks, makeLink } from "~/core/protocol";
import { addressOf, targetFor } from "~/render";
import { useStudio, useStudioStore } from "../keeping";

type DraftLinkProps = { page: string; open: boolean; onClose: () => void };

/** A link to the draft, to be looked at on a real phone: as a picture to point its camera at, and as words to send. */
export function DraftLinkDialog({ open, ...rest }: DraftLinkProps) {
  return open ? <Made {...rest} /> : null;
}

type Stage =
  | { readonly name: "making" }
  | { readonly name: "made"; readonly address: string; readonly until: string; readonly links: number }
  | { readonly name: "ended" }
  | { readonly name: "failed"; readonly why: string };

function Made({ page, onClose }: Omit<DraftLinkProps, "open">) {
  const store = useStudioStore();
  const client = useStudio((s) => s.client);
  const timeZone = useStudio((s) => s.shop.timeZone);
  const [stage, setStage] = useState<Stage>({ name: "making" });
  const [isCopied, setCopied] = useState(false);
  const make = async (): Promise<Stage> => {
    const { draft, goods } = store.getState();
    const to = addressOf(targetFor(draft.documents, goods, page, null), draft.documents) ?? "/";
    const reply = await client.ask(makeLink, { what: "make", to });
    return reply.ok ? { name: "made", ...reply.value } : { name: "failed", why: reply.why };
  };
  const makeWhenOpened = useEffectEvent(make);
  useEffect(() => {
    let isClosed = false;
    void makeWhenOpened().then((next) => isClosed || setStage(next));
    return () => {
      isClosed = true;
    };
  }, []);
  const end = async () => {
    const reply = await client.ask(endLinks, { what: "end" });
    setStage(reply.ok ? { name: "ended" } : { name: "failed", why: reply.why });
  };
  const copy = async (address: string) => {
    try {
      await navigator.clipboard.writeText(address);
      setCopied(true);
    } catch {
      store.getState().say("This browser does not let a page copy. Select the link and copy it.", "problem");
    }
  };
  const when = (at: string) =>
    new Intl.DateTimeFormat("en-GB", { weekday: "long", hour: "2-digit", minute: "2-digit", timeZone }).format(
      new Date(at),
    );
  return (
    <Dialog open onClose={onClose} maxWidth="xs" fullWidth aria-labelledby="draft-link-title">
      <DialogTitle id="draft-link-title" component="h2" sx={{ typography: "h2" }}>
        Look at it on a phone
      </DialogTitle>
      <DialogContent sx={{ display: "grid", gap: 2 }}>
        {stage.name === "making" ? (
          <Box sx={{ display: "flex", gap: 1.5, alignItems: "center", py: 2 }}>
            <CircularProgress size={20} aria-label="Making a link" /> Making a link …
          </Box>
        ) : null}
        {stage.name === "failed" ? <Alert severity="error">{stage.why}</Alert> : null}
        {stage.name === "ended" ? (
          <Typography role="status">All links have ended. Nobody sees the draft by one of them any more.</Typography>
        ) : null}
        {stage.name === "made" ? (
          <>
            <Typography color="text.secondary">
              Point the phone’s camera at it. It shows the draft as it is, also what you change from now on, to whoever
              has the link, until {when(stage.until)}.
            </Typography>
            <Box sx={{ justifySelf: "center", p: 1.5, bgcolor: "#fff", borderRadius: 1, lineHeight: 0 }}>
              <QRCodeSVG value={stage.address} size={208} level="M" title="The link as a QR code" />
            </Box>
            <Box sx={{ display: "flex", gap: 1, alignItems: "center" }}>
              <TextField
                size="small"
                fullWidth
                label="The link"
                value={stage.address}
                onFocus={(e) => e.target.select()}
                slotProps={{ htmlInput: { readOnly: true } }}
              />
              <Button variant="outlined" onClick={() => void copy(stage.address)} sx={{ flex: "none" }}>
                {isCopied ? "Copied" : "Copy"}
              </Button>
            </Box>
            <Typography variant="caption" color="text.secondary">
              {stage.links === 1 ? "This is the only link that is good." : `${stage.links} links are good just now.`}
            </Typography>
          </>
        ) : null}
      </DialogContent>
      <DialogActions>
        {stage.name === "made" ? (
          <Button color="error" onClick={() => void end()} sx={{ mr: "auto" }}>
            End all links
          </Button>
        ) : null}
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}
