import {
  Autocomplete,
  Box,
  Button,
  MenuItem,
  TextField,
  ToggleButton,
  ToggleButtonGroup,
  Typography,
} from "@mui/material";
import { memo, useCallback, useEffect, useRef, useState } from "react";
import { menusOf, type Json } from "~/core/document";
import { journalsOf } from "~/core/journal";
import { offersOf } from "~/core/offers";
import { readAt } from "~/core/operations";
import { sourceOf } from "~/core/pictures";
import { plainOf, type Rich } from "~/core/rich";
import type { Link } from "~/core/schema";
import { nameOf, type Field } from "~/kinds";
import { ownFacts } from "~/kinds/live";
import { Sign, SIGNS } from "~/kinds/parts";
import { useEditWords } from "../bench";
import { useStudio } from "../keeping";
import { LinkField } from "../links";
import { LiveTextField } from "../live";
import { MenuEditor } from "../menus";
import { PicturePicker } from "../pictures";
import { INK } from "../ui";
import { AttributesField, GoodsField, ProductsField, ReviewsField, YesField } from "./goods-fields";
import { CodeField, OriginsField } from "./code-field";
import { FilmField } from "./film-field";
import { MapField } from "./map-field";
import { OutsideField } from "./outside-field";
import { ListField } from "./list-field";
import { TableField } from "./table-field";
import { useNeededWidth } from "./needed-width";
import { PictureViewField } from "./picture-view";
import { useSet, useSetOrSay, viewAt, type FieldProps } from "./use-set";
import { WhenField } from "./when-field";

/** Text that is kept as it is typed. What may not be kept stays in the field, with the reason beside it. */
function WordsField({ node, field, path }: FieldProps & { field: Extract<Field, { type: "line" | "text" }> }) {
  const set = useSet(node, path, `Words changed in ${nameOf(node)}`);
  return (
    <LiveTextField
      // What was refused of one part is not written into another.
      key={node.id}
      label={field.label}
      value={String(readAt(node.props, path) ?? "")}
      most={field.most}
      hint={field.hint}
      own={ownFacts(node)}
      multiline={field.type === "text"}
      minRows={field.type === "text" ? 2 : undefined}
      maxRows={9}
      onSet={set}
    />
  );
}

function PictureField({ node, field, path }: FieldProps & { field: Extract<Field, { type: "picture" }> }) {
  const [open, setOpen] = useState(false);
  const id = readAt(node.props, path);
  const picture = useStudio((s) => s.pictures.find((p) => p.id === id));
  const set = useSetOrSay(node, path, `Picture changed in ${nameOf(node)}`);
  const needed = useNeededWidth(node, path, picture);
  return (
    <Box>
      <Typography variant="caption" color="text.secondary">
        {field.label}
      </Typography>
      <Box sx={{ display: "flex", gap: 1.5, alignItems: "center", mt: 0.5 }}>
        {picture ? (
          <Box
            component="img"
            src={sourceOf(picture, 160)}
            alt={picture.alt}
            sx={{ width: 96, height: 72, objectFit: "cover", borderRadius: 1, border: `1px solid ${INK.line}` }}
          />
        ) : (
          <Box
            sx={{
              width: 96,
              height: 72,
              borderRadius: 1,
              border: `1px dashed ${INK.soft}`,
              display: "grid",
              placeItems: "center",
            }}
          >
            <Typography variant="caption">none</Typography>
          </Box>
        )}
        <Box sx={{ display: "grid", gap: 0.5, justifyItems: "start" }}>
          <Button size="small" variant="outlined" onClick={() => setOpen(true)}>
            {picture ? "Choose another" : "Choose a picture"}
          </Button>
          {picture ? (
            <Button size="small" onClick={() => set(null)}>
              Remove
            </Button>
          ) : null}
        </Box>
      </Box>
      {picture && needed ? (
        <Typography variant="caption" component="p" role="note" sx={{ color: INK.brick, mt: 0.5 }}>
          {picture.width.toLocaleString("en")} px wide. To look sharp here it needs {needed.toLocaleString("en")} px.
        </Typography>
      ) : null}
      {picture && field.views ? <PictureViewField node={node} path={path} picture={picture} /> : null}
      <PicturePicker
        open={open}
        onClose={() => setOpen(false)}
        onChoose={(chosen) => {
          set(chosen);
          setOpen(false);
        }}
      />
    </Box>
  );
}

