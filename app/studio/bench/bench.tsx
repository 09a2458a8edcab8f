import { Box, Button, Drawer, ToggleButton, ToggleButtonGroup, useMediaQuery } from "@mui/material";
import { Plus } from "lucide-react";
import { useCallback, useEffect, useMemo, useState, type ReactNode } from "react";
import { duplicateSection, nudgeSection, removeSection, setProp, setShown, type Outcome } from "~/core/commands";
import { AddSheet } from "../add";
import { useStudio, useStudioStore, type View } from "../keeping";
import { usePageSheets } from "../panes";
import { PicturePicker } from "../pictures";
import { INK, useKeys, useSize } from "../ui";
import { editFirstWords } from "./interaction";
import { DEVICE_WIDTH, PAD, scalesFor } from "./devices";
import { BenchFramesProvider } from "./frames";
import { Pane, type PaneProps } from "./pane";
import { Plan } from "./plan";
import { ScrollSync } from "./scroll-sync";
import { placeForNew, standings, type Standing } from "./sections";
import { pathOf } from "./words";

const SILL = 26;
type BenchPanesProps = Omit<PaneProps, "device" | "scale" | "pageSheets"> & {
  scales: { readonly phone: number; readonly wide: number };
};

/** The panes and their style sheets: of the bench, only they are drawn anew with every letter that is typed. */
function BenchPanes({ scales, ...rest }: BenchPanesProps) {
  const draft = useStudio((s) => s.draft);
  const pictures = useStudio((s) => s.pictures);
  const pageSheets = usePageSheets(draft, pictures);
  return (
    <>
      {scales.phone ? <Pane key="phone" device="phone" scale={scales.phone} pageSheets={pageSheets} {...rest} /> : null}
      {scales.wide ? <Pane key="wide" device="wide" scale={scales.wide} pageSheets={pageSheets} {...rest} /> : null}
    </>
  );
}

type BenchProps = {
  page: string;
  /** What stands above the panes: the page's name, or a choice among pages. */ title: ReactNode;
  panel: ReactNode;
  panelLabel: string;
};

