// Made by `npm run fonts:metrics` from the shipped font files. Units: font design units; `widths`: average width of a
// letter of running text at three weights; `stretched`: the same at three widths of the width axis.
export type FamilyMetrics = {
  readonly unitsPerEm: number;
  readonly ascent: number;
  readonly descent: number;
  readonly lineGap: number;
  readonly widths: readonly (readonly [weight: number, width: number])[];
  readonly stretched?: readonly (readonly [stretch: number, width: number])[];
};
export const FAMILY_METRICS: Readonly<Record<string, FamilyMetrics>> = {
  alegreya: {
    unitsPerEm: 1000,
    ascent: 1016,
    descent: -345,
    lineGap: 0,
    widths: [
      [400, 411],
      [650, 417],
      [900, 426],
    ],
  },
  archivo: {
    unitsPerEm: 1000,
    ascent: 878,
    descent: -210,
    lineGap: 0,
    widths: [
      [100, 419],
      [500, 448],
      [900, 533],
    ],
    stretched: [
      [62, 307],
      [100, 448],
      [125, 575],
    ],
  },
  bitter: {
    unitsPerEm: 1000,
    ascent: 935,
    descent: -265,
    lineGap: 0,
    widths: [
      [100, 462],
      [500, 473],
      [900, 490],
    ],
  },
  "bricolage-grotesque": {
    unitsPerEm: 1000,
    ascent: 930,
    descent: -270,
    lineGap: 0,
    widths: [
      [200, 428],
      [500, 448],
      [800, 467],
    ],
  },
  "cormorant-garamond": {
    unitsPerEm: 1000,
    ascent: 924,
    descent: -287,
    lineGap: 0,
    widths: [
      [300, 393],
      [500, 396],
      [700, 399],
    ],
  },
  "dm-sans": {
    unitsPerEm: 1000,
    ascent: 992,
    descent: -310,
    lineGap: 0,
    widths: [
      [100, 423],
      [550, 485],
      [1000, 518],
    ],
  },
  epilogue: {
    unitsPerEm: 2000,
    ascent: 1580,
    descent: -470,
    lineGap: 0,
    widths: [
      [100, 971],
      [500, 1022],
      [900, 1077],
    ],
  },
  figtree: {
    unitsPerEm: 1000,
    ascent: 950,
    descent: -250,
    lineGap: 0,
    widths: [
      [300, 447],
      [600, 461],
      [900, 481],
    ],
  },
  fraunces: {
    unitsPerEm: 2000,
    ascent: 1956,
    descent: -510,
    lineGap: 0,
    widths: [
      [100, 793],
      [500, 872],
      [900, 952],
    ],
  },
  fredoka: {
    unitsPerEm: 1000,
    ascent: 974,
    descent: -236,
    lineGap: 0,
    widths: [
      [300, 456],
      [500, 459],
      [700, 462],
    ],
  },
  gloock: { unitsPerEm: 1000, ascent: 975, descent: -225, lineGap: 0, widths: [[400, 472]] },
  "instrument-sans": {
    unitsPerEm: 1000,
    ascent: 970,
    descent: -250,
    lineGap: 0,
    widths: [
      [400, 461],
      [550, 471],
      [700, 481],
    ],
  },
  jost: {
    unitsPerEm: 1000,
    ascent: 1070,
    descent: -375,
    lineGap: 0,
    widths: [
      [100, 397],
      [500, 445],
      [900, 499],
    ],
  },
  karla: {
    unitsPerEm: 2000,
    ascent: 1834,
    descent: -504,
    lineGap: 0,
    widths: [
      [200, 886],
      [500, 946],
      [800, 1013],
    ],
  },
  literata: {
    unitsPerEm: 1000,
    ascent: 1177,
    descent: -308,
    lineGap: 0,
    widths: [
      [200, 452],
      [550, 499],
      [900, 552],
    ],
  },
  lora: {
    unitsPerEm: 1000,
    ascent: 1006,
    descent: -274,
    lineGap: 0,
    widths: [
      [400, 472],
      [550, 480],
      [700, 487],
    ],
  },
  manrope: {
    unitsPerEm: 2000,
    ascent: 2132,
    descent: -600,
    lineGap: 0,
    widths: [
      [200, 897],
      [500, 947],
      [800, 997],
    ],
  },
  marcellus: { unitsPerEm: 2048, ascent: 1995, descent: -573, lineGap: 0, widths: [[400, 943]] },
  mulish: {
    unitsPerEm: 1000,
    ascent: 1005,
    descent: -250,
    lineGap: 0,
    widths: [
      [200, 452],
      [600, 476],
      [1000, 517],
    ],
  },
  newsreader: {
    unitsPerEm: 2000,
    ascent: 1470,
    descent: -530,
    lineGap: 0,
    widths: [
      [200, 856],
      [500, 929],
      [800, 1030],
    ],
  },
  nunito: {
    unitsPerEm: 1000,
    ascent: 1011,
    descent: -353,
    lineGap: 0,
    widths: [
      [200, 438],
      [600, 463],
      [1000, 508],
    ],
  },
  outfit: {
    unitsPerEm: 1000,
    ascent: 1000,
    descent: -260,
    lineGap: 0,
    widths: [
      [100, 443],
      [500, 448],
      [900, 477],
    ],
  },
  "playfair-display": {
    unitsPerEm: 1000,
    ascent: 1082,
    descent: -251,
    lineGap: 0,
    widths: [
      [400, 456],
      [650, 464],
      [900, 473],
    ],
  },
  quicksand: {
    unitsPerEm: 1000,
    ascent: 1000,
    descent: -250,
    lineGap: 0,
    widths: [
      [300, 462],
      [500, 479],
      [700, 495],
    ],
  },
  rubik: {
    unitsPerEm: 1000,
    ascent: 935,
    descent: -250,
    lineGap: 0,
    widths: [
      [300, 459],
      [600, 498],
      [900, 534],
    ],
  },
  "source-serif-4": {
    unitsPerEm: 1000,
    ascent: 1036,
    descent: -335,
    lineGap: 0,
    widths: [
      [200, 480],
      [550, 489],
      [900, 506],
    ],
  },
  "space-grotesk": {
    unitsPerEm: 1000,
    ascent: 984,
    descent: -292,
    lineGap: 0,
    widths: [
      [300, 497],
      [500, 497],
      [700, 496],
    ],
  },
  syne: {
    unitsPerEm: 1000,
    ascent: 925,
    descent: -275,
    lineGap: 0,
    widths: [
      [400, 444],
      [600, 513],
      [800, 798],
    ],
  },
  unbounded: {
    unitsPerEm: 1000,
    ascent: 995,
    descent: -245,
    lineGap: 0,
    widths: [
      [200, 574],
      [550, 629],
      [900, 663],
    ],
  },
  "work-sans": {
    unitsPerEm: 1000,
    ascent: 930,
    descent: -243,
    lineGap: 0,
    widths: [
      [100, 452],
      [500, 505],
      [900, 507],
    ],
  },
};
