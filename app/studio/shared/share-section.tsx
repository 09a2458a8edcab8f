import { useState } from "react";
import { locate, shareSection } from "~/core/commands";
import { nameOf } from "~/kinds";
import { useStudioStore } from "../keeping";
import { NameDialog } from "../ui";

/** Asks under which name a section is to be shared. `id`: null while none is. */
export function ShareSection({ id, onClose }: { id: string | null; onClose: () => void }) {
  return id === null ? null : <Asked id={id} onClose={onClose} />;
}

function Asked({ id, onClose }: { id: string; onClose: () => void }) {
  const store = useStudioStore();
  const [start] = useState(() => {
    const node = locate(store.getState().draft, id)?.node;
    return String(node?.props.heading || (node ? nameOf(node) : "")).split("\n")[0]!;
  });
  return (
    <NameDialog
      title="Make it a shared section"
      about="It stands on as many pages as you like and is edited once. Other pages get it from Add."
      start={start}
      confirm="Share it"
      onClose={onClose}
      onName={(name) => {
        const now = store.getState();
        const outcome = shareSection(now.draft, id, name);
        const why = outcome.ok ? now.run(outcome) : outcome.why;
        if (why === undefined) now.say(`“${name.trim()}” can be put on other pages: Add, “Shared sections”.`);
        return why;
      }}
    />
  );
}
