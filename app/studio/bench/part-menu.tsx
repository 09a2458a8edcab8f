import { Divider, ListItemText, Menu, MenuItem, Typography } from "@mui/material";
import { addColumn, columnsOf, deviceDifferences, putBackDevices } from "~/core/commands";
import { entryOf } from "~/core/document";
import { kindOf } from "~/kinds";
import { sharedDocument } from "../shared";
import { usualShareIn } from "~/render";
import { themeById } from "~/themes";
import { selectionOf, useStudio, useStudioStore } from "../keeping";
import type { BenchActions } from "./actions";
import { readCopied } from "./clipboard";
import { nameOfPart, partAt } from "./parts";

export type MenuState = { readonly id: string; readonly x: number; readonly y: number };
type PartMenuProps = {
  state: MenuState | null;
  actions: BenchActions;
  onClose: () => void;
  onEditWords: (id: string) => void;
  onMove: (id: string) => void;
  /** Copies of sections go to another page, or are kept to be used again. */
  onCopyTo: (ids: readonly string[]) => void;
  onKeep: (ids: readonly string[]) => void;
  /** A section is to stand on several pages. */
  onShare: (id: string) => void;
};

/** Everything that can be done with a part, by name and with its key. */
export function PartMenu({ state, actions, onClose, onEditWords, onMove, onCopyTo, onKeep, onShare }: PartMenuProps) {
  const store = useStudioStore();
  const draft = useStudio((s) => (state ? s.draft : null));
  const part = state && draft ? partAt(draft, state.id) : undefined;
  const item = (words: string, act: () => void, keys = "", more: { disabled?: boolean; danger?: boolean } = {}) => (
    <MenuItem
      key={words}
      disabled={more.disabled ?? false}
      sx={more.danger ? { color: "error.main" } : {}}
      onClick={() => {
        onClose();
        act();
      }}
    >
      <ListItemText>{words}</ListItemText>
      {keys ? (
        <Typography variant="caption" color="text.secondary" sx={{ ml: 3 }}>
          {keys}
        </Typography>
      ) : null}
    </MenuItem>
  );
  const run = () => store.getState();
  /** The part, with all that is selected besides where it is among them. */
  const chosen = (id: string) => {
    const all = selectionOf(store.getState());
    return all.includes(id) ? all : [id];
  };
  const entries = () => {
    if (!part || !draft) return [];
    const { node, level, path } = part;
    const [section] = path;
    const isSection = level === "section";
    const columns = section ? columnsOf(section) : [];
    const column = columns.findIndex((c) => path.some((p) => p.id === c.id));
    const copied = readCopied();
    return [
      item("Edit words", () => onEditWords(node.id), "Enter"),
      item(
        isSection || level === "column" ? "Move earlier" : "Move up",
        () => actions.nudge(isSection || level === "column" ? "left" : "up"),
        isSection || level === "column" ? "Alt + ←" : "Alt + ↑",
      ),
      item(
        isSection || level === "column" ? "Move later" : "Move down",
        () => actions.nudge(isSection || level === "column" ? "right" : "down"),
        isSection || level === "column" ? "Alt + →" : "Alt + ↓",
      ),
      ...(isSection ? [] : [item("Move to …", () => onMove(node.id), "M")]),
      <Divider key="1" />,
      ...(columns.length
        ? [
            item(
              "Add a column",
              () =>
                run().run(
                  addColumn(
                    draft,
                    section!.id,
                    column < 0 ? columns.length : column + 1,
                    usualShareIn(themeById(draft.look.theme)),
                  ),
                ),
              "",
              { disabled: columns.length >= 6 },
            ),
          ]
        : []),
      item(node.shown ? "Not shown yet" : "Show in the shop", actions.toggleShown, "H"),
      item("Same on all devices", () => run().run(putBackDevices(draft, [node.id], nameOfPart(part))), "", {
        disabled: deviceDifferences(node).length === 0,
      }),
      <Divider key="2" />,
      item("Copy", actions.copy, "Ctrl + C"),
      item("Cut", actions.cut, "Ctrl + X"),
      item("Paste", actions.paste, "Ctrl + V", { disabled: !copied }),
      item("Paste look only", actions.pasteLook, "L", { disabled: !copied }),
      item("Duplicate", actions.duplicate, "D"),
      ...(isSection && kindOf(node)?.definition.slots.includes("main")
        ? [
            item("Copy to another page …", () => onCopyTo(chosen(node.id))),
            item("Keep as your own piece …", () => onKeep(chosen(node.id))),
            item("Make it a shared section …", () => onShare(node.id), "", {
              disabled: sharedDocument(entryOf(draft.documents, part.document)) !== undefined,
            }),
          ]
        : []),
      item("Remove", actions.remove, "Del", { danger: true }),
    ];
  };
  return (
    <Menu
      open={part !== undefined}
      onClose={onClose}
      anchorReference="anchorPosition"
      anchorPosition={state ? { left: state.x, top: state.y } : { left: 0, top: 0 }}
      transformOrigin={{ vertical: "bottom", horizontal: "left" }}
      slotProps={{ list: { dense: true } }}
    >
      {entries()}
    </Menu>
  );
}
