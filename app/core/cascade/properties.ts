import { entryOf, type Device, type StyleValue } from "../document";
import {
  SCRIM_COLOURS,
  SCRIM_FROM,
  SCRIM_REACH,
  SCRIM_STOPS,
  SCRIM_TONES,
  type ScrimFrom,
  type ScrimTone,
} from "../pictures";
import { ALL_SETS, SET_NAMES } from "../theme";
import { declare, isExact, isOwnColour, lengthOr, SPACE_STEPS, stepOf, type Property } from "./property";
import { BOX_PROPERTIES } from "./properties-box";
import { COLUMN_PROPERTIES } from "./properties-columns";
import { GROUND_PROPERTIES } from "./properties-ground";
import { PLACED_PROPERTIES } from "./properties-placed";
import { WORD_PROPERTIES } from "./properties-words";

// The whole screen leaves room for what stands above the page; where that lies over it, it is the whole indeed.
const MIN_HEIGHTS: Readonly<Record<string, string>> = {
  content: "0",
  half: "50svh",
  tall: "72svh",
  screen: "var(--screen,92svh)",
};

const LIST: readonly Property[] = [
  {
    name: "width",
    label: "Width",
    group: "sits",
    family: "place",
    perDevice: true,
    choices: [
      { value: "narrow", label: "Narrow" },
      { value: "content", label: "Content" },
      { value: "full", label: "Edge to edge" },
    ],
    emission: declare(
      "--max",
      (v) => ({ narrow: "46rem", content: "var(--content)", full: "none" })[String(v)] ?? "none",
    ),
  },
  {
    name: "height",
    label: "Height",
    group: "sits",
    family: "place",
    perDevice: true,
    choices: [
      { value: "content", label: "By content" },
      { value: "half", label: "Half the screen" },
      { value: "tall", label: "Tall" },
      { value: "screen", label: "Whole screen" },
    ],
    exact: { least: 10, most: 100, unit: "svh" },
    emission: declare("--min-height", (v) => lengthOr(v, (step) => entryOf(MIN_HEIGHTS, step) ?? "0")),
  },
  {
    name: "align",
    label: "Words",
    group: "sits",
    family: "place",
    perDevice: true,
    choices: [
      { value: "start", label: "Left" },
      { value: "center", label: "Centred" },
      { value: "end", label: "Right" },
    ],
    emission: {
      to: "declarations",
      of: (v) => ({ "--align": String(v), "--align-box": v === "center" ? "center" : `flex-${String(v)}` }),
    },
  },
  {
    name: "columns",
    label: "Side by side",
    group: "sits",
    family: "place",
    perDevice: true,
    choices: [1, 2, 3, 4, 5, 6].map((n) => ({ value: n, label: String(n) })),
    emission: declare("--columns", String),
    // Five side by side on a wide screen must not make five slivers on a phone (at least 150 px each, common practice).
    mostOn: { phone: 2, tablet: 3 },
  },
  {
    name: "spaceTop",
    label: "Space above",
    group: "sits",
    family: "space",
    perDevice: true,
    choices: SPACE_STEPS,
    exact: { least: 0, most: 400, unit: "px" },
    emission: declare("--space-top", (v) => lengthOr(v, stepOf("s"))),
  },
  {
    name: "spaceBottom",
    label: "Space below",
    group: "sits",
    family: "space",
    perDevice: true,
    choices: SPACE_STEPS,
    exact: { least: 0, most: 400, unit: "px" },
    emission: declare("--space-bottom", (v) => lengthOr(v, stepOf("s"))),
  },
  {
    name: "hidden",
    label: "On this device",
    group: "sits",
    family: "place",
    perDevice: true,
    choices: [
      { value: false, label: "Shown" },
      { value: true, label: "Hidden" },
    ],
    emission: { to: "declarations", of: (v): Readonly<Record<string, string>> => (v ? { display: "none" } : {}) },
  },
  {
    name: "set",
    label: "Colours",
    group: "looks",
    family: "colour",
    perDevice: false,
    choices: ALL_SETS.map((value) => ({ value, label: SET_NAMES[value] })),
    emission: { to: "attribute", name: "data-set" },
  },
  {
    name: "headSize",
    label: "Head size",
    group: "looks",
    family: "words",
    perDevice: true,
    choices: [1, 2, 3, 4, 5, 6].map((value) => ({ value, label: ["XS", "S", "M", "L", "XL", "XXL"][value - 1]! })),
    exact: { least: 14, most: 160, unit: "px" },
    emission: declare("--head", (v) => lengthOr(v, stepOf("t"))),
  },
  {
    name: "shape",
    label: "Picture shape",
    group: "looks",
    family: "picture",
    perDevice: true,
    choices: ["3/4", "4/5", "5/6", "1/1", "4/3", "3/2", "16/9", "5/2"].map((value) => ({
      value,
      label: value.replace("/", " : "),
    })),
    emission: declare("--shape", String),
  },
  {
    name: "fit",
    label: "Pictures",
    group: "looks",
    family: "picture",
    perDevice: true,
    choices: [
      { value: "cover", label: "Cropped to fill" },
      { value: "contain", label: "Fitted, whole" },
    ],
    emission: declare("--goods-fit", String),
  },
  {
    name: "scrim",
    label: "Tint over picture",
    group: "looks",
    family: "picture",
    perDevice: true,
    choices: [0, 15, 30, 45, 60, 75].map((value) => ({ value, label: value === 0 ? "None" : `${value} %` })),
    exact: { least: 0, most: 95, unit: "%", bare: true },
    emission: declare("--scrim", (v) => `${v}%`),
  },
  {
    name: "scrimFrom",
    label: "Tint comes from",
    group: "looks",
    family: "picture",
    perDevice: true,
    choices: SCRIM_FROM.map((value) => ({
      value,
      label: { bottom: "Below", top: "Above", left: "Left", right: "Right", even: "All over" }[value],
    })),
    emission: {
      to: "declarations",
      of: (value) => ({
        "--scrim-to": `to ${{ bottom: "top", top: "bottom", left: "right", right: "left", even: "top" }[value as ScrimFrom]}`,
        // Where words have a scrim of their own, one from below is theirs, and any other one that of the whole picture.
        "--scrim-on": value === "bottom" ? "relative" : "static",
        "--scrim-inset": value === "bottom" ? `${-100 * SCRIM_REACH}% -100vw calc(-1*var(--space-bottom,0px))` : "0",
        ...Object.fromEntries(
          SCRIM_STOPS.map(([, factor], i) => [`--scrim-${i}`, String(value === "even" ? 1 : factor)]),
        ),
      }),
    },
  },
  {
    name: "scrimTone",
    label: "Tint and words",
    group: "looks",
    family: "picture",
    perDevice: true,
    choices: SCRIM_TONES.map((value) => ({
      value,
      label: { dark: "Dark tint, light words", light: "Light tint, dark words" }[value],
    })),
    emission: {
      to: "declarations",
      of: (value) => {
        const { scrim, words } = SCRIM_COLOURS[value as ScrimTone];
        // A dark one takes the hue of the picture's own shadows.
        const rgb = scrim.join(" ");
        return { "--scrim-rgb": value === "dark" ? `var(--tint,${rgb})` : rgb, "--on-picture": words };
      },
    },
  },
];

export const PROPERTIES: Readonly<Record<string, Property>> = Object.fromEntries(
  [
    ...LIST,
    ...GROUND_PROPERTIES,
    ...COLUMN_PROPERTIES,
    ...BOX_PROPERTIES,
    ...PLACED_PROPERTIES,
    ...WORD_PROPERTIES,
  ].map((p) => [p.name, p]),
);

/** Whether a property may have this value; only such values are ever written into a page's CSS. */
export function isKnownValue(name: string, value: StyleValue): boolean {
  const property = entryOf(PROPERTIES, name);
  if (!property) return false;
  return (
    property.choices.some((c) => c.value === value) ||
    (property.exact ? isExact(property.exact, value) : false) ||
    (property.colour === true && isOwnColour(value))
  );
}

/** Media queries of the three devices; together they cover every width once. */
export const MEDIA: Readonly<Record<Device, string>> = {
  phone: "(max-width:599.98px)",
  tablet: "(min-width:600px) and (max-width:1023.98px)",
  wide: "(min-width:1024px)",
};
