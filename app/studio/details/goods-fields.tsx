import { useMemo, useState } from "react";
import { Autocomplete, Box, Button, Checkbox, FormControlLabel, Typography, TextField } from "@mui/material";
import { ChevronDown, ChevronUp, X } from "lucide-react";
import { readAt } from "~/core/operations";
import { attributeNames } from "~/core/goods";
import { nameOf, type Field } from "~/kinds";
import { useStudio } from "../keeping";
import { IconAction } from "../ui";
import { useSetOrSay, type FieldProps } from "./use-set";

/** Something that is so, or is not. */
export function YesField({ node, field, path }: FieldProps) {
  const set = useSetOrSay(node, path, `${field.label} changed in ${nameOf(node)}`);
  return (
    <FormControlLabel
      control={
        <Checkbox size="small" checked={readAt(node.props, path) === true} onChange={(e) => set(e.target.checked)} />
      }
      label={field.label}
      sx={{ mr: 0 }}
    />
  );
}

type Chosen = {
  readonly products: readonly string[];
  readonly collections: readonly string[];
  readonly tags: readonly string[];
};
type GoodsOption = { readonly sort: keyof Chosen; readonly id: string; readonly label: string; readonly group: string };

/** Chosen goods: single products, whole collections, everything with a tag. */
export function GoodsField({ node, field, path }: FieldProps) {
  const goods = useStudio((s) => s.goods);
  const set = useSetOrSay(node, path, `${field.label} changed in ${nameOf(node)}`);
  const value = readAt(node.props, path) as unknown as Chosen;
  const things: readonly GoodsOption[] = [
    ...goods.collections.map((c): GoodsOption => ({
      sort: "collections",
      id: c.id,
      label: c.title,
      group: "Collections",
    })),
    ...[...new Set(goods.products.flatMap((p) => p.tags))].map((t): GoodsOption => ({
      sort: "tags",
      id: t,
      label: t,
      group: "Tags",
    })),
    ...goods.products.map((p): GoodsOption => ({ sort: "products", id: p.id, label: p.title, group: "Products" })),
  ];
  const chosen = things.filter((t) => value[t.sort].includes(t.id));
  return (
    <Autocomplete
      multiple
      size="small"
      options={things}
      groupBy={(t) => t.group}
      getOptionLabel={(t) => t.label}
      getOptionKey={(t) => `${t.sort} ${t.id}`}
      isOptionEqualToValue={(a, b) => a.sort === b.sort && a.id === b.id}
      value={chosen}
      onChange={(_e, next) =>
        set({
          products: next.filter((t) => t.sort === "products").map((t) => t.id),
          collections: next.filter((t) => t.sort === "collections").map((t) => t.id),
          tags: next.filter((t) => t.sort === "tags").map((t) => t.id),
        })
      }
      renderInput={(params) => (
        <TextField
          {...params}
          label={field.label}
          helperText={chosen.length ? undefined : "Nothing chosen: beside all of them."}
        />
      )}
    />
  );
}

type Option = { readonly id: string; readonly title: string };

type PicksProps = FieldProps & {
  field: Extract<Field, { type: "products" | "reviews" }>;
  options: readonly Option[];
  /** What one is called that is no more. */
  gone: string;
  /** What is said where nothing is called like that. */
  nothing: string;
};

/** Things picked one by one, in the order in which they were picked, which can be changed. */
function PicksField({ node, field, path, options, gone, nothing }: PicksProps) {
  const set = useSetOrSay(node, path, `${field.label} changed in ${nameOf(node)}`);
  const [sought, setSought] = useState("");
  const chosen = readAt(node.props, path) as readonly string[];
  const titles = useMemo(() => new Map(options.map((o) => [o.id, o.title])), [options]);
  const move = (at: number, by: -1 | 1) => {
    const next = [...chosen];
    const [id] = next.splice(at, 1);
    next.splice(at + by, 0, id!);
    set(next);
  };
  return (
    <Box role="group" aria-label={field.label} sx={{ display: "grid", gap: 0.5 }}>
      <Autocomplete
        size="small"
        options={options}
        // Each pick is taken into the list below, and the field is free for the next one.
        value={null}
        inputValue={sought}
        onInputChange={(_e, text, why) => setSought(why === "input" ? text : "")}
        getOptionDisabled={(o) => chosen.includes(o.id)}
        disabled={chosen.length >= field.most}
        getOptionLabel={(o) => o.title}
        getOptionKey={(o) => o.id}
        onChange={(_e, picked) => picked && set([...chosen, picked.id])}
        noOptionsText={nothing}
        renderInput={(params) => (
          <TextField {...params} label={field.label} helperText={chosen.length ? undefined : field.none} />
        )}
      />
      {chosen.map((id, at) => {
        const title = titles.get(id) ?? gone;
        return (
          <Box key={id} sx={{ display: "flex", alignItems: "center", minHeight: 30, minWidth: 0 }}>
            <Typography variant="body2" noWrap title={title} sx={{ flex: 1, minWidth: 0 }}>
              {at + 1}. {title}
            </Typography>
            <IconAction
              label={`${title} earlier`}
              icon={ChevronUp}
              size={15}
              disabled={at === 0}
              onClick={() => move(at, -1)}
            />
            <IconAction
              label={`${title} later`}
              icon={ChevronDown}
              size={15}
              disabled={at === chosen.length - 1}
              onClick={() => move(at, 1)}
            />
            <IconAction
              label={`Remove ${title}`}
              icon={X}
              size={15}
              onClick={() => set(chosen.filter((each) => each !== id))}
            />
          </Box>
        );
      })}
    </Box>
  );
}

