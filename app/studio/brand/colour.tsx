import { Alert, Box, Link, TextField, Typography } from "@mui/material";
import { useEffect, useState } from "react";
import { setBrand } from "~/core/commands";
import { explainMoved, readColour, solveLook } from "~/core/theme";
import { themeById } from "~/themes";
import { useStudio, useStudioStore } from "../keeping";
import { INK } from "../ui";

/** The brand colour: picked or typed in any form that CSS knows; says what had to be moved for it, and why. */
export function ColourChoice() {
  const store = useStudioStore();
  const look = useStudio((s) => s.draft.look);
  const theme = themeById(look.theme);
  const solved = solveLook(theme, look);
  const [typed, setTyped] = useState<string | null>(null);
  useEffect(() => setTyped(null), [solved.brandColour]);
  const set = (colour: string | undefined) => store.getState().run(setBrand(store.getState().draft, "colour", colour));
  const isBad = typed !== null && typed.trim() !== "" && readColour(typed) === undefined;
  // Sets share most findings; each role is explained once, where it was moved the most.
  const moved = ["button", "link"].flatMap((role) =>
    solved.roles.moved.filter((m) => m.role === role && (m.set === "page" || m.set === "tint")).slice(0, 1),
  );
  const swatches = [
    ["Page", solved.roles.sets.page.ground, solved.roles.sets.page.ink],
    ["Tint", solved.roles.sets.tint.ground, solved.roles.sets.tint.ink],
    ["Brand", solved.roles.sets.brand.ground, solved.roles.sets.brand.ink],
    ["Dark", solved.roles.sets.dark.ground, solved.roles.sets.dark.ink],
    ["Button", solved.roles.sets.page.button, solved.roles.sets.page["on-button"]],
  ] as const;
  return (
    <Box sx={{ display: "grid", gap: 1.25 }}>
      <Box sx={{ display: "flex", gap: 1, alignItems: "flex-start" }}>
        <Box
          component="input"
          type="color"
          aria-label="Pick the brand colour"
          value={solved.brandColour}
          onChange={(event) => set((event.target as HTMLInputElement).value)}
          sx={{
            width: 48,
            height: 40,
            p: 0.375,
            border: `1px solid ${INK.soft}`,
            borderRadius: 1,
            bgcolor: INK.raised,
            cursor: "pointer",
            flex: "none",
          }}
        />
        <TextField
          label="Brand colour"
          value={typed ?? solved.brandColour}
          error={isBad}
          helperText={isBad ? "This is not a colour. Write it like #1f6f8b, teal or rgb(31 111 139)." : undefined}
          onChange={(event) => {
            setTyped(event.target.value);
            const read = readColour(event.target.value);
            if (read && event.target.value.length > 3) set(read);
          }}
          onBlur={() => {
            const read = typed === null ? undefined : readColour(typed);
            if (read) set(read);
            if (read || typed?.trim() === "") setTyped(null);
          }}
        />
      </Box>
      <Typography variant="caption" color="text.secondary">
        {look.brand.colour === undefined ? (
          `from theme ${theme.name}`
        ) : (
          <>
            set here ·{" "}
            <Link component="button" type="button" variant="caption" onClick={() => set(undefined)}>
              put back to the theme’s
            </Link>
          </>
        )}
      </Typography>
      <Box
        sx={{
          display: "grid",
          gridTemplateColumns: "repeat(5,1fr)",
          border: `1px solid ${INK.line}`,
          borderRadius: 1,
          overflow: "hidden",
        }}
      >
        {swatches.map(([name, ground, ink]) => (
          <Box
            key={name}
            sx={{ bgcolor: ground, color: ink, py: 1.25, textAlign: "center", fontSize: 12, fontWeight: 600 }}
          >
            {name}
          </Box>
        ))}
      </Box>
      {moved.map((each) => (
        <Alert
          key={each.role}
          severity="info"
          icon={
            <Box
              sx={{ width: 18, height: 18, borderRadius: 0.5, bgcolor: each.used, border: `1px solid ${INK.ink}` }}
            />
          }
          sx={{ py: 0.25, fontSize: 13, bgcolor: INK.paper, borderColor: INK.line, color: INK.ink }}
        >
          {explainMoved(each)}
        </Alert>
      ))}
    </Box>
  );
}
