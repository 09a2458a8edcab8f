import { describe, expect, it } from "vitest";
import { contrast, readColour } from "~/core/theme";
import { LOOKS } from "./theme";

describe.each(Object.entries(LOOKS))("the %s look of the studio", (_name, inks) => {
  const against = (words: keyof typeof inks, ground: keyof typeof inks) =>
    contrast(readColour(inks[words])!, readColour(inks[ground])!);

  it.each(["paper", "raised", "wash"] as const)("has words of every role legible on %s (WCAG 2.2, 1.4.3)", (ground) => {
    for (const words of ["ink", "soft", "leaf", "brick", "amber", "plum"] as const)
      expect(against(words, ground), words).toBeGreaterThanOrEqual(4.5);
  });

  it("has the words on the bench legible", () => {
    for (const words of ["ink", "soft"] as const) expect(against(words, "bench"), words).toBeGreaterThanOrEqual(4.5);
  });

  it("has words on lemon, and lemon words on ink, legible", () => {
    expect(against("onLemon", "lemon")).toBeGreaterThanOrEqual(4.5);
    expect(against("spark", "ink")).toBeGreaterThanOrEqual(4.5);
  });

  it("has the edges of fields and buttons seen (WCAG 2.2, 1.4.11)", () => {
    for (const ground of ["paper", "raised"] as const) expect(against("edge", ground)).toBeGreaterThanOrEqual(3);
  });
});
