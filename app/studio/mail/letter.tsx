import { Alert, Autocomplete, Box, Button, TextField, Typography } from "@mui/material";
import { ArrowLeft, Send } from "lucide-react";
import { useCallback, useDeferredValue, useEffect, useMemo, useRef, useState } from "react";
import { Link as RouterLink, useParams } from "react-router";
import { letterProblem, MOST_FOLLOW_DAYS, type Letter, type LetterInput } from "~/core/mail";
import { useStudio } from "../keeping";
import { Blank, ConfirmDialog, INK } from "../ui";
import { Blocks } from "./blocks";
import { LetterSight } from "./letter-sight";
import { useMail, useMailChange } from "./data";

const SORT_WORDS = {
  once: "To everybody, once",
  thanks: "At once to whoever joins",
  follow: "Some days after joining",
};
const WAIT_MS = 700;
/** Keeps what is written a moment after it was; what could not be kept is said beside it, and nothing is lost. */
function useKept(letter: Letter) {
  const { send } = useMailChange();
  const [now, setNow] = useState<LetterInput>(() => {
    const { sort, list, day, subject, blocks } = letter;
    return { sort, list, day, subject, blocks };
  });
  const [why, setWhy] = useState("");
  const [isKept, setKept] = useState(true);
  const version = useRef(letter.version);
  const latest = useRef(now);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const pending = useRef(false);
  const running = useRef<Promise<boolean>>(Promise.resolve(true));
  const keep = useCallback((): Promise<boolean> => {
    clearTimeout(timer.current);
    running.current = running.current.then(async () => {
      const mine = latest.current;
      const reply = await send(
        { intent: "letter", letter: mine, known: { id: letter.id, version: version.current } },
        undefined,
        true,
      );
      if (reply.ok) version.current = reply.value.version ?? version.current + 1;
      setWhy(reply.ok ? "" : (reply.problems[0]?.why ?? reply.why));
      if (reply.ok && latest.current === mine) {
        pending.current = false;
        setKept(true);
      }
      return reply.ok;
    });
    return running.current;
  }, [send, letter.id]);
  const change = (more: Partial<LetterInput>) => {
    latest.current = { ...latest.current, ...more };
    setNow(latest.current);
    pending.current = true;
    setKept(false);
    clearTimeout(timer.current);
    timer.current = setTimeout(() => void keep(), WAIT_MS);
  };
  // Whoever leaves while something waits to be kept has it kept.
  useEffect(
    () => () => {
      if (pending.current) void keep();
    },
    [keep],
  );
  return { now, change, why, isKept, keep };
}

