import { Box, Chip } from "@mui/material";
import { INK, ON_LEMON } from "../ui";
import { NARROWED, type Narrowed } from "./find";

type NarrowProps = {
  /** What is offered, each with how many there are. */
  choices: readonly (readonly [narrowed: Narrowed, count: number])[];
  value: Narrowed;
  onChange: (narrowed: Narrowed) => void;
};

/** Narrows pictures down by what is known of them. What nothing belongs to is not offered. */
export function Narrow({ choices, value, onChange }: NarrowProps) {
  const offered = choices.filter(([id, count]) => count > 0 || id === value);
  return (
    <Box role="group" aria-label="Show" sx={{ display: "flex", flexWrap: "wrap", gap: 0.75 }}>
      {offered.length < 2
        ? null
        : offered.map(([id, count]) => (
            <Chip
              key={id}
              size="small"
              variant="outlined"
              component="button"
              type="button"
              clickable
              label={`${NARROWED[id]} ${count}`}
              aria-pressed={id === value}
              onClick={() => onChange(id === value ? "all" : id)}
              sx={id === value ? { ...ON_LEMON, borderColor: INK.ink, fontWeight: 600 } : {}}
            />
          ))}
    </Box>
  );
}
