import { existsSync } from "node:fs";
import { createRequire } from "node:module";
import { dirname, join } from "node:path";
import * as fontkit from "fontkit";
import { describe, expect, it } from "vitest";
import { FAMILY_METRICS } from "./family-metrics";
import type { Brand } from "../document";
import { averageWidthOf } from "../fixtures/letter-widths";
import {
  cutFileName,
  cutsOf,
  FAMILIES,
  familyById,
  fluid,
  fontFileName,
  fontPackage,
  letterWidth,
  MOODS,
  readCutFileName,
  readerOf,
  solveType,
  stepSize,
  SUBSETS,
  TYPE_PAIRS,
  typeFaces,
  type Cut,
  type FontUse,
  type Subset,
} from ".";

const require = createRequire(import.meta.url);
function open(id: string, subset: Subset): fontkit.Font {
  const family = familyById(id);
  const folder = dirname(require.resolve(`${fontPackage(family)}/package.json`));
  return fontkit.openSync(join(folder, "files", fontFileName(family, subset))) as fontkit.Font;
}

const systemWidth = (kind: "sans" | "serif", bold: boolean) =>
  kind === "sans" ? (bold ? 0.4834 : 0.4458) : bold ? 0.4312 : 0.4048;

/** A shop's type with some things told. */
function typeOf(told: { pair?: string; heads?: FontUse; brand?: Brand }) {
  const pair = TYPE_PAIRS.find((p) => p.id === (told.pair ?? "open-air"))!;
  return solveType(told.heads ? { ...pair, heads: told.heads } : pair, readerOf(told.brand ?? {}, {}));
}

/** What a browser makes of `clamp(a rem, b rem + c vw, d rem)` at a window width, with 16 px to the rem. */
function computed(css: string, width: number): number {
  const plain = /^([\d.]+)rem$/.exec(css);
  if (plain) return Number(plain[1]) * 16;
  const [, low, base, slope, high] = /^clamp\(([\d.-]+)rem, ([\d.-]+)rem \+ ([\d.-]+)vw, ([\d.-]+)rem\)$/
    .exec(css)!
    .map(Number);
  return Math.min(Math.max(low! * 16, base! * 16 + (slope! * width) / 100), high! * 16);
}

describe("fluid sizes", () => {
  it.each([
    [17, 18],
    [56, 106],
    [10, 10],
    [40, 12],
  ])("of %d px on a phone and %d px wide are met at both ends and never left", (phone, wide) => {
    const css = fluid(phone, wide);
    expect(computed(css, 390)).toBeCloseTo(phone, 1);
    expect(computed(css, 1280)).toBeCloseTo(wide, 1);
    expect(computed(css, 200)).toBeCloseTo(phone, 1);
    expect(computed(css, 3000)).toBeCloseTo(wide, 1);
  });

  it("follow a modular scale", () => {
    const scale = { base: [16, 18], ratio: [1.2, 1.25] } as const;
    expect(stepSize(scale, 0)).toEqual([16, 18]);
    expect(stepSize(scale, 2)[1]).toBeCloseTo(28.125, 6);
    expect(stepSize(scale, -1)[0]).toBeCloseTo(13.333, 3);
  });
});

describe.each(FAMILIES)("$name", (family) => {
  it("is served in both subsets with the metrics that its file has", () => {
    const font = open(family.id, "latin");
    const { unitsPerEm, ascent, descent, lineGap } = FAMILY_METRICS[family.id]!;
    expect([unitsPerEm, ascent, descent, lineGap]).toEqual([font.unitsPerEm, font.ascent, font.descent, font.lineGap]);
    expect(open(family.id, "latin-ext").hasGlyphForCodePoint("ł".codePointAt(0)!)).toBe(true);
    for (const letter of "AZaz09äéßñ€–“”") expect(font.hasGlyphForCodePoint(letter.codePointAt(0)!), letter).toBe(true);
  });

  it("has a stand-in that takes the same room, at any weight", () => {
    for (const weight of [family.weights[0], 500, family.weights[1]]) {
      const isBold = weight >= 600;
      const type = typeOf({ heads: { family: family.id, weight, tracking: 0, leading: 1.1 } });
      const [stand] = /@font-face\{font-family:"Heads stand-in"[^}]*\}/.exec(typeFaces(type))!;
      const size = Number(/size-adjust:([\d.]+)%/.exec(stand)![1]) / 100;
      const ascent = Number(/ascent-override:([\d.]+)%/.exec(stand)![1]) / 100;
      const { ascent: real, unitsPerEm } = FAMILY_METRICS[family.id]!;
      expect(size).toBeCloseTo(letterWidth(family.id, weight) / systemWidth(family.fallback, isBold), 3);
      expect(ascent * size).toBeCloseTo(real / unitsPerEm, 3);
    }
  });

  it("is cut to the weights that are asked for, and its name reads back", () => {
    const cut: Cut = {
      family: family.id,
      weights: [family.weights[0], family.weights[1]],
      ...(family.axis === "wdth" ? { stretch: 90 } : {}),
    };
    for (const subset of Object.keys(SUBSETS) as Subset[])
      expect(readCutFileName(cutFileName(cut, subset))).toEqual({ cut, subset });
    expect(readCutFileName(cutFileName({ ...cut, weights: [1, 1000] }, "latin"))).toBeUndefined();
  });
});

