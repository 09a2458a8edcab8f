// @vitest-environment jsdom
import { act } from "react";
import { describe, expect, it, vi } from "vitest";
import { mount } from "../fixtures/mount";
import { FindPage, type PageToFind } from "./find-page";

const choices: readonly PageToFind[] = [
  ...Array.from({ length: 300 }, (_each, i) => ({
    id: `p${i}`,
    name: `Page ${i}`,
    address: `/guides/${i}`,
    isHidden: i === 7,
  })),
  { id: "size", name: "Größen", address: "/guides/größen", isHidden: false },
  { id: "cart", name: "Cart", address: null, isHidden: false },
];

describe("a page among hundreds", () => {
  it("is found by its name or its address, without regard to accents, and opened by Enter", async () => {
    const onChoose = vi.fn();
    await mount(<FindPage choices={choices} onClose={() => {}} onChoose={onChoose} />);
    const field = document.querySelector<HTMLInputElement>("input[role=combobox]")!;
    const write = (text: string) =>
      act(async () => {
        // React hears of a change only where the value was set past its own tracking.
        Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, "value")!.set!.call(field, text);
        field.dispatchEvent(new Event("input", { bubbles: true }));
      });
    const options = () => [...document.querySelectorAll("[role=option]")].map((o) => o.textContent);
    const enter = () =>
      act(async () => {
        field.dispatchEvent(new KeyboardEvent("keydown", { key: "Enter", bubbles: true }));
      });
    await write("page 7");
    expect(options()).toHaveLength(11);
    expect(options()[0]).toBe("Page 7/guides/7, not in the shop yet");
    await write("grossen");
    expect(options()).toEqual([]);
    await write("großen");
    expect(options()).toEqual(["Größen/guides/größen"]);
    await write("page");
    expect(options()).toHaveLength(40);
    await write("cart");
    expect(options()).toEqual(["CartLayout, for many pages at once"]);
    await enter();
    expect(onChoose.mock.calls).toEqual([["cart"]]);
  });
});
