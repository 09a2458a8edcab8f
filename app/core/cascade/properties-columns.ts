import { declare, lengthOr, named, SPACE_STEPS, stepOf, steps, type Property } from "./property";

/** How columns stand in their section, and how widgets stand in theirs. */
export const COLUMN_PROPERTIES: readonly Property[] = [
  {
    name: "rows",
    label: "Columns stand",
    group: "sits",
    family: "place",
    perDevice: true,
    choices: [
      { value: 0, label: "Side by side" },
      { value: 1, label: "One below the other" },
      { value: 2, label: "Two in a row" },
      { value: 3, label: "Three in a row" },
    ],
    emission: {
      to: "declarations",
      // In rows, columns are equally wide and what is over goes into the next row; side by side, each has its share.
      // One below the other, no column stays in view: it would lie over the next.
      of: (v) =>
        v === 0
          ? { "--grow": "1", "--basis": "0px", "--wrap": "nowrap", "--near": "sticky" }
          : {
              "--grow": "0",
              "--basis": v === 1 ? "100%" : `calc((100% - ${Number(v) - 1}*var(--gap))/${String(v)} - .01px)`,
              "--wrap": "wrap",
              "--near": v === 1 ? "static" : "sticky",
            },
    },
  },
  {
    name: "share",
    label: "Share of the width",
    group: "sits",
    family: "place",
    perDevice: true,
    choices: [],
    exact: { least: 4, most: 100, unit: "%", decimals: 2 },
    emission: declare("--share", (v) => String(v).replace("%", "")),
  },
  {
    name: "gap",
    label: "Gap",
    group: "sits",
    family: "space",
    perDevice: true,
    choices: SPACE_STEPS,
    exact: { least: 0, most: 200, unit: "px" },
    emission: declare("--gap", (v) => lengthOr(v, stepOf("s"))),
  },
  {
    name: "across",
    label: "Columns reach",
    group: "sits",
    family: "place",
    perDevice: true,
    choices: named({ stretch: "Equally far", start: "Top", center: "Middle", end: "Bottom" }),
    emission: declare("--across", (v) => (v === "start" || v === "end" ? `flex-${v}` : String(v))),
  },
  {
    name: "down",
    label: "Inside, from top",
    group: "sits",
    family: "place",
    perDevice: true,
    choices: named({ start: "Top", center: "Middle", end: "Bottom", between: "Spread" }),
    emission: declare("justify-content", (v) =>
      v === "between" ? "space-between" : v === "center" ? "center" : `flex-${String(v)}`,
    ),
  },
  {
    name: "order",
    label: "Place in order",
    group: "sits",
    family: "place",
    perDevice: true,
    choices: steps(["1st", "2nd", "3rd", "4th", "5th", "6th"], 1),
    emission: declare("order", String),
  },
  {
    name: "flow",
    label: "Things stand",
    group: "sits",
    family: "place",
    perDevice: true,
    choices: named({ row: "Side by side", column: "Below each other" }),
    emission: declare("flex-direction", String),
  },
];
