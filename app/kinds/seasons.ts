import type { DateRule } from "~/core/conditions";
import { entryOf, type Draft, type Part } from "~/core/document";
import { offerOf } from "~/core/offers";
import { datesOf, isOn, liesWithin, membersOf, overlap, seasonsOf, type Member, type Season } from "~/core/seasons";
import { mapPart } from "./references";

/** A part that speaks of copies of offers instead of what they are copied from, by ids. */
export const relinked = (part: Part, copies: ReadonlyMap<string, string>): Part =>
  mapPart(part, ({ to, id }) => (to === "offer" ? (copies.get(id) ?? id) : id));

/** The offers of which a part speaks, or something in it does, by id. */
function offersIn(part: Part): ReadonlySet<string> {
  const found = new Set<string>();
  mapPart(part, ({ to, id }) => {
    if (to === "offer") found.add(id);
    return id;
  });
  return found;
}

/** Something of a season that does not go together. */
export type SeasonTrouble =
  /** It shows or holds outside of the season's dates. */
  | { readonly what: "outside"; readonly member: Member }
  /** It speaks of an offer that does not hold all the while, or (`isOff`) is off. */
  | { readonly what: "offer"; readonly member: Member; readonly offer: string; readonly isOff: boolean }
  /** Some of it is on, some is off. */
  | { readonly what: "half"; readonly member: Member }
  /** Another season wears its look at the same time; the one that begins later is seen. */
  | { readonly what: "look"; readonly other: Season };

/** What of a season does not go together from a time on, as the shop's clocks show it. */
export function seasonTrouble({ documents }: Draft, season: Season, clock: string): readonly SeasonTrouble[] {
  const members = membersOf(documents, season);
  const found: SeasonTrouble[] = [];
  for (const member of members) {
    if (!liesWithin(member.dates, season.dates, clock)) found.push({ what: "outside", member });
    if (!season.isOff && !isOn(member)) found.push({ what: "half", member });
    if (member.document.kind === "offer") continue;
    for (const id of offersIn(member.part)) {
      const document = entryOf(documents, id);
      const offer = offerOf(document);
      if (!document || !offer) continue;
      const holds: DateRule | undefined = datesOf(document.root);
      const isOffHere = !season.isOff && offer.isOff;
      if (isOffHere || !liesWithin(member.dates, holds, clock))
        found.push({ what: "offer", member, offer: offer.name, isOff: isOffHere });
    }
  }
  if (season.look && !season.isOff)
    for (const other of seasonsOf(documents))
      if (other.id !== season.id && other.look && !other.isOff && overlap(season.dates, other.dates, clock))
        found.push({ what: "look", other });
  return found;
}
