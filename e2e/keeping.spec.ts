import { expect, test } from "@playwright/test";
import { area, benchReady, details, inPlan, kept, openShop, pane } from "./studio";

test("undo is one: it says what it did, goes to the page it did it on, and in Goods it is of goods", async ({
  page,
}) => {
  await openShop(page);
  await area(page, "Pages");
  await benchReady(page);
  await inPlan(page, "Hero").click();
  const heading = details(page).getByLabel("Heading");
  const before = await heading.inputValue();
  await heading.fill("Made on Mondays");
  await kept(page);

  await test.step("from another page", async () => {
    await page.getByRole("button", { name: "Home", exact: true }).click();
    await page.getByRole("menuitem", { name: "Product", exact: true }).click();
    await expect(page).toHaveURL(/page=product/);
    await expect(page.locator(".MuiPopover-root")).toHaveCount(0);
    await page.getByRole("button", { name: /^Undo: Words changed/ }).click();
    await expect(page).toHaveURL(/page=home/);
    await expect(page.getByText(/^Undone: Words changed in Hero, on “Home”$/)).toBeVisible();
    await expect(pane(page, "Wide").getByRole("heading", { level: 1 })).toHaveText(before);
    await expect(details(page).getByLabel("Heading")).toHaveValue(before);
  });

  await test.step("in Goods there is one pair of buttons, of goods", async () => {
    await area(page, "Goods");
    await expect(page.getByRole("button", { name: /undo/i })).toHaveCount(1);
    await expect(page.getByRole("button", { name: "Nothing to undo in Goods" })).toBeDisabled();
    await area(page, "Pages");
    await expect(page.getByRole("button", { name: /^Redo: Words changed/ })).toBeEnabled();
  });
});

test("a change that can't be kept is put aside with the reason, offered again, and the rest goes on", async ({
  page,
}) => {
  await openShop(page);
  await area(page, "Pages");
  await benchReady(page);
  let refused = "";
  await page.route("**/keep", async (route) => {
    const sent = route.request().postDataJSON() as { transactions?: { id: string }[] } | null;
    const [first] = sent?.transactions ?? [];
    if (!first || (refused && first.id !== refused)) return route.fallback();
    refused = first.id;
    const body = { ok: false, code: "refused", transaction: first.id, why: "The server has no room for it." };
    return route.fulfill({ status: 422, json: body });
  });
  await inPlan(page, "Hero").click();
  const heading = details(page).getByLabel("Heading");
  const before = await heading.inputValue();
  await heading.fill("Not today");
  await expect(
    page.getByText(/“Words changed in Hero” could not be saved: The server has no room for it\./),
  ).toBeVisible();
  await expect(heading).toHaveValue(before);
  await expect(page.getByRole("button", { name: "Nothing to undo" })).toBeDisabled();

  await test.step("it outlives a reload, and what is done meanwhile is kept", async () => {
    await inPlan(page, "Hero").click();
    await page.keyboard.press("h");
    await kept(page);
    await page.reload();
    await benchReady(page);
    await page.getByRole("button", { name: "1 change could not be saved" }).click();
    const list = page.getByRole("presentation").filter({ hasText: "They are saved in this browser." });
    await expect(list).toContainText("The server has no room for it.");
    await list.getByRole("button", { name: "Try again" }).click();
    await expect(page.getByRole("button", { name: "1 change could not be saved" })).toHaveCount(0);
    await kept(page);
    await expect(pane(page, "Wide").getByRole("heading", { level: 1 })).toHaveText("Not today");
  });
});

test("publishing while signed out says so, and leads to signing in and back", async ({ page, context }) => {
  const shop = await openShop(page);
  await area(page, "Pages");
  await benchReady(page);
  await context.clearCookies();
  await page.getByRole("button", { name: /^Publish/ }).click();
  const dialog = page.getByRole("dialog");
  await expect(dialog.getByRole("alert")).toContainText("You are signed out. Sign in again");
  await page.keyboard.press("Escape");
  await page.getByRole("status").getByRole("link", { name: "Sign in" }).click();
  await page.getByLabel("Mail address").fill(shop.address);
  await page.getByLabel("Password").fill(shop.password);
  await page.getByRole("button", { name: "Sign in" }).click();
  await benchReady(page);
  await page.getByRole("button", { name: /^Publish/ }).click();
  await expect(page.getByRole("dialog")).toContainText("Shoppers will see your shop for the first time.");
});

test("tabs go on hearing of each other after edits on the bench, and over a new sign-in", async ({ page, context }) => {
  const shop = await openShop(page);
  await area(page, "Pages");
  await benchReady(page);
  const other = await context.newPage();
  await other.goto(page.url());
  await benchReady(other);
  const write = async (tab: typeof page, words: string) => {
    await inPlan(tab, "Hero").click();
    await details(tab).getByLabel("Heading").fill(words);
    await kept(tab);
  };
  const says = (tab: typeof page, words: string) =>
    expect(pane(tab, "Wide").getByRole("heading", { level: 1 })).toHaveText(words);
  for (const [from, to, words] of [
    [page, other, "Made on Mondays"],
    [other, page, "Made on Tuesdays"],
    [page, other, "Made on Wednesdays"],
  ] as const) {
    await to.bringToFront();
    await write(from, words);
    await says(to, words);
  }

  await context.clearCookies();
  await inPlan(other, "Hero").click();
  await details(other).getByLabel("Heading").fill("Made on Thursdays");
  await expect(other.getByRole("status").getByRole("link", { name: "Sign in" })).toBeVisible();
  await page.goto(new URL("/sign-in", page.url()).href);
  await page.getByLabel("Mail address").fill(shop.address);
  await page.getByLabel("Password").fill(shop.password);
  await page.getByRole("button", { name: "Sign in" }).click();
  await benchReady(page);
  // The tab that was signed out goes on by itself, and the other one hears of it.
  await kept(other);
  await says(page, "Made on Thursdays");
});
