import { Alert, Box, Button, TextField, ToggleButton, ToggleButtonGroup, Typography } from "@mui/material";
import { FileUp, Star, Trash2 } from "lucide-react";
import { useRef, useState } from "react";
import { Link } from "react-router";
import type { Review, ReviewState } from "~/core/goods";
import { useStudio, useReload } from "../keeping";
import { Blank, FileInput, IconAction, INK } from "../ui";
import { useChange, useGoods, useSay } from "./data";

const STATE_WORDS: Readonly<Record<ReviewState, string>> = { held: "Waiting", shown: "Shown", hidden: "Hidden" };

export const Stars = ({ stars }: { stars: number }) => (
  <Box role="img" aria-label={`${stars} of 5 stars`} sx={{ display: "inline-flex", gap: 0.25 }}>
    {[1, 2, 3, 4, 5].map((n) => (
      <Star key={n} size={15} aria-hidden fill={n <= stars ? INK.ink : "none"} strokeWidth={1.5} />
    ))}
  </Box>
);

function OneReview({ review }: { review: Review }) {
  const { products } = useGoods();
  const { id: shop, locale } = useStudio((s) => s.shop);
  const { send, isBusy } = useChange();
  const say = useSay();
  const [answering, setAnswering] = useState(false);
  const [answer, setAnswer] = useState(review.answer);
  const product = products.find((p) => p.id === review.product);
  const change = async (set: object, good: string) =>
    say(await send({ intent: "reviews", change: { ids: [review.id], ...set } }), good);
  return (
    <Box
      component="li"
      sx={{
        listStyle: "none",
        border: `1px solid ${INK.line}`,
        borderRadius: 1,
        bgcolor: INK.raised,
        p: 2,
        display: "grid",
        gap: 1,
      }}
    >
      <Box sx={{ display: "flex", gap: 1.5, alignItems: "center", flexWrap: "wrap" }}>
        <Stars stars={review.stars} />
        <Typography sx={{ fontWeight: 600 }}>{review.title || review.name}</Typography>
        <Typography variant="body2" color="text.secondary" sx={{ flex: 1 }}>
          {review.title ? `${review.name}, ` : ""}
          {new Date(review.at).toLocaleDateString(locale, {
            day: "numeric",
            month: "short",
            year: "numeric",
            timeZone: "UTC",
          })}{" "}
          · {product ? <Link to={`/s/${shop}/goods/p/${product.id}`}>{product.title}</Link> : "a product that is gone"}
        </Typography>
        {review.state === "shown" ? (
          <Button size="small" disabled={isBusy} onClick={() => void change({ state: "hidden" }, "No longer shown.")}>
            Hide
          </Button>
        ) : (
          <Button
            size="small"
            variant={review.state === "held" ? "contained" : "outlined"}
            disabled={isBusy}
            onClick={() => void change({ state: "shown" }, "Shown in the shop now.")}
          >
            Show it
          </Button>
        )}
        {review.state === "held" ? (
          <Button
            size="small"
            disabled={isBusy}
            onClick={() => void change({ state: "hidden" }, "Put aside; shoppers don’t see it.")}
          >
            Put aside
          </Button>
        ) : null}
        <Button size="small" aria-expanded={answering} onClick={() => setAnswering(!answering)}>
          {review.answer ? "Change the answer" : "Answer"}
        </Button>
        {review.state === "hidden" ? (
          <IconAction
            label="Remove for good"
            icon={Trash2}
            tone={INK.brick}
            disabled={isBusy}
            onClick={async () => say(await send({ intent: "remove-review", id: review.id }), "Removed.")}
          />
        ) : null}
      </Box>
      <Typography sx={{ whiteSpace: "pre-line", maxWidth: 760 }}>{review.text}</Typography>
      {review.answer && !answering ? (
        <Typography variant="body2" sx={{ borderLeft: `3px solid ${INK.line}`, pl: 1.5, whiteSpace: "pre-line" }}>
          You: {review.answer}
        </Typography>
      ) : null}
      {answering ? (
        <Box sx={{ display: "flex", gap: 1, alignItems: "flex-start" }}>
          <TextField
            label="Your answer"
            value={answer}
            autoFocus
            multiline
            minRows={2}
            onChange={(e) => setAnswer(e.target.value)}
            sx={{ flex: 1 }}
            slotProps={{ htmlInput: { maxLength: 2000 } }}
          />
          <Button
            variant="contained"
            disabled={isBusy || answer.trim() === review.answer}
            onClick={async () => {
              if (
                await change(
                  { answer: answer.trim() },
                  answer.trim() ? "Your answer stands below it." : "Answer taken away.",
                )
              )
                setAnswering(false);
            }}
          >
            Save
          </Button>
        </Box>
      ) : null}
    </Box>
  );
}

