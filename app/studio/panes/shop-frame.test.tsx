// @vitest-environment jsdom
import { act } from "react";
import { createRoot } from "react-dom/client";
import { expect, it } from "vitest";
import { ShopFrame } from "./shop-frame";

(globalThis as { IS_REACT_ACT_ENVIRONMENT?: boolean }).IS_REACT_ACT_ENVIRONMENT = true;

it("takes no press where it is only looked at, so that a button around it is pressed also while it is being drawn", async () => {
  const holder = document.createElement("div");
  document.body.append(holder);
  const root = createRoot(holder);
  const draw = (inert: boolean) =>
    act(async () =>
      root.render(
        <button type="button">
          <ShopFrame inert={inert} title="A sight" width={400} scale={0.5} height={100} sheets={new Map()}>
            words
          </ShopFrame>
        </button>,
      ),
    );
  // Each of what is in it, the grey ground before its page is there as well.
  const taking = () =>
    [...holder.querySelectorAll("button *")].filter((each) => {
      for (let at: Element | null = each; at && at.tagName !== "BUTTON"; at = at.parentElement)
        if (getComputedStyle(at).pointerEvents === "none") return false;
      return true;
    });
  await draw(true);
  expect(holder.querySelector("iframe")).not.toBeNull();
  expect(taking()).toEqual([]);
  await draw(false);
  expect(taking().length).toBeGreaterThan(0);
  await act(async () => root.unmount());
});
