import { conditionsOf, conditionsSchema, type Condition, type DateRule } from "../conditions";
import {
  copyWithNewIds,
  emptyDocument,
  entryOf,
  newId,
  sectionOfShared,
  sharedOf,
  type Draft,
  type Json,
  type PageDocument,
  type Part,
  type Place,
} from "../document";
import { applyAll, type Operation } from "../operations";
import type { OfferRoot } from "../offers";
import { DOCUMENT_VERSION } from "../schema/migrations";
import {
  datesOf,
  datesProblem,
  followed,
  inYears,
  isOn,
  LONGEST_SEASON_NAME,
  membersOf,
  MOST_MEMBERS,
  MOST_SEASONS,
  seasonOf,
  seasonsOf,
  yearsAhead,
  type Member,
  type Season,
  type SeasonDates,
  type SeasonLook,
  type SeasonRoot,
} from "../seasons";
import { freeName } from "./names";
import { locate, outermost, removeNodes } from "./nodes";
import { addOffer, freeOffer } from "./offers";
import { conditionsOperations, rootOperations } from "./root";
import { refuse, transaction, type Outcome } from "./transaction";

const GONE = "This season is no longer there.";
const SAME = "It is like that already.";

function nameProblem(draft: Draft, name: string, but?: string): string | undefined {
  if (name === "") return "A season needs a name.";
  if (name.length > LONGEST_SEASON_NAME) return `Keep the name to ${LONGEST_SEASON_NAME} characters.`;
  const isTaken = seasonsOf(draft.documents).some((s) => s.id !== but && s.name.toLowerCase() === name.toLowerCase());
  return isTaken ? `There is a season called “${name}” already.` : undefined;
}

const at = (draft: Draft, id: string): { document: PageDocument; season: Season } | undefined => {
  const document = entryOf(draft.documents, id);
  const season = seasonOf(document);
  return document && season ? { document, season } : undefined;
};

const asConditions = (conditions: readonly Condition[]): readonly Json[] => conditions as unknown as readonly Json[];

/** The same conditions with other dates; without a rule of dates: with these first. */
const withDates = (part: Part, dates: DateRule): readonly Condition[] => {
  const all = conditionsOf(part);
  return datesOf(part) ? all.map((each) => (each.when === "dates" ? dates : each)) : [dates, ...all];
};

/** An offer or a part that a season begins with. Parts are put at their places, one after the other. */
export type Beginning = {
  readonly offers: readonly { readonly id: string; readonly name: string; readonly root: OfferRoot }[];
  readonly parts: readonly { readonly document: string; readonly to: Place; readonly node: Part }[];
};

const documentOf = (id: string, name: string, root: SeasonRoot, dates: SeasonDates): PageDocument =>
  emptyDocument(DOCUMENT_VERSION, "season", id, name, root as unknown as Part["props"], asConditions([dates]));

/** Offers that come with a season: one after the other, each under a name and a code that are free by then. */
function offersBegun(
  draft: Draft,
  offers: readonly (Beginning["offers"][number] & { readonly conditions: readonly Condition[] })[],
): { readonly operations: readonly Operation[]; readonly roots: readonly string[] } | { readonly why: string } {
  let then = draft;
  const operations: Operation[] = [];
  const roots: string[] = [];
  for (const { id, conditions, ...wished } of offers) {
    const { name, root } = freeOffer(then, wished.name, wished.root);
    const made = addOffer(then, name, root, asConditions(conditions), id);
    if (!made.ok) return made;
    operations.push(...made.transaction.operations);
    const next = applyAll(then, made.transaction.operations);
    if (!next.ok) return { why: GONE };
    then = next.draft;
    roots.push(entryOf(then.documents, id)!.root.id);
  }
  return { operations, roots };
}

/**
 * A new season with what it begins with, all of it at the season's dates and off: the seller looks at it first. `dates`: by the shop's clocks;
 * it needs both. Refuses a name that is taken, dates the wrong way round, and more than a shop can have.
 */
export function addSeason(
  draft: Draft,
  name: string,
  dates: SeasonDates,
  { offers, parts }: Beginning = { offers: [], parts: [] },
  id: string = newId(),
): Outcome {
  const title = name.trim();
  if (seasonsOf(draft.documents).length >= MOST_SEASONS) return refuse(`A shop can have ${MOST_SEASONS} seasons.`);
  const problem = nameProblem(draft, title) ?? datesProblem(asConditions([dates]));
  if (problem) return refuse(problem);
  const begun = offersBegun(
    draft,
    offers.map((offer) => ({ ...offer, conditions: [dates] })),
  );
  if ("why" in begun) return refuse(begun.why);
  const placed = parts.map(({ document, to, node }): Operation => ({
    type: "insertNode",
    document,
    to,
    node: { ...node, conditions: asConditions(withDates(node, dates)), shown: false },
  }));
  const members = [...begun.roots, ...parts.map(({ node }) => node.id)];
  const added = documentOf(id, title, { off: true, ...(members.length ? { members } : {}) }, dates);
  return transaction("addSeason", `Season “${title}” made`, [
    { type: "addDocument", added },
    ...begun.operations,
    ...placed,
  ]);
}

