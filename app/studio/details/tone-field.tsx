import { Box, Button, ButtonBase, Link, MenuItem, Slider, TextField, Typography } from "@mui/material";
import { Trash2 } from "lucide-react";
import { useId, useMemo, useState, type ReactNode } from "react";
import { setTone } from "~/core/commands";
import { entryOf, newId } from "~/core/document";
import {
  filterValues,
  PLAIN_TONE,
  type DrawnTone,
  sourceOf,
  TONES,
  TONE_ROLES,
  type Picture,
  type PictureView,
  type Tone,
  type ToneRole,
} from "~/core/pictures";
import { placesInTone, toneAsked, tonesOf } from "~/render";
import { useStudio, useStudioStore } from "../keeping";
import { chooseByArrow, IconAction, INK } from "../ui";

const ROLE_NAMES: Readonly<Record<ToneRole, string>> = {
  brand: "Brand",
  accent: "Accent",
  ink: "Words",
  page: "Page",
  raised: "Raised",
};

type ToneFieldProps = {
  picture: Picture;
  tone: PictureView["tone"];
  onChange: (tone: PictureView["tone"], label: string) => void;
};

/** The picture itself in each tone, to choose from; then what a tone is made of. */
export function ToneField({ picture, tone, onChange }: ToneFieldProps) {
  const look = useStudio((s) => s.draft.look);
  const drawn = useMemo(() => tonesOf(look), [look]);
  const label = useId();
  const kept = Object.entries(look.tones ?? {});
  const choices = [
    { id: "", name: "As it is" },
    ...kept.map(([id, { name }]) => ({ id, name })),
    ...Object.entries(TONES).map(([id, { name }]) => ({ id, name })),
  ];
  const current = tone === undefined ? "" : typeof tone === "string" ? tone : "own";
  const choose = (id: string, name: string) =>
    onChange(id === "" ? undefined : id, id ? `Tone “${name}”` : "Tone put back");
  return (
    <Box>
      <Typography variant="caption" sx={{ fontWeight: 600 }} id={label}>
        Tone
      </Typography>
      <Box
        role="radiogroup"
        aria-labelledby={label}
        onKeyDown={(event) =>
          chooseByArrow(event, choices, choices.find((c) => c.id === current) ?? choices[0]!, ({ id, name }) =>
            choose(id, name),
          )
        }
        sx={{ display: "grid", gridTemplateColumns: "repeat(3, minmax(0,1fr))", gap: 0.75, mt: 0.5 }}
      >
        {choices.map(({ id, name }, index) => (
          <ToneTile
            key={id}
            id={id}
            name={name}
            picture={picture}
            drawn={id ? drawn(id) : undefined}
            isChosen={id === current}
            isStop={id === current || (current === "own" && index === 0)}
            onChoose={() => choose(id, name)}
          />
        ))}
      </Box>
      <ToneParts tone={tone} onChange={onChange} />
    </Box>
  );
}

type TileProps = {
  id: string;
  name: string;
  picture: Picture;
  drawn: DrawnTone | undefined;
  isChosen: boolean;
  isStop: boolean;
  onChoose: () => void;
};

function ToneTile({ id, name, picture, drawn, isChosen, isStop, onChoose }: TileProps) {
  const filter = `tile-${useId().replace(/\W/g, "")}`;
  const matrix = drawn?.matrix;
  return (
    <ButtonBase
      role="radio"
      aria-checked={isChosen}
      aria-label={name}
      tabIndex={isStop ? 0 : -1}
      onClick={onChoose}
      sx={{
        display: "block",
        textAlign: "left",
        borderRadius: 1,
        overflow: "hidden",
        border: `1px solid ${isChosen ? INK.ink : INK.edge}`,
        boxShadow: isChosen ? `0 0 0 1px ${INK.ink}, 0 4px 0 1px ${INK.lemon}` : "none",
        "&:hover": { borderColor: INK.ink },
      }}
    >
      {matrix ? (
        <svg width="0" height="0" aria-hidden style={{ position: "absolute" }}>
          <filter id={filter} colorInterpolationFilters="sRGB">
            <feColorMatrix type="matrix" values={filterValues(matrix)} />
          </filter>
        </svg>
      ) : null}
      <Box
        component="img"
        src={sourceOf(picture, 160)}
        alt=""
        sx={{
          display: "block",
          width: "100%",
          height: 46,
          objectFit: "cover",
          objectPosition: `${picture.focus[0]}% ${picture.focus[1]}%`,
        }}
        style={matrix ? { filter: `url(#${filter})${drawn?.blur ? ` blur(${drawn.blur / 25}px)` : ""}` } : {}}
      />
      <Typography component="span" noWrap sx={{ display: "block", px: 0.75, py: 0.25, fontSize: 11.5 }} title={name}>
        {name}
        {id.startsWith("t-") ? " ★" : ""}
      </Typography>
    </ButtonBase>
  );
}

const PARTS = [
  ["light", "Darker – lighter"],
  ["contrast", "Softer – stronger"],
  ["warmth", "Cooler – warmer"],
  ["colour", "Less – more colour"],
] as const;

