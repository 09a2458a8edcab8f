import { Alert, Box, Button, Link as MuiLink, TextField, Typography } from "@mui/material";
import { data, Form, Link, useNavigation } from "react-router";
import { z } from "zod";
import { accountSchema, createAccount } from "~/server/accounts/index.server";
import { enter } from "~/server/http/session.server";
import { formOf } from "~/server/http/form.server";
import { EntryPage } from "~/studio/accounts";
import type { Route } from "./+types/account";

export const meta = () => [{ title: "Make an account · Zest Window" }];

export async function action({ request, context }: Route.ActionArgs) {
  const form = Object.fromEntries(await formOf(request));
  const given = { name: String(form.name ?? ""), address: String(form.address ?? "") };
  const input = accountSchema.safeParse(form);
  if (!input.success)
    return data({ given, problems: z.flattenError(input.error).fieldErrors, why: null }, { status: 422 });
  const made = await createAccount(input.data, context.from);
  if (!made.ok) return data({ given, problems: {}, why: made.why }, { status: 422 });
  throw await enter(request, context.from, made.owner.id, "/shops/new");
}

export default function Account({ actionData }: Route.ComponentProps) {
  const busy = useNavigation().state !== "idle";
  const problems: { name?: string[]; address?: string[]; password?: string[] } = actionData?.problems ?? {};
  return (
    <EntryPage title="Make an account" text="One account can have several shops.">
      <Box component={Form} method="post" noValidate sx={{ display: "grid", gap: 2 }}>
        {actionData?.why ? <Alert severity="error">{actionData.why}</Alert> : null}
        <TextField
          label="Your name"
          name="name"
          autoComplete="name"
          defaultValue={actionData?.given.name}
          error={Boolean(problems.name)}
          helperText={problems.name?.[0]}
        />
        <TextField
          label="Mail address"
          name="address"
          type="email"
          autoComplete="username"
          defaultValue={actionData?.given.address}
          error={Boolean(problems.address)}
          helperText={problems.address?.[0]}
        />
        <TextField
          label="Password"
          name="password"
          type="password"
          autoComplete="new-password"
          error={Boolean(problems.password)}
          helperText={problems.password?.[0] ?? "At least 10 characters"}
        />
        <Button type="submit" variant="contained" size="large" disabled={busy}>
          {busy ? "Making it …" : "Make the account"}
        </Button>
      </Box>
      <Typography sx={{ mt: 2 }}>
        <MuiLink component={Link} to="/sign-in">
          I have one: sign in
        </MuiLink>
      </Typography>
    </EntryPage>
  );
}
