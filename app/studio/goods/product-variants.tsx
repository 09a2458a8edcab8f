import {
  Box,
  Button,
  Chip,
  IconButton,
  MenuItem,
  Table,
  TableBody,
  TableCell,
  TableHead,
  TableRow,
  TextField,
  Typography,
} from "@mui/material";
import { ChevronDown, ChevronUp, Plus, Trash2, X } from "lucide-react";
import { useState, type ChangeEvent } from "react";
import { newId } from "~/core/document";
import {
  AVAILABILITIES,
  AVAILABILITY_WORDS,
  MOST_OPTIONS,
  MOST_VARIANTS,
  combinationsOf,
  PICKERS,
  withForValue,
  withOptions,
  type Availability,
  type Option,
  type Picker,
  type Variant,
} from "~/core/goods";
import { sourceOf } from "~/core/pictures";
import { decimalMoney } from "~/core/money";
import { useStudio } from "../keeping";
import { PicturePicker } from "../pictures";
import { IconAction, INK } from "../ui";
import { Amount, Choice, Group, Whole, type FormPart } from "./product-form";

const PICKER_WORDS: Readonly<Record<Picker, string>> = {
  buttons: "Buttons",
  swatches: "Swatches of colour",
  pictures: "Small pictures",
  list: "List to open",
};

function OptionEditor({ option, at, part }: { option: Option; at: number; part: FormPart }) {
  const { product, problem } = part;
  const [typed, setTyped] = useState("");
  const change = (next: Option | null) => {
    const options = next ? product.options.with(at, next) : product.options.filter((_o, i) => i !== at);
    // A new name is not a new option: its values stay where they are.
    const renamed =
      next && next.name !== option.name
        ? { ...product, options: product.options.with(at, { ...option, name: next.name }) }
        : product;
    const { variants } = withOptions(renamed, options, newId);
    part.set({ options, variants });
  };
  const turn = (by: -1 | 1) => {
    const options = [...product.options];
    const [moved] = options.splice(at, 1);
    options.splice(at + by, 0, moved!);
    const { variants } = withOptions(product, options, newId);
    part.set({ options, variants });
  };
  const add = () => {
    const names = typed
      .split(",")
      .map((n) => n.trim())
      .filter((n) => n && !option.values.some((v) => v.name === n));
    if (names.length)
      change({ ...option, values: [...option.values, ...names.map((name) => ({ name, colour: null }))] });
    setTyped("");
  };
  return (
    <Box
      sx={{ border: `1px solid ${INK.line}`, borderRadius: 1, p: 1.5, display: "grid", gap: 1.25, bgcolor: INK.paper }}
    >
      <Box sx={{ display: "flex", gap: 1, alignItems: "flex-start" }}>
        <TextField
          label="Option"
          value={option.name}
          sx={{ flex: 1 }}
          error={problem(`options.${at}.name`) !== undefined}
          helperText={problem(`options.${at}.name`)}
          onChange={(e) => change({ ...option, name: e.target.value })}
          slotProps={{ htmlInput: { maxLength: 40 } }}
        />
        <Box sx={{ flex: 1 }}>
          <Choice
            label="Chosen by"
            value={option.picker}
            options={PICKERS.map((p) => [p, PICKER_WORDS[p]] as const)}
            onChange={(picker) => change({ ...option, picker })}
          />
        </Box>
        <IconAction label="Earlier" icon={ChevronUp} disabled={at === 0} onClick={() => turn(-1)} />
        <IconAction
          label="Later"
          icon={ChevronDown}
          disabled={at === product.options.length - 1}
          onClick={() => turn(1)}
        />
        <IconAction label={`Remove ${option.name}`} icon={Trash2} tone={INK.brick} onClick={() => change(null)} />
      </Box>
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 0.75, alignItems: "center" }}>
        {option.values.map((value, i) => (
          <Box
            key={value.name}
            sx={{
              display: "flex",
              alignItems: "center",
              gap: 0.5,
              pl: 1.25,
              border: `1px solid ${INK.line}`,
              borderRadius: 9,
              bgcolor: INK.raised,
            }}
          >
            {option.picker === "swatches" || value.colour ? (
              <Box
                component="input"
                type="color"
                aria-label={`Colour of ${value.name}`}
                value={value.colour ?? "#888888"}
                sx={{ width: 20, height: 24, p: 0, border: 0, background: "none", cursor: "pointer" }}
                onChange={(e: ChangeEvent<HTMLInputElement>) =>
                  change({ ...option, values: option.values.with(i, { ...value, colour: e.target.value }) })
                }
              />
            ) : null}
            {value.name}
            <IconAction
              label={`Remove ${value.name}`}
              icon={X}
              size={14}
              disabled={option.values.length === 1}
              onClick={() => change({ ...option, values: option.values.filter((v) => v !== value) })}
            />
          </Box>
        ))}
        <TextField
          placeholder="Another value, or several with commas"
          value={typed}
          onChange={(e) => setTyped(e.target.value)}
          onBlur={add}
          onKeyDown={(e) => {
            if (e.key !== "Enter") return;
            e.preventDefault();
            add();
          }}
          sx={{ minWidth: 250 }}
          slotProps={{ htmlInput: { "aria-label": `Another value of ${option.name}`, maxLength: 200 } }}
        />
      </Box>
      {problem(`options.${at}.values`) ? (
        <Typography color="error">{problem(`options.${at}.values`)}</Typography>
      ) : null}
    </Box>
  );
}

