import { Autocomplete, createFilterOptions, TextField } from "@mui/material";
import { productWith, type Product } from "~/core/goods";
import { useStudio } from "../keeping";

/** More than that are not listed at once: whoever looks for one types. */
const filter = createFilterOptions<Product>({ limit: 60 });

type Props = {
  label: string;
  /** Empty: none. */
  value: string;
  onSet: (product: string) => void;
};

/** One product, chosen by name. */
export function ProductChoice({ label, value, onSet }: Props) {
  const goods = useStudio((s) => s.goods);
  return (
    <Autocomplete
      size="small"
      options={goods.products}
      filterOptions={filter}
      getOptionLabel={(each) => each.title}
      getOptionKey={(each) => each.id}
      isOptionEqualToValue={(a, b) => a.id === b.id}
      value={productWith(goods, value) ?? null}
      onChange={(_e, next) => next && onSet(next.id)}
      renderInput={(params) => <TextField {...params} label={label} />}
    />
  );
}