type Planned = {
  readonly count: number;
  readonly problems: readonly { readonly line: number; readonly column: string; readonly why: string }[];
};

function BringReviews() {
  const client = useStudio((s) => s.client);
  const reload = useReload();
  const input = useRef<HTMLInputElement>(null);
  const [file, setFile] = useState<File | null>(null);
  const [plan, setPlan] = useState<Planned | null>(null);
  const [said, setSaid] = useState<{ tone: "error" | "success"; text: string } | null>(null);
  const post = async (intent: string, chosen: File) => {
    const body = new FormData();
    body.append("intent", intent);
    body.append("file", chosen, chosen.name);
    const reply = await client.upload("goods/bring-in", body);
    return reply.ok ? (reply.value as Record<string, unknown>) : { step: "refused", why: reply.why };
  };
  const choose = async (chosen: File) => {
    setSaid(null);
    setPlan(null);
    setFile(chosen);
    const answer = await post("plan-reviews", chosen);
    if (answer.step === "planned") setPlan(answer as unknown as Planned);
    else setSaid({ tone: "error", text: String(answer.why) });
  };
  return (
    <Box sx={{ display: "grid", gap: 1 }}>
      <Box>
        <Button variant="outlined" startIcon={<FileUp size={16} aria-hidden />} onClick={() => input.current?.click()}>
          Import reviews
        </Button>
        <Typography variant="body2" color="text.secondary" component="span" sx={{ ml: 1.5 }}>
          A CSV file or workbook with the columns sku, stars, text; and name, title, date, answer if you have them.
        </Typography>
      </Box>
      <FileInput
        ref={input}
        label="File with reviews"
        accept=".csv,.xlsx,text/csv"
        onFiles={([chosen]) => void choose(chosen)}
      />
      {said ? <Alert severity={said.tone}>{said.text}</Alert> : null}
      {plan && file ? (
        <Alert
          severity={plan.problems.length ? "warning" : "info"}
          action={
            <Button
              size="small"
              disabled={plan.count === 0}
              onClick={async () => {
                const answer = await post("import-reviews", file);
                setPlan(null);
                if (answer.step !== "done") return setSaid({ tone: "error", text: String(answer.why) });
                setSaid({
                  tone: "success",
                  text: `${String(answer.added)} reviews brought in; ${String(answer.known)} were there already.`,
                });
                await reload();
              }}
            >
              Import {plan.count}
            </Button>
          }
        >
          {plan.count} reviews were understood.
          {plan.problems.length ? (
            <Box component="ul" sx={{ m: 0, pl: 2.5, maxHeight: 140, overflowY: "auto" }}>
              {plan.problems.slice(0, 50).map((p, i) => (
                <li key={i}>
                  {p.line ? `Line ${p.line}, ${p.column}: ` : ""}
                  {p.why}
                </li>
              ))}
            </Box>
          ) : null}
        </Alert>
      ) : null}
    </Box>
  );
}

/** What shoppers wrote: let it be seen, put it aside, answer it. */
export function ReviewsPage() {
  const { reviews } = useGoods();
  const waiting = reviews.filter((r) => r.state === "held").length;
  const [state, setState] = useState<ReviewState>(waiting ? "held" : "shown");
  const found = reviews.filter((r) => r.state === state);
  const count = (s: ReviewState) => reviews.filter((r) => r.state === s).length;
  return (
    <Box sx={{ overflowY: "auto", p: 2 }}>
      <Box sx={{ maxWidth: 980, mx: "auto", display: "grid", gap: 2 }}>
        <Box sx={{ display: "flex", alignItems: "center", gap: 2, flexWrap: "wrap" }}>
          <Typography variant="h1" sx={{ flex: 1 }}>
            Reviews
          </Typography>
          <ToggleButtonGroup
            exclusive
            size="small"
            value={state}
            aria-label="Which reviews"
            onChange={(_e, next: ReviewState | null) => next && setState(next)}
          >
            {(["held", "shown", "hidden"] as const).map((s) => (
              <ToggleButton key={s} value={s}>
                {STATE_WORDS[s]} ({count(s)})
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
        </Box>
        <BringReviews />
        {found.length ? (
          <Box component="ul" aria-label={STATE_WORDS[state]} sx={{ m: 0, p: 0, display: "grid", gap: 1.25 }}>
            {found.slice(0, 200).map((review) => (
              <OneReview key={review.id} review={review} />
            ))}
          </Box>
        ) : (
          <Blank
            title={state === "held" ? "Nothing waits" : "Nothing here"}
            text={
              state === "held"
                ? "What shoppers write on a product’s page comes here first."
                : "Reviews in this state stand here."
            }
          />
        )}
      </Box>
    </Box>
  );
}
