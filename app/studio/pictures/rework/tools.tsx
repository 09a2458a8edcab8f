import {
  Alert,
  Box,
  Button,
  ButtonBase,
  FormControlLabel,
  LinearProgress,
  Slider,
  Switch,
  ToggleButton,
  ToggleButtonGroup,
  Typography,
} from "@mui/material";
import { Brush as BrushSign, Eraser, FlipHorizontal2, RotateCcw, RotateCw, Scissors } from "lucide-react";
import { useId, useMemo, type ReactNode } from "react";
import {
  CLOSE_FRAME,
  FIRST_CUT,
  MOST_LEAN,
  MOST_SOFT,
  MOST_STROKES,
  turnedBy,
  type Cut,
  type Rework,
} from "~/core/pictures";
import { solveLook } from "~/core/theme";
import { themeById } from "~/themes";
import { useStudio } from "../../keeping";
import { chooseByArrow, INK } from "../../ui";
import type { Brush } from "./stage";
import type { CutterState } from "./use-cutter";
import { saidOfCut } from "./words";

type Change = (next: Rework, key?: string) => void;

const Group = ({ title, children }: { title: string; children: ReactNode }) => (
  <Box component="section" aria-label={title} sx={{ display: "grid", gap: 1 }}>
    <Typography component="h3" variant="subtitle2">
      {title}
    </Typography>
    {children}
  </Box>
);

type Measure = {
  label: string;
  value: number;
  min: number;
  max: number;
  step: number;
  said: (value: number) => string;
  onChange: (value: number) => void;
  onDone?: () => void;
};

function Measured({ label, value, min, max, step, said, onChange, onDone }: Measure) {
  const id = useId();
  return (
    <Box sx={{ px: 0.5 }}>
      <Box sx={{ display: "flex", justifyContent: "space-between" }}>
        <Typography variant="caption" id={id}>
          {label}
        </Typography>
        <Typography variant="caption" color="text.secondary">
          {said(value)}
        </Typography>
      </Box>
      <Slider
        size="small"
        aria-labelledby={id}
        {...{ value, min, max, step }}
        getAriaValueText={said}
        onChange={(_event, next) => onChange(next)}
        {...(onDone ? { onChangeCommitted: onDone, onBlur: onDone } : {})}
      />
    </Box>
  );
}

const degrees = (value: number) => `${value === 0 ? 0 : value.toFixed(1)}°`;

type StraightProps = { rework: Rework; onChange: Change; onLeaning: (is: boolean) => void };

/** Turns a picture by quarters, straightens it, changes left and right. */
export function StraightTools({ rework, onChange, onLeaning }: StraightProps) {
  return (
    <Group title="Straight">
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1 }}>
        <Button
          size="small"
          variant="outlined"
          startIcon={<RotateCcw size={15} aria-hidden />}
          onClick={() => onChange(turnedBy(rework, -1))}
        >
          Turn left
        </Button>
        <Button
          size="small"
          variant="outlined"
          startIcon={<RotateCw size={15} aria-hidden />}
          onClick={() => onChange(turnedBy(rework, 1))}
        >
          Turn right
        </Button>
        <Button
          size="small"
          variant={rework.mirror ? "contained" : "outlined"}
          aria-pressed={rework.mirror}
          startIcon={<FlipHorizontal2 size={15} aria-hidden />}
          onClick={() => onChange({ ...rework, mirror: !rework.mirror })}
        >
          Mirror
        </Button>
      </Box>
      <Measured
        label="Straighten"
        value={rework.lean}
        min={-MOST_LEAN}
        max={MOST_LEAN}
        step={0.1}
        said={degrees}
        onChange={(lean) => {
          onLeaning(true);
          onChange({ ...rework, lean }, "lean");
        }}
        onDone={() => onLeaning(false)}
      />
    </Group>
  );
}

type CutProps = {
  rework: Rework;
  cutter: CutterState;
  brush: Brush | null;
  onBrush: (brush: Brush | null) => void;
  onChange: Change;
};

const BRUSH = { size: 0.015, least: 0.003, most: 0.08 };

