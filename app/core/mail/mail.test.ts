import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { dueLetters, letterProblem, looksLikeSpam } from ".";

const DAY = 86_400_000;
const said = (text: string) => [{ field: "a", label: "Message", sort: "text" as const, text }];

describe("spam", () => {
  it("is known by what people don't do", () => {
    expect(looksLikeSpam(said("Hello"), "", 8000)).toBe(false);
    // Without a script nobody knows how long it took.
    expect(looksLikeSpam(said("Hello"), "", undefined)).toBe(false);
    expect(looksLikeSpam(said("Hello"), "filled in", 8000)).toBe(true);
    expect(looksLikeSpam(said("Hello"), "", 300)).toBe(true);
    expect(looksLikeSpam(said("See https://a.example and https://b.example"), "", 8000)).toBe(false);
    expect(looksLikeSpam(said("https://a https://b https://c https://d"), "", 8000)).toBe(true);
  });
});

describe("letters that follow", () => {
  const letter = (id: string, sort: "thanks" | "follow", day: number, onSince = 0) =>
    ({ id, sort, day, state: "on" as const, onSince }) as const;
  const all = [letter("thanks", "thanks", 0), letter("third", "follow", 3), letter("tenth", "follow", 10)];
  const at = (days: number) => dueLetters(all, 100 * DAY, (100 + days) * DAY).map(({ id }) => id);

  it("come on their day and not before", () => {
    expect(at(0)).toEqual(["thanks"]);
    expect(at(2.99)).toEqual(["thanks"]);
    expect(at(3)).toEqual(["thanks", "third"]);
    expect(at(400)).toEqual(["thanks", "third", "tenth"]);
  });

  it("go to nobody whose day had passed when they were switched on, nor while they are off", () => {
    const late = [letter("late", "follow", 3, 104 * DAY)];
    expect(dueLetters(late, 100 * DAY, 110 * DAY)).toEqual([]);
    expect(dueLetters(late, 101 * DAY, 110 * DAY)).toHaveLength(1);
    expect(dueLetters([{ ...all[0]!, state: "draft" }], 0, DAY)).toEqual([]);
  });

  it("once due, stay due", () => {
    fc.assert(
      fc.property(fc.nat(700), fc.nat(1000), fc.nat(1000), (day, joined, later) => {
        const letters = [letter("a", "follow", day)];
        const now = dueLetters(letters, joined * DAY, (joined + later) * DAY).length;
        expect(dueLetters(letters, joined * DAY, (joined + later + 1) * DAY).length).toBeGreaterThanOrEqual(now);
      }),
    );
  });
});

it("says what a letter lacks", () => {
  expect(letterProblem({ subject: " ", blocks: [] })).toContain("subject");
  expect(letterProblem({ subject: "Wind", blocks: [{ sort: "line" }, { sort: "words", text: " " }] })).toContain(
    "nothing",
  );
  expect(letterProblem({ subject: "Wind", blocks: [{ sort: "words", text: "It blows." }] })).toBeUndefined();
});
