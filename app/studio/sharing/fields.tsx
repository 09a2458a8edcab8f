import { Box, Button, FormControlLabel, Switch, TextField, Typography } from "@mui/material";
import { useState } from "react";
import type { GoodsSharing } from "~/core/goods";
import { sourceOf } from "~/core/pictures";
import { useStudio } from "../keeping";
import { PicturePicker } from "../pictures";
import { INK, useIsThere } from "../ui";
import { RESULT_WIDTH, widthInResult } from "./pixels";
import { ResultPreview, SharePreview } from "./previews";

/** How much of what is shown of a text is used. */
function Meter({ text, part }: { text: string; part: "title" | "description" }) {
  const isThere = useIsThere();
  const width = isThere ? widthInResult(text, part) : 0;
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

type TextProps = {
  label: string;
  value: string;
  made: string;
  from: string;
  part: "title" | "description";
  most: number;
  onChange: (text: string) => void;
};

/** A text for search engines; empty, it is what is made by itself. */
function SharedText({ label, value, made, from, part, most, onChange }: TextProps) {
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
        helperText={value ? undefined : `Made from the ${from} until you write your own.`}
        slotProps={{ htmlInput: { maxLength: most }, inputLabel: { shrink: true } }}
      />
      <Meter text={value || made} part={part} />
    </Box>
  );
}

/** What a seller has said for search engines and shared links; empty and null: nothing. */
export type SharingValues = {
  readonly title: string;
  readonly description: string;
  readonly picture: string | null;
  readonly unlisted: boolean;
};

type SharingFormProps = {
  own: GoodsSharing;
  /** What is shown where nothing is said. */
  made: { readonly title: string; readonly description: string; readonly picture: string | undefined };
  /** What it is about: "page", "product". */
  from: string;
  /** As it is read in results: host and path. */
  address: string;
  longest: { readonly title: number; readonly description: number };
  /** Two columns where there is room. */
  isWide?: boolean;
  /** It stands in a form that has a title and a description of its own. */
  isInForm?: boolean;
  onChange: (change: Partial<SharingValues>) => void;
};

/** Title, description and picture for search engines and shared links, with how they will look. */
export function SharingForm({
  own,
  made,
  from,
  address,
  longest,
  isWide = true,
  isInForm = false,
  onChange,
}: SharingFormProps) {
  const pictures = useStudio((s) => s.pictures);
  // How wide a text is, only a browser can tell.
  const isThere = useIsThere();
  const [choosing, setChoosing] = useState(false);
  const where = isInForm ? " in search results" : "";
  const said = { title: own.title || made.title, description: own.description || made.description };
  const wanted = own.picture ?? made.picture;
  const picture = pictures.find((p) => p.id === wanted);
  return (
    <Box
      sx={{
        display: "grid",
        gridTemplateColumns: isWide ? { xs: "minmax(0,1fr)", md: "minmax(0,1fr) minmax(0,1fr)" } : "minmax(0,1fr)",
        gap: 3,
      }}
    >
      <Box sx={{ display: "grid", gap: 2, alignContent: "start" }}>
        <SharedText
          label={`Title${where}`}
          part="title"
          value={own.title}
          made={made.title}
          from={from}
          most={longest.title}
          onChange={(title) => onChange({ title })}
        />
        <SharedText
          label={`Description${where}`}
          part="description"
          value={own.description}
          made={made.description}
          from={from}
          most={longest.description}
          onChange={(description) => onChange({ description })}
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
              <Button size="small" onClick={() => onChange({ picture: null })}>
                Use the {from}’s first one
              </Button>
            ) : (
              <Typography variant="caption" color="text.secondary">
                {picture ? `The first one of the ${from} is used.` : `The ${from} has none yet.`}
              </Typography>
            )}
          </Box>
        </Box>
        <FormControlLabel
          control={<Switch checked={own.unlisted ?? false} onChange={(_e, unlisted) => onChange({ unlisted })} />}
          label="Keep it out of search engines"
        />
      </Box>
      <Box sx={{ display: "grid", gap: 2, alignContent: "start" }}>
        {isThere ? <ResultPreview address={address} unlisted={own.unlisted ?? false} {...said} /> : null}
        <SharePreview address={address} {...said} picture={picture ? sourceOf(picture, 640) : undefined} />
      </Box>
      <PicturePicker
        open={choosing}
        onClose={() => setChoosing(false)}
        onChoose={(chosen) => {
          onChange({ picture: chosen });
          setChoosing(false);
        }}
      />
    </Box>
  );
}
