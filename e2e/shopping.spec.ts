import { expect, test, type Page } from "@playwright/test";
import { DEMO, expectAccessible } from "./studio";

const PHONE = { width: 390, height: 844 };
// Gliding to where something is clicked is for people; here it would make clicks miss.

const titles = (page: Page) => page.locator(".list .card-title").allInnerTexts();
const count = (page: Page) => page.locator(".list-count").first();

test("a shopper filters, sorts and takes things back, on one page, with an address for every state", async ({
  page,
}) => {
  await page.goto(`${DEMO}/collections/single-line-kites`);
  await expect(count(page)).toHaveText("14 products");
  const level = page.getByRole("group", { name: "Level" });
  await level.getByLabel(/^Anyone/).check();
  await expect(page).toHaveURL(/level=Anyone/);
  const anyone = Number((await count(page).innerText()).split(" ")[0]);
  expect(anyone).toBeLessThan(14);
  // Any of within one facet: more of them; all of across: fewer again.
  await level.getByLabel(/^Some practice/).check();
  await expect.poll(async () => Number((await count(page).innerText()).split(" ")[0])).toBeGreaterThan(anyone);
  const both = Number((await count(page).innerText()).split(" ")[0]);
  const wind = page.getByRole("group", { name: /^Wind/ }).getByLabel(/^2 /);
  const promised = Number((await wind.locator("xpath=..").locator("small").innerText()).trim());
  await wind.check();
  await expect(count(page)).toHaveText(promised === 1 ? "1 product" : `${promised} products`);
  expect(promised).toBeLessThan(both);
  // What has the hand keeps it.
  await expect(wind).toBeFocused();
  await page.getByLabel("Sort by").selectOption("Price, low to high");
  await expect(page).toHaveURL(/sort=price-up/);
  await expect(count(page)).toHaveText(promised === 1 ? "1 product" : `${promised} products`);
  const here = page.url();
  const shown = await titles(page);
  await page.goto(here);
  expect(await titles(page)).toEqual(shown);
  await page.getByRole("link", { name: "Without Level: Anyone" }).click();
  await expect(page).not.toHaveURL(/level=Anyone/);
  await page.goBack();
  await expect(page).toHaveURL(here);
  await expect(level.getByLabel(/^Anyone/)).toBeChecked();
  await page.locator(".chips").getByRole("link", { name: "Clear all" }).click();
  await expect(count(page)).toHaveText("14 products");
});

test("an attribute of many numbers is filtered by spans, and an old address by what it says", async ({ page }) => {
  await page.goto(`${DEMO}/collections/single-line-kites`);
  const span = page.getByRole("group", { name: "Span cm" }).getByRole("checkbox");
  await expect(span).toHaveCount(4);
  const label = page.getByRole("group", { name: "Span cm" }).getByText(/^100–200/);
  const promised = Number(await label.locator("small").innerText());
  await label.click();
  await expect(count(page)).toHaveText(`${promised} products`);
  await expect(page.getByRole("link", { name: "Without Span: 100–200 cm" })).toBeVisible();
  // Somebody's bookmark from when spans were others: it is met, said, and can be taken back.
  await page.goto(`${DEMO}/collections/single-line-kites?span=190–191`);
  await expect(count(page)).toHaveText("1 product");
  await page.getByRole("link", { name: "Without Span: 190–191 cm" }).click();
  await expect(count(page)).toHaveText("14 products");
});

test("a price that nothing has is answered, and led back from", async ({ page }) => {
  await page.goto(`${DEMO}/collections/windsocks`);
  await page.getByLabel("Price from").fill("5000");
  await page.getByLabel("Price from").press("Enter");
  await expect(page.getByText("Nothing fits all of that.")).toBeVisible();
  await page.locator(".list-none").getByRole("link", { name: "Clear all" }).click();
  await expect(page.getByText("Harbour Cone")).toBeVisible();
});

test("without JavaScript filters, pages, variants and the cart work as well", async ({ browser }) => {
  const context = await browser.newContext({ javaScriptEnabled: false });
  const page = await context.newPage();
  await page.goto(`${DEMO}/collections/single-line-kites`);
  await page
    .getByRole("group", { name: "Level" })
    .getByLabel(/^Anyone/)
    .check();
  await page.getByRole("button", { name: "Show", exact: true }).click();
  await expect(page).toHaveURL(/level=Anyone/);
  await page.goto(`${DEMO}/collections/all`);
  await page.getByRole("link", { name: "Page 2" }).click();
  await expect(page.getByRole("navigation", { name: "Pages" }).locator("[aria-current]")).toHaveText("2");
  await page.goto(`${DEMO}/products/harbour-cone`);
  await page.getByRole("radio", { name: "120 cm" }).check();
  await page.getByRole("radio", { name: "Dawn" }).check();
  await page.getByRole("button", { name: "Show this one" }).click();
  await expect(page.locator('[data-live="price"]').first()).toHaveText("€36.00");
  await page.getByRole("button", { name: "Add to cart" }).first().click();
  await expect(page.getByText("It is in your cart.")).toBeVisible();
  await expect(page.getByText("120 cm · Dawn")).toBeVisible();
  await page.getByRole("button", { name: "Remove" }).click();
  await expect(page.getByText("There is nothing in it yet")).toBeVisible();
  await context.close();
});

