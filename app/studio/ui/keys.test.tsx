// @vitest-environment jsdom
import { act } from "react";
import { createRoot } from "react-dom/client";
import { afterEach, describe, expect, it, vi } from "vitest";
import { keysOf, useKeys, type KeyTable } from ".";

(globalThis as { IS_REACT_ACT_ENVIRONMENT?: boolean }).IS_REACT_ACT_ENVIRONMENT = true;

const press = (init: KeyboardEventInit) => keysOf(new KeyboardEvent("keydown", init));

describe("a key press", () => {
  it.each([
    [{ key: "z", ctrlKey: true }, "ctrl+z"],
    [{ key: "Z", ctrlKey: true, shiftKey: true }, "ctrl+shift+z"],
    [{ key: "z", metaKey: true }, "ctrl+z"],
    [{ key: "ArrowLeft", altKey: true }, "alt+ArrowLeft"],
    [{ key: "?", shiftKey: true }, "?"],
    [{ key: "A", shiftKey: true }, "shift+a"],
    [{ key: "Enter", shiftKey: true }, "shift+Enter"],
    [{ key: "1" }, "1"],
  ])("%j is %s", (init, keys) => expect(press(init)).toBe(keys));
});

function Keys({ table }: { table: KeyTable }) {
  useKeys(table);
  return (
    <>
      <input aria-label="text" />
      <input type="checkbox" aria-label="check" />
      <button type="button">button</button>
      <div role="dialog">
        <span tabIndex={0}>inside</span>
      </div>
      <div contentEditable suppressContentEditableWarning>
        words
      </div>
    </>
  );
}

describe("keys of the studio", () => {
  const holder = document.createElement("div");
  document.body.append(holder);
  const root = createRoot(holder);
  afterEach(() => act(async () => root.render(null)));

  async function pressOn(selector: string | null, key: KeyboardEventInit & { key: string }) {
    const action = vi.fn();
    const keys = press(key);
    await act(async () => root.render(<Keys table={{ [keys]: action }} />));
    const target = selector ? holder.querySelector(selector)! : document.body;
    // jsdom does not work out contenteditable by itself.
    if (selector === "[contenteditable]") Object.defineProperty(target, "isContentEditable", { value: true });
    const event = new KeyboardEvent("keydown", { ...key, bubbles: true, cancelable: true });
    target.dispatchEvent(event);
    return { calls: action.mock.calls.length, prevented: event.defaultPrevented };
  }

  it("work wherever nothing is typed", async () => {
    expect(await pressOn(null, { key: "d" })).toEqual({ calls: 1, prevented: true });
    expect(await pressOn("[type=checkbox]", { key: "d" })).toEqual({ calls: 1, prevented: true });
    expect(await pressOn("button", { key: "d" })).toEqual({ calls: 1, prevented: true });
  });

  it("leave alone what is typed into fields and words, but for publishing", async () => {
    expect(await pressOn("[aria-label=text]", { key: "d" })).toEqual({ calls: 0, prevented: false });
    expect(await pressOn("[contenteditable]", { key: "Delete" })).toEqual({ calls: 0, prevented: false });
    expect(await pressOn("[aria-label=text]", { key: "Enter", ctrlKey: true })).toEqual({ calls: 1, prevented: true });
  });

  it("leave a button its Enter and a dialog everything", async () => {
    expect(await pressOn("button", { key: "Enter" })).toEqual({ calls: 0, prevented: false });
    expect(await pressOn("[role=dialog] span", { key: "d" })).toEqual({ calls: 0, prevented: false });
  });

  it("do nothing behind an open dialog whose focused part is gone", async () => {
    const modal = document.createElement("div");
    modal.className = "MuiModal-root";
    document.body.append(modal);
    expect(await pressOn(null, { key: "Escape" })).toEqual({ calls: 0, prevented: false });
    modal.setAttribute("aria-hidden", "true");
    expect(await pressOn(null, { key: "Escape" })).toEqual({ calls: 1, prevented: true });
    modal.remove();
  });
});
