import { Box, Button, Divider, Menu, MenuItem, Popover, Typography } from "@mui/material";
import type { Editor } from "@tiptap/core";
import {
  ALargeSmall,
  AlignCenter,
  AlignLeft,
  AlignRight,
  Bold,
  Check,
  ChevronDown,
  Highlighter,
  Italic,
  Link2,
  List,
  ListOrdered,
  Palette,
  Strikethrough,
  Type,
  Underline,
  type LucideIcon,
} from "lucide-react";
import { useState } from "react";
import { TEXT_ROLES } from "~/core/cascade";
import { CALLOUT_TONES, HIGHLIGHTS, RICH_SIZES, type Letters } from "~/core/rich";
import { NO_LINK, type Link } from "~/core/schema";
import { ROLE_WORDS, solveLook } from "~/core/theme";
import { themeById } from "~/themes";
import { useStudio, useStudioStore } from "../keeping";
import { LinkField } from "../links";
import { INK, Toolbar } from "../ui";
import { InsertTools, SelectedFigure } from "./insert-tools";
import { Chooser, Tool } from "./tools";
import { setLetters, useEditorFact, useOpenEditor, useWordsStore } from "./editing";

const SIZE_WORDS: Readonly<Record<number, string>> = {
  [-1]: "Small",
  1: "Lead",
  2: "Large",
  3: "Larger",
  4: "Largest",
};
const BLOCKS = [
  ["paragraph", "Text"],
  ["2", "Head"],
  ["3", "Smaller head"],
  ["4", "Detail head"],
  ["blockquote", "Quote"],
  ["quiet", "Call-out"],
  ["brand", "Call-out in the brand’s colour"],
  ["accent", "Call-out in the accent"],
] as const;
const isTone = (block: string): boolean => (CALLOUT_TONES as readonly string[]).includes(block);

function Blocks({ editor }: { editor: Editor }) {
  const current = useEditorFact(editor, (e) =>
    e.isActive("callout")
      ? String(e.getAttributes("callout").tone ?? "quiet")
      : e.isActive("blockquote")
        ? "blockquote"
        : e.isActive("heading")
          ? String(e.getAttributes("heading").level)
          : "paragraph",
  );
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const choose = (block: string) => {
    setAnchor(null);
    const chain = editor.chain().focus();
    if (isTone(block) && editor.isActive("callout")) {
      chain.updateAttributes("callout", { tone: block }).run();
      return;
    }
    for (const around of ["blockquote", "callout"]) if (editor.isActive(around)) chain.lift(around);
    if (isTone(block)) chain.setParagraph().wrapIn("callout", { tone: block }).run();
    else if (block === "blockquote") chain.setParagraph().wrapIn("blockquote").run();
    else {
      if (block === "paragraph") chain.setParagraph().run();
      else chain.setHeading({ level: Number(block) as 2 | 3 | 4 }).run();
    }
  };
  return (
    <>
      <Button
        size="small"
        aria-haspopup="menu"
        aria-label={`Kind of paragraph: ${BLOCKS.find(([b]) => b === current)?.[1]}`}
        endIcon={<ChevronDown size={14} aria-hidden />}
        onMouseDown={(event) => event.preventDefault()}
        onClick={(event) => setAnchor(event.currentTarget)}
        sx={{ minWidth: 112, justifyContent: "space-between", whiteSpace: "nowrap" }}
      >
        {BLOCKS.find(([b]) => b === current)?.[1]}
      </Button>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)} disableRestoreFocus>
        {BLOCKS.map(([block, words]) => (
          <MenuItem key={block} selected={block === current} onClick={() => choose(block)}>
            {words}
          </MenuItem>
        ))}
      </Menu>
    </>
  );
}

type Mark = "bold" | "italic" | "underline" | "strike";
const MARKS: readonly (readonly [Mark, string, string, LucideIcon])[] = [
  ["bold", "Bold", "Ctrl+B", Bold],
  ["italic", "Italic", "Ctrl+I", Italic],
  ["underline", "Underline", "Ctrl+U", Underline],
  ["strike", "Strike through", "Ctrl+Shift+S", Strikethrough],
];

function MarkTool({
  editor,
  mark,
  label,
  keys,
  icon,
}: {
  editor: Editor;
  mark: Mark;
  label: string;
  keys: string;
  icon: LucideIcon;
}) {
  const on = useEditorFact(editor, (e) => e.isActive(mark));
  return (
    <Tool label={label} keys={keys} icon={icon} on={on} onClick={() => editor.chain().focus().toggleMark(mark).run()} />
  );
}

