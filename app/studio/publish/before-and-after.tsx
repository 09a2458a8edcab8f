import { Box, Typography } from "@mui/material";
import { useMemo } from "react";
import { homeOf } from "~/core/addresses";
import { entryOf, LOOK_PART, type Draft } from "~/core/document";
import { targetFor } from "~/render";
import { useStudio } from "../keeping";
import { PageSight } from "../panes";
import { INK } from "../ui";

const SIZES = [
  ["phone", 108],
  ["wide", 354],
] as const;
const HEIGHT = 232;

/** One part of the shop as shoppers see it now, and as they would. */
export function BeforeAndAfter({ part, before, after }: { part: string; before: Draft; after: Draft }) {
  const goods = useStudio((s) => s.goods);
  const isPage = (draft: Draft) => {
    const kind = entryOf(draft.documents, part)?.kind;
    return kind === "page" || kind === "layout";
  };
  const targetIn = (draft: Draft) =>
    targetFor(draft.documents, goods, isPage(draft) ? part : homeOf(draft.documents), null);
  const was = useMemo(
    () => (part === LOOK_PART || entryOf(before.documents, part) ? targetIn(before) : undefined),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- `targetIn` is made of these
    [part, before, goods],
  );
  const is = useMemo(
    () => (part === LOOK_PART || entryOf(after.documents, part) ? targetIn(after) : undefined),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- `targetIn` is made of these
    [part, after, goods],
  );
  const side = (title: string, draft: Draft, target: typeof was, none: string) => (
    <Box component="figure" aria-label={title} sx={{ m: 0 }}>
      <Typography component="figcaption" variant="subtitle2" sx={{ mb: 0.5 }}>
        {title}
      </Typography>
      {target ? (
        <Box
          sx={{ display: "inline-flex", p: "6px", bgcolor: INK.bench, border: `1px solid ${INK.ink}`, borderRadius: 1 }}
        >
          <PageSight key={part} draft={draft} target={target} name={title} sizes={SIZES} height={HEIGHT} />
        </Box>
      ) : (
        <Typography color="text.secondary">{none}</Typography>
      )}
    </Box>
  );
  return (
    <Box sx={{ display: "grid", gap: 2, alignContent: "start" }}>
      {side("As shoppers see it now", before, was, "It is not in the shop yet.")}
      {side("As they will see it", after, is, "It will be gone from the shop.")}
    </Box>
  );
}
