import { declare, type Property } from "./property";

/** Where something stands that is placed freely on a frame, by its middle, and how large it is there: all in shares of the frame. */
export const PLACED_PROPERTIES: readonly Property[] = [
  {
    name: "fromLeft",
    label: "From the left",
    group: "sits",
    family: "place",
    perDevice: true,
    choices: [],
    exact: { least: 0, most: 100, unit: "%", decimals: 1 },
    emission: declare("--left", String),
  },
  {
    name: "fromTop",
    label: "From the top",
    group: "sits",
    family: "place",
    perDevice: true,
    choices: [],
    exact: { least: 0, most: 100, unit: "%", decimals: 1 },
    emission: declare("--top", String),
  },
  {
    name: "spread",
    label: "Width",
    group: "sits",
    family: "place",
    perDevice: true,
    choices: [],
    exact: { least: 4, most: 100, unit: "%", decimals: 1 },
    emission: declare("--spread", String),
  },
  {
    name: "letters",
    label: "Size of letters",
    group: "looks",
    family: "words",
    perDevice: true,
    choices: [],
    exact: { least: 1, most: 40, unit: "%", decimals: 1 },
    // Letters grow with the frame, but are never too small to be read (12 px, common practice).
    emission: {
      to: "declarations",
      of: (v) => {
        const size = `max(12px,${String(v).replace("%", "cqw")})`;
        return { "--head": size, "font-size": size };
      },
    },
  },
  {
    name: "tilt",
    label: "Turned",
    group: "looks",
    family: "place",
    perDevice: true,
    choices: [-15, -10, -6, -3, 0, 3, 6, 10, 15].map((value) => ({ value, label: value ? `${value}°` : "Straight" })),
    emission: declare("rotate", (v) => `${String(v)}deg`),
  },
];

/** The names of those properties. */
export const PLACED: readonly string[] = PLACED_PROPERTIES.map((p) => p.name);
