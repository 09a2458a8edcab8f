import {
  Box,
  Button,
  Dialog,
  DialogContent,
  DialogTitle,
  List,
  ListItemButton,
  ListItemText,
  Typography,
  useMediaQuery,
} from "@mui/material";
import { X } from "lucide-react";
import { useEffect, useMemo, useRef, useState } from "react";
import { siteOf } from "~/core/addresses";
import { pageProps, spread, type Draft } from "~/core/document";
import { sharedAs } from "~/render";
import { useStudio } from "../keeping";
import { IconAction, INK, ON_LEMON } from "../ui";
import { RESULT_WIDTH, widthInResult } from "./pixels";
import { SharingFields } from "./sharing-fields";

/** What there is to see to about a page, in a few words; empty where all is well. */
function toSeeTo({ title, description }: { title: string; description: string }): string {
  const isLong = (part: "title" | "description", text: string) => widthInResult(text, part) > RESULT_WIDTH[part];
  if (isLong("title", title)) return "title too long";
  if (isLong("description", description)) return "description too long";
  return description === "" ? "no description" : "";
}

/** Every page with what search engines and shared links say of it, to go through them one after the other. */
function rowsOf({ documents, look }: Draft) {
  const site = siteOf(documents);
  return site.pages.map(({ document, depth, props }) => {
    const said = sharedAs(spread(documents, document), site.home === document.id, look.identity);
    const own = pageProps(document);
    const state = props.hidden ? "not in the shop yet" : props.unlisted ? "kept out of search engines" : toSeeTo(said);
    return {
      id: document.id,
      title: document.title,
      depth,
      state,
      isWrong: state !== "" && !props.hidden && !props.unlisted,
      isOwn: own.searchTitle !== "" && own.description !== "",
      said,
    };
  });
}

export function SharingDialog({ open, onClose }: { open: boolean; onClose: () => void }) {
  const isNarrow = useMediaQuery("(max-width:899.98px)");
  return (
    <Dialog
      open={open}
      onClose={onClose}
      fullWidth
      maxWidth="lg"
      fullScreen={isNarrow}
      aria-labelledby="sharing-dialog-title"
    >
      <DialogTitle id="sharing-dialog-title" component="div" sx={{ display: "flex", alignItems: "center" }}>
        <Typography component="h2" variant="h2" sx={{ flex: 1 }}>
          Search and sharing
        </Typography>
        <IconAction label="Close" icon={X} onClick={onClose} />
      </DialogTitle>
      {open ? <Pages /> : null}
    </Dialog>
  );
}

function Pages() {
  const draft = useStudio((s) => s.draft);
  const rows = useMemo(() => rowsOf(draft), [draft]);
  const [chosen, setChosen] = useState<string | null>(null);
  const list = useRef<HTMLUListElement>(null);
  const at = Math.max(
    0,
    rows.findIndex((row) => row.id === chosen),
  );
  const row = rows[at];
  const next = rows[at + 1];
  useEffect(() => {
    list.current?.querySelector("[aria-current=true]")?.scrollIntoView({ block: "nearest" });
  }, [at]);
  const wrong = rows.filter((each) => each.isWrong).length;
  return (
    <DialogContent
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "minmax(0,1fr)", md: "270px minmax(0,1fr)" },
        gap: 3,
        alignItems: "start",
      }}
    >
      <Box sx={{ borderRight: { md: `1px solid ${INK.line}` }, pr: { md: 2 }, minWidth: 0 }}>
        <Typography variant="body2" color="text.secondary" sx={{ mb: 1 }}>
          {wrong === 0
            ? "Every page has what it needs."
            : wrong === 1
              ? "One page to see to."
              : `${wrong} pages to see to.`}
        </Typography>
        <List
          ref={list}
          dense
          aria-label="Pages"
          sx={{ maxHeight: { xs: "24dvh", md: "58dvh" }, overflowY: "auto", p: 0 }}
        >
          {rows.map((each) => (
            <li key={each.id}>
              <ListItemButton
                component="button"
                selected={each.id === row?.id}
                aria-current={each.id === row?.id}
                onClick={() => setChosen(each.id)}
                sx={{
                  borderRadius: 1,
                  width: "100%",
                  textAlign: "left",
                  pl: 1 + each.depth * 1.5,
                  "&.Mui-selected": { ...ON_LEMON, "&:hover": ON_LEMON },
                  "&.Mui-selected .MuiListItemText-secondary": { color: INK.onLemon },
                }}
              >
                <ListItemText
                  primary={each.title}
                  secondary={each.state || (each.isOwn ? "in your words" : "made from the page")}
                  slotProps={{
                    primary: { noWrap: true },
                    secondary: { noWrap: true, ...(each.isWrong ? { sx: { color: INK.brick, fontWeight: 600 } } : {}) },
                  }}
                />
              </ListItemButton>
            </li>
          ))}
        </List>
      </Box>
      {row ? (
        <Box component="section" aria-label={row.title} sx={{ minWidth: 0 }}>
          <Box sx={{ display: "flex", alignItems: "center", gap: 1, mb: 2 }}>
            <Typography variant="h3" component="h3" sx={{ flex: 1, minWidth: 0 }} noWrap>
              {row.title}
            </Typography>
            <Button variant="outlined" size="small" disabled={!next} onClick={() => next && setChosen(next.id)}>
              {next ? `Next: ${next.title.slice(0, 24)}` : "That was the last"}
            </Button>
          </Box>
          <SharingFields key={row.id} page={row.id} />
        </Box>
      ) : null}
    </DialogContent>
  );
}