/** Single products. */
export function ProductsField(props: FieldProps & { field: Extract<Field, { type: "products" }> }) {
  const products = useStudio((s) => s.goods.products);
  return (
    <PicksField
      {...props}
      options={products}
      gone="A product that is gone"
      nothing={
        products.length ? "No product is called that." : "There are no products yet. Add or import them under Goods."
      }
    />
  );
}

/** Single reviews, each by what it says. */
export function ReviewsField(props: FieldProps & { field: Extract<Field, { type: "reviews" }> }) {
  const reviews = useStudio((s) => s.goods.reviews);
  const options = useMemo(
    () =>
      Object.values(reviews ?? {})
        .flat()
        .filter((review) => review.state === "shown")
        .sort((a, b) => (a.at < b.at ? 1 : -1))
        .map(({ id, stars, title, text, name }) => ({ id, title: `${stars}★ ${name}: ${title || text}` })),
    [reviews],
  );
  return (
    <PicksField
      {...props}
      options={options}
      gone="A review that is not shown any more"
      nothing={options.length ? "No review says that." : "There are no reviews yet. They come in under Goods, Reviews."}
    />
  );
}

/** Which attributes of goods, and in which order; null for all of them. */
export function AttributesField({ node, field, path }: FieldProps & { field: Field & { type: "attributes" } }) {
  const products = useStudio((s) => s.goods.products);
  const set = useSetOrSay(node, path, `${field.label} changed in ${nameOf(node)}`);
  const value = readAt(node.props, path) as readonly string[] | null;
  const names = attributeNames(products);
  const chosen = value ?? names;
  const shown = [...chosen, ...names.filter((n) => !chosen.includes(n))];
  const move = (name: string, by: -1 | 1) => {
    const next = [...chosen];
    const at = next.indexOf(name);
    next.splice(at, 1);
    next.splice(at + by, 0, name);
    set(next);
  };
  return (
    <Box role="group" aria-label={field.label}>
      <Box sx={{ display: "flex", alignItems: "center" }}>
        <Typography variant="caption" color="text.secondary" sx={{ flex: 1 }}>
          {field.label}
        </Typography>
        {value ? (
          <Button size="small" onClick={() => set(null)}>
            {field.none}
          </Button>
        ) : null}
      </Box>
      {shown.length === 0 ? <Typography variant="body2">Your goods have no attributes yet.</Typography> : null}
      {shown.map((name) => {
        const at = chosen.indexOf(name);
        return (
          <Box key={name} sx={{ display: "flex", alignItems: "center", minHeight: 32 }}>
            <FormControlLabel
              sx={{ flex: 1, mr: 0 }}
              control={
                <Checkbox
                  size="small"
                  checked={at >= 0}
                  onChange={(e) => set(e.target.checked ? [...chosen, name] : chosen.filter((n) => n !== name))}
                />
              }
              label={name}
            />
            {at >= 0 ? (
              <>
                <IconAction
                  label={`${name} earlier`}
                  icon={ChevronUp}
                  size={15}
                  disabled={at === 0}
                  onClick={() => move(name, -1)}
                />
                <IconAction
                  label={`${name} later`}
                  icon={ChevronDown}
                  size={15}
                  disabled={at === chosen.length - 1}
                  onClick={() => move(name, 1)}
                />
              </>
            ) : null}
          </Box>
        );
      })}
    </Box>
  );
}
