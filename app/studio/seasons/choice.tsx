import { MenuItem, TextField } from "@mui/material";
import { joinSeason } from "~/core/commands";
import { seasonsOf, seasonWith } from "~/core/seasons";
import { useStudio, useStudioStore } from "../keeping";
import { datesWords } from "./words";

type ChoiceProps = {
  /** Parts, or the root of an offer. */
  ids: readonly string[];
  name: string;
};

const MIXED = "mixed";

/** The season to which something belongs; not there while the shop has none. */
export function SeasonChoice({ ids, name }: ChoiceProps) {
  const store = useStudioStore();
  const seasons = useStudio((s) => seasonsOf(s.draft.documents));
  const among = useStudio((s) => [...new Set(ids.map((id) => seasonWith(s.draft.documents, id)?.id ?? ""))].join(" "));
  if (seasons.length === 0) return null;
  const value = among.includes(" ") ? MIXED : among;
  return (
    <TextField
      select
      size="small"
      fullWidth
      label="Belongs to the season"
      value={value}
      onChange={(event) => {
        const { draft, run, say } = store.getState();
        const why = run(joinSeason(draft, ids, event.target.value || undefined, name));
        if (why) say(why, "problem");
      }}
      slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
    >
      <MenuItem value="">None</MenuItem>
      {value === MIXED ? (
        <MenuItem value={MIXED} disabled>
          Different ones
        </MenuItem>
      ) : null}
      {seasons.map((season) => (
        <MenuItem key={season.id} value={season.id}>
          {season.name} ({datesWords(season.dates)})
        </MenuItem>
      ))}
    </TextField>
  );
}
