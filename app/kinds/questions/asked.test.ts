import { describe, expect, it } from "vitest";
import { inGroups } from "../grouped";
import { askedIn } from "./asked";

const one = (question: string, answer: string, group = "") => ({ question, answer, group });

describe("questions", () => {
  it("are shown once they have words and an answer; whoever writes them sees them all", () => {
    const questions = [one("A?", "Yes."), one("B?", " "), one("", "No."), one("C?", "Perhaps.")];
    expect(askedIn({ questions }).map((q) => q.index)).toEqual([0, 3]);
    expect(askedIn({ questions }, true)).toHaveLength(4);
  });

  it("go on in a group until another one is named", () => {
    const questions = [one("A?", "1"), one("B?", "2", "Ordering"), one("C?", "3"), one("D?", "4", "Delivery")];
    const groups = (all: typeof questions) =>
      inGroups(askedIn({ questions: all })).map((g) => [g.name, g.items.length]);
    expect(groups(questions)).toEqual([
      ["", 1],
      ["Ordering", 2],
      ["Delivery", 1],
    ]);
    expect(groups([one("A?", "1", "Ordering"), one("B?", "2", " Ordering ")])).toEqual([["Ordering", 2]]);
    expect(groups([])).toEqual([]);
  });
});
