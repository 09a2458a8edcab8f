import { readFile } from "node:fs/promises";
import { resolve } from "node:path";
import { KM_OF_DEGREE, MAP_SIZE, REACHES, type MapDrawing, type Place, type Point, type Reach } from "~/core/map";
import { countryName } from "~/core/selling";
import { readApart, type Apart } from "../reading/index.server";

/** `also`: what those who live there call it, where that is another name. */
type Known = Place & { readonly folded: string; readonly also: string };

/** Without signs above letters and in small ones, as people type. */
const ASCII = /^[\x20-\x7e]*$/;
/** Most names have nothing to be folded: a hundred thousand are read when the first place is looked for. */
const fold = (text: string): string => (ASCII.test(text) ? text.toLowerCase() : folded(text));

const folded = (text: string): string =>
  text
    .normalize("NFD")
    .replace(/\p{M}/gu, "")
    .replace(/ß/g, "ss")
    .replace(/ø/gi, "o")
    .replace(/ł/gi, "l")
    .replace(/æ/gi, "ae")
    .toLowerCase();

let reading: Promise<readonly Known[]> | undefined;

async function read(): Promise<readonly Known[]> {
  const text = await readFile(resolve("geo/places.tsv"), "utf8");
  return text
    .trimEnd()
    .split("\n")
    .map((line) => {
      const [name = "", country = "", state = "", lat, lon, people, also = ""] = line.split("\t");
      return {
        name,
        country,
        state,
        lat: Number(lat),
        lon: Number(lon),
        people: Number(people),
        folded: fold(name),
        also: fold(also),
      };
    });
}
const known = (): Promise<readonly Known[]> => (reading ??= read());

/** Whether a place is in a country or state, by its code or the beginning of its English name. */
const isIn = ({ country, state }: Place, named: string): boolean =>
  country.toLowerCase() === named ||
  state.toLowerCase() === named ||
  (named.length > 2 && fold(countryName(country)).startsWith(named));

const MOST_FOUND = 12;
const plain = ({ folded: _folded, also: _also, ...place }: Known): Place => place;

/** Places by the beginning of their name, then by that of one of its words; the largest first. */
export async function placesNamed(sought: string): Promise<readonly Place[]> {
  const [name = "", country = ""] = fold(sought)
    .split(",")
    .map((each) => each.trim());
  if (name === "") return [];
  const begins: Known[] = [];
  const within: Known[] = [];
  for (const place of await known()) {
    const isFirst = place.folded.startsWith(name) || place.also.startsWith(name);
    if (
      !isFirst &&
      (within.length >= MOST_FOUND || !(place.folded.includes(` ${name}`) || place.folded.includes(`-${name}`)))
    )
      continue;
    // What a country is called is asked only of those few whose own name is right.
    if (country && !isIn(place, country)) continue;
    (isFirst ? begins : within).push(place);
    if (begins.length >= MOST_FOUND) break;
  }
  // Whoever types a whole name means that one.
  const isWhole = ({ folded, also }: Known) => Number(folded === name || also === name);
  begins.sort((a, b) => isWhole(b) - isWhole(a) || b.people - a.people);
  return [...begins, ...within].slice(0, MOST_FOUND).map(plain);
}

/** As many towns are looked at for a map. */
const MOST_AROUND = 60;

/** A map of where a point is. */
export async function mapAround(point: Point, reach: Reach, place: string): Promise<Apart<MapDrawing>> {
  const half = REACHES[reach].across / 2;
  const tall = (half * MAP_SIZE[1]) / MAP_SIZE[0];
  const degrees = half / (KM_OF_DEGREE * Math.cos((point.lat * Math.PI) / 180));
  const apart = (a: number, b: number) => Math.abs(((a - b + 540) % 360) - 180);
  const around: Place[] = [];
  for (const each of await known()) {
    if (Math.abs(each.lat - point.lat) > tall / KM_OF_DEGREE || apart(each.lon, point.lon) > degrees) continue;
    around.push(plain(each));
    if (around.length >= MOST_AROUND) break;
  }
  return readApart("map", { point, reach, place, places: around });
}
