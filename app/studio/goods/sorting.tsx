import { defaultPreset, StyleInjector } from "@dnd-kit/dom";
import { move } from "@dnd-kit/helpers";
import { DragDropProvider } from "@dnd-kit/react";
import { useState, type ReactNode } from "react";
import { pageNonce } from "../ui";

type SortingProps = {
  /** Ids in their order. */
  order: readonly string[];
  onOrder: (next: readonly string[]) => void;
  children: ReactNode;
};

/** Lets what is inside (`useSortable`) be put into another order, by mouse, finger or keyboard. */
export function Sorting({ order, onOrder, children }: SortingProps) {
  // Its style sheet has to carry the page's nonce like every other.
  const [plugins] = useState(() => {
    const nonce = pageNonce();
    return [
      ...defaultPreset.plugins.filter((plugin) => plugin !== StyleInjector),
      StyleInjector.configure(nonce ? { nonce } : {}),
    ];
  });
  return (
    <DragDropProvider
      plugins={plugins}
      onDragEnd={(event) => {
        if (event.canceled) return;
        const next = move([...order], event);
        if (next.some((id, i) => id !== order[i])) onOrder(next);
      }}
    >
      {children}
    </DragDropProvider>
  );
}

export { useSortable } from "@dnd-kit/react/sortable";
