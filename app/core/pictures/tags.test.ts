import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { MOST_TAGS, tagged } from "./tags";

const words = fc.array(fc.constantFrom("Sea", "sea", "Sails", "sails", "Autumn"), { maxLength: 6 });

describe("tags of a picture", () => {
  it("are each there once, however they are written, in the order in which they came", () => {
    expect(tagged(["Sea"], ["sails", "SEA", "Autumn"], [])).toEqual(["Sea", "sails", "Autumn"]);
    expect(tagged(["Sea", "Sails"], [], ["sea"])).toEqual(["Sails"]);
    fc.assert(
      fc.property(words, words, words, (tags, add, take) => {
        const once = tagged(tagged([], tags, [])!, add, take)!;
        expect(new Set(once.map((tag) => tag.toLowerCase())).size).toBe(once.length);
        expect(tagged(once, add, [])).toHaveLength(once.length);
      }),
    );
  });
  it("are no more than can be kept", () => {
    const many = Array.from({ length: MOST_TAGS }, (_u, i) => `tag ${i}`);
    expect(tagged(many, ["one more"], [])).toBeNull();
    expect(tagged(many, ["one more"], ["tag 3"])).toHaveLength(MOST_TAGS);
  });
});
