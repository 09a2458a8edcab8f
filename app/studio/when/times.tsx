import { Box, Button, TextField, ToggleButton, ToggleButtonGroup, Typography } from "@mui/material";
import { useState } from "react";
import { clockWords, endWords, type TimeRule } from "~/core/conditions";
import { useWhenChanged } from "../ui";

type MomentProps = {
  label: string;
  value: string | undefined;
  /** What is offered first. */
  first: string;
  /** It is the first moment after it. */
  isEnd?: boolean;
  /** What it means to say nothing; absent: something has to be said. */
  none?: string;
  onSet: (value: string | undefined) => void;
};

/** A date and a time, or none. */
export function Moment({ label, value, first, isEnd = false, none, onSet }: MomentProps) {
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
        ) : none === undefined ? null : (
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

/** Days of the week; all of them is no rule at all. */
export function Days({
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

/** Hours of those days. */
export function Hours({ rule, onSet }: { rule: HoursOf; onSet: (hours: HoursOf) => void }) {
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
