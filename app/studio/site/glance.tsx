import { Box, Button, Chip, Typography, useMediaQuery } from "@mui/material";
import { ChevronRight, DoorClosed, DoorOpen, FilePlus, ListTree, Settings2, Share2 } from "lucide-react";
import { createContext, memo, useContext, useMemo, useRef, useState } from "react";
import { useNavigate } from "react-router";
import { closedOf, DEEPEST, siteOf, type SitePage } from "~/core/addresses";
import { movePage } from "~/core/commands";
import {
  entryOf,
  layoutProps,
  layoutsOf,
  LAYOUT_SORTS,
  menusOf,
  sameJson,
  type Draft,
  type PageDocument,
  spread,
} from "~/core/document";
import { pagesLedTo } from "~/kinds/leading";
import { lostLinksIn } from "~/kinds/lost-links";
import { placeholdersOf } from "~/kinds/placeholders";
import { LAYOUT_NAMES, sharedAs, siteWords, targetFor } from "~/render";
import { useStudio, useStudioStore, wornDraft } from "../keeping";
import { itemsTo } from "../links";
import { MenusDialog } from "../menus";
import { PageSight, useSeen } from "../panes";
import { FindField, IconAction, INK, TreeRows, useKeys, useSize, type TreePlace, type TreeRow } from "../ui";
import { DeletePage } from "./delete-page";
import { NewPage } from "./new-page";
import { OpenShop } from "./open-shop";
import { SharingDialog } from "./sharing-dialog";
import { PageSettings } from "./page-settings";
import { RESULT_WIDTH, widthInResult } from "../sharing";

type GlanceRow = TreeRow & { readonly document: PageDocument; readonly page: SitePage | undefined };

const ROW = 124;
const SIGHT = 100;
/** Phone and wide beside each other, in px on the screen. */
const SIZES = [
  ["phone", 52],
  ["wide", 168],
] as const;
/** Where there is little room, on a phone alone. */
const NARROW = [SIZES[0]] as const;

