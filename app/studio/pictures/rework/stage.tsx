import { Box } from "@mui/material";
import {
  useEffect,
  useMemo,
  useRef,
  useState,
  type KeyboardEvent,
  type PointerEvent as ReactPointerEvent,
} from "react";
import { MOST_POINTS, reworkMatrix, sizeOfReworked, type Picture, type Rework, type Stroke } from "~/core/pictures";
import { followPointer, INK, useSize } from "../../ui";
import type { Look } from "./use-cutter";

export type Brush = { readonly way: Stroke["way"]; readonly size: number };

type StageProps = {
  picture: Picture;
  /** The picture itself; null until it is open. */
  image: ImageBitmap | null;
  rework: Rework;
  look: Look | null;
  /** What the picture is seen on, as a colour; "none": nothing, drawn as squares. */
  ground: string;
  brush: Brush | null;
  /** How many times larger than it fits. */
  zoom: number;
  /** Lines to straighten by. */
  hasLines: boolean;
  onStroke: (stroke: Stroke) => void;
};

/** Of what a brush takes away, so much is still seen, so that it can be brought back. */
const FAINT = 0.28;
const SQUARE = 10;
/** How far a key moves the brush, as a share of the picture. */
const KEY_STEP = 0.02;
const MARKS = { keep: "rgb(255 214 10 / .7)", take: "rgb(214 40 57 / .6)" } as const;

function drawSquares(context: CanvasRenderingContext2D, width: number, height: number): void {
  context.fillStyle = "#ffffff";
  context.fillRect(0, 0, width, height);
  context.fillStyle = "#e3e3e3";
  for (let y = 0; y < height; y += SQUARE)
    for (let x = (y / SQUARE) % 2 ? SQUARE : 0; x < width; x += SQUARE * 2) context.fillRect(x, y, SQUARE, SQUARE);
}

function drawLines(context: CanvasRenderingContext2D, width: number, height: number): void {
  context.lineWidth = 1;
  for (const [colour, off] of [
    ["rgb(0 0 0 / .45)", 1],
    ["rgb(255 255 255 / .7)", 0],
  ] as const) {
    context.strokeStyle = colour;
    context.beginPath();
    for (let k = 1; k < 8; k++) {
      const [x, y] = [Math.round((width * k) / 8) + 0.5 + off, Math.round((height * k) / 8) + 0.5 + off];
      context.moveTo(x, 0);
      context.lineTo(x, height);
      context.moveTo(0, y);
      context.lineTo(width, y);
    }
    context.stroke();
  }
}

