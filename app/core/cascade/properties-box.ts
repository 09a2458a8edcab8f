import { entryOf } from "../document";
import {
  amountOf,
  attribute,
  declare,
  lengthOr,
  named,
  SPACE_STEPS,
  stepOf,
  type Property,
  isOwnColour,
} from "./property";

const HIGH = "0 2px 4px rgb(0 0 0/.08),0 22px 48px -16px rgb(0 0 0/.28)";

/** What corners there are. A radius beyond half a side is cut to it: two of them at the top make an arch. */
const CORNERS: Readonly<Record<string, string>> = {
  card: "var(--card)",
  control: "var(--control)",
  full: "999px",
  arch: "9999px 9999px 0 0",
  oval: "50%",
  leaf: "0 50%",
};

/** How a column, a widget or a group stands in its place, and what it is drawn as. */
export const BOX_PROPERTIES: readonly Property[] = [
  {
    name: "above",
    label: "Space above",
    group: "sits",
    family: "space",
    perDevice: true,
    choices: SPACE_STEPS,
    exact: { least: 0, most: 400, unit: "px" },
    emission: declare("margin-top", (v) => lengthOr(v, stepOf("s"))),
  },
  {
    name: "below",
    label: "Space below",
    group: "sits",
    family: "space",
    perDevice: true,
    choices: SPACE_STEPS,
    exact: { least: 0, most: 400, unit: "px" },
    emission: declare("margin-bottom", (v) => lengthOr(v, stepOf("s"))),
  },
  {
    name: "pad",
    label: "Space inside",
    group: "sits",
    family: "space",
    perDevice: true,
    choices: SPACE_STEPS,
    exact: { least: 0, most: 200, unit: "px" },
    emission: declare("padding", (v) => lengthOr(v, stepOf("s"))),
  },
  {
    name: "wide",
    label: "Width in its place",
    group: "sits",
    family: "place",
    perDevice: true,
    choices: named({ auto: "By content", fill: "All of it" }),
    exact: { least: 5, most: 100, unit: "%" },
    emission: declare("width", (v) => lengthOr(v, (step) => (step === "fill" ? "100%" : "auto"))),
  },
  {
    name: "span",
    label: "Width in its row",
    group: "sits",
    family: "place",
    perDevice: false,
    choices: named({
      full: "All of it",
      half: "Half",
      third: "A third",
      rest: "Two thirds",
      pair: "Half, on phones as well",
    }),
    // Of twelve; on phones there is room for one beside another only where that is said.
    emission: {
      to: "declarations",
      of: (v): Readonly<Record<string, string>> => ({
        "--span": { half: "6", pair: "6", third: "4", rest: "8" }[String(v)] ?? "12",
        "--span-phone": v === "pair" ? "6" : "12",
      }),
    },
  },
  {
    name: "stand",
    label: "Stands",
    group: "sits",
    family: "place",
    perDevice: true,
    choices: named({ start: "Left", center: "Middle", end: "Right" }),
    emission: declare("align-self", (v) => (v === "center" ? "center" : `flex-${String(v)}`)),
  },
  {
    name: "sticky",
    label: "While scrolling",
    group: "sits",
    family: "place",
    perDevice: true,
    choices: named({ no: "Moves along", top: "Stays at the top", near: "Stays in view" }),
    emission: {
      to: "declarations",
      of: (v): Readonly<Record<string, string>> =>
        v === "no"
          ? { position: "relative" }
          : v === "top"
            ? { position: "sticky", top: "var(--stays-at,0)", "z-index": "3" }
            : { position: "var(--near,sticky)", top: "var(--s4)", "align-self": "flex-start" },
    },
  },
  {
    name: "lies",
    label: "Picture below it",
    group: "sits",
    family: "place",
    perDevice: false,
    choices: named({ none: "Stands above it", over: "Lies over it" }),
    emission: attribute("data-lies"),
  },
  {
    name: "shrinks",
    label: "Staying at the top",
    group: "sits",
    family: "place",
    perDevice: false,
    choices: named({ none: "Keeps its height", yes: "Gets lower" }),
    emission: attribute("data-shrinks"),
  },
  {
    name: "border",
    label: "Border",
    group: "looks",
    family: "edge",
    perDevice: false,
    choices: named({ none: "None", line: "Line", strong: "Strong", ink: "Ink", brand: "Brand" }),
    colour: true,
    emission: declare("border", (v) =>
      isOwnColour(v)
        ? `2px solid ${v}`
        : ({
            line: "max(1px,var(--rule)) solid var(--line)",
            strong: "2px solid var(--field-line)",
            ink: "2px solid var(--ink)",
            brand: "2px solid var(--brand)",
          }[String(v)] ?? "0"),
    ),
  },
  {
    name: "round",
    label: "Corners",
    group: "looks",
    family: "edge",
    perDevice: false,
    choices: named({
      none: "Square",
      card: "As cards",
      control: "As buttons",
      full: "Round",
      arch: "Arch",
      oval: "Oval",
      leaf: "Leaf",
    }),
    exact: { least: 0, most: 200, unit: "px" },
    emission: {
      to: "declarations",
      of: (v) => {
        const radius = lengthOr(v, (step) => entryOf(CORNERS, step) ?? "0");
        return { "border-radius": radius, "--round": radius };
      },
    },
  },
  {
    name: "lift",
    label: "Shadow",
    group: "looks",
    family: "edge",
    perDevice: false,
    choices: named({ none: "None", brand: "As Brand says", high: "High" }),
    emission: declare("box-shadow", (v) => (v === "brand" ? "var(--shadow)" : v === "high" ? HIGH : "none")),
  },
  {
    name: "opacity",
    label: "Opacity",
    group: "looks",
    family: "colour",
    perDevice: true,
    choices: [],
    exact: { least: 10, most: 100, unit: "%" },
    emission: declare("opacity", (v) => String((amountOf(v)?.amount ?? 100) / 100)),
  },
  {
    name: "hover",
    label: "Under the pointer",
    group: "looks",
    family: "motion",
    perDevice: false,
    choices: named({ none: "Nothing", lift: "Lifts", grow: "Grows", dim: "Dims", line: "Gets a line" }),
    emission: attribute("data-hover"),
  },
  {
    name: "entrance",
    label: "Comes in",
    group: "looks",
    family: "motion",
    perDevice: false,
    choices: named({
      none: "Is there",
      fade: "Fades in",
      rise: "Rises",
      left: "From the left",
      right: "From the right",
      grow: "Grows",
    }),
    emission: attribute("data-in"),
  },
  {
    name: "drift",
    label: "While scrolled past",
    group: "looks",
    family: "picture",
    perDevice: false,
    choices: named({
      none: "Moves with the page",
      slow: "Picture drifts",
      zoom: "Picture draws near",
      fixed: "Picture stands still",
    }),
    emission: attribute("data-drift"),
  },
];
