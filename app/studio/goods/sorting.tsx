import { defaultPreset, StyleInjector } from "@dnd-kit/dom";
import { move } from "@dnd-kit/helpers";
import { DragDropProvider } from "@dnd-kit/react";
import { useSortable } from "@dnd-kit/react/sortable";
import { Box, ButtonBase, IconButton, Tooltip } from "@mui/material";
import { X } from "lucide-react";
import { useState, type ReactNode } from "react";
import { INK, pageNonce } from "../ui";

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

type SortTileProps = {
  id: string;
  index: number;
  /** What it is, for those who don't see it. */
  name: string;
  /** Where its picture is. */
  picture?: string | undefined;
  /** What stands in place of a picture. */
  blank?: ReactNode;
  isOpen?: boolean;
  onOpen?: () => void;
  onTake?: (() => void) | undefined;
  /** What is said of it on or under its picture. */
  children?: ReactNode;
};

/** One of the things in `Sorting`, by its picture. */
export function SortTile({ id, index, name, picture, blank, isOpen, onOpen, onTake, children }: SortTileProps) {
  const { ref, handleRef, isDragging } = useSortable({ id, index });
  return (
    <Box ref={ref} role="listitem" sx={{ position: "relative", width: 104, opacity: isDragging ? 0.6 : 1 }}>
      <ButtonBase
        ref={handleRef}
        onClick={onOpen}
        aria-label={`${index + 1}: ${name}`}
        sx={{
          width: "100%",
          height: 118,
          overflow: "hidden",
          border: `1px solid ${isOpen ? INK.ink : INK.line}`,
          boxShadow: isOpen ? `0 3px 0 ${INK.lemon}` : undefined,
          borderRadius: 1,
          bgcolor: INK.paper,
          cursor: "grab",
        }}
      >
        {picture ? (
          <Box
            component="img"
            draggable={false}
            loading="lazy"
            src={picture}
            alt=""
            sx={{ width: "100%", height: "100%", objectFit: "cover" }}
          />
        ) : (
          blank
        )}
      </ButtonBase>
      {children}
      {onTake ? (
        <Tooltip title="Remove">
          <IconButton
            size="small"
            aria-label={`Remove ${name}`}
            onClick={onTake}
            sx={{
              position: "absolute",
              top: 3,
              right: 3,
              bgcolor: INK.raised,
              border: `1px solid ${INK.line}`,
              width: 26,
              height: 26,
              "&:hover": { bgcolor: INK.raised },
            }}
          >
            <X size={14} aria-hidden />
          </IconButton>
        </Tooltip>
      ) : null}
    </Box>
  );
}

export { useSortable } from "@dnd-kit/react/sortable";
