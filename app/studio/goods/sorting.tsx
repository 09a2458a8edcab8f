import { defaultPreset, StyleInjector } from "@dnd-kit/dom";
import { arrayMove } from "@dnd-kit/helpers";
import { DragDropProvider } from "@dnd-kit/react";
import { isSortable } from "@dnd-kit/react/sortable";
import { useState, type ReactNode } from "react";

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
    const nonce =
      typeof document === "undefined" ? undefined : document.querySelector<HTMLScriptElement>("script[nonce]")?.nonce;
    return [
      ...defaultPreset.plugins.filter((plugin) => plugin !== StyleInjector),
      StyleInjector.configure(nonce ? { nonce } : {}),
    ];
  });
  return (
    <DragDropProvider
      plugins={plugins}
      onDragEnd={(event) => {
        const { source } = event.operation;
        // Where it stands is where it was seen to stand, also when it is let go in the moment in which it gets there.
        if (event.canceled || !isSortable(source) || source.initialIndex === source.index) return;
        onOrder(arrayMove([...order], source.initialIndex, source.index));
      }}
    >
      {children}
    </DragDropProvider>
  );
}

export { useSortable } from "@dnd-kit/react/sortable";
