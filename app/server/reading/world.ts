import { readFile } from "node:fs/promises";
import { resolve } from "node:path";
import { geoMercator, geoPath, type GeoContext, type GeoProjection } from "d3-geo";
import type { MultiLineString, MultiPolygon, Polygon, Position } from "geojson";
import { feature, mesh } from "topojson-client";
import type { GeometryCollection, Topology } from "topojson-specification";
import {
  KM_OF_DEGREE,
  MAP_SIZE,
  REACHES,
  type MapDrawing,
  type Place,
  type Point,
  type Reach,
  type Town,
} from "~/core/map";

type World = Topology<{ countries: GeometryCollection; land: GeometryCollection }>;

/** Above so many kilometres from left to right the coarser lines do. */
const FINE_UP_TO_KM = 700;
/** A path of more letters is drawn with fewer points. */
const MOST_LETTERS = 26_000;

type Detail = "10m" | "50m";
/** From where to where, in degrees. */
type Extent = { readonly south: number; readonly north: number; readonly west: number; readonly east: number };
type Ready = {
  readonly islands: readonly (readonly [Extent, Polygon["coordinates"]])[];
  readonly borders: MultiLineString;
};

const extentOf = (ring: Position[]): Extent => {
  let [south, north, west, east] = [90, -90, 180, -180];
  for (const [x = 0, y = 0] of ring) {
    south = Math.min(south, y);
    north = Math.max(north, y);
    west = Math.min(west, x);
    east = Math.max(east, x);
  }
  return { south, north, west, east };
};

async function read(detail: Detail): Promise<Ready> {
  const world = JSON.parse(
    await readFile(resolve(`node_modules/world-atlas/countries-${detail}.json`), "utf8"),
  ) as World;
  const polygons = feature(world, world.objects.land).features.flatMap(({ geometry }) =>
    geometry.type === "MultiPolygon" ? geometry.coordinates : geometry.type === "Polygon" ? [geometry.coordinates] : [],
  );
  return {
    islands: polygons.map((rings) => [extentOf(rings[0] ?? []), rings] as const),
    borders: mesh(world, world.objects.countries, (a, b) => a !== b),
  };
}

const worlds = new Map<Detail, Promise<Ready>>();
/** Reading the world takes a second of work, and drawing a part of it a few hundredths: it is kept for the next map. */
function worldOf(detail: Detail): Promise<Ready> {
  const kept = worlds.get(detail) ?? read(detail);
  worlds.set(detail, kept);
  return kept;
}

/** Writes a path in whole units and leaves out points that are less than `apart` from the one before; islands of no size as well. */
class Pen implements GeoContext {
  text = "";
  private line: [number, number][] = [];
  private isClosed = false;
  constructor(private readonly apart: number) {}
  beginPath(): void {}
  arc(): void {}
  moveTo(x: number, y: number): void {
    this.flush();
    this.line = [[x, y]];
  }
  lineTo(x: number, y: number): void {
    this.line.push([x, y]);
  }
  closePath(): void {
    this.isClosed = true;
    this.flush();
  }
  flush(): void {
    const { line, isClosed } = this;
    this.line = [];
    this.isClosed = false;
    if (line.length < 2) return;
    const xs = line.map(([x]) => x);
    const ys = line.map(([, y]) => y);
    const extent = Math.max(Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys));
    if (extent < 3 * this.apart) return;
    let [px, py] = line[0]!.map(Math.round) as [number, number];
    this.text += `M${px},${py}`;
    let [lx, ly] = line[0]!;
    for (const [i, [x, y]] of line.entries()) {
      if (i === 0 || (i < line.length - 1 && Math.hypot(x - lx, y - ly) < this.apart)) continue;
      [lx, ly] = [x, y];
      const [nx, ny] = [Math.round(x), Math.round(y)];
      if (nx === px && ny === py) continue;
      this.text += `l${nx - px},${ny - py}`;
      [px, py] = [nx, ny];
    }
    if (isClosed) this.text += "Z";
  }
}

