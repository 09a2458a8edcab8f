import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { AUDIENCES, DEVICES, type StyleSheet } from "../document";
import { isKnownValue, LAYERS, MEDIA, nodeAttributes, nodeCss, PROPERTIES, resolve, type Layer } from ".";

const value = (property: string) => fc.constantFrom(...PROPERTIES[property]!.choices.map((c) => c.value));
const sheet: fc.Arbitrary<StyleSheet> = fc.record(
  Object.fromEntries(
    AUDIENCES.map((a) => [
      a,
      fc.record(
        { columns: value("columns"), align: value("align"), set: value("set"), hidden: value("hidden") },
        { requiredKeys: [] },
      ),
    ]),
  ),
  { requiredKeys: [] },
);
const layers: fc.Arbitrary<readonly Layer[]> = fc.tuple(
  ...LAYERS.map((name) => sheet.map((s): Layer => ({ name, sheet: s }))),
);
const seed = 9;

describe("resolving", () => {
  it("gives what a search from the strongest word to the weakest gives", () => {
    fc.assert(
      fc.property(layers, fc.constantFrom(...DEVICES), (all, device) => {
        for (const property of ["columns", "align", "set", "hidden"]) {
          let expected;
          search: for (const { sheet: s } of all.toReversed()) {
            for (const audience of [device, "all"] as const) {
              if (s[audience]?.[property] !== undefined) {
                expected = s[audience][property];
                break search;
              }
            }
          }
          expect(resolve(all, property, device)?.winner.value).toBe(expected);
        }
      }),
      { seed, numRuns: 300 },
    );
  });

  it("names the winner and everybody it won against, strongest first", () => {
    const all: Layer[] = [
      { name: "kind", sheet: { all: { columns: 4 }, phone: { columns: 2 } } },
      { name: "theme", sheet: { all: { columns: 3 } } },
      { name: "section", sheet: { phone: { columns: 1 } } },
    ];
    expect(resolve(all, "columns", "phone")).toEqual({
      value: 1,
      winner: { layer: "section", audience: "phone", value: 1 },
      overridden: [
        { layer: "theme", audience: "all", value: 3 },
        { layer: "kind", audience: "phone", value: 2 },
        { layer: "kind", audience: "all", value: 4 },
      ],
    });
    expect(resolve(all, "columns", "wide")?.winner).toEqual({ layer: "theme", audience: "all", value: 3 });
    expect(resolve(all, "scrim", "wide")).toBeUndefined();
  });
});

it("a number of columns for all devices is one for wide screens: phones and tablets show fewer until told otherwise", () => {
  const all: Layer[] = [{ name: "section", sheet: { all: { columns: 5 } } }];
  expect(DEVICES.map((d) => resolve(all, "columns", d)?.value)).toEqual([2, 3, 5]);
  const told: Layer[] = [{ name: "section", sheet: { all: { columns: 5 }, phone: { columns: 4 } } }];
  expect(resolve(told, "columns", "phone")?.value).toBe(4);
});

it("columns stay in view where they stand side by side, and not where each is below the other", () => {
  const css = nodeCss(".x", [{ name: "section", sheet: { all: { rows: 0 }, phone: { rows: 1 } } }]);
  const column = nodeCss(".x", [{ name: "section", sheet: { all: { sticky: "near" } } }]);
  expect(applied(column, "phone")).toMatchObject({ position: "var(--near,sticky)" });
  expect(applied(css, "wide")).toMatchObject({ "--near": "sticky" });
  expect(applied(css, "phone")).toMatchObject({ "--near": "static" });
});

/** Reads emitted rules back: what applies on a device. */
function applied(css: string, device: (typeof DEVICES)[number]): Record<string, string> {
  const declarations = (body: string) =>
    Object.fromEntries(
      body
        .split(";")
        .filter(Boolean)
        .map((d) => d.split(/:(.*)/).slice(0, 2) as [string, string]),
    );
  let out: Record<string, string> = {};
  const rest = css.replace(/@media ([^{]+)\{\.x\{([^}]*)\}\}/g, (_all, media: string, body: string) => {
    if (media === MEDIA[device]) out = { ...out, ...declarations(body) };
    return "";
  });
  const base = /\.x\{([^}]*)\}/.exec(rest)?.[1] ?? "";
  return { ...declarations(base), ...out };
}

describe("emitting", () => {
  it("says for each device exactly what resolving says", () => {
    fc.assert(
      fc.property(layers, (all) => {
        const css = nodeCss(".x", all);
        for (const device of DEVICES) {
          const expected: Record<string, string> = {};
          for (const property of Object.values(PROPERTIES)) {
            const resolved = resolve(all, property.name, device);
            if (resolved && property.emission.to === "declarations")
              Object.assign(expected, property.emission.of(resolved.value));
          }
          expect(applied(css, device)).toEqual(expected);
        }
      }),
      { seed, numRuns: 300 },
    );
  });

  it("says what all devices share once", () => {
    expect(nodeCss(".x", [{ name: "kind", sheet: { all: { shape: "4/5" } } }])).toBe(".x{--shape:4/5}");
    expect(nodeAttributes([{ name: "kind", sheet: { all: { set: "brand" } } }])).toEqual({ "data-set": "brand" });
  });

  it("never writes a value that its property does not offer, wherever it came from", () => {
    const hostile = "4/5}</style><script>alert(1)</script>";
    const all: Layer[] = [{ name: "section", sheet: { all: { shape: hostile, set: hostile, nothing: hostile } } }];
    expect(nodeCss(".x", all)).toBe("");
    expect(nodeAttributes(all)).toEqual({});
  });

  it("covers every width with one device, without gap or overlap", () => {
    expect(Object.values(MEDIA)).toEqual([
      "(max-width:599.98px)",
      "(min-width:600px) and (max-width:1023.98px)",
      "(min-width:1024px)",
    ]);
  });
});

describe("a colour of one's own", () => {
  it("is six digits of hex and nothing else, and only where a property allows one", () => {
    for (const property of ["ground", "ink", "border"]) expect(isKnownValue(property, "#1f6f8b"), property).toBe(true);
    for (const value of ["#1f6f8", "#1F6F8B", "#1f6f8b;color:red", "red", "url(x)", "var(--x)", "#1f6f8b}", 1])
      expect(isKnownValue("ground", value), String(value)).toBe(false);
    expect(isKnownValue("set", "#1f6f8b")).toBe(false);
  });
});
