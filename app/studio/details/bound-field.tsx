import { Box, FormControlLabel, ListSubheader, MenuItem, Radio, RadioGroup, TextField } from "@mui/material";
import { useMemo } from "react";
import { setProp } from "~/core/commands";
import { layoutProps, ownFieldsOf, type Json, type PageDocument, type Part } from "~/core/document";
import { attributeNames } from "~/core/goods";
import { boundOf, nameOf, type Bound, type BoundAs } from "~/kinds";
import { ATTRIBUTE } from "~/render";
import { useStudio, useStudioStore } from "../keeping";

type Choice = { readonly of: Bound["of"]; readonly field: string; readonly name: string };

/** The fields that something in a document can take what it shows from. */
function useChoices(document: PageDocument | undefined, as: BoundAs): readonly Choice[] {
  const documents = useStudio((s) => s.draft.documents);
  const products = useStudio((s) => s.goods.products);
  const attributes = useMemo(() => attributeNames(products), [products]);
  const sort = document && layoutProps(document)?.of;
  if (!document) return [];
  const ownOf = (of: "page" | "product") =>
    ownFieldsOf(documents, of)
      .filter(({ sort: holds }) => (holds === "picture" || holds === "link" ? holds : "words") === as)
      .map(({ id, name }): Choice => ({ of, field: id, name }));
  if (sort === "product") {
    if (as !== "words") return ownOf("product");
    const known = [
      ["title", "Title"],
      ["price", "Price"],
      ["sku", "SKU"],
      ["tags", "Tags"],
    ] as const;
    return [
      ...known.map(([field, name]): Choice => ({ of: "product", field, name })),
      ...ownOf("product"),
      ...attributes.map((name): Choice => ({ of: "product", field: ATTRIBUTE + name, name })),
    ];
  }
  if (sort === "collection") return as === "words" ? [{ of: "collection", field: "title", name: "Title" }] : [];
  if (sort !== undefined && sort !== "post") return [];
  const known = [
    ["title", "Name"],
    ["summary", "Summary"],
    ["author", "Author"],
    ["date", "Day"],
  ] as const;
  return [
    ...(as === "words" ? known.map(([field, name]): Choice => ({ of: "page", field, name })) : []),
    ...ownOf("page"),
  ];
}

const HERE: Readonly<Record<BoundAs, string>> = {
  words: "What is written here",
  picture: "The picture chosen here",
  link: "What is chosen here",
};
const OF = { page: "Of the page", product: "Of the product", collection: "Of the collection" } as const;
const keyOf = ({ of, field }: Pick<Choice, "of" | "field">) => `${of} ${field}`;

/** Where a widget takes what it shows from: what is written in it, or a field of what it stands on. */
export function BoundField({ node, document, as }: { node: Part; document: PageDocument | undefined; as: BoundAs }) {
  const store = useStudioStore();
  const choices = useChoices(document, as);
  const bound = boundOf(node);
  if (choices.length === 0 && !bound) return null;
  const set = (next: Bound | undefined) => {
    const state = store.getState();
    const value = next as unknown as Json | undefined;
    const why = state.run(setProp(state.draft, node.id, ["bound"], value, `Where ${nameOf(node)} takes it from`));
    if (why) state.say(why, "problem");
  };
  const known = bound && choices.find((choice) => keyOf(choice) === keyOf(bound));
  const first = choices[0]?.of;
  return (
    <Box sx={{ display: "grid", gap: 1, gridTemplateColumns: "minmax(0,1fr)" }}>
      <TextField
        select
        label={as === "link" ? "Leads to what is said in" : "Taken from"}
        value={known ? keyOf(known) : bound ? "gone" : "own"}
        error={bound !== undefined && !known}
        helperText={bound && !known ? "The field that it took this from is gone." : undefined}
        onChange={(event) => {
          const chosen = choices.find((choice) => keyOf(choice) === event.target.value);
          set(chosen && { of: chosen.of, field: chosen.field, empty: bound?.empty ?? "nothing" });
        }}
      >
        <MenuItem value="own">{HERE[as]}</MenuItem>
        {bound && !known ? (
          <MenuItem value="gone" disabled>
            A field that is gone
          </MenuItem>
        ) : null}
        {first ? <ListSubheader role="presentation">{OF[first]}</ListSubheader> : null}
        {choices.map((choice) => (
          <MenuItem key={keyOf(choice)} value={keyOf(choice)}>
            {choice.name}
          </MenuItem>
        ))}
      </TextField>
      {bound ? (
        <RadioGroup
          aria-label="Where that is empty"
          value={bound.empty}
          onChange={(_e, empty) => set({ ...bound, empty: empty === "own" ? "own" : "nothing" })}
        >
          <FormControlLabel value="nothing" control={<Radio size="small" />} label="Nothing, where that is empty" />
          <FormControlLabel value="own" control={<Radio size="small" />} label={`${HERE[as]}, where that is empty`} />
        </RadioGroup>
      ) : null}
    </Box>
  );
}
