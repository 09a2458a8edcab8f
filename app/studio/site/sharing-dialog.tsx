import {
  Box,
  Button,
  Dialog,
  DialogContent,
  DialogTitle,
  ListItemButton,
  ListItemText,
  ToggleButton,
  ToggleButtonGroup,
  Typography,
  useMediaQuery,
} from "@mui/material";
import { X } from "lucide-react";
import { useVirtualizer } from "@tanstack/react-virtual";
import { useEffect, useMemo, useRef, useState, type RefObject } from "react";
import { siteOf } from "~/core/addresses";
import { layoutsOf, pageProps, spread, type Draft } from "~/core/document";
import { descriptionOf } from "~/core/goods";
import { sharedAs } from "~/render";
import { useStudio } from "../keeping";
import { FindField, IconAction, INK, ON_LEMON } from "../ui";
import { GoodsSharingFields, type SharedGoods } from "./goods-sharing";
import { RESULT_WIDTH, widthInResult } from "../sharing";
import { LayoutSharingFields } from "./layout-sharing";
import { SharingFields } from "./sharing-fields";

const UNLISTED = "kept out of search engines";

/** What there is to see to about a page, in a few words; empty where all is well. */
function toSeeTo({ title, description }: { title: string; description: string }): string {
  const isLong = (part: "title" | "description", text: string) => widthInResult(text, part) > RESULT_WIDTH[part];
  if (isLong("title", title)) return "title too long";
  if (isLong("description", description)) return "description too long";
  return description === "" ? "no description" : "";
}

type Row = {
  readonly id: string;
  readonly of: "page" | "layout" | SharedGoods["of"];
  readonly title: string;
  readonly depth: number;
  /** What there is to say of it; empty where it is as it should be. */
  readonly state: string;
  readonly isWrong: boolean;
  readonly isOwn: boolean;
  readonly goods?: SharedGoods;
};

/** The pages with what search engines and shared links say of them. */
function pagesOf({ documents, look }: Draft): readonly Row[] {
  const site = siteOf(documents);
  return site.pages.map(({ document, depth, props }) => {
    const said = sharedAs(spread(documents, document), site.home === document.id, look.identity);
    const own = pageProps(document);
    const state = props.hidden ? "not in the shop yet" : props.unlisted ? UNLISTED : toSeeTo(said);
    return {
      id: document.id,
      of: "page" as const,
      title: document.title,
      depth,
      state,
      isWrong: state !== "" && !props.hidden && !props.unlisted,
      isOwn: own.searchTitle !== "" && own.description !== "",
    };
  });
}

/** The same of goods. What is made of a long name by itself loses the shop's name at its end, which is no fault. */
function goodsRow(goods: SharedGoods): Row {
  const { search, title, id } = goods.it;
  const words = goods.of === "product" ? descriptionOf(goods.it) : goods.it.description;
  const state = search.unlisted
    ? UNLISTED
    : toSeeTo({ title: search.title, description: search.description || (words && "made") });
  return {
    id,
    of: goods.of,
    title,
    depth: 0,
    state,
    isWrong: state !== "" && !search.unlisted,
    isOwn: search.title !== "" && search.description !== "",
    goods,
  };
}

export function SharingDialog({ open, onClose }: { open: boolean; onClose: () => void }) {
  const isNarrow = useMediaQuery("(max-width:899.98px)");
  const keeping = useRef<(() => Promise<boolean>) | null>(null);
  const close = async () => {
    if (!keeping.current || (await keeping.current())) onClose();
  };
  return (
    <Dialog
      open={open}
      onClose={() => void close()}
      fullWidth
      maxWidth="lg"
      fullScreen={isNarrow}
      aria-labelledby="sharing-dialog-title"
    >
      <DialogTitle id="sharing-dialog-title" component="div" sx={{ display: "flex", alignItems: "center" }}>
        <Typography component="h2" variant="h2" sx={{ flex: 1 }}>
          Search and sharing
        </Typography>
        <IconAction label="Close" icon={X} onClick={() => void close()} />
      </DialogTitle>
      {open ? <Everything keeping={keeping} /> : null}
    </Dialog>
  );
}

/** The layouts of goods, whose pages are many. */
const layoutRows = ({ documents }: Draft): readonly Row[] =>
  (["product", "collection"] as const).flatMap((sort) =>
    layoutsOf(documents, sort).map(({ id, title, root }) => ({
      id,
      of: "layout" as const,
      title,
      depth: 0,
      state: "",
      isWrong: false,
      isOwn: typeof root.props.titlePattern === "string",
    })),
  );

const SORTS = [
  ["page", "Pages"],
  ["collection", "Collections"],
  ["product", "Products"],
  ["layout", "Layouts"],
] as const;
const ROW = 52;