function PictureCell({
  id,
  own,
  label,
  onChoose,
}: {
  id: string | null;
  own: readonly string[];
  label: string;
  onChoose: (id: string | null) => void;
}) {
  const picture = useStudio((s) => s.pictures.find((p) => p.id === id));
  const [open, setOpen] = useState(false);
  return (
    <>
      <IconButton
        aria-label={label}
        onClick={() => setOpen(true)}
        sx={{
          p: 0,
          borderRadius: 0.5,
          width: 34,
          height: 42,
          border: `1px ${picture ? "solid" : "dashed"} ${INK.line}`,
        }}
      >
        {picture ? (
          <Box
            component="img"
            src={sourceOf(picture, 160)}
            alt=""
            sx={{ width: "100%", height: "100%", objectFit: "cover", borderRadius: 0.5 }}
          />
        ) : (
          <Plus size={15} aria-hidden />
        )}
      </IconButton>
      <PicturePicker
        open={open}
        own={own}
        onClose={() => setOpen(false)}
        onChoose={(chosen) => {
          onChoose(chosen);
          setOpen(false);
        }}
      />
    </>
  );
}

/** One thing for all variants of a value: a picture for everything that is Dawn, a price for everything that is large. */
function ForAll({ part }: { part: FormPart }) {
  const { product, set } = part;
  const [value, setValue] = useState("");
  const [what, setWhat] = useState<"picture" | "price" | "stock">("picture");
  const [choosing, setChoosing] = useState(false);
  const [number, setNumber] = useState<number | null>(null);
  const [at, name] = value === "" ? [-1, ""] : [Number(value.split("\n")[0]), value.split("\n")[1]!];
  const apply = (change: Partial<Variant>) => set({ variants: withForValue(product, at, name, change).variants });
  return (
    <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1, alignItems: "flex-start" }}>
      <Typography sx={{ pt: 1 }}>For all that are</Typography>
      <TextField select label="Value" value={value} onChange={(e) => setValue(e.target.value)} sx={{ width: 160 }}>
        {product.options.flatMap((o, i) =>
          o.values.map((v) => (
            <MenuItem key={`${i} ${v.name}`} value={`${i}\n${v.name}`}>
              {o.name}: {v.name}
            </MenuItem>
          )),
        )}
      </TextField>
      <TextField
        select
        label="set"
        value={what}
        onChange={(e) => setWhat(e.target.value as typeof what)}
        sx={{ width: 110 }}
      >
        <MenuItem value="picture">picture</MenuItem>
        <MenuItem value="price">price</MenuItem>
        <MenuItem value="stock">stock</MenuItem>
      </TextField>
      {what === "price" ? (
        <Box sx={{ width: 140 }}>
          <Amount label="Price of these" value={number} onChange={setNumber} empty="as the product" />
        </Box>
      ) : what === "stock" ? (
        <Box sx={{ width: 120 }}>
          <Whole label="Pieces of each" value={number} onChange={setNumber} empty="not counted" />
        </Box>
      ) : null}
      <Button
        variant="outlined"
        disabled={at < 0}
        onClick={() =>
          what === "picture" ? setChoosing(true) : apply(what === "price" ? { price: number } : { stock: number })
        }
      >
        {what === "picture" ? "Choose a picture" : "Set"}
      </Button>
      <PicturePicker
        open={choosing}
        own={product.pictures}
        onClose={() => setChoosing(false)}
        onChoose={(picture) => {
          apply({ picture });
          setChoosing(false);
        }}
      />
    </Box>
  );
}

