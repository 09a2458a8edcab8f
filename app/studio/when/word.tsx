import { Box, Popover, Typography } from "@mui/material";
import { useCallback, useState, type ReactNode } from "react";
import { INK } from "../ui";

type WordProps = {
  said: string;
  label: string;
  /** How wide what they open is, in px. */
  width?: number;
  /** It is open from the beginning, since it has just come. */
  isNew?: boolean;
  /** Why what was last tried here could not be kept. */
  why?: string | undefined;
  children: ReactNode;
};

/** Words of the sentence that open what they are changed with. */
export function Word({ said, label, width = 300, isNew = false, why, children }: WordProps) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const begin = useCallback(
    (button: HTMLButtonElement | null) => {
      if (button && isNew) setAnchor(button);
    },
    [isNew],
  );
  return (
    <>
      <Box
        component="button"
        ref={begin}
        type="button"
        aria-haspopup="dialog"
        aria-label={`${label}: ${said}`}
        onClick={(event) => setAnchor(event.currentTarget)}
        sx={{
          font: "inherit",
          fontWeight: 600,
          color: INK.ink,
          bgcolor: "transparent",
          border: 0,
          borderBottom: `2px solid ${INK.lemon}`,
          p: 0,
          textAlign: "start",
          cursor: "pointer",
          "&:hover": { bgcolor: INK.wash },
          "&:focus-visible": { outline: `2px solid ${INK.ink}`, outlineOffset: 2 },
        }}
      >
        {said}
      </Box>
      <Popover
        anchorEl={anchor}
        open={anchor !== null}
        onClose={() => setAnchor(null)}
        anchorOrigin={{ vertical: "bottom", horizontal: "left" }}
        slotProps={{
          paper: {
            role: "dialog",
            "aria-label": label,
            sx: { p: 2, width, maxWidth: "calc(100vw - 32px)", display: "grid", gap: 1.5 },
          },
        }}
      >
        {children}
        {why ? (
          <Typography variant="caption" component="p" color="error" role="alert">
            {why}
          </Typography>
        ) : null}
      </Popover>
    </>
  );
}
