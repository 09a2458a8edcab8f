import { describe, expect, it } from "vitest";
import { freeze, type Brand, type Draft } from "~/core/document";
import { makeNode } from "~/kinds";
import { THEMES, themeById } from "~/themes";
import { contentWith } from "./fixtures/content";
import { themeChanges } from ".";

const [pomelo, damson] = [themeById("pomelo"), themeById("damson")];
const draftWith = (brand: Brand = {}, props = {}): Draft => {
  const { draft } = contentWith([makeNode("hero", { heading: "Hello", ...props })], "pomelo");
  return freeze({ ...draft, look: { ...draft.look, brand } });
};
const about = (draft: Draft, what: string) => themeChanges(draft, pomelo, damson).find((c) => c.about === what);

describe("what looks otherwise in another theme", () => {
  it("is said in words, letters first, and the layouts that are composed in another way last", () => {
    const changes = themeChanges(draftWith(), pomelo, damson);
    expect(changes[0]).toEqual({
      about: "Letters",
      from: "Bricolage Grotesque and Instrument Sans",
      to: "Gloock and Figtree",
    });
    expect(changes).toContainEqual({ about: "Light or dark", from: "Light", to: "Dark" });
    expect(changes).toContainEqual({
      about: "Words of a card stand",
      from: "Below the picture",
      to: "On the picture",
    });
    expect(about(draftWith(), "Hero")?.to).toBe("Words on a plate in the picture’s corner");
    expect(about(draftWith(), "Collection pages")?.to).toBe("composed as Damson has them");
  });

  it("leaves out what the seller decided, and what is the same in both", () => {
    expect(about(draftWith({ appearance: "light", "type.heads": "lora" }), "Light or dark")).toBeUndefined();
    expect(about(draftWith({ "type.heads": "lora", "type.text": "lora" }), "Letters")).toBeUndefined();
    expect(about(draftWith({}, { arrangement: "above" }), "Hero")).toBeUndefined();
    for (const from of THEMES) {
      expect(themeChanges(draftWith(), from, from)).toEqual([]);
      for (const to of THEMES)
        for (const change of themeChanges(draftWith(), from, to)) expect(change.from).not.toBe(change.to);
    }
  });
});
