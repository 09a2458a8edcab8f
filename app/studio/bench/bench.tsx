import { sectionAround } from "~/kinds/fill";
import { Box, Button, Chip, Drawer, ToggleButton, ToggleButtonGroup, Tooltip, useMediaQuery } from "@mui/material";
import { Eye, Plus, X } from "lucide-react";
import { useCallback, useEffect, useMemo, useState, type ReactNode } from "react";
import { useNavigate } from "react-router";
import { useStore } from "zustand";
import { addNode, setProp } from "~/core/commands";
import { entryOf, type Draft } from "~/core/document";
import { nameOf } from "~/kinds";
import { ShareSection } from "../shared";
import { AddSheet, KeepPiece } from "../add";
import { useStudio, useStudioStore, wornDraft, type PaneView } from "../keeping";
import { DEVICE_PLURAL, ShowProvider, usePageSheets } from "../panes";
import { LookingAs, YearLine } from "../looking";
import { PicturePicker } from "../pictures";
import { INK, useKeys, useSize } from "../ui";
import { createWordsStore, useEditorAhead, useOpenEditor, WordsBar, WordsProvider, pathOf } from "../words";
import { benchActions } from "./actions";
import { CopyTo } from "./copy-to";
import { CarryProvider, createCarry, type Carry } from "./carry";
import { ChecksChip } from "./check-marks";
import { ChecksProvider, createChecksStore, useLayoutChecks, type ChecksStore } from "./checks";
import { Ghost } from "./ghost";
import { MoveTo } from "./move-to";
import { PageTools } from "./page-tools";
import { partAt, placeForWidget } from "./parts";
import { beginEditing, editFirstWords } from "./interaction";
import { fitNarrow, fitPanes, PAD, type PaneFits } from "./devices";
import {
  BenchFramesProvider,
  createFrames,
  EditWordsProvider,
  useBenchFrames,
  type BenchFrames,
  type PaneDevice,
} from "./frames";
import { Pane, type PaneProps } from "./pane";
import { Plan } from "./plan";
import { ScrollSync } from "./scroll-sync";
import { pageAtHand, placeForNew } from "./sections";

const SILL = 26;
type BenchPanesProps = Omit<PaneProps, "pane" | "fit" | "pageSheets"> & { fits: PaneFits };

/** The panes and their style sheets: of the bench, only they are drawn anew with every letter that is typed. */
function BenchPanes({ fits, ...rest }: BenchPanesProps) {
  const draft = useStudio(wornDraft);
  const pictures = useStudio((s) => s.pictures);
  const withOwn = useStudio((s) => !s.ownCss.without);
  const pageSheets = usePageSheets(draft, pictures, draft.look, withOwn);
  return (
    <>
      {fits.phone ? <Pane key="phone" pane="phone" fit={fits.phone} pageSheets={pageSheets} {...rest} /> : null}
      {fits.wide ? <Pane key="wide" pane="wide" fit={fits.wide} pageSheets={pageSheets} {...rest} /> : null}
    </>
  );
}

type ProvidersProps = {
  frames: BenchFrames;
  carry: Carry;
  checks: ChecksStore;
  words: ReturnType<typeof createWordsStore>;
  editWords: (node: string, at?: string) => void;
  children: ReactNode;
};

/** What the parts of the bench share: the panes' documents, what is carried, what was found, which words are written. */
const BenchProviders = ({ frames, carry, checks, words, editWords, children }: ProvidersProps) => (
  <BenchFramesProvider value={frames}>
    <CarryProvider value={carry}>
      <ChecksProvider value={checks}>
        <WordsProvider value={words}>
          <EditWordsProvider value={editWords}>{children}</EditWordsProvider>
        </WordsProvider>
      </ChecksProvider>
    </CarryProvider>
  </BenchFramesProvider>
);

/** Measures the panes while somebody works; draws nothing. */
function CheckWatch() {
  useLayoutChecks(useBenchFrames());
  return null;
}

