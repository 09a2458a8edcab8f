import { expect, test, type FrameLocator } from "@playwright/test";
import {
  area,
  benchReady,
  details,
  expectAccessible,
  inPlan,
  kept,
  openGroup,
  openShop,
  pane,
  publish,
  roleIn,
  shopAt,
} from "./studio";

let host = "";
test.beforeEach(async ({ page }) => {
  ({ host } = await openShop(page));
  await area(page, "Pages");
  await benchReady(page);
});

test("versions of a page are kept, compared as pictures and as words, and brought back whole or by section", async ({
  page,
}) => {
  const open = () => page.getByRole("button", { name: "Versions of this page" }).click();
  const dialog = page.getByRole("dialog", { name: "Versions of Home" });
  await open();
  await expect(dialog.getByText("None yet.")).toBeVisible();
  await dialog.getByLabel("Save it as it is now, named").fill("Before the sale");
  await dialog.getByRole("button", { name: "Save this version" }).click();
  await expect(dialog.getByRole("button", { name: /^Before the sale/ })).toBeVisible();
  await dialog.getByRole("button", { name: "Close" }).click();

  await inPlan(page, "Hero").click();
  await details(page).getByLabel("Heading").fill("Everything must go");
  await inPlan(page, "Goods").click();
  await page.keyboard.press("Delete");
  await expect(inPlan(page, "Goods")).toHaveCount(0);

  await open();
  await dialog.getByRole("button", { name: /^Before the sale/ }).click();
  await expect(dialog.locator("del")).toHaveText(/^Welcome to/);
  await expect(dialog.locator("ins")).toHaveText("Everything must go");
  await expect(dialog.locator("iframe")).toHaveCount(2);
  await dialog.getByRole("listitem").filter({ hasText: "Goods" }).getByRole("button", { name: "Bring back" }).click();
  await expect(dialog.getByRole("listitem").filter({ hasText: "removed" })).toHaveCount(0);
  // Behind the dialog, the plan has it again.
  await expect(page.locator('[role=treeitem][aria-label^="Goods"]')).toHaveCount(1);
  await dialog.getByRole("button", { name: "Bring back the whole page" }).click();
  await expect(dialog.getByText("The page is just as it was in this version.")).toBeVisible();
  await dialog.getByRole("button", { name: "Close" }).click();
  await expect(pane(page, "Wide").locator(".s-hero h1")).toHaveText(/^Welcome to/);
  await page.getByRole("button", { name: "Undo: Home as in “Before the sale”" }).click();
  await expect(pane(page, "Wide").locator(".s-hero h1")).toHaveText("Everything must go");

  // Publishing keeps one by itself.
  await publish(page);
  await open();
  await dialog.getByRole("button", { name: /^Published, no. 1/ }).click();
  await expect(dialog.getByText("The page is just as it was in this version.")).toBeVisible();
  await dialog.getByRole("button", { name: "Close" }).click();

  // The look of its day is kept with it, and the whole shop comes back as a draft, in one step.
  const colourOf = (frame: FrameLocator) => roleIn(frame, "brand");
  const was = await colourOf(pane(page, "Wide"));
  await area(page, "Brand");
  const colour = await openGroup(page, "Colour");
  await colour.getByRole("textbox", { name: "Brand colour", exact: true }).fill("#0b7a3b");
  await area(page, "Pages");
  await benchReady(page);
  await expect.poll(() => colourOf(pane(page, "Wide"))).not.toBe(was);
  await open();
  await dialog.getByRole("button", { name: /^Published, no. 1/ }).click();
  await expect(dialog.getByText("It wears the look that was published with it.")).toBeVisible();
  expect(await colourOf(page.frameLocator('iframe[title="Published, no. 1"]'))).toBe(was);
  expect(await colourOf(page.frameLocator('iframe[title="Now"]'))).not.toBe(was);
  await dialog.getByRole("button", { name: "Close" }).click();
  await inPlan(page, "Hero").click();
  await details(page).getByLabel("Heading").fill("Closing down");
  await page.getByRole("button", { name: /^Publish/ }).click();
  await page.getByRole("button", { name: "Earlier publications …" }).click();
  const history = page.getByRole("dialog", { name: "Earlier publications" });
  await history.getByRole("button", { name: /^Published, no. 1, in the shop now/ }).click();
  await expect(history.getByRole("list", { name: "What has changed since" }).getByRole("listitem")).toHaveCount(2);
  await history.getByRole("button", { name: "Bring back the whole shop" }).click();
  await expect(page.getByText(/^The whole shop is as then, in your draft/)).toBeVisible();
  await expect.poll(() => colourOf(pane(page, "Wide"))).toBe(was);
  await expect(pane(page, "Wide").locator(".s-hero h1")).toHaveText("Everything must go");
  await page.getByRole("button", { name: /^Undo: The whole shop as in “Published, no. 1”/ }).click();
  await expect(pane(page, "Wide").locator(".s-hero h1")).toHaveText("Closing down");
  await expect.poll(() => colourOf(pane(page, "Wide"))).not.toBe(was);

  // One part of it comes back alone, and at once: shoppers see it, and nothing else of what has changed.
  await kept(page);
  await publish(page);
  await page.getByRole("button", { name: /^Publish/ }).click();
  await page.getByRole("button", { name: "Earlier publications …" }).click();
  await history.getByRole("button", { name: /^Published, no. 1/ }).click();
  await history.getByLabel("Shoppers see it at once").check();
  await expectAccessible(page);
  await history.getByRole("button", { name: "Bring back Home" }).click();
  await expect(page.getByText("“Home” is as then, and shoppers see it.")).toBeVisible();
  await expect(history).toBeHidden();
  await page.goto(shopAt(host));
  await expect(page.locator(".s-hero h1")).toHaveText("Everything must go");
  await expect.poll(() => roleIn(page, "brand")).not.toBe(was);
});
