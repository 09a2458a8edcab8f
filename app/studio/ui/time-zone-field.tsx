import { Autocomplete, TextField } from "@mui/material";
import { useMemo } from "react";
import { useIsThere } from "./use-is-there";

/** What currencies are called; absent where a browser doesn’t know. */
export const CURRENCY_NAMES =
  typeof Intl.DisplayNames === "function" ? new Intl.DisplayNames("en", { type: "currency" }) : undefined;

type TimeZoneFieldProps = {
  /** The chosen zone; null: the one that this browser is in. */
  zone: string | null;
  onZone: (zone: string) => void;
  problem?: string | undefined;
  /** The name of a field of a form. */
  name?: string;
};

/** Where a shop's day begins. */
export function TimeZoneField({ zone, onZone, problem, name }: TimeZoneFieldProps) {
  // Only the seller's own browser knows; the server would guess its own.
  const isThere = useIsThere();
  const [here, zones] = useMemo((): readonly [string, readonly string[]] => {
    if (!isThere) return ["Europe/London", ["Europe/London"]];
    const { timeZone } = new Intl.DateTimeFormat().resolvedOptions();
    return [timeZone, Intl.supportedValuesOf("timeZone")];
  }, [isThere]);
  const chosen = zone ?? here;
  return (
    <>
      {name ? <input type="hidden" name={name} value={chosen} /> : null}
      <Autocomplete
        options={zones.includes(chosen) ? zones : [chosen, ...zones]}
        value={chosen}
        onChange={(_event, next) => onZone(next)}
        disableClearable
        getOptionLabel={(option) => option.replace(/_/g, " ")}
        renderInput={(params) => (
          <TextField
            {...params}
            label="Time zone"
            error={problem !== undefined}
            helperText={problem ?? "Your shop’s day begins at midnight there."}
          />
        )}
      />
    </>
  );
}
