import type { CardDesign } from "./gift-cards";

// Pictures of gift cards, one for each occasion, drawn from a few shapes in the shop's own colours.

export const CARD_WIDTH = 800;
export const CARD_HEIGHT = 500;

/** Something that is drawn: a path, in one of the two colours that stand on the ground. */
export type Shape = { readonly path: string; readonly in: "light" | "bright"; readonly stroke?: number };

const ring = (x: number, y: number, r: number) =>
  `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0Z`;
const heart = (x: number, y: number, s: number) =>
  `M${x} ${y + 0.9 * s}C${x - 1.5 * s} ${y - 0.1 * s} ${x - 0.9 * s} ${y - s} ${x} ${y - 0.3 * s}C${x + 0.9 * s} ${y - s} ${x + 1.5 * s} ${y - 0.1 * s} ${x} ${y + 0.9 * s}Z`;
const leaf = (x: number, y: number, dx: number, dy: number) =>
  `M${x} ${y}Q${x + dx - dy * 0.45} ${y + dy * 0.5 + dx * 0.45} ${x + dx} ${y + dy}Q${x + dy * 0.45} ${y + dy * 0.5 - dx * 0.45} ${x} ${y}Z`;
const around = (count: number, shape: (angle: number) => string) =>
  Array.from({ length: count }, (_each, i) => shape((i / count) * 2 * Math.PI)).join("");
const at = (x: number, y: number, r: number, angle: number): readonly [number, number] => [
  Math.round(x + r * Math.cos(angle)),
  Math.round(y + r * Math.sin(angle)),
];

/** A flower with petals around its middle. */
const flower = (x: number, y: number, r: number, petals: number): readonly Shape[] => [
  { path: around(petals, (angle) => ring(...at(x, y, r, angle), Math.round(r * 0.62))), in: "light" },
  { path: ring(x, y, Math.round(r * 0.6)), in: "bright" },
];

/** A star of snow: rays, each with two shorter ones. */
const snow = (x: number, y: number, r: number): Shape => ({
  path: around(6, (angle) => {
    const [ex, ey] = at(x, y, r, angle);
    const [mx, my] = at(x, y, r * 0.62, angle);
    const [ax, ay] = at(mx, my, r * 0.3, angle + 0.8);
    const [bx, by] = at(mx, my, r * 0.3, angle - 0.8);
    return `M${x} ${y}L${ex} ${ey}M${ax} ${ay}L${mx} ${my}L${bx} ${by}`;
  }),
  in: "light",
  stroke: Math.max(5, Math.round(r * 0.09)),
});

const DESIGNS: Readonly<Record<CardDesign, readonly Shape[]>> = {
  plain: [
    { path: "M0 130H800M0 370H800", in: "light", stroke: 3 },
    { path: "M400 0V500", in: "bright", stroke: 34 },
    { path: "M0 250H800", in: "bright", stroke: 34 },
    {
      path: "M400 250C330 150 240 150 250 205C258 248 340 254 400 250C470 150 560 150 550 205C542 248 460 254 400 250Z",
      in: "light",
    },
  ],
  birthday: [
    { path: "M250 500V330H550V500Z", in: "light" },
    { path: "M250 330q37 46 75 0t75 0t75 0t75 0V300H250Z", in: "bright" },
    { path: "M300 300V200M400 300V180M500 300V200", in: "light", stroke: 16 },
    { path: `${leaf(300, 196, 0, -52)}${leaf(400, 176, 0, -52)}${leaf(500, 196, 0, -52)}`, in: "bright" },
    { path: around(18, (angle) => ring(...at(400, 230, 330 + 34 * Math.sin(angle * 5), angle), 9)), in: "bright" },
  ],
  thanks: [
    ...[0, 1, 2, 3, 4].map((i): Shape => ({
      path: heart(150 + i * 125, 250 + (i % 2 ? 46 : -46), 58),
      in: i % 2 ? "bright" : "light",
    })),
    { path: "M60 440H740M60 60H740", in: "light", stroke: 4 },
  ],
  wedding: [
    { path: ring(340, 270, 120), in: "light", stroke: 22 },
    { path: ring(470, 270, 120), in: "bright", stroke: 22 },
    { path: "M340 150l-34 -44h68Z", in: "light" },
    { path: `${heart(90, 110, 30)}${heart(710, 110, 30)}${heart(90, 410, 30)}${heart(710, 410, 30)}`, in: "bright" },
  ],
  baby: [
    { path: "M290 260a120 120 0 0 1 240 0Z", in: "light" },
    { path: "M262 268H538C538 352 476 396 400 396S262 352 262 268Z", in: "bright" },
    { path: "M538 268l70 -60", in: "light", stroke: 14 },
    { path: `${ring(326, 420, 34)}${ring(474, 420, 34)}`, in: "light", stroke: 14 },
    { path: around(10, (angle) => ring(...at(400, 200, 300, angle), 10)), in: "bright" },
  ],
  winter: [
    snow(400, 250, 150),
    snow(130, 130, 74),
    snow(680, 370, 84),
    snow(660, 110, 52),
    snow(160, 400, 56),
    { path: around(24, (angle) => ring(...at(400, 250, 330 - 90 * Math.cos(angle * 3), angle), 6)), in: "bright" },
  ],
  home: [
    { path: "M250 260L400 130L550 260V430H250Z", in: "light" },
    { path: "M220 274L400 116L580 274", in: "bright", stroke: 26 },
    { path: "M370 430V330H430V430Z", in: "bright" },
    { path: "M60 430H740", in: "light", stroke: 6 },
    {
      path: `${leaf(140, 430, -34, -120)}${leaf(140, 430, 34, -120)}${leaf(660, 430, -34, -120)}${leaf(660, 430, 34, -120)}`,
      in: "bright",
    },
  ],
  flowers: [
    { path: "M400 500C400 400 380 340 300 250M400 500C400 400 420 330 500 220M400 500V200", in: "light", stroke: 9 },
    { path: `${leaf(396, 420, -90, -34)}${leaf(404, 380, 96, -40)}`, in: "bright" },
    ...flower(290, 226, 50, 6),
    ...flower(400, 150, 56, 7),
    ...flower(514, 200, 48, 6),
  ],
};

export const shapesOf = (design: CardDesign): readonly Shape[] => DESIGNS[design];
