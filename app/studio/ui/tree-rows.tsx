import { Box } from "@mui/material";
import { useVirtualizer } from "@tanstack/react-virtual";
import { GripVertical } from "lucide-react";
import { useRef, useState, type KeyboardEvent, type PointerEvent, type ReactNode } from "react";
import { followPointer } from "./pointer-drag";
import { INK } from "./theme";
import { gapWithout, placeAt, placeByKey, type TreePlace, type TreeRow } from "./tree-place";
import { VISUALLY_HIDDEN } from "./visually-hidden";

type TreeRowsProps<Row extends TreeRow> = {
  rows: readonly Row[];
  label: string;
  /** Every row is so high, in px. */
  rowHeight: number;
  /** How far a level is moved to the right, in px. */
  indent: number;
  levels: number;
  /** The row that is current. */
  current: string | null;
  onCurrent: (id: string) => void;
  /** A row is pressed, or Enter on it; absent: it becomes the current one. */
  onChoose?: (id: string) => void;
  /** It is pressed twice, or Enter where nothing is chosen by that. */
  onOpen?: (id: string) => void;
  onRemove?: (id: string) => void;
  onMove: (id: string, place: TreePlace) => void;
  /** Rows that stay where they are. */
  isFixed?: (row: Row) => boolean;
  nameOf: (row: Row) => string;
  children: (row: Row) => ReactNode;
  /** It scrolls by itself, and draws only the rows that are seen; absent: it is as high as all of its rows. */
  height?: number;
};

/** How near an edge a row that is dragged scrolls the list, in px. */
const EDGE = 40;

