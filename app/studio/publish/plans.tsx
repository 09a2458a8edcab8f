import { Alert, Box, Button, Checkbox, FormControlLabel, TextField, Typography } from "@mui/material";
import { CalendarClock } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import { dropPlanned, planPublishing, type PublicationPlan } from "~/core/protocol";
import { clockIn, DAY } from "~/core/situation";
import { useStudio, useStudioStore } from "../keeping";
import { INK } from "../ui";

const MOST_NAMED = 4;

const partsWords = (parts: readonly string[]) =>
  parts.length > MOST_NAMED
    ? `${parts.slice(0, MOST_NAMED - 1).join(", ")} and ${parts.length - MOST_NAMED + 1} more`
    : parts.join(", ");

/** A moment as it is read: "Friday 4 December 2026 at 09:00". */
const whenWords = (at: string, timeZone: string) =>
  new Intl.DateTimeFormat("en-GB", { dateStyle: "full", timeStyle: "short", timeZone }).format(new Date(at));

type PlansProps = { plans: readonly PublicationPlan[]; onPlans: (plans: readonly PublicationPlan[]) => void };

/** What is to go out at a set time, and what became of it. */
export function Plans({ plans, onPlans }: PlansProps) {
  const store = useStudioStore();
  const client = useStudio((s) => s.client);
  const timeZone = useStudio((s) => s.shop.timeZone);
  // What went out as planned is among the publications.
  const shown = plans.filter((plan) => plan.state !== "done");
  const list = useRef<HTMLUListElement>(null);
  useEffect(() => void list.current?.scrollIntoView({ block: "nearest" }), [plans]);
  if (shown.length === 0) return null;
  const drop = async (id: string) => {
    const reply = await client.ask(dropPlanned, { what: "drop", id });
    if (reply.ok) onPlans(reply.value.plans);
    else store.getState().say(reply.why, "problem");
  };
  return (
    <Box
      component="ul"
      ref={list}
      aria-label="Planned"
      sx={{ m: 0, mb: 2, p: 0, listStyle: "none", display: "grid", gap: 1 }}
    >
      {shown.map((plan) => {
        const did = plan.what === "back" ? "go back to what they were" : "go out";
        const said = (
          <>
            <b>{partsWords(plan.parts)}</b> {plan.state === "failed" ? `did not ${did}` : `will ${did}`} on{" "}
            {whenWords(plan.at, timeZone)}
            {plan.back ? `, and back on ${whenWords(plan.back, timeZone)}` : ""}.{plan.why ? ` ${plan.why}` : ""}
          </>
        );
        const button = (
          <Button size="small" onClick={() => void drop(plan.id)} sx={{ flex: "none" }}>
            {plan.state === "failed" ? "All right" : "Take back"}
          </Button>
        );
        return (
          <li key={plan.id}>
            {plan.state === "failed" ? (
              <Alert severity="error" action={button}>
                {said}
              </Alert>
            ) : (
              <Box
                sx={{
                  display: "flex",
                  alignItems: "center",
                  gap: 1.5,
                  px: 1.5,
                  py: 0.75,
                  bgcolor: INK.wash,
                  border: `1px solid ${INK.lemon}`,
                  borderRadius: 1,
                }}
              >
                <CalendarClock size={18} aria-hidden />
                <Typography variant="body2" sx={{ flex: 1 }}>
                  {said}
                </Typography>
                {button}
              </Box>
            )}
          </li>
        );
      })}
    </Box>
  );
}

type PlanFormProps = {
  seq: number;
  /** What goes out; undefined: all of it. */
  parts: readonly string[] | undefined;
  /** A shop that opens has nothing to go back to. */
  canGoBack: boolean;
  onDone: (plans: readonly PublicationPlan[]) => void;
  onCancel: () => void;
  /** The draft has changed since its changes were read. */
  onBehind: () => void;
};

/** Asks when it is to go out, and whether it goes back. Times are of the shop's own zone. */
export function PlanForm({ seq, parts, canGoBack, onDone, onCancel, onBehind }: PlanFormProps) {
  const client = useStudio((s) => s.client);
  const timeZone = useStudio((s) => s.shop.timeZone);
  const now = useStudio((s) => s.now);
  const [at, setAt] = useState(() => `${clockIn(now + DAY, timeZone).slice(0, 10)}T09:00`);
  const [isBack, setIsBack] = useState(false);
  const [back, setBack] = useState(() => `${clockIn(now + 8 * DAY, timeZone).slice(0, 10)}T09:00`);
  const [problem, setProblem] = useState<{ readonly path: string; readonly why: string } | null>(null);
  const [isBusy, setBusy] = useState(false);
  const holder = useRef<HTMLFormElement>(null);
  // Whoever has asked for it may have scrolled further down.
  useEffect(() => void holder.current?.scrollIntoView({ block: "nearest" }), []);
  const send = async () => {
    setBusy(true);
    const given = { seq, at, ...(parts ? { parts: [...parts] } : {}), ...(isBack ? { back } : {}) };
    const reply = await client.ask(planPublishing, { what: "plan", ...given });
    setBusy(false);
    if (reply.ok) return onDone(reply.value.plans);
    if (reply.code === "behind") return onBehind();
    setProblem(reply.problems[0] ?? { path: "", why: reply.why });
  };
  const field = (path: "at" | "back", label: string, value: string, set: (value: string) => void) => (
    <TextField
      size="small"
      type="datetime-local"
      label={label}
      value={value}
      error={problem?.path === path}
      helperText={problem?.path === path ? problem.why : undefined}
      onChange={(e) => {
        set(e.target.value);
        setProblem(null);
      }}
      sx={{ width: 240 }}
      slotProps={{ inputLabel: { shrink: true } }}
    />
  );
  return (
    <Box
      component="form"
      ref={holder}
      aria-label="At a set time"
      onSubmit={(event) => {
        event.preventDefault();
        void send();
      }}
      sx={{
        mb: 2,
        p: 2,
        border: `1px solid ${INK.line}`,
        borderRadius: 1,
        bgcolor: INK.paper,
        display: "grid",
        gap: 1.5,
      }}
    >
      <Typography variant="body2" color="text.secondary">
        It goes out as it is now, whatever you change until then. The times are those of {timeZone.replace(/_/g, " ")}.
      </Typography>
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1.5, alignItems: "start" }}>
        {field("at", "Goes out", at, setAt)}
        {canGoBack ? (
          <FormControlLabel
            control={<Checkbox size="small" checked={isBack} onChange={(_e, on) => setIsBack(on)} />}
            label="and goes back to what is there now"
          />
        ) : null}
        {isBack ? field("back", "Goes back", back, setBack) : null}
      </Box>
      {problem && problem.path !== "at" && problem.path !== "back" ? (
        <Alert severity="error">{problem.why}</Alert>
      ) : null}
      <Box sx={{ display: "flex", gap: 1 }}>
        <Button type="submit" variant="contained" disabled={isBusy}>
          {isBusy ? "Planning …" : "Plan it"}
        </Button>
        <Button onClick={onCancel}>Cancel</Button>
      </Box>
    </Box>
  );
}