/** Options to choose from, and the variants that they make. */
export function ProductVariants(part: FormPart) {
  const { product, set, problem } = part;
  const currency = useStudio((s) => s.shop.currency);
  const { options, variants } = product;
  const change = (id: string, next: Partial<Variant>) =>
    set({ variants: variants.map((v) => (v.id === id ? { ...v, ...next } : v)) });
  const addOption = () => {
    const names = ["Colour", "Size", "Material"].filter((n) => !options.some((o) => o.name === n));
    const next: Option[] = [
      ...options,
      { name: names[0] ?? "Option", picker: "buttons", values: [{ name: "First", colour: null }] },
    ];
    set({ options: next, variants: withOptions(product, next, newId).variants });
  };
  const combinations = combinationsOf(options);
  const missing = combinations.filter((c) => !variants.some((v) => JSON.stringify(v.values) === JSON.stringify(c)));
  const restore = (values: readonly string[]) => {
    const made = withOptions({ ...product, variants: [] }, options, newId).variants.find(
      (v) => JSON.stringify(v.values) === JSON.stringify(values),
    )!;
    // In the order of the options, as they are everywhere.
    const all = [...variants, made];
    set({
      variants: combinations.flatMap((c) => all.find((v) => JSON.stringify(v.values) === JSON.stringify(c)) ?? []),
    });
  };
  return (
    <Group
      title="Variants"
      about={
        options.length
          ? "What is left empty is as the product says."
          : "One thing in several colours or sizes: each can have its own price, stock, SKU and picture."
      }
      aside={
        options.length < MOST_OPTIONS ? (
          <Button size="small" startIcon={<Plus size={15} aria-hidden />} onClick={addOption}>
            {options.length ? "Another option" : "Add an option"}
          </Button>
        ) : null
      }
    >
      {options.map((option, at) => (
        <OptionEditor key={at} option={option} at={at} part={part} />
      ))}
      {(problem("variants") ?? problem("options")) ? (
        <Typography color="error" role="alert">
          {problem("variants") ?? problem("options")}
        </Typography>
      ) : null}
      {combinations.length > MOST_VARIANTS ? (
        <Typography color="error">
          That would be {combinations.length} variants; a product has {MOST_VARIANTS} at most. Take some away.
        </Typography>
      ) : null}
      {variants.length ? (
        <>
          {variants.length > 1 ? <ForAll part={part} /> : null}
          <Box sx={{ overflowX: "auto" }}>
            <Table
              size="small"
              aria-label="Variants"
              sx={{ minWidth: 740, "& th": { fontWeight: 650 }, "& td": { px: 0.75, py: 0.5, verticalAlign: "top" } }}
            >
              <TableHead>
                <TableRow>
                  <TableCell />
                  <TableCell>Variant</TableCell>
                  <TableCell>Price</TableCell>
                  <TableCell>Stock</TableCell>
                  <TableCell>SKU</TableCell>
                  <TableCell>Barcode</TableCell>
                  <TableCell>Availability</TableCell>
                  <TableCell />
                </TableRow>
              </TableHead>
              <TableBody>
                {variants.map((v, i) => {
                  const name = v.values.join(" / ");
                  return (
                    <TableRow key={v.id}>
                      <TableCell>
                        <PictureCell
                          id={v.picture}
                          own={product.pictures}
                          label={`Picture of ${name}`}
                          onChoose={(picture) => change(v.id, { picture })}
                        />
                      </TableCell>
                      <TableCell sx={{ fontWeight: 600, whiteSpace: "nowrap", pt: "14px !important" }}>
                        {name}
                      </TableCell>
                      <TableCell sx={{ width: 104 }}>
                        <Amount
                          hidden
                          label={`Price of ${name}`}
                          value={v.price}
                          onChange={(price) => change(v.id, { price })}
                          empty={decimalMoney(product.price, currency)}
                          problem={problem(`variants.${i}.price`)}
                        />
                      </TableCell>
                      <TableCell sx={{ width: 72 }}>
                        <Whole
                          hidden
                          label={`Stock of ${name}`}
                          value={v.stock}
                          onChange={(stock) => change(v.id, { stock })}
                          empty="–"
                        />
                      </TableCell>
                      <TableCell sx={{ width: 118 }}>
                        <TextField
                          value={v.sku}
                          error={problem(`variants.${i}.sku`) !== undefined}
                          helperText={problem(`variants.${i}.sku`)}
                          onChange={(e) => change(v.id, { sku: e.target.value })}
                          slotProps={{ htmlInput: { "aria-label": `SKU of ${name}`, maxLength: 80 } }}
                        />
                      </TableCell>
                      <TableCell sx={{ width: 158 }}>
                        <TextField
                          value={v.barcode}
                          error={problem(`variants.${i}.barcode`) !== undefined}
                          helperText={problem(`variants.${i}.barcode`)}
                          onChange={(e) => change(v.id, { barcode: e.target.value })}
                          slotProps={{
                            htmlInput: { "aria-label": `Barcode of ${name}`, inputMode: "numeric", maxLength: 20 },
                          }}
                        />
                      </TableCell>
                      <TableCell sx={{ width: 140 }}>
                        <TextField
                          select
                          value={v.availability ?? ""}
                          onChange={(e) =>
                            change(v.id, { availability: (e.target.value || null) as Availability | null })
                          }
                          slotProps={{
                            htmlInput: { "aria-label": `Availability of ${name}` },
                            select: { displayEmpty: true },
                          }}
                        >
                          <MenuItem value="">as product</MenuItem>
                          {AVAILABILITIES.filter((a) => a !== "coming-soon").map((a) => (
                            <MenuItem key={a} value={a}>
                              {AVAILABILITY_WORDS[a]}
                            </MenuItem>
                          ))}
                        </TextField>
                      </TableCell>
                      <TableCell>
                        <IconAction
                          label={`There is no ${name}`}
                          icon={X}
                          size={15}
                          disabled={variants.length === 1}
                          onClick={() => set({ variants: variants.filter((each) => each.id !== v.id) })}
                        />
                      </TableCell>
                    </TableRow>
                  );
                })}
              </TableBody>
            </Table>
          </Box>
          {missing.length ? (
            <Box sx={{ display: "flex", flexWrap: "wrap", gap: 0.75, alignItems: "center" }}>
              <Typography variant="body2" color="text.secondary">
                There is no:
              </Typography>
              {missing.slice(0, 20).map((values) => (
                <Chip
                  key={values.join("/")}
                  size="small"
                  variant="outlined"
                  icon={<Plus size={13} aria-hidden />}
                  label={values.join(" / ")}
                  onClick={() => restore(values)}
                />
              ))}
            </Box>
          ) : null}
        </>
      ) : null}
    </Group>
  );
}
