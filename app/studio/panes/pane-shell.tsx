import { Box, Typography } from "@mui/material";
import type { ReactNode } from "react";
import { INK } from "../ui";

type PaneShellProps = {
  label: string;
  /** In the contact sheet. */
  small?: boolean;
  /** What stands on the sill. */
  sill: ReactNode;
  children: ReactNode;
};

/** A pane's frame, and the sill that it stands on. */
export function PaneShell({ label, small = false, sill, children }: PaneShellProps) {
  return (
    <Box component="section" aria-label={label} sx={{ display: "flex", flexDirection: "column", flex: "none" }}>
      <Box
        sx={{
          border: `1px solid ${INK.ink}`,
          borderBottom: 0,
          borderRadius: "6px 6px 0 0",
          overflow: "hidden",
          lineHeight: 0,
        }}
      >
        {children}
      </Box>
      <Box
        sx={{
          height: small ? 20 : 24,
          px: small ? 1 : 1.25,
          display: "flex",
          alignItems: "center",
          justifyContent: "space-between",
          gap: 0.5,
          bgcolor: INK.ink,
          color: INK.paper,
          borderRadius: "0 0 6px 6px",
          overflow: "hidden",
          "& .MuiTypography-root, & button": { fontSize: small ? 11 : 12 },
        }}
      >
        {sill}
      </Box>
    </Box>
  );
}

/** "Phone": the name of the device on a sill. */
export const SillName = ({ children }: { children: ReactNode }) => (
  <Typography variant="caption" noWrap sx={{ fontWeight: 600 }}>
    {children}
  </Typography>
);

/** How wide the pane's page is, and how much it is shrunk. */
export const SillScale = ({ width, scale }: { width: number; scale: number }) => (
  <Typography variant="caption" noWrap>
    {width} wide{scale < 0.995 ? `, at ${Math.round(scale * 100)} %` : ""}
  </Typography>
);