/** Which menu is shown, and its items. */
function MenuField({ node, field, path }: FieldProps) {
  const menus = useStudio((s) => s.draft.documents);
  const value = String(readAt(node.props, path) ?? "");
  const set = useSetOrSay(node, path, `${field.label} changed in ${nameOf(node)}`);
  const all = menusOf(menus);
  const isGone = value !== "" && !all.some((m) => m.id === value);
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: "minmax(0,1fr)", gap: 1 }}>
      <TextField
        select
        label={field.label}
        value={isGone ? "" : value}
        error={isGone}
        helperText={isGone ? "The menu that was here is gone. Choose another one." : undefined}
        onChange={(event) => set(event.target.value)}
        slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
      >
        <MenuItem value="">None</MenuItem>
        {all.map((m) => (
          <MenuItem key={m.id} value={m.id}>
            {m.title}
          </MenuItem>
        ))}
      </TextField>
      {value && !isGone ? <MenuEditor menu={value} selects /> : null}
    </Box>
  );
}

type ChosenProps = FieldProps & {
  /** What there is to choose from, by id. */
  all: readonly { readonly id: string; readonly name: string }[];
  /** What it means that none is chosen. */
  none: string;
  /** What is said where the chosen one is gone. */
  gone: string;
};

/** One of several things of the shop, or none of them. */
function Chosen({ node, field, path, all, none, gone }: ChosenProps) {
  const value = readAt(node.props, path) as string | null;
  const set = useSetOrSay(node, path, `${field.label} changed in ${nameOf(node)}`);
  const isGone = value !== null && !all.some(({ id }) => id === value);
  return (
    <TextField
      select
      label={field.label}
      value={isGone ? "" : (value ?? "-")}
      error={isGone}
      helperText={isGone ? gone : undefined}
      onChange={(e) => set(e.target.value === "-" ? null : e.target.value)}
    >
      <MenuItem value="-">{none}</MenuItem>
      {all.map(({ id, name }) => (
        <MenuItem key={id} value={id}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  );
}

function JournalField(props: FieldProps & { field: Extract<Field, { type: "journal" }> }) {
  const all = journalsOf(useStudio((s) => s.draft.documents)).map(({ document: { id, title: name } }) => ({
    id,
    name,
  }));
  return (
    <Chosen {...props} all={all} none={props.field.none} gone="This page is no journal any more. Choose another." />
  );
}

function OfferField(props: FieldProps & { field: Extract<Field, { type: "offer" }> }) {
  const all = offersOf(useStudio((s) => s.draft.documents));
  return <Chosen {...props} all={all} none={props.field.none} gone="This offer is gone. Choose another." />;
}

function CollectionField(props: FieldProps & { field: Extract<Field, { type: "collection" }> }) {
  const all = useStudio((s) => s.goods.collections).map(({ id, title: name }) => ({ id, name }));
  return <Chosen {...props} all={all} none={props.field.none} gone="This collection is gone. Choose another." />;
}

function NumberField({ node, field, path }: FieldProps & { field: Extract<Field, { type: "number" }> }) {
  const value = Number(readAt(node.props, path));
  const set = useSetOrSay(node, path, `${field.label} changed in ${nameOf(node)}`);
  const [typed, setTyped] = useState<string | null>(null);
  const isBad = typed !== null && !(/^\d+$/.test(typed) && Number(typed) >= field.least && Number(typed) <= field.most);
  return (
    <TextField
      label={field.label}
      value={typed ?? value}
      error={isBad}
      helperText={isBad ? `Write a number from ${field.least} to ${field.most}.` : undefined}
      slotProps={{ htmlInput: { inputMode: "numeric" } }}
      onBlur={() => setTyped(null)}
      onChange={(event) => {
        const next = event.target.value;
        setTyped(next);
        if (/^\d+$/.test(next) && Number(next) >= field.least && Number(next) <= field.most) set(Number(next));
      }}
    />
  );
}

function LinkControl({ node, field, path }: FieldProps) {
  const set = useSetOrSay(node, path, `Link changed in ${nameOf(node)}`);
  const latest = useRef(set);
  useEffect(() => {
    latest.current = set;
  });
  const change = useCallback((link: Link) => void latest.current(link as unknown as Json), []);
  return <LinkField label={field.label} value={readAt(node.props, path) as Link} onChange={change} />;
}

function ProductField({ node, field, path }: FieldProps) {
  const products = useStudio((s) => s.goods.products);
  const value = readAt(node.props, path) as string | null;
  const set = useSetOrSay(node, path, `${field.label} changed in ${nameOf(node)}`);
  const current = products.find((p) => p.id === value) ?? null;
  const isGone = value !== null && !current;
  return (
    <Autocomplete
      size="small"
      options={products}
      value={current}
      getOptionLabel={(p) => p.title}
      getOptionKey={(p) => p.id}
      isOptionEqualToValue={(a, b) => a.id === b.id}
      onChange={(_event, next) => set(next?.id ?? null)}
      noOptionsText={
        products.length ? "No product is called that." : "There are no products yet. Add or import them under Goods."
      }
      renderInput={(params) => (
        <TextField
          {...params}
          label={field.label}
          error={isGone}
          helperText={isGone ? "This product is gone. Choose another." : undefined}
        />
      )}
    />
  );
}

function ChoiceField({ node, field, path }: FieldProps & { field: Extract<Field, { type: "choice" }> }) {
  const set = useSetOrSay(node, path, `${field.label} changed in ${nameOf(node)}`);
  return (
    <TextField
      select
      label={field.label}
      value={String(readAt(node.props, path) ?? "")}
      onChange={(e) => set(e.target.value)}
    >
      {field.options.map(([value, label]) => (
        <MenuItem key={value} value={value}>
          {label}
        </MenuItem>
      ))}
    </TextField>
  );
}

const CLOCK_TYPES = { date: "date", moment: "datetime-local", hour: "time" } as const;

/** A day, a date and a time, or an hour; what the browser's own field gives is a whole one or nothing. */
function DateField({ node, field, path }: FieldProps & { field: Extract<Field, { type: keyof typeof CLOCK_TYPES }> }) {
  const set = useSetOrSay(node, path, `${field.label} changed in ${nameOf(node)}`);
  return (
    <TextField
      type={CLOCK_TYPES[field.type]}
      label={field.label}
      value={String(readAt(node.props, path) ?? "")}
      helperText={field.hint}
      slotProps={{ inputLabel: { shrink: true } }}
      onChange={(event) => set(event.target.value)}
    />
  );
}

function SignField({ node, field, path }: FieldProps & { field: Extract<Field, { type: "sign" }> }) {
  const set = useSetOrSay(node, path, `${field.label} changed in ${nameOf(node)}`);
  const value = String(readAt(node.props, path) ?? "");
  return (
    <Box>
      <Typography variant="caption" color="text.secondary" id="sign-field">
        {field.label}
      </Typography>
      <ToggleButtonGroup
        exclusive
        size="small"
        value={value}
        aria-labelledby="sign-field"
        onChange={(_e, next: string | null) => (next || field.none) && set(next ?? "")}
        sx={{ flexWrap: "wrap", "& .MuiToggleButton-root": { width: 38, height: 34 } }}
      >
        {Object.entries(SIGNS).map(([id, { name }]) => (
          <ToggleButton key={id} value={id} aria-label={name} title={name}>
            <Sign sign={id} />
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
    </Box>
  );
}

/** Running text: plain here; with its shape in the pane, where there are tools for it. */
function RichField({ node, field, path }: FieldProps & { field: Extract<Field, { type: "rich" }> }) {
  const value = (readAt(node.props, path) ?? "") as unknown as Rich;
  const onWords = useEditWords();
  const edit = (
    <Button size="small" variant="outlined" onClick={() => onWords?.(node.id, path.join("."))} sx={{ mt: 0.75 }}>
      Write in the pane: heads, lists, links
    </Button>
  );
  if (typeof value === "string")
    return (
      <Box>
        <WordsField node={node} field={{ ...field, type: "text" }} path={path} />
        {onWords ? edit : null}
      </Box>
    );
  return (
    <Box>
      <Typography variant="caption" color="text.secondary">
        {field.label}, with a shape of its own
      </Typography>
      <Typography
        variant="body2"
        sx={{
          borderLeft: `2px solid ${INK.line}`,
          pl: 1.25,
          my: 0.5,
          maxHeight: 120,
          overflow: "hidden",
          whiteSpace: "pre-line",
        }}
      >
        {plainOf(value)}
      </Typography>
      {onWords ? edit : null}
    </Box>
  );
}

/** A control needs of its part only which it is and the value itself: words typed into one field draw no other one anew. */
const sameField = (a: FieldProps, b: FieldProps) =>
  a.field === b.field &&
  a.node.id === b.node.id &&
  a.path.join(".") === b.path.join(".") &&
  readAt(a.node.props, a.path) === readAt(b.node.props, b.path) &&
  // Beside where code may load from stands what it names, and beside a picture how it is shown.
  a.field.type !== "origins" &&
  (a.field.type !== "picture" || viewAt(a.node, a.path) === viewAt(b.node, b.path));

/** The control for one value of a section, chosen by the type of its field. */
export const FieldControl = memo(function FieldControl({ node, field, path }: FieldProps) {
  switch (field.type) {
    case "line":
    case "text":
      return <WordsField node={node} field={field} path={path} />;
    case "picture":
      return <PictureField node={node} field={field} path={path} />;
    case "link":
      return <LinkControl node={node} field={field} path={path} />;
    case "collection":
      return <CollectionField node={node} field={field} path={path} />;
    case "journal":
      return <JournalField node={node} field={field} path={path} />;
    case "offer":
      return <OfferField node={node} field={field} path={path} />;
    case "menu":
      return <MenuField node={node} field={field} path={path} />;
    case "film":
      return <FilmField node={node} field={field} path={path} />;
    case "map":
      return <MapField node={node} field={field} path={path} />;
    case "outside":
      return <OutsideField node={node} field={field} path={path} />;
    case "rich":
      return <RichField node={node} field={field} path={path} />;
    case "product":
      return <ProductField node={node} field={field} path={path} />;
    case "choice":
      return <ChoiceField node={node} field={field} path={path} />;
    case "sign":
      return <SignField node={node} field={field} path={path} />;
    case "number":
      return <NumberField node={node} field={field} path={path} />;
    case "list":
      return (
        <ListField
          node={node}
          field={field}
          path={path}
          control={(inner, at) => <FieldControl key={inner.key} node={node} field={inner} path={at} />}
        />
      );
    case "code":
      return <CodeField node={node} field={field} path={path} />;
    case "origins":
      return <OriginsField node={node} field={field} path={path} />;
    case "when":
      return <WhenField node={node} field={field} path={path} />;
    case "yes":
      return <YesField node={node} field={field} path={path} />;
    case "products":
      return <ProductsField node={node} field={field} path={path} />;
    case "reviews":
      return <ReviewsField node={node} field={field} path={path} />;
    case "table":
      return <TableField node={node} field={field} path={path} />;
    case "date":
    case "moment":
    case "hour":
      return <DateField node={node} field={field} path={path} />;
    case "goods":
      return <GoodsField node={node} field={field} path={path} />;
    case "attributes":
      return <AttributesField node={node} field={field} path={path} />;
  }
}, sameField);
