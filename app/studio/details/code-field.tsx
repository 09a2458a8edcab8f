import { Box, Button, Dialog, DialogActions, DialogContent, Typography } from "@mui/material";
import { Maximize2 } from "lucide-react";
import { useEffect, useMemo, useRef, useState } from "react";
import { leftOutOf, MOST_ORIGINS, namedIn, originsIn, type OwnCode } from "~/core/code";
import { readAt } from "~/core/operations";
import { nameOf, type Field } from "~/kinds";
import { compileOwnCss } from "~/render";
import { CodeEditor, Origins, type Trouble } from "../code";
import { IconAction, INK, ON_LEMON, useWhenChanged } from "../ui";
import { useSet, useSetOrSay, type FieldProps } from "./use-set";

/** How long after the last letter code is taken over, in ms: each time, what it draws begins anew. */
const PAUSE = 400;

/** What is wrong below an editor: a few lines of it. */
const Wrong = ({ why }: { why: readonly string[] }) =>
  why.slice(0, 3).map((each) => (
    <Typography key={each} variant="caption" color="error" component="p" role="alert">
      {each}
    </Typography>
  ));

const cssTroubles = (text: string): readonly Trouble[] =>
  compileOwnCss(text, { of: "section", selector: ".n-x" }).problems;

/** Code of the seller's own, kept a moment after it was typed. */
export function CodeField({ node, field, path }: FieldProps & { field: Extract<Field, { type: "code" }> }) {
  const stored = String(readAt(node.props, path) ?? "");
  const set = useSet(node, path, `${field.label} changed in ${nameOf(node)}`);
  const [typed, setTyped] = useState(stored);
  const [refused, setRefused] = useState<string | null>(null);
  const [troubles, setTroubles] = useState<readonly Trouble[]>([]);
  const [isLarge, setLarge] = useState(false);
  const waiting = useRef<(() => void) | null>(null);
  // Undo, another tab, or another part.
  useWhenChanged(`${node.id} ${stored}`, () => setTyped(stored));
  useEffect(() => {
    if (typed === stored) return void (waiting.current = null);
    const take = () => {
      waiting.current = null;
      setRefused(set(typed) ?? null);
    };
    waiting.current = take;
    const timer = setTimeout(take, PAUSE);
    return () => clearTimeout(timer);
    // oxlint-disable-next-line react/exhaustive-deps
  }, [typed]);
  // Who goes on to something else has finished.
  useEffect(() => () => waiting.current?.(), []);
  const inPage = field.into === "page";
  const leftOut = useMemo(() => (inPage && field.language === "html" ? leftOutOf(typed) : []), [inPage, field, typed]);
  const tooLong = typed.length > field.most;
  const why = [
    ...(tooLong ? [`There is room for ${field.most.toLocaleString("en")} characters.`] : refused ? [refused] : []),
    ...leftOut,
    ...troubles.map((trouble) => trouble.why),
  ];
  const editor = (
    <CodeEditor
      language={field.language}
      value={typed}
      label={field.label}
      isWrong={why.length > 0}
      large={isLarge}
      {...(inPage && field.language === "css" ? { judge: cssTroubles } : {})}
      onTroubles={setTroubles}
      onChange={setTyped}
    />
  );
  return (
    <Box role="group" aria-label={field.label}>
      <Box sx={{ display: "flex", alignItems: "center", justifyContent: "space-between" }}>
        <Typography variant="caption" color="text.secondary">
          {field.label}
        </Typography>
        <IconAction label={`${field.label}, larger`} icon={Maximize2} onClick={() => setLarge(true)} />
      </Box>
      {isLarge ? null : editor}
      {isLarge ? null : <Wrong why={why} />}
      <Dialog open={isLarge} onClose={() => setLarge(false)} fullWidth maxWidth="lg" aria-label={field.label}>
        <DialogContent>
          {isLarge ? editor : null}
          <Wrong why={why} />
        </DialogContent>
        <DialogActions>
          <Button onClick={() => setLarge(false)}>Done</Button>
        </DialogActions>
      </Dialog>
      {field.hint ? (
        <Typography variant="caption" color="text.secondary" component="p">
          {field.hint}
        </Typography>
      ) : null}
    </Box>
  );
}

/** From where code may load; what it names and may not load yet is offered. */
export function OriginsField({ node, field, path }: FieldProps) {
  const stored = String(readAt(node.props, path) ?? "");
  const set = useSetOrSay(node, path, `${field.label} changed in ${nameOf(node)}`);
  const { origins } = originsIn(stored);
  const { html, css, script } = node.props as unknown as OwnCode;
  const wanted = useMemo(() => namedIn({ html, css, script }), [html, css, script]);
  const offered = wanted.filter((origin) => !origins.includes(origin));
  const put = (next: readonly string[]) => set(next.join("\n"));
  return (
    <Box role="group" aria-label={field.label} sx={{ display: "grid", gap: 1, gridTemplateColumns: "minmax(0,1fr)" }}>
      <Typography variant="caption" color="text.secondary">
        {field.label}
      </Typography>
      <Origins
        origins={origins}
        most={MOST_ORIGINS}
        hint="What is not listed is not loaded. Shoppers’ browsers tell each of these places that they are here."
        stars
        onChange={put}
      >
        {offered.map((origin) => (
          <Box
            key={origin}
            sx={{
              display: "flex",
              alignItems: "center",
              gap: 1,
              p: 1,
              borderRadius: 1,
              border: `1px solid ${INK.line}`,
              ...ON_LEMON,
            }}
          >
            <Typography variant="body2" sx={{ flex: 1, minWidth: 0, overflowWrap: "anywhere" }}>
              The code names {origin.replace("https://", "")}.
            </Typography>
            <Button size="small" color="inherit" onClick={() => put([...origins, origin])}>
              Let it load
            </Button>
          </Box>
        ))}
      </Origins>
    </Box>
  );
}
