import { Box, Button, Chip, Link, Slider, Switch, Typography } from "@mui/material";
import { Copy, Plus, Trash2 } from "lucide-react";
import { useMemo, useState } from "react";
import { Link as RouterLink, useNavigate } from "react-router";
import { dueLetters, NEWS, type Letter, type LetterInput, type LetterSort } from "~/core/mail";
import { useMoment, useStudio } from "../keeping";
import { Blank, ConfirmDialog, IconAction, INK } from "../ui";
import { useMail, useMailChange } from "./data";

const DAY_MS = 86_400_000;
const STATE_WORDS: Readonly<Record<Letter["state"], string>> = {
  draft: "Draft",
  on: "On",
  sending: "Going out",
  sent: "Sent",
};

/** What a new letter of each sort begins with: sentences that are true of any shop. */
function fresh(sort: LetterSort, shop: string, list: string, day: number): LetterInput {
  const words: Readonly<Record<LetterSort, readonly [subject: string, heading: string, text: string]>> = {
    once: ["", "", ""],
    thanks: [
      `Thank you for signing up at ${shop}`,
      "Good that you are here",
      `From now on you hear from ${shop} when there is something to tell.`,
    ],
    follow: ["", "", ""],
  };
  const [subject, heading, text] = words[sort];
  return {
    sort,
    list,
    day,
    subject,
    blocks: [
      { sort: "heading", text: heading },
      { sort: "words", text },
    ],
  };
}

const whenWords = ({ sort, day }: Letter): string =>
  sort === "thanks" ? "At once" : sort === "follow" ? (day === 1 ? "A day later" : `${day} days later`) : "";

type RowProps = { letter: Letter; onRemove: (letter: Letter) => void };

function Row({ letter, onRemove }: RowProps) {
  const { id: shop } = useStudio((s) => s.shop);
  const { send, isBusy } = useMailChange();
  const moment = useMoment();
  const navigate = useNavigate();
  const copy = async () => {
    const { sort, list, day, subject, blocks } = letter;
    const made = await send({ intent: "letter", letter: { sort, list, day, subject, blocks } });
    if (made.ok) await navigate(`/s/${shop}/mail/letters/${made.value.id}`);
  };
  const subject = letter.subject || "No subject yet";
  const counts = [
    letter.sentAt === null ? "" : moment(letter.sentAt),
    letter.sent ? `${letter.sent} sent` : "",
    letter.left ? `${letter.left} left the list from it` : "",
  ];
  return (
    <Box
      component="li"
      sx={{
        listStyle: "none",
        display: "flex",
        flexWrap: "wrap",
        alignItems: "center",
        gap: 1.5,
        px: 1.5,
        py: 1,
        borderBottom: `1px solid ${INK.line}`,
        bgcolor: INK.raised,
      }}
    >
      {letter.sort === "once" ? (
        <Chip
          size="small"
          label={STATE_WORDS[letter.state]}
          variant={letter.state === "draft" ? "outlined" : "filled"}
        />
      ) : (
        <Switch
          size="small"
          checked={letter.state === "on"}
          disabled={isBusy}
          slotProps={{ input: { "aria-label": `${subject} goes out` } }}
          onChange={(_e, on) =>
            void send(
              { intent: "set-letter", id: letter.id, to: on ? "on" : "draft" },
              on ? "It goes out by itself from now on." : "It goes to nobody any more.",
            )
          }
        />
      )}
      <Box sx={{ flex: 1, minWidth: 200 }}>
        <Link component={RouterLink} to={`/s/${shop}/mail/letters/${letter.id}`} sx={{ fontWeight: 600 }}>
          {subject}
        </Link>
        <Typography variant="body2" color="text.secondary">
          {[whenWords(letter), `to ${letter.list}`, ...counts].filter(Boolean).join(" · ")}
        </Typography>
      </Box>
      <IconAction label={`Copy ${letter.subject || "this letter"}`} icon={Copy} size={16} onClick={() => void copy()} />
      {letter.state === "sending" ? null : (
        <IconAction
          label={`Delete ${letter.subject || "this letter"}`}
          icon={Trash2}
          size={16}
          onClick={() => onRemove(letter)}
        />
      )}
    </Box>
  );
}

