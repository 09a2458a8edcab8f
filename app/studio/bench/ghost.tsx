import { Box } from "@mui/material";
import { INK, ON_LEMON, VISUALLY_HIDDEN } from "../ui";
import { useCarrying } from "./carry";

/** What is being carried, beside the pointer, and what would happen, for those who listen. */
export function Ghost() {
  const carrying = useCarrying((c) => c);
  return (
    <>
      {carrying?.fromStudio ? (
        // Over everything, so that panes don't swallow the pointer.
        <Box sx={{ position: "fixed", inset: 0, zIndex: 2000, cursor: "grabbing" }} />
      ) : null}
      {carrying ? (
        <Box
          aria-hidden
          sx={{
            position: "fixed",
            zIndex: 2001,
            pointerEvents: "none",
            ...ON_LEMON,
            border: `1.5px solid ${INK.ink}`,
            borderRadius: 1,
            px: 1,
            py: 0.25,
            fontSize: 13,
            fontWeight: 600,
          }}
          style={{ left: carrying.at.x + 16, top: carrying.at.y - 38 }}
        >
          {carrying.name}
          {carrying.place ? null : (
            <Box component="span" sx={{ fontWeight: 400, display: "block", maxWidth: 240 }}>
              {carrying.words}
            </Box>
          )}
        </Box>
      ) : null}
      <span role="status" aria-live="assertive" style={VISUALLY_HIDDEN}>
        {carrying?.words}
      </span>
    </>
  );
}
