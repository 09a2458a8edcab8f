import { drawFrame } from "../../stock/draw/frame";
import { coast, COASTS, type Coast } from "./coast";
import { COLOURWAYS, type ColourwayName } from "./colourways";
import { SAILS, type SailName } from "./kites";
import { darker, grain, lighter, mixed, picture, sagging, smooth, type Drawing, type Point } from "./paint";
import { seeded, type Random } from "./random";
import { drawSail, resetIds } from "./sails";

const W = 1600;

/** Marram grass in tufts, larger towards the foot of the picture; it leans with the wind. */
function grass(H: number, from: number, count: number, tones: readonly string[], random: Random): string {
  return Array.from({ length: count }, () => {
    const x = random.between(0, W);
    const depth = random.next() ** 0.7;
    const y = H * (from + (1.02 - from) * depth);
    const tuft = Math.sin(x / 90 + depth * 5) + Math.sin(x / 37 + depth * 9);
    const height = random.between(16, 58) * (0.35 + 1.25 * depth);
    const lean = height * random.between(0.3, 0.75);
    const tone = random.pick(tones);
    if (tuft < 0.35) return "";
    return `<path d="M${x.toFixed(0)} ${y.toFixed(0)}q${(lean * 0.2).toFixed(0)} ${(-height * 0.7).toFixed(0)} ${lean.toFixed(0)} ${(-height).toFixed(0)}" stroke="${tone}" stroke-width="${(0.7 + 1.9 * depth).toFixed(1)}" stroke-linecap="round" fill="none"/>`;
  }).join("");
}

/** A distant figure that holds a line, as a silhouette. */
const figure = (x: number, y: number, height: number, colour: string, flip = 1): string =>
  `<g transform="translate(${x} ${y}) scale(${(height / 100) * flip} ${height / 100})" fill="${colour}"><circle cy="-92" r="8"/><path d="M-9-82q9-5 17 1l3 34-4 6 6 41h-8l-7-36-7 36h-8l5-44z"/><path d="M6-78l22-20 4 5-22 26z"/><path d="M4-70l24-16 3 5-25 20z"/></g>`;

export type SkyScene = {
  readonly name: string;
  readonly sky: keyof typeof COASTS;
  readonly height: number;
  readonly horizon: number;
  readonly land: Coast["land"];
  readonly seed: number;
  /** How high the eye is above the ground, in metres. */
  readonly eye?: number;
  readonly kites: readonly {
    readonly sail: SailName;
    readonly colours: ColourwayName;
    readonly at: Point;
    readonly size: number;
    readonly angle: number;
    readonly tails?: number;
    readonly to?: Point;
  }[];
  readonly figures?: readonly { readonly at: Point; readonly height: number; readonly flip?: boolean }[];
};

const GRASS = {
  noon: "#7b8c4a",
  dawn: "#6d6f4b",
  squall: "#66684a",
  dusk: "#3d4138",
} as const;

/** The air, the sea and the land of a scene, without what is flown in it: three bytes for each dot. */
export function drawGround(scene: SkyScene): {
  readonly data: Uint8Array;
  readonly width: number;
  readonly height: number;
} {
  const { sky, land, horizon, height, eye = 2.2, seed } = scene;
  const shade = coast({ ...COASTS[sky], land, seed, eye, horizon });
  return { data: drawFrame(shade, W, height), width: W, height };
}

/** Draws what is flown in an outdoor scene, and who flies it, as SVG text upon its ground (the address of a picture). Places are shares of its width and height. */
export function drawScene(scene: SkyScene, ground: string): string {
  resetIds();
  const random = seeded(scene.name);
  const H = scene.height;
  const put = ([x, y]: Point): Point => [x * W, y * H];
  const dark = darker(GRASS[scene.sky], 0.62);
  const layers: Drawing[] = [{ defs: "", shapes: `<image href="${ground}" width="${W}" height="${H}"/>` }];
  const strings: string[] = [];
  for (const kite of scene.kites) {
    const drawn = drawSail(SAILS[kite.sail], COLOURWAYS[kite.colours], random, {
      centre: put(kite.at),
      size: kite.size,
      angle: kite.angle,
      ...(kite.tails ? { tails: kite.tails } : {}),
      lean: -0.5,
    });
    layers.push(drawn);
    if (kite.to)
      strings.push(
        `<path d="${smooth(sagging(drawn.bridle, put(kite.to), H * 0.05))}" stroke="#1d262a" stroke-opacity=".55" stroke-width="1.600" fill="none"/>`,
      );
  }
  layers.push({ defs: "", shapes: strings.join("") });
  for (const { at: place, height, flip } of scene.figures ?? []) {
    const [x, y] = put(place);
    layers.push({
      defs: "",
      shapes: `<ellipse cx="${x}" cy="${y}" rx="${height * 0.3}" ry="${height * 0.05}" fill="#14202a" opacity=".35"/>${figure(x, y, height, dark, flip ? -1 : 1)}`,
    });
  }
  if (scene.land === "dunes") {
    const green = GRASS[scene.sky];
    const tones = [green, lighter(green, 0.25), darker(green, 0.3), mixed(green, "#c9b98a", 0.4)];
    layers.push({ defs: "", shapes: grass(H, scene.horizon + 0.14, 900, tones, random) });
  }
  layers.push(grain(W, H));
  return picture(W, H, { shapes: layers.map((l) => l.shapes).join(""), defs: layers.map((l) => l.defs).join("") });
}
