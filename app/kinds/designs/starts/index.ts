import { EAT_AND_GROW } from "./eat-and-grow";
import { FIND_AND_PLAY } from "./find-and-play";
import { MAKE_AND_WEAR } from "./make-and-wear";
import type { Start } from "./start";

export type { Start, StartGiven } from "./start";

/** What a shop of each trade begins with. */
export const STARTS: readonly Start[] = [...MAKE_AND_WEAR, ...EAT_AND_GROW, ...FIND_AND_PLAY];

/** What a shop of a trade begins with; that of any other where there is none for it. */
export const startFor = (trade: string): Start =>
  STARTS.find((start) => start.trade === trade) ?? STARTS.find((start) => start.trade === "any")!;
