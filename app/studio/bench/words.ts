import { locate, setProp } from "~/core/commands";
import { fromTyped } from "~/core/live";
import { offersOf } from "~/core/offers";
import { readAt } from "~/core/operations";
import { kindOf, nameOf } from "~/kinds";
import { ownFacts } from "~/kinds/live";
import type { StudioStore } from "../keeping";
import { fieldAt, pathOf } from "../words";

const inOneLine = (text: string) =>
  text.includes("\n")
    ? text
        .split("\n")
        .map((line) => line.trim())
        .filter(Boolean)
        .join(" ")
    : text;

/** Puts words typed in place into the draft, no longer than their field allows. */
export function writeWords(store: StudioStore, id: string, at: string, typed: string): void {
  const state = store.getState();
  const node = locate(state.draft, id)?.node;
  if (!node) return;
  const path = pathOf(at);
  const field = fieldAt(kindOf(node)?.definition.fields ?? [], path);
  const most = field?.type === "line" || field?.type === "text" ? field.most : 6000;
  const clean = (field?.type === "line" ? inOneLine(typed) : typed).replace(/\u00a0/g, " ").replace(/\n$/, "");
  if (clean.length > most)
    state.say(`${field?.label ?? "This"} can have ${most} characters. The rest was left out.`, "problem");
  const before = readAt(node.props, path);
  const bind = (words: string) => fromTyped(words, offersOf(state.draft.documents), ownFacts(node));
  const { text, why } = bind(clean.slice(0, most));
  // It is said once, and not with each letter after it.
  if (why !== undefined && bind(String(before)).why !== why)
    state.say(`${why} Until then, shoppers don’t see this part.`, "problem");
  if (before === text) return;
  const problem = state.run(setProp(state.draft, id, path, text, `Words changed in ${nameOf(node)}`));
  if (problem) state.say(problem, "problem");
}
