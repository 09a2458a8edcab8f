import { Box, Button, MenuItem, Popover, TextField } from "@mui/material";
import type { Editor } from "@tiptap/core";
import type { Node as ProseMirrorNode } from "@tiptap/pm/model";
import {
  AlignHorizontalJustifyCenter,
  Asterisk,
  Braces,
  Image,
  ImageUp,
  Minus,
  MoveHorizontal,
  RemoveFormatting,
  Table,
  TextCursorInput,
  Trash2,
  type LucideIcon,
} from "lucide-react";
import { useState } from "react";
import { RICH_LIMITS, type FIGURE_SIDES, type FIGURE_WIDTHS } from "~/core/rich";
import { useStudioStore } from "../keeping";
import { FileList, PicturePicker } from "../pictures";
import { groupsOf, LiveItems } from "../live";
import { useEditorFact, useWordsStore } from "./editing";
import { Chooser, Tool } from "./tools";

/** What is put in or taken out as a whole is a step of its own, however soon something is typed before or after it. */
function useAsStep(): (act: () => void) => void {
  const store = useStudioStore();
  return (act) => {
    store.getState().hold(false);
    act();
    store.getState().hold(false);
  };
}

/**
 * Puts a picture or film into the text: before the paragraph that is written, so that its words begin beside it; in the place of
 * an empty one. Where it would be the last there is a paragraph after it to go on in.
 */
const putIn = (editor: Editor, type: "figure" | "film", attrs: Record<string, string>) =>
  editor
    .chain()
    .focus()
    .command(({ tr, state }) => {
      const { $from } = state.selection;
      const block = $from.node(1) as ProseMirrorNode | undefined;
      const node = state.schema.nodes[type]!.create(attrs);
      const before = $from.depth > 0 ? $from.before(1) : $from.pos;
      if (block?.isTextblock && block.content.size === 0) tr.replaceWith(before, before + block.nodeSize, node);
      else tr.insert(before, node);
      if (tr.doc.lastChild?.type === node.type) tr.insert(tr.doc.content.size, state.schema.nodes.paragraph!.create());
      return true;
    })
    .run();

function FigureTool({ editor }: { editor: Editor }) {
  const asStep = useAsStep();
  const [choosing, setChoosing] = useState<"picture" | "film" | null>(null);
  return (
    <>
      <Chooser label="Picture or film" icon={Image}>
        {(close) =>
          (["picture", "film"] as const).map((what) => (
            <MenuItem
              key={what}
              onClick={() => {
                close();
                setChoosing(what);
              }}
            >
              {what === "picture" ? "Picture among the words …" : "Film among the words …"}
            </MenuItem>
          ))
        }
      </Chooser>
      <PicturePicker
        open={choosing === "picture"}
        onClose={() => setChoosing(null)}
        onChoose={(picture) => {
          setChoosing(null);
          asStep(() => putIn(editor, "figure", { picture, side: "end", width: "half" }));
        }}
      />
      {choosing === "film" ? (
        <FileList
          kinds={["film"]}
          chosen={null}
          onClose={() => setChoosing(null)}
          onChoose={({ file }) => {
            setChoosing(null);
            asStep(() => putIn(editor, "film", { film: file, side: "middle", width: "whole" }));
          }}
        />
      ) : null}
    </>
  );
}

const SIDE_WORDS: Readonly<Record<(typeof FIGURE_SIDES)[number], string>> = {
  start: "Left, words around it",
  end: "Right, words around it",
  middle: "By itself",
};
const WIDTH_WORDS: Readonly<Record<(typeof FIGURE_WIDTHS)[number], string>> = {
  third: "A third of the text",
  half: "Half of the text",
  whole: "As wide as the text",
};

type OptionsProps = {
  label: string;
  icon: LucideIcon;
  words: Readonly<Record<string, string>>;
  value: string;
  onChoose: (value: string) => void;
};

