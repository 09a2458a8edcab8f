import { Autocomplete, Box, TextField, Typography } from "@mui/material";
import { useState } from "react";
import { setPage, type Outcome } from "~/core/commands";
import { pageProps, type PageDocument, type PageProps } from "~/core/document";
import { journalOf, tagsOf } from "~/core/journal";
import { LONGEST_AUTHOR, LONGEST_SUMMARY, LONGEST_TAG, MOST_TAGS } from "~/kinds/documents";
import { clockNow, useStudio, useStudioStore } from "../keeping";
import { useWhenChanged } from "../ui";

type PostFieldsProps = { readonly post: PageDocument; readonly run: (outcome: Outcome) => void };

/** What a post says of itself besides what pages do: when it is from, who wrote it, its tags, and what lists say of it. */
export function PostFields({ post, run }: PostFieldsProps) {
  const store = useStudioStore();
  const documents = useStudio((s) => s.draft.documents);
  const zone = useStudio((s) => s.shop.timeZone);
  const now = useStudio(clockNow);
  const own = pageProps(post);
  const [author, setAuthor] = useState(own.author);
  const [summary, setSummary] = useState(own.summary);
  useWhenChanged(own.author, () => setAuthor(own.author));
  useWhenChanged(own.summary, () => setSummary(own.summary));
  const set = (values: Partial<PageProps>, what: string) => run(setPage(store.getState().draft, post.id, values, what));
  const known = tagsOf(journalOf(documents, post.id)?.children ?? []).map((tag) => tag.name);
  const isAhead = own.at > now && !own.hidden;
  return (
    <Box sx={{ display: "grid", gap: 2 }}>
      <Box sx={{ display: "grid", gridTemplateColumns: { xs: "minmax(0,1fr)", sm: "1fr 1fr" }, gap: 2 }}>
        <TextField
          type="datetime-local"
          label="From"
          value={own.at}
          onChange={(event) => set({ at: event.target.value.slice(0, 16) }, "date of the post changed")}
          helperText={
            isAhead
              ? `Ahead: once published, it appears by itself then (${zone.replace(/_/g, " ")}).`
              : `As clocks in ${zone.replace(/_/g, " ")} show it. A date ahead: it appears by itself then.`
          }
          slotProps={{ inputLabel: { shrink: true } }}
        />
        <TextField
          label="Author"
          value={author}
          onChange={(event) => setAuthor(event.target.value)}
          onBlur={() => author.trim() !== own.author && set({ author: author.trim() }, "author changed")}
          slotProps={{ htmlInput: { maxLength: LONGEST_AUTHOR } }}
        />
      </Box>
      <Autocomplete
        multiple
        freeSolo
        size="small"
        options={known}
        value={[...own.tags]}
        onChange={(_event, chosen) => {
          const tags = [...new Set(chosen.map((tag) => tag.trim().slice(0, LONGEST_TAG)).filter(Boolean))];
          set({ tags: tags.slice(0, MOST_TAGS) }, "tags changed");
        }}
        renderInput={(params) => (
          <TextField
            {...params}
            label="Tags"
            helperText="Type one and press Enter. Each has a page with all its posts."
          />
        )}
      />
      <TextField
        label="Summary"
        value={summary}
        multiline
        minRows={2}
        onChange={(event) => setSummary(event.target.value)}
        onBlur={() => summary.trim() !== own.summary && set({ summary: summary.trim() }, "summary changed")}
        helperText="Shown in lists, in the feed, and below the title. Empty: lists show how the post begins."
        slotProps={{ htmlInput: { maxLength: LONGEST_SUMMARY } }}
      />
      <Typography variant="caption" color="text.secondary">
        Its picture, in lists and below its title, is the one for shared links, below. Without one, lists show the first
        on the page.
      </Typography>
    </Box>
  );
}
