import { COLOURWAYS, type ColourwayName } from "./colourways";
import { SAILS, type SailName } from "./kites";
import {
  blur,
  darker,
  lighter,
  linear,
  mixed,
  picture,
  polygon,
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
  const grain = `<filter id="grain" x="0" y="0" width="100%" height="100%"><feTurbulence type="fractalNoise" baseFrequency=".8" numOctaves="2" seed="3"/><feColorMatrix values="0 0 0 0 .5 0 0 0 0 .5 0 0 0 0 .5 0 0 0 .07 0"/></filter>`;
  layers.push({ defs: grain, shapes: `<rect width="${W}" height="${H}" filter="url(#grain)"/>` });
  return picture(W, H, { shapes: layers.map((l) => l.shapes).join(""), defs: layers.map((l) => l.defs).join("") });
}

export type WorkshopScene = {
  readonly name: string;
  readonly view: "bench" | "shelf" | "rolls" | "sewing";
  readonly height: number;
};

/** Draws a corner of the workshop as SVG text. */
export function drawWorkshop({ name, view, height: H }: WorkshopScene): string {
  resetIds();
  const random = seeded(name);
  const all = Object.values(COLOURWAYS);
  const cloth = () => random.pick(random.pick(all).cloth);
  const wood = "#b98a55";
  let shapes = `<rect width="${W}" height="${H}" fill="url(#room)"/><rect width="${W}" height="${H}" fill="url(#window)"/>`;
  let defs =
    linear(
      "room",
      [0, 0],
      [W, H],
      [
        [0, "#f3ead8"],
        [0.6, "#dccdb2"],
        [1, "#b7a484"],
      ],
    ) +
    radial("window", [260, 120], 1100, [
      [0, "#fffef6", 0.85],
      [1, "#fffef6", 0],
    ]) +
    blur("soft", 16) +
    linear(
      "wood",
      [0, 0],
      [0, H],
      [
        [0, lighter(wood, 0.25)],
        [1, darker(wood, 0.25)],
      ],
    );
  const plank = (y: number, h: number) => {
    shapes += `<rect x="0" y="${y + h}" width="${W}" height="34" fill="#2a1e12" opacity=".22" filter="url(#soft)"/><rect x="0" y="${y}" width="${W}" height="${h}" fill="url(#wood)"/><rect x="0" y="${y}" width="${W}" height="4" fill="#fff" opacity=".3"/>`;
    for (let i = 0; i < 7; i++) {
      const gy = y + 6 + random.between(0, Math.max(4, h - 10));
      shapes += `<path d="M0 ${gy.toFixed(0)}q400 ${random.between(-5, 5).toFixed(0)} 800 0t800 ${random.between(-4, 4).toFixed(0)}" stroke="${darker(wood, 0.4)}" stroke-opacity=".22" stroke-width="1.500" fill="none"/>`;
    }
  };
  if (view === "shelf") {
    const rows = 3;
    for (let row = 0; row < rows; row++) {
      const y = (H / rows) * (row + 1) - 46;
      let x = 50 + random.between(0, 30);
      let i = 0;
      while (x < W - 130) {
        const w = random.between(84, 128);
        const h = random.between(0.5, 0.72) * (H / rows - 60);
        const colour = cloth();
        const key = `p${row}${i++}`;
        defs += linear(
          key,
          [x, 0],
          [x + w, 0],
          [
            [0, darker(colour, 0.32)],
            [0.3, lighter(colour, 0.22)],
            [0.6, colour],
            [1, darker(colour, 0.42)],
          ],
        );
        shapes += `<rect x="${x + 6}" y="${y - h}" width="${w - 12}" height="${h}" fill="url(#${key})"/>`;
        for (let k = 0; k < h / 7; k++)
          shapes += `<path d="M${x + 6} ${y - h + k * 7}q${(w - 12) / 2} 9 ${w - 12} 0" stroke="${darker(colour, 0.3)}" stroke-opacity=".32" stroke-width="1.800" fill="none"/>`;
        shapes += `<rect x="${x}" y="${y - 16}" width="${w}" height="16" rx="5" fill="#4b3a28"/><rect x="${x}" y="${y - h - 14}" width="${w}" height="16" rx="5" fill="#6a5239"/>`;
        x += w + random.between(10, 34);
      }
      plank(y, 34);
    }
  } else if (view === "rolls") {
    for (let i = 0; i < 42; i++) {
      const [column, row] = [i % 9, Math.floor(i / 9)];
      const radius = 88;
      const x = 96 + column * 178 + (row % 2 ? 89 : 0);
      const y = H - 96 - row * 158;
      const colour = cloth();
      defs += radial(`o${i}`, [x - 30, y - 34], radius * 1.7, [
        [0, lighter(colour, 0.3)],
        [0.6, colour],
        [1, darker(colour, 0.45)],
      ]);
      shapes += `<circle cx="${x + 8}" cy="${y + 12}" r="${radius}" fill="#1e150c" opacity=".3" filter="url(#soft)"/><circle cx="${x}" cy="${y}" r="${radius}" fill="url(#o${i})"/>`;
      for (let k = 1; k < 7; k++)
        shapes += `<circle cx="${x + random.between(-1.5, 1.5)}" cy="${y + random.between(-1.5, 1.5)}" r="${radius - k * 9}" fill="none" stroke="${darker(colour, 0.42)}" stroke-opacity=".35" stroke-width="1.600"/>`;
      shapes += `<circle cx="${x}" cy="${y}" r="24" fill="#c8a877"/><circle cx="${x}" cy="${y}" r="17" fill="#3a2a1a"/>`;
    }
  } else {
    const level = H * 0.62;
    if (view === "sewing") {
      defs += linear(
        "body",
        [520, 0],
        [1100, 0],
        [
          [0, "#173b46"],
          [0.4, "#2f6674"],
          [1, "#0f2a32"],
        ],
      );
      plank(level, H - level);
      shapes += `<ellipse cx="820" cy="${level + 40}" rx="400" ry="40" fill="#1e150c" opacity=".3" filter="url(#soft)"/><g transform="translate(0 ${level - 470})"><path d="M520 470v-50h600v50z" fill="#0f2a32"/><path d="M1120 470V170q0-70-70-70H640q-80 0-80 70v170h80V230q0-30 34-30h240q50 0 50 50v180h156z" fill="url(#body)"/><path d="M590 340h20v74h-20z" fill="#c8ccd0"/><path d="M597 414h6v40h-6z" fill="#eef1f2"/><circle cx="1160" cy="210" r="66" fill="#20484f"/><circle cx="1160" cy="210" r="66" fill="none" stroke="#d8b25a" stroke-width="9"/><circle cx="1160" cy="210" r="14" fill="#d8b25a"/><rect x="760" y="60" width="8" height="44" fill="#c8ccd0"/><rect x="736" y="2" width="56" height="70" rx="8" fill="${COLOURWAYS.dawn.cloth[0]}"/><path d="M690 130h250" stroke="#d8b25a" stroke-width="5"/><path d="M700 152h170" stroke="#d8b25a" stroke-opacity=".6" stroke-width="3"/></g>`;
      const drape = (x: number, colour: string, key: string) => {
        defs += linear(
          key,
          [x, level],
          [x + 420, level + 200],
          [
            [0, lighter(colour, 0.3)],
            [0.4, colour],
            [0.55, darker(colour, 0.18)],
            [0.7, colour],
            [1, darker(colour, 0.35)],
          ],
        );
        shapes += `<path d="M${x} ${level - 6}q120-30 260-8t300 4q60 90 20 ${(H - level) * 0.9}q-110-50-230-18T${x + 20} ${H - 30}q-60-140-20-${(H - level - 24).toFixed(0)}z" fill="url(#${key})"/>`;
      };
      drape(60, COLOURWAYS.dawn.cloth[1], "dr1");
      drape(430, COLOURWAYS.dawn.cloth[0], "dr2");
    } else {
      plank(level - 30, H - level + 30);
      resetIds();
      const kite = drawSail(SAILS.delta, COLOURWAYS.shoal, random, { centre: [860, level + 70], size: 520, angle: 9 });
      defs += kite.defs;
      shapes += `<g transform="translate(0 ${(level + 70) * 0.38}) scale(1 .62)"><g opacity=".3" filter="url(#soft)" transform="translate(14 26)"><path d="${polygon(
        [
          [860, level - 240],
          [340, level + 330],
          [1380, level + 330],
        ],
      )}" fill="#1e150c"/></g>${kite.shapes}</g>`;
      for (const [x, y, colour] of [
        [250, level - 40, "#e8512b"],
        [370, level - 20, "#168a9a"],
        [1330, level - 44, "#f2b632"],
      ] as const) {
        defs += linear(
          `sp${x}`,
          [x - 50, 0],
          [x + 50, 0],
          [
            [0, darker(colour, 0.3)],
            [0.3, lighter(colour, 0.25)],
            [1, darker(colour, 0.4)],
          ],
        );
        shapes += `<ellipse cx="${x + 12}" cy="${y + 6}" rx="70" ry="14" fill="#1e150c" opacity=".35" filter="url(#soft)"/><rect x="${x - 46}" y="${y - 130}" width="92" height="126" fill="url(#sp${x})"/><ellipse cx="${x}" cy="${y - 4}" rx="54" ry="14" fill="#5c4630"/><ellipse cx="${x}" cy="${y - 130}" rx="54" ry="14" fill="#7d6143"/><ellipse cx="${x}" cy="${y - 130}" rx="14" ry="5" fill="#2a1e12"/>`;
      }
      shapes += `<g transform="rotate(-7 420 ${H - 90})"><rect x="180" y="${H - 108}" width="560" height="44" fill="#f0d27a"/><path d="${Array.from({ length: 28 }, (_, i) => `M${190 + i * 20} ${H - 108}v${i % 5 ? 12 : 24}`).join("")}" stroke="#6b5312" stroke-width="2.500"/></g>`;
      shapes += `<g transform="translate(1290 ${H - 130}) rotate(24)"><circle cx="-60" cy="60" r="34" fill="none" stroke="#d62f3c" stroke-width="15"/><circle cx="20" cy="76" r="34" fill="none" stroke="#d62f3c" stroke-width="15"/><path d="M-44 30L70-190l14 8-84 226zM8 44L-20-200l16-4 44 240z" fill="#c9d0d3"/><circle cx="-8" cy="-20" r="8" fill="#6d767a"/></g>`;
    }
  }
  return picture(W, H, { shapes, defs });
}
