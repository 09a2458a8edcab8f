import { expect, test } from "@playwright/test";
import {
  askShop,
  benchReady,
  details,
  expectAccessible,
  inPlan,
  kept,
  openAdd,
  openShop,
  pane,
  plan,
  publish,
} from "./studio";

test("a section is shared, edited once, made separate on one page, and taken away everywhere", async ({ page }) => {
  const { host } = await openShop(page);
  await benchReady(page);
  await inPlan(page, "Picture & words").click({ button: "right" });
  await page.getByRole("menuitem", { name: "Make it a shared section …" }).click();
  const asked = page.getByRole("dialog", { name: "Make it a shared section" });
  await asked.getByLabel("Name").fill("");
  await asked.getByRole("button", { name: "Share it" }).click();
  await expect(asked.getByText("Give it a name, so that you find it again.")).toBeVisible();
  await asked.getByLabel("Name").fill("Our story");
  await asked.getByRole("button", { name: "Share it" }).click();
  await expect(asked).toBeHidden();
  await expect(plan(page).getByRole("treeitem", { name: /^Our story, shared, on 1 page/ })).toBeVisible();
  // Also where the address names no page, which is the home page.
  await expect(page).not.toHaveURL(/page=/);
  await expect(details(page).getByRole("button", { name: "Make it separate here" })).toBeVisible();
  await details(page).getByRole("button", { name: "Remove", exact: true }).click();
  await expect(inPlan(page, "Our story")).toHaveCount(0);
  await page.keyboard.press("Control+z");
  await expect(inPlan(page, "Our story")).toHaveCount(1);
  await inPlan(page, "Our story").click();
  await details(page).getByRole("button", { name: "More about Our story" }).click();
  await page.getByRole("menuitem", { name: "Rename …" }).click();
  const renaming = page.getByRole("dialog", { name: "Rename the shared section" });
  await renaming.getByRole("button", { name: "Rename it" }).click();
  await expect(renaming.getByText("It is called that already.")).toBeVisible();
  await renaming.getByRole("button", { name: "Cancel" }).click();
  await expect(renaming).toBeHidden();
  await kept(page);

  // On another page it comes from Add; there once.
  await page.goto(`${page.url().split("?")[0]}?page=about`);
  await benchReady(page);
  const sheet = await openAdd(page);
  await sheet.getByRole("button", { name: "Add the shared section Our story, on 1 page" }).click();
  await expect(sheet).toBeHidden();
  const note = details(page).getByRole("region", { name: "Shared section" });
  await expect(note).toContainText("“Our story” on 2 pages");
  await expectAccessible(page);
  await openAdd(page);
  await expect(
    sheet.getByRole("button", { name: /^Add the shared section Our story, stands on this page/ }),
  ).toBeDisabled();
  await page.keyboard.press("Escape");
  await expect(sheet).toBeHidden();

  // Edited here, it is changed there; the mark in the pane says so.
  await expect(pane(page, "Wide").locator("#zest-marks .zm-tab")).toContainText("on 2 pages");
  await details(page).getByLabel("Heading", { exact: true }).fill("Sewn in the loft");
  await note.getByRole("button", { name: "Home" }).click();
  await expect(inPlan(page, "Hero")).toBeVisible();
  await expect(pane(page, "Wide").getByText("Sewn in the loft")).toBeVisible();

  // Moved and taken away on one page alone.
  await inPlan(page, "Our story").focus();
  await page.keyboard.press("Alt+ArrowLeft");
  await expect(plan(page).getByRole("treeitem").nth(2)).toHaveAccessibleName(/^Our story/);
  await inPlan(page, "Our story").focus();
  await page.keyboard.press("Delete");
  await expect(inPlan(page, "Our story")).toHaveCount(0);
  await page.keyboard.press("Control+z");
  await expect(inPlan(page, "Our story")).toHaveCount(1);
  await kept(page);
  await publish(page);
  for (const path of ["/", "/about"])
    expect(await (await askShop(page, host, path)).text()).toContain("Sewn in the loft");

  // Separate on this page: words go their own ways.
  await inPlan(page, "Our story").click();
  await note.getByRole("button", { name: "Make it separate here" }).click();
  await expect(note).toBeHidden();
  await details(page).getByLabel("Heading", { exact: true }).fill("Only at home");
  await page.goto(`${page.url().split("?")[0]}?page=about`);
  await benchReady(page);
  await expect(pane(page, "Wide").getByText("Sewn in the loft")).toBeVisible();

  // Removing it says what that takes away.
  await inPlan(page, "Our story").click();
  await note.getByRole("button", { name: "More about Our story" }).click();
  await page.getByRole("menuitem", { name: "Remove it from all pages …" }).click();
  const ending = page.getByRole("dialog", { name: "Remove “Our story” everywhere?" });
  await expect(ending.getByRole("listitem")).toHaveText(["About us"]);
  await ending.getByRole("button", { name: "Remove it everywhere" }).click();
  await expect(inPlan(page, "Our story")).toHaveCount(0);
  await kept(page);
  await page.getByRole("button", { name: /^Publish/ }).click();
  const dialog = page.getByRole("dialog");
  // The page and the section that it would lose go out together.
  await dialog.getByRole("checkbox", { name: "Publish About us" }).uncheck();
  await expect(dialog.getByText("has the shared section “Our story” and would lose it")).toBeVisible();
  await dialog.getByRole("button", { name: "Publish it too" }).first().click();
  await expect(dialog.getByRole("checkbox", { name: "Publish About us" })).toBeChecked();
});
