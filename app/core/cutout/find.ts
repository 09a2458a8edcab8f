import type { Pixels, Stroke } from "../pictures";
import { cut, LABEL } from "./cut";
import { awayFrom, colourAt, edgeOf, groundOf, isPlain, oklabPixels, refined, type Ground } from "./ground";
import { beside, depthOf, flood, partsOf } from "./regions";
import { KEEP, marksOf, TAKE } from "./strokes";

export type Side = "top" | "bottom" | "left" | "right";

/** What was found in a picture: a thing on its ground. All masks have the size of the picture that was looked at. */
export type Found = {
  readonly width: number;
  readonly height: number;
  /** What sort of ground it is; "clear" where the picture was cut out before. */
  readonly sort: "plain" | "graded" | "busy" | "clear";
  readonly ground: Ground | null;
  /** 1 for each pixel of the thing, its holes included. */
  readonly thing: Uint8Array;
  /** 1 for each pixel within the thing that has the colour of the ground: a handle's opening, or a white label. */
  readonly holes: Uint8Array;
  readonly holeCount: number;
  /** 1 for each pixel that is of the ground's hue and no line: what a brush that takes away runs over. */
  readonly smooth: Uint8Array;
  /** How dark the thing's shadow is on the ground, 0–1; null where none can be told. */
  readonly shadow: Float32Array | null;
};

/** Parts of less than this share of the largest one are dust. */
const DUST = 0.004;
/** On a busy ground, parts of less than this share of the largest one are things beside it. */
const BESIDE = 0.5;
/** Openings of less than this share of the picture are not spoken of. */
const LEAST_HOLE = 0.0002;
/** An opening may lie in the thing's shadow, but some of it is bare ground: this share at least. */
const BARE_HOLE = 0.25;
/**
 * A shadow has its ground's hue (`off`: how far its colour may be from that, as a share of 255), and no edge: from px to px it
 * darkens by less than `step`.
 */
const SHADOW = { off: 0.04, darkest: 0.28, step: 0.055, least: 0.035 };
/** Steeper than this, in bytes from px to px, is a line and not the ground. */
const LINE = 6;

/** Removes from a mask the parts that are smaller than this share of the largest one, and have nothing that `keeps` says stays. */
function cleaned(mask: Uint8Array, width: number, height: number, keeps: (at: number) => boolean, share = DUST): void {
  const parts = partsOf(width, height, (at) => mask[at] === 1);
  const largest = Math.max(0, ...parts.map((part) => part.length));
  for (const part of parts)
    if (part.length < Math.max(4, largest * share) && !part.some(keeps)) for (const at of part) mask[at] = 0;
}

function smoothed({ data, width, height }: Pixels): Float32Array {
  const grey = new Float32Array(width * height);
  for (let at = 0; at < grey.length; at++)
    grey[at] = 0.299 * data[at * 4]! + 0.587 * data[at * 4 + 1]! + 0.114 * data[at * 4 + 2]!;
  return blurred(grey, width, height, 1);
}

/** A box blur of both directions, `reach` px to each side. */
export function blurred(values: Float32Array, width: number, height: number, reach: number): Float32Array {
  const once = (from: Float32Array, length: number, lines: number, step: number, line: number) => {
    const into = new Float32Array(from.length);
    for (let l = 0; l < lines; l++) {
      const start = l * line;
      let sum = 0;
      for (let k = 0; k < Math.min(reach, length); k++) sum += from[start + k * step]!;
      // What comes into the window on one side goes out of it on the other: however wide it is, it costs the same.
      for (let i = 0; i < length; i++) {
        if (i + reach < length) sum += from[start + (i + reach) * step]!;
        if (i - reach > 0) sum -= from[start + (i - reach - 1) * step]!;
        into[start + i * step] = sum / (Math.min(length - 1, i + reach) - Math.max(0, i - reach) + 1);
      }
    }
    return into;
  };
  return once(once(values, width, height, 1, width), height, width, width, 1);
}

