import { Box, Button } from "@mui/material";
import { NavLink } from "react-router";
import { INK, ON_LEMON } from "./theme";

type AreaPart = {
  readonly label: string;
  /** Below the address of the area. */
  readonly path: string;
  /** How many of something there are to look at, and what is said of them. */
  readonly count?: readonly [number, string];
};

/** The parts of an area, as links beside each other below the bar. `at`: the address of the area. */
export function AreaParts({ label, at, parts }: { label: string; at: string; parts: readonly AreaPart[] }) {
  return (
    <Box
      sx={{
        display: "flex",
        alignItems: "center",
        px: 2,
        minHeight: 46,
        borderBottom: `1px solid ${INK.line}`,
        bgcolor: INK.raised,
        overflowX: "auto",
      }}
    >
      <Box component="nav" aria-label={label} sx={{ display: "flex", gap: 0.5 }}>
        {parts.map(({ label: name, path, count: [count, words] = [0, ""] }) => (
          <Button
            key={path}
            component={NavLink}
            to={at + path}
            end={path === ""}
            size="small"
            sx={{ whiteSpace: "nowrap", px: 1.25, "&.active": { ...ON_LEMON, fontWeight: 700 } }}
          >
            {name}
            {count ? (
              <Box
                component="span"
                aria-label={`${count} ${words}`}
                sx={{ ml: 0.75, px: 0.75, borderRadius: 9, bgcolor: INK.ink, color: INK.paper, fontSize: 12 }}
              >
                {count}
              </Box>
            ) : null}
          </Button>
        ))}
      </Box>
    </Box>
  );
}
