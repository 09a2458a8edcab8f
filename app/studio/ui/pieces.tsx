import { Box, IconButton, InputAdornment, TextField, Tooltip, Typography } from "@mui/material";
import { Search, type LucideIcon } from "lucide-react";
import type { MouseEvent, ReactNode } from "react";
import { INK } from "./theme";

type IconActionProps = {
  label: string;
  icon: LucideIcon;
  onClick: (event: MouseEvent<HTMLElement>) => void;
  disabled?: boolean;
  /** The key that does the same, shown in the tooltip. */
  keys?: string;
  tone?: string;
  size?: number;
};

/** A button that shows only an icon; its name is its tooltip and its label. */
export function IconAction({ label, icon: Icon, onClick, disabled = false, keys, tone, size = 18 }: IconActionProps) {
  const button = (
    <IconButton
      aria-label={label}
      onClick={onClick}
      disabled={disabled}
      size="small"
      sx={{ color: tone ?? INK.ink, borderRadius: 1, width: 32, height: 32 }}
    >
      <Icon size={size} strokeWidth={1.75} aria-hidden />
    </IconButton>
  );
  return <Tooltip title={keys ? `${label} (${keys})` : label}>{disabled ? <span>{button}</span> : button}</Tooltip>;
}

/** The head of a group in a panel. */
export function Heading({ children, aside }: { children: ReactNode; aside?: ReactNode }) {
  return (
    <Box sx={{ display: "flex", alignItems: "center", justifyContent: "space-between", minHeight: 32, mb: 1 }}>
      <Typography variant="h3" component="h3">
        {children}
      </Typography>
      {aside}
    </Box>
  );
}

/** What a place says while there is nothing in it yet. */
export function Blank({ title, text, action }: { title: string; text: string; action?: ReactNode }) {
  return (
    <Box
      sx={{
        border: `1px dashed ${INK.soft}`,
        borderRadius: 1,
        p: 4,
        textAlign: "center",
        maxWidth: 520,
        mx: "auto",
        my: 6,
      }}
    >
      <Typography variant="h2" component="p" gutterBottom>
        {title}
      </Typography>
      <Typography color="text.secondary" sx={{ mb: action ? 2.5 : 0 }}>
        {text}
      </Typography>
      {action}
    </Box>
  );
}

type FindFieldProps = {
  label: string;
  value: string;
  onChange: (sought: string) => void;
  width: number | string;
  autoFocus?: boolean;
};

/** A field in which one types to find something in what is shown below. */
export function FindField({ label, value, onChange, width, autoFocus = false }: FindFieldProps) {
  const lens = (
    <InputAdornment position="start">
      <Search size={16} aria-hidden />
    </InputAdornment>
  );
  return (
    <TextField
      label={label}
      value={value}
      autoFocus={autoFocus}
      onChange={(event) => onChange(event.target.value)}
      sx={{ width }}
      slotProps={{ input: { startAdornment: lens } }}
    />
  );
}

type PlacesListProps = {
  label: string;
  places: readonly string[];
  /** So many are listed; of the rest, how many there are. */ most: number;
};

/** Places of the shop by their names, as many as can be read. */
export const PlacesList = ({ label, places, most }: PlacesListProps) => (
  <Box component="ul" aria-label={label} sx={{ m: 0, pl: 2.5, overflowWrap: "anywhere" }}>
    {places.slice(0, most).map((place, i) => (
      <li key={i}>{place}</li>
    ))}
    {places.length > most ? <li>and {places.length - most} more</li> : null}
  </Box>
);
