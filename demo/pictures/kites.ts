import { between, turned, type Point } from "./paint";
import type { Sail } from "./sails";

// Sails in units of half their span: x to the right, y down, the middle at 0 0.

const straight = (a: Point, b: Point) => (t: number) => between(a, b, t);
/** A curve from a to b that bows by `by`, sideways to it. */
const bowed =
  (a: Point, b: Point, by: number) =>
  (t: number): Point => {
    const [x, y] = between(a, b, t);
    const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
    const bend = 4 * t * (1 - t) * by;
    return [x - dy * bend, y + dx * bend];
  };
const mirrored = ([x, y]: Point): Point => [-x, y];
const cuts = (n: number) => Array.from({ length: n + 1 }, (_, i) => i / n);

type Wing = Sail["surfaces"][number];
const pair = (wing: Wing): Wing[] => [
  wing,
  { ...wing, lead: (t) => mirrored(wing.lead(t)), trail: (t) => mirrored(wing.trail(t)), light: wing.light - 0.28 },
];

const delta = (stripes: number, pattern: (i: number, j: number) => number, sweep = 0.5): Sail => ({
  surfaces: pair({
    lead: bowed([0, -0.6], [-1, sweep], 0.03),
    trail: (t) => {
      const [x, y] = between([0, 0.36], [-1, sweep + 0.02], t);
      return [x, y - Math.sin(t * Math.PI) * 0.07 + Math.abs(Math.sin(t * Math.PI * stripes)) * 0.012];
    },
    along: cuts(stripes),
    across: [0, 0.42, 1],
    cloth: pattern,
    light: 0.2,
  }),
  spars: [
    [
      [0, -0.6],
      [0, 0.37],
    ],
    [
      [-0.02, -0.56],
      [-0.94, sweep - 0.045],
    ],
    [
      [0.02, -0.56],
      [0.94, sweep - 0.045],
    ],
    [
      [-0.56, 0.04],
      [0.56, 0.04],
    ],
  ],
  tails: [[0, 0.36]],
  bridle: [0, 0.72],
  legs: [
    [0, -0.2],
    [0, 0.2],
  ],
});

const diamond: Sail = {
  surfaces: pair({
    lead: (t) =>
      t < 0.42 ? between([0, -0.95], [-0.74, -0.3], t / 0.42) : between([-0.74, -0.3], [0, 0.95], (t - 0.42) / 0.58),
    trail: straight([0, -0.95], [0, 0.95]),
    along: [0, 0.21, 0.42, 0.71, 1],
    across: [0, 0.5, 1],
    cloth: (i, j) => (i + j * 2) % 4,
    light: 0.18,
  }),
  spars: [
    [
      [0, -0.96],
      [0, 0.96],
    ],
    [
      [-0.75, -0.29],
      [0, -0.36],
      [0.75, -0.29],
    ],
  ],
  tails: [[0, 0.95]],
  bridle: [0, -0.1],
  legs: [],
};

const rokkaku: Sail = {
  surfaces: pair({
    lead: (t) =>
      t < 0.25
        ? between([0, -1.02], [-0.8, -0.52], t * 4)
        : t < 0.75
          ? between([-0.8, -0.52], [-0.8, 0.52], t * 2 - 0.5)
          : between([-0.8, 0.52], [0, 1.02], t * 4 - 3),
    trail: straight([0, -1.02], [0, 1.02]),
    along: [0, 0.25, 0.5, 0.75, 1],
    across: [0, 0.36, 1],
    cloth: (i, j) => (j === 0 ? 0 : i === 1 || i === 2 ? 1 : 2),
    light: 0.16,
  }),
  spars: [
    [
      [0, -1.03],
      [0, 1.03],
    ],
    [
      [-0.81, -0.52],
      [0, -0.58],
      [0.81, -0.52],
    ],
    [
      [-0.81, 0.52],
      [0, 0.46],
      [0.81, 0.52],
    ],
  ],
  tails: [],
  bridle: [0, 0.1],
  legs: [
    [0, -0.55],
    [0, 0.5],
    [-0.5, -0.5],
    [0.5, -0.5],
  ],
};

