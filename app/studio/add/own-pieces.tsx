import { Box, Button, ButtonBase, Menu, MenuItem, Typography } from "@mui/material";
import { Ellipsis, FileUp } from "lucide-react";
import { useRef, useState } from "react";
import { freeName, keepPiece, pasteNodes, piecesOf, removePiece, renamePiece } from "~/core/commands";
import { entryOf, type PageDocument } from "~/core/document";
import { nameOf, strangerIn } from "~/kinds";
import { adapted } from "~/kinds/carried";
import { useStudio, useStudioStore } from "../keeping";
import { PartSight } from "../panes";
import { FileInput, IconAction, INK, NameDialog } from "../ui";
import { readPiece, writePiece } from "./piece-file";

const TILE = { width: 224, height: 138, page: 1180 };

type PieceProps = { piece: PageDocument; onAdd: () => void };

function PieceTile({ piece, onAdd }: PieceProps) {
  const store = useStudioStore();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const [renaming, setRenaming] = useState(false);
  const sections = piece.root.slots.main ?? [];
  const run = (outcome: Parameters<ReturnType<typeof store.getState>["run"]>[0]) => {
    const why = store.getState().run(outcome);
    if (why) store.getState().say(why, "problem");
  };
  const save = () => {
    const url = URL.createObjectURL(new Blob([writePiece(piece)], { type: "application/json" }));
    const link = document.createElement("a");
    link.href = url;
    link.download = `${piece.title.replace(/[^\p{L}\p{N} -]/gu, "").trim() || "piece"}.json`;
    link.click();
    URL.revokeObjectURL(url);
  };
  return (
    <Box sx={{ border: `1px solid ${INK.line}`, borderRadius: 1, overflow: "hidden", bgcolor: INK.raised }}>
      <ButtonBase onClick={onAdd} aria-label={`Add your piece ${piece.title}`} sx={{ display: "block" }}>
        <PartSight node={sections[0] ?? null} name={piece.title} {...TILE} />
      </ButtonBase>
      <Box
        sx={{ display: "flex", alignItems: "center", pl: 1.25, borderTop: `1px solid ${INK.line}`, width: TILE.width }}
      >
        <Box sx={{ flex: 1, minWidth: 0, py: 0.75 }}>
          <Typography variant="subtitle2" noWrap>
            {piece.title}
          </Typography>
          <Typography variant="caption" color="text.secondary" noWrap component="p">
            {sections.length === 1 ? nameOf(sections[0]!) : `${sections.length} sections`}
          </Typography>
        </Box>
        <IconAction label={`More about ${piece.title}`} icon={Ellipsis} onClick={(e) => setAnchor(e.currentTarget)} />
        <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)} onClick={() => setAnchor(null)}>
          <MenuItem onClick={() => setRenaming(true)}>Rename …</MenuItem>
          <MenuItem onClick={save}>Save as a file, for another shop</MenuItem>
          <MenuItem sx={{ color: "error.main" }} onClick={() => run(removePiece(store.getState().draft, piece.id))}>
            Remove
          </MenuItem>
        </Menu>
        {renaming ? (
          <NameDialog
            title="Rename the piece"
            about="You find it by this name in Add."
            start={piece.title}
            confirm="Rename it"
            onClose={() => setRenaming(false)}
            onName={(name) => {
              const outcome = renamePiece(store.getState().draft, piece.id, name);
              return outcome.ok ? store.getState().run(outcome) : outcome.why;
            }}
          />
        ) : null}
      </Box>
    </Box>
  );
}

/** Sections that the seller has kept under names. Copies of them go onto the page. */
export function OwnPieces({
  page,
  at,
  sought,
  onDone,
}: {
  page: string;
  at: number;
  sought: string;
  onDone: () => void;
}) {
  const store = useStudioStore();
  const documents = useStudio((s) => s.draft.documents);
  const all = piecesOf(documents);
  const words = sought.trim().toLowerCase().split(/\s+/);
  const shown = all.filter((p) => words.every((w) => `${p.title} own pieces`.toLowerCase().includes(w)));
  const input = useRef<HTMLInputElement>(null);
  const say = (why: string) => store.getState().say(why, "problem");
  const add = (piece: PageDocument) => {
    const { draft, goods, pictures, run } = store.getState();
    const document = entryOf(draft.documents, page)!;
    const nodes = (piece.root.slots.main ?? []).map((n) =>
      adapted(n, { goods, pictures, documents: draft.documents, isOwn: true }),
    );
    const stranger = nodes.map((n) => strangerIn(document, n)).find((n) => n !== undefined);
    if (stranger) return say(`${nameOf(stranger)} makes no sense on “${document.title}”.`);
    const to = { parent: document.root.id, slot: "main", index: at };
    const why = run(pasteNodes(draft, page, to, nodes, `“${piece.title}” added`, "add"));
    if (why) return say(why);
    onDone();
  };
  const bringIn = async (files: readonly File[]) => {
    const [file] = files;
    if (!file) return;
    const read = readPiece(await file.text());
    if (!read.ok) return say(read.why);
    const { draft, goods, pictures, run } = store.getState();
    const shop = { goods, pictures, documents: draft.documents };
    const titles = piecesOf(draft.documents).map((piece) => piece.title);
    const name = freeName(read.name, titles);
    const why = run(
      keepPiece(
        draft,
        read.sections.map((n) => adapted(n, shop)),
        name,
      ),
    );
    if (why) return say(why);
    store
      .getState()
      .say(`“${name}” is among your own pieces. Pictures and goods of another shop are not: choose your own.`);
  };
  if (shown.length === 0 && sought !== "") return null;
  return (
    <Box component="section" aria-label="Your own pieces">
      <Box sx={{ display: "flex", alignItems: "center", gap: 1, mb: 1 }}>
        <Typography variant="h3" component="h3">
          Your own pieces
        </Typography>
        <Button size="small" startIcon={<FileUp size={15} aria-hidden />} onClick={() => input.current?.click()}>
          From a file
        </Button>
        <FileInput
          ref={input}
          label="A file with a piece"
          accept=".json,application/json"
          onFiles={(files) => void bringIn(files)}
        />
      </Box>
      {shown.length ? (
        <Box sx={{ display: "flex", flexWrap: "wrap", gap: 2 }}>
          {shown.map((piece) => (
            <PieceTile key={piece.id} piece={piece} onAdd={() => add(piece)} />
          ))}
        </Box>
      ) : (
        <Typography variant="body2" color="text.secondary">
          Keep any section under a name from its menu (⋯), and add it from here on any page.
        </Typography>
      )}
    </Box>
  );
}
