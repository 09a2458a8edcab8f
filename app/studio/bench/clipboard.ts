import { z } from "zod";
import { outermost, pasteLook, pasteNodes, removeNodes, type Outcome } from "~/core/commands";
import { type Draft, type Part, type StyleSheet, entryOf } from "~/core/document";
import { nodeSchema } from "~/core/schema";
import { accepts, hasStyle, kindOf, levelOf } from "~/kinds";
import { adapted } from "~/kinds/carried";
import { selectionOf, type StudioStore } from "../keeping";
import { partAt, placeForWidget } from "./parts";
import { placeForNew, placesOf } from "./sections";

// What was copied lies in the browser's storage, which all tabs and all shops of this studio share: so a part can be taken from
// one page or shop to another, and is still there after a reload.

const KEY = "zest.copied";
const copiedSchema = z.object({ shop: z.string(), nodes: z.array(nodeSchema).min(1).max(60) });
export type Copied = z.infer<typeof copiedSchema>;

export function readCopied(): Copied | undefined {
  try {
    const parsed = copiedSchema.safeParse(JSON.parse(localStorage.getItem(KEY) ?? "null"));
    return parsed.success ? parsed.data : undefined;
  } catch {
    return undefined;
  }
}

const count = (n: number) => (n === 1 ? "1 part" : `${n} parts`);

/** Copies what is selected. */
export function copySelection(store: StudioStore): boolean {
  const state = store.getState();
  const nodes = outermost(state.draft, selectionOf(state)).map((f) => f.node);
  if (nodes.length === 0) {
    state.say("Choose what to copy first.");
    return false;
  }
  try {
    localStorage.setItem(KEY, JSON.stringify({ shop: state.shop.id, nodes } satisfies Copied));
  } catch {
    state.say("This browser’s storage is full: nothing was copied.", "problem");
    return false;
  }
  state.say(`${nodes.length === 1 ? nameOfAll(nodes) : count(nodes.length)} copied.`);
  return true;
}

export const nameOfAll = (nodes: readonly Part[]): string =>
  nodes.length === 1 ? (kindOf(nodes[0]!)?.definition.name ?? nodes[0]!.kind) : `${nodes.length} parts`;

export function cutSelection(store: StudioStore, page: string): void {
  if (!copySelection(store)) return;
  const state = store.getState();
  const ids = selectionOf(state);
  const name = nameOfAll(outermost(state.draft, ids).map((f) => f.node));
  state.run(removeNodes(state.draft, placesOf(state.draft, page, ids), name));
}

/** Puts what was copied onto the page: sections after the selected one, widgets into or after what is selected. */
export function pasteHere(store: StudioStore, page: string): void {
  const state = store.getState();
  const copied = readCopied();
  if (!copied) return state.say("Nothing has been copied yet.");
  const { draft, selected, goods, pictures } = state;
  const nodes = copied.nodes.map((n) =>
    adapted(n, { goods, pictures, documents: draft.documents, isOwn: copied.shop === state.shop.id }),
  );
  const level = levelOf(nodes[0]!);
  if (level === undefined || nodes.some((n) => levelOf(n) !== level))
    return state.say("Sections and things in sections can’t be pasted together. Copy one kind of them.", "problem");
  const why = state.run(outcomeOf(draft, page, selected, nodes, level));
  if (why) state.say(why, "problem");
  else if (copied.shop !== state.shop.id)
    state.say("Pasted from another shop. Its pictures, goods and pages are not here: choose your own.");
}

function outcomeOf(
  draft: Draft,
  page: string,
  selected: string | null,
  nodes: readonly Part[],
  level: string,
): Outcome {
  const label = `${nameOfAll(nodes)} pasted`;
  const root = entryOf(draft.documents, page)?.root;
  if (!root) return { ok: false, why: "This page is no longer there." };
  if (level === "section") {
    const within = selected ? partAt(draft, selected)?.path.slice(0, 2) : undefined;
    const [around, beside] = within ?? [];
    // Where a slide is chosen, what can be one becomes the next.
    if (around && beside) {
      const slot = Object.keys(around.slots).find((s) => nodes.every((n) => accepts(around, s, n)));
      const at = slot === undefined ? -1 : entryOf(around.slots, slot)!.findIndex((n) => n.id === beside.id);
      const document = partAt(draft, around.id)?.document;
      if (slot !== undefined && at >= 0 && document)
        return pasteNodes(draft, document, { parent: around.id, slot, index: at + 1 }, nodes, label);
    }
    const definition = kindOf(nodes[0]!)!.definition;
    if (!definition.slots.includes("main"))
      return { ok: false, why: `${definition.name} stands on every page already.` };
    return pasteNodes(
      draft,
      page,
      { parent: root.id, slot: "main", index: placeForNew(draft, page, selected) },
      nodes,
      label,
    );
  }
  if (level === "column") {
    const part = selected ? partAt(draft, selected) : undefined;
    const section = part?.path[0];
    if (!part || !section?.slots.columns) return { ok: false, why: "Choose a section with columns first." };
    const at = section.slots.columns.findIndex((c) => part.path.some((p) => p.id === c.id));
    const index = at < 0 ? section.slots.columns.length : at + 1;
    return pasteNodes(draft, part.document, { parent: section.id, slot: "columns", index }, nodes, label);
  }
  const place = placeForWidget(draft, selected, nodes[0]!);
  const document = place && partAt(draft, place.parent)?.document;
  if (!place || !document) return { ok: false, why: "Choose a column, or something in one, and paste again." };
  return pasteNodes(draft, document, place, nodes, label);
}

const NO_STYLE: StyleSheet = {};

/** Gives what is selected the look of what was copied. */
export function pasteLookHere(store: StudioStore): void {
  const state = store.getState();
  const copied = readCopied();
  const ids = selectionOf(state);
  if (!copied) return state.say("Copy the part whose look you want first.");
  if (ids.length === 0) return state.say("Choose what should get that look first.");
  const has = (node: Part, property: string) => {
    const definition = kindOf(node)?.definition;
    return definition !== undefined && hasStyle(definition, node, property);
  };
  const name = nameOfAll(outermost(state.draft, ids).map((f) => f.node));
  const why = state.run(pasteLook(state.draft, ids, copied.nodes[0]?.style ?? NO_STYLE, has, name));
  if (why) state.say(why);
}
