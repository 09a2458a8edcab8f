import { expect, test, type Page } from "@playwright/test";
import { violationsOf } from "./axe";
import { openDemo } from "./owners";
import { STUDIO } from "./place";
import { area, benchReady, inPlan } from "./studio";

// What is still fading has another contrast than what it will be read with.
test.use({ colorScheme: "dark" });

/** All words can be read (WCAG 2.2, 1.4.3). What else there is to look at is the same by day. */
async function expectLegible(page: Page): Promise<void> {
  expect(await violationsOf(page, { runOnly: ["color-contrast"], iframes: false })).toEqual([]);
}

const ground = (page: Page) => page.evaluate(() => getComputedStyle(document.body).backgroundColor);
const DAY = "rgb(250, 248, 242)";
const NIGHT = "rgb(24, 33, 28)";

test("the studio is dark where the system is, and everything in it can be read", async ({ page }) => {
  await openDemo(page);
  await benchReady(page);
  expect(await ground(page)).toBe(NIGHT);
  // The shop is dressed in its own colours, whatever the studio looks like.
  const shop = page.frameLocator("iframe").first().locator("body");
  expect(await shop.evaluate((body) => getComputedStyle(body).colorScheme)).not.toContain("dark");
  await inPlan(page, "Hero").click();
  await expectLegible(page);
  await page.getByRole("button", { name: "Add", exact: true }).click();
  await expect(page.getByRole("dialog", { name: "Add a section" })).toBeVisible();
  await expectLegible(page);
  await page.keyboard.press("Escape");
  await page.getByRole("button", { name: /^Publish/ }).click();
  await expect(page.getByRole("dialog", { name: "Publish" })).toBeVisible();
  await expectLegible(page);
  await page.keyboard.press("Escape");
  await area(page, "Brand");
  await benchReady(page);
  await expectLegible(page);
  await area(page, "Goods");
  await page.getByRole("grid", { name: "Goods" }).waitFor();
  await expectLegible(page);
  for (const part of ["Collections", "Reviews", "What sells", "Import"]) {
    await page.getByRole("navigation", { name: "Parts of Goods" }).getByRole("link", { name: part }).click();
    await expect(page.locator("h1").first()).toBeVisible();
    await expectLegible(page);
  }
  await area(page, "Pictures");
  await expect(page.getByRole("heading", { name: "Pictures", level: 1 })).toBeVisible();
  await expectLegible(page);
});

test("a look of the studio that was chosen stays, on every page and without a flash", async ({ page }) => {
  await openDemo(page);
  await page.getByRole("button", { name: "Larkspindle Kites" }).click();
  await page.getByRole("menuitemradio", { name: "Light" }).click();
  await expect.poll(() => ground(page)).toBe(DAY);
  // The attribute is there before the first script of the studio has run, so nothing is painted in the other look.
  await page.route(/assets\/.*\.js$/, (route) => route.abort());
  await page.goto(`${STUDIO}/you`);
  expect(await ground(page)).toBe(DAY);
  await page.unroute(/assets\/.*\.js$/);
  await page.goto(`${STUDIO}/you`);
  await page.getByRole("button", { name: "As your system" }).click();
  await expect.poll(() => ground(page)).toBe(NIGHT);
  await page.emulateMedia({ colorScheme: "light" });
  await expect.poll(() => ground(page)).toBe(DAY);
});
