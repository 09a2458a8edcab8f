import { entryOf } from "~/core/document";
import { Alert, Box, Button, ButtonBase, Link, Paper, Popper, TextField, Tooltip, Typography } from "@mui/material";
import { Check, ScanSearch, X } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import { setBrand } from "~/core/commands";
import {
  contrast,
  explainFailing,
  nameKey,
  passingNear,
  pinKey,
  RATIOS,
  ratioWords,
  rampsOf,
  REQUIREMENTS,
  ROLE_WORDS,
  setName,
  SET_NAMES,
  TONES,
  unpinnedRoles,
  type Hex,
} from "~/core/theme";
import { useStudio, useStudioStore } from "../keeping";
import { IconAction, INK } from "../ui";
import { ColourField } from "../colours";
import { useDeskStore, type RoleInSet } from "./desk";
import { useShown } from "./shown";

/** The seller's own name for a set that sections can wear. */
function SetNameField({ set }: { set: RoleInSet["set"] }) {
  const store = useStudioStore();
  const own = useStudio((s) => setName(s.draft.look.brand, set));
  const [typed, setTyped] = useState<string | null>(null);
  return (
    <TextField
      label={`Name of this set (now “${own || SET_NAMES[set]}”)`}
      value={typed ?? own}
      placeholder={SET_NAMES[set]}
      slotProps={{ htmlInput: { maxLength: 24 } }}
      onChange={(event) => {
        setTyped(event.target.value);
        const next = event.target.value.trim();
        store.getState().run(setBrand(store.getState().draft, nameKey(set), next === "" ? undefined : next));
      }}
      onBlur={() => setTyped(null)}
    />
  );
}

const NEAR = [
  { name: "offset", options: { offset: [0, 8] } },
  { name: "preventOverflow", options: { padding: 8 } },
];

