import { deltaEOk, oklchOf } from "./colour";
import { ROLE_WORDS, type AnySet, type Role } from "./roles";
import type { Failing, Moved } from "./solver";

const MANY: Partial<Record<Role, string>> = {
  link: "links",
  brand: "buttons",
  "brand-edge": "outlines of buttons",
  accent: "accents",
  "accent-edge": "outlines of accents",
  page: "the ground",
};
/** From which difference on (ΔE OK) a colour is plainly another one, and from which it is hardly related to what was wished (judged by eye). */
const A_LITTLE = 0.09;
const MUCH = 0.24;

const ONE = new Set<Role>(["page"]);
const COLOUR_WORDS: Record<Moved["source"], string> = { brand: "your brand colour", accent: "your accent colour" };

/** "the page", "the tinted ground", "the header": a set as a place. */
export function placeWords(set: AnySet, name: string): string {
  const known: Partial<Record<AnySet, string>> = {
    page: "the page",
    tint: "the tinted ground",
    brand: "the brand ground",
    accent: "the accent ground",
    dark: "the dark ground",
    header: "the header",
    footer: "the footer",
    notice: "the notice strip",
  };
  return name === "" ? known[set]! : `“${name}”`;
}

/** Rounded down, so that a ratio which fails is never shown as one that passes. */
export const ratioWords = (ratio: number): string => (Math.floor(ratio * 10) / 10).toFixed(1);

/** Says in a sentence why a colour was moved. `name`: the seller's own name of the set, or empty. */
export function explainMoved(moved: Moved, name = ""): string {
  const verb = oklchOf(moved.used).lightness < oklchOf(moved.wished).lightness ? "darker" : "lighter";
  const apart = deltaEOk(moved.used, moved.wished);
  const much = apart < A_LITTLE ? "a little " : apart < MUCH ? "" : "much ";
  const what = MANY[moved.role] ?? ROLE_WORDS[moved.role].name.toLowerCase();
  const is = ONE.has(moved.role) ? "is" : "are";
  const where = placeWords(moved.set, name);
  const night = moved.scheme === "dark" ? " when it is dark" : "";
  const start = `On ${where}${night}, ${what} ${is} ${much}${verb} than ${COLOUR_WORDS[moved.source]}`;
  return moved.to === "carry-words"
    ? `${start}: words on it reach a contrast of ${ratioWords(moved.had)} and need ${moved.needed}.`
    : `${start}: it has a contrast of ${ratioWords(moved.had)} there and needs ${moved.needed}.`;
}

/** Says in a sentence what can't be read, and why. */
export function explainFailing(failing: Failing, name = ""): string {
  const { role, against, pinned, had, needed, set, scheme } = failing;
  const night = scheme === "dark" ? ", when it is dark" : "";
  return `In ${placeWords(set, name)}${night}: ${ROLE_WORDS[role].name} on ${ROLE_WORDS[against].name} has a contrast of ${ratioWords(had)} and needs ${needed}, because ${ROLE_WORDS[pinned].name} is fixed.`;
}
