// Made by `npm run fonts:metrics` from the shipped font files. Units: font design units.
export const FAMILY_METRICS: Readonly<
  Record<string, { unitsPerEm: number; ascent: number; descent: number; lineGap: number; averageWidth: number }>
> = {
  archivo: { unitsPerEm: 1000, ascent: 878, descent: -210, lineGap: 0, averageWidth: 457 },
  "bricolage-grotesque": { unitsPerEm: 1000, ascent: 930, descent: -270, lineGap: 0, averageWidth: 453 },
  "cormorant-garamond": { unitsPerEm: 1000, ascent: 924, descent: -287, lineGap: 0, averageWidth: 393 },
  epilogue: { unitsPerEm: 2000, ascent: 1580, descent: -470, lineGap: 0, averageWidth: 1008 },
  fraunces: { unitsPerEm: 2000, ascent: 1956, descent: -510, lineGap: 0, averageWidth: 1041 },
  fredoka: { unitsPerEm: 1000, ascent: 974, descent: -236, lineGap: 0, averageWidth: 456 },
  "instrument-sans": { unitsPerEm: 1000, ascent: 970, descent: -250, lineGap: 0, averageWidth: 461 },
  jost: { unitsPerEm: 1000, ascent: 1070, descent: -375, lineGap: 0, averageWidth: 427 },
  karla: { unitsPerEm: 2000, ascent: 1834, descent: -504, lineGap: 0, averageWidth: 928 },
  literata: { unitsPerEm: 1000, ascent: 1177, descent: -308, lineGap: 0, averageWidth: 484 },
  newsreader: { unitsPerEm: 2000, ascent: 1470, descent: -530, lineGap: 0, averageWidth: 816 },
  nunito: { unitsPerEm: 1000, ascent: 1011, descent: -353, lineGap: 0, averageWidth: 438 },
  "source-serif-4": { unitsPerEm: 1000, ascent: 1036, descent: -335, lineGap: 0, averageWidth: 484 },
};
