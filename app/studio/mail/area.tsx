import { Box, Button } from "@mui/material";
import { useEffect } from "react";
import { NavLink, Outlet } from "react-router";
import type { MailFacts } from "~/core/mail";
import { useStudio } from "../keeping";
import { INK, ON_LEMON } from "../ui";

/** The Mail area: what forms bring, who is on lists, and the letters that go to them. */
export function MailArea({ facts }: { facts: MailFacts }) {
  const shop = useStudio((s) => s.shop.id);
  const setAreaSteps = useStudio((s) => s.setAreaSteps);
  // What was sent can't be taken back; what is deleted is asked about first.
  useEffect(() => {
    setAreaSteps({ area: "Mail", undo: null, redo: null, step: () => undefined });
    return () => setAreaSteps(null);
  }, [setAreaSteps]);
  const parts: readonly (readonly [label: string, path: string, count?: number])[] = [
    ["Messages", "", facts.counts.new],
    ["Lists", "/lists"],
    ["Letters", "/letters"],
  ];
  return (
    <Box sx={{ display: "grid", gridTemplate: "auto minmax(0,1fr) / minmax(0,1fr)", height: "100%", minHeight: 0 }}>
      <Box
        component="nav"
        aria-label="Parts of Mail"
        sx={{
          display: "flex",
          alignItems: "center",
          gap: 0.5,
          px: 2,
          minHeight: 46,
          borderBottom: `1px solid ${INK.line}`,
          bgcolor: INK.raised,
          overflowX: "auto",
        }}
      >
        {parts.map(([label, path, count]) => (
          <Button
            key={path}
            component={NavLink}
            to={`/s/${shop}/mail${path}`}
            end={path === ""}
            size="small"
            sx={{ whiteSpace: "nowrap", px: 1.25, "&.active": { ...ON_LEMON, fontWeight: 700 } }}
          >
            {label}
            {count ? (
              <Box
                component="span"
                aria-label={`${count} new`}
                sx={{ ml: 0.75, px: 0.75, borderRadius: 9, bgcolor: INK.ink, color: INK.paper, fontSize: 12 }}
              >
                {count}
              </Box>
            ) : null}
          </Button>
        ))}
      </Box>
      <Outlet context={facts} />
    </Box>
  );
}
