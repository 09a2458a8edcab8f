import { Box, Typography } from "@mui/material";
import type { ReactNode } from "react";
import { INK, VISUALLY_HIDDEN } from "../ui";

/** For the box of a field: where its value comes from is seen when somebody points at it or works with it, or has set it. */
export const SHOWS_SOURCE = {
  "& .from": { opacity: 0, transition: "opacity .1s" },
  "&:hover .from, &:focus-within .from, & .from.is-said": { opacity: 1 },
} as const;

type FieldHeadProps = {
  id: string;
  label: string;
  /** Where the value comes from, in words. */
  from: string;
  /** The same at length. */
  more?: string;
  /** It was set here, which is always said. */
  isSet: boolean;
  /** A way to where it comes from, or back. */
  action?: ReactNode;
};

/** What a control is called, and where its value comes from. */
export const FieldHead = ({ id, label, from, more = from, isSet, action }: FieldHeadProps) => (
  <Box sx={{ position: "relative", display: "flex", alignItems: "center", gap: 1, minHeight: 24 }}>
    <Typography variant="caption" id={id} sx={{ fontWeight: 600, flex: "none" }}>
      {label}
    </Typography>
    <Typography
      variant="caption"
      className={isSet ? "from is-said" : "from"}
      noWrap
      aria-hidden
      title={more}
      sx={{ flex: 1, minWidth: 0, textAlign: "right", color: INK.soft }}
    >
      {from}
    </Typography>
    <span style={VISUALLY_HIDDEN}>{more}</span>
    {action ?? (
      <Box
        aria-hidden
        title={more}
        sx={{ width: 7, height: 7, flex: "none", borderRadius: "50%", border: `1.5px solid ${INK.edge}` }}
      />
    )}
  </Box>
);
