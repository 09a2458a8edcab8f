import { describe, expect, it } from "vitest";
import { amountOfGoods, proposals, type Wish } from "~/core/theme";
import { THEMES } from ".";

const NOTHING: Wish = { goods: null, words: null, find: "" };
const idsFor = (wish: Partial<Wish>) => proposals(THEMES, { ...NOTHING, ...wish }).map(({ theme }) => theme.id);

describe("themes for a shop", () => {
  it("are all of them, in the gallery's order and without reasons, where nothing is said", () => {
    expect(idsFor({})).toEqual(THEMES.map((t) => t.id));
    expect(proposals(THEMES, NOTHING).every(({ reasons }) => reasons.length === 0)).toBe(true);
  });

  it("that were drawn for it come first, with the reasons", () => {
    const [first] = proposals(THEMES, { ...NOTHING, goods: "many", words: "many" });
    expect([first!.theme.suits.goods, first!.theme.suits.words].flat()).toContain("many");
    expect(first!.reasons).toEqual(["hundreds of goods", "many facts"]);
    const last = proposals(THEMES, { ...NOTHING, goods: "many", words: "many" }).at(-1)!;
    expect(last.reasons.length).toBeLessThan(2);
  });

  it.each([
    ["jam", "quince"],
    ["Skate", "rangpur"],
    ["ring", "sloe"],
    ["note", "medlar"],
    ["coffee", "bergamot"],
    ["quin", "quince"],
    ["playful", "kumquat"],
  ])("are found by what is sold, how it feels, or their name: %s", (find, id) =>
    expect(idsFor({ find })).toContain(id),
  );

  it("answer to each word that is sought, and to none that is not theirs", () => {
    expect(idsFor({ find: "tea gentle" })).toEqual(["bergamot"]);
    expect(idsFor({ find: "tea submarine" })).toEqual([]);
  });

  it("count goods", () =>
    expect([0, 12, 13, 49, 50, 5000].map(amountOfGoods)).toEqual(["few", "few", "some", "some", "many", "many"]));
});
