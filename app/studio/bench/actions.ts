import { hasTrait, isGroup, levelOf } from "~/kinds";
import {
  carryNode,
  duplicateNodes,
  nudgeNode,
  removeColumn,
  removeNodes,
  setShown,
  type Outcome,
} from "~/core/commands";
import { usualShareIn } from "~/render";
import { themeById } from "~/themes";
import { selectionOf, type StudioStore } from "../keeping";
import { copySelection, cutSelection, nameOfAll, pasteHere, pasteLookHere } from "./clipboard";
import { nameOfPart, partAt } from "./parts";
import { placesOf, standings } from "./sections";

/** What can be done with what is selected; keys, menus and buttons all come here. */
export type BenchActions = ReturnType<typeof benchActions>;

export function benchActions(store: StudioStore, page: string) {
  const now = () => store.getState();
  const run = (outcome: Outcome) => {
    const why = now().run(outcome);
    if (why && outcome.ok) now().say(why, "problem");
  };
  const selection = () => {
    const ids = selectionOf(now());
    const nodes = ids.map((id) => partAt(now().draft, id)).filter((p) => p !== undefined);
    const [only] = nodes;
    return { ids, name: nodes.length === 1 && only ? nameOfPart(only) : nameOfAll(nodes.map((p) => p.node)), nodes };
  };
  const places = (ids: readonly string[]) => placesOf(now().draft, page, ids);
  /** Moves a widget to the end of the next column left or right of its own. */
  const acrossColumns = (id: string, by: -1 | 1) => {
    const part = partAt(now().draft, id);
    const [section, column] = part?.path ?? [];
    const columns = section?.slots.columns ?? [];
    const next = columns[columns.findIndex((c) => c.id === column?.id) + by];
    if (!part || !next) return now().say(by < 0 ? "This is the first column." : "This is the last column.");
    const length = next.slots.widgets?.length ?? 0;
    const at = column?.slots.widgets?.findIndex((w) => w.id === id) ?? length;
    const goal = {
      document: part.document,
      parent: next.id,
      slot: "widgets",
      index: Math.min(length, Math.max(0, at)),
    };
    run(carryNode(now().draft, id, goal, `${nameOfPart(part)} moved`));
  };
  return {
    duplicate: () => {
      const { ids, name } = selection();
      if (ids.length) run(duplicateNodes(now().draft, places(ids), name));
    },
    remove: () => {
      const { ids, name, nodes } = selection();
      if (ids.length === 0) return;
      const [only] = nodes;
      // A column gives what stands in it to its neighbour.
      run(
        nodes.length === 1 && only && levelOf(only.node) === "column"
          ? removeColumn(now().draft, only.node.id, usualShareIn(themeById(now().draft.look.theme)))
          : removeNodes(now().draft, places(ids), name),
      );
    },
    toggleShown: () => {
      const { ids, name, nodes } = selection();
      if (ids.length) run(setShown(now().draft, ids, !nodes.every((p) => p.node.shown), name));
    },
    copy: () => void copySelection(store),
    cut: () => cutSelection(store, page),
    paste: () => pasteHere(store, page),
    pasteLook: () => pasteLookHere(store),
    /** Along the reading direction of what the part stands in. */
    nudge: (way: "left" | "right" | "up" | "down") => {
      const id = now().selected;
      const part = id ? partAt(now().draft, id) : undefined;
      if (!part) return;
      const by = way === "left" || way === "up" ? -1 : 1;
      const isSideways = way === "left" || way === "right";
      const around = part.path.at(-2);
      const inGroup = around !== undefined && isGroup(around);
      // What is placed freely is brought forward or sent back.
      if (around && hasTrait(around, "places"))
        return run(nudgeNode(now().draft, places([part.node.id])[0]!, by === 1 ? -1 : 1, nameOfPart(part)));
      if (part.level === "widget" && isSideways && !inGroup) return acrossColumns(part.node.id, by);
      if (part.level !== "widget" && !isSideways) return;
      run(nudgeNode(now().draft, places([part.node.id])[0]!, by, nameOfPart(part)));
    },
    /** Selects what the part stands in. */
    out: () => {
      const id = now().selected;
      const part = id ? partAt(now().draft, id) : undefined;
      now().select(part?.path.at(-2)?.id ?? null);
    },
    /** Walks along the sections of the page. */
    step: (by: -1 | 1) => {
      const all = standings(now().draft, page);
      const id = now().selected;
      const section = id ? partAt(now().draft, id)?.path[0]?.id : undefined;
      const index = all.findIndex((s) => s.node.id === section);
      const next = all[index < 0 ? 0 : Math.max(0, Math.min(all.length - 1, index + by))];
      if (next) now().select(next.node.id);
    },
  };
}
