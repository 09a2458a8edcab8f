// @vitest-environment jsdom
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { guardSlowPresses } from "./slow-press";

const chosen = vi.fn<(what: string) => void>();
let stop: () => void;

beforeEach(() => {
  document.body.innerHTML = `<button>Field</button><ul><li role="option">Always</li><li>A heading</li></ul>`;
  for (const each of document.querySelectorAll("li"))
    each.addEventListener("mouseup", () => chosen(each.textContent ?? ""));
  stop = guardSlowPresses(document);
});
afterEach(() => {
  stop();
  chosen.mockClear();
});

const at = (selector: string, type: "mousedown" | "mouseup", clientX: number, clientY: number) =>
  document.querySelector(selector)!.dispatchEvent(new MouseEvent(type, { bubbles: true, clientX, clientY }));

describe("a press that opens a list over its own field", () => {
  it("chooses nothing when it is let go where it was pressed", () => {
    at("button", "mousedown", 40, 700);
    at("[role=option]", "mouseup", 42, 701);
    expect(chosen).not.toHaveBeenCalled();
  });

  it("chooses what it was drawn to", () => {
    at("button", "mousedown", 40, 700);
    at("[role=option]", "mouseup", 40, 660);
    expect(chosen).toHaveBeenCalledWith("Always");
  });

  it("chooses what was pressed itself, and leaves alone what is no choice", () => {
    at("[role=option]", "mousedown", 40, 700);
    at("[role=option]", "mouseup", 40, 700);
    expect(chosen).toHaveBeenCalledWith("Always");
    at("button", "mousedown", 40, 700);
    at("li:last-child", "mouseup", 40, 700);
    expect(chosen).toHaveBeenLastCalledWith("A heading");
  });

  it("is taken away with what put it there", () => {
    stop();
    at("button", "mousedown", 40, 700);
    at("[role=option]", "mouseup", 40, 700);
    expect(chosen).toHaveBeenCalledOnce();
  });
});
