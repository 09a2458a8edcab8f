// @vitest-environment jsdom
import { useState } from "react";
import { afterEach, describe, expect, it } from "vitest";
import { mount, studioOf } from "../fixtures/mount";
import { Amount, marginOf, Whole } from "./product-form";

let end: (() => Promise<void>) | undefined;
afterEach(async () => {
  await end?.();
  end = undefined;
});

/** A field whose value somebody keeps; `heard` are the values that came of what was written. */
async function field(kind: "amount" | "whole", start: number | null, { currency = "EUR", mayLack = true } = {}) {
  const heard: (number | null)[] = [];
  function Held() {
    const [value, setValue] = useState(start);
    const onChange = (next: number | null) => {
      heard.push(next);
      setValue(next);
    };
    return kind === "amount" ? (
      <Amount label="It" value={value} onChange={onChange} {...(mayLack ? { empty: "none" } : {})} />
    ) : (
      <Whole label="It" value={value} onChange={onChange} empty="none" />
    );
  }
  const mounted = await mount(<Held />, studioOf({ currency }));
  end = mounted.end;
  return { ...mounted, heard };
}

describe("an amount of money", () => {
  it("is read as people write it, and is set right once they are done", async () => {
    const { write, leave, value, heard } = await field("amount", 1250);
    expect(value("It")).toBe("12.50");
    await write("It", "9,5");
    // While it is written it stays as it was typed.
    expect(value("It")).toBe("9,5");
    await leave("It");
    expect(value("It")).toBe("9.50");
    expect(heard).toEqual([950]);
  });

  it("has as many digits as its currency (ISO 4217)", async () => {
    const yen = await field("amount", 1250, { currency: "JPY" });
    expect(yen.value("It")).toBe("1250");
    await yen.write("It", "12.5");
    expect(yen.heard).toEqual([]);
    await yen.end();
    const dinar = await field("amount", 1250, { currency: "KWD" });
    expect(dinar.value("It")).toBe("1.250");
    await dinar.write("It", "0.001");
    expect(dinar.heard).toEqual([1]);
  });

  it("that can't be read stays where it was written, with the reason, and changes nothing", async () => {
    const { write, leave, value, heard, text, labelled } = await field("amount", 1250);
    await write("It", "a fiver");
    await leave("It");
    expect(value("It")).toBe("a fiver");
    expect(text()).toContain("“a fiver” is not an amount.");
    expect(labelled("It").getAttribute("aria-invalid")).toBe("true");
    await write("It", "5");
    expect(text()).not.toContain("is not an amount");
    expect(heard).toEqual([500]);
  });

  it("may be nothing only where that means something", async () => {
    const may = await field("amount", 1250);
    await may.write("It", " ");
    expect(may.heard).toEqual([null]);
    await may.end();
    const must = await field("amount", 1250, { mayLack: false });
    await must.write("It", " ");
    expect(must.heard).toEqual([]);
    expect(must.labelled("It").getAttribute("aria-invalid")).toBe("true");
  });
});

describe("a whole number", () => {
  it.each([
    ["12", [12]],
    [" 7 ", [7]],
    ["", [null]],
    ["1.5", []],
    ["-3", []],
    ["many", []],
    ["12345678", []],
  ])("of “%s” is %j", async (written, heard) => {
    const mounted = await field("whole", 3);
    await mounted.write("It", written);
    expect(mounted.heard).toEqual(heard);
    expect(mounted.text().includes("is not a whole number")).toBe(heard.length === 0);
  });
});

describe("what stays of a price", () => {
  it.each([
    [1000, 400, 60],
    [1000, 0, 100],
    [1000, 1500, -50],
    [1000, null, undefined],
    [0, 400, undefined],
  ])("of %i after %s is %s %%", (price, cost, margin) => expect(marginOf(price, cost)).toBe(margin));
});
