import { expect, test, type Page } from "@playwright/test";
import { benchReady, details, expectAccessible, inPlan, kept, openShop, pane, publish, shopAt } from "./studio";

const sentenceOf = (page: Page) => details(page).getByRole("region", { name: "When it shows" });
/** Closes what a word of the sentence has opened. */
const done = async (page: Page) => {
  await page.keyboard.press("Escape");
  await expect(page.getByRole("dialog")).toHaveCount(0);
};

test("a section shows between days and at hours, said in a sentence; panes and the shop go by it", async ({ page }) => {
  const { host } = await openShop(page);
  await benchReady(page);
  await inPlan(page, "Hero").click();
  const sentence = sentenceOf(page);
  const change = async (word: RegExp, label: string) => {
    await sentence.getByRole("button", { name: word }).click();
    return page.getByRole("dialog", { name: label });
  };
  const year = new Date().getFullYear() + 1;
  const from = await change(/^From when: from now on/, "From when");
  await from.getByLabel("From").fill(`${year}-12-01T00:00`);
  await expectAccessible(page);
  await done(page);
  await expect(sentence.getByText(`It doesn’t show now, but from 1 Dec ${year} on.`, { exact: false })).toBeVisible();
  const until = await change(/^Until when: without an end/, "Until when");
  await until.getByLabel("Until").fill(`${year}-11-01T00:00`);
  await done(page);
  await expect(sentence.getByRole("alert")).toHaveText("It ends before it begins.");
  const again = await change(/^Until when/, "Until when");
  await again.getByLabel("Until").fill(`${year}-12-24T18:00`);
  await again.getByRole("switch", { name: "Every year" }).click();
  await done(page);
  await expect(sentence.getByRole("button", { name: "Until when: until 24 Dec, 18:00" })).toBeVisible();
  await expect(inPlan(page, "Hero")).toHaveAccessibleName(/not at this time/);
  await expect(pane(page, "Wide").locator(".s-hero[data-not-shown]")).toBeVisible();
  await kept(page);
  await publish(page);
  await page.goto(shopAt(host));
  await expect(page.locator("main")).toBeVisible();
  await expect(page.locator(".s-hero")).toHaveCount(0);
});

const GOODS = "SKU,Title,Price,Tags\nA,Apple cake,10.00,new\nB,Banana bread,80.00,\n";

test("a footer shows on some pages, to some shoppers, with some carts: the sentence, the panes and the shop agree", async ({
  page,
  context,
}) => {
  const { host } = await openShop(page, { goods: GOODS });
  await benchReady(page);
  await inPlan(page, "Footer").click();
  const sentence = sentenceOf(page);
  const add = async (name: string) => {
    await sentence.getByRole("button", { name: "Only where, or for whom" }).click();
    await page.getByRole("menuitem", { name }).click();
  };
  // What was added is open at once.
  await add("For certain goods");
  const goods = page.getByRole("dialog", { name: "For which goods" });
  await expectAccessible(page);
  await goods.getByRole("combobox", { name: "What" }).click();
  await page.getByRole("option", { name: "Tag" }).click();
  await goods.getByLabel("Value").fill("new");
  // What is offered for the field closes first.
  await goods.getByLabel("Value").press("Escape");
  await done(page);
  await expect(sentence.getByRole("button", { name: "For which goods: for goods whose tag is “new”" })).toBeVisible();
  await expect(sentence.getByText(/^Now on 1 of \d+ pages\.$/)).toBeVisible();
  await expect(inPlan(page, "Footer")).toHaveAccessibleName(/not with these goods/);

  // One of two is enough.
  await add("With a certain cart");
  const cart = page.getByRole("dialog", { name: "With what cart" });
  await cart.getByLabel("What is in it is worth").check();
  await cart.getByLabel(/^From, in/).fill("much");
  await expect(cart.getByText(/“much”/)).toBeVisible();
  await cart.getByLabel(/^From, in/).fill("60");
  await done(page);
  await sentence.getByRole("button", { name: /^and: both have to be so/ }).click();
  await expect(sentence).toContainText(/or while the cart is worth .*60.* or more/);

  // Looked at with such a cart, it is there on the home page as well.
  await page.getByRole("button", { name: "Look at another time, or as somebody else" }).click();
  const looking = page.getByRole("dialog", { name: "Look at another time, or as somebody else" });
  await expectAccessible(page);
  await looking.getByRole("combobox", { name: "In the cart" }).fill("Banana");
  await page.getByRole("option", { name: "Banana bread" }).click();
  await looking.getByRole("button", { name: "Close" }).click();
  await expect(inPlan(page, "Footer")).not.toHaveAccessibleName(/not/);
  await expect(pane(page, "Wide").locator(".s-footer[data-not-shown]")).toHaveCount(0);
  await page.getByRole("button", { name: /^As with a cart of .*80/ }).press("Delete");
  await expect(inPlan(page, "Footer")).toHaveAccessibleName(/not as you are looking/);
  await expect(pane(page, "Phone").locator(".s-footer[data-not-shown]")).toBeVisible();

  await kept(page);
  await publish(page);
  const shopper = await context.browser()!.newContext();
  const shop = await shopper.newPage();
  const footer = shop.locator(".s-footer");
  await shop.goto(`${shopAt(host)}/products/apple-cake`);
  await expect(footer).toBeVisible();
  await shop.goto(`${shopAt(host)}/products/banana-bread`);
  await expect(shop.locator("main h1")).toBeVisible();
  await expect(footer).toHaveCount(0);
  await shop.getByRole("button", { name: "Add to cart" }).click();
  await expect(shop.locator(".cart-n")).toHaveText("1");
  await shop.goto(shopAt(host));
  await expect(footer).toBeVisible();
  await shopper.close();
});

