import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, TextField, Typography } from "@mui/material";
import { useEffect, useState } from "react";
import { setSpellings } from "~/core/commands";
import { MOST_SPELLINGS, spellingsOf, type Spelling } from "~/core/document";
import { findInGoods } from "~/core/goods";
import type { Found } from "~/core/rich";
import { findWords } from "~/kinds/find-words";
import { useStudio, useStudioStore } from "../keeping";
import { INK } from "../ui";

type Row = { readonly key: number; readonly say: string; readonly instead: string };

const wordsIn = (instead: string): readonly string[] => [
  ...new Set(
    instead
      .split(",")
      .map((word) => word.trim())
      .filter(Boolean),
  ),
];

/** Whether words differ in their capitals alone, so that capitals have to be minded. */
const minds = (say: string, word: string) => say.toLowerCase() === word.toLowerCase();

/**
 * How often each word stands on the pages that the shop would rather write otherwise. They are looked for one after another, so that
 * a long list holds nothing up.
 */
function useCounts(rows: readonly Row[]): ReadonlyMap<string, number> {
  const draft = useStudio((s) => s.draft);
  const goods = useStudio((s) => s.stored);
  const [counts, setCounts] = useState<ReadonlyMap<string, number>>(new Map());
  useEffect(() => {
    const sought = rows.flatMap(({ say, instead }) => wordsIn(instead).map((words) => ({ say, words })));
    const found = new Map<string, number>();
    let at = 0;
    const next = () => {
      const each = sought[at++];
      if (!each) return setCounts(found);
      const { say, words } = each;
      const how = { words, whole: true, matchCase: minds(say, words) };
      const texts: readonly Found[] = [...findWords(draft, how), ...findInGoods(goods, how)];
      found.set(
        words,
        texts.reduce((sum, { spans }) => sum + spans.length, 0),
      );
      timer = setTimeout(next);
    };
    let timer = setTimeout(next);
    return () => clearTimeout(timer);
  }, [draft, goods, rows]);
  return counts;
}

/** How the shop writes words: kept in one list, counted on the pages, and put right from there. */
export function WordList({
  open,
  onClose,
  onPutRight,
}: {
  open: boolean;
  onClose: () => void;
  /** Somebody wants to put these words in the place of those. */
  onPutRight: (words: string, by: string) => void;
}) {
  return open ? <Asked onClose={onClose} onPutRight={onPutRight} /> : null;
}

let keys = 0;
const rowOf = ({ say, instead }: Spelling): Row => ({ key: ++keys, say, instead: instead.join(", ") });
const emptyRow = (): Row => ({ key: ++keys, say: "", instead: "" });

/** Why a row can't be kept; undefined where it can, and where there is nothing in it. */
function rowProblem({ say, instead }: Row): string | undefined {
  if (!say.trim() && !instead.trim()) return undefined;
  if (!say.trim()) return "How is it written?";
  const others = wordsIn(instead);
  if (others.length === 0) return "What is it not to be?";
  if (others.includes(say.trim())) return "Both sides are the same.";
  return others.length > 20 ? "Twenty at most." : undefined;
}

function Asked({ onClose, onPutRight }: { onClose: () => void; onPutRight: (words: string, by: string) => void }) {
  const store = useStudioStore();
  const [rows, setRows] = useState<readonly Row[]>(() => {
    const kept = spellingsOf(store.getState().draft.documents).map(rowOf);
    return kept.length ? kept : [emptyRow()];
  });
  const [why, setWhy] = useState("");
  const [asked, setAsked] = useState(rows);
  const counts = useCounts(asked);
  const change = (key: number, part: Partial<Row>) =>
    setRows(rows.map((row) => (row.key === key ? { ...row, ...part } : row)));
  const isBad = rows.some((row) => rowProblem(row) !== undefined);
  const keep = (): boolean => {
    if (isBad) return false;
    const words = rows
      .filter((row) => row.say.trim())
      .map(({ say, instead }) => ({ say: say.trim(), instead: wordsIn(instead) }));
    const state = store.getState();
    if (JSON.stringify(words) === JSON.stringify(spellingsOf(state.draft.documents))) return true;
    const refused = state.run(setSpellings(state.draft, words));
    setWhy(refused ?? "");
    return !refused;
  };
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="word-list-title">
      <DialogTitle id="word-list-title" component="h2" sx={{ typography: "h2" }}>
        Words of the shop
      </DialogTitle>
      <DialogContent sx={{ display: "grid", gap: 2, gridTemplateColumns: "minmax(0,1fr)" }}>
        <Typography color="text.secondary">
          How you write names and words that can be written in several ways, so that they are the same everywhere.
        </Typography>
        {rows.map((row) => {
          const problem = rowProblem(row);
          const found = wordsIn(row.instead).filter((word) => (counts.get(word) ?? 0) > 0);
          return (
            <Box key={row.key} sx={{ borderBottom: `1px solid ${INK.line}`, pb: 1.5 }}>
              <Box
                sx={{
                  display: "grid",
                  gridTemplateColumns: { xs: "minmax(0,1fr) auto", sm: "1fr 1.4fr auto" },
                  gap: 1,
                  alignItems: "start",
                }}
              >
                <TextField
                  label="Write"
                  value={row.say}
                  onChange={(event) => change(row.key, { say: event.target.value })}
                  slotProps={{ htmlInput: { maxLength: 80, spellCheck: false } }}
                />
                <TextField
                  sx={{ order: { xs: 1, sm: 0 }, gridColumn: { xs: "1 / -1", sm: "auto" } }}
                  label="Not"
                  value={row.instead}
                  error={problem !== undefined && row.instead !== ""}
                  helperText={problem ?? "Several with commas between"}
                  onChange={(event) => change(row.key, { instead: event.target.value })}
                  onBlur={() => setAsked(rows)}
                  slotProps={{ htmlInput: { maxLength: 400, spellCheck: false } }}
                />
                <Button
                  size="small"
                  aria-label={`Remove ${row.say || "this word"}`}
                  onClick={() => setRows(rows.filter((each) => each.key !== row.key))}
                  sx={{ mt: 0.5 }}
                >
                  Remove
                </Button>
              </Box>
              {found.map((word) => (
                <Box key={word} sx={{ display: "flex", alignItems: "center", gap: 1 }}>
                  <Typography variant="body2" sx={{ flex: 1 }}>
                    “{word}” stands on your pages and goods{" "}
                    {counts.get(word) === 1 ? "once" : `${counts.get(word)} times`}.
                  </Typography>
                  <Button
                    size="small"
                    disabled={isBad}
                    onClick={() => {
                      if (keep()) onPutRight(word, row.say.trim());
                    }}
                  >
                    Put right …
                  </Button>
                </Box>
              ))}
            </Box>
          );
        })}
        {rows.length < MOST_SPELLINGS ? (
          <Button sx={{ justifySelf: "start" }} onClick={() => setRows([...rows, emptyRow()])}>
            Another word
          </Button>
        ) : null}
        {why ? (
          <Typography role="alert" color="error">
            {why}
          </Typography>
        ) : null}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Cancel</Button>
        <Button variant="contained" disabled={isBad} onClick={() => keep() && onClose()}>
          Save
        </Button>
      </DialogActions>
    </Dialog>
  );
}
