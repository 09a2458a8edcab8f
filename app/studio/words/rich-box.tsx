import { Box, Typography } from "@mui/material";
import { Editor, type JSONContent } from "@tiptap/core";
import { useEffect, useEffectEvent, useRef, useState } from "react";
import { sameJson } from "~/core/document";
import { plainOf, treeOf, type Rich } from "~/core/rich";
import { useStudioStore } from "../keeping";
import { liveOf } from "../live";
import { INK } from "../ui";
import { createWordsStore, WordsProvider } from "./editing";
import { extensionsFor } from "./extensions";
import { fittedText } from "./fitted";
import { WordsBar } from "./words-bar";

type RichBoxProps = {
  label: string;
  value: Rich;
  most: number;
  onChange: (next: Rich) => void;
  problem?: string | undefined;
};

/** Running text in a form: the same editor and tools as in a pane, in a box of its own. */
export default function RichBox({ label, value, most, onChange, problem }: RichBoxProps) {
  const store = useStudioStore();
  const [words] = useState(createWordsStore);
  const [isOpen, setOpen] = useState(false);
  const [cut, setCut] = useState("");
  const holder = useRef<HTMLDivElement>(null);
  const box = useRef<HTMLDivElement>(null);
  const open = useRef<Editor | null>(null);
  const written = useRef<Rich>(value);
  const change = useEffectEvent(onChange);
  useEffect(() => {
    const element = holder.current;
    if (!element) return;
    const editor = new Editor({
      element,
      injectCSS: false,
      extensions: extensionsFor({
        picture: () => undefined,
        live: () => liveOf(store.getState()),
        onProblem: setCut,
        most,
        onFull: () => undefined,
        keys: {},
      }),
      content: treeOf(written.current) as JSONContent,
      editorProps: { attributes: { role: "textbox", "aria-multiline": "true", "aria-label": label } },
      onUpdate: ({ editor: changed }) => {
        setCut("");
        const next = fittedText(changed, { most, isFigured: false }, setCut);
        if (sameJson(next, written.current)) return;
        written.current = next;
        change(next);
      },
      onFocus: () => setOpen(true),
    });
    open.current = editor;
    words.setState({ editor, room: { most, isFigured: false } });
    return () => {
      words.setState({ editor: null });
      open.current = null;
      editor.destroy();
    };
    // The editor lives for as long as the box does.
    // oxlint-disable-next-line react/exhaustive-deps
  }, []);
  useEffect(() => {
    if (!open.current || sameJson(value, written.current)) return;
    written.current = value;
    open.current.commands.setContent(treeOf(value) as JSONContent, { emitUpdate: false });
  }, [value]);
  const count = plainOf(value).length;
  return (
    <Box
      ref={box}
      onBlur={(event) => {
        // Menus of the tools open outside of the box; they don't end the writing.
        const to = event.relatedTarget as HTMLElement | null;
        if (to && !box.current?.contains(to) && !to.closest(".MuiPopover-root,.MuiModal-root")) setOpen(false);
      }}
    >
      <Typography variant="caption" color={problem ? "error" : "text.secondary"}>
        {label}
      </Typography>
      <Box
        sx={{
          border: `1px solid ${problem ? INK.brick : INK.line}`,
          borderRadius: 1,
          bgcolor: INK.raised,
          "&:focus-within": { borderColor: INK.ink },
          "& .ProseMirror": {
            minHeight: 110,
            maxHeight: 360,
            overflowY: "auto",
            p: 1.5,
            outline: 0,
            lineHeight: 1.55,
            counterReset: "rich-note",
          },
          "& .ProseMirror p": { m: 0 },
          "& .ProseMirror > * + *": { mt: 1.25 },
          "& .rich-h": { fontFamily: '"Bricolage Grotesque"', fontWeight: 700, fontSize: 18, m: 0 },
          "& .rich-list": { pl: 3, m: 0 },
          "& .rich-callout": { bgcolor: INK.paper, borderLeft: `4px solid ${INK.ink}`, p: 1.5 },
          "& .rich-note": { counterIncrement: "rich-note", border: `1px solid ${INK.line}`, borderRadius: 4, px: 0.5 },
          "& .rich-note::before": { content: "counter(rich-note)" },
          "& .rich-table": { borderCollapse: "collapse", width: "100%" },
          "& .rich-table td, & .rich-table th": { border: `1px solid ${INK.line}`, p: 0.75, textAlign: "start" },
        }}
      >
        {isOpen ? (
          <WordsProvider value={words}>
            <Box
              sx={{
                display: "flex",
                flexWrap: "wrap",
                px: 0.5,
                py: 0.25,
                borderBottom: `1px solid ${INK.line}`,
                overflowX: "auto",
              }}
            >
              <WordsBar onDone={() => setOpen(false)} />
            </Box>
          </WordsProvider>
        ) : null}
        <div ref={holder} />
      </Box>
      {cut ? (
        <Typography variant="caption" component="p" color="error" role="alert">
          {cut}
        </Typography>
      ) : null}
      {problem || count > most * 0.8 ? (
        <Typography variant="caption" color={problem ? "error" : "text.secondary"}>
          {problem ?? `${count} of ${most} characters`}
        </Typography>
      ) : null}
    </Box>
  );
}