const Dot = ({ colour }: { colour: string | undefined }) => (
  <Box
    component="span"
    sx={{ width: 16, height: 16, borderRadius: "50%", border: `1px solid ${INK.soft}`, mr: 1.25, flex: "none" }}
    style={{ background: colour }}
  />
);

function LettersTools({ editor }: { editor: Editor }) {
  const look = useStudio((s) => s.draft.look);
  const roles = solveLook(themeById(look.theme), look).roles.sets.page;
  const size = useEditorFact(editor, (e) => Number(e.getAttributes("letters").size ?? 0));
  const face = useEditorFact(editor, (e) => String(e.getAttributes("letters").face ?? ""));
  const ink = useEditorFact(editor, (e) => String(e.getAttributes("letters").ink ?? ""));
  const back = useEditorFact(editor, (e) => String(e.getAttributes("letters").back ?? ""));
  const set = (close: () => void, change: Partial<Letters>) => () => {
    close();
    setLetters(editor, change);
  };
  return (
    <>
      <Chooser label="Size of letters" icon={ALargeSmall} on={size !== 0}>
        {(close) => [
          <MenuItem key="0" selected={size === 0} onClick={set(close, { size: null })}>
            As the text
          </MenuItem>,
          ...RICH_SIZES.map((step) => (
            <MenuItem key={step} selected={size === step} onClick={set(close, { size: step })}>
              {SIZE_WORDS[step]}
            </MenuItem>
          )),
        ]}
      </Chooser>
      <Chooser label="Letters" icon={Type} on={face !== ""}>
        {(close) =>
          ([null, "heads", "text"] as const).map((f) => (
            <MenuItem key={f ?? "none"} selected={face === (f ?? "")} onClick={set(close, { face: f })}>
              {f === null ? "As around it" : f === "heads" ? "As heads" : "As text"}
            </MenuItem>
          ))
        }
      </Chooser>
      <Chooser label="Colour of letters" icon={Palette} on={ink !== ""}>
        {(close) => [
          <MenuItem key="none" selected={ink === ""} onClick={set(close, { ink: null })}>
            <Dot colour="transparent" /> As the text
          </MenuItem>,
          ...TEXT_ROLES.map((role) => (
            <MenuItem key={role} selected={ink === role} onClick={set(close, { ink: role })}>
              <Dot colour={roles[role]} /> {ROLE_WORDS[role].name}
            </MenuItem>
          )),
        ]}
      </Chooser>
      <Chooser label="Highlight" icon={Highlighter} on={back !== ""}>
        {(close) => [
          <MenuItem key="none" selected={back === ""} onClick={set(close, { back: null })}>
            <Dot colour="transparent" /> None
          </MenuItem>,
          ...HIGHLIGHTS.map((role) => (
            <MenuItem key={role} selected={back === role} onClick={set(close, { back: role })}>
              <Dot colour={roles[role]} /> {ROLE_WORDS[role].name}
            </MenuItem>
          )),
        ]}
      </Chooser>
    </>
  );
}

const ALIGN = [
  ["start", "Left", AlignLeft],
  ["center", "Centred", AlignCenter],
  ["end", "Right", AlignRight],
] as const;

function ParagraphTools({ editor }: { editor: Editor }) {
  const dots = useEditorFact(editor, (e) => e.isActive("bulletList"));
  const numbers = useEditorFact(editor, (e) => e.isActive("orderedList"));
  const align = useEditorFact(editor, (e) =>
    String(e.getAttributes("paragraph").align ?? e.getAttributes("heading").align ?? "start"),
  );
  const icon = ALIGN.find(([a]) => a === align)?.[2] ?? AlignLeft;
  const setAlign = (value: string | null) =>
    editor
      .chain()
      .focus()
      .updateAttributes("paragraph", { align: value })
      .updateAttributes("heading", { align: value })
      .run();
  return (
    <>
      <Tool
        label="List with dots"
        icon={List}
        on={dots}
        onClick={() => editor.chain().focus().toggleBulletList().run()}
      />
      <Tool
        label="List with numbers"
        icon={ListOrdered}
        on={numbers}
        onClick={() => editor.chain().focus().toggleOrderedList().run()}
      />
      <Chooser label="Where lines begin" icon={icon}>
        {(close) =>
          ALIGN.map(([value, words]) => (
            <MenuItem
              key={value}
              selected={align === value}
              onClick={() => {
                close();
                setAlign(value === "start" ? null : value);
              }}
            >
              {words}
            </MenuItem>
          ))
        }
      </Chooser>
    </>
  );
}