/** All of them, or those that are asked for, of which only what is seen is drawn. */
function RowList({
  rows,
  at,
  label,
  onChoose,
}: {
  rows: readonly Row[];
  at: number;
  label: string;
  onChoose: (row: Row) => void;
}) {
  const scroller = useRef<HTMLDivElement>(null);
  // oxlint-disable-next-line react/incompatible-library -- its object changes in place; its rows are asked for anew at each drawing
  const virtual = useVirtualizer({
    count: rows.length,
    estimateSize: () => ROW,
    getScrollElement: () => scroller.current,
    overscan: 8,
  });
  useEffect(() => {
    virtual.scrollToIndex(at);
  }, [at, virtual]);
  return (
    <Box ref={scroller} sx={{ maxHeight: { xs: "24dvh", md: "54dvh" }, overflowY: "auto" }}>
      <Box
        component="ul"
        aria-label={label}
        sx={{ m: 0, p: 0, listStyle: "none", position: "relative" }}
        style={{ height: virtual.getTotalSize() }}
      >
        {virtual.getVirtualItems().map(({ index, start }) => {
          const each = rows[index]!;
          return (
            <Box
              component="li"
              key={each.id}
              aria-setsize={rows.length}
              aria-posinset={index + 1}
              sx={{ position: "absolute", insetInline: 0 }}
              style={{ top: start, height: ROW }}
            >
              <ListItemButton
                component="button"
                selected={index === at}
                aria-current={index === at}
                onClick={() => onChoose(each)}
                sx={{
                  borderRadius: 1,
                  width: "100%",
                  height: "100%",
                  textAlign: "left",
                  pl: 1 + each.depth * 1.5,
                  "&.Mui-selected": { ...ON_LEMON, "&:hover": ON_LEMON },
                  "&.Mui-selected .MuiListItemText-secondary": { color: INK.onLemon },
                }}
              >
                <ListItemText
                  primary={each.title}
                  secondary={each.state || (each.isOwn ? "in your words" : "made by itself")}
                  slotProps={{
                    primary: { noWrap: true },
                    secondary: { noWrap: true, ...(each.isWrong ? { sx: { color: INK.brick, fontWeight: 600 } } : {}) },
                  }}
                />
              </ListItemButton>
            </Box>
          );
        })}
      </Box>
    </Box>
  );
}

function Everything({ keeping }: { keeping: RefObject<(() => Promise<boolean>) | null> }) {
  const draft = useStudio((s) => s.draft);
  const { products, collections } = useStudio((s) => s.goods);
  const all = useMemo(
    () => ({
      page: pagesOf(draft),
      collection: collections.map((it) => goodsRow({ of: "collection", it })),
      product: products.map((it) => goodsRow({ of: "product", it })),
      layout: layoutRows(draft),
    }),
    [draft, products, collections],
  );
  const [sort, setSort] = useState<Row["of"]>("page");
  const [sought, setSought] = useState("");
  const [chosen, setChosen] = useState<string | null>(null);
  const words = sought.toLowerCase().split(/\s+/).filter(Boolean);
  const rows = all[sort].filter(({ title }) => words.every((word) => title.toLowerCase().includes(word)));
  const at = Math.max(
    0,
    rows.findIndex((row) => row.id === chosen),
  );
  const row = rows[at];
  const next = rows[at + 1];
  const wrong = all[sort].filter((each) => each.isWrong).length;
  const label = SORTS.find(([of]) => of === sort)![1];
  // What was written about one is kept before another is shown.
  const leave = async (then: () => void) => {
    if (!keeping.current || (await keeping.current())) then();
  };
  return (
    <DialogContent
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "minmax(0,1fr)", md: "290px minmax(0,1fr)" },
        gap: 3,
        alignItems: "start",
      }}
    >
      <Box sx={{ borderRight: { md: `1px solid ${INK.line}` }, pr: { md: 2 }, minWidth: 0, display: "grid", gap: 1 }}>
        <ToggleButtonGroup
          exclusive
          fullWidth
          size="small"
          value={sort}
          aria-label="What is gone through"
          onChange={(_e, of: Row["of"] | null) => of && void leave(() => setSort(of))}
        >
          {SORTS.map(([of, name]) => (
            <ToggleButton key={of} value={of} sx={{ px: 0.5 }}>
              {name}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
        {all[sort].length > 8 ? (
          <FindField label="Find by name" value={sought} onChange={setSought} width={260} />
        ) : null}
        <Typography variant="body2" color="text.secondary">
          {all[sort].length === 0
            ? "There are none yet."
            : wrong === 0
              ? "Each has what it needs."
              : wrong === 1
                ? "One to see to."
                : `${wrong} to see to.`}
        </Typography>
        <RowList rows={rows} at={at} label={label} onChoose={(each) => void leave(() => setChosen(each.id))} />
      </Box>
      {row ? (
        <Box component="section" aria-label={row.title} sx={{ minWidth: 0 }}>
          <Box sx={{ display: "flex", alignItems: "center", gap: 1, mb: 2 }}>
            <Typography variant="h3" component="h3" sx={{ flex: 1, minWidth: 0 }} noWrap>
              {row.title}
            </Typography>
            <Button
              variant="outlined"
              size="small"
              disabled={!next}
              onClick={() => next && void leave(() => setChosen(next.id))}
            >
              {next ? `Next: ${next.title.slice(0, 24)}` : "That was the last"}
            </Button>
          </Box>
          {row.of === "layout" ? (
            <LayoutSharingFields key={row.id} layout={row.id} />
          ) : row.goods ? (
            <GoodsSharingFields key={row.id} goods={row.goods} keepingRef={keeping} />
          ) : (
            <SharingFields key={row.id} page={row.id} />
          )}
        </Box>
      ) : null}
    </DialogContent>
  );
}
