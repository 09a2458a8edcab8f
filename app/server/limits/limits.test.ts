import { describe, expect, it } from "vitest";
import { countTry, waitAfter, waitWords } from "./index.server";

let names = 0;
const name = () => `limits-test:${Date.now()}:${++names}`;

describe("tries that are counted", () => {
  it("are free at first, and then each one more has to be waited for twice as long", async () => {
    const own = name();
    let now = Date.now();
    const waited: number[] = [];
    for (let i = 0; i < 6; i++) {
      expect(await countTry(own, 3, now)).toBe(0);
      const wait = waitAfter(i + 1, 3);
      if (wait > 0) expect(await countTry(own, 3, now + 1)).toBe(wait);
      waited.push(wait);
      now += wait * 1000;
    }
    expect(waited).toEqual([0, 0, 2, 4, 8, 16]);
  });

  it("make nobody wait while they are free, though two come at once and the later one looked at the clock first", async () => {
    const own = name();
    const now = Date.now();
    expect([await countTry(own, 4, now), await countTry(own, 4, now - 5), await countTry(own, 4, now)]).toEqual([
      0, 0, 0,
    ]);
  });
});

it("waits are said in words", () => {
  expect([1, 2, 89, 90, 3600].map(waitWords)).toEqual([
    "a second",
    "2 seconds",
    "89 seconds",
    "2 minutes",
    "60 minutes",
  ]);
});
