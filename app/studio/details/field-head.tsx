import { Box, Typography } from "@mui/material";
import type { ReactNode } from "react";
import { INK, VISUALLY_HIDDEN } from "../ui";

/** The row above a control shows where its value comes from when somebody points at it or works with it. */
export const SHOWS_SOURCE = {
  "& .from": { opacity: 0, transition: "opacity .1s" },
  "&:hover .from, &:focus-within .from": { opacity: 1 },
} as const;

type FieldHeadProps = {
  id: string;
  label: string;
  /** Where the value comes from, in words; seen only when it is asked for. */
  from: string;
  /** The same at length. */
  more?: string;
  /** What is always seen: that something was set here, and the way back. */
  action?: ReactNode;
};

/** What a control is called, and where its value comes from. */
export const FieldHead = ({ id, label, from, more = "", action }: FieldHeadProps) => (
  <Box
    sx={{
      position: "relative",
      display: "flex",
      alignItems: "center",
      gap: 1,
      minHeight: 24,
      ...(action ? {} : SHOWS_SOURCE),
    }}
  >
    <Typography variant="caption" id={id} sx={{ fontWeight: 600, flex: "none" }}>
      {label}
    </Typography>
    <Typography
      variant="caption"
      className="from"
      noWrap
      title={more || undefined}
      sx={{ flex: 1, minWidth: 0, textAlign: "right", color: INK.soft }}
    >
      {from}
      {more && more !== from ? <span style={VISUALLY_HIDDEN}>{more}</span> : null}
    </Typography>
    {action}
    {action || !from ? null : (
      <Box
        aria-hidden
        title={more || from}
        sx={{ width: 7, height: 7, flex: "none", borderRadius: "50%", border: `1.5px solid ${INK.edge}` }}
      />
    )}
  </Box>
);
