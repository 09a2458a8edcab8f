import { Alert, Box, Button, Divider, Link as MuiLink, TextField, Typography } from "@mui/material";
import { data, Form, Link, useNavigation } from "react-router";
import { z } from "zod";
import {
  changePassword,
  changeSchema,
  endOtherSessions,
  endSession,
  sessionSecret,
  sessionsOf,
} from "~/server/accounts/index.server";
import { requireOwner } from "~/server/http/guard.server";
import { formOf } from "~/server/http/form.server";
import { EntryPage, Sessions } from "~/studio/accounts";
import { LookChoice } from "~/studio/ui";
import type { Route } from "./+types/you";

export const meta = () => [{ title: "Your account · Zest Window" }];

const secretOf = (request: Request) => sessionSecret(request.headers.get("Cookie")) ?? "";

export async function loader({ request }: Route.LoaderArgs) {
  const owner = await requireOwner(request);
  return { owner, sessions: await sessionsOf(owner.id, secretOf(request)) };
}

const schema = z.discriminatedUnion("intent", [
  z.object({ intent: z.literal("password"), ...changeSchema.shape }),
  z.object({ intent: z.literal("end"), session: z.string().max(40) }),
  z.object({ intent: z.literal("end-others") }),
]);

type Done = { readonly good: string | null; readonly problems: Readonly<Record<string, string>> };
const good = (text: string): Done => ({ good: text, problems: {} });

export async function action({ request }: Route.ActionArgs) {
  const owner = await requireOwner(request);
  const input = schema.safeParse(Object.fromEntries(await formOf(request)));
  if (!input.success) {
    const [issue] = input.error.issues;
    return data<Done>({ good: null, problems: { [String(issue!.path[0])]: issue!.message } }, { status: 422 });
  }
  const { data: asked } = input;
  if (asked.intent === "password") {
    const done = await changePassword(owner.id, asked, secretOf(request));
    if (!done.ok) return data<Done>({ good: null, problems: { [done.field]: done.why } }, { status: 422 });
    return data(good("Your password is changed. All other browsers are signed out."));
  }
  if (asked.intent === "end") {
    await endSession(owner.id, asked.session);
    return data(good("That browser is signed out."));
  }
  await endOtherSessions(owner.id, secretOf(request));
  return data(good("All other browsers are signed out."));
}

export default function You({ loaderData, actionData }: Route.ComponentProps) {
  const busy = useNavigation().state !== "idle";
  const { owner, sessions } = loaderData;
  const { good: done = null, problems = {} } = actionData ?? {};
  return (
    <EntryPage title="Your account" text={`${owner.name}, ${owner.address}`}>
      {done ? (
        <Alert severity="success" sx={{ mb: 2 }}>
          {done}
        </Alert>
      ) : null}
      {/* Made anew when it has been changed, so that no password stays in the form. */}
      <Box key={done} component={Form} method="post" noValidate sx={{ display: "grid", gap: 2 }}>
        <Typography variant="h3" component="h2">
          Password
        </Typography>
        <input type="hidden" name="intent" value="password" />
        <input type="hidden" name="username" autoComplete="username" value={owner.address} readOnly />
        <TextField
          label="Current password"
          name="current"
          type="password"
          autoComplete="current-password"
          error={Boolean(problems.current)}
          helperText={problems.current}
        />
        <TextField
          label="New password"
          name="password"
          type="password"
          autoComplete="new-password"
          error={Boolean(problems.password)}
          helperText={problems.password ?? "At least 10 characters"}
        />
        <Button type="submit" variant="contained" disabled={busy} sx={{ justifySelf: "start" }}>
          Change it
        </Button>
      </Box>
      <Divider sx={{ my: 3 }} />
      <Box sx={{ display: "grid", gap: 1, justifyItems: "start" }}>
        <Typography variant="h3" component="h2">
          Look of the studio
        </Typography>
        <LookChoice />
        <Typography variant="caption" color="text.secondary">
          For this browser. Your shop’s look has nothing to do with it.
        </Typography>
      </Box>
      <Divider sx={{ my: 3 }} />
      <Sessions sessions={sessions} isBusy={busy} />
      <Typography sx={{ mt: 3 }}>
        <MuiLink component={Link} to="/">
          Back to your shops
        </MuiLink>
      </Typography>
    </EntryPage>
  );
}
