import { Box, Button, ButtonBase, Link, MenuItem, TextField, Typography } from "@mui/material";
import { Trash2 } from "lucide-react";
import { memo, useId, useMemo, useState } from "react";
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
import { chooseByArrow, IconAction, INK, useLatest } from "../ui";
import { Slide } from "./slide";

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
  const toneOf = useMemo(() => tonesOf(look), [look]);
  const label = useId();
  const kept = Object.entries(look.tones ?? {});
  const choices = [
    { id: "", name: "As it is" },
    ...kept.map(([id, { name }]) => ({ id, name })),
    ...Object.entries(TONES).map(([id, { name }]) => ({ id, name })),
  ];
  const current = tone === undefined ? "" : typeof tone === "string" ? tone : "own";
  const choose = useLatest((id: string, name: string) =>
    onChange(id === "" ? undefined : id, id ? `Tone “${name}”` : "Tone put back"),
  );
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
            toneOf={toneOf}
            isChosen={id === current}
            isStop={id === current || (current === "own" && index === 0)}
            onChoose={choose}
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
  toneOf: (asked: string) => DrawnTone | undefined;
  isChosen: boolean;
  isStop: boolean;
  onChoose: (id: string, name: string) => void;
};

/** Drawn anew only where something about it changes: while a hand draws at what a tone is made of, the others stay. */
const ToneTile = memo(function ToneTile({ id, name, picture, toneOf, isChosen, isStop, onChoose }: TileProps) {
  const drawn = id ? toneOf(id) : undefined;
  const filter = `tile-${useId().replace(/\W/g, "")}`;
  const matrix = drawn?.matrix;
  return (
    <ButtonBase
      role="radio"
      aria-checked={isChosen}
      aria-label={name}
      tabIndex={isStop ? 0 : -1}
      onClick={() => onChoose(id, name)}
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
});

const PARTS = [
  ["light", "Darker – lighter"],
  ["contrast", "Softer – stronger"],
  ["warmth", "Cooler – warmer"],
  ["colour", "Less – more colour"],
] as const;

type Part = (typeof PARTS)[number][0] | "grain" | "blur" | "amount";

type RoleChoiceProps = {
  name: "wash" | "dark" | "light";
  label: string;
  value: ToneRole | "";
  /** What is said where no role is chosen; absent where one has to be. */
  none?: string;
  onChoose: (name: "wash" | "dark" | "light", role: ToneRole | "") => void;
};

const RoleChoice = memo(function RoleChoice({ name, label, value, none, onChoose }: RoleChoiceProps) {
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: "112px minmax(0,1fr)", alignItems: "center", gap: 1 }}>
      <Typography variant="caption">{label}</Typography>
      <TextField
        select
        size="small"
        value={value}
        onChange={(event) => onChoose(name, event.target.value as ToneRole | "")}
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
      </TextField>
    </Box>
  );
});

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
  const slide = useLatest((part: Part, value: number) => {
    if (part === "amount") set({ ...now, wash: now.wash && { ...now.wash, amount: value } });
    else set({ ...now, [part]: part === "blur" ? value || undefined : value });
  });
  const draw = useLatest((what: "wash" | "dark" | "light", role: ToneRole | "") => {
    const { wash, inks } = now;
    if (what === "wash") set({ ...now, wash: role ? { role, amount: wash?.amount ?? 35 } : undefined });
    else if (what === "dark") set({ ...now, inks: role ? { dark: role, light: inks?.light ?? "page" } : undefined });
    else if (role && inks) set({ ...now, inks: { ...inks, light: role } });
  });
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
      {PARTS.map(([key, label]) => (
        <Slide key={key} name={key} label={label} value={now[key]} least={-100} most={100} onSlide={slide} />
      ))}
      <Slide name="grain" label="Grain" value={now.grain} least={0} most={100} onSlide={slide} />
      <Slide name="blur" label="Out of focus" value={now.blur ?? 0} least={0} most={100} onSlide={slide} />
      <RoleChoice name="wash" label="Colour over it" value={wash?.role ?? ""} none="None" onChoose={draw} />
      {wash ? (
        <Slide name="amount" label="How much of it" value={wash.amount} least={0} most={100} onSlide={slide} />
      ) : null}
      <RoleChoice name="dark" label="Shadows drawn in" value={inks?.dark ?? ""} none="Own colours" onChoose={draw} />
      {inks ? <RoleChoice name="light" label="Lights drawn in" value={inks.light} onChoose={draw} /> : null}
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