/** What stands above the panes: the page and what can be done with it, or the tools of the words that are written. */
function Header({ title, page, panes }: { title: ReactNode; page: string; panes: ReactNode }) {
  const isWriting = useOpenEditor() !== null;
  if (isWriting) return <WordsBar />;
  return (
    <>
      {title}
      <Box sx={{ flex: 1 }} />
      <OnlyChip />
      <LookingAs canShowYear />
      <ChecksChip />
      <PageTools page={page} />
      {panes}
    </>
  );
}

/** As long as changes of style are for one device alone, that is seen above the panes, whatever is selected. */
function OnlyChip() {
  const store = useStudioStore();
  const audience = useStudio((s) => s.audience);
  if (audience === "all") return null;
  return (
    <Tooltip describeChild title="Style changes are for one device. Press to change all of them again (P)">
      <Chip
        size="small"
        label={`◆ Style for ${DEVICE_PLURAL[audience]} only`}
        onDelete={() => store.getState().setAudience("all")}
        onClick={() => store.getState().setAudience("all")}
        deleteIcon={<X size={14} aria-hidden />}
        sx={{
          bgcolor: INK.plum,
          color: INK.paper,
          "& .MuiChip-deleteIcon, &:hover .MuiChip-deleteIcon": { color: INK.paper },
          "&:hover": { bgcolor: INK.plum },
        }}
      />
    </Tooltip>
  );
}

function PaneChoice() {
  const store = useStudioStore();
  const view = useStudio((s) => s.view);
  const bare = useStudio((s) => s.bare);
  return (
    <>
      <Tooltip title="As shoppers see it (V)">
        <ToggleButton
          value="bare"
          size="small"
          selected={bare}
          aria-label="As shoppers see it"
          onChange={() => store.getState().setBare(!bare)}
        >
          <Eye size={17} strokeWidth={1.75} aria-hidden />
        </ToggleButton>
      </Tooltip>
      <ToggleButtonGroup
        exclusive
        size="small"
        value={view}
        aria-label="Panes"
        onChange={(_event, next: PaneView | null) => next && store.getState().setView(next)}
      >
        <ToggleButton value="phone">Phone</ToggleButton>
        <ToggleButton value="both">Both</ToggleButton>
        <ToggleButton value="wide">Wide</ToggleButton>
      </ToggleButtonGroup>
    </>
  );
}

/** The section in which the selected part stands. */
const sectionOf = ({ draft, selected }: { draft: Draft; selected: string | null }) =>
  selected ? (partAt(draft, selected)?.path[0]?.id ?? null) : null;

type BenchProps = {
  page: string;
  /** The page of the shop that a layout is looked at as. */ show?: string | null;
  /** What stands above the panes: the page's name, or a choice among pages. */ title: ReactNode;
  panel: ReactNode;
  panelLabel: string;
};