const genki: Sail = {
  surfaces: pair({
    lead: bowed([0, -0.34], [-1, -0.28], -0.02),
    trail: bowed([0, 0.36], [-0.84, 0.34], 0.05),
    along: cuts(4),
    across: [0, 0.3, 1],
    cloth: (i, j) => (j === 0 ? 3 : (i + 1) % 3),
    light: 0.18,
  }),
  spars: [
    [
      [-1, -0.27],
      [0, -0.33],
      [1, -0.27],
    ],
    [
      [-0.36, -0.32],
      [-0.3, 0.37],
    ],
    [
      [0.36, -0.32],
      [0.3, 0.37],
    ],
    [
      [-0.88, 0.12],
      [0, 0.08],
      [0.88, 0.12],
    ],
  ],
  tails: [
    [-0.3, 0.37],
    [0.3, 0.37],
  ],
  bridle: [0, 0.5],
  legs: [
    [-0.34, -0.2],
    [0.34, -0.2],
    [0, 0.08],
  ],
};

const sport = (vents: boolean): Sail => ({
  surfaces: pair({
    lead: (t) =>
      t < 0.55 ? between([0, -0.62], [-0.62, -0.16], t / 0.55) : between([-0.62, -0.16], [-1, 0.52], (t - 0.55) / 0.45),
    trail: (t) => {
      const [x, y] = between([0, 0.2], [-1, 0.53], t);
      return [x, y + Math.sin(t * Math.PI * 0.9) * 0.13 - Math.sin(t * Math.PI * 2) * 0.035];
    },
    along: [0, 0.2, 0.4, 0.6, 0.8, 1],
    across: vents ? [0, 0.25, 0.4, 0.7, 1] : [0, 0.34, 0.7, 1],
    cloth: (i, j) => (vents && j === 1 ? 3 : j === 0 ? 0 : (i + j) % 3 === 0 ? 2 : (i % 2) + (j > 1 ? 1 : 0)),
    light: 0.2,
  }),
  spars: [
    [
      [0, -0.63],
      [0, 0.21],
    ],
    [
      [-0.01, -0.6],
      [-0.63, -0.15],
      [-1, 0.52],
    ],
    [
      [0.01, -0.6],
      [0.63, -0.15],
      [1, 0.52],
    ],
    [
      [-0.58, 0.07],
      [0.58, 0.07],
    ],
    [
      [-0.22, -0.42],
      [0.22, -0.42],
    ],
  ],
  tails: [
    [-1, 0.53],
    [1, 0.53],
  ],
  bridle: [0, 0.6],
  legs: [
    [-0.5, -0.2],
    [0, 0.1],
  ],
});

const sled: Sail = {
  surfaces: [
    {
      lead: straight([-0.44, -0.8], [0.44, -0.8]),
      trail: straight([-0.44, 0.8], [0.44, 0.8]),
      along: [0, 0.33, 0.67, 1],
      across: [0, 0.32, 0.66, 1],
      cloth: (i, j) => (i === 1 ? j : (j + 2) % 4),
      light: 0.12,
    },
    ...pair({
      lead: straight([-0.44, -0.8], [-0.86, -0.24]),
      trail: straight([-0.44, 0.8], [-0.86, -0.2]),
      along: [0, 1],
      across: [0, 1],
      cloth: () => 1,
      light: 0.02,
    }),
  ],
  spars: [
    [
      [-0.44, -0.82],
      [-0.44, 0.82],
    ],
    [
      [0.44, -0.82],
      [0.44, 0.82],
    ],
  ],
  tails: [
    [-0.44, 0.8],
    [0.44, 0.8],
  ],
  bridle: [0, 0.9],
  legs: [],
};

