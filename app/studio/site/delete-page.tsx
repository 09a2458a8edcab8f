import {
  Autocomplete,
  Button,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  TextField,
  Typography,
} from "@mui/material";
import { useState } from "react";
import { siteOf } from "~/core/addresses";
import { removePage } from "~/core/commands";
import { leadElsewhere, leadingTo } from "~/kinds/leading";
import { placeWords } from "~/kinds/references";
import { useStudio, useStudioStore } from "../keeping";
import { PlacesList } from "../ui";

/** The most places that are listed. */
const MOST = 12;

type DeletePageProps = {
  /** null: nothing is to be deleted. */
  page: string | null;
  onClose: () => void;
};

/** Asks before a page goes, says what leads to it and what stands beneath it, and lets those links lead to another page. */
export function DeletePage({ page, ...rest }: DeletePageProps) {
  return page === null ? null : <Asked page={page} {...rest} />;
}

function Asked({ page: id, onClose }: DeletePageProps & { page: string }) {
  const store = useStudioStore();
  const draft = useStudio((s) => s.draft);
  const [heir, setHeir] = useState<string | null>(null);
  const site = siteOf(draft.documents);
  const page = site.byId.get(id);
  if (!page) return null;
  const uses = leadingTo(draft, id);
  const places = [...new Set(uses.map(placeWords))];
  const others = site.pages.filter((p) => p.document.id !== id);
  const go = () => {
    const now = store.getState();
    const why = now.run(removePage(now.draft, id, leadElsewhere(now.draft, id, heir)));
    if (why) now.say(why, "problem");
    onClose();
  };
  return (
    <Dialog open onClose={onClose} maxWidth="xs" fullWidth aria-labelledby="delete-page-title">
      <DialogTitle id="delete-page-title" component="h2" sx={{ typography: "h2" }}>
        Delete “{page.document.title}”?
      </DialogTitle>
      <DialogContent sx={{ display: "grid", gap: 1.5 }}>
        {page.children.length ? (
          <Typography>
            {page.children.length === 1
              ? `“${page.children[0]!.document.title}” stands beneath it and takes its place.`
              : `${page.children.length} pages stand beneath it and take its place.`}
          </Typography>
        ) : null}
        {places.length ? (
          <>
            <Typography>{places.length === 1 ? "One place leads to it:" : "These places lead to it:"}</Typography>
            <PlacesList label="What leads to it" places={places} most={MOST} />
            <Autocomplete
              options={others}
              getOptionLabel={(p) => p.document.title}
              getOptionKey={(p) => p.document.id}
              value={others.find((p) => p.document.id === heir) ?? null}
              onChange={(_e, next) => setHeir(next?.document.id ?? null)}
              renderInput={(params) => (
                <TextField
                  {...params}
                  label="Let them lead to another page"
                  helperText={heir === null ? "Otherwise they go from menus, and lead nowhere on pages." : undefined}
                />
              )}
            />
          </>
        ) : (
          <Typography>Nothing in the shop leads to it.</Typography>
        )}
        <Typography color="text.secondary">Ctrl+Z brings it back as it was.</Typography>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Cancel</Button>
        <Button variant="contained" color="error" onClick={go}>
          Delete
        </Button>
      </DialogActions>
    </Dialog>
  );
}
