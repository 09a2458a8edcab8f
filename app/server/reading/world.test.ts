import { geoContains, geoDistance, geoMercator } from "d3-geo";
import { readFileSync } from "node:fs";
import { feature } from "topojson-client";
import type { GeometryCollection, Topology } from "topojson-specification";
import { describe, expect, it } from "vitest";
import { MAP_SIZE, mapSchema, REACHES, type Place } from "~/core/map";
import { drawMap, projectionAround, townsOn } from "./world";

/** Whether a point of a map is within what its path encloses (even-odd rule, as for one without holes in holes). */
function isWithin(path: string, x: number, y: number): boolean {
  let inside = false;
  for (const ring of path.split("Z").filter(Boolean)) {
    const [start = "", ...steps] = ring.slice(1).split("l");
    let [px, py] = start.split(",").map(Number) as [number, number];
    const points: [number, number][] = [[px, py]];
    for (const step of steps) {
      const [dx = 0, dy = 0] = step.split(",").map(Number);
      px += dx;
      py += dy;
      points.push([px, py]);
    }
    for (let i = 0, j = points.length - 1; i < points.length; j = i++) {
      const [xi, yi] = points[i]!;
      const [xj, yj] = points[j]!;
      if (yi > y !== yj > y && x < ((xj - xi) * (y - yi)) / (yj - yi) + xi) inside = !inside;
    }
  }
  return inside;
}

const world = JSON.parse(readFileSync("node_modules/world-atlas/countries-50m.json", "utf8")) as Topology<{
  land: GeometryCollection;
}>;
const land = feature(world, world.objects.land);

describe("a map of where something is", () => {
  it.each([
    ["Whitby", 54.486, -0.616],
    ["Lima", -12.043, -77.028],
    ["Suva, beside the date line", -18.14, 178.44],
    ["Geneva, far from any sea", 46.202, 6.146],
  ])("has land where there is land: %s", async (place, lat, lon) => {
    const map = await drawMap({ lat, lon }, "land", place, []);
    expect(mapSchema.safeParse(map).success).toBe(true);
    const projection = projectionAround({ lat, lon }, REACHES.land.across);
    let same = 0;
    let all = 0;
    for (let x = 50; x < MAP_SIZE[0]; x += 75)
      for (let y = 50; y < MAP_SIZE[1]; y += 75) {
        // What d3 says of the sphere itself, without any projection or clipping.
        const truth = geoContains(land, projection.invert!([x, y])!);
        all++;
        if (truth === isWithin(map.land, x, y)) same++;
      }
    // Only what lies on the very shore may differ, and islands too small to be drawn.
    expect(same / all).toBeGreaterThan(0.96);
  });

  it("has its place in the middle and is as wide as it says", () => {
    for (const [lat, lon] of [
      [0, 0],
      [54.5, -0.6],
      [-41.3, 174.8],
    ] as const) {
      const projection = projectionAround({ lat, lon }, 320);
      expect(projection([lon, lat])!.map(Math.round)).toEqual([500, 400]);
      const [a, b] = [projection.invert!([0, 400])!, projection.invert!([1000, 400])!];
      expect(geoDistance(a, b) * 6371.0088).toBeCloseTo(320, -1);
    }
    // Snyder, "Map Projections: A Working Manual" (USGS Professional Paper 1395), page 266: Mercator on a sphere of radius 1 with
    // the middle at 180° W: 35° N, 75° W is x = 1.8325957, y = 0.6528366.
    const unit = geoMercator().rotate([180, 0]).scale(1).translate([0, 0]);
    const [x, y] = unit([-75, 35])!;
    expect(x).toBeCloseTo(1.8325957, 6);
    expect(-y).toBeCloseTo(0.6528366, 6);
  });

  it("names towns only where their names have room", () => {
    const town = (name: string, lat: number, lon: number): Place => ({
      name,
      country: "GB",
      state: "",
      lat,
      lon,
      people: 1,
    });
    const projection = projectionAround({ lat: 54, lon: 0 }, 320);
    const towns = townsOn(
      projection,
      [
        town("Here", 54, 0),
        town("Own", 54.9, 0),
        town("Far", 54.9, 1.2),
        town("Farther", 54.91, 1.21),
        town("Away", 60, 0),
      ],
      "Own",
    );
    expect(towns.map(({ name }) => name)).toContain("Far");
    for (const name of ["Here", "Own", "Away"]) expect(towns.map((t) => t.name)).not.toContain(name);
    const far = towns.find(({ name }) => name === "Far")!;
    const farther = towns.find(({ name }) => name === "Farther");
    // Two that lie upon each other stand to both sides, or one of them is left out.
    if (farther) expect(farther.side).not.toBe(far.side);
  });
});