const foil = (cells: number, arch: number): Sail => ({
  surfaces: [
    {
      lead: (t) => [(t - 0.5) * 2, -0.2 - Math.sin(t * Math.PI) * arch],
      trail: (t) => [
        (t - 0.5) * 1.86,
        0.34 - Math.sin(t * Math.PI) * arch * 0.72 + Math.abs(Math.sin(t * Math.PI * cells)) * 0.02,
      ],
      along: cuts(cells),
      across: [0, 0.17, 0.6, 1],
      cloth: (i, j) => (j === 0 ? 3 : j === 1 ? (Math.abs(i - (cells - 1) / 2) < 2 ? 1 : 0) : 2),
      light: 0.12,
    },
  ],
  spars: [],
  tails: [
    [-0.2, 0.1],
    [0.2, 0.1],
  ],
  bridle: [0, 0.95],
  legs: [-0.8, -0.5, -0.2, 0.2, 0.5, 0.8].map((x) => [x, 0.2 - Math.cos((x * Math.PI) / 2) * arch * 0.8] as const),
});

const bird: Sail = {
  surfaces: [
    ...pair({
      lead: bowed([0, -0.42], [-1, -0.36], 0.12),
      trail: (t) => [
        -0.02 - t * 0.98,
        0.16 - 0.5 * t + Math.sin(t * Math.PI) * 0.02 + Math.abs(Math.sin(t * Math.PI * 5)) * 0.055,
      ],
      along: cuts(5),
      across: [0, 0.36, 1],
      cloth: (i, j) => (j === 0 ? 0 : i > 2 ? 3 : 1),
      light: 0.2,
    }),
    ...pair({
      lead: straight([0, -0.6], [-0.13, -0.4]),
      trail: straight([0, 0.1], [-0.09, 0.2]),
      along: [0, 1],
      across: [0, 0.3, 1],
      cloth: (_, j) => (j ? 0 : 2),
      light: 0.1,
    }),
    ...pair({
      lead: straight([0, 0.1], [-0.09, 0.15]),
      trail: straight([-0.05, 0.5], [-0.36, 0.72]),
      along: [0, 1],
      across: [0, 0.5, 1],
      cloth: (_, j) => (j ? 3 : 1),
      light: 0.12,
    }),
  ],
  spars: [
    [
      [0, -0.6],
      [0, 0.4],
    ],
    [
      [0, -0.4],
      [-0.5, -0.5],
      [-0.98, -0.36],
    ],
    [
      [0, -0.4],
      [0.5, -0.5],
      [0.98, -0.36],
    ],
  ],
  tails: [],
  bridle: [0, 0.5],
  legs: [
    [0, -0.2],
    [0, 0.1],
  ],
};

const star = (points: number): Sail => {
  const spoke = (k: number, radius: number): Point => turned([0, -radius], (360 / points) * k);
  return {
    surfaces: Array.from({ length: points }, (_, k) => k).flatMap((k) =>
      ([-0.5, 0.5] as const).map((side) => ({
        lead: straight([0, 0], spoke(k, 0.98)),
        trail: straight([0, 0], spoke(k + side, 0.5)),
        along: [0, 0.5, 1],
        across: [0, 1],
        cloth: (i: number) => (i ? (k % 2 ? 0 : 3) : side > 0 ? 1 : 2),
        light: 0.2 - 0.4 * (Math.abs(k - points / 4) / points) + side * 0.2,
      })),
    ),
    spars: Array.from(
      { length: Math.ceil(points / 2) },
      (_, k) => [spoke(k, 0.99), spoke(k + points / 2, 0.99)] as const,
    ),
    tails: [spoke(points / 2, 0.98)],
    bridle: [0, 0.1],
    legs: [],
  };
};

