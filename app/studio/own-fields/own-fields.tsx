import { Box, Button, MenuItem, TextField, Typography } from "@mui/material";
import { Trash2 } from "lucide-react";
import { useState } from "react";
import { setOwnFields } from "~/core/commands";
import {
  entryOf,
  LONGEST_OWN_NAME,
  LONGEST_OWN_VALUE,
  MOST_OWN_FIELDS,
  newId,
  OWN_PICTURE,
  OWN_SORTS,
  ownFieldsOf,
  type OwnField,
} from "~/core/document";
import { linkOfOwn, ownLink } from "~/core/schema";
import { useStudio, useStudioStore } from "../keeping";
import { LinkField } from "../links";
import { PictureChoice } from "../pictures";
import { IconAction, useWhenChanged } from "../ui";

const SORT_NAMES: Readonly<Record<OwnField["sort"], string>> = {
  words: "Words",
  number: "A number",
  date: "A day",
  picture: "A picture",
  link: "A link or a file",
};

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

const PictureValue = ({ field, value, set }: ValueProps) => (
  <Box role="group" aria-label={field.name}>
    <Typography variant="caption" color="text.secondary" component="p">
      {field.name}
    </Typography>
    <PictureChoice
      picture={value.slice(OWN_PICTURE.length)}
      onChoose={(picture) => set(OWN_PICTURE + picture)}
      onRemove={() => set("")}
    />
  </Box>
);

const LinkValue = ({ field, value, set }: ValueProps) => (
  <LinkField label={field.name} value={linkOfOwn(value)} onChange={(link) => set(ownLink(link))} />
);

const CONTROLS = {
  words: WordsValue,
  number: WordsValue,
  date: DayValue,
  picture: PictureValue,
  link: LinkValue,
} as const;

const WORDS = {
  page: {
    about:
      "Facts that each page says for itself, such as a place or a maker. Headings, words, pictures and buttons on pages and layouts can take what they show from them.",
    one: "New field for all pages",
    all: "all pages",
  },
  product: {
    about:
      "What each product has of its own, such as a drawing of its size or its manual. Headings, words, pictures and buttons on product layouts can take what they show from it.",
    one: "New field for all products",
    all: "all products",
  },
} as const;

type OwnFieldsProps = {
  readonly of: "page" | "product";
  readonly values: Readonly<Record<string, string>>;
  /** Fills one of them in; empty: it says nothing. */
  readonly set: (field: OwnField, value: string) => void;
};

/** The seller's own fields of pages or goods, filled in here for one of them, and which of them there are. */
export function OwnFields({ of, values, set }: OwnFieldsProps) {
  const store = useStudioStore();
  const fields = ownFieldsOf(
    useStudio((s) => s.draft.documents),
    of,
  );
  const [name, setName] = useState("");
  const [problem, setProblem] = useState<string>();
  const [sort, setSort] = useState<OwnField["sort"]>("words");
  const change = (next: readonly OwnField[]): boolean => {
    const { draft, run } = store.getState();
    const why = run(setOwnFields(draft, next, of));
    setProblem(why ?? undefined);
    return !why;
  };
  const add = () => {
    if (change([...fields, { id: newId(), name, sort }])) setName("");
  };
  const words = WORDS[of];
  return (
    <Box sx={{ display: "grid", gap: 2 }}>
      <Typography variant="body2" color="text.secondary">
        {words.about}
      </Typography>
      {fields.map((field) => {
        const Control = CONTROLS[field.sort];
        return (
          <Box key={field.id} sx={{ display: "flex", gap: 1, alignItems: "center" }}>
            <Box sx={{ flex: 1, minWidth: 0, "& > *": { width: "100%" } }}>
              <Control field={field} value={entryOf(values, field.id) ?? ""} set={(value) => set(field, value)} />
            </Box>
            <IconAction
              label={`Remove the field ${field.name} from ${words.all}`}
              icon={Trash2}
              onClick={() => change(fields.filter((each) => each.id !== field.id))}
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
            label={words.one}
            value={name}
            error={problem !== undefined}
            helperText={problem}
            onChange={(event) => {
              setName(event.target.value);
              setProblem(undefined);
            }}
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
