import { expect, test, type Page } from "@playwright/test";
import { area, expectAccessible, kept, openShop, publish, shopAt } from "./studio";

const GOODS = [
  "SKU,Title,Price,Stock",
  "KITE,Delta kite,64.00,20",
  "TAIL,Spinner tail,12.00,20",
  "CLIP,Line clip,3.00,20",
].join("\n");

const slip = (page: Page) => page.getByRole("switch");
const word = (page: Page, label: string) => page.getByRole("button", { name: new RegExp(`^${label}:`) });
const list = (page: Page) => page.getByRole("list", { name: "Offers" });
const tried = (page: Page) => page.getByRole("region", { name: "A cart to try it" });

/** Closes what a word has opened, and waits until it is gone. */
async function done(page: Page, label: string): Promise<void> {
  await page.keyboard.press("Escape");
  await expect(page.getByRole("dialog", { name: label })).toBeHidden();
}

/** Puts what is shown into the cart, and waits until it lies there. */
async function intoCart(page: Page): Promise<void> {
  const added = page.waitForResponse((answer) => answer.url().endsWith("/cart/add"));
  await page
    .getByRole("button", { name: /Add to cart/ })
    .first()
    .click();
  await added;
}

test("an offer is made, said in a sentence, tried on a cart, published, and had with a code by a shopper", async ({
  page,
}) => {
  const { host } = await openShop(page, { goods: GOODS, area: "offers" });
  await expect(page.getByRole("heading", { name: "Something off, or something given" })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole("button", { name: /^Welcome/ }).click();
  // Nothing is given away by accident.
  await expect(slip(page)).not.toBeChecked();
  await expect(word(page, "How it is had")).toHaveText("with the code WELCOME10");

  await test.step("the words of its sentence are pressed to change it, and what can't be is said there", async () => {
    await word(page, "What it gives").click();
    const gives = page.getByRole("dialog", { name: "What it gives" });
    await gives.getByLabel("Percent", { exact: true }).fill("120");
    await expect(gives.getByText("No more than 100 % can be taken off.")).toBeVisible();
    await gives.getByLabel("Percent", { exact: true }).fill("12,5");
    await expect(gives.getByText("No more than 100 % can be taken off.")).toBeHidden();
    await done(page, "What it gives");
    await expect(word(page, "What it gives")).toHaveText("12.5 % off everything");
    await word(page, "From what on").click();
    await page.getByLabel("From a worth of").fill("70");
    await done(page, "From what on");
    await expect(word(page, "From what on")).toHaveText("from €70.00 on");
    await page.getByLabel("Name, as shoppers read it").fill("First flight");
    await expect(list(page).getByRole("button", { name: /^First flight/ })).toBeVisible();
  });

  await test.step("the cart beside it says what comes of it, and why nothing does", async () => {
    const reasons = tried(page).getByRole("list", { name: "What each offer does" });
    const total = (amount: string) => expect(tried(page).getByLabel(`Total €${amount}`)).toBeVisible();
    // 64 + 12 = 76, of which an eighth is 9.50.
    await total("66.50");
    await tried(page).getByRole("button", { name: "One less of Spinner tail" }).click();
    await total("64.00");
    await expect(reasons).toContainText("€6.00 to go until €70.00.");
    await tried(page).getByRole("combobox", { name: "Put something in" }).fill("clip");
    await page.getByRole("option", { name: "Line clip" }).click();
    await tried(page).getByRole("button", { name: "One more of Line clip" }).click();
    // 64 + 2 × 3 = 70, of which an eighth is 8.75.
    await total("61.25");
    await tried(page).getByRole("checkbox", { name: "WELCOME10" }).uncheck();
    await expect(reasons).toContainText("Its code, WELCOME10, was not given.");
    await expect(page.frameLocator('iframe[title="The cart on a phone"]').getByText("Line clip")).toBeVisible();
    await expectAccessible(page);
  });

  await test.step("one that goes with no other gives way where the others save more", async () => {
    await page.getByRole("button", { name: "New offer" }).click();
    await page.getByRole("menuitem", { name: /^Three for two/ }).click();
    await word(page, "With which others").click();
    await page.getByRole("switch", { name: "With other offers on goods" }).click();
    await done(page, "With which others");
    await expect(word(page, "With which others")).toHaveText("with gifts and delivery only");
    await page.getByRole("button", { name: /^Undo: / }).click();
    await expect(word(page, "With which others")).toHaveText("with all other offers");
    await page.getByRole("button", { name: "Remove this offer" }).click();
    await expect(list(page).getByRole("button")).toHaveCount(1);
  });

  await test.step("two can't have one code, and a copy has none", async () => {
    await page.getByRole("button", { name: "Make a copy" }).click();
    await expect(list(page).getByRole("button", { name: /^First flight 2/ })).toBeVisible();
    await expect(word(page, "How it is had")).toHaveText("by itself");
    await word(page, "How it is had").click();
    await page.getByRole("radio", { name: /With a code/ }).click();
    await page.getByRole("textbox", { name: "The code" }).fill("welcome10");
    await expect(page.getByRole("dialog", { name: "How it is had" }).getByRole("alert")).toHaveText(
      "“First flight” has this code already.",
    );
    await done(page, "How it is had");
    await page.getByRole("button", { name: "Remove this offer" }).click();
    await expect(list(page).getByRole("button")).toHaveCount(1);
  });

  await slip(page).click();
  await expect(list(page).getByRole("button", { name: /WELCOME10$/ })).toBeVisible();
  await kept(page);
  await publish(page);

  await test.step("a shopper gets it with the code, hears what is missing, and takes it out again", async () => {
    await page.goto(`${shopAt(host)}/collections/all`);
    await page.getByRole("link", { name: "Delta kite" }).first().click();
    await intoCart(page);
    await page.goto(`${shopAt(host)}/cart`);
    await page.getByLabel("A code").fill("nothing");
    await page.getByRole("button", { name: "Apply" }).click();
    await expect(page.getByRole("alert")).toHaveText("There is no such code here. Please check it.");
    // What was typed stands there still.
    await expect(page.getByLabel("A code")).toHaveValue("nothing");
    await page.getByLabel("A code").fill("welcome 10");
    await page.getByRole("button", { name: "Apply" }).click();
    await expect(page.getByText("€6.00 to go until it counts.")).toBeVisible();
    await page.getByRole("button", { name: "One more of Delta kite" }).click();
    await expect(page.locator(".cart-total .price")).toHaveText("€112.00");
    await expectAccessible(page);
    await page.getByRole("button", { name: "Take out the code WELCOME10" }).click();
    await expect(page.locator(".cart-total .price")).toHaveText("€128.00");
  });
});

test("a link brings its code along, and the cart fits a narrow phone", async ({ page }) => {
  const { host } = await openShop(page, { goods: GOODS, area: "offers" });
  await page.getByRole("button", { name: /^Welcome/ }).click();
  await slip(page).click();
  await page.getByRole("button", { name: "New offer" }).click();
  await page.getByRole("menuitem", { name: /^A gift with it/ }).click();
  await expect(word(page, "What it gives")).toHaveText("“Line clip” as a gift");
  await slip(page).click();
  await kept(page);
  await publish(page);
  await page.setViewportSize({ width: 320, height: 640 });
  await page.goto(`${shopAt(host)}/collections/all?offer=welcome10`);
  expect(new URL(page.url()).search).toBe("");
  await page.getByRole("link", { name: "Delta kite" }).first().click();
  await intoCart(page);
  await page.goto(`${shopAt(host)}/cart`);
  await expect(page.locator(".cart-total .price")).toHaveText("€57.60");
  await expect(page.locator(".cart-line").nth(1)).toContainText("Free");
  // Nothing lies over anything, and nothing sticks out.
  const name = (await page.locator(".cart-words").first().boundingBox())!;
  const costs = (await page.locator(".cart-line > .price").first().boundingBox())!;
  expect(name.x + name.width).toBeLessThanOrEqual(costs.x);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(320);
});

test("offers stand on the year, and what is looked at on another day is tried as on that day", async ({ page }) => {
  await openShop(page, { goods: GOODS, area: "offers" });
  await page.getByRole("button", { name: /^A sale/ }).click();
  await word(page, "From when").click();
  const year = new Date().getFullYear() + 1;
  await page.getByLabel("From", { exact: true }).fill(`${year}-03-01T00:00`);
  await done(page, "From when");
  await expect(list(page).getByRole("button")).toContainText("Off");
  await slip(page).click();
  await expect(list(page).getByRole("button")).toContainText("From 1 Mar");
  const reasons = tried(page).getByRole("list", { name: "What each offer does" });
  await expect(reasons).toContainText("It does not hold on this day.");
  await page.getByRole("button", { name: "The year" }).click();
  const line = page.getByRole("region", { name: "The year" });
  await expect(line.getByRole("button", { name: /^“A sale”, holds from 1 Mar/ })).toBeVisible();
  const dial = line.getByRole("slider", { name: "Day that all panes show" });
  await dial.focus();
  for (let i = 0; i < 12 && (await reasons.textContent())!.includes("does not hold"); i++)
    await page.keyboard.press("PageUp");
  await expect(reasons).toContainText("− €");
  await area(page, "Pages");
  await expect(page.getByLabel("Back to a first visit now")).toBeVisible();
});
