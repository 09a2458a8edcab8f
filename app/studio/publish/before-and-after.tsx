import { Box, Typography } from "@mui/material";
import { useMemo } from "react";
import { entryOf, LOOK_PART, type Draft } from "~/core/document";
import type { Goods } from "~/core/goods";
import { targetFor, type Target } from "~/render";
import { pageShowing } from "../shared";
import { useStudio } from "../keeping";
import { PageSight } from "../panes";
import { INK } from "../ui";

const SIZES = [
  ["phone", 108],
  ["wide", 354],
] as const;
/** Where there is little room, on a phone alone. */
const NARROW = [["phone", 108]] as const;
const HEIGHT = 232;

/** The page on which a part of a state of the shop is looked at: itself, or the home page; undefined where it has no such part. */
function targetOf(part: string, { documents }: Draft, goods: Goods): Target | undefined {
  const document = entryOf(documents, part);
  if (part !== LOOK_PART && !document) return undefined;
  return targetFor(documents, goods, pageShowing(documents, document), null);
}

/** One part of the shop as shoppers see it now, and as they would. */
export function BeforeAndAfter({
  part,
  before,
  after,
  isNarrow,
}: {
  part: string;
  before: Draft;
  after: Draft;
  isNarrow: boolean;
}) {
  const goods = useStudio((s) => s.goods);
  const was = useMemo(() => targetOf(part, before, goods), [part, before, goods]);
  const is = useMemo(() => targetOf(part, after, goods), [part, after, goods]);
  const side = (title: string, draft: Draft, target: Target | undefined, none: string) => (
    <Box
      component="figure"
      aria-label={title}
      sx={{ m: 0, ...(isNarrow ? { width: 122, display: "grid", alignContent: "space-between" } : {}) }}
    >
      <Typography component="figcaption" variant="subtitle2" sx={{ mb: 0.5 }}>
        {title}
      </Typography>
      {target ? (
        <Box
          sx={{ display: "inline-flex", p: "6px", bgcolor: INK.bench, border: `1px solid ${INK.ink}`, borderRadius: 1 }}
        >
          <PageSight
            key={part}
            draft={draft}
            target={target}
            name={title}
            sizes={isNarrow ? NARROW : SIZES}
            height={HEIGHT}
          />
        </Box>
      ) : (
        <Typography color="text.secondary">{none}</Typography>
      )}
    </Box>
  );
  return (
    <Box sx={{ display: isNarrow ? "flex" : "grid", flexWrap: "wrap", gap: 2, alignContent: "start" }}>
      {side("As shoppers see it now", before, was, "It is not in the shop yet.")}
      {side("As they will see it", after, is, "It will be gone from the shop.")}
    </Box>
  );
}
