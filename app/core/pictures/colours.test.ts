import { describe, expect, it } from "vitest";
import { COLOURS, nameOfColour, type ColourName } from "./colours";

// Named colours of CSS Color 4 (section 6.1): what the standard calls by such a name, or by a common one, is found by it here.
const CSS: readonly (readonly [name: string, hex: string, called: ColourName])[] = [
  ["red", "#ff0000", "red"],
  ["crimson", "#dc143c", "red"],
  ["firebrick", "#b22222", "red"],
  ["maroon", "#800000", "red"],
  ["orange", "#ffa500", "orange"],
  ["darkorange", "#ff8c00", "orange"],
  ["yellow", "#ffff00", "yellow"],
  ["gold", "#ffd700", "yellow"],
  ["khaki", "#f0e68c", "yellow"],
  ["green", "#008000", "green"],
  ["lime", "#00ff00", "green"],
  ["seagreen", "#2e8b57", "green"],
  ["darkgreen", "#006400", "green"],
  ["teal", "#008080", "teal"],
  ["turquoise", "#40e0d0", "teal"],
  ["blue", "#0000ff", "blue"],
  ["navy", "#000080", "blue"],
  ["royalblue", "#4169e1", "blue"],
  ["steelblue", "#4682b4", "blue"],
  ["violet", "#ee82ee", "violet"],
  ["purple", "#800080", "violet"],
  ["indigo", "#4b0082", "violet"],
  ["pink", "#ffc0cb", "pink"],
  ["hotpink", "#ff69b4", "pink"],
  ["deeppink", "#ff1493", "pink"],
  ["brown (sienna)", "#a0522d", "brown"],
  ["saddlebrown", "#8b4513", "brown"],
  ["black", "#000000", "black"],
  ["gray", "#808080", "grey"],
  ["silver", "#c0c0c0", "grey"],
  ["dimgray", "#696969", "grey"],
  ["white", "#ffffff", "white"],
  ["ivory", "#fffff0", "white"],
  ["snow", "#fffafa", "white"],
];

describe("what a colour is called", () => {
  it.each(CSS)("%s (%s) is %s", (_name, hex, called) => {
    expect(nameOfColour(hex)).toBe(called);
  });
  it("is the name of the patch that shows it", () => {
    for (const [name, { shown }] of Object.entries(COLOURS)) expect(nameOfColour(shown), name).toBe(name);
  });
});
