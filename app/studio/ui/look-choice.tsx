import { ToggleButton, ToggleButtonGroup, useColorScheme } from "@mui/material";

/** The looks of the studio itself, and what they are called. */
export const STUDIO_LOOKS = [
  ["system", "As your system"],
  ["light", "Light"],
  ["dark", "Dark"],
] as const;

/** Chooses the look of the studio in this browser. */
export function LookChoice() {
  const { mode, setMode } = useColorScheme();
  return (
    <ToggleButtonGroup
      exclusive
      // The server does not know what this browser chose.
      value={mode ?? null}
      onChange={(_event, next: typeof mode | null) => next && setMode(next)}
      aria-label="Look of the studio"
    >
      {STUDIO_LOOKS.map(([look, words]) => (
        <ToggleButton key={look} value={look}>
          {words}
        </ToggleButton>
      ))}
    </ToggleButtonGroup>
  );
}
