import {
  Box,
  Button,
  Chip,
  Dialog,
  DialogContent,
  DialogTitle,
  List,
  ListItemButton,
  MenuItem,
  TextField,
  Typography,
  useMediaQuery,
} from "@mui/material";
import { FileInput as FileInputIcon, FileOutput, Plus, X } from "lucide-react";
import { useState } from "react";
import { spread } from "~/core/document";
import { journalsOf, postsOf } from "~/core/journal";
import { sourceOf } from "~/core/pictures";
import type { Link } from "~/core/schema";
import { textOfPage } from "~/kinds/page-text";
import { wayOf } from "~/render";
import { dayWords } from "~/core/goods";
import { clockNow, useStudio, useStudioStore } from "../keeping";
import { FindField, IconAction, INK } from "../ui";
import { archiveOf } from "./posts-files";
import { PostsIn } from "./posts-in";

/** As many are drawn at once; whoever looks for one types, or asks for more. */
const STEP = 60;

const plain = (text: string) => text.normalize("NFD").replace(/\p{M}/gu, "").toLowerCase();

type PostsListProps = {
  readonly journal: string | undefined;
  readonly onClose: () => void;
  readonly onOpen: (post: string) => void;
  readonly onNew: (journal: string | undefined) => void;
};

/** The posts of a journal, latest first, with what becomes of each; found by title, tag, author or year. */
export function PostsList({ journal: first, onClose, onOpen, onNew }: PostsListProps) {
  const documents = useStudio((s) => s.draft.documents);
  const now = useStudio(clockNow);
  const isNarrow = useMediaQuery("(max-width:699.98px)");
  const journals = journalsOf(documents);
  const [chosen, setChosen] = useState(first);
  const [sought, setSought] = useState("");
  const [most, setMost] = useState(STEP);
  const [isBringing, setBringing] = useState(false);
  const store = useStudioStore();
  const journal = journals.find((j) => j.document.id === chosen) ?? journals[0];
  const posts = journal ? postsOf(documents, journal.document.id) : [];
  const words = plain(sought).split(/\s+/).filter(Boolean);
  const found = posts.filter(({ document, props }) => {
    const text = plain([document.title, props.author, ...props.tags, props.at.slice(0, 10)].join(" "));
    return words.every((word) => text.includes(word));
  });
  const takeOut = async () => {
    const { draft, goods, pictures, shop } = store.getState();
    const content = { draft, goods, pictures, ...shop };
    const address = shop.address.replace(/\/$/, "");
    const pictureOf = (id: string) => {
      const of = pictures.find((each) => each.id === id);
      return of && { src: `${address}${sourceOf(of, of.width)}`, of };
    };
    const href = (link: Link): string | undefined => {
      const way = wayOf(link, content)?.address;
      return way?.startsWith("/") ? address + way : way;
    };
    const bytes = await archiveOf(
      posts,
      ({ document }) => textOfPage(spread(draft.documents, document), pictureOf),
      href,
    );
    const link = document.createElement("a");
    link.href = URL.createObjectURL(new Blob([bytes], { type: "application/zip" }));
    link.download = `${journal?.props.slug || "posts"}.zip`;
    link.click();
    URL.revokeObjectURL(link.href);
  };
  if (isBringing && journal)
    return <PostsIn journal={journal.document.id} title={journal.document.title} onClose={() => setBringing(false)} />;
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="md" fullScreen={isNarrow} aria-labelledby="posts-title">
      <DialogTitle
        id="posts-title"
        component="div"
        sx={{ display: "flex", alignItems: "center", flexWrap: "wrap", gap: 1.5 }}
      >
        <Typography component="h2" variant="h2" sx={{ flex: 1, minWidth: 0 }} noWrap>
          {journals.length > 1 ? "Posts" : `Posts of “${journal?.document.title ?? ""}”`}
        </Typography>
        {/* On a phone, what there is to do stands below the name, and the way out beside it. */}
        <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1.5, ...(isNarrow ? { order: 1, width: "100%" } : {}) }}>
          {journals.length > 1 ? (
            <TextField
              select
              size="small"
              label="Journal"
              value={journal?.document.id ?? ""}
              onChange={(event) => setChosen(event.target.value)}
              sx={{ width: 180 }}
            >
              {journals.map(({ document }) => (
                <MenuItem key={document.id} value={document.id}>
                  {document.title}
                </MenuItem>
              ))}
            </TextField>
          ) : null}
          <FindField
            label="Find a post"
            value={sought}
            onChange={(text) => {
              setSought(text);
              setMost(STEP);
            }}
            width={200}
          />
          <Button
            startIcon={<FileInputIcon size={16} aria-hidden />}
            disabled={!journal}
            onClick={() => setBringing(true)}
          >
            Bring in …
          </Button>
          <Button
            startIcon={<FileOutput size={16} aria-hidden />}
            disabled={posts.length === 0}
            onClick={() => void takeOut()}
          >
            Take out
          </Button>
          <Button
            variant="contained"
            startIcon={<Plus size={16} aria-hidden />}
            onClick={() => onNew(journal?.document.id)}
          >
            New post
          </Button>
        </Box>
        <IconAction label="Close" icon={X} onClick={onClose} />
      </DialogTitle>
      <DialogContent sx={{ p: 0, borderTop: `1px solid ${INK.line}`, minHeight: 240 }}>
        {posts.length === 0 ? (
          <Typography color="text.secondary" sx={{ p: 3 }}>
            Nothing is written yet. A post is a page beneath the journal, with a date; everything that can stand on a
            page can stand in it.
          </Typography>
        ) : found.length === 0 ? (
          <Typography color="text.secondary" sx={{ p: 3 }}>
            No post has that in its title, tags, author or date.
          </Typography>
        ) : null}
        <List disablePadding aria-label="Posts">
          {found.slice(0, most).map(({ document, props }) => (
            <ListItemButton
              key={document.id}
              divider
              onClick={() => onOpen(document.id)}
              sx={{ display: "flex", flexWrap: "wrap", columnGap: 2, px: 3, py: 1 }}
            >
              <Box sx={{ flex: "1 1 260px", minWidth: 0 }}>
                <Typography variant="subtitle2" noWrap>
                  {document.title}
                </Typography>
                <Typography variant="caption" color="text.secondary" noWrap component="p">
                  {[props.author, props.tags.join(", ")].filter(Boolean).join(" · ") || "No author, no tags"}
                </Typography>
              </Box>
              {props.hidden ? (
                <Chip size="small" variant="outlined" label="Not in the shop yet" />
              ) : props.at > now ? (
                <Chip size="small" variant="outlined" color="warning" label="Appears by itself" />
              ) : null}
              <Typography
                variant="body2"
                sx={{ width: 150, textAlign: { sm: "right" }, fontVariantNumeric: "tabular-nums" }}
              >
                {props.at === ""
                  ? "Without a date"
                  : `${dayWords(props.at.slice(0, 10), "en-GB", true)}${props.at > now ? `, ${props.at.slice(11)}` : ""}`}
              </Typography>
            </ListItemButton>
          ))}
        </List>
        {found.length > most ? (
          <Box sx={{ p: 2, textAlign: "center" }}>
            <Button onClick={() => setMost(most + STEP)}>{`Show more, of ${found.length.toLocaleString("en")}`}</Button>
          </Box>
        ) : null}
      </DialogContent>
    </Dialog>
  );
}
