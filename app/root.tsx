import { Box, Button, CssBaseline, InitColorSchemeScript, Stack, ThemeProvider, Typography } from "@mui/material";
import { useContext, useEffect, type ReactNode } from "react";
import { isRouteErrorResponse, Links, Meta, Outlet, Scripts, ScrollRestoration, useRouteError } from "react-router";
import { fontFaces } from "~/core/theme";
import { guardSlowPresses, LOOK_ATTRIBUTE, NonceContext, pageNonce, studioTheme, Zest } from "~/studio/ui";

export const meta = () => [{ title: "Zest Window" }];

const FACES = fontFaces("instrument-sans") + fontFaces("bricolage-grotesque");

export function Layout({ children }: { children: ReactNode }) {
  // The browser hides nonces from scripts that read the page, so what it finds there differs from what was sent.
  const nonce = useContext(NonceContext) ?? "";
  return (
    <html lang="en" suppressHydrationWarning>
      <head>
        <meta charSet="utf-8" />
        <meta name="viewport" content="width=device-width, initial-scale=1" />
        <link rel="icon" href="/zest.svg" type="image/svg+xml" />
        <Meta />
        <Links />
        {/* After an error in the browser the whole page is made anew there. */}
        <style nonce={nonce || pageNonce()} suppressHydrationWarning dangerouslySetInnerHTML={{ __html: FACES }} />
      </head>
      <body>
        <InitColorSchemeScript attribute={LOOK_ATTRIBUTE} nonce={nonce} />
        <ThemeProvider theme={studioTheme} defaultMode="system">
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
  useEffect(() => guardSlowPresses(document), []);
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
      <Stack direction="row" spacing={1}>
        {isGone ? null : (
          <Button variant="contained" onClick={() => window.location.reload()}>
            Try again
          </Button>
        )}
        <Button variant={isGone ? "contained" : "outlined"} href="/">
          To my shops
        </Button>
      </Stack>
    </Box>
  );
}
