import { Box, ButtonBase, Typography } from "@mui/material";
import { useMemo } from "react";
import type { Brand, Draft } from "~/core/document";
import { solveBrand, type Colourway, type Theme } from "~/core/theme";
import { chooseByArrow, INK, Swatch } from "../ui";
import { COLOUR_KEYS } from "./colours-of-way";
import { useWorn } from "./wearing";

/** The colourway that a brand is in; null: the theme's own colours; undefined: colours of the seller's own. */
export function wayOf(theme: Theme, brand: Brand): Colourway | null | undefined {
  if (COLOUR_KEYS.every((key) => brand[key] === undefined)) return null;
  return theme.colourways.find((way) => COLOUR_KEYS.every((key) => brand[key] === way.brand[key]));
}

/** A brand with the colours of a colourway, as it will be once the theme is used. */
function withColours(brand: Brand, way: Colourway | null): Brand {
  const kept = Object.entries(brand).filter(([key]) => !COLOUR_KEYS.some((colour) => colour === key));
  return { ...Object.fromEntries(kept), ...way?.brand };
}

/** The shop in a theme, in one of its colourways or, where none is said, in the colours that it has. */
export function useDressed(theme: Theme, way: Colourway | null | undefined): Draft {
  const { draft } = useWorn();
  return useMemo(() => {
    const brand = way === undefined ? draft.look.brand : withColours(draft.look.brand, way);
    return { ...draft, look: { ...draft.look, theme: theme.id, brand } };
  }, [draft, theme, way]);
}

type Way = { readonly id: string; readonly name: string; readonly way: Colourway | null };

type ColourwaysProps = {
  theme: Theme;
  /** Undefined: none of them. */
  current: Colourway | null | undefined;
  onChoose: (way: Colourway | null) => void;
};

/** The sets of colours in which a theme was drawn, each as its ground, its brand and its accent. */
export function Colourways({ theme, current, onChoose }: ColourwaysProps) {
  const ways: readonly Way[] = [
    { id: "", name: theme.name, way: null },
    ...theme.colourways.map((way) => ({ id: way.id, name: way.name, way })),
  ];
  const chosen = current === undefined ? undefined : ways.find(({ id }) => id === (current?.id ?? ""));
  return (
    <Box
      role="radiogroup"
      aria-label={`Colourways of ${theme.name}`}
      onKeyDown={(event) => chooseByArrow(event, ways, chosen ?? ways[0]!, ({ way }) => onChoose(way))}
      sx={{ display: "flex", flexWrap: "wrap", gap: 0.75 }}
    >
      {ways.map((each, i) => {
        const { roles } = solveBrand(theme, each.way?.brand ?? {});
        const isChosen = each === chosen;
        return (
          <ButtonBase
            key={each.id}
            role="radio"
            aria-checked={isChosen}
            tabIndex={isChosen || (!chosen && i === 0) ? 0 : -1}
            onClick={() => onChoose(each.way)}
            sx={{
              display: "flex",
              alignItems: "center",
              gap: 0.75,
              py: 0.5,
              px: 0.75,
              borderRadius: 1,
              border: `1px solid ${isChosen ? INK.ink : INK.edge}`,
              boxShadow: isChosen ? `0 0 0 1px ${INK.ink}, 0 3px 0 1px ${INK.lemon}` : "none",
              "&:hover": { borderColor: INK.ink },
            }}
          >
            <Box sx={{ display: "flex" }}>
              {[roles.sets.page.page, roles.sets.tint.page, roles.sets.page.brand, roles.sets.page.accent].map(
                (colour, at) => (
                  <Swatch key={at} colour={colour} size={16} />
                ),
              )}
            </Box>
            <Typography component="span" sx={{ fontSize: 12.5, fontWeight: isChosen ? 650 : 450 }}>
              {each.name}
            </Typography>
          </ButtonBase>
        );
      })}
    </Box>
  );
}
