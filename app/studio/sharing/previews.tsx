import { Box, Typography } from "@mui/material";
import { INK } from "../ui";
import { RESULT_WIDTH, widthInResult } from "./pixels";

type Said = { readonly address: string; readonly title: string; readonly description: string };

/** An address as it is read in results: without what every address begins with. */
export const hostOf = (address: string): string => address.replace(/^https?:\/\//, "").replace(/\/$/, "");

/** A text as far as it is shown, cut where it would be. */
function cutAt(text: string, part: "title" | "description"): string {
  if (widthInResult(text, part) <= RESULT_WIDTH[part]) return text;
  let end = text.length;
  while (end > 0 && widthInResult(`${text.slice(0, end)} …`, part) > RESULT_WIDTH[part]) end--;
  const space = text.lastIndexOf(" ", end);
  return `${text.slice(0, space > 0 ? space : end)} …`;
}

const CARD = {
  border: `1px solid ${INK.line}`,
  borderRadius: 1,
  bgcolor: "#fff",
  color: "#1b1b1b",
  overflow: "hidden",
} as const;

/** How a page will look in a list of results. */
export function ResultPreview({ address, title, description, unlisted }: Said & { unlisted: boolean }) {
  return (
    <Box component="figure" sx={{ m: 0 }}>
      <Typography component="figcaption" variant="caption" color="text.secondary">
        In search results
      </Typography>
      <Box
        sx={{
          ...CARD,
          p: 1.5,
          fontFamily: "Arial, sans-serif",
          mt: 0.5,
          ...(unlisted ? { borderStyle: "dashed", bgcolor: "#f2f2f0" } : {}),
        }}
      >
        <Box sx={{ fontSize: 12, color: "#4a4f4c", overflowWrap: "anywhere" }}>{address}</Box>
        <Box sx={{ fontSize: 18, lineHeight: 1.3, color: "#23327c", overflowWrap: "anywhere" }}>
          {cutAt(title, "title")}
        </Box>
        <Box sx={{ fontSize: 13.5, lineHeight: 1.45, color: "#3c413e", overflowWrap: "anywhere" }}>
          {cutAt(description, "description")}
        </Box>
      </Box>
      {unlisted ? (
        <Typography variant="caption" color="text.secondary">
          Search engines are asked not to show it.
        </Typography>
      ) : null}
    </Box>
  );
}

/** How a link to a page will look where it is shared. */
export function SharePreview({ address, title, description, picture }: Said & { picture: string | undefined }) {
  return (
    <Box component="figure" sx={{ m: 0 }}>
      <Typography component="figcaption" variant="caption" color="text.secondary">
        As a shared link
      </Typography>
      <Box sx={{ ...CARD, mt: 0.5 }}>
        {picture ? (
          <Box
            component="img"
            src={picture}
            alt=""
            sx={{ display: "block", width: "100%", aspectRatio: "1200 / 630", objectFit: "cover" }}
          />
        ) : null}
        <Box sx={{ p: 1.25, bgcolor: "#f2f2f0" }}>
          <Box sx={{ fontSize: 11.5, color: "#565b58" }}>{address.split("/")[0]}</Box>
          <Box sx={{ fontSize: 14.5, fontWeight: 600, lineHeight: 1.3, overflowWrap: "anywhere" }}>{title}</Box>
          <Box
            sx={{
              fontSize: 12.5,
              color: "#565b58",
              display: "-webkit-box",
              WebkitLineClamp: 2,
              WebkitBoxOrient: "vertical",
              overflow: "hidden",
            }}
          >
            {description}
          </Box>
        </Box>
      </Box>
    </Box>
  );
}
