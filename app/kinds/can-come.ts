import { walk, type Part } from "~/core/document";
import { blankIn } from "./page-designs";

/** Whether what lies over pages comes at all: whole, or never. */
export const canCome = (part: Part): boolean =>
  part.shown && ![...walk(part)].some((each) => each.shown && blankIn(each) !== undefined);
