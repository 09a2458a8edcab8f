// A picture that was made of another one in the studio: turned, straightened, cut out. What was done is remembered beside the new
// picture, so that it can be taken up again; the old one stays as it was.

/** A stroke of the brush over a picture: what is under it stays, or goes. Places as shares of its width and height. */
export type Stroke = {
  readonly way: "keep" | "take";
  /** Half the brush's width, as a share of the picture's longer side. */
  readonly size: number;
  readonly points: readonly (readonly [x: number, y: number])[];
};

/** How the ground of a picture was taken away. */
export type Cut = {
  readonly strokes: readonly Stroke[];
  /** Whether openings that show the ground are open. */
  readonly holes: boolean;
  /** Whether its shadow stays with it. */
  readonly shadow: boolean;
  /** How far its border is softened, in px. */
  readonly soft: number;
  /** The frame around it; null: that of the picture. */
  readonly frame: ThingFrame | null;
  /** By how much the light on it is stronger, for red, green and blue; null: as it is. */
  readonly light: Light | null;
};

/** A frame made for the thing in it. */
export type ThingFrame = {
  /** Width over height; null: that of the thing. */
  readonly ratio: number | null;
  /** How much of the frame's width or height the thing fills, 0–1. */
  readonly fill: number;
  /** Whether it stands on the lower margin; else it is in the middle. */
  readonly stand: boolean;
};
/** Factors of linear light. */
export type Light = readonly [red: number, green: number, blue: number];

export type Rework = {
  /** Quarter turns to the right, in degrees. */
  readonly turn: 0 | 90 | 180 | 270;
  /** How much it is turned besides so that it is straight, in degrees to the right, as it is seen in the end. */
  readonly lean: number;
  /** Whether left and right change places, once it is turned. */
  readonly mirror: boolean;
  readonly cut: Cut | null;
};

export const AS_IT_IS: Rework = { turn: 0, lean: 0, mirror: false, cut: null };
export const FIRST_CUT: Cut = { strokes: [], holes: false, shadow: false, soft: 0, frame: null, light: null };
/** The frame that just holds a thing. */
export const CLOSE_FRAME: ThingFrame = { ratio: null, fill: 0.96, stand: false };
/** As far as a picture is straightened; what leans more was meant to. */
export const MOST_LEAN = 15;
export const MOST_SOFT = 12;
export const MOST_STROKES = 200;
export const MOST_POINTS = 400;

/** The same, turned a quarter to the right (1) or to the left (−1), as it is seen. */
export const turnedBy = <R extends Rework>(rework: R, way: 1 | -1): R => ({
  ...rework,
  turn: ((rework.turn + (rework.mirror ? -way : way) * 90 + 360) % 360) as Rework["turn"],
});

export const isAsItIs = ({ turn, lean, mirror, cut }: Rework): boolean => turn === 0 && lean === 0 && !mirror && !cut;

/** Width and height of what is left of a picture that is turned and then cut so that no corner is empty, in its own shape; in px. */
export function sizeOfReworked(
  { width, height }: { readonly width: number; readonly height: number },
  { turn, lean }: Pick<Rework, "turn" | "lean">,
): { readonly width: number; readonly height: number; readonly scale: number } {
  const [w, h] = turn % 180 === 0 ? [width, height] : [height, width];
  const angle = (Math.abs(lean) * Math.PI) / 180;
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  // A box of the same shape fits into the turned one when its own box, turned back, fits into the whole.
  const scale = Math.min(w / (w * cos + h * sin), h / (w * sin + h * cos));
  return { width: w * scale, height: h * scale, scale };
}

/**
 * The matrix that draws a picture turned and straightened, as `setTransform` of a canvas takes it: from the picture's own px to those
 * of a frame of the size that `sizeOfReworked` tells, times `zoom`.
 */
export function reworkMatrix(
  { width, height }: { readonly width: number; readonly height: number },
  rework: Pick<Rework, "turn" | "lean" | "mirror">,
  zoom = 1,
): readonly [a: number, b: number, c: number, d: number, e: number, f: number] {
  const frame = sizeOfReworked({ width, height }, rework);
  const flip = rework.mirror ? -1 : 1;
  const angle = ((rework.turn + rework.lean * flip) * Math.PI) / 180;
  const [a, b, c, d] = [Math.cos(angle) * flip, Math.sin(angle), -Math.sin(angle) * flip, Math.cos(angle)];
  const e = frame.width / 2 - (a * width) / 2 - (c * height) / 2;
  const f = frame.height / 2 - (b * width) / 2 - (d * height) / 2;
  return [a * zoom, b * zoom, c * zoom, d * zoom, e * zoom, f * zoom];
}