/** The documents of the shop without what is on its pages: all that a small view of one of them needs of the others. */
function useBare(): Draft["documents"] {
  const documents = useStudio((s) => s.draft.documents);
  // Of pages, only what they are called and where they are shows on others.
  const said = useStudio((s) => siteWords(s.draft.documents));
  const frame = useStudio((s) => s.draft.documents.frame);
  return useMemo(() => {
    const bare = (d: PageDocument): PageDocument =>
      d.kind === "page" ? { ...d, root: { ...d.root, slots: { main: [] } } } : d;
    return Object.fromEntries(Object.values(documents).map((d) => [d.id, bare(d)]));
    // `said` and `frame` are what is asked of `documents`.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [said, frame]);
}

const Bare = createContext<Draft["documents"]>({});

/** A page or layout as it looks, once it has been in view for a moment: what flies past while somebody scrolls costs nothing. */
const Sight = memo(function Sight({ document, isNarrow }: { document: PageDocument; isNarrow: boolean }) {
  const holder = useRef<HTMLDivElement>(null);
  const seen = useSeen(holder);
  return (
    <Box
      ref={holder}
      sx={{
        border: `1px solid ${INK.edge}`,
        bgcolor: INK.bench,
        p: "4px",
        borderRadius: 0.5,
        alignSelf: "center",
        flex: "none",
        width: isNarrow ? 62 : 236,
        height: SIGHT + 10,
      }}
    >
      {seen ? <DrawnSight document={document} sizes={isNarrow ? NARROW : SIZES} /> : null}
    </Box>
  );
});

function DrawnSight({ document, sizes }: { document: PageDocument; sizes: typeof SIZES | typeof NARROW }) {
  const look = useStudio((s) => wornDraft(s).look);
  const goods = useStudio((s) => s.goods);
  const bare = useContext(Bare);
  const draft = useMemo<Draft>(
    () => ({ look, documents: { ...bare, [document.id]: document } }),
    [look, bare, document],
  );
  const target = useMemo(() => targetFor(draft.documents, goods, document.id, null), [draft, goods, document.id]);
  return <PageSight atOnce draft={draft} target={target} name={document.title} sizes={sizes} height={SIGHT} />;
}

type FactsProps = { row: GlanceRow; isWide: boolean; isLedTo: boolean };

/** What is said of a page beside its picture. */
const Facts = memo(function Facts({ row, isWide, isLedTo }: FactsProps) {
  const draft = useStudio((s) => s.draft);
  const published = useStudio((s) => s.published);
  const { document, page } = row;
  const { documents, look } = draft;
  const isHome = page !== undefined && siteOf(documents).home === document.id;
  const menus = page ? menusOf(documents).filter((m) => itemsTo(m, document.id, isHome).length > 0) : [];
  const before = entryOf(published?.documents, document.id);
  const isChanged = useMemo(() => before !== undefined && !sameJson(before, document), [before, document]);
  const isNew = before === undefined;
  const goods = useStudio((s) => s.goods);
  const pictures = useStudio((s) => s.pictures);
  // Of the other documents, only this decides whether something is still there.
  const said = siteWords(documents);
  const lost = useMemo(
    () => lostLinksIn(draft, { goods, pictures }, [document]).length,
    // oxlint-disable-next-line react/exhaustive-deps
    [said, goods, pictures, document],
  );
  const left = useMemo(() => placeholdersOf(document, look).length, [look, document]);
  const isLost = page && !isHome && !page.props.hidden && !isLedTo;
  const shared = page && sharedAs(spread(documents, document), isHome, look.identity);
  const tooLong = shared && widthInResult(shared.title, "title") > RESULT_WIDTH.title;
  return (
    <>
      <Box sx={{ flex: "1 1 220px", minWidth: 0, display: "grid", alignContent: "center", gap: 0.25 }}>
        <Typography variant="subtitle2" noWrap sx={{ fontSize: 15 }}>
          {document.title}
        </Typography>
        <Typography variant="caption" color="text.secondary" noWrap>
          {page ? decodeURI(page.address) : `${LAYOUT_NAMES[layoutProps(document)!.of]}: a layout for many pages`}
        </Typography>
        <Box sx={{ display: "flex", flexWrap: "wrap", gap: 0.5, mt: 0.25 }}>
          {isHome ? <Chip size="small" label="Home page" /> : null}
          {page?.props.hidden ? <Chip size="small" variant="outlined" label="Not in the shop yet" /> : null}
          {isNew && published ? <Chip size="small" variant="outlined" label="New" /> : null}
          {isChanged ? <Chip size="small" variant="outlined" label="Changed" /> : null}
          {isLost ? <Chip size="small" variant="outlined" color="error" label="Nothing leads here" /> : null}
          {lost ? (
            <Chip
              size="small"
              variant="outlined"
              color="error"
              label={lost === 1 ? "1 link leads nowhere" : `${lost} links lead nowhere`}
            />
          ) : null}
          {left ? (
            <Chip
              size="small"
              variant="outlined"
              color="error"
              label={left === 1 ? "1 text is still ours" : `${left} texts are still ours`}
            />
          ) : null}
        </Box>
      </Box>
      {isWide && page ? (
        <Box sx={{ flex: "0 1 170px", minWidth: 0, display: "grid", alignContent: "center" }}>
          <Typography variant="caption" color="text.secondary">
            In menus
          </Typography>
          <Typography variant="body2" noWrap>
            {menus.length ? menus.map((m) => m.title).join(", ") : "None"}
          </Typography>
        </Box>
      ) : null}
      {isWide && shared ? (
        <Box sx={{ flex: "1 1 260px", minWidth: 0, display: "grid", alignContent: "center" }}>
          <Typography variant="caption" color={tooLong ? "error" : "text.secondary"}>
            {page.props.unlisted
              ? "Kept out of search engines"
              : tooLong
                ? "In search results, cut off"
                : page.props.searchTitle && page.props.description
                  ? "In search results"
                  : "In search results, made from the page"}
          </Typography>
          <Typography variant="body2" noWrap>
            {shared.title}
          </Typography>
          <Typography variant="caption" color="text.secondary" noWrap>
            {shared.description}
          </Typography>
        </Box>
      ) : null}
    </>
  );
});

/** Every page and layout of the shop as a small live pair, as a tree: the same place to open, order, nest, hide and delete. */
export function SiteGlance() {
  const store = useStudioStore();
  const navigate = useNavigate();
  const shop = useStudio((s) => s.shop.id);
  const documents = useStudio((s) => s.draft.documents);
  const isWide = useMediaQuery("(min-width:1100px)");
  const isNarrow = useMediaQuery("(max-width:699.98px)");
  const { ref, size } = useSize();
  const [sought, setSought] = useState("");
  const [current, setCurrent] = useState<string | null>(null);
  const [opened, setOpened] = useState<"new" | "menus" | "open" | "sharing" | null>(null);
  const [about, setAbout] = useState<string | null>(null);
  const [deleting, setDeleting] = useState<string | null>(null);
  const site = siteOf(documents);
  const rows = useMemo(() => {
    const words = sought.toLowerCase().split(/\s+/).filter(Boolean);
    const fits = (text: string) => words.every((w) => text.toLowerCase().includes(w));
    const all: readonly GlanceRow[] = [
      ...site.pages.map((page) => ({
        id: page.document.id,
        parent: page.parent,
        depth: page.depth,
        document: page.document,
        page,
      })),
      ...LAYOUT_SORTS.flatMap((sort) => layoutsOf(documents, sort)).map((document) => ({
        id: document.id,
        parent: null,
        depth: 0,
        document,
        page: undefined,
      })),
    ];
    if (words.length === 0) return all;
    // What was found stands by itself: what it stands beneath may not have been.
    return all
      .filter(({ document, page }) => fits(`${document.title} ${page ? decodeURI(page.address) : ""}`))
      .map((row) => ({ ...row, parent: null, depth: 0 }));
  }, [site, documents, sought]);
  const open = (id: string) => {
    store.getState().select(null);
    void navigate(id === site.home ? `/s/${shop}/pages` : `/s/${shop}/pages?page=${id}`);
  };
  const move = (id: string, { parent, before }: TreePlace) => {
    const now = store.getState();
    const isPage = (each: string | null | undefined) => each !== null && each !== undefined && site.byId.has(each);
    if (parent !== null && !isPage(parent)) return;
    const goal = parent === site.home ? null : parent;
    const outcome = movePage(now.draft, id, goal, isPage(before) && before !== site.home ? before : undefined);
    const why = outcome.ok ? now.run(outcome) : outcome.why;
    if (why) now.say(why, "problem");
  };
  useKeys({
    n: () => setOpened("new"),
    "1": () => void navigate(`/s/${shop}/pages`),
    "2": () => void navigate(`/s/${shop}/pages`),
    "3": () => void navigate(`/s/${shop}/pages`),
  });
  const bare = useBare();
  const ledTo = useMemo(() => pagesLedTo(documents), [documents]);
  const pages = site.pages.length;
  const isClosed = closedOf(documents).closed;
  return (
    <Box
      sx={{ display: "grid", gridTemplateRows: "auto minmax(0,1fr)", height: "100%", minHeight: 0, bgcolor: INK.paper }}
    >
      <Box
        sx={{
          display: "flex",
          alignItems: "center",
          gap: 1.5,
          flexWrap: "wrap",
          px: 2,
          py: 1,
          borderBottom: `1px solid ${INK.line}`,
        }}
      >
        <Typography component="h1" variant="h2">
          All pages
        </Typography>
        <Typography color="text.secondary" sx={{ flex: 1 }}>
          {pages === 1 ? "1 page" : `${pages} pages`}
        </Typography>
        <Button
          startIcon={isClosed ? <DoorClosed size={17} aria-hidden /> : <DoorOpen size={17} aria-hidden />}
          onClick={() => setOpened("open")}
        >
          {isClosed ? "Closed for now" : "Open"}
        </Button>
        <FindField label="Find a page" value={sought} onChange={setSought} width={200} />
        <Button startIcon={<Share2 size={17} aria-hidden />} onClick={() => setOpened("sharing")}>
          Search and sharing
        </Button>
        <Button startIcon={<ListTree size={17} aria-hidden />} onClick={() => setOpened("menus")}>
          Menus
        </Button>
        <Button variant="contained" startIcon={<FilePlus size={17} aria-hidden />} onClick={() => setOpened("new")}>
          New page
        </Button>
      </Box>
      <Box ref={ref} sx={{ minHeight: 0, overflow: "hidden" }}>
        {rows.length === 0 ? (
          <Typography sx={{ p: 4 }} color="text.secondary">
            No page is called that.
          </Typography>
        ) : size ? (
          <Bare value={bare}>
            <TreeRows
              rows={rows}
              label="Pages of the shop"
              rowHeight={ROW}
              indent={isNarrow ? 14 : 36}
              levels={DEEPEST + 1}
              height={size.height}
              current={current}
              onCurrent={setCurrent}
              onOpen={open}
              onRemove={(id) => site.byId.has(id) && setDeleting(id)}
              onMove={move}
              isFixed={(row) => row.page === undefined || row.id === site.home || sought !== ""}
              nameOf={(row) => row.document.title}
            >
              {(row) => (
                <Box
                  sx={{
                    display: "flex",
                    alignItems: "center",
                    gap: isNarrow ? 1 : 2,
                    flex: 1,
                    minWidth: 0,
                    pr: isNarrow ? 0.5 : 1.5,
                  }}
                >
                  <Sight document={row.document} isNarrow={isNarrow} />
                  <Facts row={row} isWide={isWide} isLedTo={ledTo.has(row.id)} />
                  {row.page ? (
                    <IconAction
                      label={`About ${row.document.title}`}
                      icon={Settings2}
                      onClick={() => setAbout(row.id)}
                    />
                  ) : null}
                  {isNarrow ? (
                    <IconAction label={`Open ${row.document.title}`} icon={ChevronRight} onClick={() => open(row.id)} />
                  ) : (
                    <Button
                      size="small"
                      variant="outlined"
                      onClick={() => open(row.id)}
                      aria-label={`Open ${row.document.title}`}
                    >
                      Open
                    </Button>
                  )}
                </Box>
              )}
            </TreeRows>
          </Bare>
        ) : null}
      </Box>
      <NewPage open={opened === "new"} onClose={() => setOpened(null)} />
      <OpenShop open={opened === "open"} onClose={() => setOpened(null)} />
      <SharingDialog open={opened === "sharing"} onClose={() => setOpened(null)} />
      <MenusDialog open={opened === "menus"} onClose={() => setOpened(null)} />
      <PageSettings page={about} onClose={() => setAbout(null)} />
      <DeletePage page={deleting} onClose={() => setDeleting(null)} />
    </Box>
  );
}