test("choosing a variant changes picture, price, state and address, and only what there is goes into the cart", async ({
  page,
}) => {
  await page.goto(`${DEMO}/products/harbour-cone`);
  const price = page.locator('[data-live="price"]').first();
  await expect(price).toHaveText("€24.00");
  await page.getByRole("radio", { name: "180 cm" }).check();
  await expect(price).toHaveText("€58.00");
  await expect(page).toHaveURL(/variant=/);
  await page.locator('.opt[data-state="unavailable"]').click();
  await expect(page.locator('[data-live="state"]')).toHaveText("Sold out");
  await expect(page.getByRole("button", { name: "Add to cart" }).first()).toBeHidden();
  await page.getByLabel("Shall we write to you").fill("windy@shop.example");
  await page.getByRole("button", { name: "Tell me" }).click();
  await expect(page.getByText("You get one letter")).toBeVisible();
  // The address alone shows the same.
  await page.reload();
  await expect(page.locator('[data-live="state"]')).toHaveText("Sold out");
  await page.getByRole("radio", { name: "120 cm" }).check();
  await page.getByRole("radio", { name: "Kelp" }).check();
  await page.getByLabel("How many").fill("50");
  await page.locator(".buy").evaluate((form) => ((form as HTMLFormElement).noValidate = true));
  await page.getByRole("button", { name: "Add to cart" }).first().click();
  await expect(page.locator(".cart-toast")).toContainText(/There are only 5 of it/);
  await expect(page.locator(".cart-n")).toHaveText("5");
  // It can be reached on the last of the page as well, which lies over the columns that stay in view.
  await page.locator(".s-footer .foot-small").scrollIntoViewIfNeeded();
  await page.locator(".cart-toast").getByRole("link", { name: "See the cart" }).click();
  await expect(page.getByText("120 cm · Kelp")).toBeVisible();
  await expect(page.locator(".cart-total .price")).toHaveText("€180.00");
  await expectAccessible(page);
});

test("what is coming says when, is not for sale, and offers to write", async ({ page }) => {
  await page.goto(`${DEMO}/products/kittiwake-ul`);
  await expect(page.locator(".state")).toHaveText("On the bench, 14 March");
  await expect(page.getByRole("button", { name: "Add to cart" })).toHaveCount(0);
  await page.getByRole("button", { name: "Tell me" }).click();
  await expect(page.locator(".tell [type=email]:invalid")).toBeVisible();
  await page.locator(".tell [type=email]").fill("soon@shop.example");
  await page.getByRole("button", { name: "Tell me" }).click();
  await expect(page.getByText("You get one letter")).toBeVisible();
});

test("what went wrong with a form is said where one stands, and on a page of its own without a script", async ({
  page,
  browser,
}) => {
  await page.goto(`${DEMO}/products/kittiwake-ul`);
  // A browser takes this for an address; the shop does not.
  await page.getByLabel("Shall we write to you when it is here?").fill("ann@localhost");
  await page.getByRole("button", { name: "Tell me" }).click();
  await expect(page.getByText("That is not a mail address. Please check it.")).toBeVisible();
  await expectAccessible(page);
  const context = await browser.newContext({ javaScriptEnabled: false });
  const plain = await context.newPage();
  await plain.goto(`${DEMO}/products/kittiwake-ul`);
  await plain.getByLabel("Shall we write to you when it is here?").fill("ann@localhost");
  await plain.getByRole("button", { name: "Tell me" }).click();
  await expect(plain.getByRole("heading", { level: 1 })).toHaveText("That is not a mail address. Please check it.");
  await context.close();
});

test("pictures are looked at closely, and left again by the keyboard", async ({ page }) => {
  await page.goto(`${DEMO}/products/larkspindle-delta-190`);
  // All of them are on the page; each opens at itself.
  await page.locator(".shot-open").nth(2).click();
  const dialog = page.getByRole("dialog", { name: "Pictures, large" });
  await expect(dialog.locator("img").nth(2)).toBeInViewport();
  await expectAccessible(page);
  await dialog.getByRole("button", { name: "Next" }).click();
  await expect(dialog.locator("img").nth(3)).toBeInViewport();
  await page.keyboard.press("Escape");
  await expect(dialog).toHaveCount(0);
  // In a theme that shows one at a time, small pictures lead to each.
  await page.locator(".w-gallery").evaluate((gallery) => gallery.classList.remove("a-grid"));
  const thumbs = page.locator(".thumbs a");
  await thumbs.nth(2).click();
  await expect(thumbs.nth(2)).toHaveAttribute("aria-current", "true");
});