/** The work place: a panel on the left, the panes, and the plan below. */
export function Bench({ page: asked, title, panel, panelLabel }: BenchProps) {
  const store = useStudioStore();
  const view = useStudio((s) => s.view);
  const page = useStudio((s) => (s.draft.documents[asked] ? asked : "home"));
  const selected = useStudio((s) => s.selected);
  const [frames, setFrames] = useState<{ phone: Document | null; wide: Document | null }>({ phone: null, wide: null });
  const [addAt, setAddAt] = useState<number | null>(null);
  const [choosing, setChoosing] = useState<{ node: string; at: string } | null>(null);
  // On a phone there is room for one pane; the panel rises from below when it is asked for.
  const isNarrow = useMediaQuery("(max-width:899.98px)");
  const [panelOpen, setPanelOpen] = useState(false);
  const { ref, size } = useSize();
  const sync = useMemo(() => new ScrollSync(), []);
  const onFrame = useCallback(
    (device: "phone" | "wide", frame: Document | null) =>
      setFrames((f) => (f[device] === frame ? f : { ...f, [device]: frame })),
    [],
  );
  const onPicture = useCallback((node: string, at: string) => setChoosing({ node, at }), []);

  useEffect(() => {
    if (selected) sync.reveal(selected);
  }, [selected, sync]);

  const editWords = useCallback(
    (id: string) => {
      store.getState().select(id);
      const [pane, frame] = frames.wide ? (["wide", frames.wide] as const) : (["phone", frames.phone] as const);
      // The pane has to have scrolled there before it can take the caret.
      requestAnimationFrame(() => {
        if (frame && !editFirstWords(store, frame, pane, id))
          store.getState().say("There are no words to edit in this section.");
      });
    },
    [store, frames],
  );
  const withSelected = (make: (s: Standing) => Outcome) => () => {
    const { draft, selected: id, run } = store.getState();
    const standing = standings(draft, page).find((s) => s.node.id === id);
    if (standing) run(make(standing));
  };
  const step = (by: number) => () => {
    const all = standings(store.getState().draft, page);
    const index = all.findIndex((s) => s.node.id === store.getState().selected);
    const next = all[index < 0 ? 0 : Math.max(0, Math.min(all.length - 1, index + by))];
    if (next) store.getState().select(next.node.id);
  };
  const now = () => store.getState().draft;
  const openAdd = () => setAddAt(placeForNew(now(), page, store.getState().selected));
  useKeys({
    "1": () => store.getState().setView("phone"),
    "2": () => store.getState().setView("both"),
    "3": () => store.getState().setView("wide"),
    "[": step(-1),
    "]": step(1),
    a: openAdd,
    d: withSelected((s) => duplicateSection(now(), s.node.id, s.name)),
    h: withSelected((s) => setShown(now(), s.node.id, !s.node.shown, s.name)),
    Delete: withSelected((s) => removeSection(now(), s.node.id, s.name)),
    "alt+ArrowLeft": withSelected((s) => nudgeSection(now(), s.node.id, -1, s.name)),
    "alt+ArrowRight": withSelected((s) => nudgeSection(now(), s.node.id, 1, s.name)),
    p: () => store.getState().setAudience(store.getState().audience === "phone" ? "all" : "phone"),
    Enter: () => {
      const id = store.getState().selected;
      if (id) editWords(id);
    },
    Escape: () => store.getState().select(null),
  });

  const scales = size
    ? isNarrow
      ? { phone: Math.min(1, (size.width - 2 * PAD) / DEVICE_WIDTH.phone), wide: 0 }
      : scalesFor(view, size.width, size.height)
    : null;
  const height = size ? Math.max(200, size.height - SILL - PAD) : 0;
  const paneProps = { page, sync, onPicture, onFrame, height };
  return (
    <BenchFramesProvider value={frames}>
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
            open={panelOpen}
            onClose={() => setPanelOpen(false)}
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
              borderRight: `1px solid ${INK.line}`,
              bgcolor: INK.raised,
              overflowY: "auto",
              minHeight: 0,
            }}
          >
            {panel}
          </Box>
        )}
        <Box sx={{ display: "flex", flexDirection: "column", minWidth: 0, minHeight: 0, bgcolor: INK.bench }}>
          <Box sx={{ display: "flex", alignItems: "center", gap: 2, px: 2, height: 44, flex: "none" }}>
            {title}
            <Box sx={{ flex: 1 }} />
            {isNarrow ? (
              <Button variant="outlined" size="small" onClick={() => setPanelOpen(true)}>
                {panelLabel}
              </Button>
            ) : (
              <ToggleButtonGroup
                exclusive
                size="small"
                value={view}
                aria-label="Panes"
                onChange={(_event, next: View | null) => next && store.getState().setView(next)}
              >
                <ToggleButton value="phone">Phone</ToggleButton>
                <ToggleButton value="both">Both</ToggleButton>
                <ToggleButton value="wide">Wide</ToggleButton>
              </ToggleButtonGroup>
            )}
          </Box>
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
            {scales ? <BenchPanes scales={scales} {...paneProps} /> : null}
          </Box>
        </Box>
        <Box
          component="nav"
          aria-label="Plan"
          sx={{
            display: "flex",
            alignItems: "stretch",
            gap: 1.5,
            px: 1.5,
            borderTop: `1px solid ${INK.ink}`,
            bgcolor: INK.paper,
            minWidth: 0,
          }}
        >
          <Plan page={page} frame={frames.wide ?? frames.phone} onAdd={setAddAt} onEditWords={editWords} />
          <Box sx={{ display: "grid", placeItems: "center", borderLeft: `1px solid ${INK.line}`, pl: 1.5 }}>
            <Button variant="contained" startIcon={<Plus size={17} aria-hidden />} onClick={openAdd}>
              Add
            </Button>
          </Box>
        </Box>
        <AddSheet page={page} at={addAt} onClose={() => setAddAt(null)} />
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
    </BenchFramesProvider>
  );
}
