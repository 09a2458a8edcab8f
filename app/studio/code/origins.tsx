import { Box, Chip, TextField } from "@mui/material";
import { useState, type ReactNode } from "react";
import { originIn } from "~/core/code";

type OriginsProps = {
  origins: readonly string[];
  /** At most so many. */
  most: number;
  /** Stands below the field for another one. */
  hint?: string;
  /** `*.` may stand for every name below one. */
  stars?: boolean;
  onChange: (next: readonly string[]) => void;
  children?: ReactNode;
};

/** Places on the web, one by one: what is written is taken as soon as somebody goes on, and said where it is none. */
export function Origins({ origins, most, hint, stars = false, onChange, children }: OriginsProps) {
  const [typed, setTyped] = useState("");
  const origin = originIn(typed);
  const isFine = origin !== undefined && (stars || !origin.includes("*"));
  const isWrong = typed.trim() !== "" && !isFine;
  const take = () => {
    if (!isFine) return;
    onChange([...new Set([...origins, origin])]);
    setTyped("");
  };
  return (
    <>
      {origins.length ? (
        <Box sx={{ display: "flex", flexWrap: "wrap", gap: 0.75 }}>
          {origins.map((each) => (
            <Chip
              key={each}
              size="small"
              label={each.replace("https://", "")}
              onDelete={() => onChange(origins.filter((other) => other !== each))}
            />
          ))}
        </Box>
      ) : null}
      {children}
      {origins.length < most ? (
        <TextField
          label="Another place"
          value={typed}
          error={isWrong}
          helperText={isWrong ? "That is no address that begins with https://, like https://book.example." : hint}
          onChange={(event) => setTyped(event.target.value)}
          onBlur={take}
          onKeyDown={(event) => {
            if (event.key === "Enter") take();
          }}
          slotProps={{ htmlInput: { inputMode: "url", spellCheck: false, maxLength: 300 } }}
        />
      ) : null}
    </>
  );
}
