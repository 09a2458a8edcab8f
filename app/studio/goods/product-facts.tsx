import { Autocomplete, Box, Button, Chip, TextField, Typography } from "@mui/material";
import { Plus, Trash2 } from "lucide-react";
import { useDeferredValue, useMemo } from "react";
import { attributeNames, canBuy, goesWith, partsOf, sharedWords, type Product } from "~/core/goods";
import { useStudio } from "../keeping";
import { OwnFields } from "../own-fields";
import { IconAction } from "../ui";
import { useGoods } from "./data";
import { Group, type FormPart } from "./product-form";

/** What describes a product: facts that shoppers filter by, and a table of further ones. */
export function ProductFacts({ product, set, problem }: FormPart) {
  const { products } = useGoods();
  const all = useMemo(() => attributeNames(products), [products]);
  const names = all.filter((n) => !product.options.some((o) => o.name === n));
  const entries = Object.entries(product.attributes);
  const setEntry = (at: number, name: string, value: string) =>
    set({ attributes: Object.fromEntries(entries.map((e, i) => (i === at ? [name, value] : e))) });
  const used = useMemo(() => {
    const values = new Map<string, Set<string>>();
    for (const p of products)
      for (const [name, value] of Object.entries(p.attributes))
        if (value) values.set(name, (values.get(name) ?? new Set()).add(value));
    return values;
  }, [products]);
  const left = names.filter((n) => !Object.hasOwn(product.attributes, n));
  return (
    <>
      <Group
        title="What shoppers filter by"
        about="A unit goes into brackets after the name: Span (cm). Several values stand apart by commas, a range like 2–5 counts as each of its numbers."
        aside={
          <Button
            size="small"
            startIcon={<Plus size={15} aria-hidden />}
            onClick={() => {
              const name = left[0] ?? `Attribute ${entries.length + 1}`;
              set({ attributes: { ...product.attributes, [name]: "" } });
            }}
          >
            Add
          </Button>
        }
      >
        {entries.map(([name, value], i) => (
          <Box key={i} sx={{ display: "grid", gridTemplateColumns: "1fr 1.4fr auto", gap: 1, alignItems: "start" }}>
            <Autocomplete
              freeSolo
              options={[name, ...left]}
              value={name}
              onChange={(_e, next) => {
                const wish = (next ?? "").trim();
                if (wish && (wish === name || !Object.hasOwn(product.attributes, wish))) setEntry(i, wish, value);
              }}
              onBlur={(e) => {
                const wish = ((e.target as HTMLInputElement).value ?? "").trim();
                if (wish && wish !== name && !Object.hasOwn(product.attributes, wish)) setEntry(i, wish, value);
              }}
              renderInput={(params) => <TextField {...params} label="Attribute" />}
            />
            <Autocomplete
              freeSolo
              options={[...(used.get(name) ?? [])]}
              inputValue={value}
              onInputChange={(_e, next) => next !== value && setEntry(i, name, next)}
              renderInput={(params) => (
                <TextField
                  {...params}
                  label="Value"
                  helperText={
                    partsOf(value).length > 1 ? `Found under ${partsOf(value).slice(0, 8).join(" · ")}` : undefined
                  }
                />
              )}
            />
            <IconAction
              label={`Remove ${name}`}
              icon={Trash2}
              onClick={() => set({ attributes: Object.fromEntries(entries.filter((_e, k) => k !== i)) })}
            />
          </Box>
        ))}
        {entries.length === 0 ? <Typography color="text.secondary">Nothing yet.</Typography> : null}
      </Group>
      <Group
        title="Specification"
        about="What only stands in the table on the product’s page."
        aside={
          <Button
            size="small"
            startIcon={<Plus size={15} aria-hidden />}
            onClick={() => set({ specification: [...product.specification, { name: "", value: "" }] })}
          >
            Add a row
          </Button>
        }
      >
        {product.specification.map((row, i) => {
          const change = (next: Partial<typeof row>) =>
            set({ specification: product.specification.with(i, { ...row, ...next }) });
          return (
            <Box key={i} sx={{ display: "grid", gridTemplateColumns: "1fr 1.4fr auto", gap: 1, alignItems: "start" }}>
              <TextField
                label="Row"
                value={row.name}
                error={problem(`specification.${i}.name`) !== undefined}
                helperText={problem(`specification.${i}.name`)}
                onChange={(e) => change({ name: e.target.value })}
              />
              <TextField label="Says" value={row.value} onChange={(e) => change({ value: e.target.value })} />
              <IconAction
                label={`Remove ${row.name || "row"}`}
                icon={Trash2}
                onClick={() => set({ specification: product.specification.filter((_r, k) => k !== i) })}
              />
            </Box>
          );
        })}
        {product.specification.length === 0 ? <Typography color="text.secondary">No rows yet.</Typography> : null}
      </Group>
      <Group title="Own fields">
        <OwnFields
          of="product"
          values={product.own}
          set={(field, value) => {
            const { [field.id]: _before, ...others } = product.own;
            set({ own: value === "" ? others : { ...others, [field.id]: value } });
          }}
        />
      </Group>
    </>
  );
}

