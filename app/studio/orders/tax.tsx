import {
  Autocomplete,
  Box,
  Button,
  FormControlLabel,
  Radio,
  RadioGroup,
  Switch,
  TextField,
  Typography,
} from "@mui/material";
import { Plus, Trash2 } from "lucide-react";
import { useState } from "react";
import { taxOf } from "~/core/money";
import { EU, MOST_TAX_COUNTRIES, taxRulesFor, type Selling, type SellingRoot } from "~/core/selling";
import { IconAction, INK } from "../ui";
import { AmountField, COUNTRIES, useNames } from "../when";
import { KeptField, useSelling } from "./kept-field";

type Tax = NonNullable<SellingRoot["tax"]>;

const readPercent = (text: string): number | string =>
  /^\d{1,3}(?:[.,]\d{1,2})?$/.test(text.trim())
    ? Math.round(Number(text.replace(",", ".")) * 100)
    : "Write a percentage, like 19 or 5.5.";
const percent = (rate: number) => String(rate / 100);

/** An amount worked out before the seller’s eyes: 100.00 of goods, 5.00 of delivery. */
function Example({ selling }: { selling: Selling }) {
  const names = useNames();
  const country = selling.from ?? selling.tax?.rates[0]?.country;
  const rules = country === undefined ? undefined : taxRulesFor(selling, country);
  if (!rules || country === undefined) return null;
  const taxed = taxOf(rules, [{ amount: 10_000, rate: rules.rateOf("standard") }], 500);
  const total = 10_500 + (taxed.isIncluded ? 0 : taxed.tax);
  return (
    <Box
      component="section"
      aria-label="Check"
      role="status"
      sx={{ border: `1px solid ${INK.line}`, borderRadius: 1, p: 2, bgcolor: INK.raised, maxWidth: 640 }}
    >
      <Typography variant="h2" gutterBottom>
        Check
      </Typography>
      <Typography variant="body2">
        Goods of {names.money(10_000)} with delivery of {names.money(500)} to {names.country(country)}: a shopper pays{" "}
        <b>{names.money(total)}</b>, and {names.money(taxed.tax)} of it are {rules.name}.
      </Typography>
    </Box>
  );
}

