import { Box, MenuItem, TextField, Typography } from "@mui/material";
import { useState, type ReactNode } from "react";
import type { Product } from "~/core/goods";
import { decimalMoney, parseMoney } from "~/core/money";
import { useStudio } from "../keeping";
import { INK } from "../ui";

/** What a part of the product form works with: the product as it is written now, how to change it, and what is wrong where. */
export type FormPart = {
  readonly product: Product;
  readonly set: (change: Partial<Product>) => void;
  readonly problem: (path: string) => string | undefined;
};

export function Group({
  title,
  about,
  children,
  aside,
}: {
  title: string;
  about?: string;
  children: ReactNode;
  aside?: ReactNode;
}) {
  return (
    <Box
      component="section"
      aria-label={title}
      sx={{ border: `1px solid ${INK.line}`, borderRadius: 1, bgcolor: INK.raised, p: 2, display: "grid", gap: 1.75 }}
    >
      <Box sx={{ display: "flex", alignItems: "baseline", gap: 2 }}>
        <Box sx={{ flex: 1 }}>
          <Typography variant="h3" component="h2">
            {title}
          </Typography>
          {about ? (
            <Typography variant="body2" color="text.secondary">
              {about}
            </Typography>
          ) : null}
        </Box>
        {aside}
      </Box>
      {children}
    </Box>
  );
}

export const Row = ({
  children,
  columns = "repeat(auto-fit, minmax(150px, 1fr))",
}: {
  children: ReactNode;
  columns?: string;
}) => <Box sx={{ display: "grid", gridTemplateColumns: columns, gap: 1.5, alignItems: "start" }}>{children}</Box>;

type AmountProps = {
  label: string;
  value: number | null;
  onChange: (value: number | null) => void;
  /** Said while it is empty; absent: it may not be. */
  empty?: string;
  problem?: string | undefined;
  hint?: string;
  hidden?: boolean;
};

/** An amount of money, written as people write it, kept in minor units. What can't be read stays, with the reason. */
export function Amount({ label, value, onChange, empty, problem, hint, hidden = false }: AmountProps) {
  const currency = useStudio((s) => s.shop.currency);
  const [typed, setTyped] = useState<string | null>(null);
  const [why, setWhy] = useState<string | null>(null);
  const written = value === null ? "" : decimalMoney(value, currency);
  return (
    <TextField
      label={hidden ? undefined : label}
      value={typed ?? written}
      error={why !== null || problem !== undefined}
      helperText={why ?? problem ?? hint}
      placeholder={empty}
      slotProps={{
        htmlInput: { inputMode: "decimal", "aria-label": label },
        ...(hidden
          ? {}
          : {
              input: {
                endAdornment: (
                  <Typography variant="caption" color="text.secondary">
                    {currency}
                  </Typography>
                ),
              },
            }),
      }}
      onChange={(e) => {
        const text = e.target.value;
        setTyped(text);
        if (text.trim() === "" && empty !== undefined) {
          setWhy(null);
          return onChange(null);
        }
        const parsed = parseMoney(text, currency);
        setWhy(parsed.ok ? null : parsed.why);
        if (parsed.ok) onChange(parsed.amount);
      }}
      onBlur={() => {
        if (why === null) setTyped(null);
      }}
    />
  );
}

type WholeProps = {
  label: string;
  value: number | null;
  onChange: (value: number | null) => void;
  empty: string;
  problem?: string | undefined;
  hint?: string;
  hidden?: boolean;
};

/** A whole number, or nothing. */
export function Whole({ label, value, onChange, empty, problem, hint, hidden = false }: WholeProps) {
  const [bad, setBad] = useState<string | null>(null);
  return (
    <TextField
      label={hidden ? undefined : label}
      value={bad ?? (value === null ? "" : String(value))}
      placeholder={empty}
      error={bad !== null || problem !== undefined}
      helperText={bad === null ? (problem ?? hint) : `“${bad}” is not a whole number.`}
      slotProps={{ htmlInput: { inputMode: "numeric", "aria-label": label } }}
      onChange={(e) => {
        const text = e.target.value.trim();
        const isGood = /^\d{0,7}$/.test(text);
        setBad(isGood ? null : text);
        if (isGood) onChange(text === "" ? null : Number(text));
      }}
    />
  );
}

type ChoiceProps<T extends string> = {
  label: string;
  value: T;
  options: readonly (readonly [T, string])[];
  onChange: (value: T) => void;
  hint?: string | undefined;
  problem?: string | undefined;
};

export function Choice<T extends string>({ label, value, options, onChange, hint, problem }: ChoiceProps<T>) {
  return (
    <TextField
      select
      label={label}
      value={value}
      error={problem !== undefined}
      helperText={problem ?? hint}
      onChange={(e) => onChange(e.target.value as T)}
    >
      {options.map(([id, words]) => (
        <MenuItem key={id} value={id}>
          {words}
        </MenuItem>
      ))}
    </TextField>
  );
}

/** How much of a price stays after what it cost, in percent; undefined where that can't be said. */
export const marginOf = (price: number, cost: number | null): number | undefined =>
  cost === null || price === 0 ? undefined : Math.round((1 - cost / price) * 100);
