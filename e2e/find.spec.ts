import { expect, test } from "@playwright/test";
import { area, benchReady, expectAccessible, kept, openShop, pane, publish, shopAt } from "./studio";

test("words are found on every page, seen before and after, replaced in one step and taken back", async ({ page }) => {
  const goods = "SKU,Title,Price,Collection\nJ-3,Quince jelly,6.00,Jellies";
  await openShop(page, { goods });
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

  // Goods as well: kept at once, and taken back in Goods.
  await page.getByRole("button", { name: "Home", exact: true }).click();
  await page.getByRole("menuitem", { name: "Find and replace words …" }).click();
  await dialog.getByLabel("Words to find").fill("quince");
  const quince = dialog.getByRole("region", { name: "Quince jelly" });
  await expect(quince.locator("mark").first()).toHaveText(/quince/i);
  await dialog.getByLabel("Replace by").fill("Medlar");
  await dialog.getByRole("button", { name: /^Replace \(/ }).click();
  await expect(dialog).toBeHidden();
  await area(page, "Goods");
  await expect(page.getByRole("row", { name: /Medlar jelly/ })).toBeVisible();
  await page.getByRole("button", { name: /^Undo in Goods: “quince” replaced by “Medlar”/ }).click();
  await expect(page.getByRole("row", { name: /Quince jelly/ })).toBeVisible();
});

test("the shop’s words are kept in a list and put right from it, and what services ask for stands in the head of pages", async ({
  page,
}) => {
  const { host } = await openShop(page);
  await benchReady(page);
  const menu = async (item: string) => {
    await page.getByRole("button", { name: /^Shop / }).click();
    await page.getByRole("menuitem", { name: item }).click();
  };
  await menu("Words of the shop …");
  const list = page.getByRole("dialog", { name: "Words of the shop" });
  await list.getByLabel("Write", { exact: true }).fill("workshop");
  await list.getByLabel("Not", { exact: true }).fill("workshop");
  await expect(list.getByText("Both sides are the same.")).toBeVisible();
  await expect(list.getByRole("button", { name: "Save" })).toBeDisabled();
  await list.getByLabel("Not", { exact: true }).fill("shop, atelier");
  await page.keyboard.press("Tab");
  await expect(list.getByText(/^“shop” stands on your pages and goods/)).toBeVisible();
  await expectAccessible(page);
  await list.getByRole("button", { name: "Put right …" }).first().click();
  const found = page.getByRole("dialog", { name: "Find and replace words" });
  await expect(found.getByLabel("Replace by")).toHaveValue("workshop");
  await found.getByRole("button", { name: /^Replace \(/ }).click();
  await expect(pane(page, "Wide").getByRole("heading", { level: 1 })).toContainText("workshop");

  await menu("For search engines and browsers …");
  const head = page.getByRole("dialog", { name: "For search engines and browsers" });
  const tag = head.getByLabel("Paste the tag you were given");
  await tag.fill('<script src="https://x.example/y.js"></script>');
  await expect(head.getByText("A script can’t stand in the head.", { exact: false })).toBeVisible();
  await tag.fill('<meta name="site-verification" content="a7">');
  await head.getByRole("button", { name: "Take it" }).click();
  await head.getByLabel("Another place").fill("https://book.example/widget.js");
  await expectAccessible(page);
  await head.getByRole("button", { name: "Save" }).click();
  await kept(page);
  await publish(page);
  await page.goto(shopAt(host));
  await expect(page.locator('meta[name="site-verification"]')).toHaveAttribute("content", "a7");
  await expect(page.locator('link[rel="preconnect"]')).toHaveAttribute("href", "https://book.example");
});