/** A tree as a list of rows that are dragged up and down, and to the right to stand beneath the one above; by keys as well. */
export function TreeRows<Row extends TreeRow>(props: TreeRowsProps<Row>) {
  const {
    rows,
    label,
    rowHeight,
    indent,
    levels,
    current,
    onCurrent,
    onChoose = onCurrent,
    onOpen,
    onRemove,
    onMove,
    isFixed,
    nameOf,
    height,
  } = props;
  const scroller = useRef<HTMLDivElement>(null);
  const list = useRef<HTMLDivElement>(null);
  const [drag, setDrag] = useState<{ id: string; gap: number; place: TreePlace | undefined } | null>(null);
  const [said, setSaid] = useState("");
  // oxlint-disable-next-line react/incompatible-library -- its object changes in place; its rows are asked for anew at each drawing
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => rowHeight,
    overscan: 4,
    enabled: height !== undefined,
    getItemKey: (i) => rows[i]!.id,
  });
  const focusRow = (id: string) => {
    const find = () => list.current?.querySelector<HTMLElement>(`[data-row="${id}"]`)?.focus();
    if (height !== undefined) virtual.scrollToIndex(rows.findIndex((r) => r.id === id));
    requestAnimationFrame(() => requestAnimationFrame(find));
  };
  const placeWords = (place: TreePlace | undefined) => {
    const found = (id: string | null | undefined) => rows.find((r) => r.id === id);
    if (!place) return "It can’t stand here";
    const above = found(place.parent);
    return above ? `Beneath ${nameOf(above)}` : place.depth === 0 ? "At the top" : "";
  };
  const begin = (row: Row, down: PointerEvent) => {
    if (down.button !== 0) return;
    down.preventDefault();
    let now: { gap: number; place: TreePlace | undefined } = { gap: 0, place: undefined };
    const look = (x: number, y: number) => {
      const box = list.current!.getBoundingClientRect();
      const gap = Math.max(0, Math.min(rows.length, Math.round((y - box.top) / rowHeight)));
      const depth = Math.round((x - box.left - 24) / indent);
      now = { gap, place: placeAt(rows, row.id, gapWithout(rows, row.id, gap), depth, levels) };
      setDrag({ id: row.id, ...now });
    };
    followPointer(down.nativeEvent, {
      farEnough: 4,
      swallowsClick: true,
      onMove: (_dx, _dy, event) => look(event.clientX, event.clientY),
      onFrame: (event) => {
        const box = scroller.current?.getBoundingClientRect();
        if (!box || height === undefined) return;
        const by = event.clientY < box.top + EDGE ? -8 : event.clientY > box.bottom - EDGE ? 8 : 0;
        if (by) scroller.current!.scrollBy(0, by);
      },
      onEnd: (how) => {
        setDrag(null);
        if (how === "dropped" && now.place) onMove(row.id, now.place);
      },
    });
  };
  const onKey = (row: Row) => (event: KeyboardEvent) => {
    if (event.target !== event.currentTarget) return;
    if (event.altKey && event.key.startsWith("Arrow")) {
      event.preventDefault();
      event.stopPropagation();
      if (isFixed?.(row)) return;
      const place = placeByKey(rows, row.id, event.key, levels);
      if (!place) return setSaid("It can’t be moved any further.");
      onMove(row.id, place);
      setSaid(placeWords(place));
      focusRow(row.id);
      return;
    }
    const at = rows.indexOf(row);
    const to = {
      ArrowDown: rows[at + 1],
      ArrowUp: rows[at - 1],
      Home: rows[0],
      End: rows.at(-1),
      ArrowLeft: rows.find((r) => r.id === row.parent),
      ArrowRight: rows[at + 1]?.parent === row.id ? rows[at + 1] : undefined,
    }[event.key];
    if (to) {
      event.preventDefault();
      event.stopPropagation();
      onCurrent(to.id);
      focusRow(to.id);
    } else if (event.key === "Enter" || event.key === " ") {
      event.preventDefault();
      event.stopPropagation();
      (onOpen ?? onChoose)(row.id);
    } else if (event.key === "Delete" && onRemove) {
      event.preventDefault();
      event.stopPropagation();
      onRemove(row.id);
    }
  };
  const shown: readonly { readonly index: number; readonly start: number }[] =
    height === undefined ? rows.map((_row, index) => ({ index, start: index * rowHeight })) : virtual.getVirtualItems();
  const first = current !== null && rows.some((r) => r.id === current) ? current : rows[0]?.id;
  return (
    <Box ref={scroller} sx={height === undefined ? {} : { height, overflowY: "auto" }}>
      <Box
        ref={list}
        role="tree"
        aria-label={label}
        sx={{ position: "relative" }}
        style={{ height: rows.length * rowHeight }}
      >
        {shown.map(({ index, start }) => {
          const row = rows[index]!;
          const siblings = rows.filter((r) => r.parent === row.parent);
          const isMoved = drag !== null && isBeneath(rows, row, drag.id);
          const canMove = !isFixed?.(row);
          return (
            <Box
              key={row.id}
              role="treeitem"
              data-row={row.id}
              aria-level={row.depth + 1}
              aria-posinset={siblings.indexOf(row) + 1}
              aria-setsize={siblings.length}
              aria-selected={current === row.id}
              aria-label={nameOf(row)}
              tabIndex={row.id === first ? 0 : -1}
              onKeyDown={onKey(row)}
              onClick={() => onChoose(row.id)}
              onDoubleClick={() => onOpen?.(row.id)}
              sx={{
                position: "absolute",
                insetInline: 0,
                display: "flex",
                alignItems: "stretch",
                borderBottom: `1px solid ${INK.line}`,
                opacity: isMoved ? 0.45 : 1,
                bgcolor: current === row.id ? INK.raised : "transparent",
                boxShadow: current === row.id ? `inset 3px 0 0 ${INK.lemon}, inset 4px 0 0 ${INK.ink}` : "none",
                "&:focus-visible": { outline: `2px solid ${INK.ink}`, outlineOffset: -2 },
              }}
              style={{ top: start, height: rowHeight, paddingInlineStart: row.depth * indent }}
            >
              <Box
                onPointerDown={canMove ? (event) => begin(row, event) : undefined}
                aria-hidden
                title={canMove ? "Drag to move; to the right to put it beneath" : undefined}
                sx={{
                  display: "grid",
                  placeItems: "center",
                  width: 24,
                  flex: "none",
                  color: canMove ? INK.soft : "transparent",
                  cursor: canMove ? "grab" : "default",
                  touchAction: "none",
                }}
              >
                <GripVertical size={15} aria-hidden />
              </Box>
              {props.children(row)}
            </Box>
          );
        })}
        {drag ? (
          <Box
            sx={{
              position: "absolute",
              insetInlineEnd: 4,
              height: 6,
              mt: "-3px",
              bgcolor: drag.place ? INK.lemon : "transparent",
              border: `1px solid ${drag.place ? INK.ink : INK.brick}`,
              pointerEvents: "none",
              zIndex: 2,
            }}
            style={{ top: drag.gap * rowHeight, insetInlineStart: 24 + (drag.place?.depth ?? 0) * indent }}
          >
            <Box
              component="span"
              sx={{
                position: "absolute",
                insetInlineStart: 0,
                top: 8,
                px: 0.75,
                py: 0.25,
                fontSize: 12,
                whiteSpace: "nowrap",
                bgcolor: INK.ink,
                color: INK.paper,
                borderRadius: 0.5,
              }}
            >
              {placeWords(drag.place)}
            </Box>
          </Box>
        ) : null}
      </Box>
      <Box role="status" sx={VISUALLY_HIDDEN}>
        {said}
      </Box>
    </Box>
  );
}

/** Whether a row is another one or stands somewhere beneath it. */
function isBeneath(rows: readonly TreeRow[], row: TreeRow, id: string): boolean {
  for (let at: TreeRow | undefined = row; at; at = rows.find((r) => r.id === at.parent)) if (at.id === id) return true;
  return false;
}
