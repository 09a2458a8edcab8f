import {
  LOGO_HEIGHT,
  type Look,
  type LogoPlace,
  type LogoWay,
  type OpeningHours,
  type PictureLogo,
  type SocialSort,
} from "./types";

type Identity = Look["identity"];

/** The picture that is the shop's logo, if one is. */
export const logoPicture = ({ logo }: Identity): string | undefined =>
  logo.form === "picture" ? logo.picture : undefined;

/** Whether a picture is the shop's logo, in either of its versions. */
export const isLogo = ({ logo }: Identity, picture: string): boolean =>
  logo.form === "picture" && (logo.picture === picture || logo.onDark === picture);

/** Which picture of a logo stands on a ground, and how: its version for dark grounds where there is one. */
export function logoOn(
  logo: PictureLogo,
  place: LogoPlace,
  isDark: boolean,
): { readonly picture: string; readonly way?: LogoWay | undefined } {
  const way = logo[place];
  return isDark && logo.onDark !== undefined && way !== "words"
    ? { picture: logo.onDark }
    : { picture: logo.picture, way };
}

/** What of its height a logo keeps in a header that has got lower, where the seller says nothing. */
const KEPT = 0.7;

/** How high a logo stands, in px: on wide screens, on phones, and in a header that has got lower. */
export function logoHeights({ height = LOGO_HEIGHT.usual, onPhone = height, least }: PictureLogo): {
  readonly height: number;
  readonly onPhone: number;
  readonly least: number;
} {
  const lowest = least ?? Math.max(LOGO_HEIGHT.least, Math.round(height * KEPT));
  return { height, onPhone, least: Math.min(lowest, height) };
}

/** The picture that stands in the browser's tab: one chosen for it, or the logo; without either its icon is drawn. */
export const iconPicture = (identity: Identity): string | undefined => identity.icon ?? logoPicture(identity);

/** The days of the week as ISO 8601 counts them: Monday is 1. */
export const WEEK = [1, 2, 3, 4, 5, 6, 7] as const;
export const DAY_NAMES: Readonly<Record<number, readonly [short: string, long: string]>> = {
  1: ["Mon", "Monday"],
  2: ["Tue", "Tuesday"],
  3: ["Wed", "Wednesday"],
  4: ["Thu", "Thursday"],
  5: ["Fri", "Friday"],
  6: ["Sat", "Saturday"],
  7: ["Sun", "Sunday"],
};

/** Days in words, three or more in a row as a span: "Mon, Thu–Sat". */
export function daysWords(days: readonly number[]): string {
  const sorted = [...new Set(days)].sort((a, b) => a - b);
  const runs: number[][] = [];
  for (const day of sorted) {
    const run = runs.at(-1);
    if (run?.at(-1) === day - 1) run.push(day);
    else runs.push([day]);
  }
  const short = (day: number) => DAY_NAMES[day]?.[0] ?? "";
  return runs
    .flatMap((run) => (run.length > 2 ? [`${short(run[0]!)}–${short(run.at(-1)!)}`] : run.map(short)))
    .join(", ");
}

/** Opening hours as they are read: "Thu–Sat 10:00–17:00". */
export const hoursWords = ({ days, from, to }: OpeningHours): string => `${daysWords(days)} ${from}–${to}`;

/** Why opening hours can't be; undefined where they can. Times are of the shop's own zone, `HH:MM`; past midnight is on the same line. */
export function hoursProblem({ days, from, to }: OpeningHours): string | undefined {
  if (days.length === 0) return "Choose at least one day.";
  if (from === to) return "It has to be open for some time.";
  return undefined;
}

/** What each sort of place elsewhere is called; never by a company's name. */
export const SOCIAL_WORDS: Readonly<Record<SocialSort, string>> = {
  pictures: "Pictures",
  films: "Films",
  posts: "Short posts",
  talk: "Messages",
  boards: "Pin boards",
  sound: "Sound",
  community: "Community",
  market: "Market stall",
  letters: "Newsletter",
  web: "Another website",
};

/** What a link elsewhere is called where the seller says nothing: the host of its address, as people say it. */
export function socialName(link: {
  readonly name: string;
  readonly address: string;
  readonly sort: SocialSort;
}): string {
  if (link.name) return link.name;
  const host = /^https?:\/\/([^/?#:]+)/i.exec(link.address)?.[1];
  return host ? host.replace(/^www\./i, "") : SOCIAL_WORDS[link.sort];
}