/** Where a product stands: collections, tags, and what it goes with. */
export function ProductPlaces({ product, set }: FormPart) {
  const { products, collections } = useGoods();
  const goods = useStudio((s) => s.goods);
  const tags = useMemo(() => [...new Set(products.flatMap((p) => p.tags))].sort(), [products]);
  const byHand = collections.filter((c) => !c.rules);
  const others = useMemo(() => products.filter((p) => p.id !== product.id && !p.archived), [products, product.id]);
  const late = useDeferredValue(product);
  const suggested = useMemo(() => goesWith(goods, late, 4, canBuy), [goods, late]);
  const why = (other: Product, reason: (typeof suggested)[number]) =>
    reason.why === "together" && reason.pair
      ? `in ${reason.pair.count} orders with it, ${reason.pair.lift.toFixed(1)} times as often as by chance`
      : reason.why === "alike"
        ? `shares ${sharedWords(product, other).slice(0, 3).join(", ") || "its collection"}`
        : "chosen by you";
  return (
    <Group title="Where it stands">
      <Autocomplete
        multiple
        options={byHand}
        getOptionLabel={(c) => c.title}
        value={byHand.filter((c) => product.collections.includes(c.id))}
        onChange={(_e, next) => set({ collections: next.map((c) => c.id) })}
        renderInput={(params) => (
          <TextField {...params} label="Collections" helperText="Collections by rules find it by themselves." />
        )}
      />
      <Autocomplete
        multiple
        freeSolo
        options={tags}
        value={[...product.tags]}
        onChange={(_e, next) => set({ tags: [...new Set(next.map((t) => t.trim()).filter(Boolean))] })}
        renderInput={(params) => (
          <TextField {...params} label="Tags" helperText="Enter adds one. Shoppers don’t see them." />
        )}
      />
      <Autocomplete
        multiple
        options={others}
        getOptionLabel={(p) => p.title}
        getOptionKey={(p) => p.id}
        value={product.related.flatMap((id) => others.find((p) => p.id === id) ?? [])}
        onChange={(_e, next) => set({ related: next.map((p) => p.id) })}
        renderInput={(params) => (
          <TextField
            {...params}
            label="Goes with"
            helperText={product.related.length ? undefined : "Choose, or leave it to what shoppers do:"}
          />
        )}
      />
      {product.related.length === 0 && suggested.length ? (
        <Box component="ul" aria-label="Worked out" sx={{ m: 0, pl: 0, listStyle: "none", display: "grid", gap: 0.5 }}>
          {suggested.map((s) => (
            <Box component="li" key={s.product.id} sx={{ display: "flex", gap: 1, alignItems: "baseline" }}>
              <Chip size="small" variant="outlined" label={s.product.title} />
              <Typography variant="body2" color="text.secondary">
                {why(s.product, s)}
              </Typography>
            </Box>
          ))}
        </Box>
      ) : null}
    </Group>
  );
}
