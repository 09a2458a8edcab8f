import type { Theme } from "~/core/theme";
import { bergamot } from "./bergamot";
import { damson } from "./damson";
import { kumquat } from "./kumquat";
import { medlar } from "./medlar";
import { pomelo } from "./pomelo";
import { quince } from "./quince";
import { rangpur } from "./rangpur";
import { sloe } from "./sloe";
import { verbena } from "./verbena";
import { yuzu } from "./yuzu";

/** The finished themes, in the order in which they are shown. A theme is a folder here and a line in this list, and nothing else. */
export const THEMES: readonly Theme[] = [
  pomelo,
  quince,
  sloe,
  kumquat,
  medlar,
  yuzu,
  damson,
  verbena,
  rangpur,
  bergamot,
];

/** The theme with this id; the first one where there is none, so that a shop is never without a look. */
export const themeById = (id: string): Theme => THEMES.find((theme) => theme.id === id) ?? THEMES[0]!;
