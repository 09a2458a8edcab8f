import { Box, Button, TextField, Typography } from "@mui/material";
import { collectionAddress, productAddress } from "~/core/addresses";
import { setPattern, type Outcome } from "~/core/commands";
import { entryOf, layoutFor, layoutProps, type PageDocument } from "~/core/document";
import { collectionsWith } from "~/core/goods";
import { LONGEST_DESCRIPTION, LONGEST_SEARCH_TITLE } from "~/kinds";
import { madeFromCollection, madeFromProduct, PATTERN_WORDS } from "~/render";
import { useStudio, useStudioStore } from "../keeping";
import { hostOf, ResultPreview } from "../sharing";

const WORD_NAMES: Readonly<Record<(typeof PATTERN_WORDS)[number], string>> = {
  name: "its name",
  shop: "the shop’s name",
};

/** Something that is shown in a layout, and what is made for it. */
function useExample(layout: PageDocument) {
  const documents = useStudio((s) => s.draft.documents);
  const identity = useStudio((s) => s.draft.look.identity);
  const goods = useStudio((s) => s.goods);
  if (layoutProps(layout)?.of === "product") {
    const its = (id: string, collections: readonly string[]) =>
      layoutFor(documents, "product", { product: id, collections })?.id === layout.id;
    const product = goods.products.find((p) => its(p.id, collectionsWith(goods, p))) ?? goods.products[0];
    return product && { made: madeFromProduct(product, identity, layout), path: productAddress(product) };
  }
  const its = (id: string) => layoutFor(documents, "collection", { collections: [id] })?.id === layout.id;
  const collection = goods.collections.find((c) => its(c.id)) ?? goods.collections[0];
  return collection && { made: madeFromCollection(collection, identity, layout), path: collectionAddress(collection) };
}

/** How titles and descriptions of all pages of a layout are made, where the goods say nothing of their own. */
export function LayoutSharingFields({ layout: id }: { layout: string }) {
  const store = useStudioStore();
  const layout = useStudio((s) => entryOf(s.draft.documents, id)!);
  const shop = useStudio((s) => s.shop.address);
  const example = useExample(layout);
  const { of, titlePattern = "", descriptionPattern = "" } = layoutProps(layout)!;
  const run = (outcome: Outcome) => {
    const why = store.getState().run(outcome);
    if (why) store.getState().say(why, "problem");
  };
  const set = (which: "titlePattern" | "descriptionPattern", pattern: string) =>
    run(setPattern(store.getState().draft, id, which, pattern));
  const what = of === "product" ? "product" : "collection";
  const words = (which: "titlePattern" | "descriptionPattern", value: string) => (
    <Box sx={{ display: "flex", flexWrap: "wrap", gap: 0.5, mt: 0.5 }}>
      {PATTERN_WORDS.map((word) => (
        <Button
          key={word}
          size="small"
          variant="outlined"
          onClick={() => set(which, `${value}${value === "" || value.endsWith(" ") ? "" : " "}[${word}]`)}
        >
          Put in {WORD_NAMES[word]}
        </Button>
      ))}
    </Box>
  );
  return (
    <Box
      sx={{ display: "grid", gridTemplateColumns: { xs: "minmax(0,1fr)", md: "minmax(0,1fr) minmax(0,1fr)" }, gap: 3 }}
    >
      <Box sx={{ display: "grid", gap: 2, alignContent: "start" }}>
        <Box>
          <TextField
            fullWidth
            label="Title of its pages"
            value={titlePattern}
            placeholder="[name] · [shop]"
            helperText={`[name] is the ${what}’s. What a ${what} says for itself goes before this.`}
            onChange={(e) => set("titlePattern", e.target.value)}
            slotProps={{ htmlInput: { maxLength: LONGEST_SEARCH_TITLE }, inputLabel: { shrink: true } }}
          />
          {words("titlePattern", titlePattern)}
        </Box>
        <Box>
          <TextField
            fullWidth
            multiline
            minRows={2}
            label="Description of its pages"
            value={descriptionPattern}
            placeholder={`The first words about the ${what}`}
            onChange={(e) => set("descriptionPattern", e.target.value)}
            slotProps={{ htmlInput: { maxLength: LONGEST_DESCRIPTION }, inputLabel: { shrink: true } }}
          />
          {words("descriptionPattern", descriptionPattern)}
        </Box>
      </Box>
      {example ? (
        <ResultPreview
          address={hostOf(shop) + example.path}
          unlisted={false}
          title={example.made.title}
          description={example.made.description}
        />
      ) : (
        <Typography variant="body2" color="text.secondary">
          There is no {what} yet to show it with.
        </Typography>
      )}
    </Box>
  );
}
