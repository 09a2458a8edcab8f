import { Box, Button, FormControlLabel, Switch, TextField, Typography } from "@mui/material";
import { useState } from "react";
import { siteOf } from "~/core/addresses";
import { setPage } from "~/core/commands";
import { entryOf, pageProps, spread } from "~/core/document";
import { sourceOf } from "~/core/pictures";
import { LONGEST_DESCRIPTION, LONGEST_SEARCH_TITLE } from "~/kinds";
import { madeFrom, sharedAs } from "~/render";
import { useStudio, useStudioStore } from "../keeping";
import { PicturePicker } from "../pictures";
import { INK } from "../ui";
import { useAddressBefore } from "./addresses";
import { RESULT_WIDTH, widthInResult } from "./pixels";
import { ResultPreview, SharePreview } from "./sharing-previews";

/** How much of what is shown of a text is used. */
function Meter({ text, part }: { text: string; part: "title" | "description" }) {
  const width = widthInResult(text, part);
  const most = RESULT_WIDTH[part];
  return (
    <Box sx={{ display: "flex", alignItems: "center", gap: 1, mt: 0.5 }}>
      <Box aria-hidden sx={{ flex: 1, height: 4, bgcolor: INK.line, borderRadius: 2, overflow: "hidden" }}>
        <Box
          sx={{ height: "100%", bgcolor: width > most ? INK.brick : INK.leaf }}
          style={{ width: `${Math.min(100, (100 * width) / most)}%` }}
        />
      </Box>
      <Typography variant="caption" color={width > most ? "error" : "text.secondary"}>
        {width > most ? `${width} of ${most} px: the end is cut off` : `${width} of ${most} px`}
      </Typography>
    </Box>
  );
}

/** A text that is kept as it is typed; empty, it is what is made from the page. */
function SharedField({
  label,
  value,
  made,
  part,
  most,
  onChange,
}: {
  label: string;
  value: string;
  made: string;
  part: "title" | "description";
  most: number;
  onChange: (text: string) => void;
}) {
  return (
    <Box>
      <TextField
        fullWidth
        label={label}
        value={value}
        placeholder={made}
        multiline={part === "description"}
        minRows={part === "description" ? 2 : undefined}
        onChange={(e) => onChange(e.target.value)}
        helperText={value ? undefined : "Made from the page until you write your own."}
        slotProps={{ htmlInput: { maxLength: most }, inputLabel: { shrink: true } }}
      />
      <Meter text={value || made} part={part} />
    </Box>
  );
}

/** Title, description and picture for search engines and shared links, with how they will look. */
export function SharingFields({ page: id }: { page: string }) {
  const store = useStudioStore();
  const document = useStudio((s) => entryOf(s.draft.documents, id)!);
  const documents = useStudio((s) => s.draft.documents);
  const identity = useStudio((s) => s.draft.look.identity);
  const pictures = useStudio((s) => s.pictures);
  const [choosing, setChoosing] = useState(false);
  const site = siteOf(documents);
  const isHome = site.home === id;
  const own = pageProps(document);
  const made = madeFrom(spread(documents, document), isHome, identity);
  const shared = sharedAs(spread(documents, document), isHome, identity);
  const picture = pictures.find((p) => p.id === shared.picture);
  const set = (values: Parameters<typeof setPage>[2], what: string) => {
    const now = store.getState();
    const why = now.run(setPage(now.draft, id, values, what));
    if (why) now.say(why, "problem");
  };
  const before = useAddressBefore(own.parent);
  const address = isHome ? before.replace(/\/$/, "") : before + own.slug;
  return (
    <Box
      sx={{ display: "grid", gridTemplateColumns: { xs: "minmax(0,1fr)", md: "minmax(0,1fr) minmax(0,1fr)" }, gap: 3 }}
    >
      <Box sx={{ display: "grid", gap: 2, alignContent: "start" }}>
        <SharedField
          label="Title"
          part="title"
          value={own.searchTitle}
          made={made.title}
          most={LONGEST_SEARCH_TITLE}
          onChange={(searchTitle) => set({ searchTitle }, "title for search changed")}
        />
        <SharedField
          label="Description"
          part="description"
          value={own.description}
          made={made.description}
          most={LONGEST_DESCRIPTION}
          onChange={(description) => set({ description }, "description changed")}
        />
        <Box sx={{ display: "flex", gap: 1.5, alignItems: "center" }}>
          {picture ? (
            <Box
              component="img"
              src={sourceOf(picture, 160)}
              alt={picture.alt}
              sx={{ width: 96, height: 54, objectFit: "cover", borderRadius: 1, border: `1px solid ${INK.line}` }}
            />
          ) : null}
          <Box sx={{ display: "grid", justifyItems: "start" }}>
            <Button size="small" variant="outlined" onClick={() => setChoosing(true)}>
              {own.picture ? "Choose another picture" : "Choose a picture for sharing"}
            </Button>
            {own.picture ? (
              <Button size="small" onClick={() => set({ picture: null }, "picture for sharing put back")}>
                Use the page’s first one
              </Button>
            ) : (
              <Typography variant="caption" color="text.secondary">
                {picture ? "The first one of the page is used." : "The page has none yet."}
              </Typography>
            )}
          </Box>
        </Box>
        <FormControlLabel
          control={
            <Switch
              checked={own.unlisted}
              onChange={(_e, on) =>
                set({ unlisted: on }, on ? "kept out of search engines" : "found by search engines")
              }
            />
          }
          label="Keep it out of search engines"
        />
      </Box>
      <Box sx={{ display: "grid", gap: 2, alignContent: "start" }}>
        <ResultPreview
          address={address}
          unlisted={own.unlisted}
          title={shared.title}
          description={shared.description}
        />
        <SharePreview
          address={address}
          title={shared.title}
          description={shared.description}
          picture={picture ? sourceOf(picture, 640) : undefined}
        />
      </Box>
      <PicturePicker
        open={choosing}
        onClose={() => setChoosing(false)}
        onChoose={(chosen) => {
          set({ picture: chosen }, "picture for sharing changed");
          setChoosing(false);
        }}
      />
    </Box>
  );
}
