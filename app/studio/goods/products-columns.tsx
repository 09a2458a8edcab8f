import { entryOf } from "~/core/document";
import { Box, Typography } from "@mui/material";
import type { GridColDef } from "@mui/x-data-grid";
import { Link } from "react-router";
import {
  AVAILABILITIES,
  AVAILABILITY_WORDS,
  priceSpan,
  productOn,
  stateOf,
  stateWords,
  type Availability,
  type AvailabilityWords,
  type StoredProduct,
} from "~/core/goods";
import { decimalMoney, formatMoney } from "~/core/money";
import { sourceOf, type Picture } from "~/core/pictures";
import { INK } from "../ui";

const DOT: Readonly<Partial<Record<Availability, string>>> = {
  "in-stock": INK.leaf,
  low: "#B97A12",
  "sold-out": INK.soft,
  discontinued: INK.soft,
};

/** Pieces there are of all variants together; null where none are counted. */
export const stockOf = (p: StoredProduct): number | null =>
  p.variants.length
    ? p.variants.reduce<number | null>((sum, v) => (v.stock === null ? sum : (sum ?? 0) + v.stock), null)
    : p.stock;

type ColumnsGiven = {
  readonly pictureOf: ReadonlyMap<string, Picture>;
  readonly titles: ReadonlyMap<string, string>;
  readonly shop: string;
  readonly currency: string;
  readonly locale: string;
  readonly moneyFormat: string;
  /** As in ISO 8601; what was to come by then is there. */
  readonly day: string;
  readonly words: AvailabilityWords;
  readonly waiting: Readonly<Record<string, number>>;
};

/** The columns of the table of goods. */
export const columnsOf = ({
  pictureOf,
  titles,
  shop,
  currency,
  locale,
  moneyFormat,
  day,
  words,
  waiting,
}: ColumnsGiven): GridColDef<StoredProduct>[] => [
  {
    field: "picture",
    headerName: "Picture",
    renderHeader: () => null,
    width: 64,
    sortable: false,
    filterable: false,
    renderCell: ({ row }) => {
      const picture = pictureOf.get(row.pictures[0] ?? "");
      return picture ? (
        <Box
          component="img"
          loading="lazy"
          src={sourceOf(picture, 160)}
          alt=""
          sx={{ width: 36, height: 44, objectFit: "cover", borderRadius: 0.5, display: "block", my: 0.5 }}
        />
      ) : (
        <Box sx={{ width: 36, height: 44, border: `1px dashed ${INK.soft}`, my: 0.5 }} title="No picture" />
      );
    },
  },
  {
    field: "title",
    headerName: "Title",
    flex: 1,
    minWidth: 220,
    editable: true,
    renderCell: ({ row }) => (
      <Box sx={{ minWidth: 0, height: "100%", lineHeight: 1.35, display: "grid", alignContent: "center" }}>
        <Typography
          component={Link}
          to={`/s/${shop}/goods/p/${row.id}`}
          noWrap
          sx={{
            fontWeight: 600,
            color: INK.ink,
            display: "block",
            textDecoration: "none",
            "&:hover": { textDecoration: "underline" },
          }}
        >
          {row.title}
        </Typography>
        <Typography variant="caption" color="text.secondary" noWrap component="div">
          {[
            row.variants.length ? `${row.variants.length} variants` : "",
            row.featured ? "featured" : "",
            entryOf(waiting, row.id) ? `${entryOf(waiting, row.id)} wait for it` : "",
            ...row.tags,
          ]
            .filter(Boolean)
            .join(" · ")}
        </Typography>
      </Box>
    ),
  },
  { field: "sku", headerName: "SKU", width: 120, editable: true },
  {
    field: "collections",
    headerName: "Collections",
    width: 190,
    valueGetter: (_v, row) => row.collections.map((c) => titles.get(c)).join(", "),
  },
  {
    field: "availability",
    headerName: "Availability",
    width: 170,
    editable: true,
    type: "singleSelect",
    valueOptions: AVAILABILITIES.map((value) => ({ value, label: AVAILABILITY_WORDS[value] })),
    renderCell: ({ row }) => {
      const today = productOn(row, day);
      const now = stateOf(today);
      return (
        <Box sx={{ display: "flex", alignItems: "center", gap: 0.75, height: "100%" }}>
          <Box
            component="span"
            sx={{
              width: 9,
              height: 9,
              borderRadius: 9,
              flex: "none",
              bgcolor: now === "sold-out" || now === "discontinued" ? "transparent" : (DOT[now] ?? INK.plum),
              border: `1.5px solid ${DOT[now] ?? INK.plum}`,
            }}
          />
          {stateWords(today, undefined, { day, locale, words })}
        </Box>
      );
    },
  },
  {
    field: "stock",
    headerName: "Stock",
    width: 80,
    align: "right",
    headerAlign: "right",
    editable: true,
    type: "string",
    valueGetter: (_v, row) => stockOf(row),
    renderCell: ({ row }) => stockOf(row) ?? "–",
  },
  {
    field: "sold",
    headerName: "Sells",
    description: "Pieces sold of late; older sales count less",
    width: 80,
    align: "right",
    headerAlign: "right",
    type: "number",
    valueGetter: (_v, row) => row.sold,
    renderCell: ({ row }) => (row.sold ? row.sold.toFixed(1) : "–"),
  },
  {
    field: "price",
    headerName: "Price",
    width: 110,
    align: "right",
    headerAlign: "right",
    editable: true,
    valueGetter: (_v, row) => row.price,
    sortComparator: (a: number, b: number) => a - b,
    renderCell: ({ row }) => {
      const span = priceSpan(row);
      return `${span.most > span.least ? "from " : ""}${formatMoney(span.least, currency, moneyFormat)}`;
    },
    renderEditCell: (params) => (
      <input
        className="cell-edit"
        autoFocus
        aria-label="Price"
        defaultValue={decimalMoney(params.row.price, currency)}
        onFocus={(e) => e.currentTarget.select()}
        onChange={(e) => void params.api.setEditCellValue({ id: params.id, field: "price", value: e.target.value })}
      />
    ),
  },
];
