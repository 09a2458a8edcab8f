import { Alert, Box, Button, ListSubheader, Menu, MenuItem, TextField, Typography, Skeleton } from "@mui/material";
import { DataGrid, type GridRowSelectionModel } from "@mui/x-data-grid";
import { Archive, ArchiveRestore, Copy, Download, FileUp, Plus } from "lucide-react";
import { useEffect, useMemo, useState } from "react";
import { Link, useNavigate, useSearchParams } from "react-router";
import {
  AVAILABILITIES,
  AVAILABILITY_WORDS,
  isInCollection,
  productOn,
  stateOf,
  type GoodsRequest,
  type StoredProduct,
} from "~/core/goods";
import { parseMoney } from "~/core/money";
import { useStudio } from "../keeping";
import { Blank, FindField, INK, pageNonce, useIsThere } from "../ui";
import { useChange, useGoods, useSay } from "./data";
import { BULK, BulkDialog, type BulkKind } from "./products-bulk";
import { useRemoval } from "./removal";
import { columnsOf, stockOf } from "./products-columns";

const NONE: GridRowSelectionModel = { type: "include", ids: new Set() };
const gridNonce = () => {
  const nonce = pageNonce();
  return nonce ? { nonce } : {};
};

/** All goods as a table: find, filter, change in place, change many at once. */
export function ProductsTable() {
  const { products, collections, settings, waiting } = useGoods();
  const pictures = useStudio((s) => s.pictures);
  const goods = useStudio((s) => s.goods);
  const { id: shop, currency, locale, moneyFormat } = useStudio((s) => s.shop);
  const { send, isBusy } = useChange();
  const say = useSay();
  const navigate = useNavigate();
  // The table is measured before it is drawn, and writes sizes that only a browser may set.
  const isThere = useIsThere();
  const [search, setSearch] = useSearchParams();
  const [selected, setSelected] = useState(NONE);
  const [problem, setProblem] = useState<string | null>(null);
  const [menu, setMenu] = useState<{ anchor: HTMLElement; of: "bulk" | "save" } | null>(null);
  const [bulk, setBulk] = useState<BulkKind | null>(null);
  // The address follows what is chosen here, so that it can be kept and come back to; it is not waited for.
  const [filters, setFilters] = useState(() => ({
    find: search.get("find") ?? "",
    in: search.get("in") ?? "",
    state: search.get("state") ?? "",
    archived: search.get("archived") ?? "",
  }));
  const { find: sought, in: collection, state } = filters;
  const { day } = goods.asOf;
  const isArchive = filters.archived === "1";
  const set = (name: keyof typeof filters, value: string) => setFilters((now) => ({ ...now, [name]: value }));
  useEffect(() => {
    const next = new URLSearchParams(Object.entries(filters).filter(([, value]) => value));
    // To go where one is would call off a way to another page that has just begun.
    if (next.toString() === new URLSearchParams(window.location.search).toString()) return;
    setSearch(next, { replace: true, preventScrollReset: true });
  }, [filters, setSearch]);
  const pictureOf = useMemo(() => new Map(pictures.map((p) => [p.id, p])), [pictures]);
  const titles = useMemo(() => new Map(collections.map((c) => [c.id, c.title])), [collections]);
  const archived = products.filter((p) => p.archived).length;

  const rows = useMemo(() => {
    const words = sought.trim().toLowerCase().split(/\s+/).filter(Boolean);
    const inside = collections.find((c) => c.id === collection);
    return products.filter((p) => {
      if (p.archived !== isArchive) return false;
      if (
        inside &&
        !(p.archived
          ? p.collections.includes(inside.id)
          : isInCollection(goods, p, inside) || p.collections.includes(inside.id))
      )
        return false;
      if (state === "no-picture" ? p.pictures.length > 0 : state && stateOf(productOn(p, day)) !== state) return false;
      if (words.length === 0) return true;
      const text =
        `${p.title} ${p.sku} ${p.barcode} ${p.tags.join(" ")} ${p.variants.map((v) => `${v.sku} ${v.values.join(" ")}`).join(" ")} ${p.collections.map((c) => titles.get(c)).join(" ")} ${Object.values(p.attributes).join(" ")}`.toLowerCase();
      return words.every((w) => text.includes(w));
    });
  }, [products, goods, sought, collection, collections, state, isArchive, titles, day]);

  const columns = useMemo(
    () => columnsOf({ pictureOf, titles, shop, currency, locale, moneyFormat, day, words: settings.words, waiting }),
    [pictureOf, titles, shop, currency, locale, moneyFormat, day, settings.words, waiting],
  );

  const update = async (next: StoredProduct, old: StoredProduct): Promise<StoredProduct> => {
    setProblem(null);
    const change: Record<string, unknown> = {};
    if (next.title !== old.title) change.title = next.title.trim();
    if (next.sku !== old.sku) change.sku = next.sku.trim();
    if (next.availability !== old.availability) change.availability = next.availability;
    const stock = next.stock as unknown;
    const wasStock = stockOf(old);
    if (stock !== wasStock && String(stock ?? "") !== String(wasStock ?? "")) {
      if (old.variants.length) throw new Error("The stock of variants is set one by one: open the product.");
      const text = String(stock ?? "").trim();
      if (!/^\d{0,7}$/.test(text)) throw new Error(`“${text}” is not a whole number.`);
      change.stock = text === "" ? null : Number(text);
    }
    const price = next.price as unknown;
    if (typeof price === "string") {
      const parsed = parseMoney(price, currency);
      if (!parsed.ok) throw new Error(parsed.why);
      if (parsed.amount !== old.price) change.price = parsed.amount;
    }
    if (Object.keys(change).length === 0) return old;
    const answer = await send({ intent: "bulk", change: { ids: [old.id], set: change } });
    if (!answer.ok) throw new Error(answer.problems[0]?.why ?? answer.why);
    return { ...old, ...change };
  };

  const ids = useMemo(
    () =>
      selected.type === "include"
        ? rows.filter((r) => selected.ids.has(r.id)).map((r) => r.id)
        : rows.filter((r) => !selected.ids.has(r.id)).map((r) => r.id),
    [selected, rows],
  );
  const many = async (change: GoodsRequest, good: string) => {
    if (say(await send(change), good)) setSelected(NONE);
  };
  const removal = useRemoval();
  const countWords = ids.length === 1 ? "1 product" : `${ids.length} products`;
  return (
    <Box sx={{ display: "flex", flexDirection: "column", minHeight: 0, overflowY: "auto", p: 2, gap: 1.5 }}>
      {removal.dialog}
      <Box sx={{ display: "flex", alignItems: "center", gap: 1.25, flexWrap: "wrap" }}>
        <Typography variant="h1" sx={{ mr: 1 }}>
          Goods
        </Typography>
        {products.length ? (
          <>
            <FindField label="Find" value={sought} onChange={(v) => set("find", v)} width={210} />
            <TextField
              select
              label="Collection"
              value={collection}
              onChange={(e) => set("in", e.target.value)}
              sx={{ width: 180 }}
            >
              <MenuItem value="">All</MenuItem>
              {collections.map((c) => (
                <MenuItem key={c.id} value={c.id}>
                  {c.title}
                </MenuItem>
              ))}
            </TextField>
            <TextField
              select
              label="State"
              value={state}
              onChange={(e) => set("state", e.target.value)}
              sx={{ width: 160 }}
            >
              <MenuItem value="">Any</MenuItem>
              {AVAILABILITIES.map((a) => (
                <MenuItem key={a} value={a}>
                  {AVAILABILITY_WORDS[a]}
                </MenuItem>
              ))}
              <MenuItem value="no-picture">Without a picture</MenuItem>
            </TextField>
          </>
        ) : null}
        {archived || isArchive ? (
          <Button
            size="small"
            variant={isArchive ? "contained" : "text"}
            aria-pressed={isArchive}
            onClick={() => set("archived", isArchive ? "" : "1")}
          >
            Archived ({archived})
          </Button>
        ) : null}
        <Box sx={{ flex: 1 }} />
        {products.length ? (
          <>
            <Button
              variant="outlined"
              startIcon={<Download size={16} aria-hidden />}
              aria-haspopup="menu"
              onClick={(e) => setMenu({ anchor: e.currentTarget, of: "save" })}
            >
              Save as a file
            </Button>
            <Button
              variant="outlined"
              component={Link}
              to={`/s/${shop}/goods/import`}
              startIcon={<FileUp size={16} aria-hidden />}
            >
              Import goods
            </Button>
          </>
        ) : null}
        <Button
          variant="contained"
          component={Link}
          to={`/s/${shop}/goods/p/new`}
          startIcon={<Plus size={16} aria-hidden />}
        >
          New product
        </Button>
      </Box>
      {ids.length ? (
        <Box
          role="toolbar"
          aria-label="What is chosen"
          sx={{
            display: "flex",
            alignItems: "center",
            gap: 1,
            flexWrap: "wrap",
            px: 1.5,
            py: 0.75,
            bgcolor: INK.ink,
            color: INK.paper,
            borderRadius: 1,
            "& .MuiButton-root": { color: INK.paper },
          }}
        >
          <Typography sx={{ fontWeight: 600, mr: 1 }}>{countWords} chosen</Typography>
          <Button
            size="small"
            aria-haspopup="menu"
            disabled={isBusy}
            onClick={(e) => setMenu({ anchor: e.currentTarget, of: "bulk" })}
          >
            Change all …
          </Button>
          {ids.length === 1 ? (
            <Button
              size="small"
              startIcon={<Copy size={15} aria-hidden />}
              disabled={isBusy}
              onClick={async () => {
                const answer = await send({ intent: "duplicate", id: ids[0]! });
                say(answer, "Duplicated. The copy is archived until you are done with it.");
                if (answer.ok) void navigate(`/s/${shop}/goods/p/${answer.value.id}`);
              }}
            >
              Duplicate
            </Button>
          ) : null}
          <Button
            size="small"
            disabled={isBusy}
            startIcon={isArchive ? <ArchiveRestore size={15} aria-hidden /> : <Archive size={15} aria-hidden />}
            onClick={() =>
              void many(
                { intent: "bulk", change: { ids, set: { archived: !isArchive } } },
                isArchive
                  ? `${countWords} back in the shop.`
                  : `${countWords} archived: no longer in the shop. Ctrl+Z takes it back.`,
              )
            }
          >
            {isArchive ? "Back into the shop" : "Archive"}
          </Button>
          {isArchive ? (
            <Button
              size="small"
              disabled={isBusy}
              onClick={() =>
                removal.remove(
                  `Remove ${countWords} for good?`,
                  "product",
                  ids,
                  () => void many({ intent: "remove", ids }, `${countWords} removed. Ctrl+Z takes it back.`),
                )
              }
            >
              Remove for good
            </Button>
          ) : null}
          <Box sx={{ flex: 1 }} />
          <Button size="small" onClick={() => setSelected(NONE)}>
            Choose none
          </Button>
        </Box>
      ) : null}
      {problem ? (
        <Alert severity="error" onClose={() => setProblem(null)}>
          {problem}
        </Alert>
      ) : null}
      {products.length === 0 ? (
        <Blank
          title="No goods yet"
          text="Import a file with a line for each product, or make the first one by hand. You see what was understood before anything is stored."
          action={
            <Button
              variant="contained"
              component={Link}
              to={`/s/${shop}/goods/import`}
              startIcon={<FileUp size={17} aria-hidden />}
            >
              Import goods
            </Button>
          }
        />
      ) : rows.length === 0 ? (
        <Blank
          title="Nothing found"
          text={
            sought ? `No product has “${sought}” in its title, SKU, tags or collection.` : "Nothing fits these filters."
          }
          action={<Button onClick={() => setFilters({ find: "", in: "", state: "", archived: "" })}>Show all</Button>}
        />
      ) : (
        <Box sx={{ flex: 1, minHeight: 320 }}>
          {isThere ? (
            <DataGrid
              {...gridNonce()}
              aria-label="Goods"
              rows={rows}
              columns={columns}
              rowHeight={54}
              columnHeaderHeight={40}
              checkboxSelection
              disableRowSelectionOnClick
              disableColumnMenu
              rowSelectionModel={selected}
              onRowSelectionModelChange={setSelected}
              initialState={{ pagination: { paginationModel: { pageSize: 100 } } }}
              pageSizeOptions={[25, 50, 100]}
              processRowUpdate={update}
              onProcessRowUpdateError={(error: unknown) =>
                setProblem(error instanceof Error ? error.message : "That could not be done.")
              }
              isCellEditable={({ field, row }: { readonly field: string; readonly row: StoredProduct }) =>
                !(field === "stock" && row.variants.length > 0)
              }
              localeText={{ noRowsLabel: "Nothing here", paginationRowsPerPage: "On a page" }}
              sx={{
                bgcolor: INK.raised,
                borderColor: INK.line,
                "--DataGrid-containerBackground": INK.paper,
                "& .MuiDataGrid-columnHeaderTitle": { fontWeight: 650 },
                "& .MuiDataGrid-columnSeparator": { color: INK.line },
                "& .MuiDataGrid-cell": { borderColor: INK.line, fontVariantNumeric: "tabular-nums" },
                "& .MuiDataGrid-cell:focus, & .MuiDataGrid-cell:focus-within": {
                  outline: `2px solid ${INK.ink}`,
                  outlineOffset: -2,
                },
                "& .MuiDataGrid-row.Mui-selected, & .MuiDataGrid-row.Mui-selected:hover": {
                  bgcolor: INK.wash,
                },
                "& .cell-edit": {
                  width: "100%",
                  height: "100%",
                  border: 0,
                  outline: 0,
                  textAlign: "right",
                  font: "inherit",
                  padding: "0 10px",
                  background: "none",
                },
              }}
            />
          ) : (
            <Skeleton variant="rectangular" animation={false} sx={{ height: "100%" }} />
          )}
        </Box>
      )}
      <Menu anchorEl={menu?.anchor ?? null} open={menu?.of === "bulk"} onClose={() => setMenu(null)}>
        {BULK.map(([kind, label]) => (
          <MenuItem
            key={kind}
            onClick={() => {
              setBulk(kind);
              setMenu(null);
            }}
          >
            {label}
          </MenuItem>
        ))}
        <MenuItem
          onClick={() => {
            setMenu(null);
            void many({ intent: "bulk", change: { ids, set: { featured: true } } }, `${countWords} featured.`);
          }}
        >
          Feature them
        </MenuItem>
      </Menu>
      <Menu anchorEl={menu?.anchor ?? null} open={menu?.of === "save"} onClose={() => setMenu(null)}>
        <ListSubheader>All goods, to change elsewhere and bring in again</ListSubheader>
        {(["xlsx", "csv"] as const).map((format) => (
          <MenuItem
            key={format}
            component="a"
            href={`/s/${shop}/goods.${format}`}
            download
            onClick={() => setMenu(null)}
          >
            {format === "xlsx" ? "Workbook (XLSX)" : "Comma-separated (CSV)"}
          </MenuItem>
        ))}
      </Menu>
      {bulk ? (
        <BulkDialog
          kind={bulk}
          ids={ids}
          onClose={(done) => {
            setBulk(null);
            if (done) setSelected(NONE);
          }}
        />
      ) : null}
    </Box>
  );
}
