import { Box, MenuItem, Slider, TextField, Typography } from "@mui/material";
import { useState } from "react";
import { amountOf, exactValue, type Exact, type Property } from "~/core/cascade";
import type { StyleValue } from "~/core/document";
import { INK } from "../ui";

type ExactFieldProps = {
  property: Property;
  exact: Exact;
  value: StyleValue | undefined;
  onChange: (value: StyleValue) => void;
  /** What it comes out as where nobody says anything, for the slider. */
  unsaid?: number;
};

const NUMBER = /^\d+(?:[.,]\d+)?$/;

/** An amount as it is typed: what is not (yet) one is kept in the field, with the reason below. */
function AmountField({ property, exact, value, onChange }: ExactFieldProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const shown = exact.bare ? value : value === undefined ? undefined : amountOf(value)?.amount;
  const read = (text: string) => (NUMBER.test(text) ? Number(text.replace(",", ".")) : Number.NaN);
  const isFine = (amount: number) =>
    amount >= exact.least && amount <= exact.most && (!exact.bare || Number.isInteger(amount));
  const isBad = typed !== null && typed !== "" && !isFine(read(typed));
  return (
    <Box>
      <TextField
        value={typed ?? (shown === undefined ? "" : String(shown))}
        error={isBad}
        slotProps={{
          htmlInput: { "aria-label": `${property.label}${exact.bare ? "" : ", exactly"}`, inputMode: "decimal" },
          input: { endAdornment: <Typography variant="caption">{exact.unit}</Typography> },
        }}
        onBlur={() => setTyped(null)}
        onChange={(event) => {
          const next = event.target.value.trim();
          setTyped(next);
          if (isFine(read(next))) onChange(exactValue(exact, read(next)));
        }}
      />
      {isBad ? (
        <Typography variant="caption" color="error" role="alert" component="p">
          {exact.bare ? "A whole number" : "A number"} from {exact.least} to {exact.most}.
        </Typography>
      ) : null}
    </Box>
  );
}

/** A value that is slid along a scale, or typed exactly. */
export function SlideField(props: ExactFieldProps) {
  const { property, exact, value, onChange, unsaid } = props;
  const amount = exact.bare ? Number(value ?? exact.least) : (amountOf(value ?? "")?.amount ?? unsaid ?? exact.most);
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: "1fr 80px", gap: 1.5, alignItems: "start" }}>
      <Slider
        size="small"
        aria-label={`${property.label}, by sliding`}
        min={exact.least}
        max={exact.most}
        marks={exact.bare ? property.choices.map((c) => ({ value: Number(c.value) })) : false}
        value={amount}
        onChange={(_event, next) => onChange(exactValue(exact, next))}
        sx={{ color: INK.ink, ml: 0.75, mt: 0.5 }}
      />
      <AmountField {...props} />
    </Box>
  );
}

/** A value that is a step of a scale, or typed exactly. `id`: that of its label. */
export function StepField({ id, ...props }: ExactFieldProps & { id: string }) {
  const { property, value, onChange } = props;
  const isExact = value !== undefined && amountOf(value) !== undefined;
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: "1fr 80px", gap: 1, alignItems: "start" }}>
      <TextField
        select
        slotProps={{
          select: {
            labelId: id,
            displayEmpty: true,
            renderValue: (shown) =>
              shown === "exact"
                ? "exactly"
                : (property.choices.find((c) => String(c.value) === shown)?.label ?? "As it comes"),
          },
        }}
        value={isExact ? "exact" : value === undefined ? "" : String(value)}
        onChange={(event) => {
          const choice = property.choices.find((c) => String(c.value) === event.target.value);
          if (choice) onChange(choice.value);
        }}
      >
        {property.choices.map((choice) => (
          <MenuItem key={String(choice.value)} value={String(choice.value)}>
            {choice.label}
          </MenuItem>
        ))}
        {isExact ? <MenuItem value="exact">exactly</MenuItem> : null}
      </TextField>
      <AmountField {...props} />
    </Box>
  );
}
