import type { Json, Part } from "~/core/document";
import { columns, point, section, toCollection, type Given } from "../build";
import type { TRADES } from "../trades";

/** What a start is made with: also where the page is that says who they are. */
export type StartGiven = Given & { readonly about: Json };

/** Everything that a shop of one trade begins with, whichever theme it wears. */
export type Start = {
  readonly trade: (typeof TRADES)[number]["id"];
  /** The themes that were drawn for such a shop, by their ids, the first one most of all. */
  readonly themes: readonly string[];
  /** The sections of the home page. */
  readonly home: (given: StartGiven) => readonly Part[];
  /** The sections of the page that says who they are. */
  readonly story: (given: StartGiven) => readonly Part[];
  /** What stands below every product, before what goes with it. */
  readonly product: (given: StartGiven) => readonly Part[];
};

/** Large pictures of the first collections, each leading into its own. */
export const collectionTiles = (given: Given, heading: string, most = 3): Part =>
  section(
    "collection-tiles",
    {
      arrangement: "on-pictures",
      heading,
      tiles: given.collections.slice(0, most).map((collection) => ({ collection, words: "" })),
    },
    { columns: most },
  );

/** Three points side by side. */
export const threePoints = (
  points: readonly (readonly [sign: string, head: string, text: string])[],
  all: NonNullable<Parameters<typeof columns>[1]> = {},
): Part =>
  columns(
    points.map(([sign, head, text]) => [Math.round(10_000 / points.length) / 100, [point(sign, head, text)]] as const),
    { gap: 6, ...all },
  );

type Words = { readonly heading: string; readonly text: string };

/** A picture across the page with words on it, and a way in. */
export const cover = (given: Given, { heading, text }: Words, button = "Have a look", align = "start"): Part =>
  section(
    "hero",
    { arrangement: "on-picture", heading, text, button, link: toCollection(given), picture: given.picture(0) },
    { height: "tall", align },
  );

/** A story beside a picture. */
export const told = (
  given: Given,
  side: "picture-left" | "picture-right" | "overlap",
  picture: number,
  words: Words & { readonly over?: string; readonly more?: string; readonly link?: Json },
  set?: string,
): Part =>
  section(
    "picture-words",
    { arrangement: side, link: toCollection(given), ...words, picture: given.picture(picture) },
    set === undefined ? undefined : { set },
  );

/** Where news can be had. */
export const news = (heading: string, text: string, set?: string): Part =>
  section("sign-up", { arrangement: "band", heading, text }, set === undefined ? undefined : { set });
