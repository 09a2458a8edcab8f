import { createFilterOptions } from "@mui/material/Autocomplete";
import { createTheme } from "@mui/material/styles";

/** Ink and lemon: the studio's own colours, apart from those of any shop that is being dressed. */
export const INK = {
  paper: "#faf8f2",
  raised: "#ffffff",
  ink: "#17241d",
  soft: "#55635b",
  line: "#ddd9cc",
  lemon: "#f5c518",
  leaf: "#1f7a4d",
  brick: "#b3402a",
  plum: "#6b3fa0",
  bench: "#e9e5d8",
} as const;

const heads = '"Bricolage Grotesque","Bricolage Grotesque fallback",sans-serif';
const text = '"Instrument Sans","Instrument Sans fallback",sans-serif';

export const studioTheme = createTheme({
  palette: {
    mode: "light",
    primary: { main: INK.ink, contrastText: INK.paper },
    secondary: { main: INK.plum },
    success: { main: INK.leaf },
    error: { main: INK.brick },
    warning: { main: "#8a6300" },
    background: { default: INK.paper, paper: INK.raised },
    text: { primary: INK.ink, secondary: INK.soft },
    divider: INK.line,
  },
  shape: { borderRadius: 6 },
  spacing: 8,
  typography: {
    fontFamily: text,
    fontSize: 14,
    htmlFontSize: 16,
    body1: { fontSize: 14, lineHeight: 1.5 },
    body2: { fontSize: 13, lineHeight: 1.45 },
    caption: { fontSize: 12, lineHeight: 1.4 },
    h1: { fontFamily: heads, fontWeight: 700, fontSize: 32, lineHeight: 1.1, letterSpacing: "-0.02em" },
    h2: { fontFamily: heads, fontWeight: 700, fontSize: 20, lineHeight: 1.2, letterSpacing: "-0.01em" },
    h3: { fontFamily: heads, fontWeight: 650, fontSize: 15, lineHeight: 1.3 },
    button: { textTransform: "none", fontWeight: 600, fontSize: 14 },
    subtitle2: { fontWeight: 600, fontSize: 13 },
  },
  transitions: {
    duration: {
      shortest: 80,
      shorter: 100,
      short: 120,
      standard: 150,
      complex: 170,
      enteringScreen: 150,
      leavingScreen: 120,
    },
  },
  components: {
    MuiCssBaseline: {
      styleOverrides: {
        a: { color: INK.ink, textUnderlineOffset: 3 },
        body: { fontVariantNumeric: "tabular-nums" },
        "@media (prefers-reduced-motion: reduce)": {
          "*, *::before, *::after": { animation: "none !important", transition: "none !important" },
        },
      },
    },
    MuiButtonBase: {
      defaultProps: { disableRipple: true },
      styleOverrides: {
        root: {
          fontFamily: text,
          "&.Mui-focusVisible, &:focus-visible": {
            outline: `2px solid ${INK.ink}`,
            outlineOffset: 2,
            boxShadow: `0 0 0 2px ${INK.lemon}`,
          },
        },
      },
    },
    MuiButton: {
      defaultProps: { disableElevation: true },
      styleOverrides: {
        root: { minHeight: 36, paddingInline: 14, whiteSpace: "nowrap" },
        sizeSmall: { minHeight: 30, paddingInline: 10, fontSize: 13 },
        outlined: { borderColor: "#9aa39b" },
      },
    },
    MuiPaper: {
      defaultProps: { elevation: 0 },
      styleOverrides: { root: { backgroundImage: "none" }, outlined: { borderColor: INK.line } },
    },
    MuiDialog: { styleOverrides: { paper: { border: `1px solid ${INK.ink}` } } },
    MuiMenu: { styleOverrides: { paper: { border: `1px solid ${INK.ink}` } } },
    // Thousands of goods may be chosen from; who does not see theirs types on.
    MuiAutocomplete: { defaultProps: { filterOptions: createFilterOptions({ limit: 80 }) } },
    MuiTextField: { defaultProps: { size: "small", fullWidth: true } },
    MuiOutlinedInput: {
      styleOverrides: {
        root: {
          backgroundColor: INK.raised,
          fontSize: 14,
          "&.Mui-focused .MuiOutlinedInput-notchedOutline": {
            borderColor: INK.ink,
            borderWidth: 2,
            boxShadow: `0 0 0 2px ${INK.lemon}`,
          },
        },
        notchedOutline: { borderColor: "#8b938c" },
      },
    },
    MuiInputLabel: { styleOverrides: { root: { fontSize: 14 } } },
    MuiToggleButton: {
      styleOverrides: {
        root: {
          textTransform: "none",
          fontSize: 13,
          fontWeight: 500,
          padding: "3px 9px",
          minHeight: 30,
          color: INK.ink,
          borderColor: "#9aa39b",
          "&.Mui-selected, &.Mui-selected:hover": {
            backgroundColor: INK.lemon,
            color: INK.ink,
            fontWeight: 650,
            borderColor: INK.ink,
          },
        },
      },
    },
    MuiTooltip: {
      defaultProps: { enterDelay: 400, arrow: false },
      styleOverrides: { tooltip: { backgroundColor: INK.ink, color: INK.paper, fontSize: 12, borderRadius: 4 } },
    },
    MuiLink: { styleOverrides: { root: { textUnderlineOffset: 3 } }, defaultProps: { color: "inherit" } },
    MuiAlert: { styleOverrides: { root: { border: "1px solid", alignItems: "center" } } },
  },
});
