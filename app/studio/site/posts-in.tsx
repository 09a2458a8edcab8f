import {
  Alert,
  Box,
  Button,
  Checkbox,
  CircularProgress,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  FormControlLabel,
  Typography,
} from "@mui/material";
import { useRef, useState } from "react";
import { dayWords } from "~/core/goods";
import { postsOf } from "~/core/journal";
import { useStudio, useStudioStore } from "../keeping";
import type { FoundPosts } from "~/workers/posts-in";
import { FileInput, INK } from "../ui";
import { bringIn, POSTS_AT_ONCE, readPosts, staysOut } from "./posts-files";

/** As many are drawn at once; the rest come in with them, and are shown when they are asked for. */
const STEP = 60;

/** Brings posts in out of files: they are read and shown first, and nothing has changed until they are taken. */
export function PostsIn({ journal, title, onClose }: { journal: string; title: string; onClose: () => void }) {
  const store = useStudioStore();
  const documents = useStudio((s) => s.draft.documents);
  const input = useRef<HTMLInputElement>(null);
  const [found, setFound] = useState<FoundPosts | null>(null);
  const [isReading, setReading] = useState(false);
  const [left, setLeft] = useState<ReadonlySet<number>>(new Set());
  const [isHidden, setHidden] = useState(true);
  const [why, setWhy] = useState("");
  const [most, setMost] = useState(STEP);
  /** How many have come in, while they do. */
  const [done, setDone] = useState<number>();
  const there = new Set(postsOf(documents, journal).map((post) => post.document.title));
  const posts = found?.posts ?? [];
  const chosen = posts.filter((_post, i) => !left.has(i));
  const read = async (files: readonly File[]) => {
    setReading(true);
    setWhy("");
    const next = await readPosts(files);
    setReading(false);
    setFound(next);
    // What is there already is not brought in twice unless somebody wants that.
    setLeft(new Set(next.posts.flatMap((post, i) => (there.has(post.title) ? [i] : []))));
  };
  const take = async () => {
    const { run, say } = store.getState();
    for (let from = 0; from < chosen.length; from += POSTS_AT_ONCE) {
      setDone(from);
      // Between two steps the studio draws, and hears its keys.
      await new Promise((next) => setTimeout(next));
      const some = chosen.slice(from, from + POSTS_AT_ONCE);
      const problem = run(bringIn(store.getState().draft, journal, some, isHidden));
      if (!problem) continue;
      // What is in the journal is not taken once more.
      const rest = new Set(chosen.slice(from));
      setLeft(new Set(posts.flatMap((post, i) => (rest.has(post) ? [] : [i]))));
      setDone(undefined);
      return setWhy(from ? `${from} posts are in the journal, the others are not. ${problem}` : problem);
    }
    say(chosen.length === 1 ? "The post is in the journal." : `${chosen.length} posts are in the journal.`);
    onClose();
  };
  return (
    <Dialog
      open
      onClose={() => done === undefined && onClose()}
      fullWidth
      maxWidth="md"
      aria-labelledby="posts-in-title"
    >
      <DialogTitle id="posts-in-title" component="h2" sx={{ typography: "h2" }}>
        Bring posts into “{title}”
      </DialogTitle>
      <DialogContent sx={{ display: "grid", gap: 2, gridTemplateColumns: "minmax(0,1fr)" }}>
        <Box sx={{ display: "flex", flexWrap: "wrap", alignItems: "center", gap: 2 }}>
          <Button variant="outlined" onClick={() => input.current?.click()}>
            {found ? "Choose other files" : "Choose files"}
          </Button>
          <FileInput
            ref={input}
            label="Files with posts"
            accept=".md,.markdown,.txt,.zip,.xml,.atom,.rss"
            multiple
            onFiles={(files) => void read(files)}
          />
          <Typography variant="body2" color="text.secondary" sx={{ flex: 1, minWidth: 220 }}>
            Markdown files, with what is said between lines of hyphens at their beginning (front matter); an archive
            (ZIP) of them; or the feed of another journal (Atom, RSS) as a file.
          </Typography>
          {isReading ? <CircularProgress size={20} aria-label="Reading" /> : null}
        </Box>
        {why ? <Alert severity="error">{why}</Alert> : null}
        {found?.problems.map((problem) => (
          <Alert key={problem} severity="error">
            {problem}
          </Alert>
        ))}
        {posts.length ? (
          <Box component="ul" aria-label="Posts in the files" sx={{ m: 0, p: 0, listStyle: "none" }}>
            {posts.slice(0, most).map((post, i) => {
              const out = staysOut(post);
              return (
                <Box
                  component="li"
                  key={`${post.file} ${i}`}
                  sx={{
                    display: "grid",
                    gridTemplateColumns: "auto minmax(0,1fr)",
                    alignItems: "start",
                    borderBottom: `1px solid ${INK.line}`,
                    py: 0.5,
                  }}
                >
                  <Checkbox
                    checked={!left.has(i)}
                    slotProps={{ input: { "aria-label": post.title } }}
                    onChange={(_e, on) => {
                      const next = new Set(left);
                      if (on) next.delete(i);
                      else next.add(i);
                      setLeft(next);
                    }}
                  />
                  <Box sx={{ pt: 1 }}>
                    <Typography variant="subtitle2" sx={{ overflowWrap: "anywhere" }}>
                      {post.title}
                    </Typography>
                    <Typography variant="caption" color="text.secondary" component="p">
                      {[
                        post.at ? dayWords(post.at.slice(0, 10), "en-GB", true) : "Without a date",
                        post.author,
                        post.tags.join(", "),
                        post.isDraft ? "a draft" : "",
                      ]
                        .filter(Boolean)
                        .join(" · ")}
                    </Typography>
                    {there.has(post.title) ? (
                      <Typography variant="caption" component="p" sx={{ color: INK.brick }}>
                        A post of this title is there already.
                      </Typography>
                    ) : null}
                    {out ? (
                      <Typography variant="caption" component="p" sx={{ color: INK.brick }}>
                        {out}
                      </Typography>
                    ) : null}
                  </Box>
                </Box>
              );
            })}
          </Box>
        ) : null}
        {posts.length > most ? (
          <Button sx={{ justifySelf: "start" }} onClick={() => setMost(most + STEP)}>
            {`Show more, of ${posts.length.toLocaleString("en")}`}
          </Button>
        ) : null}
        {posts.length > 1 ? (
          <FormControlLabel
            control={
              <Checkbox
                checked={left.size === 0}
                indeterminate={left.size > 0 && chosen.length > 0}
                onChange={(_e, on) => setLeft(new Set(on ? [] : posts.keys()))}
              />
            }
            label="All of them"
          />
        ) : null}
        {posts.length ? (
          <FormControlLabel
            control={<Checkbox checked={isHidden} onChange={(_e, on) => setHidden(on)} />}
            label="Not in the shop yet: I want to look at them first"
          />
        ) : null}
      </DialogContent>
      <DialogActions>
        <Button disabled={done !== undefined} onClick={onClose}>
          Cancel
        </Button>
        <Button variant="contained" disabled={chosen.length === 0 || done !== undefined} onClick={() => void take()}>
          {done !== undefined
            ? `${done} of ${chosen.length} …`
            : chosen.length
              ? `Bring in (${chosen.length})`
              : "Bring in"}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
