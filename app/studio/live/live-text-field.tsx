import { Box, ListSubheader, Paper, Popper, TextField, Typography, type TextFieldProps } from "@mui/material";
import { useId, useLayoutEffect, useRef, useState, type KeyboardEvent } from "react";
import { asTyped, fromTyped, storedLive, type Live } from "~/core/live";
import { INK, useWhenChanged } from "../ui";
import { useStudioStore } from "../keeping";
import { groupsOf, useOffers, type LiveGroup } from "./live-of";

/** What was begun before the caret: a brace, and the letters after it. */
const BEGUN = /\{([^{}]{0,40})$/;

type Open = { readonly from: number; readonly to: number; readonly sought: string };

/** As many facts are listed; a shop with many offers has a thousand, and is asked by typing. */
const MOST_LISTED = 24;

/** The facts that are meant by some letters, the first of many. */
function foundIn(groups: readonly LiveGroup[], sought: string): readonly LiveGroup[] {
  const words = sought.trim().toLowerCase();
  let left = MOST_LISTED;
  return groups.flatMap((group) => {
    const facts = group.facts
      .filter(({ live, label }) =>
        `${live.field} ${label} of ${group.name} ${live.field} of ${group.name}`.toLowerCase().includes(words),
      )
      .slice(0, left);
    left -= facts.length;
    return facts.length ? [{ ...group, facts }] : [];
  });
}

type LiveTextFieldProps = Omit<TextFieldProps, "value" | "onChange" | "error" | "helperText" | "slotProps"> & {
  /** As it is stored. */
  value: string;
  most: number;
  hint?: string | undefined;
  /** Facts that the part says itself. */
  own: readonly string[];
  /** Keeps a text; gives why it may not be like that. */
  onSet: (text: string) => string | undefined;
};

/**
 * A text field whose words can hold facts: `{` opens a list of them. What may not be kept stays in the field, with the reason
 * beneath it.
 */
export function LiveTextField({ value, most, hint, own, onSet, ...rest }: LiveTextFieldProps) {
  const store = useStudioStore();
  const offers = useOffers();
  const id = useId();
  const field = useRef<HTMLInputElement | HTMLTextAreaElement>(null);
  const caret = useRef<number | null>(null);
  const [refused, setRefused] = useState<{ typed: string; why: string } | null>(null);
  const [open, setOpen] = useState<Open | null>(null);
  const [at, setAt] = useState(0);
  useWhenChanged(value, () => setRefused(null));
  const shown = refused?.typed ?? asTyped(value, offers);
  useLayoutEffect(() => {
    if (caret.current === null) return;
    field.current?.setSelectionRange(caret.current, caret.current);
    caret.current = null;
  });
  const groups = open ? foundIn(groupsOf(store.getState()), open.sought) : [];
  const facts = groups.flatMap((group) => group.facts);
  const keep = (typed: string, to: number) => {
    const { text, why } = fromTyped(typed, offers, own);
    // A fact that gets the name of its offer is longer than it was typed. In all other text the caret is the browser's: whoever writes
    // with an input method is in the middle of a word.
    const more = why === undefined ? asTyped(text, offers).length - typed.length : 0;
    if (more !== 0) caret.current = to + more;
    const wrong = why ?? onSet(text);
    setRefused(wrong === undefined ? null : { typed, why: wrong });
  };
  const choose = (fact: Live) => {
    if (!open) return;
    const words = asTyped(storedLive(fact), offers);
    const to = open.from + words.length;
    setOpen(null);
    caret.current = to;
    keep(shown.slice(0, open.from) + words + shown.slice(open.to), to);
    field.current?.focus();
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (!open || facts.length === 0) return;
    if (event.key === "ArrowDown" || event.key === "ArrowUp") {
      setAt((at + (event.key === "ArrowDown" ? 1 : facts.length - 1)) % facts.length);
    } else if (event.key === "Enter" || event.key === "Tab") choose(facts[Math.min(at, facts.length - 1)]!.live);
    else if (event.key === "Escape") setOpen(null);
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const near = value.length > most * 0.8;
  const optionId = (n: number) => `${id}-${n}`;
  const isOpen = open !== null && facts.length > 0;
  return (
    <>
      <TextField
        {...rest}
        value={shown}
        inputRef={field}
        error={refused !== null}
        helperText={refused?.why ?? (near ? `${value.length} of ${most} characters` : hint)}
        slotProps={{
          htmlInput: {
            maxLength: most,
            ...(isOpen
              ? {
                  "aria-controls": `${id}-list`,
                  "aria-activedescendant": optionId(Math.min(at, facts.length - 1)),
                  "aria-autocomplete": "list",
                }
              : {}),
          },
        }}
        onKeyDown={onKeyDown}
        onBlur={() => setOpen(null)}
        onChange={(event) => {
          const { value: typed, selectionStart } = event.target;
          const to = selectionStart ?? typed.length;
          const begun = BEGUN.exec(typed.slice(0, to));
          setOpen(begun ? { from: begun.index, to, sought: begun[1]! } : null);
          setAt(0);
          keep(typed, to);
        }}
      />
      <Popper open={isOpen} anchorEl={() => field.current!} placement="bottom-start" sx={{ zIndex: "modal" }}>
        <Paper elevation={6} sx={{ maxHeight: 300, overflowY: "auto", width: 300, mt: 0.5 }}>
          <Box component="ul" role="listbox" id={`${id}-list`} aria-label="Live fields" sx={{ m: 0, p: 0, py: 0.5 }}>
            {groups.map((group) => [
              <ListSubheader key={group.id} role="presentation" sx={{ lineHeight: "28px", position: "static" }}>
                {group.name}
              </ListSubheader>,
              ...group.facts.map((fact) => {
                const n = facts.indexOf(fact);
                return (
                  <Box
                    component="li"
                    key={`${group.id} ${fact.live.field}`}
                    role="option"
                    id={optionId(n)}
                    aria-selected={n === at}
                    onMouseDown={(event) => event.preventDefault()}
                    onClick={() => choose(fact.live)}
                    sx={{
                      display: "flex",
                      gap: 2,
                      px: 2,
                      py: 0.75,
                      cursor: "pointer",
                      fontSize: 14,
                      bgcolor: n === at ? INK.wash : "transparent",
                      "&:hover": { bgcolor: INK.wash },
                    }}
                  >
                    <span style={{ flex: 1 }}>{fact.label}</span>
                    <Typography component="span" color="text.secondary" sx={{ fontSize: 14 }}>
                      {fact.said}
                    </Typography>
                  </Box>
                );
              }),
            ])}
          </Box>
        </Paper>
      </Popper>
    </>
  );
}
