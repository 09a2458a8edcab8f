import type { Scene } from "./draw/kinds";
import { CITY } from "./scenes/city";
import { CLOTH } from "./scenes/cloth";
import { DUNES } from "./scenes/dunes";
import { FOREST } from "./scenes/forest";
import { FRUIT } from "./scenes/fruit";
import { GLOW } from "./scenes/glow";
import { LEAVES } from "./scenes/leaves";
import { NIGHT } from "./scenes/night";
import { PAPER } from "./scenes/paper";
import { PATTERN } from "./scenes/pattern";
import { STILL } from "./scenes/still";
import { STONE } from "./scenes/stone";
import { WATER } from "./scenes/water";
import { WOOD } from "./scenes/wood";
import { WOOL } from "./scenes/wool";

/** The scenes of the stock room, in the order in which they are shown. */
export const SCENES: readonly Scene[] = [
  ...STILL,
  ...FRUIT,
  ...WATER,
  ...DUNES,
  ...FOREST,
  ...LEAVES,
  ...NIGHT,
  ...CITY,
  ...GLOW,
  ...CLOTH,
  ...PAPER,
  ...WOOD,
  ...STONE,
  ...WOOL,
  ...PATTERN,
];
