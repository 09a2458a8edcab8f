import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { changeLetters } from "../commands";
import { emptyDocument, type Draft } from "../document";
import { after, whyNot } from "../fixtures/outcomes";
import {
  fillFacts,
  KNOWN_LETTERS,
  LETTERS,
  lettersOf,
  lettersRoot,
  SHOP_LETTERS,
  strangeFacts,
  wordsOf,
  written,
} from ".";

const draft: Draft = { look: undefined as never, documents: {} };

describe("letters that nobody has changed", () => {
  it("name only facts that they have, and are what the schema takes", () => {
    for (const letter of SHOP_LETTERS) {
      const { subject, heading, words } = KNOWN_LETTERS[letter];
      for (const text of [subject, heading, words]) expect([letter, strangeFacts(letter, text)]).toEqual([letter, []]);
      expect(lettersRoot.safeParse({ [letter]: { subject, heading, words } }).success).toBe(true);
    }
  });
});

describe("facts in words", () => {
  it("stand where they are named, and leave nothing behind where they are not known", () => {
    expect(fillFacts("Dear {name}, order {order}.", { name: "Ada", order: "12" })).toBe("Dear Ada, order 12.");
    expect(fillFacts("Dear {name}, thanks.", {})).toBe("Dear, thanks.");
    expect(fillFacts("{tostring}{constructor}", {})).toBe("");
    expect(fillFacts("{ name }", { name: "Ada" })).toBe("{ name }");
  });
  it("come out as they are, whatever is in them", () => {
    fc.assert(
      fc.property(fc.string(), (name) => {
        expect(fillFacts("a {name} b", { name })).toBe(name === "" ? "a b" : `a ${name} b`);
      }),
      { seed: 3 },
    );
  });
  it("never break the line of a subject", () => {
    const { subject } = written({}, "placed", { order: "1\r\nBcc: eve@example.org", shop: "Kites" });
    expect(subject).not.toMatch(/[\r\n]/);
  });
});

describe("changing a letter", () => {
  const own = { subject: "Order {order}", heading: "Thanks, {name}", words: "" };
  it("is kept, and taken back to what it was", () => {
    const changed = after(draft, changeLetters(draft, { placed: own }));
    expect(wordsOf(changed.documents, "placed")).toEqual(own);
    expect(wordsOf(changed.documents, "paid").subject).toBe(KNOWN_LETTERS.paid.subject);
    const back = after(changed, changeLetters(changed, { placed: undefined }));
    expect(wordsOf(back.documents, "placed").subject).toBe(KNOWN_LETTERS.placed.subject);
  });
  it("is refused with a fact that it doesn’t have, or without a subject, and nothing is stored", () => {
    expect(whyNot(changeLetters(draft, { placed: { ...own, words: "{amount}" } }))).toBe(
      "“{amount}” is no fact of this letter.",
    );
    expect(whyNot(changeLetters(draft, { placed: { ...own, subject: " " } }))).toBe("Give the letter a subject.");
  });
  it("of which nothing can be read says what it said before", () => {
    const broken = emptyDocument(2, "letters", LETTERS, "Letters", { placed: 7 });
    expect(lettersOf({ [LETTERS]: broken })).toEqual({});
  });
});
