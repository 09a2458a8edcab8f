import { z } from "zod";
import { conditionalDocuments, conditionsOf, conditionsSchema, holds, type DateRule } from "../conditions";
import { problemWithBrand } from "../theme";
import {
  freeze,
  listerOf,
  remembered,
  type Brand,
  type Draft,
  type Json,
  type PageDocument,
  type Part,
} from "../document";

// A season is a document: its name is the title, its dates are the condition of its root, and the root says what belongs to it.

type Documents = Draft["documents"];

export const LONGEST_SEASON_NAME = 80;
export const MOST_SEASONS = 60;
export const MOST_MEMBERS = 100;

/** A look for a while, as it was put aside in Brand under a name. */
export type SeasonLook = { readonly name: string; readonly theme: string; readonly brand: Brand };

const brand = (z.record(z.string().max(60), z.json()) as z.ZodType<Brand>).superRefine((said, context) => {
  const message = problemWithBrand(said);
  if (message) context.addIssue({ code: "custom", message });
});

/** What the root of a season says. */
export const seasonRoot = z.strictObject({
  off: z.literal(true).optional(),
  members: z
    .array(z.string().min(1).max(80))
    .max(MOST_MEMBERS, `${MOST_MEMBERS} things can belong to a season.`)
    .optional(),
  look: z.strictObject({ name: z.string().min(1).max(60), theme: z.string().max(40), brand }).optional(),
});
export type SeasonRoot = z.infer<typeof seasonRoot>;

/** The dates of a season: a day it begins and one it ends, and nothing else. */
export function datesProblem(conditions: readonly Json[]): string | undefined {
  const read = conditionsSchema.safeParse(conditions);
  if (!read.success) return read.error.issues[0]!.message;
  const [dates, ...more] = read.data;
  if (dates?.when !== "dates" || more.length || dates.not || !dates.from || !dates.until)
    return "A season needs a day it begins and one it ends.";
  return undefined;
}

export type SeasonDates = DateRule & { readonly from: string; readonly until: string };

export type Season = {
  readonly id: string;
  readonly name: string;
  readonly dates: SeasonDates;
  /** Ids of parts, and of the roots of offers; of some there may be nothing any more. */
  readonly members: readonly string[];
  readonly look: SeasonLook | undefined;
  /** It is not put on. */
  readonly isOff: boolean;
};

const read = new WeakMap<PageDocument, Season | null>();

function seasonIn({ id, title, root }: PageDocument): Season | null {
  const said = seasonRoot.safeParse(root.props);
  if (!said.success || datesProblem(root.conditions) !== undefined) return null;
  const [dates] = conditionsOf(root);
  const { members = [], look, off = false } = said.data;
  return { id, name: title, dates: dates as SeasonDates, members, look, isOff: off };
}

/** The season in a document; undefined where it is none, or one that can't be read. */
export function seasonOf(document: PageDocument | undefined): Season | undefined {
  if (document?.kind !== "season") return undefined;
  let season = read.get(document);
  if (season === undefined) read.set(document, (season = seasonIn(document)));
  return season ?? undefined;
}

/** All seasons of a shop, by when they begin, then by name; the same list for as long as none of them changes. */
export const seasonsOf = listerOf(seasonOf, (a, b) =>
  a.dates.from < b.dates.from ? -1 : a.dates.from > b.dates.from ? 1 : a.name < b.name ? -1 : 1,
);

/** What belongs to a season: a part of a document, or the root of an offer. */
export type Member = { readonly document: PageDocument; readonly part: Part; readonly dates: DateRule };

/** When something shows, where it has dates. */
export const datesOf = (part: Part): DateRule | undefined =>
  conditionsOf(part).find((each): each is DateRule => each.when === "dates" && !each.not);

/** What belongs to a season, as far as it is still there and has dates. */
export function membersOf(documents: Documents, { members }: Pick<Season, "members">): readonly Member[] {
  const ids = new Set(members);
  return conditionalDocuments(documents).flatMap(([document, parts]) =>
    document.kind === "piece" || document.kind === "season"
      ? []
      : parts.flatMap((part) => {
          const dates = ids.has(part.id) ? datesOf(part) : undefined;
          return dates ? [{ document, part, dates }] : [];
        }),
  );
}

/** The season that something belongs to: a part, or the root of an offer. What has no dates any more always shows, and belongs to none. */
export const seasonWith = (documents: Documents, id: string): Season | undefined =>
  seasonsOf(documents).find(
    (season) => season.members.includes(id) && membersOf(documents, season).some(({ part }) => part.id === id),
  );

/** Whether what belongs to a season is in the shop at all: an offer that is on, a part that is shown. */
export const isOn = ({ document, part }: Member): boolean =>
  document.kind === "offer" ? part.props.off !== true : part.shown;

/** The season whose look is worn at a time, as the shop's clocks show it; of several the one that began last. */
export function wornAt(documents: Documents, clock: string): Season | undefined {
  const began = ({ dates }: Season): string => {
    if (!dates.yearly) return dates.from;
    const ofYear = dates.from.slice(5);
    return `${Number(clock.slice(0, 4)) - (ofYear <= clock.slice(5) ? 0 : 1)}-${ofYear}`;
  };
  return seasonsOf(documents)
    .filter(({ isOff, look, dates }) => !isOff && look && holds([dates], { clock }))
    .toSorted((a, b) => (began(a) < began(b) ? -1 : 1))
    .at(-1);
}

const worn = new WeakMap<Draft, Map<string, Draft>>();

/** A draft in the look that is worn at a time; the same object where none is, and for the same look. */
export function wornOn(draft: Draft, clock: string): Draft {
  const season = wornAt(draft.documents, clock);
  if (!season?.look) return draft;
  const { theme, brand } = season.look;
  return remembered(worn, draft, season.id, () => freeze({ ...draft, look: { ...draft.look, theme, brand } }));
}
