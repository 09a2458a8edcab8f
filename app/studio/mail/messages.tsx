import {
  Box,
  Button,
  CircularProgress,
  MenuItem,
  TextField,
  ToggleButton,
  ToggleButtonGroup,
  Typography,
  useMediaQuery,
} from "@mui/material";
import { ArrowLeft, Download } from "lucide-react";
import { useCallback, useEffect, useRef, useState, type KeyboardEvent } from "react";
import type { MailEntry, MessagesAsked } from "~/core/mail";
import { readMessages } from "~/core/protocol";
import { useMoment, useStudio } from "../keeping";
import { Blank, FindField, INK } from "../ui";
import { useMail, useMailChange } from "./data";
import { OneMessage } from "./one-message";

type State = MessagesAsked["state"];
const STATES: readonly (readonly [State, string])[] = [
  ["open", "To answer"],
  ["done", "Done"],
  ["spam", "Spam"],
];

const NOTHING: Readonly<Record<State, readonly [title: string, text: string]>> = {
  open: [
    "Nothing waits for you",
    "What shoppers send with the forms of your pages comes here. Add a form to a page: Pages, Add, “Form”.",
  ],
  done: ["Nothing here yet", "Messages that you have answered, or marked as done, are kept here."],
  spam: ["No spam", "What looks as if a machine had sent it is put here and deleted after 30 days."],
};

/** What a message is mainly about, in a line. */
const gist = ({ answers }: MailEntry): string =>
  (answers.find(({ sort }) => sort === "text") ?? answers.at(-1))?.text.replace(/\s+/g, " ") ?? "";
/** Who sent it: the first few words that were asked for. */
const sender = ({ answers, address }: MailEntry): string =>
  answers.find(({ sort }) => sort === "line")?.text ?? address ?? "Somebody";

type Shown = { readonly entries: readonly MailEntry[]; readonly total: number };

/** Messages as they are asked for; what is typed is waited for a moment. */
function useMessages(state: State, form: string, find: string, counts: string) {
  const client = useStudio((s) => s.client);
  const [shown, setShown] = useState<Shown | null>(null);
  const [why, setWhy] = useState("");
  const [isMore, setMore] = useState(false);
  const asked = useRef(0);
  const read = useCallback(
    async (skip: number) => client.ask(readMessages, { state, form, find, skip }),
    [client, state, form, find],
  );
  // What changed elsewhere is read again, as far down as it was shown; another question begins anew.
  const known = useRef({ read, count: 0 });
  useEffect(() => {
    const mine = ++asked.current;
    const wanted = known.current.read === read ? known.current.count : 0;
    const timer = setTimeout(
      async () => {
        const entries: MailEntry[] = [];
        for (;;) {
          const reply = await read(entries.length);
          if (asked.current !== mine) return;
          setWhy(reply.ok ? "" : reply.why);
          if (!reply.ok) return;
          entries.push(...reply.value.entries);
          const { total } = reply.value;
          if (entries.length >= Math.min(wanted, total) || reply.value.entries.length === 0) {
            known.current = { read, count: entries.length };
            return setShown({ entries, total });
          }
        }
      },
      find ? 200 : 0,
    );
    return () => clearTimeout(timer);
  }, [read, find, counts]);
  const more = async () => {
    if (!shown) return;
    setMore(true);
    const mine = asked.current;
    const reply = await read(shown.entries.length);
    setMore(false);
    if (!reply.ok || asked.current !== mine) return;
    const entries = [...shown.entries, ...reply.value.entries];
    known.current = { read, count: entries.length };
    setShown({ total: reply.value.total, entries });
  };
  return { shown, why, more, isMore };
}