test("a review is written, and waits", async ({ page }) => {
  await page.goto(`${DEMO}/products/dunlin-sled`);
  await page.getByText("Write a review").click();
  await expectAccessible(page);
  await page.getByLabel("4 stars, very good").check();
  await page.getByLabel("Your review").fill("Flew it off the pier.");
  await page.getByLabel("Your name, as it is shown").fill("Edda");
  await page.getByRole("button", { name: "Send it" }).click();
  await expect(page.getByText("It is shown once it has been read here.")).toBeVisible();
  await page.reload();
  await expect(page.getByText("Flew it off the pier.")).toHaveCount(0);
});

test("search suggests while one types, forgives letters, knows synonyms, and helps when nothing is found", async ({
  page,
}) => {
  await page.goto(`${DEMO}/search`);
  const field = page.getByRole("combobox");
  await field.fill("fulmer");
  await expect(page.getByRole("option", { name: /Fulmar Diamond/ })).toBeVisible();
  await expectAccessible(page);
  await field.press("ArrowDown");
  await expect(page.getByRole("option").first()).toHaveAttribute("aria-selected", "true");
  await field.press("Enter");
  await expect(page.getByRole("heading", { level: 1 })).toHaveText("Fulmar Diamond");
  // A word with a letter wrong finds what the right one finds.
  await page.goto(`${DEMO}/search?q=windsok`);
  const misspelt = await count(page).innerText();
  await page.goto(`${DEMO}/search?q=windsock`);
  expect(misspelt.replace("windsok", "windsock")).toBe(await count(page).innerText());
  await page.goto(`${DEMO}/search?q=drogue`);
  await expect(page.getByRole("link", { name: "Pollack Windsock" })).toBeVisible();
  await page.goto(`${DEMO}/search?q=qqqqq`);
  await expect(page.getByText("Nothing fits “qqqqq”.")).toBeVisible();
  await expect(page.getByRole("heading", { name: "What others like" })).toBeVisible();
});

test("what was looked at before is known to the browser alone", async ({ page }) => {
  await page.goto(`${DEMO}/products/skua`);
  await page.goto(`${DEMO}/products/gannet`);
  const seen = page.locator(".s-recently-seen");
  await expect(seen.getByRole("link", { name: "Skua", exact: true })).toBeVisible();
  await expect(seen.getByRole("link", { name: "Gannet", exact: true })).toHaveCount(0);
});

test("messages stand beside the goods they are meant for", async ({ page }) => {
  await page.goto(`${DEMO}/products/skua`);
  await expect(page.getByText("Bring a flying partner")).toBeVisible();
  await page.goto(`${DEMO}/products/harbour-box`);
  await expect(page.getByText("Bring a flying partner")).toHaveCount(0);
});

test.describe("on a phone", () => {
  test.use({ viewport: PHONE });

  test("filters rise as a sheet, stay open while things are ticked, and close", async ({ page }) => {
    await page.goto(`${DEMO}/collections/single-line-kites`);
    await page.getByRole("link", { name: "Filter", exact: true }).click();
    const sheet = page.locator(".filters-form");
    await expect(sheet).toBeInViewport();
    await sheet.getByLabel(/^Anyone/).check();
    await expect(page).toHaveURL(/level=Anyone/);
    await expect(sheet).toBeInViewport();
    await expectAccessible(page);
    // What closes it says what it will show.
    const [count] = /^\d+/.exec((await page.locator(".list-count").first().textContent())!)!;
    await sheet.getByRole("button", { name: `Show ${count} products` }).click();
    await expect(sheet).toBeHidden();
    await expect(page.getByRole("link", { name: "Filter (1)" })).toBeVisible();
  });

  test("the bar to buy is there while the button is out of sight", async ({ page }) => {
    await page.goto(`${DEMO}/products/larkspindle-delta-190`);
    const bar = page.locator(".buy-bar");
    await expect(bar).toBeVisible();
    await page.locator(".buy button").first().scrollIntoViewIfNeeded();
    await expect(bar).toBeHidden();
    // Nothing lies over it, whatever the column that it belongs to does while scrolling.
    await page.locator(".s-footer").scrollIntoViewIfNeeded();
    await bar.getByRole("button", { name: "Add to cart" }).click();
    await expect(page.locator(".cart-toast")).toContainText("It is in your cart.");
    await expectAccessible(page);
  });
});