const box: Sail = (() => {
  // A box seen a little from below: two cells, each with a front and two sides.
  const cell = (top: number, bottom: number, c: number): Wing[] => [
    {
      lead: straight([-0.5, top], [0.24, top + 0.1]),
      trail: straight([-0.5, bottom], [0.24, bottom + 0.1]),
      along: [0, 0.5, 1],
      across: [0, 1],
      cloth: (i) => (i + c) % 4,
      light: 0.2,
    },
    {
      lead: straight([0.24, top + 0.1], [0.62, top - 0.12]),
      trail: straight([0.24, bottom + 0.1], [0.62, bottom - 0.12]),
      along: [0, 1],
      across: [0, 1],
      cloth: () => c + 2,
      light: -0.22,
    },
  ];
  const back = (top: number, bottom: number, c: number): Wing => ({
    lead: straight([-0.5, top], [-0.12, top - 0.22]),
    trail: straight([-0.5, bottom], [-0.12, bottom - 0.22]),
    along: [0, 1],
    across: [0, 1],
    cloth: () => c + 1,
    light: -0.4,
  });
  const rear = (top: number, bottom: number, c: number): Wing => ({
    lead: straight([-0.12, top - 0.22], [0.62, top - 0.12]),
    trail: straight([-0.12, bottom - 0.22], [0.62, bottom - 0.12]),
    along: [0, 1],
    across: [0, 1],
    cloth: () => c,
    light: -0.5,
  });
  return {
    surfaces: [
      rear(-0.78, -0.2, 0),
      back(-0.78, -0.2, 0),
      rear(0.3, 0.88, 1),
      back(0.3, 0.88, 1),
      ...cell(-0.78, -0.2, 0),
      ...cell(0.3, 0.88, 1),
    ],
    spars: [
      [
        [-0.5, -0.84],
        [-0.5, 0.94],
      ],
      [
        [0.24, -0.74],
        [0.24, 1.04],
      ],
      [
        [0.62, -0.96],
        [0.62, 0.82],
      ],
    ],
    tails: [],
    bridle: [-0.2, 1.2],
    legs: [
      [-0.5, -0.3],
      [-0.5, 0.4],
    ],
  };
})();

const facet: Sail = {
  surfaces: [0, 1, 2, 3].flatMap((k) => {
    const turn = (p: Point) => turned(p, k * 90);
    return [
      {
        lead: (t: number) => turn(between([0, 0], [0, -0.98], t)),
        trail: (t: number) => turn(between([0.12, -0.12], [0.42, -0.62], t)),
        along: [0, 0.5, 1],
        across: [0, 1],
        cloth: (i: number) => (k + i) % 4,
        light: 0.24 - k * 0.1,
      },
      {
        lead: (t: number) => turn(between([0, 0], [0, -0.98], t)),
        trail: (t: number) => turn(between([-0.12, -0.12], [-0.42, -0.62], t)),
        along: [0, 0.5, 1],
        across: [0, 1],
        cloth: (i: number) => (k + i + 1) % 4,
        light: -0.06 - k * 0.06,
      },
    ];
  }),
  spars: [
    [
      [0, -0.99],
      [0, 0.99],
    ],
    [
      [-0.99, 0],
      [0.99, 0],
    ],
    [
      [-0.42, -0.62],
      [0.42, -0.62],
    ],
    [
      [-0.42, 0.62],
      [0.42, 0.62],
    ],
  ],
  tails: [[0, 0.98]],
  bridle: [0, 0.2],
  legs: [],
};

const stripes = (i: number, j: number) => (j ? (i + 1) % 4 : i % 3);

/** Every model of sail that the workshop makes. */
export const SAILS = {
  delta: delta(4, stripes),
  longDelta: delta(6, (i, j) => (j ? (i % 2 ? 1 : 3) : i % 2), 0.34),
  smallDelta: delta(2, (i, j) => i + j, 0.56),
  diamond,
  rokkaku,
  genki,
  sport: sport(false),
  vented: sport(true),
  sled,
  pocketFoil: foil(6, 0.1),
  foil: foil(10, 0.34),
  wideFoil: foil(14, 0.28),
  bird,
  star: star(6),
  eightStar: star(8),
  box,
  facet,
} satisfies Record<string, Sail>;
export type SailName = keyof typeof SAILS;
