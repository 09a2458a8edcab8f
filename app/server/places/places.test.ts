import { expect, it } from "vitest";
import { mapAround, placesNamed } from "./index.server";

const first = async (sought: string) => (await placesNamed(sought))[0];

it("finds places by their beginning, the largest first, as people type them", async () => {
  // Coordinates of the towns as common handbooks give them, to a tenth of a degree.
  for (const [sought, country, lat, lon] of [
    ["whitby, gb", "GB", 54.5, -0.6],
    ["whitby, united", "GB", 54.5, -0.6],
    ["munchen", "DE", 48.1, 11.6],
    ["TROMSO", "NO", 69.6, 18.9],
    ["são paulo", "BR", -23.5, -46.6],
    ["springfield, il", "US", 39.8, -89.6],
  ] as const) {
    const found = await first(sought);
    expect(found, sought).toBeDefined();
    expect(found!.country, sought).toBe(country);
    expect(Math.abs(found!.lat - lat), sought).toBeLessThan(0.15);
    expect(Math.abs(found!.lon - lon), sought).toBeLessThan(0.15);
  }
});

it("finds a word within a name, and nothing for nonsense", async () => {
  expect((await placesNamed("upon tyne")).map((p) => p.name)).toContain("Newcastle upon Tyne");
  expect(await placesNamed("qqqqq")).toEqual([]);
  expect(await placesNamed("  ")).toEqual([]);
  expect((await placesNamed("a")).length).toBeLessThanOrEqual(12);
});

it("draws a map with the towns around", async () => {
  const drawn = await mapAround({ lat: 54.486, lon: -0.616 }, "region", "Whitby, United Kingdom");
  if (!drawn.ok) throw new Error(drawn.why);
  expect(drawn.value.towns.map((t) => t.name)).toContain("Leeds");
  expect(drawn.value.land.length).toBeGreaterThan(500);
});
