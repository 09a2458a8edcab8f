// @vitest-environment jsdom
import { act } from "react";
import { createRoot, type Root } from "react-dom/client";
import { afterEach, beforeEach, describe, expect, it } from "vitest";
import { PROPERTIES } from "~/core/cascade";
import type { StyleValue } from "~/core/document";
import { SlideField, StepField } from "./exact-field";

(globalThis as { IS_REACT_ACT_ENVIRONMENT?: boolean }).IS_REACT_ACT_ENVIRONMENT = true;

let root: Root;
let said: StyleValue[];
beforeEach(() => {
  said = [];
  const holder = document.createElement("div");
  document.body.append(holder);
  root = createRoot(holder);
});
afterEach(async () => {
  await act(async () => root.unmount());
  document.body.replaceChildren();
});

async function show(name: string, value: StyleValue | undefined) {
  const property = PROPERTIES[name]!;
  const given = { property, exact: property.exact!, value, onChange: (v: StyleValue) => said.push(v) };
  const isSlid = property.exact!.bare || property.choices.length === 0;
  await act(async () => root.render(isSlid ? <SlideField {...given} /> : <StepField id="step" {...given} />));
  return [...document.querySelectorAll("input")].find((i) => i.inputMode === "decimal")!;
}
async function type(input: HTMLInputElement, text: string) {
  const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, "value")!.set!;
  await act(async () => {
    set.call(input, text);
    input.dispatchEvent(new Event("input", { bubbles: true }));
  });
}
const problem = () => document.querySelector("[role=alert]")?.textContent ?? "";

describe("an exact amount", () => {
  it("is kept with its unit, whole or with as many decimals as there may be, with a comma or a point", async () => {
    const gap = await show("gap", 3);
    expect(gap.value).toBe("");
    await type(gap, "37");
    const share = await show("share", "50%");
    await type(share, "33,34");
    expect(said).toEqual(["37px", "33.34%"]);
  });
  it("shows what is set, and stays what it was while what is typed is none", async () => {
    const gap = await show("gap", "24px");
    expect(gap.value).toBe("24");
    await type(gap, "24x");
    expect(problem()).toBe("A number from 0 to 200.");
    await type(gap, "900");
    expect(problem()).toBe("A number from 0 to 200.");
    await type(gap, "");
    expect(problem()).toBe("");
    expect(said).toEqual([]);
  });
  it("without a unit of its own is a whole number", async () => {
    const scrim = await show("scrim", 45);
    expect(scrim.value).toBe("45");
    await type(scrim, "12.5");
    expect(problem()).toBe("A whole number from 0 to 95.");
    await type(scrim, "12");
    expect(said).toEqual([12]);
  });
});
