import { Box, Button, CssBaseline, ThemeProvider, Typography } from "@mui/material";
import type { ReactNode } from "react";
import {
  isRouteErrorResponse,
  Links,
  Meta,
  Outlet,
  Scripts,
  ScrollRestoration,
  useRouteError,
  useRouteLoaderData,
} from "react-router";
import { fontFaces } from "~/core/theme";
import { studioTheme, Zest } from "~/studio/ui";
import type { Route } from "./+types/root";

export const loader = ({ context }: Route.LoaderArgs) => ({ nonce: context.nonce });

export const meta = () => [{ title: "Zest Window" }];

const FACES = fontFaces("instrument-sans") + fontFaces("bricolage-grotesque");

export function Layout({ children }: { children: ReactNode }) {
  const loaded = useRouteLoaderData<typeof loader>("root");
  // The browser hides nonces from scripts that read the page, so what it finds there differs from what was sent.
  const nonce = typeof document === "undefined" ? loaded?.nonce : "";
  return (
    <html lang="en">
      <head>
        <meta charSet="utf-8" />
        <meta name="viewport" content="width=device-width, initial-scale=1" />
        <link rel="icon" href="/zest.svg" type="image/svg+xml" />
        <Meta />
        <Links />
        <style nonce={nonce} suppressHydrationWarning dangerouslySetInnerHTML={{ __html: FACES }} />
      </head>
      <body>
        <ThemeProvider theme={studioTheme}>
          <CssBaseline />
          {children}
        </ThemeProvider>
        <ScrollRestoration nonce={nonce} />
        <Scripts nonce={nonce} />
      </body>
    </html>
  );
}

export default function Root() {
  return <Outlet />;
}

/** What an answer that says no says. */
const wordsOf = (data: unknown): string | undefined =>
  typeof data === "string"
    ? data
    : typeof data === "object" && data && "why" in data && typeof data.why === "string"
      ? data.why
      : undefined;

export function ErrorBoundary() {
  const error = useRouteError();
  const isGone = isRouteErrorResponse(error) && error.status === 404;
  const said =
    isRouteErrorResponse(error) && (error.status < 500 || error.status === 503) ? wordsOf(error.data) : undefined;
  return (
    <Box
      component="main"
      sx={{
        minHeight: "100vh",
        display: "grid",
        placeContent: "center",
        justifyItems: "start",
        gap: 2,
        p: 4,
        maxWidth: 560,
        mx: "auto",
      }}
    >
      <Zest size={44} />
      <Typography variant="h1">{isGone ? "There is nothing at this address" : "Something went wrong here"}</Typography>
      <Typography>
        {said ??
          (isGone
            ? "It may have been removed, or it belongs to another account."
            : "What you had done is saved. Try again; if it stays like this, restart Zest Window.")}
      </Typography>
      <Button variant="contained" href="/">
        To my shops
      </Button>
    </Box>
  );
}
