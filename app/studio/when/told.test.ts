import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Condition, Rule } from "~/core/conditions";
import { conditions } from "~/core/fixtures/conditions";
import { joined, split, turnedAt, withRule } from "./told";

const plain = (all: unknown) => JSON.parse(JSON.stringify(all)) as unknown;
const dated: Condition = { when: "dates", from: "2026-12-01T00:00" };
const A: Rule = { when: "visitor", is: "new" };
const B: Rule = { when: "cart", asks: "empty" };
const C: Rule = { when: "pages", sorts: ["home"] };

describe("conditions as their sentence tells them", () => {
  it("are the same when they are put together again", () => {
    fc.assert(
      fc.property(conditions, fc.boolean(), (all, hasDates) => {
        const whole = hasDates ? [dated, ...all] : all;
        expect(joined(split(whole))).toEqual(plain(whole));
      }),
    );
  });

  it("have “and” turned to “or” between two of them, and back", () => {
    const { rules, ...times } = split([dated, A, B, C]);
    const turned = turnedAt(rules, 1);
    expect(joined({ ...times, rules: turned })).toEqual([dated, { when: "any", of: [A, B] }, C]);
    expect(joined({ ...times, rules: turnedAt(turned, 2) })).toEqual([dated, { when: "any", of: [A, B, C] }]);
    expect(joined({ ...times, rules: turnedAt(turned, 1) })).toEqual([dated, A, B, C]);
  });

  it("go on as they were when one is taken out", () => {
    const { rules, ...times } = split([{ when: "any", of: [A, B] }, C]);
    const left = (at: number) => joined({ ...times, rules: withRule(rules, at, undefined) });
    expect([left(0), left(1), left(2)]).toEqual([[B, C], [A, C], [{ when: "any", of: [A, B] }]]);
  });
});
