import { describe, expect, it } from "vitest";
import { SHEET_CSS, sharedCss } from "~/render";
import { THEMES } from "~/themes";
import type { Json } from "../document";
import {
  ALL_SETS,
  BUTTONS,
  coloursAndMeasuresCss,
  lookCss,
  measureDeclarations,
  partDeclarations,
  referencesOf,
  resolveSetting,
  SETTINGS,
  solveBrand,
  type Setting,
  type SettingValue,
} from ".";

const [pomelo] = THEMES;
const whole = (brand: Record<string, Json>) => Object.values(lookCss(solveBrand(pomelo!, brand))).join("");

/** Values of a setting besides the one that it has by itself. */
function others(setting: Setting): readonly Json[] {
  const now = resolveSetting(setting.key, {}, pomelo!.defaults).value;
  switch (setting.type) {
    case "choice":
      return setting.options.map((o) => o.value).filter((v) => v !== now);
    case "number":
      return [setting.least, setting.most].filter((v) => v !== now);
    case "flag":
      return [now !== true];
    case "colour":
      return ["#225588"];
    case "family":
      return ["fredoka"];
    case "words":
      return ["Sea"];
    case "gradient":
      return [
        {
          angle: 45,
          stops: [
            { colour: "#225588", at: 0 },
            { colour: "#112244", at: 100 },
          ],
        },
      ];
  }
}

describe("every setting does something", () => {
  it.each([...SETTINGS.values()].filter((s) => !s.structural).map((s) => [s.key, s] as const))(
    "%s changes how pages look, whatever else it is set to",
    (key, setting) => {
      // A gradient shows while its button is made of one.
      const around: Record<string, SettingValue> = key.endsWith(".gradient")
        ? { [key.replace(/gradient$/, "style")]: "gradient" }
        : {};
      const plain = whole(around);
      for (const value of others(setting))
        expect(whole({ ...(around as Record<string, Json>), [key]: value }), String(value)).not.toBe(plain);
    },
  );
});

describe("custom properties", () => {
  const rules = THEMES.map((t) => sharedCss(t)).join("") + SHEET_CSS;
  const look = solveBrand(pomelo!, {});
  const declared = { ...measureDeclarations(look), ...partDeclarations(look) };

  it("are all asked for by some rule, or by one another", () => {
    const asked = new Set([...referencesOf(rules), ...Object.values(declared).flatMap(referencesOf)]);
    // Steps of scales are chosen by sections and need not all be in use by rules.
    const idle = Object.keys(declared).filter((name) => !asked.has(name) && !/^--[ts]-?\d$/.test(name));
    expect(idle).toEqual([]);
  });

  it("of all three buttons are the same ones, in every way that a button can be made", () => {
    for (const style of ["solid", "outline", "gradient", "plain"]) {
      const brand = Object.fromEntries(BUTTONS.map((b) => [`button.${b}.style`, style]));
      const { measures, colours } = coloursAndMeasuresCss(solveBrand(pomelo!, brand));
      for (const n of [1, 2, 3])
        for (const end of ["", "-on", "-edge", "-h", "-h-on", "-h-edge", "-p"])
          expect(measures + colours, `${style} ${n}${end}`).toContain(`--b${n}${end}:`);
    }
  });

  it("are told for every set that is worn, and for no other", () => {
    const css = coloursAndMeasuresCss(look, { sets: new Set(["tint", "header"]), names: new Set(["--ink", "--b1"]) });
    expect(css.colours.match(/\[data-set=\w+\]/g)).toEqual(["[data-set=tint]", "[data-set=header]"]);
    expect(css.colours).toContain(":root{--ink:");
    expect(css.colours).not.toContain("--sale:");
    expect(css.measures).toContain("--b1:var(--brand)");
    expect(css.colours).toContain("--brand:");
    expect(css.measures).not.toContain("--b2:");
  });

  it("say dark pages a second time where pages follow the device, and colour-scheme in any case", () => {
    const css = (appearance: string) => lookCss(solveBrand(pomelo!, { appearance }));
    expect(css("auto").colours.match(/prefers-color-scheme:dark/g)).toHaveLength(1);
    expect(css("light").colours).not.toContain("@media");
    expect([css("auto"), css("light"), css("dark")].map((c) => /color-scheme:([a-z ]+)/.exec(c.measures)![1])).toEqual([
      "light dark",
      "light",
      "dark",
    ]);
    for (const set of ALL_SETS)
      expect(css("dark").colours).toContain(set === "page" ? ":root,[data-set=page]{" : `[data-set=${set}]{`);
  });
});
