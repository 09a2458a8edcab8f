import { Box, ButtonBase, Typography } from "@mui/material";
import { useVirtualizer } from "@tanstack/react-virtual";
import { useRef, useState, type KeyboardEvent } from "react";
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
};

const LEAST = 136;
const GAP = 10;

/**
 * Pictures to choose from, however many there are: only the rows in sight are drawn. It fills the room it is given and scrolls
 * by itself; to the keyboard it is one stop, with arrows from picture to picture.
 */
export function PictureGrid({ label, pictures, chosen, taken, onChoose, note }: PictureGridProps) {
  const { ref: room, size } = useSize();
  const scroller = useRef<HTMLDivElement>(null);
  const [at, setAt] = useState(0);
  const width = (size?.width ?? 0) - 12;
  const columns = Math.max(1, Math.floor((width + GAP) / (LEAST + GAP)));
  const side = Math.floor((width - GAP * (columns - 1)) / columns);
  // eslint-disable-next-line react-hooks/incompatible-library -- its object changes in place; its rows are asked for anew at each drawing
  const rows = useVirtualizer({
    count: width > 0 ? Math.ceil(pictures.length / columns) : 0,
    getScrollElement: () => scroller.current,
    estimateSize: () => side + GAP,
    overscan: 3,
    paddingStart: 6,
    paddingEnd: 6,
  });
  const current = Math.min(at, pictures.length - 1);
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
      <Box
        ref={scroller}
        role="group"
        aria-label={label}
        onKeyDown={move}
        sx={{ position: "absolute", inset: 0, overflowY: "auto", overflowX: "hidden", px: "6px" }}
      >
        <Box sx={{ position: "relative", height: rows.getTotalSize() }}>
          {rows.getVirtualItems().map((row) => (
            <Box
              key={row.index}
              sx={{
                position: "absolute",
                insetInline: 0,
                top: 0,
                display: "grid",
                gridTemplateColumns: `repeat(${columns}, ${side}px)`,
                gap: `${GAP}px`,
              }}
              style={{ transform: `translateY(${row.start}px)` }}
            >
              {pictures.slice(row.index * columns, (row.index + 1) * columns).map((picture, i) => {
                const place = row.index * columns + i;
                const said = note?.(picture);
                const number = (taken?.indexOf(picture.id) ?? -1) + 1;
                const isChosen = chosen === picture.id || number > 0;
                return (
                  <ButtonBase
                    key={picture.id}
                    data-at={place}
                    tabIndex={place === current ? 0 : -1}
                    aria-label={picture.alt || picture.name}
                    aria-pressed={chosen === undefined && !taken ? undefined : isChosen}
                    onClick={() => {
                      setAt(place);
                      onChoose(picture);
                    }}
                    sx={{
                      position: "relative",
                      display: "block",
                      height: side,
                      borderRadius: 1,
                      overflow: "hidden",
                      outline: isChosen ? `3px solid ${INK.ink}` : `1px solid ${INK.line}`,
                      boxShadow: isChosen ? `0 0 0 6px ${INK.lemon}` : "none",
                      bgcolor: INK.raised,
                      "&:hover": { outlineColor: INK.ink },
                    }}
                  >
                    <Box
                      component="img"
                      src={sourceOf(picture, 320)}
                      alt=""
                      decoding="async"
                      sx={{
                        display: "block",
                        width: "100%",
                        height: "100%",
                        objectFit: picture.vector ? "contain" : "cover",
                        objectPosition: `${picture.focus[0]}% ${picture.focus[1]}%`,
                      }}
                    />
                    {number ? (
                      <Box
                        component="span"
                        aria-hidden
                        sx={{
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
                        }}
                      >
                        {number}
                      </Box>
                    ) : null}
                    {said ? (
                      <Typography
                        variant="caption"
                        sx={{
                          position: "absolute",
                          insetInline: 0,
                          bottom: 0,
                          ...ON_LEMON,
                          fontWeight: 600,
                        }}
                      >
                        {said}
                      </Typography>
                    ) : null}
                  </ButtonBase>
                );
              })}
            </Box>
          ))}
        </Box>
      </Box>
    </Box>
  );
}
