import { describe, expect, it } from "vitest";
import { unlessSame, type Wireframe } from "./wireframe";

const wire = (x: number): Wireframe => ({
  height: 0.4,
  bones: [{ what: "head", x, y: 0.1, w: 0.5, h: 0.1 }],
  ground: "#fff",
  ink: "#000",
});

describe("drawings that were measured anew", () => {
  const before = new Map([
    ["a", wire(0.1)],
    ["b", wire(0.2)],
  ]);

  it("are the same whole where nothing moved", () => {
    expect(unlessSame(before, new Map([...before].map(([id, w]) => [id, structuredClone(w)])))).toBe(before);
  });

  it("keep those that stayed, and take what moved, came or went", () => {
    const next = unlessSame(
      before,
      new Map([
        ["a", wire(0.1)],
        ["b", wire(0.3)],
        ["c", wire(0.1)],
      ]),
    );
    expect(next.get("a")).toBe(before.get("a"));
    expect(next.get("b")).toEqual(wire(0.3));
    expect([...next.keys()]).toEqual(["a", "b", "c"]);
    expect([...unlessSame(before, new Map([["a", wire(0.1)]])).keys()]).toEqual(["a"]);
  });
});