describe("the measures of stand-ins", () => {
  // Debian's fonts-liberation has the metrics of Arial and Times New Roman (published by Red Hat for that purpose).
  const FILES = {
    sans: ["LiberationSans-Regular", "LiberationSans-Bold"],
    serif: ["LiberationSerif-Regular", "LiberationSerif-Bold"],
  } as const;
  const pathOf = (name: string) => `/usr/share/fonts/truetype/liberation/${name}.ttf`;
  it.runIf(existsSync(pathOf(FILES.sans[0])))("are those of the fonts that systems have", () => {
    for (const kind of ["sans", "serif"] as const) {
      FILES[kind].forEach((name, index) => {
        const font = fontkit.openSync(pathOf(name)) as fontkit.Font;
        const measured = averageWidthOf((c) => font.glyphForCodePoint(c).advanceWidth) / font.unitsPerEm;
        expect(systemWidth(kind, index === 1)).toBeCloseTo(measured, 3);
      });
    }
  });
});

describe("what is served", () => {
  it("is one weight of heads and the span of text, and nothing else", () => {
    const type = typeOf({});
    expect(cutsOf(type)).toEqual([
      { family: "bricolage-grotesque", weights: [760, 760] },
      { family: "instrument-sans", weights: [420, 620] },
    ]);
    const faces = typeFaces(type);
    expect(faces.match(/src:url/g)).toHaveLength(4);
    expect(faces).toContain("font-weight:760;");
    expect(faces).toContain("unicode-range:U+0000-00FF");
  });

  it("is one cut where heads and text are the same family, and one more for each width a theme asks for", () => {
    expect(cutsOf(typeOf({ pair: "whisper" }))).toEqual([{ family: "manrope", weights: [420, 660] }]);
    expect(cutsOf(typeOf({ pair: "workbench" }), [86]).map((c) => c.stretch)).toEqual([116, 100, 86]);
    expect(cutsOf(typeOf({}), [86])).toHaveLength(2);
  });

  it("follows the families and weights of the brand, within what a family has", () => {
    const type = typeOf({ brand: { "type.heads": "fredoka", "type.headsWeight": 900, "type.text": "lora" } });
    expect([type.heads.family, type.heads.weight, type.text.family]).toEqual(["fredoka", 700, "lora"]);
    expect(type.text.weight).toBeGreaterThanOrEqual(400);
  });

  it.each([
    "instrument-sans-latin-100-900.woff2",
    "../../etc/passwd",
    "nope-latin-400-400.woff2",
    "lora-greek-400-400.woff2",
    "lora-latin-700-400.woff2",
    "lora-latin-400-400-w90.woff2",
  ])("does not read “%s” as a cut", (name) => expect(readCutFileName(name)).toBeUndefined());
});

it("every type pair uses shipped families within their weights", () => {
  for (const pair of TYPE_PAIRS) {
    for (const use of [pair.heads, pair.text]) {
      const family = FAMILIES.find((f) => f.id === use.family);
      expect(family, `${pair.id} ${use.family}`).toBeDefined();
      expect(use.weight).toBeGreaterThanOrEqual(family!.weights[0]);
      expect(use.weight).toBeLessThanOrEqual(family!.weights[1]);
    }
  }
});

it("there are pairs of at least 24 families, some for each mood", () => {
  expect(FAMILIES.length).toBeGreaterThanOrEqual(24);
  for (const mood of MOODS)
    expect(TYPE_PAIRS.filter((p) => p.moods.includes(mood)).length, mood).toBeGreaterThanOrEqual(2);
  expect(new Set(TYPE_PAIRS.map((p) => p.id)).size).toBe(TYPE_PAIRS.length);
});
