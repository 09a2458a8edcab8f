import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { PROPERTIES } from "~/core/cascade";
import { COLOUR_SETS, contrast, explainMoved, lookCss, REQUIREMENTS, solveLook, solveRoles } from "~/core/theme";
import { KINDS } from "~/kinds";
import { starterLook } from "./fixtures/look";
import { themeById, THEMES } from ".";

const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, "0")}`);

describe.each(THEMES)("theme $name", (theme) => {
  it("can be read in every pair that must be, whatever the brand colour (WCAG 2.2, 1.4.3 and 1.4.11)", () => {
    fc.assert(
      fc.property(fc.option(hex, { nil: undefined }), (brand) => {
        const { sets } = solveRoles(theme.palette, brand);
        for (const set of COLOUR_SETS) {
          for (const { role, against, ratio } of REQUIREMENTS) {
            for (const other of against) {
              expect(
                contrast(sets[set][role], sets[set][other]),
                `${brand}: ${role} on ${other} in ${set}`,
              ).toBeGreaterThanOrEqual(ratio);
            }
          }
        }
      }),
      { seed: 5, numRuns: 400 },
    );
  });

  it("wears its own brand colour without moving it on the page", () => {
    expect(solveRoles(theme.palette).moved.filter((m) => m.set === "page")).toEqual([]);
  });

  it("gives the same answer every time, and says in a sentence what was moved", () => {
    expect(solveRoles(theme.palette, "#f5c518")).toEqual(solveRoles(theme.palette, "#f5c518"));
    const [moved] = solveRoles(theme.palette, "#ffe98a").moved.filter((m) => m.set === "page" && m.role === "link");
    expect(explainMoved(moved!)).toMatch(
      /^On the page, links are a little darker than your brand colour: it has a contrast of 1\.\d there and needs 4\.5\.$/,
    );
  });

  it("names only kinds, arrangements and values that exist", () => {
    for (const [name, { arrangement, style }] of Object.entries(theme.kinds)) {
      const definition = KINDS.get(name)?.definition;
      expect(definition, name).toBeDefined();
      if (arrangement) expect(definition!.arrangements.map((a) => a.id)).toContain(arrangement);
      for (const sheet of Object.values(style ?? {})) {
        for (const [property, value] of Object.entries(sheet))
          expect(
            PROPERTIES[property]?.choices.map((c) => c.value),
            `${name} ${property}`,
          ).toContain(value);
      }
    }
  });

  it("follows the brand sheet and falls back to itself when a value is put back", () => {
    const own = solveLook(theme, starterLook(theme.id));
    expect([own.corners, own.density, own.typePair.id]).toEqual([theme.corners, theme.density, theme.typePair]);
    const branded = solveLook(theme, {
      ...starterLook(theme.id),
      brand: { corners: "soft", density: "airy", typePair: "gallery", colour: "teal" },
    });
    expect([branded.corners, branded.density, branded.typePair.id, branded.brandColour]).toEqual([
      "soft",
      "airy",
      "gallery",
      "#008080",
    ]);
    expect(lookCss(branded)).toContain("--card:6px");
    expect(lookCss(solveLook(theme, starterLook(theme.id)))).toBe(lookCss(own));
  });
});

it("an unknown theme is answered with the first, so that a shop is never without a look", () =>
  expect(themeById("gone")).toBe(THEMES[0]));
