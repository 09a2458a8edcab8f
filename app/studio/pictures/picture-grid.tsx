import { Box } from "@mui/material";
import { useVirtualizer } from "@tanstack/react-virtual";
import { memo, useCallback, useEffect, useRef, useState, type KeyboardEvent } from "react";
import { sourceOf, type Picture } from "~/core/pictures";
import { INK, ON_LEMON, useSize } from "../ui";

type PictureGridProps = {
  /** What the grid is called. */
  label: string;
  pictures: readonly Picture[];
  chosen?: string | null | undefined;
  /** Those that are chosen where several can be, in their order. */
  taken?: readonly string[];
  onChoose: (picture: Picture) => void;
  /** What stands in the corner of a picture's tile: "own", "logo" … */
  note?: (picture: Picture) => string | undefined;
  /** Where a small one of a picture is, for pictures that are not of the library. */
  source?: (picture: Picture) => string;
};

const LEAST = 136;
const GAP = 10;

/** How tiles look, said once for all of them: a rule for each would be work for each, at every step of scrolling. */
const TILES = {
  position: "absolute",
  inset: 0,
  overflowY: "auto",
  overflowX: "hidden",
  px: "6px",
  "& .row": { position: "absolute", insetInline: 0, top: 0, display: "grid" },
  "& .tile": {
    position: "relative",
    display: "block",
    p: 0,
    border: 0,
    font: "inherit",
    cursor: "pointer",
    borderRadius: 1,
    overflow: "hidden",
    outline: `1px solid ${INK.line}`,
    bgcolor: INK.raised,
    "&:hover": { outlineColor: INK.ink },
    "&:focus-visible": { outline: `3px solid ${INK.ink}`, outlineOffset: "2px" },
  },
  "& .is-chosen": { outline: `3px solid ${INK.ink}`, boxShadow: `0 0 0 6px ${INK.lemon}` },
  "& img": { display: "block", width: "100%", height: "100%", objectFit: "cover" },
  "& .is-drawing img": { objectFit: "contain" },
  "& .number": {
    position: "absolute",
    top: 6,
    left: 6,
    minWidth: 24,
    height: 24,
    borderRadius: 3,
    display: "grid",
    placeItems: "center",
    fontWeight: 650,
    fontSize: 13,
    ...ON_LEMON,
    boxShadow: `0 0 0 1.5px ${INK.ink}`,
  },
  "& .note": {
    position: "absolute",
    insetInline: 0,
    bottom: 0,
    typography: "caption",
    fontWeight: 600,
    textAlign: "center",
    ...ON_LEMON,
  },
} as const;

const small = (picture: Picture) => sourceOf(picture, 320);

type TileProps = {
  picture: Picture;
  place: number;
  side: number;
  /** Whether it is the one that the keyboard comes to. */
  isStop: boolean;
  isChosen: boolean;
  canBeChosen: boolean;
  /** Its place among those that are chosen; 0 where it is not. */
  number: number;
  note: string | undefined;
  source: string;
  onPress: (place: number, picture: Picture) => void;
};

const Tile = memo(function Tile({
  picture,
  place,
  side,
  isStop,
  isChosen,
  canBeChosen,
  number,
  note,
  source,
  onPress,
}: TileProps) {
  return (
    <button
      type="button"
      className={`tile${isChosen ? " is-chosen" : ""}${picture.vector ? " is-drawing" : ""}`}
      data-at={place}
      tabIndex={isStop ? 0 : -1}
      aria-label={picture.alt || picture.name}
      aria-pressed={canBeChosen ? isChosen : undefined}
      onClick={() => onPress(place, picture)}
      style={{ height: side }}
    >
      <img
        src={source}
        alt=""
        decoding="async"
        style={{ objectPosition: `${picture.focus[0]}% ${picture.focus[1]}%` }}
      />
      {number ? (
        <span aria-hidden className="number">
          {number}
        </span>
      ) : null}
      {note ? <span className="note">{note}</span> : null}
    </button>
  );
});

/**
 * Pictures to choose from, however many there are: only the rows in sight are drawn. It fills the room it is given and scrolls
 * by itself; to the keyboard it is one stop, with arrows from picture to picture.
 */
export function PictureGrid({ label, pictures, chosen, taken, onChoose, note, source = small }: PictureGridProps) {
  const { ref: room, size } = useSize();
  const scroller = useRef<HTMLDivElement>(null);
  const [at, setAt] = useState(0);
  const width = (size?.width ?? 0) - 12;
  const columns = Math.max(1, Math.floor((width + GAP) / (LEAST + GAP)));
  const side = Math.floor((width - GAP * (columns - 1)) / columns);
  // oxlint-disable-next-line react/incompatible-library -- its object changes in place; its rows are asked for anew at each drawing
  const rows = useVirtualizer({
    count: width > 0 ? Math.ceil(pictures.length / columns) : 0,
    getScrollElement: () => scroller.current,
    estimateSize: () => side + GAP,
    overscan: 3,
    paddingStart: 6,
    paddingEnd: 6,
  });
  const current = Math.min(at, pictures.length - 1);
  const latest = useRef(onChoose);
  useEffect(() => {
    latest.current = onChoose;
  });
  // Tiles are drawn anew only when they change: while the list is scrolled, those that stay do no work.
  const press = useCallback((place: number, picture: Picture) => {
    setAt(place);
    latest.current(picture);
  }, []);
  const move = (event: KeyboardEvent) => {
    const to = {
      ArrowRight: current + 1,
      ArrowLeft: current - 1,
      ArrowDown: current + columns,
      ArrowUp: current - columns,
      Home: 0,
      End: pictures.length - 1,
    }[event.key];
    if (to === undefined) return;
    event.preventDefault();
    const next = Math.max(0, Math.min(pictures.length - 1, to));
    setAt(next);
    rows.scrollToIndex(Math.floor(next / columns));
    const focus = () => scroller.current?.querySelector<HTMLElement>(`[data-at="${next}"]`)?.focus();
    // What was out of sight is drawn once it has been scrolled to.
    requestAnimationFrame(() => requestAnimationFrame(focus));
  };
  return (
    <Box ref={room} sx={{ position: "relative", minHeight: 0, height: "100%" }}>
      <Box ref={scroller} role="group" aria-label={label} onKeyDown={move} sx={TILES}>
        <Box sx={{ position: "relative", height: rows.getTotalSize() }}>
          {rows.getVirtualItems().map((row) => (
            <div
              key={row.index}
              className="row"
              style={{
                transform: `translateY(${row.start}px)`,
                gridTemplateColumns: `repeat(${columns}, ${side}px)`,
                gap: GAP,
              }}
            >
              {pictures.slice(row.index * columns, (row.index + 1) * columns).map((picture, i) => {
                const place = row.index * columns + i;
                const number = (taken?.indexOf(picture.id) ?? -1) + 1;
                return (
                  <Tile
                    key={picture.id}
                    picture={picture}
                    place={place}
                    side={side}
                    isStop={place === current}
                    isChosen={chosen === picture.id || number > 0}
                    canBeChosen={chosen !== undefined || taken !== undefined}
                    number={number}
                    note={note?.(picture)}
                    source={source(picture)}
                    onPress={press}
                  />
                );
              })}
            </div>
          ))}
        </Box>
      </Box>
    </Box>
  );
}
