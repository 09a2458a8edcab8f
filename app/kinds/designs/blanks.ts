import { entryOf, type Part, walk } from "~/core/document";
import { plainOf, type Rich } from "~/core/rich";
import { kindOf } from "..";

/**
 * Facts that only the seller knows. The designs of pages have these blanks in their place, in square brackets; a part with one of them is
 * not drawn in the shop until it is filled in. Nobody else's brackets mean anything.
 */
export const BLANKS = [
  "your mail address",
  "your telephone number",
  "when you answer it",
  "street and number",
  "postcode and town",
  "your opening hours",
  "the ways to pay that you take",
  "how many",
  "whether and how you do",
  "what it costs",
  "who pays for the way back",
  "from–to",
  "the least worth of an order",
  "your terms for shops",
  "your name and address",
  "who they are",
  "your data protection authority",
  "whether tax is included",
  "how and when you deliver",
  "which law holds",
  "your registration and tax numbers",
  "the address for returns",
  "what can’t be sent back",
] as const;

const PATTERN = new RegExp(`\\[(?:${BLANKS.join("|")})\\]`, "u");

const blanks = new WeakMap<Part["props"], string | null>();

/** The first blank in what a part says itself, with its brackets; undefined where there is none. */
export function blankIn(part: Part): string | undefined {
  let found = blanks.get(part.props);
  if (found === undefined) {
    found = null;
    for (const field of kindOf(part)?.definition.fields ?? []) {
      if (field.type !== "line" && field.type !== "text" && field.type !== "rich") continue;
      const value = entryOf(part.props, field.key);
      if (value === undefined || value === null) continue;
      found ??= PATTERN.exec(plainOf(value as unknown as Rich))?.[0] ?? null;
    }
    blanks.set(part.props, found);
  }
  return found ?? undefined;
}

/** Whether what lies over pages comes at all: whole, or never. */
export const canCome = (part: Part): boolean =>
  part.shown && ![...walk(part)].some((each) => each.shown && blankIn(each) !== undefined);
