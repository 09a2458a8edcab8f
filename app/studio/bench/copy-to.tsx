import { Dialog, DialogContent, DialogTitle, List, ListItemButton, ListItemText, Typography } from "@mui/material";
import { siteOf } from "~/core/addresses";
import { copyToPage, outermost } from "~/core/commands";
import { LAYOUT_SORTS, layoutsOf, entryOf } from "~/core/document";
import { strangerIn } from "~/kinds";
import { useStudio, useStudioStore } from "../keeping";
import { nameOfAll } from "./clipboard";

type CopyToProps = { page: string; ids: readonly string[] | null; onClose: () => void };

/** Puts copies of sections at the end of another page or layout. */
export function CopyTo({ page, ids, onClose }: CopyToProps) {
  const store = useStudioStore();
  const draft = useStudio((s) => (ids ? s.draft : null));
  if (!ids || !draft) return null;
  const nodes = outermost(draft, ids).map((f) => f.node);
  const name = nameOfAll(nodes);
  const goals = [
    ...siteOf(draft.documents).pages.map((p) => ({ document: p.document, depth: p.depth })),
    ...LAYOUT_SORTS.flatMap((sort) => layoutsOf(draft.documents, sort)).map((document) => ({ document, depth: 0 })),
  ].filter(({ document }) => document.id !== page && nodes.every((node) => !strangerIn(document, node)));
  const copy = (id: string) => {
    const now = store.getState();
    const why = now.run(copyToPage(now.draft, ids, id, name));
    if (why) now.say(why, "problem");
    else now.say(`${name} copied to the end of “${entryOf(now.draft.documents, id)?.title ?? ""}”.`);
    onClose();
  };
  return (
    <Dialog open onClose={onClose} aria-labelledby="copy-to" fullWidth maxWidth="xs">
      <DialogTitle id="copy-to" component="h2" sx={{ typography: "h2" }}>
        Copy {name} to …
      </DialogTitle>
      <DialogContent sx={{ px: 1 }}>
        {goals.length ? (
          <List dense>
            {goals.map(({ document, depth }, i) => (
              <ListItemButton
                key={document.id}
                autoFocus={i === 0}
                onClick={() => copy(document.id)}
                sx={{ pl: 2 + depth * 2 }}
              >
                <ListItemText
                  primary={document.title}
                  secondary={document.kind === "layout" ? "a layout, for many pages" : "at its end"}
                />
              </ListItemButton>
            ))}
          </List>
        ) : (
          <Typography sx={{ px: 2 }} color="text.secondary">
            There is no other page that could take it.
          </Typography>
        )}
      </DialogContent>
    </Dialog>
  );
}