/** What a tone is made of. A tone of the shop is changed for every place that shows it; any other becomes this place's own. */
function ToneParts({ tone, onChange }: Pick<ToneFieldProps, "tone" | "onChange">) {
  const store = useStudioStore();
  const look = useStudio((s) => s.draft.look);
  const [name, setName] = useState<string | null>(null);
  const keptId = typeof tone === "string" && entryOf(look.tones, tone) ? tone : undefined;
  const kept = keptId === undefined ? undefined : entryOf(look.tones, keptId);
  const count = useStudio((s) => (keptId === undefined ? 0 : placesInTone(s.draft.documents, keptId)));
  const now = toneAsked(look, tone) ?? PLAIN_TONE;
  const run = (outcome: ReturnType<typeof setTone>) => {
    const { run: change, say } = store.getState();
    const why = change(outcome);
    if (why && why !== "It is like that already.") say(why, "problem");
  };
  const set = (next: Tone) => {
    if (keptId !== undefined && kept)
      run(setTone(store.getState().draft, keptId, { ...kept, tone: next }, `Tone “${kept.name}” changed`));
    else onChange(next, "Tone changed");
  };
  const keep = () => {
    const said = (name ?? "").trim();
    if (!said) return;
    const id = `t-${newId()}`;
    run(setTone(store.getState().draft, id, { name: said.slice(0, 40), tone: now }, `Tone “${said}” kept`));
    onChange(id, `Tone “${said}”`);
    setName(null);
  };
  const row = (label: string, control: ReactNode) => (
    <Box key={label} sx={{ display: "grid", gridTemplateColumns: "112px minmax(0,1fr)", alignItems: "center", gap: 1 }}>
      <Typography variant="caption">{label}</Typography>
      {control}
    </Box>
  );
  const slider = (label: string, value: number, least: number, put: (value: number) => void) =>
    row(
      label,
      <Slider
        size="small"
        aria-label={label}
        value={value}
        min={least}
        max={100}
        valueLabelDisplay="auto"
        {...(least < 0 ? { marks: [{ value: 0 }] } : {})}
        onChange={(_event, next) => put(next)}
      />,
    );
  const role = (label: string, value: ToneRole | "", put: (role: ToneRole | "") => void, none?: string) =>
    row(
      label,
      <TextField
        select
        size="small"
        value={value}
        onChange={(event) => put(event.target.value as ToneRole | "")}
        slotProps={{
          select: { displayEmpty: true, SelectDisplayProps: { "aria-label": label } },
          htmlInput: { "aria-label": label },
        }}
      >
        {none === undefined ? null : <MenuItem value="">{none}</MenuItem>}
        {TONE_ROLES.map((each) => (
          <MenuItem key={each} value={each}>
            {ROLE_NAMES[each]}
          </MenuItem>
        ))}
      </TextField>,
    );
  const { wash, inks } = now;
  return (
    <Box sx={{ display: "grid", gap: 0.5, mt: 1.25 }}>
      {kept ? (
        <Box sx={{ display: "flex", alignItems: "center", gap: 0.5 }}>
          <Typography variant="caption" sx={{ flex: 1 }}>
            “{kept.name}” is one of your tones. {count > 1 ? `Changes show at ${count} places.` : ""}{" "}
            <Link
              component="button"
              type="button"
              variant="caption"
              onClick={() => onChange(now, "Tone made separate")}
            >
              Make it separate here
            </Link>
          </Typography>
          <IconAction
            label={`Remove the tone ${kept.name}`}
            icon={Trash2}
            size={16}
            onClick={() => run(setTone(store.getState().draft, keptId!, undefined, `Tone “${kept.name}” removed`))}
          />
        </Box>
      ) : null}
      {PARTS.map(([key, label]) => slider(label, now[key], -100, (value) => set({ ...now, [key]: value })))}
      {slider("Grain", now.grain, 0, (value) => set({ ...now, grain: value }))}
      {slider("Out of focus", now.blur ?? 0, 0, (value) => set({ ...now, blur: value || undefined }))}
      {role(
        "Colour over it",
        wash?.role ?? "",
        (next) => set({ ...now, wash: next ? { role: next, amount: wash?.amount ?? 35 } : undefined }),
        "None",
      )}
      {wash
        ? slider("How much of it", wash.amount, 0, (value) => set({ ...now, wash: { ...wash, amount: value } }))
        : null}
      {role(
        "Shadows drawn in",
        inks?.dark ?? "",
        (next) => set({ ...now, inks: next ? { dark: next, light: inks?.light ?? "page" } : undefined }),
        "Own colours",
      )}
      {inks
        ? role("Lights drawn in", inks.light, (next) => next && set({ ...now, inks: { ...inks, light: next } }))
        : null}
      {typeof tone === "object" ? (
        name === null ? (
          <Button size="small" sx={{ justifySelf: "start" }} onClick={() => setName("")}>
            Keep this tone for other pictures
          </Button>
        ) : (
          <Box
            component="form"
            sx={{ display: "flex", gap: 0.75 }}
            onSubmit={(event) => {
              event.preventDefault();
              keep();
            }}
          >
            <TextField
              size="small"
              autoFocus
              label="Name of the tone"
              value={name}
              onChange={(event) => setName(event.target.value)}
              slotProps={{ htmlInput: { maxLength: 40 } }}
            />
            <Button type="submit" variant="contained" size="small" disabled={!name.trim()}>
              Keep
            </Button>
          </Box>
        )
      ) : null}
    </Box>
  );
}
