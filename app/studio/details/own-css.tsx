import { css as cssLanguage } from "@codemirror/lang-css";
import { linter, type Diagnostic } from "@codemirror/lint";
import { Box, Typography } from "@mui/material";
import CodeMirror, { EditorView } from "@uiw/react-codemirror";
import { useMemo, useState } from "react";
import { setProp } from "~/core/commands";
import type { Part } from "~/core/document";
import { compileOwnCss } from "~/render";
import { chassisOf } from "~/kinds";
import { useStudioStore } from "../keeping";
import { INK, useWhenChanged } from "../ui";

const problemsOf = (text: string) => compileOwnCss(text, "n-x").problems;

/** Checks what stands in the editor with the compiler that the shop uses, as it is typed. */
const check = linter(
  (view): Diagnostic[] => {
    const { length } = view.state.doc;
    return problemsOf(view.state.doc.toString()).map((p) => ({
      from: Math.min(p.from, length),
      to: Math.min(Math.max(p.to, p.from), length),
      severity: "error",
      message: p.why,
    }));
  },
  { delay: 250 },
);

/** The CSS editor itself, loaded when it is opened. */
export default function OwnCssEditor({ node }: { node: Part }) {
  const store = useStudioStore();
  const stored = chassisOf(node).css ?? "";
  const [typed, setTyped] = useState(stored);
  const [refused, setRefused] = useState<string | null>(null);
  // Undo, or another tab.
  useWhenChanged(stored, setTyped);
  const extensions = useMemo(
    () => [
      cssLanguage(),
      check,
      EditorView.contentAttributes.of({ "aria-label": "CSS of this section" }),
      // The studio's policy lets in only style sheets that carry its nonce.
      EditorView.cspNonce.of(document.querySelector<HTMLElement>("script[nonce]")?.nonce ?? ""),
    ],
    [],
  );
  const problems = problemsOf(typed);
  return (
    <Box>
      <Box
        sx={{
          border: `1px solid ${problems.length ? INK.brick : INK.line}`,
          borderRadius: 1,
          overflow: "hidden",
          fontSize: 13,
        }}
      >
        <CodeMirror
          value={typed}
          extensions={extensions}
          minHeight="120px"
          maxHeight="320px"
          basicSetup={{ foldGutter: false, lineNumbers: false, highlightActiveLine: false }}
          placeholder={".head { letter-spacing: .04em }\n& { outline: 1px solid }"}
          onChange={(next) => {
            setTyped(next);
            const { draft, run } = store.getState();
            setRefused(
              run(setProp(draft, node.id, ["css"], next === "" ? undefined : next, "Section CSS changed")) ?? null,
            );
          }}
        />
      </Box>
      {refused ? (
        <Typography variant="caption" color="error" component="p" role="alert">
          {refused}
        </Typography>
      ) : null}
      {problems.slice(0, 3).map((p) => (
        <Typography key={`${p.from} ${p.why}`} variant="caption" color="error" component="p">
          {p.why}
        </Typography>
      ))}
      <Typography variant="caption" color="text.secondary" component="p">
        Reaches this section only. <code>&amp;</code> is the section itself; what can’t be used is left out.
      </Typography>
    </Box>
  );
}
