import { parse } from "@terrazzo/parser";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { THEMES, themeById } from "~/themes";
import { anyBrand } from "../fixtures/brands";
import { planTokens, tokensOf, writeTokens } from ".";

const pomelo = themeById("pomelo");
type Tree = { [key: string]: Tree } & { $value?: unknown };

function planned(file: unknown, current = {}) {
  const plan = planTokens(typeof file === "string" ? file : JSON.stringify(file), current, THEMES);
  if (!plan.ok) throw new Error(plan.why);
  return plan;
}

describe("a token file that we write", () => {
  it("is read by a public parser of the W3C format (DTCG 2025.10) without complaint, with every type", async () => {
    const text = writeTokens(pomelo, { shadow: "deep", "button.primary.style": "gradient", colour: "#0b6b4a" });
    const { tokens } = await parse([{ filename: new URL("file:///look.tokens.json"), src: text }], {
      config: { lint: { rules: {} } } as never,
      continueOnError: false,
    });
    const types = new Set(Object.values(tokens).map((t) => t.$type));
    for (const type of [
      "color",
      "dimension",
      "fontFamily",
      "fontWeight",
      "duration",
      "shadow",
      "gradient",
      "typography",
    ])
      expect(types, type).toContain(type);
    expect(tokens["brand.colour"]!.$value).toMatchObject({ colorSpace: "srgb" });
    // An alias arrives at what it points to.
    expect(tokens["button.ground"]!.$value).toEqual(tokens["colour.light.page.brand"]!.$value);
    expect(tokens["typography.text"]!.$value).toMatchObject({
      fontFamily: ["Instrument Sans", "sans-serif"],
      fontWeight: 420,
    });
  });

  it("gives the very same brand when it is read again, whatever the brand", () => {
    fc.assert(
      fc.property(anyBrand, fc.constantFrom(...THEMES), (brand, theme) => {
        const plan = planned(writeTokens(theme, brand), { colour: "#010203" });
        expect(plan.brand).toEqual(brand);
        expect([plan.used, plan.left, plan.theme]).toEqual([[], [], theme.id]);
      }),
      { seed: 8, numRuns: 60 },
    );
  });

  it("lets what another program changed win over what the brand said", () => {
    const file = structuredClone(tokensOf(pomelo, { colour: "#0b6b4a", corners: "square" })) as Tree;
    file.brand!.colour!.$value = { colorSpace: "oklch", components: [0.6, 0.1, 250] };
    file.shape!.card!.$value = { value: 1.5, unit: "rem" };
    file.colour!.light!.page!.link!.$value = { colorSpace: "srgb", components: [1, 0, 0] };
    const plan = planned(file);
    expect(plan.brand).toEqual({
      colour: plan.brand.colour,
      corners: "square",
      "corners.card": 24,
      "pin.light.page.link": "#ff0000",
    });
    expect(plan.brand.colour).not.toBe("#0b6b4a");
    expect(plan.used.map((u) => u.key).sort()).toEqual(["colour", "corners.card", "pin.light.page.link"]);
  });
});

describe("a token file made elsewhere", () => {
  const file = {
    color: {
      $type: "color",
      primary: { $value: { colorSpace: "srgb", components: [0, 0.4, 0.8] } },
      secondary: { $value: "{color.raw.gold}" },
      raw: { gold: { $value: { colorSpace: "oklch", components: [0.8, 0.15, 85] } }, slate: { $value: "#445566" } },
      text: { $root: { $value: "#111827" } },
      broken: { $value: "{color.not-there}" },
      loop: { a: { $value: "{color.loop.b}" }, b: { $value: "{color.loop.a}" } },
    },
    font: {
      $type: "fontFamily",
      heading: { $value: ["Lora", "serif"] },
      body: { $value: "Some Sans" },
      "heading-weight": { $type: "fontWeight", $value: "bold" },
    },
    radius: {
      $type: "dimension",
      button: { $value: { value: 0.5, unit: "rem" } },
      card: { $value: { value: 900, unit: "px" } },
    },
    cta: {
      primary: {
        $type: "gradient",
        $value: [
          { color: "{color.primary}", position: 0 },
          { color: "{color.raw.gold}", position: 1 },
        ],
      },
    },
    ease: { $type: "cubicBezier", $value: [0, 0, 1, 1] },
  };

  it("sets what is understood, by the names that design files use", () => {
    const plan = planned(file, { density: "airy" });
    expect(plan.brand).toMatchObject({
      density: "airy",
      colour: "#0066cc",
      "pin.light.page.ink": "#111827",
      "type.heads": "lora",
      "type.headsWeight": 700,
      "corners.control": 8,
      "corners.card": 48,
      "button.primary.gradient": { angle: 100, stops: [{ colour: "#0066cc", at: 0 }, { at: 100 }] },
    });
  });

  it("lists every token that could not be used, with the reason, and no other", () => {
    const left = Object.fromEntries(planned(file).left.map((l) => [l.path, l.why]));
    expect(left).toEqual({
      "color.raw.slate": "no colour of the brand has such a name",
      "color.broken": "it points to a token that is not there, or in a circle",
      "color.loop.a": "it points to a token that is not there, or in a circle",
      "color.loop.b": "it points to a token that is not there, or in a circle",
      "font.body": "this family is not among those that are shipped",
      ease: "tokens of type “cubicBezier” are not used here",
    });
  });

  it.each([
    ["not json at all", /not JSON/],
    ["[]", /holds no design tokens/],
    ["{}", /holds no design tokens/],
    [`{"a":${'{"a":'.repeat(80)}1${"}".repeat(81)}`, /nested too deeply/],
    [JSON.stringify({ a: { $value: "x".repeat(2_000_001) } }), /too large/],
    [
      JSON.stringify(Object.fromEntries(Array.from({ length: 6000 }, (_, i) => [`t${i}`, { $value: 1 }]))),
      /6000 tokens/,
    ],
  ])("that can’t be read is refused in words, and changes nothing (%#)", (text, why) => {
    const plan = planTokens(text, { colour: "#010203" }, THEMES);
    expect(plan).toMatchObject({ ok: false, why: expect.stringMatching(why) });
  });

  it("can’t smuggle in a brand that may not be: our own extension is checked like everything else", () => {
    const hostile = {
      $extensions: { "window.zest.brand": { version: 1, theme: "pomelo", brand: { colour: "red;}</style>" } } },
      a: { $type: "color", $value: "#ffffff" },
    };
    expect(planned(hostile, { corners: "soft" }).brand).toEqual({ corners: "soft" });
  });

  it("is never a reason to throw, whatever it holds", () => {
    fc.assert(
      fc.property(fc.json(), (text) => {
        const plan = planTokens(text, {}, THEMES);
        expect(typeof plan.ok).toBe("boolean");
      }),
      { seed: 9, numRuns: 300 },
    );
  });
});