/** Takes the ground of a picture away, and mends the cut with a brush. */
export function CutTools({ rework, cutter, brush, onBrush, onChange }: CutProps) {
  const { opened, look, isBusy, hasFailed } = cutter;
  const { cut } = rework;
  if (hasFailed) return <Alert severity="error">This picture could not be opened. Close this and try again.</Alert>;
  if (!cut)
    return (
      <Group title="Cut out">
        <Typography variant="body2" color="text.secondary">
          Takes away what is behind the thing, so that it can stand on any ground.
        </Typography>
        <Box>
          <Button
            variant="outlined"
            startIcon={<Scissors size={16} aria-hidden />}
            disabled={!opened || opened.sort === "clear"}
            onClick={() =>
              onChange({
                ...rework,
                cut: { ...FIRST_CUT, holes: opened?.areHolesOpen ?? false, shadow: opened?.hasShadow ?? false },
              })
            }
          >
            Take the ground away
          </Button>
        </Box>
        {opened?.sort === "clear" ? (
          <Typography variant="caption" color="text.secondary">
            This picture has no ground: it is cut out already.
          </Typography>
        ) : null}
        {opened ? null : <LinearProgress aria-label="Looking at the picture" />}
      </Group>
    );
  const set = (next: Partial<Cut>, key?: string) => onChange({ ...rework, cut: { ...cut, ...next } }, key);
  const said = opened && look ? saidOfCut(opened, look.judgement, cut.strokes.length > 0) : null;
  const size = brush?.size ?? BRUSH.size;
  const isFull = cut.strokes.length >= MOST_STROKES;
  const toggle = (label: string, value: boolean, onSet: (value: boolean) => void) => (
    <FormControlLabel
      control={<Switch size="small" checked={value} onChange={(_event, is) => onSet(is)} />}
      label={label}
    />
  );
  return (
    <Group title="Cut out">
      <Box role="status" sx={{ minHeight: 56 }}>
        {said ? (
          <Alert severity={said.isWell ? "success" : "warning"} sx={{ py: 0.25 }}>
            {said.words}
          </Alert>
        ) : null}
        {isBusy ? <LinearProgress aria-label="Cutting out" sx={{ mt: 0.5 }} /> : null}
      </Box>
      <ToggleButtonGroup
        exclusive
        size="small"
        fullWidth
        aria-label="Brush"
        value={brush?.way ?? null}
        onChange={(_event, way: Brush["way"] | null) => onBrush(way ? { way, size } : null)}
        disabled={isFull}
      >
        <ToggleButton value="keep">
          <BrushSign size={15} aria-hidden />
          &nbsp;Keep
        </ToggleButton>
        <ToggleButton value="take">
          <Eraser size={15} aria-hidden />
          &nbsp;Take away
        </ToggleButton>
      </ToggleButtonGroup>
      <Typography variant="caption" color="text.secondary">
        {isFull
          ? "That is as many strokes as can be kept. Undo some to paint on."
          : brush
            ? "Paint roughly; the edge is found by itself. An opening goes with one touch."
            : "Choose a brush to mend the cut."}
      </Typography>
      {brush ? (
        <Measured
          label="Size of the brush"
          value={Math.sqrt(size)}
          min={Math.sqrt(BRUSH.least)}
          max={Math.sqrt(BRUSH.most)}
          step={0.005}
          said={(value) => `${(value ** 2 * 200).toFixed(1)} % of the picture`}
          onChange={(value) => onBrush({ ...brush, size: Math.round(value ** 2 * 10_000) / 10_000 })}
        />
      ) : null}
      <Measured
        label="Soft edge"
        value={cut.soft}
        min={0}
        max={MOST_SOFT}
        step={1}
        said={(value) => (value === 0 ? "as it is" : `${value} px`)}
        onChange={(soft) => set({ soft }, "soft")}
      />
      <Box sx={{ display: "grid", pl: 1 }}>
        {opened?.hasShadow ? toggle("Keep its shadow", cut.shadow, (shadow) => set({ shadow })) : null}
        {opened?.holeCount
          ? toggle(
              opened.holeCount === 1 ? "Open the opening in it" : `Open the ${opened.holeCount} openings in it`,
              cut.holes,
              (holes) => set({ holes }),
            )
          : null}
        {toggle("Cut the frame close to it", cut.frame !== null, (is) => set({ frame: is ? CLOSE_FRAME : null }))}
      </Box>
      <Box>
        <Button
          size="small"
          onClick={() => {
            onBrush(null);
            onChange({ ...rework, cut: null });
          }}
        >
          Put the ground back
        </Button>
      </Box>
    </Group>
  );
}

type SightProps = {
  /** On what it is seen; null where it has its ground. */
  ground: string | null;
  onGround: (ground: string) => void;
  zoom: number;
  onZoom: (zoom: number) => void;
};

/** How the picture is looked at while it is worked on; nothing of it is kept. */
export const Sight = ({ ground, onGround, zoom, onZoom }: SightProps) => (
  <Box sx={{ display: "flex", flexWrap: "wrap", alignItems: "center", gap: 2, minHeight: 36 }}>
    <ToggleButtonGroup
      exclusive
      size="small"
      aria-label="Zoom"
      value={zoom}
      onChange={(_event, next: number | null) => next && onZoom(next)}
    >
      <ToggleButton value={1}>Whole</ToggleButton>
      <ToggleButton value={2}>2 ×</ToggleButton>
      <ToggleButton value={4}>4 ×</ToggleButton>
    </ToggleButtonGroup>
    {ground === null ? null : <Grounds value={ground} onChange={onGround} />}
  </Box>
);

/** On what a picture without ground is seen: on nothing, or on a colour of the shop. */
function Grounds({ value, onChange }: { value: string; onChange: (ground: string) => void }) {
  const look = useStudio((s) => s.draft.look);
  const choices = useMemo(() => {
    const { sets } = solveLook(themeById(look.theme), look).roles;
    return [
      { id: "none", name: "Nothing" },
      { id: sets.page.page, name: "Your page’s ground" },
      { id: sets.page.brand, name: "Your brand’s colour" },
      { id: sets.page.ink, name: "The colour of words" },
    ];
  }, [look]);
  const current = choices.find((c) => c.id === value) ?? choices[0]!;
  return (
    <Box
      role="radiogroup"
      aria-label="See it on"
      onKeyDown={(event) => chooseByArrow(event, choices, current, ({ id }) => onChange(id))}
      sx={{ display: "flex", alignItems: "center", gap: 1 }}
    >
      <Typography variant="caption" sx={{ mr: 0.5 }}>
        See it on
      </Typography>
      {choices.map(({ id, name }) => (
        <ButtonBase
          key={id}
          role="radio"
          aria-checked={id === current.id}
          aria-label={name}
          title={name}
          tabIndex={id === current.id ? 0 : -1}
          onClick={() => onChange(id)}
          sx={{
            width: 30,
            height: 30,
            borderRadius: "50%",
            border: `1.5px solid ${INK.line}`,
            outline: id === current.id ? `2px solid ${INK.ink}` : "none",
            outlineOffset: 2,
          }}
          style={
            id === "none"
              ? { background: "repeating-conic-gradient(#d9d9d9 0 25%, #fff 0 50%) 0 0 / 12px 12px" }
              : { background: id }
          }
        />
      ))}
    </Box>
  );
}
