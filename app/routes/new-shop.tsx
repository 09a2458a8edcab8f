import { Alert, Box, Button, InputAdornment, MenuItem, TextField } from "@mui/material";
import { useState } from "react";
import { data, Form, redirect, useNavigation } from "react-router";
import { z } from "zod";
import { slugOf } from "~/core/goods";
import { CURRENCIES } from "~/core/money";
import { requireOwner } from "~/server/http/guard.server";
import { createShop, newShopSchema } from "~/server/shops/index.server";
import { formOf } from "~/server/http/form.server";
import { EntryPage } from "~/studio/accounts";
import type { Route } from "./+types/new-shop";
import { CURRENCY_NAMES, TimeZoneField } from "~/studio/ui";

export const meta = () => [{ title: "New shop · Zest Window" }];

export async function loader({ request }: Route.LoaderArgs) {
  await requireOwner(request);
  return null;
}

export async function action({ request }: Route.ActionArgs) {
  const owner = await requireOwner(request);
  const input = newShopSchema.safeParse(Object.fromEntries(await formOf(request)));
  if (!input.success) return data({ problems: z.flattenError(input.error).fieldErrors }, { status: 422 });
  const made = await createShop(owner.id, input.data);
  if (!made.ok) return data({ problems: { [made.field]: [made.why] } }, { status: 422 });
  throw redirect(`/s/${made.shop.id}/theme`);
}

export default function NewShop({ actionData }: Route.ComponentProps) {
  const busy = useNavigation().state !== "idle";
  const [name, setName] = useState("");
  const [host, setHost] = useState<string | null>(null);
  const [zone, setZone] = useState<string | null>(null);
  const problems: { name?: string[]; host?: string[]; currency?: string[]; timeZone?: string[] } =
    actionData?.problems ?? {};
  return (
    <EntryPage
      title="Open a shop"
      text="You can change the name and everything about its look later. Nobody sees it until you publish."
    >
      <Box component={Form} method="post" noValidate sx={{ display: "grid", gap: 2 }}>
        {problems.currency ? <Alert severity="error">{problems.currency[0]}</Alert> : null}
        <TextField
          label="Shop name"
          name="name"
          value={name}
          onChange={(event) => setName(event.target.value)}
          error={Boolean(problems.name)}
          helperText={problems.name?.[0]}
          slotProps={{ htmlInput: { maxLength: 60 } }}
        />
        <TextField
          label="Web address"
          name="host"
          value={host ?? slugOf(name).slice(0, 40)}
          onChange={(event) => setHost(event.target.value)}
          error={Boolean(problems.host)}
          helperText={problems.host?.[0] ?? "Small letters, digits and hyphens"}
          slotProps={{ input: { endAdornment: <InputAdornment position="end">.localhost</InputAdornment> } }}
        />
        <TextField select label="Currency" name="currency" defaultValue="EUR">
          {CURRENCIES.map((code) => (
            <MenuItem key={code} value={code}>
              {code}
              {CURRENCY_NAMES ? `, ${CURRENCY_NAMES.of(code)}` : ""}
            </MenuItem>
          ))}
        </TextField>
        <TimeZoneField name="timeZone" zone={zone} onZone={setZone} problem={problems.timeZone?.[0]} />
        <Button type="submit" variant="contained" size="large" disabled={busy}>
          {busy ? "Opening …" : "Open it and choose a theme"}
        </Button>
      </Box>
    </EntryPage>
  );
}
