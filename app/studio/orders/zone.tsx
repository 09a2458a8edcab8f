import { Autocomplete, Box, Button, FormControlLabel, MenuItem, Switch, TextField, Typography } from "@mui/material";
import { Plus, Trash2 } from "lucide-react";
import { useState } from "react";
import { newId } from "~/core/document";
import { CARRIER, ELSEWHERE, MOST_RATE_STEPS, MOST_WAYS, type Rate, type Way, type Zone } from "~/core/selling";
import { IconAction, INK } from "../ui";
import { AmountField, COUNTRIES, MoneyField } from "../when";
import { KeptField } from "./kept-field";
import { kilos, readKilos } from "./kilos";

type Choice = { readonly id: string; readonly title: string };
const EVERYWHERE: Choice = { id: ELSEWHERE, title: "Everywhere else" };
const CHOICES: readonly Choice[] = [EVERYWHERE, ...COUNTRIES];

const RATES: readonly (readonly [Rate["by"], string])[] = [
  ["flat", "One price"],
  ["weight", "By weight"],
  ["worth", "By what the goods cost"],
  ["count", "By number of pieces"],
  ["carrier", `As ${CARRIER} asks for`],
];

/** A rate of another sort to begin with; the price stays as it was as far as it can. */
function rateOf(by: Rate["by"], before: Rate): Rate {
  const price = "price" in before ? before.price : "steps" in before ? (before.steps[0]?.price ?? 0) : 500;
  if (by === "carrier") return { by };
  if (by === "flat") return { by, price };
  const upTo = { weight: 2_000, worth: 5_000, count: 3 }[by];
  return {
    by,
    steps: [
      { upTo, price },
      { upTo: null, price: price + Math.round(price / 2) },
    ],
  };
}

const readCount = (text: string): number | string =>
  /^\d{1,5}$/.test(text.trim()) ? Number(text) : "Write a whole number.";

const BOUNDS = { weight: "Up to kg", worth: "Up to a worth of", count: "Up to pieces" } as const;

type Stepped = Extract<Rate, { readonly by: keyof typeof BOUNDS }>;

function Steps({ rate, onSet }: { rate: Stepped; onSet: (rate: Rate) => void }) {
  const { by, steps } = rate;
  const change = (at: number, step: Partial<Stepped["steps"][number]>) =>
    onSet({ by, steps: steps.map((each, i) => (i === at ? { ...each, ...step } : each)) });
  const last = steps.at(-1)!;
  return (
    <Box sx={{ display: "grid", gap: 1 }}>
      {steps.map((step, i) => (
        <Box
          key={i}
          sx={{ display: "grid", gridTemplateColumns: "minmax(0,1fr) minmax(0,1fr) 32px", gap: 1, alignItems: "start" }}
        >
          {step.upTo === null ? (
            <Typography variant="body2" sx={{ alignSelf: "center" }}>
              Everything above
            </Typography>
          ) : by === "worth" ? (
            <MoneyField
              label={BOUNDS[by]}
              value={step.upTo}
              isNeeded
              onSet={(upTo) => upTo !== undefined && change(i, { upTo })}
            />
          ) : (
            <AmountField
              label={BOUNDS[by]}
              value={step.upTo}
              written={by === "weight" ? kilos : String}
              read={by === "weight" ? readKilos : readCount}
              isNeeded
              onSet={(upTo) => upTo !== undefined && change(i, { upTo })}
            />
          )}
          <MoneyField
            label="Costs"
            value={step.price}
            isNeeded
            onSet={(price) => price !== undefined && change(i, { price })}
          />
          {steps.length > 1 ? (
            <IconAction
              label={`Remove step ${i + 1}`}
              icon={Trash2}
              size={16}
              onClick={() => onSet({ by, steps: steps.toSpliced(i, 1) })}
            />
          ) : null}
        </Box>
      ))}
      {last.upTo === null ? null : (
        <Typography variant="caption" color="text.secondary">
          What is more than that isn’t sent this way.
        </Typography>
      )}
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1 }}>
        <Button
          size="small"
          startIcon={<Plus size={15} aria-hidden />}
          disabled={steps.length >= MOST_RATE_STEPS}
          onClick={() => {
            const bounded = steps.filter(({ upTo }) => upTo !== null);
            const most = bounded.at(-1)?.upTo ?? 0;
            const next = { upTo: most ? most * 2 : rateStart(by), price: (bounded.at(-1) ?? last).price };
            onSet({ by, steps: [...bounded, next, ...steps.filter(({ upTo }) => upTo === null)] });
          }}
        >
          Step
        </Button>
        <FormControlLabel
          control={
            <Switch
              size="small"
              checked={last.upTo === null}
              onChange={(_e, on) =>
                onSet({
                  by,
                  steps: on
                    ? [...steps, { upTo: null, price: last.price }]
                    : steps.length > 1
                      ? steps.slice(0, -1)
                      : [{ upTo: rateStart(by), price: last.price }],
                })
              }
            />
          }
          label={<Typography variant="body2">Everything above as well</Typography>}
        />
      </Box>
    </Box>
  );
}

const rateStart = (by: keyof typeof BOUNDS) => ({ weight: 2_000, worth: 5_000, count: 3 })[by];

