import type { Part } from "~/core/document";
import type { Purpose } from "../..";
import type { Given } from "../build";

/** A section that is finished: arranged, coloured and with words in it, for one thing that a seller wants. */
export type SectionDesign = {
  readonly id: string;
  readonly name: string;
  readonly purpose: Purpose;
  /** Trades that it is made for; absent: any. */
  readonly trades?: readonly string[];
  /** Other words by which people look for it. */
  readonly synonyms: readonly string[];
  readonly build: (given: Given) => Part;
};

/** The designs of one purpose. */
export const forPurpose =
  (purpose: Purpose) =>
  (
    id: string,
    name: string,
    synonyms: string,
    build: SectionDesign["build"],
    trades?: readonly string[],
  ): SectionDesign => ({
    id,
    name,
    purpose,
    synonyms: synonyms.split(", "),
    build,
    ...(trades ? { trades } : {}),
  });
