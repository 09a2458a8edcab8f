import { describe, expect, it } from "vitest";
import { acceptWords, setProp, type Outcome } from "~/core/commands";
import { changedParts, differences, markOf, type Draft } from "~/core/document";
import { applyAll } from "~/core/operations";
import { lookSchema } from "~/core/schema";
import { contentWith } from "~/render/fixtures/content";
import { makeNode } from ".";
import { placeholdersIn } from "./placeholders";

const after = (draft: Draft, outcome: Outcome): Draft => {
  if (!outcome.ok) throw new Error(outcome.why);
  const applied = applyAll(draft, outcome.transaction.operations);
  if (!applied.ok) throw new Error(applied.code);
  return applied.draft;
};

describe("words of the studio", () => {
  const text = "Everything here was chosen with care.";
  const start = contentWith([
    makeNode(
      "freehand",
      {},
      { slots: { columns: [makeNode("column", {}, { slots: { widgets: [makeNode("words", { text })] } })] } },
    ),
  ]).draft;

  it("are named until the seller has found them to be true, or has written others", () => {
    expect(placeholdersIn(start).map((p) => [p.words, p.key])).toContainEqual([text, "text"]);
    const accepted = after(start, acceptWords(start, [text]));
    expect(placeholdersIn(accepted).map((p) => p.words)).not.toContain(text);
    expect(lookSchema.safeParse(accepted.look).error).toBeUndefined();
    const { part } = placeholdersIn(start).find((p) => p.words === text)!;
    const written = after(start, setProp(start, part.id, ["text"], "Chosen by Tom.", "Words"));
    expect(placeholdersIn(written).map((p) => p.words)).not.toContain(text);
    // Twice is once.
    expect(acceptWords(accepted, [text]).ok).toBe(false);
  });

  it("are named in lists as well, each with its place", () => {
    const steps = makeNode("steps");
    const draft = contentWith([steps]).draft;
    const named = placeholdersIn(draft).filter((p) => p.part.id === steps.id);
    expect(named.map((p) => p.key)).toContain("steps.1.text");
    const own = after(draft, setProp(draft, steps.id, ["steps", 1, "text"], "Sewn by Tom.", "Words"));
    expect(placeholdersIn(own).map((p) => p.key)).not.toContain("steps.1.text");
  });

  it("that were found to be true are no change of the shop", () => {
    const accepted = after(start, acceptWords(start, [text]));
    expect(changedParts(start, accepted)).toEqual([]);
    expect(differences(start, accepted)).toEqual([]);
  });

  it("are known by marks as published for FNV-1a", () => {
    // Test vectors of draft-eastlake-fnv (32 bits): "" is 811c9dc5, "a" is e40c292c, "foobar" is bf9cf968.
    expect(["", "a", "foobar"].map(markOf)).toEqual(["811c9dc5", "e40c292c", "bf9cf968"]);
  });
});
