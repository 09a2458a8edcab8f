import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { converted, OTHER, unitIn, UNITS, withUnit } from "./units";

describe("units of a size chart", () => {
  it("are read from the heading of a column, in brackets at its end", () => {
    expect(["Chest (cm)", "Waist (in.)", "Weight (KG)", "Rider (lbs) "].map(unitIn)).toEqual(["cm", "in", "kg", "lb"]);
    expect(["EU", "Chest cm", "(cm) Chest", "Depth (mm)", ""].map(unitIn)).toEqual(Array(5).fill(undefined));
    expect(withUnit("Chest (cm)", "in")).toBe("Chest (in)");
    expect(withUnit("Chest (front) (cm) ", "in")).toBe("Chest (front) (in)");
  });

  it("are converted by the exact factors, ranges and all", () => {
    // 34 in = 86.36 cm and 36 in = 91.44 cm; 10 lb = 4.5359237 kg (NIST SP 811, appendix B.8).
    expect(converted("34–36", "in")).toBe("86–91");
    expect(converted("86–91", "cm")).toBe("34–36");
    expect(converted("10", "lb")).toBe("4.5");
    expect(converted("70 to 80", "kg")).toBe("154 to 176");
  });

  it("are rounded as measures are: to half an inch, small ones to a quarter", () => {
    expect(converted("87", "cm")).toBe("34½");
    expect(converted("5", "cm")).toBe("2");
    expect(converted("7", "cm")).toBe("2¾");
    expect(converted("34½", "in")).toBe("88");
    expect(converted("½", "in")).toBe("1.5");
    expect(converted("1,5", "cm")).toBe("½");
  });

  it("leave what is no number as it is", () => {
    expect(converted("up to 91 (loose)", "cm")).toBe("up to 36 (loose)");
    expect(converted("one size", "cm")).toBe("one size");
    expect(converted("", "cm")).toBe("");
  });

  it("come back to within a step of where they were", () => {
    fc.assert(
      fc.property(fc.integer({ min: 20, max: 400 }), fc.constantFrom(...UNITS), (value, unit) => {
        const there = converted(String(value), unit);
        const back = Number(converted(there, OTHER[unit]).replace(/¼/, ".25").replace(/½/, ".5").replace(/¾/, ".75"));
        expect(Math.abs(back - value)).toBeLessThanOrEqual(unit === "kg" ? 0.5 : unit === "lb" ? 1 : 1);
      }),
    );
  });
});
