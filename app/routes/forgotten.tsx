import { Alert, Box, Button, Link as MuiLink, TextField, Typography } from "@mui/material";
import { data, Form, Link, useNavigation } from "react-router";
import { z } from "zod";
import { askForPassword } from "~/server/accounts/index.server";
import { formOf } from "~/server/http/form.server";
import { EntryPage } from "~/studio/accounts";
import type { Route } from "./+types/forgotten";

export const meta = () => [{ title: "A new password · Zest Window" }];

const schema = z.object({ address: z.string().trim().max(254).pipe(z.email("This is not a mail address.")) });

export async function action({ request, context }: Route.ActionArgs) {
  const form = Object.fromEntries(await formOf(request));
  const input = schema.safeParse(form);
  if (!input.success) return data({ sent: false, why: input.error.issues[0]!.message }, { status: 422 });
  await askForPassword(input.data.address, context.from);
  return data({ sent: true, why: null });
}

export default function Forgotten({ actionData }: Route.ComponentProps) {
  const busy = useNavigation().state !== "idle";
  return (
    <EntryPage title="A new password" text="We write to you, and you choose a new one with the link in the letter.">
      {actionData?.sent ? (
        <Alert severity="success">
          If there is an account with this address, a letter is on its way. Its link is good for an hour. (This studio
          sends no mail yet: whoever runs it finds the letter in the outbox of its data folder.)
        </Alert>
      ) : (
        <Box component={Form} method="post" noValidate sx={{ display: "grid", gap: 2 }}>
          <TextField
            label="Mail address"
            name="address"
            type="email"
            autoComplete="username"
            error={Boolean(actionData?.why)}
            helperText={actionData?.why}
          />
          <Button type="submit" variant="contained" size="large" disabled={busy}>
            {busy ? "Writing …" : "Send me a link"}
          </Button>
        </Box>
      )}
      <Typography sx={{ mt: 2 }}>
        <MuiLink component={Link} to="/sign-in">
          Back to signing in
        </MuiLink>
      </Typography>
    </EntryPage>
  );
}
