import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { integrityOf, type Draft } from "../document";
import { carryOut, draft, steps } from "../fixtures/arbitraries";
import { apply, applyAll, invert, invertAll, rebase, type Operation } from ".";

const seed = 20261124;

describe("operations", () => {
  it("are taken back by their inverse, one by one and as a run", () => {
    fc.assert(
      fc.property(draft, steps, (start, run) => {
        const { draft: end, operations } = carryOut(start, run);
        const back = applyAll(end, invertAll(operations));
        expect(back).toEqual({ ok: true, draft: start });
        for (const operation of operations) expect(invert(invert(operation))).toEqual(operation);
      }),
      { seed, numRuns: 200 },
    );
  });

  it("mean the same after a trip through JSON", () => {
    fc.assert(
      fc.property(draft, steps, (start, run) => {
        const { draft: end, operations } = carryOut(start, run);
        const again = applyAll(
          JSON.parse(JSON.stringify(start)) as Draft,
          JSON.parse(JSON.stringify(operations)) as Operation[],
        );
        expect(again).toEqual({ ok: true, draft: end });
      }),
      { seed, numRuns: 100 },
    );
  });

  it("keep documents sound and never touch the draft they are given", () => {
    fc.assert(
      fc.property(draft, steps, (start, run) => {
        const before = JSON.stringify(start);
        const { draft: end } = carryOut(start, run);
        expect(Object.values(end.documents).flatMap(integrityOf)).toEqual([]);
        expect(JSON.stringify(start)).toBe(before);
        expect(Object.isFrozen(end.documents.home!.root)).toBe(true);
      }),
      { seed, numRuns: 100 },
    );
  });

  it("share every branch that they do not change", () => {
    const [start] = fc.sample(draft, { seed, numRuns: 1 }) as [Draft];
    const result = apply(start, {
      type: "setLook",
      path: ["brand", "colour"],
      before: { absent: true },
      after: { is: "#123456" },
    });
    expect(result.ok && result.draft.documents).toBe(start.documents);
  });

  it("refuse what does not fit, with a code, and change nothing", () => {
    const [start] = fc.sample(draft, { seed, numRuns: 1 }) as [Draft];
    const refused = (operation: Operation, code: string) =>
      expect(apply(start, operation)).toMatchObject({ ok: false, code });
    refused({ type: "setShown", document: "home", node: "nobody", before: true, after: false }, "gone");
    refused({ type: "setShown", document: "nowhere", node: "n0", before: true, after: false }, "gone");
    refused(
      {
        type: "setProp",
        document: "home",
        node: "n0",
        path: ["q"],
        before: { is: "what it never was" },
        after: { is: 1 },
      },
      "changed-meanwhile",
    );
    refused(
      { type: "setProp", document: "home", node: "n0", path: ["q", "r"], before: { absent: true }, after: { is: 1 } },
      "bad-place",
    );
    const node = start.documents.home!.root.slots.main![0]!;
    refused(
      { type: "insertNode", document: "home", to: { parent: "hr", slot: "main", index: 0 }, node },
      "duplicate-id",
    );
    refused(
      {
        type: "insertNode",
        document: "home",
        to: { parent: "hr", slot: "main", index: 99 },
        node: { ...node, id: "new" },
      },
      "bad-place",
    );
  });

  it("can be restated for a draft that others changed, whenever their target is still there", () => {
    fc.assert(
      fc.property(draft, steps, steps, (start, mine, theirs) => {
        const others = carryOut(start, theirs).draft;
        for (const operation of carryOut(start, mine).operations.slice(0, 1)) {
          const restated = rebase(others, operation);
          if (!restated) continue;
          const result = apply(others, restated);
          expect(result.ok || result.code === "duplicate-id").toBe(true);
        }
      }),
      { seed, numRuns: 200 },
    );
  });
});
