import { MenuItem, TextField } from "@mui/material";
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
  return (
    <TextField
      select
      label="Stands beneath"
      value={value ?? ""}
      onChange={(event) => onChange(event.target.value || null)}
      slotProps={{
        inputLabel: { shrink: true },
        select: { displayEmpty: true, MenuProps: { slotProps: { paper: { sx: { maxHeight: 320 } } } } },
      }}
    >
      <MenuItem value="">No other page</MenuItem>
      {pages
        .filter((p) => p.document.id !== home && !closed.has(p.document.id))
        .map((p) => (
          <MenuItem key={p.document.id} value={p.document.id} sx={{ pl: 2 + p.depth * 2 }}>
            {p.document.title}
          </MenuItem>
        ))}
    </TextField>
  );
}
