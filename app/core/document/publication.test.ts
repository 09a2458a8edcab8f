import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { carryOut, draft, steps } from "../fixtures/arbitraries";
import { changedParts, differences, LOOK_PART, partOfDifference, withParts } from ".";

describe("publishing parts of a shop", () => {
  it("brings exactly the parts that were chosen, whichever they are; all of them make the draft", () => {
    fc.assert(
      fc.property(draft, steps, fc.infiniteStream(fc.boolean()), (before, run, coin) => {
        const after = carryOut(before, run).draft;
        const changed = changedParts(before, after).map((c) => c.part);
        const chosen = new Set(changed.filter(() => coin.next().value));
        const next = withParts(before, after, chosen);
        // What went out is as it is in the draft, and what stayed is as it was.
        expect(
          changedParts(before, next)
            .map((c) => c.part)
            .toSorted(),
        ).toEqual([...chosen].toSorted());
        expect(
          changedParts(next, after)
            .map((c) => c.part)
            .toSorted(),
        ).toEqual(changed.filter((part) => !chosen.has(part)).toSorted());
        expect(changedParts(withParts(before, after, new Set(changed)), after)).toEqual([]);
        expect(withParts(before, after, new Set())).toEqual(before);
      }),
      { seed: 21, numRuns: 150 },
    );
  });

  it("has every difference in words in one of the parts", () => {
    fc.assert(
      fc.property(draft, steps, (before, run) => {
        const after = carryOut(before, run).draft;
        const changed = new Set(changedParts(before, after).map((c) => c.part));
        for (const each of differences(before, after)) expect(changed).toContain(partOfDifference(each));
      }),
      { seed: 22, numRuns: 100 },
    );
  });

  it("leaves brands that were put aside out of it: they are the seller’s own affair", () => {
    const [one] = fc.sample(draft, { seed: 1, numRuns: 1 });
    const at = "2026-11-27T10:00:00.000Z";
    const aside = { ...one!, look: { ...one!.look, versions: { v: { name: "Old", at, theme: "pomelo", brand: {} } } } };
    expect(changedParts(one!, aside)).toEqual([]);
    const other = { ...one!, look: { ...one!.look, theme: "quince" } };
    expect(changedParts(one!, other)).toEqual([{ part: LOOK_PART, what: "changed", document: undefined }]);
  });
});
