import { Box, Typography } from "@mui/material";
import { useEffect, useMemo, useState } from "react";
import { lookCss, solveLook } from "~/core/theme";
import type { Outcome } from "~/core/commands";
import type { Draft } from "~/core/document";
import { compileOwnCss, reachedAt, type CssScope } from "~/render";
import { themeById } from "~/themes";
import { CodeEditor } from "../code";
import { useStudio, useStudioStore } from "../keeping";
import { useWhenChanged } from "../ui";

/** What the theme calls its colours and steps, with what each comes to, to be offered while CSS is written. */
function useThemeWords() {
  const look = useStudio((s) => s.draft.look);
  return useMemo(() => {
    const { measures, colours } = lookCss(solveLook(themeById(look.theme), look));
    const words = new Map<string, string>();
    for (const [, name = "", value = ""] of (measures + colours).matchAll(/[{;](--[\w-]+):([^;}]*)/g))
      if (!words.has(name)) words.set(name, value);
    return [...words].map(([label, detail]) => ({ label, detail: detail.slice(0, 40), type: "variable" }));
  }, [look]);
}

type OwnCssProps = {
  label: string;
  scope: CssScope;
  stored: string;
  /** Makes the change that keeps what was written. */
  change: (draft: Draft, css: string) => Outcome;
  placeholder: string;
  hint: string;
};

/** CSS of a section, a page, or the whole shop, as it is written: what is wrong is said, and what a rule reaches is marked in the panes. */
export function OwnCss({ label, scope, stored, change, placeholder, hint }: OwnCssProps) {
  const store = useStudioStore();
  const words = useThemeWords();
  const [typed, setTyped] = useState(stored);
  const [refused, setRefused] = useState<string | null>(null);
  // Undo, or another tab.
  useWhenChanged(stored, setTyped);
  const { problems } = compileOwnCss(typed, scope);
  // Whoever goes on to something else leaves no marks behind.
  useEffect(() => () => store.getState().setOwnCss({ pointed: "" }), [store]);
  const point = (pointed: string) => {
    if (store.getState().ownCss.pointed !== pointed) store.getState().setOwnCss({ pointed });
  };
  return (
    <Box>
      <CodeEditor
        language="css"
        label={label}
        value={typed}
        words={words}
        placeholder={placeholder}
        isWrong={problems.length > 0}
        judge={(text) => compileOwnCss(text, scope).problems}
        onPlace={(at, text) => point(at === null ? "" : (reachedAt(text, scope, at) ?? ""))}
        onChange={(next) => {
          setTyped(next);
          const { draft, run } = store.getState();
          setRefused(next === stored ? null : (run(change(draft, next)) ?? null));
        }}
      />
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
        {hint}
      </Typography>
    </Box>
  );
}
