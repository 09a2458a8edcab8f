import { describe, expect, it } from "vitest";
import { cornersOf, explainMoved, lookCss, solveLook, solveRoles, spaceSteps, wishesOf } from "~/core/theme";
import { starterLook } from "./fixtures/look";
import { themeById, THEMES } from ".";

describe.each(THEMES)("theme $name", (theme) => {
  it("wears its own brand colour without moving it on the page", () => {
    // Where links are in ink, nothing is in the colour that links would have.
    const isUsed = (role: string) => role !== "link" || theme.defaults["link.role"] !== "ink";
    expect(solveRoles(wishesOf(theme, {})).moved.filter((m) => m.set === "page" && isUsed(m.role))).toEqual([]);
  });

  it("says in a sentence what was moved", () => {
    const [moved] = solveRoles(wishesOf(theme, { colour: "#ffe98a" })).moved.filter(
      (m) => m.set === "page" && m.role === "link",
    );
    expect(explainMoved(moved!)).toMatch(
      /^On the page, links are much darker than your brand colour: it has a contrast of 1\.\d there and needs 4\.5\.$/,
    );
  });

  it("follows the brand sheet and falls back to itself when a value is put back", () => {
    const own = solveLook(theme, starterLook(theme.id));
    expect(own.typePair.id).toBe(theme.defaults.typePair);
    const branded = solveLook(theme, {
      ...starterLook(theme.id),
      brand: { corners: "soft", density: "airy", typePair: "gallery", colour: "#008080" },
    });
    expect([cornersOf(branded).card, branded.typePair.id, branded.brandColour]).toEqual([6, "gallery", "#008080"]);
    expect(lookCss(branded).measures).toContain("--card:6px");
    expect(spaceSteps(branded)[6]![1]).toBeCloseTo(80 * 1.28, 6);
    expect(lookCss(solveLook(theme, starterLook(theme.id)))).toEqual(lookCss(own));
  });
});

it("an unknown theme is answered with the first, so that a shop is never without a look", () =>
  expect(themeById("gone")).toBe(THEMES[0]));
