import { describe, expect, it } from "vitest";
import { createGate, TooMany } from "./gate";

describe("drawings that take turns", () => {
  it("are done in order, one at a time, and let in between in whoever only wants what is there", async () => {
    const inTurn = createGate();
    const log: string[] = [];
    const all = ["a", "b", "c"].map((name) => inTurn(name, () => log.push(name)));
    let between = 0;
    const other = () => {
      between++;
      if (log.length < 3) setImmediate(other);
    };
    setImmediate(other);
    await Promise.all(all);
    expect(log).toEqual(["a", "b", "c"]);
    expect(between).toBeGreaterThanOrEqual(2);
  });

  it("are refused when too many wait, for one place and for all, and taken again when there is room", async () => {
    const inTurn = createGate(4, 2);
    const ask = (place: string) =>
      inTurn(place, () => "drawn").catch((error: unknown) => {
        if (error instanceof TooMany) return "refused";
        throw error;
      });
    expect(await Promise.all(["a", "a", "a", "b", "b", "c"].map(ask))).toEqual([
      "drawn",
      "drawn",
      "refused",
      "drawn",
      "drawn",
      "refused",
    ]);
    expect(await ask("c")).toBe("drawn");
  });

  it("that fail hold nobody else up", async () => {
    const inTurn = createGate();
    const bad = inTurn("a", () => {
      throw new Error("no such thing");
    });
    await expect(bad).rejects.toThrow("no such thing");
    expect(await inTurn("a", () => 1)).toBe(1);
  });
});
