import { Box, Typography } from "@mui/material";
import { Plus } from "lucide-react";
import { memo, useDeferredValue, useEffect, useRef, type KeyboardEvent, type MouseEvent, useState } from "react";
import { selectionOf, useStudio, useStudioStore } from "../keeping";
import { whereWords } from "../shared";
import { HATCH, INK, ON_LEMON, VISUALLY_HIDDEN } from "../ui";
import type { BenchActions } from "./actions";
import { useCarry } from "./carry";
import { thingsWords, useFindingsBySection } from "./checks";
import { partAt } from "./parts";
import { PartMenu, type MenuState } from "./part-menu";
import { insideOf, neighbourOf, type PlanRow } from "./plan-tree";
import { standings } from "./sections";
import { useSectionDrag } from "./use-drag";
import { entryOf, sharedOf, type Draft } from "~/core/document";
import { useWires, type Bone, type Wireframe } from "./wireframe";

const ITEM = 92;
const GAP = 24;
const DRAWN = { width: 80, height: 46 };

/** How strongly a bone stands out, in the colour of its section's words; pictures have colours of their own. */
const BONE_STRENGTH: Readonly<Record<Bone["what"], number>> = {
  picture: 0.3,
  head: 1,
  text: 0.45,
  button: 0.8,
  card: 0.15,
};

