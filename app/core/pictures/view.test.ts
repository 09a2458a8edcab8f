import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { cropOf, cropOn, isPlaced, viewClass, viewCss, viewKey, type PictureView } from ".";

const MEDIA = { phone: "(max-width:599.98px)", tablet: "(min-width:600px)", wide: "(min-width:1024px)" };

/**
 * Where a point of the picture (shares, 0–1) is seen in its frame, by what the rules say: CSS Images 3 (5.5, object-position) and
 * CSS Transforms 1 (the transform about its origin).
 */
function seenAt(
  css: string,
  picture: { width: number; height: number },
  box: { width: number; height: number },
  point: readonly [number, number],
) {
  const position = /object-position:([\d.]+)% ([\d.]+)%/.exec(css);
  const [fx, fy] = position ? [Number(position[1]) / 100, Number(position[2]) / 100] : [0.5, 0.5];
  const scale = Math.max(box.width / picture.width, box.height / picture.height);
  const [w, h] = [picture.width * scale, picture.height * scale];
  let x = (box.width - w) * fx + point[0] * w;
  let y = (box.height - h) * fy + point[1] * h;
  const origin = /transform-origin:([\d.]+)% ([\d.]+)%/.exec(css);
  if (origin) {
    const [ox, oy] = [(Number(origin[1]) / 100) * box.width, (Number(origin[2]) / 100) * box.height];
    const [, sx, sy] = /scale\((-?[\d.]+)(?:,([\d.]+))?\)/.exec(css)!;
    const move = Number(/translateX\((-?[\d.]+)%\)/.exec(css)?.[1] ?? 0) / 100;
    x = ox + move * box.width + Number(sx) * (x - ox);
    y = oy + Number(sy ?? sx) * (y - oy);
  }
  return [x / box.width, y / box.height] as const;
}

const size = fc.record({ width: fc.integer({ min: 100, max: 3000 }), height: fc.integer({ min: 100, max: 3000 }) });
const view: fc.Arbitrary<PictureView> = fc.record({
  focus: fc.tuple(fc.nat(100), fc.nat(100)),
  zoom: fc.integer({ min: 100, max: 400 }),
  mirror: fc.boolean(),
});

describe("a crop at a place", () => {
  it("shows what `cropOf` says, whatever is enlarged, and mirrored the other way round", () => {
    fc.assert(
      fc.property(size, size, view, (picture, box, each) => {
        const css = viewCss("v-n-picture", each, MEDIA);
        const crop = cropOf(picture, box, each.focus!, each.zoom! / 100);
        const [left, top] = seenAt(css, picture, box, [crop.left, crop.top]);
        const [right, bottom] = seenAt(css, picture, box, [crop.right, crop.bottom]);
        expect(each.mirror ? 1 - left : left).toBeCloseTo(0, 6);
        expect(each.mirror ? 1 - right : right).toBeCloseTo(1, 6);
        expect(top).toBeCloseTo(0, 6);
        expect(bottom).toBeCloseTo(1, 6);
        // The frame is always filled.
        for (const edge of [crop.left, crop.top]) expect(edge).toBeGreaterThanOrEqual(-1e-9);
        for (const edge of [crop.right, crop.bottom]) expect(edge).toBeLessThanOrEqual(1 + 1e-9);
      }),
      { seed: 21 },
    );
  });

  it("has on one device what is said for it, and the rest as everywhere", () => {
    const both: PictureView = { focus: [20, 30], zoom: 150, phone: { focus: [80, 10] } };
    expect(cropOn(both, "phone")).toEqual({ focus: [80, 10], zoom: 150 });
    expect(cropOn(both, "wide")).toEqual({ focus: [20, 30], zoom: 150 });
    const css = viewCss("v-n-picture", both, MEDIA);
    expect(css).toContain(".v-n-picture img{object-position:20% 30%");
    expect(css).toContain(`@media ${MEDIA.phone}{.v-n-picture img{object-position:80% 10%;transform:scale(1.5)`);
    expect(css).not.toContain(MEDIA.wide);
  });

  it("is known by its place", () => {
    expect(viewKey("picture")).toBe("pictureView");
    expect(viewClass("n1", "tiles.3.picture")).toBe("v-n1-tiles-3-picture");
    expect([
      isPlaced(undefined),
      isPlaced({ tone: "mist" }),
      isPlaced({ mirror: true }),
      isPlaced({ phone: { zoom: 120 } }),
    ]).toEqual([false, false, true, true]);
  });
});