test("what contradicts itself is said, a ready condition and a copied one take the place of others", async ({
  page,
}) => {
  await openShop(page);
  await benchReady(page);
  await inPlan(page, "Hero").click();
  const sentence = sentenceOf(page);
  const choose = async (name: string | RegExp) => {
    await sentence.getByRole("button", { name: "Only where, or for whom" }).click();
    await page.getByRole("menuitem", { name }).click();
  };
  await choose("On certain pages");
  await done(page);
  await expect(sentence.getByText("It can’t show on the page on which it stands.")).toBeVisible();
  await sentence.getByRole("button", { name: /^On which pages/ }).click();
  await page.getByRole("dialog").getByLabel("Product pages").click();
  await expect(page.getByRole("dialog").getByRole("alert")).toHaveText("Choose at least one page.");
  await page.getByRole("dialog").getByRole("button", { name: "Take this out" }).click();
  await expect(page.getByRole("dialog")).toHaveCount(0);
  await choose("To certain visitors");
  await done(page);
  await choose("To certain visitors");
  await page.getByRole("dialog").getByLabel("Visitors who come again").check();
  await done(page);
  await expect(sentence.getByText("Nobody can ever see it: what is asked contradicts itself.")).toBeVisible();
  await choose("At weekends");
  await expect(sentence.getByRole("button", { name: "Which days: on weekends" })).toBeVisible();
  await expect(sentence.getByRole("button", { name: /^To whom/ })).toHaveCount(0);
  await choose("Copy when it shows");
  await inPlan(page, "Footer").click();
  await choose("Put what was copied here");
  await expect(sentence.getByRole("button", { name: "Which days: on weekends" })).toBeVisible();
});

test("the dial turns all panes to another time, and says so until it is turned back", async ({ page }) => {
  await openShop(page);
  await benchReady(page);
  await inPlan(page, "Hero").click();
  const year = new Date().getFullYear() + 1;
  const sentence = sentenceOf(page);
  await sentence.getByRole("button", { name: /^From when/ }).click();
  await page.getByRole("dialog", { name: "From when" }).getByLabel("From").fill(`${year}-02-14T09:00`);
  await done(page);
  const hero = pane(page, "Wide").locator(".s-hero");
  await expect(hero).toHaveAttribute("data-not-shown", "");
  await page.getByRole("button", { name: "Look at another time, or as somebody else" }).click();
  const looking = page.getByRole("dialog", { name: "Look at another time, or as somebody else" });
  await looking.getByRole("button", { name: `14 Feb ${year}, 09:00: Hero begins to show (Home)` }).click();
  await expect(hero).not.toHaveAttribute("data-not-shown", "");
  // The dial, by its keys: a day back.
  await looking.getByRole("slider", { name: "Day of the coming year" }).press("ArrowLeft");
  await expect(hero).toHaveAttribute("data-not-shown", "");
  await looking.getByRole("slider", { name: "Day of the coming year" }).press("ArrowRight");
  await expect(hero).not.toHaveAttribute("data-not-shown", "");
  await looking.getByRole("button", { name: "Close" }).click();
  await page.getByRole("link", { name: "Brand" }).click();
  const chip = page.getByRole("button", { name: `As on 14 Feb ${year}, 09:00` });
  await expect(chip).toBeVisible();
  await expect(pane(page, "Wide").locator(".s-hero")).not.toHaveAttribute("data-not-shown", "");
  await chip.press("Delete");
  await expect(chip).toHaveCount(0);
});
