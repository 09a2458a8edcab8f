import { z } from "zod";

// A map of where something is: coast, borders and a few towns around a point. It is worked out once, when the place is
// chosen, and stands in the document as paths: neither panes nor shop need any data of the world.

/** Width and height of a map in its own units; the place is in the middle. */
export const MAP_SIZE = [1000, 800] as const;

/** How much is to be seen, in kilometres from left to right, with what a seller calls it. */
export const REACHES = {
  near: { name: "The surroundings", across: 90 },
  region: { name: "The region", across: 320 },
  land: { name: "The country", across: 1100 },
} as const;
export type Reach = keyof typeof REACHES;
export const REACH_NAMES = Object.keys(REACHES) as readonly Reach[];

const latitude = z.number().min(-85).max(85);
const longitude = z.number().min(-180).max(180);
export const pointSchema = z.strictObject({ lat: latitude, lon: longitude });
export type Point = z.infer<typeof pointSchema>;

/** Only what draws lines: a path can do nothing else. */
const path = z
  .string()
  .max(60_000)
  .regex(/^[MLZmlz\d\s,.-]*$/);
const town = z.strictObject({
  name: z.string().max(120),
  x: z.number().min(0).max(MAP_SIZE[0]),
  y: z.number().min(0).max(MAP_SIZE[1]),
  /** On which side of its dot the name stands. */
  side: z.enum(["left", "right"]),
  /** It is cut off where the map is higher than wide, so it is left out there. */
  isOuter: z.boolean(),
});
export type Town = z.infer<typeof town>;

export const mapSchema = z.strictObject({
  place: z.string().max(160),
  ...pointSchema.shape,
  reach: z.enum(["near", "region", "land"]),
  land: path,
  borders: path,
  towns: z.array(town).max(14),
});
export type MapDrawing = z.infer<typeof mapSchema>;

/** Kilometres of one degree of a great circle: the mean radius of the earth is 6,371.0088 km (IUGG). */
export const KM_OF_DEGREE = (6371.0088 * Math.PI) / 180;

/** A place in the list of places. */
export const placeSchema = z.object({
  name: z.string(),
  /** Country, by its code of ISO 3166-1. */
  country: z.string(),
  state: z.string(),
  lat: z.number(),
  lon: z.number(),
  people: z.number(),
});
export type Place = z.infer<typeof placeSchema>;

/** A point that somebody wrote as two numbers in degrees: "53.55, 9.99". Undefined where it is none. */
export function pointIn(text: string): Point | undefined {
  const numbers = text
    .replaceAll("°", "")
    .split(/[\s,;]/)
    .filter(Boolean);
  if (numbers.length !== 2 || !numbers.every((each) => /^-?\d{1,3}(?:\.\d{1,8})?$/.test(each))) return undefined;
  const [lat, lon] = numbers.map(Number);
  const read = pointSchema.safeParse({ lat, lon });
  return read.success ? read.data : undefined;
}

/** The address by which a device opens a place in its own map: a `geo` URI (RFC 5870). */
export const geoAddress = ({ lat, lon }: Point): string => `geo:${lat},${lon}?q=${lat},${lon}`;
