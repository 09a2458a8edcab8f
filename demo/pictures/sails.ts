import {
  at,
  between,
  darker,
  lighter,
  linear,
  plus,
  polygon,
  polyline,
  smooth,
  turned,
  type Drawing,
  type Point,
} from "./paint";
import type { Random } from "./random";

/** Colours of a kite: sail cloth in order, then spars, then tail. */
export type Colourway = {
  readonly name: string;
  readonly cloth: readonly [string, string, string, string];
  readonly spar: string;
};

/** A flexible surface between a leading and a trailing edge, both given as curves over 0–1. */
type Surface = {
  readonly lead: (t: number) => Point;
  readonly trail: (t: number) => Point;
  /** Where the cloth is cut, along and across. */
  readonly along: readonly number[];
  readonly across: readonly number[];
  /** Which cloth each panel is cut from. */
  readonly cloth: (i: number, j: number) => number;
  /** Share of light that falls on it, −1 to 1. */
  readonly light: number;
};

export type Sail = {
  readonly surfaces: readonly Surface[];
  readonly spars: readonly (readonly Point[])[];
  /** Where tails hang. */
  readonly tails: readonly Point[];
  /** Where the line is tied. */
  readonly bridle: Point;
  /** Lines from these points meet at the bridle. */
  readonly legs: readonly Point[];
};

const spanPoint = (s: Surface, t: number, across: number) => between(s.lead(t), s.trail(t), across);

let serial = 0;
/** Identifiers are only ever compared within one picture; the maker starts each picture at zero. */
export const resetIds = () => void (serial = 0);
const id = () => `g${(serial++).toString(36)}`;

function edge(s: Surface, from: Point, to: Point): Point[] {
  const steps = 10;
  return Array.from({ length: steps + 1 }, (_, i) => {
    const [t, a] = between(from, to, i / steps);
    return spanPoint(s, t, a);
  });
}

function panels(surface: Surface, colours: Colourway, scale: number, random: Random): Drawing {
  let shapes = "";
  let defs = "";
  const { along, across } = surface;
  for (let i = 0; i < along.length - 1; i++) {
    for (let j = 0; j < across.length - 1; j++) {
      const [t0, t1, a0, a1] = [along[i]!, along[i + 1]!, across[j]!, across[j + 1]!];
      const outline = [
        ...edge(surface, [t0, a0], [t1, a0]),
        ...edge(surface, [t1, a0], [t1, a1]),
        ...edge(surface, [t1, a1], [t0, a1]),
        ...edge(surface, [t0, a1], [t0, a0]),
      ];
      const base = colours.cloth[surface.cloth(i, j) % 4]!;
      const shade = surface.light + random.between(-0.05, 0.05);
      const fill = shade >= 0 ? lighter(base, shade * 0.5) : darker(base, -shade * 0.6);
      const key = id();
      const glow = id();
      // Cloth between two seams bellies out: lit towards the leading edge, in its own shade towards the trailing one.
      defs += linear(key, spanPoint(surface, (t0 + t1) / 2, a0), spanPoint(surface, (t0 + t1) / 2, a1), [
        [0, lighter(fill, 0.13)],
        [0.45, fill],
        [1, darker(fill, 0.13)],
      ]);
      defs += linear(glow, spanPoint(surface, t0, (a0 + a1) / 2), spanPoint(surface, t1, (a0 + a1) / 2), [
        [0, "#000000", 0.13],
        [0.3, "#ffffff", 0.1],
        [0.75, "#ffffff", 0],
        [1, "#000000", 0.1],
      ]);
      const path = polygon(outline);
      shapes += `<path d="${path}" fill="url(#${key})"/><path d="${path}" fill="url(#${glow})"/>`;
      shapes += `<path d="${path}" fill="none" stroke="${darker(base, 0.34)}" stroke-opacity=".55" stroke-width="${0.9 * scale}" stroke-linejoin="round"/>`;
    }
  }
  // A line of stitches beside every seam.
  for (const t of along.slice(1, -1)) {
    const seam = edge(surface, [t + 0.012, 0], [t + 0.012, 1]);
    shapes += `<path d="${polyline(seam)}" fill="none" stroke="#fffdf4" stroke-opacity=".5" stroke-width="${0.8 * scale}" stroke-dasharray="${3.2 * scale} ${2.2 * scale}"/>`;
  }
  for (const a of across.slice(1, -1)) {
    const seam = edge(surface, [0, a + 0.012], [1, a + 0.012]);
    shapes += `<path d="${polyline(seam)}" fill="none" stroke="#fffdf4" stroke-opacity=".45" stroke-width="${0.8 * scale}" stroke-dasharray="${3.2 * scale} ${2.2 * scale}"/>`;
  }
  // The hem along the trailing edge.
  const hem = edge(surface, [0, 0.985], [1, 0.985]);
  shapes += `<path d="${polyline(hem)}" fill="none" stroke="${darker(colours.cloth[0], 0.45)}" stroke-opacity=".6" stroke-width="${2.2 * scale}"/>`;
  return { shapes, defs };
}

