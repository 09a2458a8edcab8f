import { declare, isOwnColour, lengthOr, named, stepOf, type Property } from "./property";

const SIZES: readonly (readonly [step: number, label: string])[] = [
  [-2, "Smallest"],
  [-1, "Small"],
  [0, "Text"],
  [1, "Lead"],
  [2, "Head XS"],
  [3, "Head S"],
  [4, "Head M"],
  [5, "Head L"],
  [6, "Head XL"],
];

/** Roles whose colour can be read as text on whatever set it stands. */
export const TEXT_ROLES = ["ink", "soft", "link", "accent-ink", "sale"] as const;
const ROLE_LABELS = { ink: "Ink", soft: "Soft", link: "Brand", "accent-ink": "Accent", sale: "Sale" };

/** How words look. */
export const WORD_PROPERTIES: readonly Property[] = [
  {
    name: "size",
    label: "Size of words",
    group: "looks",
    family: "words",
    perDevice: true,
    choices: SIZES.map(([value, label]) => ({ value, label })),
    exact: { least: 8, most: 200, unit: "px" },
    emission: declare("font-size", (v) => lengthOr(v, stepOf("t"))),
  },
  {
    name: "face",
    label: "Letters",
    group: "looks",
    family: "words",
    perDevice: false,
    choices: named({ text: "As text", heads: "As heads" }),
    emission: {
      to: "declarations",
      of: (v): Readonly<Record<string, string>> =>
        v === "heads"
          ? {
              "font-family": "var(--heads)",
              "font-stretch": "var(--heads-stretch)",
              "letter-spacing": "var(--heads-tracking)",
              "text-transform": "var(--heads-case)",
            }
          : { "font-family": "var(--text)", "letter-spacing": "normal", "text-transform": "none" },
    },
  },
  {
    name: "weight",
    label: "Weight",
    group: "looks",
    family: "words",
    perDevice: false,
    choices: named({ text: "Text", strong: "Strong", heads: "Heads" }),
    emission: declare(
      "font-weight",
      (v) =>
        ({ text: "var(--text-weight)", strong: "var(--strong)", heads: "var(--heads-weight)" })[String(v)] ?? "inherit",
    ),
  },
  {
    name: "ink",
    label: "Colour of words",
    group: "looks",
    family: "colour",
    perDevice: false,
    choices: TEXT_ROLES.map((value) => ({ value, label: ROLE_LABELS[value] })),
    colour: true,
    emission: {
      to: "declarations",
      // Parts that are drawn in ink follow a colour of one's own; another role changes only what inherits its colour.
      of: (v) => (isOwnColour(v) ? { color: v, "--ink": v } : { color: `var(--${String(v)})` }),
    },
  },
  {
    name: "leading",
    label: "Between lines",
    group: "looks",
    family: "words",
    perDevice: true,
    choices: named({ tight: "Tight", usual: "As text", open: "Open" }),
    emission: declare(
      "line-height",
      (v) => ({ tight: "1.12", usual: "var(--text-leading)", open: "1.9" })[String(v)] ?? "inherit",
    ),
  },
  {
    name: "measure",
    label: "Longest line",
    group: "sits",
    family: "place",
    perDevice: true,
    choices: named({ wide: "As wide as there is room" }),
    exact: { least: 16, most: 120, unit: "ch" },
    // The letters of a line: what `ch` counts are digits, a little wider than the letters of running text.
    emission: declare("--measure", (v) => lengthOr(v, () => "none")),
  },
  {
    name: "breaks",
    label: "Line breaks in heads",
    group: "sits",
    family: "place",
    perDevice: true,
    choices: named({ kept: "As written", flow: "Where they fall" }),
    emission: declare("--breaks", (v) => (v === "flow" ? "normal" : "pre-line")),
  },
];
