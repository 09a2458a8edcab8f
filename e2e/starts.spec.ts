import { expect, test } from "@playwright/test";
import { area, benchReady, expectAccessible, inPlan, openShop, pane } from "./studio";

test("a new shop tries themes on with made-up goods, and begins with pages for what it sells", async ({ page }) => {
  await openShop(page);
  await area(page, "Brand");
  await page.getByRole("link", { name: "Change theme" }).click();
  await expect(page.getByText("a made-up shop for ceramics stand in")).toBeVisible();
  await page.getByRole("combobox", { name: "What you sell" }).click();
  await page.getByRole("option", { name: "Food and drink" }).click();
  await expect(page.getByText("a made-up shop for jam and honey stand in")).toBeVisible();
  // The theme that was drawn for it stands first.
  await expect(page.getByRole("article").first()).toHaveAccessibleName("Quince");
  await expect(page.getByRole("article").first()).toContainText("Made for food and drink");
  const first = page.frameLocator('iframe[title="Home in Quince, wide"]');
  await expect(first.getByRole("heading", { level: 1 })).toHaveText("Put by for you");
  await expect(first.getByText("Apricot and almond").first()).toBeVisible();
  const picture = first.locator("img").first();
  await expect.poll(() => picture.evaluate((img: HTMLImageElement) => img.naturalWidth)).toBeGreaterThan(100);

  await expectAccessible(page);

  await test.step("all of its pages can be walked through", async () => {
    await page.getByRole("button", { name: "Look closer at Quince" }).click();
    const closer = page.getByRole("dialog");
    const wide = closer.frameLocator('iframe[title="Quince, wide"]');
    await closer.getByRole("button", { name: "Product", exact: true }).click();
    await expect(wide.getByRole("heading", { level: 1 })).toHaveText("Strawberry and rhubarb");
    await expect(wide.getByText("How it keeps")).toBeVisible();
    await closer.getByRole("button", { name: "About", exact: true }).click();
    await expect(wide.getByRole("heading", { level: 1 })).toHaveText("At the stove");
    await page.keyboard.press("Escape");
    await expect(page.getByRole("dialog")).toHaveCount(0);
  });

  await test.step("it begins with them, and none of the goods come along", async () => {
    await page.getByRole("button", { name: "Use Quince" }).click();
    await benchReady(page);
    const wide = pane(page, "Wide");
    await expect(wide.getByRole("heading", { level: 1 })).toHaveText("Put by for you");
    await expect(wide.getByText("Apricot and almond")).toHaveCount(0);
    await area(page, "Pages");
    await benchReady(page);
    await expect(inPlan(page, "Hero")).toBeVisible();
  });

  await test.step("one step takes all of it back", async () => {
    await page.keyboard.press("Control+z");
    await expect(pane(page, "Wide").getByRole("heading", { level: 1 })).toContainText("Welcome to");
    await expect(inPlan(page, "Goods")).toHaveCount(1);
  });
});
