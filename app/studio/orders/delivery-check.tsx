import { Autocomplete, Box, TextField, Typography } from "@mui/material";
import { useState } from "react";
import { deliveryFor, type Selling } from "~/core/selling";
import { useStudio } from "../keeping";
import { INK } from "../ui";
import { AmountField, COUNTRIES, MoneyField, useNames } from "../when";
import { kilos, readKilos } from "./kilos";

type Choice = (typeof COUNTRIES)[number];

/** What a parcel would cost, as a shopper would be told. */
export function DeliveryCheck({ selling }: { selling: Selling }) {
  const { currency } = useStudio((s) => s.shop);
  const names = useNames();
  const [chosen, setCountry] = useState<Choice | null>();
  // Until another one is chosen: home, or the first place that something is sent to.
  const home = selling.from ?? selling.zones[0]?.countries[0];
  const country = chosen === undefined ? (COUNTRIES.find(({ id }) => id === home) ?? null) : chosen;
  const [postcode, setPostcode] = useState("");
  const [weight, setWeight] = useState<number | undefined>(2_000);
  const [worth, setWorth] = useState<number | undefined>(5_000);
  const place = { country: country?.id ?? "", postcode };
  const found = deliveryFor(selling, place, { weight: weight ?? 0, worth: worth ?? 0, count: 2 }, currency);
  const where = `${country?.title ?? "where you choose"}${postcode ? ` ${postcode}` : ""}`;
  return (
    <Box
      component="section"
      aria-label="Check"
      sx={{
        border: `1px solid ${INK.line}`,
        borderRadius: 1,
        p: 2,
        display: "grid",
        gap: 1.5,
        alignSelf: "start",
        position: { lg: "sticky" },
        top: 0,
        bgcolor: INK.raised,
      }}
    >
      <Typography variant="h2">Check</Typography>
      <Autocomplete
        size="small"
        options={COUNTRIES}
        getOptionLabel={(each) => each.title}
        getOptionKey={(each) => each.id}
        isOptionEqualToValue={(a, b) => a.id === b.id}
        value={country}
        onChange={(_e, next) => setCountry(next)}
        renderInput={(params) => <TextField {...params} label="To" />}
      />
      <TextField size="small" label="Postcode" value={postcode} onChange={(e) => setPostcode(e.target.value)} />
      <Box sx={{ display: "grid", gridTemplateColumns: "1fr 1fr", gap: 1, alignItems: "start" }}>
        <AmountField label="Weighs kg" value={weight} written={kilos} read={readKilos} onSet={setWeight} />
        <MoneyField label="Worth" value={worth} onSet={setWorth} />
      </Box>
      <Box role="status" sx={{ display: "grid", gap: 0.5 }}>
        {found.ways.length ? (
          found.ways.map((way) => (
            <Typography key={way.id} variant="body2">
              {way.isCollected ? (
                "Fetching it is free."
              ) : (
                <>
                  A parcel of {kilos(weight ?? 0)} kg to {where} costs{" "}
                  <b>{way.costs ? names.money(way.costs) : "nothing"}</b> with “{way.name}”.
                </>
              )}
            </Typography>
          ))
        ) : (
          <Typography variant="body2">
            {found.why === "parcel" ? `So much isn’t sent to ${where}.` : `Nothing is sent to ${where}.`}
          </Typography>
        )}
      </Box>
    </Box>
  );
}
