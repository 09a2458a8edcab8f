export { SeasonChoice } from "./choice";
export { SeasonSight } from "./sight";
export { SeasonSlip } from "./slip";
export { SEASON_STARTS, type SeasonStart } from "./starts";
export { calledOf, datesWords, troubleWords } from "./words";
