import { expect, test } from "@playwright/test";
import { benchReady, expectAccessible, openShop, pane } from "./studio";

test("words are found on every page, seen before and after, replaced in one step and taken back", async ({ page }) => {
  await openShop(page);
  await benchReady(page);
  const wide = pane(page, "Wide");
  await page.getByRole("button", { name: "Home", exact: true }).click();
  await page.getByRole("menuitem", { name: "Find and replace words …" }).click();
  const dialog = page.getByRole("dialog", { name: "Find and replace words" });
  await dialog.getByLabel("Words to find").fill("a small shop");
  await expect(dialog.getByRole("status")).toContainText("in");
  const heading = dialog.getByRole("region", { name: "Home" }).getByRole("listitem").first();
  await expect(heading.locator("mark")).toHaveText(/a small shop/i);
  await dialog.getByLabel("Replace by").fill("A workshop by the sea");
  await expect(heading.locator("ins")).toHaveText("A workshop by the sea");
  await expectAccessible(page);
  await dialog.getByRole("button", { name: /^Replace \(/ }).click();
  await expect(dialog).toBeHidden();
  await expect(wide.getByRole("heading", { name: "A workshop by the sea" })).toBeVisible();
  await page.keyboard.press("Control+z");
  await expect(wide.getByRole("heading", { name: "A small shop" })).toBeVisible();
});
