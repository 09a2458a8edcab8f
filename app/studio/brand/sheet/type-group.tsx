import { homeOf } from "~/core/addresses";
import { entryOf } from "~/core/document";
import { Box, ButtonBase, Chip, Typography } from "@mui/material";
import { useEffect, useMemo, useRef, useState } from "react";
import {
  familyById,
  fontFaces,
  fontStack,
  isSingle,
  MOODS,
  solveLook,
  TYPE_PAIRS,
  type Mood,
  type TypePair,
} from "~/core/theme";
import { themeById } from "~/themes";
import { useStudio } from "../../keeping";
import { INK, ON_LEMON } from "../../ui";
import { OriginLine, SettingControl, useSetting } from "./setting-control";

/** Fetches the letters of families once they are to be seen. */
function useFamilies(ids: readonly string[]): void {
  const key = [...new Set(ids)].sort().join(" ");
  useEffect(() => {
    if (!key) return;
    const sheet = new CSSStyleSheet();
    sheet.replaceSync(key.split(" ").map(fontFaces).join(""));
    document.adoptedStyleSheets = [...document.adoptedStyleSheets, sheet];
    return () => {
      document.adoptedStyleSheets = document.adoptedStyleSheets.filter((s) => s !== sheet);
    };
  }, [key]);
}

function Pair({
  pair,
  isChosen,
  head,
  text,
  onChoose,
}: {
  pair: TypePair;
  isChosen: boolean;
  head: string;
  text: string;
  onChoose: () => void;
}) {
  const ref = useRef<HTMLButtonElement>(null);
  const [seen, setSeen] = useState(false);
  useEffect(() => {
    if (!ref.current) return;
    const observer = new IntersectionObserver(([entry]) => entry?.isIntersecting && setSeen(true), {
      rootMargin: "80px",
    });
    observer.observe(ref.current);
    return () => observer.disconnect();
  }, []);
  useFamilies(seen ? [pair.heads.family, pair.text.family] : []);
  return (
    <ButtonBase
      ref={ref}
      role="radio"
      aria-checked={isChosen}
      aria-label={`${pair.name}, ${pair.feel}`}
      onClick={onChoose}
      sx={{
        display: "block",
        width: "100%",
        textAlign: "left",
        p: 1.25,
        borderRadius: 1,
        border: `1px solid ${isChosen ? INK.ink : INK.line}`,
        boxShadow: isChosen ? `inset 4px 0 0 ${INK.lemon}` : "none",
        "&:hover": { borderColor: INK.ink },
      }}
    >
      <Box
        sx={{
          fontFamily: fontStack(pair.heads.family),
          fontWeight: pair.heads.weight,
          fontStretch: `${pair.heads.stretch ?? 100}%`,
          letterSpacing: `${pair.heads.tracking}em`,
          fontSize: 21,
          lineHeight: 1.12,
          maxHeight: 47,
          overflow: "hidden",
        }}
      >
        {head}
      </Box>
      <Box
        sx={{
          fontFamily: fontStack(pair.text.family),
          fontSize: 13,
          lineHeight: 1.4,
          mt: 0.5,
          color: INK.soft,
          maxHeight: 36,
          overflow: "hidden",
        }}
      >
        {text}
      </Box>
      <Typography variant="caption" sx={{ mt: 0.5, display: "block" }}>
        {pair.name} · {pair.feel}
      </Typography>
    </ButtonBase>
  );
}

/** Words of the shop to try letters on: its first heading and what stands below it. */
function useShopWords(): { head: string; text: string } {
  const home = useStudio((s) => entryOf(s.draft.documents, homeOf(s.draft.documents)));
  const name = useStudio((s) => s.draft.look.identity.name);
  return useMemo(() => {
    const said = (key: string) =>
      (home?.root.slots.main ?? [])
        .map((n) => entryOf(n.props, key))
        .find((words): words is string => typeof words === "string" && words.trim() !== "");
    return { head: said("heading") ?? name, text: said("text") ?? name };
  }, [home, name]);
}

const DETAILS = [
  "type.basePhone",
  "type.baseWide",
  "type.ratioPhone",
  "type.ratioWide",
  "type.headsWeight",
  "type.textWeight",
  "type.headsLeading",
  "type.leading",
  "type.headsTracking",
  "type.measure",
  "type.headsCase",
] as const;

/** Type: a pair found by its mood in the shop's own words, other families, sizes and lines. */
export function TypeGroup() {
  const { value, from, theme, isSet, set } = useSetting("typePair");
  const [mood, setMood] = useState<Mood | null>(null);
  const words = useShopWords();
  const headsFamily = useStudio((s) => solveLook(themeById(s.draft.look.theme), s.draft.look).type.heads.family);
  // A family that was drawn in one weight has no other one to choose.
  const details = isSingle(familyById(headsFamily)) ? DETAILS.filter((name) => name !== "type.headsWeight") : DETAILS;
  const current = TYPE_PAIRS.find((p) => p.id === value);
  const shown = TYPE_PAIRS.filter((p) => mood === null || p.moods.includes(mood));
  // The one in use stays first, so that it is found again.
  const sorted = current && shown.includes(current) ? [current, ...shown.filter((p) => p !== current)] : shown;
  return (
    <>
      <Box role="group" aria-label="Moods" sx={{ display: "flex", flexWrap: "wrap", gap: 0.5 }}>
        {MOODS.map((each) => (
          <Chip
            key={each}
            size="small"
            label={each}
            variant={mood === each ? "filled" : "outlined"}
            aria-pressed={mood === each}
            onClick={() => setMood(mood === each ? null : each)}
            sx={mood === each ? { ...ON_LEMON, "&:hover, &:focus": ON_LEMON } : {}}
          />
        ))}
      </Box>
      <Box
        role="radiogroup"
        aria-label="Type pair"
        sx={{ display: "grid", gap: 0.75, maxHeight: 390, overflowY: "auto", p: "3px" }}
      >
        {sorted.map((pair) => (
          <Pair key={pair.id} pair={pair} isChosen={pair === current} onChoose={() => set(pair.id)} {...words} />
        ))}
      </Box>
      <OriginLine isSet={isSet} theme={theme.name} from={from} label="Type pair" onBack={() => set(undefined)} />
      <SettingControl name="type.heads" />
      <SettingControl name="type.text" />
      {details.map((name) => (
        <SettingControl key={name} name={name} />
      ))}
    </>
  );
}