export function renameSeason(draft: Draft, id: string, name: string): Outcome {
  const found = at(draft, id);
  const title = name.trim();
  if (!found) return refuse(GONE);
  if (title === found.season.name) return refuse("It is called that already.");
  const problem = nameProblem(draft, title, id);
  if (problem) return refuse(problem);
  return transaction(
    "renameSeason",
    `Season “${found.season.name}” renamed to “${title}”`,
    [{ type: "setTitle", document: id, before: found.document.title, after: title }],
    { mergeKey: `season ${id} name` },
  );
}

/** Moves a season, and with it what belongs to it (`followed`). Refuses where something of it would end before it begins. */
export function setSeasonDates(draft: Draft, id: string, dates: SeasonDates): Outcome {
  const found = at(draft, id);
  if (!found) return refuse(GONE);
  const { document, season } = found;
  const problem = datesProblem(asConditions([dates]));
  if (problem) return refuse(problem);
  const operations = [...conditionsOperations(id, document.root, asConditions([dates]))];
  for (const member of membersOf(draft.documents, season)) {
    const next = withDates(member.part, followed(member.dates, season.dates, dates));
    if (!conditionsSchema.safeParse(next).success)
      return refuse(
        `Something that belongs to “${season.name}” would end before it begins. Change its own dates first.`,
      );
    operations.push(...conditionsOperations(member.document.id, member.part, asConditions(next)));
  }
  if (operations.length === 0) return refuse(SAME);
  return transaction("moveSeason", `Dates of “${season.name}” changed`, operations, { mergeKey: `season ${id} dates` });
}

/** The ids of members that are parts of pages, not offers. */
const idsOf = (members: readonly Member[]): readonly string[] =>
  members.filter(({ document }) => document.kind !== "offer").map(({ part }) => part.id);

/** Puts a season on, or takes it off: its look, its offers and its parts. Nothing reaches shoppers before it is published. */
export function switchSeason(draft: Draft, id: string, on: boolean): Outcome {
  const found = at(draft, id);
  if (!found) return refuse(GONE);
  const { document, season } = found;
  const operations = membersOf(draft.documents, season)
    .filter((member) => isOn(member) !== on)
    .flatMap((member): readonly Operation[] =>
      member.document.kind === "offer"
        ? rootOperations(member.document, { off: on ? undefined : true })
        : [{ type: "setShown", document: member.document.id, node: member.part.id, before: !on, after: on }],
    );
  const all = [...rootOperations(document, { off: on ? undefined : true }), ...operations];
  if (all.length === 0) return refuse(SAME);
  return transaction("switchSeason", `“${season.name}” ${on ? "put on" : "taken off"}`, all);
}

/** The look that is worn in a season; undefined: the shop's own. */
export function setSeasonLook(draft: Draft, id: string, look: SeasonLook | undefined): Outcome {
  const found = at(draft, id);
  if (!found) return refuse(GONE);
  const { document, season } = found;
  const operations = rootOperations(document, { look });
  if (operations.length === 0) return refuse(SAME);
  const says = look ? `wears “${look.name}”` : "wears the shop’s own look";
  return transaction("setSeasonLook", `“${season.name}” ${says}`, operations);
}

/**
 * Lets things belong to a season, or to none: parts by their ids, offers by those of their roots. What has no dates yet gets those of the
 * season; what leaves keeps the ones it has. One thing belongs to one season.
 */
export function joinSeason(draft: Draft, ids: readonly string[], id: string | undefined, name: string): Outcome {
  const found = id === undefined ? undefined : at(draft, id);
  if (id !== undefined && !found) return refuse(GONE);
  const going = new Set(ids);
  const operations: Operation[] = [];
  for (const season of seasonsOf(draft.documents)) {
    const rest = season.members.filter((each) => !going.has(each));
    const next = season.id === id ? [...rest, ...ids.filter((each) => !rest.includes(each))] : rest;
    if (next.length > MOST_MEMBERS) return refuse(`${MOST_MEMBERS} things can belong to a season.`);
    const document = entryOf(draft.documents, season.id)!;
    const isSame =
      season.id === id ? ids.every((each) => season.members.includes(each)) : next.length === season.members.length;
    if (!isSame) operations.push(...rootOperations(document, { members: next.length ? next : undefined }));
  }
  if (found)
    for (const each of ids) {
      const part = partOf(draft, each);
      if (!part) return refuse("This part is no longer there.");
      if (datesOf(part.part)) continue;
      const dated = conditionsSchema.safeParse(withDates(part.part, found.season.dates));
      if (!dated.success) return refuse(dated.error.issues[0]!.message);
      operations.push(...conditionsOperations(part.document, part.part, asConditions(dated.data)));
    }
  if (operations.length === 0) return refuse(SAME);
  const label = found ? `${name} belongs to “${found.season.name}”` : `${name} belongs to no season`;
  return transaction("joinSeason", label, operations);
}

