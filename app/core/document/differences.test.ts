import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { carryOut, draft, steps } from "../fixtures/arbitraries";
import { differences, freeze, type Draft } from ".";

const [base] = fc.sample(
  draft.filter((d) => d.documents.home!.root.slots.main!.length >= 5),
  { seed: 3, numRuns: 1 },
) as [Draft];
const main = base.documents.home!.root.slots.main!;
const withMain = (nodes: typeof main): Draft =>
  freeze({
    ...base,
    documents: {
      ...base.documents,
      home: { ...base.documents.home!, root: { ...base.documents.home!.root, slots: { main: nodes } } },
    },
  });

describe("differences", () => {
  it("are none between a draft and itself, and some whenever the drafts differ", () => {
    fc.assert(
      fc.property(draft, steps, (start, run) => {
        const end = carryOut(start, run).draft;
        expect(differences(start, start)).toEqual([]);
        expect(differences(start, end).length > 0).toBe(
          JSON.stringify(start) !== JSON.stringify(end) && !sameButForOrder(start, end),
        );
      }),
      { seed: 11, numRuns: 150 },
    );
  });

  it("name a move once, for the section that was moved, not for those it passed", () => {
    const moved = withMain([...main.slice(1), main[0]!]);
    expect(differences(base, moved).map((d) => [d.what, "node" in d ? d.node.id : ""])).toEqual([
      ["moved", main[0]!.id],
    ]);
  });

  it("tell added, removed, words and style apart", () => {
    const changed = { ...main[1]!, props: { ...main[1]!.props, heading: "new" }, style: { phone: { columns: 1 } } };
    const found = differences(base, withMain([changed, { ...main[0]!, id: "added" }]));
    expect(new Set(found.map((d) => d.what))).toEqual(new Set(["removed", "added", "props", "style"]));
    expect(found.find((d) => d.what === "props")).toMatchObject({ keys: ["heading"] });
  });

  it("see each part of the look", () => {
    const next = freeze({
      ...base,
      look: {
        ...base.look,
        theme: "yuzu",
        identity: { ...base.look.identity, name: "Other" },
        brand: { colour: "#000000" },
      },
    });
    expect(differences(base, next).map((d) => (d.what === "look" ? d.part : d.what === "brand" ? d.key : ""))).toEqual([
      "theme",
      "name",
      "colour",
    ]);
  });
});

/** Key order of JSON objects carries no meaning. */
function sameButForOrder(a: Draft, b: Draft): boolean {
  const sorted = (value: unknown): unknown =>
    Array.isArray(value)
      ? value.map(sorted)
      : value && typeof value === "object"
        ? Object.fromEntries(
            Object.entries(value)
              .sort(([x], [y]) => (x < y ? -1 : 1))
              .map(([k, v]) => [k, sorted(v)]),
          )
        : value;
  return JSON.stringify(sorted(a)) === JSON.stringify(sorted(b));
}
