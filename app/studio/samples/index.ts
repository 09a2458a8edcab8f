import pictures from "../../../samples/list.json";
import type { Picture } from "~/core/pictures";
import { CERAMICS_SHOP } from "./ceramics";
import { JAM_SHOP } from "./jam";
import type { SampleShop } from "./made";
import { NOTEBOOKS_SHOP } from "./notebooks";
import { SEEDS_SHOP } from "./seeds";

export type { SampleShop } from "./made";

/** The made-up shops. */
export const SAMPLE_SHOPS: readonly SampleShop[] = [CERAMICS_SHOP, JAM_SHOP, SEEDS_SHOP, NOTEBOOKS_SHOP];

/** The made-up shop that comes nearest to a trade. */
export const sampleFor = (trade: string): SampleShop =>
  SAMPLE_SHOPS.find(({ trades }) => trades.includes(trade)) ?? CERAMICS_SHOP;

/** Every picture of theirs; the server has them for everybody. */
export const SAMPLE_PICTURES: readonly Picture[] = pictures.map(({ focus: [x = 50, y = 50], ...picture }) => ({
  ...picture,
  focus: [x, y],
}));
