import { Box, Button, Typography } from "@mui/material";
import { Form } from "react-router";
import { INK } from "../ui";

type Session = {
  readonly id: string;
  readonly seenAt: string;
  readonly place: string;
  readonly agent: string;
  readonly isThis: boolean;
};

const BROWSERS = [
  ["Edg/", "Edge"],
  ["OPR/", "Opera"],
  ["Firefox/", "Firefox"],
  ["Chrome/", "Chrome"],
  ["Safari/", "Safari"],
] as const;
const SYSTEMS = [
  ["iPhone", "iPhone"],
  ["iPad", "iPad"],
  ["Android", "Android"],
  ["Windows", "Windows"],
  ["Mac OS", "Mac"],
  ["Linux", "Linux"],
] as const;

/** What a browser calls itself (`User-Agent`), in words: "Firefox on Windows". */
export function browserName(agent: string): string {
  const named = (list: readonly (readonly [string, string])[]) => list.find(([sign]) => agent.includes(sign))?.[1];
  const [browser, system] = [named(BROWSERS), named(SYSTEMS)];
  return browser && system ? `${browser} on ${system}` : (browser ?? system ?? "A browser");
}

const when = (at: string) =>
  new Intl.DateTimeFormat("en-GB", { dateStyle: "medium", timeStyle: "short", timeZone: "UTC" }).format(new Date(at));

/** Where the account is signed in; each can be ended, and all others at once. */
export function Sessions({ sessions, isBusy }: { sessions: readonly Session[]; isBusy: boolean }) {
  return (
    <Box component="section" aria-labelledby="sessions">
      <Typography variant="h3" component="h2" id="sessions" gutterBottom>
        Where you are signed in
      </Typography>
      <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0, maxHeight: 320, overflowY: "auto" }}>
        {sessions.map((session) => (
          <Box
            component="li"
            key={session.id}
            sx={{ display: "flex", gap: 2, alignItems: "center", py: 1, borderTop: `1px solid ${INK.line}` }}
          >
            <Box sx={{ flex: 1, minWidth: 0 }}>
              <Typography noWrap sx={{ fontWeight: session.isThis ? 700 : 400 }}>
                {browserName(session.agent)}
              </Typography>
              <Typography variant="body2" color="text.secondary">
                {session.isThis ? "This browser" : `Used ${when(session.seenAt)} UTC`}
                {session.place ? ` · ${session.place}` : ""}
              </Typography>
            </Box>
            {session.isThis ? null : (
              <Form method="post">
                <input type="hidden" name="intent" value="end" />
                <input type="hidden" name="session" value={session.id} />
                <Button
                  type="submit"
                  size="small"
                  disabled={isBusy}
                  aria-label={`Sign out ${browserName(session.agent)}`}
                >
                  Sign out
                </Button>
              </Form>
            )}
          </Box>
        ))}
      </Box>
      {sessions.length > 1 ? (
        <Form method="post">
          <input type="hidden" name="intent" value="end-others" />
          <Button type="submit" variant="outlined" disabled={isBusy} sx={{ mt: 1.5 }}>
            Sign out all others
          </Button>
        </Form>
      ) : null}
    </Box>
  );
}