const Options = ({ label, icon, words, value, onChoose }: OptionsProps) => (
  <Chooser label={label} icon={icon}>
    {(close) =>
      Object.entries(words).map(([each, said]) => (
        <MenuItem
          key={each}
          selected={value === each}
          onClick={() => {
            close();
            onChoose(each);
          }}
        >
          {said}
        </MenuItem>
      ))
    }
  </Chooser>
);

/** The tools for a picture or film that is selected in a text. */
export function SelectedFigure({ editor, type }: { editor: Editor; type: "figure" | "film" }) {
  const asStep = useAsStep();
  const side = useEditorFact(editor, (e) => String(e.getAttributes(type).side ?? "middle"));
  const width = useEditorFact(editor, (e) => String(e.getAttributes(type).width ?? "half"));
  const caption = useEditorFact(editor, (e) => String(e.getAttributes(type).caption ?? ""));
  const [isChoosing, setChoosing] = useState(false);
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  // The place is kept: a picture that has other words beneath it is still selected.
  const set = (attrs: Record<string, string | null>) => {
    const { from } = editor.state.selection;
    asStep(() => editor.chain().updateAttributes(type, attrs).setNodeSelection(from).run());
  };
  return (
    <>
      <Options
        label="Where it stands"
        icon={AlignHorizontalJustifyCenter}
        words={SIDE_WORDS}
        value={side}
        onChoose={(next) => set({ side: next })}
      />
      <Options
        label="How wide"
        icon={MoveHorizontal}
        words={WIDTH_WORDS}
        value={width}
        onChoose={(next) => set({ width: next })}
      />
      <Tool
        label="Words beneath it"
        icon={TextCursorInput}
        on={caption !== ""}
        onClick={(event) => setAnchor(event.currentTarget)}
      />
      {anchor ? (
        <WordsPopover
          title="Words beneath it"
          most={RICH_LIMITS.caption}
          anchor={anchor}
          value={caption}
          onClose={() => setAnchor(null)}
          onSet={(text) => set({ caption: text || null })}
        />
      ) : null}
      {type === "figure" ? <Tool label="Another picture" icon={ImageUp} onClick={() => setChoosing(true)} /> : null}
      <PicturePicker
        open={isChoosing}
        onClose={() => setChoosing(false)}
        onChoose={(picture) => {
          setChoosing(false);
          set({ picture });
        }}
      />
      <Tool
        label={type === "figure" ? "Remove the picture" : "Remove the film"}
        icon={Trash2}
        onClick={() => asStep(() => editor.chain().focus().deleteSelection().run())}
      />
    </>
  );
}

type WordsPopoverProps = {
  title: string;
  most: number;
  anchor: HTMLElement;
  value: string;
  onClose: () => void;
  onSet: (text: string) => void;
};

/** A few words that stand outside of the text: they are set when they are done. */
function WordsPopover({ title, most, anchor, value, onClose, onSet }: WordsPopoverProps) {
  const [text, setText] = useState(value);
  const done = () => {
    onClose();
    if (text.trim() !== value) onSet(text.trim());
  };
  return (
    <Popover
      anchorEl={anchor}
      open
      onClose={done}
      // Writing goes on where it was.
      disableRestoreFocus
      anchorOrigin={{ vertical: "bottom", horizontal: "left" }}
      slotProps={{ paper: { role: "dialog", "aria-label": title, sx: { p: 2, width: 360 } } }}
    >
      <TextField
        label={title}
        value={text}
        onChange={(event) => setText(event.target.value.slice(0, most))}
        onKeyDown={(event) => {
          if (event.key !== "Enter") return;
          event.preventDefault();
          done();
        }}
        helperText={text.length > most * 0.8 ? `${text.length} of ${most}` : undefined}
        multiline
        fullWidth
        autoFocus
        size="small"
      />
      <Box sx={{ display: "flex", justifyContent: "flex-end", mt: 1 }}>
        <Button size="small" variant="contained" onClick={done}>
          Done
        </Button>
      </Box>
    </Popover>
  );
}

