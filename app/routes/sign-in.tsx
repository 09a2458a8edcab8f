import { Alert, Box, Button, Link as MuiLink, Paper, TextField, Typography } from "@mui/material";
import { data, Form, Link, useNavigation } from "react-router";
import { deviceSecret, signIn } from "~/server/accounts/index.server";
import { config } from "~/server/config/index.server";
import { DEMO_OWNER } from "~/server/demo/index.server";
import { placeAfterSignIn } from "~/server/http/guard.server";
import { enter } from "~/server/http/session.server";
import { formOf } from "~/server/http/form.server";
import { EntryPage } from "~/studio/accounts";
import type { Route } from "./+types/sign-in";

export const meta = () => [{ title: "Sign in · Zest Window" }];

export const loader = () => ({
  demo: config().demo ? { address: DEMO_OWNER.address, password: DEMO_OWNER.password } : null,
});

export async function action({ request, context }: Route.ActionArgs) {
  const form = await formOf(request);
  const address = String(form.get("address") ?? "");
  const device = deviceSecret(request.headers.get("Cookie"));
  const result = await signIn(address, String(form.get("password") ?? ""), context.from, device);
  if (!result.ok) return data({ why: result.why, address }, { status: 422 });
  const to = placeAfterSignIn(new URL(request.url).searchParams.get("to"));
  throw await enter(request, context.from, result.owner.id, to);
}

export default function SignIn({ loaderData, actionData }: Route.ComponentProps) {
  const busy = useNavigation().state !== "idle";
  const { demo } = loaderData;
  return (
    <EntryPage title="Sign in" text="Dress your shop’s window and look at it while you do.">
      <Box component={Form} method="post" sx={{ display: "grid", gap: 2 }}>
        {actionData ? <Alert severity="error">{actionData.why}</Alert> : null}
        <TextField
          label="Mail address"
          name="address"
          type="email"
          autoComplete="username"
          required
          defaultValue={actionData?.address ?? ""}
        />
        <TextField label="Password" name="password" type="password" autoComplete="current-password" required />
        <Button type="submit" variant="contained" size="large" disabled={busy}>
          {busy ? "Signing in …" : "Sign in"}
        </Button>
      </Box>
      <Typography sx={{ mt: 2 }}>
        <MuiLink component={Link} to="/forgotten">
          I have forgotten my password
        </MuiLink>
      </Typography>
      <Typography sx={{ mt: 1 }}>
        New here?{" "}
        <MuiLink component={Link} to="/account">
          Make an account
        </MuiLink>
      </Typography>
      {demo ? (
        <Paper variant="outlined" sx={{ mt: 4, p: 2 }}>
          <Typography variant="h3" component="h2">
            Only looking?
          </Typography>
          <Typography variant="body2" color="text.secondary" sx={{ mb: 1.5 }}>
            The demo shop sells kites by the sea. Change what you like.
          </Typography>
          <Form method="post">
            <input type="hidden" name="address" value={demo.address} />
            <input type="hidden" name="password" value={demo.password} />
            <Button type="submit" variant="outlined" disabled={busy}>
              Use the demo account
            </Button>
          </Form>
        </Paper>
      ) : null}
    </EntryPage>
  );
}