/** What somebody who joins today will have got by a day: the letters that follow, seen before they go out. */
function Ahead({ letters }: { letters: readonly Letter[] }) {
  const now = useStudio((s) => s.now);
  const moment = useMoment();
  const last = Math.max(7, ...letters.map(({ day }) => day));
  const [day, setDay] = useState(0);
  const got = useMemo(
    () =>
      dueLetters(
        letters.map((letter) => ({ ...letter, onSince: 0 })),
        now,
        now + day * DAY_MS,
      ),
    [letters, now, day],
  );
  return (
    <Box sx={{ border: `1px solid ${INK.line}`, borderRadius: 1, p: 2, bgcolor: INK.paper }}>
      <Typography variant="h3" id="ahead">
        Somebody joins today. What will they have got by {moment(now + day * DAY_MS, false)}?
      </Typography>
      <Slider
        value={day}
        min={0}
        max={last}
        marks={letters.map(({ day: at }) => ({ value: at }))}
        onChange={(_e, next) => setDay(next)}
        aria-labelledby="ahead"
        getAriaValueText={(value) => `after ${value} days`}
        valueLabelDisplay="auto"
        valueLabelFormat={(value) => (value === 0 ? "Today" : value === 1 ? "A day later" : `${value} days later`)}
      />
      <Typography role="status">
        {got.length === 0
          ? "Nothing yet."
          : got.map(({ subject, id }, i) => (
              <Box component="span" key={id}>
                {i ? ", " : ""}“{subject || "No subject yet"}”
              </Box>
            ))}
      </Typography>
    </Box>
  );
}

/** Letters to lists: those that go out by themselves, and those to everybody at one time. */
export function LettersPage() {
  const { letters, lists } = useMail();
  const { id: shop } = useStudio((s) => s.shop);
  const name = useStudio((s) => s.draft.look.identity.name);
  const { send, isBusy } = useMailChange();
  const navigate = useNavigate();
  const [removing, setRemoving] = useState<Letter | null>(null);
  const list = lists[0]?.name ?? NEWS;
  const byItself = letters.filter(({ sort }) => sort !== "once").sort((a, b) => a.day - b.day);
  const toAll = letters.filter(({ sort }) => sort === "once");
  const add = async (sort: LetterSort) => {
    const day = sort === "follow" ? Math.max(0, ...byItself.map((each) => each.day)) + 3 : 0;
    const made = await send({ intent: "letter", letter: fresh(sort, name, list, day) });
    if (made.ok) await navigate(`/s/${shop}/mail/letters/${made.value.id}`);
  };
  const on = byItself.filter(({ state }) => state === "on");
  const button = (sort: LetterSort, words: string) => (
    <Button
      size="small"
      variant={sort === "once" ? "contained" : "outlined"}
      startIcon={<Plus size={16} aria-hidden />}
      disabled={isBusy}
      onClick={() => void add(sort)}
    >
      {words}
    </Button>
  );
  const rows = (label: string, all: readonly Letter[]) => (
    <Box
      component="ul"
      aria-label={label}
      sx={{ m: 0, p: 0, border: `1px solid ${INK.line}`, borderBottom: 0, borderRadius: 1, overflow: "hidden" }}
    >
      {all.map((letter) => (
        <Row key={letter.id} letter={letter} onRemove={setRemoving} />
      ))}
    </Box>
  );
  return (
    <Box sx={{ overflowY: "auto", p: 2, minHeight: 0 }}>
      <Box sx={{ maxWidth: 980, mx: "auto", display: "grid", gap: 2, gridTemplateColumns: "minmax(0,1fr)" }}>
        <Box sx={{ display: "flex", flexWrap: "wrap", alignItems: "center", gap: 1 }}>
          <Typography variant="h1" sx={{ flex: 1 }}>
            Letters
          </Typography>
          {button("once", "Write to a list")}
        </Box>
        {toAll.length ? (
          rows("To everybody on a list", toAll)
        ) : (
          <Blank
            title="No letter yet"
            text="A letter goes to everybody on a list, in the look of your shop. You see it first, and can send it to yourself."
          />
        )}
        <Box sx={{ display: "flex", flexWrap: "wrap", alignItems: "center", gap: 1, mt: 2 }}>
          <Typography variant="h2" sx={{ flex: 1 }}>
            By themselves, to whoever joins
          </Typography>
          {byItself.some(({ sort }) => sort === "thanks") ? null : button("thanks", "Thanks at once")}
          {button("follow", "A letter some days later")}
        </Box>
        {byItself.length ? (
          rows("By themselves", byItself)
        ) : (
          <Typography color="text.secondary">
            Nothing goes out by itself yet. Thanks at once, and a letter some days later, are read more than any other.
          </Typography>
        )}
        {on.length ? <Ahead letters={on} /> : null}
      </Box>
      <ConfirmDialog
        open={removing !== null}
        title={`Delete “${removing?.subject || "No subject yet"}”?`}
        confirm="Delete"
        onClose={() => setRemoving(null)}
        onConfirm={() => {
          if (removing) void send({ intent: "remove-letter", id: removing.id }, "Deleted.");
          setRemoving(null);
        }}
      >
        The letter and what is known of how often it was sent are deleted for good. What people have got stays with
        them.
      </ConfirmDialog>
    </Box>
  );
}