/** What forms bring: found, read, answered, put aside. */
export function MessagesPage() {
  const { counts, forms } = useMail();
  const { id: shop } = useStudio((s) => s.shop);
  const { send } = useMailChange();
  const moment = useMoment();
  const isNarrow = useMediaQuery("(max-width:899.98px)");
  const [state, setState] = useState<State>("open");
  const [form, setForm] = useState("");
  const [find, setFind] = useState("");
  const [open, setOpen] = useState<string | null>(null);
  const { shown, why, more, isMore } = useMessages(state, form, find.trim(), JSON.stringify(counts));
  const entry = shown?.entries.find(({ id }) => id === open);
  const list = useRef<HTMLUListElement>(null);
  const isFiltered = form !== "" || find.trim() !== "";
  const choose = (chosen: MailEntry) => {
    setOpen(chosen.id);
    if (chosen.state === "new") void send({ intent: "mark", ids: [chosen.id], state: "read" }, undefined, true);
  };
  const onKey = (event: KeyboardEvent) => {
    const by = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (!by || !list.current) return;
    const rows = [...list.current.querySelectorAll<HTMLElement>("button[data-row]")];
    const next = rows[rows.indexOf(document.activeElement as HTMLElement) + by];
    if (!next) return;
    event.preventDefault();
    next.focus();
  };
  return (
    <Box
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "minmax(0,1fr)", md: "minmax(300px,380px) minmax(0,1fr)" },
        minHeight: 0,
      }}
    >
      <Box
        sx={{
          display: isNarrow && entry ? "none" : "grid",
          gridTemplateRows: "auto minmax(0,1fr)",
          borderRight: { md: `1px solid ${INK.line}` },
          minHeight: 0,
          bgcolor: INK.raised,
        }}
      >
        <Box sx={{ display: "grid", gap: 1.25, p: 2, borderBottom: `1px solid ${INK.line}` }}>
          <Box sx={{ display: "flex", alignItems: "center", gap: 1 }}>
            <Typography variant="h1" sx={{ flex: 1 }}>
              Messages
            </Typography>
            <Button
              size="small"
              component="a"
              href={`/s/${shop}/mail/messages.csv?form=${encodeURIComponent(form)}`}
              startIcon={<Download size={15} aria-hidden />}
              disabled={counts.open + counts.done === 0}
            >
              As a CSV file
            </Button>
          </Box>
          <ToggleButtonGroup
            exclusive
            fullWidth
            size="small"
            value={state}
            aria-label="Which messages"
            onChange={(_e, next: State | null) => {
              if (!next) return;
              setState(next);
              setOpen(null);
            }}
          >
            {STATES.map(([value, words]) => (
              <ToggleButton key={value} value={value} sx={{ whiteSpace: "nowrap" }}>
                {words} ({counts[value]})
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
          <Box sx={{ display: "flex", gap: 1 }}>
            <FindField label="Find" value={find} onChange={setFind} width="100%" />
            {forms.length > 1 ? (
              <TextField
                select
                label="Form"
                value={forms.includes(form) ? form : ""}
                onChange={(event) => setForm(event.target.value)}
                sx={{ minWidth: 130 }}
                slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
              >
                <MenuItem value="">All</MenuItem>
                {forms.map((each) => (
                  <MenuItem key={each} value={each}>
                    {each}
                  </MenuItem>
                ))}
              </TextField>
            ) : null}
          </Box>
        </Box>
        <Box sx={{ overflowY: "auto", minHeight: 0 }}>
          {shown === null ? (
            <Box sx={{ p: 4, textAlign: "center" }}>
              {why ? <Typography role="alert">{why}</Typography> : <CircularProgress size={22} aria-label="Loading" />}
            </Box>
          ) : shown.entries.length === 0 ? (
            <Box sx={{ px: 2 }}>
              <Blank
                title={isFiltered ? "No message has these words" : NOTHING[state][0]}
                text={isFiltered ? "Try others, or look among Done and Spam." : NOTHING[state][1]}
              />
            </Box>
          ) : (
            <Box component="ul" ref={list} aria-label="Messages" onKeyDown={onKey} sx={{ m: 0, p: 0 }}>
              {shown.entries.map((each) => {
                const isNew = each.state === "new";
                return (
                  <Box component="li" key={each.id} sx={{ listStyle: "none", borderBottom: `1px solid ${INK.line}` }}>
                    <Box
                      component="button"
                      type="button"
                      data-row=""
                      aria-current={each.id === open ? "true" : undefined}
                      onClick={() => choose(each)}
                      sx={{
                        display: "grid",
                        gridTemplateColumns: "minmax(0,1fr) auto",
                        gap: "2px 12px",
                        width: "100%",
                        p: "10px 16px 10px 13px",
                        border: 0,
                        borderLeft: `3px solid ${each.id === open ? INK.lemon : "transparent"}`,
                        bgcolor: each.id === open ? INK.paper : "transparent",
                        color: INK.ink,
                        font: "inherit",
                        textAlign: "left",
                        cursor: "pointer",
                        "&:hover": { bgcolor: INK.paper },
                        "&:focus-visible": { outline: `2px solid ${INK.ink}`, outlineOffset: -2 },
                      }}
                    >
                      <Typography component="span" noWrap sx={{ fontWeight: isNew ? 700 : 500 }}>
                        {isNew ? (
                          <Box component="span" sx={{ mr: 0.75 }} aria-label="New">
                            ●
                          </Box>
                        ) : null}
                        {sender(each)}
                      </Typography>
                      <Typography component="span" variant="caption" color="text.secondary">
                        {moment(each.at, false)}
                      </Typography>
                      <Typography
                        component="span"
                        variant="body2"
                        color="text.secondary"
                        noWrap
                        sx={{ gridColumn: "1 / -1" }}
                      >
                        {each.formName}: {gist(each)}
                      </Typography>
                    </Box>
                  </Box>
                );
              })}
              {shown.total > shown.entries.length ? (
                <Box component="li" sx={{ listStyle: "none", p: 1.5, textAlign: "center" }}>
                  <Button size="small" disabled={isMore} onClick={() => void more()}>
                    Show more ({shown.entries.length} of {shown.total})
                  </Button>
                </Box>
              ) : null}
            </Box>
          )}
        </Box>
      </Box>
      <Box sx={{ overflowY: "auto", minHeight: 0, display: isNarrow && !entry ? "none" : "block" }}>
        {entry ? (
          <>
            {isNarrow ? (
              <Button startIcon={<ArrowLeft size={16} aria-hidden />} onClick={() => setOpen(null)} sx={{ m: 1 }}>
                All messages
              </Button>
            ) : null}
            <OneMessage key={entry.id} entry={entry} onGone={() => setOpen(null)} />
          </>
        ) : (
          <Box sx={{ display: "grid", placeItems: "center", height: "100%", p: 3 }}>
            <Typography color="text.secondary">
              {shown?.entries.length ? "Choose a message to read it." : ""}
            </Typography>
          </Box>
        )}
      </Box>
    </Box>
  );
}
