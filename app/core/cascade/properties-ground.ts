import { entryOf } from "../document";
import { declare, isOwnColour, lengthOr, named, type Property } from "./property";

// What a section stands on. All of it is mixed from roles that its words can be read on (`page`, `raised`), or drawn in
// `line`, which is weaker than either.

const GROUNDS: Readonly<Record<string, string>> = {
  down: "linear-gradient(var(--page),var(--raised))",
  up: "linear-gradient(var(--raised),var(--page))",
  across: "linear-gradient(90deg,var(--page),var(--raised))",
  glow: "radial-gradient(ellipse at 50% 40%,var(--raised),var(--page) 70%)",
  raised: "linear-gradient(var(--raised) 0 0)",
};

const PATTERNS: Readonly<Record<string, string>> = {
  dots: "radial-gradient(circle at 50% 50%,var(--line) 0 1.5px,#0000 2px) 0 0/18px 18px",
  stripes: "repeating-linear-gradient(135deg,var(--line) 0 1px,#0000 1px 12px)",
  grid: "linear-gradient(var(--line) 1px,#0000 1px) 0 0/28px 28px,linear-gradient(90deg,var(--line) 1px,#0000 1px) 0 0/28px 28px",
  check: "repeating-conic-gradient(color-mix(in srgb,var(--line) 45%,#0000) 0 25%,#0000 0 50%) 0 0/40px 40px",
  waves:
    "radial-gradient(circle at 50% 128%,#0000 54%,var(--line) 54.5% 57%,#0000 57.5%) 0 0/56px 28px,radial-gradient(circle at 50% -28%,#0000 54%,var(--line) 54.5% 57%,#0000 57.5%) 28px 0/56px 28px",
  rays: "repeating-conic-gradient(from 0deg at 50% 110%,color-mix(in srgb,var(--line) 55%,#0000) 0 5deg,#0000 5deg 10deg)",
  contours:
    "repeating-radial-gradient(ellipse at 18% 24%,#0000 0 21px,var(--line) 21.5px 22.5px,#0000 23px 34px) 0 0/640px 420px,repeating-radial-gradient(ellipse at 82% 90%,#0000 0 27px,color-mix(in srgb,var(--line) 70%,#0000) 27.5px 28.5px,#0000 29px 44px) 120px 60px/760px 520px",
  scales: "radial-gradient(circle at 50% 100%,#0000 13px,var(--line) 13.5px 14.5px,#0000 15px) 0 0/30px 15px",
};

/** A tile of an edge, as CSS `background` layers use it: drawn where the section is, clear where it is cut away. */
const wave = (flip: boolean) =>
  `url("data:image/svg+xml,%3Csvg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 120 20' preserveAspectRatio='none'%3E%3Cpath d='${
    flip ? "M0 0H120V10C90 24 30-4 0 10Z" : "M0 20H120V10C90-4 30 24 0 10Z"
  }'/%3E%3C/svg%3E")`;
const torn = (flip: boolean) =>
  `url("data:image/svg+xml,%3Csvg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 200 20' preserveAspectRatio='none'%3E%3Cpath d='${
    flip
      ? "M0 0H200V9L188 14 171 8 158 16 139 10 121 17 104 9 88 15 66 8 49 16 31 11 14 17 0 9Z"
      : "M0 20H200V11L188 6 171 12 158 4 139 10 121 3 104 11 88 5 66 12 49 4 31 9 14 3 0 11Z"
  }'/%3E%3C/svg%3E")`;
type Edge = { readonly height: string; readonly tile: string; readonly top: string; readonly bottom: string };
const EDGES: Readonly<Record<string, Edge>> = {
  slant: {
    height: "3.5rem",
    tile: "100% 3.5rem",
    top: "linear-gradient(to top right,#000 49.6%,#0000 50.4%)",
    bottom: "linear-gradient(to bottom left,#000 49.6%,#0000 50.4%)",
  },
  wave: { height: "1.75rem", tile: "14rem 1.75rem", top: wave(false), bottom: wave(true) },
  pinked: {
    height: ".75rem",
    tile: "1.5rem .75rem",
    top: "conic-gradient(from 135deg at 50% 0,#000 90deg,#0000 0)",
    bottom: "conic-gradient(from -45deg at 50% 100%,#000 90deg,#0000 0)",
  },
  scallop: {
    height: "1rem",
    tile: "2rem 1rem",
    top: "radial-gradient(circle at 50% 100%,#000 .98rem,#0000 1rem)",
    bottom: "radial-gradient(circle at 50% 0,#000 .98rem,#0000 1rem)",
  },
  torn: { height: "1.1rem", tile: "22rem 1.1rem", top: torn(false), bottom: torn(true) },
};
const EDGE_NAMES = {
  none: "Straight",
  slant: "Slant",
  wave: "Wave",
  pinked: "Pinked",
  scallop: "Scallops",
  torn: "Torn",
};

const edgeDeclarations = (side: "top" | "bottom", value: string): Readonly<Record<string, string>> => {
  const edge = entryOf(EDGES, value);
  if (!edge) return {};
  // The cut-off strip lies over the neighbour, whose ground shows through.
  return {
    [`--edge-${side}`]: edge.height,
    [`--edge-${side}-tile`]: edge.tile,
    [`--edge-${side}-image`]: edge[side],
  };
};

export const GROUND_PROPERTIES: readonly Property[] = [
  {
    name: "ground",
    label: "Ground",
    group: "looks",
    family: "colour",
    perDevice: false,
    choices: named({
      plain: "Plain",
      raised: "Raised",
      down: "Fades down",
      up: "Fades up",
      across: "Fades across",
      glow: "Glow",
    }),
    colour: true,
    emission: declare("--ground", (v) =>
      isOwnColour(v) ? `linear-gradient(${v} 0 0)` : (entryOf(GROUNDS, String(v)) ?? "none"),
    ),
  },
  {
    name: "pattern",
    label: "Pattern",
    group: "looks",
    family: "colour",
    perDevice: false,
    choices: named({
      none: "None",
      dots: "Dots",
      stripes: "Stripes",
      grid: "Grid",
      check: "Checks",
      scales: "Scales",
      waves: "Waves",
      rays: "Rays",
      contours: "Contour lines",
    }),
    emission: declare("--pattern", (v) => entryOf(PATTERNS, String(v)) ?? "none"),
  },
  {
    name: "edgeTop",
    label: "Upper edge",
    group: "looks",
    family: "edge",
    perDevice: false,
    choices: named(EDGE_NAMES),
    emission: { to: "declarations", of: (v) => edgeDeclarations("top", String(v)) },
  },
  {
    name: "edgeBottom",
    label: "Lower edge",
    group: "looks",
    family: "edge",
    perDevice: false,
    choices: named(EDGE_NAMES),
    emission: { to: "declarations", of: (v) => edgeDeclarations("bottom", String(v)) },
  },
  {
    name: "sides",
    label: "Space at the sides",
    group: "sits",
    family: "space",
    perDevice: true,
    choices: named({ gutter: "As everywhere", none: "None" }),
    exact: { least: 0, most: 200, unit: "px" },
    emission: declare("--sides", (v) => lengthOr(v, (step) => (step === "none" ? "0px" : "var(--gutter)"))),
  },
];
