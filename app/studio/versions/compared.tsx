import {
  Alert,
  Box,
  Button,
  CircularProgress,
  DialogContent,
  List,
  ListItemButton,
  ListItemText,
  ToggleButton,
  ToggleButtonGroup,
  Typography,
} from "@mui/material";
import { useState, type ReactNode } from "react";
import type { Draft } from "~/core/document";
import type { Target } from "~/render";
import { DraftFrame, PaneShell, SillName } from "../panes";
import { INK, ON_LEMON } from "../ui";

type ListAndChosenProps = {
  /** What the list is called. */
  label: string;
  /** What stands above the list. */
  above: ReactNode;
  /** Why something could not be done. */
  problem: string | null;
  /** The rows; null until they have been read. */
  rows: readonly ReactNode[] | null;
  /** What is said where there are none. */
  none: string;
  /** What was chosen, or how to choose. */
  children: ReactNode;
};

/** A list of what was, and beside it what was chosen of it; one below the other where there is little room. */
export const ListAndChosen = ({ label, above, problem, rows, none, children }: ListAndChosenProps) => (
  <DialogContent
    sx={{
      display: "grid",
      gridTemplateColumns: { xs: "minmax(0,1fr)", md: "280px minmax(0,1fr)" },
      gap: 3,
      minHeight: { md: 520 },
    }}
  >
    <Box sx={{ borderRight: { md: `1px solid ${INK.line}` }, pr: { md: 2 }, minWidth: 0 }}>
      {above}
      {problem ? (
        <Alert severity="error" sx={{ mb: 1 }}>
          {problem}
        </Alert>
      ) : null}
      {rows?.length ? (
        // A long list scrolls by itself, so that what was chosen stays beside it.
        <List dense aria-label={label} sx={{ maxHeight: { xs: "24dvh", md: "56dvh" }, overflowY: "auto" }}>
          {rows}
        </List>
      ) : problem ? null : rows ? (
        <Typography variant="body2" color="text.secondary">
          {none}
        </Typography>
      ) : (
        <CircularProgress size={22} aria-label={`Reading: ${label}`} />
      )}
    </Box>
    <Box sx={{ minWidth: 0 }}>{children}</Box>
  </DialogContent>
);

type VersionItemProps = { name: string; about: string; isOpen: boolean; onOpen: () => void };

/** One of what was: what it is called, and when it was. */
export const VersionItem = ({ name, about, isOpen, onOpen }: VersionItemProps) => (
  <ListItemButton
    component="button"
    selected={isOpen}
    onClick={onOpen}
    sx={{
      borderRadius: 1,
      minWidth: 0,
      width: "100%",
      textAlign: "left",
      "&.Mui-selected": { ...ON_LEMON, "&:hover": ON_LEMON },
      "&.Mui-selected .MuiListItemText-secondary": { color: INK.onLemon },
    }}
  >
    <ListItemText primary={name} secondary={about} slotProps={{ primary: { noWrap: true } }} />
  </ListItemButton>
);

const SCALE = { phone: 0.6, wide: 0.29 } as const;

type ComparedProps = {
  name: string;
  then: Draft;
  now: Draft;
  target: Target;
  /** The way back to it; undefined where nothing differs. */
  onBack: (() => void) | undefined;
  backWords: string;
};

/** A page as it was beside what it is now, on a phone or a wide screen, and the way back. */
export function Compared({ name, then, now, target, onBack, backWords }: ComparedProps) {
  const [device, setDevice] = useState<"phone" | "wide">("wide");
  return (
    <>
      <Box sx={{ display: "flex", flexWrap: "wrap", alignItems: "center", gap: 1.5, mb: 1.5 }}>
        <Typography variant="h3" component="h3" sx={{ flex: { xs: "1 1 100%", sm: 1 }, minWidth: 0 }} noWrap>
          {name} and now
        </Typography>
        <ToggleButtonGroup
          exclusive
          size="small"
          value={device}
          aria-label="Compare on"
          onChange={(_e, next: "phone" | "wide" | null) => next && setDevice(next)}
        >
          <ToggleButton value="phone">Phone</ToggleButton>
          <ToggleButton value="wide">Wide</ToggleButton>
        </ToggleButtonGroup>
        <Button variant="contained" disabled={!onBack} onClick={onBack}>
          {backWords}
        </Button>
      </Box>
      <Box sx={{ display: "flex", gap: 2, mb: 1.5, overflowX: "auto" }}>
        {(
          [
            [name, then],
            ["Now", now],
          ] as const
        ).map(([title, draft]) => (
          <PaneShell key={`${title} ${device}`} label={title} sill={<SillName>{title}</SillName>}>
            <DraftFrame
              title={title}
              draft={draft}
              target={target}
              device={device}
              scale={SCALE[device]}
              height={400}
            />
          </PaneShell>
        ))}
      </Box>
    </>
  );
}
