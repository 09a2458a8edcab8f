/// <reference lib="webworker" />
import {
  applyLight,
  boxOf,
  cutOut,
  findThing,
  frameAround,
  judge,
  maskOf,
  paperOf,
  type Found,
  type Judgement,
} from "../core/cutout";
import { reworkMatrix, sizeOfReworked, type Cut, type Pixels, type Rework } from "../core/pictures";

// Pictures are looked at, cut out and made anew here, away from what the seller is doing.

export type CutoutAsk =
  | { readonly type: "open"; readonly address: string }
  /** What there is in the picture that is open. */
  | { readonly type: "find" }
  /** A look at the cut, no larger than the screen needs it. */
  | { readonly type: "look"; readonly cut: Cut }
  /** The picture as it is kept. */
  | { readonly type: "make"; readonly rework: Rework }
  /** A small look at a picture that is not opened for it. */
  | { readonly type: "glance"; readonly address: string };

/** What was found out of a picture. */
export type Opened = {
  readonly sort: Found["sort"];
  readonly holeCount: number;
  readonly hasShadow: boolean;
  /** Whether its openings are rather the ground than a part of the thing: a coloured ground is seldom the thing's own colour. */
  readonly areHolesOpen: boolean;
};
export type Glance = {
  readonly opened: Opened;
  readonly judgement: Judgement;
  /** The thing, cut out. */
  readonly picture: ImageBitmap;
  /** Where it is in there, without its shadow; null where there is nothing. */
  readonly box: ReturnType<typeof boxOf>;
  readonly paper: ReturnType<typeof paperOf>;
};
export type CutoutAnswer = {
  /** The picture that was opened, as large as it is looked at. */
  readonly picture?: ImageBitmap;
  readonly opened?: Opened;
  readonly glance?: Glance;
  readonly look?: { readonly picture: ImageBitmap; readonly judgement: Judgement };
  readonly made?: Blob | null;
};

/** The longer side, in px, of what things are found in, and of what is looked at. */
const SMALL = 512;
const LOOK = 1400;
/** Opacity from which on a pixel is of a thing and not of its shadow; and from which on it is to be seen at all. */
const SOLID = 200;
const VISIBLE = 24;
/** The longest side of what is made, as of what is uploaded. */
const LONGEST = 2560;
const QUALITY = 0.95;

type Sized = Pixels & { readonly data: Uint8ClampedArray<ArrayBuffer> };
type Open = { readonly whole: ImageBitmap; readonly small: Sized; readonly look: Sized; found: Found | undefined };

let open: Promise<Open> | undefined;

const canvasOf = (width: number, height: number) => {
  const canvas = new OffscreenCanvas(Math.max(1, Math.round(width)), Math.max(1, Math.round(height)));
  return { canvas, context: canvas.getContext("2d", { willReadFrequently: true })! };
};

function pixelsOf(bitmap: ImageBitmap, longest: number): Sized {
  const scale = Math.min(1, longest / Math.max(bitmap.width, bitmap.height));
  const { canvas, context } = canvasOf(bitmap.width * scale, bitmap.height * scale);
  context.imageSmoothingQuality = "high";
  context.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  const { data } = context.getImageData(0, 0, canvas.width, canvas.height);
  return { data, width: canvas.width, height: canvas.height };
}

async function read(address: string): Promise<Open> {
  const response = await fetch(address);
  if (!response.ok) throw new Error(`${address}: ${response.status}`);
  const whole = await createImageBitmap(await response.blob());
  return { whole, small: pixelsOf(whole, SMALL), look: pixelsOf(whole, LOOK), found: undefined };
}

const foundIn = (opened: Open): Found => (opened.found ??= findThing(opened.small));

/** A ground with so much colour, in bytes between its channels, is hardly a part of the thing. */
const COLOURED = 40;

function openedOf(opened: Open): Opened {
  const found = foundIn(opened);
  const ground = [0, 1, 2].map((c) => found.ground?.surface[c]?.[0] ?? 0);
  return {
    sort: found.sort,
    holeCount: found.holeCount,
    hasShadow: found.shadow !== null,
    areHolesOpen: Math.max(...ground) - Math.min(...ground) > COLOURED,
  };
}