/** The projection in which so many kilometres fill the width, with a point in the middle (Mercator: true to shape nearby). */
export function projectionAround({ lat, lon }: Point, across: number): GeoProjection {
  const [width, height] = MAP_SIZE;
  // Mercator is larger by 1 / cos(latitude) (Snyder, "Map Projections: A Working Manual", USGS 1395, 7-5).
  const perDegree = (width / across) * KM_OF_DEGREE * Math.cos((lat * Math.PI) / 180);
  const margin = 12;
  return geoMercator()
    .rotate([-lon, 0])
    .center([0, lat])
    .scale((perDegree * 180) / Math.PI)
    .translate([width / 2, height / 2])
    .clipExtent([
      [-margin, -margin],
      [width + margin, height + margin],
    ]);
}

/** The islands and coasts that can be within so many kilometres of a point; all others are not looked at further. */
function landAround({ islands }: Ready, { lat, lon }: Point, across: number): MultiPolygon {
  const tall = across / KM_OF_DEGREE + 1;
  const wide = across / (KM_OF_DEGREE * Math.cos((lat * Math.PI) / 180)) + 1;
  const isBeside = ({ west, east }: Extent) => {
    // How far east of the point it begins, going round once; it is beside when it begins or ends there, or lies all around.
    const begins = (((west - lon + wide) % 360) + 360) % 360;
    return begins <= 2 * wide || begins + (east - west) >= 360;
  };
  const near = islands.filter(([extent]) => extent.north > lat - tall && extent.south < lat + tall && isBeside(extent));
  return { type: "MultiPolygon", coordinates: near.map(([, rings]) => rings) };
}

/** As wide as a letter of a town's name, and as high as its line, in units of the map. */
const LETTER = 12.5;
const LINE = 34;
const AROUND = 14;
const MOST_TOWNS = 12;
/** What is still in view from left to right where a map stands upright, 4 : 5; and how many towns there are beside it. */
const INNER = [185, 815] as const;
const MOST_OUTER = 5;

/** Which towns are named: the largest for which there is room, clear of the place itself and of each other. */
export function townsOn(projection: GeoProjection, places: readonly Place[], own: string): readonly Town[] {
  const [width, height] = MAP_SIZE;
  // The sign of the place and its name stand in the middle.
  const taken: [number, number, number, number][] = [
    [width / 2 - 190, height / 2 - 90, width / 2 + 190, height / 2 + 62],
  ];
  const found: Town[] = [];
  let outer = 0;
  for (const { name, lat, lon } of places) {
    if (found.length >= MOST_TOWNS) break;
    const at = projection([lon, lat]);
    if (!at || name === own || name.length > 22) continue;
    const [x, y] = at;
    if (x < AROUND || y < LINE || x > width - AROUND || y > height - LINE) continue;
    const long = name.length * LETTER + 24;
    for (const side of ["right", "left"] as const) {
      const box: [number, number, number, number] =
        side === "right"
          ? [x - 8, y - LINE / 2, x + long, y + LINE / 2]
          : [x - long, y - LINE / 2, x + 8, y + LINE / 2];
      if (box[0] < 6 || box[2] > width - 6) continue;
      if (taken.some(([l, t, r, b]) => box[0] < r && box[2] > l && box[1] < b && box[3] > t)) continue;
      const isOuter = box[0] < INNER[0] || box[2] > INNER[1];
      if (isOuter && outer >= MOST_OUTER) continue;
      if (isOuter) outer++;
      taken.push(box);
      found.push({ name, x: Math.round(x), y: Math.round(y), side, isOuter });
      break;
    }
  }
  return found;
}

/** Draws where a place is. `places`: towns around it, the largest first. */
export async function drawMap(
  point: Point,
  reach: Reach,
  place: string,
  places: readonly Place[],
): Promise<MapDrawing> {
  const { across } = REACHES[reach];
  const world = await worldOf(across > FINE_UP_TO_KM ? "50m" : "10m");
  const projection = projectionAround(point, across);
  const draw = (what: Parameters<ReturnType<typeof geoPath>>[0]): string => {
    for (const apart of [1, 1.6, 2.5, 4, 7, 12]) {
      const pen = new Pen(apart);
      geoPath(projection, pen)(what);
      pen.flush();
      if (pen.text.length <= MOST_LETTERS) return pen.text;
    }
    return "";
  };
  return {
    place,
    ...point,
    reach,
    land: draw(landAround(world, point, across)),
    borders: draw(world.borders),
    towns: [...townsOn(projection, places, place)],
  };
}