const Drawing = memo(function Drawing({ wire }: { wire: Wireframe | undefined }) {
  const ratio = wire ? Math.min(wire.height, DRAWN.height / DRAWN.width) : 0.2;
  return (
    <svg width={DRAWN.width} height={DRAWN.height} viewBox={`0 0 1 ${DRAWN.height / DRAWN.width}`} aria-hidden="true">
      <g transform={`translate(0 ${(DRAWN.height / DRAWN.width - ratio) / 2})`}>
        <rect width="1" height={ratio} rx="0.02" fill={wire?.ground ?? "#fff"} stroke={INK.ink} strokeWidth="0.016" />
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
                fill={b.colour ?? wire.ink}
                fillOpacity={b.colour ? 1 : BONE_STRENGTH[b.what]}
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
  actions: BenchActions;
  onAdd: (at: number) => void;
  onEditWords: (id: string) => void;
  onMove: (id: string) => void;
  onCopyTo: (ids: readonly string[]) => void;
  onKeep: (ids: readonly string[]) => void;
  onShare: (id: string) => void;
  /** Brings a part into view, also one that is selected already. */
  onReveal: (id: string) => void;
};

/** The strip that shows a page's sections in order, drawn to scale. Panes come first when words are typed; the plan follows. */
export function Plan(props: PlanProps) {
  const draft = useDeferredValue(useStudio((s) => s.draft));
  return <Strip {...props} draft={draft} />;
}

const COLUMN = 104;
const focusRing = {
  "&:focus-visible": { outline: `2px solid ${INK.ink}`, outlineOffset: 1, boxShadow: `0 0 0 2px ${INK.lemon}` },
} as const;

/** The plan itself; a tree to assistive technology. The section in which something is selected is opened up. */
const Strip = memo(function Strip({
  page,
  frame,
  draft,
  actions,
  onAdd,
  onEditWords,
  onMove,
  onCopyTo,
  onKeep,
  onShare,
  onReveal,
}: PlanProps & { draft: Draft }) {
  const store = useStudioStore();
  const problems = useFindingsBySection();
  const wires = useWires(frame, draft);
  const carry = useCarry();
  const selected = useStudio((s) => s.selected);
  const also = useStudio((s) => s.also);
  const [menu, setMenu] = useState<MenuState | null>(null);
  const strip = useRef<HTMLDivElement>(null);
  const items = useRef(new Map<string, HTMLElement>());
  const all = standings(draft, page);
  const open = selected ? partAt(draft, selected)?.path[0] : undefined;
  const groups = open ? insideOf(open) : [];
  const openWidth = groups.length ? groups.length * (COLUMN + 6) + 10 : 0;
  const openIndex = all.findIndex((s) => s.node.id === open?.id);
  const offset = (index: number) => index * (ITEM + GAP) + (openIndex >= 0 && index > openIndex ? openWidth : 0);
  const { dragging, begin } = useSectionDrag(page, {
    extents: (ids) =>
      ids.map((id) => {
        const index = all.findIndex((s) => s.node.id === id);
        return { start: offset(index), end: offset(index) + ITEM + (index === openIndex ? openWidth : 0) };
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

  const openMenu = (event: MouseEvent | KeyboardEvent, id: string) => {
    event.preventDefault();
    event.stopPropagation();
    if (store.getState().selected !== id) store.getState().select(id);
    const box = items.current.get(id)!.getBoundingClientRect();
    setMenu({ id, x: box.left + 8, y: box.top });
  };
  const focusAfterDraw = (id: string) => {
    store.getState().select(id);
    const drawn = items.current.get(id);
    // What is drawn already has the focus at once, so that keys that follow quickly go on from there.
    if (drawn) drawn.focus();
    else requestAnimationFrame(() => items.current.get(id)?.focus());
  };
  const onKey = (event: KeyboardEvent, id: string) => {
    const go = () => {
      const next = neighbourOf(draft, page, id, event.key);
      if (next) focusAfterDraw(next);
    };
    const ways = { ArrowRight: "right", ArrowLeft: "left", ArrowUp: "up", ArrowDown: "down" } as const;
    const way = ways[event.key as keyof typeof ways];
    const table: Record<string, () => void> = {
      Home: go,
      End: go,
      Enter: () => onEditWords(id),
      " ": () => store.getState().select(id, event.ctrlKey || event.shiftKey),
      Delete: actions.remove,
      ContextMenu: () => openMenu(event, id),
      F10: () => (event.shiftKey ? openMenu(event, id) : undefined),
    };
    const action = way
      ? event.altKey
        ? () => {
            actions.nudge(way);
            requestAnimationFrame(() => items.current.get(id)?.focus());
          }
        : go
      : entryOf(table, event.key);
    if (!action) return;
    event.preventDefault();
    event.stopPropagation();
    // What is done is done to what the keyboard is on.
    const state = store.getState();
    if (action !== go && event.key !== " " && !selectionOf(state).includes(id)) state.select(id);
    action();
  };
  const insertions = all.flatMap((s, i) => {
    const next = all[i + 1];
    const left = offset(i) + ITEM + (i === openIndex ? openWidth : 0);
    if (s.slot === "main") return [{ left, at: s.index + 1, words: `Add after ${s.name}` }];
    return next?.slot === "main" ? [{ left, at: 0, words: `Add before ${next.name}` }] : [];
  });
  const known = new Set([...all.map((s) => s.node.id), ...groups.flatMap((g) => g.rows.map((r) => r.id))]);
  const focusable = selected && known.has(selected) ? selected : all[0]?.node.id;
  const isChosen = (id: string) => id === selected || also.includes(id);
  const common = (id: string) => ({
    ref: (element: HTMLElement | null) => void (element ? items.current.set(id, element) : items.current.delete(id)),
    role: "treeitem",
    "aria-selected": isChosen(id),
    tabIndex: id === focusable ? 0 : -1,
    onClick: (event: MouseEvent) => {
      event.stopPropagation();
      store.getState().select(id, event.shiftKey || event.ctrlKey || event.metaKey);
      onReveal(id);
    },
    onDoubleClick: (event: MouseEvent) => {
      event.stopPropagation();
      onEditWords(id);
    },
    onContextMenu: (event: MouseEvent) => openMenu(event, id),
    onKeyDown: (event: KeyboardEvent) => onKey(event, id),
  });
  const row = (r: PlanRow) => (
    <Box
      key={r.id}
      {...common(r.id)}
      aria-level={r.level}
      aria-label={`${r.name}${r.shown ? "" : ", not shown yet"}`}
      onPointerDown={(event) => {
        const part = partAt(draft, r.id);
        if (part) carry.begin({ id: r.id, node: part.node }, event.nativeEvent);
      }}
      sx={{
        ...focusRing,
        // Many of them are scrolled, not squeezed.
        flex: "none",
        fontSize: 11.5,
        lineHeight: "17px",
        px: 0.5,
        pl: r.level === 2 ? 0.5 : 0.5 + (r.level - 3) * 1,
        borderRadius: 0.5,
        cursor: "grab",
        userSelect: "none",
        whiteSpace: "nowrap",
        overflow: "hidden",
        textOverflow: "ellipsis",
        fontWeight: r.kind === "column" || isChosen(r.id) ? 650 : 450,
        textDecoration: r.shown ? "none" : "line-through",
        ...(isChosen(r.id) ? ON_LEMON : { bgcolor: r.kind === "column" ? INK.bench : INK.raised }),
        boxShadow: `inset 0 0 0 1px ${isChosen(r.id) ? INK.ink : r.kind === "column" ? "transparent" : INK.line}`,
        touchAction: "none",
      }}
    >
      {r.name}
    </Box>
  );

  return (
    <Box sx={{ position: "relative", overflowX: "auto", overflowY: "hidden", flex: 1, height: "100%" }}>
      <Box ref={strip} sx={{ position: "relative", width: offset(all.length), height: "100%" }}>
        <Box
          role="tree"
          aria-label="Plan of the page"
          aria-orientation="horizontal"
          aria-multiselectable="true"
          sx={{ display: "flex", gap: `${GAP}px`, height: "100%", alignItems: "center" }}
        >
          {all.map((standing, index) => {
            const { node, name, stands } = standing;
            const shared = sharedOf(stands);
            const where = shared === undefined ? undefined : whereWords(draft.documents, shared);
            const isSelected = isChosen(node.id);
            const isOpen = index === openIndex && groups.length > 0;
            const item = (
              <Box
                key={node.id}
                {...common(node.id)}
                aria-level={1}
                {...(insideOf(node).length ? { "aria-expanded": isOpen } : {})}
                aria-label={`${name}${node.shown ? "" : ", not shown yet"}, ${where === undefined ? "" : `shared, ${where}, `}${index + 1} of ${all.length}${problems.has(node.id) ? `, ${thingsWords(problems.get(node.id)!)}` : ""}`}
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
                  ...(isSelected ? ON_LEMON : {}),
                  opacity: dragging?.id === node.id ? 0.4 : 1,
                  "&:hover": {
                    borderColor: isSelected ? INK.ink : INK.soft,
                    borderStyle: isSelected ? "solid" : "dotted",
                  },
                  ...focusRing,
                }}
              >
                <Box sx={{ opacity: node.shown ? 1 : 0.45, lineHeight: 0, position: "relative" }}>
                  <Drawing wire={wires.get(node.id)} />
                  {where === undefined ? null : (
                    <Box
                      aria-hidden
                      title={`Shared, ${where}`}
                      sx={{
                        position: "absolute",
                        insetInline: 0,
                        bottom: -2,
                        height: 7,
                        background: HATCH,
                        border: `1px solid ${INK.ink}`,
                      }}
                    />
                  )}
                  {problems.get(node.id) ? (
                    <Box
                      component="span"
                      aria-hidden
                      title={thingsWords(problems.get(node.id)!)}
                      sx={{
                        position: "absolute",
                        top: -4,
                        right: -4,
                        minWidth: 17,
                        height: 17,
                        px: 0.5,
                        borderRadius: "9px 9px 9px 2px",
                        bgcolor: INK.brick,
                        color: INK.paper,
                        fontSize: 11,
                        lineHeight: "17px",
                        fontWeight: 700,
                      }}
                    >
                      {problems.get(node.id)}
                    </Box>
                  ) : null}
                </Box>
                <Typography
                  variant="caption"
                  sx={{
                    display: "-webkit-box",
                    WebkitBoxOrient: "vertical",
                    WebkitLineClamp: 2,
                    overflow: "hidden",
                    overflowWrap: "anywhere",
                    lineHeight: 1.15,
                    mt: "3px",
                    fontWeight: isSelected ? 650 : 500,
                    textDecoration: node.shown ? "none" : "line-through",
                  }}
                >
                  {name}
                </Typography>
              </Box>
            );
            if (!isOpen) return item;
            return (
              <Box key={node.id} role="none" sx={{ display: "flex", alignItems: "center", flex: "none" }}>
                {item}
                <Box role="none" sx={{ display: "flex", gap: "6px", pl: "10px", height: 92 }}>
                  {groups.map((group) => (
                    <Box
                      key={group.key}
                      role="none"
                      sx={{
                        width: COLUMN,
                        display: "flex",
                        flexDirection: "column",
                        gap: "2px",
                        overflowY: "auto",
                        p: "2px",
                      }}
                    >
                      {group.rows.map(row)}
                    </Box>
                  ))}
                </Box>
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
              "&:hover, &:focus-visible": { bgcolor: INK.ink, color: INK.spark },
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
      <span role="status" aria-live="assertive" style={VISUALLY_HIDDEN}>
        {dragging?.words}
      </span>
      <PartMenu
        state={menu}
        actions={actions}
        onClose={() => setMenu(null)}
        onEditWords={onEditWords}
        onMove={onMove}
        onCopyTo={onCopyTo}
        onKeep={onKeep}
        onShare={onShare}
      />
    </Box>
  );
});