/** How dark a pixel is against its ground, where it is of the same hue and no lighter; −1 where it is something else. */
function darkening({ data, width, height }: Pixels, { surface }: Ground): Float32Array {
  const dark = new Float32Array(width * height);
  const ground = new Float32Array(3);
  for (let y = 0, at = 0; y < height; y++)
    for (let x = 0; x < width; x++, at++) {
      colourAt(surface, x / width, y / height, ground);
      const [r, g, b] = [data[at * 4]!, data[at * 4 + 1]!, data[at * 4 + 2]!];
      const [gr, gg, gb] = [ground[0]!, ground[1]!, ground[2]!];
      const share = (r * gr + g * gg + b * gb) / Math.max(1, gr * gr + gg * gg + gb * gb);
      const off = Math.hypot(r - share * gr, g - share * gg, b - share * gb) / 255;
      dark[at] = off > SHADOW.off || share < SHADOW.darkest ? -1 : Math.max(0, 1 - share);
    }
  return dark;
}

function onGround(pixels: Pixels, labs: Float32Array, first: Ground): Found {
  const { width, height } = pixels;
  const count = width * height;
  const grey = smoothed(pixels);
  const steepness = (at: number) => {
    const [x, y] = [at % width, Math.floor(at / width)];
    const across = grey[at + (x < width - 1 ? 1 : 0)]! - grey[at - (x > 0 ? 1 : 0)]!;
    const down = grey[at + (y < height - 1 ? width : 0)]! - grey[at - (y > 0 ? width : 0)]!;
    return Math.hypot(across, down) / 2;
  };
  const edge = edgeOf(pixels);
  let ground = first;
  let away = awayFrom(pixels, labs, ground.surface);
  /** Of the ground's colour, and not a line that is nearly so: the outline of a white thing on a white ground. */
  const isBare = (at: number) => away[at]! < ground.reach * 0.5 || (away[at]! < ground.reach && steepness(at) < LINE);
  const reached = () => flood(width, height, edge.filter(isBare), isBare);
  // The edge tells the ground's colours there; what is reached from it tells those of the middle.
  let bare = reached();
  const places: number[] = [];
  for (let at = 0; at < count; at++) if (bare[at]) places.push(at);
  ground = refined(pixels, labs, ground, places);
  away = awayFrom(pixels, labs, ground.surface);
  bare = reached();
  // From the ground on into shadows: of its hue, and without an edge between.
  const dark = darkening(pixels, ground);
  const starts: number[] = [];
  for (let at = 0; at < count; at++) if (bare[at]) starts.push(at);
  const smooth = new Uint8Array(count);
  for (let at = 0; at < count; at++) if (isBare(at) || (dark[at]! >= 0 && steepness(at) < LINE)) smooth[at] = 1;
  const shaded = flood(width, height, starts, (at) => smooth[at] === 1);
  const thing = new Uint8Array(count);
  for (let at = 0; at < count; at++) thing[at] = shaded[at] ? 0 : 1;
  shave(thing, width, height, dark);
  cleaned(thing, width, height, () => false);
  const holes = new Uint8Array(count);
  let holeCount = 0;
  for (const part of partsOf(width, height, (at) => thing[at] === 1 && smooth[at] === 1)) {
    if (part.length < Math.max(9, count * LEAST_HOLE)) continue;
    if (part.filter((at) => away[at]! < ground.reach).length < part.length * BARE_HOLE) continue;
    holeCount++;
    for (const at of part) holes[at] = 1;
  }
  return {
    width,
    height,
    sort: isPlain(ground) ? "plain" : "graded",
    ground,
    thing,
    holes,
    holeCount,
    smooth,
    shadow: shadowOf(pixels, ground, thing, dark),
  };
}

/** How many px of steep shadow may lie against a thing. */
const CONTACT = 6;

/**
 * Takes from a thing's border what is its shadow: close to the thing a shadow is steep, but it has no edge. Where that would go
 * on into the thing, which may have the ground's hue as well, it ends at the steepest place; nothing is taken where hardly anything
 * would be left.
 */
