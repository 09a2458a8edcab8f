import { Box, Dialog, DialogContent, DialogTitle, Typography } from "@mui/material";
import { X } from "lucide-react";
import { IconAction, INK } from "../ui";

const KEYS: readonly (readonly [keys: string, does: string])[] = [
  ["1  2  3", "Phone, both, wide"],
  ["V", "As shoppers see it, without marks"],
  ["4  5", "In Brand: all pages at once, all parts"],
  ["W", "In Brand: a click styles, or follows links"],
  ["[  ]", "Previous, next section"],
  ["Alt + ← →", "Move along the plan, or to the next column"],
  ["Alt + ↑ ↓", "Move within a column"],
  ["M", "Move to …, anywhere on the page"],
  ["A", "Add a section, or something in one"],
  ["Shift + click", "Choose several"],
  ["Ctrl + C  X  V", "Copy, cut, paste"],
  ["L", "Paste the look only"],
  ["Enter", "Edit words; on a pane: go into it"],
  ["Esc", "Out one level, and out of a pane"],
  ["D", "Duplicate"],
  ["Del", "Remove"],
  ["H", "Not shown yet, or show"],
  ["P", "Change for phone only, on and off"],
  ["Y", "In Pages and Offers: the year, with what shows when"],
  ["G", "Go to …"],
  ["Ctrl + Z", "Undo"],
  ["Ctrl + Shift + Z", "Redo"],
  ["Ctrl + Enter", "Publish"],
  ["?", "These keys"],
];

export function KeysHelp({ open, onClose }: { open: boolean; onClose: () => void }) {
  return (
    <Dialog open={open} onClose={onClose} aria-labelledby="keys-title">
      <DialogTitle id="keys-title" component="div" sx={{ display: "flex", alignItems: "center" }}>
        <Typography variant="h2" sx={{ flex: 1 }}>
          Keys
        </Typography>
        <IconAction label="Close" icon={X} onClick={onClose} />
      </DialogTitle>
      {/* Longer than a low window: whoever has no mouse goes on in it by keys. */}
      <DialogContent tabIndex={0} aria-label="List of keys" role="group">
        <Box component="dl" sx={{ display: "grid", gridTemplateColumns: "auto 1fr", gap: "6px 24px", m: 0 }}>
          {KEYS.map(([keys, does]) => (
            <Box key={keys} sx={{ display: "contents" }}>
              <Box
                component="dt"
                sx={{
                  fontWeight: 650,
                  borderBottom: `2px solid ${INK.lemon}`,
                  justifySelf: "start",
                  whiteSpace: "pre",
                }}
              >
                {keys}
              </Box>
              <Box component="dd" sx={{ m: 0 }}>
                {does}
              </Box>
            </Box>
          ))}
        </Box>
      </DialogContent>
    </Dialog>
  );
}
