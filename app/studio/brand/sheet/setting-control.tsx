import { entryOf } from "~/core/document";
import {
  Box,
  Link,
  MenuItem,
  Slider,
  Switch,
  TextField,
  ToggleButton,
  ToggleButtonGroup,
  Typography,
} from "@mui/material";
import { memo, useState } from "react";
import { setBrand } from "~/core/commands";
import {
  FAMILIES,
  isSingle,
  resolveSetting,
  SETTINGS,
  valueWords,
  type Gradient,
  type Setting,
  type SettingValue,
} from "~/core/theme";
import { themeById } from "~/themes";
import { useStudio, useStudioStore } from "../../keeping";
import { INK } from "../../ui";
import { GradientControl } from "./gradient-control";

/** Reads and sets one setting of the brand. */
export function useSetting(key: string) {
  const store = useStudioStore();
  const own = useStudio((s) => entryOf(s.draft.look.brand, key));
  const themeId = useStudio((s) => s.draft.look.theme);
  const theme = themeById(themeId);
  const resolved = resolveSetting(key, own === undefined ? {} : { [key]: own }, theme.defaults);
  const set = (value: SettingValue | undefined) => store.getState().run(setBrand(store.getState().draft, key, value));
  return { ...resolved, theme, isSet: own !== undefined, set };
}

type OriginProps = { isSet: boolean; theme: string; from: string; label: string; onBack: () => void };

/** Where a value comes from, and the way back to where it came from before. */
export function OriginLine({ isSet, theme, from, label, onBack }: OriginProps) {
  return (
    <Typography variant="caption" color="text.secondary" component="p">
      {isSet ? (
        <>
          from Brand ·{" "}
          <Link component="button" type="button" variant="caption" onClick={onBack} aria-label={`Put back: ${label}`}>
            put back
          </Link>
        </>
      ) : from === "theme" ? (
        `from theme ${theme}`
      ) : (
        "as usual"
      )}
    </Typography>
  );
}

type ControlProps = { setting: Setting; value: SettingValue | null; set: (value: SettingValue | undefined) => void };

function NumberControl({ setting, value, set }: ControlProps & { setting: Extract<Setting, { type: "number" }> }) {
  const [typed, setTyped] = useState<string | null>(null);
  const { least, most, step, unit, label } = setting;
  const parsed = typed === null || typed.trim() === "" ? undefined : Number(typed.replace(",", "."));
  const isBad = parsed !== undefined && !(parsed >= least && parsed <= most);
  const current = typeof value === "number" ? value : undefined;
  return (
    <Box>
      <Box sx={{ display: "grid", gridTemplateColumns: "1fr 84px", gap: 1.5, alignItems: "center" }}>
        <Slider
          size="small"
          aria-label={`${label}, by sliding`}
          min={least}
          max={most}
          step={step}
          value={current ?? (least + most) / 2}
          onChange={(_event, next) => set(next)}
          sx={{
            color: current === undefined ? INK.line : INK.ink,
            ml: 1,
            "& .MuiSlider-thumb": { bgcolor: current === undefined ? INK.soft : INK.ink },
          }}
        />
        <TextField
          value={typed ?? current ?? ""}
          placeholder="by itself"
          error={isBad}
          slotProps={{
            htmlInput: { "aria-label": label, inputMode: "decimal" },
            input: {
              endAdornment: unit && unit.length < 3 ? <Typography variant="caption">{unit}</Typography> : undefined,
            },
          }}
          onChange={(event) => {
            setTyped(event.target.value);
            const next = Number(event.target.value.replace(",", "."));
            if (event.target.value.trim() !== "" && next >= least && next <= most) set(next);
          }}
          onBlur={() => setTyped(null)}
        />
      </Box>
      {isBad ? (
        <Typography variant="caption" color="error" role="alert">
          From {least} to {most}
          {unit ? ` ${unit}` : ""}.
        </Typography>
      ) : null}
    </Box>
  );
}

function ChoiceControl({ setting, value, set }: ControlProps & { setting: Extract<Setting, { type: "choice" }> }) {
  const { options, label } = setting;
  const letters = options.reduce((sum, o) => sum + o.label.length + 3, 0);
  if (letters <= 34 && options.length <= 4)
    return (
      <ToggleButtonGroup
        exclusive
        fullWidth
        size="small"
        value={value}
        aria-label={label}
        onChange={(_event, next: string | null) => next !== null && set(next)}
      >
        {options.map((o) => (
          <ToggleButton key={o.value} value={o.value} sx={{ px: 0.5 }}>
            {o.label}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
    );
  return (
    <TextField
      select
      value={String(value)}
      onChange={(event) => set(event.target.value)}
      slotProps={{ select: { inputProps: { "aria-label": label } } }}
    >
      {options.map((o) => (
        <MenuItem key={o.value} value={o.value}>
          {o.label}
        </MenuItem>
      ))}
    </TextField>
  );
}

function FamilyControl({ setting, value, set }: ControlProps) {
  return (
    <TextField
      select
      value={typeof value === "string" ? value : ""}
      onChange={(event) => set(event.target.value === "" ? undefined : event.target.value)}
      slotProps={{ select: { displayEmpty: true, inputProps: { "aria-label": setting.label } } }}
    >
      <MenuItem value="">the pair’s own</MenuItem>
      {FAMILIES.filter((f) => !(setting.type === "family" && setting.bold && isSingle(f))).map((f) => (
        <MenuItem key={f.id} value={f.id}>
          {f.name}
        </MenuItem>
      ))}
    </TextField>
  );
}

/** The control of one setting, with where its value comes from and the way back. */
export const SettingControl = memo(function SettingControl({ name, label }: { name: string; label?: string }) {
  const setting = SETTINGS.get(name)!;
  const { value, from, theme, isSet, set } = useSetting(name);
  const props = { value, set };
  const words = label ?? setting.label;
  return (
    <Box data-setting={name}>
      {setting.type === "flag" ? (
        <Box component="label" sx={{ display: "flex", alignItems: "center", gap: 1 }}>
          <Switch size="small" checked={value === true} onChange={(event) => set(event.target.checked)} />
          <Typography variant="body2">{words}</Typography>
        </Box>
      ) : (
        <>
          <Typography variant="body2" sx={{ mb: 0.5 }}>
            {words}
          </Typography>
          {setting.type === "number" ? <NumberControl setting={setting} {...props} /> : null}
          {setting.type === "choice" ? <ChoiceControl setting={setting} {...props} /> : null}
          {setting.type === "family" ? <FamilyControl setting={setting} {...props} /> : null}
          {setting.type === "gradient" ? (
            <GradientControl label={words} value={value as Gradient} onChange={set} />
          ) : null}
        </>
      )}
      <OriginLine isSet={isSet} theme={theme.name} from={from} label={words} onBack={() => set(undefined)} />
    </Box>
  );
});

/** A value of another brand in words, for lists. */
export const wordsFor = (key: string, value: unknown): string => {
  const setting = SETTINGS.get(key);
  return setting ? valueWords(setting, value as SettingValue) : String(value ?? "not set");
};
