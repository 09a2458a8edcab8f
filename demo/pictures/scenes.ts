import { COLOURWAYS, type ColourwayName } from "./colourways";
import { SAILS, type SailName } from "./kites";
import {
  blur,
  darker,
  grain,
  lighter,
  linear,
  mixed,
  picture,
  radial,
  sagging,
  smooth,
  polyline,
  type Drawing,
  type Point,
} from "./paint";
import { seeded, type Random } from "./random";
import { drawSail, resetIds } from "./sails";

/** Colours of the air at one time of day. */
export const SKIES = {
  dawn: {
    top: "#4f7a9c",
    middle: "#e9b79a",
    low: "#fbe3bd",
    sun: "#fff3d0",
    cloud: "#fff1e2",
    shade: "#b98c94",
    sea: "#7fa0aa",
    sand: "#d9b98e",
    grass: "#5d6a45",
    at: 0.22,
  },
  noon: {
    top: "#2f7fb5",
    middle: "#86bcd9",
    low: "#dcecea",
    sun: "#ffffff",
    cloud: "#ffffff",
    shade: "#b9cbd6",
    sea: "#3f8ea6",
    sand: "#ecd9ae",
    grass: "#7b8c4a",
    at: 0.7,
  },
  squall: {
    top: "#33454f",
    middle: "#6f858d",
    low: "#c3cbc4",
    sun: "#e9ecdf",
    cloud: "#cdd5d4",
    shade: "#41535c",
    sea: "#4c6a70",
    sand: "#b7a988",
    grass: "#5c6548",
    at: 0.3,
  },
  dusk: {
    top: "#26385c",
    middle: "#a0607a",
    low: "#f4a866",
    sun: "#ffe2a6",
    cloud: "#f3b99a",
    shade: "#6d4a6a",
    sea: "#51597c",
    sand: "#a98264",
    grass: "#3d4138",
    at: 0.62,
  },
} as const;
export type SkyName = keyof typeof SKIES;

const W = 1600;

/** Clouds: turbulence, cut off below a threshold and thinned towards the horizon. */
function clouds(
  id: string,
  height: number,
  horizon: number,
  colour: string,
  shade: string,
  seed: number,
  amount: number,
): Drawing {
  const fade = `<linearGradient id="${id}f" x1="0" y1="0" x2="0" y2="1"><stop offset="0" stop-color="#fff" stop-opacity=".35"/><stop offset=".55" stop-color="#fff"/><stop offset="1" stop-color="#fff" stop-opacity=".15"/></linearGradient><mask id="${id}m"><rect width="${W}" height="${horizon}" fill="url(#${id}f)"/></mask>`;
  const noise = (name: string, frequency: string, shift: number, tint: string, strength: number) =>
    `<filter id="${name}" x="0" y="0" width="100%" height="100%" color-interpolation-filters="sRGB"><feTurbulence type="fractalNoise" baseFrequency="${frequency}" numOctaves="5" seed="${seed}"/><feColorMatrix values="0 0 0 0 0  0 0 0 0 0  0 0 0 0 0  ${strength} 0 0 0 ${shift}" result="a"/><feFlood flood-color="${tint}"/><feComposite in2="a" operator="in"/><feGaussianBlur stdDeviation="1.400"/></filter>`;
  return {
    defs:
      fade +
      noise(`${id}a`, "0.0016 0.0046", -2.1 + amount, colour, 4.4) +
      noise(`${id}b`, "0.0016 0.0046", -2.55 + amount, shade, 4),
    shapes: `<g mask="url(#${id}m)"><rect width="${W}" height="${Math.min(height, horizon)}" filter="url(#${id}a)" opacity=".9"/><g transform="translate(14 26)"><rect width="${W}" height="${Math.min(height, horizon)}" filter="url(#${id}b)" opacity=".42"/></g></g>`,
  };
}