function FootnoteTool({ editor }: { editor: Editor }) {
  const asStep = useAsStep();
  const on = useEditorFact(editor, (e) => e.isActive("footnote"));
  const said = useEditorFact(editor, (e) => String(e.getAttributes("footnote").text ?? ""));
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const set = (text: string) =>
    asStep(() => {
      const chain = editor.chain().focus();
      if (!on && text) {
        // After the words that it is about, not instead of them.
        const { to } = editor.state.selection;
        chain.insertContentAt(to, { type: "footnote", attrs: { text } }).run();
      } else if (text) chain.updateAttributes("footnote", { text }).run();
      else if (on) chain.deleteSelection().run();
    });
  return (
    <>
      <Tool
        label={on ? "What the footnote says" : "Footnote"}
        icon={Asterisk}
        on={on}
        onClick={(event) => setAnchor(event.currentTarget)}
      />
      {anchor ? (
        <WordsPopover
          title="What the footnote says"
          most={RICH_LIMITS.footnote}
          anchor={anchor}
          value={on ? said : ""}
          onClose={() => setAnchor(null)}
          onSet={set}
        />
      ) : null}
    </>
  );
}

export function InsertTools({ editor }: { editor: Editor }) {
  const asStep = useAsStep();
  const inTable = useEditorFact(editor, (e) => e.isActive("table"));
  const store = useStudioStore();
  const table: readonly (readonly [string, () => void])[] = inTable
    ? [
        ["Row below", () => editor.chain().focus().addRowAfter().run()],
        ["Row above", () => editor.chain().focus().addRowBefore().run()],
        ["Column right", () => editor.chain().focus().addColumnAfter().run()],
        ["Column left", () => editor.chain().focus().addColumnBefore().run()],
        ["First row heads the columns, on and off", () => editor.chain().focus().toggleHeaderRow().run()],
        ["First column heads the rows, on and off", () => editor.chain().focus().toggleHeaderColumn().run()],
        ["Join or split cells", () => editor.chain().focus().mergeOrSplit().run()],
        ["Remove this row", () => editor.chain().focus().deleteRow().run()],
        ["Remove this column", () => editor.chain().focus().deleteColumn().run()],
        ["Remove the table", () => editor.chain().focus().deleteTable().run()],
      ]
    : [
        ["Table, 2 columns", () => editor.chain().focus().insertTable({ rows: 3, cols: 2, withHeaderRow: true }).run()],
        ["Table, 3 columns", () => editor.chain().focus().insertTable({ rows: 3, cols: 3, withHeaderRow: true }).run()],
        ["Table, 4 columns", () => editor.chain().focus().insertTable({ rows: 3, cols: 4, withHeaderRow: true }).run()],
      ];
  return (
    <>
      <Chooser label="Live field" icon={Braces}>
        {(close) =>
          LiveItems({
            groups: groupsOf(store.getState()),
            onChoose: (attrs) => {
              close();
              asStep(() => editor.chain().focus().insertContent({ type: "liveField", attrs }).run());
            },
          })
        }
      </Chooser>
      <Chooser label="Table" icon={Table} on={inTable}>
        {(close) =>
          table.map(([words, act]) => (
            <MenuItem
              key={words}
              onClick={() => {
                close();
                asStep(act);
              }}
            >
              {words}
            </MenuItem>
          ))
        }
      </Chooser>
      {useWordsStore().getState().room.isFigured ? <FigureTool editor={editor} /> : null}
      <FootnoteTool editor={editor} />
      <Tool label="Line across" icon={Minus} onClick={() => editor.chain().focus().setHorizontalRule().run()} />
      <Tool
        label="Plain again"
        icon={RemoveFormatting}
        onClick={() => editor.chain().focus().unsetAllMarks().clearNodes().run()}
      />
    </>
  );
}
