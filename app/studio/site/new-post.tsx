import {
  Alert,
  Box,
  Button,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  MenuItem,
  TextField,
  Typography,
} from "@mui/material";
import { useState } from "react";
import { useNavigate } from "react-router";
import type { SitePage } from "~/core/addresses";
import { addPage, LONGEST_PAGE_TITLE } from "~/core/commands";
import { newId } from "~/core/document";
import { journalsOf, postsOf } from "~/core/journal";
import { makeNode } from "~/kinds";
import { clockNow, useStudio, useStudioStore } from "../keeping";

/** Begins a post: what it is called, and in which journal. It is written on the bench, and not in the shop until it is switched on. */
export function NewPost({ journal, onClose }: { journal: string | undefined; onClose: () => void }) {
  const store = useStudioStore();
  const navigate = useNavigate();
  const shop = useStudio((s) => s.shop.id);
  const documents = useStudio((s) => s.draft.documents);
  const journals = journalsOf(documents);
  const [title, setTitle] = useState("");
  const [chosen, setChosen] = useState(journals.find((j) => j.document.id === journal)?.document.id);
  const [problem, setProblem] = useState<string | null>(null);
  const parent = chosen ?? journals[0]?.document.id ?? null;
  const make = () => {
    const state = store.getState();
    const { draft } = state;
    const id = newId();
    // Whoever wrote the last one most likely writes this one as well.
    const author = (parent === null ? [] : postsOf(draft.documents, parent)).find((p) => p.props.author)?.props.author;
    const text = makeNode(
      "text",
      { arrangement: "plain", heading: "", text: "" },
      { style: { all: { width: "narrow", align: "start", spaceTop: 2, spaceBottom: 2 } } },
    );
    const outcome = addPage(
      draft,
      {
        title,
        parent,
        main: [text],
        props: { hidden: true, at: clockNow(state), ...(author ? { author } : {}) },
      },
      id,
    );
    const why = outcome.ok ? store.getState().run(outcome) : outcome.why;
    if (why) return setProblem(why);
    onClose();
    store.getState().select(text.id);
    void navigate(`/s/${shop}/pages?page=${id}`);
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="xs" aria-labelledby="new-post-title">
      <DialogTitle id="new-post-title">New post</DialogTitle>
      <DialogContent>
        <Box
          component="form"
          id="new-post"
          sx={{ display: "grid", gap: 2, pt: 1 }}
          onSubmit={(event) => {
            event.preventDefault();
            make();
          }}
        >
          {problem ? <Alert severity="error">{problem}</Alert> : null}
          <TextField
            autoFocus
            label="Title"
            value={title}
            onChange={(event) => {
              setProblem(null);
              setTitle(event.target.value);
            }}
            slotProps={{ htmlInput: { maxLength: LONGEST_PAGE_TITLE } }}
          />
          {journals.length > 1 ? (
            <TextField select label="Journal" value={parent ?? ""} onChange={(event) => setChosen(event.target.value)}>
              {journals.map(({ document }: SitePage) => (
                <MenuItem key={document.id} value={document.id}>
                  {document.title}
                </MenuItem>
              ))}
            </TextField>
          ) : null}
          <Typography variant="caption" color="text.secondary">
            It is not in the shop until you switch it on, under the settings of the page.
          </Typography>
        </Box>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Cancel</Button>
        <Button variant="contained" type="submit" form="new-post" disabled={title.trim() === ""}>
          Write it
        </Button>
      </DialogActions>
    </Dialog>
  );
}
