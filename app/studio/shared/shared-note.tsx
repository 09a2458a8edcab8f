import { Box, Button, Link, Menu, MenuItem, Typography } from "@mui/material";
import { Ellipsis } from "lucide-react";
import { useState } from "react";
import { useNavigate } from "react-router";
import { makeSeparate, removeShared, renameShared, type Outcome } from "~/core/commands";
import { entryOf, placesOfShared, type Draft } from "~/core/document";
import { useStudio, useStudioStore } from "../keeping";
import { ConfirmDialog, HATCH, IconAction, INK, NameDialog } from "../ui";
import { pageShowing, whereWords } from "./where";

/** So many pages are named; the others are counted. */
const MOST_NAMED = 6;

type Place = ReturnType<typeof placesOfShared>[number];

const placeName = ({ document }: Place) => (document.kind === "frame" ? "Every page" : document.title);

/** The pages on which a shared section stands, each leading there. */
function WhereItStands({
  documents,
  places,
  page,
}: {
  documents: Draft["documents"];
  places: readonly Place[];
  page: string;
}) {
  const navigate = useNavigate();
  const shop = useStudio((s) => s.shop.id);
  const [all, setAll] = useState(false);
  const named = all ? places : places.slice(0, MOST_NAMED);
  return (
    <Box component="ul" aria-label="Where it stands" sx={{ m: 0, p: 0, listStyle: "none", fontSize: 13 }}>
      {named.map((place) => {
        const goal = pageShowing(documents, place.document);
        return (
          <li key={place.part.id}>
            {goal === page ? (
              <b>{placeName(place)}</b>
            ) : (
              <Link
                component="button"
                type="button"
                onClick={() => void navigate(`/s/${shop}/pages?page=${goal}`)}
                sx={{ fontSize: 13, textAlign: "start" }}
              >
                {placeName(place)}
              </Link>
            )}
          </li>
        );
      })}
      {places.length > named.length ? (
        <li>
          <Link component="button" type="button" onClick={() => setAll(true)} sx={{ fontSize: 13 }}>
            and {places.length - named.length} more
          </Link>
        </li>
      ) : null}
    </Box>
  );
}

/** Says of what is selected that it stands on other pages too, and what can be done about that. */
export function SharedNote({ shared, page }: { shared: string; page: string }) {
  const store = useStudioStore();
  const documents = useStudio((s) => s.draft.documents);
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const [renaming, setRenaming] = useState(false);
  const [ending, setEnding] = useState(false);
  const document = entryOf(documents, shared);
  if (!document) return null;
  const places = placesOfShared(documents, shared);
  const here = places.find((p) => p.document.id === page) ?? places.find((p) => p.document.kind === "frame");
  const run = (outcome: Outcome) => {
    const why = store.getState().run(outcome);
    if (why) store.getState().say(why, "problem");
  };
  const draft = () => store.getState().draft;
  return (
    <Box
      component="section"
      aria-label="Shared section"
      sx={{ background: HATCH, borderBottom: `1px solid ${INK.line}`, p: "6px" }}
    >
      <Box
        sx={{
          bgcolor: INK.raised,
          border: `1px solid ${INK.line}`,
          borderRadius: 1,
          p: 1.25,
          display: "grid",
          gap: 0.75,
        }}
      >
        <Box sx={{ display: "flex", alignItems: "center", my: -0.5 }}>
          <Typography variant="subtitle2" sx={{ flex: 1, minWidth: 0, overflowWrap: "anywhere" }}>
            “{document.title}” {whereWords(documents, shared)}
          </Typography>
          <IconAction
            label={`More about ${document.title}`}
            icon={Ellipsis}
            onClick={(e) => setAnchor(e.currentTarget)}
          />
        </Box>
        <Typography variant="caption" color="text.secondary">
          It is edited once: what you change here changes wherever it stands.
        </Typography>
        <WhereItStands documents={documents} places={places} page={page} />
        {here ? (
          <Button
            size="small"
            variant="outlined"
            sx={{ justifySelf: "start" }}
            onClick={() => run(makeSeparate(draft(), here.part.id))}
          >
            Make it separate here
          </Button>
        ) : null}
      </Box>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)} onClick={() => setAnchor(null)}>
        <MenuItem onClick={() => setRenaming(true)}>Rename …</MenuItem>
        <MenuItem onClick={() => run(removeShared(draft(), shared, true))}>Make it separate everywhere</MenuItem>
        <MenuItem sx={{ color: "error.main" }} onClick={() => setEnding(true)}>
          Remove it from all pages …
        </MenuItem>
      </Menu>
      {renaming ? (
        <NameDialog
          title="Rename the shared section"
          about="You know it by this name in the plan and in Add. Shoppers don’t see it."
          start={document.title}
          confirm="Rename it"
          onClose={() => setRenaming(false)}
          onName={(name) => {
            const outcome = renameShared(draft(), shared, name);
            return outcome.ok ? store.getState().run(outcome) : outcome.why;
          }}
        />
      ) : null}
      <ConfirmDialog
        open={ending}
        title={`Remove “${document.title}” everywhere?`}
        confirm="Remove it everywhere"
        onClose={() => setEnding(false)}
        onConfirm={() => {
          setEnding(false);
          run(removeShared(draft(), shared, false));
        }}
      >
        <Typography sx={{ mb: 1 }}>It is taken away from:</Typography>
        <ul style={{ margin: 0 }}>
          {places.map((place) => (
            <li key={place.part.id}>{placeName(place)}</li>
          ))}
        </ul>
      </ConfirmDialog>
    </Box>
  );
}
