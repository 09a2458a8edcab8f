/** Reads the metrics of every shipped family from its font file and writes app/core/theme/family-metrics.ts. */
import { writeFileSync } from "node:fs";
import * as fontkit from "fontkit";
import { FAMILIES, fontFileName } from "../app/core/theme/families";

type Metrics = { unitsPerEm: number; ascent: number; descent: number; lineGap: number; averageWidth: number };

// Letters weighted as they occur in English text (common practice; Cornell letter frequencies, rounded).
const FREQUENCY: Record<string, number> = {
  e: 12,
  t: 9.1,
  a: 8.1,
  o: 7.7,
  i: 7.3,
  n: 7,
  s: 6.3,
  r: 6,
  h: 5.9,
  d: 4.3,
  l: 4,
  u: 2.9,
  c: 2.7,
  m: 2.6,
  f: 2.3,
  y: 2.1,
  w: 2.1,
  g: 2,
  p: 1.8,
  b: 1.5,
  v: 1.1,
  k: 0.7,
  x: 0.2,
  q: 0.1,
  j: 0.1,
  z: 0.1,
  " ": 18,
};

function metricsOf(file: string): Metrics {
  const font = fontkit.openSync(file) as fontkit.Font;
  let sum = 0;
  let weight = 0;
  for (const [letter, share] of Object.entries(FREQUENCY)) {
    sum += font.glyphForCodePoint(letter.codePointAt(0)!).advanceWidth * share;
    weight += share;
  }
  const { unitsPerEm, ascent, descent, lineGap } = font;
  return { unitsPerEm, ascent, descent, lineGap, averageWidth: Math.round(sum / weight) };
}

const lines = FAMILIES.map((family) => {
  const file = `node_modules/@fontsource-variable/${family.id}/files/${fontFileName(family, "latin")}`;
  return `  "${family.id}": ${JSON.stringify(metricsOf(file))},`;
});
writeFileSync(
  "app/core/theme/family-metrics.ts",
  `// Made by \`npm run fonts:metrics\` from the shipped font files. Units: font design units.
export const FAMILY_METRICS: Readonly<
  Record<string, { unitsPerEm: number; ascent: number; descent: number; lineGap: number; averageWidth: number }>
> = {
${lines.join("\n")}
};
`,
);
