import { describe, expect, it } from "vitest";
import { z } from "zod";
import { plainWords } from "./words";

describe("what a schema says where it has no words of its own", () => {
  const schema = z.strictObject({
    name: z.string().max(3).min(2),
    sort: z.enum(["a", "b"]),
    at: z.iso.date(),
    of: z.union([z.literal(1), z.literal(2)]),
  });
  it.each([
    [{}, ["This is missing.", "Choose one of those that there are.", "This is missing.", "This can’t be used."]],
    [
      { name: 3, sort: "c", at: "x", of: 3 },
      [
        "This can’t be read.",
        "Choose one of those that there are.",
        "This is not written as it should be.",
        "This can’t be used.",
      ],
    ],
    [{ name: "long one", sort: "a", at: "2027-01-01", of: 1 }, ["This is too much."]],
    [{ name: "x", sort: "a", at: "2027-01-01", of: 1 }, ["This is too little."]],
    [{ name: "xy", sort: "a", at: "2027-01-01", of: 1, more: 1 }, ["There is something in it that nobody knows."]],
  ])("of %j", (value, words) => {
    const read = schema.safeParse(value, { error: plainWords });
    expect(read.error?.issues.map((i) => i.message)).toEqual(words);
  });
});
