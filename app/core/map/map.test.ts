import { expect, it } from "vitest";
import { geoAddress, KM_OF_DEGREE, pointIn } from ".";

it.each([
  ["54.486, -0.616", { lat: 54.486, lon: -0.616 }],
  ["-41.287 174.776", { lat: -41.287, lon: 174.776 }],
  ["54.5°; 0.6°", { lat: 54.5, lon: 0.6 }],
])("%s is a point", (text, point) => expect(pointIn(text)).toEqual(point));

it.each(["Whitby", "54", "91, 0", "54, 181", "12, Long Lane", ""])("%s is none", (text) =>
  expect(pointIn(text)).toBeUndefined(),
);

it("a device opens a place by an address of RFC 5870", () => {
  // The grammar of section 3.3 of RFC 5870, in short: "geo:" latitude "," longitude and parameters; the query is common practice.
  expect(geoAddress({ lat: 48.2, lon: -16.37 })).toMatch(/^geo:-?\d+(\.\d+)?,-?\d+(\.\d+)?\?q=/);
});

it("a degree of the meridian has 111.195 km on the sphere of the mean radius", () => {
  expect(KM_OF_DEGREE).toBeCloseTo(111.195, 3);
});