function sea(horizon: number, bottom: number, sky: (typeof SKIES)[SkyName], random: Random): Drawing {
  const glints = Array.from({ length: 130 }, () => {
    const depth = random.next() ** 1.8;
    const y = horizon + 3 + depth * (bottom - horizon);
    const width = 18 + depth * 150;
    const x = random.between(-60, W);
    return `<path d="M${x.toFixed(0)} ${y.toFixed(1)}q${(width / 2).toFixed(0)} ${(-1.5 - depth * 4).toFixed(1)} ${width.toFixed(0)} 0" stroke="${random.next() > 0.45 ? lighter(sky.sea, 0.4) : darker(sky.sea, 0.25)}" stroke-opacity="${(0.18 + 0.3 * random.next()).toFixed(2)}" stroke-width="${(1 + depth * 4).toFixed(1)}" fill="none"/>`;
  }).join("");
  const sunX = W * sky.at;
  return {
    defs:
      linear(
        "sea",
        [0, horizon],
        [0, bottom],
        [
          [0, mixed(sky.sea, sky.low, 0.45)],
          [0.25, sky.sea],
          [1, darker(sky.sea, 0.28)],
        ],
      ) +
      `<radialGradient id="path"><stop offset="0" stop-color="${sky.sun}" stop-opacity=".7"/><stop offset="1" stop-color="${sky.sun}" stop-opacity="0"/></radialGradient><clipPath id="water"><rect y="${horizon}" width="${W}" height="${bottom - horizon}"/></clipPath>`,
    shapes: `<rect y="${horizon}" width="${W}" height="${bottom - horizon}" fill="url(#sea)"/>${glints}<ellipse cx="${sunX}" cy="${horizon + 12}" rx="430" ry="120" fill="url(#path)" clip-path="url(#water)"/>`,
  };
}

/** One ridge of dunes with marram grass on it. */
function dune(
  key: string,
  base: number,
  rise: number,
  bottom: number,
  colour: string,
  grass: string,
  density: number,
  random: Random,
): Drawing {
  const phase = random.between(0, 6);
  const ridge = (x: number) =>
    base - rise * (0.5 + 0.5 * Math.sin(phase + x / 330)) - rise * 0.35 * Math.sin(phase * 2 + x / 127);
  const points: Point[] = Array.from({ length: 41 }, (_, i) => [(W / 40) * i, ridge((W / 40) * i)]);
  const blades = Array.from({ length: density }, () => {
    const x = random.between(0, W);
    const tuft = Math.sin(x / 90 + phase) + Math.sin(x / 37);
    if (tuft < -0.2) return "";
    const y = ridge(x) + random.between(0, rise * 0.7 + 30);
    const height = random.between(26, 74) * (0.6 + (y - base + rise) / 240);
    const lean = random.between(10, 46);
    const tone = random.pick([grass, lighter(grass, 0.25), darker(grass, 0.3), mixed(grass, colour, 0.4)]);
    return `<path d="M${x.toFixed(0)} ${y.toFixed(0)}q${(lean * 0.2).toFixed(0)} ${(-height * 0.7).toFixed(0)} ${lean.toFixed(0)} ${(-height).toFixed(0)}" stroke="${tone}" stroke-width="${random.between(1.4, 3.4).toFixed(1)}" stroke-linecap="round" fill="none"/>`;
  }).join("");
  return {
    defs: linear(
      `${key}d`,
      [0, base - rise],
      [0, bottom],
      [
        [0, lighter(colour, 0.28)],
        [0.4, colour],
        [1, darker(colour, 0.3)],
      ],
    ),
    shapes: `<path d="${polyline(points)}L${W} ${bottom}L0 ${bottom}Z" fill="url(#${key}d)"/>${blades}`,
  };
}

/** A distant figure that holds a line, as a silhouette. */
const figure = (x: number, y: number, height: number, colour: string, flip = 1): string =>
  `<g transform="translate(${x} ${y}) scale(${(height / 100) * flip} ${height / 100})" fill="${colour}"><circle cy="-92" r="8"/><path d="M-9-82q9-5 17 1l3 34-4 6 6 41h-8l-7-36-7 36h-8l5-44z"/><path d="M6-78l22-20 4 5-22 26z"/><path d="M4-70l24-16 3 5-25 20z"/></g>`;

export type SkyScene = {
  readonly name: string;
  readonly sky: SkyName;
  readonly height: number;
  readonly horizon: number;
  readonly land: "dunes" | "beach" | "none";
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
  readonly cloud?: number;
};

