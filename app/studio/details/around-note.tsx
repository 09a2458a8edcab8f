import { Box, Button, Typography } from "@mui/material";
import { setAround } from "~/core/commands";
import { entryOf, OVER } from "~/core/document";
import { INK } from "../ui";
import { useStudio, useStudioStore } from "../keeping";

const WHICH = { top: "header", bottom: "footer" } as const;

/** Says of a row above or below a page whether it stands on every page or on this one alone, and changes that. */
export function AroundNote({ row, page }: { row: string; page: string }) {
  const store = useStudioStore();
  const document = useStudio((s) => entryOf(s.draft.documents, page));
  const frame = useStudio((s) => s.draft.documents.frame);
  const layout = useStudio((s) => s.draft.documents.post);
  if (frame && entryOf(frame.root.slots, OVER)?.some((part) => part.id === row))
    return (
      <Box sx={{ px: 2, py: 1, borderBottom: `1px solid ${INK.line}` }}>
        <Typography variant="caption" color="text.secondary">
          Lies over every page but the cart, unless “When it shows” says otherwise.
        </Typography>
      </Box>
    );
  if (document?.kind !== "page") return null;
  if (layout?.root.slots.main?.some((part) => part.id === row))
    return (
      <Box sx={{ px: 2, py: 1, borderBottom: `1px solid ${INK.line}` }}>
        <Typography variant="caption" color="text.secondary">
          Part of the layout of posts: changes are for every post.
        </Typography>
      </Box>
    );
  const slot = (["top", "bottom"] as const).find((each) =>
    [frame, document].some((d) => d?.root.slots[each]?.some((part) => part.id === row)),
  );
  if (!slot) return null;
  const which = WHICH[slot];
  const own = document.root.slots[slot] ?? [];
  const isOwn = own.some((part) => part.id === row);
  const index = (isOwn ? own : (frame?.root.slots[slot] ?? [])).findIndex((part) => part.id === row);
  const change = () => {
    const outcome = setAround(store.getState().draft, page, which, isOwn ? true : "own");
    const why = store.getState().run(outcome);
    if (why) return store.getState().say(why, "problem");
    // The row that takes the place of the one that was selected.
    const { documents } = store.getState().draft;
    const now = isOwn ? documents.frame : entryOf(documents, page);
    return store.getState().select(now?.root.slots[slot]?.[index]?.id ?? null);
  };
  return (
    <Box sx={{ px: 2, py: 1, borderBottom: `1px solid ${INK.line}`, display: "grid", gap: 0.5, justifyItems: "start" }}>
      <Typography variant="caption" color="text.secondary">
        {isOwn ? `Part of this page’s own ${which}.` : `Part of the shop’s ${which}: changes are for every page.`}
      </Typography>
      <Button size="small" variant="outlined" onClick={change}>
        {isOwn ? `Back to the shop’s ${which}` : `Another ${which} on this page`}
      </Button>
    </Box>
  );
}
