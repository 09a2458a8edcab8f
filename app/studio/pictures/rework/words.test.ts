import { describe, expect, it } from "vitest";
import { saidOfCut } from "./words";

const well = { share: 0.3, weak: 0.02, touches: [] } as const;
const say = (sort: "plain" | "busy" | "clear", more: object = {}, hasStrokes = false) =>
  saidOfCut({ sort }, { ...well, ...more }, hasStrokes);

describe("what is said of a cut", () => {
  it("is that it is well only where it is", () => {
    expect(say("plain")).toEqual({ isWell: true, words: "Its edge is clear all around." });
    expect(say("plain", { weak: 0.4 }).isWell).toBe(false);
    expect(say("busy").words).toContain("this is a guess");
    expect(say("busy", {}, true).isWell).toBe(true);
  });
  it("names the sides where the picture ends within the thing", () => {
    expect(say("plain", { touches: ["bottom", "left"] }).words).toContain("ends below and on the left within it");
  });
  it("tells what to do where nothing is left or no ground was found, whatever else is true", () => {
    expect(say("busy", { share: 0 }).words).toContain("Paint over what stays");
    expect(say("plain", { share: 1, weak: 1 }).words).toContain("No ground was found");
  });
});