function cutFrom(opened: Open, whole: Sized, cut: Cut): { readonly image: ImageData; readonly judgement: Judgement } {
  const found = foundIn(opened);
  const mask = maskOf(opened.small, found, cut.strokes, cut.holes);
  // How far the border is softened is said in px of the whole picture.
  const soft = (cut.soft * whole.width) / opened.whole.width;
  const data = cutOut(whole, opened.small, found, mask, { soft, shadow: cut.shadow });
  if (cut.light) applyLight(data, cut.light);
  return { image: new ImageData(data, whole.width, whole.height), judgement: judge(opened.small, mask) };
}

async function make(opened: Open, rework: Rework): Promise<Blob | null> {
  const { whole } = opened;
  let source: ImageBitmap | OffscreenCanvas = whole;
  if (rework.cut) {
    const { canvas, context } = canvasOf(whole.width, whole.height);
    context.putImageData(cutFrom(opened, pixelsOf(whole, Infinity), rework.cut).image, 0, 0);
    source = canvas;
  }
  const frame = sizeOfReworked(whole, rework);
  const { canvas, context } = canvasOf(frame.width, frame.height);
  context.imageSmoothingQuality = "high";
  context.setTransform(...reworkMatrix(whole, rework));
  context.drawImage(source, 0, 0);
  const wanted = rework.cut?.frame;
  if (!wanted) return canvas.convertToBlob({ type: "image/webp", quality: QUALITY });
  const { data } = context.getImageData(0, 0, canvas.width, canvas.height);
  // A frame that just holds it holds its shadow too; in one of a given shape, things are as large as each other.
  const box = boxOf({ data, width: canvas.width, height: canvas.height }, wanted.ratio === null ? VISIBLE : SOLID);
  // There is nothing left that could be kept.
  if (!box) return null;
  const around = frameAround(box, wanted);
  const scale = Math.min(1, LONGEST / Math.max(around.width, around.height));
  const framed = canvasOf(around.width * scale, around.height * scale);
  framed.context.imageSmoothingQuality = "high";
  framed.context.setTransform(scale, 0, 0, scale, 0, 0);
  framed.context.drawImage(canvas, around.x, around.y);
  return framed.canvas.convertToBlob({ type: "image/webp", quality: QUALITY });
}

async function glance(address: string): Promise<CutoutAnswer> {
  const opened = await read(address);
  const found = foundIn(opened);
  const told = openedOf(opened);
  const cut = { strokes: [], holes: told.areHolesOpen, shadow: true, soft: 0, frame: null, light: null };
  const { image, judgement } = cutFrom(opened, opened.small, cut);
  const picture = await createImageBitmap(image);
  return { glance: { opened: told, judgement, picture, box: boxOf(image, SOLID), paper: paperOf(found) } };
}

async function answer(ask: CutoutAsk): Promise<CutoutAnswer> {
  if (ask.type === "open") {
    open = read(ask.address);
    const { look } = await open;
    return { picture: await createImageBitmap(new ImageData(look.data, look.width, look.height)) };
  }
  if (ask.type === "glance") return glance(ask.address);
  if (!open) throw new Error("no picture is open");
  const opened = await open;
  if (ask.type === "find") return { opened: openedOf(opened) };
  if (ask.type === "make") return { made: await make(opened, ask.rework) };
  const { image, judgement } = cutFrom(opened, opened.look, ask.cut);
  return { look: { picture: await createImageBitmap(image), judgement } };
}

self.onmessage = async ({ data }: MessageEvent<{ readonly id: number; readonly ask: CutoutAsk }>) => {
  try {
    const said = await answer(data.ask);
    const sent = [said.picture, said.look?.picture, said.glance?.picture].filter((picture) => picture !== undefined);
    self.postMessage({ id: data.id, said }, { transfer: sent });
  } catch {
    self.postMessage({ id: data.id });
  }
};
