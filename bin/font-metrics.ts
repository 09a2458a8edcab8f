/** Reads the metrics of every shipped family from its font file and writes app/core/theme/family-metrics.ts. */
import { readFileSync, writeFileSync } from "node:fs";
import * as fontkit from "fontkit";
import subsetFont from "subset-font";
import { averageWidthOf } from "../app/core/fixtures/letter-widths";
import { FAMILIES, fontFileName, fontPackage, HEAD_SIZE, type Family } from "../app/core/theme/families";

const LETTERS = "abcdefghijklmnopqrstuvwxyz ";

/** The average width at a place on the font's axes, measured on an instance cut there. */
async function widthAt(file: Buffer, axes: Record<string, number>): Promise<number> {
  const has = Object.keys((fontkit.create(file) as fontkit.Font).variationAxes);
  const all = {
    ...(has.includes("opsz") ? { opsz: HEAD_SIZE } : {}),
    ...(has.includes("wdth") ? { wdth: 100 } : {}),
    ...axes,
  };
  const cut = await subsetFont(file, LETTERS, { targetFormat: "sfnt", variationAxes: all });
  // fontkit also reads the outline for a width, which a glyph without one (the space, cut last) has not.
  const font = fontkit.create(cut) as fontkit.Font & {
    hhea: { numberOfMetrics: number };
    hmtx: { metrics: { get: (index: number) => { advance: number } } };
  };
  return averageWidthOf((codePoint) => {
    const { id } = font.glyphForCodePoint(codePoint);
    return font.hmtx.metrics.get(Math.min(id, font.hhea.numberOfMetrics - 1)).advance;
  });
}

async function metricsOf(family: Family) {
  const file = readFileSync(`node_modules/${fontPackage(family)}/files/${fontFileName(family, "latin")}`);
  const { unitsPerEm, ascent, descent, lineGap } = fontkit.create(file) as fontkit.Font;
  const [least, most] = family.weights;
  if (least === most) return { unitsPerEm, ascent, descent, lineGap, widths: [[least, await widthAt(file, {})]] };
  const widths: [number, number][] = [];
  for (const weight of [least, (least + most) / 2, most]) widths.push([weight, await widthAt(file, { wght: weight })]);
  const stretched: [number, number][] = [];
  if (family.axis === "wdth")
    for (const wdth of [62, 100, 125]) stretched.push([wdth, await widthAt(file, { wght: 500, wdth })]);
  return { unitsPerEm, ascent, descent, lineGap, widths, ...(stretched.length ? { stretched } : {}) };
}

const lines: string[] = [];
for (const family of FAMILIES) lines.push(`  "${family.id}": ${JSON.stringify(await metricsOf(family))},`);
writeFileSync(
  "app/core/theme/family-metrics.ts",
  `// Made by \`npm run fonts:metrics\` from the shipped font files. Units: font design units; \`widths\`: average width of a
// letter of running text at three weights; \`stretched\`: the same at three widths of the width axis.
export type FamilyMetrics = {
  readonly unitsPerEm: number;
  readonly ascent: number;
  readonly descent: number;
  readonly lineGap: number;
  readonly widths: readonly (readonly [weight: number, width: number])[];
  readonly stretched?: readonly (readonly [stretch: number, width: number])[];
};
export const FAMILY_METRICS: Readonly<Record<string, FamilyMetrics>> = {
${lines.join("\n")}
};
`,
);
