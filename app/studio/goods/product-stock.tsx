import { entryOf, layoutFor } from "~/core/document";
import { FormControlLabel, Switch, TextField, Typography } from "@mui/material";
import {
  AVAILABILITIES,
  AVAILABILITY_ABOUT,
  AVAILABILITY_WORDS,
  barcodeProblem,
  collectionsWith,
  LONGEST_SHARED,
  productOn,
  stateOf,
  stateWords,
  type Product,
} from "~/core/goods";
import { productAddress } from "~/core/addresses";
import { madeFromProduct } from "~/render";
import { useStudio } from "../keeping";
import { hostOf, SharingForm } from "../sharing";
import { useGoods } from "./data";
import { Choice, Group, Row, Whole, type FormPart } from "./product-form";

/** Whether it can be had, in which words, and what it is counted and found by. */
export function ProductStock({ product, set, problem }: FormPart) {
  const { settings, waiting } = useGoods();
  const day = useStudio((s) => s.goods.asOf.day);
  const state = stateOf(productOn(product, day));
  return (
    <Group
      title="Whether it can be had"
      about={`The shop says: ${stateWords(productOn(product, day), undefined, { day, words: settings.words })}.${entryOf(waiting, product.id) ? ` ${entryOf(waiting, product.id)} wait to be told.` : ""}`}
    >
      <Row>
        <Choice
          label="Availability"
          value={product.availability}
          options={AVAILABILITIES.map((a) => [a, a === "in-stock" ? "By the stock" : AVAILABILITY_WORDS[a]] as const)}
          onChange={(availability) => set({ availability })}
          hint={AVAILABILITY_ABOUT[product.availability]}
        />
        {product.availability === "coming-soon" || product.availability === "pre-order" ? (
          <TextField
            type="date"
            label="From which day"
            value={product.availableFrom ?? ""}
            error={problem("availableFrom") !== undefined}
            helperText={problem("availableFrom")}
            onChange={(e) => set({ availableFrom: e.target.value || null })}
            slotProps={{ inputLabel: { shrink: true } }}
          />
        ) : null}
        <TextField
          label="In your own words"
          value={product.words[state] ?? ""}
          placeholder={settings.words[state] ?? AVAILABILITY_WORDS[state]}
          helperText="For this product alone. Words for all are under Words and search."
          onChange={(e) => {
            const { [state]: _old, ...words } = product.words;
            set({ words: e.target.value ? { ...words, [state]: e.target.value } : words });
          }}
          slotProps={{ htmlInput: { maxLength: 40 }, inputLabel: { shrink: true } }}
        />
      </Row>
      <Row>
        {product.variants.length ? null : (
          <Whole label="Stock" value={product.stock} empty="not counted" onChange={(stock) => set({ stock })} />
        )}
        <TextField
          label="SKU"
          value={product.sku}
          error={problem("sku") !== undefined}
          helperText={problem("sku")}
          onChange={(e) => set({ sku: e.target.value })}
          slotProps={{ htmlInput: { maxLength: 80 } }}
        />
        {product.variants.length ? null : (
          <TextField
            label="Barcode (EAN-13)"
            value={product.barcode}
            error={(problem("barcode") ?? barcodeProblem(product.barcode)) !== undefined}
            helperText={problem("barcode") ?? barcodeProblem(product.barcode)}
            onChange={(e) => set({ barcode: e.target.value })}
            slotProps={{ htmlInput: { inputMode: "numeric", maxLength: 20 } }}
          />
        )}
        <Whole label="Weight in grams" value={product.weight} empty="unknown" onChange={(weight) => set({ weight })} />
      </Row>
      <FormControlLabel
        control={<Switch checked={product.oversell} onChange={(e) => set({ oversell: e.target.checked })} />}
        label="Can be bought when none are left"
      />
    </Group>
  );
}

/** What search engines are told, and the address. */
export function ProductSearch({
  product,
  set,
  problem,
  stored,
  isKnown,
}: FormPart & { stored: Product; isKnown: boolean }) {
  const shop = useStudio((s) => s.shop);
  const identity = useStudio((s) => s.draft.look.identity);
  const layout = useStudio((s) =>
    layoutFor(s.draft.documents, "product", { product: product.id, collections: collectionsWith(s.goods, product) }),
  );
  return (
    <Group title="Search and sharing" about="What is left empty is taken from title, words and pictures.">
      <SharingForm
        own={product.search}
        made={madeFromProduct(product, identity, layout)}
        from="product"
        address={hostOf(shop.address) + productAddress(product)}
        longest={LONGEST_SHARED}
        isInForm
        isWide={false}
        onChange={(change) => set({ search: { ...product.search, ...change } })}
      />
      <TextField
        label="Address"
        value={product.slug}
        error={problem("slug") !== undefined}
        helperText={
          problem("slug") ??
          (isKnown && product.slug !== stored.slug
            ? "Links from elsewhere to the old address will lead nowhere."
            : undefined)
        }
        onChange={(e) => set({ slug: e.target.value })}
        slotProps={{
          input: { startAdornment: <Typography color="text.secondary">/products/</Typography> },
          htmlInput: { maxLength: 100 },
        }}
      />
    </Group>
  );
}