/** How the shop is taxed: in plain words, with an example. */
export function TaxPage() {
  const { selling, set } = useSelling();
  const { tax } = selling;
  const [why, setWhy] = useState<string>();
  const change = (values: Partial<Tax>): string | undefined => {
    const problem = tax && set({ tax: { ...tax, ...values } });
    setWhy(problem);
    return problem;
  };
  const rates = tax?.rates ?? [];
  const first = selling.from ?? "IE";
  const free = COUNTRIES.filter(({ id }) => !rates.some(({ country }) => country === id));
  return (
    <Box sx={{ overflowY: "auto", minHeight: 0 }}>
      <Box sx={{ p: { xs: 2, md: 3 }, maxWidth: 860, display: "grid", gap: 2.5, gridTemplateColumns: "minmax(0,1fr)" }}>
        <Typography variant="h1">Tax</Typography>
        <Typography color="text.secondary" sx={{ maxWidth: 640 }}>
          Which rates apply is for you or your adviser to know: nothing here knows the law. Goods say in Goods whether
          the standard rate, the reduced one or none is theirs. Shoppers get it when you publish.
        </Typography>
        <FormControlLabel
          control={
            <Switch
              checked={tax !== undefined}
              onChange={(_e, on) =>
                setWhy(
                  set({
                    tax: on
                      ? {
                          prices: "with",
                          rounding: "total",
                          name: "VAT",
                          rates: [],
                        }
                      : undefined,
                  }),
                )
              }
            />
          }
          label={<Typography sx={{ fontWeight: 600 }}>Show tax on orders</Typography>}
        />
        {tax ? (
          <>
            <Box sx={{ maxWidth: 260, display: "grid" }}>
              <KeptField label="What it is called" value={tax.name} most={20} onSet={(name) => change({ name })} />
            </Box>
            <Box>
              <Typography variant="h3" component="h2" id="tax-prices">
                Your prices
              </Typography>
              <RadioGroup
                aria-labelledby="tax-prices"
                value={tax.prices}
                onChange={(_e, prices) => change({ prices: prices as Tax["prices"] })}
              >
                <FormControlLabel
                  value="with"
                  control={<Radio size="small" />}
                  label={`are with ${tax.name}, as shoppers at home expect it`}
                />
                <FormControlLabel
                  value="without"
                  control={<Radio size="small" />}
                  label={`are without: ${tax.name} comes on top at the checkout`}
                />
              </RadioGroup>
            </Box>
            <Box>
              <Typography variant="h3" component="h2" id="tax-rounding">
                Rounded
              </Typography>
              <RadioGroup
                aria-labelledby="tax-rounding"
                value={tax.rounding}
                onChange={(_e, rounding) => change({ rounding: rounding as Tax["rounding"] })}
              >
                <FormControlLabel
                  value="total"
                  control={<Radio size="small" />}
                  label="once, on everything at one rate"
                />
                <FormControlLabel value="line" control={<Radio size="small" />} label="on each line of an order" />
              </RadioGroup>
            </Box>
            <Box
              component="section"
              aria-label="Rates"
              sx={{ display: "grid", gap: 1.25, gridTemplateColumns: "minmax(0,1fr)" }}
            >
              <Typography variant="h3" component="h2">
                Rates by the country that it goes to
              </Typography>
              {rates.map((rate, i) => (
                <Box
                  key={rate.country}
                  sx={{
                    display: "grid",
                    gridTemplateColumns: {
                      xs: "minmax(0,1fr) 32px",
                      sm: "minmax(0,1.5fr) minmax(0,1fr) minmax(0,1fr) 32px",
                    },
                    gap: 1,
                    alignItems: "start",
                  }}
                >
                  <Autocomplete
                    size="small"
                    disableClearable
                    options={[...COUNTRIES.filter(({ id }) => id === rate.country), ...free]}
                    getOptionLabel={(each) => each.title}
                    getOptionKey={(each) => each.id}
                    isOptionEqualToValue={(a, b) => a.id === b.id}
                    value={COUNTRIES.find(({ id }) => id === rate.country)}
                    onChange={(_e, next) => change({ rates: rates.with(i, { ...rate, country: next.id }) })}
                    renderInput={(params) => <TextField {...params} label="Country" />}
                  />
                  <AmountField
                    label="Standard, %"
                    value={rate.standard}
                    written={percent}
                    read={readPercent}
                    isNeeded
                    onSet={(standard) =>
                      standard !== undefined && change({ rates: rates.with(i, { ...rate, standard }) })
                    }
                  />
                  <AmountField
                    label="Reduced, %"
                    value={rate.reduced}
                    written={percent}
                    read={readPercent}
                    isNeeded
                    onSet={(reduced) => reduced !== undefined && change({ rates: rates.with(i, { ...rate, reduced }) })}
                  />
                  <IconAction
                    label={`Remove ${COUNTRIES.find(({ id }) => id === rate.country)?.title ?? rate.country}`}
                    icon={Trash2}
                    size={16}
                    onClick={() => change({ rates: rates.toSpliced(i, 1) })}
                  />
                </Box>
              ))}
              <Typography variant="caption" color="text.secondary">
                To countries that are not in the list, nothing is taxed.
              </Typography>
              <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1 }}>
                <Button
                  size="small"
                  startIcon={<Plus size={15} aria-hidden />}
                  disabled={free.length === 0 || rates.length >= MOST_TAX_COUNTRIES}
                  onClick={() => {
                    const next = free.find(({ id }) => id === first) ?? free.find(({ id }) => EU.has(id)) ?? free[0];
                    const like = rates[0] ?? { standard: 0, reduced: 0 };
                    if (next) change({ rates: [...rates, { ...like, country: next.id }] });
                  }}
                >
                  Country
                </Button>
                {rates.length && EU.has(rates[0]!.country) ? (
                  <Button
                    size="small"
                    onClick={() => {
                      const like = rates[0]!;
                      const more = [...EU].filter((code) => !rates.some(({ country }) => country === code));
                      change({ rates: [...rates, ...more.map((country) => ({ ...like, country }))] });
                    }}
                  >
                    The first rate in all of the European Union
                  </Button>
                ) : null}
              </Box>
            </Box>
            <Example selling={selling} />
          </>
        ) : null}
        {why ? (
          <Typography variant="body2" color="error" role="alert">
            {why}
          </Typography>
        ) : null}
      </Box>
    </Box>
  );
}
