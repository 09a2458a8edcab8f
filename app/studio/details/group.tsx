import { Box } from "@mui/material";
import type { ReactNode } from "react";
import { Heading, INK } from "../ui";

/** Controls that answer one question, under it. */
export function Group({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box component="section" aria-label={title} sx={{ px: 2, py: 1.5, borderTop: `1px solid ${INK.line}` }}>
      <Heading>{title}</Heading>
      <Box sx={{ display: "grid", gridTemplateColumns: "minmax(0, 1fr)", gap: 1.75 }}>{children}</Box>
    </Box>
  );
}
