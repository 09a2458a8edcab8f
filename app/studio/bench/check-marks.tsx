import { Box, Button, Chip, Popover, Typography, useMediaQuery } from "@mui/material";
import { TriangleAlert } from "lucide-react";
import { useState } from "react";
import { nameOf } from "~/kinds";
import { mendOf, RULE_WORDS } from "../checks";
import { useStudio, useStudioStore } from "../keeping";
import { DEVICE_NAME, DEVICE_WIDTH } from "../panes";
import { INK } from "../ui";
import type { PaneDevice } from "./frames";
import { thingsWords, useChecksStore, useFindings, usePointed, type PaneFinding } from "./checks";
import { partAt } from "./parts";

/** Points at what the checks found, in its place in a pane. */
export function CheckMarks({ pane }: { pane: PaneDevice }) {
  const store = useStudioStore();
  const checks = useChecksStore();
  const pointed = usePointed();
  const findings = useFindings().filter((f) => f.pane === pane);
  return findings.slice(0, 40).map((f) => (
    <span key={`${f.rule} ${f.node}`}>
      {pointed === f ? <span className="zm-check-box" style={f.rect} /> : null}
      <button
        type="button"
        className="zm-check"
        tabIndex={-1}
        title={`${RULE_WORDS[f.rule]}: ${f.why}`}
        aria-label={`${RULE_WORDS[f.rule]}: ${f.why}`}
        style={{
          left: Math.max(2, Math.min(f.rect.left, DEVICE_WIDTH[f.device] - 30)),
          top: Math.max(0, f.rect.top - 10),
        }}
        onClick={() => {
          store.getState().select(f.node);
          checks.setState({ pointed: f });
        }}
      >
        !
      </button>
    </span>
  ));
}

function FindingRow({ finding, onDone }: { finding: PaneFinding; onDone: () => void }) {
  const store = useStudioStore();
  const checks = useChecksStore();
  const draft = useStudio((s) => s.draft);
  const part = partAt(draft, finding.node);
  const mend = mendOf(draft, finding);
  if (!part) return null;
  const point = () => {
    store.getState().select(finding.node);
    checks.setState({ pointed: finding });
  };
  return (
    <Box component="li" sx={{ borderTop: `1px solid ${INK.line}`, py: 1.25, display: "grid", gap: 0.5 }}>
      <Typography variant="subtitle2">
        {RULE_WORDS[finding.rule]}
        <Typography component="span" variant="caption" color="text.secondary">
          {" "}
          · {DEVICE_NAME[finding.device]} · {nameOf(part.node)}
        </Typography>
      </Typography>
      <Typography variant="body2">
        {finding.says ? `“${finding.says}” ` : ""}
        {finding.why}
      </Typography>
      <Box sx={{ display: "flex", gap: 1 }}>
        <Button size="small" variant="outlined" onClick={point}>
          Show me
        </Button>
        {mend?.outcome.ok ? (
          <Button
            size="small"
            variant="contained"
            onClick={(event) => {
              // The row goes when the page is measured again; the keyboard stays in the dialog.
              event.currentTarget.closest<HTMLElement>("[role=dialog]")?.focus();
              store.getState().run(mend.outcome);
              onDone();
            }}
          >
            {mend.label}
          </Button>
        ) : null}
      </Box>
    </Box>
  );
}

/** How many things there are to look at, and what they are. */
export function ChecksChip() {
  const findings = useFindings();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const isNarrow = useMediaQuery("(max-width:899.98px)");
  if (findings.length === 0) return null;
  return (
    <>
      <Chip
        size="small"
        icon={<TriangleAlert size={14} aria-hidden />}
        label={isNarrow ? findings.length : thingsWords(findings.length)}
        aria-label={thingsWords(findings.length)}
        onClick={(event) => setAnchor(event.currentTarget)}
        aria-haspopup="dialog"
        sx={{
          bgcolor: INK.raised,
          color: INK.brick,
          border: `1px solid ${INK.brick}`,
          "& .MuiChip-icon": { color: INK.brick },
        }}
      />
      <Popover
        open={anchor !== null}
        anchorEl={anchor}
        onClose={() => setAnchor(null)}
        anchorOrigin={{ vertical: "bottom", horizontal: "right" }}
        transformOrigin={{ vertical: "top", horizontal: "right" }}
        slotProps={{
          paper: {
            role: "dialog",
            "aria-label": "Things to look at",
            sx: { width: 380, maxHeight: "60vh", px: 2, py: 1 },
          },
        }}
      >
        <Typography variant="h3" component="p" sx={{ py: 0.5 }}>
          Measured in both panes
        </Typography>
        <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
          {findings.map((f) => (
            <FindingRow
              key={`${f.pane} ${f.rule} ${f.node}`}
              finding={f}
              onDone={() => findings.length === 1 && setAnchor(null)}
            />
          ))}
        </Box>
      </Popover>
    </>
  );
}