/** The work place: a panel on the left, the panes, and the plan below. */
export function Bench({ page: asked, show = null, title, panel, panelLabel }: BenchProps) {
  const store = useStudioStore();
  const view = useStudio((s) => s.view);
  const page = useStudio((s) => pageAtHand(s.draft, asked));
  const selected = useStudio((s) => s.selected);
  const shop = useStudio((s) => s.shop.id);
  const navigate = useNavigate();
  const [framesStore] = useState(createFrames);
  const frames = useStore(framesStore);
  const [addAt, setAddAt] = useState<number | null>(null);
  const [moving, setMoving] = useState<string | null>(null);
  const [copying, setCopying] = useState<readonly string[] | null>(null);
  const [keeping, setKeeping] = useState<readonly string[] | null>(null);
  const [sharing, setSharing] = useState<string | null>(null);
  const [choosing, setChoosing] = useState<{ node: string; at: string } | null>(null);
  // On a phone there is room for one pane; the panel rises from below when it is asked for.
  const isNarrow = useMediaQuery("(max-width:899.98px)");
  const showsCss = useStudio((s) => s.ownCss.open);
  const [panelOpen, setPanelOpen] = useState(false);
  const { ref, size } = useSize();
  const [sync] = useState(() => new ScrollSync());
  const carry = useMemo(() => createCarry(store, framesStore.getState), [store, framesStore]);
  const [checks] = useState(createChecksStore);
  const [words] = useState(createWordsStore);
  const onFrame = useCallback(
    (pane: PaneDevice, frame: Document | null) => framesStore.setState({ [pane]: frame }),
    [framesStore],
  );
  const onPicture = useCallback((node: string, at: string) => setChoosing({ node, at }), []);

  useEditorAhead(frames.phone !== null || frames.wide !== null);
  const reveal = useCallback((id: string) => sync.reveal(id), [sync]);
  const documents = useStudio((s) => s.draft.documents);
  // A part can come to stand in something closed while it is selected.
  useEffect(() => {
    if (selected) sync.unfold(selected);
  }, [selected, documents, sync]);
  useEffect(() => {
    if (selected) reveal(selected);
  }, [selected, reveal]);

  const editWords = useCallback(
    (id: string, at?: string) => {
      store.getState().select(id);
      const [pane, frame] = frames.wide ? (["wide", frames.wide] as const) : (["phone", frames.phone] as const);
      // The pane has to have scrolled there before it can take the caret.
      requestAnimationFrame(() => {
        const begins =
          frame &&
          (at === undefined ? editFirstWords(store, frame, pane, id) : beginEditing(store, frame, pane, id, at, true));
        if (frame && !begins) store.getState().say("There are no words to edit in this section.");
      });
    },
    [store, frames],
  );
  const actions = useMemo(() => benchActions(store, page), [store, page]);
  const now = () => store.getState().draft;
  const openAdd = () => setAddAt(placeForNew(now(), page, sectionOf(store.getState())));
  useKeys({
    "1": () => store.getState().setView("phone"),
    "2": () => store.getState().setView("both"),
    "3": () => store.getState().setView("wide"),
    y: () => store.setState({ yearOpen: !store.getState().yearOpen }),
    v: () => store.getState().setBare(!store.getState().bare),
    "[": () => actions.step(-1),
    "]": () => actions.step(1),
    a: openAdd,
    d: actions.duplicate,
    h: actions.toggleShown,
    m: () => setMoving(store.getState().selected),
    l: actions.pasteLook,
    Delete: actions.remove,
    "ctrl+c": actions.copy,
    "ctrl+x": actions.cut,
    "ctrl+v": actions.paste,
    "alt+ArrowLeft": () => actions.nudge("left"),
    "alt+ArrowRight": () => actions.nudge("right"),
    "alt+ArrowUp": () => actions.nudge("up"),
    "alt+ArrowDown": () => actions.nudge("down"),
    p: () => store.getState().setAudience(store.getState().audience === "phone" ? "all" : "phone"),
    Enter: () => {
      const id = store.getState().selected;
      if (id) editWords(id);
    },
    Escape: actions.out,
    "4": () => void navigate(`/s/${shop}/pages/all`),
  });

  const yearOpen = useStudio((s) => s.yearOpen);
  const panes = useStudio((s) => s.panes);
  const fits = size && (isNarrow ? fitNarrow(size.width) : fitPanes(view, size.width, size.height, panes));
  const height = size ? Math.max(200, size.height - SILL - PAD) : 0;
  const paneProps = { page, sync, onPicture, onFrame, height };
  return (
    <ShowProvider value={show}>
      <BenchProviders frames={frames} carry={carry} checks={checks} words={words} editWords={editWords}>
        <CheckWatch />
        <Box
          sx={{
            display: "grid",
            gridTemplateColumns: isNarrow ? "minmax(0,1fr)" : "300px minmax(0,1fr)",
            gridTemplateRows: "minmax(0,1fr) 102px",
            height: "100%",
            minHeight: 0,
          }}
        >
          {isNarrow ? (
            <Drawer
              anchor="bottom"
              // Own CSS is asked for in a menu, and shown where details are.
              open={panelOpen || showsCss}
              onClose={() => {
                setPanelOpen(false);
                store.getState().setOwnCss({ open: false, without: false });
              }}
              slotProps={{
                paper: {
                  "aria-label": panelLabel,
                  role: "dialog",
                  sx: { height: "62dvh", borderTop: `2px solid ${INK.ink}` },
                },
              }}
            >
              {panel}
            </Drawer>
          ) : (
            <Box
              component="aside"
              aria-label={panelLabel}
              sx={{
                gridRow: "1 / 3",
                // What is placed within it stays within it.
                position: "relative",
                borderRight: `1px solid ${INK.line}`,
                bgcolor: INK.raised,
                overflowY: "auto",
                minHeight: 0,
              }}
            >
              {panel}
            </Box>
          )}
          <Box
            component="nav"
            aria-label="Plan"
            sx={{
              // It comes before the panes for whoever goes by the Tab key: it is the quickest way to anything on the page.
              gridRow: 2,
              gridColumn: "-2 / -1",
              display: "flex",
              alignItems: "stretch",
              gap: 1.5,
              px: 1.5,
              borderTop: `1px solid ${INK.ink}`,
              bgcolor: INK.paper,
              minWidth: 0,
            }}
          >
            <Plan
              page={page}
              frame={frames.wide ?? frames.phone}
              actions={actions}
              onAdd={setAddAt}
              onEditWords={editWords}
              onMove={setMoving}
              onCopyTo={setCopying}
              onKeep={setKeeping}
              onShare={setSharing}
              onReveal={reveal}
            />
            <Box sx={{ display: "grid", placeItems: "center", borderLeft: `1px solid ${INK.line}`, pl: 1.5 }}>
              <Button variant="contained" startIcon={<Plus size={17} aria-hidden />} onClick={openAdd}>
                Add
              </Button>
            </Box>
          </Box>
          <Box
            sx={{
              display: "flex",
              flexDirection: "column",
              minWidth: 0,
              minHeight: 0,
              bgcolor: INK.bench,
              gridRow: 1,
              gridColumn: "-2 / -1",
            }}
          >
            <Box
              sx={{
                display: "flex",
                alignItems: "center",
                gap: { xs: 0, md: 2 },
                px: { xs: 0.75, md: 2 },
                height: 44,
                flex: "none",
                minWidth: 0,
              }}
            >
              <Header
                title={title}
                page={page}
                panes={
                  isNarrow ? (
                    <Button variant="outlined" size="small" onClick={() => setPanelOpen(true)}>
                      {panelLabel}
                    </Button>
                  ) : (
                    <PaneChoice />
                  )
                }
              />
            </Box>
            {yearOpen ? <YearLine onClose={() => store.setState({ yearOpen: false })} /> : null}
            <Box
              ref={ref}
              sx={{
                flex: 1,
                minHeight: 0,
                display: "flex",
                gap: `${PAD}px`,
                px: `${PAD}px`,
                justifyContent: "center",
                overflow: "hidden",
              }}
              data-panes-ready={frames.phone || frames.wide ? "" : undefined}
            >
              {fits ? <BenchPanes fits={fits} {...paneProps} /> : null}
            </Box>
          </Box>
          <AddSheet
            page={page}
            at={addAt}
            onClose={() => setAddAt(null)}
            onAdded={() =>
              document.querySelector<HTMLElement>("nav[aria-label=Plan] [role=treeitem][aria-selected=true]")?.focus()
            }
            onCarry={(node, down) => carry.begin({ node }, down, () => setAddAt(null))}
            onWidget={(node) => {
              const { draft, selected: id, say } = store.getState();
              const place = placeForWidget(draft, id, node);
              const document = place && partAt(draft, place.parent)?.document;
              const outcome =
                place && document
                  ? addNode(draft, document, place, node, nameOf(node))
                  : addNode(
                      draft,
                      page,
                      { parent: entryOf(draft.documents, page)!.root.id, slot: "main", index: addAt ?? 0 },
                      sectionAround(node),
                      nameOf(node),
                    );
              const why = store.getState().run(outcome);
              if (why) say(why, "problem");
            }}
          />
          <PicturePicker
            open={choosing !== null}
            onClose={() => setChoosing(null)}
            onChoose={(picture) => {
              if (choosing)
                store.getState().run(setProp(now(), choosing.node, pathOf(choosing.at), picture, "Picture changed"));
              setChoosing(null);
            }}
          />
        </Box>
        <Ghost />
        <MoveTo page={page} id={moving} onClose={() => setMoving(null)} />
        <CopyTo page={page} ids={copying} onClose={() => setCopying(null)} />
        <KeepPiece ids={keeping} onClose={() => setKeeping(null)} />
        <ShareSection id={sharing} onClose={() => setSharing(null)} />
      </BenchProviders>
    </ShowProvider>
  );
}
