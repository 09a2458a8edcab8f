import { blur, darker, lighter, linear, mixed, radial, type Drawing } from "./paint";

/** Size in px of a product picture's field; it is rendered at 1.6 times that. */
export const FIELD = { width: 800, height: 1000 };

export const GROUNDS = {
  sky: "#d3e3e8",
  sand: "#e9dfca",
  chalk: "#ece9e1",
  moss: "#dbe2cf",
  rose: "#eedcd3",
  stone: "#d9dad6",
} as const;
export type GroundName = keyof typeof GROUNDS;

const SHADOW =
  '<filter id="drop" x="-30%" y="-30%" width="160%" height="170%"><feGaussianBlur in="SourceAlpha" stdDeviation="20"/><feOffset dx="22" dy="44" result="b"/><feFlood flood-color="#16252c" flood-opacity=".3"/><feComposite in2="b" operator="in" result="far"/><feGaussianBlur in="SourceAlpha" stdDeviation="4"/><feOffset dx="4" dy="8" result="c"/><feFlood flood-color="#16252c" flood-opacity=".2"/><feComposite in2="c" operator="in" result="near"/><feMerge><feMergeNode in="far"/><feMergeNode in="near"/><feMergeNode in="SourceGraphic"/></feMerge></filter>';

/** A plain wall lit from the upper left, for things that hang. */
export function wall(ground: GroundName, thing: Drawing): Drawing {
  const colour = GROUNDS[ground];
  return {
    defs: `${linear(
      "wall",
      [0, 0],
      [500, 1000],
      [
        [0, lighter(colour, 0.42)],
        [0.55, colour],
        [1, darker(colour, 0.09)],
      ],
    )}${radial("lamp", [230, 240], 640, [
      [0, "#fffdf4", 0.55],
      [1, "#fffdf4", 0],
    ])}${SHADOW}${thing.defs}`,
    shapes: `<rect width="800" height="1000" fill="url(#wall)"/><rect width="800" height="1000" fill="url(#lamp)"/><g filter="url(#drop)">${thing.shapes}</g>`,
  };
}

/** A table with a wall behind it, for things that stand or lie. */
export function table(ground: GroundName, thing: Drawing, horizon = 610): Drawing {
  const colour = GROUNDS[ground];
  const top = mixed(colour, "#fffaf0", 0.35);
  return {
    defs: `${linear(
      "back",
      [0, 0],
      [300, horizon],
      [
        [0, lighter(colour, 0.35)],
        [1, darker(colour, 0.04)],
      ],
    )}${linear(
      "top",
      [0, horizon],
      [0, 1000],
      [
        [0, darker(top, 0.06)],
        [0.3, top],
        [1, darker(top, 0.05)],
      ],
    )}${radial("lamp", [240, 300], 620, [
      [0, "#fffdf4", 0.5],
      [1, "#fffdf4", 0],
    ])}${SHADOW}${blur("soft", 14)}${thing.defs}`,
    shapes: `<rect width="800" height="1000" fill="url(#back)"/><rect y="${horizon}" width="800" height="${1000 - horizon}" fill="url(#top)"/><rect y="${horizon - 12}" width="800" height="24" fill="${darker(colour, 0.22)}" opacity=".18" filter="url(#soft)"/><rect width="800" height="1000" fill="url(#lamp)"/>${thing.shapes}`,
  };
}

/** The shadow of something that stands on the table. */
export const standing = (x: number, y: number, width: number, height: number): string =>
  `<ellipse cx="${x}" cy="${y}" rx="${width}" ry="${height}" fill="#16252c" opacity=".28" filter="url(#soft)"/>`;