/** Draws an outdoor scene as SVG text. Places are shares of its width and height. */
export function drawScene(scene: SkyScene): string {
  resetIds();
  const random = seeded(scene.name);
  const H = scene.height;
  const sky = SKIES[scene.sky];
  const horizon = H * scene.horizon;
  const put = ([x, y]: Point): Point => [x * W, y * H];
  const layers: Drawing[] = [];
  layers.push({
    defs:
      linear(
        "sky",
        [0, 0],
        [0, horizon],
        [
          [0, sky.top],
          [0.58, sky.middle],
          [1, sky.low],
        ],
      ) +
      radial("sun", [W * sky.at, horizon * 0.8], 760, [
        [0, sky.sun, 0.95],
        [0.16, sky.sun, 0.5],
        [1, sky.sun, 0],
      ]) +
      blur("far", 2.2),
    shapes: `<rect width="${W}" height="${H}" fill="url(#sky)"/><rect width="${W}" height="${H}" fill="url(#sun)"/>`,
  });
  layers.push(clouds("cl", H, horizon, sky.cloud, sky.shade, Math.floor(random.between(1, 900)), scene.cloud ?? 0));
  if (scene.land !== "none") {
    layers.push(sea(horizon, H, sky, random));
    const head = Array.from({ length: 12 }, (_, i): Point => [
      W * 0.56 + i * 64,
      horizon - 12 - Math.sin((i / 11) * Math.PI * 0.6) * 40 - random.between(0, 7),
    ]);
    layers.push({
      defs: "",
      shapes: `<path d="M${W * 0.5} ${horizon + 1}${smooth(head).replace("M", "L")}L${W} ${horizon + 1}Z" fill="${mixed(sky.sea, sky.low, 0.28)}" opacity=".85"/>`,
    });
  }
  const strings: string[] = [];
  const flown: Drawing[] = [];
  for (const kite of scene.kites) {
    const drawn = drawSail(SAILS[kite.sail], COLOURWAYS[kite.colours], random, {
      centre: put(kite.at),
      size: kite.size,
      angle: kite.angle,
      ...(kite.tails ? { tails: kite.tails } : {}),
      lean: -0.5,
    });
    flown.push(drawn);
    if (kite.to)
      strings.push(
        `<path d="${smooth(sagging(drawn.bridle, put(kite.to), H * 0.05))}" stroke="#1d262a" stroke-opacity=".55" stroke-width="1.600" fill="none"/>`,
      );
  }
  layers.push(...flown);
  if (scene.land === "beach") {
    const shore: Point[] = Array.from({ length: 21 }, (_, i) => [
      (W / 20) * i,
      H * (scene.horizon + 0.1) + Math.sin(i / 3) * 9 + i * 2,
    ]);
    layers.push({
      defs: linear(
        "wet",
        [0, H * (scene.horizon + 0.1)],
        [0, H],
        [
          [0, mixed(sky.sand, sky.sea, 0.45)],
          [0.22, sky.sand],
          [1, lighter(sky.sand, 0.12)],
        ],
      ),
      shapes: `<path d="${smooth(shore)}L${W} ${H}L0 ${H}Z" fill="url(#wet)"/><path d="${smooth(shore)}" stroke="#fff" stroke-opacity=".8" stroke-width="7" fill="none"/><path d="${smooth(shore.map(([x, y]) => [x, y + 16]))}" stroke="#fff" stroke-opacity=".3" stroke-width="4" fill="none"/>`,
    });
  }
  layers.push({ defs: "", shapes: strings.join("") });
  for (const { at: place, height, flip } of scene.figures ?? []) {
    const [x, y] = put(place);
    layers.push({
      defs: "",
      shapes: `<ellipse cx="${x}" cy="${y}" rx="${height * 0.3}" ry="${height * 0.05}" fill="#14202a" opacity=".35"/>${figure(x, y, height, darker(sky.grass, 0.62), flip ? -1 : 1)}`,
    });
  }
  if (scene.land === "dunes") {
    layers.push(
      dune(
        "a",
        H * (scene.horizon + 0.12),
        H * 0.05,
        H,
        mixed(sky.sand, sky.low, 0.25),
        mixed(sky.grass, sky.low, 0.2),
        260,
        random,
      ),
    );
    layers.push(dune("b", H * (scene.horizon + 0.27), H * 0.09, H, sky.sand, sky.grass, 520, random));
  }
  layers.push(grain(W, H));
  return picture(W, H, { shapes: layers.map((l) => l.shapes).join(""), defs: layers.map((l) => l.defs).join("") });
}
