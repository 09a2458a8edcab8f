import type { Part } from "~/core/document";
import type { Given } from "../build";

/** What a seller wants a page for; designs are grouped by it. */
export const DESIGN_PURPOSES = [
  "Who you are",
  "Help shoppers",
  "Show and sell",
  "Stay in touch",
  "What the law asks for",
  "Begin with nothing",
] as const;
export type DesignPurpose = (typeof DESIGN_PURPOSES)[number];

export type PageDesign = {
  readonly id: string;
  /** What a page made from it is called at first. */
  readonly name: string;
  readonly about: string;
  readonly purpose: DesignPurpose;
  /** Trades that it is made for; absent: any. */
  readonly trades?: readonly string[];
  /** Other words by which people look for it. */
  readonly synonyms: readonly string[];
  /** It says things that only the seller can know, so it begins as “not in the shop yet”. */
  readonly toBeChecked?: true;
  /** It is for those who come by a link: neither header nor footer lead away. */
  readonly alone?: true;
  /** The pages that are made beneath it are posts. */
  readonly journal?: true;
  readonly build: (given: Given) => readonly Part[];
};
