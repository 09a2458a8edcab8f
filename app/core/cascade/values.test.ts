import stylelint from "stylelint";
import { describe, expect, it } from "vitest";
import { exactValue, nodeCss, PROPERTIES } from ".";

// A public checker of CSS values (stylelint, over the syntax that the CSS specifications publish) reads what every control of
// style can emit: each of its choices, and the least and the most of its exact amounts.

const stylelintConfig = {
  rules: {
    "property-no-unknown": true,
    "declaration-property-value-no-unknown": [true, { ignoreProperties: { "/^--/": [/./] } }],
    "block-no-empty": null,
  },
};

/** Custom properties are declared where they are used as well, so that values are checked where they end up. */
const USED: Readonly<Record<string, string>> = {
  "--max": "max-width",
  "--min-height": "min-height",
  "--align": "text-align",
  "--align-box": "align-items",
  "--gap": "gap",
  "--basis": "flex-basis",
  "--grow": "flex-grow",
  "--wrap": "flex-wrap",
  "--near": "position",
  "--across": "align-items",
  "--space-top": "padding-top",
  "--space-bottom": "padding-bottom",
  "--sides": "padding-inline",
  "--head": "font-size",
  "--shape": "aspect-ratio",
  "--goods-fit": "object-fit",
  "--measure": "max-width",
  "--breaks": "white-space",
  "--ground": "background-image",
  "--ink": "color",
  "--pattern": "background",
  "--round": "border-radius",
  "--edge-top": "height",
  "--edge-bottom": "height",
  "--edge-top-tile": "mask-size",
  "--edge-bottom-tile": "mask-size",
  "--edge-top-image": "mask-image",
  "--edge-bottom-image": "mask-image",
};

const cases = Object.values(PROPERTIES).map((property) => {
  const { exact } = property;
  const values = [
    ...property.choices.map((c) => c.value),
    ...(property.colour ? ["#1f6f8b"] : []),
    ...(exact
      ? [exact.least, exact.most, (exact.least + exact.most) / 2].map((n) =>
          exactValue(exact, exact.bare ? Math.round(n) : n),
        )
      : []),
  ];
  return [property.name, values] as const;
});

describe("what every control of style emits is CSS (stylelint)", () => {
  it.each(cases)("%s", async (name, values) => {
    const css = values
      .map((value) => nodeCss(".x", [{ name: "section", sheet: { phone: { [name]: value } } }]))
      .join("\n")
      .replace(/(--[\w-]+):([^;}]*)/g, (whole, custom: string, value: string) =>
        USED[custom] && !value.includes("var(") ? `${USED[custom]}:${value}` : whole,
      );
    if (!css) return;
    const { results } = await stylelint.lint({ code: css, config: stylelintConfig });
    expect(results[0]!.warnings.map((w) => w.text)).toEqual([]);
  });

  it("and the checker does object to what is none", async () => {
    const { results } = await stylelint.lint({
      code: ".x{opacity:much;text-aline:left}",
      config: stylelintConfig,
    });
    expect(results[0]!.warnings).toHaveLength(2);
  });
});
