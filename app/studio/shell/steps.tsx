import { Divider, Menu, MenuItem, Typography } from "@mui/material";
import { History } from "lucide-react";
import { useState } from "react";
import { useStudio, useStudioStore } from "../keeping";
import { IconAction, INK } from "../ui";

/** Everything that was done, by name, latest first; choosing a step goes back to it, or forward again. */
export function Steps() {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <>
      <IconAction label="What was done" icon={History} onClick={(event) => setAnchor(event.currentTarget)} />
      {anchor ? <StepList anchor={anchor} onClose={() => setAnchor(null)} /> : null}
    </>
  );
}

/** The most steps that are listed; older ones are still there for undo. */
const MOST = 80;

function StepList({ anchor, onClose }: { anchor: HTMLElement; onClose: () => void }) {
  const store = useStudioStore();
  const { past, future } = useStudio((s) => s.history);
  const jump = (group: string | null) => {
    store.getState().jumpTo(group);
    onClose();
  };
  const done = past.slice(-MOST).toReversed();
  return (
    <Menu
      open
      anchorEl={anchor}
      onClose={onClose}
      slotProps={{
        list: { "aria-label": "What was done", dense: true },
        paper: { sx: { width: 320, maxHeight: "70vh" } },
      }}
    >
      {future.map((step) => (
        <MenuItem key={step.group} onClick={() => jump(step.group)} sx={{ color: INK.soft, whiteSpace: "normal" }}>
          {step.label}{" "}
          <Typography component="span" variant="caption" sx={{ ml: 1 }}>
            taken back
          </Typography>
        </MenuItem>
      ))}
      {done.map((step, index) => (
        <MenuItem
          key={step.group}
          selected={index === 0}
          aria-current={index === 0 ? "step" : undefined}
          onClick={() => jump(step.group)}
          sx={{ whiteSpace: "normal", boxShadow: index === 0 ? `inset 4px 0 0 ${INK.lemon}` : "none" }}
        >
          {step.label}
        </MenuItem>
      ))}
      {done.length || future.length ? <Divider /> : null}
      <MenuItem onClick={() => jump(null)} disabled={past.length === 0}>
        {past.length === 0 && future.length === 0 ? "Nothing has been done yet" : "As it was before all of this"}
      </MenuItem>
    </Menu>
  );
}
