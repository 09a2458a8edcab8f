import { formatHex, interpolate } from "culori";

export type Point = readonly [x: number, y: number];

/** A drawing: shapes, and the definitions that they refer to. */
export type Drawing = { readonly shapes: string; readonly defs: string };

export const mixed = (a: string, b: string, share: number): string => formatHex(interpolate([a, b], "oklab")(share));
export const darker = (colour: string, by: number): string => mixed(colour, "#0b1418", by);
export const lighter = (colour: string, by: number): string => mixed(colour, "#fffdf4", by);

const r = (n: number) => Number(n.toFixed(2));
export const at = ([x, y]: Point): string => `${r(x)} ${r(y)}`;
export const polygon = (points: readonly Point[]): string => `M${points.map(at).join("L")}Z`;
export const polyline = (points: readonly Point[]): string => `M${points.map(at).join("L")}`;
export const between = (a: Point, b: Point, t: number): Point => [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t];
export const plus = (a: Point, b: Point): Point => [a[0] + b[0], a[1] + b[1]];
export const turned = ([x, y]: Point, degrees: number): Point => {
  const a = (degrees * Math.PI) / 180;
  return [x * Math.cos(a) - y * Math.sin(a), x * Math.sin(a) + y * Math.cos(a)];
};

/** A smooth path through points (Catmull–Rom, as cubic Béziers). */
export function smooth(points: readonly Point[]): string {
  let path = `M${at(points[0]!)}`;
  for (let i = 0; i < points.length - 1; i++) {
    const p0 = points[i - 1] ?? points[i]!;
    const p1 = points[i]!;
    const p2 = points[i + 1]!;
    const p3 = points[i + 2] ?? p2;
    const c1: Point = [p1[0] + (p2[0] - p0[0]) / 6, p1[1] + (p2[1] - p0[1]) / 6];
    const c2: Point = [p2[0] - (p3[0] - p1[0]) / 6, p2[1] - (p3[1] - p1[1]) / 6];
    path += `C${at(c1)} ${at(c2)} ${at(p2)}`;
  }
  return path;
}

/** Points of a line that hangs between two others (a parabola is near enough to a catenary at this sag). */
export function sagging(from: Point, to: Point, sag: number, steps = 24): Point[] {
  return Array.from({ length: steps + 1 }, (_, i) => {
    const t = i / steps;
    const [x, y] = between(from, to, t);
    return [x, y + sag * 4 * t * (1 - t)] as const;
  });
}

export const linear = (
  id: string,
  from: Point,
  to: Point,
  stops: readonly (readonly [number, string, number?])[],
): string =>
  `<linearGradient id="${id}" gradientUnits="userSpaceOnUse" x1="${r(from[0])}" y1="${r(from[1])}" x2="${r(to[0])}" y2="${r(to[1])}">${stops
    .map(([o, c, a]) => `<stop offset="${o}" stop-color="${c}"${a === undefined ? "" : ` stop-opacity="${a}"`}/>`)
    .join("")}</linearGradient>`;

export const radial = (
  id: string,
  centre: Point,
  radius: number,
  stops: readonly (readonly [number, string, number?])[],
): string =>
  `<radialGradient id="${id}" gradientUnits="userSpaceOnUse" cx="${r(centre[0])}" cy="${r(centre[1])}" r="${r(radius)}">${stops
    .map(([o, c, a]) => `<stop offset="${o}" stop-color="${c}"${a === undefined ? "" : ` stop-opacity="${a}"`}/>`)
    .join("")}</radialGradient>`;

export const blur = (id: string, amount: number): string =>
  `<filter id="${id}" x="-50%" y="-50%" width="200%" height="200%"><feGaussianBlur stdDeviation="${amount}"/></filter>`;

/** A little grain over a whole picture of `width` × `height` px. */
export const grain = (width: number, height: number): Drawing => ({
  defs: `<filter id="grain" x="0" y="0" width="100%" height="100%"><feTurbulence type="fractalNoise" baseFrequency=".8" numOctaves="2" seed="3"/><feColorMatrix values="0 0 0 0 .5 0 0 0 0 .5 0 0 0 0 .5 0 0 0 .07 0"/></filter>`,
  shapes: `<rect width="${width}" height="${height}" filter="url(#grain)"/>`,
});

/** A whole picture of `width` × `height` px. */
export const picture = (width: number, height: number, drawing: Drawing, viewBox = `0 0 ${width} ${height}`): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="${viewBox}"><defs>${drawing.defs}</defs>${drawing.shapes}</svg>`;

export const joined = (...drawings: readonly Drawing[]): Drawing => ({
  shapes: drawings.map((d) => d.shapes).join(""),
  defs: drawings.map((d) => d.defs).join(""),
});
