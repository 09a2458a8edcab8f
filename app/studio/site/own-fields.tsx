import { Box, Button, MenuItem, TextField, Typography } from "@mui/material";
import { Trash2 } from "lucide-react";
import { useState } from "react";
import { setOwnFields, setOwnValue, type Outcome } from "~/core/commands";
import {
  entryOf,
  LONGEST_OWN_NAME,
  LONGEST_OWN_VALUE,
  MOST_OWN_FIELDS,
  newId,
  OWN_PICTURE,
  OWN_SORTS,
  ownFieldsOf,
  ownValuesOf,
  type OwnField,
  type PageDocument,
} from "~/core/document";
import { sourceOf } from "~/core/pictures";
import { useStudio, useStudioStore } from "../keeping";
import { PicturePicker } from "../pictures";
import { IconAction, INK, useWhenChanged } from "../ui";

const SORT_NAMES: Readonly<Record<OwnField["sort"], string>> = {
  words: "Words",
  number: "A number",
  date: "A day",
  picture: "A picture",
};

type Run = (outcome: Outcome) => boolean;
type ValueProps = { readonly field: OwnField; readonly value: string; readonly set: (value: string) => void };

function WordsValue({ field, value, set }: ValueProps) {
  const [typed, setTyped] = useState(value);
  useWhenChanged(value, setTyped);
  const isWrong = field.sort === "number" && typed.trim() !== "" && !/^-?\d+(?:[.,]\d+)?$/.test(typed.trim());
  return (
    <TextField
      label={field.name}
      value={typed}
      error={isWrong}
      helperText={isWrong ? "Write a number." : undefined}
      multiline={field.sort === "words"}
      maxRows={6}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={() => {
        if (!isWrong && typed.trim() !== value) set(typed.trim());
      }}
      slotProps={{
        htmlInput: { maxLength: LONGEST_OWN_VALUE, ...(field.sort === "number" ? { inputMode: "decimal" } : {}) },
      }}
    />
  );
}

const DayValue = ({ field, value, set }: ValueProps) => (
  <TextField
    type="date"
    label={field.name}
    value={value}
    onChange={(event) => event.target.value !== value && set(event.target.value)}
    slotProps={{ inputLabel: { shrink: true } }}
  />
);

function PictureValue({ field, value, set }: ValueProps) {
  const [open, setOpen] = useState(false);
  const picture = useStudio((s) => s.pictures.find((p) => OWN_PICTURE + p.id === value));
  return (
    <Box role="group" aria-label={field.name}>
      <Typography variant="caption" color="text.secondary" component="p">
        {field.name}
      </Typography>
      <Box sx={{ display: "flex", gap: 1, alignItems: "center" }}>
        {picture ? (
          <Box
            component="img"
            src={sourceOf(picture, 160)}
            alt={picture.alt}
            sx={{ width: 64, height: 48, objectFit: "cover", borderRadius: 1, border: `1px solid ${INK.line}` }}
          />
        ) : null}
        <Button size="small" variant="outlined" onClick={() => setOpen(true)}>
          {picture ? "Choose another" : "Choose a picture"}
        </Button>
        {picture ? (
          <Button size="small" onClick={() => set("")}>
            Remove
          </Button>
        ) : null}
      </Box>
      <PicturePicker
        open={open}
        onClose={() => setOpen(false)}
        onChoose={(chosen) => {
          set(chosen ? OWN_PICTURE + chosen : "");
          setOpen(false);
        }}
      />
    </Box>
  );
}

const CONTROLS = { words: WordsValue, number: WordsValue, date: DayValue, picture: PictureValue } as const;

/** The seller's own fields of a page, filled in here, and which of them pages have. */
export function OwnFields({ page, run }: { page: PageDocument; run: Run }) {
  const store = useStudioStore();
  const documents = useStudio((s) => s.draft.documents);
  const fields = ownFieldsOf(documents);
  const values = ownValuesOf(page);
  const [name, setName] = useState("");
  const [sort, setSort] = useState<OwnField["sort"]>("words");
  const draft = () => store.getState().draft;
  const add = () => {
    if (run(setOwnFields(draft(), [...fields, { id: newId(), name, sort }]))) setName("");
  };
  return (
    <Box sx={{ display: "grid", gap: 2 }}>
      <Typography variant="body2" color="text.secondary">
        Facts that each page says for itself, such as a place or a maker. Headings, words and pictures on pages and
        layouts can take what they show from them.
      </Typography>
      {fields.map((field) => {
        const Control = CONTROLS[field.sort];
        return (
          <Box key={field.id} sx={{ display: "flex", gap: 1, alignItems: "center" }}>
            <Box sx={{ flex: 1, minWidth: 0, "& > *": { width: "100%" } }}>
              <Control
                field={field}
                value={entryOf(values, field.id) ?? ""}
                set={(value) => void run(setOwnValue(draft(), page.id, field, value))}
              />
            </Box>
            <IconAction
              label={`Remove the field ${field.name} from all pages`}
              icon={Trash2}
              onClick={() =>
                run(
                  setOwnFields(
                    draft(),
                    fields.filter((each) => each.id !== field.id),
                  ),
                )
              }
            />
          </Box>
        );
      })}
      {fields.length < MOST_OWN_FIELDS ? (
        <Box
          component="form"
          sx={{ display: "flex", flexWrap: "wrap", gap: 1, alignItems: "center" }}
          onSubmit={(event) => {
            event.preventDefault();
            event.stopPropagation();
            if (name.trim()) add();
          }}
        >
          <TextField
            label="New field for all pages"
            value={name}
            onChange={(event) => setName(event.target.value)}
            slotProps={{ htmlInput: { maxLength: LONGEST_OWN_NAME } }}
            sx={{ flex: "1 1 180px" }}
          />
          <TextField
            select
            label="It holds"
            value={sort}
            onChange={(event) => setSort(OWN_SORTS.find((each) => each === event.target.value) ?? "words")}
            sx={{ width: 130 }}
          >
            {OWN_SORTS.map((each) => (
              <MenuItem key={each} value={each}>
                {SORT_NAMES[each]}
              </MenuItem>
            ))}
          </TextField>
          <Button type="submit" disabled={!name.trim()}>
            Add it
          </Button>
        </Box>
      ) : null}
    </Box>
  );
}
