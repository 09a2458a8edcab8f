import type { Theme } from "~/core/theme";
import { pomelo } from "./pomelo";
import { quince } from "./quince";
import { yuzu } from "./yuzu";

/** The finished themes, in the order in which they are shown. */
export const THEMES: readonly Theme[] = [pomelo, quince, yuzu];

/** The theme with this id; the first one where there is none, so that a shop is never without a look. */
export const themeById = (id: string): Theme => THEMES.find((theme) => theme.id === id) ?? THEMES[0]!;
