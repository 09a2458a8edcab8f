import { Box, ToggleButton, ToggleButtonGroup, Typography } from "@mui/material";
import { useMemo, useState, type ReactNode } from "react";
import { renderLetter, type LetterGiven, type ShopContent } from "~/render";
import { useStudio } from "../keeping";
import { INK } from "../ui";

type Sight = "wide" | "phone" | "plain";

/** What letters are drawn from in the studio. */
export function useLetterContent(): ShopContent {
  const draft = useStudio((s) => s.draft);
  const goods = useStudio((s) => s.goods);
  const pictures = useStudio((s) => s.pictures);
  const shop = useStudio((s) => s.shop);
  return useMemo(
    () => ({ draft, goods, pictures, currency: shop.currency, locale: shop.locale, moneyFormat: shop.moneyFormat }),
    [draft, goods, pictures, shop],
  );
}

/** The letter as whoever gets it sees it. `beside`: more to choose about how it is looked at. */
export function LetterSight({ given, beside }: { given: LetterGiven; beside?: ReactNode }) {
  const content = useLetterContent();
  const [sight, setSight] = useState<Sight>("wide");
  const { html, text } = useMemo(() => renderLetter(given, content, ""), [given, content]);
  return (
    <Box sx={{ display: "grid", gridTemplateRows: "auto minmax(0,1fr)", minHeight: 0, bgcolor: INK.bench }}>
      <Box
        sx={{
          display: "flex",
          alignItems: "center",
          gap: 1.5,
          px: 2,
          py: 1,
          bgcolor: INK.raised,
          borderBottom: `1px solid ${INK.line}`,
          minWidth: 0,
        }}
      >
        <Typography noWrap sx={{ flex: 1, fontWeight: 600, minWidth: 0 }}>
          {given.subject || "No subject yet"}
        </Typography>
        {beside}
        <ToggleButtonGroup
          exclusive
          size="small"
          value={sight}
          aria-label="How it is looked at"
          onChange={(_e, next: Sight | null) => next && setSight(next)}
        >
          <ToggleButton value="wide">Wide</ToggleButton>
          <ToggleButton value="phone">Phone</ToggleButton>
          <ToggleButton value="plain">As plain text</ToggleButton>
        </ToggleButtonGroup>
      </Box>
      {sight === "plain" ? (
        <Box component="pre" sx={{ m: 2, p: 2, bgcolor: INK.raised, whiteSpace: "pre-wrap", overflow: "auto" }}>
          {text}
        </Box>
      ) : (
        // A letter runs nothing, and its links lead nowhere from here.
        <Box
          component="iframe"
          title="The letter as it arrives"
          sandbox="allow-same-origin"
          srcDoc={html}
          sx={{
            border: 0,
            width: sight === "phone" ? 390 : "100%",
            maxWidth: "100%",
            height: "100%",
            justifySelf: "center",
            bgcolor: "#fff",
          }}
        />
      )}
    </Box>
  );
}
