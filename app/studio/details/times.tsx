import {
  Box,
  Button,
  FormControlLabel,
  Link,
  Popover,
  Switch,
  TextField,
  ToggleButton,
  ToggleButtonGroup,
  Typography,
} from "@mui/material";
import { useState, type ReactNode } from "react";
import { setConditions } from "~/core/commands";
import {
  clockWords,
  daysWords,
  endOfDay,
  endWords,
  outlook,
  type Condition,
  type DateRule,
  type Outlook,
  type TimeRule,
} from "~/core/conditions";
import { sameJson } from "~/core/document";
import { clockOf } from "~/core/situation";
import { useStudio, useStudioStore } from "../keeping";
import { INK, useWhenChanged } from "../ui";

type Rules = { readonly dates: DateRule; readonly times: TimeRule };

/** Both rules of a part, whether it has them or not. */
function rulesOf(conditions: readonly Condition[]): Rules {
  const dates = conditions.find((c) => c.when === "dates");
  const times = conditions.find((c) => c.when === "times");
  return { dates: dates ?? { when: "dates" }, times: times ?? { when: "times" } };
}

/** The rules that say something. */
const conditionsOf = ({ dates, times }: Rules): readonly Condition[] => [
  ...(dates.from || dates.until ? [dates] : []),
  ...(times.days || times.from || times.until ? [times] : []),
];

const without = <T extends object>(rule: T): T =>
  Object.fromEntries(Object.entries(rule).filter(([, value]) => value !== undefined)) as T;

/** What is true of a part now, and what comes next, in words. */
function nowWords({ shows, until }: Outlook): string {
  if (until === undefined) return shows ? "It shows now, and goes on to." : "It never shows again.";
  return shows ? `It shows now, until ${endWords(until)}.` : `It doesn’t show now, but from ${clockWords(until)} on.`;
}

type TimesProps = { ids: readonly string[]; name: string; conditions: string | undefined };

/** When parts show, as a sentence whose words are pressed to change it. */
export function Times({ ids, name, conditions }: TimesProps) {
  const store = useStudioStore();
  const clock = useStudio((s) => clockOf(s.situation));
  const [why, setWhy] = useState<string>();
  useWhenChanged(`${ids.join(" ")} ${conditions}`, () => setWhy(undefined));
  const known = JSON.parse(conditions ?? "[]") as readonly Condition[];
  const rules = rulesOf(known);
  const set = (next: Partial<Rules>) => {
    const all = { ...rules, ...next };
    const asked = conditionsOf({ dates: without(all.dates), times: without(all.times) });
    setWhy(undefined);
    if (conditions !== undefined && sameJson(asked, known)) return;
    const { draft, run } = store.getState();
    setWhy(run(setConditions(draft, ids, asked, name)) ?? undefined);
  };
  const { dates, times } = rules;
  const dated = (change: Partial<DateRule>) => {
    const next = { ...dates, ...change };
    set({ dates: next.from && next.until ? next : { ...next, yearly: undefined } });
  };
  const today = clock.slice(0, 10);
  return (
    <Box>
      <Typography component="p" variant="body2" sx={{ lineHeight: 2 }}>
        Shows{" "}
        <Word said={dates.from ? `from ${clockWords(dates.from, !dates.yearly)}` : "from now on"} label="From when">
          <Moment
            label="From"
            value={dates.from}
            first={`${today}T00:00`}
            none="From now on"
            onSet={(from) => dated({ from })}
          />
        </Word>{" "}
        <Word
          said={dates.until ? `until ${endWords(dates.until, !dates.yearly)}` : "without an end"}
          label="Until when"
        >
          <Moment
            label="Until"
            value={dates.until}
            first={endOfDay((dates.from ?? today).slice(0, 10))}
            isEnd
            none="Without an end"
            onSet={(until) => dated({ until })}
          />
          <FormControlLabel
            control={
              <Switch
                checked={dates.yearly === true}
                disabled={!dates.from || !dates.until}
                onChange={(_e, on) => dated({ yearly: on ? true : undefined })}
              />
            }
            label="Every year"
          />
          {dates.from && dates.until ? null : (
            <Typography variant="caption" color="text.secondary" component="p">
              Every year needs a day it begins and one it ends.
            </Typography>
          )}
        </Word>
        {dates.yearly ? " every year" : ""},{" "}
        <Word said={times.days ? `on ${daysWords(times.days)}` : "every day"} label="Which days">
          <Days value={times.days} onSet={(days) => set({ times: { ...times, days } })} />
        </Word>
        ,{" "}
        <Word
          said={
            times.from || times.until
              ? `between ${times.from ?? "00:00"} and ${times.until ?? "00:00"}`
              : "all day long"
          }
          label="Which hours"
        >
          <Hours rule={times} onSet={(hours) => set({ times: { ...times, ...hours } })} />
        </Word>
        .
      </Typography>
      {conditions === undefined ? (
        <Typography variant="caption" component="p" color="text.secondary">
          These parts show at different times. What you set is for all of them.
        </Typography>
      ) : known.length ? (
        <Typography variant="caption" component="p" color="text.secondary">
          {nowWords(outlook(known, clock))} All times are those of your shop.{" "}
          <Link component="button" type="button" onClick={() => set(rulesOf([]))}>
            Always again
          </Link>
        </Typography>
      ) : null}
      {why ? (
        <Typography variant="caption" component="p" color="error" role="alert">
          {why}
        </Typography>
      ) : null}
    </Box>
  );
}

