import { Autocomplete, Box, TextField } from "@mui/material";
import { siteOf, withBeneath } from "~/core/addresses";
import { useStudio } from "../keeping";

/** The words before a page's own part of its address: the shop's host, and what it stands beneath. */
export function useAddressBefore(parent: string | null): string {
  const shop = useStudio((s) => s.shop.address);
  const documents = useStudio((s) => s.draft.documents);
  const above = parent === null ? undefined : siteOf(documents).byId.get(parent);
  const host = shop.replace(/^https?:\/\//, "").replace(/\/$/, "");
  const path = above && above.address !== "/" ? decodeURI(above.address) : "";
  return `${host}${path}/`;
}

type Parent = { readonly id: string | null; readonly title: string; readonly depth: number };
const NO_PARENT: Parent = { id: null, title: "No other page", depth: 0 };

/** Chooses the page beneath which one stands. `but`: the page itself, beneath which nothing of it can go. */
export function BeneathField({
  value,
  onChange,
  but,
}: {
  value: string | null;
  onChange: (parent: string | null) => void;
  but?: string;
}) {
  const documents = useStudio((s) => s.draft.documents);
  const { pages, byId, home } = siteOf(documents);
  const own = but === undefined ? undefined : byId.get(but);
  const closed = new Set(own ? withBeneath(own).map((p) => p.document.id) : []);
  const options: readonly Parent[] = [
    NO_PARENT,
    ...pages
      .filter((p) => p.document.id !== home && !closed.has(p.document.id))
      .map((p) => ({ id: p.document.id, title: p.document.title, depth: p.depth })),
  ];
  return (
    <Autocomplete
      options={options}
      value={options.find((each) => each.id === value) ?? NO_PARENT}
      disableClearable
      getOptionLabel={(each) => each.title}
      getOptionKey={(each) => each.id ?? ""}
      isOptionEqualToValue={(one, other) => one.id === other.id}
      onChange={(_event, next) => onChange(next.id)}
      renderOption={({ key, ...rest }, each) => (
        <Box component="li" key={key} {...rest} style={{ paddingInlineStart: 16 + each.depth * 16 }}>
          {each.title}
        </Box>
      )}
      renderInput={(params) => <TextField {...params} label="Stands beneath" />}
    />
  );
}
