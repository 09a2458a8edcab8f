import { Box, Menu, MenuItem, Typography } from "@mui/material";
import { Plus } from "lucide-react";
import { memo, useDeferredValue, useEffect, useRef, useState, type KeyboardEvent, type MouseEvent } from "react";
import { duplicateSection, nudgeSection, removeSection, setShown, type Outcome } from "~/core/commands";
import { useStudio, useStudioStore } from "../keeping";
import { INK } from "../ui";
import { standings, type Standing } from "./sections";
import { useSectionDrag } from "./use-drag";
import type { Draft } from "~/core/document";
import { useWires, type Bone, type Wireframe } from "./wireframe";

const ITEM = 92;
const GAP = 24;
const DRAWN = { width: 80, height: 46 };

const BONE_FILL: Readonly<Record<Bone["what"], string>> = {
  picture: "#b9c7bd",
  head: INK.ink,
  text: "#9aa39b",
  button: INK.lemon,
  card: "#d6d9cf",
};

const Drawing = memo(function Drawing({ wire }: { wire: Wireframe | undefined }) {
  const ratio = wire ? Math.min(wire.height, DRAWN.height / DRAWN.width) : 0.2;
  return (
    <svg width={DRAWN.width} height={DRAWN.height} viewBox={`0 0 1 ${DRAWN.height / DRAWN.width}`} aria-hidden="true">
      <g transform={`translate(0 ${(DRAWN.height / DRAWN.width - ratio) / 2})`}>
        <rect
          width="1"
          height={ratio}
          rx="0.02"
          fill={wire?.dark ? "#d9d6ca" : "#fff"}
          stroke={INK.ink}
          strokeWidth="0.016"
        />
        <g>
          {wire?.bones
            .filter((b) => b.y + b.h * 0.3 < ratio)
            .map((b, i) => (
              <rect
                key={i}
                x={b.x}
                y={b.y}
                width={b.w}
                height={Math.max(
                  0.012,
                  Math.min(b.h, ratio - b.y) * (b.what === "text" || b.what === "head" ? 0.7 : 1),
                )}
                fill={BONE_FILL[b.what]}
              />
            ))}
        </g>
      </g>
    </svg>
  );
});

type PlanProps = {
  page: string;
  /** The pane from which the drawings are measured. */
  frame: Document | null;
  onAdd: (at: number) => void;
  onEditWords: (id: string) => void;
};
type MenuState = { readonly id: string; readonly x: number; readonly y: number };

/** The strip that shows a page's sections in order, drawn to scale. Panes come first when words are typed; the plan follows. */
export function Plan(props: PlanProps) {
  const draft = useDeferredValue(useStudio((s) => s.draft));
  return <Strip {...props} draft={draft} />;
}

