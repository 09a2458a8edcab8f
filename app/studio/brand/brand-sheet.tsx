import { Box, Button, ButtonBase, Link, TextField, ToggleButton, ToggleButtonGroup, Typography } from "@mui/material";
import { useEffect, useState, type ReactNode } from "react";
import { Link as RouterLink } from "react-router";
import { PROPERTIES } from "~/core/cascade";
import { setBrand, setShopName, setTagline } from "~/core/commands";
import type { Brand } from "~/core/document";
import { fontFaces, fontStack, solveLook, TYPE_PAIRS } from "~/core/theme";
import { themeById } from "~/themes";
import { useStudio, useStudioStore } from "../keeping";
import { Heading, INK } from "../ui";
import { ColourChoice } from "./colour";
import { LogoChoice } from "./logo";

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box component="section" aria-label={title} sx={{ px: 2, py: 1.5, borderTop: `1px solid ${INK.line}` }}>
      <Heading>{title}</Heading>
      <Box sx={{ display: "grid", gap: 1.5 }}>{children}</Box>
    </Box>
  );
}

/** Shows every pair in its own letters; the fonts are fetched when the sheet is opened. */
function usePairFonts(): void {
  useEffect(() => {
    const sheet = new CSSStyleSheet();
    sheet.replaceSync([...new Set(TYPE_PAIRS.flatMap((p) => [p.heads.family, p.text.family]))].map(fontFaces).join(""));
    document.adoptedStyleSheets = [...document.adoptedStyleSheets, sheet];
    return () => {
      document.adoptedStyleSheets = document.adoptedStyleSheets.filter((s) => s !== sheet);
    };
  }, []);
}

function Origin({ isSet, theme, onBack }: { isSet: boolean; theme: string; onBack: () => void }) {
  return (
    <Typography variant="caption" color="text.secondary" component="p">
      {isSet ? (
        <>
          set here ·{" "}
          <Link component="button" type="button" variant="caption" onClick={onBack}>
            put back to the theme’s
          </Link>
        </>
      ) : (
        `from theme ${theme}`
      )}
    </Typography>
  );
}

function NameFields() {
  const store = useStudioStore();
  const { name, tagline } = useStudio((s) => s.draft.look.identity);
  const [empty, setEmpty] = useState(false);
  return (
    <>
      <TextField
        label="Shop name"
        value={empty ? "" : name}
        error={empty}
        helperText={empty ? "A shop needs a name. The last one is kept until you write another." : undefined}
        slotProps={{ htmlInput: { maxLength: 60 } }}
        onBlur={() => setEmpty(false)}
        onChange={(event) => {
          const next = event.target.value;
          setEmpty(next.trim() === "");
          if (next.trim() !== "") store.getState().run(setShopName(store.getState().draft, next));
        }}
      />
      <TextField
        label="Tagline"
        value={tagline}
        helperText="A few words for search results and browser tabs"
        slotProps={{ htmlInput: { maxLength: 120 } }}
        onChange={(event) => store.getState().run(setTagline(store.getState().draft, event.target.value))}
      />
    </>
  );
}

const CORNER_WORDS = { square: "Square", soft: "Soft", round: "Round" } as const;
const DENSITY_WORDS = { compact: "Compact", even: "Even", airy: "Airy" } as const;

/** What the whole shop looks like, from a few choices. Every page follows at once. */
export function BrandSheet() {
  usePairFonts();
  const store = useStudioStore();
  const look = useStudio((s) => s.draft.look);
  const shop = useStudio((s) => s.shop);
  const theme = themeById(look.theme);
  const solved = solveLook(theme, look);
  const set = <K extends keyof Brand>(key: K, value: Brand[K] | undefined) =>
    store.getState().run(setBrand(store.getState().draft, key, value));
  const origin = (key: keyof Brand) => (
    <Origin isSet={look.brand[key] !== undefined} theme={theme.name} onBack={() => set(key, undefined)} />
  );
  const choice = <K extends "corners" | "density">(key: K, words: Readonly<Record<string, string>>, label: string) => (
    <Box>
      <ToggleButtonGroup
        exclusive
        fullWidth
        size="small"
        value={solved[key]}
        aria-label={label}
        onChange={(_e, next: Brand[K] | null) => next && set(key, next)}
      >
        {Object.entries(words).map(([value, word]) => (
          <ToggleButton key={value} value={value}>
            {word}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      {origin(key)}
    </Box>
  );
  return (
    <Box>
      <Box sx={{ px: 2, py: 1.5 }}>
        <Typography variant="h2">Brand</Typography>
        <Box sx={{ display: "flex", alignItems: "center", gap: 1, mt: 1 }}>
          <Typography variant="body2" sx={{ flex: 1 }}>
            Theme: <strong>{theme.name}</strong>
          </Typography>
          <Button size="small" variant="outlined" component={RouterLink} to={`/s/${shop.id}/theme`}>
            Change theme
          </Button>
        </Box>
      </Box>
      <Part title="Name">
        <NameFields />
      </Part>
      <Part title="Logo">
        <LogoChoice />
      </Part>
      <Part title="Colour">
        <ColourChoice />
      </Part>
      <Part title="Type">
        <Box role="radiogroup" aria-label="Type pair" sx={{ display: "grid", gap: 0.75 }}>
          {TYPE_PAIRS.map((pair) => {
            const isChosen = solved.typePair.id === pair.id;
            return (
              <ButtonBase
                key={pair.id}
                role="radio"
                aria-checked={isChosen}
                aria-label={`${pair.name}, ${pair.mood}`}
                onClick={() => set("typePair", pair.id)}
                sx={{
                  display: "block",
                  textAlign: "left",
                  p: 1.25,
                  borderRadius: 1,
                  border: `1px solid ${isChosen ? INK.ink : INK.line}`,
                  bgcolor: isChosen ? INK.lemon : "transparent",
                }}
              >
                <Box
                  sx={{
                    fontFamily: fontStack(pair.heads.family),
                    fontWeight: pair.heads.weight,
                    fontStretch: `${pair.heads.stretch ?? 100}%`,
                    letterSpacing: `${pair.heads.tracking}em`,
                    fontSize: 20,
                    lineHeight: 1.15,
                    overflow: "hidden",
                    textOverflow: "ellipsis",
                    whiteSpace: "nowrap",
                  }}
                >
                  {look.identity.name}
                </Box>
                <Box
                  sx={{ fontFamily: fontStack(pair.text.family), fontSize: 13, color: isChosen ? INK.ink : INK.soft }}
                >
                  {pair.mood}
                </Box>
              </ButtonBase>
            );
          })}
        </Box>
        {origin("typePair")}
      </Part>
      <Part title="Corners">{choice("corners", CORNER_WORDS, "Corners")}</Part>
      <Part title="Space">{choice("density", DENSITY_WORDS, "Density")}</Part>
      <Part title="Goods pictures">
        <Box>
          <TextField
            select
            label="Shape"
            value={solved.goodsShape}
            onChange={(event) => set("goodsShape", event.target.value)}
            slotProps={{ select: { native: true } }}
          >
            {PROPERTIES.shape!.choices.map((c) => (
              <option key={String(c.value)} value={String(c.value)}>
                {c.label}
              </option>
            ))}
          </TextField>
          {origin("goodsShape")}
        </Box>
      </Part>
    </Box>
  );
}
