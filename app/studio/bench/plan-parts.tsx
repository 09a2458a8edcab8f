import { Box, Typography } from "@mui/material";
import { Plus } from "lucide-react";
import { memo, type KeyboardEvent, type MouseEvent, type PointerEvent as ReactPointerEvent } from "react";
import { HATCH, INK, ON_LEMON } from "../ui";
import { thingsWords } from "./checks";
import type { PlanRow } from "./plan-tree";
import type { Bone, Wireframe } from "./wireframe";

// What the plan is made of. Each is drawn anew only where something about it changes: while a hand slides at a number, the panes
// are what has to follow.

/** Width of a section, and of what is between two, in px. */
export const ITEM = 92;
export const GAP = 24;
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

const focusRing = {
  "&:focus-visible": { outline: `2px solid ${INK.ink}`, outlineOffset: 1, boxShadow: `0 0 0 2px ${INK.lemon}` },
} as const;

type InsertionProps = { left: number; at: number; words: string; onAdd: (at: number) => void };

/** Between two sections: here one can be added. */
export const Insertion = memo(function Insertion({ left, at, words, onAdd }: InsertionProps) {
  return (
    <Box
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
  );
});

/** What is done with what the plan shows, by its id; the same functions at every drawing, so that what stays is not drawn anew. */
export type Hands = {
  readonly keep: (id: string, element: HTMLElement | null) => void;
  readonly press: (event: MouseEvent, id: string) => void;
  readonly write: (event: MouseEvent, id: string) => void;
  readonly menu: (event: MouseEvent | KeyboardEvent, id: string) => void;
  readonly key: (event: KeyboardEvent, id: string) => void;
  readonly grab: (event: PointerEvent, id: string, isSection: boolean) => void;
};

const treeItem = (id: string, isChosen: boolean, isStop: boolean, hands: Hands, isSection: boolean) => ({
  ref: (element: HTMLElement | null) => hands.keep(id, element),
  role: "treeitem",
  "aria-selected": isChosen,
  tabIndex: isStop ? 0 : -1,
  onClick: (event: MouseEvent) => hands.press(event, id),
  onDoubleClick: (event: MouseEvent) => hands.write(event, id),
  onContextMenu: (event: MouseEvent) => hands.menu(event, id),
  onKeyDown: (event: KeyboardEvent) => hands.key(event, id),
  onPointerDown: (event: ReactPointerEvent) => hands.grab(event.nativeEvent, id, isSection),
});

type RowProps = Pick<PlanRow, "id" | "name" | "level" | "unseen" | "kind"> & {
  isChosen: boolean;
  isStop: boolean;
  hands: Hands;
};

/** A column or a widget of the section that is opened up. */
export const Row = memo(function Row({ id, name, level, unseen, kind, isChosen, isStop, hands }: RowProps) {
  return (
    <Box
      {...treeItem(id, isChosen, isStop, hands, false)}
      aria-level={level}
      aria-label={unseen === undefined ? name : `${name}, ${unseen}`}
      sx={{
        ...focusRing,
        // Many of them are scrolled, not squeezed.
        flex: "none",
        fontSize: 11.5,
        lineHeight: "17px",
        px: 0.5,
        pl: level === 2 ? 0.5 : 0.5 + (level - 3) * 1,
        borderRadius: 0.5,
        cursor: "grab",
        userSelect: "none",
        whiteSpace: "nowrap",
        overflow: "hidden",
        textOverflow: "ellipsis",
        fontWeight: kind === "column" || isChosen ? 650 : 450,
        textDecoration: unseen === undefined ? "none" : "line-through",
        ...(isChosen ? ON_LEMON : { bgcolor: kind === "column" ? INK.bench : INK.raised }),
        boxShadow: `inset 0 0 0 1px ${isChosen ? INK.ink : kind === "column" ? "transparent" : INK.line}`,
        touchAction: "none",
      }}
    >
      {name}
    </Box>
  );
});

type ItemProps = {
  id: string;
  name: string;
  label: string;
  shown: boolean;
  isChosen: boolean;
  isStop: boolean;
  isDragged: boolean;
  /** Whether what stands in it is shown; undefined: nothing does. */
  isOpen: boolean | undefined;
  /** Where it stands as well, in words; undefined: it is no shared one. */
  where: string | undefined;
  problems: number;
  wire: Wireframe | undefined;
  hands: Hands;
};

/** A section, drawn to scale. */
export const Item = memo(function Item(props: ItemProps) {
  const { id, name, label, shown, isChosen, isStop, isDragged, isOpen, where, problems, wire, hands } = props;
  return (
    <Box
      {...treeItem(id, isChosen, isStop, hands, true)}
      aria-level={1}
      {...(isOpen === undefined ? {} : { "aria-expanded": isOpen })}
      aria-label={label}
      sx={{
        width: ITEM,
        flex: "none",
        p: "5px",
        borderRadius: 1,
        cursor: "grab",
        textAlign: "center",
        userSelect: "none",
        touchAction: "pan-x",
        border: `2px solid ${isChosen ? INK.ink : "transparent"}`,
        ...(isChosen ? ON_LEMON : {}),
        opacity: isDragged ? 0.4 : 1,
        "&:hover": { borderColor: isChosen ? INK.ink : INK.soft, borderStyle: isChosen ? "solid" : "dotted" },
        ...focusRing,
      }}
    >
      <Box sx={{ opacity: shown ? 1 : 0.45, lineHeight: 0, position: "relative" }}>
        <Drawing wire={wire} />
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
        {problems ? (
          <Box
            component="span"
            aria-hidden
            title={thingsWords(problems)}
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
            {problems}
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
          fontWeight: isChosen ? 650 : 500,
          textDecoration: shown ? "none" : "line-through",
        }}
      >
        {name}
      </Typography>
    </Box>
  );
});
