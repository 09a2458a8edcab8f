import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { canBuy, makeProduct, valueState } from "~/core/goods";
import { leadsTo, nearest } from "./choosing";

const cone = [
  { id: "a", values: ["S", "Dawn"], can: true },
  { id: "b", values: ["S", "Kelp"], can: false },
  { id: "c", values: ["L", "Dawn"], can: true },
  { id: "d", values: ["L", "Squall"], can: true },
];

describe("choosing a variant", () => {
  it("goes to the same in all else, or to what is nearest", () => {
    expect(nearest(cone, ["L", "Dawn"], 0)?.id).toBe("c");
    expect(nearest(cone, ["S", "Squall"], 1)?.id).toBe("d");
    expect(nearest(cone, [undefined, "Dawn"], 1)?.id).toBe("a");
    expect(nearest(cone, ["S", "Nothing"], 1)).toBeUndefined();
    // What can't be bought is shown when it is what was asked for.
    expect(nearest(cone, ["S", "Kelp"], 1)?.id).toBe("b");
  });

  // The shop's script is on its own, so that it stays small; it has to say what the page said before it came.
  it("marks values as the page that was served does", () => {
    const values = [
      ["S", "M", "L"],
      ["Dawn", "Kelp"],
      ["Short", "Long"],
    ] as const;
    const all = values[0].flatMap((a) => values[1].flatMap((b) => values[2].map((c) => [a, b, c])));
    fc.assert(
      fc.property(
        fc.subarray(all, { minLength: 1 }),
        fc.array(fc.constantFrom(0, 4, null), { minLength: 12, maxLength: 12 }),
        fc.nat(11),
        (there, stock, pick) => {
          const product = makeProduct({
            id: "p",
            title: "P",
            options: values.map((names, i) => ({
              name: `o${i}`,
              picker: "buttons",
              values: names.map((name) => ({ name, colour: null })),
            })),
            variants: there.map((each, i) => ({
              id: `v${i}`,
              values: each,
              sku: "",
              price: null,
              compareAt: null,
              stock: stock[i]!,
              barcode: "",
              weight: null,
              picture: null,
              availability: null,
            })),
          });
          const sent = product.variants.map((v) => ({ values: v.values, can: canBuy(product, v) }));
          const chosen = there[pick % there.length]!;
          values.forEach((names, option) => {
            for (const value of names)
              expect(leadsTo(sent, chosen, option, value)).toBe(valueState(product, chosen, option, value));
            // Wherever there is anything with a value, choosing it leads there.
            for (const value of names) {
              const found = nearest(sent, chosen.with(option, value), option);
              expect(found?.values[option]).toBe(sent.some((v) => v.values[option] === value) ? value : undefined);
            }
          });
        },
      ),
      { seed: 5, numRuns: 150 },
    );
  });
});
