import { bothSpans, deltaEOk, fromOklch, nearestIn, oklchOf, spansAgainst, spansForWords, type Hex } from "./colour";

export type Harmony = {
  readonly id: string;
  readonly name: string;
  readonly about: string;
  readonly colours: readonly Hex[];
};

/**
 * Colours that go with a brand colour, by the classic schemes of the colour circle, taken round in OKLCH so that equal
 * turns look equally far. Each is legible by construction: it stands out from `page` as a control must (3:1, WCAG 2.2,
 * 1.4.11) and admits words at `words` (4.5, or 7 for AAA). Ones that can't be told from the brand or from each other are left out.
 */
export function harmoniesOf(brand: Hex, page: Hex, words: number): readonly Harmony[] {
  const { lightness, chroma, hue } = oklchOf(brand);
  const spans = bothSpans(spansAgainst([page], 3), spansForWords(words));
  const turned = (by: number, l = lightness, c = chroma) => nearestIn(fromOklch(l, c, hue + by), spans);
  const even = Math.min(0.75, Math.max(0.38, lightness));
  const vivid = Math.max(0.06, chroma);
  const wanted: readonly (Omit<Harmony, "colours"> & { colours: readonly (Hex | undefined)[] })[] = [
    {
      id: "complementary",
      name: "Opposite",
      about: "from across the circle: strongest contrast",
      colours: [turned(180, even, vivid * 0.9)],
    },
    {
      id: "analogous",
      name: "Neighbours",
      about: "from next to it: calm, all of a family",
      colours: [turned(32, even, vivid), turned(-32, even, vivid)],
    },
    {
      id: "split",
      name: "Split opposite",
      about: "to both sides of the opposite: lively but gentler",
      colours: [turned(150, even, vivid * 0.9), turned(-150, even, vivid * 0.9)],
    },
    {
      id: "tonal",
      name: "Tones",
      about: "its own hue, deeper and softer",
      colours: [turned(0, lightness > 0.5 ? 0.36 : 0.62, chroma * 0.75), turned(0, 0.55, chroma * 0.35)],
    },
  ];
  return wanted.flatMap(({ colours, ...rest }) => {
    const kept: Hex[] = [];
    for (const hex of colours) {
      if (hex !== undefined && [brand, ...kept].every((other) => deltaEOk(other, hex) > 0.05)) kept.push(hex);
    }
    return kept.length ? [{ ...rest, colours: kept }] : [];
  });
}
