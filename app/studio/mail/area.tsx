import { Box } from "@mui/material";
import { useEffect } from "react";
import { Outlet, useLocation } from "react-router";
import type { MailFacts } from "~/core/mail";
import { useStudio } from "../keeping";
import { AreaParts } from "../ui";

/** The Mail area: what forms bring, who is on lists, and the letters that go to them. */
export function MailArea({ facts }: { facts: MailFacts }) {
  const shop = useStudio((s) => s.shop.id);
  const setAreaSteps = useStudio((s) => s.setAreaSteps);
  // What was sent can't be taken back; what is deleted is asked about first.
  const isOfDraft = useLocation().pathname.endsWith("/words");
  useEffect(() => {
    // What letters say is a part of the shop: it is undone like the rest.
    if (isOfDraft) return setAreaSteps(null);
    setAreaSteps({ area: "Mail", undo: null, redo: null, step: () => undefined });
    return () => setAreaSteps(null);
  }, [setAreaSteps, isOfDraft]);
  return (
    <Box sx={{ display: "grid", gridTemplate: "auto minmax(0,1fr) / minmax(0,1fr)", height: "100%", minHeight: 0 }}>
      <AreaParts
        label="Parts of Mail"
        at={`/s/${shop}/mail`}
        parts={[
          { label: "Messages", path: "", count: [facts.counts.new, "new"] },
          { label: "Lists", path: "/lists" },
          { label: "Letters", path: "/letters" },
          { label: "Automatic", path: "/words" },
        ]}
      />
      <Outlet context={facts} />
    </Box>
  );
}
