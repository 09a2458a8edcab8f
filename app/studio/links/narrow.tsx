import {
  Box,
  Button,
  Checkbox,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  FormControlLabel,
  MenuItem,
  TextField,
  Typography,
} from "@mui/material";
import { useState } from "react";
import { entryOf } from "~/core/document";
import {
  isNarrowed,
  list,
  NO_QUERY,
  readQuery,
  SORTS,
  SORT_WORDS,
  writeQuery,
  type Goods,
  type GoodsQuery,
  type Sort,
} from "~/core/goods";
import type { Link } from "~/core/schema";
import { useStudio } from "../keeping";
import { listLink } from "./own-address";

/** So many values of a fact are offered. */
const MOST_VALUES = 12;

/** A link to a list of goods. */
export type ListLink = { readonly to: "collection"; readonly id: string } | Extract<Link, { to: "list" }>;
const queryOf = (link: ListLink, digits: number): GoodsQuery =>
  link.to === "list" ? readQuery(new URLSearchParams(link.query), digits) : NO_QUERY;

/** What narrows a list, in a few words; empty where nothing does. */
export function narrowedWords(link: Link, goods: Goods): string {
  if (link.to !== "list") return "";
  const query = queryOf(link, goods.digits ?? 2);
  const said = [
    ...Object.values(query.wanted).flat(),
    ...(query.now ? ["can be had now"] : []),
    ...(query.reduced ? ["reduced"] : []),
    ...(query.from === null && query.to === null ? [] : ["within a span of prices"]),
    ...(query.sort ? [SORT_WORDS[query.sort].toLowerCase()] : []),
  ];
  return said.join(", ");
}

/** Narrows the list that a link leads to, as shoppers do it, and puts it into an order. */
export function NarrowList({ link, onChange }: { link: ListLink; onChange: (link: Link) => void }) {
  const goods = useStudio((s) => s.goods);
  const [query, setQuery] = useState<GoodsQuery | null>(null);
  const digits = goods.digits ?? 2;
  const collection = goods.collections.find((c) => c.id === link.id);
  const said = narrowedWords(link, goods);
  return (
    <Box sx={{ display: "flex", alignItems: "center", gap: 1, flexWrap: "wrap", mt: 0.5 }}>
      <Typography variant="caption" color="text.secondary" sx={{ flex: 1, minWidth: 0 }}>
        {said ? `Only: ${said}` : "The whole list."}
      </Typography>
      <Button size="small" onClick={() => setQuery(queryOf(link, digits))}>
        {said ? "Change …" : "Narrow it …"}
      </Button>
      {query ? (
        <Narrowing
          title={collection?.title ?? "Everything"}
          shown={list(goods, { collection }, query, { perPage: 1 })}
          query={query}
          onQuery={setQuery}
          onClose={() => setQuery(null)}
          onDone={() => {
            const isAsked = isNarrowed(query) || query.sort !== null;
            onChange(listLink(link.id, isAsked ? writeQuery(query, digits) : ""));
            setQuery(null);
          }}
        />
      ) : null}
    </Box>
  );
}

type NarrowingProps = {
  title: string;
  shown: ReturnType<typeof list>;
  query: GoodsQuery;
  onQuery: (query: GoodsQuery) => void;
  onClose: () => void;
  onDone: () => void;
};

function Narrowing({ title, shown, query, onQuery, onClose, onDone }: NarrowingProps) {
  const toggle = (key: string, value: string) => {
    const now = entryOf(query.wanted, key) ?? [];
    const next = now.includes(value) ? now.filter((v) => v !== value) : [...now, value];
    const { [key]: _old, ...others } = query.wanted;
    onQuery({ ...query, wanted: next.length ? { ...others, [key]: next } : others });
  };
  const check = (label: string, checked: boolean, onToggle: () => void) => (
    <FormControlLabel
      key={label}
      label={label}
      control={<Checkbox size="small" checked={checked} onChange={onToggle} />}
    />
  );
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="narrowing">
      <DialogTitle id="narrowing" component="h2" sx={{ typography: "h2" }}>
        Which of “{title}”
      </DialogTitle>
      <DialogContent sx={{ display: "grid", gap: 2 }}>
        <TextField
          select
          label="Order"
          sx={{ mt: 1 }}
          value={query.sort ?? ""}
          onChange={(e) => onQuery({ ...query, sort: (e.target.value || null) as Sort | null })}
          slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
        >
          <MenuItem value="">As the list is</MenuItem>
          {SORTS.filter((sort) => sort !== "hand").map((sort) => (
            <MenuItem key={sort} value={sort}>
              {SORT_WORDS[sort]}
            </MenuItem>
          ))}
        </TextField>
        <Box component="fieldset" sx={{ border: 0, p: 0, m: 0 }}>
          <Typography component="legend" variant="subtitle2">
            State
          </Typography>
          {check("Can be had now", query.now, () => onQuery({ ...query, now: !query.now }))}
          {check("Reduced", query.reduced, () => onQuery({ ...query, reduced: !query.reduced }))}
        </Box>
        {shown.facets
          .filter((facet) => facet.values.length > 1 || facet.values.some((v) => v.isWanted))
          .map((facet) => (
            <Box component="fieldset" key={facet.key} sx={{ border: 0, p: 0, m: 0, minWidth: 0 }}>
              <Typography component="legend" variant="subtitle2">
                {facet.label}
              </Typography>
              {facet.values
                .filter((v, i) => v.isWanted || i < MOST_VALUES)
                .map((v) =>
                  check(`${v.value}${facet.unit ? ` ${facet.unit}` : ""} (${v.count})`, v.isWanted, () =>
                    toggle(facet.key, v.value),
                  ),
                )}
            </Box>
          ))}
      </DialogContent>
      <DialogActions sx={{ px: 3, pb: 2 }}>
        <Typography role="status" variant="body2" sx={{ mr: "auto" }} color={shown.total ? "text.secondary" : "error"}>
          {shown.total === 1
            ? "1 product"
            : shown.total
              ? `${shown.total} products`
              : "Nothing is left. Take something back."}
        </Typography>
        <Button onClick={onClose}>Cancel</Button>
        <Button variant="contained" disabled={shown.total === 0} onClick={onDone}>
          Lead there
        </Button>
      </DialogActions>
    </Dialog>
  );
}
