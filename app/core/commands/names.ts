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
