import { entryOf } from "~/core/document";
import { Box, Button, ButtonBase, Link, Typography } from "@mui/material";
import { ScanSearch, X } from "lucide-react";
import { ROLE_WORDS, setName, SETTINGS, SET_NAMES, type Role } from "~/core/theme";
import { partById } from "~/render";
import { putBackBrand } from "~/core/commands";
import { useStudio, useStudioStore } from "../../keeping";
import { IconAction, INK, Swatch } from "../../ui";
import { useDesk, useDeskStore } from "../desk";
import { useShown } from "../shown";
import { SettingControl } from "./setting-control";

const MOST = 6;

/** The settings that make a part: its own first, then those it shares. A gradient only while the part is made of one. */
export function settingsOfPart(keys: readonly string[], isGradient: (key: string) => boolean): readonly string[] {
  const all = [...SETTINGS.keys()];
  const matching = keys.flatMap((start) =>
    all.filter((key) => key === start || (start.endsWith(".") && key.startsWith(start)) || key.startsWith(`${start}.`)),
  );
  const own = keys[0]!;
  return [...new Set(matching)].filter((key) => {
    if (key.endsWith(".gradient")) return key.startsWith(own) && isGradient(key);
    // Of buttons, the other two variants are parts of their own.
    const variant = /^button\.(primary|secondary|quiet)\./.test(key);
    return !variant || key.startsWith(own);
  });
}

/** What styles the part that was clicked: its settings with where each comes from, and the roles it is coloured with. */
export function PickedCard() {
  const store = useStudioStore();
  const desk = useDeskStore();
  const picked = useDesk((d) => d.picked);
  const brand = useStudio((s) => s.draft.look.brand);
  const { look } = useShown();
  const part = picked && partById(picked.part);
  if (!part || !picked) return null;
  const roles = look.roles.sets[picked.set];
  const names = settingsOfPart(part.keys, (key) => look.read.text(key.replace(/gradient$/, "style")) === "gradient");
  const setHere = names.filter((name) => entryOf(brand, name) !== undefined);
  return (
    <Box
      component="section"
      aria-label={`Picked: ${part.name}`}
      sx={{
        borderTop: `3px solid ${INK.lemon}`,
        borderBottom: `1px solid ${INK.ink}`,
        px: 2,
        py: 1.25,
        bgcolor: INK.paper,
      }}
    >
      <Box sx={{ display: "flex", alignItems: "center" }}>
        <Box sx={{ flex: 1 }}>
          <Typography variant="h3" component="h3">
            {part.name}
          </Typography>
          <Typography variant="caption" color="text.secondary">
            {setHere.length ? "from Brand" : `from theme ${look.theme.name}`}, on{" "}
            {setName(brand, picked.set) || SET_NAMES[picked.set]}
            {setHere.length ? (
              <>
                {" · "}
                <Link
                  component="button"
                  type="button"
                  variant="caption"
                  onClick={() => store.getState().run(putBackBrand(store.getState().draft, setHere, part.name))}
                >
                  put all of it back
                </Link>
              </>
            ) : null}
          </Typography>
        </Box>
        <IconAction label="Let go" icon={X} size={16} onClick={() => desk.getState().pick(null)} />
      </Box>
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 0.5, my: 1 }}>
        {part.roles.map((role) => (
          <ButtonBase
            key={role}
            onClick={() => desk.getState().openRole({ set: picked.set, role: role as Role })}
            sx={{
              display: "inline-flex",
              gap: 0.5,
              alignItems: "center",
              border: `1px solid ${INK.line}`,
              borderRadius: 1,
              px: 0.75,
              py: 0.25,
              fontSize: 12,
              "&:hover": { borderColor: INK.ink },
            }}
          >
            <Swatch colour={roles[role as Role]} size={14} />
            {ROLE_WORDS[role as Role].name}
          </ButtonBase>
        ))}
      </Box>
      <Button
        size="small"
        startIcon={<ScanSearch size={15} aria-hidden />}
        onClick={() => desk.getState().seek({ part: part.id })}
        sx={{ mb: 0.5, ml: -0.5 }}
      >
        Where else is it?
      </Button>
      <Box sx={{ display: "grid", gap: 1.25 }}>
        {names.slice(0, MOST).map((name) => (
          <SettingControl key={name} name={name} />
        ))}
      </Box>
      {names.length > MOST ? (
        <Typography variant="caption" color="text.secondary" component="p" sx={{ mt: 1 }}>
          More under {GROUP_TITLES[part.group] ?? part.group} below.
        </Typography>
      ) : null}
    </Box>
  );
}

/** Heads of the groups of the brand sheet. */
export const GROUP_TITLES: Readonly<Record<string, string>> = {
  colour: "Colour",
  type: "Type",
  space: "Space",
  shape: "Corners, lines, shadow",
  motion: "Movement",
  button: "Buttons",
  link: "Links",
  field: "Fields",
  card: "Cards",
  goods: "Product card",
  price: "Price",
  badge: "Badges",
  rating: "Rating",
  tabs: "Tabs",
  popup: "Pop-up",
  toast: "Toast",
  frame: "Header, footer, notice",
  identity: "Name and logo",
  contact: "Contact and hours",
  money: "Money and time",
  versions: "Versions",
  files: "Files",
};