/** The plan itself; a tree to assistive technology. */
const Strip = memo(function Strip({ page, frame, draft, onAdd, onEditWords }: PlanProps & { draft: Draft }) {
  const store = useStudioStore();
  const wires = useWires(frame, draft);
  const selected = useStudio((s) => s.selected);
  const [menu, setMenu] = useState<MenuState | null>(null);
  const strip = useRef<HTMLDivElement>(null);
  const items = useRef(new Map<string, HTMLElement>());
  const all = standings(draft, page);
  const offset = (index: number) => index * (ITEM + GAP);

  const { dragging, begin } = useSectionDrag(page, {
    extents: (ids) =>
      ids.map((id) => {
        const index = all.findIndex((s) => s.node.id === id);
        return { start: offset(index), end: offset(index) + ITEM };
      }),
    position: (event) => event.clientX - (strip.current?.getBoundingClientRect().left ?? 0),
    scroller: () => ({
      at: (event) => event.clientX - (strip.current?.parentElement?.getBoundingClientRect().left ?? 0),
      size: strip.current?.parentElement?.clientWidth ?? 0,
      by: (px) => strip.current?.parentElement?.scrollBy(px, 0),
    }),
  });

  useEffect(() => {
    if (selected) items.current.get(selected)?.scrollIntoView({ block: "nearest", inline: "nearest" });
  }, [selected]);

  const run = (make: (s: Standing) => Outcome, id: string) => {
    const standing = all.find((s) => s.node.id === id);
    if (standing) store.getState().run(make(standing));
    setMenu(null);
  };
  const now = () => store.getState().draft;
  const nudge = (by: -1 | 1) => (s: Standing) => nudgeSection(now(), s.node.id, by, s.name);
  const remove = (s: Standing) => removeSection(now(), s.node.id, s.name);
  const duplicate = (s: Standing) => duplicateSection(now(), s.node.id, s.name);
  const show = (s: Standing) => setShown(now(), s.node.id, !s.node.shown, s.name);

  const onKey = (event: KeyboardEvent, standing: Standing, index: number) => {
    const go = (to: number) => {
      const next = all[Math.max(0, Math.min(all.length - 1, to))]!;
      store.getState().select(next.node.id);
      items.current.get(next.node.id)?.focus();
    };
    const table: Record<string, () => void> = {
      ArrowRight: () => (event.altKey ? run(nudge(1), standing.node.id) : go(index + 1)),
      ArrowLeft: () => (event.altKey ? run(nudge(-1), standing.node.id) : go(index - 1)),
      Home: () => go(0),
      End: () => go(all.length - 1),
      Enter: () => onEditWords(standing.node.id),
      " ": () => store.getState().select(standing.node.id),
      Delete: () => run(remove, standing.node.id),
      ContextMenu: () => openMenu(event, standing.node.id),
    };
    const action = table[event.key];
    if (!action) return;
    event.preventDefault();
    event.stopPropagation();
    action();
  };
  const openMenu = (event: MouseEvent | KeyboardEvent, id: string) => {
    event.preventDefault();
    store.getState().select(id);
    const box = items.current.get(id)!.getBoundingClientRect();
    setMenu({ id, x: box.left + 8, y: box.top });
  };
  const menuOf = menu && all.find((s) => s.node.id === menu.id);
  const isOnPage = (s: Standing) => s.document !== "frame";
  const insertions = all.flatMap((s, i) => {
    const next = all[i + 1];
    if (isOnPage(s)) return [{ left: offset(i) + ITEM, at: s.index + 1, words: `Add after ${s.name}` }];
    return next && isOnPage(next) ? [{ left: offset(i) + ITEM, at: 0, words: `Add before ${next.name}` }] : [];
  });
  const focusable = all.some((s) => s.node.id === selected) ? selected : all[0]?.node.id;

  return (
    <Box sx={{ position: "relative", overflowX: "auto", overflowY: "hidden", flex: 1, height: "100%" }}>
      <Box ref={strip} sx={{ position: "relative", width: offset(all.length), height: "100%" }}>
        <Box
          role="tree"
          aria-label="Plan of the page"
          aria-orientation="horizontal"
          sx={{ display: "flex", gap: `${GAP}px`, height: "100%", alignItems: "center" }}
        >
          {all.map((standing, index) => {
            const { node, name } = standing;
            const isSelected = node.id === selected;
            return (
              <Box
                key={node.id}
                ref={(element: HTMLElement | null) =>
                  void (element ? items.current.set(node.id, element) : items.current.delete(node.id))
                }
                role="treeitem"
                aria-selected={isSelected}
                aria-label={`${name}${node.shown ? "" : ", not shown yet"}, ${index + 1} of ${all.length}`}
                tabIndex={node.id === focusable ? 0 : -1}
                onClick={() => store.getState().select(node.id)}
                onDoubleClick={() => onEditWords(node.id)}
                onContextMenu={(event) => openMenu(event, node.id)}
                onKeyDown={(event) => onKey(event, standing, index)}
                onPointerDown={(event) => begin(node.id, event.nativeEvent)}
                sx={{
                  width: ITEM,
                  flex: "none",
                  p: "5px",
                  borderRadius: 1,
                  cursor: "grab",
                  textAlign: "center",
                  userSelect: "none",
                  touchAction: "pan-x",
                  border: `2px solid ${isSelected ? INK.ink : "transparent"}`,
                  bgcolor: isSelected ? INK.lemon : "transparent",
                  opacity: dragging?.id === node.id ? 0.4 : 1,
                  "&:hover": {
                    borderColor: isSelected ? INK.ink : INK.soft,
                    borderStyle: isSelected ? "solid" : "dotted",
                  },
                  "&:focus-visible": {
                    outline: `2px solid ${INK.ink}`,
                    outlineOffset: 2,
                    boxShadow: `0 0 0 2px ${INK.lemon}`,
                  },
                }}
              >
                <Box sx={{ opacity: node.shown ? 1 : 0.45, lineHeight: 0 }}>
                  <Drawing wire={wires.get(node.id)} />
                </Box>
                <Typography
                  variant="caption"
                  noWrap
                  sx={{
                    display: "block",
                    fontWeight: isSelected ? 650 : 500,
                    textDecoration: node.shown ? "none" : "line-through",
                  }}
                >
                  {name}
                </Typography>
              </Box>
            );
          })}
        </Box>
        {insertions.map(({ left, at, words }) => (
          <Box
            key={`${left}`}
            component="button"
            type="button"
            aria-label={words}
            title={words}
            onClick={() => onAdd(at)}
            sx={{
              all: "unset",
              position: "absolute",
              top: "50%",
              left: left + GAP / 2,
              width: 24,
              height: 24,
              ml: "-12px",
              mt: "-20px",
              borderRadius: "50%",
              display: "grid",
              placeItems: "center",
              cursor: "pointer",
              color: INK.soft,
              "&:hover, &:focus-visible": { bgcolor: INK.ink, color: INK.lemon },
            }}
          >
            <Plus size={15} strokeWidth={2} aria-hidden />
          </Box>
        ))}
        {dragging ? (
          <Box
            sx={{
              position: "absolute",
              left: dragging.sill - 4,
              top: 2,
              bottom: 2,
              width: 8,
              bgcolor: INK.lemon,
              borderInline: `1.5px solid ${INK.ink}`,
            }}
          >
            <Typography
              variant="caption"
              sx={{
                position: "absolute",
                left: "50%",
                top: -2,
                transform: "translate(-50%, 0)",
                whiteSpace: "nowrap",
                bgcolor: INK.ink,
                color: INK.paper,
                px: 1,
                py: 0.25,
                borderRadius: 1,
              }}
            >
              {dragging.words}
            </Typography>
          </Box>
        ) : null}
      </Box>
      <span
        role="status"
        aria-live="assertive"
        style={{ position: "absolute", width: 1, height: 1, overflow: "hidden", clipPath: "inset(50%)" }}
      >
        {dragging?.words}
      </span>
      <Menu
        open={menu !== null}
        onClose={() => setMenu(null)}
        anchorReference="anchorPosition"
        anchorPosition={menu ? { left: menu.x, top: menu.y } : { left: 0, top: 0 }}
        transformOrigin={{ vertical: "bottom", horizontal: "left" }}
      >
        {menuOf
          ? [
              <MenuItem
                key="words"
                onClick={() => {
                  setMenu(null);
                  onEditWords(menuOf.node.id);
                }}
              >
                Edit words
              </MenuItem>,
              <MenuItem key="back" onClick={() => run(nudge(-1), menuOf.node.id)} disabled={!nudge(-1)(menuOf).ok}>
                Move earlier
              </MenuItem>,
              <MenuItem key="on" onClick={() => run(nudge(1), menuOf.node.id)} disabled={!nudge(1)(menuOf).ok}>
                Move later
              </MenuItem>,
              <MenuItem key="show" onClick={() => run(show, menuOf.node.id)}>
                {menuOf.node.shown ? "Not shown yet" : "Show in the shop"}
              </MenuItem>,
              <MenuItem key="copy" onClick={() => run(duplicate, menuOf.node.id)}>
                Duplicate
              </MenuItem>,
              <MenuItem key="remove" onClick={() => run(remove, menuOf.node.id)} sx={{ color: "error.main" }}>
                Remove
              </MenuItem>,
            ]
          : null}
      </Menu>
    </Box>
  );
});