function shave(thing: Uint8Array, width: number, height: number, dark: Float32Array): void {
  const from = new Int32Array(thing.length).fill(-1);
  let shell: number[] = [];
  for (let at = 0; at < thing.length; at++) if (!thing[at]) shell.push(at);
  const taken: number[] = [];
  const isThing = new Uint8Array(thing.length);
  for (let depth = 1; depth <= CONTACT; depth++) {
    const next: number[] = [];
    for (const at of shell)
      beside(at, width, height, (other) => {
        if (!thing[other] || from[other] !== -1 || dark[other]! < 0) return;
        if (Math.abs(dark[other]! - Math.max(0, dark[at]!)) >= SHADOW.step) return;
        from[other] = at;
        next.push(other);
      });
    taken.push(...next);
    shell = next;
  }
  // Where it would go on into the thing, the border is where the way there is steepest.
  for (const end of shell) {
    const way: number[] = [];
    for (let at = end; thing[at]; at = from[at]!) way.push(at);
    let edge = way.length - 1;
    let steepest = -1;
    for (const [k, at] of way.entries()) {
      const step = Math.abs(dark[at]! - Math.max(0, dark[from[at]!]!));
      if (step < steepest) continue;
      steepest = step;
      edge = k;
    }
    for (const at of way.slice(0, edge + 1)) isThing[at] = 1;
  }
  const rest = Uint8Array.from(thing);
  for (const at of taken) if (!isThing[at]) rest[at] = 0;
  const away = depthOf(rest, width, height, 0, CONTACT);
  for (const at of taken) if (away[at]! < CONTACT) thing[at] = rest[at]!;
}

/** The shadow that lies around a thing: what is darker than the ground and hangs together with the thing. */
function shadowOf(
  { width, height }: Pixels,
  ground: Ground,
  thing: Uint8Array,
  dark: Float32Array,
): Float32Array | null {
  const soft = blurred(
    dark.map((value, at) => (thing[at] ? 0 : Math.max(0, value))),
    width,
    height,
    1,
  );
  const least = Math.max(SHADOW.least, ground.reach * 0.5);
  const starts: number[] = [];
  for (let at = 0; at < thing.length; at++) if (thing[at]) starts.push(at);
  const joined = flood(width, height, starts, (at) => soft[at]! > least);
  let sum = 0;
  const shadow = soft.map((value, at) => {
    if (!joined[at] || thing[at]) return 0;
    // What is hardly there fades out, so that the shadow has no rim.
    const faded = value < least * 2 ? (value - least) * 2 : value;
    sum += faded;
    return Math.max(0, faded);
  });
  return sum < thing.length * 0.0015 ? null : blurred(shadow, width, height, 1);
}

const RING_OF_GROUND = 0.03;

/** Labels of a picture whose ground is busy: the middle is perhaps the thing, the outermost ring is the ground. */
function guess(width: number, height: number): Uint8Array {
  const labels = new Uint8Array(width * height);
  const ring = Math.max(2, Math.round(Math.min(width, height) * RING_OF_GROUND));
  for (let y = 0, at = 0; y < height; y++)
    for (let x = 0; x < width; x++, at++) {
      const [dx, dy] = [(x + 0.5) / width - 0.5, (y + 0.5) / height - 0.5];
      if (Math.min(x, y, width - 1 - x, height - 1 - y) < ring) labels[at] = LABEL.ground;
      else labels[at] = Math.hypot(dx, dy) < 0.36 ? LABEL.perhapsThing : LABEL.perhapsGround;
    }
  return labels;
}

const CLEAR = 0.02;

/** Looks for the thing that a picture shows. `pixels`: RGBA, best about 500 px wide. */
export function findThing(pixels: Pixels): Found {
  const { data, width, height } = pixels;
  const count = width * height;
  const none = {
    width,
    height,
    ground: null,
    holes: new Uint8Array(count),
    holeCount: 0,
    smooth: new Uint8Array(count),
    shadow: null,
  };
  let clear = 0;
  for (let at = 0; at < count; at++) if (data[at * 4 + 3]! < 128) clear++;
  if (clear > count * CLEAR) {
    const thing = Uint8Array.from({ length: count }, (_u, at) => (data[at * 4 + 3]! < 128 ? 0 : 1));
    return { ...none, sort: "clear", thing };
  }
  const labs = oklabPixels(pixels);
  const ground = groundOf(pixels, labs);
  if (ground) return onGround(pixels, labs, ground);
  const thing = cut(pixels, guess(width, height), 4);
  cleaned(thing, width, height, () => false);
  return { ...none, sort: "busy", thing };
}

/** How far around a stroke on a plain ground anything may change, in px. */
const zoneOf = (strokes: readonly Stroke[], longer: number) =>
  Math.max(6, ...strokes.map(({ size }) => Math.round(size * longer * 1.5)));

/**
 * The mask of the thing, 1 for each of its pixels. `strokes`: what was painted over since it was found; what is under the brush
 * is certain, and the border is sought anew: around the brush on a plain ground, everywhere on a busy one.
 */
