import { Alert, Box, Button, Link as MuiLink, TextField, Typography } from "@mui/material";
import { data, Form, Link, useNavigation } from "react-router";
import { choosePassword, newPasswordSchema } from "~/server/accounts/index.server";
import { enter } from "~/server/http/session.server";
import { formOf } from "~/server/http/form.server";
import { EntryPage } from "~/studio/accounts";
import type { Route } from "./+types/new-password";

export const meta = () => [{ title: "A new password · Zest Window" }, { name: "referrer", content: "no-referrer" }];

export const loader = ({ request }: Route.LoaderArgs) => ({
  token: (new URL(request.url).searchParams.get("token") ?? "").slice(0, 100),
});

export async function action({ request, context }: Route.ActionArgs) {
  const input = newPasswordSchema.safeParse(Object.fromEntries(await formOf(request)));
  if (!input.success) return data({ why: null, problem: input.error.issues[0]!.message }, { status: 422 });
  const chosen = await choosePassword(input.data, context.from);
  if (!chosen.ok) return data({ why: chosen.why, problem: null }, { status: 422 });
  throw await enter(request, context.from, chosen.owner.id, "/");
}

export default function NewPassword({ loaderData, actionData }: Route.ComponentProps) {
  const busy = useNavigation().state !== "idle";
  return (
    <EntryPage title="A new password" text="All other browsers in which you are signed in are signed out.">
      <Box component={Form} method="post" noValidate sx={{ display: "grid", gap: 2 }}>
        {actionData?.why ? <Alert severity="error">{actionData.why}</Alert> : null}
        <input type="hidden" name="token" value={loaderData.token} />
        <TextField
          label="New password"
          name="password"
          type="password"
          autoComplete="new-password"
          error={Boolean(actionData?.problem)}
          helperText={actionData?.problem ?? "At least 10 characters"}
        />
        <Button type="submit" variant="contained" size="large" disabled={busy}>
          {busy ? "Setting it …" : "Set it and sign in"}
        </Button>
      </Box>
      <Typography sx={{ mt: 2 }}>
        <MuiLink component={Link} to="/forgotten">
          Send me another link
        </MuiLink>
      </Typography>
    </EntryPage>
  );
}
