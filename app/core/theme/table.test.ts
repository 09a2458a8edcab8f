import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { THEMES } from "~/themes";
import { starterLook } from "~/themes/fixtures/look";
import {
  keepVersion,
  putBackBrand,
  removeVersion,
  setBrand,
  setBrandAll,
  wearVersion,
  type Outcome,
} from "../commands";
import type { Brand, Draft } from "../document";
import { applyAll, invertAll } from "../operations";
import { draftSchema } from "../schema";
import { anyBrand } from "../fixtures/brands";
import {
  lookCss,
  problemWithBrand,
  problemWithValue,
  resolveSetting,
  SETTINGS,
  settingOf,
  solveBrand,
  solveLook,
  valueWords,
} from ".";

const draftWith = (brand: Brand, theme = "pomelo"): Draft => ({
  look: { ...starterLook(theme), brand },
  documents: {},
});

function done(draft: Draft, outcome: Outcome): Draft {
  if (!outcome.ok) throw new Error(outcome.why);
  const applied = applyAll(draft, outcome.transaction.operations);
  if (!applied.ok) throw new Error(applied.code);
  return applied.draft;
}

describe("the table of settings", () => {
  it.each([...SETTINGS.values()].map((s) => [s.key, s] as const))(
    "%s may be what it is by itself, and not nonsense",
    (_key, setting) => {
      if (setting.base !== null) expect(problemWithValue(setting, setting.base as never)).toBeUndefined();
      for (const nonsense of [null, [], { a: 1 }, "", -1e9, "x".repeat(500)])
        expect(problemWithValue(setting, nonsense), String(nonsense)).toMatch(/\.$/);
      if (setting.base !== null) expect(valueWords(setting, setting.base)).not.toBe("");
    },
  );

  it.each(THEMES)("theme $name says only what a setting may be", (theme) => {
    expect(problemWithBrand(theme.defaults as Brand)).toBeUndefined();
  });

  it("has no pins of roles, sets or schemes that there are not", () => {
    for (const key of ["pin.light.page.link", "pin.dark.header.ink", "name.tint"])
      expect(settingOf(key), key).toBeDefined();
    for (const key of [
      "pin.noon.page.link",
      "pin.light.moon.link",
      "pin.light.page.glow",
      "pin.light.page.link.x",
      "name.header",
      "__proto__",
      "constructor",
    ])
      expect(settingOf(key), key).toBeUndefined();
    expect(problemWithBrand({ nothing: 1 })).toBe("A brand has no setting “nothing”.");
  });

  it("resolves brand over theme over what is usual, and says where a value comes from", () => {
    expect(resolveSetting("badge.shape", { "badge.shape": "square" }, { "badge.shape": "pill" })).toEqual({
      value: "square",
      from: "brand",
      without: "pill",
    });
    expect(resolveSetting("badge.shape", {}, { "badge.shape": "pill" })).toEqual({
      value: "pill",
      from: "theme",
      without: "pill",
    });
    expect(resolveSetting("badge.shape", {}, {})).toEqual({ value: "soft", from: "base", without: "soft" });
    // What can't be used is passed over, not drawn.
    expect(resolveSetting("badge.shape", { "badge.shape": "url(#x)" }, {}).value).toBe("soft");
  });
});

describe("any brand", () => {
  it("is allowed, solved and written as CSS without a gap", () => {
    fc.assert(
      fc.property(anyBrand, fc.constantFrom(...THEMES), (brand, theme) => {
        expect(problemWithBrand(brand)).toBeUndefined();
        expect(draftSchema.safeParse(draftWith(brand)).success).toBe(true);
        const css = lookCss(solveBrand(theme, brand));
        for (const text of Object.values(css)) expect(text).not.toMatch(/undefined|NaN|null|\[object/);
      }),
      { seed: 3, numRuns: 150 },
    );
  });

  it("gives the theme when everything is put back, and itself again when that is undone", () => {
    fc.assert(
      fc.property(anyBrand, fc.constantFrom(...THEMES), (brand, theme) => {
        const start = draftWith(brand, theme.id);
        const outcome = putBackBrand(start);
        if (!outcome.ok) return expect(brand).toEqual({});
        const plain = done(start, outcome);
        expect(plain.look.brand).toEqual({});
        expect(lookCss(solveLook(theme, plain.look))).toEqual(lookCss(solveBrand(theme, {})));
        const back = applyAll(plain, invertAll(outcome.transaction.operations));
        expect(back.ok && back.draft.look.brand).toEqual(brand);
      }),
      { seed: 4, numRuns: 100 },
    );
  });

  it("is put aside under a name, worn again whole, and not without a name", () => {
    fc.assert(
      fc.property(anyBrand, anyBrand, (then, now) => {
        const kept = done(
          draftWith(then, "quince"),
          keepVersion(draftWith(then, "quince"), "  Autumn ", "2026-11-24T10:00:00.000Z"),
        );
        const [id, version] = Object.entries(kept.look.versions)[0]!;
        expect(version).toMatchObject({ name: "Autumn", theme: "quince", brand: then });
        const changed: Draft = { ...kept, look: { ...kept.look, theme: "pomelo", brand: now } };
        const again = done(changed, wearVersion(changed, id));
        expect([again.look.theme, again.look.brand]).toEqual(["quince", then]);
        expect(done(again, removeVersion(again, id)).look.versions).toEqual({});
      }),
      { seed: 5, numRuns: 60 },
    );
    expect(keepVersion(draftWith({}), "  ", "2026-11-24T10:00:00.000Z")).toMatchObject({ ok: false });
    expect(wearVersion(draftWith({}), "gone")).toMatchObject({ ok: false });
  });
});

describe("commands", () => {
  it("name what they do in the seller's words", () => {
    const label = (outcome: Outcome) => (outcome.ok ? outcome.transaction.label : outcome.why);
    const draft = draftWith({ "name.tint": "Sea" });
    expect(label(setBrand(draft, "colour", "#123456"))).toBe("Brand colour changed");
    expect(label(setBrand(draft, "pin.light.tint.link", "#123456"))).toBe("Link in Sea fixed");
    expect(label(setBrand(draftWith({ colour: "#123456" }), "colour", undefined))).toBe("Brand colour put back");
    expect(label(setBrand(draft, "colour", "red"))).toBe("Brand colour is a colour like #1f6f8b.");
    expect(label(setBrand(draft, "type.text", "gloock"))).toBe("Text in: Gloock has no bold for words in a text.");
    expect(setBrand(draft, "type.heads", "gloock").ok).toBe(true);
    expect(label(setBrand(draft, "nothing", 1))).toBe("A brand has no setting “nothing”.");
    expect(label(setBrandAll(draft, { colour: "#000000", corners: "oval" }, "x"))).toBe("Corners can’t be “oval”.");
    expect(label(setBrandAll(draft, { "name.tint": "Sea" }, "x"))).toBe("It is like that already.");
  });
});
