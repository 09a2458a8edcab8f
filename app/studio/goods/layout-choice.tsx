import { MenuItem, TextField, Typography } from "@mui/material";
import { Link } from "react-router";
import { setLayoutFor } from "~/core/commands";
import { layoutFor, layoutProps, layoutsOf, entryOf } from "~/core/document";
import { useStudio, useStudioStore } from "../keeping";

type LayoutChoiceProps = {
  sort: "product" | "collection";
  id: string;
  /** The collections by which a layout may be its own without naming it. */
  collections: readonly string[];
  /** Its page in the shop. */
  address: string;
};

/** By which layout a page is drawn, and the choice of another. A part of the draft, not of the goods: it waits for Publish. */
export function LayoutChoice({ sort, id, collections, address }: LayoutChoiceProps) {
  const store = useStudioStore();
  const documents = useStudio((s) => s.draft.documents);
  const shop = useStudio((s) => s.shop.id);
  const layouts = layoutsOf(documents, sort);
  const key = sort === "product" ? "products" : "collections";
  const named = layouts.find((d) => d.id !== sort && layoutProps(d)![key].includes(id));
  const without = sort === "product" ? layoutFor(documents, sort, { collections }) : documents[sort];
  const drawn = named ?? without;
  const title = without?.title ?? "Product";
  const choose = (next: string) => {
    const to = entryOf(documents, next || named!.id)!;
    const { products, collections: chosen } = layoutProps(to)!;
    const lists = { products, collections: chosen };
    const list = next ? [...lists[key], id] : lists[key].filter((other) => other !== id);
    store.getState().run(setLayoutFor(store.getState().draft, to.id, { ...lists, [key]: list }));
  };
  const open = <Link to={`/s/${shop}/pages?page=${drawn?.id ?? sort}&show=${address}`}>Open it on the bench</Link>;
  if (layouts.length < 2)
    return (
      <Typography variant="body2" color="text.secondary">
        Its page is drawn by the layout “{title}”, like all others. {open}
      </Typography>
    );
  return (
    <TextField
      select
      label="Layout of its page"
      value={named?.id ?? ""}
      onChange={(e) => choose(e.target.value)}
      helperText={<>Shoppers see it once you publish. {open}</>}
      slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
    >
      <MenuItem value="">{without?.id === sort ? `${title}, as for all` : `${title}, by its collection`}</MenuItem>
      {layouts
        .filter((d) => d.id !== sort)
        .map((d) => (
          <MenuItem key={d.id} value={d.id}>
            {d.title}
          </MenuItem>
        ))}
    </TextField>
  );
}