function spar(points: readonly Point[], colour: string, scale: number): string {
  const line = points.length > 2 ? smooth(points) : polyline(points);
  const ends = [points[0]!, points.at(-1)!]
    .map(([x, y]) => `<circle cx="${x.toFixed(1)}" cy="${y.toFixed(1)}" r="${3.6 * scale}" fill="#1b2226"/>`)
    .join("");
  return (
    `<path d="${line}" fill="none" stroke="#0b1216" stroke-opacity=".25" stroke-width="${6.5 * scale}" stroke-linecap="round" transform="translate(${2.5 * scale} ${3.5 * scale})"/>` +
    `<path d="${line}" fill="none" stroke="${colour}" stroke-width="${4.6 * scale}" stroke-linecap="round"/>` +
    `<path d="${line}" fill="none" stroke="#fff" stroke-opacity=".38" stroke-width="${1.2 * scale}" stroke-linecap="round" transform="translate(${-0.9 * scale} ${-0.9 * scale})"/>${ends}`
  );
}

/** A ribbon tail that follows the wind from `from`, in alternating cloth. */
export function tail(
  from: Point,
  length: number,
  lean: number,
  width: number,
  cloth: readonly string[],
  random: Random,
): string {
  const steps = 40;
  const phase = random.between(0, 6);
  const swing = random.between(0.05, 0.09) * length;
  const points: Point[] = Array.from({ length: steps + 1 }, (_, i) => {
    const t = i / steps;
    return plus(from, [lean * length * t * t + Math.sin(phase + t * 8.5) * swing * t, length * t * (1 - 0.12 * t)]);
  });
  const pieces = 8;
  let out = "";
  for (let k = 0; k < pieces; k++) {
    const part = points.slice((k * steps) / pieces, ((k + 1) * steps) / pieces + 1);
    const colour = cloth[k % cloth.length]!;
    const w = width * (1 - 0.45 * (k / pieces));
    out += `<path d="${smooth(part)}" fill="none" stroke="${darker(colour, 0.18)}" stroke-width="${w}" stroke-linecap="butt"/>`;
    out += `<path d="${smooth(part)}" fill="none" stroke="${lighter(colour, 0.08)}" stroke-width="${w * 0.55}" stroke-linecap="butt" transform="translate(${-w * 0.12} ${-w * 0.08})"/>`;
  }
  return out;
}

/** Draws a sail of size `size` (half its span in px) around `centre`, turned by `angle` degrees. */
export function drawSail(
  sail: Sail,
  colours: Colourway,
  random: Random,
  {
    centre,
    size,
    angle = 0,
    tails = 0,
    lean = 0.12,
    shadowless = false,
  }: { centre: Point; size: number; angle?: number; tails?: number; lean?: number; shadowless?: boolean },
): Drawing & { readonly bridle: Point } {
  const put = (p: Point): Point => plus(centre, turned([p[0] * size, p[1] * size], angle));
  const scale = size / 330;
  const drawings = sail.surfaces.map((s) =>
    panels({ ...s, lead: (t) => put(s.lead(t)), trail: (t) => put(s.trail(t)) }, colours, scale, random),
  );
  const ribbons = tails
    ? sail.tails
        .map((p) => tail(put(p), size * tails, lean, 17 * scale, [colours.cloth[0], colours.cloth[2]], random))
        .join("")
    : "";
  const bridle = put(sail.bridle);
  const legs = shadowless
    ? ""
    : sail.legs
        .map(
          (p) =>
            `<path d="M${at(put(p))}L${at(bridle)}" stroke="#20282c" stroke-opacity=".55" stroke-width="${1.1 * scale}" fill="none"/>`,
        )
        .join("");
  return {
    shapes:
      ribbons +
      drawings.map((d) => d.shapes).join("") +
      sail.spars.map((s) => spar(s.map(put), colours.spar, scale)).join("") +
      legs,
    defs: drawings.map((d) => d.defs).join(""),
    bridle,
  };
}
