import type { PageDocument } from "../document";

/** The longest name of what a seller names to find it again. */
const LONGEST_NAME = 60;

/**
 * Why something can't be called so; undefined where it can. `others`: what has a name already; capital letters make no difference.
 * `what`: what it is, in a sentence.
 */
export function nameProblem(name: string, others: readonly PageDocument[], what: string): string | undefined {
  if (name === "") return "Give it a name, so that you find it again.";
  if (name.length > LONGEST_NAME) return `Keep the name to ${LONGEST_NAME} characters.`;
  const isTaken = others.some((d) => d.title.toLowerCase() === name.toLowerCase());
  return isTaken ? `There is a ${what} called “${name}” already.` : undefined;
}

/**
 * A name that none of the others has: as it is wished for, or with a number behind it. Capital letters make no difference. `longest`: it
 * loses its end where it would be longer than that.
 */
export function freeName(wish: string, others: readonly string[], longest = LONGEST_NAME, between = " "): string {
  const taken = new Set(others.map((each) => each.toLowerCase()));
  for (let n = 1; ; n++) {
    const number = n === 1 ? "" : `${between}${n}`;
    const name = `${wish.slice(0, longest - number.length)}${number}`;
    if (!taken.has(name.toLowerCase())) return name;
  }
}
