import { createFilterOptions } from "@mui/material/Autocomplete";
import { createTheme } from "@mui/material/styles";

/** Ink and lemon by day: the studio's own colours, apart from those of any shop that is being dressed. */
const DAY = {
  paper: "#faf8f2",
  raised: "#ffffff",
  ink: "#17241d",
  soft: "#55635b",
  line: "#ddd9cc",
  /** Edges of what can be pressed or written in: 3 : 1 against paper and against raised. */
  edge: "#858e87",
  lemon: "#f5c518",
  /** What stands on lemon, by day and by night. */
  onLemon: "#17241d",
  /** Lemon as words on an ink ground. */
  spark: "#f5c518",
  /** Lemon as a ground under words of any colour. */
  wash: "#fbefc2",
  leaf: "#1f7a4d",
  brick: "#b3402a",
  amber: "#8a6300",
  plum: "#6b3fa0",
  bench: "#e9e5d8",
};

type Inks = typeof DAY;

/** The same by night: each role keeps what it says and its distance from what it stands on. */
const NIGHT: Inks = {
  paper: "#18211c",
  raised: "#212c26",
  ink: "#efece0",
  soft: "#aab6ae",
  line: "#3a463f",
  edge: "#7c8a81",
  lemon: "#f5c518",
  onLemon: "#17241d",
  spark: "#6b5100",
  wash: "#463f1c",
  leaf: "#6fce9c",
  brick: "#ff937b",
  amber: "#e5b84d",
  plum: "#c6a6f2",
  bench: "#101713",
};

/** Both, for checks of their contrast. */
export const LOOKS = { light: DAY, dark: NIGHT } as const;

const variable = (role: string) => `--zw-${role}`;
const variables = (inks: Inks) => Object.fromEntries(Object.entries(inks).map(([role, ink]) => [variable(role), ink]));

/** The roles as what style sheets and drawings write, whichever of the two looks is on. */
export const INK = Object.fromEntries(Object.keys(DAY).map((role) => [role, `var(${variable(role)})`])) as Readonly<
  Record<keyof Inks, string>
>;

/** The ground of what stands on several pages. */
export const HATCH = `repeating-linear-gradient(45deg, ${INK.lemon} 0 4px, ${INK.wash} 4px 8px)`;

/** What is selected or current. */
export const ON_LEMON = { bgcolor: INK.lemon, color: INK.onLemon };

/** The attribute of the root element that says which look is on; it is set before anything is painted. */
export const LOOK_ATTRIBUTE = "data-look";

/** MUI works out shades of its own from these, so it is given colours and no variables. */
const paletteOf = (inks: Inks) => ({
  primary: { main: inks.ink, contrastText: inks.paper },
  secondary: { main: inks.plum },
  success: { main: inks.leaf },
  error: { main: inks.brick },
  warning: { main: inks.amber },
  background: { default: inks.paper, paper: inks.raised },
  text: { primary: inks.ink, secondary: inks.soft },
  divider: inks.line,
});

const heads = '"Bricolage Grotesque","Bricolage Grotesque fallback",sans-serif';
const text = '"Instrument Sans","Instrument Sans fallback",sans-serif';

export const studioTheme = createTheme({
  cssVariables: { colorSchemeSelector: LOOK_ATTRIBUTE },
  colorSchemes: { light: { palette: paletteOf(DAY) }, dark: { palette: paletteOf(NIGHT) } },
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
        ":root": { ...variables(DAY), colorScheme: "light" },
        [`[${LOOK_ATTRIBUTE}="dark"]`]: { ...variables(NIGHT), colorScheme: "dark" },
        a: { color: INK.ink, textUnderlineOffset: 3 },
        body: { fontVariantNumeric: "tabular-nums" },
        // How fields learn that the browser filled them in; see MuiInputBase below.
        "@keyframes mui-auto-fill": { from: { display: "block" } },
        "@keyframes mui-auto-fill-cancel": { from: { display: "block" } },
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
        outlined: { borderColor: INK.edge },
      },
    },
    MuiPaper: {
      defaultProps: { elevation: 0 },
      styleOverrides: { root: { backgroundImage: "none" }, outlined: { borderColor: INK.line } },
    },
    MuiDialog: { styleOverrides: { paper: { border: `1px solid ${INK.ink}` } } },
    MuiMenu: { styleOverrides: { paper: { border: `1px solid ${INK.ink}` } } },
    // Thousands of goods may be chosen from; who does not see theirs types on.
    MuiAutocomplete: {
      styleOverrides: { paper: { border: `1px solid ${INK.ink}`, marginBlock: 2 } },
      defaultProps: { filterOptions: createFilterOptions({ limit: 80 }) },
    },
    // Otherwise each field that comes or goes puts a sheet into the head, and all panes are styled anew.
    MuiInputBase: { defaultProps: { disableInjectingGlobalStyles: true } },
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
        notchedOutline: { borderColor: INK.edge },
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
          borderColor: INK.edge,
          "&.Mui-selected, &.Mui-selected:hover": {
            backgroundColor: INK.lemon,
            color: INK.onLemon,
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