function partOf(draft: Draft, id: string): { readonly document: string; readonly part: Part } | undefined {
  const offer = Object.values(draft.documents).find(({ kind, root }) => kind === "offer" && root.id === id);
  if (offer) return { document: offer.id, part: offer.root };
  const found = locate(draft, id);
  return found && { document: found.document, part: found.node };
}

/** Takes a season apart: what belonged to it stays where it is, with its dates. `withAll`: it is removed as well. */
export function removeSeason(draft: Draft, id: string, withAll: boolean): Outcome {
  const found = at(draft, id);
  if (!found) return refuse(GONE);
  const { document, season } = found;
  const members = withAll ? membersOf(draft.documents, season) : [];
  const offers = members.filter((each) => each.document.kind === "offer");
  const gone = removeNodes(draft, idsOf(members), season.name);
  return transaction("removeSeason", `Season “${season.name}” ${withAll ? "removed with all of it" : "taken apart"}`, [
    // Where no part belongs to it, there is none to remove.
    ...(gone.ok ? gone.transaction.operations : []),
    ...offers.map((each): Operation => ({ type: "removeDocument", added: each.document })),
    { type: "removeDocument", added: document },
  ]);
}

/**
 * A season once more, in the next year in which it begins after `clock`, with all that belongs to it: parts behind those they are copied
 * from, offers under new names. It is off. Refuses one that comes every year by itself. `relinked`: a part that speaks of the copies instead of what they are copied from, by ids of offers.
 */
export function copySeason(
  draft: Draft,
  id: string,
  clock: string,
  relinked: (part: Part, copies: ReadonlyMap<string, string>) => Part,
  copy: string = newId(),
): Outcome {
  const found = at(draft, id);
  if (!found) return refuse(GONE);
  const { season } = found;
  if (season.dates.yearly)
    return refuse(
      `“${season.name}” comes every year already. Switch that off, to make another one of it for next year.`,
    );
  if (seasonsOf(draft.documents).length >= MOST_SEASONS) return refuse(`A shop can have ${MOST_SEASONS} seasons.`);
  const members = membersOf(draft.documents, season);
  const years = yearsAhead(season.dates, clock);
  const dates = inYears(season.dates, years) as SeasonDates;
  const year = dates.from.slice(0, 4);
  const named = (name: string): string => {
    const bare = name.replace(/ \d{4}$/, "");
    return `${bare.slice(0, LONGEST_SEASON_NAME - 5)} ${year}`;
  };
  const laterOn = (part: Part): readonly Condition[] => withDates(part, inYears(datesOf(part)!, years));
  const offers = members.filter((each) => each.document.kind === "offer");
  const copies = new Map(offers.map(({ document }) => [document.id, newId()]));
  const begun = offersBegun(
    draft,
    offers.map(({ document, part }) => ({
      id: copies.get(document.id)!,
      name: named(document.title),
      root: { ...(part.props as unknown as OfferRoot), off: true },
      conditions: laterOn(part),
    })),
  );
  if ("why" in begun) return refuse(begun.why);
  const belongs = new Set(idsOf(members));
  const copied: string[] = [];
  /** A copy in which what belonged to the season shows later, and belongs to the copy. */
  const later = (made: Part, original: Part): Part => {
    const slots = Object.entries(made.slots).map(([slot, children]) => {
      const originals = entryOf(original.slots, slot)!;
      return [slot, children.map((child, i) => later(child, originals[i]!))];
    });
    const inside: Part = { ...made, slots: Object.fromEntries(slots) as Part["slots"] };
    if (!belongs.has(original.id)) return inside;
    copied.push(made.id);
    return { ...inside, conditions: asConditions(laterOn(original)), shown: false };
  };
  /** A shared section stands once on a page: its copy is a section of its own, which shows when the place of the other did. */
  const copyOf = (node: Part): Part => {
    const shared = sectionOfShared(draft.documents, sharedOf(node) ?? "");
    return later(
      copyWithNewIds(shared ?? node),
      shared ? { ...shared, id: node.id, conditions: node.conditions } : node,
    );
  };
  // Last first, so that each stands where it says when its turn comes.
  const parts = outermost(draft, [...belongs])
    .toReversed()
    .map(({ document, place, node }): Operation => ({
      type: "insertNode",
      document,
      to: { ...place, index: place.index + 1 },
      node: relinked(copyOf(node), copies),
    }));
  const title = freeName(
    named(season.name),
    seasonsOf(draft.documents).map((each) => each.name),
    LONGEST_SEASON_NAME,
  );
  const all = [...begun.roots, ...copied];
  const root: SeasonRoot = {
    off: true,
    ...(all.length ? { members: all } : {}),
    ...(season.look ? { look: season.look } : {}),
  };
  return transaction("copySeason", `“${season.name}” copied to ${year}`, [
    { type: "addDocument", added: documentOf(copy, title, root, dates) },
    ...begun.operations,
    ...parts,
  ]);
}
