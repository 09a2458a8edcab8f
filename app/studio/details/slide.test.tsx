// @vitest-environment jsdom
import { useState } from "react";
import { describe, expect, it } from "vitest";
import { mount } from "../fixtures/mount";
import { useLatest } from "../ui";
import { Slide } from "./slide";

const handed = new Set<unknown>();

/** Two numbers of one thing, as a tone has many. */
function Two() {
  const [both, setBoth] = useState({ light: 0, warmth: 0 });
  const slide = useLatest((name: "light" | "warmth", value: number) => setBoth({ ...both, [name]: value }));
  handed.add(slide);
  return (["light", "warmth"] as const).map((name) => (
    <Slide key={name} name={name} label={name} value={both[name]} least={-100} most={100} onSlide={slide} />
  ));
}

describe("numbers that are slid", () => {
  it("are handed the same function at every drawing, which knows what the others have become", async () => {
    const { write, value } = await mount(<Two />);
    await write("light", "30");
    await write("warmth", "-20");
    expect([value("light"), value("warmth")]).toEqual(["30", "-20"]);
    // So those that are not moved need not be drawn anew.
    expect(handed.size).toBe(1);
    expect(Slide).toMatchObject({ $$typeof: Symbol.for("react.memo") });
  });
});
