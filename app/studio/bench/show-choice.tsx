import { Autocomplete, Box, Button, Divider, Menu, MenuItem, TextField, Typography } from "@mui/material";
import { ChevronDown } from "lucide-react";
import { useMemo, useState } from "react";
import { useSearchParams } from "react-router";
import { layoutProps, entryOf } from "~/core/document";
import { ALL_GOODS, collectionAddress, productAddress } from "~/core/addresses";
import { offersOf } from "~/core/offers";
import { hardCases, targetFor, targetName } from "~/render";
import { useStudio } from "../keeping";

type ShownPage = { readonly label: string; readonly address: string };

/** As which page of the shop a layout is looked at: any product or collection, and the hard cases. Nothing for other pages. */
export function ShowChoice({ page, show }: { page: string; show: string | null }) {
  const documents = useStudio((s) => s.draft.documents);
  const goods = useStudio((s) => s.goods);
  const offers = useStudio((s) => offersOf(s.draft.documents));
  const document = entryOf(documents, page);
  const sort = document && layoutProps(document)?.of;
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const [, setSearch] = useSearchParams();
  const cases = useMemo(() => (sort ? hardCases(sort, goods, offers) : []), [sort, goods, offers]);
  const things = useMemo<readonly ShownPage[]>(
    () =>
      sort === "product"
        ? goods.products.map((p) => ({ label: p.title, address: productAddress(p) }))
        : sort === "collection"
          ? [
              ...goods.collections.map((c) => ({ label: c.title, address: collectionAddress(c) })),
              { label: "Everything", address: ALL_GOODS },
            ]
          : [],
    [sort, goods],
  );
  if (!sort || (cases.length === 0 && things.length === 0)) return null;
  const target = targetFor(documents, goods, page, show);
  const now = cases.find((c) => c.address === show)?.name;
  const choose = (address: string) => {
    setAnchor(null);
    setSearch(
      (search) => {
        const next = new URLSearchParams(search);
        next.set("show", address);
        return next;
      },
      { replace: true },
    );
  };
  return (
    <>
      <Button
        size="small"
        variant="outlined"
        aria-haspopup="dialog"
        onClick={(event) => setAnchor(event.currentTarget)}
        endIcon={<ChevronDown size={14} aria-hidden />}
        sx={{ minWidth: 0, maxWidth: 320 }}
      >
        <Typography component="span" variant="body2" noWrap>
          as <b>{targetName(target, documents)}</b>
          {now ? `: ${now.toLowerCase()}` : ""}
        </Typography>
      </Button>
      <Menu
        anchorEl={anchor}
        open={anchor !== null}
        onClose={() => setAnchor(null)}
        slotProps={{ paper: { sx: { width: 330 } }, list: { "aria-label": "Look at it as" } }}
      >
        {things.length ? (
          <Box component="li" sx={{ px: 2, pt: 1, pb: 1.5, listStyle: "none" }} onKeyDown={(e) => e.stopPropagation()}>
            <Autocomplete<ShownPage>
              size="small"
              options={things}
              getOptionLabel={(t) => t.label}
              getOptionKey={(t) => t.address}
              onChange={(_e, next) => next && choose(next.address)}
              renderInput={(params) => (
                <TextField {...params} label={sort === "product" ? "Any product" : "Any collection"} />
              )}
            />
          </Box>
        ) : null}
        {things.length ? <Divider component="li" /> : null}
        <Typography component="li" variant="caption" color="text.secondary" sx={{ px: 2, py: 0.5 }}>
          Hard cases
        </Typography>
        {cases.map((c) => (
          <MenuItem key={`${c.name} ${c.address}`} selected={c.address === show} onClick={() => choose(c.address)}>
            {c.name}
          </MenuItem>
        ))}
      </Menu>
    </>
  );
}
