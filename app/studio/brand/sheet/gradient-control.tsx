import { Box, Button, MenuItem, Slider, TextField, Typography } from "@mui/material";
import { Minus, Plus } from "lucide-react";
import { useState } from "react";
import {
  gradientCss,
  RATIOS,
  ratioWords,
  solveGradient,
  type Gradient,
  type Stop,
  type StopColour,
} from "~/core/theme";
import { IconAction, INK, Swatch } from "../../ui";
import { ColourField } from "../../colours";
import { useShown } from "../shown";

const MOST_STOPS = 8;

const NAMED: readonly (readonly [value: "brand" | "accent" | "ink", label: string])[] = [
  ["brand", "Brand"],
  ["accent", "Accent"],
  ["ink", "Ink"],
];

/** A gradient with any number of stops at any angle; says whether words can be read on all of it. */
export function GradientControl({
  label,
  value,
  onChange,
}: {
  label: string;
  value: Gradient;
  onChange: (next: Gradient) => void;
}) {
  const { look } = useShown();
  const [chosen, setChosen] = useState(0);
  const roles = look.roles.sets.page;
  const needed = RATIOS[look.level].text;
  const solved = solveGradient(value, roles, [roles["on-brand"], roles["on-accent"]], needed);
  const at = Math.min(chosen, value.stops.length - 1);
  const stop = value.stops[at]!;
  const colourOf = (colour: StopColour) => (colour.startsWith("#") ? colour : roles[colour as "brand"]);
  const setStop = (change: Partial<Stop>) =>
    onChange({ ...value, stops: value.stops.map((s, i) => (i === at ? { ...s, ...change } : s)) });
  const add = () => {
    const sorted = value.stops.toSorted((a, b) => a.at - b.at);
    // The new one goes into the widest gap.
    const gaps = sorted.slice(1).map((s, i) => ({ from: sorted[i]!, to: s, width: s.at - sorted[i]!.at }));
    const widest = gaps.toSorted((a, b) => b.width - a.width)[0]!;
    const made: Stop = { colour: widest.from.colour, at: Math.round((widest.from.at + widest.to.at) / 2) };
    onChange({ ...value, stops: [...value.stops, made] });
    setChosen(value.stops.length);
  };
  return (
    <Box role="group" aria-label={label} sx={{ display: "grid", gap: 1 }}>
      <Box
        style={{ background: gradientCss(value.angle, solved.stops), color: solved.on }}
        sx={{
          height: 40,
          borderRadius: 1,
          border: `1px solid ${INK.line}`,
          display: "grid",
          placeItems: "center",
          fontWeight: 600,
          fontSize: 13,
        }}
      >
        Words on it
      </Box>
      <Typography variant="caption" color="text.secondary">
        {solved.moved ? "Toned down so that words reach " : "Words reach at least "}
        {ratioWords(solved.least)} along its whole length; {needed} is needed.
      </Typography>
      <Box sx={{ px: 1 }}>
        <Slider
          size="small"
          track={false}
          value={value.stops.map((s) => s.at)}
          getAriaLabel={(index) => `Place of stop ${index + 1} of ${value.stops.length}`}
          disableSwap
          onChange={(_event, next, thumb) => {
            setChosen(thumb);
            const places = next as readonly number[];
            onChange({ ...value, stops: value.stops.map((s, i) => ({ ...s, at: places[i]! })) });
          }}
          sx={{ color: INK.ink }}
        />
      </Box>
      <Box sx={{ display: "flex", gap: 0.5, flexWrap: "wrap", alignItems: "center" }}>
        {value.stops.map((s, index) => (
          <Button
            key={index}
            size="small"
            variant={index === at ? "contained" : "outlined"}
            onClick={() => setChosen(index)}
            aria-label={`Stop ${index + 1} at ${s.at} %`}
            startIcon={<Swatch colour={colourOf(s.colour)} size={14} />}
            sx={{ minWidth: 0, px: 1 }}
          >
            {s.at} %
          </Button>
        ))}
        <IconAction
          label="Add a stop"
          icon={Plus}
          size={16}
          disabled={value.stops.length >= MOST_STOPS}
          onClick={add}
        />
        <IconAction
          label="Remove this stop"
          icon={Minus}
          size={16}
          disabled={value.stops.length <= 2}
          onClick={() => {
            onChange({ ...value, stops: value.stops.toSpliced(at, 1) });
            setChosen(0);
          }}
        />
      </Box>
      <TextField
        select
        label="Colour of this stop"
        value={stop.colour.startsWith("#") ? "own" : stop.colour}
        onChange={(event) =>
          setStop({ colour: event.target.value === "own" ? colourOf(stop.colour) : event.target.value })
        }
      >
        {NAMED.map(([name, words]) => (
          <MenuItem key={name} value={name}>
            {words}
          </MenuItem>
        ))}
        <MenuItem value="own">A colour of its own</MenuItem>
      </TextField>
      {stop.colour.startsWith("#") ? (
        <ColourField label="Its colour" value={stop.colour} onChange={(colour) => setStop({ colour })} />
      ) : null}
      <Box sx={{ display: "grid", gridTemplateColumns: "auto 1fr auto", gap: 1.5, alignItems: "center" }}>
        <Typography variant="caption">Angle</Typography>
        <Slider
          size="small"
          aria-label="Angle"
          min={0}
          max={360}
          value={value.angle}
          onChange={(_event, next) => onChange({ ...value, angle: next })}
          sx={{ color: INK.ink }}
        />
        <Typography variant="caption">{value.angle}°</Typography>
      </Box>
    </Box>
  );
}
