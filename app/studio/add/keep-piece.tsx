import { useState } from "react";
import { keepPiece, outermost } from "~/core/commands";
import { nameOf } from "~/kinds";
import { useStudioStore } from "../keeping";
import { NameDialog } from "../ui";

/** Asks under which name sections are to be kept. `ids`: null while nothing is. */
export function KeepPiece({ ids, onClose }: { ids: readonly string[] | null; onClose: () => void }) {
  return ids === null ? null : <Asked ids={ids} onClose={onClose} />;
}

function Asked({ ids, onClose }: { ids: readonly string[]; onClose: () => void }) {
  const store = useStudioStore();
  const nodesOf = () => outermost(store.getState().draft, ids).map((f) => f.node);
  const [start] = useState(() => {
    const [node] = nodesOf();
    return String(node?.props.heading || (node ? nameOf(node) : ""));
  });
  return (
    <NameDialog
      title="Keep as your own piece"
      about="A copy of it lies in Add, for any page. What you change there later does not change this one."
      start={start}
      confirm="Keep it"
      onClose={onClose}
      onName={(name) => {
        const now = store.getState();
        const outcome = keepPiece(now.draft, nodesOf(), name);
        const why = outcome.ok ? now.run(outcome) : outcome.why;
        if (why === undefined) now.say(`“${name.trim()}” is among your own pieces, in Add.`);
        return why;
      }}
    />
  );
}