function LinkTool({ editor }: { editor: Editor }) {
  const on = useEditorFact(editor, (e) => e.isActive("link"));
  const hasWords = useEditorFact(editor, (e) => !e.state.selection.empty || e.isActive("link"));
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const current = (): Link => (editor.getAttributes("link").link as Link | undefined) ?? NO_LINK;
  const set = (link: Link) => {
    const chain = editor.chain().focus().extendMarkRange("link");
    if (link.to === "nowhere") chain.unsetMark("link").run();
    else chain.setMark("link", { link }).run();
    setAnchor(null);
  };
  return (
    <>
      <Tool label="Link" icon={Link2} on={on} onClick={(e) => setAnchor(e.currentTarget)} />
      <Popover
        anchorEl={anchor}
        open={anchor !== null}
        onClose={() => setAnchor(null)}
        anchorOrigin={{ vertical: "bottom", horizontal: "left" }}
        slotProps={{ paper: { role: "dialog", "aria-label": "Where these words lead", sx: { p: 2, width: 340 } } }}
      >
        {hasWords ? (
          <>
            <LinkField label="These words lead to" value={current()} onChange={set} />
            <Typography variant="caption" component="p" color="text.secondary" sx={{ mt: 1 }}>
              A page, product, collection or place by its name, or a web or mail address, or a phone number.
            </Typography>
            {on ? (
              <Button size="small" sx={{ mt: 1 }} onClick={() => set(NO_LINK)}>
                Take the link off
              </Button>
            ) : null}
          </>
        ) : (
          <Typography variant="body2">Select the words that should lead somewhere first.</Typography>
        )}
      </Popover>
    </>
  );
}

function Count({ editor, most }: { editor: Editor; most: number }) {
  const length = useEditorFact(editor, (e) => e.state.doc.textContent.length);
  if (length < most * 0.8) return null;
  return (
    <Typography variant="caption" noWrap sx={{ px: 1, color: length >= most ? INK.brick : INK.soft }} role="status">
      {length} of {most}
    </Typography>
  );
}

/** The tools for what is selected: a picture or film, or words. */
function Tools({ editor }: { editor: Editor }) {
  const figure = useEditorFact(editor, (e) => (e.isActive("figure") ? "figure" : e.isActive("film") ? "film" : ""));
  if (figure) return <SelectedFigure editor={editor} type={figure} />;
  return (
    <>
      <Blocks editor={editor} />
      <Divider orientation="vertical" flexItem sx={{ mx: 0.5 }} />
      {MARKS.map(([mark, label, keys, icon]) => (
        <MarkTool key={mark} editor={editor} mark={mark} label={label} keys={keys} icon={icon} />
      ))}
      <Divider orientation="vertical" flexItem sx={{ mx: 0.5 }} />
      <LettersTools editor={editor} />
      <Divider orientation="vertical" flexItem sx={{ mx: 0.5 }} />
      <ParagraphTools editor={editor} />
      <LinkTool editor={editor} />
      <Divider orientation="vertical" flexItem sx={{ mx: 0.5 }} />
      <InsertTools editor={editor} />
    </>
  );
}

/** The tools for running text, above the panes while some is being written. `onDone`: in a form, instead of ending the writing in a pane. */
export function WordsBar({ onDone }: { onDone?: () => void }) {
  const store = useStudioStore();
  const editor = useOpenEditor();
  const { room } = useWordsStore().getState();
  if (!editor) return null;
  return (
    <Box sx={{ display: "flex", alignItems: "center", flex: 1, minWidth: 0, overflowX: "auto" }}>
      <Toolbar label="Words">
        <Tools editor={editor} />
      </Toolbar>
      <Count editor={editor} most={room.most} />
      <Box sx={{ flex: 1 }} />
      <Button
        size="small"
        variant="contained"
        startIcon={<Check size={15} aria-hidden />}
        onClick={onDone ?? (() => store.getState().setEditing(null))}
      >
        Done
      </Button>
    </Box>
  );
}
