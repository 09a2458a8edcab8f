import { Box, ButtonBase, Tab, Tabs, Tooltip, Typography } from "@mui/material";
import { Pin, TriangleAlert } from "lucide-react";
import { memo, useState } from "react";
import {
  ALL_SETS,
  contrast,
  pinKey,
  ratioWords,
  REQUIREMENTS,
  ROLES,
  ROLE_WORDS,
  setName,
  SET_NAMES,
  type AnySet,
  type Role,
  type Roles,
} from "~/core/theme";
import { useStudio } from "../keeping";
import { INK } from "../ui";
import { useDesk, useDeskStore } from "./desk";
import { useShownDraft } from "./panes-area";
import { RoleCard } from "./role-card";

/** The least contrast that a role has with what it must be legible on; undefined where nothing is asked of it. */
export function leastOf(role: Role, roles: Roles): number | undefined {
  const against = REQUIREMENTS.filter((r) => r.role === role).flatMap((r) => r.against);
  return against.length ? Math.min(...against.map((other) => contrast(roles[role], roles[other]))) : undefined;
}

const SHOWN: readonly Role[] = ROLES.filter((role) => !/-(hover|pressed)$/.test(role));

type SwatchProps = {
  role: Role;
  set: AnySet;
  roles: Roles;
  isPinned: boolean;
  isFailing: boolean;
  isOpen: boolean;
  onOpen: (anchor: HTMLElement) => void;
};

function Swatch({ role, roles, isPinned, isFailing, isOpen, onOpen }: SwatchProps) {
  const least = leastOf(role, roles);
  const { name, does } = ROLE_WORDS[role];
  return (
    <Tooltip title={`${name}: ${does}`} enterDelay={700}>
      <ButtonBase
        data-role-name={role}
        aria-label={`${name}, ${roles[role]}${isPinned ? ", fixed" : ""}${isFailing ? ", hard to read" : ""}`}
        onClick={(event) => onOpen(event.currentTarget)}
        sx={{
          flex: "none",
          width: 74,
          display: "flex",
          flexDirection: "column",
          alignItems: "stretch",
          justifyContent: "flex-start",
          borderRadius: 1,
          border: `1px solid ${isOpen ? INK.ink : isFailing ? INK.brick : INK.line}`,
          boxShadow: isOpen ? `0 3px 0 ${INK.lemon}` : "none",
          overflow: "hidden",
          bgcolor: INK.raised,
          "&:hover": { borderColor: INK.ink },
        }}
      >
        <Box
          sx={{
            height: 26,
            bgcolor: roles[role],
            display: "flex",
            alignItems: "center",
            justifyContent: "flex-end",
            gap: 0.25,
            px: 0.5,
            borderBottom: `1px solid ${INK.line}`,
          }}
        >
          {isPinned || isFailing ? (
            <Box
              sx={{
                bgcolor: isFailing ? INK.brick : INK.ink,
                color: "#fff",
                borderRadius: 0.5,
                display: "grid",
                placeItems: "center",
                width: 16,
                height: 16,
              }}
            >
              {isFailing ? <TriangleAlert size={11} aria-hidden /> : <Pin size={11} aria-hidden />}
            </Box>
          ) : null}
        </Box>
        <Typography variant="caption" noWrap sx={{ px: 0.5, fontSize: 11, lineHeight: 1.35, textAlign: "left" }}>
          {name}
        </Typography>
        <Typography
          variant="caption"
          noWrap
          color="text.secondary"
          sx={{ px: 0.5, pb: 0.25, fontSize: 11, lineHeight: 1.2, textAlign: "left" }}
        >
          {least === undefined ? " " : `${ratioWords(least)} : 1`}
        </Typography>
      </ButtonBase>
    </Tooltip>
  );
}

/** Every role of a colour set in a row, with its contrast; the plan of a shop's colours. */
export const RoleStrip = memo(function RoleStrip() {
  const desk = useDeskStore();
  const set = useDesk((d) => d.set);
  const role = useDesk((d) => d.role);
  const brand = useStudio((s) => s.draft.look.brand);
  const { look } = useShownDraft();
  const [strip, setStrip] = useState<HTMLElement | null>(null);
  const roles = look.roles.sets[set];
  const failing = new Set(look.roles.failing.filter((f) => f.set === set).map((f) => f.pinned));
  const badSets = new Set(look.roles.failing.map((f) => f.set));
  // The card may be opened from elsewhere; it then stands at its swatch all the same.
  const anchor = role ? (strip?.querySelector<HTMLElement>(`[data-role-name="${role.role}"]`) ?? strip) : null;
  return (
    <Box
      component="section"
      aria-label="Colours in use"
      sx={{
        minWidth: 0,
        display: "flex",
        flexDirection: "column",
        borderTop: `1px solid ${INK.ink}`,
        bgcolor: INK.paper,
      }}
    >
      <Tabs
        value={set}
        onChange={(_event, next: AnySet) => {
          desk.getState().openRole(null);
          desk.getState().look({ set: next });
        }}
        aria-label="Colour sets"
        variant="scrollable"
        scrollButtons={false}
        sx={{
          minHeight: 30,
          px: 1,
          "& .MuiTabs-indicator": { bgcolor: INK.lemon, height: 3 },
          "& .MuiTab-root": {
            minHeight: 30,
            py: 0,
            px: 1.25,
            minWidth: 0,
            textTransform: "none",
            fontSize: 12.5,
            color: INK.soft,
          },
          "& .Mui-selected": { color: `${INK.ink} !important`, fontWeight: 700 },
        }}
      >
        {ALL_SETS.map((each) => (
          <Tab
            key={each}
            value={each}
            label={
              <Box component="span" sx={{ display: "inline-flex", alignItems: "center", gap: 0.625 }}>
                <Box
                  component="span"
                  sx={{
                    width: 12,
                    height: 12,
                    borderRadius: "50%",
                    bgcolor: look.roles.sets[each].page,
                    border: `1px solid ${INK.soft}`,
                  }}
                />
                {setName(brand, each) || SET_NAMES[each]}
                {badSets.has(each) ? <TriangleAlert size={13} color={INK.brick} aria-label="hard to read" /> : null}
              </Box>
            }
          />
        ))}
      </Tabs>
      <Box ref={setStrip} sx={{ display: "flex", gap: 0.75, px: 1.5, pb: 1, pt: 0.25, overflowX: "auto" }}>
        {SHOWN.map((each) => (
          <Swatch
            key={each}
            role={each}
            set={set}
            roles={roles}
            isPinned={brand[pinKey(look.scheme, set, each)] !== undefined}
            isFailing={failing.has(each)}
            isOpen={role?.role === each && role.set === set}
            onOpen={() => desk.getState().openRole({ set, role: each })}
          />
        ))}
      </Box>
      {role && anchor ? (
        <RoleCard
          key={`${role.set} ${role.role}`}
          at={role}
          anchor={anchor}
          onClose={() => desk.getState().openRole(null)}
        />
      ) : null}
    </Box>
  );
});
