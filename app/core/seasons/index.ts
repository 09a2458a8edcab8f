export {
  datesOf,
  datesProblem,
  LONGEST_SEASON_NAME,
  membersOf,
  MOST_MEMBERS,
  MOST_SEASONS,
  seasonOf,
  seasonRoot,
  seasonsOf,
  wornAt,
  wornOn,
  type Member,
  type Season,
  type SeasonDates,
  type SeasonLook,
  type SeasonRoot,
} from "./season";
export { followed, inYears, liesWithin, overlap, yearsLater } from "./moved";
