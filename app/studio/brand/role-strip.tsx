import { entryOf } from "~/core/document";
import { Box, Tab, Tabs } from "@mui/material";
import { styled } from "@mui/material/styles";
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
import { INK } from "../ui";
import { useDesk, useDeskStore } from "./desk";
import { useShown } from "./shown";
import { RoleCard } from "./role-card";

/** The least contrast that a role has with what it must be legible on; undefined where nothing is asked of it. */
export function leastOf(role: Role, roles: Roles): number | undefined {
  const against = REQUIREMENTS.filter((r) => r.role === role).flatMap((r) => r.against);
  return against.length ? Math.min(...against.map((other) => contrast(roles[role], roles[other]))) : undefined;
}

const SHOWN: readonly Role[] = ROLES.filter((role) => !/-(hover|pressed)$/.test(role));

const Strip = styled("div")({
  display: "flex",
  gap: 6,
  padding: "2px 12px 8px",
  overflowX: "auto",
  "& button": {
    flex: "none",
    width: 74,
    padding: 0,
    display: "flex",
    flexDirection: "column",
    alignItems: "stretch",
    textAlign: "left",
    font: "inherit",
    fontSize: 11,
    lineHeight: 1.35,
    color: INK.ink,
    background: INK.raised,
    border: `1px solid ${INK.line}`,
    borderRadius: 6,
    overflow: "hidden",
    cursor: "pointer",
    "&:hover, &[aria-expanded=true]": { borderColor: INK.ink },
    "&[aria-expanded=true]": { boxShadow: `0 3px 0 ${INK.lemon}` },
    "&[data-failing]": { borderColor: INK.brick },
    "&:focus-visible": { outline: `2px solid ${INK.ink}`, outlineOffset: 2, boxShadow: `0 0 0 2px ${INK.lemon}` },
  },
  "& i": {
    display: "flex",
    justifyContent: "flex-end",
    alignItems: "center",
    height: 26,
    padding: "0 4px",
    borderBottom: `1px solid ${INK.line}`,
  },
  "& b": {
    display: "grid",
    placeItems: "center",
    width: 16,
    height: 16,
    borderRadius: 3,
    color: "#fff",
    background: INK.ink,
  },
  "& [data-failing] b": { background: INK.brick },
  "& span": { padding: "0 4px", overflow: "hidden", textOverflow: "ellipsis", whiteSpace: "nowrap" },
  "& small": { padding: "0 4px 2px", fontSize: 11, lineHeight: 1.2, color: INK.soft },
});

type SwatchProps = {
  role: Role;
  set: AnySet;
  colour: string;
  least: string;
  isPinned: boolean;
  isFailing: boolean;
  isOpen: boolean;
};

// Drawn with every step of a colour that is dragged, thirty at a time: plain elements, styled by the strip.
const RoleSwatch = memo(function RoleSwatch({ role, set, colour, least, isPinned, isFailing, isOpen }: SwatchProps) {
  const desk = useDeskStore();
  const { name, does } = ROLE_WORDS[role];
  const Sign = isFailing ? TriangleAlert : Pin;
  return (
    <button
      type="button"
      data-role-name={role}
      data-failing={isFailing ? "" : undefined}
      aria-expanded={isOpen}
      aria-label={`${name}, ${colour}${isPinned ? ", fixed" : ""}${isFailing ? ", hard to read" : ""}`}
      title={`${name}: ${does}`}
      onClick={() => desk.getState().openRole({ set, role })}
    >
      <i style={{ backgroundColor: colour }}>
        {isPinned || isFailing ? (
          <b>
            <Sign size={11} aria-hidden />
          </b>
        ) : null}
      </i>
      <span>{name}</span>
      <small>{least}</small>
    </button>
  );
});

/** Every role of a colour set in a row, with its contrast; the plan of a shop's colours. */
export const RoleStrip = memo(function RoleStrip() {
  const desk = useDeskStore();
  const set = useDesk((d) => d.set);
  const role = useDesk((d) => d.role);
  const { look } = useShown();
  const { brand } = look;
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
                  style={{ backgroundColor: look.roles.sets[each].page }}
                  sx={{
                    width: 12,
                    height: 12,
                    borderRadius: "50%",
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
      <Strip ref={setStrip}>
        {SHOWN.map((each) => {
          const least = leastOf(each, roles);
          return (
            <RoleSwatch
              key={each}
              role={each}
              set={set}
              colour={roles[each]}
              least={least === undefined ? "\u00a0" : `${ratioWords(least)} : 1`}
              isPinned={entryOf(brand, pinKey(look.scheme, set, each)) !== undefined}
              isFailing={failing.has(each)}
              isOpen={role?.role === each && role.set === set}
            />
          );
        })}
      </Strip>
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