/** Words of the sentence that open what they are changed with. */
function Word({ said, label, children }: { said: string; label: string; children: ReactNode }) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <>
      <Box
        component="button"
        type="button"
        aria-haspopup="dialog"
        aria-label={`${label}: ${said}`}
        onClick={(event) => setAnchor(event.currentTarget)}
        sx={{
          font: "inherit",
          fontWeight: 600,
          color: INK.ink,
          bgcolor: "transparent",
          border: 0,
          borderBottom: `2px solid ${INK.lemon}`,
          p: 0,
          cursor: "pointer",
          "&:hover": { bgcolor: INK.wash },
          "&:focus-visible": { outline: `2px solid ${INK.ink}`, outlineOffset: 2 },
        }}
      >
        {said}
      </Box>
      <Popover
        anchorEl={anchor}
        open={anchor !== null}
        onClose={() => setAnchor(null)}
        anchorOrigin={{ vertical: "bottom", horizontal: "left" }}
        slotProps={{
          paper: { role: "dialog", "aria-label": label, sx: { p: 2, width: 300, display: "grid", gap: 1 } },
        }}
      >
        {children}
      </Popover>
    </>
  );
}

type MomentProps = {
  label: string;
  value: string | undefined;
  /** What is offered first. */
  first: string;
  /** It is the first moment after it. */
  isEnd?: boolean;
  /** What it means to say nothing. */
  none: string;
  onSet: (value: string | undefined) => void;
};

function Moment({ label, value, first, isEnd = false, none, onSet }: MomentProps) {
  const [typed, setTyped] = useState(value ?? "");
  useWhenChanged(value ?? "", setTyped);
  return (
    <>
      <TextField
        type="datetime-local"
        label={label}
        value={typed}
        onChange={(event) => {
          setTyped(event.target.value);
          if (/^\d{4}-\d\d-\d\dT\d\d:\d\d$/.test(event.target.value)) onSet(event.target.value);
        }}
        slotProps={{ inputLabel: { shrink: true } }}
      />
      <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap" }}>
        {value === undefined ? (
          <Button size="small" variant="outlined" onClick={() => onSet(first)}>
            {isEnd ? endWords(first) : clockWords(first)}
          </Button>
        ) : (
          <Button size="small" onClick={() => onSet(undefined)}>
            {none}
          </Button>
        )}
      </Box>
    </>
  );
}

const DAY_NAMES = ["Mon", "Tue", "Wed", "Thu", "Fri", "Sat", "Sun"] as const;
const EVERY_DAY = [1, 2, 3, 4, 5, 6, 7];

function Days({
  value,
  onSet,
}: {
  value: readonly number[] | undefined;
  onSet: (days: readonly number[] | undefined) => void;
}) {
  const chosen = value ?? EVERY_DAY;
  return (
    <>
      <ToggleButtonGroup
        size="small"
        aria-label="Days of the week"
        value={[...chosen]}
        // One day is left: on none it would never show.
        onChange={(_e, days: number[]) =>
          days.length && onSet(days.length === 7 ? undefined : days.toSorted((a, b) => a - b))
        }
        sx={{ "& > *": { flex: 1, px: 0.5 } }}
      >
        {DAY_NAMES.map((day, i) => (
          <ToggleButton key={day} value={i + 1}>
            {day}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap" }}>
        <Button size="small" onClick={() => onSet(undefined)}>
          Every day
        </Button>
        <Button size="small" onClick={() => onSet([1, 2, 3, 4, 5])}>
          Weekdays
        </Button>
        <Button size="small" onClick={() => onSet([6, 7])}>
          Weekends
        </Button>
      </Box>
    </>
  );
}

type HoursOf = Pick<TimeRule, "from" | "until">;

function Hours({ rule, onSet }: { rule: HoursOf; onSet: (hours: HoursOf) => void }) {
  const field = (label: string, key: "from" | "until") => (
    <TextField
      type="time"
      label={label}
      value={rule[key] ?? ""}
      onChange={(event) => onSet({ [key]: event.target.value || undefined })}
      slotProps={{ inputLabel: { shrink: true } }}
    />
  );
  return (
    <>
      <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 1 }}>
        {field("From", "from")}
        {field("Until", "until")}
      </Box>
      <Typography variant="caption" color="text.secondary">
        Hours that end before they begin go on past midnight.
      </Typography>
      <Button size="small" onClick={() => onSet({ from: undefined, until: undefined })}>
        All day long
      </Button>
    </>
  );
}
