import { Box, Button, Divider, IconButton, Menu, MenuItem, Popover, Tooltip, Typography } from "@mui/material";
import type { Editor } from "@tiptap/core";
import {
  ALargeSmall,
  AlignCenter,
  AlignLeft,
  AlignRight,
  Bold,
  Braces,
  Check,
  ChevronDown,
  Highlighter,
  Italic,
  Link2,
  List,
  ListOrdered,
  Minus,
  Palette,
  RemoveFormatting,
  Strikethrough,
  Table,
  Type,
  Underline,
  type LucideIcon,
} from "lucide-react";
import { useState, type MouseEvent, type ReactNode } from "react";
import { TEXT_ROLES } from "~/core/cascade";
import { HIGHLIGHTS, LIVE_FIELDS, RICH_SIZES, type Letters, type LiveField } from "~/core/rich";
import { NO_LINK, type Link } from "~/core/schema";
import { ROLE_WORDS, solveLook } from "~/core/theme";
import { themeById } from "~/themes";
import { useStudio, useStudioStore } from "../keeping";
import { LinkField } from "../links";
import { INK, ON_LEMON, Toolbar } from "../ui";
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
] as const;

type ToolProps = {
  label: string;
  keys?: string;
  icon: LucideIcon;
  on?: boolean;
  onClick: (event: MouseEvent<HTMLElement>) => void;
  more?: boolean;
};

/** One tool. The mouse leaves the caret where it is: in the pane. */
function Tool({ label, keys, icon: Icon, on, onClick, more = false }: ToolProps) {
  return (
    <Tooltip title={keys ? `${label} (${keys})` : label}>
      <IconButton
        size="small"
        aria-label={label}
        {...(on === undefined ? {} : { "aria-pressed": on })}
        {...(more ? { "aria-haspopup": "menu" as const } : {})}
        onMouseDown={(event) => event.preventDefault()}
        onClick={onClick}
        sx={{
          borderRadius: 1,
          color: INK.ink,
          px: 0.5,
          height: 30,
          minWidth: 30,
          ...(on ? { ...ON_LEMON, boxShadow: `inset 0 0 0 1.5px ${INK.ink}`, "&:hover": ON_LEMON } : {}),
        }}
      >
        <Icon size={17} strokeWidth={1.75} aria-hidden />
        {more ? <ChevronDown size={12} aria-hidden /> : null}
      </IconButton>
    </Tooltip>
  );
}

type ChooserProps = { label: string; icon: LucideIcon; on?: boolean; children: (close: () => void) => ReactNode };

/** A tool that opens a list of choices. */
function Chooser({ label, icon, on, children }: ChooserProps) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <>
      <Tool
        label={label}
        icon={icon}
        more
        {...(on === undefined ? {} : { on })}
        onClick={(e) => setAnchor(e.currentTarget)}
      />
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)} disableRestoreFocus>
        {children(() => setAnchor(null))}
      </Menu>
    </>
  );
}

function Blocks({ editor }: { editor: Editor }) {
  const current = useEditorFact(editor, (e) =>
    e.isActive("blockquote")
      ? "blockquote"
      : e.isActive("heading")
        ? String(e.getAttributes("heading").level)
        : "paragraph",
  );
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const choose = (block: string) => {
    setAnchor(null);
    const chain = editor.chain().focus();
    if (block === "blockquote") chain.setParagraph().wrapIn("blockquote").run();
    else {
      if (editor.isActive("blockquote")) chain.lift("blockquote");
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

function InsertTools({ editor }: { editor: Editor }) {
  const store = useStudioStore();
  /** What is put in or taken out as a whole is a step of its own, however soon something is typed before or after it. */
  const asStep = (act: () => void) => {
    store.getState().hold(false);
    act();
    store.getState().hold(false);
  };
  const inTable = useEditorFact(editor, (e) => e.isActive("table"));
  const facts = useStudio((s) => s.draft.look.identity);
  const told = (field: LiveField) => (field === "shop" ? facts.name : field === "tagline" ? facts.tagline : "");
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
          (Object.keys(LIVE_FIELDS) as LiveField[]).map((field) => (
            <MenuItem
              key={field}
              onClick={() => {
                close();
                asStep(() => editor.chain().focus().insertContent({ type: "liveField", attrs: { field } }).run());
              }}
            >
              {LIVE_FIELDS[field]}
              {told(field) ? (
                <Typography variant="caption" color="text.secondary" sx={{ ml: 1 }}>
                  {told(field)}
                </Typography>
              ) : null}
            </MenuItem>
          ))
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
      <Tool label="Line across" icon={Minus} onClick={() => editor.chain().focus().setHorizontalRule().run()} />
      <Tool
        label="Plain again"
        icon={RemoveFormatting}
        onClick={() => editor.chain().focus().unsetAllMarks().clearNodes().run()}
      />
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

/** The tools for running text, above the panes while some is being written. `onDone`: in a form, instead of ending the writing in a pane. */
export function WordsBar({ onDone }: { onDone?: () => void }) {
  const store = useStudioStore();
  const editor = useOpenEditor();
  const { most } = useWordsStore().getState();
  if (!editor) return null;
  return (
    <Box sx={{ display: "flex", alignItems: "center", flex: 1, minWidth: 0, overflowX: "auto" }}>
      <Toolbar label="Words">
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
      </Toolbar>
      <Count editor={editor} most={most} />
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
