import { CERAMICS } from "./scenes/ceramics";
import { JAM } from "./scenes/jam";
import { NOTEBOOKS } from "./scenes/notebooks";
import { SEEDS } from "./scenes/seeds";
import type { Shot } from "./scenes/shot";

/** Every picture of the sample shops. */
export const SHOTS: readonly Shot[] = [...JAM, ...CERAMICS, ...SEEDS, ...NOTEBOOKS];