export function maskOf(pixels: Pixels, found: Found, strokes: readonly Stroke[], openHoles: boolean): Uint8Array {
  const { width, height, thing, holes, sort } = found;
  const base = thing.map((is, at) => (is && !(openHoles && holes[at]) ? 1 : 0));
  if (strokes.length === 0) return base;
  const marks = marksOf(strokes, width, height);
  // An opening that is touched goes as a whole.
  const open = flood(
    width,
    height,
    [...marks.keys()].filter((at) => marks[at] === TAKE && found.smooth[at]),
    (at) => found.smooth[at] === 1 && base[at] === 1,
  );
  const zone = marksOf(strokes, width, height, zoneOf(strokes, Math.max(width, height)));
  const isBusy = sort === "busy";
  const labels = isBusy ? guess(width, height) : new Uint8Array(width * height);
  for (let at = 0; at < labels.length; at++) {
    const isSure = isBusy ? labels[at] === LABEL.ground && zone[at] !== KEEP : zone[at] === 0;
    if (marks[at]) labels[at] = marks[at] === KEEP ? LABEL.thing : LABEL.ground;
    else if (open[at]) labels[at] = LABEL.ground;
    else if (isSure) labels[at] = isBusy ? LABEL.ground : base[at]!;
    else labels[at] = base[at] ? LABEL.perhapsThing : LABEL.perhapsGround;
  }
  const mask = cut(pixels, labels, isBusy ? 4 : 1);
  if (!isBusy) {
    // Only what hangs together with the brush changes.
    const marked: number[] = [];
    for (let at = 0; at < marks.length; at++) if (marks[at] || open[at]) marked.push(at);
    const touched = flood(width, height, marked, (at) => mask[at] !== base[at]);
    for (let at = 0; at < mask.length; at++) if (!touched[at]) mask[at] = base[at]!;
  }
  // On a busy ground, whoever has painted over the thing does not mean the things beside it.
  const isPointedAt = isBusy && strokes.some(({ way }) => way === "keep");
  cleaned(mask, width, height, (at) => marks[at] === KEEP, isPointedAt ? BESIDE : DUST);
  for (let at = 0; at < mask.length; at++) if (marks[at] === TAKE) mask[at] = 0;
  return mask;
}

/** What is to be said of a cut honestly. */
export type Judgement = {
  /** Which share of the picture the thing takes, 0–1. */
  readonly share: number;
  /** Which share of its outline is hardly told from what is beside it, 0–1. */
  readonly weak: number;
  /** The sides of the picture that cut through the thing. */
  readonly touches: readonly Side[];
};

/** An outline whose two sides differ by less, in bytes, is a guess. */
const FAINT = 22;

/** Looks at what a mask cuts out. */
export function judge({ data, width, height }: Pixels, mask: Uint8Array): Judgement {
  const touching: Record<Side, number> = { top: 0, bottom: 0, left: 0, right: 0 };
  let inside = 0;
  let outline = 0;
  let weak = 0;
  const differ = (a: number, b: number) => Math.hypot(...[0, 1, 2].map((c) => data[a * 4 + c]! - data[b * 4 + c]!));
  for (let at = 0; at < mask.length; at++) {
    if (!mask[at]) continue;
    inside++;
    const [x, y] = [at % width, Math.floor(at / width)];
    if (y === 0) touching.top++;
    if (y === height - 1) touching.bottom++;
    if (x === 0) touching.left++;
    if (x === width - 1) touching.right++;
    for (const [dx, dy] of [
      [1, 0],
      [-1, 0],
      [0, 1],
      [0, -1],
    ] as const) {
      const inPicture = x + dx >= 0 && x + dx < width && y + dy >= 0 && y + dy < height;
      if (!inPicture || mask[at + dy * width + dx]) continue;
      outline++;
      // Two px to each side of the border: the border itself is a mixture of both.
      const clampX = (v: number) => Math.max(0, Math.min(width - 1, v));
      const clampY = (v: number) => Math.max(0, Math.min(height - 1, v));
      const out = clampY(y + dy * 3) * width + clampX(x + dx * 3);
      const within = clampY(y - dy * 2) * width + clampX(x - dx * 2);
      if (differ(out, within) < FAINT) weak++;
    }
  }
  const touches = (Object.keys(touching) as Side[]).filter(
    (side) => touching[side] > (side === "top" || side === "bottom" ? width : height) * 0.02,
  );
  return { share: inside / mask.length, weak: outline ? weak / outline : 0, touches };
}