function WayEditor({
  way,
  onSet,
  onRemove,
}: {
  way: Way;
  onSet: (way: Way) => string | undefined;
  onRemove: () => void;
}) {
  const { rate } = way;
  const [why, setWhy] = useState<string>();
  const set = (next: Way) => {
    const problem = onSet(next);
    setWhy(problem);
    return problem;
  };
  return (
    <Box
      component="li"
      aria-label={way.name}
      sx={{ display: "grid", gap: 1.25, py: 1.5, borderTop: `1px solid ${INK.line}` }}
    >
      <Box
        sx={{ display: "grid", gridTemplateColumns: "minmax(0,1fr) minmax(0,1.4fr) 32px", gap: 1, alignItems: "start" }}
      >
        <KeptField label="What it is called" value={way.name} most={60} onSet={(name) => set({ ...way, name })} />
        <KeptField
          label="How long it takes"
          value={way.says ?? ""}
          most={120}
          onSet={(says) => set({ ...way, says: says || undefined })}
        />
        <IconAction label={`Remove “${way.name}”`} icon={Trash2} size={16} onClick={onRemove} />
      </Box>
      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: { xs: "minmax(0,1fr)", sm: "minmax(0,1fr) minmax(0,1fr)" },
          gap: 1,
          alignItems: "start",
        }}
      >
        <TextField
          select
          size="small"
          label="Price"
          value={rate.by}
          onChange={(e) => set({ ...way, rate: rateOf(e.target.value as Rate["by"], rate) })}
        >
          {RATES.map(([by, words]) => (
            <MenuItem key={by} value={by}>
              {words}
            </MenuItem>
          ))}
        </TextField>
        {rate.by === "flat" ? (
          <MoneyField
            key={rate.by}
            label="Costs"
            value={rate.price}
            isNeeded
            onSet={(price) => price !== undefined && set({ ...way, rate: { by: "flat", price } })}
          />
        ) : null}
      </Box>
      {rate.by === "flat" || rate.by === "carrier" ? null : (
        <Steps key={rate.by} rate={rate} onSet={(next) => set({ ...way, rate: next })} />
      )}
      {rate.by === "carrier" ? (
        <Typography variant="caption" color="text.secondary">
          Asked for each parcel by its weight. It is a stand-in: its tariff is invented.
        </Typography>
      ) : null}
      <Box sx={{ maxWidth: 260, display: "grid" }}>
        <MoneyField
          label="Free from a worth of (empty: never)"
          value={way.freeFrom}
          onSet={(freeFrom) => set({ ...way, freeFrom })}
        />
      </Box>
      {why ? (
        <Typography variant="body2" color="error" role="alert">
          {why}
        </Typography>
      ) : null}
    </Box>
  );
}

const freshWay = (name: string, price: number): Way => ({ id: newId(), name, rate: { by: "flat", price } });

/** A place that is delivered to: which countries, and the ways with their prices. */
export function ZoneEditor({
  zone,
  onSet,
  onRemove,
}: {
  zone: Zone;
  onSet: (zone: Zone) => string | undefined;
  onRemove: () => void;
}) {
  const [why, setWhy] = useState<string>();
  const set = (next: Zone) => {
    const problem = onSet(next);
    setWhy(problem);
    return problem;
  };
  const hasCodes = zone.countries.length === 1 && zone.countries[0] !== ELSEWHERE;
  return (
    <Box
      component="section"
      aria-label={zone.name}
      sx={{
        border: `1px solid ${INK.line}`,
        borderLeft: `4px solid ${INK.lemon}`,
        borderRadius: 1,
        bgcolor: INK.raised,
        p: 2,
        display: "grid",
        gap: 1.5,
        gridTemplateColumns: "minmax(0,1fr)",
      }}
    >
      <Box sx={{ display: "grid", gridTemplateColumns: "minmax(0,1fr) 32px", gap: 1, alignItems: "start" }}>
        <KeptField label="Place" value={zone.name} most={60} onSet={(name) => set({ ...zone, name })} />
        <IconAction label={`Remove “${zone.name}”`} icon={Trash2} size={17} onClick={onRemove} />
      </Box>
      <Autocomplete
        multiple
        size="small"
        options={CHOICES}
        limitTags={6}
        getOptionLabel={(each) => each.title}
        getOptionKey={(each) => each.id}
        isOptionEqualToValue={(a, b) => a.id === b.id}
        value={CHOICES.filter((each) => zone.countries.includes(each.id))}
        onChange={(_e, next) =>
          set({ ...zone, countries: next.map(({ id }) => id), ...(next.length === 1 ? {} : { postcodes: undefined }) })
        }
        renderInput={(params) => <TextField {...params} label="Countries" />}
      />
      {hasCodes ? (
        <KeptField
          label="Only these postcodes (empty: all)"
          value={zone.postcodes ?? ""}
          most={1000}
          placeholder="1000-1999, 25*, 9712"
          onSet={(postcodes) => set({ ...zone, postcodes: postcodes || undefined })}
        />
      ) : null}
      {why ? (
        <Typography variant="body2" color="error" role="alert">
          {why}
        </Typography>
      ) : null}
      <Box component="ul" aria-label={`Ways to ${zone.name}`} sx={{ m: 0, p: 0, listStyle: "none" }}>
        {zone.ways.map((way, i) => (
          <WayEditor
            key={way.id}
            way={way}
            onSet={(next) => onSet({ ...zone, ways: zone.ways.with(i, next) })}
            onRemove={() => set({ ...zone, ways: zone.ways.toSpliced(i, 1) })}
          />
        ))}
      </Box>
      {zone.ways.length === 0 ? (
        <Typography variant="body2" color="text.secondary">
          Nothing is sent there yet.
        </Typography>
      ) : null}
      <Button
        size="small"
        startIcon={<Plus size={15} aria-hidden />}
        disabled={zone.ways.length >= MOST_WAYS}
        onClick={() =>
          set({ ...zone, ways: [...zone.ways, freshWay(zone.ways.length ? "Another way" : "Parcel", 500)] })
        }
        sx={{ justifySelf: "start" }}
      >
        Way of delivery
      </Button>
    </Box>
  );
}
