import { FormControlLabel, Switch, Typography } from "@mui/material";
import { clockWords, endOfDay, endWords, type DateRule } from "~/core/conditions";
import { Moment } from "./times";
import { Word } from "./word";

type DatesProps = {
  dates: Partial<DateRule>;
  /** A day, as it is offered where there is no date yet. */
  today: string;
  /** It has both a beginning and an end. */
  isBoth?: boolean;
  /** Why they can't be like that. */
  why: string | undefined;
  onSet: (change: Partial<DateRule>) => void;
};

/** From when until when, as words of a sentence that are pressed to change them. */
export function DatesWords({ dates, today, isBoth = false, why, onSet }: DatesProps) {
  return (
    <>
      <Word
        said={dates.from ? `from ${clockWords(dates.from, !dates.yearly)}` : "from now on"}
        label="From when"
        why={why}
      >
        <Moment
          label="From"
          value={dates.from}
          first={`${today}T00:00`}
          {...(isBoth ? {} : { none: "From now on" })}
          onSet={(from) => onSet({ from })}
        />
      </Word>{" "}
      <Word
        said={dates.until ? `until ${endWords(dates.until, !dates.yearly)}` : "without an end"}
        label="Until when"
        why={why}
      >
        <Moment
          label="Until"
          value={dates.until}
          first={endOfDay((dates.from ?? today).slice(0, 10))}
          isEnd
          {...(isBoth ? {} : { none: "Without an end" })}
          onSet={(until) => onSet({ until })}
        />
        <FormControlLabel
          control={
            <Switch
              checked={dates.yearly === true}
              disabled={!dates.from || !dates.until}
              onChange={(_e, on) => onSet({ yearly: on ? true : undefined })}
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
      {dates.yearly ? " every year" : ""}
    </>
  );
}