/** What a role is, what it must be legible with, and how to fix it to a colour. */
export function RoleCard({ at, anchor, onClose }: { at: RoleInSet; anchor: HTMLElement; onClose: () => void }) {
  const { set, role } = at;
  const store = useStudioStore();
  const desk = useDeskStore();
  const brand = useStudio((s) => s.draft.look.brand);
  const { look } = useShown();
  // The panes stay in reach beside it; the keyboard comes here first and goes back where it was.
  const card = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const before = document.activeElement;
    card.current?.focus();
    return () => {
      if (before instanceof HTMLElement && before.isConnected) before.focus();
    };
  }, []);
  const roles = look.roles.sets[set];
  const key = pinKey(look.scheme, set, role);
  const isPinned = entryOf(brand, key) !== undefined;
  const pin = (colour: Hex | undefined) => store.getState().run(setBrand(store.getState().draft, key, colour));
  const pairs = REQUIREMENTS.flatMap((r) =>
    r.against.filter((other) => r.role === role || other === role).map((other) => ({ ...r, other })),
  );
  const failing = look.roles.failing.filter((f) => f.set === set && f.pinned === role);
  const passing = failing[0]
    ? passingNear(
        failing[0],
        roles,
        unpinnedRoles(look.theme, look.brand, look.scheme, set),
        look.level,
        (r) => entryOf(brand, pinKey(look.scheme, set, r)) !== undefined,
      )
    : [];
  const ramps = rampsOf(look);
  const offered = [
    ...TONES.map((t) => ({ name: `Brand ${t}`, colour: ramps.brand[t] })),
    ...TONES.map((t) => ({ name: `Accent ${t}`, colour: ramps.accent[t] })),
  ];
  const { name, does } = ROLE_WORDS[role];
  const isNamed = set !== "header" && set !== "footer" && set !== "notice";
  return (
    <Popper open anchorEl={anchor} placement="top-start" modifiers={NEAR} style={{ zIndex: 1250 }}>
      <Paper
        ref={card}
        role="dialog"
        aria-label={`${name} in ${setName(brand, set) || SET_NAMES[set]}`}
        tabIndex={-1}
        onKeyDown={(event) => {
          if (event.key !== "Escape" || event.defaultPrevented) return;
          event.stopPropagation();
          onClose();
        }}
        sx={{
          width: 330,
          maxHeight: "calc(100vh - 190px)",
          overflowY: "auto",
          p: 2,
          border: `1px solid ${INK.ink}`,
          display: "grid",
          gap: 1.25,
          boxShadow: "0 12px 32px -12px rgb(23 36 29/.5)",
          outline: "none",
        }}
      >
        <Box sx={{ display: "flex", gap: 1 }}>
          <Box sx={{ flex: 1 }}>
            <Typography variant="h3" component="h2">
              {name}
            </Typography>
            <Typography variant="caption" color="text.secondary">
              {does}
            </Typography>
          </Box>
          <IconAction label="Close" icon={X} size={16} onClick={onClose} />
        </Box>
        <ColourField
          label={isPinned ? "Fixed to" : "Worked out as"}
          value={roles[role]}
          onChange={pin}
          offered={offered}
        />
        <Typography variant="caption" color="text.secondary">
          {isPinned ? (
            <>
              from Brand, fixed here ·{" "}
              <Link component="button" type="button" variant="caption" onClick={() => pin(undefined)}>
                let it be worked out again
              </Link>
            </>
          ) : (
            `worked out from ${brand.colour === undefined ? `theme ${look.theme.name}` : "your colours"}; change it to fix it`
          )}
        </Typography>
        {failing.map((f) => (
          <Alert key={`${f.role} ${f.against}`} severity="error" sx={{ py: 0, fontSize: 13 }}>
            {explainFailing(f, setName(brand, set))}
          </Alert>
        ))}
        {passing.length ? (
          <Box>
            <Typography variant="caption">Nearest that can be read:</Typography>
            <Box sx={{ display: "flex", gap: 0.75, mt: 0.5 }}>
              {passing.map((colour) => (
                <Tooltip key={colour} title={colour}>
                  <ButtonBase
                    aria-label={`Use ${colour}`}
                    onClick={() => pin(colour)}
                    sx={{ width: 52, height: 30, borderRadius: 1, border: `1px solid ${INK.soft}` }}
                    style={{ backgroundColor: colour }}
                  />
                </Tooltip>
              ))}
            </Box>
          </Box>
        ) : null}
        {pairs.length ? (
          <Box component="ul" aria-label="What it must be legible with" sx={{ m: 0, p: 0, listStyle: "none" }}>
            {pairs.map(({ role: words, other, use }) => {
              const had = contrast(roles[words], roles[other]);
              const needed = RATIOS[look.level][use];
              const passes = had >= needed;
              return (
                <Box
                  component="li"
                  key={`${words} ${other}`}
                  sx={{
                    display: "flex",
                    alignItems: "center",
                    gap: 1,
                    fontSize: 12.5,
                    py: 0.375,
                    borderTop: `1px solid ${INK.line}`,
                  }}
                >
                  <Box
                    style={{ backgroundColor: roles[other], color: roles[words] }}
                    sx={{
                      width: 30,
                      height: 20,
                      borderRadius: 0.5,
                      border: `1px solid ${INK.line}`,
                      display: "grid",
                      placeItems: "center",
                      fontWeight: 700,
                      fontSize: 11,
                    }}
                  >
                    Aa
                  </Box>
                  <Box sx={{ flex: 1 }}>
                    {ROLE_WORDS[words].name} on {ROLE_WORDS[other].name.toLowerCase()}
                  </Box>
                  <Box
                    sx={{
                      color: passes ? INK.leaf : INK.brick,
                      display: "inline-flex",
                      alignItems: "center",
                      gap: 0.25,
                    }}
                  >
                    {passes ? <Check size={14} aria-label="can be read" /> : <X size={14} aria-label="hard to read" />}
                    {ratioWords(had)}{" "}
                    <Box component="span" sx={{ color: INK.soft }}>
                      of {needed}
                    </Box>
                  </Box>
                </Box>
              );
            })}
          </Box>
        ) : null}
        <Button
          size="small"
          variant="outlined"
          startIcon={<ScanSearch size={16} aria-hidden />}
          onClick={() => {
            desk.getState().seek({ set, role });
            onClose();
          }}
        >
          Where is it used?
        </Button>
        {role === "page" && isNamed ? <SetNameField set={set} /> : null}
      </Paper>
    </Popper>
  );
}
