import { describe, expect, it } from "vitest";
import { focusCss, renditionAddress, sourceOf, srcSetOf, widthsFor, type Picture } from ".";

const picture = (more: Partial<Picture> = {}): Picture => ({
  id: "p",
  hash: "ab".repeat(32),
  name: "p.webp",
  alt: "",
  width: 1280,
  height: 1600,
  focus: [50, 50],
  vector: false,
  shade: null,
  ...more,
});

describe("renditions", () => {
  it("are never wider than the picture, and there is always one", () => {
    expect(widthsFor(picture())).toEqual([160, 320, 480, 640, 960, 1280]);
    expect(widthsFor(picture({ width: 700 }))).toEqual([160, 320, 480, 640]);
    expect(widthsFor(picture({ width: 40 }))).toEqual([160]);
  });

  it("are named by content and width; drawings by content alone", () => {
    expect(renditionAddress(picture(), 640)).toBe(`/media/${"ab".repeat(32)}-640.webp`);
    expect(sourceOf(picture({ vector: true }))).toBe(`/media/${"ab".repeat(32)}.svg`);
    expect(srcSetOf(picture({ vector: true }))).toBeUndefined();
    expect(srcSetOf(picture({ width: 330 }))).toMatch(/-160\.webp 160w, .*-320\.webp 320w$/);
    expect(sourceOf(picture(), 700)).toContain("-960.webp");
    expect(sourceOf(picture({ width: 500 }), 700)).toContain("-480.webp");
  });

  it("write a focal point only where it is not the middle", () => {
    expect(focusCss(picture())).toBe("");
    expect(focusCss(picture({ focus: [30, 70] }))).toBe(".f-abababab{object-position:30% 70%}");
  });
});
