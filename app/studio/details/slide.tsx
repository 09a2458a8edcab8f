import { Box, Slider, Typography } from "@mui/material";
import { memo, type ReactNode } from "react";

type SlideProps<Key extends string> = {
  /** Which of several it is; said to `onSlide`. */
  readonly name: Key;
  readonly label: string;
  readonly value: number;
  readonly least: number;
  readonly most: number;
  /** With its value above it, and what that is in; without, it stands in one row with its label. */
  readonly unit?: string;
  /** The same function at every drawing. */
  readonly onSlide: (name: Key, value: number) => void;
};

/**
 * A number chosen by sliding. Many of them stand below each other while one is moved: the others are not drawn anew, or the
 * panes would follow the hand ten times a second.
 */
export const Slide = memo(function Slide({ name, label, value, least, most, unit, onSlide }: SlideProps<string>) {
  const slider = (
    <Slider
      size="small"
      aria-label={label}
      value={value}
      min={least}
      max={most}
      valueLabelDisplay={unit === undefined ? "auto" : "off"}
      {...(least < 0 ? { marks: [{ value: 0 }] } : {})}
      {...(unit === undefined ? {} : { sx: { py: 1 } })}
      onChange={(_event, next) => onSlide(name, next)}
    />
  );
  if (unit === undefined)
    return (
      <Box sx={{ display: "grid", gridTemplateColumns: "112px minmax(0,1fr)", alignItems: "center", gap: 1 }}>
        <Typography variant="caption">{label}</Typography>
        {slider}
      </Box>
    );
  return (
    <Box sx={{ mt: 0.5 }}>
      <Box sx={{ display: "flex", justifyContent: "space-between" }}>
        <Typography variant="caption">{label}</Typography>
        <Typography variant="caption" color="text.secondary">
          {value} {unit}
        </Typography>
      </Box>
      {slider}
    </Box>
  );
}) as <Key extends string>(props: SlideProps<Key>) => ReactNode;