function Bench({ letter }: { letter: Letter }) {
  const { lists } = useMail();
  const { id: shop } = useStudio((s) => s.shop);
  const { send, isBusy } = useMailChange();
  const { now, change, why, isKept, keep } = useKept(letter);
  const [isAsking, setAsking] = useState(false);
  const shown = useDeferredValue(now);
  const name = useStudio((s) => s.draft.look.identity.name);
  const given = useMemo(
    () => ({
      subject: shown.subject,
      blocks: shown.blocks,
      leave: "#",
      because: `You get this letter because you signed up for “${shown.list}” at ${name}.`,
    }),
    [shown, name],
  );
  const problem = letterProblem(now);
  const isOver = letter.state === "sent" || letter.state === "sending";
  const on = lists.find(({ name }) => name === now.list)?.on ?? 0;
  const [days, setDays] = useState(String(now.day));
  const isBadDay = !/^\d{1,3}$/.test(days) || Number(days) > MOST_FOLLOW_DAYS;
  return (
    <Box
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "minmax(0,1fr)", md: "minmax(340px,430px) minmax(0,1fr)" },
        gridTemplateRows: { xs: "auto 70vh", md: "minmax(0,1fr)" },
        overflowY: { xs: "auto", md: "hidden" },
        minHeight: 0,
      }}
    >
      <Box
        sx={{
          overflowY: { md: "auto" },
          p: 2,
          display: "grid",
          gap: 2,
          alignContent: "start",
          gridTemplateColumns: "minmax(0,1fr)",
          borderRight: { md: `1px solid ${INK.line}` },
          bgcolor: INK.raised,
        }}
      >
        <Box sx={{ display: "flex", alignItems: "center", gap: 1 }}>
          <Button
            size="small"
            component={RouterLink}
            to={`/s/${shop}/mail/letters`}
            startIcon={<ArrowLeft size={15} aria-hidden />}
          >
            Letters
          </Button>
          <Box sx={{ flex: 1 }} />
          <Typography variant="caption" color="text.secondary" role="status">
            {isOver ? "" : isKept ? "Saved" : "Saving …"}
          </Typography>
        </Box>
        <Typography variant="h1">{SORT_WORDS[now.sort]}</Typography>
        {why ? (
          <Alert severity="error" action={<Button onClick={() => void keep()}>Try again</Button>}>
            {why}
          </Alert>
        ) : null}
        {isOver ? (
          <Alert severity="info">
            {letter.state === "sending" ? "It is going out." : `It went to ${letter.sent}.`} Copy it in the list of
            letters to write another one.
          </Alert>
        ) : (
          <>
            <Autocomplete
              freeSolo
              size="small"
              options={lists.map(({ name }) => name)}
              value={now.list}
              onInputChange={(_e, next) => next.trim() && next !== now.list && change({ list: next.slice(0, 60) })}
              renderInput={(params) => (
                <TextField
                  {...params}
                  label="List"
                  helperText={on === 1 ? "1 person is on it." : `${on} people are on it.`}
                />
              )}
            />
            {now.sort === "follow" ? (
              <TextField
                label="Days after they joined"
                value={days}
                error={isBadDay}
                helperText={isBadDay ? `Write a number up to ${MOST_FOLLOW_DAYS}.` : undefined}
                slotProps={{ htmlInput: { inputMode: "numeric" } }}
                onChange={(event) => {
                  const next = event.target.value;
                  setDays(next);
                  if (/^\d{1,3}$/.test(next) && Number(next) <= MOST_FOLLOW_DAYS) change({ day: Number(next) });
                }}
              />
            ) : null}
            <TextField
              label="Subject"
              value={now.subject}
              onChange={(event) => change({ subject: event.target.value })}
              slotProps={{ htmlInput: { maxLength: 150 } }}
            />
            <Blocks blocks={now.blocks} onChange={(blocks) => change({ blocks })} />
            <Box
              sx={{
                display: "flex",
                flexWrap: "wrap",
                gap: 1,
                borderTop: `1px solid ${INK.line}`,
                pt: 2,
                alignItems: "center",
              }}
            >
              {now.sort === "once" ? (
                <Button
                  variant="contained"
                  startIcon={<Send size={16} aria-hidden />}
                  disabled={isBusy || problem !== undefined || on === 0}
                  onClick={() => setAsking(true)}
                >
                  Send to {on}
                </Button>
              ) : (
                <Button
                  variant="contained"
                  disabled={isBusy || (problem !== undefined && letter.state !== "on")}
                  onClick={async () => {
                    if (!(await keep())) return;
                    const to = letter.state === "on" ? "draft" : "on";
                    await send(
                      { intent: "set-letter", id: letter.id, to },
                      to === "on" ? "It goes out by itself from now on." : "It goes to nobody any more.",
                    );
                  }}
                >
                  {letter.state === "on" ? "Switch it off" : "Switch it on"}
                </Button>
              )}
              <Button
                disabled={isBusy || problem !== undefined}
                onClick={async () => {
                  if (await keep()) await send({ intent: "trial", id: letter.id }, "A trial is in the outbox, to you.");
                }}
              >
                Send me a trial
              </Button>
              {problem ? (
                <Typography variant="caption" color="text.secondary" sx={{ flexBasis: "100%" }}>
                  {problem}
                </Typography>
              ) : null}
            </Box>
          </>
        )}
      </Box>
      <LetterSight given={given} />
      <ConfirmDialog
        open={isAsking}
        title={on === 1 ? "Send it to 1 person?" : `Send it to ${on} people?`}
        confirm="Send now"
        onClose={() => setAsking(false)}
        onConfirm={async () => {
          setAsking(false);
          if (await keep())
            await send({ intent: "set-letter", id: letter.id, to: "sending" }, "It is going out, to the outbox.");
        }}
      >
        “{now.subject}” goes to everybody on the list “{now.list}”. This can’t be undone.
      </ConfirmDialog>
    </Box>
  );
}

/** One letter: written on the left, seen on the right. */
export function LetterPage() {
  const { letter: id } = useParams();
  const { letters } = useMail();
  const { id: shop } = useStudio((s) => s.shop);
  const letter = letters.find((each) => each.id === id);
  if (!letter)
    return (
      <Blank
        title="This letter is not there any more"
        text="It has been deleted, perhaps in another tab."
        action={
          <Button component={RouterLink} to={`/s/${shop}/mail/letters`} variant="outlined">
            All letters
          </Button>
        }
      />
    );
  return <Bench key={letter.id} letter={letter} />;
}
