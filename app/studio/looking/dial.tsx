import { Slider, type SliderProps } from "@mui/material";
import { clockPlus, clockWords } from "~/core/conditions";
import { DAY } from "~/core/situation";

/** The days that a dial goes round: a year. */
export const DIAL_DAYS = 366;

/** The days since 1970 of what a clock shows, with the part of the day that has passed. */
export const daysOf = (clock: string): number => Date.parse(`${clock}:00Z`) / DAY;

const month = new Intl.DateTimeFormat("en-GB", { month: "short", timeZone: "UTC" });

/** The firsts of the months of a dial, in days from its beginning. */
export function monthsFrom(begin: string): readonly { readonly value: number; readonly label: string }[] {
  return Array.from({ length: DIAL_DAYS }, (_, value) => ({ value, clock: clockPlus(begin, value) }))
    .filter(({ clock }) => clock.slice(8, 10) === "01")
    .map(({ value, clock }) => ({ value, label: month.format(daysOf(clock) * DAY) }));
}

type DialProps = {
  label: string;
  /** The first day of the dial, at midnight; the time at which panes are, and what the shop's clocks show now. */
  begin: string;
  at: string;
  now: string;
  /** Months are named by a letter: there is little room. */
  letters?: boolean;
  /** undefined: it was turned to today. The hour stays. */
  onTurn: (at: string | undefined) => void;
  sx?: SliderProps["sx"];
};

/** Turns to another day of a year. */
export function Dial({ label, begin, at, now, letters = false, onTurn, sx }: DialProps) {
  const clockAt = (value: number) => clockPlus(begin, value).slice(0, 10);
  const words = (value: number) => clockWords(`${clockAt(value)}T00:00`);
  return (
    <Slider
      size="small"
      track={false}
      aria-label={label}
      min={0}
      max={DIAL_DAYS}
      value={Math.min(DIAL_DAYS, Math.max(0, Math.floor(daysOf(at) - daysOf(begin))))}
      marks={monthsFrom(begin).map(({ value, label: name }) => ({ value, label: letters ? name.slice(0, 1) : name }))}
      getAriaValueText={words}
      valueLabelDisplay="auto"
      valueLabelFormat={words}
      onChange={(_e, value) =>
        onTurn(clockAt(value) === now.slice(0, 10) ? undefined : `${clockAt(value)}T${at.slice(11)}`)
      }
      sx={sx ?? null}
    />
  );
}
