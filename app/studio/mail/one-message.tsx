import { Box, Button, Link, TextField, Typography } from "@mui/material";
import { Check, Download, OctagonX, Reply, RotateCcw, Trash2 } from "lucide-react";
import { useState } from "react";
import type { EntryState, MailEntry } from "~/core/mail";
import { useMoment, useStudio } from "../keeping";
import { ConfirmDialog, INK } from "../ui";
import { useMailChange } from "./data";

const size = (bytes: number) =>
  bytes < 1024 * 1024 ? `${Math.max(1, Math.round(bytes / 1024))} KB` : `${(bytes / 1024 / 1024).toFixed(1)} MB`;

/** One message: what was answered, the files with it, and what was written back. */
export function OneMessage({ entry, onGone }: { entry: MailEntry; onGone: () => void }) {
  const { id: shop } = useStudio((s) => s.shop);
  const { send, isBusy } = useMailChange();
  const moment = useMoment();
  const [answer, setAnswer] = useState("");
  const [why, setWhy] = useState("");
  const [isRemoving, setRemoving] = useState(false);
  const mark = async (state: EntryState, good: string) => {
    const reply = await send({ intent: "mark", ids: [entry.id], state }, good);
    if (reply.ok) onGone();
  };
  const reply = async () => {
    setWhy("");
    const sent = await send({ intent: "reply", id: entry.id, text: answer }, "Your answer is in the outbox.", true);
    if (sent.ok) onGone();
    else setWhy(sent.problems[0]?.why ?? sent.why);
  };
  return (
    <Box component="article" aria-label={`Message of ${moment(entry.at)}`} sx={{ p: { xs: 2, md: 3 }, maxWidth: 820 }}>
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1, alignItems: "center", mb: 2 }}>
        <Box sx={{ flex: 1, minWidth: 220 }}>
          <Typography variant="h2">{entry.formName}</Typography>
          <Typography variant="body2" color="text.secondary">
            {moment(entry.at)} · from the page “{entry.page}”
            {entry.dropAt === null ? "" : ` · deleted by itself on ${moment(entry.dropAt, false)}`}
          </Typography>
        </Box>
        {entry.state === "spam" ? (
          <Button
            size="small"
            variant="outlined"
            startIcon={<RotateCcw size={15} aria-hidden />}
            disabled={isBusy}
            onClick={() => void mark("read", "It is among the others now.")}
          >
            Not spam
          </Button>
        ) : (
          <>
            {entry.state === "done" ? (
              <Button
                size="small"
                startIcon={<RotateCcw size={15} aria-hidden />}
                disabled={isBusy}
                onClick={() => void mark("read", "It waits for you again.")}
              >
                Not done yet
              </Button>
            ) : (
              <Button
                size="small"
                variant="outlined"
                startIcon={<Check size={15} aria-hidden />}
                disabled={isBusy}
                onClick={() => void mark("done", "Done.")}
              >
                Done
              </Button>
            )}
            <Button
              size="small"
              startIcon={<OctagonX size={15} aria-hidden />}
              disabled={isBusy}
              onClick={() => void mark("spam", "Put among spam.")}
            >
              Spam
            </Button>
          </>
        )}
        <Button
          size="small"
          color="error"
          startIcon={<Trash2 size={15} aria-hidden />}
          disabled={isBusy}
          onClick={() => setRemoving(true)}
        >
          Delete
        </Button>
      </Box>
      <Box component="dl" sx={{ m: 0, borderTop: `1px solid ${INK.line}` }}>
        {entry.answers.map(({ field, label, sort, text }) => {
          const file = sort === "file" ? entry.files.find(({ name }) => name === text) : undefined;
          return (
            <Box
              key={field}
              sx={{
                display: "grid",
                gridTemplateColumns: { xs: "minmax(0,1fr)", sm: "minmax(120px,220px) minmax(0,1fr)" },
                gap: { xs: 0, sm: 2 },
                py: 1.25,
                borderBottom: `1px solid ${INK.line}`,
              }}
            >
              <Typography component="dt" variant="body2" color="text.secondary" sx={{ overflowWrap: "anywhere" }}>
                {label}
              </Typography>
              <Typography component="dd" sx={{ m: 0, whiteSpace: "pre-wrap", overflowWrap: "anywhere" }}>
                {file ? (
                  <Link href={`/s/${shop}/mail/sent/${file.id}`} download>
                    <Download size={14} aria-hidden /> {file.name} ({size(file.bytes)})
                  </Link>
                ) : sort === "mail" ? (
                  <Link href={`mailto:${text}`}>{text}</Link>
                ) : (
                  text
                )}
              </Typography>
            </Box>
          );
        })}
      </Box>
      {entry.files.length ? (
        <Typography variant="caption" component="p" color="text.secondary" sx={{ mt: 1 }}>
          Files come from people you may not know. Open them with care.
        </Typography>
      ) : null}
      {entry.replies.map(({ text, at }) => (
        <Box key={at} sx={{ mt: 2, pl: 2, borderLeft: `3px solid ${INK.lemon}` }}>
          <Typography variant="caption" color="text.secondary">
            You answered on {moment(at)}
          </Typography>
          <Typography sx={{ whiteSpace: "pre-wrap", overflowWrap: "anywhere" }}>{text}</Typography>
        </Box>
      ))}
      {entry.address && entry.state !== "spam" ? (
        <Box sx={{ mt: 3, display: "grid", gap: 1 }}>
          <TextField
            label={`Your answer to ${entry.address}`}
            value={answer}
            multiline
            minRows={4}
            maxRows={16}
            error={why !== ""}
            helperText={why || "It goes out as a letter, with what was asked below it."}
            onChange={(event) => setAnswer(event.target.value)}
            slotProps={{ htmlInput: { maxLength: 10_000 } }}
          />
          <Button
            variant="contained"
            startIcon={<Reply size={16} aria-hidden />}
            disabled={isBusy || answer.trim() === ""}
            onClick={() => void reply()}
            sx={{ justifySelf: "start" }}
          >
            Send the answer
          </Button>
        </Box>
      ) : null}
      <ConfirmDialog
        open={isRemoving}
        title="Delete this message?"
        confirm="Delete"
        onClose={() => setRemoving(false)}
        onConfirm={async () => {
          setRemoving(false);
          if ((await send({ intent: "remove", ids: [entry.id] }, "Deleted.")).ok) onGone();
        }}
      >
        It is deleted for good, with its files. This can’t be undone.
      </ConfirmDialog>
    </Box>
  );
}
