import { autocompletion, type Completion, type CompletionContext } from "@codemirror/autocomplete";
import { css } from "@codemirror/lang-css";
import { html } from "@codemirror/lang-html";
import { javascript } from "@codemirror/lang-javascript";
import { syntaxTree } from "@codemirror/language";
import { linter, type Diagnostic } from "@codemirror/lint";
import { Box, useColorScheme } from "@mui/material";
import CodeMirror, { EditorView, type ViewUpdate } from "@uiw/react-codemirror";
import { useEffect, useMemo, useState } from "react";
import { INK, ON_LEMON } from "../ui";
import type { CodeEditorProps, Trouble } from "./words";

const LANGUAGES = {
  css: () => css(),
  html: () => html(),
  script: () => javascript(),
};

/** What can't be read of what stands in the editor, as its own grammar finds it. */
const unread = (view: EditorView): readonly Trouble[] => {
  const found: Trouble[] = [];
  syntaxTree(view.state).iterate({
    enter: ({ type, from, to }) => {
      if (!type.isError || found.length > 8) return;
      const line = view.state.doc.lineAt(from).number;
      found.push({ from, to, why: `Line ${line}: something is missing here, or too much.` });
    },
  });
  return found;
};

/** Words offered where a value is written in CSS: what the theme calls its colours and steps. */
const offered = (words: readonly Completion[]) => (context: CompletionContext) => {
  const before = context.matchBefore(/(?:var\(\s*)?--[\w-]*/);
  if (!before) return null;
  const isOpen = before.text.startsWith("var(");
  return {
    from: isOpen ? before.from + before.text.indexOf("--") : before.from,
    options: isOpen ? [...words] : words.map((word) => ({ ...word, apply: `var(${word.label})` })),
    validFor: /^--[\w-]*$/,
  };
};

type Hears = { [K in "judge" | "onTroubles" | "onPlace"]: CodeEditorProps[K] | undefined };

/** What the editor calls, which stays the same for as long as it is there, whoever hears it at the time. */
function createEars() {
  let hears: Partial<Hears> = {};
  return {
    give: (now: Hears): void => void (hears = now),
    check: (view: EditorView): Diagnostic[] => {
      const { length } = view.state.doc;
      const troubles = hears.judge?.(view.state.doc.toString()) ?? unread(view);
      hears.onTroubles?.(troubles);
      return troubles.map((p) => ({
        from: Math.min(p.from, length),
        to: Math.min(Math.max(p.to, p.from), length),
        severity: "error",
        message: p.why,
      }));
    },
    listen: ({ view, state, selectionSet, docChanged, focusChanged }: ViewUpdate): void => {
      if (selectionSet || docChanged || focusChanged)
        hears.onPlace?.(view.hasFocus ? state.selection.main.head : null, state.doc.toString());
    },
  };
}

/** An editor for code, with colours, hints and what is wrong. Loaded when it is opened. */
export default function CodeEditor({
  language,
  value,
  label,
  placeholder = "",
  words,
  judge,
  isWrong = false,
  large = false,
  onChange,
  onTroubles,
  onPlace,
}: CodeEditorProps) {
  const { mode, systemMode } = useColorScheme();
  const isDark = (mode === "system" ? systemMode : mode) === "dark";
  const [ears] = useState(createEars);
  useEffect(() => ears.give({ judge, onTroubles, onPlace }));
  const extensions = useMemo(
    () => [
      LANGUAGES[language](),
      linter(ears.check, { delay: 250 }),
      ...(words ? [css().language.data.of({ autocomplete: offered(words) })] : []),
      autocompletion({ activateOnTyping: true }),
      EditorView.updateListener.of(ears.listen),
      EditorView.lineWrapping,
      EditorView.contentAttributes.of({ "aria-label": label }),
      // The studio's policy lets in only style sheets that carry its nonce.
      EditorView.cspNonce.of(document.querySelector<HTMLElement>("script[nonce]")?.nonce ?? ""),
    ],
    [language, label, words, ears],
  );
  return (
    <Box
      sx={{
        border: `1px solid ${isWrong ? INK.brick : INK.line}`,
        borderRadius: 1,
        overflow: "hidden",
        fontSize: 13,
        "& .cm-content": { minHeight: 88 },
        "& .cm-tooltip": { border: `1px solid ${INK.line}`, borderRadius: 1, bgcolor: INK.raised, overflow: "hidden" },
        "& .cm-tooltip.cm-tooltip-autocomplete > ul > li": { px: 1, py: 0.25 },
        "& .cm-tooltip.cm-tooltip-autocomplete > ul > li[aria-selected]": ON_LEMON,
        "& .cm-completionDetail": { color: INK.soft, fontStyle: "normal" },
        "& li[aria-selected] .cm-completionDetail": { color: "inherit" },
      }}
    >
      <CodeMirror
        value={value}
        theme={isDark ? "dark" : "light"}
        extensions={extensions}
        {...(large ? { height: "min(62vh, 640px)" } : { maxHeight: "320px" })}
        basicSetup={{ foldGutter: false, lineNumbers: large || language === "script", highlightActiveLine: false }}
        placeholder={placeholder}
        // The Tab key leads on, as everywhere: it must not hold anybody here (WCAG 2.1.2).
        indentWithTab={false}
        onChange={onChange}
      />
    </Box>
  );
}