/** The picture as it will be, and where it is painted over with the brush: by hand, or with arrows and the space bar. */
export function Stage({ picture, image, rework, look, ground, brush, zoom, hasLines, onStroke }: StageProps) {
  const { ref: room, size } = useSize();
  const canvas = useRef<HTMLCanvasElement>(null);
  /** The stroke that is being painted. */
  const [going, setGoing] = useState<Stroke | null>(null);
  const [spot, setSpot] = useState<readonly [number, number] | null>(null);
  const { width: wide, height: high } = picture;
  const frame = sizeOfReworked(picture, rework);
  const fit = size ? Math.min(1, size.width / frame.width, size.height / frame.height) * zoom : 0;
  const [width, height] = [Math.round(frame.width * fit), Math.round(frame.height * fit)];
  // Px of the canvas for each of the screen's. What is enlarged has px enough; four times as many would take the memory of the browser.
  const sharp = zoom > 1 ? 1 : Math.min(2, window.devicePixelRatio);
  const { turn, lean, mirror } = rework;
  const matrix = useMemo(
    () => reworkMatrix({ width: wide, height: high }, { turn, lean, mirror }, fit),
    [wide, high, turn, lean, mirror, fit],
  );

  useEffect(() => {
    const context = canvas.current?.getContext("2d");
    if (!context || !image || width < 1 || height < 1) return;
    context.setTransform(sharp, 0, 0, sharp, 0, 0);
    context.clearRect(0, 0, width, height);
    if (look && ground === "none") drawSquares(context, width, height);
    else if (look) {
      context.fillStyle = ground;
      context.fillRect(0, 0, width, height);
    }
    const [a, b, c, d, e, f] = matrix;
    context.setTransform(a * sharp, b * sharp, c * sharp, d * sharp, e * sharp, f * sharp);
    context.imageSmoothingQuality = "high";
    context.globalAlpha = look ? (brush ? FAINT : 0) : 1;
    context.drawImage(image, 0, 0, wide, high);
    context.globalAlpha = 1;
    if (look) context.drawImage(look.picture, 0, 0, wide, high);
    if (going) {
      context.strokeStyle = MARKS[going.way];
      context.lineCap = context.lineJoin = "round";
      context.lineWidth = Math.max(wide, high) * going.size * 2;
      context.beginPath();
      const [first, ...rest] = going.points.map(([x, y]) => [x * wide, y * high] as const);
      context.moveTo(...first!);
      for (const point of rest.length ? rest : [first!]) context.lineTo(...point);
      context.stroke();
    }
    if (brush && spot) {
      context.strokeStyle = "#16211d";
      context.lineWidth = 2 / fit;
      context.beginPath();
      context.arc(spot[0] * wide, spot[1] * high, Math.max(wide, high) * brush.size, 0, Math.PI * 2);
      context.stroke();
    }
    context.setTransform(sharp, 0, 0, sharp, 0, 0);
    if (hasLines) drawLines(context, width, height);
  }, [image, look, ground, brush, going, spot, hasLines, matrix, width, height, wide, high, fit, sharp]);

  /** Where a pointer is on the picture, as shares of its width and height. */
  const placeOf = (event: { clientX: number; clientY: number }): readonly [number, number] => {
    const box = canvas.current!.getBoundingClientRect();
    const at = new DOMMatrix([...matrix])
      .inverse()
      .transformPoint(new DOMPoint(event.clientX - box.left, event.clientY - box.top));
    const round = (value: number) => Math.max(-0.5, Math.min(1.5, Math.round(value * 10_000) / 10_000));
    return [round(at.x / wide), round(at.y / high)];
  };

  const paint = (event: ReactPointerEvent) => {
    if (!brush || event.button !== 0) return;
    event.preventDefault();
    canvas.current?.focus();
    let points = [placeOf(event)];
    const stroke = (): Stroke => ({ ...brush, points });
    setGoing(stroke());
    followPointer(event.nativeEvent, {
      farEnough: 0,
      onMove: (_dx, _dy, at) => {
        if (points.length >= MOST_POINTS) return;
        const place = placeOf(at);
        const last = points.at(-1)!;
        // As close together as the brush needs them.
        if (Math.hypot(place[0] - last[0], place[1] - last[1]) < brush.size / 3) return;
        points = [...points, place];
        setGoing(stroke());
      },
      onEnd: (how) => {
        setGoing(null);
        if (how !== "cancelled") onStroke(stroke());
      },
    });
  };

  const press = (event: KeyboardEvent) => {
    if (!brush) return;
    const [x, y] = spot ?? [0.5, 0.5];
    const to = {
      ArrowLeft: [x - KEY_STEP, y],
      ArrowRight: [x + KEY_STEP, y],
      ArrowUp: [x, y - KEY_STEP],
      ArrowDown: [x, y + KEY_STEP],
    }[event.key];
    if (!to && event.key !== " " && event.key !== "Enter") return;
    event.preventDefault();
    if (!to) return onStroke({ ...brush, points: [[x, y]] });
    setSpot([Math.max(0, Math.min(1, to[0]!)), Math.max(0, Math.min(1, to[1]!))]);
  };

  return (
    <Box ref={room} sx={{ position: "relative", minHeight: 0, height: "100%", bgcolor: INK.bench, borderRadius: 1 }}>
      <Box
        sx={{
          position: "absolute",
          inset: 0,
          overflow: "auto",
          display: "grid",
          placeItems: zoom > 1 ? "start" : "center",
        }}
      >
        <canvas
          ref={canvas}
          role={brush ? "application" : "img"}
          aria-label={
            brush
              ? "The picture. Arrows move the brush, the space bar paints."
              : `How it will look: ${picture.alt || picture.name}`
          }
          tabIndex={brush ? 0 : -1}
          width={width * sharp}
          height={height * sharp}
          style={{ width, height, cursor: brush ? "crosshair" : "default", touchAction: brush ? "none" : "auto" }}
          onPointerDown={paint}
          onPointerMove={(event) => brush && setSpot(placeOf(event))}
          onPointerLeave={() => setSpot(null)}
          onKeyDown={press}
        />
      </Box>
    </Box>
  );
}
