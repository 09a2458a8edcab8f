import { describe, expect, it } from "vitest";
import type { Reply } from "../client";
import { inPortions } from "./in-portions";

const ids = Array.from({ length: 450 }, (_unused, i) => `p${i}`);
const yes: Reply<unknown> = { ok: true, value: null };
const no: Reply<unknown> = { ok: false, code: "refused", why: "Not like that.", problems: [] };

describe("asking about many pictures", () => {
  it("names each of them once, in order, no more at once than can be named", async () => {
    const asked: string[][] = [];
    expect(await inPortions(ids, async (some) => (asked.push(some), yes))).toBeUndefined();
    expect(asked.flat()).toEqual(ids);
    expect(asked.map((some) => some.length)).toEqual([200, 200, 50]);
  });
  it("stops where it is told no, and says why", async () => {
    let count = 0;
    expect(await inPortions(ids, async () => (++count === 2 ? no : yes))).toBe("Not like that.");
    expect(count).toBe(2);
  });
});
